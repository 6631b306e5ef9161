<script setup lang="ts">
import { computed } from 'vue';
import type { Entry } from '@pace-bend/core/catalogue';
import type { BlockPlan, Line } from '@pace-bend/core/method';
import { doseByTarget, guidanceFor, sparing, tableHeight, toolMinutes } from '@pace-bend/core/session';
import { TOOLS } from '@pace-bend/core/catalogue';
import { formatDuration } from '@pace-bend/core/record';
import { SIDE_WORDS } from '../../parts/words.ts';
import { useShelf } from '../../stores/shelf.ts';
import { useDone } from './useDone.ts';
import { t } from '../../words/plan.ts';

/** Dose by target and side against the guidance, and what the therapist's own hands carry. */
const props = defineProps<{
  line: Line;
  blocks: readonly BlockPlan[];
  selected: BlockPlan;
  entry: Entry;
  blockIndex: number;
  visitId: string;
  daysToEvent: number | null;
}>();

const shelf = useShelf();
const { done, missing, load } = useDone(() => props.visitId);
const planned = computed(() => doseByTarget(props.line, undefined, shelf.shelf));
const weekOf = (target: string, side: string) =>
  done.value?.week.find((dose) => dose.target === target && dose.side === side)?.endRangeS ?? 0;
const own = computed(() => planned.value.filter((dose) => dose.target === props.entry.targets[0]));
/** Seconds and rounds of the block shown, by side. */
const inBlock = computed(() => {
  const cues = props.line.cues.filter((cue) => cue.blockIndex === props.blockIndex);
  return new Map(
    [...new Set(cues.map((cue) => cue.side))].map((side) => [
      side,
      cues.filter((cue) => cue.side === side).reduce((sum, cue) => sum + cue.endMs - cue.startMs, 0),
    ]),
  );
});

const block = computed(() =>
  toolMinutes(
    { ...props.line, cues: props.line.cues.map((cue) => (cue.blockIndex === props.blockIndex ? cue : { ...cue, kind: 'rest' as const })) },
    undefined,
    shelf.shelf,
  ),
);
const session = computed(() => toolMinutes(props.line, undefined, shelf.shelf));
const hands = computed(() =>
  TOOLS.map((tool) => ({
    tool,
    block: block.value[tool],
    session: session.value[tool],
    day: (done.value?.today[tool] ?? 0) + session.value[tool],
    limit: shelf.hands.limits[tool],
  })).filter((row) => row.session >= 0.05 || row.day > row.limit),
);
/** Another entry for what a tool has done too much of. */
const spare = computed(() =>
  hands.value
    .filter((row) => row.day > row.limit)
    .flatMap((row) => {
      const heavy = props.blocks.filter((each) => shelf.entryOf(each.entryId).tools.some((load) => load.tool === row.tool));
      const words = heavy.flatMap((each) =>
        sparing(each.entryId, row.tool, shelf.shelf)
          .slice(0, 2)
          .map((other) => t('insteadOf', { name: other.name, entryOf: shelf.entryOf(each.entryId).name })),
      );
      return [{ tool: row.tool, words }];
    }),
);
const heights = computed(() => (shelf.hands.knuckleCm === null ? null : tableHeight(shelf.hands.knuckleCm)));
const min = (minutes: number) => minutes.toFixed(minutes < 10 ? 1 : 0);
</script>

<template>
  <div class="doses">
    <section v-for="dose in own" :key="dose.side" class="card dose" :aria-label="t('time', { side: dose.side })">
      <p class="soft">
        {{ SIDE_WORDS[dose.side] }} · {{ dose.target }} · {{ dose.rounds }} {{ dose.rounds === 1 ? t('round3') : t('rounds3') }}
      </p>
      <dl>
        <div>
          <dt class="soft small">{{ t('endRange') }}</dt>
          <dd class="num" :data-testid="`end-range-${dose.side}`">
            {{ Math.round(dose.endRangeS) }}<small>{{ ' ' }}{{ t('s') }}</small>
          </dd>
        </div>
        <div v-if="dose.contractS > 0">
          <dt class="soft small">{{ t('contracting') }}</dt>
          <dd class="num">
            {{ Math.round(dose.contractS)
            }}<small>{{ ' ' }}{{ t('sAt', { effortPctS: Math.round(dose.effortPctS / dose.contractS) }) }}</small>
          </dd>
        </div>
        <div v-if="dose.bouts > 0">
          <dt class="soft small">{{ t('bouts') }}</dt>
          <dd class="num">{{ dose.bouts }}</dd>
        </div>
        <div>
          <dt class="soft small">{{ t('inAll') }}</dt>
          <dd class="num">{{ formatDuration(inBlock.get(dose.side) ?? 0) }}</dd>
        </div>
      </dl>
      <p v-for="said in guidanceFor(dose, weekOf(dose.target, dose.side) + dose.endRangeS, daysToEvent)" :key="said.words" class="small">
        {{ said.words }} <span class="soft">({{ said.source }})</span>
      </p>
    </section>
    <section class="card hands" :aria-label="t('yourHands')">
      <h2>{{ t('yourHands') }}</h2>
      <table class="small">
        <thead>
          <tr>
            <th scope="col">{{ t('min') }}</th>
            <th scope="col">{{ t('block') }}</th>
            <th scope="col">{{ t('session') }}</th>
            <th scope="col">{{ t('day') }}</th>
            <th scope="col">{{ t('of') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in hands" :key="row.tool" :class="{ over: row.day > row.limit }">
            <th scope="row">{{ row.tool }}</th>
            <td class="num">{{ min(row.block) }}</td>
            <td class="num">{{ min(row.session) }}</td>
            <td class="num">{{ min(row.day) }}</td>
            <td class="num">{{ row.limit }}</td>
          </tr>
        </tbody>
      </table>
      <p v-for="each in spare" :key="each.tool" class="small care" role="status">
        {{ t('pastDaysLimit', { tool: each.tool, what: each.words.length > 0 ? `: ${each.words.join('; ')}` : t('noOtherEntryThese') }) }}
      </p>
      <p v-if="missing" class="small care">
        {{ t('whatDoneEarlierCould') }} <button type="button" class="link" @click="load">{{ t('tryAgain') }}</button>
      </p>
      <p v-if="heights" class="small soft">
        {{ t('tableBegin') }}
        <template v-for="(row, i) in heights" :key="row.work">{{
          t('cm', { what: i > 0 ? ' · ' : '', work: row.work, cm: row.cm })
        }}</template>
      </p>
      <p v-else class="small soft">
        {{ t('tableHeight') }} <RouterLink to="/practice/me">{{ t('giveYourKnuckleHeight') }}</RouterLink>
      </p>
    </section>
  </div>
</template>

<style scoped>
.doses {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(240px, 100%), 1fr));
  gap: 16px;
}

.dose dl {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 22px;
  margin: 2px 0 4px;
}

.dose dd {
  margin: 0;
  font-size: 24px;
  line-height: 1.1;
  white-space: nowrap;
}

.dose dd small {
  font-size: 13px;
  color: var(--soft);
}

.dose dt {
  white-space: nowrap;
}

table {
  width: 100%;
  border-collapse: collapse;
}

th {
  font-weight: 500;
  text-align: left;
}

td,
thead th:not(:first-child) {
  text-align: right;
}

td,
th {
  padding: 2px 4px 2px 0;
}

.over,
.care {
  color: var(--clay-text);
}
</style>
