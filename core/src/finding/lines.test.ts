import fc from 'fast-check';
import { findingLines, type Finding } from './index.ts';

const DAY = 86_400_000;
let serial = 0;
const point = (visit: number, what: 'lump' | 'clean', over: Partial<Finding> = {}): Finding =>
  ({
    id: `f${++serial}`,
    visitId: `v${visit}`,
    kind: 'point',
    subject: 'gastrocnemius/upper',
    side: 'left',
    moment: 'before',
    data: { what, tenderness: what === 'clean' ? null : 6, refers: [] },
    foundAt: new Date(Date.UTC(2026, 9, 1) + visit * DAY + serial).toISOString(),
    foundBy: 'Ann',
    supersedes: null,
    ...over,
  }) as Finding;

test('when first, how often, and gone since: clean looks count', () => {
  const [line] = findingLines([point(0, 'clean'), point(7, 'lump'), point(14, 'lump'), point(21, 'clean'), point(28, 'clean')]);
  expect(line).toMatchObject({ place: 'left gastrocnemius, upper third', times: 2 });
  expect(line!.firstAt.slice(0, 10)).toBe('2026-10-08');
  expect(line!.goneSince!.slice(0, 10)).toBe('2026-10-22');
  expect(line!.looks.map(({ isClean }) => isClean)).toEqual([true, false, false, true, true]);
  expect(findingLines([point(0, 'clean')])).toEqual([]);
  expect(findingLines([point(0, 'clean'), point(7, 'lump')])[0]!.goneSince).toBeNull();
});

test('of two looks at one visit the second counts; a corrected one counts not at all; places and sides are lines of their own', () => {
  const first = point(0, 'lump');
  expect(findingLines([first, point(0, 'clean', { moment: 'after' })])).toEqual([]);
  expect(findingLines([first, point(0, 'clean', { supersedes: first.id })])).toEqual([]);
  expect(findingLines([point(0, 'lump'), point(0, 'lump', { side: 'right' }), point(1, 'lump', { subject: 'soleus/lower' })])).toHaveLength(
    3,
  );
});

test('by another count: a place is gone exactly when its last look was clean, since the look after the last that was not', () => {
  fc.assert(
    fc.property(fc.array(fc.boolean(), { minLength: 1, maxLength: 9 }), (there) => {
      const lines = findingLines(there.map((is, i) => point(i * 7, is ? 'lump' : 'clean')));
      if (!there.includes(true)) return expect(lines).toEqual([]);
      const last = there.lastIndexOf(true);
      expect(lines[0]!.times).toBe(there.filter(Boolean).length);
      expect(lines[0]!.goneSince === null).toBe(last === there.length - 1);
      expect(lines[0]!.goneSince ?? '').toBe(last === there.length - 1 ? '' : lines[0]!.looks[last + 1]!.foundAt);
      return undefined;
    }),
  );
});
