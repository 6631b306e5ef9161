<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed, onMounted, ref, watch } from 'vue';
import { motionOf, type Motion, type Side } from '@pace-bend/core/body';
import { comparisonResult, saysWhich, type Comparison, type ComparisonFields, type ResponseFacts, type Which } from '@pace-bend/core/cycle';
import { daysBetween } from '@pace-bend/core/caution';
import { usePractice } from '../../stores/practice.ts';
import { useSession } from '../../stores/session.ts';
import { useShelf } from '../../stores/shelf.ts';
import ComparisonDialog from './ComparisonDialog.vue';
import { useComparisons } from './useComparisons.ts';
import { amount } from './words.ts';
import { t } from '../../words/athlete.ts';

/** Two ways held against each other on this athlete: pairs of visits in an order drawn by lot, what each left, and what may be said of it. */
const props = defineProps<{ athleteId: string; motion: Motion; side: Side; facts: ResponseFacts }>();
const practice = usePractice();
const session = useSession();
const shelf = useShelf();
const { busy, problem, comparisons, load, plan, end } = useComparisons(() => props.athleteId);
onMounted(load);
watch(() => props.athleteId, load);

const here = computed(() => (comparisons.value ?? []).filter(({ motionId, side }) => motionId === props.motion.id && side === props.side));
const isRunning = ({ endedOn, order, pairs }: Comparison, done: number) =>
  endedOn === null && (order.length < pairs * 2 || done < pairs * 2);
const shown = computed(() =>
  here.value.map((comparison) => {
    const result = comparisonResult(comparison, props.facts, practice.dayOf);
    return { comparison, result, running: isRunning(comparison, result.visits.length), words: wordsOf(comparison, result) };
  }),
);
/** One runs at a time, on whichever motion. */
const runs = computed(() =>
  (comparisons.value ?? []).find((each) => isRunning(each, comparisonResult(each, props.facts, practice.dayOf).visits.length)),
);
const wayName = ({ ways }: Comparison, which: Which) => shelf.shelf.methods.get(ways[which === 'a' ? 0 : 1])?.name ?? t('wayGone');

/** What may be said: which leaves more only where so few of the orders that could have been drawn show as much. */
function wordsOf(comparison: Comparison, { test, otherwise, differences }: ReturnType<typeof comparisonResult>): string {
  const dropped =
    otherwise === 0 ? '' : ` ${t('notCountSomethingElse', { otherwise, what: otherwise === 1 ? t('pairDoes') : t('pairsDo') })}`;
  if (!test) return t('noPairCompleteYet', { dropped });
  const [more, less]: [Which, Which] = test.mean >= 0 ? ['a', 'b'] : ['b', 'a'];
  const pairs = `${differences.length} ${differences.length === 1 ? 'pair' : 'pairs'}`;
  const orders = t('ordersCouldBeenDrawn', { asFar: test.asFar, orders: test.orders });
  const lead = t('leftMoreVisitThan', {
    wayName: wayName(comparison, more),
    amount: amount(Math.abs(test.mean), props.motion.unit),
    wayName2: wayName(comparison, less),
  });
  return saysWhich(test)
    ? t('in', { lead, pairs, orders, dropped })
    : t('notEnoughSayBut', { pairs, what: lead[0]!.toLowerCase(), lead: lead.slice(1), orders, dropped });
}
function boundsWords({ comparison, result }: (typeof shown.value)[number]): string {
  const interval = result.test?.interval;
  if (!interval) return '';
  const signed = (value: number) => `${value < 0 ? '−' : '+'}${amount(Math.abs(value), props.motion.unit)}`;
  return t('whatLeavesMoreLies', {
    wayName: wayName(comparison, 'a'),
    signed: signed(interval.low),
    signed2: signed(interval.high),
    floor: Math.floor(interval.level * 100),
  });
}
const planning = ref(false);
async function keep(fields: ComparisonFields): Promise<void> {
  if (await plan(fields)) planning.value = false;
}
const daysAgo = (day: string) => daysBetween(day, practice.today);
</script>

<template>
  <section class="card" :aria-label="t('comparisonTwoWays')">
    <h2>{{ t('twoWaysHeldAgainst') }}</h2>
    <p v-if="problem" class="wrong small" role="alert">
      {{ problem.message }} <button v-if="comparisons === null" type="button" class="link" @click="load">{{ t('tryAgain') }}</button>
    </p>
    <p v-if="comparisons === null && !problem" class="soft" role="status">{{ t('reading') }}</p>
    <template v-if="comparisons !== null">
      <p v-if="shown.length === 0" class="soft">
        {{ t('noneHereYetPairs') }}
      </p>
      <div v-for="each in shown" :key="each.comparison.id" class="one">
        <p>
          <b>{{ wayName(each.comparison, 'a') }}</b> {{ t('and') }} <b>{{ wayName(each.comparison, 'b') }}</b>,
          {{ shelf.entryOf(each.comparison.entryId).name }}:
          {{
            each.running
              ? t('visitDone', { count: each.result.visits.length, what: each.comparison.pairs * 2 })
              : each.comparison.endedOn
                ? t('endedEarly')
                : t('done2')
          }}<span class="soft small">{{ t('begunDaysAgo', { daysAgo: daysAgo(each.comparison.startedOn) }) }}</span>
        </p>
        <ol v-if="each.result.visits.length > 0" :aria-label="t('visitsComparisonPairs', { pairs: each.comparison.pairs })">
          <li
            v-for="(visit, i) in each.result.visits"
            :key="visit.visitId"
            :class="{ second: i % 2 === 1, off: visit.did !== visit.planned }"
          >
            <span class="small">{{ practice.shortDate(visit.startsAt) }}</span>
            <span>{{ wayName(each.comparison, visit.planned) }}</span>
            <span class="num">{{
              visit.did !== visit.planned
                ? t('otherWayDone')
                : visit.kept === null
                  ? t('notReadYet')
                  : `${visit.kept < 0 ? '−' : '+'}${amount(Math.abs(visit.kept), motion.unit)}`
            }}</span>
          </li>
        </ol>
        <p role="status">{{ each.words }}</p>
        <p v-if="boundsWords(each)" class="small soft">{{ boundsWords(each) }}</p>
        <p v-if="each.running" class="small soft">{{ t('whichWayComesNext') }}</p>
        <Button
          v-if="each.running && session.may('POST', '/athletes/:id/comparisons/:comparisonId/end')"
          size="small"
          :loading="busy"
          @click="end(each.comparison)"
          >{{ t('endEarly') }}</Button
        >
      </div>
      <Button
        v-if="!runs && session.may('PUT', '/athletes/:id/comparisons/:comparisonId')"
        size="small"
        :disabled="busy"
        @click="planning = true"
        >{{ t('planComparison') }}</Button
      >
      <p v-else-if="shown.length === 0 && runs" class="small soft">
        {{ t('oneRuns', { motionOf: motionOf(runs.motionId).name, what: runs.side === 'midline' ? '' : ` ${runs.side}` }) }}
      </p>
    </template>
    <ComparisonDialog
      v-if="planning"
      :open="true"
      :motion="motion"
      :side="side"
      :facts="facts"
      :busy="busy"
      :refused="problem?.message ?? ''"
      @update:open="planning = false"
      @keep="keep"
    />
  </section>
</template>

<style scoped>
h2 {
  margin-bottom: 6px;
}

p {
  margin: 0 0 6px;
}

ol {
  list-style: none;
  margin: 4px 0 8px;
  padding: 0;
}

li {
  display: grid;
  grid-template-columns: 64px minmax(0, 1fr) auto;
  gap: 8px;
  padding: 2px 0;
}

li.second {
  padding-bottom: 5px;
  margin-bottom: 4px;
  border-bottom: 1px solid var(--line-faint);
}

li.off {
  color: var(--soft);
}

.one + .one {
  margin-top: 10px;
  padding-top: 10px;
  border-top: 1px solid var(--line);
}
</style>
