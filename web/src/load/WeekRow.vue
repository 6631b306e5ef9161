<script setup lang="ts">
import { DateTime } from 'luxon';
import { typedText } from '@pace-bend/core/load';
import { formatNumber } from '@pace-bend/core/measure';
import { usePractice } from '../stores/practice.ts';
import type { Cell } from './week.ts';
import type { Row } from './useWeekEdits.ts';
import { t } from '../words/load.ts';

/** One athlete's week. A row by itself, so that typing into one leaves two hundred others alone. */
defineProps<{
  row: Row;
  index: number;
  /** The day that is looked at in this row, or null. */
  at: number | null;
  /** What is being typed there, or null. */
  typed: string | null;
  unsent: boolean;
  wrong: boolean;
}>();
const emit = defineEmits<{ look: [day: number]; begin: [text: string]; type: [text: string]; leave: [] }>();
const practice = usePractice();

/** A cell's sessions: the kind in small where it is not the usual one, minutes and how hard. */
const shownOf = (row: Row, cell: Cell) =>
  cell.done.map((each) => ({
    id: each.id,
    name: each.kind === row.kinds[0]?.id ? '' : (row.kinds.find(({ id }) => id === each.kind)?.name ?? each.kind),
    numbers: typedText([each], [{ id: each.kind, name: '', muscles: [] }]),
  }));
/** A cell in words: just what stands in it, in its order, then which of it is planned. */
const cellWords = (row: Row, cell: Cell) => {
  const planned = cell.planned.map(({ minutes }) => t('min2', { minutes }));
  const shown = [...shownOf(row, cell).map(({ name, numbers }) => `${name} ${numbers}`.trim()), ...planned].join(', ');
  return (shown || 'nothing') + (planned.length > 0 ? t('planned', { planned: planned.join(', ') }) : '');
};
const dayWords = (day: string) => DateTime.fromISO(day).toFormat('ccc d LLL');
const number = (value: number | null | undefined, digits = 0) =>
  value === null || value === undefined ? '–' : formatNumber(value, digits);
const monotonyWords = (row: Row) => (row.figures.week && row.figures.week.monotony === null ? t('everyDayAlikeNot') : undefined);
</script>

<template>
  <tr>
    <th scope="row">
      <RouterLink :to="`/athlete/${row.id}/mornings`" :title="row.name">{{ row.name }}</RouterLink>
    </th>
    <td
      v-for="(cell, d) in row.cells"
      :key="cell.on"
      role="gridcell"
      class="cell num"
      :class="{
        today: cell.on === practice.today,
        ahead: cell.on > practice.today,
        unsent,
      }"
      :data-cell="`${index}/${d}`"
      :tabindex="at === d ? 0 : -1"
      :aria-label="`${row.name}, ${dayWords(cell.on)}: ${cellWords(row, cell)}`"
      @focus="emit('look', d)"
      @dblclick="emit('begin', cell.text)"
    >
      <input
        v-if="typed !== null && at === d"
        :value="typed"
        @input="emit('type', ($event.target as HTMLInputElement).value)"
        class="typed num"
        :aria-label="`${row.name}, ${dayWords(cell.on)}`"
        :aria-invalid="wrong ? 'true' : undefined"
        maxlength="120"
        autocomplete="off"
        @blur="emit('leave')"
      />
      <!-- The spaces between are for those who hear the cell or copy it: drawn, each session is a line. -->
      <template v-else>
        <template v-for="each in shownOf(row, cell)" :key="each.id"
          ><span class="session"
            ><small v-if="each.name">{{ each.name }}</small> {{ each.numbers }}</span
          >{{ ' ' }}</template
        >
        <template v-for="each in cell.planned" :key="each.id"
          ><span class="session planned" :title="t('planned2')">{{ t('min2', { minutes: each.minutes }) }}</span
          >{{ ' ' }}</template
        >
      </template>
    </td>
    <td class="figure num">{{ number(row.figures.week?.sum) }}</td>
    <td class="figure num" :title="monotonyWords(row)">{{ number(row.figures.week?.monotony, 2) }}</td>
    <td class="figure num">{{ number(row.figures.week?.strain) }}</td>
    <td class="figure num">{{ number(row.figures.rolling.ratio, 2) }}</td>
    <td class="figure num">{{ number(row.figures.weighted.ratio, 2) }}</td>
  </tr>
</template>

<style scoped>
tbody th {
  padding: 2px 12px 2px 0;
  overflow-wrap: anywhere;
  font-weight: 600;
  text-align: left;
}

tbody th a {
  text-decoration: none;
}

.cell {
  position: relative;
  height: 34px;
  padding: 2px 6px;
  border: 1px solid var(--line-faint);
  background: var(--paper);
  font: 400 13.5px var(--words);
  vertical-align: top;
  cursor: cell;
}

.cell:focus {
  outline: 2.5px solid var(--spruce);
  outline-offset: -2px;
}

.ahead {
  background: var(--raised);
}

.unsent {
  color: var(--soft);
  font-style: italic;
}

.session {
  display: block;
}

.session small {
  display: block;
  color: var(--soft);
  font-size: 11.5px;
  line-height: 1.1;
}

.planned {
  width: max-content;
  padding: 0 4px;
  border: 1px dashed var(--soft);
  border-radius: 3px;
  color: var(--soft);
}

/* Over the cell and what is beside it: several sessions need more room than a day has. */
.typed {
  position: absolute;
  z-index: 1;
  top: 0;
  left: 0;
  width: max(100%, 120px);
  height: 100%;
  padding: 2px 6px;
  border: 0;
  background: var(--paper);
  outline: 2.5px solid var(--spruce);
  outline-offset: -2px;
  color: var(--ink);
  font: inherit;
}

td.figure {
  font: 400 13.5px var(--words);
}

.today {
  background: var(--spruce-soft);
}

.figure {
  padding: 2px 6px;
  text-align: right;
  white-space: nowrap;
}
</style>
