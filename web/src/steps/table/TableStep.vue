<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import { limitedBlock } from '@pace-bend/core/caution';
import ProblemNote from '../../parts/ProblemNote.vue';
import { usePractice } from '../../stores/practice.ts';
import { useShelf } from '../../stores/shelf.ts';
import { useVisit } from '../../stores/visit.ts';
import OpenQuestions from '../../cautions/OpenQuestions.vue';
import StopNotice from '../referral/StopNotice.vue';
import { isForbidden } from '../plan/planFacts.ts';
import TableRun from './TableRun.vue';
import { t } from '../../words/table.ts';

/** The table's screen: loads the visit, then runs. */
const route = useRoute();
const visit = useVisit();
const practice = usePractice();
const store = useShelf();
const id = computed(() => String(route.params.id));
/** The visit whose plan is ready to be run. */
const opened = ref('');
const rate = computed(() => Number(route.query.rate) || 1);

async function open(): Promise<void> {
  const wanted = id.value;
  await Promise.all([practice.load().catch(() => undefined), store.load().catch(() => undefined)]);
  // Gone elsewhere meanwhile.
  if (id.value !== wanted) return;
  if (visit.id !== id.value) await visit.load(id.value);
  writeLimits();
  await visit.flush();
  opened.value = id.value;
  if (visit.id === id.value) void visit.rememberStep('table');
}
/** Limits that came up since the plan was made go into it before it is run. */
function writeLimits(): void {
  const [file, context] = [visit.file, visit.cautionContext];
  if (visit.id !== id.value || !file || !context || visit.finished || forbidden.value.length > 0) return;
  const limited = file.plan.blocks.map((block) => limitedBlock(block, context, store.shelf));
  if (JSON.stringify(limited) !== JSON.stringify(file.plan.blocks)) visit.setBlocks(limited);
}

/** Blocks that cautions forbid; a visit that is over is only looked at. */
const forbidden = computed(() =>
  visit.file && visit.cautionContext && !visit.finished
    ? visit.file.plan.blocks.filter((block) => isForbidden(visit.file!, visit.cautionContext!, block, store.shelf))
    : [],
);
/** A run that has begun goes on; a new one waits until what has to be asked was. */
const isUnasked = computed(() => visit.toAsk.length > 0 && visit.file!.runs.length === 0);
const isStopped = computed(() => visit.stops.length > 0 && !visit.finished);

watch(id, () => void open(), { immediate: true });
</script>

<template>
  <main v-if="visit.file && visit.id === id && (isStopped || forbidden.length > 0 || isUnasked)" class="wait">
    <StopNotice v-if="isStopped" />
    <template v-else-if="isUnasked">
      <h1>{{ t('askFirst2') }}</h1>
      <p>{{ t('beforeHandsGoStop') }}</p>
      <OpenQuestions />
    </template>
    <template v-else>
      <h1>{{ t('notPlanned') }}</h1>
      <p>
        {{ t('cautionsForbidPlanSays', { forbidden: forbidden.map((block) => store.entryOf(block.entryId).name).join(', ') }) }}
      </p>
      <RouterLink :to="`/visit/${id}/plan`">{{ t('toThePlan') }}</RouterLink>
    </template>
  </main>
  <TableRun v-else-if="visit.file && visit.id === id && opened === id" :key="id" :rate="rate" />
  <main v-else class="wait">
    <ProblemNote v-if="visit.problem" :problem="visit.problem" :retry="open"
      ><RouterLink to="/">{{ t('backDay') }}</RouterLink></ProblemNote
    >
    <p v-else>{{ t('openingTable') }}</p>
  </main>
</template>

<style scoped>
.wait {
  display: grid;
  gap: 12px;
  align-content: start;
  justify-items: start;
  min-height: 100%;
  padding: 32px;
}
</style>
