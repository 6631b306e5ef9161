import type { BlockPlan, Line } from '@pace-bend/core/method';
import { LIMITS } from '@pace-bend/core/record';
import { Problem } from '../http/problem.ts';
import { firstRow, rows, type Db } from '../db/pool.ts';

const kB = (bytes: number) => Math.round(bytes / 1024);

/** Refuses a plan of more rounds than a run could hold, before it is compiled. */
export function requireFewRounds(blocks: readonly Pick<BlockPlan, 'sides'>[]): void {
  const rounds = blocks.flatMap((block) => block.sides).reduce((sum, side) => sum + side.rounds, 0);
  if (rounds > LIMITS.roundsInRun)
    throw new Problem(
      'too-long',
      `This plan has ${rounds} rounds; a run holds ${LIMITS.roundsInRun} at most. Take rounds or blocks out, or run it in two parts.`,
      [{ path: 'blocks', message: `${LIMITS.roundsInRun} rounds at most.` }],
    );
}

/** Refuses a plan that is too much for one run, before anything is kept of it. */
export function requireRoom(line: Line, text: string): void {
  if (line.cues.length > LIMITS.cuesInRun)
    throw new Problem(
      'too-long',
      `This plan has ${line.cues.length} cues; a run holds ${LIMITS.cuesInRun} at most. Take rounds or blocks out, or run it in two parts.`,
      [{ path: 'blocks', message: `${LIMITS.cuesInRun} cues at most.` }],
    );
  if (text.length > LIMITS.runBytes)
    throw new Problem(
      'too-long',
      `This plan takes ${kB(text.length)} kB; a run holds ${kB(LIMITS.runBytes)} kB at most. Take rounds or blocks out, or run it in two parts.`,
      [{ path: 'blocks', message: `${kB(LIMITS.runBytes)} kB at most.` }],
    );
}

/** Refuses events past what a visit keeps of all its runs. Asked inside the transaction that holds the run. */
export async function requireRoomForEvents(db: Db, runId: string, fresh: number): Promise<void> {
  const held = await firstRow<{ n: number | string }>(
    db,
    'SELECT COUNT(*) AS n FROM run_event e JOIN run r ON r.id = e.run_id WHERE r.visit_id = (SELECT visit_id FROM run WHERE id = ?)',
    [runId],
  );
  if (Number(held?.n ?? 0) + fresh > LIMITS.eventsOfVisit)
    throw new Problem(
      'full',
      `A visit keeps ${LIMITS.eventsOfVisit} events of its runs at most. What was kept stays. Book another visit for the rest.`,
    );
}

/** Refuses a run that would make the visit's file too large to open quickly at the table. Holds the visit's row until the transaction ends. */
export async function requireRoomInVisit(db: Db, visitId: string, bytes: number): Promise<void> {
  await rows(db, 'SELECT id FROM visit WHERE id = ? FOR UPDATE', [visitId]);
  const held = await firstRow<{ bytes: number | string | null }>(db, 'SELECT SUM(LENGTH(line)) AS bytes FROM run WHERE visit_id = ?', [
    visitId,
  ]);
  const sum = Number(held?.bytes ?? 0) + bytes;
  if (sum > LIMITS.runsOfVisitBytes)
    throw new Problem(
      'full',
      `The runs of this visit would take ${kB(sum)} kB; a visit holds ${kB(LIMITS.runsOfVisitBytes)} kB at most. What was run stays. Book another visit for the rest.`,
    );
}
