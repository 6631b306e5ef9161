import type { RouteAccess } from '@pace-bend/core/access';
import type { Caller } from './sessions.ts';
import type { Note } from '../db/noted.ts';
import { change, type Db } from '../db/pool.ts';

/** Somebody who reads on or types on is one line in this time. */
const ONE_LINE_MS = 5 * 60_000;
const REMEMBERED = 5000;

/** One line as it is written; without an account for what nobody signed in has done. */
export interface NewAuditLine {
  readonly practiceId: string;
  readonly at: Date;
  readonly account: { readonly id: string | null; readonly name: string };
  readonly what: string;
  readonly athleteId?: string | null;
}

export async function addAuditLine(db: Db, { practiceId, at, account, what, athleteId = null }: NewAuditLine): Promise<void> {
  await change(db, 'INSERT INTO audit (practice_id, at, account_id, account_name, what, athlete_id) VALUES (?, ?, ?, ?, ?, ?)', [
    practiceId,
    at,
    account.id,
    account.name,
    what,
    athleteId,
  ]);
}

/** Adds lines to the audit. Lines are never changed; the database refuses to. */
export class Audit {
  /** When the same person last did the same with the same file; the oldest first. */
  private readonly recent = new Map<string, number>();

  constructor(private readonly now: () => Date) {}

  /** The line of a request, to be written with what it changes. It counts as written only once it stands. */
  noteOf(who: Caller, route: RouteAccess, athleteId: () => string | null): Note {
    const key = () => `${who.accountId}/${route.audit}/${athleteId()}`;
    return {
      written: false,
      write: async (db) => {
        const at = this.now();
        if (route.often && this.isRepeat(key(), at.getTime())) return;
        await addAuditLine(db, {
          practiceId: who.practice.id,
          at,
          account: { id: who.accountId, name: who.name },
          what: route.audit!,
          athleteId: athleteId(),
        });
      },
      stands: () => {
        if (route.often) this.remember(key(), this.now().getTime());
      },
    };
  }

  private isRepeat(key: string, atMs: number): boolean {
    const before = this.recent.get(key);
    return before !== undefined && atMs - before < ONE_LINE_MS;
  }

  private remember(key: string, atMs: number): void {
    if (this.isRepeat(key, atMs)) return;
    this.recent.delete(key);
    this.recent.set(key, atMs);
    if (this.recent.size > REMEMBERED) this.recent.delete(this.recent.keys().next().value!);
  }
}
