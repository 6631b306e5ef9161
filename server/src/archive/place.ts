import { createHash } from 'node:crypto';
import { firstRow, rows, type Db } from '../db/pool.ts';
import { ARCHIVE_TABLES } from './tables.ts';

const AT_ONCE = 500;
/** The bits of an id that say of which version it is; they stay. */
const FIXED = new Map([
  [6, 0xf0],
  [8, 0xc0],
]);

const bytesOf = (id: string) => Buffer.from(id.replaceAll('-', ''), 'hex');
const idOf = (bytes: Buffer) => bytes.toString('hex').replace(/^(.{8})(.{4})(.{4})(.{4})(.{12})$/, '$1-$2-$3-$4-$5');

/**
 * The id that a row of one practice has in another one of the same database, where both cannot have the same. Each practice has a mask,
 * drawn from its own id, and a row's id is changed by both. So it does not matter which way a row goes, or over how many practices: back
 * where it came from it has the id it had, and is known again.
 */
export function otherId(id: string, from: string, to: string): string {
  const maskOf = (practiceId: string) => createHash('sha256').update(`archive/${practiceId}`).digest();
  const [bytes, one, two] = [bytesOf(id), maskOf(from), maskOf(to)];
  bytes.forEach((byte, i) => {
    bytes[i] = byte ^ ((one[i]! ^ two[i]!) & ~(FIXED.get(i) ?? 0));
  });
  return idOf(bytes);
}

/**
 * Which of these ids are not to be kept as they are, with those that stand for them: rows of another practice of this database have them,
 * or they stand here under the other one already.
 */
export async function placeIds(db: Db, here: string, from: string, ids: ReadonlySet<string>): Promise<Map<string, string>> {
  const placed = new Map<string, string>();
  if (here === from) return placed;
  const { others } = (await firstRow<{ others: number }>(db, 'SELECT COUNT(*) AS others FROM practice WHERE id <> ?', [here]))!;
  if (others === 0) return placed;
  const all = [...ids].map((id) => ({ id, other: otherId(id, from, here) }));
  const byOther = new Map(all.map(({ id, other }) => [other, id]));
  for (const { name, practiceOf } of ARCHIVE_TABLES) {
    if (practiceOf === undefined) continue;
    for (let i = 0; i < all.length; i += AT_ONCE) {
      const some = all.slice(i, i + AT_ONCE);
      const ask = async (is: '=' | '<>', wanted: readonly string[]) =>
        rows<{ id: string }>(
          db,
          `${practiceOf.replace('{table}', name).replace('{is}', is)} AND t.id IN (${wanted.map(() => '?').join(', ')})`,
          [here, ...wanted],
        );
      for (const { id } of await ask(
        '<>',
        some.map(({ id }) => id),
      ))
        placed.set(id, otherId(id, from, here));
      for (const { id: other } of await ask(
        '=',
        some.map((each) => each.other),
      ))
        placed.set(byOther.get(other)!, other);
    }
  }
  return placed;
}
