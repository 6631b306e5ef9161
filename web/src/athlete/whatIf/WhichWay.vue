<script setup lang="ts">
import { computed } from 'vue';
import type { Motion } from '@pace-bend/core/body';
import { isSureOfWay, LEAST_WAY_VISITS, SURE_OF_WAY, type WayAnswer } from '@pace-bend/core/cycle';
import { useShelf } from '../../stores/shelf.ts';
import { amount, chanceWords } from './words.ts';
import { t } from '../../words/athlete.ts';

/** Which way of working gives this athlete most here: what each has brought, and how likely it is that none of the others brings more. */
const props = defineProps<{ motion: Motion; ways: readonly WayAnswer[] }>();
const shelf = useShelf();
const nameOf = ({ methodId, madeFrom }: WayAnswer) =>
  (shelf.shelf.methods.get(methodId) ?? (madeFrom === null ? undefined : shelf.shelf.methods.get(madeFrom)))?.name ?? t('wayGone');
const first = computed(() => props.ways[0]);
const sure = computed(() => isSureOfWay(props.ways));
</script>

<template>
  <section class="card" :aria-label="t('whichWay')">
    <h2>{{ t('whichWay') }}</h2>
    <p v-if="ways.length === 0" class="soft">{{ t('noVisitYetWhich') }}</p>
    <p v-else-if="ways.length === 1" class="soft">
      {{ t('onlyFarVisitBrings', { nameOf: nameOf(first!), amount: amount(first!.brings.middle, motion.unit) }) }}
    </p>
    <template v-else>
      <p v-if="sure">
        <b>{{ nameOf(first!) }}</b> {{ t('givesMostHere100', { chance: chanceWords(first!.best) }) }}
      </p>
      <p v-else>
        <b>{{ t('notEnoughSay') }}</b>
        {{
          t('ahead100SaidFrom', {
            nameOf: nameOf(first!),
            chance: chanceWords(first!.best),
            sureOfWay: Math.round(SURE_OF_WAY * 100),
            leastWayVisits: LEAST_WAY_VISITS,
          })
        }}
      </p>
      <table>
        <thead>
          <tr>
            <th scope="col">{{ t('way') }}</th>
            <th scope="col">{{ t('visits') }}</th>
            <th scope="col">{{ t('visitBrings') }}</th>
            <th scope="col">{{ t('most') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="way in ways" :key="way.methodId">
            <th scope="row">{{ nameOf(way) }}</th>
            <td class="num">{{ way.visits }}</td>
            <td class="num">
              {{ amount(way.brings.middle, motion.unit) }}
              <small class="soft">{{
                t('to8', { amount: amount(way.brings.low, motion.unit), amount2: amount(way.brings.high, motion.unit) })
              }}</small>
            </td>
            <td>
              <span class="bar" :class="{ sure: sure && way === first }"
                ><i :style="{ width: `${Math.round(way.best * 100)}%` }" /><i
                  class="mark"
                  :style="{ left: `${SURE_OF_WAY * 100}%` }" /></span
              ><span class="num">{{ chanceWords(way.best) }}</span>
            </td>
          </tr>
        </tbody>
      </table>
      <p class="soft small">
        {{ t('visitDoneHereOne', { sureOfWay: Math.round(SURE_OF_WAY * 100) }) }}
      </p>
    </template>
  </section>
</template>

<style scoped>
h2 {
  margin-bottom: 6px;
}

table {
  width: 100%;
  margin: 8px 0;
  border-collapse: collapse;
}

th {
  text-align: left;
  font-weight: 500;
}

thead th {
  color: var(--soft);
  font-size: 12px;
}

th,
td {
  padding: 4px 6px 4px 0;
  border-bottom: 1px solid var(--line-faint);
  vertical-align: top;
}

td small {
  display: block;
}

.bar {
  position: relative;
  display: block;
  width: 56px;
  height: 8px;
  background: repeating-linear-gradient(45deg, var(--fan) 0 3px, transparent 3px 6px);
}

.bar i {
  position: absolute;
  inset: 0 auto 0 0;
  background: var(--tick);
}

.bar.sure i:first-child {
  background: var(--spruce);
}

.bar .mark {
  width: 2px;
  margin-left: -1px;
  background: var(--ink);
}
</style>
