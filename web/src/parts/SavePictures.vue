<script setup lang="ts">
import { computed, ref } from 'vue';
import { usePractice } from '../stores/practice.ts';
import { savePng, saveSvg } from './savePicture.ts';
import { dayInWords } from './typedDays.ts';
import { t } from '../words/parts.ts';

/** Hands a drawing over as a file: lines that stay sharp, or a picture. */
const props = defineProps<{
  /** What it is, for labels: "the stair". */
  what: string;
  /** Of the file, without its ending. */
  name: string;
  /** Stands above it. */
  title: string;
  /** What it is drawn from, where that is not said by the title. */
  from?: string;
  svg: () => SVGSVGElement | null;
}>();
const practice = usePractice();
const unsaved = ref('');
const caption = computed(() => ({
  title: props.title,
  source: [props.from, t('drawnPaceBend', { what: practice.practice?.name ?? '', dayIn: dayInWords(practice.today) })]
    .filter(Boolean)
    .join(' '),
}));

async function save(as: 'svg' | 'png'): Promise<void> {
  const svg = props.svg();
  if (!svg) return;
  const name = props.name.replace(/[^\p{L}\p{N} ,-]/gu, '');
  unsaved.value = '';
  try {
    if (as === 'svg') saveSvg(svg, name, caption.value);
    else await savePng(svg, name, caption.value);
  } catch (error) {
    unsaved.value = t('pictureCouldNotMade', { what: error instanceof Error ? error.message : String(error) });
  }
}
</script>

<template>
  <span class="save small no-print">
    <button type="button" class="link" @click="save('svg')">
      {{ t('saveSvg') }}<span class="sr-only">{{ ' ' }}{{ t('of', { what }) }}</span>
    </button>
    <button type="button" class="link" @click="save('png')">
      {{ t('savePng') }}<span class="sr-only">{{ ' ' }}{{ t('of', { what }) }}</span>
    </button>
    <span v-if="unsaved" class="wrong" role="alert">{{ unsaved }}</span>
  </span>
</template>

<style scoped>
.save {
  display: inline-flex;
  gap: 12px;
}

@media (pointer: coarse) {
  .link {
    min-height: 44px;
  }
}
</style>
