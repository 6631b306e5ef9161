import { POSITIONS, positionOn, type Position } from '../body/index.ts';
import { limitedBlock } from '../caution/index.ts';
import { BUILT_IN, compile, newBlock, offeredEntries, sidesOf, type BlockPlan } from '../method/index.ts';
import { SECONDS_A_SIDE } from '../record/index.ts';
import { possibleBlocks, type Possible, type Possibles } from './candidates.ts';
import { freePositions, mayMeasure, type Pin, type SessionFacts } from './free.ts';
import { CLOSING_S, moveSeconds, OPENING_S } from './places.ts';
import type { SessionProblem } from './solve/types.ts';
import type { WarmUp } from './warmUps.ts';

/** A turn costs its time and this much value: it breaks the calm. In weighted degrees, common practice. */
const TURN_COST = 0.4;
/** Everything counts to the second, as it is drawn. */
const STEP_S = 1;
const MOST_STAYS = 8;
/** Below so many seconds there is no still hold at the end. */
const STILL_FROM_S = 20 * 60;
const STILL_BREATHS = 6;
/** What a still end is worth, in weighted degrees. Common practice: a clear end is rarely given up. */
export const STILL_WORTH = 4;

/** The still end: which entry, in which way, and what is changed of its defaults. */
export interface Closing {
  readonly entryId: string;
  readonly methodId: string;
  readonly change: Pick<BlockPlan, 'numbers'>;
}

/** What the solver is asked about these facts, for any number of seconds. */
export interface Model {
  readonly possibles: Possibles;
  readonly positions: readonly Position[];
  readonly warmUps: readonly WarmUp[];
  readonly closing: Closing | null;
  /** Where the still end is, for somebody who lies here. */
  readonly closingAt: (position: Position) => Position;
  /** The problem for so many seconds, with a still end or without; null where a still end is not to be had. */
  readonly problem: (seconds: number, still: boolean) => SessionProblem | null;
}

export function modelOf(facts: SessionFacts): Model {
  const possibles = readable(possibleBlocks(facts), facts);
  const { list } = possibles;
  const warmUps = [...new Set(list.flatMap((each) => each.warmUp ?? []))];
  const placeOfReading = ({ wanted }: Possible) => positionOn(wanted.motion, wanted.side);
  const used = new Set([
    ...list.flatMap((each) => each.positions),
    ...list.map(placeOfReading),
    ...warmUps.flatMap((each) => each.free.map((position) => positionOn({ position }, 'left'))),
  ]);
  const positions = POSITIONS.filter((position) => used.has(position));
  const placesOf = (all: readonly Position[]) => positions.flatMap((position, i) => (all.includes(position) ? [i] : []));
  const motionSides = [...new Set(list.map(({ wanted }) => `${wanted.motion.id}/${wanted.side}`))];
  const { closing, closingPositions, closingS } = closingOf(facts);
  const closingAt = (position: Position) =>
    closingPositions.reduce(
      (best, each) => (moveSeconds(position, each) < moveSeconds(position, best) ? each : best),
      closingPositions[0]!,
    );
  const pairs = list.flatMap((a, i) =>
    list.flatMap((b, j) => (i < j && a.wanted.motion.id === b.wanted.motion.id ? [[i, j, a, b] as const] : [])),
  );
  const pinned = (each: Possible) => each.pin !== null;
  const bare: Omit<SessionProblem, 'seconds' | 'closingS'> = {
    openingS: OPENING_S,
    stepS: STEP_S,
    mostStays: MOST_STAYS,
    arriveS: positions.map(() => 0),
    moveS: positions.map((from) => positions.map((to) => moveSeconds(from, to))),
    moveCost: positions.map((from) => positions.map((to) => (from === to ? 0 : TURN_COST))),
    warmUps: warmUps.map((each) => ({
      seconds: each.seconds,
      places: placesOf(each.free.map((position) => positionOn({ position }, 'left'))),
    })),
    measurings: motionSides.map((key) => {
      const each = list.find(({ wanted }) => `${wanted.motion.id}/${wanted.side}` === key)!;
      const may = mayMeasure(facts, each.wanted.motion.id, each.wanted.side);
      return {
        places: placesOf([placeOfReading(each)]),
        beforeS: each.wanted.measuredToday || !may ? 0 : SECONDS_A_SIDE,
        afterS: may ? SECONDS_A_SIDE : 0,
      };
    }),
    candidates: list.map((each) => ({
      places: placesOf(each.positions),
      levels: each.levels,
      warmUp: each.warmUp === null ? null : warmUps.indexOf(each.warmUp),
      measuring: motionSides.indexOf(`${each.wanted.motion.id}/${each.wanted.side}`),
      required: pinned(each) && facts.keepOrder === true,
    })),
    oneOf: facts.keepOrder
      ? []
      : facts.pins.map((pin) => list.flatMap((each, i) => (each.pin === pin ? [i] : []))).filter((row) => row.length > 0),
    together: pairs.flatMap(([i, j, a, b]) => (a.variant === b.variant ? [[i, j] as const] : [])),
    exclude: pairs.flatMap(([i, j, a, b]) =>
      a.variant !== b.variant && !(pinned(a) && pinned(b) && a.pin !== b.pin) ? [[i, j] as const] : [],
    ),
    precede: facts.keepOrder ? orderOf(list, facts.pins) : [],
  };
  return {
    possibles,
    positions,
    warmUps,
    closing,
    closingAt,
    problem: (seconds, still) => {
      if (!still) return { ...bare, seconds, closingS: CLOSING_S };
      if (!closing || seconds < STILL_FROM_S) return null;
      return {
        ...bare,
        seconds,
        closingS: CLOSING_S + closingS,
        leaveS: positions.map((position) => moveSeconds(position, closingAt(position))),
        leaveCost: positions.map((position) => (closingAt(position) === position ? 0 : TURN_COST)),
      };
    },
  };
}

/** Without what would have to be read in a position that is not to be used: nothing is worked on blindly. */
function readable(possibles: Possibles, facts: SessionFacts): Possibles {
  const closed = (each: Possible) =>
    facts.withoutPositions.includes(positionOn(each.wanted.motion, each.wanted.side)) &&
    mayMeasure(facts, each.wanted.motion.id, each.wanted.side);
  const variants = new Set(possibles.list.filter(closed).map((each) => each.variant));
  const gone = new Map(
    [...possibles.list, ...possibles.best]
      .filter(closed)
      .map((each) => [each.entry.id, { entry: each.entry, words: 'It is read in a position that was left out.' }]),
  );
  return {
    ...possibles,
    list: possibles.list.filter((each) => !variants.has(each.variant)),
    best: possibles.best.filter((each) => !gone.has(each.entry.id)),
    forbidden: [...possibles.forbidden, ...gone.values()],
  };
}

/** The first still entry of the close that needs no side and goes by a count of breaths: where cautions let the athlete lie still at the end, and for how long. */
function closingOf(facts: SessionFacts): { closing: Closing | null; closingPositions: readonly Position[]; closingS: number } {
  const shelf = facts.shelf ?? BUILT_IN;
  for (const entry of offeredEntries(shelf)) {
    if (entry.stage !== 'close' || entry.still !== true || facts.bans.includes(entry.id) || sidesOf(entry).join() !== 'midline') continue;
    const method = shelf.methods.get(entry.ways[0]);
    const loop = method?.round.find((node) => 'each' in node && 'times' in node.each);
    const breaths = method?.numbers.find((spec) => loop && 'each' in loop && 'times' in loop.each && spec.id === loop.each.times);
    if (!method || !breaths) continue;
    const plain = newBlock('close', entry.id, method.id, sidesOf(entry), shelf);
    const change = { numbers: { ...plain.numbers, [breaths.id]: [Math.min(breaths.max, STILL_BREATHS)] } };
    const block = limitedBlock({ ...plain, ...change }, facts.caution, shelf);
    const closingPositions = freePositions(block, entry, facts, shelf).free.filter(
      (position) => !facts.withoutPositions.includes(position),
    );
    if (closingPositions.length === 0) continue;
    return {
      closing: { entryId: entry.id, methodId: method.id, change },
      closingPositions,
      closingS: Math.round(compile([block], { breath: facts.breath, edgeOf: () => null, shelf }).totalMs / 1000),
    };
  }
  return { closing: null, closingPositions: [], closingS: 0 };
}

/** Pins in the order they are given: every side of one before every side of the next that is a candidate. */
function orderOf(list: readonly Possible[], pins: readonly Pin[]): [number, number][] {
  const rows = pins.map((pin) => list.flatMap((each, i) => (each.pin === pin ? [i] : []))).filter((row) => row.length > 0);
  return rows.slice(1).flatMap((row, i) => rows[i]!.flatMap((before) => row.map((after): [number, number] => [before, after])));
}
