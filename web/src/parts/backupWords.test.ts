import { stillStandsIn } from './backupWords.ts';

const made = (goesOn: string | null) => ({ name: 'b', madeAt: '2026-11-01T00:00:00.000Z', goesOn });
const words = (...ends: (string | null)[]) => stillStandsIn(ends.map(made), (day) => day);

test('says in how many they stand and when the last one goes', () => {
  expect(words()).toMatch(/^No backup is noted here/);
  expect(words('2026-12-01')).toContain(
    'in one backup noted here; the last of them goes with the first backup made on 2026-12-01 or after',
  );
  expect(words('2026-12-09', '2026-12-01')).toContain(
    'in 2 backups noted here; the last of them goes with the first backup made on 2026-12-09',
  );
});

test('where one has no end, no end is promised', () => {
  expect(words(null)).toContain('no day is set on which they go');
  const mixed = words('2026-12-01', null, null);
  expect(mixed).toContain('for 2 of them no day is set on which they go');
  expect(mixed).not.toContain('the last of them goes');
});
