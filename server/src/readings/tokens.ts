import { createHash, randomBytes, timingSafeEqual } from 'node:crypto';

/** A probe's token: shown once, kept only as its hash. */
export const newToken = (): string => randomBytes(24).toString('base64url');

export function sha256(text: string): string {
  return createHash('sha256').update(text).digest('hex');
}

/** Compares in the same time whatever was sent. */
export function isToken(expectedSha256: string | null, token: string): boolean {
  if (expectedSha256 === null) return false;
  return timingSafeEqual(Buffer.from(expectedSha256, 'hex'), createHash('sha256').update(token).digest());
}
