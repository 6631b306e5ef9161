import type { Joint } from '../body/index.ts';
import type { ClockId, GlideId } from '../finding/index.ts';

/** The same motion with one muscle put on stretch and with it left slack. Common practice. */
export interface TwoJointPair {
  readonly tight: string;
  readonly slack: string;
  /** As the tight motion's list names it. */
  readonly muscle: string;
  /**
   * How much less range the tight one has in healthy people, in the motion's unit; null where the two are not read on one scale.
   * From memory, order of magnitude.
   */
  readonly usual: number | null;
}

export const TWO_JOINT_PAIRS: readonly TwoJointPair[] = [
  { tight: 'hip-extension-knee-bent', slack: 'hip-extension-knee-straight', muscle: 'rectus femoris', usual: 6 },
  { tight: 'knee-flexion-prone', slack: 'knee-flexion', muscle: 'rectus femoris', usual: 6 },
  { tight: 'heel-to-buttock', slack: 'knee-flexion', muscle: 'rectus femoris', usual: null },
  { tight: 'knee-flexion-table-end', slack: 'knee-flexion', muscle: 'rectus femoris', usual: 50 },
  { tight: 'straight-leg-raise', slack: 'hip-flexion', muscle: 'hamstrings', usual: 45 },
  { tight: 'knee-extension-hip-90-passive', slack: 'knee-extension', muscle: 'hamstrings', usual: null },
  { tight: 'knee-extension-hip-90', slack: 'knee-extension', muscle: 'hamstrings', usual: null },
  { tight: 'hip-adduction-side-straight', slack: 'hip-adduction-side-bent', muscle: 'tensor fasciae latae', usual: 4 },
  { tight: 'ankle-dorsiflexion', slack: 'ankle-dorsiflexion-knee-bent', muscle: 'gastrocnemius', usual: 5 },
  { tight: 'ankle-lunge-knee-straight', slack: 'ankle-lunge', muscle: 'gastrocnemius', usual: 6 },
  { tight: 'big-toe-extension-ankle-up', slack: 'big-toe-extension', muscle: 'flexor hallucis longus', usual: 10 },
  { tight: 'shoulder-flexion', slack: 'shoulder-flexion-back-free', muscle: 'latissimus dorsi', usual: 5 },
  { tight: 'elbow-extension-arm-back', slack: 'elbow-extension', muscle: 'biceps brachii', usual: 4 },
  { tight: 'elbow-flexion-overhead', slack: 'elbow-flexion', muscle: 'triceps, long head', usual: 6 },
  { tight: 'wrist-flexion-fist', slack: 'wrist-flexion', muscle: 'finger extensors', usual: 15 },
  { tight: 'wrist-extension-fingers-straight', slack: 'wrist-extension', muscle: 'finger flexors', usual: 5 },
];

/**
 * The same motion without and with the nerve line drawn long, by a part that only the nerve feels (ankle, chin, wrist). `usual`: how
 * much range that takes from healthy people, in degrees. Common practice; the usual amounts from memory, order of magnitude.
 */
export const NERVE_PAIRS: readonly { readonly plain: string; readonly loaded: string; readonly usual: number }[] = [
  { plain: 'straight-leg-raise', loaded: 'straight-leg-raise-ankle-up', usual: 8 },
  { plain: 'knee-extension-hip-90', loaded: 'knee-extension-hip-90-ankle-up', usual: 8 },
  { plain: 'slump-head-up', loaded: 'slump', usual: 6 },
  { plain: 'femoral-slump-head-up', loaded: 'femoral-slump', usual: 4 },
  { plain: 'arm-nerve-line-wrist-loose', loaded: 'arm-nerve-line', usual: 15 },
];

/** The same motion moved by the therapist and by the athlete. */
export const ACTIVE_PAIRS: readonly { readonly passive: string; readonly active: string }[] = [
  { passive: 'straight-leg-raise', active: 'straight-leg-raise-active' },
  { passive: 'hip-flexion', active: 'hip-flexion-active' },
  { passive: 'knee-extension-hip-90-passive', active: 'knee-extension-hip-90' },
  { passive: 'ankle-dorsiflexion', active: 'ankle-dorsiflexion-active' },
  { passive: 'shoulder-flexion', active: 'shoulder-flexion-active' },
  { passive: 'shoulder-abduction', active: 'shoulder-abduction-active' },
  { passive: 'neck-rotation-supine', active: 'neck-rotation' },
  { passive: 'neck-side-bend-supine', active: 'neck-side-bend' },
];

/** Two turns of one joint whose sum is its arc: a thrower's or rower's shoulder may have shifted it without losing any. */
export const ARC_PAIRS: readonly (readonly [string, string])[] = [
  ['hip-internal-rotation', 'hip-external-rotation'],
  ['hip-internal-rotation-seated', 'hip-external-rotation-seated'],
  ['shoulder-internal-rotation', 'shoulder-external-rotation'],
];

export const CLOCK_OF: Readonly<Partial<Record<Joint, ClockId>>> = {
  ankle: 'ankle',
  subtalar: 'ankle',
  hip: 'hip',
  shoulder: 'shoulder',
  toes: 'big-toe',
};
export const GLIDE_OF: Readonly<Partial<Record<Joint, GlideId>>> = { knee: 'patella', shoulder: 'scapula', 'shoulder girdle': 'scapula' };
