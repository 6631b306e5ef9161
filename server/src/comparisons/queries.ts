import { comparisonVisits, type Comparison, type ComparisonFields, type Which } from '@pace-bend/core/cycle';
import type { ComparisonStep, PastBlock, Visit } from '@pace-bend/core/record';
import type { Side } from '@pace-bend/core/body';
import type { PracticeRow } from '../access/sessions.ts';
import { change, rows, type Db } from '../db/pool.ts';
import { dayIn } from '../http/days.ts';

/** A comparison with the whole order that was drawn. Never sent: of the order only what was done, and the next, is shown. */
export interface DrawnComparison extends Omit<Comparison, 'order'> {
  readonly drawn: readonly Which[];
}

interface ComparisonRow {
  readonly id: string;
  readonly motionId: string;
  readonly side: Side;
  readonly entryId: string;
  readonly wayA: string;
  readonly wayB: string;
  readonly drawn: string;
  readonly startedOn: string;
  readonly endedOn: string | null;
  readonly revision: number;
}

/** All comparisons of an athlete, the newest first. `lock`: nobody plans or ends one until the transaction is over. */
export async function comparisonsOf(db: Db, athleteId: string, lock = false): Promise<DrawnComparison[]> {
  const found = await rows<ComparisonRow>(
    db,
    `SELECT id, motion_id AS motionId, side, entry_id AS entryId, way_a AS wayA, way_b AS wayB, drawn, started_on AS startedOn, ended_on AS endedOn, revision
     FROM way_comparison WHERE athlete_id = ? ORDER BY started_on DESC, id DESC${lock ? ' FOR UPDATE' : ''}`,
    [athleteId],
  );
  return found.map(({ wayA, wayB, drawn, ...row }) => ({
    ...row,
    ways: [wayA, wayB],
    pairs: drawn.length / 2,
    drawn: [...drawn] as Which[],
  }));
}

export async function insertComparison(
  db: Db,
  athleteId: string,
  id: string,
  { motionId, side, entryId, ways }: ComparisonFields,
  drawn: readonly Which[],
  startedOn: string,
  by: string,
): Promise<void> {
  await change(
    db,
    'INSERT INTO way_comparison (id, athlete_id, motion_id, side, entry_id, way_a, way_b, drawn, started_on, made_by) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)',
    [id, athleteId, motionId, side, entryId, ways[0], ways[1], drawn.join(''), startedOn, by],
  );
}

/** Ends one if it has the revision the change was made on. */
export async function endComparison(db: Db, athleteId: string, id: string, revision: number, on: string): Promise<boolean> {
  return (
    (await change(
      db,
      'UPDATE way_comparison SET ended_on = ?, revision = revision + 1 WHERE id = ? AND athlete_id = ? AND revision = ? AND ended_on IS NULL',
      [on, id, athleteId, revision],
    )) === 1
  );
}

/** A comparison as it is shown: of the order what was done, and while it runs the next. */
export function shownComparison({ drawn, ...comparison }: DrawnComparison, blocks: readonly PastBlock[], timeZone: string): Comparison {
  const done = comparisonVisits(comparison, blocks, (instant) => dayIn(timeZone, new Date(instant))).length;
  return { ...comparison, order: drawn.slice(0, comparison.endedOn === null ? done + 1 : done) };
}

/** Whether there is a visit left to do. */
export const isRunning = (comparison: DrawnComparison, blocks: readonly PastBlock[], timeZone: string): boolean =>
  comparison.endedOn === null &&
  comparisonVisits(comparison, blocks, (instant) => dayIn(timeZone, new Date(instant))).length < comparison.drawn.length;

/** What a visit is to do for the comparison that runs, or null. `blocks`: what was done before it. */
export async function stepOfVisit(
  db: Db,
  practice: PracticeRow,
  visit: Visit,
  blocks: readonly PastBlock[],
): Promise<ComparisonStep | null> {
  const day = dayIn(practice.timeZone, new Date(visit.startsAt));
  for (const comparison of await comparisonsOf(db, visit.athleteId)) {
    const { id, motionId, side, entryId, ways, drawn, startedOn, endedOn } = comparison;
    if (day < startedOn || (endedOn !== null && day > endedOn)) continue;
    const done = comparisonVisits(comparison, blocks, (instant) => dayIn(practice.timeZone, new Date(instant))).length;
    const next = drawn[done];
    if (next !== undefined) return { id, motionId, side, entryId, methodId: ways[next === 'a' ? 0 : 1], step: done + 1, of: drawn.length };
  }
  return null;
}
