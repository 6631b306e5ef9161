import type { Joint } from './types.ts';

/** A part of the body as hands find it: where it hurts, where an operation was, what is not touched. */
export interface RegionFacts {
  readonly id: string;
  readonly name: string;
  /** Whether left and right are two places. */
  readonly sided: boolean;
}

export const REGIONS = [
  { id: 'head', name: 'head and jaw', sided: false },
  { id: 'neck', name: 'neck', sided: false },
  { id: 'front-of-neck', name: 'front of the neck', sided: false },
  { id: 'shoulder', name: 'shoulder', sided: true },
  { id: 'armpit', name: 'armpit', sided: true },
  { id: 'upper-arm', name: 'upper arm', sided: true },
  { id: 'elbow', name: 'elbow', sided: true },
  { id: 'forearm', name: 'forearm', sided: true },
  { id: 'wrist', name: 'wrist', sided: true },
  { id: 'hand', name: 'hand', sided: true },
  { id: 'chest', name: 'chest and ribs', sided: true },
  { id: 'upper-back', name: 'upper back', sided: true },
  { id: 'low-back', name: 'low back', sided: true },
  { id: 'belly', name: 'belly', sided: false },
  { id: 'pelvis', name: 'pelvis and sacrum', sided: true },
  { id: 'groin', name: 'groin', sided: true },
  { id: 'hip', name: 'hip', sided: true },
  { id: 'buttock', name: 'buttock', sided: true },
  { id: 'thigh-front', name: 'front of the thigh', sided: true },
  { id: 'thigh-back', name: 'back of the thigh', sided: true },
  { id: 'thigh-inner', name: 'inner thigh', sided: true },
  { id: 'knee', name: 'knee', sided: true },
  { id: 'knee-back', name: 'back of the knee', sided: true },
  { id: 'shin', name: 'shin', sided: true },
  { id: 'calf', name: 'calf', sided: true },
  { id: 'ankle', name: 'ankle', sided: true },
  { id: 'foot', name: 'foot', sided: true },
] as const satisfies readonly RegionFacts[];

export type Region = (typeof REGIONS)[number]['id'];

/** Where on the body a joint's conditions and complaints lie. */
export const JOINT_REGIONS: Readonly<Record<Joint, readonly Region[]>> = {
  hip: ['hip', 'groin', 'buttock', 'thigh-front', 'thigh-back', 'thigh-inner', 'pelvis'],
  knee: ['knee', 'knee-back', 'thigh-front', 'thigh-back'],
  ankle: ['ankle', 'calf', 'shin', 'foot'],
  subtalar: ['ankle', 'foot'],
  midfoot: ['foot'],
  toes: ['foot'],
  trunk: ['low-back', 'upper-back', 'chest', 'belly', 'pelvis'],
  neck: ['neck', 'front-of-neck', 'head'],
  'shoulder girdle': ['shoulder', 'upper-back', 'chest', 'armpit'],
  shoulder: ['shoulder', 'armpit', 'upper-arm', 'chest'],
  elbow: ['elbow', 'upper-arm', 'forearm'],
  forearm: ['forearm', 'elbow'],
  wrist: ['wrist', 'forearm'],
  fingers: ['hand'],
};

/** Side of a place on the body; null where it was not said, which counts as either. */
export type BodySide = 'left' | 'right' | 'both' | null;

/**
 * The name of a region as it is said.
 * @example regionName('thigh-back') // → 'back of the thigh'
 */
export function regionName(region: Region): string {
  return REGIONS.find((each) => each.id === region)!.name;
}

/**
 * A place with its side, as it is said.
 * @example placeWords('knee', 'left') // → 'left knee'
 */
export function placeWords(region: Region, side: BodySide): string {
  return side === null ? regionName(region) : side === 'both' ? `${regionName(region)}, both sides` : `${side} ${regionName(region)}`;
}
