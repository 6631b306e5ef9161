import { rows, type Db } from '../db/pool.ts';
import { ARCHIVE_TABLES, NOT_A_COLUMN } from './tables.ts';

/** What a column may hold, as an archive says it. */
export type ColumnKind =
  | { readonly is: 'id' | 'day' | 'instant' | 'number' | 'yes or no' | 'json' }
  | { readonly is: 'text'; readonly most: number }
  | { readonly is: 'whole number'; readonly least: number; readonly most: number }
  | { readonly is: 'one of'; readonly values: readonly string[] };

export interface Column {
  readonly name: string;
  readonly kind: ColumnKind;
  readonly nullable: boolean;
  /** Whether a row can do without it: it is then nothing, or what the layout says. */
  readonly optional: boolean;
}

export type Layout = ReadonlyMap<string, readonly Column[]>;

interface Described {
  readonly tableName: string;
  readonly columnName: string;
  readonly dataType: string;
  readonly columnType: string;
  readonly nullable: 'YES' | 'NO';
  readonly fallback: string | null;
  readonly most: number | null;
}

const WHOLE: Readonly<Record<string, number>> = { tinyint: 8, smallint: 16, mediumint: 24, int: 32 };

function kindOf({ dataType, columnType, most }: Described): ColumnKind {
  if (dataType === 'uuid') return { is: 'id' };
  if (dataType === 'date') return { is: 'day' };
  if (dataType === 'datetime') return { is: 'instant' };
  if (dataType === 'double') return { is: 'number' };
  // The database keeps JSON as the longest kind of text; nothing else here is kept so.
  if (dataType === 'longtext') return { is: 'json' };
  if (columnType === 'tinyint(1)') return { is: 'yes or no' };
  if (dataType === 'enum') return { is: 'one of', values: [...columnType.matchAll(/'([^']*)'/g)].map(([, value]) => value!) };
  const bits = WHOLE[dataType];
  if (bits !== undefined)
    return columnType.includes('unsigned')
      ? { is: 'whole number', least: 0, most: 2 ** bits - 1 }
      : { is: 'whole number', least: -(2 ** (bits - 1)), most: 2 ** (bits - 1) - 1 };
  if (most !== null) return { is: 'text', most: Number(most) };
  throw new Error(`A column of type ${columnType} has no place in an archive.`);
}

/** The columns of every table of an archive, as the database has them: there is no second list that could say otherwise. */
export async function readLayout(db: Db): Promise<Layout> {
  const names = [...new Set(ARCHIVE_TABLES.map(({ name }) => name))];
  const described = await rows<Described>(
    db,
    `SELECT table_name AS tableName, column_name AS columnName, data_type AS dataType, column_type AS columnType, is_nullable AS nullable,
            column_default AS fallback, character_maximum_length AS most
     FROM information_schema.columns WHERE table_schema = DATABASE() AND table_name IN (${names.map(() => '?').join(', ')})
     ORDER BY table_name, ordinal_position`,
    names,
  );
  const layout = new Map<string, Column[]>(names.map((name) => [name, []]));
  for (const each of described) {
    if (NOT_A_COLUMN.has(each.columnName)) continue;
    const nullable = each.nullable === 'YES';
    layout.get(each.tableName)!.push({ name: each.columnName, kind: kindOf(each), nullable, optional: nullable || each.fallback !== null });
  }
  return layout;
}

/** The last change of the layout. */
export async function layoutName(db: Db): Promise<string> {
  const [last] = await rows<{ name: string }>(db, 'SELECT name FROM migration ORDER BY name DESC LIMIT 1');
  return last!.name;
}
