<script setup lang="ts">
import { computed } from 'vue';
import { phaseKind, type Cue, type PhaseKindFacts } from '@pace-bend/core/method';

const props = defineProps<{ cues: readonly Cue[] }>();

const WORDS: Record<PhaseKindFacts['family'], string> = { 'set-up': 'set up, waits for you', move: 'move', breathe: 'breathe in', contract: 'contract', relax: 'let go', hold: 'hold', rest: 'rest', oscillate: 'oscillate', press: 'press', joint: 'traction, glide' };
const families = computed(() => [...new Set(props.cues.map((cue) => phaseKind(cue.kind).family))].filter((family) => family !== 'rest'));
</script>

<template>
  <ul class="legend">
    <li v-for="family in families" :key="family">
      <svg width="16" height="12" aria-hidden="true" :class="family">
        <rect width="16" height="12" class="fill" />
        <path v-if="family === 'contract'" d="M1 9L5 4L9 9L13 4" class="mark" />
        <path v-else-if="family === 'oscillate'" d="M0 6Q2 1 4 6T8 6T12 6T16 6" class="mark" />
        <path v-else-if="family === 'breathe'" d="M0 4H16M0 8H16" class="mark" />
        <path v-else-if="family === 'set-up'" d="M0 12L6 0M6 12L12 0M12 12L16 4" class="mark" />
        <path v-else-if="family === 'press'" d="M3 1V11M8 1V11M13 1V11" class="mark" />
        <path v-else-if="family === 'joint'" d="M1 3H15M1 9H15" class="mark" />
        <g v-else-if="family === 'relax'"><circle cx="4" cy="4" r="1.4" /><circle cx="9" cy="8" r="1.4" /><circle cx="13" cy="4" r="1.4" /></g>
      </svg>
      {{ WORDS[family] }}
    </li>
  </ul>
</template>

<style scoped>
.legend {
  display: flex;
  flex-wrap: wrap;
  align-content: flex-start;
  gap: 4px 18px;
  margin: 0;
  padding: 0;
  list-style: none;
  color: var(--soft);
  font-size: 12.5px;
}

li {
  display: flex;
  align-items: center;
  gap: 6px;
}

.fill {
  fill: none;
}

.move .fill {
  fill: var(--slate-mid);
}

.hold .fill {
  fill: var(--spruce-fill);
}

.breathe .fill {
  fill: var(--slate-soft);
}

.contract .fill {
  fill: var(--clay-soft);
}

.relax .fill {
  fill: var(--sun-soft);
}

.relax circle {
  fill: var(--sun);
}

.mark {
  fill: none;
  stroke: var(--clay);
  stroke-width: 1.6;
}

.breathe .mark {
  stroke: var(--slate);
  stroke-width: 1;
}

.oscillate .fill {
  fill: var(--plum-soft);
}

.oscillate .mark {
  stroke: var(--plum);
}

.press .fill {
  fill: var(--slate-soft);
}

.press .mark {
  stroke: var(--slate);
}

.joint .fill {
  fill: var(--plum-soft);
}

.joint .mark {
  stroke: var(--plum);
  stroke-width: 2.4;
}

.set-up .mark {
  stroke: var(--tick);
  stroke-width: 1;
}
</style>
