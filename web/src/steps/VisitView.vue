<script setup lang="ts">
import { computed, defineAsyncComponent, onBeforeUnmount, onMounted, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { STEPS, type Step } from '@pace-bend/core/record';
import { isTyping } from '../parts/useGlobalKeys.ts';
import ProblemNote from '../parts/ProblemNote.vue';
import { usePractice } from '../stores/practice.ts';
import { useShelf } from '../stores/shelf.ts';
import { useVisit } from '../stores/visit.ts';
import ArriveStep from './arrive/ArriveStep.vue';
import StopNotice from './referral/StopNotice.vue';
import VisitHeader from './VisitHeader.vue';
import { isKey } from '../parts/keys.ts';
import { t } from '../words/steps.ts';

const MeasureStep = defineAsyncComponent(() => import('./measure/MeasureStep.vue'));
const PlanStep = defineAsyncComponent(() => import('./plan/PlanStep.vue'));
const CloseStep = defineAsyncComponent(() => import('./close/CloseStep.vue'));

const route = useRoute();
const router = useRouter();
const visit = useVisit();
const practice = usePractice();
const store = useShelf();
const id = computed(() => String(route.params.id));
const step = computed(() => String(route.params.step) as Step);
const view = computed(
  () => ({ arrive: ArriveStep, measure: MeasureStep, plan: PlanStep, close: CloseStep, table: ArriveStep })[step.value],
);

/** Only arriving and looking back are left when something says stop. */
const isStopped = computed(() => visit.stops.length > 0 && !visit.finished && step.value !== 'arrive');

async function open(): Promise<void> {
  const wanted = id.value;
  await Promise.all([practice.load().catch(() => undefined), store.load().catch(() => undefined)]);
  // Gone elsewhere meanwhile.
  if (id.value !== wanted) return;
  if (visit.id !== id.value) await visit.load(id.value);
  if (visit.id === id.value) void visit.rememberStep(step.value);
}
watch([id, step], () => void open(), { immediate: true });
/** Whatever is found, at whatever step: one key to the referral. */
function onKey(event: KeyboardEvent): void {
  const next = STEPS[STEPS.indexOf(step.value) + 1];
  if (isKey(event, 'nextStep') && next && !isStopped.value) {
    event.preventDefault();
    void router.push(`/visit/${id.value}/${next}`);
    return;
  }
  if (!isKey(event, 'refer') || isTyping(event) || visit.finished) return;
  event.preventDefault();
  void router.push(`/visit/${id.value}/letter`);
}
onMounted(() => window.addEventListener('keydown', onKey));
onBeforeUnmount(() => {
  window.removeEventListener('keydown', onKey);
  void visit.flush();
});
</script>

<template>
  <div v-if="visit.file && visit.id === id" class="visit">
    <VisitHeader :step="step" />
    <div class="content">
      <p v-if="visit.file.visit.cancelledAt" class="cancelled" role="status">
        {{ t('visitCancelledCanPut') }}
      </p>
      <StopNotice v-if="isStopped" />
      <component :is="view" v-else :key="`${id}/${step}/${visit.generation}`" />
    </div>
  </div>
  <div v-else class="content wait">
    <ProblemNote v-if="visit.problem" :problem="visit.problem" :retry="open"
      ><RouterLink to="/">{{ t('backDay') }}</RouterLink></ProblemNote
    >
    <p v-else class="soft">{{ t('openingVisit') }}</p>
  </div>
</template>

<style scoped>
.content {
  padding: 0 26px 26px;
}

.cancelled {
  margin-bottom: 12px;
  padding: 9px 14px;
  border-left: 4px solid var(--slate);
  background: var(--slate-soft);
  color: var(--slate-text);
}

.wait {
  padding-top: 32px;
}

@container page (max-width: 640px) {
  .content {
    padding: 0 12px 20px;
  }
}
</style>
