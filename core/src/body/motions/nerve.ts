import type { Motion } from '../types.ts';
import { ROUNDS, aboutUpright, both, byInclinometer } from './shared.ts';

/**
 * Nerves drawn long, each twice: with and without the one part that only the nerve feels (chin, wrist). The difference between
 * the two is what tells nerve from muscle. Test positions are common practice; a reading ends at the first pull or tingle that is felt
 * away from the joint, never beyond it.
 */
export const NERVE: readonly Motion[] = [
  {
    id: 'slump', name: 'Slump, knee extension deficit', joint: 'knee', position: 'seated upright', testPosition: 'seated, back rounded, ankle up, chin down',
    unit: 'deg', mode: 'active', better: 'lower', sides: both, instruments: byInclinometer,
    landmarks: 'Inclinometer on the shin; degrees missing to a level, straight knee',
    block: 'Thigh stays on the seat, back stays rounded; stop where the pull or tingling begins',
    lengthens: ['sciatic nerve line', 'hamstrings'], possible: { min: -10, max: 100 }, fan: { min: 0, max: 60 }, rest: 70, roundGain: ROUNDS.medium,
    figure: { template: 'sitting', moves: 'shank', zero: 0, turn: -1, set: { trunk: 62, head: -50, foot: 100 } },
  },
  {
    id: 'slump-head-up', name: 'Slump, knee extension deficit', joint: 'knee', position: 'seated upright', testPosition: 'seated, back rounded, ankle up, head lifted',
    unit: 'deg', mode: 'active', better: 'lower', sides: both, instruments: byInclinometer,
    landmarks: 'As with the chin down, only the head is lifted; degrees missing to a level, straight knee',
    block: 'Nothing but the head changes: back stays rounded, ankle stays up',
    lengthens: ['hamstrings', 'sciatic nerve line'], possible: { min: -10, max: 100 }, fan: { min: 0, max: 60 }, rest: 70, roundGain: ROUNDS.medium,
    figure: { template: 'sitting', moves: 'shank', zero: 0, turn: -1, set: { trunk: 62, head: 30, foot: 100 } },
  },
  {
    id: 'femoral-slump', name: 'Femoral slump, hip extension', joint: 'hip', position: 'side-lying left', testPosition: 'side-lying, curled up, knee bent, chin down',
    unit: 'deg', mode: 'passive', better: 'higher', sides: both, instruments: aboutUpright,
    landmarks: 'Thigh against the trunk, axis at the greater trochanter; from in line, minus in front of it',
    block: 'Under knee stays hugged, pelvis does not roll; stop where the pull or tingling begins',
    lengthens: ['femoral nerve line', 'rectus femoris'], possible: { min: -40, max: 50 }, fan: { min: -20, max: 35 }, rest: -30, roundGain: ROUNDS.medium,
    figure: { template: 'side-lying-above', moves: 'thigh', zero: 0, turn: -1, set: { shank: -95, head: 35 } },
  },
  {
    id: 'femoral-slump-head-up', name: 'Femoral slump, hip extension', joint: 'hip', position: 'side-lying left', testPosition: 'side-lying, curled up, knee bent, head lifted',
    unit: 'deg', mode: 'passive', better: 'higher', sides: both, instruments: aboutUpright,
    landmarks: 'As with the chin down, only the head is lifted; from in line, minus in front of it',
    block: 'Nothing but the head changes: knee bent as far, under knee hugged as close',
    lengthens: ['rectus femoris', 'femoral nerve line'], possible: { min: -40, max: 50 }, fan: { min: -20, max: 35 }, rest: -30, roundGain: ROUNDS.medium,
    figure: { template: 'side-lying-above', moves: 'thigh', zero: 0, turn: -1, set: { shank: -95, head: -15 } },
  },
  {
    id: 'arm-nerve-line', name: 'Arm line, elbow extension deficit', joint: 'elbow', position: 'supine', testPosition: 'supine, arm out and turned out, wrist drawn back',
    unit: 'deg', mode: 'passive', better: 'lower', sides: both, instruments: aboutUpright,
    landmarks: 'Acromion, lateral epicondyle, styloid; degrees missing to straight, shoulder held down',
    block: 'Shoulder does not lift, head stays in the middle; stop where the pull or tingling begins',
    lengthens: ['median nerve line', 'biceps brachii'], possible: { min: -15, max: 120 }, fan: { min: 0, max: 80 }, rest: 90, roundGain: ROUNDS.medium,
    figure: { template: 'lying-from-above', moves: 'forearm', zero: 0, turn: -1, set: { upperArm: 180, hand: -30 } },
  },
  {
    id: 'arm-nerve-line-wrist-loose', name: 'Arm line, elbow extension deficit', joint: 'elbow', position: 'supine', testPosition: 'supine, arm out and turned out, wrist loose',
    unit: 'deg', mode: 'passive', better: 'lower', sides: both, instruments: aboutUpright,
    landmarks: 'As with the wrist drawn back, only the wrist is let go; degrees missing to straight',
    block: 'Nothing but the wrist changes: shoulder held down as firmly, arm out as far',
    lengthens: ['biceps brachii', 'median nerve line'], possible: { min: -15, max: 120 }, fan: { min: 0, max: 80 }, rest: 90, roundGain: ROUNDS.medium,
    figure: { template: 'lying-from-above', moves: 'forearm', zero: 0, turn: -1, set: { upperArm: 180, hand: 20 } },
  },
];
