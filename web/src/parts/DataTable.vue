<script lang="ts">
/** A column of a table: its heading, what a row holds there, and whether rows can be ordered by it. */
export interface DataColumn<Row> {
  readonly key: string;
  readonly title: string;
  readonly value: (row: Row) => string | number | null;
  readonly sortable?: boolean;
  readonly numeric?: boolean;
}
</script>

<script setup lang="ts" generic="Row extends object">
import Table from 'ant-design-vue/es/table';
import { computed, ref } from 'vue';
import { t } from '../words/parts.ts';

/**
 * Rows of data to be read through: ordered by a column, the head staying in sight, long ones by pages. What stands in a cell may be drawn by the
 * slot `cell`; without it it is the value.
 */
const props = withDefaults(
  defineProps<{
    label: string;
    rows: readonly Row[];
    columns: readonly DataColumn<Row>[];
    rowKey: (row: Row) => string | number;
    pageSize?: number;
    /** Said when there are no rows. Who shows a table only when it has some need not say it. */
    empty?: string;
  }>(),
  { pageSize: 25, empty: undefined },
);
defineSlots<{ cell?: (slot: { row: Row; column: DataColumn<Row> }) => unknown }>();

const order = (one: string | number | null, other: string | number | null) =>
  one === null || other === null
    ? Number(one === null) - Number(other === null)
    : typeof one === 'number' && typeof other === 'number'
      ? one - other
      : String(one).localeCompare(String(other), 'en', { numeric: true });
const by = ref<{ readonly key: string; readonly down: boolean } | null>(null);
/** Once upwards, once downwards, and then as it came. */
function turn(key: string): void {
  by.value = by.value?.key !== key ? { key, down: false } : by.value.down ? null : { key, down: true };
}
const ordered = computed(() => {
  const column = props.columns.find(({ key }) => key === by.value?.key);
  if (!column) return [...props.rows];
  const up = props.rows.map((row, i) => ({ row, i, value: column.value(row) })).sort((a, b) => order(a.value, b.value) || a.i - b.i);
  return (by.value!.down ? up.reverse() : up).map(({ row }) => row);
});
const sortOf = (key: string): 'none' | 'ascending' | 'descending' =>
  by.value?.key !== key ? 'none' : by.value.down ? 'descending' : 'ascending';
const kitColumns = computed(() =>
  props.columns.map(({ key, title, numeric, sortable }) => ({
    key,
    title,
    className: numeric ? 'num' : '',
    customHeaderCell: () => (sortable ? { 'aria-sort': sortOf(key) } : {}),
  })),
);
const byKey = computed(() => new Map(props.columns.map((column) => [column.key, column])));
const pages = computed(() =>
  props.rows.length > props.pageSize ? { pageSize: props.pageSize, showSizeChanger: false, size: 'small' as const } : (false as const),
);
</script>

<template>
  <div class="data" role="group" :aria-label="label">
    <Table :columns="kitColumns" :data-source="ordered" :row-key="(row) => rowKey(row as Row)" :pagination="pages" size="small">
      <template #emptyText
        ><p class="soft">{{ empty ?? t('nothingHere') }}</p></template
      >
      <template #headerCell="{ column, title }"
        ><button v-if="byKey.get(String(column.key))!.sortable" type="button" class="sort" @click="turn(String(column.key))">
          {{ title
          }}<span aria-hidden="true" class="way">{{ { none: '↕', ascending: '↑', descending: '↓' }[sortOf(String(column.key))] }}</span>
        </button></template
      >
      <template #bodyCell="{ column, record }"
        ><slot name="cell" :row="record as Row" :column="byKey.get(String(column.key))!">{{
          byKey.get(String(column.key))!.value(record as Row) ?? ''
        }}</slot></template
      >
    </Table>
  </div>
</template>

<style scoped>
.data {
  min-width: 0;
}

/* The head stays in sight. By the kit’s own means it would be a table of its own, and no heading of these columns any more. */
.data :deep(thead th) {
  position: sticky;
  top: 0;
  z-index: 2;
}

.data :deep(td) {
  border-color: var(--line-faint);
  overflow-wrap: anywhere;
}

.data :deep(th.num) {
  font: inherit;
  font-weight: 600;
}

.data :deep(td.num) {
  font-size: 14.5px;
}

.sort {
  padding: 0;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  cursor: pointer;
}

.way {
  margin-left: 5px;
  color: var(--soft);
}

@container page (max-width: 640px) {
  .data {
    overflow-x: auto;
  }

  /* As wide as its columns, so that its frame and ground go with them. */
  .data :deep(.ant-table) {
    width: max-content;
    min-width: 100%;
  }

  .data :deep(td) {
    overflow-wrap: normal;
  }
}
</style>
