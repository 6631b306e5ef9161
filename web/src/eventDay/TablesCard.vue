<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { v7 as uuid } from 'uuid';
import { computed } from 'vue';
import { DAY_LIMITS, type EventDaySetUp, type Shift } from '@pace-bend/core/eventDay';
import { formatClock, readTypedTime } from '@pace-bend/core/record';
import PickOne from '../parts/PickOne.vue';
import TimeField from '../parts/TimeField.vue';
import { t } from '../words/eventDay.ts';

/** Who stands at which table from when until when; a table is open while somebody does. */
const props = defineProps<{
  setUp: EventDaySetUp;
  therapists: readonly { readonly id: string; readonly name: string }[];
  faultAt: (path: string) => string | null;
}>();
const emit = defineEmits<{ change: [fields: Partial<EventDaySetUp>] }>();

const TABLES = Array.from({ length: DAY_LIMITS.tables }, (_, i) => ({ value: String(i + 1), label: t('table4', { what: i + 1 }) }));
const shifts = computed(() => props.setUp.shifts);
/** Around the races of the day, or the usual hours. */
function firstAndLast(): readonly [number, number] {
  const starts = props.setUp.races.map(({ startAt }) => startAt);
  return starts.length === 0 ? [480, 1020] : [Math.max(0, Math.min(...starts) - 120), Math.min(1439, Math.max(...starts) + 120)];
}
const toHalfHour = (minute: number) => Math.floor(minute / 30) * 30;
function add(): void {
  const [from, until] = firstAndLast();
  const free = TABLES.find(({ value }) => !shifts.value.some(({ table }) => table === Number(value)));
  const hands = props.therapists.find(({ id }) => !shifts.value.some(({ therapistId }) => therapistId === id)) ?? props.therapists[0];
  if (!hands) return;
  const shift: Shift = {
    id: uuid(),
    table: Number(free?.value ?? TABLES.at(-1)!.value),
    therapistId: hands.id,
    from: toHalfHour(from),
    until: Math.min(1439, toHalfHour(until + 29)),
  };
  emit('change', { shifts: [...shifts.value, shift] });
}
const set = (shift: Shift, fields: Partial<Shift>) =>
  emit('change', { shifts: shifts.value.map((each) => (each.id === shift.id ? { ...each, ...fields } : each)) });
function setTime(shift: Shift, end: 'from' | 'until', held: string): void {
  const read = readTypedTime(held, { endOfDay: end === 'until' });
  if ('minute' in read && Math.min(1439, read.minute) !== shift[end]) set(shift, { [end]: Math.min(1439, read.minute) });
}
</script>

<template>
  <section class="card fields" :aria-label="t('tables')">
    <p v-if="shifts.length === 0" class="soft">{{ t('noTableOpenSay') }}</p>
    <ol class="plain shifts">
      <li v-for="(shift, i) in shifts" :key="shift.id" data-testid="shift">
        <div class="field">
          <label :for="`table-${i}`">{{ t('table2') }}</label>
          <PickOne
            :input-id="`table-${i}`"
            :label="t('table2')"
            :value="String(shift.table)"
            :options="TABLES"
            @change="(to) => set(shift, { table: Number(to) })"
          />
        </div>
        <div class="field">
          <label :for="`hands-${i}`">{{ t('therapist') }}</label>
          <PickOne
            :input-id="`hands-${i}`"
            :label="t('therapist')"
            :value="shift.therapistId"
            :options="therapists.map(({ id, name }) => ({ value: id, label: name }))"
            @change="(to) => set(shift, { therapistId: to })"
          />
        </div>
        <TimeField
          :id="`from-${i}`"
          :label="t('from2')"
          :value="formatClock(shift.from, '24')"
          :wrong="faultAt(`shifts.${i}.from`) ?? undefined"
          @update:value="(held) => setTime(shift, 'from', held)"
        />
        <TimeField
          :id="`until-${i}`"
          :label="t('until4')"
          :value="formatClock(shift.until, '24')"
          :wrong="faultAt(`shifts.${i}.until`) ?? undefined"
          @update:value="(held) => setTime(shift, 'until', held)"
        />
        <button
          type="button"
          class="link small"
          :aria-label="t('takeOff4', { what: TABLES[shift.table - 1]?.label, clock: formatClock(shift.from, '24') })"
          @click="emit('change', { shifts: shifts.filter(({ id }) => id !== shift.id) })"
        >
          {{ t('takeOff') }}
        </button>
      </li>
    </ol>
    <div>
      <Button type="primary" :disabled="shifts.length >= DAY_LIMITS.shifts || therapists.length === 0" @click="add">{{
        t('addHandsTable')
      }}</Button>
    </div>
  </section>
</template>

<style scoped>
.shifts li {
  display: flex;
  flex-wrap: wrap;
  align-items: flex-start;
  gap: 4px 16px;
  padding: 8px 0;
  border-bottom: 1px solid var(--line-faint);
}

.shifts .link {
  align-self: center;
}
</style>
