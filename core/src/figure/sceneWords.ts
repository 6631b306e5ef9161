import { MARK_WORDS } from './marks.ts';
import { REGIONS, type Region, type RegionId } from './muscles.ts';
import { viewWords } from './reading.ts';
import type { HandUse, Scene } from './scene.ts';

const CONTACT_WORDS: Readonly<Record<HandUse['contact'], string>> = {
  palm: 'a palm',
  heel: 'the heel of a hand',
  grip: 'a hand round the limb',
  cup: 'a cupped hand',
  fist: 'a soft fist',
  knuckles: 'knuckles',
  thumb: 'a thumb',
  fingers: 'flat fingers',
  hook: 'hooked fingers',
  forearm: 'a forearm',
  elbow: 'an elbow',
  foot: 'a foot',
  stick: 'a stick',
  edge: 'the edge of a hand',
  crook: 'the crook of an elbow',
  leg: 'a lower leg',
};

/** The bone as it is called on a table. */
const BONE_WORDS: Readonly<Record<string, string>> = {
  head: 'the head',
  neck: 'the neck',
  chest: 'the chest',
  waist: 'the waist',
  pelvis: 'the pelvis',
  thigh: 'the thigh',
  shank: 'the lower leg',
  foot: 'the foot',
  upperArm: 'the upper arm',
  forearm: 'the forearm',
  hand: 'the hand',
};

/**
 * A scene in words, from the same data as its picture: from where it is seen, what is worked on, what each hand does where, and what
 * the marks say.
 * @example sceneWords({ posture: 'supine', view: 'side', joints: {}, muscles: ['hamstrings'] }) // → 'seen from the side; hamstrings'
 */
export function sceneWords(scene: Scene): string {
  const muscles = (scene.muscles ?? []).map((name) => {
    const region: Region = REGIONS[name.replace('other.', '') as RegionId];
    return region.words;
  });
  const hands = (scene.hands ?? []).map(({ contact, at, holds }) => {
    const bone = at[0].startsWith('other.') ? `${BONE_WORDS[at[0].slice(6)]} of the other side` : BONE_WORDS[at[0]];
    return `${CONTACT_WORDS[contact]} ${holds ? 'holds' : 'works on'} ${bone}`;
  });
  const moves = scene.start && !scene.plainMove ? [scene.mover === 'athlete' ? MARK_WORDS['own-move'] : MARK_WORDS.move] : [];
  const marks = (scene.marks ?? []).map(({ kind }) => MARK_WORDS[kind]);
  return [`seen from ${viewWords(scene)}`, muscles.join(', '), ...hands, ...new Set([...moves, ...marks])].filter(Boolean).join('; ');
}
