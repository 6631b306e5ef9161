import type { RouteAccess } from '@pace-bend/core/access';
import type { Caller } from '../access/sessions.ts';
import { change, type Pool } from '../db/pool.ts';

/** Somebody who reads on or types on is one line in this time. */
const ONE_LINE_MS = 5 * 60_000;
const REMEMBERED = 5000;

/** Adds lines to the audit. Lines are never changed; the database refuses to. */
export class Audit {
  /** When the same person last did the same with the same file; the oldest first. */
  private readonly recent = new Map<string, number>();

  constructor(private readonly pool: Pool, private readonly now: () => Date) {}

  async write(who: Caller, route: RouteAccess, athleteId: string | null): Promise<void> {
    const at = this.now();
    if (route.often && this.isRepeat(`${who.accountId}/${route.audit}/${athleteId}`, at.getTime())) return;
    await change(this.pool, 'INSERT INTO audit (practice_id, at, account_id, account_name, what, athlete_id) VALUES (?, ?, ?, ?, ?, ?)', [who.practice.id, at, who.accountId, who.name, route.audit!, athleteId]);
  }

  private isRepeat(key: string, atMs: number): boolean {
    const before = this.recent.get(key);
    if (before !== undefined && atMs - before < ONE_LINE_MS) return true;
    this.recent.delete(key);
    this.recent.set(key, atMs);
    if (this.recent.size > REMEMBERED) this.recent.delete(this.recent.keys().next().value!);
    return false;
  }
}
