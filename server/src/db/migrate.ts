import { createHash } from 'node:crypto';
import { readdir, readFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { change, rows, type Pool } from './pool.ts';

const FOLDER = join(dirname(fileURLToPath(import.meta.url)), 'migrations');

/**
 * Applies the numbered migration files that the database has not seen, in order, and records each with a
 * checksum. A file that changed after it landed is refused: the databases that have it would differ.
 */
export async function migrate(pool: Pool, folder = FOLDER): Promise<string[]> {
  await change(pool, `CREATE TABLE IF NOT EXISTS migration (
    name VARCHAR(120) NOT NULL PRIMARY KEY,
    checksum CHAR(64) NOT NULL,
    applied_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3)
  ) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4`);
  const done = new Map((await rows<{ name: string; checksum: string }>(pool, 'SELECT name, checksum FROM migration')).map((row) => [row.name, row.checksum]));
  const applied: string[] = [];
  for (const name of (await readdir(folder)).filter((file) => file.endsWith('.sql')).sort()) {
    const sql = await readFile(join(folder, name), 'utf8');
    const checksum = createHash('sha256').update(sql).digest('hex');
    const known = done.get(name);
    if (known === checksum) continue;
    if (known) throw new Error(`Migration ${name} was changed after it had been applied. Undo the change and add a new file instead.`);
    for (const statement of statementsOf(sql)) await pool.query(statement);
    await change(pool, 'INSERT INTO migration (name, checksum) VALUES (?, ?)', [name, checksum]);
    applied.push(name);
  }
  return applied;
}

/** Splits a file at semicolons that end a line; comment lines are dropped. */
function statementsOf(sql: string): string[] {
  return sql
    .split('\n')
    .filter((line) => !line.trimStart().startsWith('--'))
    .join('\n')
    .split(/;\s*(?:\n|$)/)
    .map((statement) => statement.trim())
    .filter((statement) => statement !== '');
}
