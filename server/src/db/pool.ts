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

/** Runs `work` in one transaction: all of it lands, or none. */
export async function transaction<T>(pool: Pool, work: (db: Db) => Promise<T>): Promise<T> {
  const connection = await pool.getConnection();
  try {
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
