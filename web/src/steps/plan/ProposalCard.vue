<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import Switch from 'ant-design-vue/es/switch';
import { computed, onMounted, ref, type ComponentPublicInstance } from 'vue';
import { motionOf, type Region } from '@pace-bend/core/body';
import { formatValue } from '@pace-bend/core/measure';
import { formatDuration } from '@pace-bend/core/record';
import type { BlockPlan } from '@pace-bend/core/method';
import { planChecks, type Proposal, type ProposedBlock } from '@pace-bend/core/session';
import { SIDE_WORDS } from '../../parts/words.ts';
import { useShelf } from '../../stores/shelf.ts';
import { keptTimes, keptWords } from './keptWords.ts';
import type { ProposalAsked } from './useProposal.ts';
import { t } from '../../words/plan.ts';

/** The plan proposed for the minutes there are, with why each block is in it and what was left out. */
const props = defineProps<{
  asked: ProposalAsked;
  minutes: number;
  measured: boolean;
  complaint: Region | null;
  planned?: readonly BlockPlan[];
  disabled: boolean;
}>();
const emit = defineEmits<{ take: [blocks: readonly BlockPlan[]] }>();

const shelf = useShelf();
const propose = ref<ComponentPublicInstance | null>(null);
// Where nothing is planned yet, whoever comes with keys begins here.
onMounted(() => {
  if (!props.planned) (propose.value?.$el as HTMLElement | undefined)?.focus({ preventScroll: true });
});
const shown = ref(0);
const openReason = ref('');
const { state, proposal, others, leftOut, triedMore, bound, failure, warm, pins, bans } = props.asked;

const choices = computed<readonly { words: string; proposal: Proposal }[]>(() =>
  proposal.value ? [{ words: t('bestTime'), proposal: proposal.value }, ...(others.value ?? [])] : [],
);
const plan = computed(() => choices.value[Math.min(shown.value, choices.value.length - 1)]?.proposal ?? null);
const work = computed(() => plan.value?.blocks.filter((each) => each.kind === 'work') ?? []);
/** Likely sources of the complaint that the plan shown does not work on: offered, never forced. */
const sources = computed(() =>
  planChecks({
    blocks: plan.value?.blocks.map((each) => each.block) ?? [],
    secondsOf: new Map(),
    complaint: props.complaint,
    shelf: shelf.shelf,
  }).filter(({ kind }) => kind === 'source'),
);
const isPinned = (entryId: string) => pins.value.some((pin) => pin.entryId === entryId);

function around(): void {
  shown.value = 0;
  props.asked.around(props.planned!);
}
function ask(): void {
  shown.value = 0;
  props.asked.ask();
}
const nameOf = (entryId: string) => shelf.entryOf(entryId).name;
const rounds = (each: ProposedBlock) =>
  each.sides.map((side) => `${side.side === 'midline' ? '' : `${SIDE_WORDS[side.side]} `}${side.rounds} ×`).join(', ');
const gain = (each: ProposedBlock) => {
  const { unit } = motionOf(shelf.entryOf(each.block.entryId).motionId);
  return each.sides
    .filter((side) => side.missing > 0)
    .map((side) =>
      t('of2', {
        what: side.side === 'midline' ? '' : `${side.side} `,
        value: formatValue(side.gain, unit),
        value2: formatValue(side.missing, unit),
      }),
    )
    .join(', ');
};
/** What is expected to be kept, of each side that something is missing on. */
const kept = (each: ProposedBlock) => {
  const { unit } = motionOf(shelf.entryOf(each.block.entryId).motionId);
  return each.sides.flatMap((side) =>
    side.missing > 0 && side.kept ? [{ side: side.side, words: keptWords(side.kept, side.gain, unit) }] : [],
  );
};
/** Minutes that the best plan leaves over although more time would change nothing: said, so that nobody looks for a fault. */
const LEAST_SPARE_MIN = 3;
const TRIED_MIN = 60;
const spare = computed(() => {
  if (!plan.value || shown.value > 0 || !triedMore.value || plan.value.status !== 'optimal' || work.value.length === 0) return 0;
  const minutes = Math.floor(props.minutes - plan.value.seconds / 60);
  return minutes >= LEAST_SPARE_MIN &&
    leftOut.value.every((each) => each.moreMinutes === null && (each.value === 0 || each.triedMinutes >= TRIED_MIN))
    ? minutes
    : 0;
});
/** The side it is in for: the one that misses most. */
const tightest = (each: ProposedBlock) => each.sides.reduce((most, side) => (side.missing > most.missing ? side : most));
const unweighed = computed(() => plan.value?.leftOut.some((each) => each.words.startsWith('not weighed')) ?? false);
const more = (minutes: number | null) => (minutes === null ? '' : t('minMoreWouldBring', { minutes }));
</script>

<template>
  <section class="card proposal" :aria-label="t('proposedPlan')">
    <header>
      <h2>{{ t('planMin', { minutes }) }}</h2>
      <label class="small warm"
        ><Switch
          v-model:checked="warm"
          size="small"
          :disabled="disabled"
          :aria-label="t('warmAlready2')"
          @change="state === 'none' || ask()"
        />
        {{ t('warmAlready') }}</label
      >
      <Button
        v-if="state !== 'working'"
        ref="propose"
        :type="state === 'none' && !planned ? 'primary' : 'default'"
        :disabled="disabled || !measured"
        @click="ask"
        >{{ state === 'none' ? (planned ? t('anotherWaySpendMin', { minutes }) : t('proposePlan')) : t('proposeAgain') }}</Button
      >
      <Button v-else @click="asked.stop">{{ t('stop') }}</Button>
      <Button v-if="planned && state !== 'working'" :disabled="disabled || !measured" :title="t('whatStandsKeepsOrder')" @click="around">{{
        t('planAroundTheseBlocks')
      }}</Button>
    </header>
    <p v-if="!measured" class="soft">{{ t('measureFirstPlanMade') }}</p>
    <p v-if="state === 'working'" class="soft" role="status">
      {{ t('weighingWhatFits')
      }}<template v-if="bound">{{ ' ' }}{{ t('bestFarMost', { best: bound.best.toFixed(1), bound: bound.bound.toFixed(1) }) }}</template> …
    </p>
    <p v-if="state === 'failed'" class="wrong" role="alert">
      {{ failure }} <button type="button" class="link" @click="ask">{{ t('tryAgain') }}</button>
    </p>

    <template v-if="plan">
      <div v-if="choices.length > 1" class="tabs" role="group" :aria-label="t('plans')">
        <button v-for="(choice, i) in choices" :key="choice.words" type="button" :aria-pressed="i === shown" @click="shown = i">
          {{ choice.words }}
        </button>
      </div>
      <p v-if="state !== 'working'" class="small said">
        <b class="num">{{ formatDuration(plan.seconds * 1000) }}</b> · {{ plan.turns }} {{ plan.turns === 1 ? t('turn2') : t('turns') }} ·
        <template v-if="plan.status === 'optimal'">{{ t('nothingBetterFitsTime', { what: unweighed ? t('whatWeighed') : '' }) }}</template>
        <template v-else-if="plan.status === 'impossible'">{{ t('whatPinnedDoesNot', { minutes }) }}</template>
        <template v-else>{{ t('bestFarNoPlan', { gap: plan.gap.toFixed(1) }) }}</template>
      </p>
      <p v-if="plan.status !== 'impossible' && work.length === 0" class="soft">
        {{ t('nothingFallsShortBeyond') }}
      </p>
      <ol class="blocks" :aria-busy="state === 'working'">
        <li v-for="each in plan.blocks" :key="each.block.id" :class="each.kind">
          <div class="line">
            <b>{{ nameOf(each.block.entryId) }}</b>
            {{ ' '
            }}<span class="soft small"
              >{{ shelf.methodOf(each.block.methodId).name.toLowerCase()
              }}<template v-if="each.kind === 'work'"> · {{ rounds(each) }}</template></span
            >
            <span v-if="each.cold" class="small cold">{{ t('goesColdCountsLess') }}</span>
            <span v-if="each.kind === 'work'" class="num worth" :title="t('weightedDegrees')">{{ each.value.toFixed(1) }}</span>
            <span v-else class="small soft worth">{{ each.fit }}</span>
            <template v-if="each.kind === 'work' && !disabled">
              <button
                type="button"
                class="link small"
                :aria-expanded="openReason === each.block.id"
                @click="openReason = openReason === each.block.id ? '' : each.block.id"
              >
                {{ t('why') }}
              </button>
              <button v-if="isPinned(each.block.entryId)" type="button" class="link small" @click="asked.unpin(each.block.entryId)">
                {{ t('unpin') }}
              </button>
              <button
                v-else
                type="button"
                class="link small"
                :aria-label="t('pin2', { nameOf: nameOf(each.block.entryId) })"
                @click="asked.pin({ entryId: each.block.entryId, methodId: each.block.methodId })"
              >
                {{ t('pin') }}
              </button>
              <button
                type="button"
                class="link small"
                :aria-label="t('longer2', { nameOf: nameOf(each.block.entryId) })"
                @click="asked.longer(each.block.entryId, each.block.methodId, each.sides)"
              >
                {{ t('longer') }}
              </button>
              <button
                type="button"
                class="link small"
                :aria-label="t('without2', { nameOf: nameOf(each.block.entryId) })"
                @click="asked.ban(each.block.entryId)"
              >
                {{ t('without') }}
              </button>
            </template>
          </div>
          <p v-if="each.kind === 'work'" class="small why">
            {{ tightest(each).because }}<template v-if="gain(each)">{{ ' ' }}{{ t('expected', { gain: gain(each) }) }}</template>
          </p>
          <p v-for="row in kept(each)" :key="row.side" class="small soft">
            <template v-if="row.side !== 'midline'">{{ SIDE_WORDS[row.side] }}: </template>{{ row.words }}
          </p>
          <div v-if="openReason === each.block.id" class="terms small">
            <p v-for="side in each.sides" :key="side.side">
              <b>{{ SIDE_WORDS[side.side] }}</b> {{ t('weight1', { because: side.because })
              }}<template v-for="term in side.terms" :key="term.words"> + {{ term.weight }} {{ term.words }}</template>
              {{ t('worth', { weight: side.weight, keptTimes: keptTimes(side.kept), value: side.value.toFixed(1) }) }}
            </p>
            <p>{{ each.fit }}.</p>
          </div>
        </li>
      </ol>
      <p v-for="each in sources" :key="each.words" class="small">{{ each.words }}</p>
      <p v-if="spare > 0" class="small soft">
        {{ t('minStayFreeWhat', { spare }) }}
      </p>
      <Button
        v-if="plan.blocks.length > 0"
        type="primary"
        :disabled="disabled || state === 'working'"
        @click="
          emit(
            'take',
            plan.blocks.map((each) => each.block),
          )
        "
        >{{ t('takePlan') }}</Button
      >
      <details v-if="leftOut.length > 0 || bans.length > 0" class="out">
        <summary>{{ t('leftOut', { count: leftOut.length + bans.length }) }}</summary>
        <ul>
          <li v-for="id in bans" :key="id">
            <b>{{ nameOf(id) }}</b> <span class="small">{{ t('byHand') }}</span> {{ ' '
            }}<button type="button" class="link small" @click="asked.unban(id)">{{ t('allowAgain') }}</button>
          </li>
          <li v-for="each in leftOut" :key="each.entry.id">
            <b>{{ each.entry.name }}</b>
            {{ ' '
            }}<span class="small"
              >{{ each.words }}<template v-if="each.because"> · {{ each.because }}</template></span
            >
            <span v-if="each.value > 0" class="small soft"
              >{{ t('weight12') }}<template v-for="term in each.terms" :key="term.words"> + {{ term.weight }} {{ term.words }}</template>
              {{ t('atMost', { weight: each.weight, keptTimes: keptTimes(each.kept), value: each.value.toFixed(1) }) }}</span
            >
            <span v-if="more(each.moreMinutes)" class="small more">{{ more(each.moreMinutes) }}</span>
            <span v-else-if="triedMore && each.value > 0 && each.triedMinutes > 0" class="small soft">{{
              t('notWithinMinMore', { triedMinutes: each.triedMinutes })
            }}</span>
            <button
              v-if="each.value > 0"
              type="button"
              class="link small"
              :aria-label="t('bringIn2', { name: each.entry.name })"
              @click="asked.pin({ entryId: each.entry.id, methodId: each.methodId })"
            >
              {{ t('bringIn') }}
            </button>
          </li>
        </ul>
      </details>
    </template>
  </section>
</template>

<style scoped>
.proposal {
  display: grid;
  gap: 8px;
}

header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 14px;
}

header h2 {
  flex: 1;
}

.warm {
  display: flex;
  align-items: center;
  gap: 6px;
}

.tabs {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}

.tabs button {
  padding: 4px 11px;
  border: 1px solid var(--line);
  border-radius: 4px;
  background: none;
  color: var(--ink);
  font: inherit;
  font-size: 13px;
  cursor: pointer;
}

.tabs button[aria-pressed='true'] {
  background: var(--spruce-fill);
  color: var(--on-spruce);
}

.blocks,
.out ul {
  margin: 0;
  padding: 0;
  list-style: none;
}

.blocks[aria-busy='true'] {
  opacity: 0.55;
}

.blocks > li {
  padding: 6px 0 6px 12px;
  border-top: 1px solid var(--line-faint);
  border-left: 4px solid var(--spruce-fill);
}

.blocks > li.warm-up,
.blocks > li.close {
  border-left-color: var(--slate-mid);
}

.line {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 2px 9px;
}

.worth {
  margin-left: auto;
}

.why {
  color: var(--soft);
}

.terms {
  margin-top: 4px;
  padding: 5px 9px;
  background: var(--raised);
  border-radius: 4px;
}

.out summary {
  cursor: pointer;
}

.out li {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 9px;
  align-items: baseline;
  padding: 4px 0;
}

.more {
  color: var(--spruce);
}

.cold {
  color: var(--clay-text);
}

.wrong {
  color: var(--clay-text);
}
</style>
