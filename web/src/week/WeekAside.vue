<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { DateTime } from 'luxon';
import { computed } from 'vue';
import { motionOf } from '@pace-bend/core/body';
import { formatValue } from '@pace-bend/core/measure';
import { WEEK_WEIGHTS, type LeftOut, type OneMore, type WeekPerson, type WorkSlot } from '@pace-bend/core/week';
import { usePractice } from '../stores/practice.ts';
import { dayName, degreesWords } from './cells.ts';
import SeenTicks from './SeenTicks.vue';
import { t } from '../words/week.ts';

/** Beside the week: what stands behind the chosen time, who is left out and why, and what one more time would bring. */
const props = defineProps<{
  person: WeekPerson | null;
  time: WorkSlot | null;
  /** Whether somebody lies in the chosen time already. */
  taken: boolean;
  people: readonly WeekPerson[];
  leftOut: readonly LeftOut[];
  out: readonly string[];
  more: readonly OneMore[] | null;
  nameOf: (accountId: string) => string;
  severalTherapists: boolean;
  mayChange: boolean;
}>();
defineEmits<{ put: [athleteId: string]; letIn: [athleteId: string]; open: [slot: WorkSlot]; times: [person: WeekPerson] }>();

const practice = usePractice();
const when = ({ date, fromMin }: WorkSlot) => `${dayName(date)} ${practice.clock(fromMin)}`;
const amount = (person: WeekPerson, nth: number) => {
  const { brings } = person;
  return brings ? `+${formatValue(Math.max(0, brings.kept[nth]!.middle), motionOf(brings.motionId).unit, 1)}` : '–';
};
const range = (person: WeekPerson) => {
  const kept = person.brings!.kept[0]!;
  const { unit } = motionOf(person.brings!.motionId);
  const signed = (value: number) => `${value < 0 ? '−' : '+'}${formatValue(Math.abs(value), unit, 1)}`;
  return t('eightTen', { signed: signed(kept.low), signed2: signed(kept.high) });
};
/** What lies around the chosen day: training, events. */
const around = computed(() => {
  if (!props.person || !props.time) return [];
  const { days, eventAfter } = props.person;
  const { day, date } = props.time;
  const rows: { readonly head: string; readonly words: string }[] = [];
  const here = days[day]!;
  if (here.because !== '') rows.push({ head: t('season'), words: here.because });
  if (here.trainingMin > 0)
    rows.push({
      head: t('trainingPlanned'),
      words: t('min', { trainingMin: here.trainingMin, what: here.trainingMin >= WEEK_WEIGHTS.longTrainingMin ? t('long') : '' }),
    });
  const next = [...days.slice(day).flatMap(({ events }) => events), ...(eventAfter ? [eventAfter] : [])].sort((a, b) =>
    a.onDate < b.onDate ? -1 : 1,
  )[0];
  if (next) {
    const inDays = Math.round(DateTime.fromISO(next.onDate).diff(DateTime.fromISO(date), 'days').days);
    rows.push({ head: next.name, words: inDays === 0 ? t('thatDay') : inDays === 1 ? t('dayAfter') : t('daysAfter', { inDays }) });
  }
  return rows;
});
const gains = ({ gains: names }: OneMore) => (names.length === 0 ? '' : `: ${names.join(', ')}`);
const useful = computed(() => (props.more ?? []).filter(({ adds }) => adds >= 0.05));
const MOST_SHOWN = 3;
</script>

<template>
  <aside :aria-label="t('aboutWeek')">
    <section v-if="time" class="chosen" aria-live="polite">
      <h2>{{ person ? `${person.name}, ${when(time)}` : t('free', { when: when(time) }) }}</h2>
      <template v-if="person">
        <dl>
          <template v-if="person.brings">
            <dt>{{ t('firstVisitWeek') }}</dt>
            <dd>
              <b>{{ amount(person, 0) }}</b>
            </dd>
            <dt>{{ t('secondWouldAdd') }}</dt>
            <dd>
              <b>{{ amount(person, 1) }}</b>
            </dd>
          </template>
          <dt>{{ t('lastVisitBefore') }}</dt>
          <dd>
            <b>{{ person.lastDays === null ? t('none') : t('daysBeforeMonday', { lastDays: person.lastDays }) }}</b>
          </dd>
          <template v-for="row in around" :key="row.head">
            <dt>{{ row.head }}</dt>
            <dd>
              <b>{{ row.words }}</b>
            </dd>
          </template>
        </dl>
        <p v-if="person.brings" class="small soft">
          {{
            t('expectedKept', {
              motionOf: motionOf(person.brings.motionId).name,
              what: person.brings.side === 'midline' ? '' : ` ${person.brings.side}`,
              range: range(person),
            })
          }}
        </p>
        <p v-for="reason in person.reasons" :key="reason.words" class="small">{{ reason.words }}.</p>
        <button v-if="mayChange" type="button" class="link small" @click="$emit('times', person)">{{ t('whenTheyCanCome') }}</button>
      </template>
      <p v-else class="small soft">{{ t('chooseSomebodyBelowPut') }}</p>
    </section>

    <section class="left" :aria-label="t('leftOut2')">
      <h2>{{ t('leftOut2') }}</h2>
      <p v-if="people.length === 0" class="soft">{{ t('thereNobodySeeYet') }}</p>
      <p v-else-if="leftOut.length === 0" class="soft">{{ t('nobodyEverybodyVisit') }}</p>
      <ul>
        <li v-for="each in leftOut" :key="people[each.person]!.id">
          <div class="top">
            <RouterLink :to="`/athlete/${people[each.person]!.id}`" class="name">{{ people[each.person]!.name }}</RouterLink>
            <SeenTicks :seen="people[each.person]!.seen" />
          </div>
          <p class="small">
            {{ each.words }}
            <b v-if="people[each.person]!.leftOut >= 3 && each.would > 0" class="third">{{ t('leftOutThreeWeeks') }}</b>
          </p>
          <span v-if="mayChange" class="acts small">
            <button
              v-if="time && !taken"
              type="button"
              class="link"
              :aria-label="t('putIn2', { name: people[each.person]!.name, when: when(time) })"
              @click="$emit('put', people[each.person]!.id)"
            >
              {{ t('putIn', { clock: practice.clock(time.fromMin) }) }}
            </button>
            <button
              v-if="out.includes(people[each.person]!.id)"
              type="button"
              class="link"
              @click="$emit('letIn', people[each.person]!.id)"
            >
              {{ t('letAgain') }}
            </button>
            <button type="button" class="link" @click="$emit('times', people[each.person]!)">{{ t('whenTheyCanCome') }}</button>
          </span>
        </li>
      </ul>
    </section>

    <section class="more" :aria-label="t('oneMoreVisit')">
      <h2>{{ t('oneMoreVisit') }}</h2>
      <p v-if="more === null" class="soft small" role="status">{{ t('fillWeekSeeWhat') }}</p>
      <p v-else-if="more.length === 0" class="soft small">{{ t('noDayRoomAfter') }}</p>
      <p v-else-if="useful.length === 0" class="small">{{ t('noDayWouldOne') }}</p>
      <ul v-else>
        <li v-for="each in useful.slice(0, MOST_SHOWN)" :key="each.slot.key">
          <p class="small">
            <b>{{ each.exact ? '' : `${t('atLeast')} ` }}{{ degreesWords(each.adds) }}</b>
            {{
              t('asItIsWeighed', {
                when: when(each.slot),
                what: severalTherapists ? `, ${nameOf(each.slot.accountId)}` : '',
                gains: gains(each),
              })
            }}
          </p>
          <Button v-if="mayChange" size="small" @click="$emit('open', each.slot)">{{
            t('open', { dayName: dayName(each.slot.date).slice(0, 3), clock: practice.clock(each.slot.fromMin) })
          }}</Button>
        </li>
      </ul>
    </section>
  </aside>
</template>

<style scoped>
aside {
  display: grid;
  align-content: start;
  gap: 18px;
}

section {
  padding-top: 8px;
  border-top: 3px solid var(--spruce);
}

.chosen {
  border-color: var(--sun);
}

.left {
  border-color: var(--clay);
}

h2 {
  margin: 0 0 6px;
  font-size: 17px;
}

dl {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0;
  margin: 0 0 6px;
}

dt,
dd {
  margin: 0;
  padding: 4px 0;
  border-bottom: 1px solid var(--line-faint);
}

dd {
  padding-left: 10px;
  text-align: right;
}

p {
  margin: 0 0 4px;
}

ul {
  list-style: none;
  margin: 0;
  padding: 0;
}

li {
  padding: 6px 0 8px;
  border-bottom: 1px solid var(--line-faint);
}

.top {
  display: flex;
  justify-content: space-between;
  gap: 8px;
}

.name {
  color: var(--ink);
  font-weight: 600;
  text-decoration: none;
}

.name:hover {
  text-decoration: underline;
}

.third {
  color: var(--clay-text);
}

.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
}

@container page (max-width: 972px) {
  aside {
    grid-template-columns: repeat(auto-fit, minmax(min(230px, 100%), 1fr));
  }
}

@media (pointer: coarse) {
  .acts .link {
    min-height: 44px;
  }
}
</style>
