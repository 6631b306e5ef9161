import {
  guessDateOrder,
  matchColumns,
  readSquad,
  readTable,
  type ColumnMatch,
  type DateOrder,
  type RawTable,
  type RowProblem,
  type SquadRow,
} from '@pace-bend/core/exchange';
import type { Sport } from '@pace-bend/core/sport';
import { decodeTable, type Decoded } from './decode.ts';

/** Reads a squad's table away from the screen: a file first, then again whenever a column or the date order is changed. */
export type SquadQuestion =
  | { readonly kind: 'file'; readonly bytes: ArrayBuffer; readonly today: string; readonly ownSports: readonly Sport[] }
  | {
      readonly kind: 'again';
      readonly columns: ColumnMatch;
      readonly order: DateOrder;
      readonly today: string;
      readonly ownSports: readonly Sport[];
    };

export interface SquadAnswer {
  readonly header: readonly string[];
  readonly delimiter: string;
  readonly encoding: Decoded['encoding'];
  /** Rows of the table, header left out. */
  readonly count: number;
  readonly columns: ColumnMatch;
  readonly order: DateOrder;
  readonly rows: readonly (SquadRow & { readonly row: number })[];
  readonly problems: readonly RowProblem[];
}

let table: RawTable = { header: [], rows: [], delimiter: '' };
let encoding: Decoded['encoding'] = 'UTF-8';

self.onmessage = ({ data }: MessageEvent<SquadQuestion>) => {
  let columns: ColumnMatch;
  let order: DateOrder;
  if (data.kind === 'file') {
    const decoded = decodeTable(new Uint8Array(data.bytes));
    table = readTable(decoded.text);
    encoding = decoded.encoding;
    columns = matchColumns(table.header);
    order = guessDateOrder(columns.birthDate === null ? [] : table.rows.map((row) => row[columns.birthDate!] ?? ''));
  } else ({ columns, order } = data);
  self.postMessage({
    header: table.header,
    delimiter: table.delimiter,
    encoding,
    count: table.rows.length,
    columns,
    order,
    ...readSquad(table, columns, order, data.today, data.ownSports),
  } satisfies SquadAnswer);
};
