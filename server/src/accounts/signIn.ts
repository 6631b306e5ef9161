import { Router, type Request, type Response } from 'express';
import { v7 as uuid } from 'uuid';
import { checkPassword, type Me, type Welcome, type WhoIsIn } from '@pace-bend/core/access';
import { clearSession, deviceToken, sessionToken, setDevice, setSession } from '../access/cookies.ts';
import { caller } from '../access/guard.ts';
import { hashPassword, isPassword } from '../access/passwords.ts';
import { callerOf, createSession, endSession, endSessionsOf } from '../access/sessions.ts';
import { canonicalLogin, SignInThrottle, type Attempt } from '../access/throttle.ts';
import { newToken } from '../access/tokens.ts';
import { COMMON, isCommonPassword } from '../access/commonPasswords.ts';
import { invalid, Problem } from '../http/problem.ts';
import { validate } from '../http/validate.ts';
import { addAuditLine } from '../access/audit.ts';
import { aside } from '../db/noted.ts';
import { change, firstRow, rows, transaction, type Pool } from '../db/pool.ts';
import { insertAccount, passwordHashOf, setPassword, signInRow } from './queries.ts';
import { firstOwnerSchema, passwordSchema, signInSchema } from './schema.ts';

/** Coming in and going out. */
export function signInRoutes(pool: Pool, now: () => Date, demo: boolean): Router {
  const router = Router();
  const throttle = new SignInThrottle(pool, now);

  /** What the page shows before anybody is signed in. */
  router.get('/welcome', async (_request, response) => {
    const practice = await firstRow<{ name: string }>(pool, 'SELECT name FROM practice ORDER BY created_at LIMIT 1');
    const accounts = await rows<{ n: number }>(pool, 'SELECT COUNT(*) AS n FROM account');
    const demoAccounts = !demo
      ? []
      : await rows<Welcome['demoAccounts'][number]>(
          pool,
          'SELECT name, login, demo_password AS password, role FROM account WHERE demo_password IS NOT NULL AND active ORDER BY created_at, id',
        );
    response.json({ practiceName: practice?.name ?? '', firstStart: Number(accounts[0]!.n) === 0, demoAccounts } satisfies Welcome);
  });

  /** Signs somebody in at a browser; whoever was signed in there before no longer is. */
  async function signIn(request: Request, response: Response, accountId: string, device: string | null): Promise<void> {
    const known = device ?? newToken();
    const former = sessionToken(request);
    await throttle.remember(known, accountId);
    if (!device) setDevice(response, known);
    const { token, me } = await transaction(pool, async (db) => {
      if (former) await endSession(db, former);
      const account = (await firstRow<Me & { practiceId: string }>(
        db,
        'SELECT id, name, role, practice_id AS practiceId FROM account WHERE id = ?',
        [accountId],
      ))!;
      await addAuditLine(db, { practiceId: account.practiceId, at: now(), account, what: 'signed in' });
      return {
        token: await createSession(db, accountId, now()),
        me: { id: account.id, name: account.name, role: account.role } satisfies Me,
      };
    });
    setSession(response, token);
    response.json(me);
  }

  /** Counts an attempt at a name from here, or refuses it until it may be made. */
  async function mayTry(request: Request, response: Response, login: string): Promise<Attempt> {
    const attempt = await throttle.begin(login, deviceToken(request), request.ip ?? '');
    if (attempt.waitS === 0) return attempt;
    response.set('Retry-After', String(attempt.waitS));
    throw new Problem(
      'wait',
      `Too many wrong passwords from here. Try again in ${attempt.waitS} ${attempt.waitS === 1 ? 'second' : 'seconds'}.`,
      [],
      { waitS: attempt.waitS },
    );
  }

  /** A wrong password stands in the audit: under the account it was tried for, or under nobody. */
  async function noteFailure(
    account: { readonly id: string; readonly name: string; readonly practiceId: string } | null,
    what: string,
  ): Promise<void> {
    const practiceId =
      account?.practiceId ?? (await firstRow<{ id: string }>(pool, 'SELECT id FROM practice ORDER BY created_at LIMIT 1'))?.id;
    if (practiceId)
      await aside(() => addAuditLine(pool, { practiceId, at: now(), account: account ?? { id: null, name: 'Nobody known' }, what }));
  }

  /** A password that somebody wants has to be sound, and none of those that are tried first. */
  async function requireSound(password: string, login: string, path: string): Promise<void> {
    const message = checkPassword(password, login) ?? ((await isCommonPassword(password)) ? COMMON : null);
    if (message) throw invalid([{ path, message }]);
  }

  router.post('/sign-in', async (request, response) => {
    const { login, password } = validate(signInSchema, request.body);
    const attempt = await mayTry(request, response, login);
    const { name } = canonicalLogin(login);
    const account = name === null ? null : await signInRow(pool, name);
    if (!(await isPassword(password, account?.passwordHash ?? null))) {
      await noteFailure(account, 'sign-in refused');
      throw new Problem('not-signed-in', 'This name and this password do not belong together.');
    }
    await throttle.succeeded(attempt);
    await signIn(request, response, account!.id, deviceToken(request));
  });

  /** Makes the owner's account while there is none at all; after that this door is shut. */
  router.post('/first-owner', async (request, response) => {
    const { practiceName, name, login, password, timeZone } = validate(firstOwnerSchema, request.body);
    await requireSound(password, login, 'password');
    const passwordHash = await hashPassword(password);
    const id = uuid();
    await transaction(pool, async (db) => {
      const practice = await firstRow<{ id: string }>(db, 'SELECT id FROM practice ORDER BY created_at LIMIT 1 FOR UPDATE');
      if (!practice || (await firstRow(db, 'SELECT id FROM account LIMIT 1')))
        throw new Problem('already-set-up', 'This practice has its owner. Sign in instead.');
      await change(db, 'UPDATE practice SET name = ?, time_zone = COALESCE(?, time_zone), revision = revision + 1 WHERE id = ?', [
        practiceName,
        timeZone ?? null,
        practice.id,
      ]);
      await insertAccount(db, practice.id, id, { name, login, role: 'owner', active: true }, passwordHash);
    });
    await signIn(request, response, id, deviceToken(request));
  });

  // Nobody is an answer too: a page that opens asks before it knows.
  router.get('/me', async (request, response) => {
    const token = sessionToken(request);
    const who = token === null ? null : await callerOf(pool, token, now());
    response.json({ me: who && { id: who.accountId, name: who.name, role: who.role } } satisfies WhoIsIn);
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
    const { accountId, name, practice } = caller(response);
    const { current, password } = validate(passwordSchema, request.body);
    const account = (await passwordHashOf(pool, accountId))!;
    const attempt = await mayTry(request, response, account.login);
    if (!(await isPassword(current, account.passwordHash))) {
      await noteFailure({ id: accountId, name, practiceId: practice.id }, 'password change refused');
      throw invalid([{ path: 'current', message: 'This is not the password so far.' }]);
    }
    await throttle.succeeded(attempt);
    await requireSound(password, account.login, 'password');
    const passwordHash = await hashPassword(password);
    const token = await transaction(pool, async (db) => {
      await setPassword(db, accountId, passwordHash);
      await endSessionsOf(db, accountId);
      return createSession(db, accountId, now());
    });
    setSession(response, token);
    response.json({ changed: true });
  });

  return router;
}
