import { positionOn, type Position, type Side } from '../body/index.ts';
import { limitedBlock } from '../caution/index.ts';
import type { Entry } from '../catalogue/index.ts';
import { BUILT_IN, compile, newBlock, offeredEntries, sidesOf, type BlockPlan } from '../method/index.ts';
import { arrangeStay } from './arrange.ts';
import type { Possible, Possibles } from './candidates.ts';
import { mayMeasure, type SessionFacts } from './free.ts';
import type { KeptShare } from './kept.ts';
import { modelOf, STILL_WORTH, type Model } from './model.ts';
import { solveSession, type SolveControl } from './solve/solve.ts';
import type { Solution } from './solve/types.ts';
import { sessionStrip } from './strip.ts';
import type { Term } from './wanted.ts';
import { warmBlock } from './warmUps.ts';

/** One side of a block in a proposal, with everything its value comes from. */
export interface ProposedSide {
  readonly side: Side;
  readonly rounds: number;
  readonly seconds: number;
  /** Expected, in the motion's unit, toward what is missing and never beyond. */
  readonly gain: number;
  /** What is kept of it, where that is weighed. */
  readonly kept: KeptShare | null;
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
  /** It goes in without the warm-up it would need, and counts for less. */
  readonly cold: boolean;
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
  readonly kept: KeptShare | null;
  /** Minutes more with which the best plan has it in, and with one less has not; null: with none of those tried. */
  readonly moreMinutes: number | null;
  /** So many minutes more were tried; zero until it is worked out. */
  readonly triedMinutes: number;
}

export interface Proposal {
  /** `optimal`: no plan of these minutes is worth more. */
  readonly status: Solution['status'];
  readonly value: number;
  readonly gap: number;
  /** Of the whole visit, as its strip is drawn. */
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

/**
 * The plan for the minutes there are: what is possible becomes a session problem, which is solved exactly, and its solution becomes
 * blocks with their reasons. The two sides of an entry go together; of several variants for one motion one is taken, because they are
 * after the same degrees. `idFor` names blocks.
 *
 * What is solved is the minutes on the clock. The strip of a row of blocks charges its compiled seconds, a change of sides where the
 * therapist goes round, turns, and readings where they take least; the problem charges the same, each pair of sides once, and the blocks
 * of a stay are arranged so that no further change is needed (`arrangeStay`). So no row of blocks takes less than the problem says, and
 * the row that is proposed takes no more; where hands have fixed an order or sides and it does, less is planned until it fits, and the
 * status says that it is no longer proven.
 */
export function proposeSession(facts: SessionFacts, idFor: (n: number) => string, control: ProposeControl = {}): Proposal {
  return proposeFrom(modelOf(facts), facts, idFor, control);
}

function proposeFrom(model: Model, facts: SessionFacts, idFor: (n: number) => string, { stop, progress }: ProposeControl = {}): Proposal {
  const found = solveModel(model, facts.minutes * 60, {
    ...(stop ? { stop } : {}),
    ...(progress
      ? {
          progress: (best: number, bound: number, soFar: () => Solved) =>
            progress(best, bound, () => standing(proposalOf(model, soFar(), facts, idFor), facts)),
        }
      : {}),
  });
  let proposal = proposalOf(model, found, facts, idFor);
  for (let limit = facts.minutes * 60; proposal.blocks.length > 0 && proposal.seconds > facts.minutes * 60;) {
    limit -= proposal.seconds - facts.minutes * 60;
    const shorter = solveModel(model, limit, stop ? { stop } : {});
    if (shorter.solution.status === 'impossible') return { ...proposalOf(model, shorter, facts, idFor), status: 'impossible' };
    const next = proposalOf(model, shorter, facts, idFor);
    proposal = { ...next, status: 'stopped', gap: Math.max(0, found.solution.value + found.solution.gap - next.value) };
  }
  return proposal;
}

/** A solution, and whether it keeps a still end. */
interface Solved {
  readonly solution: Solution;
  readonly still: boolean;
}

/**
 * The best plan of some seconds. A still end is worth something of its own: the best plan without one is held against the best with one, so
 * that minutes more, which allow one, can never make a plan worse. What ends still is worth no more than the best that does not, and that much more.
 */
function solveModel(
  model: Model,
  seconds: number,
  { stop, progress }: { readonly stop?: () => boolean; readonly progress?: (best: number, bound: number, soFar: () => Solved) => void },
): Solved {
  const control = stop ? { stop } : {};
  const still = model.problem(seconds, true);
  const most = still ? STILL_WORTH : 0;
  const tell = progress
    ? {
        progress: (best: number, bound: number, soFar: () => Solution) =>
          progress(best, bound + most, () => {
            const solution = soFar();
            return { solution: { ...solution, gap: solution.gap + most }, still: false };
          }),
      }
    : {};
  const without = solveSession(model.problem(seconds, false)!, { ...control, ...tell });
  if (!still || without.status === 'impossible' || without.chosen.length === 0) return { solution: without, still: false };
  const kept = solveSession(still, { ...control, above: without.value - STILL_WORTH });
  // Nothing that ends still is worth as much, or none was found before the search was stopped.
  if (kept.chosen.length === 0)
    return {
      solution: { ...without, status: kept.gap > 0 ? 'stopped' : without.status, gap: Math.max(without.gap, kept.gap) },
      still: false,
    };
  const value = kept.value + STILL_WORTH;
  return {
    solution: {
      ...kept,
      value,
      status: without.status === 'stopped' ? 'stopped' : kept.status,
      gap: Math.max(kept.gap, without.value + without.gap - value, 0),
    },
    still: true,
  };
}

/** A plan from the middle of a search, if it is one that could be taken: with blocks, and within the minutes. */
function standing(proposal: Proposal, facts: SessionFacts): Proposal | null {
  return proposal.status === 'stopped' && proposal.blocks.length > 0 && proposal.seconds <= facts.minutes * 60 ? proposal : null;
}

/** Seconds and turns of blocks in their row, as they are drawn. */
function clockOf(blocks: readonly BlockPlan[], facts: SessionFacts): { readonly seconds: number; readonly turns: number } {
  const shelf = facts.shelf ?? BUILT_IN;
  const read = (motionId: string, side: Side) =>
    facts.today.find((value) => value.motionId === motionId && value.side === side && value.moment === 'before')?.value ?? null;
  const line = compile(blocks, { breath: facts.breath, edgeOf: read, shelf });
  return sessionStrip({
    blocks,
    line,
    isMeasured: (motionId, side) => read(motionId, side) !== null,
    mayMeasure: (motionId, side) => mayMeasure(facts, motionId, side),
    shelf,
  });
}

/**
 * How many minutes more would bring in what was left out: the least with which the best plan has it, found by solving minute by minute
 * from one on. What is not in by the last minute tried says so.
 */
export function minutesMore(
  facts: SessionFacts,
  leftOut: readonly LeftOut[],
  most: number,
  control: Pick<SolveControl, 'stop'> = {},
): LeftOut[] {
  const model = modelOf(facts);
  const wanted = new Set(leftOut.filter((each) => each.value > 0).map((each) => each.entry.id));
  const found = new Map<string, number>();
  let tried = 0;
  for (let more = 1; more <= most && found.size < wanted.size; more++) {
    const { status, blocks } = proposeFrom(model, { ...facts, minutes: facts.minutes + more }, String, control);
    // A plan that is not proven says nothing about what a better one would hold.
    if (control.stop?.() || status === 'stopped') break;
    for (const { block, kind } of blocks)
      if (kind === 'work' && wanted.has(block.entryId) && !found.has(block.entryId)) found.set(block.entryId, more);
    tried = more;
  }
  return leftOut.map((each) => ({
    ...each,
    moreMinutes: found.get(each.entry.id) ?? null,
    triedMinutes: found.size === wanted.size ? most : tried,
  }));
}

export interface Alternative {
  readonly words: string;
  readonly proposal: Proposal;
}

/**
 * The best plans that differ: one that does without a position of the first, and one that leaves out what the first spends most of its
 * value on. Each is the exact best of its kind.
 */
export function otherSessions(
  facts: SessionFacts,
  first: Proposal,
  idFor: (n: number) => string,
  control: ProposeControl = {},
): Alternative[] {
  const without = first.positions
    .map((position) => ({
      position,
      proposal: proposeSession({ ...facts, withoutPositions: [...facts.withoutPositions, position] }, idFor, control),
    }))
    .filter(({ proposal }) => proposal.status !== 'impossible' && proposal.blocks.some((each) => each.kind === 'work'))
    .sort((a, b) => b.proposal.value - a.proposal.value)[0];
  const work = first.blocks.filter((each) => each.kind === 'work').sort((a, b) => b.value - a.value)[0];
  const alternatives: Alternative[] = without
    ? [{ words: `Other positions: nothing ${without.position}`, proposal: without.proposal }]
    : [];
  const shelf = facts.shelf ?? BUILT_IN;
  const main = work && !facts.pins.some((pin) => pin.entryId === work.block.entryId) ? shelf.entries.get(work.block.entryId) : undefined;
  if (main) {
    const same = [...shelf.entries.values()].filter((entry) => entry.motionId === main.motionId).map((entry) => entry.id);
    const proposal = proposeSession({ ...facts, bans: [...facts.bans, ...same] }, idFor, control);
    if (proposal.blocks.some((each) => each.kind === 'work'))
      alternatives.push({ words: `Another emphasis: without ${main.name.toLowerCase()}`, proposal });
  }
  return alternatives;
}

function proposalOf(model: Model, { solution, still }: Solved, facts: SessionFacts, idFor: (n: number) => string): Proposal {
  const shelf = facts.shelf ?? BUILT_IN;
  const {
    possibles: { list },
    positions,
    warmUps,
  } = model;
  let n = 0;
  const blocks = solution.stays.flatMap((stay) => {
    const position = positions[stay.place]!;
    const made: ProposedBlock[] = [];
    const possibleOf = new Map<string, Possible>();
    for (const task of stay.tasks) {
      if (task.kind === 'warm-up') {
        const { entry } = warmUps[task.warmUp]!;
        made.push({
          block: inPosition(warmBlock(entry, idFor(n++), shelf), entry, position),
          kind: 'warm-up',
          fit: 'warm before long',
          cold: false,
          sides: [],
          value: 0,
        });
      }
      if (task.kind !== 'block') continue;
      const possible = list[task.candidate]!;
      const side = sideOf(possible, task.level);
      // Sides become one block only where the athlete need not turn between them.
      const known = made.findIndex((each) => possibleOf.get(each.block.id)?.variant === possible.variant);
      if (known >= 0) made[known] = withSide(made[known]!, side, possible);
      else {
        const own = possible.pin?.block;
        const block: BlockPlan = {
          ...newBlock(idFor(n++), possible.entry.id, possible.method.id, [possible.side], shelf),
          ...(own ? { numbers: own.numbers, choices: own.choices, ...(own.lists ? { lists: own.lists } : {}) } : {}),
        };
        possibleOf.set(block.id, possible);
        made.push(
          withSide(
            {
              block: inPosition(block, possible.entry, position),
              kind: 'work',
              fit: possible.fit,
              cold: possible.cold,
              sides: [],
              value: 0,
            },
            side,
            possible,
          ),
        );
      }
    }
    return arrangeStay(made, possibleOf, facts.keepOrder === true);
  });
  const last = solution.stays.at(-1);
  if (still && last) {
    const position = model.closingAt(positions[last.place]!);
    const block = {
      ...newBlock(idFor(n++), model.closing!.entryId, model.closing!.methodId, sidesOf(shelf.entries.get(model.closing!.entryId)!), shelf),
      ...model.closing!.change,
    };
    blocks.push({
      block: inPosition(block, shelf.entries.get(block.entryId)!, position),
      kind: 'close',
      fit: 'a clear, still end',
      cold: false,
      sides: [],
      value: STILL_WORTH,
    });
  }
  const places = [
    ...new Set([
      ...solution.stays.map((stay) => positions[stay.place]!),
      ...(still && last ? [model.closingAt(positions[last.place]!)] : []),
    ]),
  ];
  const row = blocks.map((each) => ({ ...each, block: limitedBlock(each.block, facts.caution, shelf) }));
  const { seconds, turns } =
    row.length > 0
      ? clockOf(
          row.map((each) => each.block),
          facts,
        )
      : { seconds: solution.seconds, turns: 0 };
  return {
    status: solution.status,
    value: solution.value,
    gap: solution.gap,
    seconds,
    turns,
    positions: places,
    blocks: row,
    leftOut: leftOutOf(facts, solution, model.possibles),
  };
}

function sideOf({ side, wanted, levels, kept }: Possible, at: number): ProposedSide {
  const { rounds, seconds, gain, value } = levels[at]!;
  return {
    side,
    rounds,
    seconds,
    gain,
    kept,
    value,
    missing: wanted.missing,
    because: wanted.because,
    terms: wanted.terms,
    weight: wanted.weight,
  };
}

/** A block with one side more: the one that misses most first, or as a hand has put them, whose passes are kept. */
function withSide(each: ProposedBlock, side: ProposedSide, { pin }: Possible): ProposedBlock {
  const sides = [...each.sides, side].sort((a, b) => b.missing - a.missing);
  const own = pin?.block?.sides.filter((pass) => sides.some((other) => other.side === pass.side));
  const more = (pass: Side) =>
    sides.find((other) => other.side === pass)!.rounds -
    own!.filter((other) => other.side === pass).reduce((sum, other) => sum + other.rounds, 0);
  const passes =
    own?.map((pass, i) =>
      own.findIndex((other) => other.side === pass.side) === i ? { ...pass, rounds: pass.rounds + more(pass.side) } : pass,
    ) ?? sides.map(({ side: one, rounds }) => ({ side: one, rounds }));
  return { ...each, sides, value: each.value + side.value, block: { ...each.block, sides: passes } };
}

function inPosition(block: BlockPlan, entry: Entry, position: Position): BlockPlan {
  const own = entry.positions.find(
    (each) => each === position || block.sides.some(({ side }) => positionOn({ position: each }, side) === position),
  );
  return own === undefined || own === entry.positions[0] ? block : { ...block, position: own };
}

function leftOutOf(
  { minutes, shelf = BUILT_IN }: SessionFacts,
  solution: Solution,
  { list, best, forbidden, unweighed }: Possibles,
): LeftOut[] {
  const taken = new Set(solution.chosen.map(({ candidate }) => list[candidate]!.entry.id));
  const takenMotions = new Set(solution.chosen.map(({ candidate }) => list[candidate]!.wanted.motion.id));
  const left = best
    .filter((each) => !taken.has(each.entry.id))
    .map((each): LeftOut => ({
      entry: each.entry,
      methodId: each.method.id,
      value: each.levels.at(-1)!.value,
      terms: each.wanted.terms,
      weight: each.wanted.weight,
      kept: each.kept,
      because: each.wanted.because,
      moreMinutes: null,
      triedMinutes: 0,
      words: takenMotions.has(each.wanted.motion.id) ? 'after the same degrees as what is in' : `no room in ${minutes} min`,
    }))
    .sort((a, b) => b.value - a.value);
  const known = new Set(offeredEntries(shelf).map((entry) => entry.id));
  const plain = (entry: Entry, words: string): LeftOut => ({
    entry,
    methodId: entry.ways[0],
    value: 0,
    terms: [],
    weight: 0,
    kept: null,
    because: '',
    moreMinutes: null,
    triedMinutes: 0,
    words,
  });
  return [
    ...left,
    ...unweighed.map((entry) => plain(entry, 'not weighed: too much falls short today to weigh it all')),
    ...forbidden.filter(({ entry }) => known.has(entry.id)).map(({ entry, words }) => plain(entry, words)),
  ];
}
