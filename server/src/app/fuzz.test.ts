import fc from 'fast-check';
import { ROUTES } from '@pace-bend/core/access';
import { newVisit, openTestApp, request, uuid, type TestApp } from '../testing/app.ts';

let test_: TestApp;
beforeAll(async () => {
  test_ = await openTestApp();
});
afterAll(() => test_.close());

/** Values a careless or hostile caller might send in any place. */
const oddValue = fc.oneof(
  fc.constantFrom(
    null,
    true,
    '',
    'left',
    'before',
    '2026-11-25T09:30:00.000Z',
    '__proto__',
    'NaN',
    '💥',
    'x'.repeat(9000),
    -1,
    0,
    1,
    1.5,
    1e308,
    2 ** 53,
    [],
    {},
    [[]],
    { toString: 1 },
  ),
  fc.jsonValue({ maxDepth: 2 }),
);
const NAMES = [
  'name',
  'birthDate',
  'referenceSex',
  'sports',
  'about',
  'breathPeriodMs',
  'athleteId',
  'startsAt',
  'minutes',
  'revision',
  'step',
  'complaint',
  'minutesAvailable',
  'motionId',
  'side',
  'moment',
  'mode',
  'instrument',
  'trials',
  'supersedes',
  'blocks',
  'text',
  'visitId',
  'breath',
  'edges',
  'clockRate',
  'events',
  'constructor',
  'code',
  'region',
  'onset',
  'surgeryOn',
  'words',
  'clearance',
  'resolvedOn',
  'answers',
  'ruleId',
  'reason',
  'to',
  'seen',
  'rows',
  'athleteIds',
  'login',
  'password',
  'current',
  'role',
  'active',
  'squadIds',
  'scope',
  'timeZone',
  'practiceName',
  'overlap',
  'consent',
  'complaintScore',
  'lookFirst',
  'contacts',
  'beighton',
  'thighCm',
  'confirm',
  'kind',
  'subject',
  'data',
  'instruments',
  'examinerIds',
  'spacing',
  'subjects',
  'values',
  'used',
  'value',
  'byDate',
];
const oddBody = fc.oneof(fc.dictionary(fc.constantFrom(...NAMES), oddValue, { maxKeys: 9 }), oddValue);
/** Every table a request could write to. Who tries to sign in is counted on purpose, and looking is noted in the audit. */
const WRITES = [
  'practice',
  'athlete',
  'athlete_condition',
  'no_touch_area',
  'squad',
  'squad_member',
  'account',
  'coach_squad',
  'sign_in',
  'visit',
  'stop_answers',
  'caution_override',
  'referral',
  'rom_reading',
  'plan',
  'plan_block',
  'run',
  'run_event',
  'note',
  'audit',
  'finding',
  'error_study',
  'athlete_goal',
];
const COUNT = `SELECT ${WRITES.map((table) => `(SELECT COUNT(*) FROM ${table})`).join(', ')}, (SELECT SUM(revision) FROM visit), (SELECT SUM(revision) FROM athlete), (SELECT SUM(revision) FROM practice), (SELECT SUM(revision) FROM account)`;
const count = async () => JSON.stringify((await test_.pool.query(COUNT))[0]);

/** Hears every statement that could write, on whichever connection; reading is passed over. */
function listenForWrites(): { heard(): boolean } {
  let writes = 0;
  const listen = (on: { execute: unknown; query: unknown }) => {
    for (const name of ['execute', 'query'] as const) {
      const plain = (on[name] as (...all: unknown[]) => unknown).bind(on);
      on[name] = (sql: unknown, ...rest: unknown[]) => {
        if (!/^\s*SELECT/i.test(String(sql)) && !/sign_in_attempt/.test(String(sql))) writes += 1;
        return plain(sql, ...rest);
      };
    }
  };
  const { pool } = test_;
  listen(pool);
  const getConnection = pool.getConnection.bind(pool);
  const known = new WeakSet<object>();
  pool.getConnection = async () => {
    const connection = await getConnection();
    if (!known.has(connection)) listen(connection);
    known.add(connection);
    return connection;
  };
  return {
    heard: () => {
      const some = writes > 0;
      writes = 0;
      return some;
    },
  };
}

/** Values that a route would take, so that bodies come close to what is right as well. */
const nearly = fc.record(
  {
    name: fc.constantFrom('Ann', ''),
    birthDate: fc.constantFrom('2001-02-03', '2031-02-03'),
    referenceSex: fc.constantFrom('female', 'robot'),
    sports: fc.constantFrom([], 'sail', [{ sportId: 'sail' }]),
    about: fc.constant(''),
    breathPeriodMs: fc.constantFrom(9000, -1),
    revision: fc.integer({ min: -1, max: 3 }),
    code: fc.constantFrom('knee-pain', 'muscle-strain'),
    region: fc.constantFrom(null, 'calf'),
    side: fc.constantFrom('left', null, 'midline'),
    onset: fc.constantFrom(null, '2026-02-30'),
    surgeryOn: fc.constant(null),
    words: fc.constant(''),
    clearance: fc.constantFrom(null, {}),
    resolvedOn: fc.constantFrom(null, 'x'),
    text: fc.constantFrom('words', 7),
    startsAt: fc.constantFrom('2026-11-25T10:00:00.000Z', 'noon'),
    minutes: fc.constantFrom(30, 1),
    motionId: fc.constantFrom('hip-flexion', 'x'),
    moment: fc.constant('before'),
    mode: fc.constant('passive'),
    instrument: fc.constant('goniometer'),
    trials: fc.constantFrom([1, 2], [1e9], ['x']),
    supersedes: fc.constant(null),
    to: fc.constant('Dr'),
    seen: fc.constantFrom('seen', null),
    blocks: fc.constantFrom([], [{}]),
    reason: fc.constantFrom('long enough as a reason', ''),
    ruleId: fc.constantFrom('knee-torque', 'x'),
    kind: fc.constantFrom('press', 'end', 'repeatability'),
    subject: fc.constantFrom('hip-hike', 'hip-flexion', 7),
    data: fc.constantFrom({ answer: 'late' }, { answer: 'x' }, { endFeel: 'bony', pain: 2, felt: null, guarding: null }, null, []),
    value: fc.constantFrom(20, 'x', 1e9),
    byDate: fc.constantFrom(null, '2026-12-20', '2026-02-30'),
    instruments: fc.constantFrom(['goniometer'], []),
    examinerIds: fc.constantFrom([], ['x']),
    spacing: fc.constant('one-day'),
    subjects: fc.constantFrom([], [{}]),
    values: fc.constantFrom([], [[[null]]]),
    used: fc.boolean(),
  },
  { requiredKeys: [] },
);

/** The application on a port of its own, so that one connection serves all requests. */
async function listening() {
  const server = test_.app.listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  const { port } = server.address() as { port: number };
  const cookie = await test_.cookieOf('owner');
  return {
    url: `http://127.0.0.1:${port}`,
    async send(method: string, address: string, body: unknown) {
      const answer = await fetch(address, {
        method,
        headers: { 'Content-Type': 'application/json', Cookie: cookie },
        body: JSON.stringify(body),
      });
      return { status: answer.status, type: answer.headers.get('content-type'), body: (await answer.json()) as { detail: string } };
    },
    close: () => {
      server.closeAllConnections();
      server.close();
    },
  };
}

/** Rows whose success would sign the test out or take the ground from under it. */
const KEPT_OUT = ['/sign-out', '/sign-out-everywhere', '/health'];

test('whatever is sent to any route: an answer in words, never a 500, and a refused request writes nothing', async () => {
  const { athleteId, visitId } = await newVisit(test_.app);
  const places: Record<string, string> = { athletes: athleteId, visits: visitId };
  const routes = ROUTES.filter((route) => route.method !== 'GET' && !KEPT_OUT.includes(route.path));
  const { url, send, close } = await listening();
  let before = await count();
  const writes = listenForWrites();
  let refused = 0;
  await fc.assert(
    fc.asyncProperty(fc.constantFrom(...routes), fc.oneof(oddBody, nearly), fc.boolean(), async (route, body, known) => {
      const own = places[route.path.split('/')[1]!];
      const address = `/api${route.path}`
        .replace(':id', known && own && !(route.method === 'PUT' && route.path.endsWith(':id')) ? own : uuid())
        .replace(/:\w+/, uuid());
      const answer = await send(route.method, `${url}${address}`, body);
      expect(answer.status).toBeLessThan(500);
      // Without a statement that writes there is nothing to count; one in a transaction that was taken back is counted.
      const after = writes.heard() ? await count() : before;
      if (answer.status >= 400) {
        refused += 1;
        expect(after).toBe(before);
        expect(answer.type).toContain('application/problem+json');
        expect(answer.body.detail.length).toBeGreaterThan(5);
      }
      before = after;
    }),
    // Others each time; a million by `npm run fuzz`.
    { numRuns: 2_000, endOnFailure: true },
  );
  expect(refused).toBeGreaterThan(1_500);
  close();
}, 900_000);

test('odd addresses are the caller’s mistake too', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.constantFrom('visits', 'athletes', 'days', 'runs', 'nowhere'),
      fc.string({ minLength: 1, maxLength: 60 }),
      async (place, part) => {
        const answer = await request(test_.app).get(`/api/${place}/${encodeURIComponent(part)}`);
        expect(answer.status).toBeGreaterThanOrEqual(400);
        expect(answer.status).toBeLessThan(500);
      },
    ),
    { numRuns: 100 },
  );
  expect((await request(test_.app).get('/api/visits/%E0%A4%A')).status).toBe(400);
});
