import { createHash } from 'node:crypto';

/** The SHA-256 of something, base64url: what tells it from others, and does not give it away. */
export const digestOf = (of: string | Uint8Array): string =>
  createHash('sha256').update(of).digest('base64url');
