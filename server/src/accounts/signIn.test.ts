import { firstRow } from '../db/pool.ts';
import { NOW, openTestApp, request, requestAs, uuid, type TestApp } from '../testing/app.ts';

let test_: TestApp;
beforeEach(async () => {
  test_ = await openTestApp();
});
afterEach(() => test_.close());
const nobody = () => requestAs(test_.app, null);
const PASSWORD = 'a river in the rain';
const SET_COOKIE = 'set-cookie';
const cookiesOf = (answer: { headers: Record<string, string> }) =>
  ((answer.headers[SET_COOKIE] as unknown as string[]) ?? []).map((cookie) => cookie.split(';')[0]!);

async function account(login: string, role = 'therapist'): Promise<string> {
  const id = uuid();
  await request(test_.app)
    .put(`/api/accounts/${id}`)
    .send({ revision: 0, name: login, login, role, active: true, squadIds: [], password: PASSWORD })
    .expect(200);
  return id;
}
const signIn = (login: string, password: string, cookie: string | null = null) =>
  requestAs(test_.app, cookie).post('/api/sign-in').send({ login, password });

test('signing in gives a cookie that no script and no other site can use; the database keeps no password and no token', async () => {
  await account('ann');
  const answer = await signIn('ANN', PASSWORD).expect(200);
  expect(answer.body).toMatchObject({ name: 'ann', role: 'therapist' });
  const [device, session] = answer.headers[SET_COOKIE] as unknown as string[];
  for (const cookie of [device, session]) expect(cookie).toMatch(/HttpOnly.*SameSite=Strict/);
  const token = session!.split(/[=;]/)[1]!;
  const kept = await firstRow<{ hash: string; token: string }>(
    test_.pool,
    "SELECT a.password_hash AS hash, s.token_hash AS token FROM account a JOIN sign_in s ON s.account_id = a.id WHERE a.login = 'ann'",
  );
  expect(kept!.hash).toMatch(/^\$argon2id\$v=19\$m=19456,t=2,p=1\$/);
  expect(kept!.token).not.toContain(token);
  await requestAs(test_.app, `pace_bend=${token}`).get('/api/practice').expect(200);
  await requestAs(test_.app, 'pace_bend=guessed').get('/api/practice').expect(401);
});

test('a session ends when nothing was asked for two hours, after twelve hours anyway, on sign-out, and everywhere at once', async () => {
  await account('ann');
  const session = async () => cookiesOf(await signIn('ann', PASSWORD).expect(200)).join('; ');
  const later = (hours: number) => test_.setNow(new Date(NOW.getTime() + hours * 3_600_000));
  const idle = await session();
  later(2.1);
  await requestAs(test_.app, idle).get('/api/practice').expect(401);

  test_.setNow(NOW);
  const busy = await session();
  for (let hour = 1; hour < 12; hour++) {
    later(hour);
    await requestAs(test_.app, busy).get('/api/practice').expect(200);
  }
  later(12.1);
  await requestAs(test_.app, busy).get('/api/practice').expect(401);

  test_.setNow(NOW);
  const [one, two, three] = [await session(), await session(), await session()];
  await requestAs(test_.app, one).post('/api/sign-out').send({}).expect(200);
  await requestAs(test_.app, one).get('/api/practice').expect(401);
  await requestAs(test_.app, two).post('/api/sign-out-everywhere').send({}).expect(200);
  await requestAs(test_.app, three).get('/api/practice').expect(401);
});

test('guessing is slowed down and never locks the colleague out of the browser they know', async () => {
  await account('ann');
  const known = cookiesOf(await signIn('ann', PASSWORD).expect(200)).join('; ');
  for (let i = 0; i < 5; i++) await signIn('ann', 'wrong guess here').expect(401);
  const refused = await signIn('ann', PASSWORD).expect(429);
  expect(refused.headers['retry-after']).toBe('2');
  expect(refused.body.detail).toContain('2 seconds');
  // Meanwhile: the colleague's own browser, and everybody else.
  await signIn('ann', PASSWORD, known).expect(200);
  await account('ben');
  await signIn('ben', PASSWORD).expect(200);
  // After the wait it goes on; each wrong try doubles it, five minutes at most.
  test_.setNow(new Date(NOW.getTime() + 3000));
  await signIn('ann', 'wrong guess here').expect(401);
  expect((await signIn('ann', PASSWORD).expect(429)).headers['retry-after']).toBe('4');
  let at = NOW.getTime() + 3000;
  for (let i = 0; i < 12; i++) {
    at += 301_000;
    test_.setNow(new Date(at));
    await signIn('ann', 'wrong guess here').expect(401);
  }
  expect(Number((await signIn('ann', PASSWORD).expect(429)).headers['retry-after'])).toBe(300);
  // Somebody else's device cookie does not open ann's own bucket.
  const bens = cookiesOf(await signIn('ben', PASSWORD).expect(200)).join('; ');
  await signIn('ann', PASSWORD, bens).expect(429);
});

test('a name that does not exist is answered like a wrong password, a closed account too', async () => {
  const id = await account('ann');
  const unknown = await signIn('nobody', PASSWORD).expect(401);
  expect(unknown.body).toEqual((await signIn('ann', 'wrong guess here').expect(401)).body);
  const session = cookiesOf(await signIn('ann', PASSWORD).expect(200)).join('; ');
  await request(test_.app)
    .patch(`/api/accounts/${id}`)
    .send({ revision: 1, name: 'ann', login: 'ann', role: 'therapist', active: false, squadIds: [], password: null })
    .expect(200);
  await requestAs(test_.app, session).get('/api/practice').expect(401);
  await signIn('ann', PASSWORD).expect(401);
});

test('the first start makes one owner, once; two at the same instant make one', async () => {
  expect((await nobody().get('/api/welcome').expect(200)).body).toMatchObject({ firstStart: false, demoAccounts: [] });
  await nobody().post('/api/first-owner').send({ practiceName: 'P', name: 'Late', login: 'late', password: PASSWORD }).expect(409);
  for (const table of ['sign_in', 'account']) await test_.pool.query(`DELETE FROM ${table}`);
  expect((await nobody().get('/api/welcome')).body.firstStart).toBe(true);
  await nobody().post('/api/first-owner').send({ practiceName: 'P', name: 'Ann', login: 'ann', password: 'short' }).expect(422);
  const both = await Promise.all(
    ['ann', 'ben'].map((login) =>
      nobody().post('/api/first-owner').send({ practiceName: 'River room', name: login, login, password: PASSWORD }),
    ),
  );
  expect(both.map((answer) => answer.status).sort()).toEqual([200, 409]);
  const owner = cookiesOf(both.find((answer) => answer.status === 200)!).join('; ');
  expect((await requestAs(test_.app, owner).get('/api/practice').expect(200)).body.name).toBe('River room');
  expect((await requestAs(test_.app, owner).get('/api/accounts').expect(200)).body.accounts).toHaveLength(1);
});

test('the last owner stays; a taken sign-in name is named; a changed password signs the other browsers out', async () => {
  await request(test_.app).patch('/api/practice').send({}).expect(422);
  const { accounts } = (await request(test_.app).get('/api/accounts').expect(200)).body as {
    accounts: { id: string; name: string; login: string; revision: number }[];
  };
  const [owner] = accounts;
  const base = { revision: owner!.revision, name: owner!.name, login: owner!.login, squadIds: [], password: null };
  for (const change of [
    { role: 'therapist', active: true },
    { role: 'owner', active: false },
  ]) {
    expect(
      (
        await request(test_.app)
          .patch(`/api/accounts/${owner!.id}`)
          .send({ ...base, ...change })
          .expect(422)
      ).body.detail,
    ).toContain('last one');
  }
  await account('ann');
  const taken = await request(test_.app)
    .put(`/api/accounts/${uuid()}`)
    .send({ revision: 0, name: 'Other', login: 'ann', role: 'coach', active: true, squadIds: [], password: PASSWORD })
    .expect(422);
  expect(taken.body.errors[0].path).toBe('login');
  const [here, there] = [cookiesOf(await signIn('ann', PASSWORD)).join('; '), cookiesOf(await signIn('ann', PASSWORD)).join('; ')];
  expect(
    (
      await requestAs(test_.app, here)
        .post('/api/me/password')
        .send({ current: 'not it at all', password: 'another river at night' })
        .expect(422)
    ).body.errors[0].path,
  ).toBe('current');
  await requestAs(test_.app, here).post('/api/me/password').send({ current: PASSWORD, password: 'another river at night' }).expect(200);
  await requestAs(test_.app, there).get('/api/practice').expect(401);
  await signIn('ann', 'another river at night').expect(200);
});

test('the practice’s scope and its rule: kept, checked, not over what somebody else wrote', async () => {
  const scope = {
    mobilizationGrade: 2,
    byRegion: { ankle: 3 },
    frontOfNeck: true,
    ruleText: 'Delegated in writing.',
    ruleLink: 'https://rules.example/x',
  };
  const practice = (await request(test_.app).get('/api/practice')).body as { name: string; timeZone: string; revision: number };
  const sent = { name: practice.name, timeZone: practice.timeZone, revision: practice.revision };
  expect(
    (
      await request(test_.app)
        .patch('/api/practice')
        .send({ ...sent, scope })
        .expect(200)
    ).body.scope,
  ).toEqual(scope);
  await request(test_.app)
    .patch('/api/practice')
    .send({ ...sent, scope })
    .expect(409);
  for (const wrong of [
    { ...scope, mobilizationGrade: 5 },
    { ...scope, ruleLink: 'javascript:alert(1)' },
    { ...scope, byRegion: { moon: 1 } },
  ])
    await request(test_.app)
      .patch('/api/practice')
      .send({ ...sent, revision: 2, scope: wrong })
      .expect(422);
});
