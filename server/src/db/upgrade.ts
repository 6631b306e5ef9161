import { migrate } from './migrate.ts';
import { openPool } from './pool.ts';

// Brings the schema that DATABASE_URL names up to what this program needs; a restore runs it on what it has read.
const pool = openPool(process.env.DATABASE_URL!);
try {
  await migrate(pool);
} catch (error) {
  console.error((error as Error).message);
  process.exitCode = 1;
}
await pool.end();
