import type { Bundle } from 'fhir/r4';
import type { AthleteFile, AthleteRow, DayPage } from '@pace-bend/core/record';
import { currentReadings, whatWasDone } from '@pace-bend/core/record';
import { foldRun } from '@pace-bend/core/table';
import { mkdtemp, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { migrate } from '../db/migrate.ts';
import { rows } from '../db/pool.ts';
import { openTestApp, NOW, request, visitFile, type TestApp } from '../testing/app.ts';
import { ensurePractice } from './load.ts';
import { fhirFaults } from '@pace-bend/core/testing';

let demo: TestApp;
beforeAll(async () => {
  demo = await openTestApp({ demo: true });
});
afterAll(() => demo.close());

const everything = (app: TestApp) => rows(app.pool, 'SELECT id, motion_id, side, moment, value FROM rom_reading ORDER BY id');

test('today has seven visits, a head race lies nine days ahead, and a spring regatta after it', async () => {
  const day = (await request(demo.app).get('/api/days/2026-11-25')).body as DayPage;
  expect(day.visits).toHaveLength(7);
  expect(day.events[0]).toMatchObject({ name: 'Head race', onDate: '2026-12-04' });
  expect(day.events.map((event) => event.name)).toContain('Spring regatta');
  expect(day.unfinished).toEqual([]);
});

test('at least ten people, at least four with twelve weeks of visits', async () => {
  const { athletes } = (await request(demo.app).get('/api/athletes')).body as { athletes: AthleteRow[] };
  expect(athletes.length).toBeGreaterThanOrEqual(10);
  const files = await Promise.all(athletes.map(async ({ id }) => (await request(demo.app).get(`/api/athletes/${id}`)).body as AthleteFile));
  const long = files.filter(
    (file) => file.visits.length >= 6 && NOW.getTime() - Date.parse(file.visits.at(-1)!.startsAt) > 78 * 86_400_000,
  );
  expect(long.length).toBeGreaterThanOrEqual(4);
  for (const file of long) {
    expect(file.past.some((reading) => reading.moment === 'after')).toBe(true);
  }
});

test('the same seed and day give the same data; a second start changes nothing', async () => {
  const twin = await openTestApp({ demo: true });
  expect(await everything(twin)).toEqual(await everything(demo));
  const before = await everything(demo);
  await ensurePractice(demo.pool, { now: new Date(NOW.getTime() + 86_400_000), demo: true });
  expect(await everything(demo)).toEqual(before);
  await twin.close();
});

test('a past visit has readings before and after, and a run that folds to its end', async () => {
  const { athletes } = (await request(demo.app).get('/api/athletes').query({ q: 'Tavi' })).body as { athletes: AthleteRow[] };
  const { visits } = (await request(demo.app).get(`/api/athletes/${athletes[0]!.id}`)).body as AthleteFile;
  const file = await visitFile(demo.app, visits.find((visit) => visit.finishedAt)!.id);
  expect(new Set(currentReadings(file.readings).map((reading) => reading.moment))).toEqual(new Set(['before', 'after']));
  const run = file.runs[0]!;
  const state = foldRun(
    run.line,
    run.events.map((stored) => stored.event),
  );
  expect(state.status).toBe('finished');
  expect(whatWasDone(run.line, state).map((side) => side.real.rounds)).toEqual([3, 3]);
});

test('without the demo there is an empty practice', async () => {
  const empty = await openTestApp();
  expect((await request(empty.app).get('/api/athletes')).body).toEqual({ athletes: [], total: 0, offset: 0 });
  expect((await request(empty.app).get('/api/welcome')).body.demoAccounts).toEqual([]);
  await empty.close();
});

test('a migration that changed after it landed is refused by name', async () => {
  const folder = await mkdtemp(join(tmpdir(), 'pace-bend-migrations-'));
  const file = join(folder, '0001_first_slice.sql');
  await writeFile(file, 'SELECT 1;');
  await expect(migrate(demo.pool, folder)).rejects.toThrow('0001_first_slice.sql was changed');
});

test('visits of one person differ in what brought them and in what was noted', async () => {
  const { athletes } = (await request(demo.app).get('/api/athletes')).body as { athletes: AthleteRow[] };
  for (const { id, name } of athletes) {
    const { visits } = (await request(demo.app).get(`/api/athletes/${id}`)).body as AthleteFile;
    const finished = visits.filter((visit) => visit.finishedAt);
    const notes = await rows<{ complaint: string; text: string }>(
      demo.pool,
      'SELECT v.complaint, n.text FROM visit v JOIN note n ON n.visit_id = v.id WHERE v.athlete_id = ? AND v.finished_at IS NOT NULL ORDER BY v.starts_at',
      [id],
    );
    expect([name, notes.length]).toEqual([name, finished.length]);
    // One visit is never told like the one before it.
    for (const [i, note] of notes.slice(1).entries())
      expect(`${note.complaint} ${note.text}`).not.toBe(`${notes[i]!.complaint} ${notes[i]!.text}`);
  }
});

test('everybody’s record leaves as valid FHIR R4, with as many readings, visits and blocks as are kept', async () => {
  const { athletes } = (await request(demo.app).get('/api/athletes')).body as { athletes: AthleteRow[] };
  let observations = 0;
  for (const { id, name } of athletes) {
    const answer = await request(demo.app)
      .get(`/api/athletes/${id}/fhir`)
      .expect('content-type', /^application\/fhir\+json/);
    const bundle = answer.body as Bundle;
    expect([name, fhirFaults(bundle)]).toEqual([name, []]);
    const count = (type: string) => bundle.entry!.filter(({ resource }) => resource!.resourceType === type).length;
    const file = (await request(demo.app).get(`/api/athletes/${id}`)).body as AthleteFile;
    expect([name, count('Observation'), count('Encounter')]).toEqual([name, file.past.length, file.visits.length]);
    observations += count('Observation');
  }
  expect(observations).toBeGreaterThan(300);
});
