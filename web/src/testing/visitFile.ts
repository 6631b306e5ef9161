import { BLANK_FILE, type Arrival, type Reading, type VisitFile } from '@pace-bend/core/record';

/** Somebody of whom nothing was asked yet. */
const BLANK_ARRIVAL: Arrival = {
  complaint: '',
  complaintRegion: null,
  complaintSide: null,
  complaintScore: null,
  changed: '',
  trainingSince: '',
  trainingNext: '',
  minutesAvailable: 40,
  consent: null,
  consentWord: '',
  lookFirst: '',
};

let serial = 0;

/** A reading as the server sends it. */
export function reading(patch: Partial<Reading> & Pick<Reading, 'motionId' | 'trials'>): Reading {
  serial += 1;
  const trials = patch.trials;
  return {
    id: `reading-${serial}`,
    visitId: 'v',
    side: 'left',
    moment: 'before',
    mode: 'passive',
    instrument: 'inclinometer',
    supersedes: null,
    examinerId: null,
    takenAt: '2026-11-25T09:30:00.000Z',
    value: trials.length > 0 ? trials.reduce((sum, trial) => sum + trial, 0) / trials.length : null,
    ...patch,
  };
}

/** A visit as the server sends it, for an invented athlete. */
export function visitFile(patch: Partial<VisitFile> = {}): VisitFile {
  return {
    visit: {
      id: 'v',
      athleteId: 'a',
      startsAt: '2026-11-25T09:20:00.000Z',
      minutes: 40,
      step: 'measure',
      finishedAt: null,
      cancelledAt: null,
      eventDayId: null,
      revision: 1,
      ...BLANK_ARRIVAL,
    },
    athlete: {
      ...BLANK_FILE,
      id: 'a',
      revision: 1,
      name: 'Ann Example',
      birthDate: '2002-02-21',
      referenceSex: 'male',
      sports: [{ sportId: 'rowing', discipline: 'sweep', role: 'stroke-side', leading: null, words: '' }],
      about: '',
      breathPeriodMs: 10_000,
    },
    conditions: [],
    noTouch: [],
    scope: { mobilizationGrade: 0, byRegion: {}, frontOfNeck: true, ruleText: '', ruleLink: '' },
    lastEvent: null,
    lastArrival: null,
    answers: [],
    overrides: [],
    referral: null,
    nextEvent: null,
    visitNumber: 2,
    readings: [],
    past: [],
    pastBlocks: [],
    errors: { own: [], shifts: [] },
    findings: [],
    lastFindings: [],
    goals: [],
    season: null,
    comparison: null,
    readiness: { scale: 'four-items', checkIns: [], loads: [], setAside: [], kept: null },
    plan: { revision: 0, blocks: [] },
    runs: [],
    nextVisitAt: null,
    home: { items: [], until: '', words: '', revision: 0 },
    lastHome: null,
    homeAnswers: null,
    note: { text: '', edits: {}, revision: 0, signed: null, addenda: [] },
    ...patch,
  };
}
