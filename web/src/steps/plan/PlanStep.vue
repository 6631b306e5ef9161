<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { motionOf, positionOn } from '@pace-bend/core/body';
import { arrangedIn, asksOf, partnersOf, setUpIn, stanceIn, stanceWords } from '@pace-bend/core/catalogue';
import { axisOf } from '@pace-bend/core/method';
import { waysFor } from '@pace-bend/core/session';
import { formatNumber, formatSigned, referenceBands } from '@pace-bend/core/measure';
import { formatDuration } from '@pace-bend/core/record';
import { isTyping } from '../../parts/useGlobalKeys.ts';
import EntryPicture from '../../parts/EntryPicture.vue';
import SavePictures from '../../parts/SavePictures.vue';
import StairDrawing from '../../parts/StairDrawing.vue';
import StairLegend from '../../parts/StairLegend.vue';
import { SIDE_WORDS } from '../../parts/words.ts';
import { usePractice } from '../../stores/practice.ts';
import PickOne from '../../parts/PickOne.vue';
import OfferClosed from './OfferClosed.vue';
import BlockLimits from './BlockLimits.vue';
import BlockNumbers from './BlockNumbers.vue';
import ComparisonNotice from './ComparisonNotice.vue';
import DoseCards from './DoseCards.vue';
import ProposalCard from './ProposalCard.vue';
import PlanChecks from './PlanChecks.vue';
import SequenceCard from './SequenceCard.vue';
import SessionLine from './SessionLine.vue';
import StairHandles from './StairHandles.vue';
import ProblemNote from '../../parts/ProblemNote.vue';
import { useEarlierPlan } from './useEarlierPlan.ts';
import { usePlan } from './usePlan.ts';
import { useProposal } from './useProposal.ts';
import { useSlices } from '../../parts/useSlices.ts';
import { hintOf, isKey } from '../../parts/keys.ts';
import { useWindowKeys } from '../../parts/useWindowKeys.ts';
import { t } from '../../words/plan.ts';

const router = useRouter();
const practice = usePractice();
const plan = usePlan();
const asked = useProposal();
const earlier = useEarlierPlan((taken) => plan.takePlan(taken));
const {
  visit,
  store,
  strip,
  predicted,
  refusal,
  file,
  blocks,
  selected,
  selectedIndex,
  selectedSide,
  readSide,
  line,
  offers,
  cautions,
  forbidden,
  canUndo,
  canRedo,
} = plan;

/** The row comes first, then the block, its numbers, what cautions say of it, its dose, and what else could be planned. */
const SLICES = 8;
const { drawn } = useSlices(() => SLICES);

const entry = computed(() => (selected.value ? store.entryOf(selected.value.entryId) : null));
const method = computed(() => (selected.value ? store.methodOf(selected.value.methodId) : null));
const motion = computed(() => (entry.value ? motionOf(entry.value.motionId) : null));
const axis = computed(() => (method.value && motion.value ? axisOf(method.value, motion.value) : null));
const cues = computed(
  () => line.value?.cues.filter((cue) => cue.blockIndex === selectedIndex.value && cue.side === selectedSide.value) ?? [],
);
const stairDrawing = ref<InstanceType<typeof StairDrawing> | null>(null);
const stairSvg = () => (stairDrawing.value?.$el as HTMLElement | undefined)?.querySelector('svg') ?? null;
const onDay = computed(() => practice.dayOf(file.value.visit.startsAt));
const bands = computed(() =>
  motion.value && axis.value?.unit !== 'of10' ? referenceBands(motion.value.id, file.value.athlete, onDay.value) : [],
);
const sidesShown = computed(() => [...new Set(selected.value?.sides.map((each) => each.side) ?? [])]);
const motionUnit = computed(() => (axis.value?.unit === 'of10' ? ` ${t('of10')}` : axis.value?.unit === 'cm' ? ' cm' : '°'));
/** Whether the athlete works against the hand at all in this way of working. */
const presses = computed(() => cues.value.some((cue) => cue.effortPct !== null));
const measuredHere = computed(() =>
  visit.readings.some((reading) => reading.motionId === motion.value?.id && reading.side === readSide.value && reading.moment === 'before'),
);
const measured = computed(() => visit.readings.some((reading) => reading.moment === 'before'));
const tighter = computed(() => {
  const side = entry.value ? plan.tighterOf(entry.value) : undefined;
  return side === 'right' ? ('right' as const) : ('left' as const);
});
const canSplit = computed(() => blocks.value.filter((block) => new Set(block.sides.map((each) => each.side)).size > 1).length > 1);
const last = computed(() => predicted.value?.edges.at(-1) ?? null);
/** How it is set up in the position that is planned. */
const words = computed(() =>
  entry.value && selected.value ? setUpIn(entry.value, selected.value.position ?? entry.value.positions[0]) : null,
);
const planned = computed(() => selected.value?.position ?? entry.value?.positions[0]);
/** What more the position is than lying so, and where they stand for it. */
const arranged = computed(() => (entry.value && planned.value ? arrangedIn(entry.value, planned.value) : null));
const asks = computed(() => (entry.value ? asksOf(entry.value).join(', ') : ''));
const stance = computed(() => {
  const found = entry.value && planned.value ? stanceIn(entry.value, planned.value) : null;
  return found ? stanceWords(found) : null;
});
/** Partner muscles that nothing in the plan works on: offered, with why. */
const partners = computed(() => {
  const worked = new Set(blocks.value.flatMap((block) => store.entryOf(block.entryId).targets));
  const open = entry.value ? partnersOf(entry.value).filter(({ muscle }) => !worked.has(muscle)) : [];
  return [...new Set(open.map(({ because }) => because))].map((because) => ({
    because,
    muscles: open
      .filter((each) => each.because === because)
      .map(({ muscle }) => muscle)
      .join(', '),
  }));
});
const place = computed(() =>
  entry.value && selected.value ? positionOn({ position: selected.value.position ?? entry.value.positions[0] }, selectedSide.value) : '',
);

function onKey(event: KeyboardEvent): void {
  if (isTyping(event) && (event.target as HTMLElement).tagName === 'TEXTAREA') return;
  if (isKey(event, 'redo')) plan.redo();
  else if (isKey(event, 'undo')) plan.undo();
  else return;
  event.preventDefault();
}
useWindowKeys(onKey);
</script>

<template>
  <div class="plan">
    <SessionLine
      class="whole"
      :blocks="blocks"
      :strip="strip"
      :selected-id="selected?.id ?? ''"
      :minutes="file.visit.minutesAvailable"
      :disabled="visit.finished"
      :refusal="refusal"
      :visit-id="visit.id"
      @select="(id) => plan.select(id)"
      @move="plan.move"
      @move-to="plan.moveTo"
      @remove="plan.remove"
    />
    <PlanChecks class="whole" :checks="plan.checks.value" />
    <div class="left">
      <ComparisonNotice
        v-if="file.comparison"
        :step="file.comparison"
        :blocks="blocks"
        :disabled="visit.finished || !measured"
        @pin="asked.pin({ entryId: file.comparison.entryId, methodId: file.comparison.methodId })"
      />
      <ProposalCard
        v-if="drawn >= 2 && blocks.length === 0"
        :asked="asked"
        :minutes="file.visit.minutesAvailable"
        :measured="measured"
        :complaint="file.visit.complaintRegion"
        :disabled="visit.finished"
        @take="plan.takePlan"
      />

      <section v-if="drawn >= 2 && selected && entry && motion && method && axis" class="card with-picture">
        <header class="block-head">
          <EntryPicture
            :entry="entry"
            :position="selected.position"
            :side="selectedSide === 'midline' ? undefined : selectedSide"
            :size="110"
            class="fig picture"
          />
          <h2>{{ entry.name }}</h2>
          <div v-if="sidesShown.length > 1" class="tabs" role="group" :aria-label="t('sideShown')">
            <button v-for="side in sidesShown" :key="side" type="button" :aria-pressed="side === selectedSide" @click="selectedSide = side">
              {{ SIDE_WORDS[side] }}
            </button>
          </div>
          <span v-else class="soft">{{ SIDE_WORDS[sidesShown[0]!] }}</span>
          <span class="soft small press"
            >{{ arranged ? `${place}, ${arranged}` : place }} · {{ words?.setUp }}.<template v-if="stance"
              >{{ ' ' }}{{ t('you', { stance }) }}</template
            ><template v-if="asks"
              >{{ ' ' }}<b>{{ t('askFirst') }}</b> {{ asks }}.</template
            ><template v-if="presses">{{ ' ' }}{{ t('theyPress', { pressLine: entry.pressLine }) }}</template></span
          >
          <span v-if="last" class="gain small"
            ><b class="num">{{ formatNumber(last.expected, 1) }}{{ motionUnit }}</b>
            {{
              t('expectedNineReadingsTen', {
                number: formatNumber(Math.min(last.reading.low, last.reading.high), 1),
                number2: formatNumber(Math.max(last.reading.low, last.reading.high), 1),
                motionUnit,
                signed: formatSigned(last.gain.low, motion.unit),
                signed2: formatSigned(last.gain.high, motion.unit),
                what:
                  predicted!.sessions === 0
                    ? t('usualMotionNoSession')
                    : t('fromTheirOwn', {
                        sessions: predicted!.sessions,
                        what: predicted!.sessions === 1 ? t('session') : t('sessions'),
                      }),
              })
            }}</span
          >
        </header>
        <StairDrawing
          v-if="cues.length > 0"
          ref="stairDrawing"
          :cues="cues"
          :better="axis.better"
          :unit="axis.unit"
          :bands="bands"
          :predicted="predicted?.edges ?? []"
          :height="286"
          :label="
            t('stairPhases', {
              name: entry.name,
              selectedSide,
              count: cues.length,
              duration: formatDuration(cues.reduce((sum, cue) => sum + cue.endMs - cue.startMs, 0)),
            })
          "
        >
          <template v-if="!visit.finished" #default="{ stair }"
            ><StairHandles :block="selected" :method="method" :cues="cues" :stair="stair" :motion-unit="motionUnit" @change="plan.replace"
          /></template>
        </StairDrawing>
        <p v-else class="soft not-drawn">{{ t('stairDrawnAgainSoon') }}</p>
        <div class="under">
          <StairLegend v-if="cues.length > 0" :cues="cues" /><span class="soft small">{{ t('edgeSecondsTreadAngle') }}</span
          ><SavePictures
            v-if="cues.length > 0"
            :what="t('theStair')"
            :name="`Stair ${entry.name} ${selectedSide}`"
            :title="`${entry.name}, ${selectedSide}: ${method.name}`"
            :from="t('plannedNotDone')"
            :svg="stairSvg"
          />
        </div>
        <p v-if="!measuredHere && axis.unit !== 'of10'" class="soft small">
          {{ t('notMeasuredTodaySide') }}
          <RouterLink :to="`/visit/${visit.id}/measure`">{{ t('measureFirst') }}</RouterLink>
        </p>
      </section>

      <DoseCards
        v-if="drawn >= 5 && line && selected && entry"
        :line="line"
        :blocks="blocks"
        :selected="selected"
        :entry="entry"
        :block-index="selectedIndex"
        :visit-id="visit.id"
        :days-to-event="visit.cautionContext?.daysToEvent ?? null"
      />

      <ProposalCard
        v-if="drawn >= 6 && blocks.length > 0"
        :planned="blocks"
        :asked="asked"
        :minutes="file.visit.minutesAvailable"
        :measured="measured"
        :complaint="file.visit.complaintRegion"
        :disabled="visit.finished"
        @take="plan.takePlan"
      />

      <p v-if="earlier.said.value" class="small" role="status">{{ earlier.said.value }}</p>
      <ProblemNote v-if="earlier.problem.value" :problem="earlier.problem.value" :retry="earlier.begin" />
      <SequenceCard v-if="drawn >= 7" :blocks="blocks" :disabled="visit.finished" @put="plan.takePlan" />

      <section v-if="drawn >= 8" class="card" :aria-label="t('offers')">
        <h2>{{ blocks.length > 0 ? t('moreWhatStiff') : t('stiffestFirst') }}</h2>
        <PickOne
          class="any"
          :value="null"
          search
          :disabled="visit.finished"
          :label="t('anythingFromShelf')"
          :placeholder="t('anythingFromShelf')"
          :options="
            store.entries
              .filter((each) => each.stage !== 'home')
              .map((each) => ({ value: each.id, label: `${each.name}, ${each.section.toLowerCase()}` }))
          "
          @change="(id) => plan.add(id, waysFor(store.entryOf(id), store.shelf)[0]!.id)"
        />
        <p v-if="offers.length === 0" class="soft">
          {{ t('nothingMeasuredYet') }} <RouterLink :to="`/visit/${visit.id}/measure`">{{ t('measureFirst') }}</RouterLink>{{
            t('thenStiffestMotionOffers')
          }}
        </p>
        <ul class="offers">
          <li v-for="offer in offers" :key="offer.entry.id">
            <EntryPicture :entry="offer.entry" :size="60" decorative class="fig" /><span class="offer"
              ><b>{{ offer.entry.name }}</b> {{ ' '
              }}<span class="soft small">{{ offer.motion.name.toLowerCase() }}, {{ offer.motion.testPosition }}</span>
              <span class="small why">{{ offer.reasons.length > 0 ? offer.reasons.join('. ') : t('noShortfallBeyondError') }}</span></span
            >
            <span class="ways">
              <Button
                v-for="way in offer.ways.slice(0, 2)"
                :key="way.method.id"
                :disabled="visit.finished || way.closedBy !== null"
                @click="plan.add(offer.entry.id, way.method.id)"
                >{{ way.method.name }}</Button
              >
              <PickOne
                v-if="offer.ways.length > 2"
                class="more-ways"
                :value="null"
                :disabled="visit.finished"
                :label="t('otherWaysFor', { name: offer.entry.name })"
                :placeholder="t('otherWays')"
                :options="
                  offer.ways.slice(2).map((way) => ({ value: way.method.id, label: way.method.name, disabled: way.closedBy !== null }))
                "
                @change="(id) => plan.add(offer.entry.id, id)"
              />
            </span>
            <OfferClosed class="closed" :caution="offer.ways[0]!.closedBy" />
          </li>
        </ul>
      </section>
    </div>

    <aside class="right">
      <div class="actions">
        <Button size="large" :disabled="!canUndo" :title="t('undo2', { hintOf: hintOf('undo') })" :aria-label="t('undo')" @click="plan.undo"
          >↶</Button
        >
        <Button size="large" :disabled="!canRedo" :title="t('redo2', { hintOf: hintOf('redo') })" :aria-label="t('redo')" @click="plan.redo"
          >↷</Button
        >
        <Button
          type="primary"
          size="large"
          :disabled="blocks.length === 0 || !line || forbidden.length > 0"
          @click="router.push(`/visit/${visit.id}/table`)"
          >{{ t('goTable') }}</Button
        >
        <p v-if="blocks.length > 0 && !line" class="wrong" role="alert">{{ t('numberPlanCannotMarked') }}</p>
        <p v-else-if="forbidden.length > 0" class="wrong" role="alert">
          {{ t('giveReasonBelowRemove', { forbidden: forbidden.map((block) => store.entryOf(block.entryId).name).join(', ') }) }}
        </p>
      </div>
      <BlockLimits v-if="drawn >= 4 && selected && entry && motion" :sides="cautions" :motion="motion" />
      <BlockNumbers
        v-if="drawn >= 3 && selected"
        :key="selected.id"
        :block="selected"
        :cues="cues"
        :tighter="tighter"
        :can-split="canSplit"
        :disabled="visit.finished"
        @change="(block) => plan.replace(block)"
        @mirror="plan.mirror(selected.id)"
        @split="plan.splitSides"
      />
      <section v-if="drawn >= 4 && entry" class="card watch">
        <h3>{{ t('watch') }}</h3>
        <p>{{ entry.watch }}.</p>
        <p class="soft small">{{ words?.hands }}. {{ words?.supports }}.</p>
        <p v-if="entry.sign" class="small">{{ t('itWorked', { what: entry.sign[0]!.toLowerCase() + entry.sign.slice(1) }) }}</p>
        <p v-for="each in partners" :key="each.because" class="small">
          {{ t('notLooked', { muscles: each.muscles }) }} <span class="soft">{{ each.because }}</span>
        </p>
        <p class="small">
          <RouterLink :to="`/shelf/entry/${entry.id}`">{{ t('onTheShelf') }}</RouterLink>
        </p>
      </section>
    </aside>
  </div>
</template>

<style scoped>
.plan {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 318px;
  gap: 16px;
  align-items: start;
}

.whole {
  grid-column: 1 / -1;
}

.left,
.right {
  display: grid;
  gap: 16px;
  min-width: 0;
}

.block-head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 14px;
}

.press {
  flex: 1 1 260px;
}

.tabs {
  display: flex;
  border: 1px solid var(--line);
  border-radius: 4px;
  overflow: hidden;
}

.tabs button {
  padding: 4px 13px;
  border: 0;
  background: none;
  color: var(--ink);
  font: inherit;
  cursor: pointer;
}

.tabs button[aria-pressed='true'] {
  background: var(--spruce-fill);
  color: var(--on-spruce);
}

.not-drawn {
  padding: 80px 0;
  text-align: center;
}

.under {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 4px 18px;
}

.gain {
  flex-basis: 100%;
}

.any {
  width: 100%;
  margin: 8px 0 2px;
}

.fig {
  flex: none;
}

.with-picture {
  position: relative;
}

.with-picture .block-head {
  min-height: 112px;
  padding-right: 168px;
}

.picture {
  position: absolute;
  top: 12px;
  right: 14px;
}

@container page (max-width: 560px) {
  .with-picture .block-head {
    padding-right: 0;
  }

  .picture {
    position: static;
  }
}

.more-ways {
  min-width: 128px;
}

.offers {
  list-style: none;
  margin: 6px 0 0;
  padding: 0;
}

.offers li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 6px 16px;
  padding: 9px 0;
  border-top: 1px solid var(--line-faint);
}

.offer {
  flex: 1 1 280px;
}

.why {
  display: block;
}

.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

.closed {
  flex-basis: 100%;
}

.watch {
  display: grid;
  gap: 3px;
  border-left: 4px solid var(--sun);
}

.actions {
  display: grid;
  grid-template-columns: 54px 54px 1fr;
  gap: 8px;
}

.wrong {
  grid-column: 1 / -1;
  color: var(--clay-text);
}

@container page (max-width: 812px) {
  .plan {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
