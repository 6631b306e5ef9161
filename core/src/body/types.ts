/** Which side of the body a reading or a block belongs to. */
export type Side = 'left' | 'right' | 'midline';

/** Degrees for angles, centimetres for the distances the trade uses. */
export type Unit = 'deg' | 'cm';

export const JOINTS = [
  'hip',
  'knee',
  'ankle',
  'subtalar',
  'midfoot',
  'toes',
  'trunk',
  'neck',
  'shoulder girdle',
  'shoulder',
  'elbow',
  'forearm',
  'wrist',
  'fingers',
] as const;
export type Joint = (typeof JOINTS)[number];

/** Paired sensors read one part against the other, about any axis; an inclinometer alone reads against upright and nothing that turns about it. */
export const INSTRUMENTS = ['goniometer', 'inclinometer', 'tape', 'paired sensors'] as const;
export type Instrument = (typeof INSTRUMENTS)[number];

/** Passive: the therapist moves the limb. Active: the athlete does. */
export type Mode = 'passive' | 'active';

export type Position =
  | 'supine'
  | 'prone'
  | 'side-lying left'
  | 'side-lying right'
  | 'long-sitting'
  | 'seated upright'
  | 'seated leaning'
  | 'floor mat'
  | 'standing';

/** A motion is joint + direction + test position; the position is part of its identity. */
export interface Motion {
  readonly id: string;
  /** Joint and direction, as it is said. */
  readonly name: string;
  readonly joint: Joint;
  /**
   * Where its side is a way and not a limb: what goes there, as it is said before "left" or "right". A neck side-bend of 25° on the
   * left is the head bent to the left, whatever is worked on. Motions of a limb are read on that limb.
   */
  readonly goes?: string;
  readonly position: Position;
  /** Side-lying with the measured side underneath; left out, it is the upper one. */
  readonly under?: true;
  /** What tells this test position from its neighbours, in a few words. */
  readonly testPosition: string;
  readonly unit: Unit;
  readonly mode: Mode;
  /** `higher`: a larger value is more range. `lower`: a smaller one is (a gap that should close). */
  readonly better: 'higher' | 'lower';
  readonly sides: readonly Side[];
  /** Instruments that can be used, the usual one first. */
  readonly instruments: readonly [Instrument, ...Instrument[]];
  /** Bony landmarks, or where the tape lies. */
  readonly landmarks: string;
  /** The compensation to block while measuring. */
  readonly block: string;
  /** Muscles that are lengthened at the end of this motion. */
  readonly lengthens: readonly string[];
  /** Readings outside these limits are typing errors, not findings. In `unit`. */
  readonly possible: { readonly min: number; readonly max: number };
  /** What the fan of the bend pair spans, in `unit`. */
  readonly fan: { readonly min: number; readonly max: number };
  /** For a distance: the length, of those the athlete's file holds, at whose end it is gained. */
  readonly lever?: 'thighCm' | 'legCm' | 'armCm' | 'forearmCm';
  /** How the distance becomes an angle: along a chord (left out), or as the tilt of the lever that leans to the wall. */
  readonly leverAs?: 'tilt';
  /** Where the limb rests before it is taken to the edge, in `unit`. */
  readonly rest: number;
  /**
   * Range usually gained round by round in one visit, in `unit`, always positive and shrinking.
   * Common practice, order of magnitude only; it seeds the prediction and is edited per block.
   */
  readonly roundGain: readonly number[];
}

/** A person as far as the computation needs one. */
export interface PersonFacts {
  /** ISO date, `YYYY-MM-DD`. */
  readonly birthDate: string;
  /** Which reference table is read; `none` shows both. */
  readonly referenceSex: 'female' | 'male' | 'none';
}
