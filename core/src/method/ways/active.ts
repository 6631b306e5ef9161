import type { Method } from '../types.ts';
import { FRAME, CLOSING, gain, painCeiling, rehearse, REHEARSE, seconds, SET_UP, slack, taught, times, wayShare } from './parts.ts';

/** The athlete moves, or the hand stays and the muscle moves under it. */

export const AGONIST_CONTRACT: Method = {
  id: 'agonist-contract', name: 'Antagonist drives the stretch', synonyms: ['agonist-contract', 'active isolated stretching', 'AIS', 'reciprocal inhibition stretch', 'active stretch'],
  what: 'The athlete moves further with the opposite muscle, the therapist follows and adds a little for a second or two, then back. Eight to ten times.',
  purpose: 'Before training, and where a passive hold makes the muscle brace.', breathWords: 'move on the breath out', axis: 'motion', share: 0.7, suits: ['guarding', 'start', 'weakness'],
  claims: [{ text: 'Dynamic work before a start costs nothing and may add about 1 %.', source: 'Behm DG et al. Appl Physiol Nutr Metab 2016;41:1–11. Recalled from memory.', sure: 'shown' }, taught('The working muscle lets its opposite go.')],
  schoolsDiffer: 'One to two seconds at the end, never more; or up to five.',
  rounds: { default: 1, min: 1, max: 6 },
  numbers: [times('reps', 'Repetitions', 8, 2, 20), seconds('go', 'Move', [2], { min: 1, max: 8 }), seconds('add', 'Add a little', [2], { min: 1, max: 5 }), gain, painCeiling(3), seconds('back', 'Back', [2], { min: 1, max: 8, place: 'more' }), rehearse, ...FRAME],
  choices: [], lists: [],
  opening: [SET_UP, REHEARSE],
  round: [{ each: { times: 'reps' }, phases: [
    { kind: 'active', duration: { seconds: 'go' }, angle: { to: 'edge' }, breath: 'out', works: 'athlete', text: 'Move into it', detail: 'repetition {turn} of {turns}, on the breath out' },
    { kind: 'advance', when: [{ turn: 'not-last' }], duration: { seconds: 'add' }, angle: { to: 'stay' }, breath: 'out', works: 'therapist', text: 'Follow, add a little', detail: 'a breath’s worth, no more' },
    { kind: 'advance', when: [{ turn: 'last' }], duration: { seconds: 'add' }, angle: { to: 'new-edge', by: 'gain' }, breath: 'out', works: 'therapist', text: 'Follow, add a little', detail: 'where it has moved to' },
    { kind: 'return', duration: { seconds: 'back' }, angle: { to: 'rest' }, breath: 'in', works: 'therapist', text: 'Back', detail: 'carried, breathing in' },
  ] }],
  closing: [CLOSING[1]!], painCeiling: 'painCeiling', easeBack: 'easeBack',
};

export const ACTIVE_ASSISTED: Method = {
  id: 'active-assisted', name: 'Short active repetitions', synonyms: ['active-assisted', 'active-assisted stretching', 'assisted repetitions'],
  what: 'The athlete moves, the therapist helps the last bit for about two seconds, back to the start. Several angles for a fan-shaped muscle.',
  purpose: 'Fan-shaped muscles such as the gluteals; warm bodies before work.', breathWords: 'move on the breath out', axis: 'motion', share: 0.65, suits: ['start', 'weakness'],
  claims: [taught('A fan needs several angles: each line of fibres its own.')],
  schoolsDiffer: 'Eight or ten repetitions; one angle or several.',
  rounds: { default: 1, min: 1, max: 4 },
  numbers: [times('reps', 'Repetitions', 8, 2, 20), seconds('go', 'Move', [2], { min: 1, max: 8 }), seconds('assist', 'Help the last bit', [2], { min: 1, max: 5 }), gain, painCeiling(3), seconds('back', 'Back to the start', [2], { min: 1, max: 8, place: 'more' }), { ...wayShare('share', 'Moves alone to', 85), help: 'Percent of the way to the edge.' }, rehearse, ...FRAME],
  choices: [], lists: [{ id: 'angles', label: 'Angles', default: ['straight'], min: 1, max: 6 }],
  opening: [SET_UP, REHEARSE],
  round: [{ each: { list: 'angles' }, phases: [{ each: { times: 'reps' }, phases: [
    { kind: 'active', duration: { seconds: 'go' }, angle: { to: 'part-way', share: 'share' }, breath: 'out', works: 'athlete', text: 'Move: {place}', detail: 'repetition {turn} of {turns}' },
    { kind: 'advance', when: [{ turn: 'not-last' }], duration: { seconds: 'assist' }, angle: { to: 'edge' }, breath: 'out', works: 'therapist', text: 'Help the last bit', detail: 'they keep moving' },
    { kind: 'advance', when: [{ turn: 'last' }], duration: { seconds: 'assist' }, angle: { to: 'new-edge', by: 'gain' }, breath: 'out', works: 'therapist', text: 'Help the last bit', detail: 'where it has moved to' },
    { kind: 'return', duration: { seconds: 'back' }, angle: { to: 'rest' }, breath: 'in', works: 'therapist', text: 'Back to the start', detail: 'carried, breathing in' },
  ] }] }],
  closing: [CLOSING[1]!], painCeiling: 'painCeiling', easeBack: 'easeBack',
};

export const PIN_LENGTHEN: Method = {
  id: 'pin-lengthen', name: 'Pin and lengthen', synonyms: ['pin-lengthen', 'pin and stretch', 'soft tissue release', 'active release', 'pin and move'],
  what: 'The muscle is pinned while it is short and carried long under the pin; station by station toward the far attachment.',
  purpose: 'Places in a muscle that do not slide; forearm, calf, thigh.', breathWords: 'breathing free', axis: 'motion', share: 0.8, suits: [],
  claims: [taught('Moving under the hand frees what a plain stretch passes by.')],
  schoolsDiffer: 'The hand moves or stays; the therapist carries the limb or the athlete moves it.',
  rounds: { default: 2, min: 1, max: 6 },
  numbers: [seconds('pin', 'Pin', [2], { min: 1, max: 8 }), seconds('lengthen', 'Lengthen', [4], { min: 2, max: 12 }), seconds('release', 'Release', [2], { min: 1, max: 8 }), gain, painCeiling(4), slack, rehearse, ...FRAME],
  choices: [{ id: 'who', label: 'Who moves', options: [{ id: 'therapist', label: 'you' }, { id: 'athlete', label: 'the athlete' }], default: 'therapist' }],
  lists: [{ id: 'stations', label: 'Stations', default: ['near attachment', 'upper belly', 'middle', 'lower belly', 'far attachment'], min: 2, max: 8 }],
  opening: [SET_UP],
  round: [{ each: { list: 'stations' }, phases: [
    { kind: 'pin', duration: { seconds: 'pin' }, angle: { to: 'slack', by: 'slack' }, breath: 'free', works: 'therapist', text: 'Pin: {place}', detail: 'station {turn} of {turns}; muscle short, pressure along it' },
    { kind: 'lengthen', when: [{ choice: 'who', is: 'therapist' }, { turn: 'not-last' }], duration: { seconds: 'lengthen' }, angle: { to: 'edge' }, breath: 'out', works: 'therapist', text: 'Carry it long', detail: 'the pin stays' },
    { kind: 'active', when: [{ choice: 'who', is: 'athlete' }, { turn: 'not-last' }], duration: { seconds: 'lengthen' }, angle: { to: 'edge' }, breath: 'out', works: 'athlete', text: 'They move it long', detail: 'the pin stays' },
    { kind: 'lengthen', when: [{ choice: 'who', is: 'therapist' }, { turn: 'last' }], duration: { seconds: 'lengthen' }, angle: { to: 'new-edge', by: 'gain' }, breath: 'out', works: 'therapist', text: 'Carry it long', detail: 'where the edge has moved to' },
    { kind: 'active', when: [{ choice: 'who', is: 'athlete' }, { turn: 'last' }], duration: { seconds: 'lengthen' }, angle: { to: 'new-edge', by: 'gain' }, breath: 'out', works: 'athlete', text: 'They move it long', detail: 'where the edge has moved to' },
    { kind: 'ease', duration: { seconds: 'release' }, angle: { to: 'rest' }, breath: 'in', works: 'therapist', text: 'Release', detail: 'let go first, then back' },
  ] }],
  closing: CLOSING, painCeiling: 'painCeiling', easeBack: 'easeBack',
};

export const GLIDE_CIRCUMDUCT: Method = {
  id: 'glide-circumduct', name: 'Active glide with circling', synonyms: ['glide-circumduct', 'stroke and circle', 'gliding with movement'],
  what: 'A stroke along the muscle while the limb bends; then the limb circles under a lighter hand.',
  purpose: 'Thigh and other long muscles, warm-up of a stiff limb.', breathWords: 'breathing free', axis: 'motion', share: 0.25, suits: ['start'],
  claims: [taught('Ease the pressure before circling.')],
  schoolsDiffer: 'A partial bend for the deep layer, a full bend for the top one.',
  rounds: { default: 2, min: 1, max: 6 },
  numbers: [times('strokes', 'Strokes', 4, 1, 12), seconds('stroke', 'Stroke', [5], { min: 2, max: 15 }), seconds('circle', 'Circle', [20], { min: 5, max: 90, step: 5 }), { id: 'rate', label: 'Circles', unit: 'per-min', default: [24], min: 10, max: 60, step: 2, perRound: false, place: 'main' }, painCeiling(4), wayShare('share', 'Bends to', 80), seconds('back', 'Back', [3], { min: 1, max: 10, place: 'more' }), ...FRAME],
  choices: [], lists: [],
  opening: [SET_UP],
  round: [
    { each: { times: 'strokes' }, phases: [
      { kind: 'stroke', duration: { seconds: 'stroke' }, angle: { to: 'part-way', share: 'share' }, breath: 'out', works: 'therapist', text: 'Stroke as it bends', detail: 'stroke {turn} of {turns}, toward the heart' },
      { kind: 'return', duration: { seconds: 'back' }, angle: { to: 'rest' }, breath: 'in', works: 'therapist', text: 'Back', detail: 'hand light' },
    ] },
    { kind: 'circle', duration: { seconds: 'circle' }, angle: { to: 'stay' }, breath: 'free', works: 'therapist', rate: 'rate', text: 'Circle, lighter', detail: '{rate} a minute, pressure eased first' },
  ],
  closing: CLOSING, painCeiling: 'painCeiling', easeBack: 'easeBack',
};

