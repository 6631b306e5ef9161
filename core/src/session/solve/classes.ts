import { has, noBits, oneBit, setBit, union, within, wordsFor, type Bits } from './bits.ts';
import type { SessionProblem } from './types.ts';

/** A kind of task as far as order is concerned: where it can be done, and which other kinds come before it. */
interface TaskClass {
  /** Places as bits of one word. */
  readonly places: number;
  readonly before: Bits;
}

export interface Classes {
  /** What has to come before a class stands before it. */
  readonly all: readonly TaskClass[];
  /** By place: the classes that can be done there, in that order. */
  readonly at: readonly (readonly number[])[];
  readonly words: number;
  /** By candidate: the class that is available once it is done and measured again. */
  readonly doneOf: readonly number[];
  /** By candidate: the class of the block itself. */
  readonly blockOf: readonly number[];
  readonly warmUpOf: readonly number[];
  /** By measuring; −1 where nothing is measured before. */
  readonly beforeOf: readonly number[];
}

/**
 * Reduces warm-ups, blocks and measurings to the few kinds that differ in place and order.
 * Throws a RangeError when what precedes what goes round in a circle.
 */
export function classesOf({ candidates, warmUps, measurings, precede, arriveS }: SessionProblem): Classes {
  const words = wordsFor(warmUps.length + measurings.length + 2 * candidates.length);
  const all: TaskClass[] = [];
  const known = new Map<string, number>();
  const classOf = (places: readonly number[], before: readonly number[]): number => {
    const mask = places.reduce((bits, place) => bits | (1 << place), 0);
    // What can be done wherever this one can needs no mention, as long as nothing has to come before it.
    const needed = [...new Set(before)].filter((i) => all[i]!.before.some((word) => word !== 0) || (mask & ~all[i]!.places) !== 0);
    const key = `${mask}/${needed.sort((a, b) => a - b).join(',')}`;
    const found = known.get(key);
    if (found !== undefined) return found;
    all.push({ places: mask, before: needed.reduce((bits, i) => union(bits, oneBit(i, words)), noBits(words)) });
    known.set(key, all.length - 1);
    return all.length - 1;
  };

  const warmUpOf = warmUps.map(({ places }) => classOf(places, []));
  const beforeOf = measurings.map(({ places, beforeS }) => (beforeS > 0 ? classOf(places, []) : -1));
  const blockOf: number[] = candidates.map(() => -1);
  const visiting = new Set<number>();
  const blockClass = (i: number): number => {
    if (blockOf[i] !== -1) return blockOf[i]!;
    if (visiting.has(i)) throw new RangeError('What precedes what goes round in a circle.');
    visiting.add(i);
    const { places, warmUp, measuring } = candidates[i]!;
    const before = [
      ...(warmUp === null ? [] : [warmUpOf[warmUp]!]),
      ...(measuring !== null && beforeOf[measuring]! >= 0 ? [beforeOf[measuring]!] : []),
      ...precede.filter(([, b]) => b === i).map(([a]) => blockClass(a)),
    ];
    blockOf[i] = classOf(places, before);
    return blockOf[i]!;
  };
  candidates.forEach((_, i) => blockClass(i));
  const doneOf = candidates.map(({ measuring, places }, i) => {
    if (measuring === null || measurings[measuring]!.afterS <= 0) return blockOf[i]!;
    const there = measurings[measuring]!.places;
    // Measured again wherever it was done: nothing more is asked of the walk.
    return places.every((place) => there.includes(place)) ? blockOf[i]! : classOf(there, [blockOf[i]!]);
  });
  const at = arriveS.map((_, place) => all.flatMap((each, i) => ((each.places >> place) & 1 ? [i] : [])));
  return { all, at, words, doneOf, blockOf, warmUpOf, beforeOf };
}

/**
 * What becomes available by staying at a place: everything that can be done there and has what comes before it. Once through the
 * classes is enough, because what comes before a class stands before it in the list.
 */
export function reach(classes: Classes, place: number, had: Bits): Bits {
  let got: number[] | null = null;
  for (const i of classes.at[place]!) {
    const now = got ?? had;
    if (has(now, i) || !within(classes.all[i]!.before, now)) continue;
    got ??= [...had];
    setBit(got, i);
  }
  return got ?? had;
}
