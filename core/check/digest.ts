import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';

const digestLetters = 16;

/** What a finding speaks of, short: two things are the same if these are. SHA-256 (FIPS 180-4), its first 64 bits in hex. */
export const digestOf = (text: string): string => bytesToHex(sha256(text)).slice(0, digestLetters);
