/** The kinds of phase a way of working is made of. They exist once, here; screens and sounds read this table. */
export interface PhaseKindFacts {
  readonly id: string;
  /** Short name for legends and records. */
  readonly name: string;
  /** Phases of one family look alike: same fill, same pattern. */
  readonly family: 'set-up' | 'move' | 'hold' | 'breathe' | 'contract' | 'relax' | 'rest' | 'oscillate';
  /** Counted as time at end range: the tissue is kept lengthened and nobody works. */
  readonly endRange: boolean;
  /** The limb is at or near the edge: discomfort above the ceiling makes the block leave this phase. */
  readonly exposed: boolean;
}

export const PHASE_KINDS = {
  'set-up': { id: 'set-up', name: 'set up', family: 'set-up', endRange: false, exposed: false },
  rehearse: { id: 'rehearse', name: 'rehearse the press', family: 'set-up', endRange: false, exposed: false },
  move: { id: 'move', name: 'move to the edge', family: 'move', endRange: false, exposed: true },
  'back-off': { id: 'back-off', name: 'back off', family: 'move', endRange: false, exposed: true },
  hold: { id: 'hold', name: 'hold', family: 'hold', endRange: true, exposed: true },
  'breathe-in': { id: 'breathe-in', name: 'breathe in', family: 'breathe', endRange: false, exposed: true },
  contract: { id: 'contract', name: 'contract', family: 'contract', endRange: false, exposed: true },
  relax: { id: 'relax', name: 'relax', family: 'relax', endRange: false, exposed: true },
  advance: { id: 'advance', name: 'advance', family: 'move', endRange: false, exposed: true },
  oscillate: { id: 'oscillate', name: 'oscillate', family: 'oscillate', endRange: false, exposed: true },
  return: { id: 'return', name: 'return', family: 'move', endRange: false, exposed: false },
  rest: { id: 'rest', name: 'rest', family: 'rest', endRange: false, exposed: false },
} as const satisfies Record<string, PhaseKindFacts>;

export type PhaseKind = keyof typeof PHASE_KINDS;

/**
 * The facts of a phase kind.
 * @example phaseKind('hold').endRange // → true
 */
export function phaseKind(kind: PhaseKind): PhaseKindFacts {
  return PHASE_KINDS[kind];
}
