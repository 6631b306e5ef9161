<script setup lang="ts">
import { computed, ref } from 'vue';
import { formatSigned, formatValue } from '@pace-bend/core/measure';
import type { Cue } from '@pace-bend/core/method';
import { formatDuration } from '@pace-bend/core/record';
import type { RunStatus } from '@pace-bend/core/table';
import { asksOf, figureShare, lookAgainOf, stanceIn, stanceWords } from '@pace-bend/core/catalogue';
import EntryPicture from '../../parts/EntryPicture.vue';
import { lowerFirst, SIDE_WORDS } from '../../parts/words.ts';
import { useShelf } from '../../stores/shelf.ts';
import BetweenReadings from './BetweenReadings.vue';
import BreathBar from './BreathBar.vue';
import PointsAgain from './PointsAgain.vue';
import RoundSquares from './RoundSquares.vue';
import UndoBar from './UndoBar.vue';
import { usePointsAgain } from './usePointsAgain.ts';
import { useSlowWay } from './useSlowWay.ts';
import { useWarning } from './useWarning.ts';
import type { TableHandle } from './useRun.ts';
import { keyOf } from '../../parts/keys.ts';
import { t } from '../../words/table.ts';

/** One number, one instruction, and where the edge is: what is read from across the room. */
const props = defineProps<{
  run: TableHandle;
  status: RunStatus;
  lastScore: number | null;
  /** The cue that is on, as it is to be after easing off or reading the edge. */
  drawn: Cue;
  /** Digits of an edge being typed, or null. */
  edgeDigits: string | null;
  /** Digits of how it felt before it softened and after, or null. */
  feltDigits: string | null;
  numberAsked: boolean;
  /** Read from two and a half metres. */
  far: boolean;
}>();
/** From so many letters on what is said besides stands smaller in the far view: the set-up is read at the table. */
const LONG_HOW = 56;
const { line, state, view, first, due, reopened, sleptMin } = props.run;

const cue = computed(() => view.value!.cue);
const shelf = useShelf();
const entry = computed(() => shelf.entryOf(line.value!.blocks[cue.value.blockIndex]!.entryId));
/** The position that is planned; of a line from before it was noted, the usual one. */
const place = computed(() => line.value!.blocks[cue.value.blockIndex]!.position ?? entry.value.positions[0]);
/** While nothing counts yet, the picture goes its way slowly, unless the machine asks for stillness. */
const shown = useSlowWay(() => props.status === 'ready');
/** How far on its way the limb should be now: from this cue's start to its end. A pressure moves nothing. */
const way = computed(() => {
  if (props.status === 'ready') return shown.value;
  const { startMs, endMs, from, to } = props.drawn;
  if (unit.value === 'of10') return 1;
  const share = endMs > startMs ? Math.min(1, Math.max(0, (state.value.positionMs - startMs) / (endMs - startMs))) : 1;
  // In steps that are hardly seen, so that a frame does not draw the body anew.
  return Math.round(figureShare(entry.value, from + share * (to - from), place.value) * 40) / 40;
});
const worked = computed(() => (cue.value.side === 'midline' ? undefined : cue.value.side));
const unit = computed(() => line.value!.blocks[cue.value.blockIndex]!.unit);
const breathWords = computed(() => ({ in: t('breatheIn'), out: t('breatheOut'), free: '' })[cue.value.breath]);
/** What is looked at once more, said while the limb rests after the last round. */
const again = computed(() => {
  const look = lookAgainOf(entry.value);
  return look && cue.value.round > cue.value.rounds ? t('lookAgain', { when: look.when, what: look.what }) : '';
});
/** Where they stand for this block. */
const stance = computed(() => {
  const found = stanceIn(entry.value, place.value);
  return found ? t('you', { stance: stanceWords(found) }) : '';
});
/** With which breath they press: beside how hard, of all that is said, what is read from the far end of the room. */
const pressBreath = computed(() => (cue.value.kind === 'contract' ? breathWords.value : ''));
const hasEffort = computed(() => view.value!.effortPct !== null || pressBreath.value !== '');
const how = computed(() =>
  [
    cue.value.detail,
    cue.value.kind === 'set-up' ? stance.value : '',
    cue.value.kind === 'set-up' && asksOf(entry.value).length > 0 ? t('askFirst', { asksOf: asksOf(entry.value).join(', ') }) : '',
    cue.value.kind === 'rest' ? again.value : '',
  ]
    .filter(Boolean)
    .join(' · '),
);
/** Whether the edge shown was read at the table; otherwise it is a prediction, and says so. */
const isRead = computed(() => {
  const last = state.value.edges.findLast((edge) => edge.blockIndex === cue.value.blockIndex && edge.side === cue.value.side);
  return last !== undefined && Math.abs(last.value - view.value!.edge) < 1e-9;
});
/** An edge that was read beyond what cautions allow. Lines kept before there were limits have none. */
const isPast = computed(() => {
  const { furthest } = cue.value;
  if (typeof furthest !== 'number') return false;
  const { better } = line.value!.blocks[cue.value.blockIndex]!;
  return better === 'higher' ? view.value!.edge > furthest + 1e-9 : view.value!.edge < furthest - 1e-9;
});
/** Rounds of this side that were gone through to their end. Of the state only what changes with a cue. */
const spans = computed(() => state.value.spans);
const roundsDone = computed(() => {
  const { blockIndex, side } = cue.value;
  const here = line.value!.cues.filter((each) => each.blockIndex === blockIndex && each.side === side);
  const ended = new Set(spans.value.filter(({ end }) => end === 'done').map(({ cueIndex }) => cueIndex));
  return Array.from({ length: view.value!.rounds }, (_, i) => i + 1).filter((round) => {
    const last = here.findLast((each) => each.round === round && each.round <= each.rounds);
    return last !== undefined && ended.has(last.index);
  });
});
const warning = useWarning(props.run, cue);
/** Presses of this side of the block that went the wrong way so far. */
const drifts = computed(
  () =>
    state.value.drifts.filter(({ cueIndex }) => {
      const each = line.value!.cues[cueIndex]!;
      return each.blockIndex === cue.value.blockIndex && each.side === cue.value.side;
    }).length,
);
/** What an open cue waits for. */
const waitsFor = computed(() => {
  if (cue.value.kind === 'rehearse') return t('waitsUntilPressGoes');
  if (cue.value.kind === 'check') return t('waitsUntilNothingBeats');
  return cue.value.round >= 1 ? t('waitsYourHand') : t('waitsUntilTheyLie');
});
/** What is to be read now, while nothing counts. */
const readings = ref<InstanceType<typeof BetweenReadings> | null>(null);
const toRead = computed(() => {
  if (props.status === 'finished') return due(cue.value.index, true);
  return props.status === 'ready' || cue.value.open ? due(cue.value.index, false) : [];
});
/** Points to be felt again now, while the hand is still there. */
const pointsAgain = ref<InstanceType<typeof PointsAgain> | null>(null);
const toFeel = usePointsAgain(props.run);
defineExpose({
  focusReadings: () =>
    (toRead.value.length > 0 && (readings.value?.focus() ?? false)) || (toFeel.value.length > 0 && (pointsAgain.value?.focus() ?? false)),
});
const counting = computed(() => props.status === 'running' || props.status === 'held');
</script>

<template>
  <section v-if="view && line" class="stage" :class="{ ready: status === 'ready' }">
    <div class="count">
      <span v-if="status === 'finished'" class="glyph" aria-hidden="true">✓</span>
      <span
        v-else-if="view.secondsUp !== null"
        class="num big up"
        :class="`digits-${Math.min(3, String(view.secondsUp).length)}`"
        data-testid="count-up"
        >{{ view.secondsUp }}</span
      >
      <span v-else-if="status === 'eased' || status === 'stopped' || status === 'showing'" class="glyph warn" aria-hidden="true">‖</span>
      <span v-else-if="status === 'ready' || cue.open" class="glyph" aria-hidden="true">▸</span>
      <span v-else class="num big" :class="`digits-${Math.min(3, String(view.secondsLeft).length)}`" data-testid="count">{{
        view.secondsLeft
      }}</span>
      <UndoBar class="back" :run="run" />
    </div>
    <p v-if="far" class="where">{{ cue.side === 'left' ? '◂ ' : '' }}{{ SIDE_WORDS[cue.side] }}{{ cue.side === 'right' ? ' ▸' : '' }}</p>

    <div class="say" aria-live="assertive">
      <template v-if="status === 'finished'">
        <p class="instruction">{{ t('doneLetAllRest') }}</p>
        <p class="how">
          {{ state.stops.length > 0 ? t('stoppedWayKept') : first ? t('now', { first }) : t('allPlannedDoneRead') }}
        </p>
      </template>
      <template v-else-if="status === 'eased'">
        <p class="instruction">{{ t('easeOffFirst') }}</p>
        <p class="how">
          {{
            t('backFromEdgeLet', {
              what:
                lastScore !== null && lastScore > cue.painCeiling
                  ? t('isAbove', { lastScore, painCeiling: cue.painCeiling })
                  : t('theBreathWasHeld'),
            })
          }}
        </p>
        <p class="then">{{ t('thenDecideShorterLighter') }}</p>
      </template>
      <template v-else-if="status === 'showing'">
        <p class="instruction">{{ t('showAgain', { lowerFirst: lowerFirst(cue.text) }) }}</p>
        <p class="how">{{ t('nothingCounts', { detail: cue.detail }) }}</p>
        <p class="then">
          {{ drifts >= 2 ? t('wrongTimesSideHalf', { drifts }) : t('spaceWhenGoesRight') }}
        </p>
      </template>
      <template v-else-if="status === 'softening'">
        <p class="instruction">{{ cue.text }}</p>
        <p class="how">{{ t('untilItSoftens', { detail: cue.detail }) }}</p>
        <p class="then">{{ t('spaceUWhen') }}</p>
      </template>
      <template v-else-if="status === 'stopped'">
        <p class="instruction">{{ t('stoppedBringHome') }}</p>
        <p class="how">{{ t('youMoveLimbThey') }}</p>
      </template>
      <template v-else-if="status === 'ready'">
        <p v-if="first" class="first" data-testid="first">{{ t('first', { first }) }}</p>
        <p class="instruction">{{ SIDE_WORDS[cue.side] }}: {{ cue.detail }}</p>
        <p class="how">{{ t('cues', { count: line.cues.length, duration: formatDuration(view.totalMs) }) }}</p>
        <p class="then">{{ t('spaceBegins') }}</p>
      </template>
      <template v-else>
        <p v-if="first" class="first" data-testid="first">{{ t('first', { first }) }}</p>
        <p class="instruction">{{ cue.text }}</p>
        <p class="how">
          <span v-if="hasEffort" class="effort" data-testid="effort"
            ><template v-if="view.effortPct !== null"
              >{{ view.effortPct }} %<span class="unit">{{ ` ${t('effort')}` }}</span></template
            ><template v-if="view.effortPct !== null && pressBreath"> · </template>{{ pressBreath }}</span
          ><span v-if="hasEffort && how" class="dot"> · </span><span class="more" :class="{ long: how.length > LONG_HOW }">{{ how }}</span>
        </p>
        <p class="then">
          <template v-if="sleptMin !== null">{{ t('deviceSleptMinCount', { sleptMin }) }}</template>
          <template v-else-if="run.taking.value">{{ t('takingItBack') }}</template>
          <template v-else-if="reopened">{{ t('reopenedWhereSpaceGoes') }}</template>
          <template v-else-if="status === 'held'">{{ t('heldSpaceGoes') }}</template>
          <template v-else-if="cue.open">{{ t('space', { waitsFor }) }}</template>
          <template v-else-if="view.nextCue">{{ t('then', { text: view.nextCue.text.toLowerCase() }) }}</template>
        </p>
      </template>
      <p v-if="feltDigits !== null" class="asked" data-testid="felt">
        {{ t('howDidFeelBefore') }} <span class="num">{{ feltDigits.padEnd(2, '_').split('').join(' ') }}</span>
      </p>
      <p v-else-if="numberAsked" class="asked" data-testid="number-asked">{{ t('numberPlease') }}</p>
      <p
        v-if="warning && (counting || status === 'waiting' || status === 'softening' || status === 'ready')"
        class="warning"
        data-testid="warning"
        :title="warning"
      >
        {{ warning }}
      </p>
      <BetweenReadings v-if="toRead.length > 0" ref="readings" :items="toRead" />
      <PointsAgain v-if="toFeel.length > 0" ref="pointsAgain" :points="toFeel" />
      <BreathBar v-if="counting && !cue.open" :breath="view.breath" :paced="cue.breath !== 'free'" :still="status === 'held'" />
    </div>

    <aside class="numbers">
      <EntryPicture
        class="posed"
        data-figures="dark"
        :entry="entry"
        :position="place"
        :share="way"
        :side="worked"
        :presses="cue.kind === 'contract'"
        :size="200"
        :shape="1.35"
        decorative
      />
      <RoundSquares :round="cue.round" :rounds="view.rounds" :done="roundsDone" />
      <div class="edge">
        <span v-if="unit === 'of10'" class="lab">{{ t('pressureFelt') }}</span>
        <span v-else class="lab"
          >{{ isRead ? t('edgeNow') : t('edgeExpected') }} <kbd>{{ keyOf('edge') }}</kbd></span
        >
        <span v-if="edgeDigits !== null" class="num value typing" data-testid="edge-typing">{{ edgeDigits.padEnd(2, '_') }}</span>
        <span v-else class="num value" data-testid="edge">{{ formatValue(view.edge, unit) }}</span>
        <span v-if="typeof cue.furthest === 'number'" class="furthest" :class="{ past: isPast }" data-testid="furthest"
          >{{ isPast ? t('pastLimit') : t('noFurtherThan') }} {{ formatValue(cue.furthest, unit) }}</span
        >
        <span v-if="unit !== 'of10'" class="gain">{{ t('sinceStart', { signed: formatSigned(view.gainSinceStart, unit) }) }}</span>
      </div>
    </aside>
  </section>
</template>

<style scoped src="./stage/near.css"></style>
<style scoped src="./stage/far.css"></style>
<style scoped src="./stage/narrow.css"></style>
