import type { DueFacts, DueFile } from '@pace-bend/core/cycle';
import { laidOver, seasonDay } from '@pace-bend/core/season';
import type { PracticeRow } from '../access/sessions.ts';
import { responseFacts } from '../athleteFile/response.ts';
import { conditionsOf } from '../athletes/conditions.ts';
import { goalsOf } from '../athletes/goals.ts';
import { firstRow, iso, rows, type Db } from '../db/pool.ts';
import { dayBounds, dayIn } from '../http/days.ts';
import { errorKnowledge } from '../studies/queries.ts';
import { seasonFactsOf } from '../seasons/queries.ts';

/** So many athletes are looked at: those seen last, and before them those who never were. */
const MOST = 60;

/**
 * What says who of a practice is due. Athletes who are out up to a day, today where none is named, are left out; a visit of today that is not
 * finished is still the next one.
 */
export async function dueFile(db: Db, practice: PracticeRow, now: Date, outUntil?: string): Promise<DueFile> {
  const day = dayIn(practice.timeZone, now);
  const total = await firstRow<{ n: number }>(db, 'SELECT COUNT(*) AS n FROM athlete WHERE practice_id = ?', [practice.id]);
  const athletes = await rows<{ id: string; name: string; lastAt: Date | null; nextAt: Date | null }>(
    db,
    `SELECT a.id, a.name, MAX(CASE WHEN v.finished_at IS NOT NULL THEN v.starts_at END) AS lastAt,
       MIN(CASE WHEN v.finished_at IS NULL AND v.starts_at >= ? THEN v.starts_at END) AS nextAt
     FROM athlete a LEFT JOIN visit v ON v.athlete_id = a.id AND v.cancelled_at IS NULL
     WHERE a.practice_id = ? AND NOT (a.availability = 'out' AND (a.available_until IS NULL OR a.available_until >= ?))
     GROUP BY a.id, a.name ORDER BY MAX(CASE WHEN v.finished_at IS NOT NULL THEN v.starts_at END) IS NULL DESC, MAX(CASE WHEN v.finished_at IS NOT NULL THEN v.starts_at END) DESC, a.id LIMIT ${MOST}`,
    [dayBounds(day, practice.timeZone).from, practice.id, outUntil ?? day],
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
