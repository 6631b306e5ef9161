import { NOTHING_KNOWN } from '../measure/index.ts';
import { sortStrip, stripOf, type PastReading, type SquadStrip } from './index.ts';

const reading = (motionId: string, side: 'left' | 'right', value: number, on: string): PastReading => ({
  visitId: on,
  startsAt: on,
  motionId,
  side,
  moment: 'before',
  instrument: 'goniometer',
  examinerId: null,
  value,
});
const person = (name: string, readings: readonly PastReading[]): SquadStrip['athletes'][number] => ({
  id: name.toLowerCase(),
  name,
  birthDate: '2001-03-04',
  referenceSex: 'female',
  sports: [{ sportId: 'rowing', discipline: 'sweep', role: 'bow-side', leading: null, words: '' }],
  readings,
});
const squad: SquadStrip = {
  squadId: 's',
  name: 'Four',
  errors: NOTHING_KNOWN,
  athletes: [
    person('Bo', [
      reading('hip-flexion', 'left', 131, '2026-09-01'),
      reading('hip-flexion', 'left', 133, '2026-11-01'),
      reading('hip-flexion', 'right', 132, '2026-11-01'),
    ]),
    person('Al', [
      reading('hip-flexion', 'left', 100, '2026-09-01'),
      reading('hip-flexion', 'left', 118, '2026-10-01'),
      reading('hip-flexion', 'left', 105, '2026-11-01'),
      reading('knee-flexion', 'right', 140, '2026-11-01'),
    ]),
    person('Cy', []),
  ],
};

test('the latest reading stands for now; what it is held against comes before it', () => {
  const { motions, rows } = stripOf(squad, (instant) => instant);
  expect(motions.map((motion) => motion.id)).toEqual(['hip-flexion', 'knee-flexion']);
  const al = rows[1]!;
  expect(al.cells.get('hip-flexion')!.comparison.sides[0]!.now!.value).toBe(105);
  expect(al.cells.get('hip-flexion')!.changes).toEqual([
    { side: 'left', verdict: expect.objectContaining({ kind: 'real-loss', gain: -13 }) },
  ]);
  expect(al.cells.get('hip-flexion')!.score).toBeGreaterThan(5);
  expect([al.changed, rows[0]!.changed, rows[0]!.worst]).toEqual([1, 0, 0]);
});

test.each([
  ['name', ['Al', 'Bo', 'Cy']],
  ['worst', ['Al', 'Bo', 'Cy']],
  ['changed', ['Al', 'Bo', 'Cy']],
] as const)('sorted by %s', (order, names) =>
  expect(sortStrip(stripOf(squad, (instant) => instant).rows, order).map((row) => row.name)).toEqual(names),
);

test('sorted by one motion, those who were not read in it come last', () => {
  expect(sortStrip(stripOf(squad, (instant) => instant).rows, { motionId: 'knee-flexion' }).map((row) => row.name)).toEqual([
    'Al',
    'Bo',
    'Cy',
  ]);
  expect(
    sortStrip(stripOf({ ...squad, athletes: squad.athletes.slice(0, 1) }, (instant) => instant).rows, { motionId: 'hip-flexion' }),
  ).toHaveLength(1);
});
