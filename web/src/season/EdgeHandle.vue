<script setup lang="ts">
import { ref } from 'vue';
import { daysBetween } from '@pace-bend/core/caution';
import { addDays } from '@pace-bend/core/load';
import { whichKey } from '../parts/keys.ts';

/**
 * An edge of the season line that can be moved: dragged, or with the arrow keys. While it moves the line is only shown so; it is kept when the
 * hand lets go, or a moment after the last key.
 */
const props = defineProps<{
  day: string;
  today: string;
  x: number;
  y: number;
  /** First and last day it may come to, or null. */
  earliest: string | null;
  latest: string | null;
  /** What begins or ends there, in words. */
  words: string;
  dayAt: (x: number) => string;
}>();
const emit = defineEmits<{ move: [day: string]; keep: []; leave: []; focus: []; blur: [] }>();

const KEEP_AFTER_MS = 900;
const dragging = ref(false);
const focused = ref(false);
let pause: ReturnType<typeof setTimeout> | undefined;
let waits = false;

function wanted(day: string): string {
  // What is over stays as it was.
  const first = addDays(props.today, 1);
  const low = props.earliest !== null && props.earliest > first ? props.earliest : first;
  const high = props.latest;
  return day < low ? low : high !== null && day > high ? high : day;
}

function toUnits(event: PointerEvent): number {
  const svg = (event.currentTarget as SVGElement).ownerSVGElement!;
  const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(svg.getScreenCTM()!.inverse());
  return at.x;
}
function down(event: PointerEvent): void {
  if (event.button !== 0) return;
  (event.currentTarget as SVGElement).setPointerCapture(event.pointerId);
  (event.currentTarget as SVGElement).focus();
  dragging.value = true;
  event.preventDefault();
}
function dragged(event: PointerEvent): void {
  if (!dragging.value) return;
  const day = wanted(props.dayAt(toUnits(event)));
  if (day !== props.day) emit('move', day);
}
function up(): void {
  if (!dragging.value) return;
  dragging.value = false;
  keepNow();
}
function cancelled(): void {
  dragging.value = false;
  emit('leave');
}

function keepNow(): void {
  clearTimeout(pause);
  waits = false;
  emit('keep');
}
function onKey(event: KeyboardEvent): void {
  const which = whichKey(event, 'moveEdge');
  if (event.key === 'Escape' && waits) {
    clearTimeout(pause);
    waits = false;
    emit('leave');
  } else if (event.key === 'Enter' && waits) keepNow();
  else if (which !== null) {
    emit('move', wanted(addDays(props.day, (which === 0 ? -1 : 1) * (event.shiftKey ? 7 : 1))));
    clearTimeout(pause);
    waits = true;
    pause = setTimeout(keepNow, KEEP_AFTER_MS);
  } else return;
  event.preventDefault();
  event.stopPropagation();
}
function onBlur(): void {
  focused.value = false;
  if (waits) keepNow();
  emit('blur');
}
function onFocus(): void {
  focused.value = true;
  emit('focus');
}
</script>

<template>
  <g
    class="handle"
    :class="{ on: focused || dragging }"
    tabindex="0"
    role="slider"
    :aria-label="words"
    :aria-valuenow="daysBetween(today, day)"
    :aria-valuemin="1"
    :aria-valuemax="latest === null ? 1100 : daysBetween(today, latest)"
    :aria-valuetext="words"
    :transform="`translate(${x} ${y})`"
    @pointerdown="down"
    @pointermove="dragged"
    @pointerup="up"
    @pointercancel="cancelled"
    @keydown="onKey"
    @focus="onFocus"
    @blur="onBlur"
  >
    <rect class="reach" x="-26" y="-28" width="52" height="56" />
    <rect class="grip" x="-6" y="-11" width="12" height="22" rx="3" />
    <path class="lines" d="M-2 -5V5M2 -5V5" />
  </g>
</template>

<style scoped>
.handle {
  cursor: ew-resize;
  touch-action: none;
}

.handle:focus {
  outline: none;
}

.reach {
  fill: transparent;
}

.grip {
  fill: var(--paper);
  stroke: var(--spruce);
  stroke-width: 1.6;
}

.lines {
  stroke: var(--spruce);
  stroke-width: 1.4;
}

.on .grip {
  fill: var(--sun);
  stroke: var(--ink);
}

.on .lines {
  stroke: var(--ink);
}
</style>
