import { isDeepStrictEqual } from 'node:util';
import {
  archivePerson,
  personKey,
  type ArchivePiece,
  type ArchiveReport,
  type ArchiveRow,
  type RowLeft,
  type SamePerson,
  type TableCount,
} from '@pace-bend/core/exchange';
import type { PracticeRow } from '../access/sessions.ts';
import { change, firstRow, insertMany, isDuplicate, rows, type Db } from '../db/pool.ts';
import { invalid } from '../http/problem.ts';
import type { Column, Layout } from './columns.ts';
import { idsIn, withIds } from './ids.ts';
import { otherId, placeIds } from './place.ts';
import { requireReadable } from './readable.ts';
import { valueIn } from './rows.ts';
import { ARCHIVE_TABLES, type ArchiveTable } from './tables.ts';
import { partOf } from './write.ts';

const AT_ONCE = 200;
const MOST_LEFT = 100;

/** Who is taken in, and who they are here. */
export interface Taken {
  readonly report: ArchiveReport;
  readonly athleteId: string | null;
}

/**
 * Reads a piece in: what is not here yet is added, what is here stays as it is. Nothing is ever changed or taken away, and a row only comes
 * in below something that is this practice's own, whatever the file says. Called in a transaction; a look calls the same and takes it back,
 * so that what it says is what reading it in does.
 * @throws Problem 422 where an athlete's rows cannot be read by the program once they are in, or nothing is said about who they are
 */
export async function takePiece(
  db: Db,
  practice: PracticeRow,
  layout: Layout,
  sent: ArchivePiece,
  look: boolean,
  now: Date,
): Promise<Taken> {
  const ids = await placeIds(db, practice.id, sent.head.practice.id, idsIn([sent.shared, sent.athlete]));
  ids.set(sent.head.practice.id, practice.id);
  const newNames = await namesHere(db, practice.id, sent, ids, now);
  const same = await placePeople(db, practice.id, sent, ids, look);
  await sharedByName(db, practice.id, sent, ids);

  const piece = withIds({ shared: sent.shared, athlete: sent.athlete }, ids);
  const athleteId = sent.athlete ? (archivePerson(piece.athlete!)!.id as string) : null;
  const known = await knownHere(db, practice.id, [...ids.values()]);
  const report = { counts: [] as TableCount[], left: [] as RowLeft[] };
  for (const part of ['shared', 'athlete'] as const) {
    const tables = piece[part];
    if (!tables) continue;
    const owner = part === 'shared' ? practice.id : athleteId!;
    const stands = await partOf(db, layout, part, owner, new Set(Object.keys(tables).filter((name) => tables[name]!.length > 0)));
    for (const table of ARCHIVE_TABLES.filter((each) => each.part === part)) {
      const columns = layout.get(table.name)!;
      const taking = new Taking(table, columns, practice.id, stands[table.name] ?? [], known, new Set(sent.derived[table.name]));
      await taking.take(db, tables[table.name] ?? []);
      if (taking.count.fresh + taking.count.here + taking.count.differs + taking.count.left > 0) report.counts.push(taking.count);
      report.left.push(...taking.leftRows);
    }
  }
  // Whoever is on file again is not to be erased once more when a backup is put back.
  if (athleteId !== null) await change(db, 'DELETE FROM erased WHERE athlete_id = ? AND practice_id = ?', [athleteId, practice.id]);
  await requireReadable(db, practice, athleteId, now);
  return { report: { counts: report.counts, left: report.left.slice(0, MOST_LEFT), newNames, same }, athleteId };
}

/** Accounts by id, then by name; who is not here is kept as a name that is not active and has no password that could be right. */
async function namesHere(db: Db, practiceId: string, { head }: ArchivePiece, ids: Map<string, string>, now: Date): Promise<string[]> {
  const here = await rows<{ id: string; name: string }>(db, 'SELECT id, name FROM account WHERE practice_id = ?', [practiceId]);
  const added: string[] = [];
  for (const { id, name } of head.accounts) {
    const placed = ids.get(id) ?? id;
    const found = here.find((each) => each.id === placed) ?? here.find((each) => personKey(each.name, '') === personKey(name, ''));
    if (found) {
      ids.set(id, found.id);
      continue;
    }
    // Whoever has the id signs in at another practice of this database; the second time the file is read they are here under the other id.
    const elsewhere = await firstRow(db, 'SELECT id FROM account WHERE id = ?', [placed]);
    const own = elsewhere ? otherId(placed, head.practice.id, practiceId) : placed;
    await change(
      db,
      "INSERT INTO account (id, practice_id, name, login, role, active, password_hash, created_at) VALUES (?, ?, ?, ?, 'therapist', FALSE, 'none', ?)",
      [own, practiceId, name, `was-${own.replaceAll('-', '')}`, now],
    );
    here.push({ id: own, name });
    ids.set(id, own);
    added.push(name);
  }
  return added;
}

/** Whoever the athletes of the file are here; says who the one of this piece may be. */
async function placePeople(
  db: Db,
  practiceId: string,
  { athlete, people }: ArchivePiece,
  ids: Map<string, string>,
  look: boolean,
): Promise<SamePerson | null> {
  const chosen = Object.entries(people).flatMap(([id, choice]) => (choice === 'new' ? [] : [{ id, same: choice.same }]));
  for (const { id, same } of chosen) {
    const [found] = await rows(db, 'SELECT id FROM athlete WHERE id = ? AND practice_id = ?', [same, practiceId]);
    if (!found) throw invalid([{ path: `people.${id}.same`, message: 'Nobody here has this id.' }]);
    ids.set(id, same);
  }
  if (!athlete) return null;
  const person = archivePerson(athlete);
  if (!person) throw invalid([{ path: 'athlete.athlete', message: 'Exactly one athlete is read in at once.' }]);
  const choice = people[person.id];
  if (choice === undefined && !look)
    throw invalid([{ path: `people.${person.id}`, message: 'Say whether they are new here, or who they are.' }]);
  const [byId] = await rows<Omit<SamePerson, 'by'>>(
    db,
    'SELECT id, name, birth_date AS birthDate FROM athlete WHERE id = ? AND practice_id = ? FOR UPDATE',
    [ids.get(person.id) ?? person.id, practiceId],
  );
  if (byId) return { ...byId, by: 'id' };
  const born = await rows<Omit<SamePerson, 'by'>>(
    db,
    'SELECT id, name, birth_date AS birthDate FROM athlete WHERE practice_id = ? AND birth_date = ? ORDER BY created_at, id',
    [practiceId, person.birthDate],
  );
  const byName = born.find(({ name }) => personKey(name, person.birthDate) === personKey(person.name, person.birthDate));
  if (!byName) return null;
  if (choice === undefined) ids.set(person.id, byName.id);
  return { ...byName, by: 'name' };
}

/** Squads of the same name, and events of the same name on the same day, are the same. */
async function sharedByName(db: Db, practiceId: string, { shared }: ArchivePiece, ids: Map<string, string>): Promise<void> {
  const squads = await rows<{ id: string; name: string }>(db, 'SELECT id, name FROM squad WHERE practice_id = ?', [practiceId]);
  for (const { id, name } of (shared.squad ?? []) as readonly { id: string; name: string }[]) {
    const found = squads.find((squad) => squad.name.toLowerCase() === name.trim().toLowerCase());
    if (found && !squads.some((squad) => squad.id === (ids.get(id) ?? id))) ids.set(id, found.id);
  }
  const events = await rows<{ id: string; name: string; onDate: string }>(
    db,
    'SELECT id, name, on_date AS onDate FROM calendar_event WHERE practice_id = ? AND athlete_id IS NULL',
    [practiceId],
  );
  for (const row of (shared.calendar_event ?? []) as readonly { id: string; name: string; on_date: string }[]) {
    const found = events.find((event) => event.onDate === row.on_date && event.name.toLowerCase() === row.name.trim().toLowerCase());
    if (found && !events.some((event) => event.id === (ids.get(row.id) ?? row.id))) ids.set(row.id, found.id);
  }
}

/** What rows may point at: of this practice, and what comes in on the way. */
async function knownHere(db: Db, practiceId: string, accounts: readonly string[]): Promise<Map<string, Set<string>>> {
  const idsOf = async (sql: string) => new Set((await rows<{ id: string }>(db, sql, [practiceId])).map(({ id }) => id));
  const own = await idsOf('SELECT id FROM account WHERE practice_id = ?');
  const squad = await idsOf('SELECT id FROM squad WHERE practice_id = ?');
  return new Map([
    ['account', new Set(accounts.filter((id) => own.has(id)))],
    ['squad', squad],
    ['owner', new Set([practiceId])],
    ['own_item', await idsOf('SELECT id FROM own_item WHERE practice_id = ?')],
    ['calendar_event', await idsOf('SELECT id FROM calendar_event WHERE practice_id = ? AND athlete_id IS NULL')],
    ['event_day', await idsOf('SELECT id FROM event_day WHERE practice_id = ?')],
  ]);
}

const isOrphan = (error: unknown) => (error as { errno?: number }).errno === 1452;

/** The rows of one table on their way in. */
class Taking {
  readonly leftRows: RowLeft[] = [];
  private fresh = 0;
  private here = 0;
  private readonly stands: ReadonlyMap<string, ArchiveRow>;
  private readonly keys: Set<string>;

  constructor(
    private readonly table: ArchiveTable,
    private readonly columns: readonly Column[],
    private readonly practiceId: string,
    stands: readonly ArchiveRow[],
    private readonly known: Map<string, Set<string>>,
    private readonly derived: ReadonlySet<string>,
  ) {
    this.stands = new Map(stands.map((row) => [this.keyOf(row), row]));
    this.keys = known.get(table.name) ?? new Set();
    known.set(table.name, this.keys);
    for (const row of stands) this.keys.add(row[table.key[0]!] as string);
  }

  get count(): TableCount {
    const differs = this.leftRows.filter(({ why }) => why === 'differs').length;
    return { table: this.table.name, fresh: this.fresh, here: this.here, differs, left: this.leftRows.length - differs };
  }

  /** Those that point at another row of the same table come after it. */
  async take(db: Db, sent: readonly ArchiveRow[]): Promise<void> {
    let waiting = sent.map((row) => this.loosened(row));
    while (waiting.length > 0) {
      const ready = waiting.filter((row) => this.leadsHere(row));
      if (ready.length === 0) break;
      const now = new Set(ready);
      waiting = waiting.filter((row) => !now.has(row));
      await this.add(
        db,
        ready.filter((row) => this.isNew(row)),
      );
    }
    for (const row of waiting) this.leave(row, 'belongs to nothing here');
  }

  private keyOf = (row: ArchiveRow) => this.table.key.map((column) => row[column] as string).join(' ');

  private leave(row: ArchiveRow, why: RowLeft['why'], columns: readonly string[] = []): void {
    this.leftRows.push({ table: this.table.name, key: this.keyOf(row), why, columns });
  }

  /** What a row can do without is left out where it is not here. */
  private loosened(row: ArchiveRow): ArchiveRow {
    const gone = (this.table.loose ?? []).filter(
      (column) => row[column] !== null && row[column] !== undefined && !this.knows(this.table.refs[column]!, row[column] as string),
    );
    return gone.length === 0 ? row : { ...row, ...Object.fromEntries(gone.map((column) => [column, null])) };
  }

  private leadsHere(row: ArchiveRow): boolean {
    return Object.entries(this.table.refs).every(
      ([column, of]) => row[column] === null || row[column] === undefined || this.knows(of, row[column] as string),
    );
  }

  /** A season is a squad’s, or everybody’s. */
  private knows(of: string, id: string): boolean {
    return this.known.get(of)?.has(id) || (of === 'owner' && this.known.get('squad')!.has(id));
  }

  private isNew(row: ArchiveRow): boolean {
    const stands = this.stands.get(this.keyOf(row));
    if (!stands) return true;
    const differs = Object.keys(row).filter((column) => !this.derived.has(column) && !isDeepStrictEqual(row[column], stands[column]));
    if (differs.length > 0) this.leave(row, 'differs', differs);
    else this.here += 1;
    return false;
  }

  private async add(db: Db, fresh: readonly ArchiveRow[]): Promise<void> {
    for (let i = 0; i < fresh.length; i += AT_ONCE) {
      const some = fresh.slice(i, i + AT_ONCE);
      try {
        await this.insert(db, some);
      } catch (error) {
        if (!isDuplicate(error) && !isOrphan(error)) throw error;
        for (const row of some) await this.addOne(db, row);
      }
    }
  }

  private async addOne(db: Db, row: ArchiveRow): Promise<void> {
    try {
      await this.insert(db, [row]);
    } catch (error) {
      if (!isDuplicate(error) && !isOrphan(error)) throw error;
      this.leave(row, isDuplicate(error) ? 'place taken' : 'belongs to nothing here');
    }
  }

  /** Rows of one statement have the same columns: those that a row leaves out are what the layout says. */
  private async insert(db: Db, some: readonly ArchiveRow[]): Promise<void> {
    const { ofPractice = false } = this.table;
    const groups = new Map<string, ArchiveRow[]>();
    for (const row of some) {
      const names = this.namesOf(row).join();
      groups.set(names, [...(groups.get(names) ?? []), row]);
    }
    for (const group of groups.values()) {
      const present = this.columns.filter(({ name }) => Object.hasOwn(group[0]!, name));
      const names = [...(ofPractice ? ['practice_id'] : []), ...present.map(({ name }) => name)];
      await insertMany(
        db,
        `INSERT INTO ${this.table.name} (${names.map((name) => `\`${name}\``).join(', ')}) VALUES ?`,
        group.map((row) => [...(ofPractice ? [this.practiceId] : []), ...present.map((column) => valueIn(column, row[column.name]))]),
      );
      for (const row of group) {
        this.fresh += 1;
        this.keys.add(row[this.table.key[0]!] as string);
      }
    }
  }

  private namesOf = (row: ArchiveRow) => this.columns.filter(({ name }) => Object.hasOwn(row, name)).map(({ name }) => name);
}
