import { randomBytes } from 'node:crypto';
import { openPool, type Pool } from '../db/pool.ts';

/** An empty schema of the test's own in the MariaDB that the test command started. */
export async function scratchSchema(): Promise<{ readonly pool: Pool; readonly url: string; drop(): Promise<void> }> {
  const base = process.env.TEST_DATABASE_URL!;
  const name = `pace_scratch_${randomBytes(6).toString('hex')}`;
  const admin = openPool(base);
  await admin.query(`CREATE DATABASE ${name} CHARACTER SET utf8mb4`);
  const url = base.replace(/\/[^/]*$/, `/${name}`);
  const pool = openPool(url);
  return {
    pool,
    url,
    async drop() {
      await pool.end();
      await admin.query(`DROP DATABASE ${name}`);
      await admin.end();
    },
  };
}
