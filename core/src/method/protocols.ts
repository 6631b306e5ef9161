import type { Position, Side } from '../body/index.ts';
import { findEntry } from '../catalogue/index.ts';
import { newBlock } from './block.ts';
import { findMethod } from './methods.ts';
import type { Protocol, ProtocolStep } from './protocol.ts';
import type { NumberValues } from './types.ts';

interface Step {
  readonly way?: string;
  readonly rounds?: number;
  readonly numbers?: NumberValues;
  readonly position?: Position;
}

const BOTH = ['right', 'left'] as const;
const MIDDLE = ['midline'] as const;

/** One step with what its entry begins with; where hands go on without a pause, the set-up is short and nobody rests after it. */
function step(entryId: string, sides: readonly Side[], { way, rounds, numbers, position }: Step = {}): ProtocolStep {
  const methodId = way ?? findEntry(entryId)!.ways[0];
  const { id: _id, ...block } = newBlock('step', entryId, methodId, sides);
  const has = (id: string) => findMethod(methodId)!.numbers.some((spec) => spec.id === id);
  return {
    ...block,
    numbers: {
      ...block.numbers,
      setUp: [5],
      ...(has('restBreaths') ? { restBreaths: [0] } : {}),
      ...(has('bringHome') ? { bringHome: [2] } : {}),
      ...(has('rehearse') ? { rehearse: [5] } : {}),
      ...numbers,
    },
    sides: rounds === undefined ? block.sides : block.sides.map((each) => ({ ...each, rounds })),
    ...(position ? { position } : {}),
  };
}

const arm = (side: Side): ProtocolStep[] => [
  step('shoulder-top-front-hold', [side]),
  step('blade-edge-trace', [side], { rounds: 1 }),
  step('blade-edge-trace', [side], { way: 'line-press', rounds: 1, numbers: { press: [2], lean: [1], ease: [1] } }),
  step('elbow-arm-lever', [side], { way: 'point-hold', rounds: 1, numbers: { press: [5] } }),
  step('scapula-lift-behind-back', [side], { way: 'breath-sink', rounds: 1, numbers: { breaths: [3] }, position: 'seated leaning' }),
  step('shoulder-press-arm-draw', [side], { way: 'brief-hold', rounds: 1 }),
];

/** Sequences that are taught as one. Order and minutes: common practice. Opened for change where they are taken. */
export const PROTOCOLS: readonly Protocol[] = [
  {
    id: 'chair-sequence',
    name: 'Chair sequence',
    what: 'Leaning first, both arm blocks complete, then upright: never stop after one arm.',
    minutes: [18, 20],
    steps: [
      step('back-press-walk-seated', MIDDLE, { numbers: { setUp: [15] } }),
      ...arm('right'),
      step('both-shoulders-press', MIDDLE),
      ...arm('left'),
      step('back-press-walk-seated', MIDDLE),
      step('skull-base-melt', MIDDLE, { way: 'breath-sink', numbers: { breaths: [3] }, position: 'seated leaning' }),
      step('shoulder-front-back-squeeze', BOTH),
      step('chest-opener-seated', MIDDLE, { way: 'static-hold', rounds: 1 }),
      step('neck-side-bend-seated', BOTH, { way: 'trial-stay' }),
      step('neck-pin-turn-seated', BOTH, { way: 'pin-lengthen', rounds: 1 }),
      step('neck-lift-seated', MIDDLE),
      step('both-shoulders-press', MIDDLE, { position: 'seated upright' }),
      step('percussion', MIDDLE, { way: 'continuous-motion', rounds: 1, numbers: { rock: [30] }, position: 'seated upright' }),
    ],
  },
  {
    id: 'foot-series',
    name: 'Foot series',
    what: 'Warm from the knee down, loosen, circle, sole and top, the gaps, the toes; long strokes tie it together. One foot, then the other.',
    minutes: [20, 24],
    steps: [
      ...BOTH.flatMap((side) => [
        step('lower-leg-warm', [side]),
        step('sole-straight-press', [side], { rounds: 1 }),
        step('opposing-wave', [side]),
        step('ankle-loosening', [side]),
        step('ankle-circles', [side], { rounds: 1, numbers: { rock: [45] } }),
        step('foot-rounds', [side]),
        step('foot-gap-walk', [side]),
        step('toe-rotation', [side], { way: 'each-in-turn', rounds: 1 }),
        step('lower-leg-warm', [side], { rounds: 1 }),
        step('foot-shake', [side]),
      ]),
    ] as unknown as Protocol['steps'],
  },
  {
    id: 'foot-series-short',
    name: 'Foot series, short',
    what: 'Rocking, loosening, circles, rounds, toes: about five minutes a foot.',
    minutes: [9, 11],
    steps: [
      ...BOTH.flatMap((side) => [
        step('opposing-wave', [side]),
        step('ankle-loosening', [side]),
        step('ankle-circles', [side], { rounds: 1, numbers: { rock: [40] } }),
        step('foot-rounds', [side], { numbers: { rock: [60] } }),
        step('toe-rotation', [side], { way: 'each-in-turn', rounds: 1, numbers: { turn: [3] } }),
      ]),
    ] as unknown as Protocol['steps'],
  },
  {
    id: 'thigh-pin-cr',
    name: 'Thigh: holds, pin, contract-relax',
    what: 'The front of the thigh warmed, held upward from above the knee-cap, pinned and lengthened, then contract-relax over the side.',
    minutes: null,
    steps: [
      step('quad-warm-ladder', BOTH, { numbers: { setUp: [20] }, rounds: 2 }),
      step('rectus-femoris-pin', BOTH, { way: 'point-hold' }),
      step('rectus-femoris-pin', BOTH, { way: 'pin-lengthen' }),
      step('rectus-femoris-table-side', BOTH, { way: 'cr-firm' }),
    ],
  },
  {
    id: 'neck-on-the-breath',
    name: 'Neck on the breath',
    what: 'The base of the skull melts, the side opens with the breath, the diagonal, and a still pull at the end.',
    minutes: null,
    steps: [
      step('skull-base-melt', MIDDLE, { numbers: { setUp: [20] } }),
      step('neck-side-bend-supine', BOTH, { way: 'cr-breath' }),
      step('neck-diagonal', BOTH, { way: 'brief-hold' }),
      step('neck-traction-pillow', MIDDLE, { rounds: 2 }),
    ],
  },
  {
    id: 'hip-flexors-contraction',
    name: 'Hip flexors against a contraction',
    what: 'The hip is shaken loose first, because strokes do not warm this muscle; psoas and iliacus together, never one alone; shaken again.',
    minutes: null,
    steps: [
      step('hip-shake-roll', BOTH, { numbers: { setUp: [20] } }),
      step('psoas-sink', BOTH, { way: 'sink-contract' }),
      step('iliacus-side-lying', BOTH, { way: 'sink-contract' }),
      step('hip-shake-roll', BOTH, { numbers: { rock: [30] } }),
    ],
  },
  {
    id: 'before-a-start',
    name: 'Before a start',
    what: 'Rhythm and short active work, nothing long, nothing strong; awake at the end.',
    minutes: null,
    steps: [
      step('low-back-rock', MIDDLE, { numbers: { rock: [40], setUp: [15] } }),
      step('hip-circling', BOTH, { way: 'continuous-motion' }),
      step('gluteus-maximus-reps', BOTH, { way: 'active-assisted', rounds: 1, numbers: { reps: [5] } }),
      step('ankle-circles', BOTH, { rounds: 1, numbers: { rock: [30] } }),
      step('arm-circles-traction', BOTH, { rounds: 1, numbers: { rock: [30] } }),
      step('percussion', MIDDLE, { way: 'continuous-motion', rounds: 1, numbers: { rock: [40] }, position: 'supine' }),
    ],
  },
  {
    id: 'between-races',
    name: 'Between two races',
    what: 'Comfort and flushing only: long light strokes, shaking, nothing at the end of its range, nothing held.',
    minutes: null,
    steps: [
      step('lower-leg-warm', BOTH, { rounds: 1, numbers: { setUp: [15] } }),
      step('quad-warm-ladder', BOTH, { rounds: 1, numbers: { pressure: [2] } }),
      step('hip-shake-roll', BOTH, { numbers: { rock: [30] } }),
      step('shoulder-figure-eight', MIDDLE, { rounds: 1, numbers: { rock: [45] } }),
    ],
  },
  {
    id: 'after-a-race',
    name: 'After a race',
    what: 'Light and flowing, toward the heart; no deep pressure in muscles that are heavily sore; a still end.',
    minutes: null,
    steps: [
      step('lower-leg-warm', BOTH, { rounds: 1, numbers: { setUp: [20] } }),
      step('quad-warm-ladder', BOTH, { rounds: 2, numbers: { pressure: [2] } }),
      step('hip-shake-roll', BOTH, { numbers: { rock: [45] } }),
      step('leg-pull', BOTH, { way: 'mobilize-sustained' }),
      step('arm-circles-traction', BOTH, { rounds: 1 }),
      step('shoulder-figure-eight', MIDDLE, { rounds: 1, numbers: { rock: [60] } }),
      step('still-hold', MIDDLE, { rounds: 1, position: 'supine' }),
    ],
  },
  {
    id: 'whole-body',
    name: 'Whole body, once through',
    what: 'Dry before oil, surface before depth, loose before long: back, hips, thighs, chest, neck, and a still end.',
    minutes: null,
    steps: [
      step('back-dry-prep', BOTH, { numbers: { setUp: [20] } }),
      step('rib-pelvis-spread', BOTH, { position: 'prone' }),
      step('sacral-edge-presses', BOTH, { way: 'line-press', rounds: 2, position: 'prone' }),
      step('calf-point-holds', BOTH, { way: 'point-hold', rounds: 1, position: 'prone' }),
      step('quad-warm-ladder', BOTH, { rounds: 2 }),
      step('hip-circling', BOTH, { way: 'continuous-motion' }),
      step('gluteus-bent-knee-turn', BOTH, { way: 'cr-light' }),
      step('hamstring-heel-on-shoulder', BOTH, { way: 'static-hold' }),
      step('arm-circles-traction', BOTH, { rounds: 1 }),
      step('latissimus-supine', BOTH, { way: 'static-hold' }),
      step('pectoralis-press-stretch', BOTH, { way: 'pin-lengthen', rounds: 2 }),
      step('skull-base-melt', MIDDLE),
      step('neck-side-bend-supine', BOTH, { way: 'cr-breath' }),
      step('neck-traction', MIDDLE, { way: 'mobilize-sustained', rounds: 2 }),
      step('still-hold', MIDDLE, { rounds: 1, position: 'supine' }),
    ],
  },
];

/**
 * The protocol that ships with this id, or undefined.
 * @example findProtocol('chair-sequence').name // → 'Chair sequence'
 */
export function findProtocol(id: string): Protocol | undefined {
  return PROTOCOLS.find((protocol) => protocol.id === id);
}
