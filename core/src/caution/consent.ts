import type { Region } from '../body/index.ts';

/** Areas as consent is asked for: coarse, so that it takes seconds. Sensitive ones stand alone. */
export const CONSENT_AREAS = [
  { id: 'neck', name: 'neck and head', regions: ['head', 'neck', 'front-of-neck'] },
  { id: 'shoulders', name: 'shoulders', regions: ['shoulder', 'armpit'] },
  { id: 'arms', name: 'arms and hands', regions: ['upper-arm', 'elbow', 'forearm', 'wrist', 'hand'] },
  { id: 'back', name: 'back', regions: ['upper-back', 'low-back'] },
  { id: 'chest', name: 'chest and ribs', regions: ['chest'] },
  { id: 'belly', name: 'belly', regions: ['belly'] },
  { id: 'hips', name: 'hips and buttocks', regions: ['hip', 'buttock', 'pelvis'] },
  { id: 'groin', name: 'groin', regions: ['groin'] },
  { id: 'legs', name: 'legs', regions: ['thigh-front', 'thigh-back', 'thigh-inner', 'knee', 'knee-back', 'shin', 'calf'] },
  { id: 'feet', name: 'ankles and feet', regions: ['ankle', 'foot'] },
] as const satisfies readonly { readonly id: string; readonly name: string; readonly regions: readonly Region[] }[];

export type ConsentArea = (typeof CONSENT_AREAS)[number]['id'];

/**
 * The area of consent a region belongs to.
 * @example consentArea('calf') // → 'legs'
 */
export function consentArea(region: Region): ConsentArea {
  return CONSENT_AREAS.find((area) => (area.regions as readonly Region[]).includes(region))!.id;
}

/**
 * Every region of the areas agreed to.
 * @example regionsOfAreas(['belly']) // → ['belly']
 */
export function regionsOfAreas(areas: readonly ConsentArea[]): Region[] {
  return CONSENT_AREAS.filter((area) => areas.includes(area.id)).flatMap((area) => area.regions);
}
