import mysql from 'mysql2/promise';

export type Pool = mysql.Pool;
/** A pool or one connection of it: queries take either, so that they can run inside a transaction. */
export type Db = mysql.Pool | mysql.PoolConnection;

/** What may be bound to a `?`. */
export type Bound = string | number | boolean | Date | null;

/** Opens a pool on a MariaDB URL. Instants are read and written as UTC; calendar days stay strings. */
export function openPool(databaseUrl: string): Pool {
  return mysql.createPool({ uri: databaseUrl, connectionLimit: 10, timezone: 'Z', dateStrings: ['DATE'], charset: 'utf8mb4', supportBigNumbers: true });
}

export async function rows<Row>(db: Db, sql: string, params: readonly Bound[] = []): Promise<Row[]> {
  const [result] = await db.execute<mysql.RowDataPacket[]>(sql, [...params]);
  return result as Row[];
}

export async function firstRow<Row>(db: Db, sql: string, params: readonly Bound[] = []): Promise<Row | null> {
  return (await rows<Row>(db, sql, params))[0] ?? null;
}

/** Runs a statement that changes something; returns how many rows it touched. */
export async function change(db: Db, sql: string, params: readonly Bound[] = []): Promise<number> {
  const [result] = await db.execute<mysql.ResultSetHeader>(sql, [...params]);
  return result.affectedRows;
}

/** How often a transaction that the database gave up for another one's sake is begun again. */
const MOST_TRIES = 5;

/**
 * Runs `work` in one transaction: all of it lands, or none. Two that wait for each other are the database's to end: it takes one
 * back whole, and that one is begun again, so `work` touches nothing but the database.
 */
export async function transaction<T>(pool: Pool, work: (db: Db) => Promise<T>): Promise<T> {
  for (let tries = 1; ; tries++) {
    try {
      return await once(pool, work);
    } catch (error) {
      if ((error as { code?: string } | null)?.code !== 'ER_LOCK_DEADLOCK' || tries === MOST_TRIES) throw error;
    }
  }
}

async function once<T>(pool: Pool, work: (db: Db) => Promise<T>): Promise<T> {
  const connection = await pool.getConnection();
  try {
    // Rows are locked by name everywhere; locks on the gaps between them would only make strangers wait for each other.
    await connection.query('SET TRANSACTION ISOLATION LEVEL READ COMMITTED');
    await connection.beginTransaction();
    const result = await work(connection);
    await connection.commit();
    return result;
  } catch (error) {
    await connection.rollback();
    throw error;
  } finally {
    connection.release();
  }
}

export function isDuplicate(error: unknown): boolean {
  return (error as { code?: string } | null)?.code === 'ER_DUP_ENTRY';
}

/** JSON columns come back as text from MariaDB. */
export function fromJson<T>(value: unknown): T {
  return (typeof value === 'string' ? JSON.parse(value) : value) as T;
}

export function iso(value: Date): string {
  return value.toISOString();
}
