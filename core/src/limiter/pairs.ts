import type { Joint } from '../body/index.ts';
import type { ClockId, GlideId } from '../finding/index.ts';

/** The same motion with one muscle put on stretch and with it left slack. Common practice. */
export interface TwoJointPair {
  readonly tight: string;
  readonly slack: string;
  /** As the tight motion's list names it. */
  readonly muscle: string;
}

export const TWO_JOINT_PAIRS: readonly TwoJointPair[] = [
  { tight: 'hip-extension-knee-bent', slack: 'hip-extension-knee-straight', muscle: 'rectus femoris' },
  { tight: 'knee-flexion-prone', slack: 'knee-flexion', muscle: 'rectus femoris' },
  { tight: 'heel-to-buttock', slack: 'knee-flexion', muscle: 'rectus femoris' },
  { tight: 'knee-flexion-table-end', slack: 'knee-flexion', muscle: 'rectus femoris' },
  { tight: 'straight-leg-raise', slack: 'hip-flexion', muscle: 'hamstrings' },
  { tight: 'knee-extension-hip-90-passive', slack: 'knee-extension', muscle: 'hamstrings' },
  { tight: 'knee-extension-hip-90', slack: 'knee-extension', muscle: 'hamstrings' },
  { tight: 'hip-adduction-side-straight', slack: 'hip-adduction-side-bent', muscle: 'tensor fasciae latae' },
  { tight: 'ankle-dorsiflexion', slack: 'ankle-dorsiflexion-knee-bent', muscle: 'gastrocnemius' },
  { tight: 'ankle-lunge-knee-straight', slack: 'ankle-lunge', muscle: 'gastrocnemius' },
  { tight: 'big-toe-extension-ankle-up', slack: 'big-toe-extension', muscle: 'flexor hallucis longus' },
  { tight: 'shoulder-flexion', slack: 'shoulder-flexion-back-free', muscle: 'latissimus dorsi' },
  { tight: 'elbow-extension-arm-back', slack: 'elbow-extension', muscle: 'biceps brachii' },
  { tight: 'elbow-flexion-overhead', slack: 'elbow-flexion', muscle: 'triceps, long head' },
  { tight: 'wrist-flexion-fist', slack: 'wrist-flexion', muscle: 'finger extensors' },
  { tight: 'wrist-extension-fingers-straight', slack: 'wrist-extension', muscle: 'finger flexors' },
];

/** The same motion without and with the nerve line drawn long. Common practice. */
export const NERVE_PAIRS: readonly { readonly plain: string; readonly loaded: string }[] = [
  { plain: 'straight-leg-raise', loaded: 'straight-leg-raise-ankle-up' },
  { plain: 'knee-extension-hip-90', loaded: 'knee-extension-hip-90-ankle-up' },
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

export const CLOCK_OF: Readonly<Partial<Record<Joint, ClockId>>> = { ankle: 'ankle', subtalar: 'ankle', hip: 'hip', shoulder: 'shoulder', toes: 'big-toe' };
export const GLIDE_OF: Readonly<Partial<Record<Joint, GlideId>>> = { knee: 'patella', shoulder: 'scapula', 'shoulder girdle': 'scapula' };
