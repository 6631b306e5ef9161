/**
 * Joint angles of a posed body, in degrees, by the names they have in practice. The plain name is the worked side, `other.` the
 * other one; what is left out is the neutral standing position (arms hanging, thumbs forward).
 */
export const LEG_KEYS = ['hip', 'hipOut', 'hipIn', 'knee', 'shinIn', 'ankle', 'soleIn', 'toes'] as const;
export const ARM_KEYS = ['sh', 'plane', 'shIn', 'elbow', 'pron', 'wrist', 'dev', 'fingers', 'thumb', 'girdle', 'reach'] as const;
export const TRUNK_KEYS = ['tilt', 'list', 'turn', 'bend', 'side', 'twist', 'neck', 'neckSide', 'neckTurn', 'nod', 'neckLong'] as const;

export type LegKey = (typeof LEG_KEYS)[number];
export type ArmKey = (typeof ARM_KEYS)[number];
export type TrunkKey = (typeof TRUNK_KEYS)[number];
export type JointKey = LegKey | ArmKey | TrunkKey | `other.${LegKey | ArmKey}`;

/**
 * hip: flexion; hipOut: abduction; hipIn: internal rotation; knee: flexion; shinIn: shin turned in; ankle: dorsiflexion; soleIn:
 * inversion; toes: extension. sh: elevation of the arm (0 hanging, 180 overhead) in a plane (0 out to the side, 90 forward, −90 back);
 * shIn: internal rotation; elbow: flexion; pron: pronation from mid-position; wrist: flexion; dev: toward the little finger; fingers:
 * flexion; thumb: away from the palm; girdle: shoulder lifted; reach: shoulder forward. tilt, list, turn: the pelvis forward, to the worked side, about its length;
 * bend, side, twist: the spine forward, to the worked side, turned to it; neck, neckSide, neckTurn, nod: the same for the neck, and
 * the head on it; neckLong: per cent drawn apart.
 */
export type Joints = Readonly<Partial<Record<JointKey, number>>>;

/**
 * Angles between two poses, each joint by the same share of its way.
 * @example between({ hip: 20 }, { hip: 80 }, 0.5).hip // → 50
 */
export function between(from: Joints, to: Joints, share: number): Joints {
  const out: Partial<Record<JointKey, number>> = { ...to };
  for (const key of new Set([...Object.keys(from), ...Object.keys(to)] as JointKey[])) {
    const [a, b] = [from[key] ?? 0, to[key] ?? 0];
    out[key] = a + (b - a) * share;
  }
  return out;
}
