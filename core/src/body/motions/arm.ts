import type { Motion } from '../types.ts';
import { angle, both, ROUNDS } from './shared.ts';

/** Motions of the elbow and forearm. Test positions, landmarks and compensations are common practice. */
export const ARM: readonly Motion[] = [
  {
    id: 'elbow-flexion', name: 'Elbow flexion', joint: 'elbow', position: 'supine', testPosition: 'supine, arm at the side',
    unit: 'deg', mode: 'passive', better: 'higher', sides: both, instruments: angle,
    landmarks: 'Lateral epicondyle; acromion; styloid of the radius',
    block: 'Upper arm stays on the table',
    lengthens: ['triceps'], possible: { min: 60, max: 175 }, fan: { min: 90, max: 165 }, rest: 90, roundGain: ROUNDS.small,
    figure: { template: 'supine', moves: 'forearm', zero: 0, turn: 1 },
  },
  {
    id: 'elbow-extension', name: 'Elbow extension', joint: 'elbow', position: 'supine', testPosition: 'supine, arm at the side',
    unit: 'deg', mode: 'passive', better: 'higher', sides: both, instruments: angle,
    landmarks: 'Lateral epicondyle; acromion; styloid of the radius',
    block: 'Never locked back past straight by force',
    lengthens: ['brachialis', 'elbow capsule, front'], possible: { min: -90, max: 25 }, fan: { min: -30, max: 15 }, rest: -30, roundGain: ROUNDS.small,
    figure: { template: 'supine', moves: 'forearm', zero: 0, turn: -1 },
  },
  {
    id: 'elbow-extension-arm-back', name: 'Elbow extension', joint: 'elbow', position: 'supine', testPosition: 'supine at the edge, arm drawn back',
    unit: 'deg', mode: 'passive', better: 'higher', sides: both, instruments: angle,
    landmarks: 'Lateral epicondyle; acromion; styloid of the radius',
    block: 'Shoulder does not roll forward; forearm turned down',
    lengthens: ['biceps brachii'], possible: { min: -90, max: 25 }, fan: { min: -40, max: 15 }, rest: -40, roundGain: ROUNDS.small,
    figure: { template: 'supine', moves: 'forearm', zero: 0, turn: -1, set: { upperArm: 155 } },
  },
  {
    id: 'elbow-flexion-overhead', name: 'Elbow flexion', joint: 'elbow', position: 'supine', testPosition: 'supine, arm overhead',
    unit: 'deg', mode: 'passive', better: 'higher', sides: both, instruments: angle,
    landmarks: 'Lateral epicondyle; acromion; styloid of the radius',
    block: 'Arm stays by the ear; ribs stay down',
    lengthens: ['triceps, long head'], possible: { min: 60, max: 175 }, fan: { min: 90, max: 165 }, rest: 90, roundGain: ROUNDS.small,
    figure: { template: 'supine', moves: 'forearm', zero: 0, turn: -1, set: { upperArm: 350 } },
  },
  {
    id: 'forearm-pronation', name: 'Forearm pronation', joint: 'forearm', position: 'seated upright', testPosition: 'seated, elbow at 90° by the side',
    unit: 'deg', mode: 'passive', better: 'higher', sides: both, instruments: angle,
    landmarks: 'A pencil in the fist against upright',
    block: 'Elbow stays at the side; shoulder does not lift',
    lengthens: ['supinator', 'biceps brachii'], possible: { min: 0, max: 120 }, fan: { min: 20, max: 105 }, rest: 20, roundGain: ROUNDS.small,
    figure: { template: 'fist', moves: 'hand', zero: 90, turn: -1 },
  },
  {
    id: 'forearm-supination', name: 'Forearm supination', joint: 'forearm', position: 'seated upright', testPosition: 'seated, elbow at 90° by the side',
    unit: 'deg', mode: 'passive', better: 'higher', sides: both, instruments: angle,
    landmarks: 'A pencil in the fist against upright',
    block: 'Elbow stays at the side; trunk does not lean',
    lengthens: ['pronator teres', 'pronator quadratus'], possible: { min: 0, max: 125 }, fan: { min: 20, max: 110 }, rest: 20, roundGain: ROUNDS.small,
    figure: { template: 'fist', moves: 'hand', zero: 90, turn: 1 },
  },
];
