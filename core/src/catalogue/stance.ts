import type { Position } from '../body/index.ts';
import { usualPosition } from './setUp.ts';
import type { Entry } from './types.ts';

/** Where at the table the therapist is. Of a seated athlete, the head end is behind them. */
export const PLACES_TO_STAND = ['head end', 'worked side', 'other side', 'behind', 'in front', 'foot end', 'on the mat'] as const;

/** How the therapist stands or sits, in a few words; it is what a stranger to the entry gets wrong first. */
export interface Stance {
  readonly at: (typeof PLACES_TO_STAND)[number];
  readonly how: string;
}

const at = (place: Stance['at'], how: string): Stance => ({ at: place, how });

const HEAD_SEATED = at('head end', 'seated, forearms on the table');
const HEAD_LEAN = at('head end', 'standing, one foot back, arms straight');
const SIDE_LEAN = at('worked side', 'standing, one foot back, arms straight');
const SIDE_SEATED = at('worked side', 'seated on a stool, elbow on the table');
const SIDE_LOW = at('worked side', 'standing close, knees bent');
const OTHER_LEAN = at('other side', 'standing, leaning across');
const BEHIND = at('behind', 'standing close, one foot back');
const BEHIND_UP = at('behind', 'standing, one foot back, arms straight');
const FRONT_SEATED = at('in front', 'seated across from them');
const FEET_LEAN = at('foot end', 'standing, one foot back, leaning back');
const FEET_SEATED = at('foot end', 'seated on a stool, wrists straight');
const MAT = at('on the mat', 'seated on the floor, back upright');
const STRIDE = at('worked side', 'standing, one leg forward beside the hip');
const STRIDE_ON = at('worked side', 'standing in a stride, weight going forward');

/** Entries by where they are done from; common practice, and as taught where the entry is. */
const STANCES: readonly (readonly [Stance, readonly string[]])[] = [
  [
    at('head end', 'standing, elbows in front of the hip bones'),
    ['neck-side-bend-supine', 'neck-turn-supine', 'neck-diagonal', 'neck-diagonal-levator', 'neck-thumb-stretch'],
  ],
  [at('head end', 'standing, rising from the legs'), ['neck-crossed-arm-lift']],
  [HEAD_LEAN, ['neck-traction', 'neck-traction-forearm', 'neck-traction-towel', 'neck-traction-pillow', 'three-breath-chest-press']],
  [
    HEAD_SEATED,
    [
      'skull-base-melt',
      'scalene-pin-move',
      'neck-extension-table-end',
      'neck-joint-mobilization',
      'scalene-collarbone',
      'upper-trap-knuckles',
      'shoulder-figure-eight',
    ],
  ],
  [
    at('head end', 'at the corner, standing low or seated'),
    ['upper-trap-supine', 'shoulder-elbow-push', 'upper-trap-prone', 'first-rib-reach', 'shoulder-roll'],
  ],
  [
    at('head end', 'at the corner, back straight, one foot back'),
    ['latissimus-supine', 'overhead-rib-rock', 'flank-line-overhead', 'second-third-rib'],
  ],
  [
    BEHIND_UP,
    ['neck-side-bend-seated', 'neck-pin-turn-seated', 'neck-side-bend-antagonist', 'both-shoulders-press', 'back-press-walk-seated'],
  ],
  [at('behind', 'standing, knees bent; the legs straighten'), ['neck-lift-seated']],
  [at('behind', 'standing sideways, the flank as their back rest'), ['chest-opener-seated']],
  [
    at('behind', 'standing beside and behind the shoulder'),
    [
      'shoulder-top-front-hold',
      'blade-edge-trace',
      'elbow-arm-lever',
      'shoulder-press-arm-draw',
      'shoulder-front-back-squeeze',
      'deltoid-middle',
      'side-bend-seated',
    ],
  ],
  [at('in front', 'seated, knees against theirs'), ['trunk-rotation-seated']],
  [at('behind', 'kneeling or standing behind, arms straight'), ['back-extensors-reach', 'back-reach-long-sitting']],
  [at('worked side', 'kneeling at their side, back upright'), ['trunk-rotation-long-sitting']],
  [
    BEHIND,
    [
      'latissimus-side-lying',
      'latissimus-heel-of-hand',
      'upper-trap-side-lying',
      'scapula-four-glides',
      'deltoid-front',
      'subclavius-line',
      'blade-series',
      'cuff-back-strokes',
      'side-lying-rotation-chest',
      'side-lying-rotation-both',
      'rib-pelvis-spread',
      'quadratus-crossed',
      'quadratus-reset',
      'quadratus-side-press',
      'side-back-series',
      'sacroiliac-twist',
      'iliacus-side-lying',
    ],
  ],
  [at('in front', 'standing close, swaying back from the feet'), ['arm-on-waist', 'side-lying-rotation-low']],
  [at('on the mat', 'standing on one leg, shoe off, hands on arm and leg'), ['side-lying-back-bow']],
  [
    SIDE_LEAN,
    [
      'pectoralis-supine',
      'pectoralis-press-stretch',
      'pectoralis-nerve-line',
      'arm-circles-traction',
      'arm-warm-ladder',
      'shoulder-down-glide',
      'deltoid-back',
      'scapula-comfort',
      'hip-draw-lean',
      'low-back-rock',
      'belly-rock',
      'quad-warm-ladder',
      'leg-forearm-sweep',
      'leg-stick',
      'hamstring-stick',
      'quad-glide-partial',
      'quad-glide-full',
      'quad-glide-outer',
      'quad-glide-inner',
      'lower-leg-warm',
      'post-op-fluid',
      'back-dry-prep',
      'percussion',
      'balance-press',
      'still-hold',
      'adductor-compression',
      'line-press-inside',
      'line-press-outside',
      'band-push-pull',
      'hip-shake-roll',
      'calf-cross-friction',
    ],
  ],
  [
    SIDE_SEATED,
    [
      'subscapularis-approach',
      'cuff-back-supine',
      'cuff-four-way',
      'biceps-groove',
      'sternal-points',
      'coracoid-attachments',
      'thoracic-spring',
      'triceps-pin',
      'biceps-pin',
      'pronator-hold',
      'palm-spread',
      'finger-traction',
      'metacarpal-scissor',
      'forearm-pin',
      'forearm-spread',
      'forearm-flexor-lines',
      'upper-arm-deep',
      'psoas-sink',
      'patella-glides',
    ],
  ],
  [FRONT_SEATED, ['wrist-extensor-cr', 'wrist-flexor-cr', 'carpal-friction', 'wrist-extensor-stroke-active']],
  [
    SIDE_LOW,
    [
      'splenius-reset',
      'levator-shoulder-up',
      'scapula-lift-behind-back',
      'lumbar-forearm-sink',
      'quadratus-comfort',
      'quadratus-three-points',
      'pelvic-tilts',
      'spine-muscles-reach-thoracic',
      'spine-muscles-reach-lumbar',
      'gluteals-comfort-press',
      'gluteus-maximus-reset',
      'gluteal-elbow-line',
      'buttock-wake-up',
      'sacral-edge-presses',
      'groin-comfort',
    ],
  ],
  [OTHER_LEAN, ['trunk-rotation-supine', 'trunk-rotation-chest-supine', 'rotators-elbow-across', 'leg-across-bent', 'iliacus-supine']],
  [
    STRIDE,
    [
      'gluteus-bent-knee-turn',
      'ninety-turn-out',
      'figure-four-beside',
      'figure-four-above',
      'leg-across-straight',
      'hip-circling',
      'gluteus-maximus-reps',
      'piriformis-reps',
      'hip-compress-comfort',
      'rectus-femoris-prone',
      'quadriceps-heel-to-buttock',
      'outward-rotators-prone',
      'inward-rotators-prone',
      'vasti-supine',
      'iliopsoas-prone',
    ],
  ],
  [at('worked side', 'standing, the hip behind their foot'), ['foot-on-hip-adductor']],
  [at('worked side', 'standing between leg and table, walking outward'), ['adductors-walk-out']],
  [at('worked side', 'seated on the table edge, their thigh on your knee'), ['groin-attachment-shake', 'groin-opening']],
  [at('worked side', 'standing at the edge, shin against their shin'), ['rectus-femoris-pin', 'rectus-femoris-table-side']],
  [STRIDE_ON, ['hamstring-bent-shoulder', 'hamstring-heel-on-shoulder', 'hamstring-ninety']],
  [FEET_LEAN, ['leg-pull', 'hip-long-axis-rock', 'talocrural-traction', 'talocrural-open-close', 'talocrural-traction-bend', 'shake-down']],
  [MAT, ['hip-roll-over-foot', 'thigh-draw-bent', 'thigh-foot-press', 'thigh-foot-walk', 'outer-thigh-draw', 'thigh-press-foot-flexed']],
  [at('on the mat', 'kneeling wide at the feet, arms straight'), ['sole-lean-both']],
  [
    at('foot end', 'standing, forearm and body in one line'),
    ['ankle-back-glide', 'calf-supine', 'shin-supine', 'calf-pin', 'soleus-prone'],
  ],
  [at('foot end', 'seated lightly on their toes'), ['calf-wring']],
  [at('worked side', 'kneeling beside the front foot'), ['soleus-lunge']],
  [
    FEET_SEATED,
    [
      'ankle-circles',
      'midfoot-turn',
      'heel-squeeze-roll',
      'metatarsal-scissor',
      'arch-spring',
      'ball-rounding',
      'toe-rotation',
      'sole-pin',
      'opposing-wave',
      'post-op-turns',
      'post-op-calf',
      'post-op-toes',
      'calf-point-holds',
      'shin-pin',
      'sole-stick',
      'sole-straight-press',
      'ankle-loosening',
      'foot-rounds',
      'foot-gap-walk',
      'foot-shake',
      'post-op-sole',
      'post-op-scar',
      'post-op-shin-lines',
      'post-op-front-hollow',
    ],
  ],
];
const BY_ID = new Map(STANCES.flatMap(([stance, ids]) => ids.map((id) => [id, stance] as const)));

/** In a position but the usual one, the therapist goes where that position asks for. */
const ELSEWHERE: Readonly<Record<Position, Stance>> = {
  supine: SIDE_LEAN,
  prone: SIDE_LEAN,
  'side-lying left': BEHIND,
  'side-lying right': BEHIND,
  'long-sitting': BEHIND_UP,
  'seated upright': at('behind', 'standing beside and behind the shoulder'),
  'seated leaning': BEHIND_UP,
  'floor mat': MAT,
  standing: BEHIND_UP,
};
/** Where that is not so: what is done at head, feet and hand is done there in every position but a few. */
const KEPT: Readonly<Record<string, Readonly<Partial<Record<Position, Stance>>>>> = {
  'neck-side-bend-antagonist': { supine: HEAD_SEATED },
  'latissimus-heel-of-hand': { supine: at('head end', 'at the corner, back straight, one foot back') },
  'subscapularis-approach': { prone: SIDE_SEATED },
  'triceps-pin': { 'side-lying left': BEHIND },
  'biceps-groove': { 'side-lying left': at('in front', 'seated at the chest, elbow on the table') },
  'calf-point-holds': { 'side-lying left': at('in front', 'seated at the shin, wrists straight') },
  'lumbar-forearm-sink': { 'side-lying left': at('behind', 'standing close, knees bent') },
};
const AT_THE_HAND: readonly Stance[] = [FRONT_SEATED, SIDE_SEATED];

/**
 * How and where the therapist stands for an entry in a position; null for what an athlete does alone. An entry without one of its own, a
 * practice's, has that of the entry it was made from, or the usual one of the position.
 * @example stanceIn(findEntry('neck-traction'), 'supine').at // → 'head end'
 */
export function stanceIn(entry: Pick<Entry, 'id' | 'drawnAs' | 'section'>, position: Position): Stance | null {
  if (entry.section === 'Home work') return null;
  const id = entry.drawnAs ?? entry.id;
  const own = BY_ID.get(id);
  if (own && position === usualPosition(entry)) return own;
  const kept = KEPT[id]?.[position] ?? (position === 'side-lying right' ? KEPT[id]?.['side-lying left'] : undefined);
  if (kept) return kept;
  if (own && entry.section === 'Ankle and foot') return own;
  if (own && entry.section === 'Arm and hand' && AT_THE_HAND.includes(own))
    return position === 'seated upright' ? FRONT_SEATED : SIDE_SEATED;
  return ELSEWHERE[position];
}

const WHERE: Readonly<Record<Stance['at'], string>> = {
  'head end': 'at the head end',
  'worked side': 'at the worked side',
  'other side': 'at the other side',
  behind: 'behind them',
  'in front': 'in front of them',
  'foot end': 'at the foot end',
  'on the mat': 'on the mat',
};

/**
 * A stance in words.
 * @example stanceWords({ at: 'head end', how: 'seated, forearms on the table' }) // → 'at the head end, seated, forearms on the table'
 */
export const stanceWords = ({ at: place, how }: Stance): string => `${WHERE[place]}, ${how}`;

/** Whether an entry of the catalogue has a stance of its own. */
export const hasStance = (id: string): boolean => BY_ID.has(id);
