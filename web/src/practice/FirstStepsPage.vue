<script setup lang="ts">
import CheckOutlined from '@ant-design/icons-vue/CheckOutlined';
import Button from 'ant-design-vue/es/button';
import Progress from 'ant-design-vue/es/progress';
import Timeline, { TimelineItem } from 'ant-design-vue/es/timeline';
import { computed, defineAsyncComponent, onMounted, ref } from 'vue';
import { useRouter } from 'vue-router';
import { FIRST_STEPS, type FirstStepState } from '@pace-bend/core/record';
import { FIRST_STEP_WORDS } from '../parts/firstStepWords.ts';
import ProblemNote from '../parts/ProblemNote.vue';
import SheetDialog from '../parts/SheetDialog.vue';
import { useAction } from '../parts/useAction.ts';
import { useDay } from '../stores/day.ts';
import { useFirstSteps } from '../stores/firstSteps.ts';
import { usePractice } from '../stores/practice.ts';
import { t } from '../words/practice.ts';

const EventDialog = defineAsyncComponent(() => import('../events/EventDialog.vue'));

/** From an empty practice to the first visit: what to set up, in what order, and how far it is. */
const router = useRouter();
const steps = useFirstSteps();
const practice = usePractice();
const day = useDay();
const { busy, problem, run } = useAction();
const load = () => run(() => steps.load());
onMounted(load);

const STATE_WORDS: Readonly<Record<FirstStepState, string>> = { done: t('done'), skipped: t('setAside'), next: t('next'), open: '' };
const percent = computed(() => Math.round((100 * (steps.progress?.done ?? 0)) / FIRST_STEPS.length));
const addingEvent = ref(false);
const removing = ref(false);
const adding = useAction();

/** The rail shows today: samples have visits there. */
async function withDay(work: () => Promise<void>): Promise<void> {
  await work();
  await day.load();
}
async function remove(): Promise<void> {
  if (await adding.run(() => withDay(() => steps.removeSamples()))) removing.value = false;
}
</script>

<template>
  <div class="columns">
    <ProblemNote v-if="problem" :problem="problem" :retry="steps.page ? undefined : load" />
    <section v-if="steps.page && steps.progress" class="card" :aria-label="t('firstSteps')">
      <h2>{{ t('firstSteps') }}</h2>
      <p class="soft">
        {{ steps.progress.complete ? t('nothingOpenHereAny') : t('orderEachStepBuilds') }}
      </p>
      <div class="far">
        <Progress :percent="percent" :show-info="false" size="small" :aria-label="t('firstStepsDone')" />
        <span class="num">{{ t('ofDone', { done: steps.progress.done, count: FIRST_STEPS.length }) }}</span>
      </div>
      <Timeline class="path">
        <TimelineItem v-for="({ id, state }, i) in steps.progress.steps" :key="id">
          <template #dot
            ><span class="dot num" :class="state" aria-hidden="true"
              ><CheckOutlined v-if="state === 'done'" /><template v-else>{{ i + 1 }}</template></span
            ></template
          >
          <h3>
            {{ FIRST_STEP_WORDS[id].title }}
            <span v-if="STATE_WORDS[state]" class="state" :class="state">{{ STATE_WORDS[state] }}</span>
          </h3>
          <p>{{ FIRST_STEP_WORDS[id].what }}</p>
          <div class="choices">
            <Button
              v-for="(way, w) in FIRST_STEP_WORDS[id].ways"
              :key="way.label"
              :type="state === 'next' && w === 0 ? 'primary' : 'default'"
              :href="way.to"
              @click.prevent="router.push(way.to)"
              >{{ way.label }}</Button
            >
            <Button v-if="id === 'events'" :type="state === 'next' ? 'primary' : 'default'" @click="addingEvent = true">{{
              t('addEvent')
            }}</Button>
            <button
              v-if="state === 'next' || state === 'open'"
              type="button"
              class="link"
              :aria-label="t('setAside2', { title: FIRST_STEP_WORDS[id].title })"
              :disabled="busy"
              @click="run(() => steps.setAside(id))"
            >
              {{ t('setAside') }}
            </button>
            <button
              v-else-if="state === 'skipped'"
              type="button"
              class="link"
              :aria-label="t('takeUpAgain2', { title: FIRST_STEP_WORDS[id].title })"
              :disabled="busy"
              @click="run(() => steps.takeUp(id))"
            >
              {{ t('takeUpAgain') }}
            </button>
          </div>
        </TimelineItem>
      </Timeline>
      <div v-if="!steps.progress.complete" class="choices">
        <Button v-if="steps.page.left" :loading="busy" @click="run(() => steps.goOn())">{{ t('remindMeEveryPage') }}</Button>
        <Button v-else :loading="busy" @click="run(() => steps.putAway())">{{ t('stopRemindingMe') }}</Button>
      </div>
    </section>

    <section v-if="steps.page" class="card samples" :aria-label="t('sampleAthletes')">
      <h2>{{ t('lookAroundFirst') }}</h2>
      <template v-if="steps.page.sampleAthletes === 0">
        <p>
          {{ t('addMadeUpRowing') }}
        </p>
        <Button :loading="adding.busy.value" @click="adding.run(() => withDay(() => steps.addSamples()))">{{
          t('addSampleAthletes')
        }}</Button>
        <p v-if="adding.busy.value" class="soft small" role="status">{{ t('writingTwelveWeeksVisits') }}</p>
      </template>
      <template v-else>
        <p>
          {{ t('sampleAthletesHereTheir', { sampleAthletes: steps.page.sampleAthletes }) }}
          <RouterLink to="/">{{ t('openDay') }}</RouterLink>
        </p>
        <Button danger @click="removing = true">{{ t('removeAllSamples') }}</Button>
      </template>
      <ProblemNote v-if="adding.problem.value" :problem="adding.problem.value" />
    </section>

    <SheetDialog v-if="removing" v-model:open="removing" :title="t('removeAllSamples2')" :width="460">
      <p>
        {{ t('sampleAthletesGoTheir', { sampleAthletes: steps.page!.sampleAthletes }) }}
      </p>
      <div class="choices">
        <Button type="primary" danger :loading="adding.busy.value" @click="remove">{{ t('removeThem') }}</Button>
        <Button @click="removing = false">{{ t('keepThem') }}</Button>
      </div>
    </SheetDialog>
    <EventDialog v-if="addingEvent" :open="true" :event="null" :day="practice.today" @update:open="addingEvent = false" @saved="load()" />
  </div>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 300px;
  gap: 16px;
  align-items: start;
}

.far {
  display: flex;
  align-items: center;
  gap: 14px;
  margin: 12px 0 18px;
}

.far .num {
  flex: none;
}

.path :deep(.ant-timeline-item-tail) {
  border-color: var(--line);
}

/* As large as a number in it needs. */
.path :deep(.ant-timeline-item-head-custom) {
  padding: 0;
  background: none;
}

.path :deep(.ant-timeline-item-content) {
  margin-left: 38px;
  min-height: 0;
  font-size: inherit;
}

.dot {
  display: grid;
  place-items: center;
  width: 30px;
  height: 30px;
  border: 1.5px solid var(--line);
  border-radius: 50%;
  background: var(--paper);
  color: var(--soft);
  font-size: 15px;
}

.dot.done,
.dot.next {
  border-color: var(--spruce);
  color: var(--spruce);
}

.dot.next {
  background: var(--spruce);
  color: var(--paper);
}

.path .choices {
  align-items: center;
  gap: 8px 12px;
}

.path p {
  max-width: 62ch;
  margin-bottom: 8px;
}

h3 {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 2px 10px;
  margin-bottom: 4px;
  font: 600 17px var(--words);
}

.state {
  padding: 0 8px;
  border-radius: 3px;
  background: var(--raised);
  color: var(--soft);
  font: 400 13px var(--words);
}

.state.done {
  background: var(--spruce-soft);
  color: var(--ink);
}

.state.next {
  background: var(--sun-soft);
  color: var(--ink);
}

.samples {
  display: grid;
  justify-items: start;
  gap: 12px;
}

@container page (max-width: 812px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
