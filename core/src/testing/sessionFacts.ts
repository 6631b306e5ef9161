import { NOTHING_KNOWN } from '../measure/index.ts';
import { SLOW_BREATH } from '../method/index.ts';
import type { SessionFacts } from '../session/index.ts';

/** A visit of forty minutes of somebody grown up, of whom nothing is on file and nothing was read; the practice may mobilize to the second grade. */
export const SESSION: SessionFacts = {
  person: { birthDate: '1999-05-05', referenceSex: 'female', sports: [] },
  onDay: '2026-11-25',
  today: [],
  past: [],
  pastBlocks: [],
  goals: [],
  complaint: { region: null, side: null },
  errors: NOTHING_KNOWN,
  daysToEvent: null,
  minutes: 40,
  breath: SLOW_BREATH,
  overrides: [],
  causes: {},
  warm: false,
  pins: [],
  bans: [],
  withoutPositions: [],
  caution: {
    subject: { birthDate: '1999-05-05', conditions: [], medications: [], beighton: null, noTouch: [], historyTaken: true },
    onDay: '2026-11-25',
    scope: { mobilizationGrade: 2, byRegion: {}, frontOfNeck: true, ruleText: '', ruleLink: '' },
    daysToEvent: null,
    daysSinceEvent: null,
    raised: [],
    questions: 'answered',
    consent: null,
    today: [],
  },
};
