<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed } from 'vue';
import type { DayPlan, EventDaySetUp, PromisedTime, Remedy } from '@pace-bend/core/eventDay';
import SheetDialog from '../parts/SheetDialog.vue';
import { usePractice } from '../stores/practice.ts';
import { refusalWords, remedyWords } from './words.ts';
import { t } from '../words/eventDay.ts';

/** What would be told: new times and other ones, who gets none and why, and what would make it possible. Nothing is told before it is taken. */
const props = defineProps<{
  plan: DayPlan;
  remedies: readonly Remedy[] | null;
  planning: boolean;
  setUp: EventDaySetUp;
  nameOf: (wishId: string) => string;
}>();
const emit = defineEmits<{ take: []; close: [] }>();
const practice = usePractice();
const tableOf = (time: PromisedTime) => props.setUp.shifts.find(({ id }) => id === time.shiftId)?.table ?? '';
const at = (time: PromisedTime) => t('table3', { clock: practice.clock(time.start), tableOf: tableOf(time) });
const changes = computed(() => [...props.plan.changes].sort((a, b) => (a.to?.start ?? 1440) - (b.to?.start ?? 1440)));
/** True by how it came about. */
const proofWords = computed(() => {
  switch (props.plan.proven) {
    case 'all':
    case 'promises':
      return t('noWayServesMore');
    case 'weight':
      return t('noWayServesMoreWhat');
    default:
      return t('bestFoundFarBetter');
  }
});
</script>

<template>
  <SheetDialog :open="true" :title="t('times')" :width="720" @update:open="emit('close')">
    <div class="fields">
      <p v-if="changes.length === 0" class="soft">{{ t('noTimeChanges') }}</p>
      <ul v-else class="plain times" :aria-label="t('changes')" tabindex="0">
        <li v-for="change in changes" :key="change.wishId" data-testid="time-change">
          <b>{{ nameOf(change.wishId) }}</b>
          <span v-if="change.from" class="num was">{{ at(change.from) }}</span>
          <span v-if="change.to" class="num">{{ at(change.to) }}</span>
          <span v-else class="mark">{{ t('noTimeAnyMore') }}</span>
        </li>
      </ul>
      <section v-if="plan.notServed.length > 0" :aria-label="t('withoutATime')">
        <h2>{{ t('withoutATime') }}</h2>
        <ul class="plain">
          <li v-for="each in plan.notServed" :key="each.wishId">
            <b>{{ nameOf(each.wishId) }}</b>: {{ refusalWords(each, practice.clock) }}.
          </li>
        </ul>
        <p v-if="remedies === null" class="soft">{{ t('lookingWhatWouldMake') }}</p>
        <ul v-else-if="remedies.length > 0" class="plain remedies">
          <li v-for="(remedy, i) in remedies" :key="i">{{ remedyWords(remedy, practice.clock, nameOf) }}</li>
        </ul>
      </section>
      <p class="soft small">{{ t('weightsMinutesThoseSet', { proofWords }) }}</p>
      <div class="pair">
        <Button type="primary" size="large" :disabled="changes.length === 0 || planning" @click="emit('take')">{{
          t('tellTheseTimes')
        }}</Button>
        <Button size="large" @click="emit('close')">{{ t('notNow') }}</Button>
      </div>
    </div>
  </SheetDialog>
</template>

<style scoped>
.times {
  display: grid;
  gap: 4px;
  max-height: 46vh;
  overflow: auto;
}

.times li {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  padding: 4px 0;
  border-bottom: 1px solid var(--line-faint);
}

.was {
  color: var(--soft);
  text-decoration: line-through;
}

.mark {
  color: var(--clay-text);
  font-weight: 650;
}

.remedies {
  margin-top: 6px;
  padding-left: 10px;
  border-left: 4px solid var(--spruce);
}
</style>
