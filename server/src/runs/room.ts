import type { Line } from '@pace-bend/core/method';
import { LIMITS } from '@pace-bend/core/record';
import { Problem } from '../app/problem.ts';
import { firstRow, rows, type Db } from '../db/pool.ts';

const kB = (bytes: number) => Math.round(bytes / 1024);

/** Refuses a plan that is too much for one run, before anything is kept of it. */
export function requireRoom(line: Line, text: string): void {
  if (line.cues.length > LIMITS.cuesInRun) throw new Problem(422, 'Too long', `This plan has ${line.cues.length} cues; a run holds ${LIMITS.cuesInRun} at most. Take rounds or blocks out, or run it in two parts.`, [{ path: 'blocks', message: `${LIMITS.cuesInRun} cues at most.` }]);
  if (text.length > LIMITS.runBytes) throw new Problem(422, 'Too long', `This plan takes ${kB(text.length)} kB; a run holds ${kB(LIMITS.runBytes)} kB at most. Take rounds or blocks out, or run it in two parts.`, [{ path: 'blocks', message: `${kB(LIMITS.runBytes)} kB at most.` }]);
}

/** Refuses a run that would make the visit's file too large to open quickly at the table. Holds the visit's row until the transaction ends. */
export async function requireRoomInVisit(db: Db, visitId: string, bytes: number): Promise<void> {
  await rows(db, 'SELECT id FROM visit WHERE id = ? FOR UPDATE', [visitId]);
  const held = await firstRow<{ bytes: number | string | null }>(db, 'SELECT SUM(LENGTH(line)) AS bytes FROM run WHERE visit_id = ?', [visitId]);
  const sum = Number(held?.bytes ?? 0) + bytes;
  if (sum > LIMITS.runsOfVisitBytes) throw new Problem(409, 'Full', `The runs of this visit would take ${kB(sum)} kB; a visit holds ${kB(LIMITS.runsOfVisitBytes)} kB at most. What was run stays. Book another visit for the rest.`);
}
