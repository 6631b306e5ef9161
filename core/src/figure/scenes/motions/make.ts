import type { BoneId } from '../../body.ts';
import type { JointKey, Joints } from '../../joints.ts';
import type { Scene } from '../../scene.ts';

/** A bone's far end, its near end, or a named spot of the body. */
export type Spot =
  BoneId | `${BoneId}:near` | 'nose' | 'crown' | 'eyes' | 'thumb' | 'knuckles' | 'fingertips' | 'ball' | 'toes' | 'ankle' | 'sole';

/** A test position, and which joints a value turns: each by zero + perUnit × value, degrees. */
export interface MotionScene {
  readonly scene: Scene;
  readonly moves: Readonly<Partial<Record<JointKey, readonly [zero: number, perUnit: number]>>>;
  /** What it turns about, and what is read. */
  readonly axis: Spot;
  readonly tip: Spot;
  /** Head and trunk go to either side: a right value is drawn as it is, a left one as its mirror. */
  readonly central?: true;
  /** The other limb is needed elsewhere: the second side is a needle only. */
  readonly alone?: true;
}

export const make = (
  view: Scene['view'],
  posture: Scene['posture'],
  joints: Joints,
  moves: MotionScene['moves'],
  axis: Spot,
  tip: Spot,
  more: Partial<Scene> & { central?: true; alone?: true } = {},
): MotionScene => {
  const { central, alone, ...scene } = more;
  return {
    scene: { posture, view, joints, ...scene },
    moves,
    axis,
    tip,
    ...(central ? { central } : {}),
    ...(alone ? { alone } : {}),
  };
};

export const LEG: readonly BoneId[] = ['pelvis', 'thigh', 'shank', 'foot'];
export const LOWER: readonly BoneId[] = ['shank', 'foot'];
export const HEAD: readonly BoneId[] = ['head', 'neck', 'chest'];
export const ARM: readonly BoneId[] = ['head', 'chest', 'upperArm', 'forearm', 'hand'];
export const FOREARM: readonly BoneId[] = ['forearm', 'hand'];
export const seatedOnTable = { on: 'table' } as const;
export const standing = { on: 'floor' } as const;
