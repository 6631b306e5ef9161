import type { Side } from '../body/index.ts';

export type RunStatus =
  /** Nothing has begun. */
  | 'ready'
  /** The count runs. */
  | 'running'
  /** Held by the therapist. */
  | 'held'
  /** At the end of an open cue: the therapist goes on when ready. */
  | 'waiting'
  /** Discomfort went above the ceiling: the limb is off the edge, a decision is due. */
  | 'eased'
  /** Stopped: the limb is brought home. Go on takes it back, next leaves this side. */
  | 'stopped'
  | 'finished';

export type SpanEnd = 'done' | 'skipped' | 'again' | 'eased' | 'stopped' | 'open';

/** One stay in one cue, on the run's clock. */
export interface Span {
  readonly cueIndex: number;
  readonly startMs: number;
  readonly endMs: number;
  readonly end: SpanEnd;
  /** Effort asked for in this stay, after any lightening; null where nobody contracts. */
  readonly effortPct: number | null;
}

export interface DiscomfortNote {
  readonly atMs: number;
  readonly cueIndex: number;
  readonly score: number;
  readonly aboveCeiling: boolean;
}

export interface EdgeNote {
  readonly atMs: number;
  readonly blockIndex: number;
  readonly side: Side;
  readonly round: number;
  readonly value: number;
  /** Place on the line where it was read. */
  readonly positionMs: number;
}

export interface StopNote {
  readonly atMs: number;
  readonly cueIndex: number;
}

/** What easing, lightening and edge readings have changed for one side of one block. */
export interface Adjustment {
  readonly effortFactor: number;
  /** Added to every predicted position from now on, in the block's unit. */
  readonly shift: number;
}

export interface RunState {
  readonly status: RunStatus;
  /** The run's clock. It never goes back. */
  readonly atMs: number;
  /** Place on the compiled line. */
  readonly positionMs: number;
  readonly cueIndex: number;
  /** When the present stay in the present cue began, on the run's clock. */
  readonly enteredMs: number;
  readonly spans: readonly Span[];
  readonly discomfort: readonly DiscomfortNote[];
  readonly edges: readonly EdgeNote[];
  readonly stops: readonly StopNote[];
  readonly adjustments: Readonly<Record<string, Adjustment>>;
}

export const NO_ADJUSTMENT: Adjustment = { effortFactor: 1, shift: 0 };

export const READY: RunState = {
  status: 'ready',
  atMs: 0,
  positionMs: 0,
  cueIndex: 0,
  enteredMs: 0,
  spans: [],
  discomfort: [],
  edges: [],
  stops: [],
  adjustments: {},
};
