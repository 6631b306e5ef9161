<script setup lang="ts">
import InputNumber from 'ant-design-vue/es/input-number';
import { findingWords, type LegLengthData } from '@pace-bend/core/finding';
import ChoiceRow from '../parts/ChoiceRow.vue';
import { t } from '../words/findings.ts';

/** Ankle bones side by side, before and after a gentle pull of thirty seconds. */
const props = defineProps<{ data: LegLengthData | null; disabled: boolean }>();
const emit = defineEmits<{ change: [data: LegLengthData | null] }>();

const SHORTER = [
  { value: 'left', label: t('leftLooksShorter') },
  { value: 'even', label: t('even') },
  { value: 'right', label: t('rightLooksShorter') },
] as const;

function set(patch: Partial<LegLengthData>): void {
  const next = { shorter: 'even', byCm: null, afterPull: null, ...props.data, ...patch } as LegLengthData;
  emit('change', next.shorter === 'even' ? { ...next, byCm: null } : next);
}
</script>

<template>
  <div class="legs">
    <p class="what">{{ t('ankleBonesLyingBack') }}</p>
    <ChoiceRow
      :options="SHORTER"
      :value="data?.shorter ?? null"
      :label="t('whichLegLooksShorter')"
      :disabled="disabled"
      @change="(shorter) => (shorter === null ? emit('change', null) : set({ shorter }))"
    />
    <template v-if="data">
      <label v-if="data.shorter !== 'even'" class="by"
        >{{ t('byAbout') }}
        <InputNumber
          :value="data.byCm ?? undefined"
          :min="0"
          :max="8"
          :step="0.5"
          :disabled="disabled"
          :aria-label="t('centimetresShorter')"
          @change="(value) => set({ byCm: typeof value === 'number' ? value : null })"
        />
        {{ t('cm') }}</label
      >
      <p class="what">{{ t('afterGentlePullAlong') }}</p>
      <ChoiceRow
        :options="SHORTER"
        :value="data.afterPull"
        :label="t('afterPull')"
        :disabled="disabled"
        @change="(afterPull) => set({ afterPull })"
      />
      <p class="small">{{ findingWords({ kind: 'leg-length', data }) }}</p>
    </template>
  </div>
</template>

<style scoped>
.legs {
  display: grid;
  gap: 5px;
}

.what {
  margin: 4px 0 0;
  color: var(--soft);
  font-size: 13px;
}

.by {
  display: flex;
  align-items: center;
  gap: 8px;
}
</style>
