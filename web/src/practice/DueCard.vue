<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed, ref } from 'vue';
import type { KeepingPage } from '@pace-bend/core/keeping';
import { api } from '../api/api.ts';
import { dayWords } from '../parts/dayWords.ts';
import ProblemNote from '../parts/ProblemNote.vue';
import { useAction } from '../parts/useAction.ts';
import { t } from '../words/practice.ts';

/** What is past its period, kind by kind; erased when somebody says so, twice. */
const props = defineProps<{ page: KeepingPage }>();
const emit = defineEmits<{ erased: [] }>();
const { busy, problem, run } = useAction();

const KINDS = [
  { key: 'checkIns', path: 'check-ins', one: 'check-in', many: 'check-ins' },
  { key: 'loads', path: 'loads', one: 'load', many: 'loads' },
  { key: 'guests', path: 'guests', one: t('nameGuest'), many: t('namesGuests') },
] as const;
const due = computed(() =>
  KINDS.flatMap((kind) => {
    const found = props.page[kind.key];
    return found && found.count > 0 ? [{ ...kind, ...found, words: `${found.count} ${found.count === 1 ? kind.one : kind.many}` }] : [];
  }),
);
const asking = ref('');
async function erase(path: string, before: string): Promise<void> {
  if (await run(() => api('POST', `/keeping/${path}`, { before }))) {
    asking.value = '';
    emit('erased');
  }
}
</script>

<template>
  <section class="card fields" :aria-label="t('whatDue')">
    <h2>{{ t('whatDue') }}</h2>
    <p v-if="due.length === 0 && page.records.length === 0" class="soft">{{ t('nothingPastPeriod') }}</p>
    <ul v-if="due.length > 0" class="plain">
      <li v-for="each in due" :key="each.path">
        <span
          >{{ each.words }} <span class="soft">{{ t('ofBefore', { day: dayWords(each.before) }) }}</span></span
        >
        <span v-if="asking === each.path" class="choices">
          <Button danger :loading="busy" @click="erase(each.path, each.before)">{{ t('eraseGood', { words: each.words }) }}</Button>
          <Button @click="asking = ''">{{ t('keep') }}</Button>
        </span>
        <Button v-else @click="asking = each.path">{{ t('erase', { many: each.many }) }}</Button>
      </li>
    </ul>
    <template v-if="page.records.length > 0">
      <h3>{{ t('recordsLastVisitFirst') }}</h3>
      <ul class="plain" :aria-label="t('recordsDue')">
        <li v-for="record in page.records" :key="record.athleteId">
          <span>
            <strong>{{ record.name }}</strong> <span class="soft">{{ t('lastHere', { day: dayWords(record.lastOn) }) }}</span>
            <span v-if="record.keptUntil" class="soft">{{ t('lawKeepsPartUntil', { day: dayWords(record.keptUntil) }) }}</span>
          </span>
          <RouterLink :to="`/athlete/${record.athleteId}/file`">{{ t('exportErase', { name: record.name }) }}</RouterLink>
        </li>
      </ul>
      <p v-if="page.recordsInAll > page.records.length" class="soft">
        {{ t('moreAfterThese', { count: page.recordsInAll - page.records.length }) }}
      </p>
    </template>
    <ProblemNote v-if="problem" :problem="problem" />
    <p class="soft">{{ t('linesAuditNoPeriod') }}</p>
  </section>
</template>

<style scoped>
p,
h3 {
  margin: 0;
}

h3 {
  font-size: 15px;
}

strong {
  overflow-wrap: anywhere;
}

li {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: center;
  justify-content: space-between;
  padding: 8px 0;
  border-top: 1px solid var(--line-faint);
}
</style>
