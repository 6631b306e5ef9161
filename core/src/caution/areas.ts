import type { Nerve, Region } from '../body/index.ts';

/** Regions that belong to one joint or part: a condition of one is a matter for the others. Common practice. */
const NEAR: Readonly<Partial<Record<Region, readonly Region[]>>> = {
  hip: ['groin', 'buttock'],
  groin: ['hip'],
  buttock: ['hip'],
  knee: ['knee-back'],
  'knee-back': ['knee'],
  shoulder: ['armpit'],
  armpit: ['shoulder'],
  neck: ['front-of-neck'],
  chest: ['upper-back'],
  'upper-back': ['chest'],
  'front-of-neck': ['neck'],
  'low-back': ['pelvis'],
  pelvis: ['low-back'],
  'thigh-front': ['thigh-inner'],
  'thigh-inner': ['thigh-front'],
  shin: ['calf'],
  calf: ['shin'],
};

/**
 * A region with what belongs to the same joint or part.
 * @example nearRegions('knee') // → ['knee', 'knee-back']
 */
export function nearRegions(region: Region): readonly Region[] {
  return [region, ...(NEAR[region] ?? [])];
}

export const LEG_REGIONS: readonly Region[] = [
  'groin',
  'thigh-front',
  'thigh-back',
  'thigh-inner',
  'knee',
  'knee-back',
  'shin',
  'calf',
  'ankle',
  'foot',
  'hip',
  'buttock',
];
export const ARM_REGIONS: readonly Region[] = ['shoulder', 'armpit', 'upper-arm', 'elbow', 'forearm', 'wrist', 'hand', 'chest'];

/**
 * The whole limb a region belongs to, as far as its vessels go; elsewhere the region with its neighbours.
 * @example limbOf('hand').includes('armpit') // → true
 */
export function limbOf(region: Region): readonly Region[] {
  return [LEG_REGIONS, ARM_REGIONS].find((limb) => limb.includes(region)) ?? nearRegions(region);
}

const LEG_BACK: readonly Region[] = ['low-back', 'pelvis', 'buttock', 'thigh-back', 'knee-back', 'calf', 'shin', 'ankle', 'foot'];
const LEG_FRONT: readonly Region[] = ['low-back', 'belly', 'groin', 'hip', 'thigh-front', 'thigh-inner', 'knee'];
const ARM: readonly Region[] = [
  'head',
  'neck',
  'front-of-neck',
  'shoulder',
  'armpit',
  'upper-arm',
  'elbow',
  'forearm',
  'wrist',
  'hand',
  'chest',
  'upper-back',
];

/** The nerves whose signs are felt in a region, where they come from included; all where nobody said where. */
export function nervesOf(region: Region | null): readonly Nerve[] {
  if (region === null) return ['leg-back', 'leg-front', 'arm'];
  return [
    ...(LEG_BACK.includes(region) ? ['leg-back' as const] : []),
    ...(LEG_FRONT.includes(region) ? ['leg-front' as const] : []),
    ...(ARM.includes(region) ? ['arm' as const] : []),
  ];
}
