/** What hands and athlete do, in general. */
export const TECHNIQUES = [
  'lengthen',
  'contract',
  'active',
  'mobilize',
  'traction',
  'press',
  'friction',
  'pin',
  'continuous',
  'comfort',
  'nerve-line',
  'thrust',
] as const;
export type Technique = (typeof TECHNIQUES)[number];

/** What looks, sounds and is told alike: a family of phases. */
export interface PhaseFamilyFacts {
  /** In a legend. */
  readonly words: string;
  /** Notes in hertz as it begins: one rises into work, one falls out of it; a third apart at most. */
  readonly notes: readonly number[];
  /** What is drawn over its colour, so that it is told apart without one; null: the colour alone. */
  readonly pattern: 'stripes' | 'lines' | 'zigzag' | 'dots' | 'waves' | 'bars' | 'rails' | null;
  /** Whether it is work, or a wait outside it: what a stair leaves room for. */
  readonly outside?: true;
}

/**
 * Families of phases: how each is told, sounded and patterned, once. Its colours are the tokens `--phase-<family>`, and
 * `--phase-<family>-mark` for the pattern.
 */
export const PHASE_FAMILIES = {
  'set-up': { words: 'set up, waits for you', notes: [392], pattern: 'stripes', outside: true },
  move: { words: 'move', notes: [440, 523], pattern: null },
  hold: { words: 'hold', notes: [523], pattern: null },
  breathe: { words: 'breathe in', notes: [330], pattern: 'lines' },
  contract: { words: 'contract', notes: [523, 659], pattern: 'zigzag' },
  relax: { words: 'let go', notes: [659, 440], pattern: 'dots' },
  rest: { words: 'rest', notes: [330, 262], pattern: null, outside: true },
  oscillate: { words: 'oscillate', notes: [494, 587], pattern: 'waves' },
  press: { words: 'press', notes: [440, 494], pattern: 'bars' },
  joint: { words: 'traction, glide', notes: [494, 440], pattern: 'rails' },
} as const satisfies Record<string, PhaseFamilyFacts>;

export type PhaseFamily = keyof typeof PHASE_FAMILIES;

/**
 * The facts of a family of phases.
 * @example phaseFamily('contract').words // → 'contract'
 */
export function phaseFamily(family: PhaseFamily): PhaseFamilyFacts {
  return PHASE_FAMILIES[family];
}

/** The kinds of phase a way of working is made of. They exist once, here; screens and sounds read this table. */
export interface PhaseKindFacts {
  readonly id: string;
  /** Short name for legends and records. */
  readonly name: string;
  /** How it is told, sounded and drawn. */
  readonly family: PhaseFamily;
  /**
   * What its time is counted as: the tissue kept lengthened while nobody works, the athlete's press, a bout of mobilization, other
   * work of the hand or the athlete, or, null, nothing: a way there and back, a wait, a rest.
   */
  readonly counts: 'end-range' | 'contraction' | 'bout' | 'work' | null;
  /** The limb is at or near the edge: discomfort above the ceiling makes the block leave this phase. */
  readonly exposed: boolean;
  /** A hand waits in it for something to give: it can be stayed in until it does. */
  readonly softens?: true;
  /** What it is done with, wherever it stands; a phase that goes to the edge lengthens as well. */
  readonly techniques: readonly Technique[];
}

export const PHASE_KINDS = {
  'set-up': { id: 'set-up', name: 'set up', family: 'set-up', counts: null, exposed: false, techniques: [] },
  rehearse: { id: 'rehearse', name: 'rehearse the press', family: 'set-up', counts: null, exposed: false, techniques: [] },
  move: { id: 'move', name: 'move to the edge', family: 'move', counts: null, exposed: true, techniques: [] },
  'back-off': { id: 'back-off', name: 'back off', family: 'move', counts: null, exposed: true, techniques: [] },
  hold: { id: 'hold', name: 'hold', family: 'hold', counts: 'end-range', exposed: true, techniques: ['lengthen'] },
  'breathe-in': { id: 'breathe-in', name: 'breathe in', family: 'breathe', counts: null, exposed: true, techniques: [] },
  contract: { id: 'contract', name: 'contract', family: 'contract', counts: 'contraction', exposed: true, techniques: ['contract'] },
  relax: { id: 'relax', name: 'relax', family: 'relax', counts: null, exposed: true, techniques: [] },
  advance: { id: 'advance', name: 'advance', family: 'move', counts: null, exposed: true, techniques: [] },
  oscillate: { id: 'oscillate', name: 'oscillate', family: 'oscillate', counts: 'bout', exposed: true, techniques: ['mobilize'] },
  /** Rocking, waves, figure-eights, circles: steady and far from any edge. */
  rock: { id: 'rock', name: 'rock', family: 'oscillate', counts: 'work', exposed: true, techniques: ['continuous'] },
  circle: { id: 'circle', name: 'circle', family: 'oscillate', counts: 'work', exposed: true, techniques: ['continuous'] },
  traction: { id: 'traction', name: 'traction', family: 'joint', counts: 'work', exposed: true, techniques: ['traction', 'mobilize'] },
  glide: { id: 'glide', name: 'glide', family: 'joint', counts: 'work', exposed: true, techniques: ['mobilize'] },
  press: { id: 'press', name: 'press', family: 'press', counts: 'work', exposed: true, techniques: ['press'], softens: true },
  /** Before a hand presses near a vessel: said, and waited for. */
  check: { id: 'check', name: 'check for a pulse', family: 'set-up', counts: null, exposed: false, techniques: [] },
  /** Telling a muscle by touch that it is meant next. */
  tap: { id: 'tap', name: 'tap', family: 'press', counts: null, exposed: true, techniques: [] },
  sink: { id: 'sink', name: 'sink', family: 'press', counts: 'work', exposed: true, techniques: ['press'], softens: true },
  pin: { id: 'pin', name: 'pin', family: 'press', counts: 'work', exposed: true, techniques: ['pin'] },
  stroke: { id: 'stroke', name: 'stroke', family: 'press', counts: 'work', exposed: true, techniques: ['press', 'continuous'] },
  /** Waiting with the hand where it is, while the breath comes in. */
  wait: { id: 'wait', name: 'wait', family: 'breathe', counts: null, exposed: true, techniques: [] },
  /** The athlete moves; the therapist follows or helps at the end. */
  active: { id: 'active', name: 'athlete moves', family: 'move', counts: 'work', exposed: true, techniques: ['active'] },
  lengthen: { id: 'lengthen', name: 'lengthen', family: 'move', counts: 'work', exposed: true, techniques: ['continuous'] },
  shorten: { id: 'shorten', name: 'shorten', family: 'move', counts: null, exposed: false, techniques: ['comfort'] },
  /** The muscle kept slack. */
  comfort: { id: 'comfort', name: 'comfort', family: 'relax', counts: 'work', exposed: false, techniques: ['comfort'], softens: true },
  /** A stop part of the way, the limb carried. */
  pause: { id: 'pause', name: 'pause', family: 'relax', counts: null, exposed: true, techniques: [] },
  ease: { id: 'ease', name: 'let up', family: 'relax', counts: null, exposed: false, techniques: [] },
  return: { id: 'return', name: 'return', family: 'move', counts: null, exposed: false, techniques: [] },
  rest: { id: 'rest', name: 'rest', family: 'rest', counts: null, exposed: false, techniques: [] },
} as const satisfies Record<string, PhaseKindFacts>;

export type PhaseKind = keyof typeof PHASE_KINDS;

/**
 * The facts of a phase kind.
 * @example phaseKind('hold').counts // → 'end-range'
 */
export function phaseKind(kind: PhaseKind): PhaseKindFacts {
  return PHASE_KINDS[kind];
}
