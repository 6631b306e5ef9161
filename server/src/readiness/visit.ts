import { addDays } from '@pace-bend/core/load';
import {
  READINESS_DAYS,
  readinessToday,
  type Athlete,
  type ReadinessKept,
  type ReadinessOutcome,
  type ReadinessSetAside,
  type ReadinessToday,
  type Visit,
  type VisitReadiness,
} from '@pace-bend/core/record';
import type { PracticeRow } from '../access/sessions.ts';
import { goalsOf } from '../athletes/goals.ts';
import { athleteById } from '../athletes/queries.ts';
import { checkInsOf } from '../checkIns/queries.ts';
import { change, firstRow, fromJson, iso, rows, type Db } from '../db/pool.ts';
import { eventsAround } from '../events/queries.ts';
import { dayIn } from '../http/days.ts';
import { notFound } from '../http/problem.ts';
import { loadsOf } from '../loads/queries.ts';
import { pastReadings, readingsOf } from '../measured/queries.ts';
import { pastBlocks } from '../done/past.ts';
import { seasonDayOf } from '../seasons/queries.ts';
import { ownSportsOf } from '../sports/queries.ts';
import { errorKnowledge } from '../studies/queries.ts';

/** How far back loads are looked at: a usual day of yesterday needs 28 before it. */
const LOAD_DAYS = 42;

export async function asidesOf(db: Db, visitId: string): Promise<ReadinessSetAside[]> {
  const found = await rows<Omit<ReadinessSetAside, 'at'> & { at: Date }>(
    db,
    'SELECT id, limit_id AS limitId, reason, made_at AS at, made_by AS `by` FROM readiness_aside WHERE visit_id = ? ORDER BY made_at, id',
    [visitId],
  );
  return found.map((row) => ({ ...row, at: iso(row.at) }));
}

export async function insertAside(
  db: Db,
  visitId: string,
  id: string,
  { limitId, reason }: Pick<ReadinessSetAside, 'limitId' | 'reason'>,
  at: Date,
  by: string,
): Promise<void> {
  await change(db, 'INSERT INTO readiness_aside (id, visit_id, limit_id, reason, made_at, made_by) VALUES (?, ?, ?, ?, ?, ?)', [
    id,
    visitId,
    limitId,
    reason,
    at,
    by,
  ]);
}

export async function keptOf(db: Db, visitId: string): Promise<ReadinessKept | null> {
  const row = await firstRow<
    Omit<ReadinessKept, 'acceptedAt' | 'reasons' | 'limits'> & { acceptedAt: Date; reasons: unknown; limits: unknown }
  >(db, 'SELECT word, reasons, limits, accepted_at AS acceptedAt, accepted_by AS `by`, outcome FROM readiness_kept WHERE visit_id = ?', [
    visitId,
  ]);
  return row && { ...row, acceptedAt: iso(row.acceptedAt), reasons: fromJson(row.reasons), limits: fromJson(row.limits) };
}

/** Keeps what is known of the day now; an outcome that was said before stands until another is. */
export async function keep(
  db: Db,
  visitId: string,
  { verdict, limits }: Pick<ReadinessToday, 'verdict' | 'limits'>,
  outcome: ReadinessOutcome | null,
  at: Date,
  by: string,
): Promise<void> {
  await change(
    db,
    `INSERT INTO readiness_kept (visit_id, word, reasons, limits, accepted_at, accepted_by, outcome) VALUES (?, ?, ?, ?, ?, ?, ?)
     ON DUPLICATE KEY UPDATE word = VALUES(word), reasons = VALUES(reasons), limits = VALUES(limits), accepted_at = VALUES(accepted_at), accepted_by = VALUES(accepted_by), outcome = COALESCE(VALUES(outcome), outcome)`,
    [
      visitId,
      verdict.word,
      JSON.stringify(verdict.reasons.map(({ ruleId, reason, weight }) => ({ ruleId, reason, weight }))),
      JSON.stringify(limits.map(({ id, because }) => ({ id, because }))),
      at,
      by,
      outcome,
    ],
  );
}

/** Says how the session went, of a day that was taken in; returns whether it was. */
export async function setOutcome(db: Db, visitId: string, outcome: ReadinessOutcome): Promise<boolean> {
  await change(db, 'UPDATE readiness_kept SET outcome = ? WHERE visit_id = ?', [outcome, visitId]);
  return (await keptOf(db, visitId))?.outcome === outcome;
}

/** What a visit's file holds of how its athlete is on its day. */
export async function visitReadiness(db: Db, practice: PracticeRow, visit: Visit): Promise<VisitReadiness> {
  const day = dayIn(practice.timeZone, new Date(visit.startsAt));
  return {
    scale: practice.checkInScale,
    checkIns: await checkInsOf(db, visit.athleteId, addDays(day, -READINESS_DAYS), day),
    loads: await loadsOf(db, visit.athleteId, addDays(day, -LOAD_DAYS), day),
    setAside: await asidesOf(db, visit.id),
    kept: await keptOf(db, visit.id),
  };
}

/** How the athlete of a visit is, worked out from what stands now. */
export async function readinessOfVisit(db: Db, practice: PracticeRow, visit: Visit): Promise<ReadinessToday> {
  const athlete = await athleteById(db, practice.id, visit.athleteId);
  // Erased since the visit was found.
  if (!athlete) throw notFound('This athlete');
  return readinessOfPerson(db, practice, athlete, visit);
}

/** The same of somebody who may not be on file yet: then only what holds for everybody is known. */
export async function readinessOfPerson(db: Db, practice: PracticeRow, athlete: Athlete, visit: Visit): Promise<ReadinessToday> {
  const day = dayIn(practice.timeZone, new Date(visit.startsAt));
  const events = await eventsAround(db, practice.id, visit.athleteId, day);
  return readinessToday(
    {
      athlete,
      goals: await goalsOf(db, visit.athleteId),
      past: await pastReadings(db, visit.athleteId, visit.startsAt),
      pastBlocks: await pastBlocks(db, visit),
      season: await seasonDayOf(db, practice, visit.athleteId, day),
      errors: await errorKnowledge(db, practice.id),
      nextEvent: events.next,
      lastEvent: events.last,
      readiness: await visitReadiness(db, practice, visit),
      readings: await readingsOf(db, visit.id),
      visit,
    },
    day,
    (instant) => dayIn(practice.timeZone, new Date(instant)),
    await ownSportsOf(db, practice.id),
  );
}
