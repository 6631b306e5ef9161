import { motionOf, positionOn, type Position, type Side } from '../body/index.ts';
import { motionSide, type Entry } from '../catalogue/index.ts';
import { BUILT_IN, type BlockPlan, type Line, type Shelf } from '../method/index.ts';
import { SECONDS_A_SIDE } from '../record/index.ts';
import { placeReadings, type GapReadings, type ToRead } from './readings.ts';
import { CLOSING_S, moveSeconds, OPENING_S, placeOfBlock, SIDE_CHANGE_S } from './places.ts';

/** One part of a visit as it is drawn: with where it begins and how long it takes. */
export interface StripItem {
  readonly kind: 'opening' | 'turn' | 'side' | 'before' | 'block' | 'after' | 'close';
  readonly startS: number;
  readonly seconds: number;
  readonly position: Position;
  readonly words: string;
  readonly blockId?: string;
  readonly side?: Side;
  readonly motionId?: string;
}

export interface SessionStrip {
  readonly items: readonly StripItem[];
  readonly seconds: number;
  readonly turns: number;
}

export interface StripFacts {
  readonly blocks: readonly BlockPlan[];
  /** The plan compiled, or null while a number in it cannot be. */
  readonly line: Line | null;
  /** Whether a motion was read on a side before work today. */
  readonly isMeasured: (motionId: string, side: Side) => boolean;
  /** Whether cautions let a motion be measured on a side; left out, they do. */
  readonly mayMeasure?: (motionId: string, side: Side) => boolean;
  readonly shelf?: Shelf;
}

/**
 * The whole visit from the blocks in their order: opening, measuring what was not read yet, blocks side by side, changes of the side
 * of the table, turns, measuring again, close. Every item begins where the one before it ended, and everything is read where it takes the
 * least time for this row of blocks. This is the one clock: the planner weighs these seconds, and the plan, the sheet and the table show them.
 */
export function sessionStrip({ blocks, line, isMeasured, mayMeasure = () => true, shelf = BUILT_IN }: StripFacts): SessionStrip {
  const items: StripItem[] = [];
  let at = 0;
  let position: Position | null = null;
  /** The side the therapist stands at; work in the middle changes nothing about it, a turn does. */
  let standing: Side | null = null;
  const add = (item: Omit<StripItem, 'startS'>) => {
    items.push({ ...item, startS: at });
    at += item.seconds;
  };
  const passes = blocks.flatMap((block, blockIndex) => {
    const entry = shelf.entries.get(block.entryId);
    return entry
      ? block.sides.map((each, pass) => ({ block, blockIndex, entry, pass, side: each.side, place: placeOfBlock(block, entry, pass) }))
      : [];
  });
  const { todo, gaps } = readingsOf(passes, isMeasured, mayMeasure);
  add({ kind: 'opening', seconds: OPENING_S, position: gaps[0]?.stops[0]?.place ?? passes[0]?.place ?? 'supine', words: 'Settle' });
  if (passes.length === 0) return { items, seconds: at, turns: 0 };

  const go = (to: Position) => {
    if (position !== null && position !== to) {
      add({ kind: 'turn', seconds: moveSeconds(position, to), position: to, words: `Turn: ${to}` });
      standing = null;
    }
    position = to;
  };
  const readIn = (gap: number) => {
    for (const { place, keys } of gaps[gap]!.stops) {
      go(place);
      for (const key of keys) {
        const { kind, words, motionId, side } = todo.get(key)!;
        add({ kind, seconds: SECONDS_A_SIDE, position: place, words, motionId, side });
      }
    }
  };
  passes.forEach(({ block, blockIndex, entry, pass, side, place }, i) => {
    readIn(i);
    go(place);
    if (side !== 'midline') {
      if (standing !== null && standing !== side) add({ kind: 'side', seconds: SIDE_CHANGE_S, position: place, words: `To the ${side}` });
      standing = side;
    }
    add({ kind: 'block', seconds: secondsOf(line, blockIndex, pass), position: place, words: entry.name, blockId: block.id, side });
  });
  readIn(passes.length);
  add({ kind: 'close', seconds: CLOSING_S, position: position ?? 'supine', words: 'Close' });
  return { items, seconds: at, turns: items.filter((item) => item.kind === 'turn').length };
}

interface Pass {
  readonly entry: Entry;
  readonly side: Side;
  readonly place: Position;
}

interface Todo {
  readonly kind: 'before' | 'after';
  readonly motionId: string;
  readonly side: Side;
  readonly words: string;
}

/** What is to be read for a row of passes, and in which gap. Nothing is read after the close has begun. */
function readingsOf(
  passes: readonly Pass[],
  isMeasured: StripFacts['isMeasured'],
  mayMeasure: NonNullable<StripFacts['mayMeasure']>,
): { readonly todo: ReadonlyMap<string, Todo>; readonly gaps: readonly GapReadings[] } {
  const close = passes.findLastIndex((each) => each.entry.stage !== 'close') + 1;
  const todo = new Map<string, Todo>();
  const toRead: ToRead[] = [];
  const worked = new Map<string, { motionId: string; side: Side; first: number; last: number }>();
  passes.forEach(({ entry, side }, i) => {
    if (!entry.measured) return;
    const motion = motionOf(entry.motionId);
    const read = motionSide(entry, motion.id, side);
    if (!motion.sides.includes(read) || !mayMeasure(motion.id, read)) return;
    const key = `${motion.id}/${read}`;
    const so = worked.get(key);
    if (so) so.last = i;
    else worked.set(key, { motionId: motion.id, side: read, first: i, last: i });
  });
  // Two motions of one name are told apart by their test position.
  const ids = [...new Set([...worked.values()].map((each) => each.motionId))];
  const nameOf = (id: string) => {
    const { name, testPosition } = motionOf(id);
    return ids.some((other) => other !== id && motionOf(other).name === name) ? `${name}, ${testPosition}` : name;
  };
  for (const [key, { motionId, side, first, last }] of worked) {
    const place = positionOn(motionOf(motionId), side);
    const words = nameOf(motionId);
    if (!isMeasured(motionId, side)) {
      todo.set(`before ${key}`, { kind: 'before', motionId, side, words });
      toRead.push({ key: `before ${key}`, place, from: 0, to: first, late: true });
    }
    todo.set(`after ${key}`, { kind: 'after', motionId, side, words });
    toRead.push({ key: `after ${key}`, place, from: last + 1, to: Math.max(last + 1, close), late: false });
  }
  return {
    todo,
    gaps: placeReadings(
      passes.map((pass) => pass.place),
      toRead,
    ),
  };
}

/** What is to be done before a pass of a block begins, and after the last one. */
export interface Between {
  /** By `passKey`, in order: reading, turning, going round the table. A pass that follows at once is not in it. */
  readonly before: ReadonlyMap<string, readonly StripItem[]>;
  readonly afterLast: readonly StripItem[];
}

/** Names a pass of a block: the block's place in the row and the pass's place in the block. */
export function passKey(blockIndex: number, pass: number): string {
  return `${blockIndex}/${pass}`;
}

/**
 * What the strip holds between the work, for the table to say at the right moment. Opening and close are left out: they are not
 * between anything.
 */
export function betweenPasses({ items }: SessionStrip, blocks: readonly Pick<BlockPlan, 'id'>[]): Between {
  const before = new Map<string, readonly StripItem[]>();
  const passes = new Map<string, number>();
  let waiting: StripItem[] = [];
  for (const item of items) {
    if (item.blockId === undefined) {
      if (item.kind !== 'opening' && item.kind !== 'close') waiting.push(item);
      continue;
    }
    const pass = passes.get(item.blockId) ?? 0;
    passes.set(item.blockId, pass + 1);
    if (waiting.length > 0)
      before.set(
        passKey(
          blocks.findIndex((block) => block.id === item.blockId),
          pass,
        ),
        waiting,
      );
    waiting = [];
  }
  return { before, afterLast: waiting };
}

/** Whole seconds of a pass as it is compiled; nothing while the plan cannot be. */
function secondsOf(line: Line | null, blockIndex: number, pass: number): number {
  if (!line) return 0;
  return Math.round(
    line.cues
      .filter((cue) => cue.blockIndex === blockIndex && (cue.pass ?? 0) === pass)
      .reduce((sum, cue) => sum + cue.endMs - cue.startMs, 0) / 1000,
  );
}
