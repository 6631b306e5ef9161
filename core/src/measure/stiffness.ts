import type { Motion, Side } from '../body/index.ts';
import type { ReferenceVerdict } from './reference.ts';
import type { SideVerdict } from './sides.ts';

/** What is known today of one motion on one side. */
export interface StiffnessInput {
  readonly motion: Motion;
  readonly side: Side;
  readonly sem: number;
  readonly reference: ReferenceVerdict | null;
  readonly sides: SideVerdict | null;
}

export interface Stiffness {
  readonly motion: Motion;
  readonly side: Side;
  /** How many standard errors of measurement the range falls short; the larger, the stiffer. Zero: nothing to chase. */
  readonly score: number;
  readonly reasons: readonly string[];
}

/**
 * Orders motions and sides from stiffest to freest. Motions in degrees and in centimetres are made
 * comparable by dividing what is missing by the measuring error; a shortfall inside the error counts
 * nothing. Only a real side difference counts, one that the sport explains does not. What is missing to the
 * reference and to the other side is largely the same range, so the larger of the two counts, not their sum.
 * Ties keep the order they came in.
 */
export function rankStiffness(inputs: readonly StiffnessInput[]): Stiffness[] {
  return inputs
    .map(({ motion, side, sem, reference, sides }): Stiffness => {
      const reasons: string[] = [];
      let score = 0;
      if (reference?.kind === 'below') {
        score = Math.max(score, reference.missing / sem);
        reasons.push(reference.words);
      }
      if (sides?.kind === 'real' && sides.stiffer === side) {
        score = Math.max(score, sides.unexplained / sem);
        reasons.push(sides.words);
      }
      return { motion, side, score, reasons };
    })
    .sort((a, b) => b.score - a.score);
}
