import { currentFindings, type Finding } from '../../finding/index.ts';
import type { LoadFields } from '../../load/index.ts';
import { standing, type CheckIn } from '../../readiness/index.ts';
import { currentReadings, type PastBlock, type Reading, type Visit } from '../../record/index.ts';
import { csvOf, headingWithWhose, linesWithWhose, resourceOf, resourceWithWhose, type Table, type Whose } from './table.ts';
import {
  blocksTable,
  blockSides,
  checkInsTable,
  findingsTable,
  loadsTable,
  readingsTable,
  trialsOf,
  trialsTable,
  visitsTable,
  type TableWords,
} from './tables.ts';

/** What of an athlete's record goes out as a table, by the name of its file. */
export const RECORD_TABLES = [
  { id: 'visits', name: 'Visits' },
  { id: 'readings', name: 'Readings' },
  { id: 'trials', name: 'Trials' },
  { id: 'findings', name: 'Findings' },
  { id: 'blocks', name: 'Blocks done' },
  { id: 'loads', name: 'Loads' },
  { id: 'check-ins', name: 'Check-ins' },
] as const;
export type RecordTable = (typeof RECORD_TABLES)[number]['id'];

/** What the tables are made from: everything of the kinds, whether it stands or not. */
export interface RecordRows {
  readonly visits: readonly Visit[];
  readonly readings: readonly Reading[];
  readonly findings: readonly Finding[];
  readonly blocks: readonly PastBlock[];
  readonly loads: readonly LoadFields[];
  readonly checkIns: readonly CheckIn[];
}

/** A table with its rows, whichever it is: as text, and as it stands in a data package. */
interface Filled {
  readonly csv: () => string;
  readonly resource: object;
  /** The same among the rows of a whole practice: the heading, this person’s lines, and how it stands in a data package. */
  readonly ofPractice: { readonly heading: () => string; readonly lines: (whose: Whose) => string; readonly resource: () => object };
}
const filled = <Row>(id: RecordTable, table: Table<Row>, rows: readonly Row[]): Filled => ({
  csv: () => csvOf(table, rows),
  resource: resourceOf(id, table),
  ofPractice: {
    heading: () => headingWithWhose(table),
    lines: (whose) => linesWithWhose(table, rows, whose),
    resource: () => resourceWithWhose(id, table),
  },
});

/** The tables of a record, each by its name. Rows are oldest first, as they are given. */
export function recordTables(rows: RecordRows, words: TableWords): Readonly<Record<RecordTable, Filled>> {
  const readings = currentReadings(rows.readings).flatMap((each) => (each.value === null ? [] : [{ ...each, value: each.value }]));
  return {
    visits: filled('visits', visitsTable(words), rows.visits),
    readings: filled('readings', readingsTable(words), readings),
    trials: filled('trials', trialsTable(), trialsOf(readings)),
    findings: filled('findings', findingsTable(words), currentFindings(rows.findings)),
    blocks: filled('blocks', blocksTable(words), blockSides(rows.blocks)),
    loads: filled(
      'loads',
      loadsTable(words),
      rows.loads.filter(({ planned }) => !planned),
    ),
    'check-ins': filled('check-ins', checkInsTable(), standing(rows.checkIns)),
  };
}

/**
 * The data dictionary of a record's tables: every column with its type, its unit and what it says, as a data package (Frictionless Data Package
 * 1.0, `datapackage.json`). `at`: the instant it is written.
 */
export function dataPackage(tables: Readonly<Record<RecordTable, Filled>>, title: string, at: string): object {
  return packageOf('athlete-record', title, at, (id) => tables[id].resource);
}

/** The same of the tables of a whole practice, from a record's tables with or without rows. */
export function practicePackage(tables: Readonly<Record<RecordTable, Filled>>, title: string, at: string): object {
  return packageOf('practice-records', title, at, (id) => tables[id].ofPractice.resource());
}

const packageOf = (name: string, title: string, at: string, resource: (id: RecordTable) => object): object => ({
  profile: 'tabular-data-package',
  name,
  title,
  created: at,
  resources: RECORD_TABLES.map(({ id }) => resource(id)),
});
