<script setup lang="ts">
import { computed } from 'vue';
import type { Motion } from '@pace-bend/core/body';
import { anyLimit, limitWords, type SideCautions } from '@pace-bend/core/caution';
import SetAside from '../../cautions/SetAside.vue';
import { SIDE_WORDS } from '../../parts/words.ts';
import { t } from '../../words/plan.ts';

/** The limits that cautions wrote into the block shown, and what forbids it, by side. */
const props = defineProps<{ sides: readonly SideCautions[]; motion: Motion }>();

const unit = computed(() => (props.motion.unit === 'deg' ? ('°' as const) : (' cm' as const)));
const said = computed(() => props.sides.filter((side) => side.blocking.length > 0 || anyLimit(side.result.limits)));
/** Where a limit comes from, each ground once. */
const grounds = (side: SideCautions) =>
  [...new Set(side.result.cautions.filter((caution) => anyLimit(caution.limits)).map((caution) => caution.because))].join('; ');
</script>

<template>
  <section v-if="said.length > 0" class="card limits" :aria-label="t('limits')">
    <h2>{{ t('limits') }}</h2>
    <div v-for="side in said" :key="side.side" class="side">
      <template v-if="anyLimit(side.result.limits)">
        <p>
          <b>{{ SIDE_WORDS[side.side] }}</b> {{ limitWords(side.result.limits, unit).join(', ') }}
        </p>
        <p class="soft small">{{ t('writtenIntoLineTable', { grounds: grounds(side) }) }}</p>
      </template>
      <SetAside v-if="side.blocking.length > 0" :cautions="side.blocking" :motion-id="motion.id" :side="side.readSide" :unit="unit" />
    </div>
  </section>
</template>

<style scoped>
.limits {
  display: grid;
  gap: 10px;
  border-left: 4px solid var(--sun);
}

.side {
  display: grid;
  gap: 6px;
}
</style>
