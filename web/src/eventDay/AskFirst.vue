<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed } from 'vue';
import { limitWords, STOP_QUESTIONS, type ConsentArea } from '@pace-bend/core/caution';
import { areasOf, eventLimit, KIND_WORDS, type BoardRow } from '@pace-bend/core/eventDay';
import { protocolBlocks } from '@pace-bend/core/method';
import SheetDialog from '../parts/SheetDialog.vue';
import { useShelf } from '../stores/shelf.ts';
import { usePractice } from '../stores/practice.ts';
import CautionLine from './CautionLine.vue';
import { areaWords } from './words.ts';
import type { Records } from './useRecords.ts';
import { t } from '../words/eventDay.ts';

/** Before hands go on: what is on file, the stop questions and consent, answered by one tap when all is well. */
const props = defineProps<{ row: BoardRow; records: Records }>();
const emit = defineEmits<{ well: [consent: readonly ConsentArea[]]; notWell: []; unasked: []; close: [] }>();
const shelf = useShelf();
const practice = usePractice();
const wish = computed(() => props.row.state.wish);
const context = computed(() => props.records.contextOf(wish.value, {}));
const protocol = computed(() => props.records.protocolsFor(wish.value)[0] ?? null);
const limits = computed(() => limitWords(eventLimit(wish.value.kind, practice.practice?.phases ?? []).limits, '°'));
const areas = computed(() =>
  protocol.value
    ? areasOf(
        protocolBlocks(protocol.value, () => ''),
        shelf.shelf,
      )
    : [],
);
</script>

<template>
  <SheetDialog :open="true" :title="t('beforeHandsGo', { name: row.name })" :width="680" @update:open="emit('close')">
    <div class="ask">
      <p class="soft">{{ t('min', { what: KIND_WORDS[wish.kind], raceName: row.raceName, minutes: wish.minutes }) }}</p>
      <CautionLine :context="context" :limits="limits" :unread="records.isUnread(wish)" />
      <p v-if="protocol">
        <b>{{ protocol.name }}.</b> {{ protocol.what }}
      </p>
      <p v-else class="soft">{{ t('noSequenceShelfFits') }}</p>
      <ul class="plain questions" :aria-label="t('stopQuestions')">
        <li v-for="question in STOP_QUESTIONS" :key="question.id">{{ question.words }}</li>
      </ul>
      <p v-if="areas.length > 0">{{ t('handsDoTheyAgree', { area: areaWords(areas) }) }}</p>
      <div class="keys">
        <Button type="primary" size="large" @click="emit('well', areas)">{{
          areas.length > 0 ? t('noneTheseTheyAgree') : t('noneThese')
        }}</Button>
        <Button size="large" @click="emit('notWell')">{{ t('somethingIs') }}</Button>
        <Button size="large" @click="emit('unasked')">{{ t('tableAskLater') }}</Button>
      </div>
    </div>
  </SheetDialog>
</template>

<style scoped>
.ask {
  display: grid;
  gap: 12px;
  font-size: 16px;
}

p {
  margin: 0;
}

.questions {
  columns: 2;
  column-gap: 24px;
  font-size: 14px;
  line-height: 1.3;
}

.questions li {
  margin-bottom: 5px;
  break-inside: avoid;
}

.keys {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}

.keys :deep(.ant-btn) {
  min-height: 54px;
  font-size: 17px;
}
</style>
