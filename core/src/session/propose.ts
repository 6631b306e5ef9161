import { POSITIONS, positionOn, type Position, type Side } from '../body/index.ts';
import { blocking, cautionsFor, measuring, overriddenFor } from '../caution/index.ts';
import type { Entry } from '../catalogue/index.ts';
import { BUILT_IN, compile, newBlock, offeredEntries, sidesOf, techniquesOf, type BlockPlan, type Shelf } from '../method/index.ts';
import { SECONDS_A_SIDE } from '../record/index.ts';
import { freePositions, possibleBlocks, type Pin, type Possible, type Possibles, type SessionFacts } from './candidates.ts';
import { CLOSING_S, moveSeconds, OPENING_S } from './places.ts';
import { solveSession, type SolveControl } from './solve/solve.ts';
import type { SessionProblem, Solution } from './solve/types.ts';
import { sessionStrip } from './strip.ts';
import type { Term } from './wanted.ts';

/** A turn costs its time and this much value: it breaks the calm. In weighted degrees, common practice. */
const TURN_COST = 0.4;
const STEP_S = 5;
const MOST_STAYS = 8;
/** Below so many minutes there is no still hold at the end. */
const STILL_FROM_MINUTES = 20;
const STILL_BREATHS = 6;

/** One side of a block in a proposal, with everything its value comes from. */
export interface ProposedSide {
  readonly side: Side;
  readonly rounds: number;
  readonly seconds: number;
  /** Expected, in the motion's unit, toward what is missing and never beyond. */
  readonly gain: number;
  readonly missing: number;
  readonly because: string;
  readonly terms: readonly Term[];
  readonly weight: number;
  readonly value: number;
}

export interface ProposedBlock {
  readonly block: BlockPlan;
  readonly kind: 'warm-up' | 'work' | 'close';
  readonly fit: string;
  readonly sides: readonly ProposedSide[];
  readonly value: number;
}

export interface LeftOut {
  readonly entry: Entry;
  readonly methodId: string;
  readonly words: string;
  readonly because: string;
  /** What its best side would be worth, and why. */
  readonly value: number;
  readonly terms: readonly Term[];
  readonly weight: number;
  /** Minutes more that would bring it in; null until they are worked out, or when none of those tried do. */
  readonly moreMinutes: number | null;
}

export interface Proposal {
  readonly status: Solution['status'];
  readonly value: number;
  readonly gap: number;
  readonly seconds: number;
  readonly turns: number;
  readonly positions: readonly Position[];
  readonly blocks: readonly ProposedBlock[];
  readonly leftOut: readonly LeftOut[];
}

export interface ProposeControl extends Pick<SolveControl, 'stop'> {
  /** As in the solver; `soFar` makes the plan that could be taken now, or null while there is none. */
  readonly progress?: (best: number, bound: number, soFar: () => Proposal | null) => void;
}

/** A warm-up with the positions in which cautions forbid nothing of it. */
interface WarmUp {
  readonly entry: Entry;
  readonly free: readonly Position[];
}

interface Model {
  readonly problem: SessionProblem;
  readonly possibles: Possibles;
  readonly positions: readonly Position[];
  readonly warmUps: readonly WarmUp[];
  readonly closing: BlockPlan | null;
  /** Where cautions let the athlete lie still at the end. */
  readonly closingPositions: readonly Position[];
}

/**
 * The plan for the minutes there are: what is possible becomes a session problem, which is solved exactly, and its solution becomes
 * blocks with their reasons. The two sides of an entry go together; of several entries or ways for one motion at most one is taken,
 * because they are after the same degrees. `idFor` names blocks.
 */
export function proposeSession(facts: SessionFacts, idFor: (n: number) => string, control: ProposeControl = {}): Proposal {
  const model = modelOf(facts, idFor);
  const { stop, progress } = control;
  const solution = solveSession(model.problem, { ...(stop ? { stop } : {}), ...(progress ? { progress: (best, bound, soFar) => progress(best, bound, () => standing(proposalOf(model, soFar(), facts, idFor), facts)) } : {}) });
  let proposal = proposalOf(model, solution, facts, idFor);
  // Measuring that needs a stay of its own can cost a little more in the row of blocks than in the walk. What was solved first
  // stays the bound of what is possible.
  for (let spare = overtime(proposal, facts); spare > 0 && solution.status !== 'impossible';) {
    const shorter = solveSession({ ...model.problem, seconds: proposal.seconds - Math.max(spare, STEP_S) }, stop ? { stop } : {});
    const next = proposalOf(model, shorter, facts, idFor);
    proposal = { ...next, status: shorter.status === 'impossible' ? 'impossible' : 'stopped', gap: solution.value + solution.gap - shorter.value };
    spare = shorter.status === 'impossible' ? 0 : overtime(proposal, facts);
  }
  return proposal;
}

/** A plan from the middle of a search, if it is one that could be taken: with blocks, and within the minutes. */
function standing(proposal: Proposal, facts: SessionFacts): Proposal | null {
  return proposal.status === 'stopped' && proposal.blocks.length > 0 && overtime(proposal, facts) <= 0 ? proposal : null;
}

/** Seconds by which the blocks in their row take longer than there is. */
function overtime({ blocks }: Proposal, facts: SessionFacts): number {
  if (blocks.length === 0) return 0;
  const shelf = facts.shelf ?? BUILT_IN;
  const row = blocks.map((each) => each.block);
  const read = (motionId: string, side: Side) => facts.today.find((value) => value.motionId === motionId && value.side === side && value.moment === 'before')?.value ?? null;
  const line = compile(row, { breath: facts.breath, edgeOf: read, shelf });
  return sessionStrip({ blocks: row, line, isMeasured: (motionId, side) => read(motionId, side) !== null, mayMeasure: (motionId, side) => mayMeasure(facts, motionId, side), shelf }).seconds - facts.minutes * 60;
}

/** How many minutes more would bring in what was left out, tried minute by minute. */
export function minutesMore(facts: SessionFacts, leftOut: readonly LeftOut[], most: number, control: Pick<SolveControl, 'stop'> = {}): LeftOut[] {
  const found = new Map<string, number>();
  for (let more = 1; more <= most && found.size < leftOut.length; more++) {
    if (control.stop?.()) break;
    const { problem, possibles } = modelOf({ ...facts, minutes: facts.minutes + more }, String);
    for (const { candidate } of solveSession(problem, control).chosen) {
      const { id } = possibles.list[candidate]!.entry;
      if (!found.has(id)) found.set(id, more);
    }
  }
  return leftOut.map((each) => ({ ...each, moreMinutes: found.get(each.entry.id) ?? null }));
}

export interface Alternative {
  readonly words: string;
  readonly proposal: Proposal;
}

/**
 * The best plans that differ: one that does without a position of the first, and one that leaves out what the first spends most of its
 * value on. Each is the exact best of its kind.
 */
export function otherSessions(facts: SessionFacts, first: Proposal, idFor: (n: number) => string, control: ProposeControl = {}): Alternative[] {
  const without = first.positions.map((position) => ({ position, proposal: proposeSession({ ...facts, withoutPositions: [...facts.withoutPositions, position] }, idFor, control) }))
    .filter(({ proposal }) => proposal.status !== 'impossible' && proposal.blocks.some((each) => each.kind === 'work'))
    .sort((a, b) => b.proposal.value - a.proposal.value)[0];
  const work = first.blocks.filter((each) => each.kind === 'work').sort((a, b) => b.value - a.value)[0];
  const alternatives: Alternative[] = without ? [{ words: `Other positions: nothing ${without.position}`, proposal: without.proposal }] : [];
  const shelf = facts.shelf ?? BUILT_IN;
  const main = work && !facts.pins.some((pin) => pin.entryId === work.block.entryId) ? shelf.entries.get(work.block.entryId) : undefined;
  if (main) {
    const same = [...shelf.entries.values()].filter((entry) => entry.motionId === main.motionId).map((entry) => entry.id);
    const proposal = proposeSession({ ...facts, bans: [...facts.bans, ...same] }, idFor, control);
    if (proposal.blocks.some((each) => each.kind === 'work')) alternatives.push({ words: `Another emphasis: without ${main.name.toLowerCase()}`, proposal });
  }
  return alternatives;
}

function modelOf(facts: SessionFacts, idFor: (n: number) => string): Model {
  const shelf = facts.shelf ?? BUILT_IN;
  const possibles = possibleBlocks(facts);
  const { list } = possibles;
  const warmUps = facts.warm ? [] : warmUpsFor(list, facts, shelf);
  const measured = list.map(({ wanted }) => positionOn(wanted.motion, wanted.side));
  const positions = POSITIONS.filter((position) => !facts.withoutPositions.includes(position) || measured.includes(position))
    .filter((position) => list.some((each) => each.positions.includes(position)) || measured.includes(position) || warmUps.some(({ free }) => free.map((each) => positionOn({ position: each }, 'left')).includes(position)));
  const placesOf = (all: readonly Position[]) => positions.flatMap((position, i) => (all.includes(position) ? [i] : []));
  const motionSides = [...new Set(list.map(({ wanted }) => `${wanted.motion.id}/${wanted.side}`))];
  const close = newBlock(idFor(99), 'still-hold', 'breath-sink', ['midline'], shelf);
  const closingPositions = freePositions(close, shelf.entries.get(close.entryId)!, facts, shelf).free;
  const closing = facts.minutes >= STILL_FROM_MINUTES && closingPositions.length > 0 ? close : null;
  const still = closing && { ...closing, numbers: { ...closing.numbers, breaths: [STILL_BREATHS] } };
  const secondsOf = (block: BlockPlan) => compile([block], { breath: facts.breath, edgeOf: () => null, shelf }).totalMs / 1000;
  const same = (a: Possible, b: Possible) => a.entry.id === b.entry.id && a.method.id === b.method.id;
  const pairs = list.flatMap((a, i) => list.flatMap((b, j) => (i < j ? [[i, j, a, b] as const] : [])));
  const sidesWarm = ({ free }: WarmUp) => free.flatMap((position) => [positionOn({ position }, 'left'), positionOn({ position }, 'right')]);
  return {
    possibles, positions, warmUps, closing: still, closingPositions,
    problem: {
      seconds: facts.minutes * 60, openingS: OPENING_S, closingS: CLOSING_S + (still ? secondsOf(still) : 0), stepS: STEP_S, mostStays: MOST_STAYS,
      arriveS: positions.map(() => 0),
      moveS: straight(positions.map((from) => positions.map((to) => moveSeconds(from, to)))), moveCost: positions.map((from) => positions.map((to) => (from === to ? 0 : TURN_COST))),
      warmUps: warmUps.map((each) => ({ seconds: secondsOf(warmBlock(each.entry, '', shelf)), places: placesOf(sidesWarm(each)) })),
      measurings: motionSides.map((key) => {
        const { wanted } = list.find((each) => `${each.wanted.motion.id}/${each.wanted.side}` === key)!;
        const may = mayMeasure(facts, wanted.motion.id, wanted.side);
        return { places: placesOf([positionOn(wanted.motion, wanted.side)]), beforeS: wanted.measuredToday || !may ? 0 : SECONDS_A_SIDE, afterS: may ? SECONDS_A_SIDE : 0 };
      }),
      candidates: list.map((each) => {
        const warmUp = each.entry.stage === 'specific' && techniquesOf(each.method).includes('lengthen') ? warmUps.findIndex(({ entry }) => entry.section === each.entry.section) : -1;
        return { places: placesOf(each.positions), levels: each.levels, warmUp: warmUp < 0 ? null : warmUp, measuring: motionSides.indexOf(`${each.wanted.motion.id}/${each.wanted.side}`), required: each.pinned };
      }),
      together: pairs.flatMap(([i, j, a, b]) => (same(a, b) && a.wanted.motion.id === b.wanted.motion.id ? [[i, j] as const] : [])),
      exclude: pairs.flatMap(([i, j, a, b]) => (!same(a, b) && a.wanted.motion.id === b.wanted.motion.id && !(a.pinned && b.pinned) ? [[i, j] as const] : [])),
      precede: facts.keepOrder ? orderOf(list, facts.pins) : [],
    },
  };
}

/** Pins in the order they are given: every side of one before every side of the next that is a candidate. */
function orderOf(list: readonly Possible[], pins: readonly Pin[]): [number, number][] {
  const of = (pin: Pin) => list.flatMap((each, i) => (each.entry.id === pin.entryId && each.method.id === pin.methodId ? [i] : []));
  const rows = pins.map(of).filter((row) => row.length > 0);
  return rows.slice(1).flatMap((row, i) => rows[i]!.flatMap((before) => row.map((after): [number, number] => [before, after])));
}

/** No detour is shorter than the straight way. */
function straight(moves: readonly (readonly number[])[]): number[][] {
  const best = moves.map((row) => [...row]);
  for (let via = 0; via < best.length; via++) for (let a = 0; a < best.length; a++) for (let b = 0; b < best.length; b++) best[a]![b] = Math.min(best[a]![b]!, best[a]![via]! + best[via]![b]!);
  return best;
}

/** One warm-up for every part of the body that is lengthened, if any is allowed: the first of the catalogue that needs no side of its own, or else both sides. */
function warmUpsFor(list: readonly Possible[], facts: SessionFacts, shelf: Shelf): WarmUp[] {
  const sections = [...new Set(list.map((each) => each.entry.section))];
  return sections.flatMap((section) => {
    const fit = offeredEntries(shelf).filter((entry) => entry.stage === 'warm' && !entry.afterOperation && entry.section === section && !facts.bans.includes(entry.id) && entry.positions.some((position) => !facts.withoutPositions.includes(position)));
    const allowed = fit.map((entry): WarmUp => ({ entry, free: freePositions(newBlock('x', entry.id, entry.ways[0], sidesOf(entry), shelf), entry, facts, shelf).free.filter((position) => !facts.withoutPositions.includes(position)) }));
    return allowed.filter(({ free }) => free.length > 0).slice(0, 1);
  });
}

/** Whether cautions let a motion be measured on a side. */
function mayMeasure({ caution, overrides }: SessionFacts, motionId: string, side: Side): boolean {
  return blocking(cautionsFor(caution, measuring(motionId, side)), overriddenFor(overrides, motionId, side)).length === 0;
}

function warmBlock(entry: Entry, id: string, shelf: Shelf): BlockPlan {
  const block = newBlock(id, entry.id, entry.ways[0], sidesOf(entry), shelf);
  return { ...block, sides: block.sides.map((each) => ({ ...each, rounds: 1 })) };
}

function proposalOf({ problem, possibles, positions, warmUps, closing, closingPositions }: Model, solution: Solution, facts: SessionFacts, idFor: (n: number) => string): Proposal {
  const shelf = facts.shelf ?? BUILT_IN;
  const { list } = possibles;
  let n = 0;
  const blocks: ProposedBlock[] = [];
  /** Sides become one block only where the athlete need not turn between them. */
  const blockAt = new Map<string, Solution['stays'][number]>();
  for (const stay of solution.stays) {
    const position = positions[stay.place]!;
    for (const task of stay.tasks) {
      if (task.kind === 'warm-up') {
        const { entry } = warmUps[task.warmUp]!;
        blocks.push({ block: inPosition(warmBlock(entry, idFor(n++), shelf), entry, position), kind: 'warm-up', fit: 'warm before long', sides: [], value: 0 });
      }
      if (task.kind !== 'block') continue;
      const possible = list[task.candidate]!;
      const level = possible.levels[task.level]!;
      const side: ProposedSide = { side: possible.side, rounds: level.rounds, seconds: level.seconds, gain: level.gain, missing: possible.wanted.missing, because: possible.wanted.because, terms: possible.wanted.terms, weight: possible.wanted.weight, value: level.value };
      const known = blocks.findIndex((each) => each.block.entryId === possible.entry.id && each.block.methodId === possible.method.id && blockAt.get(each.block.id) === stay);
      if (known >= 0) {
        const so = blocks[known]!;
        const sides = [...so.sides, side].sort((a, b) => b.missing - a.missing);
        blocks[known] = { ...so, sides, value: so.value + side.value, block: { ...so.block, sides: sides.map((each) => ({ side: each.side, rounds: each.rounds })) } };
      } else {
        const block = { ...newBlock(idFor(n++), possible.entry.id, possible.method.id, [possible.side], shelf), sides: [{ side: possible.side, rounds: level.rounds }] };
        blockAt.set(block.id, stay);
        blocks.push({ block: inPosition(block, possible.entry, position), kind: 'work', fit: possible.fit, sides: [side], value: side.value });
      }
    }
  }
  const last = solution.stays.at(-1);
  if (closing && blocks.length > 0) {
    const entry = shelf.entries.get(closing.entryId)!;
    const position = last && closingPositions.includes(positions[last.place]!) ? positions[last.place]! : closingPositions[0]!;
    blocks.push({ block: inPosition(closing, entry, position), kind: 'close', fit: 'a clear, still end', sides: [], value: 0 });
  }
  const stays = solution.stays.map((stay) => positions[stay.place]!);
  return {
    status: solution.status, value: solution.value, gap: solution.gap, seconds: solution.seconds, turns: Math.max(0, stays.length - 1), positions: [...new Set(stays)], blocks,
    leftOut: leftOutOf(problem, solution, possibles),
  };
}

function inPosition(block: BlockPlan, entry: Entry, position: Position): BlockPlan {
  const own = entry.positions.find((each) => each === position || block.sides.some(({ side }) => positionOn({ position: each }, side) === position));
  return own === undefined || own === entry.positions[0] ? block : { ...block, position: own };
}

function leftOutOf(problem: SessionProblem, solution: Solution, { list, forbidden }: Possibles): LeftOut[] {
  const taken = new Set(solution.chosen.map(({ candidate }) => list[candidate]!.entry.id));
  const takenMotions = new Set(solution.chosen.map(({ candidate }) => list[candidate]!.wanted.motion.id));
  const best = new Map<string, Possible>();
  for (const each of list) {
    if (taken.has(each.entry.id)) continue;
    const so = best.get(each.entry.id);
    if (!so || each.levels.at(-1)!.value > so.levels.at(-1)!.value) best.set(each.entry.id, each);
  }
  const left = [...best.values()].map((each): LeftOut => ({
    entry: each.entry, methodId: each.method.id, value: each.levels.at(-1)!.value, terms: each.wanted.terms, weight: each.wanted.weight, because: each.wanted.because, moreMinutes: null,
    words: takenMotions.has(each.wanted.motion.id) ? 'after the same degrees as what is in' : `no room in ${Math.floor(problem.seconds / 60)} min`,
  })).sort((a, b) => b.value - a.value);
  return [...left, ...forbidden.map(({ entry, words }): LeftOut => ({ entry, methodId: entry.ways[0], value: 0, terms: [], weight: 0, because: '', moreMinutes: null, words }))];
}
