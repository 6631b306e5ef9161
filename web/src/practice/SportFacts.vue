<script setup lang="ts">
import { motionOf } from '@pace-bend/core/body';
import { formatValue } from '@pace-bend/core/measure';
import { originWords } from '../parts/words.ts';
import type { Sport } from '@pace-bend/core/sport';

/** All a sport says, with how sure it is. */
const props = defineProps<{ sport: Sport }>();
const ON = { both: 'both sides', leading: 'leading side', other: 'other side', role: 'side of the role' } as const;
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
    <p v-if="sport.origin" class="soft small">Made elsewhere: {{ originWords(sport.origin) }}.</p>
    <table>
      <thead>
        <tr>
          <th scope="col">Asks for</th>
          <th scope="col">Range</th>
          <th scope="col">On</th>
          <th scope="col">For</th>
          <th scope="col">How sure</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(demand, i) in sport.demands" :key="i">
          <td>
            {{ motionOf(demand.motionId).name }} <span class="soft small">{{ motionOf(demand.motionId).testPosition }}</span>
          </td>
          <td class="num">
            {{ motionOf(demand.motionId).better === 'higher' ? 'from' : 'to' }}
            {{ formatValue(demand.value, motionOf(demand.motionId).unit, 0) }}
          </td>
          <td>{{ ON[demand.on] }}</td>
          <td>
            {{ demand.why }}<span v-if="demand.disciplines" class="soft small"> {{ disciplinesOf(demand.disciplines) }}</span>
          </td>
          <td class="soft small">{{ demand.source ?? demand.sure }}</td>
        </tr>
      </tbody>
    </table>
    <p v-for="(shape, i) in sport.shapes" :key="i" class="small">
      <b>Makes:</b>
      {{
        shape.kind === 'more'
          ? `${motionOf(shape.motionId).name} up to ${formatValue(shape.upTo, motionOf(shape.motionId).unit, 0)} more on the ${ON[shape.on]}`
          : `${motionOf(shape.gains).name} up and ${motionOf(shape.loses).name.toLowerCase()} down by like amounts on the ${ON[shape.on]}, total arc within ${shape.totalWithin}°; from ${shape.findingFrom}° less with a smaller arc a finding`
      }}
      <span class="soft">{{ shape.source ?? shape.sure }}</span>
    </p>
    <p class="small">
      <b>Trained:</b> {{ sport.loadKinds.map((kind) => kind.name.toLowerCase()).join(', ') }}. <b>Events:</b>
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
