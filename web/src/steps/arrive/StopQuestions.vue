<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed } from 'vue';
import { STOP_QUESTIONS, type QuestionId } from '@pace-bend/core/caution';
import { useAction } from '../../parts/useAction.ts';
import { usePractice } from '../../stores/practice.ts';
import { useVisit } from '../../stores/visit.ts';
import NotAsked from './NotAsked.vue';
import { t } from '../../words/arrive.ts';

/** Stop-and-refer questions, answered by exception: one key when all is well. Every set of answers is kept. */
const visit = useVisit();
const practice = usePractice();
const { busy, problem, run } = useAction();
/** The answers that stand: a word why nobody asked takes none back. */
const last = computed(() => visit.file!.answers.findLast((each) => each.notAsked === null) ?? null);
const given = (id: QuestionId) => last.value?.answers[id] ?? null;
const raised = computed(() => STOP_QUESTIONS.filter((question) => ['yes', 'unsure'].includes(given(question.id) ?? 'no')));
const aside = computed(() => visit.file!.answers.at(-1)?.notAsked ?? null);
const words = computed(() =>
  aside.value !== null
    ? t('setAside2')
    : last.value === null
      ? t('notAskedYet')
      : raised.value.length === 0
        ? t('noneThese')
        : t('raised', { count: raised.value.length }),
);

const keep = (answers: Partial<Record<QuestionId, 'yes' | 'unsure'>>) => (visit.finished ? undefined : run(() => visit.answer(answers)));

/** Sets one answer and leaves the others as they stand. */
function set(id: QuestionId, answer: 'yes' | 'unsure'): void {
  const standing = Object.fromEntries(
    STOP_QUESTIONS.map((question) => [question.id, given(question.id)]).filter(([, each]) => each === 'yes' || each === 'unsure'),
  ) as Partial<Record<QuestionId, 'yes' | 'unsure'>>;
  if (standing[id] === answer) delete standing[id];
  else standing[id] = answer;
  void keep(standing);
}

defineExpose({ allWell: () => keep({}) });
</script>

<template>
  <section class="card stop" :aria-label="t('stopAndRefer')">
    <header>
      <h2>{{ t('stopRefer') }}</h2>
      <span role="status" class="state" :class="{ raised: raised.length > 0, asked: last }">{{ words }}</span>
      <span v-if="last" class="soft small"
        >{{ practice.timeOfDay(last.at) }}, {{ last.by
        }}<template v-if="visit.file!.answers.length > 1"
          >{{ ' ' }}{{ t('askedTimesAllKept', { count: visit.file!.answers.length }) }}</template
        ></span
      >
      <Button v-if="!visit.finished" class="well" type="primary" :loading="busy" @click="keep({})"
        >{{ t('noneThese') }} <span class="key">{{ t('a') }}</span></Button
      >
    </header>
    <ul class="plain">
      <li v-for="question in STOP_QUESTIONS" :key="question.id" :class="{ on: ['yes', 'unsure'].includes(given(question.id) ?? 'no') }">
        <span :id="`q-${question.id}`">{{ question.words }}</span>
        <span class="choices" role="group" :aria-labelledby="`q-${question.id}`">
          <button
            type="button"
            class="choice care"
            :aria-pressed="given(question.id) === 'yes'"
            :disabled="visit.finished || busy"
            @click="set(question.id, 'yes')"
          >
            {{ t('yes') }}
          </button>
          <button
            type="button"
            class="choice care"
            :aria-pressed="given(question.id) === 'unsure'"
            :disabled="visit.finished || busy"
            @click="set(question.id, 'unsure')"
          >
            {{ t('notSure') }}
          </button>
        </span>
      </li>
    </ul>
    <p v-if="aside !== null" class="small">
      <span class="soft">{{ t('notAskedBecause3') }}</span> {{ aside }}
    </p>
    <NotAsked
      v-else-if="last === null && !visit.finished"
      :what="t('stopQuestions')"
      :busy="busy"
      @keep="(word) => run(() => visit.setQuestionsAside(word))"
    />
    <p v-if="problem" class="wrong" role="alert">{{ problem.message }}</p>
  </section>
</template>

<style scoped>
header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 14px;
}

.well {
  margin-left: auto;
}

.well .key {
  margin-left: 6px;
  border-color: transparent;
  background: rgb(255 255 255 / 18%);
  color: inherit;
}

.state {
  padding: 1px 9px;
  border-radius: 3px;
  background: var(--sun-soft);
  font-weight: 600;
}

.state.asked {
  background: var(--spruce-soft);
}

.state.raised {
  background: var(--clay-soft);
  color: var(--clay-text);
}

ul {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 24px;
  margin-top: 8px;
}

li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 10px;
  min-height: 42px;
  padding: 3px 0;
  border-top: 1px solid var(--line-faint);
  line-height: 1.3;
  font-size: 13.5px;
}

li.on {
  font-weight: 600;
}

.choices {
  flex: none;
  flex-wrap: nowrap;
}

.choice {
  min-height: 32px;
  padding: 2px 9px;
  font-size: 13px;
}

@container page (max-width: 812px) {
  ul {
    grid-template-columns: 1fr;
  }
}
</style>
