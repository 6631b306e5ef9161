import type mysql from 'mysql2/promise';
import { isLost, isTakenBack, isUnreached, unavailable } from './failures.ts';
import { openPool, type Pool } from './hosts.ts';
import { pendingNote } from './noted.ts';

export { isDuplicate } from './failures.ts';
export { openPool, type Pool };
/** A pool or one connection of it: queries take either, so that they can run inside a transaction. */
export type Db = Pool | mysql.PoolConnection;

/** What may be bound to a `?`. */
export type Bound = string | number | boolean | Date | null;

/** How often a transaction that the database gave up for another one's sake, or that lost its host, is begun again. */
const MOST_TRIES = 6;
/** Between tries at several hosts; one of them will take over. */
const PAUSE_MS = 150;

const isPool = (db: Db): db is Pool => !('release' in db);
const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** Tries again while `again` says that nothing was done; with one host a lost connection is tried once more, with several longer. */
async function withTries<T>(pool: Pool, again: (error: unknown) => boolean, attempt: () => Promise<T>): Promise<T> {
  for (let tries = 1; ; tries++) {
    try {
      return await attempt();
    } catch (error) {
      const most = isLost(error) && (pool.hosts ?? 1) === 1 ? 2 : MOST_TRIES;
      if (tries >= most || !again(error)) throw error;
      if (isLost(error)) await pause((pool.hosts ?? 1) === 1 ? 0 : PAUSE_MS * tries);
    }
  }
}

/** Reads. A connection that is lost meanwhile is no harm: it is asked again. */
export async function rows<Row>(db: Db, sql: string, params: readonly Bound[] = []): Promise<Row[]> {
  const ask = async () => (await db.execute<mysql.RowDataPacket[]>(sql, [...params]))[0] as Row[];
  return isPool(db) ? withTries(db, (error) => isLost(error) || isTakenBack(error), ask) : ask();
}

export async function firstRow<Row>(db: Db, sql: string, params: readonly Bound[] = []): Promise<Row | null> {
  return (await rows<Row>(db, sql, params))[0] ?? null;
}

/** Transactions in which something was changed. */
const touched = new WeakSet<object>();

async function changeOn(db: Db, run: () => Promise<[mysql.ResultSetHeader, mysql.FieldPacket[]]>): Promise<number> {
  const [result] = await run();
  if (result.affectedRows > 0) touched.add(db);
  return result.affectedRows;
}

/**
 * Runs a statement that changes something; returns how many rows it touched. Outside a transaction it is one of its own, which
 * carries the request's line of the audit.
 */
export async function change(db: Db, sql: string, params: readonly Bound[] = []): Promise<number> {
  if (!isPool(db)) return changeOn(db, () => db.execute<mysql.ResultSetHeader>(sql, [...params]));
  if (pendingNote()) return transaction(db, (own) => change(own, sql, params));
  return withTries(
    db,
    (error) => isUnreached(error) || isTakenBack(error),
    () => changeOn(db, () => db.execute<mysql.ResultSetHeader>(sql, [...params])),
  );
}

/** Adds many rows in one statement: `INSERT … VALUES ?`. */
export async function insertMany(db: mysql.PoolConnection | Db, sql: string, values: readonly (readonly Bound[])[]): Promise<number> {
  return changeOn(db, () => db.query<mysql.ResultSetHeader>(sql, [values]));
}

/**
 * Runs `work` in one transaction: all of it lands, or none. Two that wait for each other are the database's to end: it takes one
 * back whole, and that one is begun again, as is one whose host was lost before it was to stand; so `work` touches nothing
 * but the database. When the connection is lost while it is being made to stand, nobody here can know whether it did:
 * that is said, and the same request sent again finds out, because ids are its sender's.
 */
export async function transaction<T>(pool: Pool, work: (db: Db) => Promise<T>): Promise<T> {
  return withTries(
    pool,
    (error) => isTakenBack(error) || isLost(error),
    () => once(pool, work),
  );
}

async function once<T>(pool: Pool, work: (db: Db) => Promise<T>): Promise<T> {
  const connection = await pool.getConnection();
  try {
    // Rows are locked by name everywhere; locks on the gaps between them would only make strangers wait for each other.
    await connection.query('SET TRANSACTION ISOLATION LEVEL READ COMMITTED');
    await connection.beginTransaction();
    touched.delete(connection);
    const result = await work(connection);
    const note = touched.has(connection) ? pendingNote() : null;
    if (note) await note.write(connection);
    try {
      await connection.commit();
    } catch (error) {
      if (isLost(error) && !isUnreached(error)) {
        connection.destroy();
        throw unavailable(
          'The connection to the database was lost at the last moment: this may be written, or not. Send it again; it is written once.',
        );
      }
      throw error;
    }
    if (note) {
      note.written = true;
      note.stands();
    }
    return result;
  } catch (error) {
    pool.failed?.(connection, error);
    if (isLost(error)) connection.destroy();
    else await connection.rollback().catch(() => connection.destroy());
    throw error;
  } finally {
    connection.release();
  }
}

/** JSON columns come back as text from MariaDB. */
export function fromJson<T>(value: unknown): T {
  return (typeof value === 'string' ? JSON.parse(value) : value) as T;
}

export function iso(value: Date): string {
  return value.toISOString();
}

/** Reads everything as it stands at one moment, on one connection. Nothing is changed; a connection lost meanwhile is asked again. */
export async function snapshot<T>(pool: Pool, work: (db: Db) => Promise<T>): Promise<T> {
  return withTries(
    pool,
    (error) => isLost(error) || isTakenBack(error),
    async () => {
      const connection = await pool.getConnection();
      try {
        await connection.query('SET TRANSACTION ISOLATION LEVEL REPEATABLE READ');
        await connection.query('START TRANSACTION WITH CONSISTENT SNAPSHOT, READ ONLY');
        const found = await work(connection);
        await connection.commit();
        connection.release();
        return found;
      } catch (error) {
        // What was begun ends with the connection, whatever state it is in.
        connection.destroy();
        throw error;
      }
    },
  );
}
