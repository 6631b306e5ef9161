import type { Motion } from '../types.ts';
import { angle, both, byInclinometer, ROUNDS, tape } from './shared.ts';

/** Motions of the ankle. Test positions, landmarks and compensations are common practice. */
export const ANKLE: readonly Motion[] = [
  {
    id: 'ankle-dorsiflexion', name: 'Ankle dorsiflexion', joint: 'ankle', position: 'supine', testPosition: 'supine, heel over the edge',
    unit: 'deg', mode: 'passive', better: 'higher', sides: both, instruments: angle,
    landmarks: 'Head of the fibula; lateral malleolus; along the fifth metatarsal',
    block: 'Heel stays in line; the midfoot must not give way',
    lengthens: ['gastrocnemius', 'soleus'], possible: { min: -30, max: 50 }, fan: { min: -5, max: 35 }, rest: -5, roundGain: [2, 1.2, 0.8, 0.4],
    figure: { template: 'supine', moves: 'foot', zero: 90, turn: 1 },
  },
  {
    id: 'ankle-lunge', name: 'Ankle dorsiflexion', joint: 'ankle', position: 'standing', testPosition: 'lunge to wall, shin tilt',
    unit: 'deg', mode: 'active', better: 'higher', sides: both, instruments: byInclinometer,
    landmarks: 'Inclinometer on the front of the shin, a hand below the knee',
    block: 'Heel stays down; knee over the second toe',
    lengthens: ['soleus', 'ankle capsule, back'], possible: { min: 0, max: 70 }, fan: { min: 10, max: 55 }, rest: 10, roundGain: [2, 1.2, 0.8, 0.4],
    figure: { template: 'lunge', moves: 'shank', zero: 90, turn: -1 },
  },
  {
    id: 'ankle-deep-squat', name: 'Ankle dorsiflexion', joint: 'ankle', position: 'standing', testPosition: 'deep squat, heels down, shin tilt',
    unit: 'deg', mode: 'active', better: 'higher', sides: both, instruments: byInclinometer,
    landmarks: 'Inclinometer on the front of the shin, a hand below the knee, at the bottom of the squat',
    block: 'Heels stay down; feet at hip width; knees over the second toes',
    lengthens: ['soleus', 'ankle capsule, back'], possible: { min: 0, max: 70 }, fan: { min: 10, max: 55 }, rest: 10, roundGain: [2, 1.2, 0.8, 0.4],
    figure: { template: 'lunge', moves: 'shank', zero: 90, turn: -1, set: { thigh: 118, trunk: 58 } },
  },
  {
    id: 'knee-to-wall', name: 'Knee to wall', joint: 'ankle', position: 'standing', testPosition: 'lunge, toe to wall, tape',
    unit: 'cm', lever: 'legCm', leverAs: 'tilt', mode: 'active', better: 'higher', sides: both, instruments: tape,
    landmarks: 'Tip of the big toe to the wall while the knee just touches it',
    block: 'Heel stays down; knee over the second toe',
    lengthens: ['soleus', 'ankle capsule, back'], possible: { min: 0, max: 30 }, fan: { min: 0, max: 18 }, rest: 0, roundGain: [0.8, 0.5, 0.3, 0.2],
    figure: { template: 'lunge', moves: 'shank', zero: 72, turn: -1, degPerUnit: 2 },
  },
  {
    id: 'ankle-plantar-flexion', name: 'Ankle plantar flexion', joint: 'ankle', position: 'supine', testPosition: 'supine, knee slightly bent',
    unit: 'deg', mode: 'passive', better: 'higher', sides: both, instruments: angle,
    landmarks: 'Head of the fibula; lateral malleolus; along the fifth metatarsal',
    block: 'No pressing through the toes',
    lengthens: ['tibialis anterior', 'toe extensors'], possible: { min: 0, max: 100 }, fan: { min: 10, max: 80 }, rest: 10, roundGain: [2, 1.2, 0.8, 0.4],
    figure: { template: 'supine', moves: 'foot', zero: 90, turn: -1 },
  },
  {
    id: 'ankle-dorsiflexion-knee-bent', name: 'Ankle dorsiflexion', joint: 'ankle', position: 'prone', testPosition: 'prone, knee at 90°',
    unit: 'deg', mode: 'passive', better: 'higher', sides: both, instruments: angle,
    landmarks: 'Head of the fibula; lateral malleolus; along the fifth metatarsal',
    block: 'Heel stays in line; the midfoot must not give way',
    lengthens: ['soleus', 'ankle capsule, back'], possible: { min: -30, max: 55 }, fan: { min: -5, max: 40 }, rest: -5, roundGain: ROUNDS.small,
    figure: { template: 'prone', moves: 'foot', zero: -90, turn: -1, set: { shank: 90 } },
  },
  {
    id: 'ankle-dorsiflexion-active', name: 'Ankle dorsiflexion', joint: 'ankle', position: 'supine', testPosition: 'supine, pulled up by the athlete',
    unit: 'deg', mode: 'active', better: 'higher', sides: both, instruments: angle,
    landmarks: 'Head of the fibula; lateral malleolus; along the fifth metatarsal',
    block: 'Toes stay loose; heel stays in line',
    lengthens: ['gastrocnemius', 'soleus'], possible: { min: -30, max: 45 }, fan: { min: -5, max: 35 }, rest: -5, roundGain: ROUNDS.small,
    figure: { template: 'supine', moves: 'foot', zero: 90, turn: 1 },
  },
  {
    id: 'ankle-lunge-knee-straight', name: 'Ankle dorsiflexion', joint: 'ankle', position: 'standing', testPosition: 'standing lean, knee straight, shin tilt',
    unit: 'deg', mode: 'active', better: 'higher', sides: both, instruments: byInclinometer,
    landmarks: 'Inclinometer on the front of the shin, a hand below the knee',
    block: 'Heel stays down; knee straight; arch does not drop',
    lengthens: ['gastrocnemius'], possible: { min: 0, max: 65 }, fan: { min: 10, max: 50 }, rest: 10, roundGain: ROUNDS.small,
    figure: { template: 'lunge', moves: 'shank', zero: 90, turn: -1, set: { thigh: 0 } },
  },
];
