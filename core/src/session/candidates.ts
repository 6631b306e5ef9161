import { positionOn, type Motion, type Position, type Side } from '../body/index.ts';
import { blockCautions, limitedBlock, type CautionContext, type OverrideFields } from '../caution/index.ts';
import { workedSides, type Entry } from '../catalogue/index.ts';
import type { CauseKind } from '../limiter/index.ts';
import { BUILT_IN, compile, fits, newBlock, offeredEntries, offeredMethods, sidesOf, type BlockPlan, type BreathPace, type Method, type Shelf } from '../method/index.ts';
import { SIDE_CHANGE_S } from './places.ts';
import { responseOf, usualGain, wayShare, type Response } from './response.ts';
import { degreesPer, wantedMotions, type Wanted, type WantedFacts } from './wanted.ts';

export interface Pin {
  readonly entryId: string;
  readonly methodId: string;
  /** At least so many rounds a side; left out, one. */
  readonly rounds?: number;
}

export interface SessionFacts extends WantedFacts {
  readonly minutes: number;
  readonly breath: BreathPace;
  readonly caution: CautionContext;
  readonly overrides: readonly OverrideFields[];
  /** What is likely to hold a motion, by `motion/side`. */
  readonly causes: Readonly<Record<string, CauseKind>>;
  /** Warm already: nothing needs a warm-up. */
  readonly warm: boolean;
  readonly pins: readonly Pin[];
  /** Pinned blocks keep the order they are given in. */
  readonly keepOrder?: boolean;
  /** Entries that are not to be in. */
  readonly bans: readonly string[];
  /** Positions that are not to be used. */
  readonly withoutPositions: readonly Position[];
  readonly shelf?: Shelf;
}

/** One side of an entry in one way, at each count of rounds. */
export interface Possible {
  readonly entry: Entry;
  readonly method: Method;
  /** The side that is worked on; the one the motion is read on stands with what is wanted. */
  readonly side: Side;
  readonly positions: readonly Position[];
  readonly wanted: Wanted;
  readonly levels: readonly { readonly rounds: number; readonly seconds: number; readonly gain: number; readonly value: number }[];
  /** Why this way and not another. */
  readonly fit: string;
  readonly pinned: boolean;
}

export interface ForbiddenEntry {
  readonly entry: Entry;
  readonly words: string;
}

export interface Possibles {
  readonly list: readonly Possible[];
  readonly forbidden: readonly ForbiddenEntry[];
  readonly responses: ReadonlyMap<string, Response>;
}

/** At most so many candidates are weighed. */
export const MOST_CANDIDATES = 40;
const MOST_ROUNDS = 5;
const WAYS_EACH = 2;
/** What working the other side is worth, so that none is left undone by accident. */
const OTHER_SIDE_SHARE = 0.12;
const OTHER_SIDE_DEG = 3;
const NEAR_START_DAYS = 2;

const GENTLE = ['cr-light', 'brief-hold', 'position-of-comfort', 'agonist-contract', 'continuous-motion', 'breath-sink'];
const BEFORE_A_START = ['brief-hold', 'agonist-contract', 'active-assisted', 'continuous-motion', 'glide-circumduct'];
const FOR_CAPSULE = ['mobilize-oscillate', 'mobilize-sustained', 'mobilize-movement'];
const FOR_WEAKNESS = ['agonist-contract', 'active-assisted', 'four-way', 'pulsed'];
/** How much a way is worth that suits what holds the motion, and one that does not. Common practice. */
const SUITS = 1.2;
const MISFITS = 0.6;

/**
 * What could be done for what is wanted: entries that show their effect on the motion, each in the two ways that suit best, each side
 * with the seconds and the value of one to five rounds.
 *
 * The value of some rounds is the weight of the motion times the degrees they are expected to bring toward the goal, never beyond it:
 * the usual gain of the motion, times what the way brings, times how this athlete has answered so far. It is concave in the rounds.
 * What cautions forbid on every side is not a candidate and is returned with the reason; what they limit counts only so far.
 */
export function possibleBlocks(facts: SessionFacts): Possibles {
  const shelf = facts.shelf ?? BUILT_IN;
  const wanted = wantedMotions(facts);
  const responses = new Map<string, Response>();
  const forbidden = new Map<string, ForbiddenEntry>();
  const list: Possible[] = [];
  const worthwhile = [...new Set(wanted.filter((each) => each.missing > 0).map((each) => each.motion.id))];
  const pinnedMotions = facts.pins.flatMap((pin) => shelf.entries.get(pin.entryId)?.motionId ?? []);
  for (const motionId of new Set([...worthwhile, ...pinnedMotions.filter((id) => wanted.some((each) => each.motion.id === id))])) {
    const sides = wanted.filter((each) => each.motion.id === motionId);
    responses.set(motionId, responseOf(motionId, facts.past, facts.pastBlocks, facts.errors));
    const blocked = sides.some((each) => facts.causes[`${motionId}/${each.side}`] === 'block');
    for (const entry of entriesOf(motionId, facts, shelf)) {
      if (blocked) {
        forbidden.set(entry.id, { entry, words: 'something may be caught in the joint: refer first, never mobilize' });
        continue;
      }
      const { ways, allTooLong } = waysOf(entry, sides, facts, shelf);
      if (allTooLong) forbidden.set(entry.id, { entry, words: 'long or strong in every way: out on the day of a start' });
      for (const { method, fit, factor } of ways) {
        const pin = facts.pins.find((each) => each.entryId === entry.id && each.methodId === method.id);
        for (const each of sides) {
          for (const side of each.side === 'midline' ? sidesOf(entry).filter((one) => one === 'midline') : workedSides(entry, motionId, each.side)) {
            const possible = possibleOn(entry, method, each, side, { fit, factor, pin }, responses.get(motionId)!, facts, shelf);
            if ('words' in possible) forbidden.set(entry.id, possible);
            else list.push(possible);
          }
        }
      }
    }
  }
  const kept = strongest(list);
  return { list: kept, forbidden: [...forbidden.values()].filter(({ entry }) => !kept.some((each) => each.entry.id === entry.id)), responses };
}

function entriesOf(motionId: string, facts: SessionFacts, shelf: Shelf): Entry[] {
  const all = offeredEntries(shelf).filter((entry) => entry.measured && entry.stage !== 'home' && !entry.afterOperation && !facts.bans.includes(entry.id));
  const pinned = (entry: Entry) => facts.pins.some((pin) => pin.entryId === entry.id);
  const rank = (entry: Entry) => (pinned(entry) ? 0 : entry.motionId === motionId ? (entry.stage === 'specific' ? 1 : entry.stage === 'broad' ? 2 : 3) : 4);
  return all.filter((entry) => entry.motionId === motionId).sort((a, b) => rank(a) - rank(b) || wayShare(b.ways[0]) - wayShare(a.ways[0])).slice(0, 3 + facts.pins.length);
}

/** The ways that suit an entry best, and whether it has none only because a start is today. */
function waysOf(entry: Entry, sides: readonly Wanted[], facts: SessionFacts, shelf: Shelf): { ways: { method: Method; fit: string; factor: number }[]; allTooLong: boolean } {
  const cause = sides.map((each) => facts.causes[`${each.motion.id}/${each.side}`]).find((each) => each !== undefined) ?? null;
  const near = facts.daysToEvent !== null && facts.daysToEvent >= 0 && facts.daysToEvent <= NEAR_START_DAYS;
  const judged = offeredMethods(shelf).filter((method) => fits(entry, method) && wayShare(method.id, method.madeFrom) > 0).map((method) => {
    const id = method.madeFrom ?? method.id;
    if (near) return BEFORE_A_START.includes(id) ? { method, fit: 'short and easy this close to a start', factor: SUITS } : { method, fit: 'longer than one wants this close to a start', factor: MISFITS };
    if (cause === 'capsule') return FOR_CAPSULE.includes(id) ? { method, fit: 'the joint capsule is likely to hold it', factor: SUITS } : { method, fit: 'lengthens, where the capsule is likely to hold it', factor: MISFITS };
    if (cause === 'weakness') return FOR_WEAKNESS.includes(id) ? { method, fit: 'the athlete’s own strength leaves range out', factor: SUITS } : { method, fit: 'lengthens, where strength is missing', factor: MISFITS };
    if (cause === 'guarding') return GENTLE.includes(id) ? { method, fit: 'lighter and slower, because it guards', factor: SUITS } : { method, fit: 'strong, where it guards', factor: MISFITS };
    return { method, fit: 'the usual way for it', factor: 1 };
  });
  const order = (method: Method) => { const at = entry.ways.indexOf(method.madeFrom ?? method.id); return at < 0 ? entry.ways.length : at; };
  const pinned = (method: Method) => facts.pins.some((pin) => pin.entryId === entry.id && pin.methodId === method.id);
  // On the day itself what is long or strong stays out, unless it is asked for by hand.
  const allowed = near && facts.daysToEvent === 0 ? judged.filter((each) => each.factor === SUITS || pinned(each.method)) : judged;
  const sorted = allowed.sort((a, b) => Number(pinned(b.method)) - Number(pinned(a.method)) || b.factor - a.factor || order(a.method) - order(b.method));
  return { ways: sorted.slice(0, Math.max(WAYS_EACH, sorted.filter((each) => pinned(each.method)).length)), allTooLong: judged.length > 0 && allowed.length === 0 };
}

function possibleOn(
  entry: Entry, method: Method, wanted: Wanted, side: Side, { fit, factor, pin }: { fit: string; factor: number; pin: Pin | undefined }, response: Response, facts: SessionFacts, shelf: Shelf,
): Possible | ForbiddenEntry {
  const { motion } = wanted;
  const bare = newBlock('x', entry.id, method.id, [side], shelf);
  const { free, because } = freePositions(bare, entry, facts, shelf);
  if (free.length === 0) return { entry, words: because };
  const block = limitedBlock({ ...bare, position: free[0]! }, facts.caution, shelf);
  const room = roomLeft(motion, wanted, block, side);
  const least = Math.max(1, Math.min(pin?.rounds ?? 1, method.rounds.max));
  const most = Math.max(least, Math.min(MOST_ROUNDS, method.rounds.max));
  const levels = Array.from({ length: most - least + 1 }, (_, i) => {
    const rounds = least + i;
    const seconds = compile([{ ...block, sides: [{ side, rounds }] }], { breath: facts.breath, edgeOf: () => wanted.edge, shelf }).totalMs / 1000;
    const expected = wayShare(method.id, method.madeFrom) * usualGain(motion, rounds) * response.scale;
    const gain = Math.min(expected, wanted.missing, room);
    const other = wanted.missing > 0 ? 0 : OTHER_SIDE_SHARE * Math.min(expected * degreesPer(motion.id), OTHER_SIDE_DEG);
    return { rounds, seconds: seconds + (motion.sides.length > 1 ? SIDE_CHANGE_S : 0), gain, value: factor * (wanted.weight * gain * degreesPer(motion.id) + other) };
  });
  const positions = free.map((position) => positionOn({ position }, side)).filter((position) => !facts.withoutPositions.includes(position));
  return positions.length === 0 ? { entry, words: 'Only in a position that was left out.' } : { entry, method, side, positions, wanted, levels, fit, pinned: pin !== undefined };
}

/** The positions of an entry in which cautions forbid no side of a block, and, where there is none, why. */
export function freePositions(block: BlockPlan, entry: Entry, facts: Pick<SessionFacts, 'caution' | 'overrides'>, shelf: Shelf): { readonly free: readonly Position[]; readonly because: string } {
  const judged = entry.positions.map((position) => ({ position, blocking: blockCautions({ ...block, position }, facts.caution, facts.overrides, shelf).flatMap((side) => side.blocking) }));
  const first = judged[0]!.blocking[0];
  return { free: judged.filter((each) => each.blocking.length === 0).map((each) => each.position), because: first ? `${first.because}: ${first.reason}` : '' };
}

/** How far cautions let the limb go past today's edge: nothing where only a share of the way is allowed. */
function roomLeft(motion: Motion, { edge }: Wanted, block: BlockPlan, side: Side): number {
  const limit = block.limits?.find((each) => each.side === side);
  if (!limit) return Number.POSITIVE_INFINITY;
  if (limit.edgeShare !== null && limit.edgeShare < 1) return 0;
  return limit.cap === null ? Number.POSITIVE_INFINITY : Math.max(0, motion.better === 'higher' ? limit.cap - edge : edge - limit.cap);
}

/** Never more than can be weighed: whole motions, the most valuable first, pinned ones always. */
function strongest(list: readonly Possible[]): Possible[] {
  const motions = [...new Set(list.map((each) => each.wanted.motion.id))];
  const best = (id: string) => Math.max(...list.filter((each) => each.wanted.motion.id === id).map((each) => (each.pinned ? Number.POSITIVE_INFINITY : each.levels.at(-1)!.value)));
  const kept: Possible[] = [];
  for (const id of motions.sort((a, b) => best(b) - best(a))) {
    const more = list.filter((each) => each.wanted.motion.id === id);
    if (kept.length + more.length <= MOST_CANDIDATES) kept.push(...more);
  }
  return kept;
}
