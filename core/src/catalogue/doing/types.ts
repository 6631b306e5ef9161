import type { Movement, Muscle, Nerve, Region, Segment } from '../../body/index.ts';

/** Whether head or trunk goes to the worked side or to the other one. */
export type Goes = 'same' | 'opposite';

/** How something is pressed: one point, across the fibres, with a broad surface, or tapped. */
export const PRESS_KINDS = ['point', 'friction', 'broad', 'percussion'] as const;
export type PressKind = (typeof PRESS_KINDS)[number];

/** What is squeezed or sprung between the hand and the table. */
export type Squeezed = 'ribs' | 'spine' | 'belly' | 'neck bones';

/**
 * What an entry does to the body, as far as it does not follow from its motions. Anatomy: common practice. With the phases of a
 * way of working it makes the action that cautions look at.
 */
export interface Doing {
  /** For each of its motions that has a way instead of a limb: where that goes, seen from the worked side. */
  readonly goes?: Readonly<Record<string, Goes>>;
  /** Movements on top of those of its motions, in every way that moves the joint: second joints, what circling and rocking take along. */
  readonly moves?: readonly Movement[];
  /** The joint is not taken through its motions: these happen in their place, where the effect merely shows. */
  readonly instead?: readonly Movement[];
  /** Movements that are kept from the set-up on, whatever the way: an arm overhead, a hip turned in. */
  readonly keeps?: readonly Movement[];
  /** Degrees at which the other limb is held meanwhile. */
  readonly otherLimb?: Readonly<Partial<Record<Movement, number>>>;
  /** Degrees at which joints are kept. */
  readonly postures?: Readonly<Partial<Record<Movement, number>>>;
  /** Where the moving force comes in; everything from the joint that moves to there carries it. */
  readonly held?: Segment;
  /** The joint that is drawn apart, whatever the way; all from one segment beyond it to where it is held carries the pull. */
  readonly pulls?: Segment;
  /** Muscles that are worked on: lengthened, contracted or pressed, as the way does it. */
  readonly muscles: readonly Muscle[];
  /** Muscles that press against the hand, where they are others. */
  readonly contracts?: readonly Muscle[];
  /** Where a hand presses in ways that press, and always where `kind` is given. */
  readonly on?: readonly Region[];
  readonly kind?: PressKind;
  readonly squeezes?: readonly Squeezed[];
  readonly nerves?: readonly Nerve[];
  readonly weight?: true;
  /** The head lies lower than the heart, or hangs back. */
  readonly headDown?: true;
  /** Strokes on limbs run toward the heart. The named exceptions: engaged and moved away from it, or there and back. */
  readonly strokes?: 'away' | 'both';
  /** Warmth from outside: a bath, a pack. */
  readonly heat?: true;
}
