import { newBlock } from '@pace-bend/core/method';
import { addDays } from '@pace-bend/core/load';
import type { MoveLook, SeasonFile } from '@pace-bend/core/record';
import { fromTemplate, PHASE_RULES, SEASON_TEMPLATES } from '@pace-bend/core/season';
import { newAskedVisit, newVisit, openTestApp, request, requestAs, uuid, visitFile, type TestApp } from '../testing/app.ts';

let test_: TestApp;
let today: string;
beforeAll(async () => {
  test_ = await openTestApp();
  today = ((await api().get('/api/practice').expect(200)).body as { today: string }).today;
});
afterAll(() => test_.close());
const api = () => request(test_.app);
const day = (n: number) => addDays(today, n);
const EMPTY = { revision: 0, blocks: [], stays: [], follows: null, notAt: [] };
const block = (phase: string, from: number, until: number) => ({
  phase,
  from: day(from),
  until: day(until),
  fromAnchor: null,
  untilAnchor: null,
});

async function squadOf(athleteIds: readonly string[], name: string): Promise<string> {
  const id = uuid();
  await api().put(`/api/squads/${id}`).send({ revision: 0, name, athleteIds }).expect(200);
  return id;
}
async function addEvent(more: object): Promise<string> {
  const id = uuid();
  await api()
    .put(`/api/events/${id}`)
    .send({ revision: 0, name: 'Head race', onDate: day(9), importance: 1, squadId: null, ...more })
    .expect(200);
  return id;
}
const seasonOf = async (path: string) => (await api().get(`/api${path}/season`).expect(200)).body as SeasonFile;

test('laid out once, changed by revision; what cannot be is named at its place', async () => {
  const { athleteId } = await newVisit(test_.app);
  const squad = await squadOf([athleteId], 'Eight');
  expect(await seasonOf(`/squads/${squad}`)).toMatchObject({ revision: 0, name: 'Eight', plan: { blocks: [] } });
  const sent = { ...EMPTY, blocks: [block('build', -20, 10), block('sharpen', 11, 20)] };
  for (let again = 0; again < 2; again++)
    expect((await api().put(`/api/squads/${squad}/season`).send(sent).expect(200)).body).toMatchObject({
      revision: 1,
      plan: { blocks: sent.blocks },
    });
  await api()
    .put(`/api/squads/${squad}/season`)
    .send({ ...EMPTY, blocks: [block('off', 0, 3)] })
    .expect(409);
  expect(
    (
      await api()
        .put(`/api/squads/${squad}/season`)
        .send({ ...sent, revision: 1, blocks: [block('off', 0, 3)] })
        .expect(200)
    ).body.revision,
  ).toBe(2);
  for (const [path, bad] of [
    ['blocks.1.from', { ...EMPTY, blocks: [block('build', 0, 5), block('off', 5, 9)] }],
    ['blocks.0.until', { ...EMPTY, blocks: [block('build', 5, 0)] }],
    ['blocks.0.phase', { ...EMPTY, blocks: [block('party', 0, 5)] }],
    ['blocks.0.from', { ...EMPTY, blocks: [{ ...block('build', 0, 5), from: '2026-02-30' }] }],
    ['follows', { ...EMPTY, follows: squad }],
    ['stays.0.name', { ...EMPTY, stays: [{ id: uuid(), kind: 'camp', name: '', from: day(0), until: day(1), visits: true }] }],
  ] as const)
    expect(
      (
        await api()
          .put(`/api/squads/${squad}/season`)
          .send({ ...bad, revision: 2 })
          .expect(422)
      ).body.errors[0].path,
    ).toBe(path);
  await api().put(`/api/squads/${uuid()}/season`).send(EMPTY).expect(404);
  await api().put('/api/athletes/nonsense/season').send(EMPTY).expect(422);
  expect(await seasonOf(`/squads/${squad}`)).toMatchObject({ revision: 2, plan: { blocks: [block('off', 0, 3)] } });
});

test('an athlete follows the first squad that has a line, or the one that is chosen, with their own over it', async () => {
  const { athleteId, visitId } = await newVisit(test_.app);
  const [a, b] = [await squadOf([athleteId], 'A crew'), await squadOf([athleteId], 'B crew')];
  await api()
    .put(`/api/squads/${b}/season`)
    .send({ ...EMPTY, blocks: [block('compete', -5, 10)] })
    .expect(200);
  const phase = async () => (await visitFile(test_.app, visitId)).season?.rule.id ?? null;
  expect(await phase()).toBe('compete');
  await api()
    .put(`/api/squads/${a}/season`)
    .send({ ...EMPTY, blocks: [block('build', -5, 10)] })
    .expect(200);
  expect(await phase()).toBe('build');
  const own = `/athletes/${athleteId}`;
  await api()
    .put(`/api${own}/season`)
    .send({ ...EMPTY, follows: b })
    .expect(200);
  expect(await phase()).toBe('compete');
  await api()
    .put(`/api${own}/season`)
    .send({ ...EMPTY, revision: 1, follows: b, blocks: [block('recover', -1, 1)] })
    .expect(200);
  expect(await phase()).toBe('recover');
  expect(await seasonOf(own)).toMatchObject({
    followed: { id: b, name: 'B crew' },
    couldFollow: [{ name: 'A crew' }, { name: 'B crew' }, { name: 'everybody' }],
  });
  const stranger = await squadOf([], 'C crew');
  expect(
    (
      await api()
        .put(`/api${own}/season`)
        .send({ ...EMPTY, revision: 2, follows: stranger })
        .expect(422)
    ).body.errors[0].path,
  ).toBe('follows');
});

test('an event somebody is not at is no event of theirs; one of their own is nobody else’s', async () => {
  const [one, other] = [await newVisit(test_.app), await newVisit(test_.app)];
  const head = await addEvent({ name: 'Not mine', onDate: day(3) });
  await api()
    .put(`/api/athletes/${one.athleteId}/season`)
    .send({ ...EMPTY, notAt: [head] })
    .expect(200);
  await addEvent({ name: 'Only mine', onDate: day(2), athleteId: one.athleteId });
  expect((await visitFile(test_.app, one.visitId)).nextEvent?.name).toBe('Only mine');
  expect((await visitFile(test_.app, other.visitId)).nextEvent?.name).toBe('Not mine');
  expect((await seasonOf(`/athletes/${one.athleteId}`)).plan.notAt).toEqual([head]);
  await api().delete(`/api/events/${head}`).expect(200);
  expect((await seasonOf(`/athletes/${one.athleteId}`)).plan.notAt).toEqual([]);
  expect(
    (
      await api()
        .put(`/api/events/${uuid()}`)
        .send({ revision: 0, name: 'X', onDate: day(2), importance: 1, squadId: await squadOf([], 'D crew'), athleteId: one.athleteId })
        .expect(422)
    ).body.errors[0].path,
  ).toBe('athleteId');
});

test('a phase holds back the work of a visit, on the server too, until it is set aside with a word', async () => {
  const { athleteId, visitId } = await newAskedVisit(test_.app);
  const squad = await squadOf([athleteId], 'E crew');
  await addEvent({ name: 'Its race', onDate: day(4), squadId: squad });
  const runWith = (more: object = {}) =>
    api()
      .put(`/api/runs/${uuid()}`)
      .send({
        visitId,
        blocks: [{ ...newBlock(uuid(), 'calf-supine', 'static-hold', ['left']), ...more }],
        breath: { periodMs: 10_000, inShare: 0.4 },
        edges: [],
        clockRate: 1,
      });
  const free = await runWith();
  expect(free.body).toMatchObject({ line: { blocks: [{ entryId: 'calf-supine' }] } });
  await api()
    .put(`/api/squads/${squad}/season`)
    .send({ ...EMPTY, blocks: [block('compete', -5, 10)] })
    .expect(200);
  const refused = await runWith();
  expect(refused.status).toBe(409);
  expect(JSON.stringify(refused.body)).toContain('Nothing new: Its race in 4 days');
  for (const limitId of ['phase-compete-new', 'phase-compete'])
    await api().put(`/api/visits/${visitId}/readiness-aside/${uuid()}`).send({ limitId, reason: 'agreed with the coach' }).expect(200);
  await runWith().expect(200);
});

test('the practice’s own table of phases reaches the visit', async () => {
  const { athleteId, visitId } = await newVisit(test_.app);
  await api()
    .put(`/api/athletes/${athleteId}/season`)
    .send({ ...EMPTY, blocks: [block('off', -5, 10)] })
    .expect(200);
  const practice = (await api().get('/api/practice').expect(200)).body;
  const phases = [{ ...PHASE_RULES.find(({ id }) => id === 'off')!, develop: 'gentle', minutesShare: 0.5 }];
  const { name, timeZone, scope, revision } = practice;
  await api().patch('/api/practice').send({ name, timeZone, scope, revision, phases }).expect(200);
  expect((await visitFile(test_.app, visitId)).season).toMatchObject({
    rule: { id: 'off', develop: 'gentle', minutesShare: 0.5 },
    whose: 'own',
  });
  // Left out, they stay as they are; nonsense is named.
  await api()
    .patch('/api/practice')
    .send({ name, timeZone, scope, revision: revision + 1 })
    .expect(200);
  expect((await api().get('/api/practice').expect(200)).body.phases).toEqual(phases);
  expect(
    (
      await api()
        .patch('/api/practice')
        .send({ name, timeZone, scope, revision: revision + 2, phases: [{ ...phases[0], minutesShare: 7 }] })
        .expect(422)
    ).body.errors[0].path,
  ).toBe('phases.0.minutesShare');
});

describe('an event moves by four days', () => {
  let squad: string;
  let head: string;
  let athleteId: string;
  let near: { id: string; startsAt: string };
  let far: { id: string; startsAt: string };
  const at = (n: number, hour: number) => `${day(n)}T${String(hour).padStart(2, '0')}:15:00.000Z`;
  const book = async (who: string, startsAt: string, overlap = false) => {
    const id = uuid();
    await api().put(`/api/visits/${id}`).send({ athleteId: who, startsAt, minutes: 40, overlap }).expect(200);
    return { id, startsAt };
  };

  beforeAll(async () => {
    ({ athleteId } = await newVisit(test_.app));
    squad = await squadOf([athleteId], 'F crew');
    head = await addEvent({ name: 'F race', onDate: day(60), squadId: squad });
    const made = fromTemplate(SEASON_TEMPLATES[0]!, day(0), [{ id: head, name: 'F race', onDate: day(60), importance: 1 }]);
    if (!made.ok) throw new Error(made.message);
    await api()
      .put(`/api/squads/${squad}/season`)
      .send({ ...EMPTY, blocks: made.blocks })
      .expect(200);
    near = await book(athleteId, at(55, 5));
    far = await book(athleteId, at(12, 5));
    await api()
      .put(`/api/athletes/${athleteId}/goals/${uuid()}`)
      .send({ motionId: 'knee-flexion', side: 'left', value: 140, byDate: day(60), why: 'demand', whyWords: 'so that the catch is long' })
      .expect(200);
  });

  const look = async (to: string) => (await api().post(`/api/events/${head}/move-look`).send({ onDate: to }).expect(200)).body as MoveLook;

  test('looked at first: the lines, the goals and the visits that go along, and nothing is changed', async () => {
    const seen = await look(day(64));
    expect(seen.lines).toHaveLength(1);
    expect(seen.lines[0]!.after.map(({ until }) => until)).toEqual(seen.lines[0]!.before.map(({ until }) => addDays(until, 4)));
    expect(seen.goals).toEqual([expect.objectContaining({ motionId: 'knee-flexion', side: 'left' })]);
    expect(seen.visits.map(({ id, taken, past }) => [id, taken, past])).toEqual([[near.id, [], false]]);
    expect((await seasonOf(`/squads/${squad}`)).events.find(({ id }) => id === head)!.onDate).toBe(day(60));
    const other = await newVisit(test_.app);
    await book(other.athleteId, at(59, 5), true);
    expect((await look(day(64))).visits[0]!.taken).toHaveLength(1);
  });

  test('a visit that was changed since refuses the whole', async () => {
    await api()
      .post(`/api/events/${head}/move`)
      .send({ revision: 1, onDate: day(64), goals: true, visits: [{ id: near.id, revision: 9 }] })
      .expect(409);
    await api()
      .post(`/api/events/${head}/move`)
      .send({ revision: 1, onDate: day(64), goals: true, visits: [{ id: far.id, revision: 1 }] })
      .expect(422);
    expect((await seasonOf(`/squads/${squad}`)).revision).toBe(1);
  });

  test('everything follows at once, and the same request again changes nothing more', async () => {
    const { visits } = await look(day(64));
    const sent = { revision: 1, onDate: day(64), goals: true, visits: visits.map(({ id, revision }) => ({ id, revision })) };
    for (let again = 0; again < 2; again++) await api().post(`/api/events/${head}/move`).send(sent).expect(200);
    const season = await seasonOf(`/squads/${squad}`);
    expect(season.revision).toBe(2);
    expect(season.events.find(({ id }) => id === head)!.onDate).toBe(day(64));
    expect(season.plan.blocks.at(-1)!.until).toBe(day(78));
    const file = (await api().get(`/api/athletes/${athleteId}`).expect(200)).body;
    expect(file.goals[0]).toMatchObject({ byDate: day(64), why: 'demand', whyWords: 'so that the catch is long' });
    expect((await visitFile(test_.app, near.id)).visit.startsAt.slice(0, 10)).toBe(day(59));
    expect((await visitFile(test_.app, far.id)).visit.startsAt).toBe(far.startsAt);
    await api()
      .post(`/api/events/${head}/move`)
      .send({ ...sent, onDate: day(70) })
      .expect(409);
    await api()
      .post(`/api/events/${uuid()}/move-look`)
      .send({ onDate: day(3) })
      .expect(404);
    await api().post(`/api/events/${head}/move-look`).send({ onDate: 'soon' }).expect(422);
  });
});

describe('calendars', () => {
  test('subscribed to by an address alone; ended, it is unknown; no word about health is in it', async () => {
    const { athleteId, visitId } = await newVisit(test_.app);
    await api()
      .patch(`/api/visits/${visitId}`)
      .send({ revision: 1, complaint: 'Sore Achilles', lookFirst: 'Look at the Achilles' })
      .expect(200);
    await addEvent({ name: 'Cup', athleteId });
    await api()
      .put(`/api/athletes/${athleteId}/season`)
      .send({ ...EMPTY, blocks: [block('build', 0, 20)] })
      .expect(200);
    const id = uuid();
    const made = (await api().post('/api/calendar-links').send({ id, owner: 'athlete', ownerId: athleteId }).expect(200)).body;
    const read = () => requestAs(test_.app, null).get(`/api/calendars/${made.token}.ics`);
    const sent = await read()
      .expect(200)
      .expect('Content-Type', /text\/calendar/);
    expect(sent.text).toContain('SUMMARY:Cup');
    expect(sent.text).toContain('SUMMARY:Build');
    expect(sent.text).toMatch(/SUMMARY:Visit\r\n/);
    expect(sent.text).not.toMatch(/achilles|sore/i);
    expect(made.links).toEqual(expect.arrayContaining([expect.objectContaining({ id, owner: 'athlete' })]));
    await api().delete(`/api/calendar-links/${id}`).expect(200);
    await read().expect(404);
    await requestAs(test_.app, null).get('/api/calendars/nonsense.ics').expect(404);
    await api().post('/api/calendar-links').send({ id: uuid(), owner: 'squad', ownerId: null }).expect(422);
  });

  test('a squad’s has no visits; everybody’s has their names', async () => {
    const { athleteId } = await newVisit(test_.app);
    const squad = await squadOf([athleteId], 'G crew');
    expect((await api().get(`/api/squads/${squad}/season/calendar`).expect(200)).text).not.toContain('Visit');
    expect((await api().get('/api/season/calendar').expect(200)).text).toMatch(/SUMMARY:Visit: /);
  });

  test('events imported are known again by their key, and one on another day is said', async () => {
    const key = 'ical/summer-cup';
    const sent = (more: object = {}) => ({
      squadId: null,
      events: [{ id: uuid(), name: 'Summer cup', onDate: day(200), importance: 2, key, ...more }],
    });
    expect((await api().post('/api/import/events').send(sent()).expect(200)).body).toMatchObject({ added: 1, known: 0 });
    expect((await api().post('/api/import/events').send(sent()).expect(200)).body).toMatchObject({ added: 0, known: 1, otherDay: [] });
    expect(
      (
        await api()
          .post('/api/import/events')
          .send(sent({ onDate: day(203) }))
          .expect(200)
      ).body.otherDay,
    ).toEqual([{ name: 'Summer cup', onDate: day(200), thereOn: day(203) }]);
    expect((await api().post('/api/import/events').send({ squadId: null, events: [] }).expect(422)).body.errors[0].path).toBe('events');
  });
});

test('an assistant looks and does not write; a coach does neither', async () => {
  const [assistant, coach] = [await test_.cookieOf('assistant'), await test_.cookieOf('coach')];
  await requestAs(test_.app, assistant).get('/api/season').expect(200);
  await requestAs(test_.app, assistant).put('/api/season').send(EMPTY).expect(403);
  await requestAs(test_.app, coach).get('/api/season').expect(403);
});

test('who is due: everybody who is not out, with what says so', async () => {
  const { athleteId } = await newVisit(test_.app);
  const due = (await api().get('/api/due').expect(200)).body;
  const mine = due.athletes.find((each: { id: string }) => each.id === athleteId);
  expect(mine).toMatchObject({ goals: [], conditions: [], season: null, referred: false });
  expect(mine.response.past).toEqual([]);
});

test('an athlete who is erased leaves no season behind', async () => {
  const { athleteId } = await newVisit(test_.app);
  await addEvent({ name: 'Gone with them', athleteId });
  await api()
    .put(`/api/athletes/${athleteId}/season`)
    .send({ ...EMPTY, blocks: [block('build', 0, 20)] })
    .expect(200);
  await api().post('/api/calendar-links').send({ id: uuid(), owner: 'athlete', ownerId: athleteId }).expect(200);
  const record = (await api().get(`/api/athletes/${athleteId}/record`).expect(200)).body.athletes[0].tables;
  expect(record.season_plan[0].data.blocks).toHaveLength(1);
  expect(record.calendar_event[0].name).toBe('Gone with them');
  const athlete = (await api().get(`/api/athletes/${athleteId}`).expect(200)).body.athlete;
  await api().delete(`/api/athletes/${athleteId}`).send({ confirm: athlete.name, copy: 'not wanted' }).expect(200);
  await api().get(`/api/athletes/${athleteId}/season`).expect(404);
});
