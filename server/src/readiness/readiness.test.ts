import { newBlock } from '@pace-bend/core/method';
import type { CheckIn } from '@pace-bend/core/readiness';
import type { MorningPage, VisitFile } from '@pace-bend/core/record';
import { rows } from '../db/pool.ts';
import { ANN, NOW, openTestApp, request, requestAs, uuid, visitFile, type TestApp } from '../testing/app.ts';

const TODAY = '2026-11-25';
const dayBefore = (ago: number) => new Date(Date.UTC(2026, 10, 25 - ago)).toISOString().slice(0, 10);
const ANSWERS = {
  scale: 'four-items',
  answers: { sleep: 3, stress: 3, fatigue: 3, soreness: 3 },
  hoursSlept: 7.5,
  sore: [],
  ill: false,
  injured: false,
  travelled: false,
  training: 'full',
  rmssdMs: null,
  supersedes: null,
};
let test_: TestApp;
const api = () => request(test_.app);
const nobody = () => requestAs(test_.app, null);

beforeAll(async () => {
  test_ = await openTestApp();
});
afterEach(() => test_.setNow(NOW));
afterAll(() => test_.close());

async function athlete(more: object = {}): Promise<string> {
  const id = uuid();
  await api()
    .put(`/api/athletes/${id}`)
    .send({ ...ANN, name: `Ann ${id.slice(-6)}`, ...more })
    .expect(200);
  return id;
}
const answer = (id: string, more: object, checkInId = uuid()) =>
  api()
    .put(`/api/athletes/${id}/check-ins/${checkInId}`)
    .send({ ...ANSWERS, onDate: TODAY, ...more });
async function weeksOf(id: string, days = 20): Promise<void> {
  for (let ago = days; ago > 0; ago--) await answer(id, { onDate: dayBefore(ago) }).expect(200);
}
const load = (id: string, more: object, loadId = uuid()) =>
  api()
    .put(`/api/athletes/${id}/loads/${loadId}`)
    .send({
      revision: 0,
      onDate: dayBefore(1),
      kind: 'water',
      minutes: 60,
      exertion: 6,
      amount: null,
      askedAfterMin: null,
      planned: false,
      ...more,
    });

describe('check-ins', () => {
  test('are kept raw, once, with who entered them and when; corrections append', async () => {
    const [id, first] = [await athlete(), uuid()];
    await answer(id, { hoursSlept: null, sore: null, ill: null }, first).expect(200);
    await answer(id, { hoursSlept: null, sore: null, ill: null }, first).expect(200);
    await answer(id, { hoursSlept: 3 }, first).expect(409);
    const { body } = await answer(id, { supersedes: first, hoursSlept: 6 }).expect(200);
    expect(body).toMatchObject({ by: 'A owner', at: NOW.toISOString(), supersedes: first, hoursSlept: 6 });
    // What was corrected stays, is corrected once, and missing is missing.
    await answer(id, { supersedes: first }).expect(409);
    const days = (await api().get(`/api/athletes/${id}/days`).expect(200)).body as { checkIns: CheckIn[] };
    expect(days.checkIns.map(({ hoursSlept, sore, ill }) => [hoursSlept, sore, ill])).toEqual([
      [null, null, null],
      [6, [], false],
    ]);
  });

  test.each([
    [{ onDate: '2026-11-26' }, 'onDate'],
    [{ answers: { sleep: 8 } }, ''],
    [{ answers: { mood: 3 } }, ''],
    [{ scale: 'none' }, 'scale'],
    [{ hoursSlept: 25 }, 'hoursSlept'],
    [{ sore: [{ muscle: 'soul', side: 'left', score: 3 }] }, 'sore.0.muscle'],
    [{ sore: [{ muscle: 'soleus', side: 'left', score: 11 }] }, 'sore.0.score'],
    [{ rmssdMs: 0 }, 'rmssdMs'],
    [{ supersedes: '01900000-0000-7000-8000-0000000000ff' }, 'supersedes'],
  ])('%j is refused at its place', async (more, path) => {
    const { body } = await answer(await athlete(), more).expect(422);
    expect(body.errors[0].path).toBe(path);
  });

  test('a day can be corrected often and not endlessly', async () => {
    const id = await athlete();
    for (let i = 0; i < 20; i++) await answer(id, {}).expect(200);
    expect((await answer(id, {}).expect(409)).body.type).toBe('/problems/full');
  });
});

describe('a check-in page', () => {
  const open = async (of: object) =>
    (
      await api()
        .post('/api/check-in-links')
        .send({ id: uuid(), athleteId: null, squadId: null, ...of })
        .expect(200)
    ).body;
  const page = (token: string) => nobody().get('/api/check-in').set('Pace-Bend-Check-In', token);
  const send = (token: string, more: object, id = uuid()) =>
    nobody()
      .put(`/api/check-in/answers/${id}`)
      .set('Pace-Bend-Check-In', token)
      .send({ ...ANSWERS, onDate: TODAY, athleteId: null, ...more });

  test('of one athlete takes answers and shows none; only a hash of its token is kept', async () => {
    const id = await athlete();
    await answer(id, { onDate: dayBefore(1), hoursSlept: 4.5 }).expect(200);
    const { token, untilDate } = await open({ athleteId: id });
    expect(untilDate).toBe(TODAY);
    const { body } = await page(token).expect(200);
    expect(body).toMatchObject({ shared: false, today: TODAY, scale: 'four-items', people: [{ id, answered: false }] });
    expect(JSON.stringify(body)).not.toMatch(/4\.5|sleep|birth|about|sports/);
    const sent = uuid();
    expect((await send(token, {}, sent).expect(200)).body).toEqual({ kept: true });
    expect((await send(token, {}, sent).expect(200)).body).toEqual({ kept: true });
    expect((await page(token)).body.people[0].answered).toBe(true);
    const days = (await api().get(`/api/athletes/${id}/days`)).body as { checkIns: CheckIn[] };
    expect(days.checkIns.filter(({ onDate }) => onDate === TODAY).map(({ by }) => by)).toEqual(['the athlete']);
    expect(JSON.stringify(await rows(test_.pool, 'SELECT * FROM check_in_link'))).not.toContain(token);
    // Somebody else through it, or another day: no.
    await send(token, { athleteId: await athlete() }).expect(422);
    await send(token, { onDate: dayBefore(1) }).expect(422);
  });

  test('opens nothing else: every other route is as closed as without it', async () => {
    const id = await athlete();
    const { token } = await open({ athleteId: id });
    for (const path of [`/athletes/${id}`, `/athletes/${id}/days`, '/athletes', '/morning', '/practice', '/check-in-links'])
      await nobody().get(`/api${path}`).set('Pace-Bend-Check-In', token).expect(401);
  });

  test('ends by itself; what was answered in time is taken for two more days', async () => {
    const { token } = await open({ athleteId: await athlete() });
    test_.setNow(new Date('2026-11-26T05:00:00.000Z'));
    expect((await page(token).expect(410)).body.type).toBe('/problems/ended');
    await send(token, {}).expect(200);
    test_.setNow(new Date('2026-11-28T05:00:00.000Z'));
    await send(token, {}).expect(410);
  });

  test('can be closed, by its own practice only', async () => {
    const { token, links } = await open({ athleteId: await athlete() });
    const link = (links as { id: string }[]).at(-1)!;
    const other = await test_.cookieOf('owner', await test_.anotherPractice());
    await requestAs(test_.app, other).delete(`/api/check-in-links/${link.id}`).send({}).expect(404);
    await page(token).expect(200);
    await api().delete(`/api/check-in-links/${link.id}`).send({}).expect(200);
    await page(token).expect(410);
    await send(token, {}).expect(410);
  });

  test('of a squad asks who it is and takes nobody else; a session trained comes in too', async () => {
    const [one, stranger, squad] = [await athlete(), await athlete(), uuid()];
    await api()
      .put(`/api/squads/${squad}`)
      .send({ revision: 0, name: `Squad ${squad.slice(-6)}`, athleteIds: [one] })
      .expect(200);
    const { token } = await open({ squadId: squad });
    const { body } = await page(token).expect(200);
    expect(body.people.map((person: { id: string }) => person.id)).toEqual([one]);
    expect(body.people[0].loadKinds.map((kind: { id: string }) => kind.id)).toContain('water');
    await send(token, { athleteId: stranger }).expect(422);
    await send(token, {}).expect(422);
    await send(token, { athleteId: one }).expect(200);
    const session = {
      athleteId: one,
      onDate: dayBefore(1),
      kind: 'water',
      minutes: 60,
      exertion: 6,
      amount: null,
      askedAfterMin: null,
      planned: false,
    };
    const id = uuid();
    for (let i = 0; i < 2; i++) await nobody().put(`/api/check-in/loads/${id}`).set('Pace-Bend-Check-In', token).send(session).expect(200);
    await nobody()
      .put(`/api/check-in/loads/${id}`)
      .set('Pace-Bend-Check-In', token)
      .send({ ...session, minutes: 61 })
      .expect(409);
    const days = (await api().get(`/api/athletes/${one}/days`)).body as { loads: { by: string }[] };
    expect(days.loads.map(({ by }) => by)).toEqual(['the squad’s tablet']);
  });

  test('guessing tokens is slowed down', async () => {
    const one = await openTestApp();
    const guess = () => requestAs(one.app, null).get('/api/check-in').set('Pace-Bend-Check-In', 'x'.repeat(43));
    const answers = [];
    for (let i = 0; i < 14; i++) answers.push((await guess()).status);
    expect(answers[0]).toBe(404);
    expect(answers.at(-1)).toBe(429);
    await one.close();
  });
});

describe('load', () => {
  test('a session is written once, changed on its revision, withdrawn', async () => {
    const [id, session] = [await athlete(), uuid()];
    await load(id, {}, session).expect(200);
    await load(id, {}, session).expect(200);
    await load(id, { minutes: 70 }, session).expect(409);
    await load(id, { minutes: 70, revision: 1 }, session).expect(200);
    await load(id, { minutes: 80, revision: 1 }, session).expect(409);
    await api().delete(`/api/athletes/${id}/loads/${session}`).send({}).expect(200);
    expect((await api().get(`/api/athletes/${id}/days`)).body.loads).toEqual([]);
  });

  test.each([
    [{ onDate: '2026-11-26' }, ''],
    [{ planned: true }, ''],
    [{ minutes: 0 }, 'minutes'],
    [{ exertion: 10.5 }, 'exertion'],
    [{ exertion: 6.3 }, 'exertion'],
    [{ kind: '' }, 'kind'],
  ])('%j is refused at its place', async (more, path) => {
    expect((await load(await athlete(), more).expect(422)).body.errors[0].path).toBe(path);
  });

  test('a file goes in whole or not at all, is recognised when it comes again, and its columns are remembered', async () => {
    const id = await athlete();
    const row = (key: string, more: object = {}) => ({
      id: uuid(),
      athleteId: id,
      key,
      onDate: dayBefore(1),
      kind: 'water',
      minutes: 60,
      exertion: 6,
      amount: null,
      askedAfterMin: null,
      planned: false,
      ...more,
    });
    const send = (list: object[]) =>
      api()
        .post('/api/import/loads')
        .send({ by: 'table', columns: { athlete: 'Who' }, rows: list });
    expect((await send([row('a'), row('b', { athleteId: uuid() })]).expect(422)).body.errors).toEqual([
      { path: 'rows.1.athleteId', message: 'No such athlete is known.' },
    ]);
    expect((await send([row('a'), row('b')]).expect(200)).body).toEqual({ added: 2, already: 0 });
    expect((await send([row('a'), row('b'), row('c')]).expect(200)).body).toEqual({ added: 1, already: 2 });
    const { body } = await api()
      .get(`/api/loads?from=${dayBefore(6)}&to=${TODAY}`)
      .expect(200);
    expect(body.columns).toEqual({ athlete: 'Who' });
    expect(body.athletes.find((each: { id: string }) => each.id === id).loads).toHaveLength(3);
    await api().get('/api/loads?from=2026-11-25&to=2026-11-01').expect(422);
    await api().get('/api/loads?squad=x').expect(422);
  });
});

describe('the morning', () => {
  test('holds everybody, the worrying first, with reasons and what is missing', async () => {
    const [fine, ill, silent, squad] = [await athlete(), await athlete(), await athlete(), uuid()];
    await api()
      .put(`/api/squads/${squad}`)
      .send({ revision: 0, name: `Morning ${squad.slice(-6)}`, athleteIds: [fine, ill, silent] })
      .expect(200);
    for (const id of [fine, ill]) await weeksOf(id);
    await answer(fine, {}).expect(200);
    await answer(ill, { ill: true, hoursSlept: 4.5 }).expect(200);
    const { rows: found, date } = (await api().get(`/api/morning?squad=${squad}`).expect(200)).body as MorningPage;
    expect(date).toBe(TODAY);
    expect(found.map(({ id, verdict }) => [id, verdict.word])).toEqual([
      [ill, 'hold'],
      [fine, 'ready'],
      [silent, 'not known'],
    ]);
    expect(found[0]!.verdict.reasons.map(({ ruleId }) => ruleId)).toEqual(['ill', 'sleep-5']);
    expect(found[2]!.sum.missing).toBe(8);
    await api().get('/api/morning?squad=x').expect(422);
    await api().get('/api/morning?date=today').expect(422);
  });
});

describe('a visit that is softened', () => {
  const begin = (visitId: string, blocks: object[]) =>
    api()
      .put(`/api/runs/${uuid()}`)
      .send({ visitId, blocks, breath: { periodMs: 8000, inShare: 0.4 }, edges: [], clockRate: 1 });

  async function visit(more: object): Promise<{ athleteId: string; visitId: string; file: VisitFile }> {
    const [athleteId, visitId] = [await athlete(), uuid()];
    await weeksOf(athleteId);
    await answer(athleteId, more).expect(200);
    await api()
      .put(`/api/visits/${visitId}`)
      .send({ athleteId, startsAt: '2026-11-25T09:30:00.000Z', minutes: 45, overlap: true })
      .expect(200);
    await api().put(`/api/visits/${visitId}/answers/${uuid()}`).send({ answers: {}, notAsked: 'asked at the door' }).expect(200);
    await api().patch(`/api/visits/${visitId}`).send({ revision: 1, consentWord: 'as agreed last week' }).expect(200);
    return { athleteId, visitId, file: await visitFile(test_.app, visitId) };
  }
  const ASIDE = (visitId: string, limitId: string, id = uuid()) =>
    api().put(`/api/visits/${visitId}/readiness-aside/${id}`).send({ limitId, reason: 'knows it well' });

  test('a short night limits the table on the server too, until each reason is set aside with a word', async () => {
    const { visitId } = await visit({ hoursSlept: 4.5 });
    const block = newBlock(uuid(), 'rectus-femoris-prone', 'cr-breath', ['left']);
    expect((await begin(visitId, [block]).expect(409)).body.type).toBe('/problems/limits-changed');
    await ASIDE(visitId, 'no-such-limit').expect(422);
    const id = uuid();
    await ASIDE(visitId, 'sleep-5', id).expect(200);
    await ASIDE(visitId, 'sleep-5', id).expect(200);
    expect((await begin(visitId, [block]).expect(200)).body.line).toBeDefined();
    const file = await visitFile(test_.app, visitId);
    expect(file.readiness.setAside).toMatchObject([{ limitId: 'sleep-5', reason: 'knows it well', by: 'A owner' }]);
  });

  test('what was known and how it went are kept with the visit', async () => {
    const { visitId } = await visit({ hoursSlept: 4.5 });
    const { body } = await api().put(`/api/visits/${visitId}/readiness`).send({ outcome: null }).expect(200);
    expect(body.kept).toMatchObject({ word: 'ease', by: 'A owner', outcome: null });
    expect(body.kept.reasons.map((each: { ruleId: string }) => each.ruleId)).toEqual(['sleep-5']);
    await api().put(`/api/visits/${visitId}/readiness`).send({ outcome: 'lighter' }).expect(200);
    await api().put(`/api/visits/${visitId}/readiness`).send({ outcome: null }).expect(200);
    expect((await visitFile(test_.app, visitId)).readiness.kept).toMatchObject({ word: 'ease', outcome: 'lighter' });
    await api().put(`/api/visits/${visitId}/readiness`).send({ outcome: 'fine' }).expect(422);
  });

  test('an assistant takes the day in and sets nothing aside', async () => {
    const { visitId } = await visit({ hoursSlept: 4.5 });
    const assistant = requestAs(test_.app, await test_.cookieOf('assistant'));
    await assistant.put(`/api/visits/${visitId}/readiness`).send({ outcome: null }).expect(200);
    await assistant.put(`/api/visits/${visitId}/readiness-aside/${uuid()}`).send({ limitId: 'sleep-5', reason: 'so it is' }).expect(403);
  });

  test('erasing an athlete takes answers, loads, pages and what visits kept with them', async () => {
    const { athleteId, visitId } = await visit({ hoursSlept: 4.5 });
    await load(athleteId, {}).expect(200);
    await ASIDE(visitId, 'sleep-5').expect(200);
    await api().put(`/api/visits/${visitId}/readiness`).send({ outcome: null }).expect(200);
    await api().post('/api/check-in-links').send({ id: uuid(), athleteId, squadId: null }).expect(200);
    const record = (await api().get(`/api/athletes/${athleteId}/record`).expect(200)).body.athletes[0].tables;
    expect([record.check_in.length, record.training_load.length, record.readiness_kept.length, record.readiness_aside.length]).toEqual([
      21, 1, 1, 1,
    ]);
    const { name } = record.athlete[0];
    await api().delete(`/api/athletes/${athleteId}`).send({ confirm: name, copy: 'not wanted' }).expect(200);
    for (const table of ['check_in', 'training_load', 'check_in_link'])
      expect(await rows(test_.pool, `SELECT 1 FROM ${table} WHERE athlete_id = ?`, [athleteId])).toEqual([]);
  });
});

describe('sports of the practice', () => {
  const RAFT = {
    name: 'Raft racing',
    synonyms: ['raft'],
    disciplines: [],
    roles: [{ id: 'front', name: 'Front', side: 'left' }],
    demands: [{ motionId: 'trunk-rotation', value: 50, on: 'role', sure: 'common practice', why: 'the stroke' }],
    shapes: [],
    loadKinds: [{ id: 'river', name: 'On the river', muscles: ['latissimus'] }],
    eventKinds: [],
  };

  test('are added, changed on their revision, used by athletes, and not taken out while they are', async () => {
    const id = uuid();
    await api()
      .put(`/api/sports/${id}`)
      .send({ revision: 0, ...RAFT })
      .expect(200);
    await api()
      .put(`/api/sports/${id}`)
      .send({ revision: 0, ...RAFT })
      .expect(200);
    await api()
      .put(`/api/sports/${id}`)
      .send({ revision: 0, ...RAFT, name: 'Raft' })
      .expect(409);
    const { body } = await api()
      .put(`/api/sports/${id}`)
      .send({ revision: 1, ...RAFT, name: 'Raft' })
      .expect(200);
    expect(body.ownSports.find((sport: { id: string }) => sport.id === id)).toMatchObject({ name: 'Raft', revision: 2 });
    const sports = [{ sportId: id, discipline: null, role: 'front', leading: null, words: '' }];
    const who = await athlete({ sports });
    expect((await api().get(`/api/athletes?q=front`)).body.athletes.map((each: { id: string }) => each.id)).toContain(who);
    expect((await api().delete(`/api/sports/${id}`).send({}).expect(409)).body.type).toBe('/problems/in-use');
    await api().patch(`/api/athletes/${who}`).send({ revision: 1, sports: [] }).expect(200);
    await api().delete(`/api/sports/${id}`).send({}).expect(200);
    await api().patch(`/api/athletes/${who}`).send({ revision: 2, sports }).expect(422);
  });

  test('what points at nothing is refused with its place', async () => {
    const { body } = await api()
      .put(`/api/sports/${uuid()}`)
      .send({
        revision: 0,
        ...RAFT,
        demands: [{ ...RAFT.demands[0], motionId: 'no-motion' }],
        loadKinds: [{ id: 'a', name: 'A', muscles: ['soul'] }],
      })
      .expect(422);
    expect(body.errors.map((each: { path: string }) => each.path)).toEqual(['demands.0.motionId', 'loadKinds.0.muscles']);
  });

  test('an athlete’s sport is one that is known, with a discipline and role it has, once', async () => {
    const entry = { sportId: 'rowing', discipline: null, role: null, leading: null, words: '' };
    for (const [sports, path] of [
      [[{ ...entry, sportId: 'zzz' }], 'sports.0.sportId'],
      [[{ ...entry, role: 'striker' }], 'sports.0.role'],
      [[{ ...entry, discipline: 'trail' }], 'sports.0.discipline'],
      [[entry, entry], 'sports.1'],
    ] as const) {
      const { body } = await api()
        .put(`/api/athletes/${uuid()}`)
        .send({ ...ANN, sports })
        .expect(422);
      expect(body.errors[0].path).toBe(path);
    }
  });

  test('the practice says which it serves and how it asks; an older page that does not send them leaves them', async () => {
    const { body: now } = await api().get('/api/practice').expect(200);
    const { revision, name, timeZone, scope } = now;
    const changed = (
      await api()
        .patch('/api/practice')
        .send({ revision, name, timeZone, scope, sportsServed: ['running'], checkInScale: 'five-items' })
        .expect(200)
    ).body;
    expect(changed).toMatchObject({ sportsServed: ['running'], checkInScale: 'five-items' });
    const later = (await api().patch('/api/practice').send({ revision: changed.revision, name: 'River room', timeZone, scope }).expect(200))
      .body;
    expect(later).toMatchObject({ name: 'River room', sportsServed: ['running'], checkInScale: 'five-items' });
    await api()
      .patch('/api/practice')
      .send({ revision: later.revision, name, timeZone, scope, sportsServed: [], checkInScale: 'four-items' })
      .expect(200);
  });
});
