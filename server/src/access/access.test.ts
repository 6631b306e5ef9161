import type { Express } from 'express';
import { ROLES, ROUTES, type Role, type RouteAccess } from '@pace-bend/core/access';
import { newBlock } from '@pace-bend/core/method';
import { rows } from '../db/pool.ts';
import { smallEventDay } from '../testing/eventDay.ts';
import { smallRecord } from '../testing/eventRecord.ts';
import { ANN, newVisit, openTestApp, request, requestAs, uuid, type TestApp } from '../testing/app.ts';

const OWN_WAY = {
  kind: 'way',
  baseId: 'cr-breath',
  name: 'Ours',
  purpose: '',
  what: '',
  synonyms: [],
  schoolsDiffer: '',
  rounds: 2,
  numbers: {},
  choices: {},
  lists: {},
};
const STUDY = {
  kind: 'repeatability',
  motionId: 'hip-flexion',
  instruments: ['goniometer'],
  spacing: 'one-day',
  trials: 2,
  subjects: ['a', 'b', 'c'].map((label) => ({ label, athleteId: null, side: 'left' })),
  values: [[[100, 102]], [[110, 113]], [[120, 121]]],
};
const SEASON = {
  blocks: [{ phase: 'build', from: '2026-11-01', until: '2026-12-20', fromAnchor: null, untilAnchor: null }],
  stays: [],
  follows: null,
  notAt: [],
};
const OWN_SPORT = { name: 'Raft', synonyms: [], disciplines: [], roles: [], demands: [], shapes: [], loadKinds: [], eventKinds: [] };
let test_: TestApp;
const cookies = new Map<Role | 'nobody', string | null>([['nobody', null]]);
const ours: Record<string, string> = {};
const theirs: Record<string, string> = {};

beforeAll(async () => {
  test_ = await openTestApp();
  for (const role of ROLES) cookies.set(role, await test_.cookieOf(role));
  const other = await test_.cookieOf('owner', await test_.anotherPractice());
  for (const [ids, cookie] of [
    [ours, await test_.cookieOf('owner')],
    [theirs, other],
  ] as const) {
    const api = () => requestAs(test_.app, cookie);
    Object.assign(ids, {
      event: uuid(),
      athlete: uuid(),
      visit: uuid(),
      run: uuid(),
      reading: uuid(),
      condition: uuid(),
      area: uuid(),
      squad: uuid(),
      study: uuid(),
      own: uuid(),
      sport: uuid(),
      link: uuid(),
      calendar: uuid(),
      eventDay: uuid(),
    });
    await api().put(`/api/athletes/${ids.athlete}`).send(ANN).expect(200);
    await api()
      .put(`/api/visits/${ids.visit}`)
      .send({ athleteId: ids.athlete, startsAt: '2026-11-25T09:30:00.000Z', minutes: 45 })
      .expect(200);
    await api()
      .put(`/api/visits/${ids.visit}/readings/${ids.reading}`)
      .send({
        motionId: 'hip-flexion',
        side: 'left',
        moment: 'before',
        mode: 'passive',
        instrument: 'goniometer',
        trials: [100],
        supersedes: null,
      })
      .expect(200);
    await api().put(`/api/visits/${ids.visit}/answers/${uuid()}`).send({ answers: {}, notAsked: 'asked at the door' }).expect(200);
    await api().patch(`/api/visits/${ids.visit}`).send({ revision: 1, consentWord: 'as agreed last week' }).expect(200);
    await api()
      .put(`/api/runs/${ids.run}`)
      .send({
        visitId: ids.visit,
        blocks: [newBlock(uuid(), 'calf-supine', 'static-hold', ['left'])],
        breath: { periodMs: 8000, inShare: 0.4 },
        edges: [],
        clockRate: 1,
      })
      .expect(200);
    await api()
      .put(`/api/athletes/${ids.athlete}/conditions/${ids.condition}`)
      .send({
        revision: 0,
        code: 'knee-pain',
        region: null,
        side: 'left',
        onset: null,
        surgeryOn: null,
        words: '',
        clearance: null,
        resolvedOn: null,
      })
      .expect(200);
    await api()
      .put(`/api/squads/${ids.squad}`)
      .send({ revision: 0, name: 'Eight', athleteIds: [ids.athlete] })
      .expect(200);
    await api()
      .put(`/api/events/${ids.event}`)
      .send({ revision: 0, name: 'Autumn head', onDate: '2026-12-04', importance: 1, squadId: ids.squad })
      .expect(200);
    await api()
      .put(`/api/sports/${ids.sport}`)
      .send({ revision: 0, ...OWN_SPORT })
      .expect(200);
    await api()
      .put(`/api/squads/${ids.squad}/season`)
      .send({ ...SEASON, revision: 0 })
      .expect(200);
    await api().post('/api/calendar-links').send({ id: ids.calendar, owner: 'squad', ownerId: ids.squad }).expect(200);
    await api().post('/api/check-in-links').send({ id: ids.link, athleteId: ids.athlete, squadId: null }).expect(200);
    await api().put(`/api/shelf/${ids.own}`).send({ supersedes: null, fields: OWN_WAY }).expect(200);
    ids.examiner = ((await api().get('/api/studies').expect(200)).body as { examiners: { id: string }[] }).examiners[0]!.id;
    await api()
      .put(`/api/event-days/${ids.eventDay}`)
      .send({ revision: 0, ...smallEventDay(uuid, { athleteId: ids.athlete!, therapistId: ids.examiner! }) })
      .expect(200);
    await api()
      .put(`/api/studies/${ids.study}`)
      .send({ revision: 0, ...STUDY, examinerIds: [ids.examiner] })
      .expect(200);
  }
});
afterAll(() => test_.close());

/** A row's address with real ids in it. */
function addressOf(route: RouteAccess, ids: Record<string, string>): string {
  const [, first] = route.path.split('/');
  const own =
    first === 'athletes'
      ? ids.athlete
      : first === 'visits'
        ? ids.visit
        : first === 'runs'
          ? ids.run
          : first === 'squads'
            ? ids.squad
            : first === 'events'
              ? ids.event
              : first === 'studies'
                ? ids.study
                : first === 'shelf'
                  ? ids.own
                  : first === 'sports'
                    ? ids.sport
                    : first === 'calendar-links'
                      ? ids.calendar
                      : first === 'check-in-links'
                        ? ids.link
                        : first === 'event-days'
                          ? ids.eventDay
                          : first === 'days' || first === 'week'
                            ? '2026-11-25'
                            : uuid();
  return `/api${route.path
    .replace(/:(id|date)/, own!)
    .replace(':readingId', ids.reading!)
    .replace(':conditionId', ids.condition!)
    .replace(/:\w+/, uuid())}`;
}

const send = (app: Express, cookie: string | null, route: RouteAccess, address: string, body: object = {}) =>
  requestAs(app, cookie)
    [route.method.toLowerCase() as 'get' | 'put'](address)
    .send(route.method === 'GET' ? undefined : body);

/** Rows that would sign the test's own account out. */
const ENDS = ['/sign-out', '/sign-out-everywhere'];

const tries = ROUTES.flatMap((route) => [...ROLES, 'nobody' as const].map((who) => [`${route.method} ${route.path}`, who, route] as const));
test.each(tries)('%s as %s', async (_name, who, route) => {
  const cookie = ENDS.includes(route.path) && who !== 'nobody' ? await test_.cookieOf(who) : cookies.get(who)!;
  const { status, body } = await send(test_.app, cookie, route, addressOf(route, ours));
  const [known, allowed] = [who !== 'nobody', route.roles === 'anybody' || (who !== 'nobody' && route.roles.includes(who))];
  if (allowed) expect([401, 403, 500]).not.toContain(status);
  else expect([status, body.status]).toEqual(known ? [403, 403] : [401, 401]);
});

test.each(
  ROUTES.filter((route) => route.path.includes(':id') && !route.path.startsWith('/accounts')).map(
    (route) => [`${route.method} ${route.path}`, route] as const,
  ),
)('%s with another practice’s ids finds nothing and changes nothing', async (_name, route) => {
  const everything = async () =>
    JSON.stringify(
      await Promise.all(
        [
          'athlete',
          'visit',
          'rom_reading',
          'run',
          'run_event',
          'athlete_condition',
          'no_touch_area',
          'squad',
          'squad_member',
          'plan',
          'note',
          'referral',
          'stop_answers',
          'caution_override',
          'finding',
          'error_study',
          'athlete_goal',
          'own_item',
          'calendar_event',
          'own_sport',
          'check_in',
          'check_in_link',
          'training_load',
          'readiness_kept',
          'readiness_aside',
          'season_plan',
          'event_not_at',
          'calendar_link',
          'athlete_times',
          'way_comparison',
          'event_day',
          'event_day_event',
        ].map((table) => rows(test_.pool, `SELECT * FROM ${table} ORDER BY 1`)),
      ),
    );
  const before = await everything();
  const bodies: Record<string, object> = {
    'DELETE /keeping/kept/:id': { confirm: ANN.name },
    'PUT /athletes/:id': ANN,
    'PUT /visits/:id': { athleteId: theirs.athlete, startsAt: '2026-11-25T12:30:00.000Z', minutes: 30 },
    'PUT /runs/:id': {
      visitId: theirs.visit,
      blocks: [newBlock(uuid(), 'calf-supine', 'static-hold', ['left'])],
      breath: { periodMs: 8000, inShare: 0.4 },
      edges: [],
      clockRate: 1,
    },
    'PUT /squads/:id': { revision: 1, name: 'Mine', athleteIds: [] },
    'PUT /squads/:id/season': { ...SEASON, revision: 1 },
    'PUT /athletes/:id/season': { ...SEASON, revision: 0 },
    'PUT /athletes/:id/times': { revision: 0, perWeek: 1, spans: [] },
    'POST /events/:id/move-look': { onDate: '2026-12-08' },
    'POST /events/:id/move': { revision: 1, onDate: '2026-12-08', visits: [], goals: true },
    'PUT /sports/:id': { revision: 1, ...OWN_SPORT },
    'PUT /events/:id': { revision: 1, name: 'Mine', onDate: '2026-12-04', importance: 1, squadId: null },
    'DELETE /athletes/:id': { confirm: ANN.name },
    'PUT /shelf/:id': { supersedes: null, fields: OWN_WAY },
    'PUT /studies/:id': { revision: 1, ...STUDY, examinerIds: [ours.examiner] },
    'POST /studies/:id/finish': { revision: 1 },
    'PUT /event-days/:id': { revision: 1, ...smallEventDay(uuid, { athleteId: ours.athlete!, therapistId: ours.examiner! }) },
    'PUT /event-days/:id/records/:wishId': { ...smallRecord(uuid) },
    'POST /event-days/:id/events': {
      events: [{ id: uuid(), at: '2026-12-04T08:00:00.000Z', after: null, body: { kind: 'takeBack', eventId: uuid() } }],
    },
    'POST /studies/:id/use': { revision: 1, used: true },
  };
  const answer = await send(test_.app, cookies.get('owner')!, route, addressOf(route, theirs), bodies[`${route.method} ${route.path}`]);
  expect([404, 409]).toContain(answer.status);
  expect(JSON.stringify(answer.body)).not.toContain(ANN.name);
  expect(await everything()).toBe(before);
});

test('an encoded slash opens no other row: the guard and the routes read an address the same way', async () => {
  const assistant = () => requestAs(test_.app, cookies.get('assistant')!);
  // Decoded as a whole this would be the row an assistant may call; as it is sent it is the owner's.
  await assistant().delete(`/api/athletes/${ours.athlete}%2Fno-touch%2F${uuid()}`).send({ confirm: ANN.name }).expect(403);
  await requestAs(test_.app, cookies.get('coach')!).post('/api/me%2Fpassword').send({}).expect(404);
  await requestAs(test_.app, cookies.get('owner')!)
    .get(`/api/visits/%2e%2e`)
    .expect((answer) => {
      if (![404, 422].includes(answer.status)) throw new Error(String(answer.status));
    });
});

test('ids of another practice inside a body are as unknown', async () => {
  const api = () => requestAs(test_.app, cookies.get('owner')!);
  await api()
    .put(`/api/visits/${uuid()}`)
    .send({ athleteId: theirs.athlete, startsAt: '2026-11-25T12:30:00.000Z', minutes: 30 })
    .expect(404);
  await api()
    .put(`/api/visits/${ours.visit}/readings/${theirs.reading}`)
    .send({
      motionId: 'hip-flexion',
      side: 'left',
      moment: 'before',
      mode: 'passive',
      instrument: 'goniometer',
      trials: [100],
      supersedes: null,
    })
    .expect(409);
  await api()
    .put(`/api/visits/${ours.visit}/readings/${uuid()}`)
    .send({
      motionId: 'hip-flexion',
      side: 'left',
      moment: 'before',
      mode: 'passive',
      instrument: 'goniometer',
      trials: [100],
      supersedes: theirs.reading,
    })
    .expect(422);
  await api()
    .put(`/api/squads/${ours.squad}`)
    .send({ revision: 1, name: 'Eight', athleteIds: [ours.athlete, theirs.athlete] })
    .expect(422);
  await api()
    .put(`/api/events/${uuid()}`)
    .send({ revision: 0, name: 'Theirs', onDate: '2026-12-04', importance: 1, squadId: theirs.squad })
    .expect(422);
  expect(await rows(test_.pool, 'SELECT athlete_id FROM squad_member WHERE squad_id = ?', [ours.squad!])).toHaveLength(1);
});

test('a visit kept for the day is the visit as it is read, to the same people, and the audit calls it what it is', async () => {
  for (const role of ROLES) {
    const api = requestAs(test_.app, cookies.get(role)!);
    const [file, ahead] = [await api.get(`/api/visits/${ours.visit}`), await api.get(`/api/visits/${ours.visit}/ahead`)];
    expect([role, ahead.status, ahead.body]).toEqual([
      role,
      file.status,
      file.status === 200 ? file.body : expect.objectContaining({ type: file.body.type }),
    ]);
  }
  await requestAs(test_.app, cookies.get('owner')!).get(`/api/visits/${theirs.visit}/ahead`).expect(404);
  const lines = await rows<{ what: string }>(test_.pool, 'SELECT what FROM audit WHERE athlete_id = ?', [ours.athlete!]);
  expect(lines.map(({ what }) => what)).toContain('visit kept on a device for the day');
});

test('every route that is built has a row, and every row is built', () => {
  interface Layer {
    readonly route?: { readonly path: string; readonly methods: Record<string, boolean> };
    readonly handle?: { readonly stack?: readonly Layer[] };
  }
  const walk = (layers: readonly Layer[]): string[] =>
    layers.flatMap((layer) => [
      ...(layer.route && typeof layer.route.path === 'string'
        ? Object.keys(layer.route.methods).map((method) => `${method.toUpperCase()} ${layer.route!.path}`)
        : []),
      ...walk(layer.handle?.stack ?? []),
    ]);
  const built = walk((test_.app as unknown as { router: { stack: readonly Layer[] } }).router.stack);
  expect([...built].sort()).toEqual(ROUTES.map((route) => `${route.method} ${route.path}`).sort());
});

test('an assistant gets a visit without its note; a coach gets no complaint, condition, note or discomfort at all', async () => {
  const owner = () => requestAs(test_.app, cookies.get('owner')!);
  await owner().put(`/api/visits/${ours.visit}/note`).send({ revision: 0, text: 'Secret words' }).expect(200);
  await owner().patch(`/api/visits/${ours.visit}`).send({ revision: 2, complaint: 'Secret ache', complaintScore: 7 }).expect(200);
  await owner().patch(`/api/visits/${ours.visit}`).send({ revision: 3, step: 'measure' }).expect(200);
  const seen = await requestAs(test_.app, cookies.get('assistant')!).get(`/api/visits/${ours.visit}`).expect(200);
  expect(seen.body.note).toBeNull();
  expect(JSON.stringify(seen.body)).not.toContain('Secret words');

  const id = uuid();
  await owner()
    .put(`/api/accounts/${id}`)
    .send({
      revision: 0,
      name: 'A coach',
      login: 'coach-one',
      role: 'coach',
      active: true,
      squadIds: [ours.squad, theirs.squad],
      password: 'long enough for now',
    })
    .expect(422);
  await owner()
    .put(`/api/accounts/${id}`)
    .send({
      revision: 0,
      name: 'A coach',
      login: 'coach-one',
      role: 'coach',
      active: true,
      squadIds: [ours.squad],
      password: 'long enough for now',
    })
    .expect(200);
  const coach = (
    await requestAs(test_.app, null).post('/api/sign-in').send({ login: 'coach-one', password: 'long enough for now' }).expect(200)
  ).headers['set-cookie'] as unknown as string[];
  const { body } = await requestAs(test_.app, coach.map((cookie) => cookie.split(';')[0]).join('; '))
    .get('/api/coach')
    .expect(200);
  expect(body.squads.map((squad: { name: string }) => squad.name)).toEqual(['Eight']);
  expect(Object.keys(body.squads[0].athletes[0]).sort()).toEqual(['availability', 'availableUntil', 'id', 'name', 'readiness', 'trends']);
  expect(body.squads[0].athletes[0]).toMatchObject({
    name: ANN.name,
    readiness: 'not known',
    trends: [{ motionId: 'hip-flexion', side: 'left', points: [{ on: '2026-11-25', value: 100 }] }],
  });
  expect(JSON.stringify(body)).not.toMatch(/Secret|knee|complaint|score|discomfort/);
  // A coach without squads sees none.
  expect((await requestAs(test_.app, cookies.get('coach')!).get('/api/coach').expect(200)).body).toEqual({ squads: [] });
});

test('the headers: no inline script, no eval, no framing, nothing stored; a page of another site gets nothing', async () => {
  const { headers } = await requestAs(test_.app, null).get('/api/health').expect(200);
  const policy = headers['content-security-policy']!;
  expect(policy).toMatch(/script-src 'self'(;|$)/);
  expect(policy).toContain("default-src 'none'");
  expect(policy).toContain("frame-ancestors 'none'");
  expect(policy).not.toMatch(/unsafe-eval|script-src[^;]*unsafe/);
  expect(headers['cache-control']).toBe('no-store');
  expect(headers['x-content-type-options']).toBe('nosniff');
  await requestAs(test_.app, cookies.get('owner')!).get('/api/practice').set('Sec-Fetch-Site', 'cross-site').expect(403);
  await requestAs(test_.app, cookies.get('owner')!).post('/api/sign-out').set('Origin', 'http://elsewhere.example').send({}).expect(403);
});

test('the audit: who read and changed whose file; only added to; read by the owner; typing on is one line', async () => {
  const { athleteId, visitId } = await newVisit(test_.app);
  const therapist = () => requestAs(test_.app, cookies.get('therapist')!);
  await therapist().get(`/api/athletes/${athleteId}`).expect(200);
  await therapist().patch(`/api/athletes/${athleteId}`).send({ revision: 1, about: 'New words' }).expect(200);
  for (const [i, text] of ['a', 'ab', 'abc'].entries())
    await therapist().put(`/api/visits/${visitId}/note`).send({ revision: i, text }).expect(200);
  await therapist().patch(`/api/athletes/${athleteId}`).send({ revision: 99, about: 'Too late' }).expect(409);
  const { lines } = (await request(test_.app).get('/api/audit').query({ athlete: athleteId }).expect(200)).body as {
    lines: { what: string; account: string; athleteName: string }[];
  };
  expect(lines.map((line) => [line.account, line.what])).toEqual([
    ['A therapist', 'note written'],
    ['A therapist', 'file changed'],
    ['A therapist', 'file read'],
    ['A owner', 'visit booked'],
    ['A owner', 'added'],
  ]);
  expect(lines[0]!.athleteName).toBe(ANN.name);
  expect(JSON.stringify(lines)).not.toContain('New words');
  await expect(test_.pool.query('UPDATE audit SET what = "nothing"')).rejects.toThrow('only added to');
  await expect(test_.pool.query('DELETE FROM audit')).rejects.toThrow('only added to');
  await request(test_.app).get('/api/audit').query({ athlete: 'x' }).expect(422);
});
