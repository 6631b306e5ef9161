import type { Method } from '../types.ts';
import { ACSM, byBreath, bringHome, CLOSING, easeBack, FRAME, gain, moveIn, painCeiling, restBreaths, seconds, SET_UP, setUp, slack, taught, times, timing } from './parts.ts';

/** The therapist holds, the athlete breathes. */

export const STATIC_HOLD: Method = {
  id: 'static-hold',
  name: 'Passive hold',
  synonyms: ['static stretch', 'static-hold', 'assisted stretch', 'passive stretch'],
  what: 'The therapist takes the limb to the edge and keeps it there while the athlete does nothing but breathe. A breath that is held means it is too strong.',
  purpose: 'Muscle-limited motions, when the athlete should do nothing.',
  breathWords: 'breathing free; a held breath means too strong',
  axis: 'motion',
  share: 0.8, suits: [],
  claims: [
    { text: 'Holds of 10–30 s, 2–4 times, to tightness or slight discomfort.', source: ACSM, sure: 'shown', guidance: 'acsm-2011' },
    { text: 'Holds of 30 and 60 s gained alike over six weeks, both more than 15 s.', source: 'Bandy WD, Irion JM. Phys Ther 1994;74:845–850. Recalled from memory.', sure: 'shown' },
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
  lists: [],
  opening: [
    SET_UP,
  ],
  round: [
    { kind: 'move', when: [{ round: 'first' }], duration: { seconds: 'moveIn', toBreath: { end: 'out', when: byBreath } }, angle: { to: 'edge' }, breath: 'out', works: 'therapist', text: 'Slowly to the edge', detail: 'first firm resistance; they say when' },
    { kind: 'advance', when: [{ round: 'not-first' }], duration: { seconds: 'moveIn', toBreath: { end: 'out', when: byBreath } }, angle: { to: 'new-edge', by: 'gain' }, breath: 'out', works: 'therapist', text: 'To the edge again', detail: 'on the breath out, only where it lets you' },
    { kind: 'hold', duration: { seconds: 'hold', toBreath: { end: 'out', when: byBreath } }, angle: { to: 'stay' }, breath: 'free', works: 'nobody', text: 'Hold', detail: 'keep breathing; shoulders and jaw soft' },
    { kind: 'return', when: [{ round: 'not-last' }], duration: { seconds: 'bringHome' }, angle: { to: 'rest' }, breath: 'free', works: 'therapist', text: 'Bring it back', detail: 'they do not help' },
    { kind: 'rest', when: [{ round: 'not-last' }], duration: { seconds: 'between' }, angle: { to: 'stay' }, breath: 'free', works: 'nobody', text: 'Let it rest', detail: 'loose and heavy' },
  ],
  closing: CLOSING,
  painCeiling: 'painCeiling',
  easeBack: 'easeBack',
};


export const BRIEF_HOLD: Method = {
  id: 'brief-hold', name: 'Short edge holds', synonyms: ['brief-hold', 'short stretches', 'repeated stretch'],
  what: 'To the edge, a few deep breaths’ worth of hold, let up, and again a little deeper. Short enough for the hours before a start.',
  purpose: 'Before a start, a first visit, an athlete who dislikes long holds.', breathWords: 'deepen on the breath out', axis: 'motion', share: 0.5, suits: ['guarding', 'start'],
  claims: [
    { text: 'Holds under 60 s in all cost about 1 % of performance just after, longer ones about 5 %.', source: 'Behm DG et al. Appl Physiol Nutr Metab 2016;41:1–11. Recalled from memory.', sure: 'shown' },
    taught('Two short holds a side are enough to show which way the tissue gives.'),
  ],
  schoolsDiffer: 'Three to five seconds, or one deep breath.',
  rounds: { default: 2, min: 1, max: 10 },
  numbers: [seconds('hold', 'Hold', [4], { min: 2, max: 15, perRound: true, limitedBy: 'holdS' }), gain, painCeiling(4), seconds('letUp', 'Let up', [3], { min: 1, max: 15, place: 'more' }), ...FRAME],
  choices: [timing('breath')], lists: [],
  opening: [SET_UP],
  round: [
    { kind: 'move', when: [{ round: 'first' }], duration: { seconds: 'moveIn', toBreath: { end: 'out', when: byBreath } }, angle: { to: 'edge' }, breath: 'out', works: 'therapist', text: 'Slowly to the edge', detail: 'first firm resistance; they say when' },
    { kind: 'advance', when: [{ round: 'not-first' }], duration: { seconds: 'moveIn', toBreath: { end: 'out', when: byBreath } }, angle: { to: 'new-edge', by: 'gain' }, breath: 'out', works: 'therapist', text: 'Again, a little deeper', detail: 'on the breath out, only where it lets you' },
    { kind: 'hold', duration: { seconds: 'hold' }, angle: { to: 'stay' }, breath: 'free', works: 'nobody', text: 'Hold', detail: 'deep breaths; face and jaw soft' },
    { kind: 'ease', when: [{ round: 'not-last' }], duration: { seconds: 'letUp' }, angle: { to: 'rest' }, breath: 'free', works: 'therapist', text: 'Let up', detail: 'all the way, they stay heavy' },
  ],
  closing: CLOSING, painCeiling: 'painCeiling', easeBack: 'easeBack',
};

export const POSITION_OF_COMFORT: Method = {
  id: 'position-of-comfort', name: 'Position of comfort', synonyms: ['positional release', 'strain-counterstrain', 'position-of-comfort', 'ease position'],
  what: 'The muscle is brought short until its tender point stops hurting, and is kept there until it softens. Then home, slowly.',
  purpose: 'Tender, guarded muscles that answer a stretch by bracing.', breathWords: 'breathing free', axis: 'motion', share: 0.4, suits: ['guarding'],
  claims: [
    { text: 'Ninety seconds in the position of comfort.', source: 'Jones’ positional release. Recalled from memory.', sure: 'taught' },
    { text: 'Tenderness falls at once; a lasting effect on range is not settled.', source: 'common practice', sure: 'mixed' },
  ],
  schoolsDiffer: 'Sixty to ninety seconds by the clock, or until it softens.',
  rounds: { default: 1, min: 1, max: 4 },
  numbers: [seconds('comfort', 'Stay in comfort', [75], { min: 20, max: 180, step: 5, perRound: true }), painCeiling(2), { ...slack, place: 'main' }, seconds('slowHome', 'Slow way home', [10], { min: 4, max: 30, place: 'more' }), setUp, seconds('moveIn', 'Find the position', [15], { min: 4, max: 60, place: 'more' }), restBreaths, easeBack],
  choices: [], lists: [],
  opening: [SET_UP],
  round: [
    { kind: 'shorten', duration: { seconds: 'moveIn' }, angle: { to: 'slack', by: 'slack' }, breath: 'free', works: 'therapist', text: 'Bring it short', detail: 'until the tender point stops hurting; they say when' },
    { kind: 'comfort', duration: { seconds: 'comfort' }, angle: { to: 'stay' }, breath: 'free', works: 'nobody', text: 'Stay there', detail: 'a finger rests on the point; wait until it softens' },
    { kind: 'return', duration: { seconds: 'slowHome' }, angle: { to: 'rest' }, breath: 'free', works: 'therapist', text: 'Slowly home', detail: 'they do not help' },
  ],
  closing: [CLOSING[1]!], painCeiling: 'painCeiling', easeBack: 'easeBack',
};

export const SLACK_STRETCH: Method = {
  id: 'slack-stretch', name: 'Slack–stretch cycling', synonyms: ['slack-stretch', 'cycling short and long', 'pump stretch'],
  what: 'The muscle is taken short and long in turn while the other hand kneads it, then kept in a mild long stretch.',
  purpose: 'Upper trapezius and other muscles that carry tension all day.', breathWords: 'breathing free', axis: 'motion', share: 0.7, suits: [],
  claims: [taught('Mild and long beats sharp and strong.')],
  schoolsDiffer: 'Eight to twelve cycles; some end without the long stretch.',
  rounds: { default: 1, min: 1, max: 4 },
  numbers: [
    times('cycles', 'Cycles', 10, 2, 20), seconds('pauseShort', 'Pause short', [2], { min: 1, max: 6 }), seconds('pauseLong', 'Pause long', [3], { min: 1, max: 8 }),
    seconds('hold', 'Long stretch', [30], { min: 0, max: 120, perRound: true, limitedBy: 'holdS' }), gain, painCeiling(3),
    slack, { id: 'share', label: 'Lengthened to', unit: 'share', default: [85], min: 30, max: 100, step: 5, perRound: false, place: 'more', help: 'Percent of the way to the edge; mild.' },
    seconds('travel', 'Each way', [2], { min: 1, max: 8, place: 'more' }), ...FRAME,
  ],
  choices: [], lists: [],
  opening: [SET_UP],
  round: [
    { each: { times: 'cycles' }, phases: [
      { kind: 'shorten', duration: { seconds: 'travel' }, angle: { to: 'slack', by: 'slack' }, breath: 'free', works: 'therapist', text: 'Bring it short', detail: 'cycle {turn} of {turns}, the hand kneads as it moves' },
      { kind: 'comfort', duration: { seconds: 'pauseShort' }, angle: { to: 'stay' }, breath: 'free', works: 'nobody', text: 'Pause, short', detail: 'soft under the hand' },
      { kind: 'lengthen', duration: { seconds: 'travel' }, angle: { to: 'part-way', share: 'share' }, breath: 'free', works: 'therapist', text: 'Lengthen', detail: 'mild, short of the edge' },
      { kind: 'pause', duration: { seconds: 'pauseLong' }, angle: { to: 'stay' }, breath: 'free', works: 'nobody', text: 'Pause, long', detail: 'only a hint of pull' },
    ] },
    { kind: 'advance', duration: { seconds: 'moveIn' }, angle: { to: 'new-edge', by: 'gain' }, breath: 'out', works: 'therapist', text: 'Into the long stretch', detail: 'mild; where the edge lets you' },
    { kind: 'hold', duration: { seconds: 'hold' }, angle: { to: 'stay' }, breath: 'free', works: 'nobody', text: 'Hold, mild', detail: 'keep breathing' },
  ],
  closing: CLOSING, painCeiling: 'painCeiling', easeBack: 'easeBack',
};
