<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed, onMounted, ref } from 'vue';
import { HOURS_RANGE, type HoursFile } from '@pace-bend/core/week';
import { api } from '../api/api.ts';
import NumberField from '../parts/NumberField.vue';
import ProblemNote from '../parts/ProblemNote.vue';
import { useAction } from '../parts/useAction.ts';
import { usePractice } from '../stores/practice.ts';
import { useSession } from '../stores/session.ts';
import SpanRows from '../week/SpanRows.vue';
import { newSpan, readSpans, typedSpans, type TypedSpan } from '../week/spans.ts';
import { t } from '../words/practice.ts';

/** When the practice sees people: how long a visit is, how many tables, and each therapist's hours, breaks and most visits a day. */
interface TypedTherapist {
  readonly accountId: string;
  readonly name: string;
  readonly spans: TypedSpan[];
  readonly breaks: TypedSpan[];
  readonly most: number;
}
const session = useSession();
const practice = usePractice();
const readOnly = computed(() => !session.may('PUT', '/week-hours'));
const { busy, problem, run } = useAction();
const file = ref<HoursFile | null>(null);
const numbers = ref<Record<NumberId, number>>({ minutes: 45, pauseMin: 5, tables: 1, apart: 2 });
const therapists = ref<TypedTherapist[]>([]);
const tried = ref(false);
const kept = ref(false);

const NUMBERS = [
  { id: 'minutes', label: t('aVisit'), unit: 'min', step: 5 },
  { id: 'pauseMin', label: t('betweenTwoVisits'), unit: 'min', step: 5 },
  { id: 'tables', label: t('tables'), unit: '', step: 1 },
  { id: 'apart', label: t('fromOneVisitSomebody'), unit: 'days', step: 1 },
] as const;
type NumberId = (typeof NUMBERS)[number]['id'];
const wrongNumber = (id: NumberId | 'most', value: number) => {
  const { min, max } = HOURS_RANGE[id];
  return Number.isInteger(value) && value >= min && value <= max ? '' : t('wholeNumberFrom', { min, max });
};

function take(found: HoursFile): void {
  file.value = found;
  const { minutes, pauseMin, tables, apart } = found.hours;
  numbers.value = { minutes, pauseMin, tables, apart };
  therapists.value = found.therapists.map(({ id, name }) => {
    const hours = found.hours.therapists.find(({ accountId }) => accountId === id);
    return {
      accountId: id,
      name,
      spans: typedSpans(hours?.spans ?? [], practice.clockHabit),
      breaks: typedSpans(hours?.breaks ?? [], practice.clockHabit),
      most: hours?.most ?? 8,
    };
  });
}
const load = () => run(async () => take(await api<HoursFile>('GET', '/week-hours')));
onMounted(load);

function change(accountId: string, next: Partial<TypedTherapist>): void {
  kept.value = false;
  therapists.value = therapists.value.map((each) => (each.accountId === accountId ? { ...each, ...next } : each));
}
/** Weekdays at the usual hours, to begin with. */
const weekdays = () => [1, 2, 3, 4, 5].map((weekday) => newSpan(weekday, practice.clock(8 * 60), practice.clock(18 * 60)));

const wrongs = computed(() => [
  ...NUMBERS.flatMap(({ id, label }) => {
    const wrong = wrongNumber(id, numbers.value[id]);
    return wrong ? [`${label}: ${wrong}`] : [];
  }),
  ...therapists.value.flatMap(({ name, spans, breaks, most }) =>
    [
      ['hours', readSpans(spans).wrong],
      ['breaks', readSpans(breaks).wrong],
      [t('visitsDay'), wrongNumber('most', most)],
    ].flatMap(([what, wrong]) => (wrong ? [`${name}, ${what}: ${wrong}`] : [])),
  ),
]);

async function keep(): Promise<void> {
  tried.value = true;
  if (wrongs.value.length > 0) return;
  kept.value = await run(async () =>
    take(
      await api<HoursFile>('PUT', '/week-hours', {
        revision: file.value!.revision,
        ...numbers.value,
        therapists: therapists.value
          .filter(({ spans }) => spans.length > 0)
          .map(({ accountId, spans, breaks, most }) => ({
            accountId,
            spans: readSpans(spans).spans.map(({ weekday, fromMin, toMin }) => ({ weekday, fromMin, toMin })),
            breaks: readSpans(breaks).spans,
            most,
          })),
      }),
    ),
  );
  if (kept.value) tried.value = false;
}
</script>

<template>
  <ProblemNote v-if="problem && !file" :problem="problem" :retry="load" />
  <p v-else-if="!file" class="soft" role="status">{{ t('reading') }}</p>
  <form v-else novalidate @submit.prevent="keep">
    <section class="card" :aria-label="t('hours')">
      <h2>{{ t('hours') }}</h2>
      <p class="soft">
        {{ t('whatWeekFilledFrom') }}<template v-if="!file.set">{{ t('notSetYetUsual') }}</template
        >.
      </p>
      <div class="numbers">
        <label v-for="each in NUMBERS" :key="each.id"
          ><span>{{ each.label }}</span
          ><NumberField
            :value="numbers[each.id]"
            :label="each.label"
            :unit="each.unit"
            :step="each.step"
            :wrong="wrongNumber(each.id, numbers[each.id]) !== ''"
            :disabled="readOnly"
            @change="
              (value) => {
                kept = false;
                numbers = { ...numbers, [each.id]: value };
              }
            "
        /></label>
      </div>
      <section v-for="each in therapists" :key="each.accountId" class="therapist" :aria-label="t('hoursOf', { name: each.name })">
        <h3>{{ each.name }}</h3>
        <div class="columns">
          <div>
            <h4>{{ t('seesPeople') }}</h4>
            <p v-if="each.spans.length === 0" class="soft">
              {{ t('noWeekHere') }}
              <Button
                v-if="!readOnly"
                size="small"
                :aria-label="t('weekdays8To18', { name: each.name })"
                @click="change(each.accountId, { spans: weekdays() })"
                >{{ t('weekdays818') }}</Button
              >
            </p>
            <SpanRows
              :rows="each.spans"
              :label="t('hoursOf', { name: each.name })"
              :most="HOURS_RANGE.spans"
              :disabled="readOnly"
              @change="(spans) => change(each.accountId, { spans })"
            />
          </div>
          <div v-if="each.spans.length > 0">
            <h4>{{ t('notBooked') }}</h4>
            <SpanRows
              :rows="each.breaks"
              :label="t('breaksOf', { name: each.name })"
              :most="HOURS_RANGE.spans"
              with-words
              :disabled="readOnly"
              @change="(breaks) => change(each.accountId, { breaks })"
            />
            <label class="most"
              ><span>{{ t('visitsDayHandsAllow') }}</span
              ><NumberField
                :value="each.most"
                :label="t('visitsADayOf', { name: each.name })"
                unit=""
                :step="1"
                :wrong="wrongNumber('most', each.most) !== ''"
                :disabled="readOnly"
                @change="(most) => change(each.accountId, { most })"
            /></label>
          </div>
        </div>
      </section>
      <p class="soft small">{{ t('whereThereFewerTables') }}</p>
      <ul v-if="tried && wrongs.length > 0" class="wrong" role="alert">
        <li v-for="message in wrongs" :key="message">{{ message }}</li>
      </ul>
      <p v-if="problem" class="wrong" role="alert">{{ problem.message }}</p>
      <div v-if="!readOnly" class="choices">
        <Button type="primary" size="large" html-type="submit" :loading="busy">{{ t('keep') }}</Button><span
          v-if="kept"
          class="soft"
          role="status"
          >{{ t('kept') }}</span
        >
      </div>
      <p v-else class="soft">{{ t('therapistsSet') }}</p>
    </section>
  </form>
</template>

<style scoped>
.numbers {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 22px;
  margin: 10px 0;
}

.numbers label,
.most {
  display: grid;
  gap: 3px;
}

.therapist {
  margin-top: 14px;
  padding-top: 10px;
  border-top: 1px solid var(--line);
}

h3,
h4 {
  margin: 0 0 6px;
}

.columns {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(330px, 100%), 1fr));
  gap: 14px 28px;
}

.most {
  margin-top: 10px;
}
</style>
