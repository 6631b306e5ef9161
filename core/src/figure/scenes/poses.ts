import type { JointKey, Joints } from '../joints.ts';

/** Poses that many scenes begin with. Angles: common practice, drawn to be recognised. */

/** The same angles for the other limb. */
export const other = (joints: Joints): Joints =>
  Object.fromEntries(Object.entries(joints).map(([key, value]) => [`other.${key}` as JointKey, value]));
export const twice = (joints: Joints): Joints => ({ ...joints, ...other(joints) });

const PILLOW: Joints = { neck: 14, nod: -6 };
/** A hand on the belly, out of the way of the hip. */
export const ON_BELLY: Joints = { sh: 24, plane: 20, shIn: 48, elbow: 82, pron: 60 };
export const ALONG: Joints = { sh: 13, plane: 10, elbow: 10 };
const ON_LAP: Joints = { sh: 22, plane: 85, elbow: 62, pron: 70 };

/** On the back, seen from the side: arms on the belly, the far foot relaxed. */
export const SUPINE: Joints = { ...PILLOW, ...twice(ON_BELLY), ...twice({ ankle: -16 }) };
/** On the back, seen from above. */
export const SUPINE_ABOVE: Joints = { ...twice(ALONG), ...twice({ hipOut: 5, ankle: -14 }) };
/** On the back, knees bent, feet flat. */
export const HOOK: Joints = { ...SUPINE, ...twice({ hip: 52, knee: 104, ankle: 38 }) };
export const PRONE: Joints = {
  neck: -8,
  nod: 4,
  ...twice({ sh: 104, plane: 6, shIn: -84, elbow: 92, pron: 90 }),
  ...twice({ ankle: -56 }),
};
/** Prone, the chest raised on the elbows. */
export const ON_ELBOWS: Joints = { bend: -42, ...twice({ sh: 78, plane: 90, elbow: 61, pron: 60 }), ...twice({ ankle: -56 }) };
export const PRONE_ABOVE: Joints = { ...twice(ALONG), ...twice({ hipOut: 4, ankle: -58 }) };
export const SIDE_LYING: Joints = {
  neckSide: -6,
  hip: 14,
  knee: 20,
  'other.hip': 30,
  'other.knee': 46,
  ...twice({ ankle: -20 }),
  sh: 22,
  plane: 60,
  elbow: 60,
  'other.sh': 92,
  'other.plane': 88,
  'other.elbow': 96,
};
export const SEATED: Joints = { ...twice({ hip: 88, knee: 86 }), ...twice(ON_LAP) };
export const SEATED_FOLDED: Joints = { ...SEATED, ...twice({ sh: 38, plane: 78, shIn: 52, elbow: 118, pron: 60 }) };
export const LONG_SITTING: Joints = { ...twice({ hip: 86, ankle: -6 }), ...twice({ sh: 42, plane: 84, elbow: 16, pron: 80 }) };
export const STANDING: Joints = { ...twice({ sh: 8, plane: 30, elbow: 14 }) };
