import { motionOf, type Side } from '../body/index.ts';
import { acrossSide, sideRelation, sideSentence, type Entry } from '../catalogue/index.ts';
import { axisOf, type Axis } from './axis.ts';
import { checkBlock } from './block.ts';
import { nearestBreathEndMs } from './breath.ts';
import { phaseKind } from './phases.ts';
import { BUILT_IN, type Shelf } from './shelf.ts';
import type { BlockPlan, BreathPace, Condition, Cue, DurationRule, Line, LineBlock, Loop, Method, PhaseNode, PhaseSpec, SideLimits, SideRounds } from './types.ts';

export interface CompileContext {
  readonly breath: BreathPace;
  /** Today's edge for a motion and side in the motion's unit, or null when it was not measured. */
  readonly edgeOf: (motionId: string, side: Side) => number | null;
  /** Where entries and ways of working are looked up; the built-in ones when left out. */
  readonly shelf?: Shelf;
}

/** A plan cannot be compiled; every reason is listed with its path from the plan's root. */
export class PlanProblem extends RangeError {
  constructor(readonly problems: readonly { path: string; message: string }[]) {
    super(problems.map((problem) => `${problem.path}: ${problem.message}`).join(' '));
    this.name = 'PlanProblem';
  }
}

/**
 * Turns blocks into one flat, timed list of cues.
 *
 * The model. A way of working is three lists of phases: an opening, one round, a closing. A list may hold loops,
 * and loops loops: a number of times, or once for every place of a list (stations, directions, points). For every pass
 * over a side of every block, in order, the compiler walks opening · round × n · closing, drops what has conditions
 * that do not hold, and gives each phase left a duration, a position and an effort by the rules the phase names.
 * Rounds count on when a side comes again, so that numbers given round by round go on where they were.
 * Along what the limb moves is the axis: the motion, or the pressure of a hand. Four things are carried along, and
 * nothing else: the time, the position with its edge, the turns of the loops, and the place in the breath cycle. The cycle starts anew after every open phase, because there the therapist
 * decides when it goes on.
 *
 * Why that is right. Durations are whole milliseconds and every cue starts where the one before it ended,
 * so the line has no gap, no overlap and no rounding drift: its total is the sum of its cues. A duration that
 * follows the breath goes to the nearest end of a breath, so it differs from the number asked for by half a
 * breath at most (or by what is left of the first one). A loop without turns would be an empty stretch; its numbers are
 * whole and at least one, so the walk always ends. The edge moves only in phases that say so, only
 * toward more range, and never past what the motion can read, nor past what cautions allow on that side: a cap,
 * a share of the way to the edge, and the numbers that a limit holds down are cut here, so that no screen and no
 * saved plan can go round them.
 *
 * Times in milliseconds; positions in the motion's unit. Throws PlanProblem when a block is not sound.
 */
export function compile(blocks: readonly BlockPlan[], context: CompileContext): Line {
  const shelf = context.shelf ?? BUILT_IN;
  const problems = blocks.flatMap((block, i) => checkBlock(block, shelf).map(({ path, message }) => ({ path: `blocks.${i}.${path}`, message })));
  if (problems.length > 0) throw new PlanProblem(problems);

  const cues: Cue[] = [];
  const lineBlocks: LineBlock[] = [];
  let timeMs = 0;
  blocks.forEach((block, blockIndex) => {
    const entry = shelf.entries.get(block.entryId)!;
    const method = shelf.methods.get(block.methodId)!;
    const motion = motionOf(entry.motionId);
    const axis = axisOf(method, motion);
    const relation = sideRelation(entry, motion.id);
    lineBlocks.push({ blockId: block.id, entryId: entry.id, methodId: method.id, motionId: motion.id, motionSide: relation, name: `${entry.name}, ${method.name.toLowerCase()}`, unit: axis.unit, better: axis.better });
    const edges = new Map<Side, number>();
    const spent = new Map<Side, Spent>();
    block.sides.forEach((sideRounds, pass) => {
      const { side } = sideRounds;
      const measured = context.edgeOf(motion.id, acrossSide(relation, side));
      const todayEdge = startEdge(block, axis, measured);
      if (!spent.has(side)) spent.set(side, { contractMs: 0, pressMs: 0 });
      const before = block.sides.slice(0, pass).filter((each) => each.side === side).reduce((sum, each) => sum + each.rounds, 0);
      const inAll = block.sides.filter((each) => each.side === side).reduce((sum, each) => sum + each.rounds, 0);
      const walk = new PassWalk({ block, blockIndex, entry, method, axis, sideRounds, pass, todayEdge, isMeasured: measured !== null, spent: spent.get(side)!, before, inAll, breath: context.breath }, edges.get(side) ?? todayEdge, timeMs, cues.length);
      cues.push(...walk.run());
      timeMs = walk.timeMs;
      edges.set(side, walk.edge);
    });
  });
  return { version: 2, cues, totalMs: timeMs, breath: context.breath, blocks: lineBlocks };
}

/** Time spent so far on one side of a block in what can be limited in all. */
interface Spent {
  contractMs: number;
  pressMs: number;
}

/** Pressure begins with the number the block gives; a motion with today's edge, or, not measured, the middle of what its fan shows. */
function startEdge(block: BlockPlan, axis: Axis, measured: number | null): number {
  if (axis.unit === 'of10') return block.numbers.pressure?.[0] ?? (axis.fan.min + axis.fan.max) / 2;
  return measured ?? (axis.fan.min + axis.fan.max) / 2;
}

interface PassContext {
  readonly block: BlockPlan;
  readonly blockIndex: number;
  readonly entry: Entry;
  readonly method: Method;
  readonly axis: Axis;
  readonly sideRounds: SideRounds;
  readonly pass: number;
  /** The edge the block began with on this side: what limits are a share of. */
  readonly todayEdge: number;
  /** Whether that edge was read, or is only where the drawing begins. */
  readonly isMeasured: boolean;
  readonly spent: Spent;
  /** Rounds of this side in the passes before this one, and in all of them. */
  readonly before: number;
  readonly inAll: number;
  readonly breath: BreathPace;
}

/** Where a walk is: which round of the pass, and in which turn of which loop. */
interface Place {
  readonly round: number;
  readonly turn: number;
  readonly turns: number;
  readonly place: string;
}

/** A way shorter than this part of the usual one counts as this long where a share of it is taken off. Common practice. */
const SHORT_WAY = 0.25;

/** Outside any loop there is one turn and no place. */
const OUTSIDE = { turn: 1, turns: 1, place: '' } as const;

/** One pass over a side of a block on its way to cues. */
class PassWalk {
  timeMs: number;
  private position: number;
  private breathOffsetMs = 0;
  private readonly cues: Cue[] = [];
  private readonly toward: 1 | -1;
  private readonly limits: SideLimits | undefined;
  /** Where cautions end the way, or null. */
  private readonly furthest: number | null;

  constructor(private readonly context: PassContext, public edge: number, startMs: number, private readonly firstIndex: number) {
    this.timeMs = startMs;
    this.toward = context.axis.better === 'higher' ? 1 : -1;
    this.limits = context.block.limits?.find((each) => each.side === context.sideRounds.side);
    this.furthest = this.furthestAllowed(context.todayEdge);
    this.edge = this.within(this.edge);
    this.position = this.restPosition();
  }

  run(): readonly Cue[] {
    const { method, sideRounds, before, inAll } = this.context;
    this.walk(method.opening, { ...OUTSIDE, round: 0 }, 0);
    for (let round = 1; round <= sideRounds.rounds; round++) this.walk(method.round, { ...OUTSIDE, round }, before + round);

    this.walk(method.closing, { ...OUTSIDE, round: sideRounds.rounds + 1 }, inAll + 1);
    return this.cues;
  }

  private walk(nodes: readonly PhaseNode[], place: Place, counted: number): void {
    for (const node of nodes) {
      if (!(node.when ?? []).every((condition) => this.holds(condition, place))) continue;
      if ('each' in node) for (const inner of this.turnsOf(node, place)) this.walk(node.phases, inner, counted);
      else this.take(node, place, counted);
    }
  }

  private turnsOf({ each }: Loop, outer: Place): Place[] {
    if ('times' in each) {
      const turns = Math.max(1, Math.round(this.number(each.times, outer)));
      return Array.from({ length: turns }, (_, i) => ({ ...outer, turn: i + 1, turns }));
    }
    const { block, method } = this.context;
    const named = block.lists?.[each.list] ?? method.lists.find((list) => list.id === each.list)!.default;
    const places = each.backward ? [...named].reverse() : named;
    return places.map((place, i) => ({ ...outer, turn: i + 1, turns: places.length, place }));
  }

  private take(phase: PhaseSpec, place: Place, counted: number): void {
    const { block, blockIndex, method, sideRounds, pass, inAll, breath } = this.context;
    const durationMs = this.allowed(phase, this.durationMs(phase.duration, place));
    if (durationMs <= 0) return;

    const from = this.position;
    this.move(phase, place);
    this.cues.push({
      index: this.firstIndex + this.cues.length,
      blockIndex,
      side: sideRounds.side,
      pass,
      round: counted,
      rounds: inAll,
      kind: phase.kind,
      startMs: this.timeMs,
      endMs: this.timeMs + durationMs,
      open: phase.open ?? false,
      ...(phase.bout ? { bout: true as const } : {}),
      text: this.fill(phase.text, place),
      detail: this.fill(phase.detail, place),
      effortPct: phase.effort ? this.number(phase.effort, place) : null,
      perMin: phase.rate ? this.perMin(phase.rate, place) : null,
      from,
      to: this.position,
      edge: this.edge,
      breath: phase.breath,
      breathOffsetMs: this.breathOffsetMs,
      works: phase.works,
      madeOf: madeOf(phase),
      painCeiling: this.number(method.painCeiling, place),
      easeBack: block.numbers[method.easeBack]![0]!,
      furthest: this.furthest,
    });
    this.timeMs += durationMs;
    this.breathOffsetMs = phase.open ? 0 : (this.breathOffsetMs + durationMs) % breath.periodMs;
  }

  /**
   * A duration within what cautions allow: a hold no longer than a hold may be, also where it waits for a breath, and contractions and
   * presses no longer than what is left of them on this side.
   */
  private allowed(phase: PhaseSpec, wantedMs: number): number {
    const { holdS = null, contractS = null, pressS = null } = this.limits ?? {};
    const { counts, techniques } = phaseKind(phase.kind);
    const { spent } = this.context;
    let ms = counts === 'end-range' && holdS !== null ? Math.min(wantedMs, holdS * 1000) : wantedMs;
    if (contractS !== null && techniques.includes('contract')) ms = Math.min(ms, Math.max(0, contractS * 1000 - spent.contractMs));
    const presses = techniques.includes('press') || techniques.includes('pin');
    if (pressS !== null && presses) ms = Math.min(ms, Math.max(0, pressS * 1000 - spent.pressMs));
    if (techniques.includes('contract')) spent.contractMs += ms;
    if (presses) spent.pressMs += ms;
    return ms;
  }

  private holds(condition: Condition, { round, turn, turns }: Place): boolean {
    if ('choice' in condition) return this.context.block.choices[condition.choice] === condition.is;
    const [at, of, where] = 'round' in condition ? [round, this.context.sideRounds.rounds, condition.round] : [turn, turns, condition.turn];
    switch (where) {
      case 'first':
        return at === 1;
      case 'not-first':
        return at > 1;
      case 'last':
        return at === of;
      case 'not-last':
        return at < of;
    }
  }

  private durationMs(rule: DurationRule, place: Place): number {
    const { breath } = this.context;
    if ('breaths' in rule) return Math.round(this.number(rule.breaths, place) * breath.periodMs);
    if ('breath' in rule) {
      const inMs = Math.round(breath.periodMs * breath.inShare);
      return nearestBreathEndMs(rule.breath === 'in' ? inMs : breath.periodMs - inMs, rule.breath, this.breathOffsetMs, breath);
    }
    const wantedMs = Math.round(this.number(rule.seconds, place) * 1000);
    if (wantedMs === 0 || !rule.toBreath || !this.holds(rule.toBreath.when, place)) return wantedMs;
    return nearestBreathEndMs(wantedMs, rule.toBreath.end, this.breathOffsetMs, breath);
  }

  private move(phase: PhaseSpec, place: Place): void {
    const rule = phase.angle;
    const rest = this.restPosition();
    switch (rule.to) {
      case 'stay':
        return;
      case 'rest':
        this.position = rest;
        return;
      case 'edge':
        this.position = this.edge;
        return;
      case 'new-edge':
        this.edge = this.within(tidy(this.edge + this.toward * this.number(rule.by, place)));
        this.position = this.edge;
        return;
      case 'short-of-edge':
        this.position = this.within(this.edge - this.toward * this.number(rule.by, place));
        return;
      case 'slack':
        this.position = this.within(rest - this.toward * this.number(rule.by, place));
        return;
      case 'part-way':
        this.position = this.within(tidy(rest + (this.number(rule.share, place) / 100) * (this.edge - rest)));
    }
  }

  /** The rest position of the axis, or the edge, or what is allowed, where one of them is even shorter. */
  private restPosition(): number {
    const { rest } = this.context.axis;
    const free = this.toward === 1 ? Math.min(rest, this.edge) : Math.max(rest, this.edge);
    if (this.furthest === null) return free;
    return this.toward === 1 ? Math.min(free, this.furthest) : Math.max(free, this.furthest);
  }

  private within(value: number): number {
    const { min, max } = this.context.axis.possible;
    const possible = Math.min(max, Math.max(min, value));
    if (this.furthest === null) return possible;
    return this.toward === 1 ? Math.min(possible, this.furthest) : Math.max(possible, this.furthest);
  }

  /**
   * Where cautions end the way. Of pressure: the ceiling of discomfort, because pressure is counted as it is felt. Of a limb: the nearer
   * of the written cap and the share of the way from rest to today's edge. A share takes off at least what it takes off a short way,
   * so that it still holds where the edge lies at or before rest; of an edge that was not read there is no share, and the limb stays at rest.
   */
  private furthestAllowed(todayEdge: number): number | null {
    const { cap = null, edgeShare = null, painCeiling = null } = this.limits ?? {};
    const { method, axis, isMeasured } = this.context;
    if (axis.unit === 'of10') return Math.min(this.number(method.painCeiling, { ...OUTSIDE, round: 1 }), painCeiling ?? axis.possible.max);
    const shared = edgeShare === null || edgeShare >= 1 ? null : isMeasured ? this.sharedEdge(edgeShare, todayEdge) : axis.rest;
    if (cap === null || shared === null) return cap ?? shared;
    return this.toward === 1 ? Math.min(cap, shared) : Math.max(cap, shared);
  }

  private sharedEdge(share: number, todayEdge: number): number {
    const { rest, fan } = this.context.axis;
    const travel = Math.max(this.toward * (todayEdge - rest), SHORT_WAY * (fan.max - fan.min));
    return Math.round((todayEdge - this.toward * (1 - share) * travel) * 10) / 10;
  }

  /** A number for a round, counted over all passes of this side; before the first it is the first round's, after the last the last's. */
  private number(id: string, { round }: Place): number {
    const { block, method, before } = this.context;
    const values = block.numbers[id]!;
    const asked = values[Math.min(Math.max(before + round, 1), values.length) - 1]!;
    const limitedBy = method.numbers.find((spec) => spec.id === id)?.limitedBy;
    const limit = limitedBy ? (this.limits?.[limitedBy] ?? null) : null;
    return limit === null ? asked : Math.min(asked, limit);
  }

  private perMin(id: string, place: Place): number {
    const perSecond = this.context.method.numbers.find((spec) => spec.id === id)?.unit === 'per-s';
    return this.number(id, place) * (perSecond ? 60 : 1);
  }

  /** Puts the entry's words, the loop's place, and numbers by their id, where a text names them in braces. */
  private fill(text: string, place: Place): string {
    const { block, entry, sideRounds } = this.context;
    const words: Record<string, string> = { side: sideRounds.side, goes: said(sideSentence(entry, sideRounds.side)), press: entry.press, pressLine: entry.pressLine, setUp: entry.setUp, bringHome: entry.bringHome, place: place.place, turn: String(place.turn), turns: String(place.turns) };
    return text.replace(/\{(\w+)\}/g, (whole, name: string) => words[name] ?? (block.numbers[name] ? String(this.number(name, place)) : whole));
  }
}

function madeOf({ duration, effort, angle }: PhaseSpec): NonNullable<Cue['madeOf']> {
  return {
    ...('seconds' in duration ? { seconds: duration.seconds } : {}), ...(effort === undefined ? {} : { effort }),
    ...('by' in angle ? { place: angle.by } : 'share' in angle ? { place: angle.share } : {}),
  };
}

/** A sentence that follows on another. */
const said = (sentence: string | null): string => (sentence === null ? '' : `; ${sentence}`);

/** Sums of tenths stay tenths. */
const tidy = (value: number): number => Math.round(value * 1000) / 1000;
