import type { Position, Side } from '../body/index.ts';
import { positionsFor, type Entry } from '../catalogue/index.ts';
import {
  fits,
  newBlock,
  offeredEntries,
  sidesOf,
  techniquesOf,
  type BlockPlan,
  type Method,
  type Shelf,
  type Technique,
} from '../method/index.ts';
import { waysFor } from './offers.ts';

/** Something that can be done instead, or as well, from where the athlete lies now. */
export interface TableOffer {
  readonly entryId: string;
  readonly methodId: string;
  /** How it differs, in a few words: easier, harder with the reason, or another way. */
  readonly words: string;
  /** Where the athlete has to be for it; null where they can stay as they are. */
  readonly turnTo: Position | null;
}

/** Digits of a hand on one key each. */
const MOST_OFFERS = 9;

/**
 * What a block can be changed to while it runs: what is easier in the same way first, then steady motion without an end, then the other
 * ways that fit, then what is harder; what needs no turn before what does. Cautions are not looked at here.
 */
export function swapsFor(block: Pick<BlockPlan, 'entryId' | 'methodId'>, at: Position, shelf: Shelf): TableOffer[] {
  const entry = shelf.entries.get(block.entryId);
  const method = shelf.methods.get(block.methodId);
  if (!entry || !method) return [];
  const variants = (label: string, given: Entry['easier']): TableOffer[] =>
    given.flatMap(({ id, why }) => {
      const other = id === undefined ? undefined : shelf.entries.get(id);
      if (!other) return [];
      const way = fits(other, method) ? method : waysFor(other, shelf)[0];
      return way ? [offer(other, way, at, why === '' ? label : `${label}: ${why}`)] : [];
    });
  const others = waysFor(entry, shelf).filter(({ id }) => id !== method.id);
  const steady = (way: Method) => techniquesOf(way).includes('continuous');
  const ways = [...others.filter(steady), ...others.filter((way) => !steady(way))].map((way) => offer(entry, way, at, 'another way'));
  const all = [...variants('easier', entry.easier), ...ways, ...variants('harder', entry.harder)];
  return [...all.filter(({ turnTo }) => turnTo === null), ...all.filter(({ turnTo }) => turnTo !== null)].slice(0, MOST_OFFERS);
}

/** A little more of the same: a press, a hold, a point; each on the entry that is worked on where one of its ways has it. */
const ALSO: readonly { readonly words: string; readonly wants: Technique; readonly without: readonly Technique[] }[] = [
  { words: 'a press against your hand', wants: 'contract', without: ['press', 'pin'] },
  { words: 'a hold', wants: 'lengthen', without: ['contract', 'press', 'pin', 'active'] },
  { words: 'a point', wants: 'press', without: ['contract', 'lengthen', 'continuous'] },
];

/**
 * What can be added on the spot: a press, a hold and a point. Where the entry itself has none of a kind, the first entry of its section that
 * has it in the same position is taken. Cautions are not looked at here.
 */
export function additionsFor(entry: Entry, at: Position, shelf: Shelf): TableOffer[] {
  const near = offeredEntries(shelf).filter(
    (other) =>
      other.section === entry.section && other.id !== entry.id && !other.onlyAsked && !other.afterOperation && sharesTarget(entry, other),
  );
  return ALSO.flatMap(({ words, wants, without }) => {
    for (const each of [entry, ...near]) {
      const way = waysFor(each, shelf).find((method) => {
        const done = techniquesOf(method);
        return done.includes(wants) && !without.some((technique) => done.includes(technique)) && positionsFor(each, method).includes(at);
      });
      if (way) return [offer(each, way, at, words)];
    }
    return [];
  });
}

const sharesTarget = (a: Entry, b: Entry) => a.targets.some((target) => b.targets.includes(target));

/** An offer as a block on the given sides, those the entry is not done on left out; one round of what is added. Null where no side is left. */
export function blockOf(
  id: string,
  { entryId, methodId }: TableOffer,
  at: Position,
  sides: readonly Side[],
  rounds: number | null,
  shelf: Shelf,
): BlockPlan | null {
  const entry = shelf.entries.get(entryId)!;
  const possible = sidesOf(entry);
  const wanted = possible.filter((side) => sides.includes(side));
  const on =
    wanted.length > 0
      ? sides.filter((side) => wanted.includes(side))
      : possible.filter((side) => side === 'midline' || sides.includes('midline'));
  if (on.length === 0) return null;
  const block = newBlock(id, entryId, methodId, on, shelf);
  const positions = positionsFor(entry, shelf.methods.get(methodId)!);
  return {
    ...block,
    ...(positions.includes(at) && positions[0] !== at ? { position: at } : {}),
    sides: block.sides.map((each) => ({ ...each, rounds: rounds ?? each.rounds })),
  };
}

function offer(entry: Entry, method: Method, at: Position, words: string): TableOffer {
  const positions = positionsFor(entry, method);
  return { entryId: entry.id, methodId: method.id, words, turnTo: positions.includes(at) ? null : positions[0]! };
}
