<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed } from 'vue';
import { doseLine } from '@pace-bend/core/home';
import { HOME_DONE, type HomeDone } from '@pace-bend/core/record';
import ChoiceRow from '../parts/ChoiceRow.vue';
import { usePractice } from '../stores/practice.ts';
import { useVisit } from '../stores/visit.ts';
import { t } from '../words/home.ts';

/** What went home last time: did they do it? One answer an exercise; none is given for anybody. */
const visit = useVisit();
const practice = usePractice();
const sheet = computed(() => visit.file!.lastHome!);
const answers = computed(() => {
  const given = visit.file!.homeAnswers;
  return given?.sheetOf === sheet.value.visitId ? given.answers : {};
});
const OPTIONS = HOME_DONE.map(({ id, words }) => ({ value: id, label: words }));
function answer(id: string, done: HomeDone | null): void {
  const { [id]: _before, ...rest } = answers.value;
  visit.answerHome({ sheetOf: sheet.value.visitId, answers: done === null ? rest : { ...rest, [id]: done } });
}
function all(done: HomeDone): void {
  visit.answerHome({
    sheetOf: sheet.value.visitId,
    answers: Object.fromEntries(sheet.value.items.map(({ id }) => [id, answers.value[id] ?? done])),
  });
}
const open = computed(() => sheet.value.items.filter(({ id }) => answers.value[id] === undefined).length);
</script>

<template>
  <section class="card asked" :aria-label="t('homeWorkSinceLast')">
    <header>
      <h2>{{ t('didTheyDoHome') }}</h2>
      <span class="soft small">{{
        t('given', { shortDate: practice.shortDate(sheet.startsAt), what: open === 0 ? '' : t('stillAsk', { open }) })
      }}</span>
    </header>
    <ul class="plain list">
      <li v-for="item in sheet.items" :key="item.id" :data-item="item.entryId">
        <span
          ><b>{{ item.name }}</b> <span class="soft small">{{ doseLine(item) }}</span></span
        >
        <ChoiceRow
          :options="OPTIONS"
          :value="answers[item.id] ?? null"
          :label="t('doneHome', { name: item.name })"
          :disabled="visit.finished"
          @change="(done) => answer(item.id, done)"
        />
      </li>
    </ul>
    <div v-if="!visit.finished && open > 1" class="choices">
      <Button size="small" @click="all('every')">{{ t('allEveryDay') }}</Button>
      <Button size="small" @click="all('none')">{{ t('noneOfIt') }}</Button>
    </div>
  </section>
</template>

<style scoped>
.asked {
  display: grid;
  gap: 8px;
}

header {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 12px;
}

.list {
  display: grid;
  gap: 10px;
}

li {
  display: grid;
  gap: 4px;
}

@media (pointer: coarse) {
  li :deep(button) {
    min-height: 44px;
  }
}
</style>
