import { motionOf, type Motion, type Side } from '../body/index.ts';
import { findEntry, type Entry } from '../catalogue/index.ts';
import { checkBlock } from './block.ts';
import { nearestBreathEndMs } from './breath.ts';
import { findMethod } from './methods.ts';
import type { BlockPlan, BreathPace, Condition, Cue, DurationRule, Line, LineBlock, Method, PhaseSpec, SideLimits, SideRounds } from './types.ts';

export interface CompileContext {
  readonly breath: BreathPace;
  /** Today's edge for a motion and side in the motion's unit, or null when it was not measured. */
  readonly edgeOf: (motionId: string, side: Side) => number | null;
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
 * The model. A way of working is three lists of phases: an opening, one round, a closing. For every side of
 * every block, in order, the compiler walks opening · round × n · closing, drops phases whose conditions do
 * not hold, and gives each of the rest a duration, a position and an effort by the rules the phase names.
 * Three things are carried along, and nothing else: the time, the limb's position with its edge, and the
 * place in the breath cycle. The cycle starts anew after every open phase, because there the therapist
 * decides when it goes on.
 *
 * Why that is right. Durations are whole milliseconds and every cue starts where the one before it ended,
 * so the line has no gap, no overlap and no rounding drift: its total is the sum of its cues. A duration that
 * follows the breath goes to the nearest end of a breath, so it differs from the number asked for by half a
 * breath at most (or by what is left of the first one). The edge moves only in phases that say so, only
 * toward more range, and never past what the motion can read, nor past what cautions allow on that side: a cap,
 * a share of the way to the edge, and the numbers that a limit holds down are cut here, so that no screen and no
 * saved plan can go round them.
 *
 * Times in milliseconds; positions in the motion's unit. Throws PlanProblem when a block is not sound.
 */
export function compile(blocks: readonly BlockPlan[], context: CompileContext): Line {
  const problems = blocks.flatMap((block, i) => checkBlock(block).map(({ path, message }) => ({ path: `blocks.${i}.${path}`, message })));
  if (problems.length > 0) throw new PlanProblem(problems);

  const cues: Cue[] = [];
  const lineBlocks: LineBlock[] = [];
  let timeMs = 0;
  blocks.forEach((block, blockIndex) => {
    const entry = findEntry(block.entryId)!;
    const method = findMethod(block.methodId)!;
    const motion = motionOf(entry.motionId);
    lineBlocks.push({ blockId: block.id, entryId: entry.id, methodId: method.id, motionId: motion.id, name: `${entry.name}, ${method.name.toLowerCase()}`, unit: motion.unit, better: motion.better });
    for (const sideRounds of block.sides) {
      const edge = context.edgeOf(motion.id, sideRounds.side) ?? middleOfFan(motion);
      const walk = new SideWalk({ block, blockIndex, entry, method, motion, sideRounds, breath: context.breath }, edge, timeMs, cues.length);
      cues.push(...walk.run());
      timeMs = walk.timeMs;
    }
  });
  return { version: 1, cues, totalMs: timeMs, breath: context.breath, blocks: lineBlocks };
}

/** Where the drawing starts when a motion was not measured: the middle of what its fan shows. */
function middleOfFan(motion: Motion): number {
  return (motion.fan.min + motion.fan.max) / 2;
}

interface SideContext {
  readonly block: BlockPlan;
  readonly blockIndex: number;
  readonly entry: Entry;
  readonly method: Method;
  readonly motion: Motion;
  readonly sideRounds: SideRounds;
  readonly breath: BreathPace;
}

/** One side of one block on its way to cues. */
class SideWalk {
  timeMs: number;
  private position: number;
  private breathOffsetMs = 0;
  private readonly cues: Cue[] = [];
  private readonly toward: 1 | -1;
  private readonly limits: SideLimits | undefined;
  /** Where cautions end the way, or null. */
  private readonly furthest: number | null;

  constructor(private readonly context: SideContext, private edge: number, startMs: number, private readonly firstIndex: number) {
    this.timeMs = startMs;
    this.toward = context.motion.better === 'higher' ? 1 : -1;
    this.limits = context.block.limits?.find((each) => each.side === context.sideRounds.side);
    this.furthest = this.furthestAllowed();
    this.edge = this.within(this.edge);
    this.position = this.restPosition();
  }

  run(): readonly Cue[] {
    const { method, sideRounds } = this.context;
    for (const phase of method.opening) this.take(phase, 0);
    for (let round = 1; round <= sideRounds.rounds; round++) {
      for (const phase of method.round) this.take(phase, round);
    }
    for (const phase of method.closing) this.take(phase, sideRounds.rounds + 1);
    return this.cues;
  }

  private take(phase: PhaseSpec, round: number): void {
    const { block, blockIndex, method, sideRounds, breath } = this.context;
    if (!(phase.when ?? []).every((condition) => this.holds(condition, round))) return;
    const durationMs = this.durationMs(phase.duration, round);
    if (durationMs <= 0) return;

    const from = this.position;
    this.move(phase, round);
    const effortPct = phase.effort ? this.number(phase.effort, round) : null;
    this.cues.push({
      index: this.firstIndex + this.cues.length,
      blockIndex,
      side: sideRounds.side,
      round,
      rounds: sideRounds.rounds,
      kind: phase.kind,
      startMs: this.timeMs,
      endMs: this.timeMs + durationMs,
      open: phase.open ?? false,
      text: this.fill(phase.text, round),
      detail: this.fill(phase.detail, round),
      effortPct,
      from,
      to: this.position,
      edge: this.edge,
      breath: phase.breath,
      breathOffsetMs: this.breathOffsetMs,
      works: phase.works,
      painCeiling: this.number(method.painCeiling, round),
      easeBack: block.numbers[method.easeBack]![0]!,
      furthest: this.furthest,
    });
    this.timeMs += durationMs;
    this.breathOffsetMs = phase.open ? 0 : (this.breathOffsetMs + durationMs) % breath.periodMs;
  }

  private holds(condition: Condition, round: number): boolean {
    if ('choice' in condition) return this.context.block.choices[condition.choice] === condition.is;
    const last = this.context.sideRounds.rounds;
    switch (condition.round) {
      case 'first':
        return round === 1;
      case 'not-first':
        return round > 1;
      case 'last':
        return round === last;
      case 'not-last':
        return round < last;
    }
  }

  private durationMs(rule: DurationRule, round: number): number {
    if ('breaths' in rule) return Math.round(this.number(rule.breaths, round) * this.context.breath.periodMs);
    const wantedMs = Math.round(this.number(rule.seconds, round) * 1000);
    if (wantedMs === 0 || !rule.toBreath || !this.holds(rule.toBreath.when, round)) return wantedMs;
    return nearestBreathEndMs(wantedMs, rule.toBreath.end, this.breathOffsetMs, this.context.breath);
  }

  private move(phase: PhaseSpec, round: number): void {
    const rule = phase.angle;
    switch (rule.to) {
      case 'stay':
        return;
      case 'rest':
        this.position = this.restPosition();
        return;
      case 'edge':
        this.position = this.edge;
        return;
      case 'new-edge':
        this.edge = this.within(this.edge + this.toward * this.number(rule.by, round));
        this.position = this.edge;
        return;
      case 'short-of-edge':
        this.position = this.within(this.edge - this.toward * this.number(rule.by, round));
    }
  }

  /** The motion's rest position, or the edge itself when that is even shorter. */
  private restPosition(): number {
    const { rest } = this.context.motion;
    return this.toward === 1 ? Math.min(rest, this.edge) : Math.max(rest, this.edge);
  }

  private within(value: number): number {
    const { min, max } = this.context.motion.possible;
    const possible = Math.min(max, Math.max(min, value));
    if (this.furthest === null) return possible;
    return this.toward === 1 ? Math.min(possible, this.furthest) : Math.max(possible, this.furthest);
  }

  /** The nearer of the written cap and the share of the way from rest to today's edge. */
  private furthestAllowed(): number | null {
    const { cap = null, edgeShare = null } = this.limits ?? {};
    const rest = this.restPosition();
    const shared = edgeShare === null || edgeShare >= 1 ? null : Math.round((rest + edgeShare * (this.edge - rest)) * 10) / 10;
    if (cap === null || shared === null) return cap ?? shared;
    return this.toward === 1 ? Math.min(cap, shared) : Math.max(cap, shared);
  }

  /** A number for a round; before the first round it is the first round's, after the last the last's. */
  private number(id: string, round: number): number {
    const values = this.context.block.numbers[id]!;
    const asked = values[Math.min(Math.max(round, 1), values.length) - 1]!;
    const limitedBy = this.context.method.numbers.find((spec) => spec.id === id)?.limitedBy;
    const limit = limitedBy ? (this.limits?.[limitedBy] ?? null) : null;
    return limit === null ? asked : Math.min(asked, limit);
  }

  /** Puts the entry's words, and numbers by their id, where a text names them in braces. */
  private fill(text: string, round: number): string {
    const { block, entry, sideRounds } = this.context;
    const words: Record<string, string> = { side: sideRounds.side, press: entry.press, pressLine: entry.pressLine, setUp: entry.setUp, bringHome: entry.bringHome };
    return text.replace(/\{(\w+)\}/g, (whole, name: string) => words[name] ?? (block.numbers[name] ? String(this.number(name, round)) : whole));
  }
}
