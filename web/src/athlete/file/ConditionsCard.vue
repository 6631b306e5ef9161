<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed, ref } from 'vue';
import { conditionFacts, conditionWords } from '@pace-bend/core/caution';
import type { AthleteFile, Condition } from '@pace-bend/core/record';
import { useAction } from '../../parts/useAction.ts';
import { useAthlete } from '../../stores/athlete.ts';
import { usePractice } from '../../stores/practice.ts';
import ConditionForm from './ConditionForm.vue';
import { t } from '../../words/athlete.ts';

/** What has to be known before hands go on. What is over stays: some of it counts for good. */
const props = defineProps<{ file: AthleteFile; readOnly: boolean }>();
const store = useAthlete();
const practice = usePractice();
/** The one being written: a condition, or 'new'. */
const writing = ref<Condition | 'new' | null>(null);
const { busy, problem, run } = useAction();
const sorted = computed(() => [...props.file.conditions].sort((a, b) => Number(a.resolvedOn !== null) - Number(b.resolvedOn !== null)));
</script>

<template>
  <section class="card fields" :aria-label="t('conditions')">
    <header>
      <h2>{{ t('conditions') }}</h2>
      <Button v-if="!readOnly && writing === null" type="primary" @click="writing = 'new'">{{ t('addCondition') }}</Button>
    </header>
    <p class="history small">
      <span v-if="file.athlete.historyOn"
        ><span class="soft">{{ t('historyTaken') }}</span> {{ practice.shortDate(`${file.athlete.historyOn}T12:00:00Z`) }}</span
      >
      <span v-else class="care">{{ t('historyNotTakenYet') }}</span>
      <button
        v-if="!readOnly && file.athlete.historyOn !== practice.today"
        type="button"
        class="link small"
        @click="store.set({ historyOn: practice.today })"
      >
        {{ t('takenToday') }}
      </button>
    </p>
    <p v-if="sorted.length === 0 && writing === null" class="soft">
      {{ t('nothingFileOperationsInjuries') }}
    </p>
    <p v-if="problem" class="wrong" role="alert">{{ problem.message }}</p>
    <ConditionForm v-if="writing === 'new'" :condition="null" @done="writing = null" />
    <ul class="plain">
      <li v-for="condition in sorted" :key="condition.id">
        <ConditionForm v-if="typeof writing === 'object' && writing?.id === condition.id" :condition="condition" @done="writing = null" />
        <template v-else>
          <div>
            <p>
              <b>{{ conditionWords(condition, practice.today) }}</b>
            </p>
            <p class="soft small">
              {{
                conditionFacts(condition.code).surgery
                  ? condition.surgeryOn
                    ? t('operated', { surgeryOn: condition.surgeryOn })
                    : t('dateNotKnown')
                  : condition.onset
                    ? t('since3', { onset: condition.onset })
                    : t('onsetNotKnown')
              }}<template v-if="condition.resolvedOn">{{ ' ' }}{{ t('overSince2', { resolvedOn: condition.resolvedOn }) }}</template
              ><template v-if="condition.words"> · {{ condition.words }}</template>
            </p>
            <p v-if="condition.clearance" class="small">
              <span class="soft">{{ t('clearedBy') }}</span> {{ condition.clearance.by }}, {{ condition.clearance.on
              }}<template v-if="condition.clearance.text">: “{{ condition.clearance.text }}”</template>
            </p>
            <p v-else-if="conditionFacts(condition.code).surgery" class="small care">{{ t('noClearanceFile') }}</p>
          </div>
          <span v-if="!readOnly" class="choices"
            ><button
              type="button"
              class="link small"
              :aria-label="t('change2', { condition: conditionWords(condition, practice.today) })"
              @click="writing = condition"
            >
              {{ t('change') }}</button
            ><button
              type="button"
              class="link small"
              :aria-label="t('enteredByMistake', { condition: conditionWords(condition, practice.today) })"
              :disabled="busy"
              @click="run(() => store.withdrawCondition(condition))"
            >
              {{ t('enteredMistake') }}
            </button></span
          >
        </template>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.history {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
}

header {
  display: flex;
  align-items: center;
  justify-content: space-between;
}

li {
  display: flex;
  flex-wrap: wrap;
  align-items: flex-start;
  justify-content: space-between;
  gap: 4px 16px;
  padding: 9px 0;
  border-top: 1px solid var(--line-faint);
}

li > :first-child {
  flex: 1 1 320px;
}

.care {
  color: var(--clay-text);
}
</style>
