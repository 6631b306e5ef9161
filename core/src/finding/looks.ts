import type { Region } from '../body/index.ts';

/** Something that is looked at or felt for, with the answers it has: the first is as it should be, later ones are further from it. */
export interface Look {
  readonly id: string;
  readonly group: 'Posture' | 'Layers' | 'Foot' | 'Firing' | 'Skin and swelling';
  readonly name: string;
  /** How it is looked at, in a few words. */
  readonly how: string;
  /** Whether left and right are looked at apart. */
  readonly sided: boolean;
  readonly values: readonly [string, ...string[]];
  /** Whether a later answer is further off than an earlier one; otherwise all but the first are equally off. */
  readonly ordered: boolean;
  readonly regions: readonly Region[];
}

const LAYERS = ['glide', 'catch', 'stick'] as const;
const FIRING = ['moves alone', 'others join in', 'flicker', 'nothing', 'painful'] as const;
const SWELLING = ['none', 'soft', 'thick'] as const;

/** What is looked at; common practice, and as taught. Only what was looked at is kept: looked at and as it should be counts too. */
export const LOOKS = [
  look(
    'pelvis-level',
    'Posture',
    'Pelvis level',
    'standing, hands on both crests',
    false,
    ['level', 'left higher', 'right higher'],
    false,
    ['pelvis'],
  ),
  look('pelvis-tilt', 'Posture', 'Pelvis tilt', 'standing, seen from the side', false, ['middle', 'forward', 'back'], false, ['pelvis']),
  look('low-back-curve', 'Posture', 'Low-back curve', 'standing, seen from the side', false, ['middle', 'hollow', 'flat'], false, [
    'low-back',
  ]),
  look(
    'shoulder-level',
    'Posture',
    'Shoulder level',
    'standing, seen from behind',
    false,
    ['level', 'left higher', 'right higher'],
    false,
    ['shoulder'],
  ),
  look(
    'feet-together',
    'Posture',
    'Feet together',
    'supine, soles pressed together: which side stays behind',
    false,
    ['even', 'left stiff', 'right stiff'],
    false,
    ['hip'],
  ),
  look(
    'blade-lift',
    'Posture',
    'Blade lift',
    'hand behind the back, arm kept from slipping',
    true,
    ['lifts free', 'a little', 'not at all'],
    true,
    ['shoulder', 'upper-back'],
  ),
  look('layers-front', 'Layers', 'Layers, front line', 'skin and fascia drawn over each other', true, LAYERS, true, [
    'thigh-front',
    'shin',
    'belly',
  ]),
  look('layers-back', 'Layers', 'Layers, back line', 'skin and fascia drawn over each other', true, LAYERS, true, [
    'thigh-back',
    'calf',
    'low-back',
  ]),
  look('layers-outer', 'Layers', 'Layers, outer line', 'skin and fascia drawn over each other', true, LAYERS, true, ['hip', 'thigh-front']),
  look('layers-inner', 'Layers', 'Layers, inner line', 'skin and fascia drawn over each other', true, LAYERS, true, [
    'thigh-inner',
    'groin',
  ]),
  look('foot-mobility', 'Foot', 'Foot', 'turned and sprung in both hands', true, ['mobile', 'stiff', 'locked'], true, ['foot']),
  look('foot-arch', 'Foot', 'Arch', 'standing', true, ['middle', 'high', 'flat'], false, ['foot']),
  look('fire-foot-up', 'Firing', 'Whole foot up', 'supine, then prone', true, FIRING, true, ['shin']),
  look('fire-big-toe', 'Firing', 'Big toe up', 'alone, the others stay', true, FIRING, true, ['foot']),
  look('fire-lesser-toes', 'Firing', 'Lesser toes up', 'as one, the big toe stays', true, FIRING, true, ['foot']),
  look('fire-point', 'Firing', 'Point', 'foot pointed, toes loose', true, FIRING, true, ['calf']),
  look('fire-turn-out', 'Firing', 'Foot turned out', 'sole outward, toes loose', true, FIRING, true, ['calf', 'foot']),
  look('swelling-inner', 'Skin and swelling', 'Swelling, inner side of the ankle', 'seen and felt', true, SWELLING, true, ['ankle']),
  look('swelling-outer', 'Skin and swelling', 'Swelling, outer side of the ankle', 'seen and felt', true, SWELLING, true, ['ankle']),
  look('swelling-front', 'Skin and swelling', 'Swelling, front of the ankle', 'seen and felt', true, SWELLING, true, ['ankle']),
  look('swelling-knee', 'Skin and swelling', 'Swelling, knee', 'seen and felt', true, SWELLING, true, ['knee']),
  look('bruise-leg', 'Skin and swelling', 'Bruise, leg', 'seen; painful or not', true, ['none', 'there', 'painful'], true, [
    'thigh-front',
    'thigh-back',
    'calf',
  ]),
  look('bruise-arm', 'Skin and swelling', 'Bruise, arm', 'seen; painful or not', true, ['none', 'there', 'painful'], true, [
    'upper-arm',
    'forearm',
  ]),
  look('skin', 'Skin and swelling', 'Skin', 'where hands will go', false, ['sound', 'dry', 'rash', 'broken'], true, ['low-back']),
] as const satisfies readonly Look[];

export type LookId = (typeof LOOKS)[number]['id'];

function look<const Id extends string>(
  id: Id,
  group: Look['group'],
  name: string,
  how: string,
  sided: boolean,
  values: Look['values'],
  ordered: boolean,
  regions: Look['regions'],
): Look & { readonly id: Id } {
  return { id, group, name, how, sided, values, ordered, regions };
}

export const LOOK_GROUPS = ['Posture', 'Layers', 'Foot', 'Firing', 'Skin and swelling'] as const;

export const findLook = (id: string): Look | undefined => LOOKS.find((each) => each.id === id);
