<script setup lang="ts">
import { ref } from 'vue';
import { HOURS, workOrder, type ClockData, type Hour, type HourState } from '@pace-bend/core/finding';
import { t } from '../words/findings.ts';

/**
 * The clock of a joint that circles: an hour is pressed to go from free to tight to painful and back; with the keyboard the
 * arrows go round, Space changes the hour, T and P and F set it. Tight is hatched, painful is crossed: no meaning by colour
 * alone.
 */
const props = defineProps<{ data: ClockData | null; label: string; twelve: string; disabled: boolean }>();
const emit = defineEmits<{ change: [data: ClockData | null] }>();

const FREE: ClockData = { hours: HOURS.map(() => 'free') };
const NEXT: Record<HourState, HourState> = { free: 'tight', tight: 'painful', painful: 'free' };
const focused = ref(0);
const buttons = ref<SVGGElement[]>([]);

const stateOf = (i: number): HourState => (props.data ?? FREE).hours[i]!;

function set(i: number, state: HourState): void {
  if (props.disabled) return;
  emit('change', { hours: (props.data ?? FREE).hours.map((each, j) => (j === i ? state : each)) });
}

function onKey(event: KeyboardEvent, i: number): void {
  const to = { ArrowRight: i + 1, ArrowDown: i + 1, ArrowLeft: i - 1, ArrowUp: i - 1, Home: 0 }[event.key];
  const state = ({ ' ': NEXT[stateOf(i)], Enter: NEXT[stateOf(i)], t: 'tight', p: 'painful', f: 'free' } as const)[event.key];
  if (to === undefined && state === undefined) return;
  event.preventDefault();
  if (state !== undefined) return set(i, state);
  focused.value = (to! + 12) % 12;
  buttons.value[focused.value]?.focus();
}

const RADIUS = 62;
const wedge = (i: number) => {
  const point = (share: number, radius: number) => {
    const angle = ((i + share) * 30 - 90) * (Math.PI / 180);
    return `${(radius * Math.cos(angle)).toFixed(2)} ${(radius * Math.sin(angle)).toFixed(2)}`;
  };
  return `M${point(-0.47, 26)}L${point(-0.47, RADIUS)}A${RADIUS} ${RADIUS} 0 0 1 ${point(0.47, RADIUS)}L${point(0.47, 26)}A26 26 0 0 0 ${point(-0.47, 26)}Z`;
};
const place = (i: number, radius: number) => ({
  x: radius * Math.sin(i * 30 * (Math.PI / 180)),
  y: -radius * Math.cos(i * 30 * (Math.PI / 180)),
});
const order = (): readonly Hour[] => (props.data ? workOrder(props.data) : []);
</script>

<template>
  <div class="dial">
    <svg viewBox="-84 -84 168 168" width="190" height="190" role="group" :aria-label="label">
      <defs>
        <pattern id="clock-tight" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="5" height="5" class="under" />
          <path d="M0 0V5" class="hatch" />
        </pattern>
        <pattern id="clock-painful" width="6" height="6" patternUnits="userSpaceOnUse">
          <rect width="6" height="6" class="under painful" />
          <path d="M0 0L6 6M6 0L0 6" class="cross" />
        </pattern>
      </defs>
      <g
        v-for="(hour, i) in HOURS"
        :key="hour"
        ref="buttons"
        role="button"
        :tabindex="focused === i ? 0 : -1"
        class="hour"
        :class="stateOf(i)"
        :aria-label="t('oclock', { hour, stateOf: stateOf(i) })"
        :aria-disabled="disabled || undefined"
        @click="
          set(i, NEXT[stateOf(i)]);
          focused = i;
        "
        @keydown="onKey($event, i)"
        @focus="focused = i"
      >
        <path :d="wedge(i)" :fill="stateOf(i) === 'free' ? undefined : `url(#clock-${stateOf(i)})`" />
        <text :x="place(i, 73).x" :y="place(i, 73).y" text-anchor="middle" dominant-baseline="central">{{ hour }}</text>
      </g>
      <text class="nothing" text-anchor="middle" dominant-baseline="central">{{ data ? '' : t('notDone') }}</text>
    </svg>
    <p class="small soft">
      12: {{ twelve }}<template v-if="order().length > 0">{{ t('work', { order: order().join(', then ') }) }}</template>
    </p>
    <p class="small">
      <button v-if="!data && !disabled" type="button" class="link" @click="emit('change', FREE)">{{ t('freeAllRound') }}</button>
      <button v-if="data && !disabled" type="button" class="link" @click="emit('change', null)">{{ t('takeBack') }}</button>
    </p>
  </div>
</template>

<style scoped>
.dial {
  display: grid;
  justify-items: center;
  gap: 2px;
  max-width: 210px;
  text-align: center;
}

p {
  margin: 0;
}

.hour {
  cursor: pointer;
  outline: none;
}

.hour path {
  stroke: var(--line);
  stroke-width: 1;
}

.hour.free path {
  fill: var(--paper);
}

.hour:hover path,
.hour:focus-visible path {
  stroke: var(--spruce);
  stroke-width: 3;
}

.hour text {
  fill: var(--ink);
  font: 600 12px var(--figures);
}

.under {
  fill: var(--sun-soft);
}

.under.painful {
  fill: var(--clay-soft);
}

.hatch {
  stroke: var(--sun-text);
  stroke-width: 2.4;
}

.cross {
  stroke: var(--clay);
  stroke-width: 1.2;
}

.nothing {
  fill: var(--soft);
  font: 400 10px var(--words);
}
</style>
