import { scratchSchema } from '../testing/scratch.ts';
import { migrate } from './migrate.ts';
import { migrationFiles } from './migrationFiles.ts';
import { change, rows, type Pool } from './pool.ts';

/** Whoever is killed says nothing more: every call after the cut is refused, the cut one before or after the database did it. */
class Cut extends Error {}

/** A pool that is cut at its n-th statement. */
function cutAt(pool: Pool, n: number, when: 'before' | 'after'): { pool: Pool; asked(): number } {
  let asked = 0;
  const guard = (on: { execute: unknown; query: unknown }) =>
    new Proxy(on, {
      get(target, name) {
        const value = Reflect.get(target, name) as unknown;
        if (name === 'getConnection')
          return async () => {
            if (asked >= n) throw new Cut();
            return guard(await (value as () => Promise<{ execute: unknown; query: unknown }>).call(target));
          };
        // A connection that is gone takes its open transaction with it.
        if (name === 'commit')
          return async () => {
            if (asked >= n) throw new Cut();
            return (value as () => Promise<unknown>).call(target);
          };
        if (name !== 'execute' && name !== 'query') return typeof value === 'function' ? value.bind(target) : value;
        return async (...args: unknown[]) => {
          asked += 1;
          if (asked > n || (asked === n && when === 'before')) throw new Cut();
          const result = await (value as (...all: unknown[]) => Promise<unknown>).apply(target, args);
          if (asked === n) throw new Cut();
          return result;
        };
      },
    });
  return { pool: guard(pool) as unknown as Pool, asked: () => asked };
}

/** Everything that a schema is made of, tables, keys and triggers. */
async function shapeOf(pool: Pool): Promise<string> {
  const tables = await rows<{ name: string }>(
    pool,
    'SELECT TABLE_NAME AS name FROM information_schema.TABLES WHERE TABLE_SCHEMA = DATABASE() ORDER BY TABLE_NAME',
  );
  const made = await Promise.all(
    tables.map(async ({ name }) => Object.values((await rows<object>(pool, `SHOW CREATE TABLE \`${name}\``))[0]!)[1] as string),
  );
  const triggers = await rows(
    pool,
    'SELECT TRIGGER_NAME, EVENT_OBJECT_TABLE, ACTION_STATEMENT FROM information_schema.TRIGGERS WHERE TRIGGER_SCHEMA = DATABASE() ORDER BY TRIGGER_NAME',
  );
  return JSON.stringify([made.map((sql) => sql.replace(/ AUTO_INCREMENT=\d+/, '')), triggers]);
}

let whole = '';
let statements = 0;
beforeAll(async () => {
  const schema = await scratchSchema();
  const counted = cutAt(schema.pool, Number.MAX_SAFE_INTEGER, 'before');
  await migrate(counted.pool);
  statements = counted.asked();
  whole = await shapeOf(schema.pool);
  await schema.drop();
});

// Every point is tried by `npm run faults`; here those around a dozen of them, spread over all files.
test.each(Array.from({ length: 12 }, (_, i) => [i, i % 2 === 0 ? 'before' : 'after'] as const))(
  'migrations that are cut off at the %sth of twelve points, %s the database did it, are gone on with',
  async (i, when) => {
    const schema = await scratchSchema();
    const at = Math.max(1, Math.round(((i + 0.5) / 12) * statements));
    await expect(migrate(cutAt(schema.pool, at, when).pool)).rejects.toThrow();
    // A holder that was killed gives its lease up by time; the test does not wait for it.
    await change(schema.pool, "UPDATE lease SET until = '2000-01-01'").catch(() => 0);
    await migrate(schema.pool);
    expect(await shapeOf(schema.pool)).toBe(whole);
    expect(await rows(schema.pool, 'SELECT name FROM migration_step')).toEqual([]);
    await schema.drop();
  },
  60_000,
);

test('a first run that was cut off before steps were kept is gone on with as well', async () => {
  const schema = await scratchSchema();
  const [first] = await migrationFiles();
  for (const statement of first!.statements.slice(0, 4)) await schema.pool.query(statement);
  await migrate(schema.pool);
  expect(await shapeOf(schema.pool)).toBe(whole);
  await schema.drop();
});

test('two servers that start at once on an empty database migrate it once', async () => {
  const schema = await scratchSchema();
  const applied = await Promise.all([migrate(schema.pool), migrate(schema.pool), migrate(schema.pool)]);
  expect(applied.map((each) => each.length).sort((a, b) => a - b)).toEqual([0, 0, (await migrationFiles()).length]);
  expect(await shapeOf(schema.pool)).toBe(whole);
  await schema.drop();
}, 60_000);

test('a database that a newer program has changed is refused, by name', async () => {
  const schema = await scratchSchema();
  await migrate(schema.pool);
  await change(schema.pool, "INSERT INTO migration (name, checksum) VALUES ('9999_later.sql', 'x')");
  await expect(migrate(schema.pool)).rejects.toThrow(/newer version of the program \(9999_later\.sql\)/);
  await schema.drop();
});

test('a trigger that is missing is made again', async () => {
  const schema = await scratchSchema();
  await migrate(schema.pool);
  await schema.pool.query('DROP TRIGGER audit_not_deleted');
  await migrate(schema.pool);
  expect(await shapeOf(schema.pool)).toBe(whole);
  await schema.drop();
});
