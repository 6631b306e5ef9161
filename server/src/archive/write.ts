import {
  ARCHIVE_FORMAT,
  ARCHIVE_VERSION,
  type ArchiveAccount,
  type ArchiveHead,
  type ArchiveRow,
  type ArchiveTables,
} from '@pace-bend/core/exchange';
import type { PracticeRow } from '../access/sessions.ts';
import { rows, type Db } from '../db/pool.ts';
import { layoutName, type Layout } from './columns.ts';
import { idsIn } from './ids.ts';
import { rowOut } from './rows.ts';
import { ARCHIVE_TABLES } from './tables.ts';

/** The rows of a practice that are nobody's alone, or those of an athlete; only of these tables where they are named. */
export async function partOf(
  db: Db,
  layout: Layout,
  part: 'shared' | 'athlete',
  ownerId: string,
  only?: ReadonlySet<string>,
): Promise<ArchiveTables> {
  const tables: Record<string, ArchiveRow[]> = {};
  for (const { name, where, order } of ARCHIVE_TABLES.filter((table) => table.part === part && (only?.has(table.name) ?? true))) {
    const columns = layout.get(name)!;
    const found = await rows<Record<string, unknown>>(
      db,
      `SELECT ${columns.map((column) => `\`${column.name}\``).join(', ')} FROM ${name} WHERE ${where} ORDER BY ${order}`,
      [ownerId],
    );
    tables[name] = found.map((row) => rowOut(columns, row));
  }
  return tables;
}

/** What is shared, as far as an athlete's rows point at it: own entries and ways with what they were before, sports, squads, events. */
export async function pointedAt(db: Db, layout: Layout, practiceId: string, athlete: ArchiveTables): Promise<ArchiveTables> {
  const all = await partOf(db, layout, 'shared', practiceId, new Set(['own_item', 'own_sport', 'squad', 'calendar_event']));
  const wanted = idsIn(athlete);
  for (let before = -1; before !== wanted.size;) {
    before = wanted.size;
    for (const name of ['own_item', 'calendar_event'] as const)
      for (const row of all[name]!) if (wanted.has(row.id as string)) idsIn(row).forEach((id) => wanted.add(id));
  }
  return Object.fromEntries(Object.entries(all).map(([name, found]) => [name, found.filter((row) => wanted.has(row.id as string))]));
}

export interface WrittenHead extends ArchiveHead {
  readonly takenOutAt: string;
}

/** What an archive begins with. Of a record it names those who stand in it, of a practice everybody who worked there. */
export async function headOf(db: Db, practice: PracticeRow, at: Date, named: ReadonlySet<string> | null): Promise<WrittenHead> {
  const accounts = await rows<ArchiveAccount>(db, 'SELECT id, name, role FROM account WHERE practice_id = ? ORDER BY created_at, id', [
    practice.id,
  ]);
  return {
    format: ARCHIVE_FORMAT,
    version: ARCHIVE_VERSION,
    layout: await layoutName(db),
    takenOutAt: at.toISOString(),
    practice: { id: practice.id, name: practice.name },
    accounts: accounts.filter(({ id }) => named?.has(id) ?? true),
  };
}

/** What is told beside an athlete's rows and never read in: who looked at them and when, and at which event days they were. */
export async function besideOf(db: Db, athleteId: string): Promise<Record<string, unknown>> {
  return {
    audit: (
      await rows<{ at: Date; account: string; what: string }>(
        db,
        'SELECT at, account_name AS account, what FROM audit WHERE athlete_id = ? ORDER BY id',
        [athleteId],
      )
    ).map((line) => ({ ...line, at: line.at.toISOString() })),
    eventDays: await rows(
      db,
      "SELECT id, title, on_date AS onDate FROM event_day WHERE JSON_SEARCH(data, 'one', ?, NULL, '$.starters[*].athleteId') IS NOT NULL ORDER BY on_date",
      [athleteId],
    ),
  };
}
