import { FIGURE_TEMPLATES, motionOf, type Motion, type MotionFigure, type SegmentId } from '../body/index.ts';
import type { Entry } from './types.ts';

/** Where the hand that works lies: on a part of the drawn body, at a share of its length, on its upper or lower edge on the page. */
export interface Press {
  readonly on: SegmentId;
  readonly at: number;
  readonly from: 'above' | 'below';
  /** Traction: the hand draws along the part, away from the body, instead of going in. */
  readonly pulls?: true;
}

/** How an entry is drawn: what is posed, where it is in the set-up and at the end, and where a hand presses. */
export interface EntryFigure {
  readonly motion: Pick<Motion, 'figure' | 'rest' | 'sides' | 'unit' | 'fan'>;
  readonly setUp: number;
  readonly end: number;
  /** Nothing is moved: the hand works on one part. */
  readonly still: boolean;
  readonly press: Press | null;
}

interface Own {
  readonly figure: MotionFigure;
  /** Degrees on the page. */
  readonly setUp: number;
  readonly end: number;
  readonly press?: Press;
}

const turned = (figure: MotionFigure, setUp: number, end: number, press?: Press): Own => ({
  figure,
  setUp,
  end,
  ...(press ? { press } : {}),
});
/** A body at rest in a position, and the hand on it. */
const pressed = (
  template: MotionFigure['template'],
  on: SegmentId,
  at: number,
  from: Press['from'] = 'above',
  set: MotionFigure['set'] = {},
): Own => {
  const moves = FIGURE_TEMPLATES.get(template)!.segments.find((each) => each.id === on)!;
  const { [on]: own, ...others } = set;
  return {
    figure: { template, moves: on, zero: own ?? moves.deg, turn: 1, ...(Object.keys(others).length > 0 ? { set: others } : {}) },
    setUp: 0,
    end: 0,
    press: { on, at, from },
  };
};

/** The same, with a hand that draws the part away from the body. */
const pulled = (...given: Parameters<typeof pressed>): Own => {
  const own = pressed(...given);
  return { ...own, press: { ...own.press!, pulls: true } };
};

const BENT_KNEES = { thigh: 50, shank: -110, farThigh: 50, farShank: -110 } as const;

/**
 * Entries that are not done in the position their motion is measured in, or that leave the limb where it is and work with the hand.
 * Angles are common practice; they show direction and order of size, nothing is read from them.
 */
const OWN: Readonly<Record<string, Own>> = {
  // Neck. Front of the page is up in the side views.
  'neck-crossed-arm-lift': turned({ template: 'supine', moves: 'head', zero: 0, turn: -1 }, 5, 45),
  'neck-traction': pulled('supine', 'head', 0.2, 'below'),
  'neck-traction-forearm': pulled('supine', 'head', 0.3, 'below'),
  'neck-traction-towel': pulled('supine', 'head', 0.15, 'below'),
  'skull-base-melt': pressed('supine', 'head', 0.25, 'below'),
  'scalene-pin-move': turned({ template: 'lying-from-above', moves: 'head', zero: 0, turn: -1 }, 4, 34),
  'neck-extension-table-end': turned({ template: 'supine-head-over', moves: 'head', zero: 0, turn: 1 }, 5, 38),
  // Shoulder and chest.
  'latissimus-side-lying': turned({ template: 'side-lying-arm', moves: 'upperArm', zero: -90, turn: 1 }, 45, 92),
  'chest-opener-seated': turned({ template: 'sitting', moves: 'upperArm', zero: -90, turn: 1, set: { forearm: 140 } }, 35, 78),
  'upper-trap-side-lying': turned({ template: 'side-lying-arm', moves: 'head', zero: 0, turn: 1 }, 0, 16, {
    on: 'trunk',
    at: 0.95,
    from: 'above',
  }),
  'upper-trap-supine': turned({ template: 'lying-from-above', moves: 'head', zero: 0, turn: -1 }, 4, 24),
  'upper-trap-prone': turned({ template: 'lying-from-above', moves: 'head', zero: 0, turn: -1 }, 2, 14),
  'scapula-four-glides': pressed('side-lying-arm', 'trunk', 0.85),
  'scapula-lift-behind-back': turned({ template: 'prone', moves: 'upperArm', zero: 180, turn: 1, set: { forearm: 140 } }, 4, 20, {
    on: 'trunk',
    at: 0.78,
    from: 'above',
  }),
  'deltoid-middle': turned({ template: 'sitting', moves: 'upperArm', zero: 180, turn: -1, set: { forearm: 110 } }, 8, 38),
  'first-rib-reach': pressed('lying-from-above', 'trunk', 0.95),
  'second-third-rib': pressed('supine', 'trunk', 0.75, 'above', { upperArm: 20 }),
  'overhead-rib-rock': pressed('supine', 'trunk', 0.6, 'above', { upperArm: 20 }),
  'three-breath-chest-press': pressed('supine', 'trunk', 0.75),
  'thoracic-spring': pressed('supine', 'trunk', 0.7, 'below'),
  // Trunk.
  'side-lying-rotation-low': turned({ template: 'sitting-from-above', moves: 'chest', zero: 90, turn: 1 }, 5, 42),
  'side-lying-back-bow': turned(
    { template: 'side-lying-above', moves: 'trunk', zero: 180, turn: 1, set: { thigh: -15, shank: -20, upperArm: 15 } },
    4,
    24,
    { on: 'trunk', at: 0.2, from: 'below' },
  ),
  'side-bend-seated': turned(
    { template: 'sitting-behind', moves: 'trunk', zero: 90, turn: 1, set: { upperArm: 112, forearm: -40 } },
    4,
    30,
  ),
  'lumbar-forearm-sink': pressed('prone', 'trunk', 0.3),
  'rib-pelvis-spread': pressed('side-lying', 'trunk', 0.35),
  'quadratus-comfort': turned({ template: 'lying-from-above', moves: 'trunk', zero: -90, turn: -1 }, 3, 18),
  'quadratus-crossed': turned({ template: 'side-lying', moves: 'thigh', zero: 0, turn: -1 }, 2, 20, {
    on: 'trunk',
    at: 0.2,
    from: 'above',
  }),
  'quadratus-reset': pressed('side-lying', 'trunk', 0.1),
  'back-extensors-reach': turned({ template: 'long-sitting', moves: 'trunk', zero: 80, turn: -1 }, 5, 38),
  'pelvic-tilts': pressed('supine', 'trunk', 0.12, 'below', BENT_KNEES),
  'shoulder-roll': pressed('supine', 'trunk', 0.92, 'below'),
  'belly-rock': pressed('supine', 'trunk', 0.25),
  'sacroiliac-twist': pressed('side-lying-above', 'trunk', 0.06, 'below'),
  'balance-press': pressed('supine', 'trunk', 0.92),
  'still-hold': pressed('supine', 'trunk', 0.35),
  percussion: pressed('prone', 'trunk', 0.6),
  // Hip.
  'ninety-turn-out': turned({ template: 'ninety-from-above', moves: 'shank', zero: 90, turn: -1 }, 6, 45),
  'psoas-sink': pressed('supine', 'trunk', 0.12, 'above', { thigh: 25, shank: -45 }),
  'iliacus-supine': turned({ template: 'supine', moves: 'thigh', zero: 60, turn: -1, set: { shank: -60 } }, 0, 22, {
    on: 'trunk',
    at: 0.06,
    from: 'above',
  }),
  'iliacus-side-lying': pressed('side-lying-above', 'trunk', 0.08, 'above', { thigh: 60, shank: -80 }),
  'groin-attachment-shake': pressed('supine', 'thigh', 0.2, 'above', { thigh: 45, shank: -65 }),
  'buttock-wake-up': pressed('prone', 'trunk', 0.03),
  'sacral-edge-presses': pressed('prone', 'trunk', 0.06),
  'leg-pull': pulled('supine', 'shank', 0.8),
  // Thigh and knee.
  'patella-glides': pressed('supine', 'shank', 0.03),
  'line-press-outside': pressed('side-lying', 'thigh', 0.6),
  // Ankle and foot.
  'talocrural-traction': pulled('supine', 'shank', 0.92, 'below'),
  'talocrural-open-close': pulled('supine', 'shank', 0.92, 'below'),
  'post-op-fluid': pressed('supine', 'shank', 0.5, 'above', { thigh: 30 }),
  'calf-pin': turned({ template: 'prone', moves: 'foot', zero: -60, turn: -1 }, 4, 40, { on: 'shank', at: 0.4, from: 'above' }),
  'calf-cross-friction': pressed('prone', 'shank', 0.35, 'above', { shank: 14 }),
  'calf-point-holds': pressed('prone', 'shank', 0.3, 'above', { shank: 14 }),
  'shake-down': pressed('supine', 'shank', 0.85, 'above', { thigh: 22 }),
  // Home work: nobody's hand but their own.
  'home-wall-sit': turned({ template: 'wall-sit', moves: 'thigh', zero: -90, turn: 1 }, 28, 50),
  'home-hot-water': turned({ template: 'sitting', moves: 'foot', zero: 80, turn: -1 }, 0, 18),
};

/** Share of the way from rest to the far end of the drawn range: a little in for the set-up, short of the end for the edge. */
const SET_UP_SHARE = 0.15;
const END_SHARE = 0.8;

/**
 * How an entry is drawn. Most are drawn as their motion is measured; where nothing moves, with the hand where it works. Every entry of
 * the catalogue is drawn in a position it is done in. A practice's own has the pictures of the one it was made from while they show
 * one of its positions, and else those of its motion, whatever position that is measured in: `showsEntry` tells.
 * @example entryFigure(findEntry('neck-extension-table-end')).motion.figure.template // → 'supine-head-over'
 */
export function entryFigure(entry: Entry): EntryFigure {
  const own = OWN[entry.drawnAs ?? entry.id];
  if (own && showsEntry(own.figure, entry)) {
    // Where left and right are two places on the page, the worked side can be shown; in profile there is one place for both.
    const { mirrored } = FIGURE_TEMPLATES.get(own.figure.template)!;
    return {
      motion: {
        figure: own.figure,
        rest: 0,
        sides: mirrored ? ['left', 'right'] : ['midline'],
        unit: 'deg',
        fan: { min: Math.min(own.setUp, own.end), max: Math.max(own.setUp, own.end) },
      },
      setUp: own.setUp,
      end: own.end,
      still: own.setUp === own.end,
      press: own.press ?? null,
    };
  }
  const motion = drawnMotion(entry);
  const { fan, rest, better } = motion;
  const toward = better === 'higher' ? fan.max : fan.min;
  const at = (share: number) => rest + (toward - rest) * share;
  const setUp = entry.still ? rest : at(SET_UP_SHARE);
  return {
    motion,
    setUp,
    end: entry.still ? setUp : at(END_SHARE),
    still: entry.still === true,
    press: entry.still ? { on: motion.figure.moves, at: 0.5, from: 'above' } : null,
  };
}

/**
 * The value to draw an entry's figure at when the limb is at a value of its motion: the same where it is drawn as measured, else as far
 * between set-up and end. What is pressed stays.
 */
export function figureValue(entry: Entry, value: number): number {
  const { motion, setUp, end, still } = entryFigure(entry);
  const measured = motionOf(entry.motionId);
  if (still || motion === measured) return still ? setUp : value;
  const { rest, fan, better } = measured;
  const toward = better === 'higher' ? fan.max : fan.min;
  const share = toward === rest ? 0 : (value - rest) / (toward - rest);
  const along = Math.min(1, Math.max(0, (share - SET_UP_SHARE) / (END_SHARE - SET_UP_SHARE)));
  return setUp + along * (end - setUp);
}

/** The entry's own motion, or another one it lengthens that is measured in the position it is done in. */
function drawnMotion(entry: Entry): Motion {
  const all = [entry.motionId, ...entry.also].map(motionOf);
  return all.find((motion) => showsEntry(motion.figure, entry)) ?? all[0]!;
}

/** Whether a figure shows an athlete in one of the positions an entry is done in. */
export function showsEntry({ template }: Pick<MotionFigure, 'template'>, entry: Pick<Entry, 'positions'>): boolean {
  const { shows } = FIGURE_TEMPLATES.get(template)!;
  return shows === null || entry.positions.some((position) => shows.includes(position));
}
