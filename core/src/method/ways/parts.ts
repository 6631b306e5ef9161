import type { Claim } from '../../catalogue/index.ts';
import type { ChoiceSpec, Condition, NumberSpec, PhaseSpec } from '../types.ts';

export { taught } from '../../catalogue/index.ts';

/** What several ways of working share. Every number is a default that the therapist changes per block; where no source is named it is common practice. */

export const byBreath: Condition = { choice: 'timing', is: 'breath' };

export const timing = (standard: 'breath' | 'fixed'): ChoiceSpec => ({
  id: 'timing',
  label: 'Timed by',
  options: [
    { id: 'breath', label: 'the breath' },
    { id: 'fixed', label: 'the clock' },
  ],
  default: standard,
});

type Seconds = {
  readonly min: number;
  readonly max: number;
  readonly step?: number;
  readonly place?: NumberSpec['place'];
  readonly perRound?: boolean;
  readonly help?: string;
  readonly limitedBy?: NonNullable<NumberSpec['limitedBy']>;
  readonly before?: number;
};

/** A number of seconds; shown at once unless it says otherwise. */
export const seconds = (
  id: string,
  label: string,
  standard: readonly number[],
  { min, max, step = 1, place = 'main', perRound = false, ...rest }: Seconds,
): NumberSpec => ({ id, label, unit: 's', default: standard, min, max, step, perRound, place, ...rest });

/** How often something is done within a round. */
export const times = (id: string, label: string, standard: number, min: number, max: number): NumberSpec => ({
  id,
  label,
  unit: 'times',
  default: [standard],
  min,
  max,
  step: 1,
  perRound: false,
  place: 'main',
});

export const moveIn: NumberSpec = seconds('moveIn', 'Move to the edge', [6], { min: 2, max: 30, place: 'more' });
export const setUp: NumberSpec = seconds('setUp', 'Set up', [20], {
  min: 5,
  max: 120,
  step: 5,
  place: 'more',
  help: 'The line waits here until you go on.',
});
export const rehearse: NumberSpec = seconds('rehearse', 'Rehearse the press', [10], {
  min: 0,
  max: 60,
  step: 5,
  place: 'more',
  help: 'The line waits here until the direction is right.',
});
export const bringHome: NumberSpec = seconds('bringHome', 'Bring it home', [6], { min: 2, max: 30, place: 'more' });
export const restBreaths: NumberSpec = {
  id: 'restBreaths',
  label: 'Rest after',
  unit: 'breaths',
  default: [1],
  min: 0,
  max: 10,
  step: 1,
  perRound: false,
  place: 'more',
};
export const gain: NumberSpec = {
  id: 'gain',
  label: 'Expected advance',
  unit: 'motion',
  default: { from: 'round-gain' },
  min: 0,
  max: 30,
  step: 0.5,
  perRound: true,
  place: 'main',
  help: 'Predicted, not commanded: go only where the edge has moved to.',
};
export const easeBack: NumberSpec = {
  id: 'easeBack',
  label: 'Ease off by',
  unit: 'motion',
  default: { timesFirstGain: 2 },
  min: 0,
  max: 45,
  step: 0.5,
  perRound: false,
  place: 'more',
};
/** Easing off where the hand presses: by how much of ten. */
export const easePressure: NumberSpec = { ...easeBack, default: [2], max: 10 };
export const short: NumberSpec = {
  id: 'short',
  label: 'Short of the edge by',
  unit: 'motion',
  default: { timesFirstGain: 2 },
  min: 0,
  max: 45,
  step: 0.5,
  perRound: false,
  place: 'more',
};
export const slack: NumberSpec = {
  id: 'slack',
  label: 'Shortened by',
  unit: 'motion',
  default: { timesFirstGain: 4 },
  min: 0,
  max: 60,
  step: 0.5,
  perRound: false,
  place: 'more',
  help: 'Past rest, away from the edge, until the muscle is slack.',
};
export const painCeiling = (standard: number): NumberSpec => ({
  id: 'painCeiling',
  label: 'Stop above discomfort',
  unit: 'score',
  default: [standard],
  min: 0,
  max: 10,
  step: 1,
  perRound: false,
  place: 'main',
  limitedBy: 'painCeiling',
});
export const effort = (standard: readonly number[]): NumberSpec => ({
  id: 'effort',
  label: 'Effort',
  unit: 'pct',
  default: standard,
  min: 5,
  max: 100,
  step: 5,
  perRound: true,
  place: 'main',
  limitedBy: 'effortPct',
});
export const grade = (standard: number): NumberSpec => ({
  id: 'grade',
  label: 'Grade',
  unit: 'grade',
  default: [standard],
  min: 1,
  max: 4,
  step: 1,
  perRound: false,
  place: 'main',
  limitedBy: 'grade',
});
export const wayShare = (id: string, label: string, standard: number): NumberSpec => ({
  id,
  label,
  unit: 'share',
  default: [standard],
  min: 10,
  max: 100,
  step: 5,
  perRound: false,
  place: 'more',
});
export const pressure = (standard: number, max = 10): NumberSpec => ({
  id: 'pressure',
  label: 'Pressure, as it is felt',
  unit: 'score',
  default: [standard],
  min: 1,
  max,
  step: 0.5,
  perRound: false,
  place: 'main',
  limitedBy: 'painCeiling',
});

export const SET_UP: PhaseSpec = {
  kind: 'set-up',
  duration: { seconds: 'setUp' },
  angle: { to: 'rest' },
  breath: 'free',
  works: 'therapist',
  open: true,
  text: 'Set up, {side}',
  detail: '{setUp}{goes}',
};
export const REHEARSE: PhaseSpec = {
  kind: 'rehearse',
  duration: { seconds: 'rehearse' },
  angle: { to: 'stay' },
  breath: 'free',
  works: 'athlete',
  open: true,
  text: 'Show the press',
  detail: '{pressLine}; let them try it once, correct it',
};
export const TO_EDGE: PhaseSpec = {
  kind: 'move',
  duration: { seconds: 'moveIn' },
  angle: { to: 'edge' },
  breath: 'out',
  works: 'therapist',
  text: 'Slowly to the edge',
  leads: 'there',
  detail: 'first firm resistance; they say when',
};
export const CLOSING: readonly PhaseSpec[] = [
  {
    kind: 'return',
    duration: { seconds: 'bringHome' },
    angle: { to: 'rest' },
    breath: 'free',
    works: 'therapist',
    text: 'Bring it home',
    detail: '{bringHome}; they do not help',
  },
  {
    kind: 'rest',
    duration: { breaths: 'restBreaths' },
    angle: { to: 'stay' },
    breath: 'free',
    works: 'nobody',
    text: 'Rest a breath',
    detail: 'nothing to do',
  },
];
/** Numbers nearly every way of working ends with. */
export const FRAME: readonly NumberSpec[] = [setUp, moveIn, bringHome, restBreaths, easeBack];

/** The same where a hand presses. */
export const letUp: NumberSpec = seconds('bringHome', 'Let up', [4], { min: 1, max: 20, place: 'more' });
export const PRESS_FRAME: readonly NumberSpec[] = [setUp, letUp, restBreaths, easePressure];

const FROM_MEMORY = 'Recalled from memory.';
export const ACSM = `Garber CE et al. (ACSM position stand). Med Sci Sports Exerc 2011;43:1334–1359. ${FROM_MEMORY}`;
export const CONTRACT_CLAIMS: readonly Claim[] = [
  {
    text: 'Contractions of 3–6 s at 20–75 % of maximum, then 10–30 s assisted stretch, 2–4 times.',
    source: ACSM,
    sure: 'shown',
    guidance: 'acsm-2011',
  },
  {
    text: 'Contractions at 20, 60 and 100 % gave like gains.',
    source: `Feland JB, Marin HN. Br J Sports Med 2004;38:e18. ${FROM_MEMORY}`,
    sure: 'shown',
  },
  {
    text: 'After one series the gain was gone in about 6 minutes when the athlete then rested.',
    source: `Spernoga SG et al. J Athl Train 2001;36:44–48. ${FROM_MEMORY}`,
    sure: 'shown',
  },
];
export const CONTRACT_SYNONYMS = [
  'contract-relax',
  'hold-relax',
  'PNF stretching',
  'post-isometric relaxation',
  'muscle energy technique',
] as const;
