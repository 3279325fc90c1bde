import { customAlphabet, nanoid } from 'nanoid';

const letters = customAlphabet('0123456789abcdefghijklmnopqrstuvwxyz', 14);

/** A new id for a row: 72 bits, no look-alike problems with case. */
export const newId = (): string => letters();

/** The secret part of a link: 22 characters of 64, 132 bits, more than the 96 that make a link unguessable. */
export const newKey = (): string => nanoid(22);
