import { readFileSync } from 'node:fs';
import { Ajv } from 'ajv';
import {
  archivePieces,
  archivePerson,
  readArchive,
  type ArchiveFile,
  type ArchivePiece,
  type ArchiveReport,
} from '@pace-bend/core/exchange';
import { rows } from '../db/pool.ts';
import { ANN, newAskedVisit, openTestApp, request, requestAs, uuid, visitFile, type TestApp } from '../testing/app.ts';
import { readLayout } from './columns.ts';
import { otherId } from './place.ts';
import { archiveSchema, pieceSchema } from './shape.ts';
import { ARCHIVE_TABLES, NOT_A_COLUMN, NOT_ARCHIVED } from './tables.ts';

let home: TestApp;
let away: TestApp;
beforeAll(async () => {
  [home, away] = [await openTestApp({ demo: true }), await openTestApp()];
}, 240_000);
afterAll(async () => {
  await home.close();
  await away.close();
});

const fileOf = (text: string): ArchiveFile => {
  const file = readArchive(text);
  if (typeof file === 'string') throw new Error(file);
  return file;
};
const practiceFile = async (test: TestApp, cookie?: string) =>
  fileOf((await (cookie ? requestAs(test.app, cookie) : request(test.app)).get('/api/export/practice').expect(200)).text);
const post = async (test: TestApp, what: 'look' | 'take', piece: ArchivePiece, cookie?: string) =>
  (await (cookie ? requestAs(test.app, cookie) : request(test.app)).post(`/api/archive/${what}`).send(piece).expect(200))
    .body as ArchiveReport;
/** Everybody of a file as somebody new, piece by piece. */
const takeAll = async (test: TestApp, file: ArchiveFile, cookie?: string, what: 'look' | 'take' = 'take') => {
  const people = Object.fromEntries(file.athletes.map(({ tables }) => [archivePerson(tables)!.id, 'new' as const]));
  const reports: ArchiveReport[] = [];
  for (const piece of archivePieces(file, people)) reports.push(await post(test, what, piece, cookie));
  return reports;
};
const sum = (reports: readonly ArchiveReport[], of: 'fresh' | 'here' | 'differs' | 'left') =>
  reports.flatMap(({ counts }) => counts).reduce((all, count) => all + count[of], 0);
const rowsIn = ({ shared, athletes }: ArchiveFile) =>
  [shared, ...athletes.map(({ tables }) => tables)].flatMap((tables) => Object.values(tables)).reduce((all, some) => all + some.length, 0);
/** What of a file does not depend on who takes it out, and when. */
const content = ({ shared, athletes }: ArchiveFile) => ({ shared, athletes: athletes.map(({ tables }) => tables) });

describe('what an archive is', () => {
  test('every table of the database stands in it, or is said why not; every column of those as well', async () => {
    const found = await rows<{ name: string }>(
      home.pool,
      "SELECT table_name AS name FROM information_schema.tables WHERE table_schema = DATABASE() AND table_type = 'BASE TABLE'",
    );
    const listed = new Set([...ARCHIVE_TABLES.map(({ name }) => name), ...Object.keys(NOT_ARCHIVED)]);
    expect(found.map(({ name }) => name).sort()).toEqual([...listed].sort());
    const layout = await readLayout(home.pool);
    const columns = await rows<{ t: string; c: string }>(
      home.pool,
      'SELECT table_name AS t, column_name AS c FROM information_schema.columns WHERE table_schema = DATABASE()',
    );
    for (const { t, c } of columns)
      if (layout.has(t)) expect([t, c, layout.get(t)!.some(({ name }) => name === c) || NOT_A_COLUMN.has(c)]).toEqual([t, c, true]);
  });

  test('what the database keeps as its longest text is JSON, and nothing else is', async () => {
    const checked = await rows<{ t: string; c: string }>(
      home.pool,
      "SELECT table_name AS t, constraint_name AS c FROM information_schema.check_constraints WHERE constraint_schema = DATABASE() AND check_clause LIKE 'json_valid%'",
    );
    const long = await rows<{ t: string; c: string }>(
      home.pool,
      "SELECT table_name AS t, column_name AS c FROM information_schema.columns WHERE table_schema = DATABASE() AND data_type = 'longtext'",
    );
    const names = (all: readonly { t: string; c: string }[]) => all.map(({ t, c }) => `${t}.${c}`).sort();
    expect(names(long)).toEqual(names(checked));
  });

  test('the schema in docs is the one of this layout (kept as GET /api/archive/schema says it)', async () => {
    const { text } = await request(home.app).get('/api/archive/schema').expect(200);
    const kept = readFileSync(new URL('../../../docs/archive.schema.json', import.meta.url), 'utf8');
    expect(JSON.parse(kept)).toEqual(JSON.parse(text));
  });

  test('a general-purpose validator finds records and the practice after that schema', async () => {
    const valid = new Ajv({ allErrors: true, allowUnionTypes: true }).compile(archiveSchema(await readLayout(home.pool)));
    const practice = await practiceFile(home);
    expect([valid(practice), valid.errors]).toEqual([true, null]);
    expect(practice.athletes.length).toBeGreaterThan(10);
    const id = archivePerson(practice.athletes[0]!.tables)!.id;
    const record = JSON.parse((await request(home.app).get(`/api/athletes/${id}/record`).expect(200)).text) as ArchiveFile;
    expect([valid(record), valid.errors]).toEqual([true, null]);
    expect(record.athletes[0]!.tables).toEqual(practice.athletes[0]!.tables);
  });

  test('what the schema refuses the server refuses, and the other way round, over rows changed at random', async () => {
    const layout = await readLayout(home.pool);
    const valid = new Ajv({ allowUnionTypes: true }).compile(archiveSchema(layout));
    const joi = pieceSchema(layout);
    const practice = await practiceFile(home);
    const [, piece] = archivePieces(practice, {});
    let seed = 7;
    const random = (n: number) => (seed = (seed * 48271) % 2147483647) % n;
    const wrong = [null, 'x', '', 7, -1, 1.5, true, [], {}, 'x'.repeat(70_000), '2026-02-01', '2026-11-25T09:00:00.000Z', uuid()];
    const tables = Object.entries(piece!.athlete!).filter(([, found]) => found.length > 0);
    const verdicts = new Set<boolean>();
    for (let i = 0; i < 600; i++) {
      const [name, found] = tables[random(tables.length)]!;
      const row = { ...found[random(found.length)]! } as Record<string, unknown>;
      const columns = Object.keys(row);
      const column = columns[random(columns.length)]!;
      if (random(9) === 0) delete row[column];
      else row[column] = wrong[random(wrong.length)];
      if (random(20) === 0) row.other = 1;
      const changed = { [name]: [row] };
      const bySchema = valid({ ...practice, shared: {}, athletes: [{ tables: changed }] });
      const byServer = joi.validate({ ...piece, shared: {}, athlete: changed, people: {} }, { convert: false }).error === undefined;
      verdicts.add(bySchema);
      expect([name, column, row[column], byServer]).toEqual([name, column, row[column], bySchema]);
    }
    expect(verdicts.size).toBe(2);
  });
});

describe('into another practice', () => {
  test('an empty one on another machine: the same rows, found the same by every reader; the second time nothing is added', async () => {
    const file = await practiceFile(home);
    const few = { ...file, athletes: file.athletes.slice(0, 3) };
    const looked = await takeAll(away, few, undefined, 'look');
    expect(sum(looked.slice(0, 1), 'fresh')).toBe(Object.values(file.shared).reduce((all, some) => all + some.length, 0));
    expect(await rows(away.pool, 'SELECT id FROM athlete')).toEqual([]);
    expect(await rows(away.pool, "SELECT id FROM account WHERE login LIKE 'was-%'")).toEqual([]);

    const taken = await takeAll(away, file);
    expect([sum(taken, 'differs'), sum(taken, 'left')]).toEqual([0, 0]);
    const back = await practiceFile(away);
    // Its own practice is another one: what the whole practice follows is under its id.
    expect(JSON.stringify(content(back)).replaceAll(away.practiceId, home.practiceId)).toBe(JSON.stringify(content(file)));
    for (const { tables } of file.athletes) {
      const { id } = archivePerson(tables)!;
      for (const path of [`/api/athletes/${id}/history`, `/api/athletes/${id}/tables/blocks`, `/api/athletes/${id}/tables/trials`]) {
        const [one, two] = [await request(home.app).get(path).expect(200), await request(away.app).get(path).expect(200)];
        expect(two.text).toBe(one.text);
      }
    }
    const again = await takeAll(away, file);
    expect([sum(again, 'fresh'), sum(again, 'differs'), sum(again, 'left')]).toEqual([0, 0, 0]);
    expect(content(await practiceFile(away))).toEqual(content(back));
    // Who worked there is a name that cannot sign in.
    const names = await rows<{ active: number; password_hash: string }>(
      away.pool,
      "SELECT active, password_hash FROM account WHERE login LIKE 'was-%'",
    );
    expect(names.length).toBeGreaterThan(1);
    expect(names.every((name) => name.active === 0 && name.password_hash === 'none')).toBe(true);
  }, 240_000);

  test('every visit that came in opens there', async () => {
    const visits = await rows<{ id: string }>(away.pool, 'SELECT id FROM visit');
    expect(visits.length).toBeGreaterThan(50);
    for (const { id } of visits) expect((await visitFile(away.app, id)).visit.id).toBe(id);
  }, 240_000);

  test('a second practice of the same database, and back: everything under other ids, known again on the way home', async () => {
    const other = await home.anotherPractice();
    const cookie = await home.cookieOf('owner', other);
    const before = await practiceFile(home);
    // A few of them, so that it is quick.
    const file = { ...before, athletes: before.athletes.slice(0, 4) };
    const taken = await takeAll(home, file, cookie);
    expect([sum(taken, 'differs'), sum(taken, 'left')]).toEqual([0, 0]);
    expect(sum(taken, 'fresh')).toBe(rowsIn(file));
    const there = await practiceFile(home, cookie);
    expect(rowsIn(there)).toBe(rowsIn(file));
    const [ours, theirs] = [file, there].map(({ athletes }) => athletes.map(({ tables }) => archivePerson(tables)!.id));
    expect(ours!.filter((id) => theirs!.includes(id))).toEqual([]);
    const again = await takeAll(home, file, cookie);
    expect([sum(again, 'fresh'), sum(again, 'differs'), sum(again, 'left')]).toEqual([0, 0, 0]);
    const homeAgain = await takeAll(home, there);
    expect([sum(homeAgain, 'fresh'), sum(homeAgain, 'differs'), sum(homeAgain, 'left')]).toEqual([0, 0, 0]);
    expect(content(await practiceFile(home))).toEqual(content(before));
  }, 240_000);

  test('an erased athlete comes back whole from their own record, and into nobody else’s', async () => {
    const { athleteId, visitId } = await newAskedVisit(home.app);
    const record = fileOf((await request(home.app).get(`/api/athletes/${athleteId}/record`).expect(200)).text);
    await request(home.app).delete(`/api/athletes/${athleteId}`).send({ confirm: ANN.name, copy: 'not wanted' }).expect(200);
    await takeAll(home, record);
    const back = fileOf((await request(home.app).get(`/api/athletes/${athleteId}/record`).expect(200)).text);
    expect(content(back)).toEqual(content(record));
    expect((await visitFile(home.app, visitId)).answers).not.toBeNull();
    const lines = ((await request(home.app).get(`/api/audit?athlete=${athleteId}`).expect(200)).body as { lines: { what: string }[] })
      .lines;
    expect(lines.map(({ what }) => what)).toContain('records imported');
  });

  test('somebody of the same name and birth date: asked, joined or new, and never doubled', async () => {
    const here = uuid();
    await request(away.app)
      .put(`/api/athletes/${here}`)
      .send({ ...ANN, about: 'known here' })
      .expect(200);
    const { athleteId } = await newAskedVisit(home.app);
    const file = fileOf((await request(home.app).get(`/api/athletes/${athleteId}/record`).expect(200)).text);
    const [, piece] = archivePieces(file, {});
    const look = await post(away, 'look', piece!);
    expect(look.same).toEqual({ id: here, name: ANN.name, birthDate: ANN.birthDate, by: 'name' });
    expect(look.left).toEqual([
      expect.objectContaining({ table: 'athlete', why: 'differs', columns: expect.arrayContaining(['about']) as string[] }),
    ]);
    // Without a word about who they are nothing is taken in.
    await request(away.app).post('/api/archive/take').send(piece).expect(422);

    const joined = archivePieces(file, { [athleteId]: { same: here } })[1]!;
    await post(away, 'take', joined);
    const athlete = (await request(away.app).get(`/api/athletes/${here}`).expect(200)).body as {
      athlete: { about: string };
      visits: unknown[];
    };
    expect([athlete.athlete.about, athlete.visits.length]).toEqual(['known here', 1]);
    const again = await post(away, 'take', joined);
    expect(sum([again], 'fresh')).toBe(0);
    expect(await rows(away.pool, 'SELECT id FROM athlete WHERE id = ?', [athleteId])).toEqual([]);
  });

  test('what stands here with other content stays as it is, and is told', async () => {
    const { athleteId, visitId } = await newAskedVisit(home.app);
    const file = fileOf((await request(home.app).get(`/api/athletes/${athleteId}/record`).expect(200)).text);
    const { revision } = (await visitFile(home.app, visitId)).visit;
    await request(home.app).patch(`/api/visits/${visitId}`).send({ revision, complaint: 'tighter since' }).expect(200);
    const [report] = (await takeAll(home, file)).slice(1);
    expect(report!.left).toEqual([
      { table: 'visit', key: visitId, why: 'differs', columns: expect.arrayContaining(['complaint', 'revision']) as string[] },
    ]);
    expect((await visitFile(home.app, visitId)).visit.complaint).toBe('tighter since');
  });
});

describe('what nobody may smuggle in', () => {
  const recordOf = async () => {
    const { athleteId } = await newAskedVisit(home.app);
    return fileOf((await request(home.app).get(`/api/athletes/${athleteId}/record`).expect(200)).text);
  };
  const renamed = (file: ArchiveFile) => {
    const ids = new Map<string, string>();
    return fileOf(
      JSON.stringify(file).replace(/[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}/g, (id) => {
        if (id === file.practice.id) return id;
        if (!ids.has(id)) ids.set(id, uuid());
        return ids.get(id)!;
      }),
    );
  };

  test('rows that say they belong to somebody else, of here or of another practice, are left out', async () => {
    const victim = await newAskedVisit(home.app);
    const file = renamed(await recordOf());
    const tables = file.athletes[0]!.tables;
    const visit = { ...tables.visit![0]!, id: uuid(), athlete_id: victim.athleteId };
    const answers = { ...tables.stop_answers![0]!, id: uuid(), visit_id: victim.visitId };
    const changed = { ...file, athletes: [{ tables: { ...tables, visit: [...tables.visit!, visit], stop_answers: [answers] } }] };
    const before = await rows(home.pool, 'SELECT * FROM stop_answers WHERE visit_id = ?', [victim.visitId]);
    const [, report] = await takeAll(home, changed);
    expect(report!.left.map(({ table, why }) => [table, why])).toEqual([
      ['visit', 'belongs to nothing here'],
      ['stop_answers', 'belongs to nothing here'],
    ]);
    expect(await rows(home.pool, 'SELECT * FROM stop_answers WHERE visit_id = ?', [victim.visitId])).toEqual(before);
    expect(await rows(home.pool, 'SELECT id FROM visit WHERE athlete_id = ?', [victim.athleteId])).toHaveLength(1);
  });

  test('an id that somebody else of this practice has is no way into their file', async () => {
    const victim = await newAskedVisit(home.app);
    const file = renamed(await recordOf());
    const tables = file.athletes[0]!.tables;
    const changed = { ...file, athletes: [{ tables: { ...tables, visit: [{ ...tables.visit![0]!, id: victim.visitId }] } }] };
    const [, report] = await takeAll(home, changed);
    expect(report!.left).toContainEqual({ table: 'visit', key: victim.visitId, why: 'place taken', columns: [] });
    expect((await visitFile(home.app, victim.visitId)).visit.athleteId).toBe(victim.athleteId);
  });

  test('an athlete of another practice is nobody here', async () => {
    const other = await home.anotherPractice();
    const cookie = await home.cookieOf('owner', other);
    const victim = await newAskedVisit(home.app);
    const file = renamed(await recordOf());
    const id = archivePerson(file.athletes[0]!.tables)!.id;
    const [, piece] = archivePieces(file, { [id]: { same: victim.athleteId } });
    await requestAs(home.app, cookie).post('/api/archive/take').send(piece).expect(422);
  });

  test.each([
    ['trials that are none', 'visit', { consent: [{ nonsense: true }] }],
    ['a text where a number belongs', 'visit', { minutes: 'long' }],
    ['a day that is none', 'athlete', { birth_date: '2026-02-30' }],
    ['a column nobody knows', 'visit', { password: 'x' }],
  ])('%s: refused or read, never a fault of the server', async (_what, table, change) => {
    const file = renamed(await recordOf());
    const tables = file.athletes[0]!.tables;
    const [first] = tables[table]!;
    const changed = { ...file, athletes: [{ tables: { ...tables, [table]: [{ ...first!, ...change }] } }] };
    const id = archivePerson(changed.athletes[0]!.tables)!.id;
    const { status } = await request(home.app)
      .post('/api/archive/take')
      .send(archivePieces(changed, { [id]: 'new' })[1]);
    expect([200, 422]).toContain(status);
  });

  test('readings whose inside cannot be read are refused, and nothing of them stays', async () => {
    const practice = await practiceFile(home);
    const read = practice.athletes.find(({ tables }) => (tables.rom_reading?.length ?? 0) > 0)!.tables;
    const file = renamed({ ...practice, shared: {}, athletes: [{ tables: read }] });
    const tables = file.athletes[0]!.tables;
    const changed = { ...file, athletes: [{ tables: { ...tables, run: tables.run!.map((run) => ({ ...run, line: {} })) } }] };
    const id = archivePerson(tables)!.id;
    const answer = await request(home.app)
      .post('/api/archive/take')
      .send(archivePieces(changed, { [id]: 'new' })[1]);
    expect(answer.status).toBe(422);
    expect(await rows(home.pool, 'SELECT id FROM athlete WHERE id = ?', [id])).toEqual([]);
  });

  test('only the owner reads in or takes out the practice; a therapist takes out a record', async () => {
    const file = await recordOf();
    const [, piece] = archivePieces(file, {});
    for (const role of ['therapist', 'assistant', 'coach'] as const) {
      const cookie = await home.cookieOf(role);
      await requestAs(home.app, cookie).get('/api/export/practice').expect(403);
      await requestAs(home.app, cookie).post('/api/archive/look').send(piece).expect(403);
      await requestAs(home.app, cookie).post('/api/archive/take').send(piece).expect(403);
      await requestAs(home.app, cookie)
        .get(`/api/athletes/${archivePerson(piece!.athlete!)!.id}/record`)
        .expect(role === 'therapist' ? 200 : 403);
    }
  });
});

test('an event of the athlete’s own and one of everybody both find their way between practices of one database', async () => {
  const { athleteId } = await newAskedVisit(home.app);
  const event = { revision: 0, onDate: '2026-12-20', importance: 2 };
  const [own, all] = [uuid(), uuid()];
  await request(home.app)
    .put(`/api/events/${own}`)
    .send({ ...event, name: 'Own trial', squadId: null, athleteId })
    .expect(200);
  await request(home.app)
    .put(`/api/events/${all}`)
    .send({ ...event, name: 'For everybody', squadId: null })
    .expect(200);
  const cookie = await home.cookieOf('owner', await home.anotherPractice());
  const practice = await practiceFile(home);
  const file = { ...practice, athletes: practice.athletes.filter(({ tables }) => archivePerson(tables)!.id === athleteId) };
  const [, piece] = archivePieces(file, { [athleteId]: 'new' });
  expect((await post(home, 'take', piece!, cookie)).left).toEqual([]);
  const there = await practiceFile(home, cookie);
  expect(there.shared.calendar_event!.map(({ name }) => name)).toContain('For everybody');
  expect(there.athletes[0]!.tables.calendar_event!.map(({ name }) => name)).toEqual(['Own trial']);
});

test('ids are changed by who gives and who takes: over any way home they are what they were', () => {
  const [a, b, c] = [uuid(), uuid(), uuid()];
  for (let i = 0; i < 200; i++) {
    const id = uuid();
    expect(otherId(otherId(id, a, b), b, a)).toBe(id);
    expect(otherId(otherId(otherId(id, a, b), b, c), c, a)).toBe(id);
    expect(otherId(id, a, b)).not.toBe(id);
    expect(otherId(id, a, b)[14]).toBe(id[14]);
  }
});
