<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed } from 'vue';
import { KIND_WORDS, type BoardRow, type DayEventBody, type EventDaySetUp } from '@pace-bend/core/eventDay';
import SheetDialog from '../parts/SheetDialog.vue';
import { usePractice } from '../stores/practice.ts';
import { STATUS_WORDS } from './words.ts';
import { t } from '../words/eventDay.ts';

/** Everything that can be said of one wish. */
const props = defineProps<{ row: BoardRow; now: number; setUp: EventDaySetUp }>();
const emit = defineEmits<{ say: [body: DayEventBody, words: string]; done: []; onto: [shiftId: string]; close: [] }>();
const practice = usePractice();
const wishId = computed(() => props.row.state.wish.id);
const status = computed(() => props.row.state.status);
const open = computed(() => props.setUp.shifts.filter(({ from, until }) => from <= props.now && until > props.now));
const waits = computed(() => status.value === 'waiting' || status.value === 'here');
function late(minutes: number): void {
  const until = Math.min(1439, Math.max(0, props.now) + minutes);
  emit('say', { kind: 'late', wishId: wishId.value, until }, `${props.row.name}: not before ${practice.clock(until)}`);
}
</script>

<template>
  <SheetDialog :open="true" :title="row.name" @update:open="emit('close')">
    <p class="soft">
      {{
        t('min2', {
          what: KIND_WORDS[row.state.wish.kind],
          raceName: row.raceName,
          minutes: row.state.wish.minutes,
          what2: STATUS_WORDS[status],
        })
      }}<template v-if="row.span">{{
        t('betweenAnd', {
          clock: practice.clock(Math.max(0, row.span.earliest)),
          clock2: practice.clock(Math.min(1439, row.span.latestEnd)),
        })
      }}</template>
    </p>
    <div class="keys">
      <Button v-if="status === 'waiting'" size="large" type="primary" @click="emit('say', { kind: 'here', wishId }, `${row.name}: here`)">{{
        t('here')
      }}</Button>
      <template v-if="waits">
        <Button v-for="shift in open" :key="shift.id" size="large" @click="emit('onto', shift.id)">{{
          t('onTable', { table: shift.table })
        }}</Button>
        <Button v-for="minutes in [5, 10, 20]" :key="minutes" size="large" @click="late(minutes)">{{ t('lateMin', { minutes }) }}</Button>
        <Button size="large" @click="emit('say', { kind: 'notComing', wishId }, `${row.name}: not coming`)">{{ t('notComing2') }}</Button>
        <Button
          size="large"
          @click="emit('say', { kind: 'scratch', starterId: row.state.wish.starterId }, `${row.name}: nothing more today`)"
          >{{ t('nothingMoreToday') }}</Button
        >
      </template>
      <Button v-if="status === 'onTable'" size="large" type="primary" @click="emit('done')">{{ t('done') }}</Button>
      <Button v-if="status === 'onTable'" size="large" @click="emit('say', { kind: 'here', wishId }, `${row.name}: here`)">{{
        t('notTableYet')
      }}</Button>
    </div>
  </SheetDialog>
</template>

<style scoped>
.keys {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin-top: 12px;
}

.keys :deep(.ant-btn) {
  min-height: 54px;
  font-size: 17px;
}
</style>
