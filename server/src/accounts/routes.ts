import { Router } from 'express';
import { caller } from '../access/guard.ts';
import { hashPassword } from '../access/passwords.ts';
import { endSessionsOf } from '../access/sessions.ts';
import { idFrom } from '../app/ids.ts';
import { invalid, notFound, stale } from '../app/problem.ts';
import { validate } from '../app/validate.ts';
import { isDuplicate, transaction, type Pool } from '../db/pool.ts';
import { accountsOf, activeOwners, insertAccount, setCoachSquads, setPassword, updateAccount } from './queries.ts';
import { accountSchema } from './schema.ts';

/** The owner's side: who may come in, and as what. */
export function accountRoutes(pool: Pool): Router {
  const router = Router();

  router.get('/accounts', async (_request, response) => {
    response.json({ accounts: await accountsOf(pool, caller(response).practice.id) });
  });

  router.put('/accounts/:id', async (request, response) => {
    const id = idFrom(request);
    const { practice } = caller(response);
    const { password, squadIds, revision, ...fields } = validate(accountSchema, request.body);
    if (revision !== 0 || !password) throw invalid([{ path: 'revision', message: 'A new account has revision 0 and a password.' }]);
    const passwordHash = await hashPassword(password);
    await transaction(pool, async (db) => {
      await insertAccount(db, practice.id, id, fields, passwordHash);
      await setCoachSquads(db, practice.id, id, fields.role === 'coach' ? squadIds : []);
    }).catch(loginTaken);
    response.json({ accounts: await accountsOf(pool, practice.id) });
  });

  /** Changes an account. With a new role, a new password, or when it is closed, it is signed out everywhere. */
  router.patch('/accounts/:id', async (request, response) => {
    const id = idFrom(request);
    const { practice } = caller(response);
    const { password, squadIds, revision, ...fields } = validate(accountSchema, request.body);
    const before = (await accountsOf(pool, practice.id)).find((account) => account.id === id);
    if (!before) throw notFound('This account');
    const passwordHash = password ? await hashPassword(password) : null;
    await transaction(pool, async (db) => {
      const owners = await activeOwners(db, practice.id);
      const stays = fields.role === 'owner' && fields.active;
      if (!stays && owners.length === 1 && owners[0] === id) throw invalid([{ path: 'role', message: 'The practice needs an owner who can sign in: this is the last one.' }]);
      if (!(await updateAccount(db, practice.id, id, revision, fields))) throw stale('This account', before);
      await setCoachSquads(db, practice.id, id, fields.role === 'coach' ? squadIds : []);
      if (passwordHash) await setPassword(db, id, passwordHash);
      if (passwordHash || fields.role !== before.role || !fields.active) await endSessionsOf(db, id);
    }).catch(loginTaken);
    response.json({ accounts: await accountsOf(pool, practice.id) });
  });

  return router;
}

function loginTaken(error: unknown): never {
  if (isDuplicate(error)) throw invalid([{ path: 'login', message: 'Another account has this sign-in name.' }]);
  throw error;
}
