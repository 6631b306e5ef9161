<script setup lang="ts">
import type { Motion } from '@pace-bend/core/body';
import { formatNumber } from '@pace-bend/core/measure';
import type { StripCell, StripOrder, StripRow } from '@pace-bend/core/record';
import PosedFigure from '../../parts/PosedFigure.vue';
import StripPair from './StripPair.vue';
import { t } from '../../words/squad.ts';

/** People down, motions across; a heading sorts by what stands under it. */
const props = defineProps<{ motions: readonly Motion[]; rows: readonly StripRow[]; order: StripOrder }>();
defineEmits<{ order: [order: StripOrder] }>();
/** Both sides in figures, left first; the drawing says the same to ears. */
const valuesOf = ({ comparison: { motion, sides } }: StripCell) =>
  `${sides.map(({ now }) => (now ? formatNumber(now.value, 0) : '–')).join(' · ')}${motion.unit === 'deg' ? '°' : ' cm'}`;
const isOrder = (motionId: string) => typeof props.order === 'object' && props.order.motionId === motionId;
</script>

<template>
  <table>
    <thead>
      <tr>
        <th scope="col" class="who">
          <button type="button" class="head" @click="$emit('order', 'name')">{{ t('athlete') }}</button>
        </th>
        <th v-for="motion in motions" :key="motion.id" scope="col" :aria-sort="isOrder(motion.id) ? 'descending' : undefined">
          <button
            type="button"
            class="head"
            :class="{ on: isOrder(motion.id) }"
            :title="t('shortestFirst', { name: motion.name, testPosition: motion.testPosition })"
            @click="$emit('order', { motionId: motion.id })"
          >
            <PosedFigure :motion="motion" :size="40" :shape="1.4" decorative /><span>{{ motion.name }}</span
            ><span class="soft position">{{ motion.testPosition }}</span>
          </button>
        </th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="row in rows" :key="row.id">
        <th scope="row" class="who">
          <RouterLink :to="`/athlete/${row.id}`" :title="row.name">{{ row.name }}</RouterLink>
        </th>
        <td v-for="motion in motions" :key="motion.id" :tabindex="row.cells.has(motion.id) ? 0 : undefined">
          <template v-if="row.cells.get(motion.id)"
            ><StripPair :cell="row.cells.get(motion.id)!" /><span class="values num" aria-hidden="true">{{
              valuesOf(row.cells.get(motion.id)!)
            }}</span></template
          ><span v-else class="soft" :aria-label="t('notRead')">·</span>
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
table {
  border-collapse: separate;
  border-spacing: 0;
}

th,
td {
  padding: 4px 9px;
  border-bottom: 1px solid var(--line-faint);
  background: var(--paper);
  text-align: center;
  font-weight: 400;
}

thead th {
  position: sticky;
  top: 0;
  z-index: 2;
  vertical-align: bottom;
}

.who {
  position: sticky;
  left: 0;
  z-index: 1;
  max-width: 180px;
  border-right: 1px solid var(--line);
  overflow-wrap: anywhere;
  text-align: left;
}

thead .who {
  z-index: 3;
}

.head {
  display: grid;
  justify-items: center;
  gap: 2px;
  width: 96px;
  padding: 4px 2px;
  border: 0;
  border-bottom: 3px solid transparent;
  background: none;
  color: inherit;
  font: inherit;
  font-size: 12.5px;
  line-height: 1.15;
  cursor: pointer;
}

.head.on {
  border-color: var(--spruce);
  font-weight: 700;
}

.who .head {
  justify-items: start;
}

.position {
  display: -webkit-box;
  overflow: hidden;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
  line-clamp: 2;
}

td svg {
  margin: 0 auto;
}

/* In figures where somebody looks closer: under the pointer, at the focus, at a touch, and on paper. */
.values {
  display: block;
  font-size: 12.5px;
  line-height: 1.2;
  visibility: hidden;
}

td:hover .values,
td:focus .values {
  visibility: visible;
}

td:focus {
  outline: 2.5px solid var(--spruce);
  outline-offset: -2px;
}

@media print {
  .values {
    visibility: visible;
  }
}
</style>
