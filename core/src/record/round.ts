import { MOTIONS, positionOn, type Motion, type Position, type Side } from '../body/index.ts';

/** One side of one motion, where the athlete lies for it. */
export interface RoundItem {
  readonly motion: Motion;
  readonly side: Side;
  readonly position: Position;
}

export interface Round {
  readonly items: readonly RoundItem[];
  /** Positions in the order they are taken. */
  readonly positions: readonly Position[];
  /** How often the athlete changes position after the first. */
  readonly turns: number;
  /** Seconds spent changing position, getting into the first one included. */
  readonly turnSeconds: number;
}

/**
 * Seconds from one position to the next. Common practice: a turn on the table costs close to a minute, getting on or off it
 * the same, standing up from a chair little. The athlete comes in standing.
 */
const FAMILY: Record<Position, 'lying' | 'side' | 'sitting' | 'standing'> = {
  supine: 'lying',
  prone: 'lying',
  'side-lying left': 'side',
  'side-lying right': 'side',
  'long-sitting': 'sitting',
  'seated upright': 'sitting',
  'seated leaning': 'sitting',
  'floor mat': 'sitting',
  standing: 'standing',
};
const BETWEEN = {
  lying: { lying: 50, side: 35, sitting: 40, standing: 55 },
  side: { lying: 35, side: 50, sitting: 45, standing: 60 },
  sitting: { lying: 40, side: 45, sitting: 25, standing: 20 },
  standing: { lying: 55, side: 60, sitting: 20, standing: 0 },
} as const;

/** Seconds for a change of position; none for staying. */
export function turnSeconds(from: Position, to: Position): number {
  return from === to ? 0 : BETWEEN[FAMILY[from]][FAMILY[to]];
}

/**
 * Walks once around the table: every side of every motion once, all of one position together, in the order of positions
 * that costs the least time, begun standing.
 *
 * Each position is visited once, so the number of turns is as small as it can be (one less than there are positions), and
 * only their order is open. That order is a shortest path through all positions; with at most seven of them it is found
 * exactly by dynamic programming over sets of positions (Held and Karp), the cheapest way to have visited a set and stand at
 * its last member being made from the cheapest ways to have visited it without that one. Within a position the motions keep
 * the catalogue's order, left before right.
 */
export function planRound(motions: readonly Motion[], start: Position = 'standing'): Round {
  const items = MOTIONS.filter((motion) => motions.some((each) => each.id === motion.id)).flatMap((motion) =>
    motion.sides.map((side): RoundItem => ({ motion, side, position: positionOn(motion, side) })),
  );
  const places = [...new Set(items.map((item) => item.position))];
  const { positions, cost } = shortestOrder(places, start);
  return {
    items: positions.flatMap((position) => items.filter((item) => item.position === position)),
    positions,
    turns: Math.max(0, positions.length - 1),
    turnSeconds: cost,
  };
}

function shortestOrder(places: readonly Position[], start: Position): { readonly positions: Position[]; readonly cost: number } {
  if (places.length === 0) return { positions: [], cost: 0 };
  type Way = { readonly cost: number; readonly positions: Position[] };
  let ways = new Map<string, Way>(places.map((place, i) => [`${1 << i}/${i}`, { cost: turnSeconds(start, place), positions: [place] }]));
  for (let size = 1; size < places.length; size += 1) {
    const longer = new Map<string, Way>();
    for (const [key, way] of ways) {
      const visited = Number(key.split('/')[0]);
      for (const [i, place] of places.entries()) {
        if (visited & (1 << i)) continue;
        const next: Way = { cost: way.cost + turnSeconds(way.positions.at(-1)!, place), positions: [...way.positions, place] };
        const nextKey = `${visited | (1 << i)}/${i}`;
        const known = longer.get(nextKey);
        if (!known || next.cost < known.cost) longer.set(nextKey, next);
      }
    }
    ways = longer;
  }
  return [...ways.values()].reduce((best, way) => (way.cost < best.cost ? way : best));
}

/** Seconds to set up and read one side of a motion three times. Common practice. */
export const SECONDS_A_SIDE = 22;

/** Seconds a round takes in all. */
export function roundSeconds(motions: readonly Motion[]): number {
  const round = planRound(motions);
  return round.turnSeconds + round.items.length * SECONDS_A_SIDE;
}
