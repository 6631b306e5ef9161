import { BLANK_FILE, historyOf, type AthleteFile, type Condition, type Visit } from './index.ts';

const TODAY = '2026-11-25';
const dayOf = (instant: string) => instant.slice(0, 10);
const condition = (more: Partial<Condition> & Pick<Condition, 'code'>): Condition => ({
  id: 'c',
  revision: 1,
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
});
const visit = (id: string, on: string, more: Partial<Visit> = {}): Visit => ({
  id,
  athleteId: 'a',
  startsAt: `${on}T09:00:00.000Z`,
  minutes: 45,
  step: 'close',
  finishedAt: `${on}T10:00:00.000Z`,
  cancelledAt: null,
  eventDayId: null,
  revision: 1,
  complaint: '',
  complaintRegion: null,
  complaintSide: null,
  complaintScore: null,
  changed: '',
  trainingSince: '',
  trainingNext: '',
  minutesAvailable: 45,
  consent: null,
  consentWord: '',
  lookFirst: '',
  ...more,
});
const file = (more: Partial<AthleteFile>): AthleteFile => ({
  athlete: {
    ...BLANK_FILE,
    id: 'a',
    revision: 1,
    name: 'Ann',
    birthDate: '2000-01-01',
    referenceSex: 'none',
    sports: [],
    about: '',
    breathPeriodMs: 9000,
  },
  conditions: [],
  noTouch: [],
  squads: [],
  past: [],
  errors: { own: [], shifts: [] },
  goals: [],
  visits: [],
  referredVisitIds: [],
  events: [],
  ...more,
});
const lines = (more: Partial<AthleteFile>) => historyOf(file(more), TODAY, dayOf).map((line) => [line.on, line.kind, line.words]);

test('a condition gives a line for each of its days: operation, onset, clearance, end; newest first', () => {
  const knee = condition({
    code: 'knee-operation',
    side: 'left',
    onset: '2026-07-01',
    surgeryOn: '2026-10-07',
    muscle: null,
    grade: null,
    words: 'Turned in the boat',
    resolvedOn: '2026-11-20',
    clearance: { by: 'Dr Example', on: '2026-11-15', text: 'knee bend to 110°', limits: [] },
  });
  expect(lines({ conditions: [knee] })).toEqual([
    ['2026-11-20', 'resolved', 'Knee operation, left knee: over'],
    ['2026-11-15', 'clearance', 'Knee operation, left knee: cleared by Dr Example, “knee bend to 110°”'],
    ['2026-10-07', 'operation', 'Knee operation, left knee'],
    ['2026-07-01', 'condition', 'Knee operation, left knee: Turned in the boat'],
  ]);
});

test('onset on the day of the operation is said once; a condition without any day gives no line', () => {
  expect(lines({ conditions: [condition({ code: 'hip-operation', onset: '2026-10-07', surgeryOn: '2026-10-07' })] })).toHaveLength(1);
  expect(lines({ conditions: [condition({ code: 'knee-pain' })] })).toEqual([]);
});

test('visits: what was complained of and measured, referrals, bookings ahead, ones left open; cancelled ones are not history', () => {
  const reading = (motionId: string, side: 'left' | 'right') => ({
    visitId: 'm',
    startsAt: '2026-11-10T09:00:00.000Z',
    motionId,
    side,
    moment: 'before' as const,
    instrument: 'goniometer' as const,
    examinerId: null,
    value: 10,
  });
  expect(
    lines({
      visits: [
        visit('m', '2026-11-10', { complaint: 'Stiff' }),
        visit('r', '2026-11-12'),
        visit('open', '2026-11-14', { finishedAt: null }),
        visit('ahead', '2026-12-01', { finishedAt: null }),
        visit('gone', '2026-11-16', { cancelledAt: '2026-11-15T09:00:00.000Z' }),
      ],
      referredVisitIds: ['r'],
      past: [reading('hip-flexion', 'left'), reading('hip-flexion', 'right'), reading('knee-flexion', 'left')],
    }),
  ).toEqual([
    ['2026-12-01', 'visit', 'Visit · booked'],
    ['2026-11-14', 'visit', 'Visit · not finished'],
    ['2026-11-12', 'referral', 'Visit · ended in a referral'],
    ['2026-11-10', 'visit', 'Stiff · 2 motions measured'],
  ]);
});

test('areas not to be touched, and events as far as they lie behind', () => {
  expect(
    lines({
      noTouch: [{ id: 'n', region: 'belly', side: null, words: '', since: '2026-09-26T09:00:00.000Z' }],
      events: [
        { id: 'e', name: 'Autumn head', onDate: '2026-10-04', importance: 2, squadId: null, athleteId: null, revision: 1 },
        { id: 'f', name: 'Head race', onDate: '2026-12-04', importance: 1, squadId: null, athleteId: null, revision: 1 },
      ],
    }),
  ).toEqual([
    ['2026-10-04', 'event', 'Autumn head'],
    ['2026-09-26', 'no-touch', 'Not to be touched: belly'],
  ]);
});
