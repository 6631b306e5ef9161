import type { Account, AccountFields } from '@pace-bend/core/access';
import { invalid } from '../http/problem.ts';
import { change, firstRow, rows, type Db } from '../db/pool.ts';

const COLUMNS = 'a.id, a.name, a.login, a.role, a.active, a.revision';

type Row = Omit<Account, 'squadIds' | 'active'> & { readonly active: number };

/** The practice's accounts, the oldest first. */
export async function accountsOf(db: Db, practiceId: string): Promise<Account[]> {
  const [accounts, squads] = await Promise.all([
    rows<Row>(db, `SELECT ${COLUMNS} FROM account a WHERE a.practice_id = ? ORDER BY a.created_at, a.id`, [practiceId]),
    rows<{ accountId: string; squadId: string }>(
      db,
      'SELECT c.account_id AS accountId, c.squad_id AS squadId FROM coach_squad c JOIN account a ON a.id = c.account_id WHERE a.practice_id = ?',
      [practiceId],
    ),
  ]);
  return accounts.map((row) => ({
    ...row,
    active: row.active === 1,
    squadIds: squads.filter((each) => each.accountId === row.id).map((each) => each.squadId),
  }));
}

/** What signing in needs of an account, by the name that was typed; null for an unknown or closed one. */
export async function signInRow(
  db: Db,
  login: string,
): Promise<{ readonly id: string; readonly name: string; readonly practiceId: string; readonly passwordHash: string } | null> {
  return firstRow(db, 'SELECT id, name, practice_id AS practiceId, password_hash AS passwordHash FROM account WHERE login = ? AND active', [
    login,
  ]);
}

export async function passwordHashOf(db: Db, id: string): Promise<{ readonly login: string; readonly passwordHash: string } | null> {
  return firstRow(db, 'SELECT login, password_hash AS passwordHash FROM account WHERE id = ?', [id]);
}

export async function insertAccount(
  db: Db,
  practiceId: string,
  id: string,
  fields: Omit<AccountFields, 'squadIds'>,
  passwordHash: string,
  demoPassword: string | null = null,
): Promise<void> {
  await change(
    db,
    'INSERT INTO account (id, practice_id, name, login, role, active, password_hash, demo_password) VALUES (?, ?, ?, ?, ?, ?, ?, ?)',
    [id, practiceId, fields.name, fields.login, fields.role, fields.active, passwordHash, demoPassword],
  );
}

export async function updateAccount(
  db: Db,
  practiceId: string,
  id: string,
  revision: number,
  fields: Omit<AccountFields, 'squadIds'>,
): Promise<boolean> {
  return (
    (await change(
      db,
      'UPDATE account SET name = ?, login = ?, role = ?, active = ?, revision = revision + 1 WHERE id = ? AND practice_id = ? AND revision = ?',
      [fields.name, fields.login, fields.role, fields.active, id, practiceId, revision],
    )) === 1
  );
}

/** Sets a password; one that the demo showed is shown no more. */
export async function setPassword(db: Db, id: string, passwordHash: string): Promise<void> {
  await change(db, 'UPDATE account SET password_hash = ?, demo_password = NULL WHERE id = ?', [passwordHash, id]);
}

/** The squads a coach looks after; one that is not of the practice is refused. */
export async function setCoachSquads(db: Db, practiceId: string, accountId: string, squadIds: readonly string[]): Promise<void> {
  await change(db, 'DELETE FROM coach_squad WHERE account_id = ?', [accountId]);
  for (const [i, squadId] of squadIds.entries()) {
    if (!(await firstRow(db, 'SELECT id FROM squad WHERE id = ? AND practice_id = ?', [squadId, practiceId])))
      throw invalid([{ path: `squadIds.${i}`, message: 'No such squad is known.' }]);
    await change(db, 'INSERT IGNORE INTO coach_squad (account_id, squad_id) VALUES (?, ?)', [accountId, squadId]);
  }
}

/** How many active owners a practice has; there is always one. */
export async function activeOwners(db: Db, practiceId: string): Promise<string[]> {
  return (
    await rows<{ id: string }>(db, "SELECT id FROM account WHERE practice_id = ? AND role = 'owner' AND active FOR UPDATE", [practiceId])
  ).map((row) => row.id);
}
