import { daysBetween } from '../caution/index.ts';
import { addDays } from '../load/index.ts';
import { afterMove } from './edit.ts';
import { blockOn, laidOver } from './plan.ts';
import type { Block, SeasonEvent, SeasonPlan } from './types.ts';

/** A line that changes when an event moves. */
export interface MovedLine {
  readonly owner: 'everybody' | 'squad' | 'athlete';
  readonly ownerId: string;
  readonly name: string;
  readonly revision: number;
  readonly before: readonly Block[];
  readonly after: readonly Block[];
  /** Blocks that nothing is left of. */
  readonly gone: readonly Block[];
}

/** A visit that goes along: `day` is its day now, `toDay` the one it would have. */
export interface MovedVisit {
  readonly id: string;
  readonly day: string;
  readonly toDay: string;
  readonly from: Block;
}

/** The lines that change when an event moves to another day, each as it would be. Lines without an end tied to the event are not in it. */
export function movedLines(
  plans: readonly (Pick<MovedLine, 'owner' | 'ownerId' | 'name' | 'revision'> & { readonly plan: SeasonPlan })[],
  event: SeasonEvent,
  toDay: string,
): MovedLine[] {
  const by = daysBetween(event.onDate, toDay);
  if (by === 0) return [];
  return plans.flatMap(({ owner, ownerId, name, revision, plan: { blocks } }) => {
    if (!blocks.some(({ fromAnchor, untilAnchor }) => fromAnchor?.eventId === event.id || untilAnchor?.eventId === event.id)) return [];
    const { blocks: after, gone } = afterMove(blocks, event, by);
    return [{ owner, ownerId, name, revision, before: blocks, after, gone }];
  });
}

/**
 * The visits of an athlete that go along with an event: those that lie in a stretch of the line they follow that begins by the event (the
 * sharpening before it, the competing, the recovery after it). What lies in longer stretches that only end by it stays where it is.
 */
export function movedVisits(
  visits: readonly { readonly id: string; readonly day: string }[],
  lines: { readonly followed: readonly Block[]; readonly own: readonly Block[] },
  event: SeasonEvent,
  toDay: string,
): MovedVisit[] {
  const by = daysBetween(event.onDate, toDay);
  const line = laidOver(lines.followed, lines.own);
  return visits.flatMap(({ id, day }) => {
    const block = blockOn(line, day);
    return block && block.fromAnchor?.eventId === event.id ? [{ id, day, toDay: addDays(day, by), from: block }] : [];
  });
}
