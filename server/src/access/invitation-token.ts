import { createHash, randomBytes } from 'node:crypto';

export const newToken = (): string => randomBytes(24).toString('base64url');

/** Tokens are kept only as their hash: who reads the database cannot use them. */
export const tokenHash = (token: string): string => createHash('sha256').update(token).digest('hex');
