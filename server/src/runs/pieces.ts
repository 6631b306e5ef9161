import type { BlockPlan } from '@pace-bend/core/method';
import { LIMITS, lineOfRun } from '@pace-bend/core/record';
import type { PracticeRow } from '../access/sessions.ts';
import { requireSoundBlocks } from '../blocks/check.ts';
import { requireRoom } from '../blocks/room.ts';
import { cautionsOfVisit, requireAllowed } from '../cautions/context.ts';
import type { Db } from '../db/pool.ts';
import { runById, type SentEvent } from '../done/runs.ts';
import { notFound, Problem } from '../http/problem.ts';
import { shelfFor } from '../shelf/queries.ts';
import { findVisit } from '../visits/find.ts';

/**
 * Events as they are kept: of a block put in at the table the line is compiled here, from the same input the run began with, and held
 * against the cautions as every plan is; what the browser compiled is not taken.
 */
export async function withPieces(db: Db, practice: PracticeRow, runId: string, events: readonly SentEvent[]): Promise<SentEvent[]> {
  if (!events.some(isPut)) return [...events];
  const run = await runById(db, runId);
  if (!run) throw notFound('This run');
  const { context, overrides } = await cautionsOfVisit(db, practice, await findVisit(db, practice, run.visitId));
  const put = run.events.filter(({ event }) => event.kind === 'put').length + events.filter(isPut).length;
  if (put > LIMITS.blocksInPlan) throw new Problem('full', `A run takes ${LIMITS.blocksInPlan} blocks put in at the table at most.`);
  const kept: SentEvent[] = [];
  for (const event of events) {
    if (!isPut(event)) {
      kept.push(event);
      continue;
    }
    const blocks = [event.block];
    const shelf = await shelfFor(db, practice.id, blocks);
    requireSoundBlocks(blocks, shelf);
    requireAllowed(context, overrides, blocks, shelf);
    const line = lineOfRun({ ...run.input, blocks }, shelf);
    requireRoom(line, JSON.stringify(line));
    kept.push({ ...event, piece: { cues: line.cues, blocks: line.blocks } });
  }
  return kept;
}

const isPut = (event: SentEvent): event is SentEvent & { readonly block: BlockPlan } => event.kind === 'put';
