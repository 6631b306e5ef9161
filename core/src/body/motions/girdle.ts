import type { Motion } from '../types.ts';
import { both, byInclinometer, ROUNDS, tape } from './shared.ts';

/** Motions of the shoulder girdle. Test positions, landmarks and compensations are common practice. */
export const GIRDLE: readonly Motion[] = [
  {
    id: 'acromion-to-table', name: 'Shoulder to table', joint: 'shoulder girdle', position: 'supine', testPosition: 'supine, arms at the side, tape',
    unit: 'cm', mode: 'passive', better: 'lower', sides: both, instruments: tape,
    landmarks: 'Back corner of the acromion to the table',
    block: 'Elbow bent and loose; no lifting of the trunk',
    lengthens: ['pectoralis minor', 'pectoralis major'], possible: { min: 0, max: 20 }, fan: { min: 0, max: 12 }, rest: 12, roundGain: ROUNDS.tiny,
    figure: { template: 'supine', moves: 'upperArm', zero: 180, turn: 1, set: { forearm: 90 }, degPerUnit: 2 },
  },
  {
    id: 'scapula-upward-rotation', name: 'Shoulder-blade upward rotation', joint: 'shoulder girdle', position: 'standing', testPosition: 'standing, arm out to 90°',
    unit: 'deg', mode: 'active', better: 'higher', sides: both, instruments: byInclinometer,
    landmarks: 'Inclinometer along the spine of the shoulder blade',
    block: 'No leaning of the trunk; shoulder does not hitch first',
    lengthens: ['rhomboids', 'levator scapulae'], possible: { min: -20, max: 80 }, fan: { min: 0, max: 60 }, rest: 0, roundGain: ROUNDS.small,
    figure: { template: 'standing-behind', moves: 'girdle', zero: 90, turn: -1, set: { upperArm: 180 } },
  },
  {
    id: 'hands-behind-back-gap', name: 'Hands behind the back', joint: 'shoulder girdle', position: 'standing', testPosition: 'one hand over, one under, tape; side of the upper hand',
    unit: 'cm', mode: 'active', better: 'lower', sides: both, instruments: tape,
    landmarks: 'Middle fingertip to middle fingertip; overlapping counts minus',
    block: 'No arching of the low back',
    lengthens: ['triceps', 'latissimus dorsi', 'infraspinatus'], possible: { min: -15, max: 60 }, fan: { min: -10, max: 35 }, rest: 35, roundGain: ROUNDS.small,
    figure: { template: 'standing', moves: 'upperArm', zero: 30, turn: -1, set: { forearm: 130 }, degPerUnit: 1.2 },
  },
  {
    id: 'fist-to-wall', name: 'Fists to wall', joint: 'shoulder girdle', position: 'standing', testPosition: 'back to the wall, arms overhead, tape',
    unit: 'cm', lever: 'armCm', mode: 'active', better: 'lower', sides: both, instruments: tape,
    landmarks: 'Knuckles to the wall, thumbs back',
    block: 'Low back and ribs stay on the wall; elbows straight',
    lengthens: ['latissimus dorsi', 'pectoralis minor'], possible: { min: 0, max: 60 }, fan: { min: 0, max: 30 }, rest: 30, roundGain: ROUNDS.small,
    figure: { template: 'standing', moves: 'upperArm', zero: 0, turn: -1, degPerUnit: 1.6 },
  },
];
