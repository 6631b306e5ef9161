<script setup lang="ts">
import { computed } from 'vue';
import type { ProjectedVisit } from '@pace-bend/core/record';
import { usePractice } from '../stores/practice.ts';
import { useDay } from '../stores/day.ts';
import BoardVisit from './BoardVisit.vue';
import { hoursOf, layOutDay, scaleOf } from './boardLayout.ts';
import type { Booking } from './useBooking.ts';

/** The day to scale: a visit is as tall as it is long. Dragged, or moved with the keyboard. */
const props = defineProps<{ booking: Booking; projected: ReadonlyMap<string, ProjectedVisit>; nowMinute: number | null }>();

const day = useDay();
const practice = usePractice();
const placed = computed(() => layOutDay(day.page!.visits, practice.minuteOfDay));
const hours = computed(() => hoursOf(placed.value));
const scale = computed(() => scaleOf(placed.value));
const yOf = (minute: number) => (minute - hours.value.first * 60) * scale.value;
const ticks = computed(() => Array.from({ length: hours.value.last - hours.value.first + 1 }, (_, i) => hours.value.first + i));
/** Narrower than this a visit cannot be read or held; the board then runs on sideways instead of crushing its columns. */
const NARROWEST_PX = 196;
const columns = computed(() => Math.max(1, ...placed.value.map((each) => each.columns)));
const height = computed(() => yOf(hours.value.last * 60) + 14);
/** So much of a printed page is the board's: the whole day is on one. */
const PRINTED_PX = 620;
/** Twelve hours go without minutes: "2 pm" is narrower than a column of times. */
const hourName = (hour: number) => practice.clock(hour * 60).replace(/:00(?= )/, '');
</script>

<template>
  <div class="board" :style="{ height: `${height}px`, '--fit': Math.min(1, PRINTED_PX / height) }">
    <div v-for="hour in ticks" :key="hour" class="hour" :style="{ top: `${yOf(hour * 60)}px` }">
      <span class="num">{{ hourName(hour) }}</span>
    </div>
    <div
      v-if="nowMinute !== null && nowMinute >= hours.first * 60 && nowMinute <= hours.last * 60"
      class="now"
      :style="{ top: `${yOf(nowMinute)}px` }"
      aria-hidden="true"
    />
    <div class="across">
      <ol class="plain visits" :style="{ minWidth: columns > 1 ? `${columns * NARROWEST_PX}px` : undefined }">
        <BoardVisit
          v-for="each in placed"
          :key="each.visit.id"
          :placed="each"
          :scale="scale"
          :top="yOf(each.from)"
          :booking="props.booking"
          :projected="projected.get(each.visit.id) ?? null"
        />
      </ol>
    </div>
  </div>
</template>

<style scoped>
.board {
  position: relative;
  margin-top: 10px;
}

.hour {
  position: absolute;
  right: 0;
  left: 0;
  border-top: 1px solid var(--line-faint);
}

.hour span {
  position: absolute;
  top: -9px;
  left: 0;
  padding-right: 8px;
  background: var(--paper);
  color: var(--soft);
  font-size: 12.5px;
}

.across {
  position: absolute;
  inset: 0 0 0 58px;
  overflow: auto hidden;
}

.visits {
  position: relative;
  height: 100%;
}

.now {
  position: absolute;
  right: 0;
  left: 46px;
  border-top: 2px solid var(--clay);
  pointer-events: none;
}

.now::before {
  content: '';
  position: absolute;
  top: -6px;
  left: 0;
  border: 5px solid transparent;
  border-left-color: var(--clay);
}

@media print {
  .board {
    zoom: var(--fit);
  }
}
</style>
