import { hash, verify } from '@node-rs/argon2';

/** argon2id with 19 MiB, two passes, one lane: the least that OWASP's password storage sheet asks for (recalled from memory). */
const OPTIONS = { memoryCost: 19_456, timeCost: 2, parallelism: 1 } as const;

/** A salted argon2id hash of a password, in the PHC text form. */
export function hashPassword(password: string): Promise<string> {
  return hash(password, OPTIONS);
}

let nobody: Promise<string> | null = null;

/** Whether a password is the one that was hashed. Without a hash it takes as long and says no, so that a name that exists cannot be told from one that does not. */
export async function isPassword(password: string, stored: string | null): Promise<boolean> {
  nobody ??= hashPassword('nobody has this password');
  const fits = await verify(stored ?? (await nobody), password).catch(() => false);
  return fits && stored !== null;
}
