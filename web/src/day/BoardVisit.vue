<script setup lang="ts">
import interact from 'interactjs';
import { computed, onBeforeUnmount, onMounted, ref } from 'vue';
import { useRouter } from 'vue-router';
import { DateTime } from 'luxon';
import { LIMITS, type ProjectedVisit } from '@pace-bend/core/record';
import VisitState from '../parts/VisitState.vue';
import ReadinessMark from '../parts/ReadinessMark.vue';
import { usePractice } from '../stores/practice.ts';
import { LONG_NAME, type PlacedVisit } from './boardLayout.ts';
import LastTime from './LastTime.vue';
import type { Booking } from './useBooking.ts';
import { useDayVisit } from './useDayVisit.ts';
import { hintOf, isKey, whichKey } from '../parts/keys.ts';
import { liftByLongPress } from '../parts/liftByLongPress.ts';
import { t } from '../words/day.ts';

const props = defineProps<{ placed: PlacedVisit; scale: number; top: number; booking: Booking; projected: ProjectedVisit | null }>();

const practice = usePractice();
const router = useRouter();
const element = ref<HTMLElement | null>(null);
/** Minutes by which the visit is being moved and lengthened just now. */
const moving = ref(0);
const growing = ref(0);
/** A finger has taken hold of it by resting on it. */
const lifted = ref(false);
const visit = computed(() => props.placed.visit);
const minutes = computed(() => visit.value.minutes + growing.value);
const height = computed(() => Math.max(30, minutes.value * props.scale - 3));
const startsAt = computed(() => DateTime.fromISO(visit.value.startsAt).plus({ minutes: moving.value }).toUTC().toISO()!);
const { about, readinessWords, isOver, lateWords, place } = useDayVisit(
  () => visit.value,
  () => props.projected,
  props.booking,
);
const roomy = computed(() => height.value >= 56 && props.placed.columns === 1);
/** From this height there is room for everything there is to say. */
const TALL = 96;
/** A long name is whole in smaller letters. */
const long = computed(() => visit.value.athleteName.length > LONG_NAME);
const { dayGrid: GRID, visitMinutes } = LIMITS;

/** Moves, or shortens and lengthens, by five minutes, with Shift by fifteen. */
function onKey(event: KeyboardEvent): void {
  if (isKey(event, 'cancelVisit') && !isOver.value) {
    event.preventDefault();
    void props.booking.cancel(visit.value.id);
    return;
  }
  const by = event.shiftKey ? 3 * GRID : GRID;
  const stepOf = (act: 'visitEarlierLater' | 'visitLength') => [-by, by][whichKey(event, act) ?? -1] ?? 0;
  const [moved, grown] = [stepOf('visitEarlierLater'), stepOf('visitLength')];
  if (isOver.value || (moved === 0 && grown === 0)) return;
  event.preventDefault();
  place(moved, grown);
}

const snapped = (pixels: number) => Math.round(pixels / props.scale / GRID) * GRID;
let drag: ReturnType<typeof interact> | null = null;
/** A drag ends in a click on the same link; that one does not open the visit. */
let dragged = false;
let letGo = (): void => {};

onMounted(() => {
  let [dy, dh] = [0, 0];
  drag = interact(element.value!)
    // A finger on the visit scrolls the day; it moves the visit by the grip or once it has rested there, and its length by the lower edge. A mouse takes hold anywhere.
    .actionChecker(
      (
        pointer: { pointerType?: string },
        _event: unknown,
        action: object | null,
        _interactable: unknown,
        _element: unknown,
        interaction: { downEvent?: { target?: EventTarget | null } | null },
      ) => {
        const isFinger = pointer.pointerType === 'touch' || pointer.pointerType === 'pen';
        const on = interaction.downEvent?.target;
        return !isFinger || (on instanceof Element && on.closest('.grip, .handle')) ? action : null;
      },
    )
    .draggable({
      startAxis: 'y',
      lockAxis: 'y',
      enabled: !isOver.value,
      listeners: {
        start: () => {
          dy = 0;
          dragged = true;
        },
        move: (event: { dy: number }) => {
          dy += event.dy;
          moving.value = snapped(dy);
        },
        end: () => {
          const moved = moving.value;
          moving.value = 0;
          place(moved, 0);
        },
      },
    })
    .resizable({
      edges: { bottom: '.handle' },
      enabled: !isOver.value,
      listeners: {
        start: () => {
          dh = 0;
          dragged = true;
        },
        move: (event: { deltaRect?: { height: number } }) => {
          dh += event.deltaRect?.height ?? 0;
          growing.value = Math.max(visitMinutes.min - visit.value.minutes, snapped(dh));
        },
        end: () => {
          const grown = growing.value;
          growing.value = 0;
          place(0, grown);
        },
      },
    });
  letGo = liftByLongPress(drag, element.value!, (held) => (lifted.value = held));
});
onBeforeUnmount(() => {
  letGo();
  drag?.unset();
});

function open(event: MouseEvent): void {
  event.preventDefault();
  if (dragged) dragged = false;
  else void router.push(`/visit/${visit.value.id}`);
}
</script>

<template>
  <li
    ref="element"
    class="visit"
    :class="{
      over: isOver,
      begun: visit.step !== 'arrive' && !isOver,
      busy: moving !== 0 || growing !== 0 || lifted,
      lifted,
      twelve: practice.clockHabit === '12',
      shared: placed.columns > 1,
      long,
    }"
    data-testid="board-visit"
    @pointerdown="dragged = false"
    :style="{
      top: `${top + moving * scale}px`,
      height: `${height}px`,
      left: `${(placed.column / placed.columns) * 100}%`,
      width: `calc(${100 / placed.columns}% - 6px)`,
    }"
  >
    <a
      :href="`/visit/${visit.id}`"
      class="open"
      :class="{ roomy, tall: height >= TALL, tells: lateWords !== '' }"
      draggable="false"
      aria-keyshortcuts="Alt+ArrowUp Alt+ArrowDown Alt+ArrowLeft Alt+ArrowRight Delete"
      @click="open"
      @keydown="onKey"
    >
      <span class="when"
        ><span class="num time">{{ practice.timeOfDay(startsAt) }}</span> <span class="soft small">{{ t('min', { minutes }) }}</span><span
          v-if="placed.columns > 1"
          class="sr-only"
          >{{ ' ' }}{{ t('overlaps') }}</span
        ></span
      >
      <VisitState :visit="visit" />
      <span class="who"
        ><span class="named"
          ><b>{{ visit.athleteName }}</b
          ><ReadinessMark v-if="!isOver" :shape="visit.readiness.word" aria-hidden="true" /></span
        ><span
          v-if="roomy && !long && (isOver || height >= 66) && (!lateWords || height >= TALL)"
          class="soft small about"
          :title="about"
          >{{ about }}</span
        ><span v-if="!isOver" class="small why" :title="readinessWords">{{ readinessWords }}</span>
        <span v-if="lateWords" class="late small">{{ lateWords }}</span></span
      >
      <span v-if="roomy" class="complaint">{{ visit.complaint || '–' }}</span>
      <LastTime v-if="roomy" class="last" :visit="visit" />
    </a>
    <span v-if="!isOver" class="grip" data-testid="grip" aria-hidden="true" :title="t('dragMove')"><i /></span>
    <button
      v-if="!isOver"
      type="button"
      class="tool"
      :aria-label="t('cancelVisit', { athleteName: visit.athleteName })"
      :title="t('cancel', { hintOf: hintOf('cancelVisit') })"
      @click="booking.cancel(visit.id)"
    >
      ×
    </button>
    <span v-if="!isOver" class="handle" aria-hidden="true" />
  </li>
</template>

<style scoped>
.visit {
  /* As wide as the longest time there is: “12:05 pm” is one line. */
  --when: 62px;
  position: absolute;
  border: 1px solid var(--line);
  border-left: 4px solid var(--tick);
  border-radius: 4px;
  background: var(--paper);
  touch-action: pan-x pan-y;
  user-select: none;
  -webkit-touch-callout: none;
}

/* How they are and why: always there, also for ears, and in words where there is room. */
.why {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

/* That they are late comes before how they are. */
.open.tells:not(.tall) .why,
.open:not(.roomy) .why,
.long .open:not(.tall) .why {
  position: absolute;
  width: 1px;
  height: 1px;
  clip-path: inset(50%);
}

.who .named {
  display: flex;
  align-items: center;
  gap: 6px;
  min-width: 0;
}

.who .named b {
  min-width: 0;
}

.named svg {
  flex: none;
}

.visit.twelve {
  --when: 90px;
}

.grip {
  display: none;
  touch-action: none;
}

.visit.begun {
  border-left-color: var(--sun);
}

.visit.over {
  border-left-color: var(--spruce);
  background: var(--raised);
}

.visit.shared {
  background: repeating-linear-gradient(135deg, var(--paper) 0 9px, var(--sun-soft) 9px 11px);
}

.visit.busy {
  z-index: 3;
  outline: 3px solid var(--sun);
}

.visit.lifted {
  box-shadow: 0 10px 24px rgb(0 0 0 / 28%);
}

.open {
  display: flex;
  align-items: center;
  gap: 10px;
  height: 100%;
  padding: 2px 34px 2px 12px;
  overflow: hidden;
  color: inherit;
  text-decoration: none;
}

/* Beside others: the time above, the name beneath on as many lines as it takes. */
.shared .open {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
  grid-template-columns: minmax(0, 1fr) auto;
  align-content: start;
  align-items: start;
  gap: 0 8px;
  /* The first line leaves the cross its corner; the name below takes that room as well. */
  padding: 2px 32px 2px 8px;
}

.shared .when {
  display: flex;
  flex-wrap: wrap;
  gap: 0 5px;
  min-width: 0;
}

.shared .time {
  font-size: 15px;
}

.shared .who {
  grid-column: 1 / -1;
  margin-right: -26px;
  line-height: 1.15;
}

.long .who b,
.long .roomy .who b {
  font-size: 14px;
}

.long.shared .who b {
  font-size: 13px;
}

.open.roomy {
  display: grid;
  grid-template-rows: minmax(0, 1fr);
  grid-template-columns: var(--when) 14px minmax(0, 1fr) minmax(0, 0.85fr) minmax(0, 1.4fr);
  gap: 12px;
}

.visit:hover {
  background-color: var(--raised);
}

.when {
  display: grid;
  line-height: 1.2;
  white-space: nowrap;
}

.time {
  font-size: 17px;
}

.roomy .time {
  font-size: 21px;
}

.twelve .roomy .time {
  font-size: 18px;
}

.who {
  min-width: 0;
  line-height: 1.3;
}

/* The name is whole, on two lines if it must. */
.who b {
  display: block;
  line-height: 1.15;
  overflow-wrap: anywhere;
}

.who > span {
  display: block;
}

.who > .about {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.roomy .who b {
  font-size: 16px;
}

.late {
  color: var(--clay-text);
  font-weight: 600;
}

.complaint {
  display: -webkit-box;
  overflow: hidden;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
  line-clamp: 2;
  line-height: 1.3;
}

.tool {
  position: absolute;
  top: 3px;
  right: 4px;
  min-width: 28px;
  height: 26px;
  border: 0;
  border-radius: 3px;
  background: none;
  color: var(--soft);
  font: inherit;
  cursor: pointer;
}

.tool:hover {
  background: var(--ground);
  color: var(--ink);
}

.handle {
  position: absolute;
  right: 30%;
  bottom: 0;
  left: 30%;
  height: 9px;
  touch-action: none;
  cursor: ns-resize;
}

.visit:hover .handle,
.visit:focus-within .handle {
  border-bottom: 3px solid var(--tick);
}

/* Where there is less room the words of last time stand beneath what brings them. */
@container page (max-width: 972px) {
  .open.roomy {
    grid-template-rows: minmax(0, auto) minmax(0, auto);
    grid-template-columns: var(--when) 14px minmax(0, 1fr) minmax(0, 1.2fr);
    align-content: center;
    gap: 0 12px;
  }

  .roomy > .when,
  .roomy > .state,
  .roomy > .who {
    grid-row: 1 / -1;
  }

  .roomy .last {
    grid-column: 4;
  }
}

@media print {
  .tool,
  .grip,
  .handle {
    display: none;
  }

  .who b,
  .roomy .who b {
    font-size: 13pt;
  }

  .roomy .time {
    font-size: 15pt;
  }

  .complaint {
    font-size: 11pt;
  }
}

@media (pointer: coarse) {
  .grip {
    position: absolute;
    inset: 0 auto 0 -4px;
    display: grid;
    place-items: center;
    width: 44px;
    cursor: grab;
  }

  .grip i {
    width: 14px;
    height: 26px;
    border-radius: 2px;
    background: repeating-linear-gradient(var(--tick) 0 2px, transparent 2px 6px);
  }

  .open,
  .open.roomy {
    padding-left: 46px;
  }
}
</style>
