import { NOTHING_KNOWN } from '../measure/index.ts';
import { BUILT_IN } from '../method/index.ts';
import { historyVisits, historyWays, inRegion, type AthleteHistory, type PastReading, type Visit } from './index.ts';

const visit = (id: string, day: number, over: Partial<Visit> = {}) =>
  ({
    id,
    startsAt: `2026-11-${String(day).padStart(2, '0')}T09:00:00.000Z`,
    complaint: '',
    finishedAt: 'x',
    cancelledAt: null,
    ...over,
  }) as Visit;
const reading = (visitId: string, moment: 'before' | 'after', value: number, over: Partial<PastReading> = {}): PastReading => ({
  visitId,
  startsAt: '',
  motionId: 'straight-leg-raise',
  side: 'left',
  moment,
  instrument: 'goniometer',
  examinerId: null,
  value,
  ...over,
});
const block = (visitId: string, entryId: string, methodId: string, motionId: string): AthleteHistory['blocks'][number] => ({
  visitId,
  startsAt: '',
  entryId,
  methodId,
  motionId,
  sides: [{ side: 'left', rounds: 3 }],
});
const NONE: AthleteHistory = { blocks: [], findings: [], home: [], planned: [] };
const FILE = {
  visits: [visit('a', 3), visit('b', 10), visit('c', 17, { cancelledAt: 'x' }), visit('d', 20)],
  past: [] as PastReading[],
  errors: NOTHING_KNOWN,
};

test('newest first, with what was done and how it answered; a visit of which nothing is known, or that was cancelled, is left out', () => {
  const visits = historyVisits(
    {
      ...FILE,
      past: [
        reading('a', 'before', 60),
        reading('a', 'after', 72),
        reading('b', 'before', 64),
        reading('b', 'after', 65),
        reading('c', 'before', 1),
      ],
    },
    { ...NONE, blocks: [block('a', 'straight-leg-hold', 'static-hold', 'straight-leg-raise')] },
    BUILT_IN,
  );
  expect(visits.map(({ visitId }) => visitId)).toEqual(['b', 'a']);
  expect(visits[0]!.answered).toMatchObject([{ words: expect.stringContaining('within the error'), isReal: false }]);
  expect(visits[1]!.answered).toMatchObject([{ words: expect.stringContaining('more than the error'), isReal: true }]);
  expect(visits[1]!.done[0]!.words).toMatch(/: .*, left 3 rounds$/);
});

test('values of two instruments are not compared; one that was not read again says so', () => {
  const answered = (past: PastReading[]) => historyVisits({ ...FILE, past }, NONE, BUILT_IN)[0]!.answered[0]!;
  expect(answered([reading('a', 'before', 60), reading('a', 'after', 80, { instrument: 'inclinometer' })])).toMatchObject({
    words: expect.stringContaining('not compared'),
  });
  expect(answered([reading('a', 'before', 60)]).words).toContain('not read again');
});

test('by part of the body and by way of working', () => {
  const visits = historyVisits(
    { ...FILE, past: [reading('a', 'before', 60), reading('b', 'before', 30, { motionId: 'ankle-dorsiflexion' })] },
    {
      ...NONE,
      blocks: [
        block('a', 'hamstring-straight', 'static-hold', 'straight-leg-raise'),
        block('b', 'calf-point-holds', 'point-hold', 'ankle-dorsiflexion'),
      ],
      planned: ['d'],
    },
    BUILT_IN,
  );
  const ids = (...by: Parameters<typeof inRegion> extends [unknown, ...infer Rest] ? Rest : never) =>
    inRegion(visits, ...by).map(({ visitId }) => visitId);
  expect(ids(null, null)).toEqual(['d', 'b', 'a']);
  expect(ids('calf', null)).toEqual(['b']);
  expect(ids('thigh-back', null)).toEqual(['a']);
  expect(ids(null, 'point-hold')).toEqual(['b']);
  expect(ids('thigh-back', 'point-hold')).toEqual([]);
  expect(
    historyWays(visits)
      .map(({ methodId }) => methodId)
      .sort(),
  ).toEqual(['point-hold', 'static-hold']);
});
