import type { Side } from '../body/index.ts';
import type { Line } from '../method/index.ts';
import type { RunEventKind } from './events.ts';
import type { EffortReached } from './live.ts';

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
  /** The press went the wrong way: it is shown again, without anything counting. Go on starts the round over. */
  | 'showing'
  /** The cue goes on, open-ended, until it softens. */
  | 'softening'
  /** Stopped: the limb is brought home. Go on takes it back, next leaves this side. */
  | 'stopped'
  | 'finished';

export type SpanEnd = 'done' | 'skipped' | 'again' | 'eased' | 'stopped' | 'open' | 'drifted' | 'left';

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
  /** Read by a device; left out, by eye. */
  readonly by?: 'device';
}

/** Something that happened in a cue. */
export interface CueNote {
  readonly atMs: number;
  readonly cueIndex: number;
}

/** A cue that was stayed in until it softened; how it felt before and after where that was said, 0–10. */
export interface SoftenedNote extends CueNote {
  /** Of the whole stay. */
  readonly ms: number;
  readonly before: number | null;
  readonly after: number | null;
}

/** The effort of a contraction as the gauge heard it. */
export interface EffortNote extends CueNote, EffortReached {
  readonly of: 'today' | 'earlier' | null;
}

/** Off the plane of the motion. */
export interface PlaneNote extends CueNote {
  readonly deg: number;
  readonly words: string;
}

/** What can still be taken back. */
export interface Undo {
  readonly kind: RunEventKind;
  readonly atMs: number;
  readonly before: RunState;
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
  readonly stops: readonly CueNote[];
  /** What devices said. */
  readonly efforts: readonly EffortNote[];
  readonly planes: readonly PlaneNote[];
  /** Presses that went the wrong way, and where the breath was held. */
  readonly drifts: readonly CueNote[];
  readonly braces: readonly CueNote[];
  readonly softened: readonly SoftenedNote[];
  /** When, on the run's clock, an open-ended cue is ended for them; null outside. */
  readonly softenEndMs: number | null;
  /** When it was ended to refer them. */
  readonly referredMs: number | null;
  /** The line as it was amended; null while it is the compiled one. */
  readonly line: Line | null;
  readonly undo: Undo | null;
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
  efforts: [],
  planes: [],
  drifts: [],
  braces: [],
  softened: [],
  softenEndMs: null,
  referredMs: null,
  line: null,
  undo: null,
  adjustments: {},
};
