import type { Side } from '../body/index.ts';
import { blockCautions, mergeLimits, NO_LIMITS, type Caution, type CautionContext, type OverrideFields } from '../caution/index.ts';
import type { Entry } from '../catalogue/index.ts';
import { newBlock, offeredEntries, type Limits, type Shelf } from '../method/index.ts';
import type { GivenSheet, HomeItem } from '../record/index.ts';
import { homeSides } from './item.ts';

/** What the visit says about what is worth taking home. */
export interface HomeGround {
  /** Motions and sides that were worked on today. */
  readonly worked: readonly { readonly motionId: string; readonly side: Side }[];
  /** Motions and sides that are still short of their goal. */
  readonly short: readonly { readonly motionId: string; readonly side: Side }[];
  readonly last: Pick<GivenSheet, 'items'> | null;
}

/** An entry that can be given, with why it is worth it and what speaks against it on each side. */
export interface HomeOffer {
  readonly entry: Entry;
  /** Sides it is offered on: those with a reason, else all of them; what cautions forbid is left out. */
  readonly sides: readonly Side[];
  /** In a few words; empty where nothing of today points at it. */
  readonly why: string;
  /** What cautions say of it on any side, strongest first. */
  readonly cautions: readonly Caution[];
  /** The first that forbids it on every side it would be given on; then it is not given. */
  readonly forbidden: Caution | null;
  readonly limits: Limits;
}

/**
 * The shelf's work for home, in the order of what today speaks for: still short of the goal, worked on today, given last time, the rest; what
 * cautions forbid comes last and cannot be given. A side that is forbidden is not offered, another may be. Nothing is chosen for anybody.
 */
export function homeOffers(ground: HomeGround, context: CautionContext, overrides: readonly OverrideFields[], shelf: Shelf): HomeOffer[] {
  return offeredEntries(shelf)
    .filter(({ home }) => home !== undefined)
    .map((entry) => ({ ...offerOf(entry, ground, context, overrides, shelf), entry }))
    .map((offer, i) => ({ offer, i }))
    .sort((a, b) => rank(a.offer) - rank(b.offer) || a.i - b.i)
    .map(({ offer: { rank: _rank, ...offer } }) => offer);
}

const rank = (offer: { readonly forbidden: Caution | null; readonly rank: number }) => (offer.forbidden ? 10 : offer.rank);

function offerOf(
  entry: Entry,
  { worked, short, last }: HomeGround,
  context: CautionContext,
  overrides: readonly OverrideFields[],
  shelf: Shelf,
): Omit<HomeOffer, 'entry'> & { readonly rank: number } {
  const possible = homeSides(entry);
  const speaks = (list: HomeGround['worked']) =>
    list.filter(({ motionId }) => motionId === entry.motionId || entry.also.includes(motionId)).map(({ side }) => side);
  const [shortOn, workedOn] = [speaks(short), speaks(worked)];
  const given = last?.items.find(({ entryId }) => entryId === entry.id);
  const [why, on, order] =
    shortOn.length > 0
      ? (['still short of the goal', shortOn, 0] as const)
      : workedOn.length > 0
        ? (['worked on today', workedOn, 1] as const)
        : given
          ? (['given last time', given.sides.map(({ side }) => side), 2] as const)
          : (['', [] as Side[], 3] as const);
  const wanted = possible.filter((side) => on.includes(side));
  const asked = wanted.length > 0 ? wanted : possible;
  const judged = blockCautions(newBlock('home', entry.id, entry.ways[0], [...possible], shelf), context, overrides, shelf);
  const free = (side: Side) => (judged.find((each) => each.side === side)?.blocking.length ?? 0) === 0;
  const sides = asked.some(free) ? asked.filter(free) : possible.filter(free);
  const cautions = judged
    .flatMap(({ result }) => result.cautions)
    .filter((each, i, all) => all.findIndex((other) => same(other, each)) === i);
  return {
    sides,
    why,
    cautions,
    forbidden: sides.length === 0 ? (judged[0]?.blocking[0] ?? null) : null,
    limits: judged
      .filter(({ side }) => sides.includes(side))
      .reduce<Limits>((limits, { result }) => mergeLimits(limits, result.limits), NO_LIMITS),
    rank: order,
  };
}

const same = (a: Caution, b: Caution) => a.ruleId === b.ruleId && a.reason === b.reason;

/** What cautions say of an exercise as it is given: what forbids it, or null; everything they say of it; and whether it is held too long. */
export interface ItemJudged {
  readonly forbidden: string | null;
  readonly cautions: readonly Caution[];
}

/** Judges an exercise of a sheet as things stand now: a file may have changed since it was given, and a hold may have been made longer. */
export function judgeItem(item: HomeItem, context: CautionContext, overrides: readonly OverrideFields[], shelf: Shelf): ItemJudged {
  const entry = shelf.entries.get(item.entryId);
  if (!entry?.home) return { forbidden: `${item.name} is no longer on the shelf as work for home.`, cautions: [] };
  const possible = homeSides(entry);
  const sides = item.sides.map(({ side }) => side);
  if (sides.length === 0 || !sides.every((side) => possible.includes(side)))
    return { forbidden: `${item.name} is not done on that side.`, cautions: [] };
  const judged = blockCautions(newBlock('home', entry.id, entry.ways[0], sides, shelf), context, overrides, shelf);
  const cautions = judged
    .flatMap(({ result }) => result.cautions)
    .filter((each, i, all) => all.findIndex((other) => same(other, each)) === i);
  const blocking = judged.flatMap((each) => each.blocking)[0];
  const { holdS } = judged.reduce<Limits>((limits, { result }) => mergeLimits(limits, result.limits), NO_LIMITS);
  const tooLong = holdS !== null && item.seconds !== null && item.seconds > holdS;
  return {
    forbidden: blocking ? blocking.reason : tooLong ? `Cautions allow holds of ${holdS} s at most.` : null,
    cautions,
  };
}
