<script setup lang="ts">
import { computed } from 'vue';
import { phaseKind, type Cue } from '@pace-bend/core/method';

/** The side that is being worked on as one thin bar: phases by their colour and length, and where the count is. */
const props = defineProps<{ cues: readonly Cue[]; positionMs: number; label: string }>();

const timed = computed(() => props.cues.filter((cue) => !cue.open && cue.endMs > cue.startMs));
const totalMs = computed(() => timed.value.reduce((sum, cue) => sum + cue.endMs - cue.startMs, 0));
const share = computed(() => {
  const gone = timed.value.reduce((sum, cue) => sum + Math.min(Math.max(props.positionMs - cue.startMs, 0), cue.endMs - cue.startMs), 0);
  return totalMs.value > 0 ? gone / totalMs.value : 0;
});
</script>

<template>
  <div class="thin" role="img" :aria-label="label">
    <i
      v-for="cue in timed"
      :key="cue.index"
      :style="{ flexGrow: cue.endMs - cue.startMs, background: `var(--phase-${phaseKind(cue.kind).family}-far, var(--line))` }"
    />
    <b :style="{ left: `${share * 100}%` }" />
  </div>
</template>

<style scoped>
.thin {
  position: relative;
  display: flex;
  gap: 2px;
  height: 18px;
}

i {
  flex: 1 1 0;
  min-width: 0;
  opacity: 0.75;
}

b {
  position: absolute;
  top: -4px;
  bottom: -4px;
  width: 4px;
  margin-left: -2px;
  background: var(--sun);
}
</style>
