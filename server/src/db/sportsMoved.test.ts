import { cp, mkdtemp, readdir, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { playedSports, SPORTS, type AthleteSport } from '@pace-bend/core/sport';
import { scratchSchema } from '../testing/scratch.ts';
import { migrate } from './migrate.ts';
import { MIGRATIONS } from './migrationFiles.ts';
import { change, fromJson, rows } from './pool.ts';

async function older(): Promise<string> {
  const folder = await mkdtemp(join(tmpdir(), 'pace-bend-older-'));
  for (const name of (await readdir(MIGRATIONS)).filter((each) => each < '0009')) await cp(join(MIGRATIONS, name), join(folder, name));
  return folder;
}

/** What stood in the three old columns, and what it has to be as data. */
const CASES: readonly (readonly [rowing: string, sport: string, role: string, expected: readonly Partial<AthleteSport>[]])[] = [
  [
    'stroke',
    'Rowing',
    'Stroke, men’s eight',
    [{ sportId: 'rowing', discipline: 'sweep', role: 'stroke-side', words: 'Stroke, men’s eight' }],
  ],
  ['bow', '', '', [{ sportId: 'rowing', discipline: 'sweep', role: 'bow-side', words: '' }]],
  ['sculls', 'rower', '', [{ sportId: 'rowing', discipline: 'sculls', role: 'sculler', words: '' }]],
  ['cox', 'Rowing', 'women’s four', [{ sportId: 'rowing', discipline: null, role: 'cox', words: 'women’s four' }]],
  ['bow', 'Triathlon', '', [{ sportId: 'rowing', discipline: 'sweep', role: 'bow-side', words: 'Triathlon' }]],
  ['none', '', '', []],
  ['none', ' Running ', '', [{ sportId: 'running', words: 'Running' }]],
  ['none', 'Thrower', 'javelin', [{ sportId: 'throwing', words: 'Thrower, javelin' }]],
  ['none', 'Kite "buggying"', 'pilot', [{ sportId: 'other', words: 'Kite "buggying", pilot' }]],
  ['none', '', 'seat 5', [{ sportId: 'other', words: 'seat 5' }]],
];

test('what the old columns said of sport is kept as data, word for word where it is no sport', async () => {
  const schema = await scratchSchema();
  const folder = await older();
  await migrate(schema.pool, folder);
  await change(
    schema.pool,
    "INSERT INTO practice (id, name, time_zone) VALUES ('01900000-0000-7000-8000-000000000001', 'P', 'Europe/Berlin')",
  );
  for (const [i, [rowing, sport, role]] of CASES.entries())
    await change(
      schema.pool,
      "INSERT INTO athlete (id, practice_id, name, birth_date, reference_sex, rowing, sport, role, about, breath_period_ms) VALUES (UUID(), '01900000-0000-7000-8000-000000000001', ?, '2000-01-01', 'none', ?, ?, ?, '', 8000)",
      [String(i).padStart(2, '0'), rowing, sport, role],
    );
  await migrate(schema.pool);
  const found = await rows<{ sports: unknown }>(schema.pool, 'SELECT sports FROM athlete ORDER BY name');
  for (const [i, row] of found.entries()) {
    const sports = fromJson<AthleteSport[]>(row.sports);
    expect(sports).toEqual(CASES[i]![3].map((each) => ({ discipline: null, role: null, leading: null, ...each })));
    // Every id it names is one that ships, with the discipline and the role.
    const played = playedSports(sports);
    expect(played.map(({ discipline, role }) => [discipline?.id ?? null, role?.id ?? null])).toEqual(
      sports.map(({ discipline, role }) => [discipline, role]),
    );
  }
  const columns = await rows<{ name: string }>(
    schema.pool,
    "SELECT COLUMN_NAME AS name FROM information_schema.COLUMNS WHERE TABLE_SCHEMA = DATABASE() AND TABLE_NAME = 'athlete'",
  );
  expect(columns.map(({ name }) => name)).not.toEqual(expect.arrayContaining(['rowing']));
  expect(SPORTS.length).toBeGreaterThan(10);
  await schema.drop();
  await rm(folder, { recursive: true });
});
