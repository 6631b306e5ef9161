<script setup lang="ts">
import { computed, ref } from 'vue';
import type { BlockPlan, Cue, Method } from '@pace-bend/core/method';
import type { StairLayout } from '../../parts/stair.ts';
import { handlesOf, snapped, withValue, type Handle } from './handles.ts';
import { t } from '../../words/plan.ts';

/**
 * What the stair is taken hold of by: an edge for its seconds, a tread for its place, a column for its effort. Mouse, finger or pen
 * drag it, arrow keys move it a step, with Shift five, Home and End to its bounds.
 */
const props = defineProps<{ block: BlockPlan; method: Method; cues: readonly Cue[]; stair: StairLayout; motionUnit: string }>();
const emit = defineEmits<{ change: [block: BlockPlan, gesture: string | null] }>();

const handles = computed(() => handlesOf(props.block, props.method, props.cues, props.stair));
const held = ref<{ handle: Handle; x: number; y: number; gesture: string } | null>(null);
let gestures = 0;

const unitOf = (handle: Handle) =>
  ({
    s: ' s',
    pct: ' %',
    share: ' %',
    motion: props.motionUnit,
    breaths: ' breaths',
    score: ` ${t('of10')}`,
    grade: '',
    times: ' times',
    'per-s': ` ${t('aSecond')}`,
    'per-min': ` ${t('aMinute')}`,
  })[handle.spec.unit];
const words = (handle: Handle) =>
  `${handle.value}${unitOf(handle)}${handle.heldAt === null ? '' : ` ${t('plannedHeldCaution', { heldAt: handle.heldAt, unitOf: unitOf(handle) })}`}`;

function take(handle: Handle, event: PointerEvent): void {
  if (event.button !== 0) return;
  (event.currentTarget as Element).setPointerCapture(event.pointerId);
  gestures += 1;
  held.value = { handle, x: event.clientX, y: event.clientY, gesture: `drag-${gestures}` };
}

function drag(event: PointerEvent): void {
  if (!held.value) return;
  const { handle, x, y, gesture } = held.value;
  const by = handle.kind === 'seconds' ? event.clientX - x : y - event.clientY;
  const value = snapped(handle.value + by * handle.perPx, handle.spec, event.shiftKey ? 5 : 1);
  const now = props.block.numbers[handle.spec.id]?.[handle.index];
  if (value !== now) emit('change', withValue(props.block, handle, value), gesture);
}

function press(handle: Handle, event: KeyboardEvent): void {
  const { min, max, step } = handle.spec;
  const by = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1, PageUp: 5, PageDown: -5 }[event.key];
  const value =
    event.key === 'Home'
      ? min
      : event.key === 'End'
        ? max
        : by === undefined || event.altKey || event.ctrlKey || event.metaKey
          ? null
          : snapped(handle.value + by * step * (event.shiftKey ? 5 : 1), { ...handle.spec, step: step / 100 });
  if (value === null) return;
  event.preventDefault();
  if (value !== handle.value) emit('change', withValue(props.block, handle, value), null);
}
</script>

<template>
  <g class="handles" data-screen-only>
    <g
      v-for="handle in handles"
      :key="handle.key"
      class="handle"
      :class="[handle.kind, { held: held?.handle.key === handle.key }]"
      tabindex="0"
      role="slider"
      :aria-label="handle.label"
      :aria-valuemin="handle.spec.min"
      :aria-valuemax="handle.spec.max"
      :aria-valuenow="handle.value"
      :aria-valuetext="words(handle)"
      :transform="`translate(${handle.x} ${handle.y})`"
      :data-handle="handle.key"
      @pointerdown="take(handle, $event)"
      @pointermove="drag"
      @pointerup="held = null"
      @pointercancel="held = null"
      @keydown="press(handle, $event)"
    >
      <title>{{ handle.label }}: {{ words(handle) }}</title>
      <template v-if="handle.kind === 'seconds'"
        ><rect x="-7" y="-20" width="14" height="24" class="hit" /><path d="M0 -14V2M-3 -3L0 2L3 -3"
      /></template>
      <template v-else-if="handle.kind === 'place'"
        ><circle r="12" class="hit" /><rect x="-7" y="-3" width="14" height="6" rx="3" class="grip"
      /></template>
      <template v-else
        ><rect x="-18" y="-13" width="36" height="26" class="hit" /><rect
          x="-17"
          y="-11"
          width="34"
          height="22"
          rx="4"
          class="plate"
          :class="{ limited: handle.heldAt !== null }"
        /><text text-anchor="middle" y="4.5">{{ handle.heldAt ?? handle.value }}<tspan class="small"> %</tspan></text
        ><text v-if="handle.heldAt !== null" class="planned" text-anchor="middle" y="24">{{
          t('of3', { value: handle.value })
        }}</text></template
      >
      <text v-if="held?.handle.key === handle.key && handle.kind !== 'effort'" class="now" text-anchor="middle" y="-24">{{
        words(handle)
      }}</text>
    </g>
  </g>
</template>

<style scoped>
.handle {
  cursor: grab;
  touch-action: none;
}

.handle.seconds {
  cursor: ew-resize;
}

.handle.place,
.handle.effort {
  cursor: ns-resize;
}

.hit {
  fill: transparent;
}

path {
  fill: none;
  stroke: var(--tick);
  stroke-width: 2;
}

.grip {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 2;
}

.plate {
  fill: var(--paper);
  stroke: var(--clay);
  stroke-width: 1.5;
}

.plate.limited {
  stroke: var(--sun);
  stroke-width: 2.5;
}

.planned {
  font-size: 11px;
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 3;
}

text {
  font: 600 13px var(--figures, var(--words));
  fill: var(--clay-text);
}

.small {
  font-size: 10px;
}

.now {
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 4;
}

.handle:focus {
  outline: none;
}

.handle:focus-visible .hit,
.held .hit {
  stroke: var(--sun);
  stroke-width: 2.5;
}

.handle:hover path,
.held path {
  stroke: var(--ink);
  stroke-width: 3;
}
</style>
