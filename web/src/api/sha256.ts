import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';

/** SHA-256 in hex. By a library: a page that did not come over TLS has no hashing of the browser’s own. */
export const sha256Hex = (bytes: Uint8Array): string => bytesToHex(sha256(bytes));
