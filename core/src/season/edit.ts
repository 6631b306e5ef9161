import { daysBetween } from '../caution/index.ts';
import { addDays } from '../load/index.ts';
import type { Anchor, Block, PhaseId, SeasonEvent } from './types.ts';

/** Where a block begins or ends; where one ends and the next begins on the day after, it is one edge. `day`: the first day after it. */
export interface Edge {
  readonly day: string;
  /** The block that ends before it, and the one that begins at it, by index; null for none. */
  readonly ends: number | null;
  readonly begins: number | null;
}

/** The edges of a line from left to right. */
export function edgesOf(blocks: readonly Block[]): Edge[] {
  const edges: Edge[] = [];
  blocks.forEach(({ from, until }, i) => {
    const last = edges.at(-1);
    if (last && last.ends === i - 1 && last.day === from) edges[edges.length - 1] = { ...last, begins: i };
    else edges.push({ day: from, ends: null, begins: i });
    edges.push({ day: addDays(until, 1), ends: i, begins: null });
  });
  return edges;
}

/** Days an edge may be moved to: every block keeps a day, and none runs into another. */
export function edgeRoom(
  blocks: readonly Block[],
  { ends, begins }: Edge,
): { readonly earliest: string | null; readonly latest: string | null } {
  const before = ends !== null ? blocks[ends]! : null;
  const after = begins !== null ? blocks[begins]! : null;
  const gapBefore = before === null && begins! > 0 ? blocks[begins! - 1]! : null;
  const gapAfter = after === null && ends! + 1 < blocks.length ? blocks[ends! + 1]! : null;
  return {
    earliest: before ? addDays(before.from, 1) : gapBefore ? addDays(gapBefore.until, 1) : null,
    latest: after ? after.until : gapAfter ? gapAfter.from : null,
  };
}

/** What is further from the event than this stands by itself. */
const ANCHORED_WITHIN_DAYS = 120;
const shifted = (anchor: Anchor | null, by: number): Anchor | null => {
  if (anchor === null) return null;
  const days = anchor.days + by;
  return Math.abs(days) <= ANCHORED_WITHIN_DAYS ? { ...anchor, days } : null;
};

/** A line with one edge on another day, as near as its room allows; an end that moves with an event keeps to it at its new distance. */
export function moveEdge(blocks: readonly Block[], edge: Edge, wanted: string): Block[] {
  const { earliest, latest } = edgeRoom(blocks, edge);
  let day = wanted;
  if (latest !== null && day > latest) day = latest;
  if (earliest !== null && day < earliest) day = earliest;
  const by = daysBetween(edge.day, day);
  return blocks.map((block, i) => ({
    ...block,
    ...(i === edge.begins ? { from: day, fromAnchor: shifted(block.fromAnchor, by) } : {}),
    ...(i === edge.ends ? { until: addDays(day, -1), untilAnchor: shifted(block.untilAnchor, by) } : {}),
  }));
}

/**
 * A line with one block more: what lay on those days gives way, and a block that it lies inside of goes on after it. So a line can be typed
 * in any order.
 */
export function putBlock(blocks: readonly Block[], put: Block): Block[] {
  const left = blocks.flatMap((block) => {
    if (block.until < put.from || put.until < block.from) return [block];
    return [
      ...(block.from < put.from ? [{ ...block, until: addDays(put.from, -1), untilAnchor: null }] : []),
      ...(put.until < block.until ? [{ ...block, from: addDays(put.until, 1), fromAnchor: null }] : []),
    ];
  });
  return joined([...left, put].sort((a, b) => (a.from < b.from ? -1 : 1)));
}

/** A line without one of its blocks; its days are in none. */
export const withoutBlock = (blocks: readonly Block[], index: number): Block[] => blocks.filter((_, i) => i !== index);

/** A line with a block's phase changed; neighbours of the same phase become one. */
export const withPhase = (blocks: readonly Block[], index: number, phase: PhaseId): Block[] =>
  joined(blocks.map((block, i) => (i === index ? { ...block, phase } : block)));

/** A line in which a block and the next of the same phase, without a day between, are one. */
function joined(blocks: readonly Block[]): Block[] {
  const out: Block[] = [];
  for (const block of blocks) {
    const last = out.at(-1);
    if (last && last.phase === block.phase && addDays(last.until, 1) === block.from)
      out[out.length - 1] = { ...last, until: block.until, untilAnchor: block.untilAnchor };
    else out.push(block);
  }
  return out;
}

/**
 * A line after an event moved by some days: ends that stand at a distance from it go along, the rest stays. Where one would run into a
 * neighbour, the neighbour gives way down to a day and is left out below that; `gone` says which.
 */
export function afterMove(
  blocks: readonly Block[],
  event: Pick<SeasonEvent, 'id'>,
  by: number,
): { readonly blocks: Block[]; readonly gone: readonly Block[] } {
  const moves = (anchor: Anchor | null) => anchor?.eventId === event.id;
  const moved = blocks.map((block, i) => {
    const next = blocks[i + 1];
    const before = blocks[i - 1];
    // One edge, whichever of its two ends is tied to the event.
    const endsWith = moves(block.untilAnchor) || (next !== undefined && moves(next.fromAnchor) && addDays(block.until, 1) === next.from);
    const beginsWith =
      moves(block.fromAnchor) || (before !== undefined && moves(before.untilAnchor) && addDays(before.until, 1) === block.from);
    return {
      block,
      tied: moves(block.fromAnchor) || moves(block.untilAnchor),
      now: {
        ...block,
        from: beginsWith ? addDays(block.from, by) : block.from,
        until: endsWith ? addDays(block.until, by) : block.until,
      },
    };
  });
  // What goes along keeps its days; what stays gives way to it.
  for (const { tied, now } of moved)
    if (tied)
      for (const other of moved)
        if (!other.tied && other.now.from <= now.until && now.from <= other.now.until) {
          if (other.block.from < now.from) other.now = { ...other.now, until: addDays(now.from, -1) };
          else other.now = { ...other.now, from: addDays(now.until, 1) };
        }
  const kept: Block[] = [];
  const gone: Block[] = [];
  for (const { block, now } of moved) {
    const before = kept.at(-1);
    const from = before && now.from <= before.until ? addDays(before.until, 1) : now.from;
    if (now.until < from) gone.push(block);
    else kept.push({ ...now, from });
  }
  return { blocks: kept, gone };
}

/** A line with what a template lays out: on its days nothing else is left, what was over before it stays. */
export function putLine(blocks: readonly Block[], laid: readonly Block[]): Block[] {
  const from = laid[0]?.from;
  if (from === undefined) return [...blocks];
  const kept = blocks.flatMap((block) =>
    block.until < from ? [block] : block.from < from ? [{ ...block, until: addDays(from, -1), untilAnchor: null }] : [],
  );
  return [...kept, ...laid];
}
