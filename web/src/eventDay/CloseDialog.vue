<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed, ref } from 'vue';
import { formatClock, readTypedTime } from '@pace-bend/core/record';
import type { DayEventBody, EventDaySetUp } from '@pace-bend/core/eventDay';
import PickOne from '../parts/PickOne.vue';
import SheetDialog from '../parts/SheetDialog.vue';
import TimeField from '../parts/TimeField.vue';
import { usePractice } from '../stores/practice.ts';
import { t } from '../words/eventDay.ts';

/** A table at which nobody stands for a while. */
const props = defineProps<{ setUp: EventDaySetUp; now: number }>();
const emit = defineEmits<{ say: [body: DayEventBody, words: string]; close: [] }>();
const practice = usePractice();
const shifts = computed(() =>
  props.setUp.shifts.filter(({ until }) => until > props.now).sort((a, b) => a.table - b.table || a.from - b.from),
);
const shiftId = ref(shifts.value[0]?.id ?? '');
const shift = computed(() => shifts.value.find(({ id }) => id === shiftId.value) ?? null);
const from = ref(formatClock(Math.max(0, Math.min(1439, Math.max(props.now, shift.value?.from ?? 0))), '24'));
const until = ref(formatClock(shift.value?.until ?? 1439, '24'));
const minute = (held: string) => {
  const read = readTypedTime(held, { endOfDay: true });
  return 'minute' in read ? Math.min(1439, read.minute) : null;
};
const sound = computed(() => minute(from.value) !== null && minute(until.value) !== null && minute(until.value)! > minute(from.value)!);
function choose(id: string): void {
  shiftId.value = id;
  until.value = formatClock(shift.value!.until, '24');
}
function save(): void {
  if (!shift.value || !sound.value) return;
  emit(
    'say',
    { kind: 'closes', shiftId: shift.value.id, from: minute(from.value)!, until: minute(until.value)! },
    `Table ${shift.value.table} closed from ${practice.clock(minute(from.value)!)}`,
  );
  emit('close');
}
</script>

<template>
  <SheetDialog :open="true" :title="t('tableCloses')" @update:open="emit('close')">
    <p v-if="shifts.length === 0" class="soft">{{ t('noTableOpenAny') }}</p>
    <form v-else class="fields" @submit.prevent="save">
      <div class="field">
        <label for="closing-table">{{ t('table2') }}</label>
        <PickOne
          input-id="closing-table"
          :label="t('table2')"
          :value="shiftId"
          :options="
            shifts.map((each) => ({
              value: each.id,
              label: t('tableTo', { table: each.table, clock: practice.clock(each.from), clock2: practice.clock(each.until) }),
            }))
          "
          @change="choose"
        />
      </div>
      <TimeField id="closing-from" :label="t('from2')" :value="from" @update:value="(to) => (from = to)" />
      <TimeField id="closing-until" :label="t('until4')" :value="until" @update:value="(to) => (until = to)" />
      <Button type="primary" size="large" html-type="submit" :disabled="!sound">{{ t('closeTable') }}</Button>
    </form>
  </SheetDialog>
</template>
