import { createHash } from 'node:crypto';
import { readdir, readFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const MIGRATIONS = join(dirname(fileURLToPath(import.meta.url)), 'migrations');

export interface MigrationFile {
  readonly name: string;
  readonly checksum: string;
  readonly statements: readonly string[];
}

/** The numbered migration files, in order. */
export async function migrationFiles(folder = MIGRATIONS): Promise<MigrationFile[]> {
  const names = (await readdir(folder)).filter((file) => file.endsWith('.sql')).sort();
  return Promise.all(
    names.map(async (name) => {
      const sql = await readFile(join(folder, name), 'utf8');
      return { name, checksum: createHash('sha256').update(sql).digest('hex'), statements: statementsOf(sql) };
    }),
  );
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
