/** Loaded when first asked for: half a megabyte that only a new password needs. */
let listed: Promise<ReadonlySet<string>> | null = null;

async function load(): Promise<ReadonlySet<string>> {
  const { dictionary } = await import('@zxcvbn-ts/language-common');
  return new Set((dictionary as Record<string, readonly string[]>)['passwords-common']!.map((word) => word.toLowerCase()));
}

export const COMMON = 'This password is one of those that are tried first, or one with digits around it. A few words in a row are better.';

/**
 * Whether a password is one of the fifty thousand most common ones (list of the package @zxcvbn-ts/language-common), as it stands or with
 * digits and signs around it or between its letters.
 */
export async function isCommonPassword(password: string): Promise<boolean> {
  listed ??= load();
  const words = await listed;
  const lower = password.normalize('NFKC').toLowerCase();
  return [lower, lower.replace(/^[^\p{L}]+|[^\p{L}]+$/gu, ''), lower.replace(/[\s._-]/gu, '')].some((each) => words.has(each));
}
