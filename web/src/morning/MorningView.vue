<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed, nextTick, onMounted, ref, shallowRef } from 'vue';
import { DateTime } from 'luxon';
import { formatNumber } from '@pace-bend/core/measure';
import { ANSWERS_NEEDED } from '@pace-bend/core/readiness';
import type { MorningPage, MorningRow, MorningValue, Squad } from '@pace-bend/core/record';
import { api } from '../api/api.ts';
import { isKey, whichKey } from '../parts/keys.ts';
import { normalWords } from '../parts/normalWords.ts';
import OwnNormal from '../parts/OwnNormal.vue';
import PickOne from '../parts/PickOne.vue';
import ProblemNote from '../parts/ProblemNote.vue';
import ReadinessMark from '../parts/ReadinessMark.vue';
import { useAction } from '../parts/useAction.ts';
import { isTyping } from '../parts/useGlobalKeys.ts';
import { usePractice } from '../stores/practice.ts';
import LinkDialog from './LinkDialog.vue';
import { useWindowKeys } from '../parts/useWindowKeys.ts';
import { t } from '../words/morning.ts';

/** A squad's morning on one screen: who is off their own normal and why, who has not answered. */
const practice = usePractice();
const { problem, run } = useAction();
const page = shallowRef<MorningPage | null>(null);
const squads = shallowRef<readonly Squad[]>([]);
const squadId = ref('all');
const only = ref<MorningRow['verdict']['word'] | null>(null);
const asking = ref(false);
const askedOf = shallowRef<{ readonly id: string; readonly name: string } | null>(null);

const load = () =>
  run(async () => {
    await practice.load();
    const wanted = squadId.value;
    const [found, known] = await Promise.all([
      api<MorningPage>('GET', `/morning${wanted === 'all' ? '' : `?squad=${wanted}`}`),
      squads.value.length > 0 ? { squads: squads.value } : api<{ squads: Squad[] }>('GET', '/squads'),
    ]);
    if (wanted !== squadId.value) return;
    page.value = found;
    squads.value = known.squads;
  });
onMounted(load);

const WORDS = ['ready', 'ease', 'hold', 'not known'] as const;
const counts = computed(() =>
  WORDS.map((word) => ({ word, count: page.value?.rows.filter((row) => row.verdict.word === word).length ?? 0 })),
);
const rows = computed(() => (page.value?.rows ?? []).filter((row) => only.value === null || row.verdict.word === only.value));
const answered = computed(() => page.value?.rows.filter((row) => row.answered !== null).length ?? 0);
const last = computed(
  () => page.value?.rows.reduce((latest, row) => (row.answered && row.answered.at > latest ? row.answered.at : latest), '') ?? '',
);
const squad = computed(() => squads.value.find(({ id }) => id === squadId.value) ?? null);
const items = computed(() => page.value?.rows[0]?.items ?? []);

/** So many reasons are said in the row; all of them on the person’s own pages. */
const SAID = 2;
function why(row: MorningRow): string {
  const { reasons, missing } = row.verdict;
  if (reasons.length > 0)
    return `${reasons
      .slice(0, SAID)
      .map((each) => each.reason)
      .join(' ')}${reasons.length > SAID ? ` ${t('andMore', { what: reasons.length - SAID })}` : ''}`;
  if (!row.answered) return t('notAnswered');
  if (row.sum.missing > 0) return t('answersFar', { what: ANSWERS_NEEDED - row.sum.missing, answersNeeded: ANSWERS_NEEDED });
  return missing.length > 0 ? t('missing', { missing: missing.join(', ') }) : t('withinOwnNormal');
}
const said = (value: MorningValue) =>
  normalWords({ name: value.name, value: value.value, median: value.normal?.median ?? null, off: value.off, missing: value.missing });

function ask(row: MorningRow | null): void {
  askedOf.value = row;
  asking.value = true;
}

const table = ref<HTMLElement | null>(null);
function onKey(event: KeyboardEvent): void {
  if (isTyping(event) || asking.value || rows.value.length === 0) return;
  const links = [...(table.value?.querySelectorAll<HTMLElement>('[data-person]') ?? [])];
  const at = links.indexOf(document.activeElement as HTMLElement);
  const by = whichKey(event, 'otherPerson');
  if (by !== null) {
    event.preventDefault();
    void nextTick(() => links[Math.min(links.length - 1, Math.max(0, at + (by === 0 ? -1 : 1)))]?.focus());
  } else if (isKey(event, 'askAgain') && at >= 0) {
    event.preventDefault();
    ask(rows.value[at]!);
  }
}
useWindowKeys(onKey);
</script>

<template>
  <div class="page">
    <header>
      <div>
        <h1>{{ t('morning') }}</h1>
        <p v-if="page" class="soft small">
          {{ t('ofAnswered', { fromISO: DateTime.fromISO(page.date).toFormat('cccc d LLLL'), answered, count: page.rows.length })
          }}<template v-if="last">{{ t('last', { timeOfDay: practice.timeOfDay(last) }) }}</template>
        </p>
      </div>
      <PickOne
        v-if="squads.length > 0"
        class="which"
        :label="t('squadShown')"
        :value="squadId"
        :options="[{ value: 'all', label: t('everybody') }, ...squads.map((each) => ({ value: each.id, label: each.name }))]"
        @change="
          (id) => {
            squadId = id;
            only = null;
            void load();
          }
        "
      />
      <div v-if="page" class="counts" role="group" :aria-label="t('showOnly')">
        <button
          v-for="each in counts"
          :key="each.word"
          type="button"
          :aria-pressed="only === each.word"
          @click="only = only === each.word ? null : each.word"
        >
          <ReadinessMark :shape="each.word" aria-hidden="true" /><b class="num">{{ each.count }}</b> {{ each.word }}
        </button>
      </div>
      <span class="end choices">
        <Button v-if="squad" @click="ask(null)">{{ t('squadsTablet') }}</Button>
        <Button @click="load">{{ t('lookAgain') }}</Button>
      </span>
    </header>
    <ProblemNote v-if="problem" :problem="problem" :retry="load" />
    <p v-else-if="!page" class="soft">{{ t('openingMorning') }}</p>
    <p v-else-if="page.rows.length === 0" class="card soft">
      {{ t('nobodyHereYetPeople') }}
    </p>
    <div v-else class="scroll">
      <table ref="table">
        <caption class="soft small">
          {{
            t('eachValueAgainstOwners')
          }}
        </caption>
        <thead>
          <tr>
            <th scope="col">{{ rows.length }} {{ rows.length === 1 ? t('person') : t('people') }}</th>
            <th scope="col" class="at">{{ t('at') }}</th>
            <th scope="col">{{ t('today') }}</th>
            <th scope="col">{{ t('why') }}</th>
            <th v-for="item in items" :key="item.id" scope="col" class="plot">{{ item.name }}</th>
            <th scope="col" class="plot">{{ t('hours') }}</th>
            <th scope="col" class="plot">{{ t('loadYesterday') }}</th>
            <th scope="col">
              <span class="unseen">{{ t('ask') }}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.id" :class="row.verdict.word.replace(' ', '-')">
            <th scope="row">
              <RouterLink data-person :to="`/athlete/${row.id}/mornings`" :title="t('twelveWeeks2', { name: row.name })">{{
                row.name
              }}</RouterLink>
            </th>
            <td class="num at soft">{{ row.answered ? practice.timeOfDay(row.answered.at) : '' }}</td>
            <td class="word"><ReadinessMark :shape="row.verdict.word" aria-hidden="true" /> {{ row.verdict.word }}</td>
            <td class="why" :class="{ soft: row.verdict.reasons.length === 0 }">
              {{ why(row)
              }}<template v-if="row.answered?.sore && row.answered.sore.length > 0"
                >{{ ' ' }}{{ t('sore10', { sore: row.answered.sore.map((each) => formatNumber(each.score, 0)).join(', ') }) }}</template
              >
            </td>
            <td v-for="item in row.items" :key="item.id" class="plot" :class="{ known: item.normal }" :title="said(item)">
              <OwnNormal :off="item.off" :known="item.normal !== null" :label="said(item)" />
            </td>
            <td class="plot" :class="{ known: row.hours.normal }" :title="said(row.hours)">
              <OwnNormal :off="row.hours.off" :known="row.hours.normal !== null" :label="said(row.hours)" />
            </td>
            <td class="plot" :class="{ known: row.load.normal }" :title="said(row.load)">
              <OwnNormal :off="row.load.off" :known="row.load.normal !== null" more="right" :label="said(row.load)" />
            </td>
            <td class="ask">
              <button v-if="!row.answered" type="button" class="link small" :aria-label="t('ask3', { name: row.name })" @click="ask(row)">
                {{ t('ask') }}
              </button>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p class="soft small foot">
      <span><span class="key">↑</span> <span class="key">↓</span> {{ t('person') }}</span>
      <span
        ><span class="key">{{ t('enter') }}</span> {{ t('twelveWeeks') }}</span
      >
      <span
        ><span class="key">{{ t('a') }}</span> {{ t('ask2') }}</span
      >
    </p>
    <LinkDialog v-model:open="asking" :athlete="askedOf" :squad="squad" />
  </div>
</template>

<style scoped>
.which {
  width: 160px;
}

.counts {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}

.counts button {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  min-height: 36px;
  padding: 2px 10px;
  border: 1px solid transparent;
  border-radius: 4px;
  background: none;
  color: var(--ink);
  font: inherit;
  cursor: pointer;
}

.counts button[aria-pressed='true'] {
  border-color: var(--ink);
}

.counts b {
  font-size: 20px;
}

.scroll {
  overflow-x: auto;
}

table {
  width: 100%;
  border-collapse: collapse;
}

caption {
  padding-bottom: 6px;
  text-align: left;
  caption-side: bottom;
}

thead th {
  position: sticky;
  top: 0;
  padding: 4px 8px 6px 0;
  border-bottom: 1.5px solid var(--ink);
  background: var(--ground);
  font-weight: 600;
  font-size: 13.5px;
  text-align: left;
  white-space: nowrap;
}

tbody tr {
  height: 32px;
  border-bottom: 1px solid var(--line-faint);
}

tbody th {
  min-width: 108px;
  padding-right: 12px;
  font-weight: 600;
  text-align: left;
}

tbody th a {
  text-decoration: none;
}

tbody th a:hover {
  text-decoration: underline;
}

td {
  padding: 2px 8px 2px 0;
}

.at {
  width: 52px;
}

.word {
  width: 108px;
  white-space: nowrap;
}

.ease .word,
.hold .word,
.not-known .word {
  font-weight: 600;
}

.word svg {
  vertical-align: -2px;
}

.plot {
  width: 80px;
  text-align: center;
}

.plot .own {
  margin: 0 auto;
}

/* The band runs down the rows as one strip. */
td.known {
  background: linear-gradient(var(--spruce-soft), var(--spruce-soft)) center / 24px 100% no-repeat;
}

td.plot {
  padding: 0;
}

.why {
  min-width: 190px;
  line-height: 1.25;
}

.foot {
  display: flex;
  gap: 16px;
}

.unseen {
  position: absolute;
  width: 1px;
  height: 1px;
  overflow: hidden;
  clip-path: inset(50%);
}
</style>
