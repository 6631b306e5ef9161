import type { ChoiceSpec, Condition, Method, NumberSpec } from './types.ts';

/**
 * Built-in ways of working. Every number is a default that the therapist changes per block.
 * Where no source is named the value is common practice.
 */

const byBreath: Condition = { choice: 'timing', is: 'breath' };
const startsShort: Condition = { choice: 'startAt', is: 'short' };
const startsAtEdge: Condition = { choice: 'startAt', is: 'edge' };

const timing = (standard: 'breath' | 'fixed'): ChoiceSpec => ({
  id: 'timing',
  label: 'Timed by',
  options: [
    { id: 'breath', label: 'the breath' },
    { id: 'fixed', label: 'the clock' },
  ],
  default: standard,
});

const moveIn: NumberSpec = { id: 'moveIn', label: 'Move to the edge', unit: 's', default: [6], min: 2, max: 30, step: 1, perRound: false, place: 'more' };
const setUp: NumberSpec = { id: 'setUp', label: 'Set up', unit: 's', default: [20], min: 5, max: 120, step: 5, perRound: false, place: 'more', help: 'The line waits here until you go on.' };
const bringHome: NumberSpec = { id: 'bringHome', label: 'Bring the limb home', unit: 's', default: [6], min: 2, max: 30, step: 1, perRound: false, place: 'more' };
const restBreaths: NumberSpec = { id: 'restBreaths', label: 'Rest after', unit: 'breaths', default: [1], min: 0, max: 10, step: 1, perRound: false, place: 'more' };
const gain: NumberSpec = { id: 'gain', label: 'Expected advance', unit: 'motion', default: { from: 'round-gain' }, min: 0, max: 30, step: 0.5, perRound: true, place: 'main', help: 'Predicted, not commanded: go only where the edge has moved to.' };
const easeBack: NumberSpec = { id: 'easeBack', label: 'Ease off by', unit: 'motion', default: { timesFirstGain: 2 }, min: 0, max: 45, step: 0.5, perRound: false, place: 'more' };
const painCeiling = (standard: number): NumberSpec => ({ id: 'painCeiling', label: 'Stop above discomfort', unit: 'score', default: [standard], min: 0, max: 10, step: 1, perRound: false, place: 'main', limitedBy: 'painCeiling' });

const ACSM = 'Garber CE et al. (ACSM position stand). Med Sci Sports Exerc 2011;43:1334–1359. Recalled from memory.';

export const STATIC_HOLD: Method = {
  id: 'static-hold',
  name: 'Passive hold',
  synonyms: ['static stretch', 'static-hold', 'assisted stretch', 'passive stretch'],
  what: 'The therapist takes the limb to the edge and keeps it there while the athlete does nothing but breathe. A breath that is held means it is too strong.',
  techniques: ['lengthen'],
  claims: [
    { text: 'Holds of 10–30 s, 2–4 times, to tightness or slight discomfort.', source: ACSM, guidance: 'acsm-2011' },
    { text: 'Holds of 30 and 60 s gained alike over six weeks, both more than 15 s.', source: 'Bandy WD, Irion JM. Phys Ther 1994;74:845–850. Recalled from memory.' },
  ],
  schoolsDiffer: 'Holds from 3 s to 60 s are taught.',
  rounds: { default: 2, min: 1, max: 12 },
  numbers: [
    { id: 'hold', label: 'Hold', unit: 's', default: [20], min: 2, max: 120, step: 1, perRound: true, place: 'main', limitedBy: 'holdS' },
    gain,
    painCeiling(4),
    setUp,
    moveIn,
    { id: 'between', label: 'Rest between rounds', unit: 's', default: [5], min: 0, max: 60, step: 1, perRound: false, place: 'more' },
    bringHome,
    restBreaths,
    easeBack,
  ],
  choices: [timing('fixed')],
  opening: [
    { kind: 'set-up', duration: { seconds: 'setUp' }, angle: { to: 'rest' }, breath: 'free', works: 'therapist', open: true, text: 'Set up, {side}', detail: '{setUp}' },
  ],
  round: [
    { kind: 'move', when: [{ round: 'first' }], duration: { seconds: 'moveIn', toBreath: { end: 'out', when: byBreath } }, angle: { to: 'edge' }, breath: 'out', works: 'therapist', text: 'Slowly to the edge', detail: 'first firm resistance; they say when' },
    { kind: 'advance', when: [{ round: 'not-first' }], duration: { seconds: 'moveIn', toBreath: { end: 'out', when: byBreath } }, angle: { to: 'new-edge', by: 'gain' }, breath: 'out', works: 'therapist', text: 'To the edge again', detail: 'on the breath out, only where it lets you' },
    { kind: 'hold', duration: { seconds: 'hold', toBreath: { end: 'out', when: byBreath } }, angle: { to: 'stay' }, breath: 'free', works: 'nobody', text: 'Hold', detail: 'keep breathing; shoulders and jaw soft' },
    { kind: 'return', when: [{ round: 'not-last' }], duration: { seconds: 'bringHome' }, angle: { to: 'rest' }, breath: 'free', works: 'therapist', text: 'Bring it back', detail: 'they do not help' },
    { kind: 'rest', when: [{ round: 'not-last' }], duration: { seconds: 'between' }, angle: { to: 'stay' }, breath: 'free', works: 'nobody', text: 'Let it rest', detail: 'loose and heavy' },
  ],
  closing: [
    { kind: 'return', duration: { seconds: 'bringHome' }, angle: { to: 'rest' }, breath: 'free', works: 'therapist', text: 'Bring the limb home', detail: '{bringHome}' },
    { kind: 'rest', duration: { breaths: 'restBreaths' }, angle: { to: 'stay' }, breath: 'free', works: 'nobody', text: 'Rest a breath', detail: 'nothing to do' },
  ],
  painCeiling: 'painCeiling',
  easeBack: 'easeBack',
};

export const CR_BREATH: Method = {
  id: 'cr-breath',
  name: 'Breath-led contract-relax',
  synonyms: ['contract-relax', 'hold-relax', 'PNF stretching', 'post-isometric relaxation', 'muscle energy technique', 'cr-breath'],
  what: 'At the edge the athlete breathes in, presses lightly on the breath out, lets go, and is taken on with the next breath out. Effort starts small and rises only while the rounds stay clean.',
  techniques: ['lengthen', 'contract'],
  claims: [
    { text: 'Contractions of 3–6 s at 20–75 % of maximum, then 10–30 s assisted stretch, 2–4 times.', source: ACSM, guidance: 'acsm-2011' },
    { text: 'Contractions at 20, 60 and 100 % gave like gains.', source: 'Feland JB, Marin HN. Br J Sports Med 2004;38:e18. Recalled from memory.' },
    { text: 'After one series the gain was gone in about 6 minutes when the athlete then rested.', source: 'Spernoga SG et al. J Athl Train 2001;36:44–48. Recalled from memory.' },
  ],
  schoolsDiffer: 'Contract on the breath out or on the breath in; start at the edge or a few degrees short of it.',
  rounds: { default: 3, min: 1, max: 12 },
  numbers: [
    { id: 'contract', label: 'Contract', unit: 's', default: [6], min: 2, max: 30, step: 1, perRound: false, place: 'main' },
    { id: 'effort', label: 'Effort', unit: 'pct', default: [20, 30, 40], min: 5, max: 100, step: 5, perRound: true, place: 'main', limitedBy: 'effortPct' },
    { id: 'hold', label: 'Hold after', unit: 's', default: [10], min: 2, max: 120, step: 1, perRound: true, place: 'main', limitedBy: 'holdS' },
    gain,
    painCeiling(4),
    setUp,
    { id: 'rehearse', label: 'Rehearse the press', unit: 's', default: [10], min: 0, max: 60, step: 5, perRound: false, place: 'more', help: 'The line waits here until the direction is right.' },
    moveIn,
    { id: 'breatheIn', label: 'Breathe in', unit: 's', default: [3], min: 1, max: 10, step: 1, perRound: false, place: 'more' },
    { id: 'relax', label: 'Let go', unit: 's', default: [3], min: 1, max: 20, step: 1, perRound: false, place: 'more' },
    { id: 'advance', label: 'Take up the new range', unit: 's', default: [4], min: 2, max: 20, step: 1, perRound: false, place: 'more' },
    { id: 'short', label: 'Short of the edge by', unit: 'motion', default: { timesFirstGain: 2 }, min: 0, max: 30, step: 0.5, perRound: false, place: 'more' },
    bringHome,
    restBreaths,
    easeBack,
  ],
  choices: [
    timing('breath'),
    {
      id: 'startAt',
      label: 'Start from',
      options: [
        { id: 'edge', label: 'the edge' },
        { id: 'short', label: 'short of it' },
      ],
      default: 'edge',
    },
  ],
  opening: [
    { kind: 'set-up', duration: { seconds: 'setUp' }, angle: { to: 'rest' }, breath: 'free', works: 'therapist', open: true, text: 'Set up, {side}', detail: '{setUp}' },
    { kind: 'rehearse', duration: { seconds: 'rehearse' }, angle: { to: 'stay' }, breath: 'free', works: 'athlete', open: true, text: 'Show the press', detail: '{pressLine}; let them try it once, correct it' },
    { kind: 'move', when: [startsAtEdge], duration: { seconds: 'moveIn', toBreath: { end: 'out', when: byBreath } }, angle: { to: 'edge' }, breath: 'out', works: 'therapist', text: 'Slowly to the edge', detail: 'first firm resistance; they say when' },
    { kind: 'move', when: [startsShort], duration: { seconds: 'moveIn', toBreath: { end: 'out', when: byBreath } }, angle: { to: 'edge' }, breath: 'out', works: 'therapist', text: 'Slowly to the edge', detail: 'find it once, then back off' },
  ],
  round: [
    { kind: 'back-off', when: [startsShort], duration: { seconds: 'breatheIn', toBreath: { end: 'in', when: byBreath } }, angle: { to: 'short-of-edge', by: 'short' }, breath: 'in', works: 'therapist', text: 'Back off, breathe in', detail: 'until the pull has just gone' },
    { kind: 'breathe-in', when: [startsAtEdge], duration: { seconds: 'breatheIn', toBreath: { end: 'in', when: byBreath } }, angle: { to: 'stay' }, breath: 'in', works: 'athlete', text: 'Breathe in', detail: 'stay where you are' },
    { kind: 'contract', duration: { seconds: 'contract', toBreath: { end: 'out', when: byBreath } }, angle: { to: 'stay' }, breath: 'out', works: 'athlete', effort: 'effort', text: '{press}', detail: '{pressLine}' },
    { kind: 'relax', duration: { seconds: 'relax', toBreath: { end: 'in', when: byBreath } }, angle: { to: 'stay' }, breath: 'in', works: 'nobody', text: 'Let go', detail: 'all of it, at once; breathe in' },
    { kind: 'advance', duration: { seconds: 'advance', toBreath: { end: 'out', when: byBreath } }, angle: { to: 'new-edge', by: 'gain' }, breath: 'out', works: 'therapist', text: 'Take up the new range', detail: 'slowly, on the breath out' },
    { kind: 'hold', duration: { seconds: 'hold', toBreath: { end: 'out', when: byBreath } }, angle: { to: 'stay' }, breath: 'free', works: 'nobody', text: 'Hold', detail: 'keep breathing; face and jaw soft' },
  ],
  closing: [
    { kind: 'return', duration: { seconds: 'bringHome' }, angle: { to: 'rest' }, breath: 'free', works: 'therapist', text: 'Bring the limb home', detail: '{bringHome}' },
    { kind: 'rest', duration: { breaths: 'restBreaths' }, angle: { to: 'stay' }, breath: 'free', works: 'nobody', text: 'Rest a breath', detail: 'nothing to do' },
  ],
  painCeiling: 'painCeiling',
  easeBack: 'easeBack',
};

export const MOBILIZE_OSCILLATE: Method = {
  id: 'mobilize-oscillate',
  name: 'Oscillating mobilization',
  synonyms: ['joint mobilization', 'oscillation', 'graded mobilization', 'mobilize-oscillate'],
  what: 'The joint is moved in small steady oscillations, a few times a second, in bouts with a rest between. Grade I and II stay inside the range, III and IV reach its limit. Outside a massage licence in some places: the practice sets its scope.',
  techniques: ['mobilize'],
  claims: [{ text: 'Grades I–IV: I small at the start of the range, II large within it, III large up to the limit, IV small at the limit.', source: 'after Maitland; recalled from memory' }],
  schoolsDiffer: 'Bouts of 30 to 60 s, one to three oscillations a second.',
  rounds: { default: 3, min: 1, max: 8 },
  numbers: [
    { id: 'bout', label: 'Bout', unit: 's', default: [45], min: 10, max: 120, step: 5, perRound: true, place: 'main' },
    { id: 'grade', label: 'Grade', unit: 'grade', default: [2], min: 1, max: 4, step: 1, perRound: false, place: 'main', limitedBy: 'grade' },
    { id: 'rate', label: 'Oscillations', unit: 'per-s', default: [2], min: 1, max: 3, step: 0.5, perRound: false, place: 'main' },
    painCeiling(3),
    { id: 'short', label: 'Short of the edge by', unit: 'motion', default: { timesFirstGain: 2 }, min: 0, max: 45, step: 0.5, perRound: false, place: 'more' },
    setUp,
    moveIn,
    { id: 'between', label: 'Rest between bouts', unit: 's', default: [15], min: 0, max: 60, step: 5, perRound: false, place: 'more' },
    bringHome,
    restBreaths,
    easeBack,
  ],
  choices: [],
  opening: [
    { kind: 'set-up', duration: { seconds: 'setUp' }, angle: { to: 'rest' }, breath: 'free', works: 'therapist', open: true, text: 'Set up, {side}', detail: '{setUp}' },
    { kind: 'move', duration: { seconds: 'moveIn' }, angle: { to: 'short-of-edge', by: 'short' }, breath: 'out', works: 'therapist', text: 'Slowly to where it is easy', detail: 'short of the edge, limb carried' },
  ],
  round: [
    { kind: 'oscillate', duration: { seconds: 'bout' }, angle: { to: 'stay' }, breath: 'free', works: 'therapist', text: 'Oscillate, grade {grade}', detail: '{pressLine}; {rate} a second, even' },
    { kind: 'rest', when: [{ round: 'not-last' }], duration: { seconds: 'between' }, angle: { to: 'stay' }, breath: 'free', works: 'nobody', text: 'Let it rest', detail: 'hands stay, no pressure' },
  ],
  closing: [
    { kind: 'return', duration: { seconds: 'bringHome' }, angle: { to: 'rest' }, breath: 'free', works: 'therapist', text: 'Bring the limb home', detail: '{bringHome}' },
    { kind: 'rest', duration: { breaths: 'restBreaths' }, angle: { to: 'stay' }, breath: 'free', works: 'nobody', text: 'Rest a breath', detail: 'nothing to do' },
  ],
  painCeiling: 'painCeiling',
  easeBack: 'easeBack',
};

export const METHODS: readonly Method[] = [STATIC_HOLD, CR_BREATH, MOBILIZE_OSCILLATE];

/**
 * The way of working with this id, or undefined.
 * @example findMethod('cr-breath').name // → 'Breath-led contract-relax'
 */
export function findMethod(id: string): Method | undefined {
  return METHODS.find((method) => method.id === id);
}
