import type { Method } from '../types.ts';
import { bringHome, CLOSING, easeBack, FRAME, grade, moveIn, painCeiling, restBreaths, seconds, SET_UP, setUp, short, taught, times, wayShare } from './parts.ts';

/** Joint play. Outside a massage licence in some places: the practice sets its scope. Thrust is never offered. */

export const MOBILIZE_OSCILLATE: Method = {
  id: 'mobilize-oscillate',
  name: 'Oscillating mobilization',
  synonyms: ['joint mobilization', 'oscillation', 'graded mobilization', 'mobilize-oscillate'],
  what: 'The joint is moved in small steady oscillations, a few times a second, in bouts with a rest between. Grade I and II stay inside the range, III and IV reach its limit. Outside a massage licence in some places: the practice sets its scope.',
  purpose: 'Capsule-limited motions, within the licence; grade I–II for pain and guarding.',
  breathWords: 'breathing free',
  axis: 'motion',
  share: 0.6, suits: ['capsule'],
  claims: [{ text: 'Grades I–IV: I small at the start of the range, II large within it, III large up to the limit, IV small at the limit.', source: 'after Maitland; recalled from memory', sure: 'taught' }],
  schoolsDiffer: 'Bouts of 30 to 60 s, one to three oscillations a second.',
  rounds: { default: 3, min: 1, max: 8 },
  numbers: [
    { id: 'bout', label: 'Bout', unit: 's', default: [45], min: 10, max: 120, step: 5, perRound: true, place: 'main' },
    grade(2),
    { id: 'rate', label: 'Oscillations', unit: 'per-s', default: [2], min: 1, max: 3, step: 0.5, perRound: false, place: 'main' },
    painCeiling(3),
    short,
    setUp,
    moveIn,
    { id: 'between', label: 'Rest between bouts', unit: 's', default: [15], min: 0, max: 60, step: 5, perRound: false, place: 'more' },
    bringHome,
    restBreaths,
    easeBack,
  ],
  choices: [],
  lists: [],
  opening: [
    SET_UP,
    { kind: 'move', duration: { seconds: 'moveIn' }, angle: { to: 'short-of-edge', by: 'short' }, breath: 'out', works: 'therapist', text: 'Slowly to where it is easy', detail: 'short of the edge, limb carried' },
  ],
  round: [
    { kind: 'oscillate', duration: { seconds: 'bout' }, angle: { to: 'stay' }, breath: 'free', works: 'therapist', rate: 'rate', text: 'Oscillate, grade {grade}', detail: '{pressLine}; {rate} a second, even' },
    { kind: 'rest', when: [{ round: 'not-last' }], duration: { seconds: 'between' }, angle: { to: 'stay' }, breath: 'free', works: 'nobody', text: 'Let it rest', detail: 'hands stay, no pressure' },
  ],
  closing: CLOSING,
  painCeiling: 'painCeiling',
  easeBack: 'easeBack',
};

const SCOPE = 'Whether it may be done at all: the practice sets its scope.';

export const MOBILIZE_SUSTAINED: Method = {
  id: 'mobilize-sustained', name: 'Held mobilization', synonyms: ['mobilize-sustained', 'sustained traction', 'sustained glide', 'joint traction'],
  what: 'Traction or a glide, taken up slowly, held ten to thirty seconds, let go slowly; three to six times.',
  purpose: 'Capsule-limited motions, within the licence.', breathWords: 'breathing free', axis: 'motion', share: 0.6, suits: ['capsule'],
  claims: [{ text: 'Held and oscillating mobilization gained alike where they were compared.', source: 'common practice', sure: 'mixed' }],
  schoolsDiffer: `Traction before glides, or glides alone. ${SCOPE}`,
  rounds: { default: 4, min: 1, max: 8 },
  numbers: [seconds('held', 'Hold', [15], { min: 5, max: 60, perRound: true }), grade(2), painCeiling(3), seconds('takeUp', 'Take up', [3], { min: 1, max: 10, place: 'more' }), seconds('letUp', 'Let go', [3], { min: 1, max: 10, place: 'more' }), seconds('between', 'Rest between', [5], { min: 0, max: 60, place: 'more' }), short, ...FRAME],
  choices: [{ id: 'how', label: 'How', options: [{ id: 'traction', label: 'traction' }, { id: 'glide', label: 'glide' }], default: 'traction' }], lists: [{ id: 'directions', label: 'Direction', default: ['away from the joint'], min: 1, max: 6 }],
  opening: [SET_UP, { kind: 'move', duration: { seconds: 'moveIn' }, angle: { to: 'short-of-edge', by: 'short' }, breath: 'out', works: 'therapist', text: 'Slowly to where it is easy', detail: 'short of the edge, limb carried' }],
  round: [
    { each: { list: 'directions' }, phases: [
      { kind: 'traction', when: [{ choice: 'how', is: 'traction' }], duration: { seconds: 'takeUp' }, angle: { to: 'stay' }, breath: 'out', works: 'therapist', text: 'Take up the slack', detail: '{place}; grade {grade}' },
      { kind: 'glide', when: [{ choice: 'how', is: 'glide' }], duration: { seconds: 'takeUp' }, angle: { to: 'stay' }, breath: 'out', works: 'therapist', text: 'Take up the slack', detail: '{place}; grade {grade}' },
      { kind: 'traction', when: [{ choice: 'how', is: 'traction' }], duration: { seconds: 'held' }, angle: { to: 'stay' }, breath: 'free', works: 'therapist', bout: true, text: 'Hold: {place}', detail: 'lean back, do not pull' },
      { kind: 'glide', when: [{ choice: 'how', is: 'glide' }], duration: { seconds: 'held' }, angle: { to: 'stay' }, breath: 'free', works: 'therapist', bout: true, text: 'Hold: {place}', detail: 'along the joint, do not press through it' },
      { kind: 'ease', duration: { seconds: 'letUp' }, angle: { to: 'stay' }, breath: 'free', works: 'therapist', text: 'Let go slowly', detail: 'hands stay' },
    ] },
    { kind: 'rest', when: [{ round: 'not-last' }], duration: { seconds: 'between' }, angle: { to: 'stay' }, breath: 'free', works: 'nobody', text: 'Let it rest', detail: 'hands stay, no pull' },
  ],
  closing: CLOSING, painCeiling: 'painCeiling', easeBack: 'easeBack',
};

export const MOBILIZE_MOVEMENT: Method = {
  id: 'mobilize-movement', name: 'Traction with movement', synonyms: ['mobilize-movement', 'mobilization with movement', 'traction and bend'],
  what: 'Traction is held while the joint is carried through its range six to ten times; it comes back in neutral.',
  purpose: 'Joints that move better when they are unloaded: ankle, hip, shoulder.', breathWords: 'breathing free', axis: 'motion', share: 0.6, suits: ['capsule'],
  claims: [taught('Always from neutral and back to it before the traction goes.')],
  schoolsDiffer: SCOPE,
  rounds: { default: 2, min: 1, max: 5 },
  numbers: [times('reps', 'Times through the range', 8, 3, 15), seconds('travel', 'Each way', [2], { min: 1, max: 6 }), grade(2), painCeiling(2), wayShare('share', 'Carried to', 80), seconds('takeUp', 'Take up traction', [3], { min: 1, max: 10, place: 'more' }), seconds('letUp', 'Let go', [3], { min: 1, max: 10, place: 'more' }), seconds('between', 'Rest between', [8], { min: 0, max: 60, place: 'more' }), ...FRAME],
  choices: [], lists: [],
  opening: [SET_UP],
  round: [
    { kind: 'traction', duration: { seconds: 'takeUp' }, angle: { to: 'rest' }, breath: 'out', works: 'therapist', text: 'Traction, in neutral', detail: '{pressLine}; grade {grade}' },
    { each: { times: 'reps' }, phases: [
      { kind: 'lengthen', duration: { seconds: 'travel' }, angle: { to: 'part-way', share: 'share' }, breath: 'free', works: 'therapist', text: 'Carry it through', detail: '{turn} of {turns}, traction stays' },
      { kind: 'return', duration: { seconds: 'travel' }, angle: { to: 'rest' }, breath: 'free', works: 'therapist', text: 'And back', detail: 'to neutral' },
    ] },
    { kind: 'ease', duration: { seconds: 'letUp' }, angle: { to: 'rest' }, breath: 'free', works: 'therapist', text: 'Let go in neutral', detail: 'slowly' },
    { kind: 'rest', when: [{ round: 'not-last' }], duration: { seconds: 'between' }, angle: { to: 'stay' }, breath: 'free', works: 'nobody', text: 'Let it rest', detail: 'hands stay' },
  ],
  closing: CLOSING, painCeiling: 'painCeiling', easeBack: 'easeBack',
};

export const CONTINUOUS_MOTION: Method = {
  id: 'continuous-motion', name: 'Rocking, waves, figure-eights', synonyms: ['continuous-motion', 'rocking', 'rhythmic mobilization', 'shaking', 'waves'],
  what: 'A steady tempo, well inside the range, until it lets go.',
  purpose: 'In place of a stretch that is too strong; before a start; to begin and to end.', breathWords: 'breathing free', axis: 'motion', share: 0.25, suits: ['guarding', 'start'],
  claims: [taught('Steady rhythm calms; nothing is forced.')],
  schoolsDiffer: 'In place of a stretch, or before it.',
  rounds: { default: 1, min: 1, max: 4 },
  numbers: [seconds('rock', 'Keep going', [90], { min: 20, max: 240, step: 5, perRound: true }), { id: 'rate', label: 'Tempo', unit: 'per-min', default: [40], min: 20, max: 80, step: 2, perRound: false, place: 'main' }, painCeiling(2), wayShare('share', 'Swings to', 40), setUp, { ...moveIn, label: 'Find the rhythm' }, bringHome, restBreaths, easeBack],
  choices: [{ id: 'form', label: 'Form', options: [{ id: 'rock', label: 'rocking' }, { id: 'wave', label: 'waves' }, { id: 'eight', label: 'figure-eights' }, { id: 'circle', label: 'circles' }], default: 'rock' }], lists: [],
  opening: [SET_UP, { kind: 'move', duration: { seconds: 'moveIn' }, angle: { to: 'part-way', share: 'share' }, breath: 'free', works: 'therapist', text: 'Find the rhythm', detail: 'well inside the range' }],
  round: [
    { kind: 'rock', when: [{ choice: 'form', is: 'rock' }], duration: { seconds: 'rock' }, angle: { to: 'stay' }, breath: 'free', works: 'therapist', rate: 'rate', text: 'Rock', detail: '{rate} a minute, even' },
    { kind: 'rock', when: [{ choice: 'form', is: 'wave' }], duration: { seconds: 'rock' }, angle: { to: 'stay' }, breath: 'free', works: 'therapist', rate: 'rate', text: 'Waves', detail: '{rate} a minute, through the whole limb' },
    { kind: 'rock', when: [{ choice: 'form', is: 'eight' }], duration: { seconds: 'rock' }, angle: { to: 'stay' }, breath: 'free', works: 'therapist', rate: 'rate', text: 'Figure-eights', detail: '{rate} a minute, small' },
    { kind: 'circle', when: [{ choice: 'form', is: 'circle' }], duration: { seconds: 'rock' }, angle: { to: 'stay' }, breath: 'free', works: 'therapist', rate: 'rate', text: 'Circles', detail: '{rate} a minute; half one way, half the other' },
  ],
  closing: CLOSING, painCeiling: 'painCeiling', easeBack: 'easeBack',
};
