import type { Side } from '../body/index.ts';
import type { Entry } from '../catalogue/index.ts';
import { DIRECTIONS, HOURS, type Direction, type Hour, type StandingFinding } from '../finding/index.ts';
import { BUILT_IN, type BlockPlan, type ListValues, type Shelf } from '../method/index.ts';

const hourWords = (hour: Hour) => `${hour} o’clock`;
/** The hour so many further on the dial. */
const further = (hour: Hour, by: number): Hour => HOURS[(HOURS.indexOf(hour) + by + HOURS.length) % HOURS.length]!;
const BESIDE = 2;

/**
 * Hours to circle by, from the clock of a joint: for one tight hour its neighbours to and fro and then the hour itself (10, 2, 10, 2, 12);
 * for two, the neighbours of each and then each; for more, the tight hours in their order. Painful ones are left alone. Null: nothing is tight.
 */
export function hoursFor(states: readonly string[], most: number): readonly string[] | null {
  const stateOf = (hour: Hour) => states[HOURS.indexOf(hour)];
  const tight = HOURS.filter((hour) => stateOf(hour) === 'tight');
  if (tight.length === 0) return null;
  const aroundOf = (hour: Hour) => [further(hour, -BESIDE), further(hour, BESIDE)].filter((each) => stateOf(each) !== 'painful');
  const hours =
    tight.length === 1
      ? [...aroundOf(tight[0]!), ...aroundOf(tight[0]!), tight[0]!]
      : tight.length === 2
        ? tight.flatMap((hour) => [...aroundOf(hour), hour])
        : tight;
  return hours.slice(0, most).map(hourWords);
}

/** Directions of a glide: the stiff ones first, then the free ones; a painful one stays out. Null: nothing is stiff. */
export function glidesFor(
  states: Readonly<Record<Direction, string | null>>,
  words: Readonly<Record<Direction, string>>,
): readonly string[] | null {
  const of = (state: string) => DIRECTIONS.filter((direction) => states[direction] === state);
  const [stiff, free] = [of('stiff'), of('free')];
  return stiff.length === 0 ? null : [...stiff, ...free].map((direction) => words[direction]);
}

/**
 * A block with the hours or directions that today's findings ask for, where its entry is for that joint and its way goes through such a
 * list; else the block as it is. Both sides share one list: it is that of the first side that has something to say.
 */
export function byFindings(block: BlockPlan, findings: readonly StandingFinding[], shelf: Shelf = BUILT_IN): BlockPlan {
  const entry = shelf.entries.get(block.entryId);
  const method = shelf.methods.get(block.methodId);
  if (!entry?.found || !method) return block;
  for (const { side } of block.sides)
    for (const list of method.lists) {
      const places = placesFor(entry, side, list.id, list.max, findings);
      if (places && places.length >= list.min) return { ...block, lists: { ...block.lists, [list.id]: places } as ListValues };
    }
  return block;
}

function placesFor(entry: Entry, side: Side, listId: string, most: number, findings: readonly StandingFinding[]): readonly string[] | null {
  const { clock, glide } = entry.found!;
  for (const finding of findings) {
    if (finding.side !== side) continue;
    if (finding.kind === 'clock' && listId === 'hours' && finding.subject === clock) return hoursFor(finding.data.hours, most);
    if (finding.kind === 'glide' && listId === 'directions' && finding.subject === glide?.subject)
      return glidesFor(finding.data, glide.words);
  }
  return null;
}
