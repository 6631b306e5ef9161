import { motionOf, type Position, type Side } from '../body/index.ts';
import { anyLimit } from '../caution/index.ts';
import { motionSide, type Entry } from '../catalogue/index.ts';
import { formatValue } from '../measure/index.ts';
import {
  BUILT_IN,
  compile,
  doseOf,
  fits,
  newBlock,
  offeredEntries,
  offeredMethods,
  roundShares,
  sidesOf,
  techniquesOf,
  wayRank,
  type BlockPlan,
  type Limits,
  type Method,
  type Shelf,
} from '../method/index.ts';
import { freeBySide, type FreeSide, type Pin, type SessionFacts } from './free.ts';
import { keptShare, type KeptShare } from './kept.ts';
import { SIDE_CHANGE_S } from './places.ts';
import { responseOf, usualGain, type Response } from './response.ts';
import { suitOf, type Suited } from './suits.ts';
import { degreesPer, wantedMotions, type Wanted } from './wanted.ts';
import { warmUpsFor, type WarmUp, type WarmUps } from './warmUps.ts';

/** One side of an entry in one way, at each count of rounds. */
export interface Possible {
  readonly entry: Entry;
  readonly method: Method;
  /** The side that is worked on; the one the motion is read on stands with what is wanted. */
  readonly side: Side;
  readonly positions: readonly Position[];
  readonly wanted: Wanted;
  readonly levels: readonly PossibleLevel[];
  /** What is kept of its gain, where that is weighed. */
  readonly kept: KeptShare | null;
  /** Why this way and not another. */
  readonly fit: string;
  readonly pin: Pin | null;
  /** What has to come before it, or null. */
  readonly warmUp: WarmUp | null;
  /** It would need a warm-up and has none: it counts for less. */
  readonly cold: boolean;
  /** Sides of one variant are the same entry in the same way, in positions of one kind, after the same warm-up. */
  readonly variant: number;
}

export interface PossibleLevel {
  readonly rounds: number;
  readonly seconds: number;
  readonly gain: number;
  readonly value: number;
}

/** An entry that is not weighed, and why. */
export interface ForbiddenEntry {
  readonly entry: Entry;
  readonly words: string;
}

export interface Possibles {
  readonly list: readonly Possible[];
  /** The best variant of every entry that could be in, weighed or beaten by another in everything. */
  readonly best: readonly Possible[];
  readonly forbidden: readonly ForbiddenEntry[];
  /** Entries that could be in and are too many to weigh; empty as a rule. */
  readonly unweighed: readonly Entry[];
  readonly responses: ReadonlyMap<string, Response>;
}

/** At most so many sides of variants are weighed. */
export const MOST_CANDIDATES = 400;
/** More rounds of one thing than this count no further. */
const MOST_ROUNDS = 5;
/** What working the other side is worth, so that none is left undone by accident. */
const OTHER_SIDE_SHARE = 0.12;
const OTHER_SIDE_DEG = 3;
/** What is left of a lengthening that goes in cold, and of a way that the entry does not name first. Common practice. */
const COLD = 0.6;
const NOT_FIRST = 0.92;
/** Before a start nothing is held longer than this on a side: 60 s and more cost about 4.6 % of performance. Behm 2016, from memory. */
const HELD_BEFORE_START_S = 60;

/**
 * What could be done for what is wanted: every entry that shows its effect on the motion, in every way that fits it, in every kind of
 * position, after every warm-up that may be done or cold, each side with the seconds and the value of one to five rounds.
 *
 * The value of some rounds is the weight of the motion times the degrees they are expected to bring toward the goal, never beyond it
 * nor beyond what cautions let the limb reach: the usual gain of the motion, times what the rounds of the compiled line bring of it, times how
 * this athlete has answered so far; and times what is kept of it against what is usual, where that is asked (`keptShare`). What brings nothing is no candidate and says why, as does what cautions forbid on every side.
 *
 * Everything is weighed: a variant is left out only where another of the same motion is no slower and no worse at every count of rounds,
 * on the same sides, in at least its places and with no more before it. Such a one can stand in for it in any plan, so no best plan is lost.
 */
export function possibleBlocks(facts: SessionFacts): Possibles {
  const shelf = facts.shelf ?? BUILT_IN;
  const measured = wantedMotions(facts);
  const pinnedMotions = facts.pins.flatMap((pin) => shelf.entries.get(pin.entryId)?.motionId ?? []);
  const wanted = [...measured, ...handMade(pinnedMotions, measured)];
  const weigher = new Weigher(facts, shelf);
  const motionIds = [
    ...new Set(wanted.filter((each) => each.missing > 0 || pinnedMotions.includes(each.motion.id)).map((each) => each.motion.id)),
  ];
  for (const motionId of motionIds)
    weigher.addMotion(
      motionId,
      wanted.filter((each) => each.motion.id === motionId),
    );
  return weigher.result();
}

/** Sides of motions that something is pinned for although nothing was read of them: they are worked because a hand put them in. */
function handMade(motionIds: readonly string[], wanted: readonly Wanted[]): Wanted[] {
  return [...new Set(motionIds)]
    .filter((id) => !wanted.some((each) => each.motion.id === id))
    .flatMap((id) => {
      const motion = motionOf(id);
      return motion.sides.map((side): Wanted => ({
        motion,
        side,
        edge: motion.rest,
        measuredToday: false,
        missing: 0,
        because: 'put in by hand: nothing was read of it',
        terms: [],
        weight: 1,
      }));
    });
}

class Weigher {
  private readonly all: Possible[] = [];
  private readonly forbidden = new Map<string, ForbiddenEntry>();
  private readonly responses = new Map<string, Response>();
  private readonly warmUps = new Map<Entry['section'], WarmUps>();
  private readonly lines = new Map<BlockPlan, Map<string, ReturnType<Weigher['compiled']>>>();
  private variants = 0;

  constructor(
    private readonly facts: SessionFacts,
    private readonly shelf: Shelf,
  ) {}

  addMotion(motionId: string, sides: readonly Wanted[]): void {
    const { facts, shelf } = this;
    this.responses.set(motionId, responseOf(motionId, facts.past, facts.pastBlocks, facts.errors, shelf));
    const blocked = sides.some((each) => facts.causes[`${motionId}/${each.side}`] === 'block');
    const pinnedHere = facts.pins.filter((pin) => shelf.entries.get(pin.entryId)?.motionId === motionId);
    const entries = offeredEntries(shelf).filter(
      (entry) =>
        entry.motionId === motionId &&
        entry.measured &&
        entry.stage !== 'home' &&
        !entry.afterOperation &&
        !entry.onlyAsked &&
        !facts.bans.includes(entry.id),
    );
    for (const entry of entries) {
      if (blocked) this.forbid(entry, 'something may be caught in the joint: refer first, never mobilize');
      else this.addEntry(entry, sides, pinnedHere);
    }
  }

  private forbid(entry: Entry, words: string): void {
    if (!this.forbidden.has(entry.id)) this.forbidden.set(entry.id, { entry, words });
  }

  private addEntry(entry: Entry, sides: readonly Wanted[], pinnedHere: readonly Pin[]): void {
    const { facts, shelf } = this;
    const pinOf = (method: Method) => pinnedHere.find((pin) => pin.entryId === entry.id && pin.methodId === method.id) ?? null;
    const judged = offeredMethods(shelf)
      .filter((method) => fits(entry, method) && method.share > 0)
      .map((method) => ({ method, pin: pinOf(method), ...suitOf(method, sides, facts) }));
    const allowed = judged.filter((each) => each.allowed || each.pin !== null);
    if (judged.length > 0 && allowed.length === 0) this.forbid(entry, 'long or strong in every way: out on the day of a start');
    for (const each of allowed) {
      // What is pinned against a rule, and all but the first that is pinned for one motion, is after no degrees of its own.
      const counts = each.allowed && (each.pin === null || each.pin === pinnedHere[0]);
      this.addWay(entry, sides, each, each.pin !== null && !counts ? 0 : each.factor * (wayRank(entry, each.method) === 0 ? 1 : NOT_FIRST));
    }
  }

  private addWay(
    entry: Entry,
    wanted: readonly Wanted[],
    { method, fit, pin }: Suited & { readonly method: Method; readonly pin: Pin | null },
    factor: number,
  ): void {
    const { facts, shelf } = this;
    const own = pin?.block;
    const named = new Set(own?.sides.map((each) => each.side));
    const sides = sidesOf(entry).filter(
      (side) => (named.size === 0 || named.has(side)) && wanted.some((each) => each.side === motionSide(entry, entry.motionId, side)),
    );
    if (sides.length === 0) return;
    const bare: BlockPlan = {
      ...newBlock('x', entry.id, method.id, sides, shelf),
      ...(own ? { numbers: own.numbers, choices: own.choices, ...(own.lists ? { lists: own.lists } : {}) } : {}),
    };
    const found = freeBySide(bare, own ? [own.position ?? entry.positions[0]] : entry.positions, facts, shelf);
    if (found.every((each) => each.free.length === 0)) return this.forbid(entry, found[0]!.because);
    // A position is left out for both sides: nothing is worked on one side only because the other one's position is not wanted.
    const unwanted = new Set(
      found.flatMap((each) => each.free.flatMap(({ position, place }) => (facts.withoutPositions.includes(place) ? [position] : []))),
    );
    const could = found.filter((each) => each.free.length > 0);
    const left = could.map((each) => ({ ...each, free: each.free.filter(({ position }) => !unwanted.has(position)) }));
    if (left.some((each) => each.free.length === 0)) return this.forbid(entry, 'Only in a position that was left out.');
    for (const kind of kindsOf(left)) this.addKind(entry, method, kind, wanted, { fit, pin, factor, bare });
  }

  /** One kind of position: the sides with their levels, and again for every warm-up and cold. */
  private addKind(
    entry: Entry,
    method: Method,
    kind: readonly SideIn[],
    wanted: readonly Wanted[],
    { fit, pin, factor, bare }: { fit: string; pin: Pin | null; factor: number; bare: BlockPlan },
  ): void {
    const rows = kind.flatMap((each) => {
      const row = this.levelsOf(
        method,
        each,
        wanted.find((other) => other.side === motionSide(entry, entry.motionId, each.side))!,
        { pin, factor, bare },
      );
      return typeof row === 'string' ? (this.forbid(entry, row), []) : [{ ...each, ...row }];
    });
    // A hand may put in what brings nothing; the program does not.
    if (rows.length === 0 || (pin === null && !rows.some((row) => row.levels.some((level) => level.gain > 0)))) return;
    // Going round to the other side is paid once, where both are worked in one position.
    const charged = rows.some((row) => rows.some((other) => other !== row && other.places[0] === row.places[0])) ? rows.at(-1)!.side : null;
    // An order set by hand is between things that are surely in: each then comes in one way only.
    const befores = this.befores(entry, method);
    for (const before of pin !== null && this.facts.keepOrder ? befores.slice(0, 1) : befores) {
      const variant = this.variants++;
      for (const row of rows) {
        const seconds = row.side === charged ? SIDE_CHANGE_S : 0;
        this.all.push({
          entry,
          method,
          side: row.side,
          positions: row.places,
          wanted: row.wanted,
          kept: row.kept,
          fit,
          pin,
          variant,
          ...before,
          levels: row.levels.map((level) => ({
            ...level,
            seconds: level.seconds + seconds,
            gain: before.cold ? level.gain * COLD : level.gain,
            value: before.cold ? level.value * COLD : level.value,
          })),
        });
      }
    }
  }

  /** What may come before: each warm-up worth considering, or nothing and then it goes in cold. */
  private befores(entry: Entry, method: Method): { readonly warmUp: WarmUp | null; readonly cold: boolean }[] {
    const needs = !this.facts.warm && entry.stage === 'specific' && techniquesOf(method).includes('lengthen');
    if (!needs) return [{ warmUp: null, cold: false }];
    if (!this.warmUps.has(entry.section)) this.warmUps.set(entry.section, warmUpsFor(entry.section, this.facts, this.shelf));
    const { exist, allowed } = this.warmUps.get(entry.section)!;
    if (!exist) return [{ warmUp: null, cold: false }];
    return [...allowed.map((warmUp) => ({ warmUp, cold: false })), { warmUp: null, cold: true }];
  }

  private levelsOf(
    method: Method,
    { side, limits }: SideIn,
    wanted: Wanted,
    { pin, factor, bare }: { pin: Pin | null; factor: number; bare: BlockPlan },
  ): { readonly wanted: Wanted; readonly levels: readonly PossibleLevel[]; readonly kept: KeptShare | null } | string {
    const { facts } = this;
    const { motion } = wanted;
    const response = this.responses.get(motion.id)!;
    const room = roomLeft(wanted, limits);
    if (pin === null && wanted.missing > 0 && room === 0)
      return `${heldBy(wanted, limits)}: nothing to gain today. Up to there it may be moved, held and pressed lightly.`;
    if (pin === null && wanted.missing > 0 && response.scale <= 0)
      return 'work on this motion has not shown in its readings so far: nothing to expect of more of it';
    const kept = keptShare(facts.kept, motion.id, wanted.side, response.scale);
    if (pin === null && wanted.missing > 0 && kept !== null && kept.share <= 0)
      return `of what is gained here nothing is there any more at the next visit, from ${kept.visits} visits: nothing to expect of more of it`;
    const least = Math.max(1, Math.min(leastOf(pin, side), method.rounds.max));
    const most = Math.max(least, Math.min(MOST_ROUNDS, method.rounds.max));
    const worth = wanted.weight * Math.max(0, kept?.factor ?? 1);
    const levels: PossibleLevel[] = [];
    for (let rounds = least; rounds <= most; rounds++) {
      const { seconds, shares, heldS } = this.compiled(bare, side, limits, rounds);
      if (pin === null && facts.daysToEvent === 0 && heldS >= HELD_BEFORE_START_S) break;
      const expected = Math.max(0, response.scale) * usualGain(motion, shares.slice(0, MOST_ROUNDS));
      const gain = Math.min(expected, wanted.missing, room);
      const other = wanted.missing > 0 ? 0 : OTHER_SIDE_SHARE * Math.min(expected * degreesPer(motion.id), OTHER_SIDE_DEG);
      levels.push({ rounds, seconds, gain, value: factor * (worth * gain * degreesPer(motion.id) + other) });
    }
    return levels.length > 0 ? { wanted, levels, kept } : 'long or strong in every way: out on the day of a start';
  }

  /** What some rounds take and bring by the compiled line. Neither depends on the side or on today's edge, so each is compiled once. */
  private compiled(
    bare: BlockPlan,
    side: Side,
    limits: Limits,
    rounds: number,
  ): { readonly seconds: number; readonly shares: readonly number[]; readonly heldS: number } {
    const known = this.lines.get(bare) ?? new Map<string, ReturnType<Weigher['compiled']>>();
    this.lines.set(bare, known);
    const key = `${rounds}/${anyLimit(limits) ? JSON.stringify(limits) : ''}`;
    const found = known.get(key);
    if (found) return found;
    const block = { ...bare, sides: [{ side, rounds }], ...(anyLimit(limits) ? { limits: [{ side, ...limits }] } : {}) };
    const line = compile([block], { breath: this.facts.breath, edgeOf: () => null, shelf: this.shelf });
    const made = {
      seconds: Math.round(line.totalMs / 1000),
      shares: roundShares(line, 0, side, this.shelf),
      heldS: doseOf(line).reduce((sum, dose) => sum + dose.endRangeMs, 0) / 1000,
    };
    known.set(key, made);
    return made;
  }

  result(): Possibles {
    const kept = unbeaten(this.all);
    const list = strongest(kept);
    const weighed = new Set(list.map((each) => each.wanted.motion.id));
    const best = new Map<string, Possible>();
    for (const each of this.all) {
      const so = best.get(each.entry.id);
      if (!so || topOf(each) > topOf(so)) best.set(each.entry.id, each);
    }
    const could = [...best.values()].map((each) => each.entry);
    return {
      list,
      best: [...best.values()].filter((each) => weighed.has(each.wanted.motion.id)),
      responses: this.responses,
      unweighed: could.filter((entry) => !weighed.has(entry.motionId)),
      forbidden: [...this.forbidden.values()].filter(({ entry }) => !best.has(entry.id)),
    };
  }
}

const topOf = (each: Possible): number => each.levels.at(-1)!.value;

const leastOf = (pin: Pin | null, side: Side): number =>
  (pin?.least ?? pin?.block?.sides ?? []).filter((each) => each.side === side).reduce((sum, each) => sum + each.rounds, 0);

/** One side in one kind of position, with the limits that hold there. */
interface SideIn {
  readonly side: Side;
  readonly places: readonly Position[];
  readonly limits: Limits;
}

/**
 * Positions by kind: those in which both sides are worked without a turn, those in which each side has its own, and of each those with the
 * same limits. So the time a side takes and what it brings is the same wherever in its kind it is done. A side that may be worked is in every
 * kind; where no position is free for all of them, each is in the first that is free for it.
 */
function kindsOf(sides: readonly FreeSide[]): SideIn[][] {
  const kinds = new Map<string, { side: Side; places: Position[]; limits: Limits }[]>();
  const inAll = (position: Position) => sides.every((each) => each.free.some((free) => free.position === position));
  if (!sides[0]!.free.some(({ position }) => inAll(position)))
    return [sides.map(({ side, free }) => ({ side, places: [free[0]!.place], limits: free[0]!.limits }))];
  for (const { side, free } of sides) {
    for (const { position, place, limits } of free) {
      if (!inAll(position)) continue;
      const turned = sides.some((each) => each.free.some((other) => other.position === position && other.place !== place));
      const here = sides.map((each) => JSON.stringify(each.free.find((other) => other.position === position)!.limits));
      const key = `${turned}/${here.join()}`;
      const rows = kinds.get(key) ?? [];
      kinds.set(key, rows);
      const row = rows.find((each) => each.side === side);
      if (row) row.places.push(place);
      else rows.push({ side, places: [place], limits });
    }
  }
  return [...kinds.values()];
}

/** How far cautions let the limb go past today's edge: nothing where only a share of the way is allowed. */
function roomLeft({ motion, edge }: Wanted, { cap, edgeShare }: Limits): number {
  if (edgeShare !== null && edgeShare < 1) return 0;
  return cap === null ? Number.POSITIVE_INFINITY : Math.max(0, motion.better === 'higher' ? cap - edge : edge - cap);
}

/** What keeps the limb from going further, in words: the written limit where it is reached already, or else the share of the way. */
const heldBy = ({ motion, edge }: Wanted, { cap, edgeShare }: Limits): string =>
  cap !== null && (motion.better === 'higher' ? cap <= edge : cap >= edge)
    ? `held by the limit of ${formatValue(cap, motion.unit)}`
    : `kept to ${Math.round((edgeShare ?? 1) * 100)} % of the way by a caution`;

/** Without the variants that another one can stand in for. What is pinned stays. */
function unbeaten(all: readonly Possible[]): Possible[] {
  const variants = new Map<number, Possible[]>();
  for (const each of all) variants.set(each.variant, [...(variants.get(each.variant) ?? []), each]);
  const kept: Possible[][] = [];
  for (const one of variants.values()) {
    if (one[0]!.pin === null && kept.some((other) => beats(other, one))) continue;
    for (let i = kept.length - 1; i >= 0; i--) if (kept[i]![0]!.pin === null && beats(one, kept[i]!)) kept.splice(i, 1);
    kept.push(one);
  }
  return kept.flat();
}

/** Whether a variant can stand in for another wherever that one is done. */
function beats(a: readonly Possible[], b: readonly Possible[]): boolean {
  const [one, other] = [a[0]!, b[0]!];
  if (one.wanted.motion.id !== other.wanted.motion.id || a.length !== b.length) return false;
  if (one.warmUp !== null && one.warmUp !== other.warmUp) return false;
  return b.every((side) => {
    const same = a.find((each) => each.side === side.side && each.wanted.side === side.wanted.side);
    return (
      same !== undefined &&
      side.positions.every((position) => same.positions.includes(position)) &&
      side.levels.every((level) => same.levels.some((better) => better.seconds <= level.seconds && better.value >= level.value))
    );
  });
}

/** Never more than can be weighed: whole motions, the most valuable first, pinned ones always. */
function strongest(list: readonly Possible[]): Possible[] {
  const motions = [...new Set(list.map((each) => each.wanted.motion.id))];
  const best = (id: string) =>
    Math.max(
      ...list.filter((each) => each.wanted.motion.id === id).map((each) => (each.pin !== null ? Number.POSITIVE_INFINITY : topOf(each))),
    );
  const kept: Possible[] = [];
  for (const id of motions.sort((a, b) => best(b) - best(a))) {
    const more = list.filter((each) => each.wanted.motion.id === id);
    if (kept.length + more.length <= MOST_CANDIDATES || best(id) === Number.POSITIVE_INFINITY) kept.push(...more);
  }
  return kept;
}
