import { ref, watch, type Ref } from 'vue';
import type { loadKindsOf } from '@pace-bend/core/load';
import { useLoads } from '../stores/loads.ts';
import { usePractice } from '../stores/practice.ts';
import { changesOf, type Cell, type figuresOf } from './week.ts';
import { t } from '../words/load.ts';

/** One athlete's week as it is shown. */
export interface Row {
  readonly id: string;
  readonly name: string;
  readonly kinds: ReturnType<typeof loadKindsOf>;
  readonly cells: readonly Cell[];
  readonly figures: ReturnType<typeof figuresOf>;
}

interface Step {
  readonly athleteId: string;
  readonly on: string;
  readonly text: string;
}

/** A cell and what is typed into it. */
export interface Edit {
  readonly row: number;
  readonly day: number;
  readonly text: string;
}

/** Typing into a week: cells are made what was typed, all of them or none, remembered for undo as long as the week is shown. */
export function useWeekEdits(rows: Ref<readonly Row[]>, days: Ref<readonly string[]>) {
  const store = useLoads();
  const practice = usePractice();
  /** Texts of cells before each change, so that undo types them again. */
  const done = ref<Step[][]>([]);
  watch(days, () => {
    done.value = [];
  });

  /** What would be wrong with a cell if this was typed into it; null where nothing would. */
  function wrongIn({ row, day, text }: Edit): string | null {
    const target = rows.value[row];
    const cell = target?.cells[day];
    if (!target || !cell) return null;
    if (cell.on > practice.today && text.trim() !== '') return t('dayStillComePlanned');
    const changes = changesOf(cell, text, target.kinds);
    return 'message' in changes ? changes.message : null;
  }

  function write(edit: Edit): void {
    const row = rows.value[edit.row];
    const cell = row?.cells[edit.day];
    const changes = row && cell ? changesOf(cell, edit.text, row.kinds) : [];
    if (!row || !cell || 'message' in changes) return;
    for (const change of changes) {
      if (change.kind === 'take-out') store.takeOut(row.id, change.id);
      else
        store.write(
          row.id,
          { ...change.fields, onDate: cell.on, askedAfterMin: change.over?.askedAfterMin ?? null, planned: false },
          change.over,
        );
    }
  }

  /** Makes cells what was typed; where one cannot be, none is, and its place comes back with what is wrong. */
  function edit(edits: readonly Edit[]): { readonly at: Edit; readonly message: string } | null {
    for (const at of edits) {
      const message = wrongIn(at);
      if (message) return { at, message };
    }
    const before = edits.flatMap(({ row, day }): Step[] => {
      const cell = rows.value[row]?.cells[day];
      return cell ? [{ athleteId: rows.value[row]!.id, on: cell.on, text: cell.text }] : [];
    });
    edits.forEach(write);
    done.value = [...done.value.slice(-50), before];
    return null;
  }

  function undo(): void {
    const last = done.value.at(-1);
    if (!last) return;
    done.value = done.value.slice(0, -1);
    for (const { athleteId, on, text } of last)
      write({ row: rows.value.findIndex(({ id }) => id === athleteId), day: days.value.indexOf(on), text });
  }

  return { done, edit, undo };
}
