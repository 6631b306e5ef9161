import { SIGNED_IN_HOURS, type Role } from '@pace-bend/core/access';
import type { PracticeScope } from '@pace-bend/core/caution';
import type { ScaleId } from '@pace-bend/core/readiness';
import type { NoteLayout } from '@pace-bend/core/record';
import type { PhaseRule } from '@pace-bend/core/season';
import { change, firstRow, fromJson, type Db } from '../db/pool.ts';
import { digest, newToken } from './tokens.ts';

const HOUR_MS = 3_600_000;
export const IDLE_MS = SIGNED_IN_HOURS.idle * HOUR_MS;
export const ABSOLUTE_MS = SIGNED_IN_HOURS.longest * HOUR_MS;
/** How exactly the last request is remembered. */
const SEEN_EVERY_MS = 60_000;

/** The practice a request works in. */
export interface PracticeRow {
  readonly id: string;
  readonly name: string;
  readonly timeZone: string;
  readonly scope: PracticeScope;
  readonly sportsServed: readonly string[];
  readonly checkInScale: ScaleId;
  readonly phases: readonly PhaseRule[];
  readonly noteLayout: NoteLayout | null;
  readonly revision: number;
}

/** Who is asking. */
export interface Caller {
  readonly accountId: string;
  readonly name: string;
  readonly role: Role;
  readonly practice: PracticeRow;
}

interface PracticeColumns {
  readonly practiceId: string;
  readonly practiceName: string;
  readonly timeZone: string;
  readonly mobilizationGrade: number;
  readonly byRegion: unknown;
  readonly frontOfNeck: number;
  readonly ruleText: string;
  readonly ruleLink: string;
  readonly sportsServed: unknown;
  readonly checkInScale: ScaleId;
  readonly phases: unknown;
  readonly noteLayout: unknown;
  readonly revision: number;
}

interface SessionRow extends PracticeColumns {
  readonly accountId: string;
  readonly name: string;
  readonly role: Role;
  readonly createdAt: Date;
  readonly lastSeenAt: Date;
}

const PRACTICE = `p.id AS practiceId, p.name AS practiceName, p.time_zone AS timeZone,
       p.mobilization_grade AS mobilizationGrade, p.scope_by_region AS byRegion, p.front_of_neck AS frontOfNeck, p.scope_rule_text AS ruleText, p.scope_rule_link AS ruleLink,
       p.sports_served AS sportsServed, p.check_in_scale AS checkInScale, p.phases, p.note_layout AS noteLayout, p.revision`;

function practiceFrom(row: PracticeColumns): PracticeRow {
  return {
    id: row.practiceId,
    name: row.practiceName,
    timeZone: row.timeZone,
    revision: row.revision,
    sportsServed: fromJson(row.sportsServed),
    checkInScale: row.checkInScale,
    phases: fromJson(row.phases),
    noteLayout: row.noteLayout === null ? null : fromJson(row.noteLayout),
    scope: {
      mobilizationGrade: row.mobilizationGrade,
      byRegion: fromJson(row.byRegion),
      frontOfNeck: row.frontOfNeck === 1,
      ruleText: row.ruleText,
      ruleLink: row.ruleLink,
    },
  };
}

/** A practice as it stands now. */
export async function practiceById(db: Db, id: string): Promise<PracticeRow> {
  return practiceFrom((await firstRow<PracticeColumns>(db, `SELECT ${PRACTICE} FROM practice p WHERE p.id = ?`, [id]))!);
}

/** Signs an account in; returns the token for the cookie. Sessions that have run out are cleared away. */
export async function createSession(db: Db, accountId: string, now: Date): Promise<string> {
  const token = newToken();
  await change(db, 'DELETE FROM sign_in WHERE created_at < ? OR last_seen_at < ?', [
    new Date(now.getTime() - ABSOLUTE_MS),
    new Date(now.getTime() - IDLE_MS),
  ]);
  await change(db, 'INSERT INTO sign_in (token_hash, account_id, created_at, last_seen_at) VALUES (?, ?, ?, ?)', [
    digest(token),
    accountId,
    now,
    now,
  ]);
  return token;
}

/** Who a token belongs to, or null when it is unknown, has run out, or the account was closed. */
export async function callerOf(db: Db, token: string, now: Date): Promise<Caller | null> {
  const row = await firstRow<SessionRow>(
    db,
    `SELECT a.id AS accountId, a.name, a.role, s.created_at AS createdAt, s.last_seen_at AS lastSeenAt, ${PRACTICE}
     FROM sign_in s JOIN account a ON a.id = s.account_id JOIN practice p ON p.id = a.practice_id
     WHERE s.token_hash = ? AND a.active AND s.created_at > ? AND s.last_seen_at > ?`,
    [digest(token), new Date(now.getTime() - ABSOLUTE_MS), new Date(now.getTime() - IDLE_MS)],
  );
  if (!row) return null;
  if (now.getTime() - row.lastSeenAt.getTime() > SEEN_EVERY_MS)
    await change(db, 'UPDATE sign_in SET last_seen_at = ? WHERE token_hash = ?', [now, digest(token)]);
  return { accountId: row.accountId, name: row.name, role: row.role, practice: practiceFrom(row) };
}

export async function endSession(db: Db, token: string): Promise<void> {
  await change(db, 'DELETE FROM sign_in WHERE token_hash = ?', [digest(token)]);
}

/** Signs an account out of every browser. */
export async function endSessionsOf(db: Db, accountId: string): Promise<void> {
  await change(db, 'DELETE FROM sign_in WHERE account_id = ?', [accountId]);
}
