/** What hands and athlete do, in general. */
export const TECHNIQUES = ['lengthen', 'contract', 'active', 'mobilize', 'traction', 'press', 'friction', 'pin', 'continuous', 'comfort', 'nerve-line', 'thrust'] as const;
export type Technique = (typeof TECHNIQUES)[number];

/** The kinds of phase a way of working is made of. They exist once, here; screens and sounds read this table. */
export interface PhaseKindFacts {
  readonly id: string;
  /** Short name for legends and records. */
  readonly name: string;
  /** Phases of one family look alike: same fill, same pattern. */
  readonly family: 'set-up' | 'move' | 'hold' | 'breathe' | 'contract' | 'relax' | 'rest' | 'oscillate' | 'press' | 'joint';
  /** Counted as time at end range: the tissue is kept lengthened and nobody works. */
  readonly endRange: boolean;
  /** The limb is at or near the edge: discomfort above the ceiling makes the block leave this phase. */
  readonly exposed: boolean;
  /** What it is done with, wherever it stands; a phase that goes to the edge lengthens as well. */
  readonly techniques: readonly Technique[];
}

export const PHASE_KINDS = {
  'set-up': { id: 'set-up', name: 'set up', family: 'set-up', endRange: false, exposed: false, techniques: [] },
  rehearse: { id: 'rehearse', name: 'rehearse the press', family: 'set-up', endRange: false, exposed: false, techniques: [] },
  move: { id: 'move', name: 'move to the edge', family: 'move', endRange: false, exposed: true, techniques: [] },
  'back-off': { id: 'back-off', name: 'back off', family: 'move', endRange: false, exposed: true, techniques: [] },
  hold: { id: 'hold', name: 'hold', family: 'hold', endRange: true, exposed: true, techniques: ['lengthen'] },
  'breathe-in': { id: 'breathe-in', name: 'breathe in', family: 'breathe', endRange: false, exposed: true, techniques: [] },
  contract: { id: 'contract', name: 'contract', family: 'contract', endRange: false, exposed: true, techniques: ['contract'] },
  relax: { id: 'relax', name: 'relax', family: 'relax', endRange: false, exposed: true, techniques: [] },
  advance: { id: 'advance', name: 'advance', family: 'move', endRange: false, exposed: true, techniques: [] },
  oscillate: { id: 'oscillate', name: 'oscillate', family: 'oscillate', endRange: false, exposed: true, techniques: ['mobilize'] },
  /** Rocking, waves, figure-eights, circles: steady and far from any edge. */
  rock: { id: 'rock', name: 'rock', family: 'oscillate', endRange: false, exposed: true, techniques: ['continuous'] },
  circle: { id: 'circle', name: 'circle', family: 'oscillate', endRange: false, exposed: true, techniques: ['continuous'] },
  traction: { id: 'traction', name: 'traction', family: 'joint', endRange: false, exposed: true, techniques: ['traction', 'mobilize'] },
  glide: { id: 'glide', name: 'glide', family: 'joint', endRange: false, exposed: true, techniques: ['mobilize'] },
  press: { id: 'press', name: 'press', family: 'press', endRange: false, exposed: true, techniques: ['press'] },
  sink: { id: 'sink', name: 'sink', family: 'press', endRange: false, exposed: true, techniques: ['press'] },
  pin: { id: 'pin', name: 'pin', family: 'press', endRange: false, exposed: true, techniques: ['pin'] },
  stroke: { id: 'stroke', name: 'stroke', family: 'press', endRange: false, exposed: true, techniques: ['press', 'continuous'] },
  /** Waiting with the hand where it is, while the breath comes in. */
  wait: { id: 'wait', name: 'wait', family: 'breathe', endRange: false, exposed: true, techniques: [] },
  /** The athlete moves; the therapist follows or helps at the end. */
  active: { id: 'active', name: 'athlete moves', family: 'move', endRange: false, exposed: true, techniques: ['active'] },
  lengthen: { id: 'lengthen', name: 'lengthen', family: 'move', endRange: false, exposed: true, techniques: ['continuous'] },
  shorten: { id: 'shorten', name: 'shorten', family: 'move', endRange: false, exposed: false, techniques: ['comfort'] },
  /** The muscle kept slack. */
  comfort: { id: 'comfort', name: 'comfort', family: 'relax', endRange: false, exposed: false, techniques: ['comfort'] },
  /** A stop part of the way, the limb carried. */
  pause: { id: 'pause', name: 'pause', family: 'relax', endRange: false, exposed: true, techniques: [] },
  ease: { id: 'ease', name: 'let up', family: 'relax', endRange: false, exposed: false, techniques: [] },
  return: { id: 'return', name: 'return', family: 'move', endRange: false, exposed: false, techniques: [] },
  rest: { id: 'rest', name: 'rest', family: 'rest', endRange: false, exposed: false, techniques: [] },
} as const satisfies Record<string, PhaseKindFacts>;

export type PhaseKind = keyof typeof PHASE_KINDS;

/**
 * The facts of a phase kind.
 * @example phaseKind('hold').endRange // → true
 */
export function phaseKind(kind: PhaseKind): PhaseKindFacts {
  return PHASE_KINDS[kind];
}
