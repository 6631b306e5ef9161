<script setup lang="ts">
import { MARK_NAMES, MARK_WORDS, markSample } from '@pace-bend/core/figure';
import FigureDrawing from './FigureDrawing.vue';
import SheetDialog from './SheetDialog.vue';
import { t } from '../words/parts.ts';

/** Every mark of the figures with its one meaning. */
const open = defineModel<boolean>('open', { required: true });
const marks = MARK_NAMES.map((name) => ({ name, words: MARK_WORDS[name], drawing: markSample(name, 72) }));
</script>

<template>
  <SheetDialog v-model:open="open" :title="t('whatMarksMean')" :width="680">
    <ul>
      <li v-for="mark in marks" :key="mark.name">
        <FigureDrawing :drawing="mark.drawing" :size="52" /><span>{{ mark.words }}</span>
      </li>
    </ul>
    <p class="soft">
      {{ t('fullGreenWhatWorked') }}
    </p>
  </SheetDialog>
</template>

<style scoped>
ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(280px, 100%), 1fr));
  gap: 4px 18px;
  margin: 0 0 12px;
  padding: 0;
  list-style: none;
}

li {
  display: flex;
  align-items: center;
  gap: 12px;
}

p {
  margin: 0;
}
</style>
