<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed, onMounted, ref, shallowRef, watch } from 'vue';
import { useRoute } from 'vue-router';
import type { Position } from '@pace-bend/core/body';
import { figureShare, positionsFor } from '@pace-bend/core/catalogue';
import { compile, fits, newBlock, sidesOf, SLOW_BREATH, type Line } from '@pace-bend/core/method';
import { formatDuration } from '@pace-bend/core/record';
import ChoiceRow from '../parts/ChoiceRow.vue';
import EntryPicture from '../parts/EntryPicture.vue';
import PickOne from '../parts/PickOne.vue';
import StairDrawing from '../parts/StairDrawing.vue';
import { whichKey, hintOf } from '../parts/keys.ts';
import { useWindowKeys } from '../parts/useWindowKeys.ts';
import { SIDE_WORDS } from '../parts/words.ts';
import { useShelf } from '../stores/shelf.ts';
import { usePractice } from '../stores/practice.ts';
import LivePanel from '../steps/table/LivePanel.vue';
import { useLive } from '../steps/table/useLive.ts';
import { useWakeLock } from '../steps/table/useWakeLock.ts';
import PractiseResults from './PractiseResults.vue';
import { usePractise } from './usePractise.ts';
import { t } from '../words/practise.ts';

/** A way or an entry rehearsed at real speed, without an athlete: figure, words and count, and what came of it against what was asked. */
const shelf = useShelf();
const practice = usePractice();
const route = useRoute();
const ready = ref(false);
onMounted(async () => {
  await Promise.all([shelf.load().catch(() => undefined), practice.load().catch(() => undefined)]);
  ready.value = true;
});
useWakeLock();

const entry = computed(() => shelf.shelf.entries.get(String(route.params.id)) ?? null);
const ways = computed(() => (entry.value ? shelf.methods.filter((method) => fits(entry.value!, method)) : []));
const wayId = ref('');
const position = ref<Position | null>(null);
const side = ref<'left' | 'right' | 'midline'>('left');
const byHand = ref(false);
watch(
  [entry, ways],
  () => {
    if (!entry.value) return;
    const wanted = typeof route.query.way === 'string' ? route.query.way : '';
    const usual = entry.value.ways.find((id) => ways.value.some((way) => way.id === id)) ?? ways.value[0]?.id ?? '';
    if (!ways.value.some(({ id }) => id === wayId.value)) wayId.value = ways.value.some(({ id }) => id === wanted) ? wanted : usual;
    if (!sidesOf(entry.value).includes(side.value)) side.value = sidesOf(entry.value)[0]!;
  },
  { immediate: true },
);
const way = computed(() => shelf.shelf.methods.get(wayId.value) ?? null);
/** Positions in which the way goes. */
const places = computed(() => (entry.value && way.value ? positionsFor(entry.value, way.value) : []));
watch(
  places,
  (all) => {
    if (position.value === null || !all.includes(position.value)) position.value = all[0] ?? null;
  },
  { immediate: true },
);
const asked = computed<Line | null>(() => {
  if (!entry.value || !way.value || position.value === null) return null;
  const block = { ...newBlock('practised', entry.value.id, way.value.id, [side.value], shelf.shelf), position: position.value };
  return compile([block], { breath: SLOW_BREATH, edgeOf: () => null, shelf: shelf.shelf });
});

const run = usePractise(
  () => asked.value,
  () => byHand.value,
);
const { line, state, view, isOn, attempts } = run;
const cue = computed(() => view.value?.cue ?? null);
const block = computed(() => line.value?.blocks[0] ?? null);

/** The strongest of a few presses before it begins: what percent are of. */
const strongestN = shallowRef<number | null>(null);
const live = useLive(
  run,
  () => cue.value!,
  () => (strongestN.value === null ? null : { n: strongestN.value, of: 'today', foundAt: new Date().toISOString() }),
);
const { gauge } = live;
const isTrying = ref(false);
function tryStrength(): void {
  gauge.assign(() => undefined);
  isTrying.value = true;
}
function keepStrongest(): void {
  if (gauge.maximum !== null) strongestN.value = gauge.maximum;
  isTrying.value = false;
}

/** Without a gauge of steel there is one that plays what it is told: as hard as asked, for as long as the phase lasts. */
const isStandIn = computed(() => gauge.state === 'on' && gauge.name.includes('stand-in'));
const STRONGEST_TRY = { do: 'press', pct: 100, seconds: 2 } as const;
const letItTry = () => gauge.play([STRONGEST_TRY, { do: 'hold', seconds: 1 }, STRONGEST_TRY]);
const letItPress = () => gauge.play([{ do: 'press', pct: live.asked.value ?? 0, seconds: Math.max(2, view.value!.secondsLeft) }]);

const share = computed(() => {
  if (!isOn.value || !cue.value || !entry.value) return 1;
  const { startMs, endMs, from, to } = cue.value;
  if (block.value!.unit === 'of10') return 1;
  const part = endMs > startMs ? Math.min(1, Math.max(0, (state.value.positionMs - startMs) / (endMs - startMs))) : 1;
  return Math.round(figureShare(entry.value, from + part * (to - from), position.value!) * 40) / 40;
});
const told = computed(() =>
  cue.value
    ? [view.value!.effortPct === null ? '' : t('effort', { effortPct: view.value!.effortPct }), cue.value.detail]
        .filter((each) => each !== '')
        .join(' · ')
    : '',
);
/** What one key does now. */
const mainWords = computed(() => {
  if (!isOn.value) return attempts.value.length > 0 ? t('practiseAgain') : t('begin');
  if (byHand.value) return t('phaseOver');
  if (state.value.status === 'held') return t('goOn');
  return cue.value!.open ? t('readyGo') : t('holdHere');
});
const COUNTS = [
  { value: 'program', label: t('programCounts') },
  { value: 'hand', label: t('iCountMyself') },
] as const;

useWindowKeys((event) => {
  if ((event.target as HTMLElement).closest('input, textarea, [role="dialog"], [role="combobox"], a')) return;
  const onButton = (event.target as HTMLElement).closest('button') !== null;
  if (whichKey(event, 'practiseOn') !== null && !(onButton && !isOn.value)) {
    event.preventDefault();
    if (!event.repeat) run.space();
  } else if (isOn.value && whichKey(event, 'practiseEnd') !== null) {
    event.preventDefault();
    run.end();
  }
});
</script>

<template>
  <div class="page practise">
    <p v-if="!ready" class="soft" role="status">{{ t('openingShelf') }}</p>
    <template v-else-if="!entry">
      <h1>{{ t('practise') }}</h1>
      <p class="soft">
        {{ t('entryNotShelf') }} <RouterLink to="/shelf">{{ t('openShelf') }}</RouterLink>
      </p>
    </template>
    <template v-else>
      <header>
        <h1>{{ t('practise2', { name: entry.name }) }}</h1>
        <RouterLink :to="`/shelf/entry/${entry.id}`">{{ t('backEntry') }}</RouterLink>
      </header>
      <section v-if="!isOn" class="card setup" :aria-label="t('whatPractised')">
        <PickOne
          :label="t('wayWorking')"
          :value="wayId"
          :options="ways.map(({ id, name }) => ({ value: id, label: name }))"
          @change="(id) => (wayId = id)"
        />
        <PickOne
          v-if="places.length > 1 && position"
          :label="t('position')"
          :value="position"
          :options="places.map((each) => ({ value: each, label: each }))"
          @change="(each) => (position = each)"
        />
        <ChoiceRow
          v-if="sidesOf(entry).length > 1"
          :label="t('side')"
          :options="sidesOf(entry).map((each) => ({ value: each, label: SIDE_WORDS[each] }))"
          :value="side"
          @change="(each) => each && (side = each)"
        />
        <ChoiceRow
          :label="t('whoCounts')"
          :options="COUNTS"
          :value="byHand ? 'hand' : 'program'"
          @change="(each) => each && (byHand = each === 'hand')"
        />
        <p class="small soft wide">
          {{ t('oneSideRealSpeed', { what: line ? `, ${formatDuration(line.totalMs)}` : '' }) }}
          <template v-if="byHand">{{ t('noNumberShownPress') }}</template>
          <template v-else>{{ t('watchListenDoWhere') }}</template>
          {{ t('nothingKeptNoTreatment') }}
        </p>
        <p v-if="live.hasDevices.value && gauge.state === 'on'" class="wide strength">
          <Button v-if="!isTrying" @click="tryStrength">{{ strongestN === null ? t('takeStrongestPress') : t('takeAgain') }}</Button>
          <Button v-else type="primary" :disabled="gauge.maximum === null" @click="keepStrongest">{{ t('keepStrongest') }}</Button>
          <Button v-if="isTrying && isStandIn" @click="letItTry">{{ t('letStandPress') }}</Button>
          <span v-if="isTrying" role="status">{{
            gauge.maximum === null ? t('pressHardYouCan') : t('nFar', { maximum: Math.round(gauge.maximum) })
          }}</span>
          <span v-else-if="strongestN !== null" class="num">{{ t('n100', { strongestN: Math.round(strongestN) }) }}</span>
          <span v-else class="soft small">{{ t('withoutEffortShownNewtons') }}</span>
        </p>
      </section>

      <section
        v-if="view && line && asked"
        class="card stage"
        :aria-label="t('practising')"
        data-testid="practise"
        :data-status="state.status"
        :data-cue="view.cue.index"
      >
        <div class="now">
          <p v-if="isOn && !byHand && !view.cue.open" class="count num" data-testid="practise-count">{{ view.secondsLeft }}</p>
          <p v-else-if="isOn" class="count" aria-hidden="true">▸</p>
          <div aria-live="polite">
            <p class="instruction">{{ isOn ? view.cue.text : line.cues[0]?.text }}</p>
            <p class="how">{{ isOn ? told : t('whenYouBegin') }}</p>
            <p v-if="view.nextCue && isOn" class="soft">{{ t('then', { text: view.nextCue.text }) }}</p>
          </div>
        </div>
        <EntryPicture
          class="figure"
          :entry="entry"
          :position="position!"
          :share="share"
          :size="260"
          :presses="isOn && cue?.kind === 'contract'"
          v-bind="side === 'midline' ? {} : { side }"
        />
        <div class="stair">
          <StairDrawing
            :cues="asked.cues"
            :better="block!.better"
            :unit="block!.unit"
            :height="120"
            :playhead="() => state.positionMs"
            :live-edge="live.edge.value"
            :label="t('stairPhases', { name: entry.name, count: line.cues.length })"
          />
        </div>
        <LivePanel class="devices" :live="live" />
        <div class="acts">
          <Button type="primary" size="large" class="main" @click="run.space()"
            >{{ mainWords }} <kbd>{{ hintOf('practiseOn').split(', ')[0] }}</kbd></Button
          >
          <Button v-if="isOn && !byHand" size="large" @click="run.next()">{{ t('nextPhase') }}</Button>
          <Button v-if="isOn" size="large" @click="run.end()"
            >{{ t('endHere') }} <kbd>{{ hintOf('practiseEnd') }}</kbd></Button
          >
          <Button v-if="isOn && isStandIn && live.asked.value !== null" size="large" @click="letItPress">{{ t('letStandPress') }}</Button>
          <Button size="large" :aria-pressed="run.sound.muted.value" @click="run.sound.toggleMuted()">{{
            run.sound.muted.value ? t('soundOff') : t('soundIsOn')
          }}</Button>
          <Button
            size="large"
            :aria-pressed="run.sound.spoken.value"
            @click="run.sound.toggleSpoken(() => (isOn ? view!.cue.text : t('spokenCues')))"
            >{{ run.sound.spoken.value ? t('spoken') : t('notSpoken') }}</Button
          >
        </div>
      </section>
      <PractiseResults v-if="!isOn && attempts.length > 0" :attempts="attempts" />
    </template>
  </div>
</template>

<style scoped>
header,
.setup,
.acts,
.strength {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px 16px;
}

header {
  justify-content: space-between;
}

.setup > * {
  flex: 0 1 auto;
  min-width: 0;
}

.setup .wide {
  flex: 1 1 100%;
  margin: 0;
}

.stage {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 12px 24px;
  align-items: center;
}

.now {
  display: grid;
  grid-auto-columns: auto;
  grid-template-columns: auto;
  grid-auto-flow: column;
  gap: 28px;
  align-items: center;
  font-size: 20px;
}

.now p {
  margin: 0;
}

.count {
  min-width: 1.8ch;
  color: var(--spruce);
  font-weight: 600;
  font-size: clamp(56px, 11vw, 120px);
  line-height: 1;
  text-align: center;
}

.instruction {
  font-weight: 600;
  font-size: clamp(26px, 3.6vw, 40px);
  line-height: 1.15;
}

.stair,
.devices,
.acts {
  grid-column: 1 / -1;
  min-width: 0;
}

.devices {
  padding: 0;
}

.main {
  min-width: 220px;
}

.acts kbd {
  margin-left: 10px;
}

.acts :deep(.ant-btn) {
  min-height: 54px;
}

@container page (max-width: 760px) {
  .stage {
    grid-template-columns: minmax(0, 1fr);
  }

  .figure {
    justify-self: center;
    max-width: 100%;
  }
}
</style>
