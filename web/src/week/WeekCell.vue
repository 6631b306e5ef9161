<script setup lang="ts">
import SeenTicks from './SeenTicks.vue';
import type { CellVisit } from './cells.ts';
import { t } from '../words/week.ts';

/** One time of the week: whose it is and what that brings, or that it is free, kept free, or taken by a break. */
defineProps<{
  time: string;
  visit: CellVisit | null;
  state: 'placed' | 'booked' | 'done' | 'free' | 'closed' | 'break';
  words: string;
  chosen: boolean;
  /** Value of the whole bar. */
  most: number;
  /** Reached by Tab. */
  first: boolean;
  target: boolean;
}>();
</script>

<template>
  <div
    class="cell"
    :class="[state, { chosen, target, pinned: visit?.pinned, keep: visit?.kind === 'keep', clash: visit?.clash }]"
    role="gridcell"
    :tabindex="first ? 0 : -1"
    :aria-selected="chosen"
  >
    <span class="top">
      <span class="num">{{ time }}</span>
      <svg v-if="visit?.pinned" class="pin" viewBox="0 0 12 14" aria-hidden="true">
        <path d="M3 1h6v1.4H8.2V6L10 8.2H6.7V13H5.3V8.2H2L3.8 6V2.4H3z" fill="currentColor" />
      </svg>
      <span v-if="visit?.pinned" class="sr-only">{{ t('pinned') }}</span>
      <SeenTicks v-if="visit" class="end" :seen="visit.seen" />
    </span>
    <template v-if="visit">
      <span class="name">{{ visit.name }}</span>
      <span class="why" :class="{ wrong: visit.clash }">{{ visit.clash || visit.words }}</span>
      <span class="foot">
        <template v-if="state === 'placed'">
          <b v-if="visit.must" class="must">{{ t('mustSee') }}</b>
          <span v-else class="bar" aria-hidden="true"
            ><i :style="{ width: `${most > 0 ? Math.min(100, (100 * visit.kept) / most) : 0}%` }"
          /></span>
        </template>
        <b v-else class="state">{{ state }}</b>
        <b v-if="visit.kept > 0" class="num end">{{ visit.keptWords }}</b>
        <span v-else-if="visit.kind === 'keep'" class="soft end">{{ t('keep2') }}</span>
      </span>
    </template>
    <span v-else class="why soft">{{ state === 'free' ? t('free2') : state === 'closed' ? t('keptFree') : words }}</span>
  </div>
</template>

<style scoped>
.cell {
  position: relative;
  display: flex;
  flex-direction: column;
  min-width: 0;
  min-height: 92px;
  padding: 5px 7px;
  border: 1px solid var(--line);
  border-radius: 4px;
  background: var(--paper);
  cursor: pointer;
  touch-action: manipulation;
  user-select: none;
}

.cell.free,
.cell.closed,
.cell.break {
  min-height: 0;
}

.top,
.foot {
  display: flex;
  align-items: center;
  gap: 5px;
  font-size: 13px;
}

.end {
  margin-left: auto;
}

.pin {
  width: 12px;
  height: 14px;
}

.name {
  font-weight: 600;
  line-height: 1.2;
  overflow-wrap: anywhere;
}

.why {
  font-size: 12.5px;
  line-height: 1.25;
  overflow-wrap: anywhere;
}

.foot {
  margin-top: auto;
  padding-top: 4px;
}

.bar {
  flex: 1;
  max-width: 52px;
  height: 6px;
}

.bar i {
  display: block;
  height: 100%;
  background: var(--spruce);
}

.must,
.wrong {
  color: var(--clay-text);
}

.state {
  color: var(--spruce);
}

.free {
  background: transparent;
}

.closed {
  border-style: dashed;
  background: transparent;
}

.break {
  cursor: default;
  background: repeating-linear-gradient(135deg, transparent 0 6px, var(--line) 6px 7px);
}

.break .why,
.break .num {
  align-self: flex-start;
  padding: 0 3px;
  background: var(--ground);
}

.booked,
.done {
  background: var(--spruce-soft);
}

.done {
  opacity: 0.75;
}

.keep {
  border-left: 4px solid var(--clay);
  padding-left: 4px;
}

.pinned {
  border-color: var(--ink);
}

.clash {
  border-color: var(--clay);
}

.target {
  background: var(--sun-soft);
}

.chosen.placed {
  touch-action: none;
}

.chosen {
  outline: 3px solid var(--sun);
  outline-offset: 0;
}
</style>
