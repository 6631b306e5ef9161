import { seasonCalendar } from '@pace-bend/core/exchange';
import type { SeasonFile, SeasonOwner } from '@pace-bend/core/record';
import { laidOver } from '@pace-bend/core/season';
import { practiceById, type PracticeRow } from '../access/sessions.ts';
import { digest, newToken } from '../access/tokens.ts';
import { change, firstRow, iso, rows, snapshot, type Db, type Pool } from '../db/pool.ts';
import { notFound } from '../http/problem.ts';
import { seasonFile } from './file.ts';

/** A calendar that other programs subscribe to. */
export interface CalendarLink {
  readonly id: string;
  readonly owner: SeasonOwner;
  /** The athlete or squad, by name, or everybody. */
  readonly of: string;
  readonly madeAt: string;
  readonly madeBy: string;
}

const KIND: Readonly<Record<SeasonOwner, string>> = { everybody: 'practice', squad: 'squad', athlete: 'athlete' };
const OWNER: Readonly<Record<string, SeasonOwner>> = { practice: 'everybody', squad: 'squad', athlete: 'athlete' };

/** Makes a link; returns its token, which is kept nowhere. */
export async function insertCalendar(
  db: Db,
  practiceId: string,
  { id, owner, ownerId }: { readonly id: string; readonly owner: SeasonOwner; readonly ownerId: string },
  at: Date,
  by: string,
): Promise<string> {
  const token = newToken();
  await change(
    db,
    'INSERT INTO calendar_link (id, token_hash, practice_id, kind, squad_id, athlete_id, made_at, made_by) VALUES (?, ?, ?, ?, ?, ?, ?, ?)',
    [id, digest(token), practiceId, KIND[owner], owner === 'squad' ? ownerId : null, owner === 'athlete' ? ownerId : null, at, by],
  );
  return token;
}

export async function openCalendars(db: Db, practiceId: string): Promise<CalendarLink[]> {
  const found = await rows<{ id: string; kind: string; of: string; madeAt: Date; madeBy: string }>(
    db,
    `SELECT l.id, l.kind, COALESCE(a.name, s.name, 'everybody') AS \`of\`, l.made_at AS madeAt, l.made_by AS madeBy
     FROM calendar_link l LEFT JOIN athlete a ON a.id = l.athlete_id LEFT JOIN squad s ON s.id = l.squad_id
     WHERE l.practice_id = ? AND l.revoked_at IS NULL ORDER BY l.made_at, l.id`,
    [practiceId],
  );
  return found.map(({ id, kind, of, madeAt, madeBy }) => ({ id, owner: OWNER[kind]!, of, madeAt: iso(madeAt), madeBy }));
}

/** Ends a subscription; returns whether there is such a one. */
export async function revokeCalendar(db: Db, practiceId: string, id: string, at: Date): Promise<boolean> {
  await change(db, 'UPDATE calendar_link SET revoked_at = ? WHERE id = ? AND practice_id = ? AND revoked_at IS NULL', [at, id, practiceId]);
  return (await rows(db, 'SELECT id FROM calendar_link WHERE id = ? AND practice_id = ?', [id, practiceId])).length > 0;
}

/** The calendar behind a token. One that was ended is as unknown as one that never was. */
export async function calendarBehind(pool: Pool, token: string, now: Date): Promise<string> {
  const link = await firstRow<{ practiceId: string; kind: string; squadId: string | null; athleteId: string | null }>(
    pool,
    'SELECT practice_id AS practiceId, kind, squad_id AS squadId, athlete_id AS athleteId FROM calendar_link WHERE token_hash = ? AND revoked_at IS NULL',
    [digest(token)],
  );
  if (!link) throw notFound('This calendar');
  const practice = await practiceById(pool, link.practiceId);
  return calendarText(pool, practice, OWNER[link.kind]!, link.squadId ?? link.athleteId ?? practice.id, now);
}

/**
 * A season as a calendar: blocks and events of its owner, and visits. A visit bears the athlete's name in the practice's own calendar only: a
 * squad's goes to many and has no visits, an athlete's needs no name.
 */
export async function calendarText(pool: Pool, practice: PracticeRow, owner: SeasonOwner, id: string, now: Date): Promise<string> {
  const file = await snapshot(pool, (db) => seasonFile(db, practice, owner, id, now));
  return seasonCalendar(
    {
      name: owner === 'everybody' ? practice.name : file.name,
      lines: [lineOf(file)],
      events: file.events.filter((event) => !file.plan.notAt.includes(event.id)),
      visits:
        owner === 'squad'
          ? []
          : file.visits.map(({ id: visitId, startsAt, minutes, athleteName }) => ({
              id: visitId,
              startsAt,
              minutes,
              who: owner === 'everybody' ? athleteName : null,
            })),
    },
    now.toISOString(),
  );
}

function lineOf({ ownerId, name, plan, followed }: SeasonFile) {
  return {
    ownerId,
    name,
    blocks: laidOver(followed?.plan.blocks ?? [], plan.blocks),
    stays: [...plan.stays, ...(followed?.plan.stays ?? [])],
  };
}
