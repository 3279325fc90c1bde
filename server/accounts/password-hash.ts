import argon2 from '@node-rs/argon2';

/** OWASP's password storage recommendation for Argon2id: 19 MiB, two passes, one lane (from memory). */
const hashing = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };

/** What is kept of a password. */
export const hashPassword = (password: string): Promise<string> => argon2.hash(password, hashing);

/** Whether a password is the one of which this is kept. */
export const isPassword = (hash: string, password: string): Promise<boolean> => argon2.verify(hash, password);
