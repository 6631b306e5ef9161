import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createConnection } from 'mysql2/promise';
import { startMariadb } from '../bin/lib/mariadb.mjs';

/**
 * One database server for all applications of the tests that do not need one of their own: to fill a data directory takes longer than what most
 * of them do. Each application has a schema to itself.
 */
export async function startSharedDatabase(): Promise<() => Promise<void>> {
  const folder = mkdtempSync(join(tmpdir(), 'pace-bend-e2e-'));
  const database = await startMariadb(folder, { quiet: true, fast: true });
  process.env.SHARED_DATABASE_URL = database.url;
  return async () => {
    await database.stop();
    rmSync(folder, { recursive: true, force: true });
  };
}

/** An empty schema on the shared server: where it is, and what takes it away again. */
export async function emptySchema(): Promise<{ readonly url: string; drop(): Promise<void> }> {
  const url = new URL(process.env.SHARED_DATABASE_URL!);
  const name = `e2e_${crypto.randomUUID().replaceAll('-', '')}`;
  const say = async (sql: string) => {
    const connection = await createConnection(process.env.SHARED_DATABASE_URL!);
    await connection.query(sql);
    await connection.end();
  };
  await say(`CREATE DATABASE ${name} CHARACTER SET utf8mb4`);
  url.pathname = `/${name}`;
  return { url: url.href, drop: () => say(`DROP DATABASE ${name}`) };
}
