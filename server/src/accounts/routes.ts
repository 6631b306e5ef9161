import { Router } from 'express';
import { COMMON, isCommonPassword } from '../access/commonPasswords.ts';
import { caller } from '../access/guard.ts';
import { hashPassword } from '../access/passwords.ts';
import { endSessionsOf } from '../access/sessions.ts';
import { idFrom } from '../http/ids.ts';
import { invalid, notFound, stale } from '../http/problem.ts';
import { validate } from '../http/validate.ts';
import { putOnce } from '../db/once.ts';
import { firstRow, isDuplicate, transaction, type Pool } from '../db/pool.ts';
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
    await requireUncommon(password);
    const passwordHash = await hashPassword(password);
    await putOnce({
      what: 'This account',
      find: async () => (await accountsOf(pool, practice.id)).find((account) => account.id === id) ?? null,
      // A hash is another one each time, so passwords are not compared.
      same: (there) => there.name === fields.name && there.login === fields.login && there.role === fields.role && there.revision === 1,
      insert: () =>
        transaction(pool, async (db) => {
          if (await firstRow(db, 'SELECT id FROM account WHERE login = ? AND id <> ?', [fields.login, id])) throw loginTaken;
          await insertAccount(db, practice.id, id, fields, passwordHash);
          await setCoachSquads(db, practice.id, id, fields.role === 'coach' ? squadIds : []);
        }),
    });
    response.json({ accounts: await accountsOf(pool, practice.id) });
  });

  /** Changes an account. With a new role, a new password, or when it is closed, it is signed out everywhere. */
  router.patch('/accounts/:id', async (request, response) => {
    const id = idFrom(request);
    const { practice } = caller(response);
    const { password, squadIds, revision, ...fields } = validate(accountSchema, request.body);
    const before = (await accountsOf(pool, practice.id)).find((account) => account.id === id);
    if (!before) throw notFound('This account');
    if (password) await requireUncommon(password);
    const passwordHash = password ? await hashPassword(password) : null;
    await transaction(pool, async (db) => {
      const owners = await activeOwners(db, practice.id);
      const stays = fields.role === 'owner' && fields.active;
      if (!stays && owners.length === 1 && owners[0] === id)
        throw invalid([{ path: 'role', message: 'The practice needs an owner who can sign in: this is the last one.' }]);
      if (!(await updateAccount(db, practice.id, id, revision, fields))) throw stale('This account', before);
      await setCoachSquads(db, practice.id, id, fields.role === 'coach' ? squadIds : []);
      if (passwordHash) await setPassword(db, id, passwordHash);
      if (passwordHash || fields.role !== before.role || !fields.active) await endSessionsOf(db, id);
    }).catch((error: unknown) => {
      throw isDuplicate(error) ? loginTaken : error;
    });
    response.json({ accounts: await accountsOf(pool, practice.id) });
  });

  return router;
}

const loginTaken = invalid([{ path: 'login', message: 'Another account has this sign-in name.' }]);

async function requireUncommon(password: string): Promise<void> {
  if (await isCommonPassword(password)) throw invalid([{ path: 'password', message: COMMON }]);
}
