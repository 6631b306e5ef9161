import { rows } from '../db/pool.ts';
import { NOW, openTestApp, request, requestAs, uuid, type TestApp } from '../testing/app.ts';
import { canonicalLogin } from '../access/throttle.ts';

let test_: TestApp;
beforeEach(async () => {
  test_ = await openTestApp();
});
afterEach(() => test_.close());
const PASSWORD = 'a river in the rain';
const nobody = () => requestAs(test_.app, null);
const signIn = (login: string, password = 'wrong guess here') => nobody().post('/api/sign-in').send({ login, password });
const cookiesOf = (answer: { headers: Record<string, string> }) =>
  ((answer.headers['set-cookie'] as unknown as string[]) ?? []).map((cookie) => cookie.split(';')[0]!).join('; ');
const lines = () => rows<{ who: string; what: string }>(test_.pool, 'SELECT account_name AS who, what FROM audit ORDER BY id');
async function account(login: string): Promise<string> {
  const id = uuid();
  await request(test_.app)
    .put(`/api/accounts/${id}`)
    .send({ revision: 0, name: login, login, role: 'therapist', active: true, squadIds: [], password: PASSWORD })
    .expect(200);
  return id;
}

test('every spelling of a name is counted as that name, and only the plain one opens it', async () => {
  await account('helene');
  for (const spelling of ['hélène', 'HELENE', 'ｈｅｌｅｎｅ', 'helene\u200b', ' he\u0301lene'])
    expect((await signIn(spelling)).status).toBe(401);
  // Five guesses in five spellings: the sixth has to wait, however it is spelt.
  for (const spelling of ['helene', 'hèlène', 'Helene ']) expect((await signIn(spelling, PASSWORD)).status).toBe(429);
  expect(canonicalLogin('HÉLÈNE').counted).toBe(canonicalLogin('helene').counted);
  expect(canonicalLogin('hélène').name).toBeNull();
});

test('a hundred guesses at once are a hundred: five are looked at, the rest wait', async () => {
  await account('ann');
  const answers = await Promise.all(Array.from({ length: 100 }, () => signIn('ann')));
  const statuses = answers.map((answer) => answer.status);
  expect([statuses.filter((status) => status === 401).length, statuses.filter((status) => status === 429).length]).toEqual([5, 95]);
  expect((await signIn('ann', PASSWORD)).status).toBe(429);
});

test('guessing at many names from one address is slowed down as well; a browser that is known is not held up by it', async () => {
  await account('ann');
  const known = cookiesOf(await signIn('ann', PASSWORD).expect(200));
  for (let i = 0; i < 60; i++) await signIn(`nobody-${i}`);
  expect((await signIn('somebody-else')).status).toBe(429);
  await requestAs(test_.app, known).post('/api/sign-in').send({ login: 'ann', password: PASSWORD }).expect(200);
});

test('names that do not exist leave nothing that stays: counts older than a day go with the next attempt', async () => {
  for (let i = 0; i < 20; i++) await signIn(`nobody-${i}`);
  expect((await rows(test_.pool, 'SELECT bucket FROM sign_in_attempt')).length).toBeGreaterThan(20);
  test_.setNow(new Date(NOW.getTime() + 25 * 3_600_000));
  await signIn('one-more');
  expect(await rows(test_.pool, 'SELECT bucket FROM sign_in_attempt')).toHaveLength(2);
});

test('signing in again ends the former token of that browser', async () => {
  await account('ann');
  const first = cookiesOf(await signIn('ann', PASSWORD).expect(200));
  const second = await requestAs(test_.app, first).post('/api/sign-in').send({ login: 'ann', password: PASSWORD }).expect(200);
  await requestAs(test_.app, first).get('/api/practice').expect(401);
  await requestAs(test_.app, cookiesOf(second)).get('/api/practice').expect(200);
});

test.each(['Password1234!', 'qwertyuiop12', '123456qwerty', 'iloveyou 2026'])(
  '%s is one of the first that are tried: refused, for the owner, for others, for a change',
  async (password) => {
    expect(
      (
        await request(test_.app)
          .put(`/api/accounts/${uuid()}`)
          .send({ revision: 0, name: 'A', login: 'weak-one', role: 'coach', active: true, squadIds: [], password })
          .expect(422)
      ).body.errors[0],
    ).toMatchObject({ path: 'password', message: expect.stringContaining('tried first') });
    await account('ann');
    const here = cookiesOf(await signIn('ann', PASSWORD).expect(200));
    expect(
      (await requestAs(test_.app, here).post('/api/me/password').send({ current: PASSWORD, password }).expect(422)).body.errors[0].path,
    ).toBe('password');
    for (const table of ['sign_in', 'known_device', 'account']) await test_.pool.query(`DELETE FROM ${table}`);
    await nobody().post('/api/first-owner').send({ practiceName: 'P', name: 'Ann', login: 'ann', password }).expect(422);
  },
);

test('coming in, going out, failing, accounts, passwords and taking out stand in the audit', async () => {
  const id = await account('ann');
  await signIn('ann').expect(401);
  await signIn('who-is-that').expect(401);
  const here = cookiesOf(await signIn('ann', PASSWORD).expect(200));
  await requestAs(test_.app, here)
    .post('/api/me/password')
    .send({ current: 'not this one', password: 'another river at night' })
    .expect(422);
  const after = await requestAs(test_.app, here)
    .post('/api/me/password')
    .send({ current: PASSWORD, password: 'another river at night' })
    .expect(200);
  await requestAs(test_.app, cookiesOf(after)).get('/api/export/athletes').expect(200);
  await requestAs(test_.app, cookiesOf(after)).post('/api/sign-out').send({}).expect(200);
  await request(test_.app)
    .patch(`/api/accounts/${id}`)
    .send({ revision: 1, name: 'ann', login: 'ann', role: 'coach', active: false, squadIds: [], password: null })
    .expect(200);
  expect((await lines()).map(({ who, what }) => `${who}: ${what}`)).toEqual([
    'A owner: account made',
    'ann: sign-in refused',
    'Nobody known: sign-in refused',
    'ann: signed in',
    'ann: password change refused',
    'ann: password changed',
    'ann: squad exported',
    'ann: signed out',
    'A owner: account changed',
  ]);
});

test('a change and its line of the audit stand together or not at all', async () => {
  const athleteId = uuid();
  await request(test_.app)
    .put(`/api/athletes/${athleteId}`)
    .send({ name: 'Ann', birthDate: '2001-05-06', referenceSex: 'none', sports: [], about: '', breathPeriodMs: 8000 })
    .expect(200);
  await test_.pool.query(
    "CREATE TRIGGER audit_full BEFORE INSERT ON audit FOR EACH ROW SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'no room'",
  );
  const errors = console.error;
  console.error = () => undefined;
  try {
    await request(test_.app).patch(`/api/athletes/${athleteId}`).send({ revision: 1, about: 'Unwitnessed' }).expect(500);
    // A look that could not be noted gives nothing, and does not count as noted.
    expect(JSON.stringify((await request(test_.app).get(`/api/athletes/${athleteId}`).expect(500)).body)).not.toContain('Ann');
  } finally {
    console.error = errors;
    await test_.pool.query('DROP TRIGGER audit_full');
  }
  expect((await request(test_.app).get(`/api/athletes/${athleteId}`).expect(200)).body.athlete.about).toBe('');
  expect((await lines()).map(({ what }) => what)).toEqual(['added', 'file read']);
});

test('a page of one account gets nothing written once somebody else is signed in there', async () => {
  const id = await account('ann');
  const ben = await account('ben');
  const bens = cookiesOf(await signIn('ben', PASSWORD).expect(200));
  const refused = await requestAs(test_.app, bens)
    .put(`/api/athletes/${uuid()}`)
    .set('Pace-Bend-Account', id)
    .send({ name: 'Ann', birthDate: '2001-05-06', referenceSex: 'none', sports: [], about: '', breathPeriodMs: 8000 })
    .expect(401);
  expect(refused.body.title).toBe('Somebody else');
  await requestAs(test_.app, bens).get('/api/practice').set('Pace-Bend-Account', ben).expect(200);
  expect(await rows(test_.pool, 'SELECT id FROM athlete')).toEqual([]);
});

test('the practice’s time zone comes from the browser that makes the owner', async () => {
  for (const table of ['sign_in', 'account']) await test_.pool.query(`DELETE FROM ${table}`);
  const first = (timeZone: unknown) =>
    nobody().post('/api/first-owner').send({ practiceName: 'P', name: 'Ann', login: 'ann', password: PASSWORD, timeZone });
  await first('Moon/Crater').expect(422);
  const owner = cookiesOf(await first('Pacific/Auckland').expect(200));
  expect((await requestAs(test_.app, owner).get('/api/practice').expect(200)).body.timeZone).toBe('Pacific/Auckland');
});
