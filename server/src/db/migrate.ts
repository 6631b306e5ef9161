import { codeOf } from './failures.ts';
import { withLease } from './lease.ts';
import { MIGRATIONS, migrationFiles, type MigrationFile } from './migrationFiles.ts';
import { change, rows, transaction, type Pool } from './pool.ts';

/** What a statement that changes tables says when it was done before: the table, column, key or trigger is there, or no longer there. */
const DONE_BEFORE = new Set([
  'ER_TABLE_EXISTS_ERROR',
  'ER_DUP_FIELDNAME',
  'ER_DUP_KEYNAME',
  'ER_CANT_DROP_FIELD_OR_KEY',
  'ER_BAD_TABLE_ERROR',
  'ER_TRG_ALREADY_EXISTS',
  'ER_TRG_DOES_NOT_EXIST',
  'ER_FK_DUP_NAME',
  'ER_DUP_CONSTRAINT_NAME',
  'ER_MULTIPLE_PRI_KEY',
]);
/** Errors about foreign keys and constraints that are there already come without a name of their own. */
const SAYS_DONE_BEFORE = /errno: 121\b|Duplicate (?:CHECK|FOREIGN KEY) constraint|Duplicate constraint name/i;
const CHANGES_ROWS = /^(?:INSERT|UPDATE|DELETE|REPLACE)\b/i;

/**
 * Applies the numbered migration files that the database has not seen, in order, and records each with a checksum.
 *
 * The model: one server at a time, under a lease. Every statement is recorded as begun before and as done after it. One that changes rows
 * stands together with its record. One that changes tables stands or falls as a whole by itself (MariaDB's atomic DDL), so after
 * a stop between it and its record it was either done or not: it is run again, and a complaint that what it makes is there
 * already means that it was done. A killed run is therefore gone on with, from any point. Databases whose first run was cut off
 * before statements were recorded are gone on with in the same way.
 *
 * A file that changed after it landed is refused: the databases that have it would differ. So is a database that a newer
 * program has changed.
 */
export async function migrate(pool: Pool, folder = MIGRATIONS): Promise<string[]> {
  const files = await migrationFiles(folder);
  if (await isCurrent(pool, files)) {
    await ensureTriggers(pool, files);
    return [];
  }
  return withLease(pool, 'migrations', async () => {
    const stepsWereKept =
      (await rows(pool, "SELECT 1 FROM information_schema.TABLES WHERE TABLE_SCHEMA = DATABASE() AND TABLE_NAME = 'migration_step'"))
        .length > 0;
    await change(
      pool,
      `CREATE TABLE IF NOT EXISTS migration (
      name VARCHAR(120) NOT NULL PRIMARY KEY,
      checksum CHAR(64) NOT NULL,
      applied_at DATETIME(3) NOT NULL DEFAULT CURRENT_TIMESTAMP(3)
    ) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4`,
    );
    await change(
      pool,
      `CREATE TABLE IF NOT EXISTS migration_step (
      name VARCHAR(120) NOT NULL,
      step SMALLINT UNSIGNED NOT NULL,
      done BOOLEAN NOT NULL,
      PRIMARY KEY (name, step)
    ) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4`,
    );
    const done = await appliedTo(pool);
    requireKnown(done, files);
    const applied: string[] = [];
    for (const file of files) {
      if (done.has(file.name)) continue;
      await applyFile(pool, file, !stepsWereKept);
      applied.push(file.name);
    }
    await ensureTriggers(pool, files);
    return applied;
  });
}

async function appliedTo(pool: Pool): Promise<Map<string, string>> {
  return new Map(
    (await rows<{ name: string; checksum: string }>(pool, 'SELECT name, checksum FROM migration')).map((row) => [row.name, row.checksum]),
  );
}

function requireKnown(done: ReadonlyMap<string, string>, files: readonly MigrationFile[]): void {
  const known = new Map(files.map((file) => [file.name, file.checksum]));
  for (const [name, checksum] of done) {
    if (known.has(name) && known.get(name) !== checksum)
      throw new Error(`Migration ${name} was changed after it had been applied. Undo the change and add a new file instead.`);
  }
  const newer = [...done.keys()].filter((name) => !known.has(name));
  if (newer.length > 0)
    throw new Error(
      `This database was changed by a newer version of the program (${newer.join(', ')}). Start that version, or restore a backup made with this one. Nothing was changed.`,
    );
}

/** Whether every file was applied; looked at without a lease, because it is nearly always so. */
async function isCurrent(pool: Pool, files: readonly MigrationFile[]): Promise<boolean> {
  const done = await appliedTo(pool).catch((error: unknown) => {
    if (codeOf(error) === 'ER_NO_SUCH_TABLE') return null;
    throw error;
  });
  if (!done) return false;
  requireKnown(done, files);
  return files.every((file) => done.has(file.name));
}

async function applyFile(pool: Pool, file: MigrationFile, stepsUnknown: boolean): Promise<void> {
  const steps = new Map(
    (await rows<{ step: number; done: number }>(pool, 'SELECT step, done FROM migration_step WHERE name = ?', [file.name])).map((row) => [
      row.step,
      row.done === 1,
    ]),
  );
  for (const [step, statement] of file.statements.entries()) {
    if (steps.get(step)) continue;
    if (CHANGES_ROWS.test(statement)) {
      await transaction(pool, async (db) => {
        await db.query(statement);
        await change(db, 'INSERT INTO migration_step (name, step, done) VALUES (?, ?, TRUE) ON DUPLICATE KEY UPDATE done = TRUE', [
          file.name,
          step,
        ]);
      });
      continue;
    }
    await change(pool, 'INSERT IGNORE INTO migration_step (name, step, done) VALUES (?, ?, FALSE)', [file.name, step]);
    await pool.query(statement).catch((error: unknown) => {
      const wasBegun = steps.has(step) || stepsUnknown;
      if (!wasBegun || !(DONE_BEFORE.has(codeOf(error)) || SAYS_DONE_BEFORE.test(String((error as Error).message)))) throw error;
    });
    await change(pool, 'UPDATE migration_step SET done = TRUE WHERE name = ? AND step = ?', [file.name, step]);
  }
  await transaction(pool, async (db) => {
    await change(db, 'INSERT INTO migration (name, checksum) VALUES (?, ?)', [file.name, file.checksum]);
    await change(db, 'DELETE FROM migration_step WHERE name = ?', [file.name]);
  });
}

/**
 * Makes the triggers that are missing. They cannot be moved with their tables when a backup takes a schema's place, so a
 * restore that is stopped half way may leave a database without them; the next start heals it.
 */
async function ensureTriggers(pool: Pool, files: readonly MigrationFile[]): Promise<void> {
  const wanted = new Map<string, string>();
  for (const statement of files.flatMap((file) => file.statements)) {
    const made = /^CREATE TRIGGER\s+`?(\w+)`?/i.exec(statement)?.[1];
    if (made) wanted.set(made, statement);
    const dropped = /^DROP TRIGGER\s+(?:IF EXISTS\s+)?`?(\w+)`?/i.exec(statement)?.[1];
    if (dropped) wanted.delete(dropped);
  }
  const there = new Set(
    (
      await rows<{ name: string }>(pool, 'SELECT TRIGGER_NAME AS name FROM information_schema.TRIGGERS WHERE TRIGGER_SCHEMA = DATABASE()')
    ).map((row) => row.name),
  );
  for (const [name, statement] of wanted) {
    if (there.has(name)) continue;
    await pool.query(statement).catch((error: unknown) => {
      if (codeOf(error) !== 'ER_TRG_ALREADY_EXISTS') throw error;
    });
  }
}

/** Opens every table once; a table whose file is missing or broken ends the start with its name instead of the first visit. */
export async function requireReadable(pool: Pool): Promise<void> {
  const tables = await rows<{ name: string }>(
    pool,
    "SELECT TABLE_NAME AS name FROM information_schema.TABLES WHERE TABLE_SCHEMA = DATABASE() AND TABLE_TYPE = 'BASE TABLE'",
  );
  for (const { name } of tables) {
    await pool.query(`SELECT 1 FROM \`${name}\` LIMIT 1`).catch((error: unknown) => {
      throw new Error(
        `The table ${name} cannot be read: ${(error as Error).message}. Nothing was changed. Restore a backup: npm run restore -- path/to/file.sql --replace`,
      );
    });
  }
}
