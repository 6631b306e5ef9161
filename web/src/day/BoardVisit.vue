<script setup lang="ts">
import interact from 'interactjs';
import { computed, onBeforeUnmount, onMounted, ref } from 'vue';
import { useRouter } from 'vue-router';
import { DateTime } from 'luxon';
import { LIMITS, type ProjectedVisit } from '@pace-bend/core/record';
import VisitState from '../parts/VisitState.vue';
import ReadinessMark from '../parts/ReadinessMark.vue';
import { usePractice } from '../stores/practice.ts';
import type { PlacedVisit } from './boardLayout.ts';
import LastTime from './LastTime.vue';
import type { Booking } from './useBooking.ts';
import { hintOf, isKey, whichKey } from '../parts/keys.ts';

const props = defineProps<{ placed: PlacedVisit; scale: number; top: number; booking: Booking; projected: ProjectedVisit | null }>();

const practice = usePractice();
const router = useRouter();
const element = ref<HTMLElement | null>(null);
/** Minutes by which the visit is being moved and lengthened just now. */
const moving = ref(0);
const growing = ref(0);
const visit = computed(() => props.placed.visit);
const isOver = computed(() => visit.value.finishedAt !== null);
const minutes = computed(() => visit.value.minutes + growing.value);
const height = computed(() => Math.max(30, minutes.value * props.scale - 3));
const startsAt = computed(() => DateTime.fromISO(visit.value.startsAt).plus({ minutes: moving.value }).toUTC().toISO()!);
const readinessWords = computed(() => [visit.value.readiness.word, visit.value.readiness.reason].filter(Boolean).join(': '));
const roomy = computed(() => height.value >= 56 && props.placed.columns === 1);
const { dayGrid: GRID, visitMinutes } = LIMITS;

function place(moved: number, grown: number): void {
  const to = {
    startsAt: DateTime.fromISO(visit.value.startsAt).plus({ minutes: moved }).toUTC().toISO()!,
    minutes: Math.min(visitMinutes.max, Math.max(visitMinutes.min, visit.value.minutes + grown)),
  };
  // Stays on its day: another day is another booking.
  if (practice.dayOf(to.startsAt) !== practice.dayOf(visit.value.startsAt)) return;
  const words =
    moved !== 0
      ? `${visit.value.athleteName} moved to ${practice.timeOfDay(to.startsAt)}`
      : `${visit.value.athleteName} has ${to.minutes} minutes`;
  void props.booking.place(visit.value.id, to, words);
}

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

onMounted(() => {
  let [dy, dh] = [0, 0];
  drag = interact(element.value!)
    // A finger on the visit scrolls the day; it moves the visit only by the grip, and its length by the lower edge. A mouse takes hold anywhere.
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
});
onBeforeUnmount(() => drag?.unset());

function open(event: MouseEvent): void {
  event.preventDefault();
  if (dragged) dragged = false;
  else void router.push(`/visit/${visit.value.id}`);
}

const lateWords = computed(() => {
  const late = props.projected;
  if (!late) return '';
  if (late.overMin > 0) return `${late.overMin} min over`;
  return late.lateMin >= GRID ? `late: about ${practice.timeOfDay(new Date(late.startsAtMs).toISOString())}` : '';
});
</script>

<template>
  <li
    ref="element"
    class="visit"
    :class="{ over: isOver, begun: visit.step !== 'arrive' && !isOver, busy: moving !== 0 || growing !== 0, shared: placed.columns > 1 }"
    data-testid="board-visit"
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
      :class="{ roomy }"
      draggable="false"
      aria-keyshortcuts="Alt+ArrowUp Alt+ArrowDown Alt+ArrowLeft Alt+ArrowRight Delete"
      @click="open"
      @keydown="onKey"
    >
      <span class="when"
        ><span class="num time">{{ practice.timeOfDay(startsAt) }}</span> <span class="soft small">{{ minutes }} min</span></span
      >
      <VisitState :visit="visit" />
      <span class="who"
        ><span class="named"
          ><b>{{ visit.athleteName }}</b
          ><ReadinessMark v-if="!isOver" :shape="visit.readiness.word" aria-hidden="true" /></span
        ><span v-if="roomy" class="soft small about">{{
          [practice.sportPlace(visit.sports), visit.about].filter(Boolean).join(' · ')
        }}</span
        ><span v-if="!isOver" class="small why">{{ readinessWords }}</span>
        <span v-if="lateWords" class="late small">{{ lateWords }}</span><span v-if="placed.columns > 1" class="late small"
          >overlaps</span
        ></span
      >
      <span v-if="roomy" class="complaint">{{ visit.complaint || '–' }}</span>
      <LastTime v-if="roomy" class="last" :visit="visit" />
    </a>
    <span v-if="!isOver" class="grip" data-testid="grip" aria-hidden="true" title="Drag to move"><i /></span>
    <button
      v-if="!isOver"
      type="button"
      class="tool"
      :aria-label="`Cancel the visit of ${visit.athleteName}`"
      :title="`Cancel, ${hintOf('cancelVisit')}`"
      @click="booking.cancel(visit.id)"
    >
      ×
    </button>
    <span v-if="!isOver" class="handle" aria-hidden="true" />
  </li>
</template>

<style scoped>
.visit {
  position: absolute;
  border: 1px solid var(--line);
  border-left: 4px solid var(--tick);
  border-radius: 4px;
  background: var(--paper);
  touch-action: pan-x pan-y;
  user-select: none;
}

/* Only with fingers: a mouse takes hold of the visit itself. */
/* How they are and why: read out always, seen when the visit is pointed at or has the focus. */
.why {
  position: absolute;
  width: 1px;
  height: 1px;
  overflow: hidden;
  clip-path: inset(50%);
}

.open:focus-visible .why,
.open:hover .why {
  position: static;
  width: auto;
  height: auto;
  clip-path: none;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.open:focus-visible .about,
.open:hover .about {
  display: none;
}

.who .named {
  display: flex;
  align-items: center;
  gap: 6px;
  min-width: 0;
}

.who .named b {
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
}

.named svg {
  flex: none;
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

.shared .open {
  gap: 8px;
  padding-left: 8px;
}

.open.roomy {
  display: grid;
  grid-template-rows: minmax(0, 1fr);
  grid-template-columns: 62px 14px minmax(0, 1fr) minmax(0, 0.85fr) minmax(0, 1.4fr);
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

.who {
  min-width: 0;
  line-height: 1.3;
}

.who b,
.who > span {
  display: block;
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

@media (max-width: 1180px) {
  .open.roomy {
    grid-template-columns: 66px 14px minmax(0, 1.1fr) minmax(0, 1fr);
  }

  .last {
    display: none;
  }
}

/* On a phone the name has the room, on two lines if it must: it is never cut. */
@media (max-width: 640px) {
  .open.roomy {
    grid-template-columns: 48px 14px minmax(0, 1fr);
    gap: 8px;
  }

  .roomy .time {
    font-size: 17px;
  }

  .roomy .who b {
    font-size: 15px;
    line-height: 1.15;
    white-space: normal;
    overflow-wrap: anywhere;
  }

  .complaint {
    display: none;
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

@media (pointer: coarse) and (max-width: 640px) {
  .grip {
    width: 36px;
  }

  .open,
  .open.roomy {
    padding: 2px 26px 2px 34px;
  }
}
</style>
