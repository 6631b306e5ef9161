import type { Condition, Method, PhaseSpec } from '../types.ts';
import { byBreath, bringHome, CLOSING, CONTRACT_CLAIMS, CONTRACT_SYNONYMS, easeBack, effort, FRAME, gain, moveIn, painCeiling, rehearse, REHEARSE, restBreaths, seconds, SET_UP, setUp, short, slack, taught, times, timing, TO_EDGE } from './parts.ts';

/** The athlete presses against the hand, lets go, and is taken on. */

const startsShort: Condition = { choice: 'startAt', is: 'short' };
const startsAtEdge: Condition = { choice: 'startAt', is: 'edge' };

const contract = (text = '{press}'): PhaseSpec => ({ kind: 'contract', duration: { seconds: 'contract' }, angle: { to: 'stay' }, breath: 'free', works: 'athlete', effort: 'effort', text, detail: '{pressLine}' });
const letGo: PhaseSpec = { kind: 'relax', duration: { seconds: 'relax' }, angle: { to: 'stay' }, breath: 'free', works: 'nobody', text: 'Let go', detail: 'all of it, at once' };
const advance: PhaseSpec = { kind: 'advance', duration: { seconds: 'advance' }, angle: { to: 'new-edge', by: 'gain' }, breath: 'out', works: 'therapist', text: 'Take up the new range', detail: 'slowly, on the breath out' };
const holdIt: PhaseSpec = { kind: 'hold', duration: { seconds: 'hold' }, angle: { to: 'stay' }, breath: 'free', works: 'nobody', text: 'Hold', detail: 'keep breathing; face and jaw soft' };
const relaxS = seconds('relax', 'Let go', [3], { min: 1, max: 20, place: 'more' });
const advanceS = seconds('advance', 'Take up the new range', [4], { min: 2, max: 20, place: 'more' });

export const CR_BREATH: Method = {
  id: 'cr-breath',
  name: 'Breath-led contract-relax',
  synonyms: [...CONTRACT_SYNONYMS, 'cr-breath'],
  what: 'At the edge the athlete breathes in, presses lightly on the breath out, lets go, and is taken on with the next breath out. Effort starts small and rises only while the rounds stay clean.',
  purpose: 'Muscle-limited motions of an athlete who can follow a breath; the usual choice.',
  breathWords: 'contract on the breath out, advance on the next',
  axis: 'motion',
  share: 1, suits: [],
  claims: CONTRACT_CLAIMS,
  schoolsDiffer: 'Contract on the breath out or on the breath in; start at the edge or a few degrees short of it.',
  rounds: { default: 3, min: 1, max: 12 },
  numbers: [
    { id: 'contract', label: 'Contract', unit: 's', default: [6], min: 2, max: 30, step: 1, perRound: false, place: 'main' },
    effort([20, 30, 40]),
    { id: 'hold', label: 'Hold after', unit: 's', default: [10], min: 2, max: 120, step: 1, perRound: true, place: 'main', limitedBy: 'holdS' },
    gain,
    painCeiling(4),
    setUp,
    rehearse,
    moveIn,
    { id: 'breatheIn', label: 'Breathe in', unit: 's', default: [3], min: 1, max: 10, step: 1, perRound: false, place: 'more' },
    { id: 'relax', label: 'Let go', unit: 's', default: [3], min: 1, max: 20, step: 1, perRound: false, place: 'more' },
    { id: 'advance', label: 'Take up the new range', unit: 's', default: [4], min: 2, max: 20, step: 1, perRound: false, place: 'more' },
    { ...short, max: 30 },
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
  lists: [],
  opening: [
    SET_UP,
    REHEARSE,
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
  closing: CLOSING,
  painCeiling: 'painCeiling',
  easeBack: 'easeBack',
};


export const CR_LIGHT: Method = {
  id: 'cr-light', name: 'Light contract-relax', synonyms: [...CONTRACT_SYNONYMS, 'cr-light', 'gentle contract-relax'],
  what: 'A press so light that it hardly shows, let go, a small advance, a short hold. Two or three times.',
  purpose: 'Sore, anxious or new athletes; small muscles of neck and hand.', breathWords: 'breathing free', axis: 'motion', share: 0.85, suits: ['guarding'],
  claims: [CONTRACT_CLAIMS[1]!, taught('A tenth of full strength is enough where the muscle guards.')],
  schoolsDiffer: 'Ten percent, or as light as a feather; five to seven seconds.',
  rounds: { default: 3, min: 1, max: 12 },
  numbers: [seconds('contract', 'Contract', [7], { min: 2, max: 20 }), effort([10]), seconds('hold', 'Hold after', [4], { min: 2, max: 60, perRound: true, limitedBy: 'holdS' }), gain, painCeiling(4), rehearse, relaxS, advanceS, ...FRAME],
  choices: [], lists: [],
  opening: [SET_UP, REHEARSE, TO_EDGE],
  round: [contract(), letGo, advance, holdIt],
  closing: CLOSING, painCeiling: 'painCeiling', easeBack: 'easeBack',
};

export const CR_FIRM: Method = {
  id: 'cr-firm', name: 'Firm contract-relax', synonyms: [...CONTRACT_SYNONYMS, 'cr-firm', 'PNF contract-relax'],
  what: 'Ten seconds of stretch, ten of a clear press, let go, advance; three to five times.',
  purpose: 'Strong, well-warmed muscles far from an event.', breathWords: 'breathing free', axis: 'motion', share: 1, suits: [],
  claims: [CONTRACT_CLAIMS[1]!, CONTRACT_CLAIMS[2]!, taught('Ten seconds of press are longer than the usual guidance of three to six.')],
  schoolsDiffer: 'Thirty percent, or as much as the therapist can hold; light presses gained as much.',
  rounds: { default: 3, min: 1, max: 8 },
  numbers: [seconds('hold', 'Stretch', [10], { min: 2, max: 60, perRound: true, limitedBy: 'holdS' }), seconds('contract', 'Contract', [10], { min: 2, max: 20 }), effort([30]), gain, painCeiling(4), rehearse, seconds('relax', 'Release', [2], { min: 1, max: 20, place: 'more' }), advanceS, ...FRAME],
  choices: [], lists: [],
  opening: [SET_UP, REHEARSE, TO_EDGE],
  round: [{ ...holdIt, text: 'Stretch' }, contract(), { ...letGo, text: 'Release' }, advance],
  closing: CLOSING, painCeiling: 'painCeiling', easeBack: 'easeBack',
};

export const CR_BACKOFF: Method = {
  id: 'cr-backoff', name: 'Contract-relax from short of the edge', synonyms: [...CONTRACT_SYNONYMS, 'cr-backoff', 'mid-range contract-relax'],
  what: 'The edge is found once, then left by a few degrees; the press happens where nothing pulls. A full breath, and on with the next breath out.',
  purpose: 'Irritable or long-shortened muscles, and athletes who brace at the edge.', breathWords: 'contract on the breath out, advance on the one after next', axis: 'motion', share: 0.9, suits: [],
  claims: [taught('Pressing short of the edge is kinder to a sore muscle.'), CONTRACT_CLAIMS[1]!],
  schoolsDiffer: 'Start at the edge or short of it.',
  rounds: { default: 3, min: 1, max: 12 },
  numbers: [seconds('contract', 'Contract', [8], { min: 2, max: 20 }), effort([20]), gain, { ...short, place: 'main' }, painCeiling(4), { id: 'pauseBreaths', label: 'Breaths after letting go', unit: 'breaths', default: [1], min: 0.5, max: 4, step: 0.5, perRound: false, place: 'more' }, seconds('breatheIn', 'Back off, breathe in', [4], { min: 1, max: 10, place: 'more' }), advanceS, rehearse, ...FRAME],
  choices: [timing('breath')], lists: [],
  opening: [SET_UP, REHEARSE, { ...TO_EDGE, detail: 'find it once, then back off' }],
  round: [
    { kind: 'back-off', duration: { seconds: 'breatheIn', toBreath: { end: 'in', when: byBreath } }, angle: { to: 'short-of-edge', by: 'short' }, breath: 'in', works: 'therapist', text: 'Back off, breathe in', detail: 'until the pull has just gone' },
    { ...contract(), duration: { seconds: 'contract', toBreath: { end: 'out', when: byBreath } }, breath: 'out' },
    { ...letGo, duration: { breaths: 'pauseBreaths' }, detail: 'one whole breath, in and out' },
    { ...advance, duration: { seconds: 'advance', toBreath: { end: 'out', when: byBreath } } },
  ],
  closing: CLOSING, painCeiling: 'painCeiling', easeBack: 'easeBack',
};

export const CRAC: Method = {
  id: 'crac', name: 'Contract-relax, then antagonist', synonyms: [...CONTRACT_SYNONYMS, 'crac', 'CRAC', 'slow reversal hold-relax'],
  what: 'A press of the target, let go, then the athlete pulls into the new range with the opposite muscle and the therapist keeps what was won.',
  purpose: 'Gains that the athlete should be able to use: active range close to passive.', breathWords: 'contract on the breath out', axis: 'motion', share: 1.05, suits: [],
  claims: [CONTRACT_CLAIMS[0]!, { text: 'Adding the antagonist gained more than contract-relax alone in some trials and as much in others.', source: 'common practice', sure: 'mixed' }],
  schoolsDiffer: 'How strong the pull into the new range may be.',
  rounds: { default: 3, min: 1, max: 8 },
  numbers: [seconds('contract', 'Contract', [6], { min: 2, max: 20 }), effort([20, 25, 30]), seconds('pull', 'Pull into it', [4], { min: 2, max: 10 }), seconds('hold', 'Hold after', [10], { min: 2, max: 60, perRound: true, limitedBy: 'holdS' }), gain, painCeiling(4), rehearse, seconds('relax', 'Let go', [2], { min: 1, max: 20, place: 'more' }), ...FRAME],
  choices: [timing('fixed')], lists: [],
  opening: [SET_UP, REHEARSE, TO_EDGE],
  round: [
    { ...contract(), duration: { seconds: 'contract', toBreath: { end: 'out', when: byBreath } }, breath: 'out' }, letGo,
    { kind: 'active', duration: { seconds: 'pull' }, angle: { to: 'new-edge', by: 'gain' }, breath: 'free', works: 'athlete', text: 'Pull into it', detail: 'with the opposite muscle; the hand follows' },
    holdIt,
  ],
  closing: CLOSING, painCeiling: 'painCeiling', easeBack: 'easeBack',
};

export const PULSED: Method = {
  id: 'pulsed', name: 'Rhythmic contraction', synonyms: ['pulsed', 'pulsed contract-relax', 'rhythmic isometrics', 'pump contraction'],
  what: 'Two seconds of press, two of letting go, in a steady rhythm while the hand follows the muscle; then the new range.',
  purpose: 'Congested or tired muscles; athletes who cannot hold a steady press.', breathWords: 'breathing free', axis: 'motion', share: 0.75, suits: ['weakness'],
  claims: [taught('Short pulses bring warmth without fatigue.')],
  schoolsDiffer: 'Steady against pulsed: do either, or both.',
  rounds: { default: 2, min: 1, max: 8 },
  numbers: [times('pulses', 'Pulses', 8, 2, 20), seconds('contract', 'Press', [2], { min: 1, max: 6 }), seconds('relax', 'Let go', [2], { min: 1, max: 6 }), effort([20]), gain, painCeiling(5), rehearse, advanceS, ...FRAME],
  choices: [], lists: [],
  opening: [SET_UP, REHEARSE, TO_EDGE],
  round: [
    { each: { times: 'pulses' }, phases: [{ ...contract(), detail: 'pulse {turn} of {turns}: {pressLine}' }, { ...letGo, detail: 'the hand follows the muscle' }] },
    advance,
  ],
  closing: CLOSING, painCeiling: 'painCeiling', easeBack: 'easeBack',
};

export const INHIBIT_INTEGRATED: Method = {
  id: 'inhibit-integrated', name: 'Point, ease, lengthen, reset', synonyms: ['inhibit-integrated', 'integrated neuromuscular inhibition', 'INIT', 'press, comfort, stretch'],
  what: 'The tender point is pressed, the muscle brought short until the point softens, then lengthened, pressed lightly against the hand, and balanced with its opposite. At the end it is felt again.',
  purpose: 'A tender point in a short muscle.', breathWords: 'breathing free', axis: 'motion', share: 0.9, suits: [],
  claims: [taught('Pressure, comfort and lengthening in one go calm a point that comes back after each of them alone.'), { text: 'Ninety seconds in the position of comfort.', source: 'Jones’ positional release. Recalled from memory.', sure: 'taught' }],
  schoolsDiffer: 'How long to press first, and whether the antagonist is used.',
  rounds: { default: 1, min: 1, max: 3 },
  numbers: [
    seconds('press', 'Press the point', [15], { min: 5, max: 60 }), seconds('comfort', 'Position of comfort', [60], { min: 20, max: 90, step: 5 }), seconds('contract', 'Contract', [6], { min: 5, max: 8 }), effort([20]), seconds('antagonist', 'Antagonist', [5], { min: 2, max: 10 }),
    gain, painCeiling(5), seconds('hold', 'Lengthen for', [10], { min: 2, max: 60, perRound: true, limitedBy: 'holdS' }), seconds('relax', 'Let go', [3], { min: 1, max: 20, place: 'more' }), slack, seconds('travel', 'Between', [4], { min: 2, max: 15, place: 'more' }), seconds('reassess', 'Feel again', [10], { min: 5, max: 60, step: 5, place: 'more', help: 'The line waits here until you go on.' }), rehearse, ...FRAME,
  ],
  choices: [], lists: [],
  opening: [SET_UP, REHEARSE],
  round: [
    { kind: 'press', duration: { seconds: 'press' }, angle: { to: 'rest' }, breath: 'free', works: 'therapist', text: 'Press the point', detail: 'until they feel it, not past the ceiling' },
    { kind: 'shorten', duration: { seconds: 'travel' }, angle: { to: 'slack', by: 'slack' }, breath: 'free', works: 'therapist', text: 'Bring it short', detail: 'until the point stops hurting' },
    { kind: 'comfort', duration: { seconds: 'comfort' }, angle: { to: 'stay' }, breath: 'free', works: 'nobody', text: 'Stay there', detail: 'until it softens under the finger' },
    { kind: 'return', duration: { seconds: 'travel' }, angle: { to: 'rest' }, breath: 'free', works: 'therapist', text: 'To neutral', detail: 'slowly' },
    { kind: 'move', duration: { seconds: 'moveIn' }, angle: { to: 'edge' }, breath: 'out', works: 'therapist', text: 'Lengthen', detail: 'to the edge, across the point' },
    contract(), letGo,
    { kind: 'advance', duration: { seconds: 'travel' }, angle: { to: 'new-edge', by: 'gain' }, breath: 'out', works: 'therapist', text: 'Take up the new range', detail: 'slowly, on the breath out' },
    holdIt,
    { kind: 'active', duration: { seconds: 'antagonist' }, angle: { to: 'stay' }, breath: 'free', works: 'athlete', text: 'Pull the other way', detail: 'the opposite muscle, lightly' },
    { kind: 'return', duration: { seconds: 'travel' }, angle: { to: 'rest' }, breath: 'free', works: 'therapist', text: 'To neutral', detail: 'they do not help' },
    { kind: 'set-up', duration: { seconds: 'reassess' }, angle: { to: 'stay' }, breath: 'free', works: 'therapist', open: true, text: 'Feel it again', detail: 'softer, less tender, the same?' },
  ],
  closing: CLOSING, painCeiling: 'painCeiling', easeBack: 'easeBack',
};

export const FOUR_WAY: Method = {
  id: 'four-way', name: 'Isometrics in several directions', synonyms: ['four-way', 'four-way isometrics', 'multi-directional isometrics', 'rhythmic stabilization'],
  what: 'A light press in each direction of the joint in turn, nothing moves.',
  purpose: 'Waking and balancing a joint’s muscles; where lengthening is not wanted.', breathWords: 'breathing free', axis: 'motion', share: 0.2, suits: ['weakness'],
  claims: [taught('Light presses all round make a joint feel held.')],
  schoolsDiffer: 'Five to eight seconds; two, four or eight directions.',
  rounds: { default: 1, min: 1, max: 4 },
  numbers: [seconds('contract', 'Contract', [6], { min: 3, max: 15 }), effort([20]), seconds('relax', 'Between', [3], { min: 1, max: 15 }), painCeiling(4), { id: 'share', label: 'Joint held at', unit: 'share', default: [40], min: 0, max: 90, step: 5, perRound: false, place: 'more', help: 'Percent of the way to the edge.' }, rehearse, ...FRAME],
  choices: [], lists: [{ id: 'directions', label: 'Directions', default: ['up', 'down', 'in', 'out'], min: 1, max: 12 }],
  opening: [SET_UP, REHEARSE, { ...TO_EDGE, angle: { to: 'part-way', share: 'share' }, text: 'To where it is easy', detail: 'nothing pulls' }],
  round: [{ each: { list: 'directions' }, phases: [{ ...contract('Press {place}'), detail: 'direction {turn} of {turns}; nothing moves' }, { ...letGo, detail: 'soft, then the next' }] }],
  closing: CLOSING, painCeiling: 'painCeiling', easeBack: 'easeBack',
};
