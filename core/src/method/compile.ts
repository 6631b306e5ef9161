import { motionOf, type Side } from '../body/index.ts';
import { acrossSide, setUpIn, sideRelation, sideSentence, type Entry } from '../catalogue/index.ts';
import { axisOf, type Axis } from './axis.ts';
import { checkBlock } from './block.ts';
import { breathLies, nearestBreathEndMs } from './breath.ts';
import { furthestAllowed } from './furthest.ts';
import { phaseKind } from './phases.ts';
import { BUILT_IN, type Shelf } from './shelf.ts';
import type {
  BlockPlan,
  BreathPace,
  ChoiceSpec,
  Condition,
  Cue,
  DurationRule,
  Line,
  LineBlock,
  Loop,
  Method,
  PhaseNode,
  PhaseSpec,
  SideLimits,
  SideRounds,
} from './types.ts';

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
 * breath at most (or by what is left of the first one), and never goes past what the number may be at most.
 * A phase that is led by a breath in or out begins with it. While the breath is being followed, what comes before waits for it; after
 * an open phase, a count by the clock, or something that may not be longer, the athlete is told to breathe then, and the cycle
 * begins anew there. A cue says "in" or "out" only where all of it lies within that breath; otherwise it says that the breath is free. So what a
 * pacer shows is never the opposite of what is said. A loop without turns would be an empty stretch; its numbers are
 * whole and at least one, so the walk always ends. The edge moves only in phases that say so, only
 * toward more range, and never past what the motion can read, nor past what cautions allow on that side: a cap,
 * a share of the way to the edge, and the numbers that a limit holds down are cut here, so that no screen and no
 * saved plan can go round them.
 *
 * Times in milliseconds; positions in the motion's unit. Throws PlanProblem when a block is not sound.
 */
export function compile(blocks: readonly BlockPlan[], context: CompileContext): Line {
  const shelf = context.shelf ?? BUILT_IN;
  const problems = blocks.flatMap((block, i) =>
    checkBlock(block, shelf).map(({ path, message }) => ({ path: `blocks.${i}.${path}`, message })),
  );
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
    lineBlocks.push({
      blockId: block.id,
      entryId: entry.id,
      methodId: method.id,
      motionId: motion.id,
      motionSide: relation,
      name: `${entry.name}, ${method.name.toLowerCase()}`,
      position: block.position ?? entry.positions[0],
      unit: axis.unit,
      better: axis.better,
      ...mostOf(block),
    });
    const edges = new Map<Side, number>();
    const spent = new Map<Side, Spent>();
    block.sides.forEach((sideRounds, pass) => {
      const { side } = sideRounds;
      const measured = context.edgeOf(motion.id, acrossSide(relation, side));
      const todayEdge = startEdge(block, axis, measured);
      if (!spent.has(side)) spent.set(side, { contractMs: 0, pressMs: 0 });
      const before = block.sides
        .slice(0, pass)
        .filter((each) => each.side === side)
        .reduce((sum, each) => sum + each.rounds, 0);
      const inAll = block.sides.filter((each) => each.side === side).reduce((sum, each) => sum + each.rounds, 0);
      const walk = new PassWalk(
        {
          block,
          blockIndex,
          entry,
          method,
          axis,
          sideRounds,
          pass,
          todayEdge,
          isMeasured: measured !== null,
          spent: spent.get(side)!,
          before,
          inAll,
          breath: context.breath,
        },
        edges.get(side) ?? todayEdge,
        timeMs,
        cues.length,
      );
      cues.push(...walk.run());
      timeMs = walk.timeMs;
      edges.set(side, walk.edge);
    });
  });
  return { version: 2, cues, totalMs: timeMs, breath: context.breath, blocks: lineBlocks };
}

/** What cautions leave in all of contractions and presses, by side; nothing where they hold neither down. */
function mostOf({ limits = [] }: BlockPlan): Pick<LineBlock, 'most'> {
  const held = limits.filter(({ contractS, pressS }) => typeof contractS === 'number' || typeof pressS === 'number');
  return held.length > 0 ? { most: held.map(({ side, contractS, pressS }) => ({ side, contractS, pressS })) } : {};
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

/** Long enough to feel for a pulse with the fingers already there; it waits beyond that. Common practice. */
const CHECK_MS = 3000;

/** Outside any loop there is one turn and no place. */
const OUTSIDE = { turn: 1, turns: 1, place: '' } as const;

/** One pass over a side of a block on its way to cues. */
class PassWalk {
  timeMs: number;
  private position: number;
  private breathOffsetMs = 0;
  /** Whether the count has followed the breath up to here, and whether what was last may be a little longer. */
  private follows = false;
  private canWait = false;
  private isChecked = false;
  private readonly cues: Cue[] = [];
  private readonly toward: 1 | -1;
  private readonly limits: SideLimits | undefined;
  /** Where cautions end the way, or null. */
  private readonly furthest: number | null;

  constructor(
    private readonly context: PassContext,
    public edge: number,
    startMs: number,
    private readonly firstIndex: number,
  ) {
    this.timeMs = startMs;
    this.toward = context.axis.better === 'higher' ? 1 : -1;
    this.limits = context.block.limits?.find((each) => each.side === context.sideRounds.side);
    this.furthest = furthestAllowed(this.limits, context, this.number(context.method.painCeiling, { ...OUTSIDE, round: 1 }));
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
    const isTaken = this.wantedMs(phase.duration, place) > 0;
    if (isTaken && this.needsCheck(phase)) this.checkForPulse(counted);
    if (isTaken && phase.breath !== 'free') this.beginWith(phase.breath);
    const { wantedMs, byBreath } = this.durationMs(phase.duration, place);
    const durationMs = this.allowed(phase, wantedMs);
    if (durationMs <= 0) return;

    const from = this.position;
    this.move(phase, place);
    const { text, detail, works } = this.said(phase);
    // Thousands are made for one proposal: what only some have is put on afterwards, which keeps them all of one shape.
    const cue: Writable<Cue> = {
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
      text: this.fill(text, place),
      detail: this.fill(detail, place),
      effortPct: phase.effort ? this.number(phase.effort, place) : null,
      perMin: phase.rate ? this.perMin(phase.rate, place) : null,
      from,
      to: this.position,
      edge: this.edge,
      breath: this.liesWithin(phase.breath, durationMs) ? phase.breath : 'free',
      breathOffsetMs: this.breathOffsetMs,
      works,
      madeOf: madeOf(phase),
      painCeiling: this.number(method.painCeiling, place),
      easeBack: block.numbers[method.easeBack]![0]!,
      furthest: this.furthest,
    };
    if (phase.bout) cue.bout = true;
    if (durationMs < wantedMs || this.isCut(phase, place)) cue.cut = true;
    this.cues.push(cue);
    this.timeMs += durationMs;
    this.breathOffsetMs = phase.open ? 0 : (this.breathOffsetMs + durationMs) % breath.periodMs;
    this.follows = byBreath && !phase.open && durationMs === wantedMs;
    this.canWait = works !== 'athlete' && !this.isLimited(phase);
  }

  private needsCheck({ kind }: PhaseSpec): boolean {
    const { techniques } = phaseKind(kind);
    return this.context.entry.vessel === true && !this.isChecked && (techniques.includes('press') || techniques.includes('pin'));
  }

  /** Once a pass, before the first press: it waits until somebody has felt that nothing beats there. */
  private checkForPulse(counted: number): void {
    const { block, blockIndex, method, sideRounds, pass, inAll } = this.context;
    const place = { ...OUTSIDE, round: 1 };
    this.isChecked = true;
    this.cues.push({
      index: this.firstIndex + this.cues.length,
      blockIndex,
      side: sideRounds.side,
      pass,
      round: counted,
      rounds: inAll,
      kind: 'check',
      startMs: this.timeMs,
      endMs: this.timeMs + CHECK_MS,
      open: true,
      text: 'No pulse under the fingers',
      detail: 'a pulse: move off it, then feel again',
      effortPct: null,
      perMin: null,
      from: this.position,
      to: this.position,
      edge: this.edge,
      breath: 'free',
      breathOffsetMs: this.breathOffsetMs,
      works: 'therapist',
      madeOf: {},
      painCeiling: this.number(method.painCeiling, place),
      easeBack: block.numbers[method.easeBack]![0]!,
      furthest: this.furthest,
    });
    this.timeMs += CHECK_MS;
    this.breathOffsetMs = 0;
    this.follows = false;
    this.canWait = false;
  }

  /** A phase in the words of the entry, where it has its own for it, or else of the way. */
  private said(phase: PhaseSpec): Pick<PhaseSpec, 'text' | 'detail' | 'works'> {
    const { entry, method } = this.context;
    const says = entry.says?.[method.id] ?? (method.madeFrom === undefined ? undefined : entry.says?.[method.madeFrom]);
    const own = says?.[phase.text];
    if (own !== undefined) return { text: own.text, detail: this.withChoices(own.detail, phase.detail), works: own.works ?? phase.works };
    const line = phase.leads === 'play' ? entry.play : phase.leads === 'ease' ? entry.ease : entry.lead;
    if (phase.leads === undefined || line === undefined) return phase;
    return {
      text: phase.leads === 'further' ? `Further: ${line[0]!.toLowerCase()}${line.slice(1)}` : line,
      detail: phase.detail,
      works: phase.works,
    };
  }

  /** An entry's own detail, and behind it what was chosen, where the way would have said so. */
  private withChoices(own: string | undefined, ways: string): string {
    if (own === undefined || !ways.includes('{')) return own ?? ways;
    const chosen = [...ways.matchAll(/\{(\w+)\}/g)].filter(([braced, id]) => !own.includes(braced) && this.chosen(id!)?.says !== undefined);
    return [own, ...chosen.map(([braced]) => braced)].join('; ');
  }

  /** Whether cautions leave less of its seconds or effort than was asked for. */
  private isCut({ duration, effort }: PhaseSpec, place: Place): boolean {
    return [...('seconds' in duration ? [duration.seconds] : []), ...(effort === undefined ? [] : [effort])].some(
      (id) => this.number(id, place) < this.asked(id, place),
    );
  }

  /** Whether a limit holds down how long a phase may last. */
  private isLimited({ kind }: PhaseSpec): boolean {
    const { counts, techniques } = phaseKind(kind);
    const { holdS = null, contractS = null, pressS = null } = this.limits ?? {};
    return (
      (holdS !== null && counts === 'end-range') ||
      (contractS !== null && techniques.includes('contract')) ||
      (pressS !== null && (techniques.includes('press') || techniques.includes('pin')))
    );
  }

  /** Brings the cycle to the beginning of a breath: what came before waits for it, or it begins anew here. */
  private beginWith(way: 'in' | 'out'): void {
    const { periodMs, inShare } = this.context.breath;
    const start = way === 'in' ? 0 : Math.round(periodMs * inShare);
    const aheadMs = (start - this.breathOffsetMs + periodMs) % periodMs;
    const last = this.cues.at(-1);
    if (aheadMs > 0 && last && this.follows && this.canWait) {
      const longerMs = last.endMs + aheadMs - last.startMs;
      this.cues[this.cues.length - 1] = {
        ...last,
        endMs: last.endMs + aheadMs,
        breath: breathLies(last.breath, last.breathOffsetMs, longerMs, this.context.breath) ? last.breath : 'free',
      };
      this.timeMs += aheadMs;
    }
    this.breathOffsetMs = start;
  }

  private liesWithin(way: Cue['breath'], durationMs: number): boolean {
    return breathLies(way, this.breathOffsetMs, durationMs, this.context.breath);
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

  /** What is chosen; a plan from before there was the choice has its usual one. */
  private chosen(id: string): ChoiceSpec['options'][number] | undefined {
    const { block, method } = this.context;
    const spec = method.choices.find((choice) => choice.id === id);
    return spec?.options.find((option) => option.id === (block.choices[id] ?? spec.default));
  }

  private holds(condition: Condition, { round, turn, turns }: Place): boolean {
    if ('choice' in condition) return this.chosen(condition.choice)?.id === condition.is;
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

  /** What a phase asks for before any breath is looked at, in milliseconds. */
  private wantedMs(rule: DurationRule, place: Place): number {
    const { breath } = this.context;
    if ('breaths' in rule) return Math.round(this.number(rule.breaths, place) * breath.periodMs);
    if ('breath' in rule)
      return rule.breath === 'in'
        ? Math.round(breath.periodMs * breath.inShare)
        : breath.periodMs - Math.round(breath.periodMs * breath.inShare);
    return Math.round(this.number(rule.seconds, place) * 1000);
  }

  /** How long a phase lasts, and whether that follows the breath: to its nearest end, unless that is longer than the number may be. */
  private durationMs(rule: DurationRule, place: Place): { readonly wantedMs: number; readonly byBreath: boolean } {
    const { breath, method } = this.context;
    const wantedMs = this.wantedMs(rule, place);
    if ('breaths' in rule) return { wantedMs, byBreath: true };
    if ('breath' in rule) return { wantedMs: nearestBreathEndMs(wantedMs, rule.breath, this.breathOffsetMs, breath), byBreath: true };
    if (wantedMs === 0 || !rule.toBreath || !this.holds(rule.toBreath.when, place)) return { wantedMs, byBreath: false };
    const nearestMs = nearestBreathEndMs(wantedMs, rule.toBreath.end, this.breathOffsetMs, breath);
    const most = method.numbers.find((spec) => spec.id === rule.seconds)!.max * 1000;
    return nearestMs <= most ? { wantedMs: nearestMs, byBreath: true } : { wantedMs, byBreath: false };
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

  /** A number for a round, counted over all passes of this side; before the first it is the first round's, after the last the last's. */
  private asked(id: string, { round }: Place): number {
    const values = this.context.block.numbers[id] ?? [this.context.method.numbers.find((spec) => spec.id === id)!.before!];
    return values[Math.min(Math.max(this.context.before + round, 1), values.length) - 1]!;
  }

  /** The same, within what cautions allow. */
  private number(id: string, place: Place): number {
    const { method } = this.context;
    const asked = this.asked(id, place);
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
    if (!text.includes('{')) return text;
    return text.replace(
      /\{(\w+)\}/g,
      (whole, name: string) =>
        this.word(name, place) ?? this.chosen(name)?.says ?? (this.context.block.numbers[name] ? String(this.number(name, place)) : whole),
    );
  }

  private word(name: string, place: Place): string | undefined {
    const { block, entry, sideRounds } = this.context;
    switch (name) {
      case 'side':
        return sideRounds.side;
      case 'goes':
        return said(sideSentence(entry, sideRounds.side));
      case 'press':
        return entry.press;
      case 'pressLine':
        return entry.pressLine;
      case 'setUp':
        return setUpIn(entry, block.position ?? entry.positions[0]).setUp;
      case 'bringHome':
        return entry.bringHome;
      case 'place':
        return place.place;
      case 'turn':
        return String(place.turn);
      case 'turns':
        return String(place.turns);
      default:
        return undefined;
    }
  }
}

type Writable<T> = { -readonly [K in keyof T]: T[K] };

function madeOf({ duration, effort, angle }: PhaseSpec): NonNullable<Cue['madeOf']> {
  const made: Writable<NonNullable<Cue['madeOf']>> = {};
  if ('seconds' in duration) made.seconds = duration.seconds;
  if (effort !== undefined) made.effort = effort;
  if ('by' in angle) made.place = angle.by;
  else if ('share' in angle) made.place = angle.share;
  return made;
}

/** A sentence that follows on another. */
const said = (sentence: string | null): string => (sentence === null ? '' : `; ${sentence}`);

/** Sums of tenths stay tenths. */
const tidy = (value: number): number => Math.round(value * 1000) / 1000;
