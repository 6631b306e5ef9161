<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import Input from 'ant-design-vue/es/input';
import PickOne from '../parts/PickOne.vue';
import { usePractice } from '../stores/practice.ts';
import { WEEKDAYS } from './cells.ts';
import { newSpan, type TypedSpan } from './spans.ts';
import { t } from '../words/week.ts';

/** Times of the week, a row each: day, from, to, and a word where there is one to say. */
const props = defineProps<{
  rows: readonly TypedSpan[];
  /** What they are, for labels: "Hours of Marit Voss". */
  label: string;
  withWords?: boolean;
  most: number;
  disabled?: boolean;
}>();
const emit = defineEmits<{ change: [rows: TypedSpan[]] }>();
const practice = usePractice();
const OPTIONS = WEEKDAYS.map(({ weekday, name }) => ({ value: String(weekday), label: name }));

const set = (id: number, change: Partial<TypedSpan>) =>
  emit(
    'change',
    props.rows.map((row) => (row.id === id ? { ...row, ...change } : row)),
  );
/** A new row goes on with the day after the last one, at its times. */
function add(): void {
  const last = props.rows.at(-1);
  const next = last
    ? newSpan(Math.min(7, last.weekday + 1), last.from, last.to, last.words)
    : newSpan(1, practice.clock(8 * 60), practice.clock(12 * 60));
  emit('change', [...props.rows, next]);
}
</script>

<template>
  <div role="group" :aria-label="label" class="spans">
    <div v-for="(row, i) in rows" :key="row.id" class="span">
      <PickOne
        :label="t('day', { label, what: i + 1 })"
        size="small"
        :value="String(row.weekday)"
        :options="OPTIONS"
        :disabled="disabled"
        @change="(weekday) => set(row.id, { weekday: Number(weekday) })"
      />
      <Input
        :value="row.from"
        class="time"
        size="small"
        :maxlength="8"
        :disabled="disabled"
        :aria-label="t('from', { label, what: i + 1 })"
        @update:value="(from: string) => set(row.id, { from })"
      />
      <span class="soft">{{ t('to') }}</span>
      <Input
        :value="row.to"
        class="time"
        size="small"
        :maxlength="8"
        :disabled="disabled"
        :aria-label="t('to2', { label, what: i + 1 })"
        @update:value="(to: string) => set(row.id, { to })"
      />
      <Input
        v-if="withWords"
        :value="row.words"
        size="small"
        :maxlength="60"
        :placeholder="t('whatItIs')"
        :disabled="disabled"
        :aria-label="t('whatItIs2', { label, what: i + 1 })"
        @update:value="(words: string) => set(row.id, { words })"
      />
      <Button
        v-if="!disabled"
        size="small"
        @click="
          emit(
            'change',
            rows.filter(({ id }) => id !== row.id),
          )
        "
        >{{ t('remove') }}<span class="sr-only">, {{ label }}, {{ i + 1 }}</span></Button
      >
    </div>
    <Button v-if="!disabled && rows.length < most" size="small" :aria-label="t('addATime', { label })" @click="add">{{
      t('addTime')
    }}</Button>
  </div>
</template>

<style scoped>
.spans {
  display: grid;
  justify-items: start;
  gap: 6px;
}

.span {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px;
}

.span > :first-child {
  width: 122px;
}

.time {
  width: 84px;
}
</style>
