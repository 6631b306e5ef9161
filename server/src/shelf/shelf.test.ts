import { findEntry } from '@pace-bend/core/catalogue';
import { change } from '../db/pool.ts';
import fc from 'fast-check';
import {
  ADDED_KINDS,
  checkOwnWay,
  METHODS,
  newBlock,
  PROTOCOLS,
  protocolsOf,
  shelfOf,
  type OwnItem,
  type OwnWayFields,
} from '@pace-bend/core/method';
import { ANN, newAskedVisit, openTestApp, request, requestAs, uuid, visitFile, type TestApp } from '../testing/app.ts';

let test_: TestApp;
beforeAll(async () => {
  test_ = await openTestApp();
});
afterAll(() => test_.close());
const api = () => request(test_.app);

const WAY = {
  kind: 'way',
  baseId: 'cr-breath',
  name: 'Ours, lighter',
  purpose: 'Sore crews',
  what: 'As breath-led, lighter.',
  synonyms: ['our way'],
  schoolsDiffer: '',
  rounds: 2,
  numbers: { effort: [10, 15] },
  choices: { startAt: 'short' },
  lists: {},
};
const { id: _id, ...calf } = findEntry('calf-supine')!;
const ENTRY = { ...calf, kind: 'entry', name: 'Calf over the roll' };
const items = async () => (await api().get('/api/shelf').expect(200)).body.items as OwnItem[];

test('a way of its own: added, planned with, run; a new version takes its place and the old plan keeps its numbers', async () => {
  const way = uuid();
  await api().put(`/api/shelf/${way}`).send({ supersedes: null, fields: WAY }).expect(200);
  await api().put(`/api/shelf/${way}`).send({ supersedes: null, fields: WAY }).expect(200);
  await api()
    .put(`/api/shelf/${way}`)
    .send({ supersedes: null, fields: { ...WAY, name: 'Another' } })
    .expect(409);
  const shelf = shelfOf(await items());
  const { visitId } = await newAskedVisit(test_.app);
  const block = newBlock(uuid(), 'calf-supine', way, ['left', 'right'], shelf);
  expect(block.numbers.effort).toEqual([10, 15]);
  expect(block.choices.startAt).toBe('short');
  await api()
    .put(`/api/visits/${visitId}/plan`)
    .send({ revision: 0, blocks: [block] })
    .expect(200);

  const next = uuid();
  await api()
    .put(`/api/shelf/${next}`)
    .send({ supersedes: way, fields: { ...WAY, numbers: { effort: [30] } } })
    .expect(200);
  await api().put(`/api/shelf/${uuid()}`).send({ supersedes: way, fields: WAY }).expect(409);
  const after = shelfOf(await items());
  expect(after.gone.has(way)).toBe(true);
  expect(after.gone.has(next)).toBe(false);
  expect((await visitFile(test_.app, visitId)).plan.blocks[0]!.numbers.effort).toEqual([10, 15]);
  const run = (
    await api()
      .put(`/api/runs/${uuid()}`)
      .send({ visitId, blocks: [block], breath: { periodMs: 8000, inShare: 0.4 }, edges: [], clockRate: 1 })
      .expect(200)
  ).body;
  expect(run.line.blocks[0].name).toBe('Calf, straight knee, ours, lighter');

  await api().post(`/api/shelf/${next}/retire`).send({}).expect(200);
  expect(shelfOf(await items()).gone.has(next)).toBe(true);
  await api().post(`/api/shelf/${next}/restore`).send({}).expect(200);
  expect(shelfOf(await items()).gone.has(next)).toBe(false);
});

test('a round of its own is kept as it was sent, planned with its own seconds, and run', async () => {
  const way = uuid();
  const phases = [{ of: 0 }, { of: 1 }, { of: 2 }, { adds: 'rest', seconds: 7, text: 'Sip of water' }, { of: 3 }];
  await api()
    .put(`/api/shelf/${way}`)
    .send({ supersedes: null, fields: { ...WAY, baseId: 'cr-light', name: 'Light with a sip', choices: {}, phases } })
    .expect(200);
  const kept = (await items()).find((item) => item.id === way)!;
  expect(kept.fields).toMatchObject({ phases });
  const shelf = shelfOf(await items());
  const { visitId } = await newAskedVisit(test_.app);
  const block = newBlock(uuid(), 'calf-supine', way, ['left'], shelf);
  expect(block.numbers.own4).toEqual([7]);
  await api()
    .put(`/api/visits/${visitId}/plan`)
    .send({ revision: 0, blocks: [block] })
    .expect(200);
  await api()
    .put(`/api/visits/${visitId}/plan`)
    .send({ revision: 1, blocks: [{ ...block, numbers: { ...block.numbers, own4: [90] } }] })
    .expect(422);
  const run = (
    await api()
      .put(`/api/runs/${uuid()}`)
      .send({ visitId, blocks: [block], breath: { periodMs: 8000, inShare: 0.4 }, edges: [], clockRate: 1 })
      .expect(200)
  ).body;
  expect(run.line.cues.filter((cue: { text: string }) => cue.text === 'Sip of water')).toHaveLength(2);
});

test('whatever is sent as a round is kept or refused with its place, as the check says, and never breaks the server', async () => {
  const anyPhase = fc.oneof(
    fc.record({ of: fc.oneof(fc.nat({ max: 8 }), fc.constantFrom(-1, 0.5, 99)) }),
    fc.record({ adds: fc.constantFrom(...ADDED_KINDS), seconds: fc.oneof(fc.integer({ min: 2, max: 12 }), fc.constantFrom(0, -4, 500)) }),
    fc.record({ adds: fc.constantFrom('thrust', '__proto__', ''), seconds: fc.integer({ min: 1, max: 9 }) }),
    fc.constantFrom({}, null, 'contract', { of: 0, text: 'x'.repeat(200) }),
  );
  const seen = { kept: 0, refused: 0 };
  const sent = fc.sample(
    fc.record({ baseId: fc.constantFrom(...METHODS.map((method) => method.id)), phases: fc.array(anyPhase, { maxLength: 5 }) }),
    { numRuns: 120, seed: 5 },
  );
  for (const { baseId, phases } of [...sent, { baseId: 'cr-light', phases: [{ of: 0 }, { of: 1 }] }]) {
    const fields = {
      ...WAY,
      baseId,
      name: `Round ${seen.kept + seen.refused}`,
      rounds: METHODS.find((method) => method.id === baseId)!.rounds.default,
      numbers: {},
      choices: {},
      phases,
    };
    const answer = await api().put(`/api/shelf/${uuid()}`).send({ supersedes: null, fields });
    if (answer.status === 200) {
      seen.kept += 1;
      expect(checkOwnWay(fields as OwnWayFields)).toEqual([]);
    } else {
      seen.refused += 1;
      expect([JSON.stringify(phases), answer.status]).toEqual([JSON.stringify(phases), 422]);
      expect(answer.body.errors.every((error: { path: string }) => error.path.startsWith('fields.phases'))).toBe(true);
    }
  }
  expect(seen.kept).toBeGreaterThan(3);
  expect(seen.refused).toBeGreaterThan(50);
});

test('an entry of its own is planned where it stands, with another position and stations', async () => {
  const id = uuid();
  const fields = { ...ENTRY, positions: ['supine', 'prone'], ways: ['pin-lengthen', 'static-hold'] };
  const prone = { setUp: 'Prone, the limb past the edge', hands: 'One hand pins, one carries' };
  const refused = await api().put(`/api/shelf/${id}`).send({ supersedes: null, fields }).expect(422);
  expect(refused.body.errors.map((error: { path: string }) => error.path)).toEqual(['fields.places.prone']);
  for (const places of [{ prone, standing: prone }, { prone: { ...prone, setUp: '' } }, { prone: 'x' }])
    await api()
      .put(`/api/shelf/${uuid()}`)
      .send({ supersedes: null, fields: { ...fields, places } })
      .expect(422);
  await api()
    .put(`/api/shelf/${id}`)
    .send({ supersedes: null, fields: { ...fields, places: { prone } } })
    .expect(200);
  const shelf = shelfOf(await items());
  const { visitId } = await newAskedVisit(test_.app);
  const block = {
    ...newBlock(uuid(), id, 'pin-lengthen', ['left'], shelf),
    lists: { stations: ['high', 'low'] },
    position: 'prone' as const,
  };
  await api()
    .put(`/api/visits/${visitId}/plan`)
    .send({ revision: 0, blocks: [block] })
    .expect(200);
  expect((await visitFile(test_.app, visitId)).plan.blocks).toEqual([block]);
  await api()
    .put(`/api/visits/${visitId}/plan`)
    .send({ revision: 1, blocks: [{ ...block, position: 'standing' }] })
    .expect(422);
  await api()
    .put(`/api/visits/${visitId}/plan`)
    .send({ revision: 1, blocks: [{ ...block, lists: { stations: ['one'] } }] })
    .expect(422);
});

test.each([
  ['an unknown base', { ...WAY, baseId: 'magic' }, 'fields.baseId'],
  ['effort of 300 %', { ...WAY, numbers: { effort: [300] } }, 'fields.numbers.effort.0'],
  ['ninety rounds', { ...WAY, rounds: 90 }, 'fields.rounds'],
  ['a choice it does not offer', { ...WAY, choices: { startAt: 'moon' } }, 'fields.choices.startAt'],
  ['no name', { ...WAY, name: ' ' }, 'fields.name'],
  [
    'a press with nothing let go after it',
    {
      ...WAY,
      choices: {},
      phases: [
        { adds: 'contract', seconds: 6 },
        { adds: 'advance', seconds: 4 },
      ],
    },
    'fields.phases.0',
  ],
  ['a phase that is not one', { ...WAY, phases: [{ adds: 'thrust', seconds: 1 }] }, 'fields.phases.0.adds'],
  ['a phase the way has not', { ...WAY, phases: [{ of: 40 }] }, 'fields.phases.0'],
  ['a phase with neither', { ...WAY, phases: [{ text: 'Hm' }] }, 'fields.phases.0.of'],
  ['a phase with both', { ...WAY, phases: [{ of: 0, adds: 'rest', seconds: 4 }] }, 'fields.phases.0.of'],
  ['no phases', { ...WAY, phases: [] }, 'fields.phases'],
  ['an entry without a way', { ...ENTRY, ways: [] }, 'fields.ways'],
  ['an entry with an unknown way', { ...ENTRY, ways: ['magic'] }, 'fields.ways'],
  ['an unknown motion', { ...ENTRY, motionId: 'wing' }, 'fields.motionId'],
  ['a press too long to read across a room', { ...ENTRY, press: 'Press your heel down into my shoulder please' }, 'fields.press'],
  [
    'a tool twice',
    {
      ...ENTRY,
      tools: [
        { tool: 'palm', share: 1 },
        { tool: 'palm', share: 1 },
      ],
    },
    'fields.tools.1',
  ],
])('%s: refused at its place', async (_, fields, path) => {
  const answer = await api().put(`/api/shelf/${uuid()}`).send({ supersedes: null, fields }).expect(422);
  expect(answer.body.errors.map((error: { path: string }) => error.path)).toContain(path);
});

test('another practice sees nothing of it, and cannot build on it', async () => {
  const id = uuid();
  await api().put(`/api/shelf/${id}`).send({ supersedes: null, fields: WAY }).expect(200);
  const other = () => requestAs(test_.app, otherCookie);
  const otherCookie = await test_.cookieOf('owner', await test_.anotherPractice());
  expect((await other().get('/api/shelf').expect(200)).body.items).toEqual([]);
  await other().put(`/api/shelf/${uuid()}`).send({ supersedes: id, fields: WAY }).expect(422);
  await other().post(`/api/shelf/${id}/retire`).send({}).expect(404);
  const [athlete, visit] = [uuid(), uuid()];
  await other().put(`/api/athletes/${athlete}`).send(ANN).expect(200);
  await other().put(`/api/visits/${visit}`).send({ athleteId: athlete, startsAt: '2026-11-25T09:30:00.000Z', minutes: 45 }).expect(200);
  const block = newBlock(uuid(), 'calf-supine', id, ['left'], shelfOf(await items()));
  await other()
    .put(`/api/visits/${visit}/plan`)
    .send({ revision: 0, blocks: [block] })
    .expect(422);
});

test('hands: limits of the practice, height of one’s own knuckles; what was done counts for week and day', async () => {
  expect((await api().get('/api/hands').expect(200)).body).toMatchObject({ knuckleCm: null, limits: { thumb: 20 } });
  const limits = {
    palm: 100,
    forearm: 100,
    knuckles: 30,
    thumb: 15,
    fingers: 30,
    elbow: 20,
    'body lean': 100,
    stick: 60,
    foot: 30,
    towel: 60,
  };
  expect((await api().put('/api/hands/limits').send({ revision: 0, limits }).expect(200)).body).toMatchObject({ limits, revision: 1 });
  // The same again, its answer lost; another change on what was there before it.
  await api().put('/api/hands/limits').send({ revision: 0, limits }).expect(200);
  expect(
    (
      await api()
        .put('/api/hands/limits')
        .send({ revision: 0, limits: { ...limits, thumb: 1 } })
        .expect(409)
    ).body.current.limits,
  ).toEqual(limits);
  await api()
    .put('/api/hands/limits')
    .send({ revision: 1, limits: { ...limits, thumb: -1 } })
    .expect(422);
  expect((await api().put('/api/hands/me').send({ knuckleCm: 71.5 }).expect(200)).body.knuckleCm).toBe(71.5);
  await api().put('/api/hands/me').send({ knuckleCm: 7 }).expect(422);

  const { visitId, athleteId } = await newAskedVisit(test_.app);
  const block = newBlock(uuid(), 'calf-supine', 'static-hold', ['left']);
  const runId = uuid();
  const run = (
    await api()
      .put(`/api/runs/${runId}`)
      .send({ visitId, blocks: [block], breath: { periodMs: 8000, inShare: 0.4 }, edges: [], clockRate: 1 })
      .expect(200)
  ).body;
  const event = (seq: number, kind: string, atMs: number) => ({ id: uuid(), seq, kind, atMs });
  await api()
    .post(`/api/runs/${runId}/events`)
    .send({ events: [event(1, 'start', 0), event(2, 'go', 1000), event(3, 'finish', 61_000)] })
    .expect(200);
  expect(run.line.cues.length).toBeGreaterThan(3);
  const [later, file] = [uuid(), await visitFile(test_.app, visitId)];
  const startsAt = new Date(Date.parse(file.visit.startsAt) + 3 * 3_600_000).toISOString();
  await api().put(`/api/visits/${later}`).send({ athleteId, startsAt, minutes: 30, overlap: true }).expect(200);
  const dose = (await api().get(`/api/visits/${later}/dose`).expect(200)).body;
  expect(dose.week).toHaveLength(1);
  expect(dose.week[0]).toMatchObject({ target: 'gastrocnemius', side: 'left' });
  expect(dose.week[0].endRangeS).toBeGreaterThan(10);
  expect(dose.today.forearm).toBeGreaterThan(0.3);
  // Somebody else's hands did nothing that day; what the athlete got counts for whoever looks.
  const colleague = (
    await requestAs(test_.app, await test_.cookieOf('therapist'))
      .get(`/api/visits/${later}/dose`)
      .expect(200)
  ).body;
  expect(colleague.today.forearm).toBe(0);
  expect(colleague.week).toEqual(dose.week);
  // A walk-through is no work: not the athlete's week, not the hands' day, not what their range is said to have answered to.
  const walk = uuid();
  await api()
    .put(`/api/runs/${walk}`)
    .send({ visitId, blocks: [block], breath: { periodMs: 8000, inShare: 0.4 }, edges: [], clockRate: 20 })
    .expect(200);
  await api()
    .post(`/api/runs/${walk}/events`)
    .send({ events: [event(1, 'start', 0), event(2, 'go', 1000), event(3, 'finish', 61_000)] })
    .expect(200);
  expect((await api().get(`/api/visits/${later}/dose`).expect(200)).body).toEqual(dose);
  // What was done stands as it happened, whatever becomes of the plan: two of the rounds fit into the minute.
  const past = (await visitFile(test_.app, later)).pastBlocks;
  expect(past).toEqual([
    {
      visitId,
      startsAt: file.visit.startsAt,
      entryId: 'calf-supine',
      methodId: 'static-hold',
      motionId: 'ankle-dorsiflexion',
      sides: [{ side: 'left', rounds: expect.any(Number), work: expect.any(Array) }],
    },
  ]);
  expect(past[0]!.sides[0]!.rounds).toBeLessThanOrEqual(block.sides[0]!.rounds);
  await api().put(`/api/visits/${visitId}/plan`).send({ revision: 0, blocks: [] }).expect(200);
  expect((await visitFile(test_.app, later)).pastBlocks).toEqual(past);
  // Runs from before this was kept say the same.
  await change(test_.pool, 'UPDATE run SET done = NULL WHERE id = ?', [runId]);
  expect((await visitFile(test_.app, later)).pastBlocks).toEqual(past);
  // This visit's own plan is no part of what was done before it.
  expect((await api().get(`/api/visits/${visitId}/dose`).expect(200)).body.week).toEqual([]);
});

test('a sequence of its own: kept as it was sent, one version after another, refused where it cannot be, and never of another kind', async () => {
  const protocol = PROTOCOLS.find(({ id }) => id === 'neck-on-the-breath')!;
  const fields = { kind: 'protocol', name: 'Our neck', what: '', steps: protocol.steps };
  const id = uuid();
  await api().put(`/api/shelf/${id}`).send({ supersedes: null, fields }).expect(200);
  // The answer was lost and it is sent again.
  await api().put(`/api/shelf/${id}`).send({ supersedes: null, fields }).expect(200);
  expect(protocolsOf(await items()).find((each) => each.id === id)!.steps).toEqual(protocol.steps);

  const wrong = { ...fields, steps: [protocol.steps[0], { ...protocol.steps[0], entryId: 'wing' }] };
  const refused = await api().put(`/api/shelf/${uuid()}`).send({ supersedes: null, fields: wrong }).expect(422);
  expect(JSON.stringify(refused.body)).toContain('fields.steps.1.entryId');
  await api()
    .put(`/api/shelf/${uuid()}`)
    .send({ supersedes: null, fields: { ...fields, steps: [] } })
    .expect(422);
  await api().put(`/api/shelf/${uuid()}`).send({ supersedes: id, fields: ENTRY }).expect(422);
  // What cautions allow is written where it is planned, never kept.
  const limited = { ...fields, steps: [{ ...protocol.steps[0], limits: [] }] };
  await api().put(`/api/shelf/${uuid()}`).send({ supersedes: null, fields: limited }).expect(422);

  // It may need what the practice made itself.
  const own = uuid();
  await api().put(`/api/shelf/${own}`).send({ supersedes: null, fields: ENTRY }).expect(200);
  const { id: _block, ...step } = newBlock(uuid(), own, 'static-hold', ['left'], shelfOf(await items()));
  const next = uuid();
  await api()
    .put(`/api/shelf/${next}`)
    .send({ supersedes: id, fields: { ...fields, steps: [step] } })
    .expect(200);
  expect(protocolsOf(await items()).map((each) => each.id)).not.toContain(id);
  expect(protocolsOf(await items()).map((each) => each.id)).toContain(next);
  await api().post(`/api/shelf/${next}/retire`).send({}).expect(200);
  expect(protocolsOf(await items()).map((each) => each.id)).not.toContain(next);
});

test('an entry keeps what its ways begin with, its own lines of every phase, and what shows that it worked', async () => {
  const own = uuid();
  const more = {
    doses: { 'static-hold': { rounds: 3, numbers: { hold: [15] } } },
    says: { 'static-hold': { Hold: { text: 'Heel heavy' } } },
    medium: 'oil',
    sign: 'Higher the second time',
    onlyAsked: true,
  };
  await api()
    .put(`/api/shelf/${own}`)
    .send({ supersedes: null, fields: { ...ENTRY, ...more } })
    .expect(200);
  expect((await items()).find(({ id }) => id === own)!.fields).toMatchObject(more);
  const block = newBlock(uuid(), own, 'static-hold', ['left'], shelfOf(await items()));
  expect([block.numbers.hold, block.sides[0]!.rounds]).toEqual([[15], 3]);
  for (const change of [
    { doses: { 'static-hold': { numbers: { hold: [9000] } } } },
    { doses: { 'static-hold': { numbers: { wings: [1] } } } },
    { doses: { 'cr-nothing': { rounds: 2 } } },
    { says: { 'static-hold': { Wings: { text: 'Up' } } } },
    { medium: 'water' },
  ])
    await api()
      .put(`/api/shelf/${uuid()}`)
      .send({ supersedes: null, fields: { ...ENTRY, ...change } })
      .expect(422);
});

test('where something comes from stays with it when it is changed here, and a request sent again is the same', async () => {
  const origin = { from: 'Hill house', licence: 'CC BY 4.0', version: 2 };
  const [first, second] = [uuid(), uuid()];
  const fields = { ...WAY, name: 'From elsewhere' };
  await api()
    .put(`/api/shelf/${first}`)
    .send({ supersedes: null, fields: { ...fields, origin } })
    .expect(200);
  const change_ = { supersedes: first, fields: { ...fields, name: 'From elsewhere, ours' } };
  for (let i = 0; i < 2; i++) {
    const { body } = await api().put(`/api/shelf/${second}`).send(change_).expect(200);
    expect((body as OwnItem).fields.origin).toEqual(origin);
  }
  const sport = uuid();
  const asked = { name: 'River polo', synonyms: [], disciplines: [], roles: [], demands: [], shapes: [], loadKinds: [], eventKinds: [] };
  await api()
    .put(`/api/sports/${sport}`)
    .send({ ...asked, origin, revision: 0 })
    .expect(200);
  const { body } = await api()
    .put(`/api/sports/${sport}`)
    .send({ ...asked, name: 'River polo, ours', revision: 1 })
    .expect(200);
  expect(
    (body as { ownSports: { name: string; origin: unknown }[] }).ownSports.find(({ name }) => name === 'River polo, ours')!.origin,
  ).toEqual(origin);
});
