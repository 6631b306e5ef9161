import { NOTHING_KNOWN } from '@pace-bend/core/measure';
import type { AthleteFile, SeasonFile } from '@pace-bend/core/record';
import { EMPTY_PLAN } from '@pace-bend/core/season';
import { reportOf, type ReportFacts } from './report.ts';
import { reportDocument } from './reportPdf.ts';

const TODAY = '2026-11-27';
const reading = (on: string, value: number, moment: 'before' | 'after' = 'before') => ({
  visitId: on,
  startsAt: `${on}T09:00:00.000Z`,
  motionId: 'straight-leg-raise',
  side: 'left' as const,
  moment,
  instrument: 'inclinometer' as const,
  examinerId: null,
  trialCount: 3,
  value,
});
const file = {
  athlete: { id: 'a', name: 'Ann Bow', birthDate: '2000-01-01', referenceSex: 'none', sports: [], availability: 'limited' },
  conditions: [{ words: 'torn in spring' }],
  noTouch: [],
  squads: [],
  past: [reading('2026-08-01', 50), reading('2026-10-01', 60), reading('2026-11-20', 62)],
  errors: NOTHING_KNOWN,
  goals: [
    {
      id: 'g',
      motionId: 'straight-leg-raise',
      side: 'left',
      value: 80,
      byDate: '2027-02-01',
      why: 'wish',
      whyWords: 'to touch the toes',
      setAt: '2026-10-01T09:00:00.000Z',
    },
  ],
  visits: [
    { id: 'v', startsAt: '2026-10-01T09:00:00.000Z', minutes: 45, finishedAt: '2026-10-01T10:00:00.000Z', cancelledAt: null },
    { id: 'w', startsAt: '2026-10-08T09:00:00.000Z', minutes: 45, finishedAt: null, cancelledAt: '2026-10-07T10:00:00.000Z' },
  ],
  referredVisitIds: [],
  events: [{ id: 'e', name: 'Head race', onDate: '2026-12-06', importance: 1, squadId: null, athleteId: null, revision: 1 }],
} as unknown as AthleteFile;
const season = {
  plan: { ...EMPTY_PLAN, blocks: [{ phase: 'build', from: '2026-09-01', until: '2026-12-20', fromAnchor: null, untilAnchor: null }] },
  followed: null,
  rules: [],
} as unknown as SeasonFile;
const facts: ReportFacts = {
  file,
  season,
  from: '2026-09-01',
  to: TODAY,
  today: TODAY,
  practice: 'River room',
  sport: 'Rowing',
  availability: 'limited',
  dayOf: (instant) => instant.slice(0, 10),
  dayWords: (day) => day,
};
const text = (report: ReturnType<typeof reportOf>) =>
  JSON.stringify({ ...report, motions: report.motions.map(({ sides }) => sides.map(({ words }) => words)) });

test('for the athlete: what lies in the time, goals with why, the season; nothing from before', () => {
  const report = reportOf(facts, 'athlete');
  expect(report.sentences).toContain('1 visit in this time, 45 minutes booked.');
  expect(report.sentences).toContain('Ahead: Head race, 2026-12-06.');
  expect(report.season).toEqual(['Build, 2026-09-01 to 2026-12-20']);
  const [side] = report.motions[0]!.sides;
  expect(side!.words).toMatch(/^Left: 60\.0° at first, 62\.0° now\. /);
  expect(side!.words).toContain('to touch the toes');
  expect(side!.words).toContain('path');
  expect(text(report)).not.toContain('50.0°');
});

test('for a coach: availability and range, and no reasons', () => {
  const report = reportOf(facts, 'coach');
  expect(report.sentences[0]).toBe('Availability today: limited.');
  expect(report.season).toEqual([]);
  for (const hidden of ['toes', 'wish', 'torn', 'path', 'Build']) expect(text(report)).not.toContain(hidden);
  expect(report.motions[0]!.sides[0]!.words).toContain('Goal 80.0° by 2027-02-01.');
});

test('the document holds every word, and drawings where there are any', () => {
  const report = reportOf(facts, 'athlete');
  const document = JSON.stringify(
    reportDocument(report, { chart: (motionId, side) => `<svg id="${motionId}/${side}"/>`, figure: () => null }),
  );
  for (const words of [report.title, ...report.sentences, report.motions[0]!.sides[0]!.words])
    expect(document).toContain(JSON.stringify(words).slice(1, -1));
  expect(document).toContain('straight-leg-raise/left');
  expect(reportOf({ ...facts, from: '2020-01-01', to: '2020-02-01' }, 'coach').sentences).toContain('Nothing was measured in this time.');
});
