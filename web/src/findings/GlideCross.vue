<script setup lang="ts">
import { DIRECTIONS, type Direction, type GlideData, type GlideState } from '@pace-bend/core/finding';
import { t } from '../words/findings.ts';

/** Four directions about the bone, each pressed from not tried to free, stiff, painful. */
const props = defineProps<{ data: GlideData | null; label: string; disabled: boolean }>();
const emit = defineEmits<{ change: [data: GlideData | null] }>();

const BLANK: GlideData = { up: null, down: null, in: null, out: null };
const STATES: readonly (GlideState | null)[] = [null, 'free', 'stiff', 'painful'];
const MARKS: Record<GlideState, string> = { free: '○', stiff: '▨', painful: '✕' };

function press(direction: Direction): void {
  const data = props.data ?? BLANK;
  const next = { ...data, [direction]: STATES[(STATES.indexOf(data[direction]) + 1) % STATES.length]! };
  emit('change', DIRECTIONS.every((each) => next[each] === null) ? null : next);
}
const stateOf = (direction: Direction) => props.data?.[direction] ?? null;
</script>

<template>
  <div class="cross" role="group" :aria-label="label">
    <button
      v-for="direction in DIRECTIONS"
      :key="direction"
      type="button"
      :class="[direction, stateOf(direction)]"
      :disabled="disabled"
      :aria-label="`${direction}: ${stateOf(direction) ?? t('notTried')}`"
      @click="press(direction)"
    >
      <b>{{ direction }}</b><span>{{ stateOf(direction) ? `${MARKS[stateOf(direction)!]} ${stateOf(direction)}` : '–' }}</span>
    </button>
    <svg viewBox="-20 -20 40 40" aria-hidden="true">
      <path d="M0 -16C9 -16 13 -6 11 3C9 12 4 16 0 16C-4 16 -9 12 -11 3C-13 -6 -9 -16 0 -16Z" />
    </svg>
  </div>
</template>

<style scoped>
.cross {
  display: grid;
  grid-template: '. up .' 48px 'in bone out' 54px '. down .' 48px / 76px 54px 76px;
  gap: 4px;
}

button {
  display: grid;
  align-content: center;
  border: 1px solid var(--line);
  border-radius: 4px;
  background: var(--paper);
  color: var(--ink);
  font: inherit;
  font-size: 12.5px;
  line-height: 1.2;
  cursor: pointer;
}

.up {
  grid-area: up;
  margin: 0 -18px;
}
.down {
  grid-area: down;
  margin: 0 -18px;
}
.in {
  grid-area: in;
}
.out {
  grid-area: out;
}

.free {
  background: var(--spruce-soft);
}
.stiff {
  border-color: var(--sun-text);
  background: var(--sun-soft);
}
.painful {
  border-color: var(--clay);
  background: var(--clay-soft);
}

svg {
  grid-area: bone;
  justify-self: center;
  align-self: center;
  width: 40px;
  fill: var(--raised);
  stroke: var(--ink);
  stroke-width: 1.4;
}
</style>
