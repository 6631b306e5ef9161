<script setup lang="ts">
import type { Side } from '@pace-bend/core/body';
import type { MotionComparison } from '@pace-bend/core/record';
import { INSTRUMENT_WORDS } from '../parts/words.ts';
import PosedFigure from '../parts/PosedFigure.vue';
import SheetDialog from '../parts/SheetDialog.vue';
import { hintOf } from '../parts/keys.ts';
import { useLegend } from '../stores/legend.ts';
import { t } from '../words/measuring.ts';

/** The test position as large as the screen allows: where it is read, what is held, what must not follow. */
defineProps<{
  row: MotionComparison;
  values: Partial<Record<Side, number | null>>;
  short: readonly Side[];
  asked?: Partial<Record<Side, number>>;
}>();
const legend = useLegend();
const open = defineModel<boolean>('open', { required: true });
</script>

<template>
  <SheetDialog v-model:open="open" :title="`${row.motion.name}, ${row.motion.testPosition}`" :width="900" :top="20">
    <PosedFigure :motion="row.motion" :values="values" :short="short" :bands="row.bands" :asked="asked ?? {}" :size="480" :shape="1.75" />
    <dl>
      <dt>{{ t('landmarks') }}</dt>
      <dd>{{ row.motion.landmarks }}</dd>
      <dt>{{ t('block') }}</dt>
      <dd>{{ row.motion.block }}</dd>
      <dt>{{ t('lengthens') }}</dt>
      <dd>{{ row.motion.lengthens.join(', ') }}</dd>
      <dt>{{ t('readWith') }}</dt>
      <dd>{{ row.motion.instruments.map((each) => INSTRUMENT_WORDS[each].toLowerCase()).join(' or ') }}, {{ row.motion.mode }}</dd>
    </dl>
    <p class="small soft">
      {{ t('filledHandMovesOne') }}<template v-if="asked && Object.keys(asked).length > 0">{{ t('diamondWhatSportAsks') }}</template
      >.
      <button type="button" class="link" @click="legend.isOpen = true">
        {{ t('whatMarksMean') }} <kbd>{{ hintOf('legend') }}</kbd>
      </button>
    </p>
  </SheetDialog>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: 96px 1fr;
  gap: 3px 14px;
  margin: 10px 0 6px;
}

dt {
  color: var(--soft);
}

dd {
  margin: 0;
}

p {
  margin: 0;
}
</style>
