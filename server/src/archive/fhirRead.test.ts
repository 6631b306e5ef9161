import { parse } from 'csv-parse/sync';
import { archivePieces, type ArchiveReport } from '@pace-bend/core/exchange';
import { readFhir, type FhirRead } from '@pace-bend/core/fhir';
import { openTestApp, request, type TestApp } from '../testing/app.ts';

let home: TestApp;
let away: TestApp;
beforeAll(async () => {
  [home, away] = [await openTestApp({ demo: true }), await openTestApp()];
}, 240_000);
afterAll(async () => {
  await home.close();
  await away.close();
});

const AT = '2026-11-29T10:00:00.000Z';
const bundleOf = async (id: string) => JSON.parse((await request(home.app).get(`/api/athletes/${id}/fhir`).expect(200)).text) as unknown;
const read = (json: unknown): FhirRead => {
  const found = readFhir(json, AT);
  if (typeof found === 'string') throw new Error(found);
  return found;
};
const people = async (test: TestApp) =>
  ((await request(test.app).get('/api/athletes?limit=100').expect(200)).body as { athletes: { id: string; name: string }[] }).athletes;
const send = async (test: TestApp, what: 'look' | 'take', { file, derived }: FhirRead, id: string) => {
  const reports: ArchiveReport[] = [];
  for (const piece of archivePieces(file, { [id]: 'new' }, derived))
    reports.push((await request(test.app).post(`/api/archive/${what}`).send(piece).expect(200)).body as ArchiveReport);
  return reports.flatMap(({ counts }) => counts);
};
const table = async (test: TestApp, id: string, name: string) =>
  parse<Record<string, string>>((await request(test.app).get(`/api/athletes/${id}/tables/${name}`).expect(200)).text, { columns: true });

test('what left as FHIR is known again where it left: nothing is new, and nothing that it says differs', async () => {
  let readings = 0;
  for (const { id } of (await people(home)).slice(0, 9)) {
    for (const { table: name, fresh, here, differs, left } of await send(home, 'look', read(await bundleOf(id)), id)) {
      expect([name, fresh, differs, left]).toEqual([name, 0, 0, 0]);
      if (name === 'rom_reading') readings += here;
    }
  }
  expect(readings).toBeGreaterThan(400);
}, 120_000);

test('in an empty practice everything understood is there to the same values, and the second time nothing is added', async () => {
  for (const { id, name } of (await people(home)).slice(2, 5)) {
    const bundle = read(await bundleOf(id));
    await send(away, 'take', bundle, id);
    const again = await send(away, 'take', bundle, id);
    expect(again.every(({ fresh, differs, left }) => fresh + differs + left === 0)).toBe(true);
    const file = (await request(away.app).get(`/api/athletes/${id}`).expect(200)).body as { athlete: { name: string } };
    expect(file.athlete.name).toBe(name);
    for (const which of ['readings', 'trials']) expect(await table(away, id, which)).toEqual(await table(home, id, which));
    const days = async (test: TestApp) => (await table(test, id, 'visits')).map((row) => row['Day']);
    expect(await days(away)).toEqual(await days(home));
  }
}, 120_000);

test('what is not read in is counted with why', async () => {
  const { id } = (await people(home))[0]!;
  const bundle = (await bundleOf(id)) as { entry: { resource: { resourceType: string } }[] };
  const procedures = bundle.entry.filter(({ resource }) => resource.resourceType === 'Procedure').length;
  expect(procedures).toBeGreaterThan(0);
  expect(read(bundle).notUnderstood).toContainEqual({
    what: 'Procedure',
    why: 'how work was counted at the table does not stand in it',
    count: procedures,
  });
});
