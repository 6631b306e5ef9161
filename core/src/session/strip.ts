import { motionOf, positionOn, type Position, type Side } from '../body/index.ts';
import { motionSide, type Entry } from '../catalogue/index.ts';
import { BUILT_IN, type BlockPlan, type Line, type Shelf } from '../method/index.ts';
import { SECONDS_A_SIDE } from '../record/index.ts';
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
 * of the table, turns, measuring again, close. What is measured again is read in its own position before the athlete leaves it for
 * good; what has another position than all that follow is read at the end. Every item begins where the one before it ended.
 */
export function sessionStrip({ blocks, line, isMeasured, mayMeasure = () => true, shelf = BUILT_IN }: StripFacts): SessionStrip {
  const items: StripItem[] = [];
  let at = 0;
  let position: Position | null = null;
  const add = (item: Omit<StripItem, 'startS'>) => {
    items.push({ ...item, startS: at });
    at += item.seconds;
  };
  const passes = blocks.flatMap((block, blockIndex) => {
    const entry = shelf.entries.get(block.entryId);
    return entry ? block.sides.map((each, pass) => ({ block, blockIndex, entry, pass, side: each.side, place: placeOfBlock(block, entry, pass) })) : [];
  });
  add({ kind: 'opening', seconds: OPENING_S, position: passes[0]?.place ?? 'supine', words: 'Settle' });
  if (passes.length === 0) return { items, seconds: at, turns: 0 };

  const go = (to: Position) => {
    if (position !== null && position !== to) add({ kind: 'turn', seconds: moveSeconds(position, to), position: to, words: `Turn: ${to}` });
    position = to;
  };
  /** The side its motion is read on, for the side that is worked on. */
  const readOn = (entry: Entry, side: Side) => motionSide(entry, entry.motionId, side);
  const keyOf = ({ entry, side }: { readonly entry: Entry; readonly side: Side }) => `${entry.motionId}/${readOn(entry, side)}`;
  const todo = new Map<string, { motionId: string; side: Side; place: Position; words: string }>();
  for (const { entry, side } of passes.filter((each) => each.entry.measured)) {
    const motion = motionOf(entry.motionId);
    const read = readOn(entry, side);
    if (motion.sides.includes(read) && mayMeasure(motion.id, read)) todo.set(`${motion.id}/${read}`, { motionId: motion.id, side: read, place: positionOn(motion, read), words: motion.name });
  }
  // Two motions of one name are told apart by their test position.
  const others = (id: string) => [...todo.values()].some((each) => each.motionId !== id && motionOf(each.motionId).name === motionOf(id).name);
  for (const [key, each] of todo) if (others(each.motionId)) todo.set(key, { ...each, words: `${each.words}, ${motionOf(each.motionId).testPosition}` });
  const before = new Set([...todo.keys()].filter((key) => !isMeasured(todo.get(key)!.motionId, todo.get(key)!.side)));
  const read = (kind: 'before' | 'after', key: string, what = todo.get(key)!) => {
    const { place, words, motionId, side } = what;
    go(place);
    add({ kind, seconds: SECONDS_A_SIDE, position: place, words, motionId, side });
  };

  /** Everything that is still to be read again, position by position, by the way that takes least. */
  const readRest = () => {
    const places = [...new Set([...todo.values()].map((each) => each.place))];
    for (const place of leastWay(position, places)) {
      for (const [key, each] of [...todo]) {
        if (each.place !== place) continue;
        todo.delete(key);
        read('after', key, each);
      }
    }
  };

  let last: { place: Position; side: Side } | null = null;
  passes.forEach(({ block, blockIndex, entry, pass, side, place }, i) => {
    // Nothing is read after the close has begun.
    if (entry.stage === 'close' && passes.slice(i).every((each) => each.entry.stage === 'close')) readRest();
    const key = keyOf({ entry, side });
    if (entry.measured && before.delete(key)) read('before', key);
    go(place);
    if (last && last.place === place && last.side !== side && last.side !== 'midline' && side !== 'midline') add({ kind: 'side', seconds: SIDE_CHANGE_S, position: place, words: `To the ${side}` });
    add({ kind: 'block', seconds: secondsOf(line, blockIndex, pass), position: place, words: entry.name, blockId: block.id, side });
    last = { place, side };
    // Read again here what is done with, before the athlete leaves this position for good.
    const rest = passes.slice(i + 1);
    for (const [each, what] of [...todo]) {
      const worked = passes.slice(0, i + 1).some((done) => keyOf(done) === each);
      const stillToCome = rest.some((next) => keyOf(next) === each);
      const work = rest.filter((next) => next.entry.stage !== 'close');
      const leaving = work[0]?.place !== place && !work.some((next) => next.place === what.place);
      if (!worked || stillToCome || what.place !== place || !(leaving || work.length === 0)) continue;
      todo.delete(each);
      add({ kind: 'after', seconds: SECONDS_A_SIDE, position: place, words: what.words, motionId: what.motionId, side: what.side });
    }
  });
  readRest();
  add({ kind: 'close', seconds: CLOSING_S, position: position ?? 'supine', words: 'Close' });
  // The athlete settles where the first thing is done, which may be a reading in another position than the first block.
  items[0] = { ...items[0]!, position: items[1]!.position };
  return { items, seconds: at, turns: items.filter((item) => item.kind === 'turn').length };
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
    if (waiting.length > 0) before.set(passKey(blocks.findIndex((block) => block.id === item.blockId), pass), waiting);
    waiting = [];
  }
  return { before, afterLast: waiting };
}

/** The order of a few positions that takes the least time from one of them, by trying all. */
function leastWay(from: Position | null, places: readonly Position[]): Position[] {
  if (places.length <= 1) return [...places];
  const secondsOf = (way: readonly Position[]) => way.reduce((sum, place, i) => { const before = i === 0 ? from : way[i - 1]!; return sum + (before === null ? 0 : moveSeconds(before, place)); }, 0);
  const ways = places.map((first) => [first, ...leastWay(first, places.filter((place) => place !== first))]);
  return ways.reduce((best, way) => (secondsOf(way) < secondsOf(best) ? way : best));
}

function secondsOf(line: Line | null, blockIndex: number, pass: number): number {
  if (!line) return 0;
  return Math.round(line.cues.filter((cue) => cue.blockIndex === blockIndex && (cue.pass ?? 0) === pass).reduce((sum, cue) => sum + cue.endMs - cue.startMs, 0) / 1000);
}
