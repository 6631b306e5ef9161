<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed } from 'vue';
import { useRouter } from 'vue-router';
import { motionOf } from '@pace-bend/core/body';
import { RULES } from '@pace-bend/core/caution';
import { whatWasDone } from '@pace-bend/core/record';
import { foldRun } from '@pace-bend/core/table';
import FindingsCard from '../../findings/FindingsCard.vue';
import DayKept from './DayKept.vue';
import MeasureBoard from '../../measuring/MeasureBoard.vue';
import { useAction } from '../../parts/useAction.ts';
import ProblemNote from '../../parts/ProblemNote.vue';
import { useDay } from '../../stores/day.ts';
import { usePractice } from '../../stores/practice.ts';
import { useVisit } from '../../stores/visit.ts';
import DoneTable from './DoneTable.vue';
import HomeCard from '../../home/HomeCard.vue';
import ExpectedCard from './ExpectedCard.vue';
import NextTimeCard from './NextTimeCard.vue';
import NoteCard from './NoteCard.vue';
import VisitReportCard from './VisitReportCard.vue';
import { t } from '../../words/close.ts';

const visit = useVisit();
const practice = usePractice();
const day = useDay();
const router = useRouter();
const { busy, problem, run: attempt } = useAction();

const runs = computed(() =>
  visit
    .file!.runs.filter((run) => run.events.length > 0)
    .map((run) => ({
      id: run.id,
      rate: run.clockRate,
      at: run.startedAt,
      line: run.line,
      state: foldRun(
        run.line,
        run.events.map((each) => each.event),
      ),
    })),
);
/** What a caution that was set aside had said. */
const ruleWords = (ruleId: string) => RULES.find((rule) => rule.id === ruleId)?.reason ?? t('writtenLimit');

const end = (act: () => Promise<void>) =>
  attempt(async () => {
    await act();
    await day.load(day.page?.date);
  });
</script>

<template>
  <div class="close">
    <MeasureBoard moment="after">
      <template #below="{ findings }"
        ><ExpectedCard />
        <FindingsCard :findings="findings" />
        <NextTimeCard />
        <section class="card words">
          <ProblemNote v-if="problem" :problem="problem" />
          <Button v-if="!visit.finished" type="primary" size="large" block :disabled="busy" @click="end(visit.finish)">{{
            t('finishVisit')
          }}</Button>
          <template v-else>
            <p class="soft">{{ t('finished', { timeOfDay: practice.timeOfDay(visit.file!.visit.finishedAt!) }) }}</p>
            <div class="two">
              <Button :disabled="busy" @click="end(visit.reopen)">{{ t('reopen') }}</Button>
              <Button type="primary" @click="router.push('/')">{{ t('theDay') }}</Button>
            </div>
          </template>
        </section></template
      >
    </MeasureBoard>

    <NoteCard v-if="visit.file!.note !== null" />
    <HomeCard />
    <DayKept />
    <section class="card" :aria-label="t('whatDone')">
      <h2>{{ t('whatDone') }}</h2>
      <ul v-if="visit.file!.overrides.length > 0" class="plain aside" :aria-label="t('cautionsSetAside')">
        <li v-for="each in visit.file!.overrides" :key="each.id">
          <span class="level avoid">{{ t('setAside') }}</span> {{ motionOf(each.motionId).name
          }}{{ each.side === 'midline' ? '' : `, ${each.side}` }}: “{{ each.reason }}”
          <span class="soft small">{{ each.by }}, {{ practice.timeOfDay(each.at) }}; {{ ruleWords(each.ruleId) }}</span>
        </li>
      </ul>
      <p v-if="runs.length === 0" class="soft">
        {{ t('nothingRunTable') }} <RouterLink v-if="!visit.finished" :to="`/visit/${visit.id}/table`">{{ t('goTable') }}</RouterLink>
      </p>
      <template v-for="(run, i) in runs" :key="run.id">
        <p v-if="runs.length > 1 || run.rate > 1" class="soft small">
          {{ t('run', { what: i + 1, timeOfDay: practice.timeOfDay(run.at) })
          }}<template v-if="run.rate > 1">{{ t('walkedThroughNotTreatment', { rate: run.rate }) }}</template>
        </p>
        <DoneTable :sides="whatWasDone(run.line, run.state)" :line="run.line" />
      </template>
    </section>
    <VisitReportCard />
  </div>
</template>

<style scoped>
.close {
  display: grid;
  gap: 16px;
}

.aside {
  display: grid;
  gap: 4px;
  margin: 8px 0;
}

.words {
  display: grid;
  gap: 10px;
}

.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
}
</style>
