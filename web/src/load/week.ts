import { addDays, loadHistory, readTyped, typedText, type LoadHistory, type TrainingLoad } from '@pace-bend/core/load';
import type { LoadKind } from '@pace-bend/core/sport';

/** The Monday of a day's week. */
export function mondayOf(day: string): string {
  return addDays(day, -((new Date(`${day}T00:00:00Z`).getUTCDay() + 6) % 7));
}

/** What stands in one cell: the sessions that were done, and those that are planned. */
export interface Cell {
  readonly on: string;
  readonly done: readonly TrainingLoad[];
  readonly planned: readonly TrainingLoad[];
  readonly text: string;
}

/** The seven cells of a week. */
export function cellsOf(loads: readonly TrainingLoad[], monday: string, kinds: readonly LoadKind[]): Cell[] {
  return Array.from({ length: 7 }, (_, i) => {
    const on = addDays(monday, i);
    const ofDay = loads.filter((each) => each.onDate === on);
    const done = ofDay.filter((each) => !each.planned);
    return { on, done, planned: ofDay.filter((each) => each.planned), text: typedText(done, kinds) };
  });
}

/** What a week comes to on its last day that is not still to come. */
export function figuresOf(loads: readonly TrainingLoad[], monday: string, today: string): LoadHistory {
  const sunday = addDays(monday, 6);
  return loadHistory(loads, sunday < today ? sunday : today, 42);
}

/** What has to be done so that a cell holds what was typed: session by session in their order. */
export type CellChange =
  | {
      readonly kind: 'write';
      readonly fields: Pick<TrainingLoad, 'kind' | 'minutes' | 'exertion' | 'amount'>;
      readonly over: TrainingLoad | null;
    }
  | { readonly kind: 'take-out'; readonly id: string };

/** The changes that make a cell what was typed, or what is wrong with it. Sessions that stay as they are are left alone. */
export function changesOf(cell: Cell, typed: string, kinds: readonly LoadKind[]): readonly CellChange[] | { readonly message: string } {
  const read = readTyped(typed, kinds);
  if (read.kind === 'wrong') return { message: read.message };
  const changes: CellChange[] = [];
  read.sessions.forEach((fields, i) => {
    const over = cell.done[i] ?? null;
    const same =
      over !== null &&
      over.kind === fields.kind &&
      over.minutes === fields.minutes &&
      over.exertion === fields.exertion &&
      over.amount === fields.amount;
    if (!same) changes.push({ kind: 'write', fields, over });
  });
  for (const each of cell.done.slice(read.sessions.length)) changes.push({ kind: 'take-out', id: each.id });
  return changes;
}

/**
 * Cells of a spreadsheet as rows and columns: tab between cells, one line a row; quotes as spreadsheets copy them.
 * @example pastedCells('60 7\t\n30 3\t45 5\n') // two rows of two
 */
export function pastedCells(text: string): string[][] {
  return text
    .replace(/\r\n?/g, '\n')
    .replace(/\n$/, '')
    .split('\n')
    .map((line) => line.split('\t').map((cell) => cell.trim().replace(/^"(.*)"$/, '$1')));
}
