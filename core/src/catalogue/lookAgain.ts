import type { Entry } from './types.ts';

/** A second look within the visit: at what, and when. */
export interface LookAgain {
  readonly what: string;
  readonly when: string;
}

const NEXT = 'after the next block';
const END = 'at the end, standing or lying as at first';
const HOME = 'as soon as it is home';

/** What is looked at again, by entry: what was taught where the entry is, else common practice. Most entries are read again by their motion alone. */
const AGAIN: readonly (readonly [what: string, when: string, ids: readonly string[]])[] = [
  [
    'the blade’s circuit: does it catch?',
    NEXT,
    ['scapula-four-glides', 'scapula-comfort', 'blade-series', 'subscapularis-approach', 'scapula-lift-behind-back'],
  ],
  [
    'the arm overhead: how near the ear does it lie?',
    NEXT,
    [
      'latissimus-supine',
      'latissimus-side-lying',
      'latissimus-heel-of-hand',
      'overhead-rib-rock',
      'flank-line-overhead',
      'second-third-rib',
    ],
  ],
  [
    'the gap from shoulder to table',
    NEXT,
    ['pectoralis-supine', 'pectoralis-press-stretch', 'pectoralis-nerve-line', 'coracoid-attachments'],
  ],
  ['the straight arm: does it lie flat?', NEXT, ['arm-warm-ladder', 'biceps-pin', 'upper-arm-deep']],
  [
    'the pelvis: is it level?',
    END,
    [
      'lumbar-forearm-sink',
      'rib-pelvis-spread',
      'quadratus-comfort',
      'quadratus-three-points',
      'quadratus-crossed',
      'quadratus-reset',
      'quadratus-side-press',
      'sacroiliac-twist',
      'pelvic-tilts',
    ],
  ],
  ['the squeeze: is it prompt now?', NEXT, ['buttock-wake-up', 'gluteus-maximus-reset']],
  [
    'how far the shank hangs',
    'some minutes later, thigh on the table',
    ['rectus-femoris-pin', 'rectus-femoris-table-side', 'quad-glide-full', 'quad-glide-partial'],
  ],
  ['leg length', HOME, ['leg-pull']],
  ['feet together: which side moves less?', NEXT, ['psoas-sink', 'iliacus-supine', 'iliacus-side-lying', 'iliopsoas-prone']],
  ['the rib under the finger, then the neck’s turn', HOME, ['first-rib-reach']],
  ['the sore space: is it less?', HOME, ['sternal-points']],
  ['the groove: smooth, or still a bump?', HOME, ['biceps-groove']],
  [
    'the second pull: does it run further?',
    'with the next round',
    ['neck-traction', 'neck-traction-forearm', 'neck-traction-towel', 'neck-traction-pillow', 'talocrural-traction'],
  ],
  ['the stiff edge of the knee-cap', HOME, ['patella-glides']],
  ['what the foot can lift by itself', HOME, ['post-op-turns', 'post-op-calf', 'post-op-toes', 'post-op-scar', 'post-op-shin-lines']],
  ['the knot itself: leave it, and look next visit', 'at the next visit', ['calf-point-holds', 'calf-cross-friction']],
  ['the breath at the side ribs', HOME, ['three-breath-chest-press', 'side-back-series']],
];
const BY_ID = new Map(AGAIN.flatMap(([what, when, ids]) => ids.map((id) => [id, { what, when }] as const)));

/**
 * What is looked at again after an entry, and when; null where its motion says enough. A practice's own has that of the entry it was made from.
 * @example lookAgainOf(findEntry('leg-pull')).what // → 'leg length'
 */
export const lookAgainOf = (entry: Pick<Entry, 'id' | 'drawnAs'>): LookAgain | null => BY_ID.get(entry.drawnAs ?? entry.id) ?? null;

/** Every entry with a second look of its own. */
export const LOOKED_AT_AGAIN: readonly string[] = [...BY_ID.keys()];
