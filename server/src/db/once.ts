import { isDeepStrictEqual } from 'node:util';
import { isDuplicate } from './pool.ts';
import { stale } from '../http/problem.ts';

/** Whether everything that was sent already stands so: the same request again, after its answer was lost. */
export function standsAlready(existing: object, sent: object): boolean {
  return Object.entries(sent).every(([name, value]) =>
    isDeepStrictEqual(sameForm((existing as Record<string, unknown>)[name]), sameForm(value)),
  );
}

/** Ids are the same in large and small letters; what is not there is the same as what was left out. */
function sameForm(value: unknown): unknown {
  if (typeof value === 'string' && /^[0-9A-Fa-f]{8}-[0-9A-Fa-f-]{27}$/.test(value)) return value.toLowerCase();
  return value === undefined || value === null || typeof value !== 'object' ? value : JSON.parse(JSON.stringify(value));
}

/** How something new is written once: how it is found, compared and written. */
export interface PutOnce<T> {
  /** What it is, for the message: “This visit”. */
  readonly what: string;
  /** What stands under the id now, as far as the caller may see it. */
  readonly find: () => Promise<T | null>;
  /** Whether what stands is what was sent. */
  readonly same: (existing: T) => boolean;
  /** Checks that only concern something new, and the writing. */
  readonly insert: () => Promise<unknown>;
  /** What to send along when the place is taken by something else; what stands under the id unless said otherwise. */
  readonly instead?: () => Promise<unknown>;
}

/**
 * Writes something new under the id its sender made, once: the same request again, at the same instant too, is answered with what
 * stands; another content under the id is refused. The database's key decides who was first, not a look beforehand.
 */
export async function putOnce<T>({ what, find, same, insert, instead }: PutOnce<T>): Promise<T> {
  const before = await find();
  if (before !== null) {
    if (!same(before)) throw stale(what, before);
    return before;
  }
  await insert().catch((error: unknown) => {
    if (!isDuplicate(error)) throw error;
  });
  const now = await find();
  if (now === null || !same(now)) throw stale(what, now ?? (await instead?.()) ?? null);
  return now;
}
