import type { Motion } from '../types.ts';
import { ROUNDS, aboutUpright, both, byInclinometer, midline, tape } from './shared.ts';

/** Motions of the neck. Test positions, landmarks and compensations are common practice. */
export const NECK: readonly Motion[] = [
  {
    id: 'neck-rotation', name: 'Neck rotation', joint: 'neck', goes: 'head turns', position: 'seated upright', testPosition: 'seated, shoulders held',
    unit: 'deg', mode: 'active', better: 'higher', sides: both, instruments: aboutUpright,
    landmarks: 'Tip of the nose against the line of the shoulders, from above',
    block: 'Shoulders do not follow; chin stays level',
    lengthens: ['sternocleidomastoid', 'deep neck rotators'], possible: { min: 0, max: 120 }, fan: { min: 20, max: 100 }, rest: 20, roundGain: [3, 2, 1.2, 0.6],
    figure: { template: 'head-from-above', moves: 'nose', zero: 90, turn: 1 },
  },
  {
    id: 'neck-side-bend', name: 'Neck side-bend', joint: 'neck', goes: 'head bends', position: 'seated upright', testPosition: 'seated, nose forward',
    unit: 'deg', mode: 'active', better: 'higher', sides: both, instruments: byInclinometer,
    landmarks: 'Seventh cervical spinous process to the back of the head',
    block: 'Shoulder does not rise; face does not turn',
    lengthens: ['upper trapezius', 'scalenes', 'levator scapulae'], possible: { min: 0, max: 80 }, fan: { min: 0, max: 65 }, rest: 0, roundGain: [2.5, 1.5, 1, 0.5],
    figure: { template: 'sitting-behind', moves: 'head', zero: 0, turn: 1 },
  },
  {
    id: 'neck-flexion', name: 'Neck flexion', joint: 'neck', position: 'seated upright', testPosition: 'seated, chin to chest',
    unit: 'deg', mode: 'active', better: 'higher', sides: midline, instruments: byInclinometer,
    landmarks: 'Top of the ear against the seventh cervical spinous process',
    block: 'Chest does not sink; mouth stays closed',
    lengthens: ['neck extensors', 'upper trapezius'], possible: { min: -5, max: 95 }, fan: { min: 0, max: 75 }, rest: 0, roundGain: ROUNDS.medium,
    figure: { template: 'sitting', moves: 'head', zero: 0, turn: -1 },
  },
  {
    id: 'neck-extension', name: 'Neck extension', joint: 'neck', position: 'seated upright', testPosition: 'seated, face to the ceiling',
    unit: 'deg', mode: 'active', better: 'higher', sides: midline, instruments: byInclinometer,
    landmarks: 'Top of the ear against the seventh cervical spinous process',
    block: 'Chest does not lift; stop at the first dizziness',
    lengthens: ['deep neck flexors', 'scalenes'], possible: { min: -5, max: 105 }, fan: { min: 0, max: 80 }, rest: 0, roundGain: ROUNDS.medium,
    figure: { template: 'sitting', moves: 'head', zero: 0, turn: 1 },
  },
  {
    id: 'neck-rotation-supine', name: 'Neck rotation', joint: 'neck', goes: 'head turns', position: 'supine', testPosition: 'supine, head held',
    unit: 'deg', mode: 'passive', better: 'higher', sides: both, instruments: byInclinometer,
    landmarks: 'Tip of the nose against upright, inclinometer on the forehead',
    block: 'Head stays level; no side-bend creeps in',
    lengthens: ['sternocleidomastoid', 'splenius'], possible: { min: 0, max: 125 }, fan: { min: 20, max: 100 }, rest: 20, roundGain: ROUNDS.large,
    figure: { template: 'head-from-above', moves: 'nose', zero: 90, turn: 1 },
  },
  {
    id: 'neck-side-bend-supine', name: 'Neck side-bend', joint: 'neck', goes: 'head bends', position: 'supine', testPosition: 'supine, shoulder held',
    unit: 'deg', mode: 'passive', better: 'higher', sides: both, instruments: aboutUpright,
    landmarks: 'Middle of the breastbone to the tip of the nose',
    block: 'Shoulder held down; nose stays to the ceiling',
    lengthens: ['upper trapezius', 'scalenes'], possible: { min: 0, max: 85 }, fan: { min: 0, max: 65 }, rest: 0, roundGain: ROUNDS.medium,
    figure: { template: 'lying-from-above', moves: 'head', zero: 0, turn: -1 },
  },
  {
    id: 'neck-rotation-bent', name: 'Upper neck rotation', joint: 'neck', goes: 'head turns', position: 'supine', testPosition: 'supine, chin to chest first',
    unit: 'deg', mode: 'passive', better: 'higher', sides: both, instruments: byInclinometer,
    landmarks: 'Tip of the nose against upright, the neck fully bent',
    block: 'Bend is kept; stop at the first dizziness',
    lengthens: ['suboccipital muscles', 'upper neck joints'], possible: { min: 0, max: 75 }, fan: { min: 10, max: 60 }, rest: 10, roundGain: ROUNDS.medium,
    figure: { template: 'head-from-above', moves: 'nose', zero: 90, turn: 1 },
  },
  {
    id: 'chin-to-chest', name: 'Chin to chest', joint: 'neck', position: 'seated upright', testPosition: 'seated, tape from chin to breastbone',
    unit: 'cm', mode: 'active', better: 'lower', sides: midline, instruments: tape,
    landmarks: 'Point of the chin to the notch of the breastbone',
    block: 'Mouth closed; back stays upright',
    lengthens: ['neck extensors', 'upper trapezius'], possible: { min: 0, max: 20 }, fan: { min: 0, max: 12 }, rest: 12, roundGain: ROUNDS.tiny,
    figure: { template: 'sitting', moves: 'head', zero: -50, turn: 1, degPerUnit: 4 },
  },
];
