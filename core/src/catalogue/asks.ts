import type { Entry } from './types.ts';

/**
 * What is asked by name before it happens, on top of the areas that are agreed to: a place that is nobody's business without a word, or
 * bodies that lean on one another. As taught where the entry is, else common practice; by entry, so that a practice's own entries keep
 * those of the one they were made from.
 */
const ASKED: Readonly<Record<string, readonly string[]>> = {
  'the throat': ['neck-pin-turn-seated', 'scalene-pin-move', 'scalene-collarbone'],
  'the head past the edge': ['neck-extension-table-end'],
  'oil near the hair': ['upper-trap-side-lying'],
  'the armpit': [
    'latissimus-heel-of-hand',
    'subscapularis-approach',
    'arm-on-waist',
    'second-third-rib',
    'arm-warm-ladder',
    'blade-series',
  ],
  'the chest beside the breast': [
    'scalene-collarbone',
    'pectoralis-press-stretch',
    'pectoralis-nerve-line',
    'pectoralis-supine',
    'three-breath-chest-press',
    'sternal-points',
    'subclavius-line',
    'coracoid-attachments',
    'shoulder-top-front-hold',
    'shoulder-front-back-squeeze',
    'overhead-rib-rock',
    'rib-pelvis-spread',
  ],
  'the belly': ['belly-rock', 'psoas-sink', 'iliacus-supine', 'iliacus-side-lying', 'still-hold', 'home-breathing'],
  'the groin': ['groin-attachment-shake', 'groin-comfort', 'groin-opening', 'adductor-compression', 'thigh-foot-walk', 'thigh-foot-press'],
  'the buttock, over the cover': [
    'gluteals-comfort-press',
    'gluteus-maximus-reset',
    'gluteal-elbow-line',
    'rotators-elbow-across',
    'buttock-wake-up',
    'sacral-edge-presses',
    'hip-roll-over-foot',
  ],
  'their hand at your waist': ['arm-on-waist', 'latissimus-supine', 'latissimus-side-lying'],
  'leaning back on you': ['chest-opener-seated'],
  'their knees against yours': ['trunk-rotation-seated'],
  'their heel on your shoulder': ['hamstring-bent-shoulder', 'hamstring-heel-on-shoulder'],
  'their shin across your chest': ['ninety-turn-out'],
  'their foot on your hip': ['foot-on-hip-adductor'],
  'their thigh on your knee': ['groin-attachment-shake'],
  'your foot in the flank': ['side-lying-back-bow'],
  'your foot on the thigh': ['thigh-foot-press', 'thigh-foot-walk', 'outer-thigh-draw'],
  'your foot under them': ['hip-roll-over-foot'],
  'you on their toes': ['calf-wring'],
};
const BY_ID = new Map<string, readonly string[]>();
for (const [asked, ids] of Object.entries(ASKED)) for (const id of ids) BY_ID.set(id, [...(BY_ID.get(id) ?? []), asked]);

/**
 * What is asked by name before an entry begins; nothing for most.
 * @example asksOf(findEntry('hamstring-heel-on-shoulder')) // → ['their heel on your shoulder']
 */
export const asksOf = (entry: Pick<Entry, 'id' | 'drawnAs'>): readonly string[] => BY_ID.get(entry.drawnAs ?? entry.id) ?? [];

/** Every entry that something is asked for by name. */
export const ASKED_IDS: readonly string[] = [...BY_ID.keys()];
