import { motionOf } from '@pace-bend/core/body';
import type { PastReading } from '@pace-bend/core/record';
import { seriesOf } from './series.ts';

const gap = motionOf('heel-to-buttock');
const reading = (visit: number, moment: 'before' | 'after', value: number): PastReading => ({
  visitId: `v${visit}`,
  startsAt: `2026-0${visit}-01T09:00:00.000Z`,
  motionId: gap.id,
  side: 'left',
  moment,
  instrument: 'tape',
  examinerId: null,
  value,
});
const person = { birthDate: '2000-01-01', referenceSex: 'none' as const };

test('a point for each visit with its values before and after, the first one before being the baseline', () => {
  const [left, ...others] = seriesOf(
    gap,
    [reading(1, 'before', 16), reading(1, 'after', 12), reading(2, 'before', 14), reading(3, 'after', 10)],
    person,
    '2026-11-25',
  );
  expect(others).toEqual([]);
  expect(left!.points.map(({ before, after }) => [before, after])).toEqual([
    [16, 12],
    [14, null],
    [null, 10],
  ]);
  expect(left!.baseline).toBe(16);
  // A smaller gap is a gain.
  expect(left!.kept.meanGain).toBe(4);
  expect(left!.kept.steps).toEqual([expect.objectContaining({ gained: 4, kept: 2 })]);
  expect(left!.level.points).toHaveLength(2);
  expect(left!.verdict).toBe('+2.0 cm: inside the default error of ±6.2 cm');
  // 1.96 · √2 · 1.5 cm, half as much again from visit to visit.
  expect(left!.mdc).toBeCloseTo(6.237, 3);
});

test('one visit is a baseline and nothing else', () => {
  expect(seriesOf(gap, [reading(1, 'before', 16)], person, '2026-11-25')[0]!.verdict).toContain('baseline');
});

test('measured only after work: no baseline, no series', () => {
  expect(seriesOf(gap, [reading(1, 'after', 16)], person, '2026-11-25')).toEqual([]);
});
