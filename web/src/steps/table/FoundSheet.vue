<script setup lang="ts">
import { computed } from 'vue';
import { entryScene } from '@pace-bend/core/catalogue';
import type { RegionId } from '@pace-bend/core/figure';
import { pointSubject } from '@pace-bend/core/finding';
import PointFinder from '../../findings/PointFinder.vue';
import { useFindings } from '../../findings/useFindings.ts';
import SheetDialog from '../../parts/SheetDialog.vue';
import { useShelf } from '../../stores/shelf.ts';
import { useVisit } from '../../stores/visit.ts';
import type { TableHandle } from './useRun.ts';
import { t } from '../../words/table.ts';

/** A point that the hand found while it worked: the muscle of the block is chosen already. */
const props = defineProps<{ run: TableHandle }>();
const open = defineModel<boolean>('open', { required: true });
const visit = useVisit();
const store = useShelf();
const findings = useFindings();

/** A muscle of the side that is worked on. */
const isRegion = (id: string): id is RegionId => !id.startsWith('other.');
const at = computed(() => {
  const cue = props.run.view.value!.cue;
  const block = props.run.line.value!.blocks[cue.blockIndex]!;
  const [muscle] = (entryScene(store.entryOf(block.entryId), block.position)?.muscles ?? []).filter(isRegion);
  return muscle === undefined
    ? null
    : { subject: pointSubject({ muscle, third: 'middle' }), side: cue.side === 'right' ? ('right' as const) : ('left' as const) };
});
</script>

<template>
  <SheetDialog v-model:open="open" :title="t('whatHandFound')" :width="960">
    <PointFinder :findings="findings" :disabled="visit.finished" :at="at" />
  </SheetDialog>
</template>
