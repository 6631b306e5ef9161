<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue';
import { DateTime } from 'luxon';
import { REGIONS, type Region } from '@pace-bend/core/body';
import { doseLine, keptBeside } from '@pace-bend/core/home';
import { findingLines } from '@pace-bend/core/finding';
import { motionOf } from '@pace-bend/core/body';
import { formatSigned, formatValue } from '@pace-bend/core/measure';
import {
  HOME_DONE,
  historyOf,
  historyVisits,
  historyWays,
  inRegion,
  type AthleteFile,
  type AthleteHistory,
  type HistoryLine,
  type HistoryVisit,
} from '@pace-bend/core/record';
import { api } from '../api/api.ts';
import PickOne from '../parts/PickOne.vue';
import ProblemNote from '../parts/ProblemNote.vue';
import { useAction } from '../parts/useAction.ts';
import { usePractice } from '../stores/practice.ts';
import { useShelf } from '../stores/shelf.ts';
import { t } from '../words/athlete.ts';

/** What was done, what was found and how it answered, visit by visit; what hands found over the visits; and all that is dated. */
const props = defineProps<{ file: AthleteFile }>();
const practice = usePractice();
const shelf = useShelf();
const { problem, run } = useAction();
const history = shallowRef<AthleteHistory | null>(null);
const load = () =>
  run(async () => {
    await shelf.load();
    history.value = await api<AthleteHistory>('GET', `/athletes/${encodeURIComponent(props.file.athlete.id)}/history`);
  });
watch(() => props.file.athlete.id, load, { immediate: true });

const region = ref<Region | ''>('');
const way = ref('');
const all = computed(() => (history.value ? historyVisits(props.file, history.value, shelf.shelf) : []));
const shown = computed(() => inRegion(all.value, region.value === '' ? null : region.value, way.value === '' ? null : way.value));
const regions = computed(() => {
  const there = new Set(
    all.value.flatMap((visit) => [...visit.done, ...visit.found, ...visit.answered, ...visit.home]).flatMap((each) => each.regions),
  );
  return REGIONS.filter(({ id }) => there.has(id)).map(({ id, name }) => ({ value: id as Region | '', label: name }));
});
const ways = computed(() =>
  historyWays(all.value).map(({ methodId, times }) => ({
    value: methodId,
    label: `${shelf.shelf.methods.get(methodId)?.name ?? t('noLongerShelf')}, ${times} ×`,
  })),
);
/** The visit of today, or the next, that a plan can be begun in: open, and not over. */
const openVisit = computed(() => {
  const open = props.file.visits.filter(
    (visit) => visit.finishedAt === null && visit.cancelledAt === null && practice.dayOf(visit.startsAt) >= practice.today,
  );
  return [...open].sort((a, b) => (a.startsAt < b.startsAt ? -1 : 1))[0] ?? null;
});

const lines = computed(() => findingLines(history.value?.findings ?? []));
const dayWords = (instant: string) => DateTime.fromISO(instant, { zone: practice.zone }).toFormat('d LLL yyyy');

const atHome = computed(() =>
  [...(history.value?.home ?? [])].reverse().map((past) => ({
    past,
    beside: keptBeside(past, props.file.past, props.file.errors, shelf.shelf),
  })),
);
const doneWords = (answer: string | undefined) => HOME_DONE.find(({ id }) => id === answer)?.words ?? t('notAskedAbout');
/** What changed stands by itself; what did not is a touch away. */
const quiet = (visit: HistoryVisit) => visit.answered.filter(({ isReal }) => !isReal);
const told = (part: 'done' | 'found' | 'answered' | 'home', visit: HistoryVisit) =>
  part === 'answered' ? visit.answered.filter(({ isReal }) => isReal) : visit[part];
const PART_WORDS = [
  ['done', t('done')],
  ['found', t('found')],
  ['answered', t('answered')],
  ['home', t('atHome')],
] as const;

const KIND_WORDS: Record<HistoryLine['kind'], string> = {
  visit: t('visit'),
  referral: t('referral'),
  condition: t('condition'),
  resolved: t('over'),
  operation: t('operation'),
  clearance: t('clearance'),
  'no-touch': t('noTouch'),
  event: t('event'),
};
const years = computed(() => {
  const found = new Map<string, HistoryLine[]>();
  for (const line of historyOf(props.file, practice.today, practice.dayOf))
    found.set(line.on.slice(0, 4), [...(found.get(line.on.slice(0, 4)) ?? []), line]);
  return [...found];
});
const dayOfYear = (day: string) => DateTime.fromISO(day).toFormat('d LLL');
</script>

<template>
  <div class="history">
    <section class="card" :aria-label="t('visitVisit')">
      <header>
        <h2>{{ t('visitVisit') }}</h2>
        <span v-if="history && all.length > 0" class="filters">
          <PickOne
            :value="region"
            :label="t('partBody')"
            :options="[{ value: '' as Region | '', label: t('wholeBody') }, ...regions]"
            @change="(value) => (region = value)"
          />
          <PickOne
            :value="way"
            :label="t('wayWorking')"
            :options="[{ value: '', label: t('everyWay') }, ...ways]"
            @change="(value) => (way = value)"
          />
        </span>
      </header>
      <ProblemNote v-if="problem && !history" :problem="problem" :retry="load" />
      <p v-else-if="!history" class="soft">{{ t('openingHistory') }}</p>
      <p v-else-if="all.length === 0" class="soft">{{ t('nothingDoneFoundYet') }}</p>
      <p v-else-if="shown.length === 0" class="soft">
        {{ t('noVisitBoth') }} <button type="button" class="link" @click="((region = ''), (way = ''))">{{ t('showEveryVisit') }}</button>
      </p>
      <ol v-else class="plain visits">
        <li v-for="visit in shown" :key="visit.visitId" class="visit">
          <div class="head">
            <RouterLink :to="`/visit/${visit.visitId}`">{{ dayWords(visit.startsAt) }}</RouterLink>
            <span v-if="visit.complaint" class="soft">{{ visit.complaint }}</span>
            <RouterLink
              v-if="visit.hasPlan && openVisit && openVisit.id !== visit.visitId"
              class="small end"
              :to="`/visit/${openVisit.id}/plan?from=${visit.visitId}`"
              >{{ t('startFromPlan') }}<span class="sr-only">{{ t('of', { day: dayWords(visit.startsAt) }) }}</span></RouterLink
            >
          </div>
          <dl>
            <template v-for="[part, label] in PART_WORDS" :key="part">
              <template v-if="visit[part].length > 0">
                <dt class="soft small">{{ label }}</dt>
                <dd>
                  <p v-for="(each, i) in told(part, visit)" :key="i" :class="{ real: each.isReal }">{{ each.words }}</p>
                  <details v-if="part === 'answered' && quiet(visit).length > 0">
                    <summary class="soft small">
                      {{
                        t('withinErrorNotRead', {
                          quiet: quiet(visit).length,
                          quiet2: quiet(visit).length === 1 ? t('reading2') : t('readings'),
                        })
                      }}
                    </summary>
                    <p v-for="(each, i) in quiet(visit)" :key="i" class="small">{{ each.words }}</p>
                  </details>
                </dd>
              </template>
            </template>
          </dl>
        </li>
      </ol>
    </section>

    <section v-if="lines.length > 0" class="card" :aria-label="t('whatHandsFound')">
      <h2>{{ t('whatHandsFound') }}</h2>
      <ul class="plain lines">
        <li v-for="line in lines" :key="`${line.subject} ${line.side}`" :class="{ gone: line.goneSince !== null }">
          <b>{{ line.place }}</b>
          <span>
            {{
              t('firstFound', {
                findLast: line.looks.findLast((look) => !look.isClean)?.words,
                day: dayWords(line.firstAt),
                what: line.times === 1 ? t('once') : t('times', { times: line.times }),
                what2: line.looks.length === 1 ? t('oneLook') : t('looks', { count: line.looks.length }),
              })
            }}<template v-if="line.goneSince">{{ t('goneSince', { day: dayWords(line.goneSince) }) }}</template>
          </span>
          <span class="dots" role="img" :aria-label="line.looks.map((look) => (look.isClean ? 'clean' : look.words)).join(', ')">
            <i v-for="look in line.looks" :key="look.visitId + look.foundAt" :class="{ clean: look.isClean }">{{
              look.isClean ? '' : (look.tenderness ?? '')
            }}</i>
          </span>
        </li>
      </ul>
    </section>

    <section v-if="atHome.length > 0" class="card" :aria-label="t('homeWork')">
      <h2>{{ t('homeWork') }}</h2>
      <ol class="plain visits">
        <li v-for="{ past, beside } in atHome" :key="past.sheet.visitId" class="visit">
          <div class="head">
            <b>{{ dayWords(past.sheet.startsAt) }}</b>
            <span class="soft small">{{ past.asked ? t('asked', { day: dayWords(past.asked.startsAt) }) : t('notAskedAboutYet') }}</span>
          </div>
          <ul class="plain">
            <li v-for="item in past.sheet.items" :key="item.id" class="given">
              <span
                >{{ item.name }} <span class="soft small">{{ doseLine(item) }}</span></span
              >
              <b>{{ doneWords(past.asked?.answers[item.id]) }}</b>
              <span v-for="each in beside.filter(({ itemId }) => itemId === item.id)" :key="each.motionId + each.side" class="small beside">
                {{ motionOf(each.motionId).name }}{{ each.side === 'midline' ? '' : `, ${each.side}` }}:
                <template v-if="each.gained !== null"
                  >{{ t('atTheTable', { signed: formatSigned(each.gained, motionOf(each.motionId).unit) }) }}{{ ' ' }}</template
                >{{
                  t('stillThere', {
                    signed: formatSigned(each.kept, motionOf(each.motionId).unit),
                    value: formatValue(each.error, motionOf(each.motionId).unit),
                  })
                }}
              </span>
            </li>
          </ul>
        </li>
      </ol>
      <p class="soft small">{{ t('whatStandsBesidePair') }}</p>
    </section>

    <section class="card" :aria-label="t('history')">
      <h2>{{ t('byDate') }}</h2>
      <p v-if="years.length === 0" class="soft">{{ t('nothingYetVisitsConditions') }}</p>
      <div v-for="[year, entries] in years" :key="year" class="year">
        <h3 class="num">{{ year }}</h3>
        <ol class="plain">
          <li v-for="(line, i) in entries" :key="i" class="dated" :class="line.kind">
            <span class="num on">{{ dayOfYear(line.on) }}</span>
            <span class="kind small">{{ KIND_WORDS[line.kind] }}</span>
            <RouterLink v-if="line.visitId" :to="`/visit/${line.visitId}`">{{ line.words }}</RouterLink>
            <span v-else>{{ line.words }}</span>
          </li>
        </ol>
      </div>
    </section>
  </div>
</template>

<style scoped>
.history {
  display: grid;
  gap: 16px;
}

header,
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 14px;
}

.filters {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-left: auto;
}

.filters :deep(.ant-select) {
  min-width: 190px;
}

.end {
  margin-left: auto;
}

.visit {
  padding: 10px 0;
  border-top: 1px solid var(--line);
}

dl {
  display: grid;
  grid-template-columns: 86px minmax(0, 1fr);
  gap: 4px 12px;
  margin: 6px 0 0;
}

dd {
  margin: 0;
}

.real {
  font-weight: 600;
}

.lines {
  display: grid;
  gap: 10px;
  margin-top: 8px;
}

.lines li {
  display: grid;
  gap: 2px;
}

.gone {
  color: var(--soft);
}

.dots {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}

.dots i {
  min-width: 24px;
  height: 24px;
  border: 1.5px solid var(--clay);
  border-radius: 12px;
  color: var(--ink);
  font: 600 13px/21px var(--figures);
  text-align: center;
}

.dots .clean {
  border-color: var(--tick);
  border-style: dashed;
}

.given {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 2px 14px;
  padding: 4px 0;
}

.beside {
  grid-column: 1 / -1;
}

h3 {
  margin: 10px 0 4px;
}

.dated {
  display: grid;
  grid-template-columns: 62px 92px minmax(0, 1fr);
  align-items: baseline;
  gap: 10px;
  padding: 6px 0 6px 12px;
  border-left: 3px solid var(--line);
}

.on {
  text-align: right;
}

.kind {
  color: var(--soft);
}

.operation,
.referral,
.condition {
  border-left-color: var(--clay);
}

.clearance,
.resolved {
  border-left-color: var(--spruce);
}

.event {
  border-left-color: var(--slate);
}
</style>
