import { createHash, randomBytes } from 'node:crypto';

/** 256 random bits, for a cookie. */
export function newToken(): string {
  return randomBytes(32).toString('base64url');
}

/** What the database keeps of a token or a bucket's name. */
export function digest(text: string): string {
  return createHash('sha256').update(text).digest('hex');
}
