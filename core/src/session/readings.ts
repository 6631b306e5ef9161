import type { Position } from '../body/index.ts';
import { moveSeconds } from './places.ts';

/** Something to be read: where, and between which passes of the work. Gap g lies before pass g; the last one after all of them. */
export interface ToRead {
  readonly key: string;
  readonly place: Position;
  /** The first and the last gap it may be read in. */
  readonly from: number;
  readonly to: number;
  /** Rather late than early: what is read before its work is read close to it. */
  readonly late: boolean;
}

/** What is read in a gap, in the order of the places gone through: where the athlete is already, on a way round, where the next pass is. */
export interface GapReadings {
  readonly stops: readonly { readonly place: Position; readonly keys: readonly string[] }[];
}

/** At most so many places are gone through between two passes. */
const MOST_AT_ONCE = 4;
/** So many readings off the way are weighed against each other; any more are read at the last moment they can be. */
const MOST_WEIGHED = 8;

interface Way {
  readonly seconds: number;
  readonly detours: number;
  /** By gap: the places gone through between two passes, and what is read at each. */
  readonly taken: readonly {
    readonly gap: number;
    readonly stops: readonly { readonly place: Position; readonly keys: readonly string[] }[];
  }[];
}

/**
 * Where everything is read, given the places of the work in their order: the way that takes the least time.
 *
 * The model. What can be read where the athlete is anyway, before or after one of its gaps, costs no way and is read there. For
 * the rest ways round are looked for: in every gap any set of places may be gone through in any order, and everything due there is read.
 * Going through the gaps one by one, of all the ways that have read the same things by then only the quickest is kept: what comes after does
 * not depend on how they were read. So the result is the least there is for this row of work, and no plan is charged for more.
 */
export function placeReadings(work: readonly Position[], toRead: readonly ToRead[]): GapReadings[] {
  const gaps: { place: Position; keys: string[] }[][] = Array.from({ length: work.length + 1 }, () => []);
  const put = (gap: number, place: Position, key: string) => {
    const stop = gaps[gap]!.find((each) => each.place === place);
    if (stop) stop.keys.push(key);
    else gaps[gap]!.push({ place, keys: [key] });
  };
  const away: ToRead[] = [];
  for (const each of toRead) {
    const free = Array.from({ length: each.to - each.from + 1 }, (_, i) => each.from + i).filter(
      (gap) => work[gap - 1] === each.place || work[gap] === each.place,
    );
    const gap = each.late ? free.at(-1) : stayEnd(work, free[0], each);
    if (gap === undefined) away.push(each);
    else put(gap, each.place, each.key);
  }
  const rest = away.slice(MOST_WEIGHED).map((each) => ({ gap: each.to, stops: [{ place: each.place, keys: [each.key] }] }));
  const detours = away.length === 0 ? [] : [...leastDetours(work, away.slice(0, MOST_WEIGHED)), ...rest];
  return gaps.map((free, gap) => {
    const [cur, next] = [work[gap - 1], work[gap]];
    const round = detours.filter((each) => each.gap === gap).flatMap((each) => each.stops);
    const here = free.filter((stop) => stop.place === cur);
    return { stops: [...here, ...round, ...free.filter((stop) => stop.place !== cur && stop.place === next)] };
  });
}

/** What is read after its work is read when the stay it belongs to ends, together with the rest of that stay. */
function stayEnd(work: readonly Position[], first: number | undefined, { place, to }: ToRead): number | undefined {
  if (first === undefined) return undefined;
  let gap = first;
  while (gap < to && work[gap] === place) gap += 1;
  return gap;
}

function leastDetours(work: readonly Position[], away: readonly ToRead[]): Way['taken'] {
  const all = (1 << away.length) - 1;
  let ways = new Map<number, Way>([[0, { seconds: 0, detours: 0, taken: [] }]]);
  for (let gap = 0; gap <= work.length; gap++) {
    const open = away.flatMap((each, i) => (each.from <= gap && gap <= each.to ? [i] : []));
    const places = [...new Set(open.map((i) => away[i]!.place))].slice(0, MOST_AT_ONCE);
    const next = new Map<number, Way>(ways);
    for (const [read, way] of ways) {
      for (const order of orders(places)) {
        if (order.length === 0) continue;
        const keys = order.map((place) => open.filter((i) => away[i]!.place === place && ((read >> i) & 1) === 0));
        if (keys.some((some) => some.length === 0)) continue;
        const now = keys.flat().reduce((bits, i) => bits | (1 << i), read);
        const found: Way = {
          seconds: way.seconds + wayRound(work[gap - 1], order, work[gap]),
          detours: way.detours + order.length,
          taken: [...way.taken, { gap, stops: order.map((place, i) => ({ place, keys: keys[i]!.map((k) => away[k]!.key) })) }],
        };
        const known = next.get(now);
        if (!known || found.seconds < known.seconds || (found.seconds === known.seconds && found.detours < known.detours))
          next.set(now, found);
      }
    }
    // What had to be read by now and was not is no way at all.
    const due = away.reduce((bits, each, i) => (each.to === gap ? bits | (1 << i) : bits), 0);
    ways = new Map([...next].filter(([read]) => (read & due) === due));
  }
  return ways.get(all)?.taken ?? [];
}

/** Seconds that going through some places takes beyond going straight on. */
function wayRound(from: Position | undefined, through: readonly Position[], to: Position | undefined): number {
  const steps = [...(from === undefined ? [] : [from]), ...through, ...(to === undefined ? [] : [to])];
  const seconds = steps.slice(1).reduce((sum, place, i) => sum + moveSeconds(steps[i]!, place), 0);
  return seconds - (from === undefined || to === undefined ? 0 : moveSeconds(from, to));
}

/** Every order of every part of a few places. */
function orders(places: readonly Position[]): Position[][] {
  return [[], ...places.flatMap((first) => orders(places.filter((place) => place !== first)).map((rest) => [first, ...rest]))];
}
