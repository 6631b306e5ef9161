import type { Method } from '../types.ts';
import { CLOSING, easePressure, painCeiling, pressure, restBreaths, seconds, setUp, SET_UP, taught, times } from './parts.ts';

/** The hand presses and the limb lies still: the line counts how deep, as the athlete feels it. */

const letUp = seconds('bringHome', 'Let up', [4], { min: 1, max: 20, place: 'more' });
const PRESS_FRAME = [setUp, letUp, restBreaths, easePressure] as const;
const PRESS_CLOSING = [{ ...CLOSING[0]!, text: 'Let up', detail: 'slowly, hand stays a moment' }, CLOSING[1]!] as const;

export const POINT_HOLD: Method = {
  id: 'point-hold', name: 'Sustained compression', synonyms: ['point-hold', 'ischaemic compression', 'trigger-point pressure', 'static pressure'],
  what: 'Pressure on one place until it eases: shorter on a forearm, longer on a thigh.',
  purpose: 'A tender point in a muscle that is otherwise long enough.', breathWords: 'sink on the breath out', axis: 'pressure', share: 0.35, suits: [],
  claims: [taught('At 3–4 of 10 the athlete stays loose; 7 only where it was agreed; never past 5–6 in a painful shoulder.'), { text: 'Tenderness falls after pressure; for how long is not settled.', source: 'common practice', sure: 'mixed' }],
  schoolsDiffer: 'A ceiling of 4, or of 7 in the trigger-point school.',
  rounds: { default: 2, min: 1, max: 6 },
  numbers: [seconds('press', 'Press', [12], { min: 5, max: 90, perRound: true }), { ...pressure(4), max: 7 }, painCeiling(4), seconds('sinkIn', 'Sink in', [4], { min: 1, max: 15, place: 'more' }), seconds('between', 'Between points', [4], { min: 1, max: 20, place: 'more' }), ...PRESS_FRAME],
  choices: [], lists: [{ id: 'points', label: 'Points', default: ['the tender point'], min: 1, max: 8 }],
  opening: [SET_UP],
  round: [{ each: { list: 'points' }, phases: [
    { kind: 'sink', duration: { seconds: 'sinkIn' }, angle: { to: 'edge' }, breath: 'out', works: 'therapist', text: 'Sink in: {place}', detail: 'on the breath out, until they say' },
    { kind: 'press', duration: { seconds: 'press' }, angle: { to: 'stay' }, breath: 'free', works: 'therapist', text: 'Stay', detail: 'until it eases; then less, not more' },
    { kind: 'ease', duration: { seconds: 'between' }, angle: { to: 'rest' }, breath: 'in', works: 'therapist', text: 'Let up', detail: 'slowly' },
  ] }],
  closing: [CLOSING[1]!], painCeiling: 'painCeiling', easeBack: 'easeBack',
};

export const BREATH_SINK: Method = {
  id: 'breath-sink', name: 'Breath-led pressure', synonyms: ['breath-sink', 'breath-led sinking', 'melting pressure', 'waiting pressure'],
  what: 'A little deeper with each breath out, waiting with each breath in. One or two minutes; seven or eight for the deep low back.',
  purpose: 'Deep or guarded places: low back, base of the skull, hip bowl.', breathWords: 'sink on the breath out, wait on the breath in', axis: 'pressure', share: 0.4, suits: ['guarding'],
  claims: [taught('Long and pain-free reaches deeper than strong.')],
  schoolsDiffer: 'One to two minutes, or up to eight.',
  rounds: { default: 1, min: 1, max: 3 },
  numbers: [times('breaths', 'Breaths', 9, 2, 60), { ...pressure(1), label: 'Pressure to begin with' }, { id: 'deeper', label: 'Deeper by, a breath', unit: 'score', default: [0.1], min: 0, max: 1, step: 0.05, perRound: false, place: 'main' }, painCeiling(2), ...PRESS_FRAME],
  choices: [], lists: [],
  opening: [SET_UP, { kind: 'sink', duration: { breath: 'out' }, angle: { to: 'edge' }, breath: 'out', works: 'therapist', text: 'Let the hand arrive', detail: 'weight, no push' }],
  round: [{ each: { times: 'breaths' }, phases: [
    { kind: 'wait', duration: { breath: 'in' }, angle: { to: 'stay' }, breath: 'in', works: 'therapist', text: 'Wait', detail: 'breath {turn} of {turns}, let it lift you' },
    { kind: 'sink', duration: { breath: 'out' }, angle: { to: 'new-edge', by: 'deeper' }, breath: 'out', works: 'therapist', text: 'Sink', detail: 'only as far as it lets you' },
  ] }],
  closing: PRESS_CLOSING, painCeiling: 'painCeiling', easeBack: 'easeBack',
};

export const LINE_PRESS: Method = {
  id: 'line-press', name: 'Presses along a line', synonyms: ['line-press', 'palm walking', 'compressions along a line'],
  what: 'Presses at the edge, the middle and the far edge of a line, leaning in and out; there and back.',
  purpose: 'Broad warming of a whole limb before anything specific.', breathWords: 'lean in on the breath out', axis: 'pressure', share: 0.15, suits: [],
  claims: [taught('There and back before anything specific.')],
  schoolsDiffer: 'Two to four seconds a press; once or twice along.',
  rounds: { default: 2, min: 1, max: 8 },
  numbers: [seconds('press', 'Press', [3], { min: 2, max: 8 }), pressure(3), painCeiling(4), seconds('lean', 'Lean in', [1.5], { min: 1, max: 6, step: 0.5, place: 'more' }), seconds('ease', 'Lean out', [1.5], { min: 1, max: 6, step: 0.5, place: 'more' }), ...PRESS_FRAME],
  choices: [], lists: [{ id: 'stations', label: 'Along the line', default: ['near edge', 'middle', 'far edge'], min: 2, max: 12 }],
  opening: [SET_UP],
  round: [
    { each: { list: 'stations' }, phases: [
      { kind: 'press', duration: { seconds: 'lean' }, angle: { to: 'edge' }, breath: 'out', works: 'therapist', text: 'Lean in: {place}', detail: 'there, {turn} of {turns}' },
      { kind: 'press', duration: { seconds: 'press' }, angle: { to: 'stay' }, breath: 'out', works: 'therapist', text: 'Stay: {place}', detail: 'body weight, arms straight' },
      { kind: 'ease', duration: { seconds: 'ease' }, angle: { to: 'rest' }, breath: 'in', works: 'therapist', text: 'Lean out', detail: 'hand stays on' },
    ] },
    { each: { list: 'stations', backward: true }, phases: [
      { kind: 'press', duration: { seconds: 'lean' }, angle: { to: 'edge' }, breath: 'out', works: 'therapist', text: 'Lean in: {place}', detail: 'and back, {turn} of {turns}' },
      { kind: 'press', duration: { seconds: 'press' }, angle: { to: 'stay' }, breath: 'out', works: 'therapist', text: 'Stay: {place}', detail: 'body weight, arms straight' },
      { kind: 'ease', duration: { seconds: 'ease' }, angle: { to: 'rest' }, breath: 'in', works: 'therapist', text: 'Lean out', detail: 'hand stays on' },
    ] },
  ],
  closing: [CLOSING[1]!], painCeiling: 'painCeiling', easeBack: 'easeBack',
};
