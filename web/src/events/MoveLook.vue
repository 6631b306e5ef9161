<script setup lang="ts">
import Checkbox from 'ant-design-vue/es/checkbox';
import { DateTime } from 'luxon';
import { motionOf } from '@pace-bend/core/body';
import { daysBetween } from '@pace-bend/core/caution';
import type { MoveLook } from '@pace-bend/core/record';
import { PHASE_NAMES } from '@pace-bend/core/season';
import { SIDE_WORDS } from '../parts/words.ts';
import { usePractice } from '../stores/practice.ts';
import { t } from '../words/events.ts';

/** What moves when an event does, before it is done: lines, goals, and visits one by one. */
const props = defineProps<{ look: MoveLook }>();
const visits = defineModel<readonly string[]>('visits', { required: true });
const goals = defineModel<boolean>('goals', { required: true });
const practice = usePractice();

const days = () => daysBetween(props.look.event.onDate, props.look.toDay);
const byWords = () => {
  const n = Math.abs(days());
  return `${n} ${n === 1 ? 'day' : 'days'} ${days() > 0 ? 'later' : 'earlier'}`;
};
const date = (day: string) => DateTime.fromISO(day, { zone: 'utc' }).toFormat('ccc d LLL');
const at = (instant: string) =>
  `${DateTime.fromISO(instant, { zone: practice.zone }).toFormat('ccc d LLL')}, ${practice.timeOfDay(instant)}`;
function tick(id: string, on: boolean): void {
  visits.value = on ? [...visits.value, id] : visits.value.filter((each) => each !== id);
}
</script>

<template>
  <section class="look" :aria-label="t('whatMoves')">
    <p class="lead">
      <b>{{ look.event.name }}</b>{{ t('to', { date: date(look.event.onDate), date2: date(look.toDay), by: byWords() }) }}
    </p>
    <p v-if="look.lines.length === 0" class="soft">{{ t('noSeasonLineTied') }}</p>
    <div v-for="line in look.lines" :key="line.ownerId" class="line">
      <h3>{{ line.name === 'everybody' ? t('everybody2') : line.name }}</h3>
      <table>
        <thead class="sr-only">
          <tr>
            <th>{{ t('block') }}</th>
            <th>{{ t('now') }}</th>
            <th>{{ t('then') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(block, i) in line.after" :key="i">
            <th scope="row">{{ PHASE_NAMES[block.phase] }}</th>
            <td class="num soft">
              {{ date(line.before.find((each) => each.phase === block.phase && each.fromAnchor === block.fromAnchor)?.from ?? block.from) }}
            </td>
            <td class="num">{{ date(block.from) }} – {{ date(block.until) }}</td>
          </tr>
        </tbody>
      </table>
      <p v-for="block in line.gone" :key="block.from" class="gone">
        {{ t('fromNoDayLeft', { what: PHASE_NAMES[block.phase], date: date(block.from), date2: date(block.until) }) }}
      </p>
    </div>
    <div v-if="look.goals.length > 0" class="line">
      <Checkbox v-model:checked="goals"
        >{{ t('goalsWantedDayGo', { count: look.goals.length })
        }}<span class="soft"
          >&nbsp;({{
            look.goals
              .map(
                (goal) =>
                  `${goal.athleteName}, ${motionOf(goal.motionId).name}${goal.side === 'midline' ? '' : ` ${SIDE_WORDS[goal.side].toLowerCase()}`}`,
              )
              .join('; ')
          }})</span
        ></Checkbox
      >
    </div>
    <div v-if="look.visits.length > 0" class="line">
      <h3>{{ t('bookedVisits') }}</h3>
      <ul>
        <li v-for="visit in look.visits" :key="visit.id">
          <Checkbox :checked="visits.includes(visit.id)" :disabled="visit.past" @change="(event) => tick(visit.id, event.target.checked)"
            >{{ t('to2', { athleteName: visit.athleteName, what: at(visit.startsAt) }) }} <b>{{ at(visit.toStartsAt) }}</b></Checkbox
          >
          <span v-if="visit.past" class="gone">{{ t('dayOver') }}</span>
          <span v-else-if="visit.taken.length > 0" class="gone">{{ t('takenBy', { taken: visit.taken.join(', ') }) }}</span>
        </li>
      </ul>
    </div>
  </section>
</template>

<style scoped>
.look {
  display: grid;
  gap: 12px;
}

.lead {
  margin: 0;
}

h3 {
  margin: 0 0 4px;
  font-size: 14px;
}

table {
  width: 100%;
  border-collapse: collapse;
}

th {
  text-align: left;
  font-weight: 500;
}

th,
td {
  padding: 4px 8px 4px 0;
  border-bottom: 1px solid var(--line-faint);
}

ul {
  list-style: none;
  margin: 0;
  padding: 0;
}

li {
  padding: 4px 0;
}

.gone {
  margin: 4px 0 0;
  color: var(--clay-text);
}
</style>
