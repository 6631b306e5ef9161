import type { Motion } from '../types.ts';
import { angle, both, byInclinometer, ROUNDS, tape } from './shared.ts';

/** Motions of the knee. Test positions, landmarks and compensations are common practice. */
export const KNEE: readonly Motion[] = [
  {
    id: 'knee-flexion', name: 'Knee flexion', joint: 'knee', position: 'supine', testPosition: 'supine, hip bent',
    unit: 'deg', mode: 'passive', better: 'higher', sides: both, instruments: angle,
    landmarks: 'Greater trochanter; lateral femoral epicondyle; lateral malleolus',
    block: 'Hip stays in the plane; heel not pulled across',
    lengthens: ['vasti', 'knee capsule, front'], possible: { min: 0, max: 165 }, fan: { min: 80, max: 160 }, rest: 80, roundGain: [2.5, 1.5, 1, 0.5],
    figure: { template: 'supine', moves: 'shank', zero: 0, turn: -1, set: { thigh: 80 } },
  },
  {
    id: 'knee-extension-hip-90', name: 'Knee extension deficit', joint: 'knee', position: 'supine', testPosition: 'supine, hip at 90°, athlete straightens',
    unit: 'deg', mode: 'active', better: 'lower', sides: both, instruments: byInclinometer,
    landmarks: 'Thigh held at 90°; inclinometer on the shin; degrees missing to straight',
    block: 'Thigh does not drop; ankle relaxed',
    lengthens: ['hamstrings'], possible: { min: -10, max: 100 }, fan: { min: 0, max: 60 }, rest: 60, roundGain: [4, 2.5, 1.5, 0.8],
    figure: { template: 'supine', moves: 'shank', zero: 0, turn: -1, set: { thigh: 90 } },
  },
  {
    id: 'heel-to-buttock', name: 'Heel to buttock', joint: 'knee', position: 'prone', testPosition: 'prone, hip flat, tape',
    unit: 'cm', lever: 'legCm', mode: 'passive', better: 'lower', sides: both, instruments: tape,
    landmarks: 'Back of the heel to the buttock, shortest line',
    block: 'Pelvis flat; hip does not bend; knees together',
    lengthens: ['rectus femoris', 'vasti'], possible: { min: 0, max: 60 }, fan: { min: 0, max: 40 }, rest: 40, roundGain: [2, 1.2, 0.8, 0.4],
    figure: { template: 'prone', moves: 'shank', zero: 150, turn: 1, degPerUnit: -1.8 },
  },
  {
    id: 'knee-flexion-prone', name: 'Knee flexion', joint: 'knee', position: 'prone', testPosition: 'prone, hip flat',
    unit: 'deg', mode: 'passive', better: 'higher', sides: both, instruments: byInclinometer,
    landmarks: 'Inclinometer along the shin',
    block: 'Pelvis flat: it lifts when the thigh pulls',
    lengthens: ['rectus femoris', 'vasti'], possible: { min: 0, max: 165 }, fan: { min: 70, max: 160 }, rest: 70, roundGain: ROUNDS.medium,
    figure: { template: 'prone', moves: 'shank', zero: 0, turn: 1 },
  },
  {
    id: 'knee-flexion-table-end', name: 'Knee flexion', joint: 'knee', position: 'supine', testPosition: 'supine over the table end, thigh level',
    unit: 'deg', mode: 'passive', better: 'higher', sides: both, instruments: byInclinometer,
    landmarks: 'Inclinometer along the shin, from straight',
    block: 'Thigh kept level; other knee held',
    lengthens: ['rectus femoris'], possible: { min: 0, max: 150 }, fan: { min: 50, max: 130 }, rest: 50, roundGain: ROUNDS.medium,
    figure: { template: 'table-end', moves: 'shank', zero: 0, turn: -1 },
  },
  {
    id: 'knee-extension', name: 'Knee extension', joint: 'knee', position: 'supine', testPosition: 'supine, heel propped',
    unit: 'deg', mode: 'passive', better: 'higher', sides: both, instruments: angle,
    landmarks: 'Greater trochanter; lateral femoral epicondyle; lateral malleolus',
    block: 'Never pressed past straight by force; thigh not turned',
    lengthens: ['knee capsule, back', 'gastrocnemius'], possible: { min: -60, max: 20 }, fan: { min: -25, max: 15 }, rest: -25, roundGain: ROUNDS.tiny,
    figure: { template: 'supine', moves: 'shank', zero: 0, turn: 1 },
  },
  {
    id: 'knee-extension-hip-90-passive', name: 'Knee extension deficit', joint: 'knee', position: 'supine', testPosition: 'supine, hip at 90°, therapist straightens',
    unit: 'deg', mode: 'passive', better: 'lower', sides: both, instruments: byInclinometer,
    landmarks: 'Thigh held at 90°; inclinometer on the shin; degrees missing to straight',
    block: 'Thigh does not drop; ankle relaxed',
    lengthens: ['hamstrings'], possible: { min: -10, max: 100 }, fan: { min: 0, max: 60 }, rest: 60, roundGain: ROUNDS.leg,
    figure: { template: 'supine', moves: 'shank', zero: 0, turn: -1, set: { thigh: 90 } },
  },
  {
    id: 'knee-extension-hip-90-ankle-up', name: 'Knee extension deficit', joint: 'knee', position: 'supine', testPosition: 'supine, hip at 90°, ankle held up',
    unit: 'deg', mode: 'active', better: 'lower', sides: both, instruments: byInclinometer,
    landmarks: 'Thigh held at 90°; inclinometer on the shin; degrees missing to straight',
    block: 'Thigh does not drop; stop where the pull or tingling begins',
    lengthens: ['sciatic nerve line', 'hamstrings', 'calf'], possible: { min: -10, max: 100 }, fan: { min: 0, max: 60 }, rest: 60, roundGain: ROUNDS.medium,
    figure: { template: 'supine', moves: 'shank', zero: 0, turn: -1, set: { thigh: 90, foot: 100 } },
  },
];
