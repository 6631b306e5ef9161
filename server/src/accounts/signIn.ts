import { Router, type Response } from 'express';
import { v7 as uuid } from 'uuid';
import { checkPassword, type Me, type Welcome } from '@pace-bend/core/access';
import { clearSession, deviceToken, sessionToken, setDevice, setSession } from '../access/cookies.ts';
import { caller } from '../access/guard.ts';
import { hashPassword, isPassword } from '../access/passwords.ts';
import { createSession, endSession, endSessionsOf } from '../access/sessions.ts';
import { SignInThrottle } from '../access/throttle.ts';
import { newToken } from '../access/tokens.ts';
import { invalid, Problem } from '../app/problem.ts';
import { validate } from '../app/validate.ts';
import { change, firstRow, rows, transaction, type Pool } from '../db/pool.ts';
import { insertAccount, passwordHashOf, setPassword, signInRow } from './queries.ts';
import { firstOwnerSchema, passwordSchema, signInSchema } from './schema.ts';

/** Coming in and going out. */
export function signInRoutes(pool: Pool, now: () => Date): Router {
  const router = Router();
  const throttle = new SignInThrottle(pool, now);

  /** What the page shows before anybody is signed in. */
  router.get('/welcome', async (_request, response) => {
    const practice = await firstRow<{ name: string }>(pool, 'SELECT name FROM practice ORDER BY created_at LIMIT 1');
    const accounts = await rows<{ n: number }>(pool, 'SELECT COUNT(*) AS n FROM account');
    const demoAccounts = await rows<Welcome['demoAccounts'][number]>(pool, 'SELECT name, login, demo_password AS password, role FROM account WHERE demo_password IS NOT NULL AND active ORDER BY created_at, id');
    response.json({ practiceName: practice?.name ?? '', firstStart: Number(accounts[0]!.n) === 0, demoAccounts } satisfies Welcome);
  });

  async function signIn(response: Response, accountId: string, device: string | null): Promise<void> {
    const known = device ?? newToken();
    await throttle.remember(known, accountId);
    if (!device) setDevice(response, known);
    setSession(response, await createSession(pool, accountId, now()));
    response.json(await firstRow<Me>(pool, 'SELECT id, name, role FROM account WHERE id = ?', [accountId]));
  }

  router.post('/sign-in', async (request, response) => {
    const sent = validate(signInSchema, request.body);
    const login = sent.login.toLowerCase();
    const device = deviceToken(request);
    const bucket = await throttle.bucketOf(login, device);
    const waitS = await throttle.waitS(bucket);
    if (waitS > 0) {
      response.set('Retry-After', String(waitS));
      throw new Problem(429, 'Wait', `Too many wrong passwords from here. Try again in ${waitS} ${waitS === 1 ? 'second' : 'seconds'}.`, [], { waitS });
    }
    const account = await signInRow(pool, login);
    if (!(await isPassword(sent.password, account?.passwordHash ?? null))) {
      await throttle.failed(bucket);
      throw new Problem(401, 'Not signed in', 'This name and this password do not belong together.');
    }
    await throttle.succeeded(bucket);
    await signIn(response, account!.id, device);
  });

  /** Makes the owner's account while there is none at all; after that this door is shut. */
  router.post('/first-owner', async (request, response) => {
    const { practiceName, name, login, password } = validate(firstOwnerSchema, request.body);
    const passwordHash = await hashPassword(password);
    const id = uuid();
    await transaction(pool, async (db) => {
      const practice = await firstRow<{ id: string }>(db, 'SELECT id FROM practice ORDER BY created_at LIMIT 1 FOR UPDATE');
      if (!practice || (await firstRow(db, 'SELECT id FROM account LIMIT 1'))) throw new Problem(409, 'Already set up', 'This practice has its owner. Sign in instead.');
      await change(db, 'UPDATE practice SET name = ?, revision = revision + 1 WHERE id = ?', [practiceName, practice.id]);
      await insertAccount(db, practice.id, id, { name, login, role: 'owner', active: true }, passwordHash);
    });
    await signIn(response, id, deviceToken(request));
  });

  router.get('/me', (_request, response) => {
    const { accountId, name, role } = caller(response);
    response.json({ id: accountId, name, role } satisfies Me);
  });

  router.post('/sign-out', async (request, response) => {
    await endSession(pool, sessionToken(request)!);
    clearSession(response);
    response.json({ signedOut: true });
  });

  router.post('/sign-out-everywhere', async (_request, response) => {
    await endSessionsOf(pool, caller(response).accountId);
    clearSession(response);
    response.json({ signedOut: true });
  });

  /** Sets another password; every other browser is signed out. */
  router.post('/me/password', async (request, response) => {
    const { accountId } = caller(response);
    const { current, password } = validate(passwordSchema, request.body);
    const account = (await passwordHashOf(pool, accountId))!;
    const bucket = await throttle.bucketOf(account.login, deviceToken(request));
    if ((await throttle.waitS(bucket)) > 0) throw new Problem(429, 'Wait', 'Too many wrong passwords from here. Try again later.');
    if (!(await isPassword(current, account.passwordHash))) {
      await throttle.failed(bucket);
      throw invalid([{ path: 'current', message: 'This is not the password so far.' }]);
    }
    const message = checkPassword(password, account.login);
    if (message) throw invalid([{ path: 'password', message }]);
    await setPassword(pool, accountId, await hashPassword(password));
    await endSessionsOf(pool, accountId);
    setSession(response, await createSession(pool, accountId, now()));
    response.json({ changed: true });
  });

  return router;
}
