import type { Side } from '../body/index.ts';
import type { SideRounds } from '../method/index.ts';
import type { Possible } from './candidates.ts';
import type { ProposedBlock } from './propose.ts';

/** A way to work the sides of a block one after the other. */
interface Turned {
  readonly passes: readonly SideRounds[];
  /** As it would be without the others: the tighter side first. */
  readonly usual: boolean;
}

/** What is small against a change of sides, in the order in which it is given up. */
const NOT_USUAL = 0.01;
const OUT_OF_ORDER = 0.0001;

/**
 * The blocks of one stay in an order, and each with an order of its sides, that sends the therapist round the table least often: a block begins on the side
 * where the one before it ended. Warm-ups come before what needs them, and blocks put in order by hand keep it, and their sides.
 *
 * By dynamic programming over which blocks are done and where the therapist stands then: what comes later does not depend on more. With at least one
 * block of two sides there is always a way without a change between blocks, so this is the number of changes the planner charged. Of the ways with
 * as few, the one with the tighter side first, and in the order given.
 */
export function arrangeStay(
  blocks: readonly ProposedBlock[],
  possibleOf: ReadonlyMap<string, Possible>,
  keepOrder: boolean,
): ProposedBlock[] {
  if (blocks.length < 2) return [...blocks];
  const before = blocks.map((each, i) =>
    blocks.flatMap((other, j) => (j !== i && comesBefore(other, each, j < i, possibleOf, keepOrder) ? [j] : [])),
  );
  interface Way {
    readonly cost: number;
    readonly row: readonly ProposedBlock[];
  }
  let ways = new Map<string, Way & { readonly done: number; readonly at: Side | null }>([['0/', { cost: 0, row: [], done: 0, at: null }]]);
  for (let n = 0; n < blocks.length; n++) {
    const next: typeof ways = new Map();
    for (const way of ways.values()) {
      blocks.forEach((each, i) => {
        if ((way.done >> i) & 1 || before[i]!.some((j) => ((way.done >> j) & 1) === 0)) return;
        const skipped = blocks.filter((_, j) => j < i && ((way.done >> j) & 1) === 0).length;
        for (const { passes, usual } of turnings(each, possibleOf.get(each.block.id))) {
          const { changes, at } = walk(passes, way.at);
          // Of two that cannot both begin with their tighter side, the first does.
          const cost = way.cost + changes + (usual ? 0 : NOT_USUAL * (1 + (blocks.length - n) / 100)) + skipped * OUT_OF_ORDER;
          const done = way.done | (1 << i);
          const key = `${done}/${at ?? ''}`;
          const known = next.get(key);
          if (!known || cost < known.cost)
            next.set(key, { cost, done, at, row: [...way.row, { ...each, block: { ...each.block, sides: passes } }] });
        }
      });
    }
    ways = next;
  }
  return [...[...ways.values()].reduce((best, way) => (way.cost < best.cost ? way : best)).row].map((each) => sidesInOrder(each));
}

function comesBefore(
  a: ProposedBlock,
  b: ProposedBlock,
  listed: boolean,
  possibleOf: ReadonlyMap<string, Possible>,
  keepOrder: boolean,
): boolean {
  const [first, second] = [possibleOf.get(a.block.id), possibleOf.get(b.block.id)];
  // Warm before long, whatever it was that asked for the warm-up: the row keeps the rule of order.
  if (a.kind === 'warm-up') return b.kind === 'work' && listed;
  return keepOrder && listed && first?.pin !== null && first !== undefined && second?.pin !== null && second !== undefined;
}

function turnings({ block, kind }: ProposedBlock, possible: Possible | undefined): Turned[] {
  const usual = { passes: block.sides, usual: true };
  // Passes that a hand has set, and more than one a side, stay as they are.
  if (possible?.pin?.block || block.sides.length !== 2) return [usual];
  // A warm-up has no tighter side: it goes whichever way lets the work behind it begin with its own.
  return [usual, { passes: [...block.sides].reverse(), usual: kind === 'warm-up' }];
}

function walk(passes: readonly SideRounds[], from: Side | null): { readonly changes: number; readonly at: Side | null } {
  let [changes, at] = [0, from];
  for (const { side } of passes) {
    if (side === 'midline') continue;
    if (at !== null && at !== side) changes += 1;
    at = side;
  }
  return { changes, at };
}

/** What is told of the sides, in the order they are worked in. */
function sidesInOrder(each: ProposedBlock): ProposedBlock {
  const order = each.block.sides.map(({ side }) => side);
  return { ...each, sides: [...each.sides].sort((a, b) => order.indexOf(a.side) - order.indexOf(b.side)) };
}
