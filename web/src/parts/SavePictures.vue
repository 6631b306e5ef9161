<script setup lang="ts">
import { ref } from 'vue';
import { savePng, saveSvg } from './savePicture.ts';

/** Hands a drawing over as a file: lines that stay sharp, or a picture. */
const props = defineProps<{
  /** What it is, for labels: "the stair". */
  what: string;
  /** Of the file, without its ending. */
  name: string;
  svg: () => SVGSVGElement | null;
}>();
const unsaved = ref('');

async function save(as: 'svg' | 'png'): Promise<void> {
  const svg = props.svg();
  if (!svg) return;
  const name = props.name.replace(/[^\p{L}\p{N} ,-]/gu, '');
  unsaved.value = '';
  try {
    if (as === 'svg') saveSvg(svg, name);
    else await savePng(svg, name);
  } catch (error) {
    unsaved.value = `The picture could not be made: ${error instanceof Error ? error.message : String(error)}`;
  }
}
</script>

<template>
  <span class="save small no-print">
    <button type="button" class="link" @click="save('svg')">
      Save SVG<span class="sr-only"> of {{ what }}</span>
    </button>
    <button type="button" class="link" @click="save('png')">
      Save PNG<span class="sr-only"> of {{ what }}</span>
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
