import Papa from 'papaparse';
import { harmless } from '../squadTable.ts';

export type Cell = string | number | boolean | null;

/** One column: its heading with its unit, what is in it, and how to get it. Types are those of Frictionless Table Schema. */
export interface Column<Row> {
  readonly name: string;
  readonly type: 'string' | 'number' | 'integer' | 'boolean' | 'date' | 'datetime';
  readonly says: string;
  /** Every value it may have, where there are few. */
  readonly values?: readonly string[];
  readonly of: (row: Row) => Cell;
}

export interface Table<Row> {
  readonly title: string;
  readonly says: string;
  readonly columns: readonly Column<Row>[];
  /** The column that no two rows share a value of, and columns that name rows of other tables. */
  readonly key?: string;
  readonly refers?: readonly { readonly column: string; readonly table: string; readonly to: string }[];
}

/** Text as no spreadsheet runs it, numbers as they are (a minus begins no formula there), what is missing empty. */
const written = (cell: Cell): string =>
  cell === null ? '' : typeof cell === 'number' ? String(cell) : typeof cell === 'boolean' ? (cell ? 'yes' : 'no') : harmless(cell);

/** RFC 4180: commas, quotes doubled, lines ended by CR LF, a heading first. */
export function csvOf<Row>({ columns }: Table<Row>, rows: readonly Row[]): string {
  const lines = rows.map((row) => columns.map(({ of }) => written(of(row))));
  return `${Papa.unparse([columns.map(({ name }) => name), ...lines], { newline: '\r\n' })}\r\n`;
}

/** Whose rows they are, in front of the rows of many people. */
export interface Whose {
  readonly athleteId: string;
  readonly athleteName: string;
}
const WHOSE: readonly Column<Whose>[] = [
  { name: 'Athlete id', type: 'string', says: 'Id of the athlete the row is of.', of: ({ athleteId }) => athleteId },
  { name: 'Athlete name', type: 'string', says: 'Their name.', of: ({ athleteName }) => athleteName },
];

/** The heading of a table of many people, as a line. */
export const headingWithWhose = <Row>({ columns }: Table<Row>): string =>
  `${Papa.unparse([[...WHOSE, ...columns].map(({ name }) => name)])}\r\n`;

/** Rows of one person as lines of a table of many, without a heading; empty for no rows. */
export function linesWithWhose<Row>({ columns }: Table<Row>, rows: readonly Row[], whose: Whose): string {
  if (rows.length === 0) return '';
  const front = WHOSE.map(({ of }) => written(of(whose)));
  return `${Papa.unparse(
    rows.map((row) => [...front, ...columns.map(({ of }) => written(of(row)))]),
    { newline: '\r\n' },
  )}\r\n`;
}

/** A table of many people as it stands in a data package. */
export const resourceWithWhose = <Row>(id: string, table: Table<Row>): object =>
  resourceOf<Row>(id, { ...table, columns: [...WHOSE, ...table.columns] as unknown as Table<Row>['columns'] });

/** A file of a table as a resource of a data package (Frictionless Tabular Data Resource 1.0). */
export function resourceOf<Row>(id: string, { title, says, columns, key, refers = [] }: Table<Row>): object {
  return {
    name: id,
    path: `${id}.csv`,
    profile: 'tabular-data-resource',
    title,
    description: says,
    format: 'csv',
    mediatype: 'text/csv',
    encoding: 'utf-8',
    dialect: { delimiter: ',', quoteChar: '"', doubleQuote: true, lineTerminator: '\r\n', header: true },
    schema: {
      fields: columns.map(({ name, type, says: description, values }) => ({
        name,
        type,
        ...(type === 'boolean' ? { trueValues: ['yes'], falseValues: ['no'] } : type === 'string' ? {} : { format: 'default' }),
        description,
        ...(values ? { constraints: { enum: values } } : {}),
      })),
      missingValues: [''],
      ...(key ? { primaryKey: key } : {}),
      ...(refers.length > 0
        ? { foreignKeys: refers.map(({ column, table, to }) => ({ fields: column, reference: { resource: table, fields: to } })) }
        : {}),
    },
  };
}
