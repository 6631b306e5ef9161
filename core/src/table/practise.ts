/**
 * Practising a way of working without an athlete: the same line as at the table, counted by the program or by the person who practises, and
 * what came of it against what was asked. It is no treatment: nothing of it is kept in any record.
 *
 * The model. Counted by oneself, every cue is open: it ends where the hand says so, and the clock goes on until then, so the stay in a cue is
 * the time the person took for it. The last stay that was gone through counts; a cue that was passed over counts as nothing at all. What is
 * judged is the time of phases that have one; where the hand waits anyway (set-up, "show the press") there is no pace.
 */
import { phaseKind, type Cue, type Line } from '../method/index.ts';
import { effortBand, effortWord, type EffortWord } from './live.ts';
import type { EffortNote, PlaneNote, Span } from './state.ts';

/** A tenth of the time asked, and never less than half a second: nobody's own count is steadier. This program's own default. */
const PACE_SHARE = 0.1;
const PACE_LEAST_MS = 500;

/** The line with every end left to the hand. */
export const countedByHand = (line: Line): Line => ({ ...line, cues: line.cues.map((cue) => ({ ...cue, open: true })) });

export type PaceWord = 'on pace' | 'too short' | 'too long';

/** How a time that was taken stands against the time asked, both in milliseconds. */
export function paceWord(askedMs: number, tookMs: number): PaceWord {
  const within = Math.max(PACE_LEAST_MS, askedMs * PACE_SHARE);
  const off = tookMs - askedMs;
  return Math.abs(off) <= within ? 'on pace' : off < 0 ? 'too short' : 'too long';
}

/** One phase that was counted by oneself. */
export interface PacedPhase {
  readonly cue: Cue;
  readonly askedMs: number;
  readonly tookMs: number;
  readonly word: PaceWord;
}

/** The phases with a time of their own that were gone through, in the order of the line. `line` is the one that was compiled. */
export function pacedPhases(line: Line, spans: readonly Span[]): PacedPhase[] {
  return line.cues.flatMap((cue) => {
    const span = spans.findLast(({ cueIndex, end }) => cueIndex === cue.index && end === 'done');
    const askedMs = cue.endMs - cue.startMs;
    if (!span || cue.open || askedMs <= 0) return [];
    const tookMs = span.endMs - span.startMs;
    return [{ cue, askedMs, tookMs, word: paceWord(askedMs, tookMs) }];
  });
}

/** All phases of one name together: what was asked of one of them and what it took, on average, in milliseconds. */
export interface PaceOfKind {
  readonly name: string;
  readonly count: number;
  readonly onPace: number;
  readonly askedMs: number;
  readonly tookMs: number;
}

/** By name of the phase, in the order in which they first came. */
export function paceByKind(phases: readonly PacedPhase[]): PaceOfKind[] {
  const names = [...new Set(phases.map(({ cue }) => phaseKind(cue.kind).name))];
  return names.map((name) => {
    const here = phases.filter(({ cue }) => phaseKind(cue.kind).name === name);
    const mean = (of: (phase: PacedPhase) => number) => here.reduce((sum, phase) => sum + of(phase), 0) / here.length;
    return {
      name,
      count: here.length,
      onPace: here.filter(({ word }) => word === 'on pace').length,
      askedMs: mean(({ askedMs }) => askedMs),
      tookMs: mean(({ tookMs }) => tookMs),
    };
  });
}

/** One press as the gauge heard it, against what was asked. */
export interface PractisedPress {
  readonly cue: Cue;
  readonly askedPct: number;
  readonly pct: number | null;
  readonly n: number;
  /** Null without a strongest press to compare with. */
  readonly word: EffortWord | null;
  /** Part of the time heard that was inside the band, 0–1; null without a strongest press. */
  readonly inside: number | null;
}

export interface PractiseResult {
  readonly phases: readonly PacedPhase[];
  readonly kinds: readonly PaceOfKind[];
  readonly presses: readonly PractisedPress[];
  /** Times the limb left the plane, as it was told. */
  readonly offPlane: readonly { readonly words: string; readonly deg: number; readonly times: number }[];
}

/**
 * What came of practising a line. `byHand`: the person counted, so their times say something; counted by the program they would only repeat it.
 */
export function practiseResult(
  line: Line,
  done: { readonly spans: readonly Span[]; readonly efforts: readonly EffortNote[]; readonly planes: readonly PlaneNote[] },
  byHand: boolean,
): PractiseResult {
  const phases = byHand ? pacedPhases(line, done.spans) : [];
  const presses = line.cues.flatMap((cue) => {
    const effort = done.efforts.findLast(({ cueIndex }) => cueIndex === cue.index);
    if (!effort || cue.effortPct === null) return [];
    const isKnown = effort.pct !== null;
    return [
      {
        cue,
        askedPct: cue.effortPct,
        pct: effort.pct,
        n: effort.n,
        word: isKnown ? effortWord(effort.pct!, effortBand(cue.effortPct)) : null,
        inside: isKnown ? effort.insideMs / effort.ms : null,
      },
    ];
  });
  const words = [...new Set(done.planes.map((plane) => plane.words))];
  return {
    phases,
    kinds: paceByKind(phases),
    presses,
    offPlane: words.map((said) => {
      const here = done.planes.filter((plane) => plane.words === said);
      return { words: said, deg: Math.max(...here.map(({ deg }) => Math.abs(deg))), times: here.length };
    }),
  };
}
