import type { CandidateAction, CautionContext, ConditionFields } from './types.ts';

/** The day the tests of this folder take place on. */
export const ON = '2026-11-25';

/** Somebody grown up with an empty file, in a practice that may mobilize, agreed to everything, no event near. */
export const CONTEXT: CautionContext = {
  subject: { birthDate: '1996-03-04', conditions: [], medications: [], beighton: null, noTouch: [], historyTaken: true },
  onDay: ON,
  scope: { mobilizationGrade: 4, byRegion: {}, frontOfNeck: true, ruleText: '', ruleLink: '' },
  daysToEvent: null,
  daysSinceEvent: null,
  raised: [],
  questions: 'answered',
  consent: null,
  today: [],
};

/** A stretch to the edge on the left that names no place yet. */
export const ACTION: CandidateAction = {
  moment: 'work',
  side: 'left',
  motionId: null,
  motionSide: 'left',
  moves: [],
  regions: [],
  loads: [],
  presses: [],
  squeezes: [],
  lengthens: [],
  contracts: [],
  under: [],
  nerves: [],
  techniques: ['lengthen'],
  position: null,
  grade: null,
  endRange: true,
  longLever: false,
  holdS: null,
  effortPct: null,
  contractS: null,
  postures: {},
  otherPostures: {},
  weight: false,
  headDown: false,
  heat: false,
  strokesAway: false,
  work: null,
};

export function condition(code: ConditionFields['code'], more: Partial<ConditionFields> = {}): ConditionFields {
  return {
    code,
    region: null,
    side: null,
    onset: null,
    surgeryOn: null,
    muscle: null,
    grade: null,
    words: '',
    clearance: null,
    resolvedOn: null,
    ...more,
  };
}
