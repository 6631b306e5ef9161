import type { ArchiveRow } from '@pace-bend/core/exchange';
import type { Bound } from '../db/pool.ts';
import type { Column } from './columns.ts';

/** A row of the database as an archive has it: instants as text, JSON as what it holds, yes or no as such. */
export function rowOut(columns: readonly Column[], row: Readonly<Record<string, unknown>>): ArchiveRow {
  return Object.fromEntries(columns.map((column) => [column.name, valueOut(column, row[column.name])]));
}

function valueOut({ kind }: Column, value: unknown): unknown {
  if (value === null || value === undefined) return null;
  if (kind.is === 'instant') return (value as Date).toISOString();
  if (kind.is === 'yes or no') return Boolean(value);
  if (kind.is === 'json') return typeof value === 'string' ? JSON.parse(value) : value;
  return value;
}

/** A value of an archive as it is bound. */
export function valueIn({ kind }: Column, value: unknown): Bound {
  if (value === null || value === undefined) return null;
  if (kind.is === 'instant') return new Date(value as string);
  if (kind.is === 'json') return JSON.stringify(value);
  return value as Bound;
}
