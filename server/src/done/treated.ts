import type { Line } from '@pace-bend/core/method';
import { blocksDone, type DoneBlock } from '@pace-bend/core/record';
import type { CueSeconds } from '@pace-bend/core/session';
import { foldRun, lineNow, type RunState } from '@pace-bend/core/table';
import { change, firstRow, fromJson, rows, type Db } from '../db/pool.ts';
import { eventsOf } from './runs.ts';

/**
 * The one place that says which runs were work on an athlete, as a condition on the row `r`: those by the real clock. A
 * walk-through with a faster one shows a plan to somebody; nobody was touched. What was done to an athlete, what their week and the
 * therapist's hands hold, and what an athlete's range answered with all read runs through this.
 */
const TREATED = 'r.clock_rate = 1';

/** A run that was work on an athlete, as it happened. */
export interface TreatedRun {
  readonly visitId: string;
  readonly line: Line;
  readonly state: RunState;
}

/** The seconds each cue of a run really had. */
export function cueSeconds({ state }: Pick<TreatedRun, 'state'>): CueSeconds {
  const seconds = new Map<number, number>();
  for (const { cueIndex, startMs, endMs } of state.spans) seconds.set(cueIndex, (seconds.get(cueIndex) ?? 0) + (endMs - startMs) / 1000);
  return (index) => seconds.get(index) ?? 0;
}

/** Whose visits, as the condition on `v`, `a` and `r`, is wanted. Cancelled visits have none. */
const FROM = `FROM visit v JOIN athlete a ON a.id = v.athlete_id JOIN run r ON r.visit_id = v.id WHERE v.cancelled_at IS NULL AND ${TREATED}`;

/** Treated runs with what happened in them. `condition` is on the rows `v` (visit), `a` (athlete) and `r` (run). */
export async function treatedRuns(db: Db, condition: string, params: readonly (string | Date)[]): Promise<TreatedRun[]> {
  const found = await rows<{ id: string; visitId: string; line: unknown }>(
    db,
    `SELECT r.id, v.id AS visitId, r.line ${FROM} AND ${condition}`,
    params,
  );
  return Promise.all(
    found.map(async ({ id, visitId, line }) => {
      const happened = await asItHappened(db, id, fromJson<Line>(line));
      // With what was amended at the table: what is counted is what was done.
      return { visitId, state: happened.state, line: lineNow(happened.line, happened.state) };
    }),
  );
}

/** What treated runs did, block by block, oldest first. */
export async function treatedBlocks(
  db: Db,
  condition: string,
  params: readonly (string | Date)[],
): Promise<{ readonly visitId: string; readonly startsAt: Date; readonly done: readonly DoneBlock[] }[]> {
  const found = await rows<{ id: string; visitId: string; startsAt: Date; done: unknown }>(
    db,
    `SELECT r.id, v.id AS visitId, v.starts_at AS startsAt, r.done ${FROM} AND ${condition} ORDER BY v.starts_at, r.started_at, r.id`,
    params,
  );
  return Promise.all(
    found.map(async ({ id, visitId, startsAt, done }) => ({
      visitId,
      startsAt,
      done: done === null ? await doneOf(db, id) : fromJson<DoneBlock[]>(done),
    })),
  );
}

/** Keeps what a run did by now beside its line, in the transaction of the events that say so. Nobody asks a walk-through. */
export async function keepDone(db: Db, runId: string): Promise<void> {
  if (!(await firstRow(db, `SELECT r.id FROM run r WHERE r.id = ? AND ${TREATED}`, [runId]))) return;
  await change(db, 'UPDATE run SET done = ? WHERE id = ?', [JSON.stringify(await doneOf(db, runId)), runId]);
}

async function doneOf(db: Db, runId: string): Promise<DoneBlock[]> {
  const row = await firstRow<{ line: unknown }>(db, 'SELECT line FROM run WHERE id = ?', [runId]);
  if (!row) return [];
  const { line, state } = await asItHappened(db, runId, fromJson<Line>(row.line));
  return blocksDone(line, state);
}

async function asItHappened(db: Db, runId: string, line: Line): Promise<Pick<TreatedRun, 'line' | 'state'>> {
  return {
    line,
    state: foldRun(
      line,
      (await eventsOf(db, runId)).map(({ event }) => event),
    ),
  };
}
