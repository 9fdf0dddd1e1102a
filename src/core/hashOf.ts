import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';

/**
 * SHA-256 of bytes, lower-case hex. Works where the browser's own hashing is withheld, on a plain address.
 * Source: FIPS 180-4.
 * @example hashOf(new TextEncoder().encode('abc')) // 'ba7816bf…f20015ad'
 */
export const hashOf = (bytes: Uint8Array): string => bytesToHex(sha256(bytes));
