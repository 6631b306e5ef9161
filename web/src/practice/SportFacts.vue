<script setup lang="ts">
import { motionOf } from '@pace-bend/core/body';
import { formatValue } from '@pace-bend/core/measure';
import { originWords } from '../parts/words.ts';
import type { Sport } from '@pace-bend/core/sport';
import { t } from '../words/practice.ts';

/** All a sport says, with how sure it is. */
const props = defineProps<{ sport: Sport }>();
const ON = { both: t('bothSides'), leading: t('leadingSide'), other: t('otherSide'), role: t('sideRole') } as const;
const disciplinesOf = (ids: readonly string[] | undefined) =>
  ids
    ? props.sport.disciplines
        .filter(({ id }) => ids.includes(id))
        .map(({ name }) => name.toLowerCase())
        .join(', ')
    : '';
</script>

<template>
  <div class="facts">
    <p v-if="sport.origin" class="soft small">{{ t('madeElsewhere', { origin: originWords(sport.origin) }) }}</p>
    <table>
      <thead>
        <tr>
          <th scope="col">{{ t('asksFor') }}</th>
          <th scope="col">{{ t('range') }}</th>
          <th scope="col">{{ t('on') }}</th>
          <th scope="col">{{ t('for') }}</th>
          <th scope="col">{{ t('howSure') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(demand, i) in sport.demands" :key="i">
          <td>
            {{ motionOf(demand.motionId).name }} <span class="soft small">{{ motionOf(demand.motionId).testPosition }}</span>
          </td>
          <td class="num">
            {{ motionOf(demand.motionId).better === 'higher' ? t('from2') : t('to') }}
            {{ formatValue(demand.value, motionOf(demand.motionId).unit, 0) }}
          </td>
          <td>{{ ON[demand.on] }}</td>
          <td>
            {{ demand.why }}<span v-if="demand.disciplines" class="soft small">{{ ' ' }}{{ disciplinesOf(demand.disciplines) }}</span>
          </td>
          <td class="soft small">{{ demand.source ?? demand.sure }}</td>
        </tr>
      </tbody>
    </table>
    <p v-for="(shape, i) in sport.shapes" :key="i" class="small">
      <b>{{ t('makes') }}</b>
      {{
        shape.kind === 'more'
          ? t('upMore', {
              motionOf: motionOf(shape.motionId).name,
              value: formatValue(shape.upTo, motionOf(shape.motionId).unit, 0),
              what: ON[shape.on],
            })
          : t('upDownLikeAmounts', {
              motionOf: motionOf(shape.gains).name,
              motionOf2: motionOf(shape.loses).name.toLowerCase(),
              what: ON[shape.on],
              totalWithin: shape.totalWithin,
              findingFrom: shape.findingFrom,
            })
      }}
      <span class="soft">{{ shape.source ?? shape.sure }}</span>
    </p>
    <p class="small">
      <b>{{ t('trained') }}</b> {{ sport.loadKinds.map((kind) => kind.name.toLowerCase()).join(', ') }}. <b>{{ t('events') }}</b>
      {{ sport.eventKinds.map((kind) => kind.name.toLowerCase()).join(', ') }}.
    </p>
  </div>
</template>

<style scoped>
.facts {
  display: grid;
  gap: 8px;
  overflow-x: auto;
}

table {
  border-collapse: collapse;
}

th,
td {
  padding: 4px 14px 4px 0;
  border-bottom: 1px solid var(--line-faint);
  text-align: left;
  vertical-align: top;
}
</style>
