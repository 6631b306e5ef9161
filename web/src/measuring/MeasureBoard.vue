<script setup lang="ts">
import { computed, nextTick, onMounted, ref, watch } from 'vue';
import { MOTIONS, motionOf, type Motion, type Side } from '@pace-bend/core/body';
import { TRIALS_USUAL } from '@pace-bend/core/measure';
import { planRound, type Moment, type MotionComparison } from '@pace-bend/core/record';
import { cautionsFor, measuring as measuringAction } from '@pace-bend/core/caution';
import { useFindings } from '../findings/useFindings.ts';
import { useVisit } from '../stores/visit.ts';
import { keepChoice, readChoice } from '../api/drafts.ts';
import PickMotion from './PickMotion.vue';
import MotionRow from './MotionRow.vue';
import ProposalDialog from './ProposalDialog.vue';
import ReadingPanel from './ReadingPanel.vue';
import { useEvidence } from './useEvidence.ts';
import { useMeasuring } from './useMeasuring.ts';
import { hintOf, isKey } from '../parts/keys.ts';
import { useWindowKeys } from '../parts/useWindowKeys.ts';
import { t } from '../words/measuring.ts';

/** The list of motions with their bend pairs, and the panel where the trials of one of them are typed. */
const props = defineProps<{ moment: Moment }>();

const visit = useVisit();
const measuring = useMeasuring(props.moment);
const findings = useFindings(props.moment);
const { comparisons, motions } = measuring;
const { judged } = useEvidence(() => comparisons.value);

/** Whether the list walks once round the table, position by position, or keeps the catalogue's order. */
const inRound = ref(readChoice<boolean>('measure.round') ?? false);
const round = computed(() => planRound(motions.value));
const sequence = computed(() =>
  inRound.value ? round.value.items : motions.value.flatMap((motion) => motion.sides.map((side) => ({ motion, side }))),
);
const rows = computed<MotionComparison[]>(() =>
  [...new Set(sequence.value.map((item) => item.motion.id))].map((id) => comparisons.value.find((row) => row.motion.id === id)!),
);
/** Where the athlete lies from this row on, said where it changes. */
const turnAt = computed(() => {
  const words = new Map<string, string>();
  if (!inRound.value) return words;
  let last = '';
  for (const item of round.value.items) {
    if (item.position !== last && !words.has(item.motion.id)) words.set(item.motion.id, item.position);
    last = item.position;
  }
  return words;
});

const activeId = ref(rows.value[0]?.motion.id ?? '');
const active = computed(() => rows.value.find((row) => row.motion.id === activeId.value) ?? rows.value[0] ?? null);
const panel = ref<InstanceType<typeof ReadingPanel> | null>(null);
const proposing = ref(false);
watch(motions, (now) => {
  if (!now.some((motion) => motion.id === activeId.value)) activeId.value = rows.value[0]?.motion.id ?? '';
});

function go(motion: Motion, focusSide?: Side): void {
  activeId.value = motion.id;
  void nextTick(() => panel.value?.focus(focusSide ?? motion.sides[0]!, 0));
}

/** Where to begin: the first side that has no reading yet, or else the first; with nothing in the list, the field that adds a motion. */
const pickMotion = ref<InstanceType<typeof PickMotion> | null>(null);
onMounted(() => {
  const elsewhere = document.activeElement;
  if (visit.finished || (elsewhere && elsewhere !== document.body && elsewhere.id !== 'main' && !elsewhere.closest('nav, a'))) return;
  const first =
    sequence.value.find(
      ({ motion, side }) => !comparisons.value.find((row) => row.motion.id === motion.id)?.sides.find((each) => each.side === side)?.now,
    ) ?? sequence.value[0];
  if (first) go(first.motion, first.side);
  else pickMotion.value?.focus();
});

function step(by: 1 | -1): void {
  const next = rows.value[rows.value.findIndex((row) => row.motion.id === activeId.value) + by];
  if (next) go(next.motion);
}

/** Enter: the next trial, then the next side and motion of the order the list is in. */
function advance(side: Side, index: number): void {
  const { motion } = active.value!;
  if (index + 1 < TRIALS_USUAL) return void panel.value?.focus(side, index + 1);
  const next = sequence.value[sequence.value.findIndex((item) => item.motion.id === motion.id && item.side === side) + 1];
  if (next) go(next.motion, next.side);
}

function add(ids: readonly string[]): void {
  for (const id of ids) measuring.pick(id);
  const first = inRound.value ? rows.value.find((row) => ids.includes(row.motion.id))?.motion : ids[0] && motionOf(ids[0]);
  if (first) go(first);
}

function setRound(on: boolean): void {
  inRound.value = on;
  keepChoice('measure.round', on);
  const first = rows.value.find((row) => row.sides.every((each) => !each.now)) ?? rows.value[0];
  if (first) go(first.motion);
}

function lastSet(): void {
  const set = measuring.lastSet.value;
  measuring.choose(set);
  const first = rows.value[0];
  if (first) go(first.motion);
}

/** Commands that must work from inside a field. */
function onKey(event: KeyboardEvent): void {
  if (visit.finished || props.moment !== 'before') return;
  if (isKey(event, 'oneRound')) setRound(!inRound.value);
  else if (isKey(event, 'lastSet')) lastSet();
  else if (isKey(event, 'whatToMeasure')) proposing.value = true;
  else if (isKey(event, 'addMotion')) pickMotion.value?.focus();
  else return;
  event.preventDefault();
}
useWindowKeys(onKey);

/** The strongest caution on measuring each motion, either side; notes are left to the sheet. Typing does not ask again. */
const care = computed(
  () =>
    new Map(
      motions.value.map((motion) => {
        const levels = motion.sides.map((side) => cautionsFor(visit.cautionContext!, measuringAction(motion.id, side)).level);
        return [motion.id, (['stop', 'avoid', 'modify'] as const).find((level) => levels.includes(level)) ?? null] as const;
      }),
    ),
);

const bandWords = computed(() => active.value?.bands.map((band) => `${band.people} (${band.source.short})`).join(' and ') ?? '');
</script>

<template>
  <div class="width">
    <div class="board">
      <div class="main">
        <section class="card list" :aria-label="t('motions')">
          <header v-if="!visit.finished && moment === 'before'" class="tools">
            <PickMotion ref="pickMotion" :motions="MOTIONS" :taken="motions" @change="(id) => add([id])" />
            <button type="button" class="choice" :title="hintOf('whatToMeasure')" @click="proposing = true">{{ t('whatMeasure') }}</button>
            <button v-if="measuring.lastSet.value.length > 0" type="button" class="choice" :title="hintOf('lastSet')" @click="lastSet">
              {{ t('lastSet') }}
            </button>
            <button type="button" class="choice" :title="hintOf('oneRound')" :aria-pressed="inRound" @click="setRound(!inRound)">
              {{ t('oneRound') }}
            </button>
            <span v-if="inRound && round.positions.length > 0" class="small soft">{{
              round.positions.length === 1 ? t('noTurn') : round.turns === 1 ? t('oneTurn') : t('turns', { turns: round.turns })
            }}</span>
          </header>
          <p v-if="rows.length === 0" class="empty">{{ t('chooseFirstMotionMeasure') }}</p>
          <ul v-else class="plain">
            <li v-for="row in rows" :key="row.motion.id" :class="{ on: row.motion.id === active?.motion.id }">
              <p v-if="turnAt.has(row.motion.id)" class="turn small">{{ turnAt.get(row.motion.id) }}</p>
              <MotionRow
                :row="row"
                :moment="moment"
                :active="row.motion.id === active?.motion.id"
                :care="care.get(row.motion.id) ?? null"
                :unsent="row.motion.sides.filter((side) => measuring.isUnsent(row.motion.id, side))"
                @choose="go(row.motion)"
              />
              <button
                v-if="!measuring.isMeasured(row.motion) && !visit.finished && moment === 'before'"
                type="button"
                class="drop"
                :aria-label="t('leaveOut2', { name: row.motion.name, testPosition: row.motion.testPosition })"
                :title="t('leaveOut')"
                @click="measuring.drop(row.motion.id)"
              >
                ×
              </button>
            </li>
          </ul>
          <footer>
            <span class="legend small soft">
              <span>{{ t('left') }} <i aria-hidden="true">◂ ▸</i> {{ t('right') }}</span>
              <span v-if="bandWords"
                ><svg width="22" height="9" aria-hidden="true"><rect width="22" height="9" class="band" /></svg> {{ bandWords }}</span
              >
              <span
                ><svg width="8" height="14" aria-hidden="true"><path d="M4 0V14" class="tick" /></svg> {{ t('baseline') }}</span
              >
              <span v-if="moment === 'after'"
                ><svg width="16" height="10" aria-hidden="true"><path d="M0 9L14 1" class="thin" /></svg> {{ t('before') }}</span
              >
            </span>
            <span class="keys small soft">{{ t('digitsEnterEnterNext') }}</span>
          </footer>
        </section>
        <slot name="below" :findings="findings" />
      </div>

      <aside class="side">
        <ReadingPanel
          v-if="active"
          ref="panel"
          :key="active.motion.id"
          :row="active"
          :measuring="measuring"
          :moment="moment"
          :findings="findings"
          :judged="(side) => judged(active!.motion, side)"
          @advance="advance"
          @step="step"
          @measure="(id) => add([id])"
        />
        <slot name="beside" :comparisons="comparisons" />
      </aside>
      <ProposalDialog v-if="proposing" v-model:open="proposing" @take="add" />
    </div>
  </div>
</template>

<style scoped>
/* What stands beside what is decided by the width there is, not by the window's: a rail or a panel may take some of it. */
.width {
  container: measure-board / inline-size;
}

.board {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 340px;
  gap: 16px;
  align-items: start;
}

.list {
  padding: 0;
  container: motion-list / inline-size;
}

.tools {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  padding: 10px 14px;
  border-bottom: 1px solid var(--line-faint);
}

li {
  position: relative;
  border-bottom: 1px solid var(--line-faint);
}

li.on {
  background: var(--raised);
  box-shadow: inset 4px 0 0 var(--spruce);
}

.turn {
  margin: 0;
  padding: 4px 14px 0;
  color: var(--slate-text);
  font-weight: 700;
}

.drop {
  position: absolute;
  top: 6px;
  right: 6px;
  width: 28px;
  height: 28px;
  border: 0;
  border-radius: 4px;
  background: none;
  color: var(--soft);
  font-size: 17px;
  cursor: pointer;
}

.drop:hover {
  background: var(--clay-soft);
  color: var(--clay-text);
}

footer {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 18px;
  padding: 11px 16px;
}

.legend {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
}

.keys {
  margin-left: auto;
}

.legend .band {
  fill: var(--band);
}

.legend .tick {
  stroke: var(--tick);
  stroke-width: 2;
  stroke-dasharray: 3 2;
}

.legend .thin {
  stroke: var(--soft);
  stroke-width: 1.6;
}

.empty {
  padding: 28px 20px;
  color: var(--soft);
}

.main,
.side {
  min-width: 0;
  display: grid;
  gap: 16px;
}

@container measure-board (max-width: 860px) {
  .board {
    grid-template-columns: minmax(0, 1fr) 300px;
    gap: 12px;
  }
}

@container measure-board (max-width: 730px) {
  .board {
    grid-template-columns: minmax(0, 1fr);
  }

  .side {
    order: -1;
  }
}

@container motion-list (max-width: 560px) {
  .keys {
    display: none;
  }
}
</style>
