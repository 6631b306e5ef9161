import { DUE_DAYS, type DueFacts, type DueFile } from '@pace-bend/core/cycle';
import { addDays } from '@pace-bend/core/load';
import { laidOver, seasonDay } from '@pace-bend/core/season';
import type { PracticeRow } from '../access/sessions.ts';
import { responseFacts } from '../athleteFile/response.ts';
import { conditionsOf } from '../athletes/conditions.ts';
import { goalsOf } from '../athletes/goals.ts';
import { firstRow, iso, rows, type Db } from '../db/pool.ts';
import { dayBounds, dayIn } from '../http/days.ts';
import { errorKnowledge } from '../studies/queries.ts';
import { seasonFactsOf } from '../seasons/queries.ts';

/** How many athletes are looked at: of those who were seen before, and of those who never were. */
export interface DueReach {
  readonly seen: number;
  readonly unseen: number;
}
const REACH: DueReach = { seen: 120, unseen: 120 };

/**
 * What says who of a practice is due. Where there are more than are looked at, those with a visit within ten days give way, for they are not
 * due, and then those seen longest ago; of those never seen the newest are there, so that an import of a whole club hides nobody who is known.
 * Athletes who are out up to a day, today where none is named, are left out; a visit of today that is not finished is still the next one.
 */
export async function dueFile(
  db: Db,
  practice: PracticeRow,
  now: Date,
  { outUntil, reach = REACH }: { readonly outUntil?: string; readonly reach?: DueReach } = {},
): Promise<DueFile> {
  const day = dayIn(practice.timeZone, now);
  const { from } = dayBounds(day, practice.timeZone);
  const total = await firstRow<{ n: number }>(db, 'SELECT COUNT(*) AS n FROM athlete WHERE practice_id = ?', [practice.id]);
  const athletes = await rows<{ id: string; name: string; lastAt: Date | null; nextAt: Date | null }>(
    db,
    `WITH held AS (
       SELECT a.id, a.name, a.created_at AS createdAt, MAX(CASE WHEN v.finished_at IS NOT NULL THEN v.starts_at END) AS lastAt,
         MIN(CASE WHEN v.finished_at IS NULL AND v.starts_at >= ? THEN v.starts_at END) AS nextAt
       FROM athlete a LEFT JOIN visit v ON v.athlete_id = a.id AND v.cancelled_at IS NULL
       WHERE a.practice_id = ? AND NOT (a.availability = 'out' AND (a.available_until IS NULL OR a.available_until >= ?))
       GROUP BY a.id, a.name, a.created_at
     ), placed AS (
       SELECT held.*, ROW_NUMBER() OVER (
         PARTITION BY lastAt IS NULL ORDER BY COALESCE(nextAt < ?, FALSE), COALESCE(lastAt, createdAt) DESC, id
       ) AS place FROM held
     )
     SELECT id, name, lastAt, nextAt FROM placed WHERE place <= IF(lastAt IS NULL, ?, ?) ORDER BY lastAt IS NULL DESC, lastAt DESC, id`,
    [from, practice.id, outUntil ?? day, dayBounds(addDays(day, DUE_DAYS.booked + 1), practice.timeZone).from, reach.unseen, reach.seen],
  );
  const found: DueFacts[] = [];
  for (const { id, name, lastAt, nextAt } of athletes) {
    const season = await seasonFactsOf(db, practice, id);
    const lately = lastAt
      ? await firstRow<{ lookFirst: string; referred: number }>(
          db,
          `SELECT v.look_first AS lookFirst, EXISTS (SELECT 1 FROM referral f WHERE f.visit_id = v.id) AS referred FROM visit v
           WHERE v.athlete_id = ? AND v.finished_at IS NOT NULL AND v.cancelled_at IS NULL ORDER BY v.starts_at DESC LIMIT 1`,
          [id],
        )
      : null;
    found.push({
      id,
      name,
      response: await responseFacts(db, practice.id, id, new Date(now.getTime() + 86_400_000)),
      conditions: await conditionsOf(db, id),
      goals: await goalsOf(db, id),
      lastVisitAt: lastAt ? iso(lastAt) : null,
      nextVisitAt: nextAt ? iso(nextAt) : null,
      lookFirst: lately?.lookFirst ?? '',
      referred: Number(lately?.referred ?? 0) === 1,
      season: seasonDay(season, day),
      line: laidOver(season.followed?.plan.blocks ?? [], season.own?.blocks ?? []),
    });
  }
  return { athletes: found, rules: practice.phases, errors: await errorKnowledge(db, practice.id), total: Number(total?.n ?? 0) };
}
