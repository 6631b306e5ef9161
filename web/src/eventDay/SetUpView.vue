<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed, onMounted, ref } from 'vue';
import { useRoute } from 'vue-router';
import ProblemNote from '../parts/ProblemNote.vue';
import TabSet from '../parts/TabSet.vue';
import { dayInWords } from '../parts/typedDays.ts';
import { usePractice } from '../stores/practice.ts';
import { useShelf } from '../stores/shelf.ts';
import OfferCard from './OfferCard.vue';
import StartListCard from './StartListCard.vue';
import TablesCard from './TablesCard.vue';
import { useSetUp } from './useSetUp.ts';
import { t } from '../words/eventDay.ts';

/** What has to be known of a day before it begins: who starts when and wants what, who stands at which table, and what is offered. */
const route = useRoute();
const practice = usePractice();
const shelf = useShelf();
const id = String(route.params.id);
const day = useSetUp(id);
const { file, setUp, problem, readProblem, saving, isSaved, faults, done, undone } = day;
const tab = ref('list');
const tabs = [
  { id: 'list', label: t('startList') },
  { id: 'tables', label: t('tables') },
  { id: 'offer', label: t('dayOffer') },
];
onMounted(async () => {
  await Promise.all([practice.load(), shelf.load().catch(() => undefined)]);
  await day.load();
});
const savedWords = computed(() => {
  if (saving.value) return t('saving');
  if (isSaved.value) return t('saved');
  return faults.value.length > 0 ? t('notSavedSomethingNot') : t('notSaved');
});
</script>

<template>
  <div class="page set-up">
    <ProblemNote v-if="readProblem" :problem="readProblem"
      ><Button @click="day.load()">{{ t('tryAgain') }}</Button></ProblemNote
    >
    <p v-else-if="!setUp || !file" class="soft">{{ t('openingDay') }}</p>
    <template v-else>
      <header>
        <h1>{{ setUp.title }}</h1>
        <span class="soft">{{ dayInWords(setUp.onDate) }}</span>
        <span class="end state" role="status" :class="{ wrong: !isSaved && !saving }">{{ savedWords }}</span>
        <Button :disabled="done.length === 0" @click="day.undo()">{{ t('undo') }}</Button>
        <Button :disabled="undone.length === 0" @click="day.redo()">{{ t('redo') }}</Button>
        <RouterLink class="to-board" :to="`/event-day/${id}`">{{ t('openBoard') }}</RouterLink>
      </header>
      <ProblemNote v-if="problem" :problem="problem"
        ><Button @click="problem.isStale ? day.load() : day.write()">{{
          problem.isStale ? t('openNow') : t('saveAgain')
        }}</Button></ProblemNote
      >
      <ul v-if="faults.length > 0" class="plain faults" role="alert">
        <li v-for="fault in faults" :key="fault.path" class="wrong">{{ fault.message }}</li>
      </ul>
      <TabSet v-model:active="tab" :tabs="tabs" :label="t('whatIsSetUp')" keep>
        <template #list>
          <StartListCard :set-up="setUp" :therapists="file.therapists" @change="day.change" />
        </template>
        <template #tables>
          <TablesCard :set-up="setUp" :therapists="file.therapists" :fault-at="day.faultAt" @change="day.change" />
        </template>
        <template #offer>
          <OfferCard :set-up="setUp" :fault-at="day.faultAt" @change="day.change" />
        </template>
      </TabSet>
    </template>
  </div>
</template>

<style scoped>
.page > header {
  flex-wrap: wrap;
}

.set-up :deep(.ant-tabs),
.set-up :deep(.ant-tabs-content-holder),
.set-up :deep(.ant-tabs-tabpane) {
  min-width: 0;
}

.set-up :deep(.ant-tabs-tab-btn) {
  padding: 0 6px;
  font-size: 16px;
}

.to-board {
  font-weight: 600;
}

.faults {
  margin-bottom: 10px;
}
</style>
