<script setup lang="ts">
import { computed, ref } from 'vue';
import {
  CLOCKS,
  currentFindings,
  findingVerdict,
  findingWords,
  findLook,
  GLIDES,
  subjectWords,
  type ClockId,
  type FindingKind,
  type LookFirst,
  type StandingFinding,
} from '@pace-bend/core/finding';
import { useVisit } from '../stores/visit.ts';
import { SIDE_WORDS } from '../parts/words.ts';
import ChoiceRow from '../parts/ChoiceRow.vue';
import ClockDial from './ClockDial.vue';
import ForceTests from './ForceTests.vue';
import GlideCross from './GlideCross.vue';
import LegLength from './LegLength.vue';
import NotSent from './NotSent.vue';
import PointFinder from './PointFinder.vue';
import LooksPanel from './LooksPanel.vue';
import PressTests from './PressTests.vue';
import type { Findings } from './useFindings.ts';
import { t } from '../words/findings.ts';

/** What hands and eyes find besides angles: clocks, glides, leg length, presses, force. One kind open at a time. */
const props = defineProps<{ findings: Findings }>();
const visit = useVisit();

const KINDS = [
  { value: 'clock', label: t('clock') },
  { value: 'glide', label: t('glides') },
  { value: 'leg-length', label: t('legLength') },
  { value: 'press', label: t('pressTests') },
  { value: 'force', label: t('force') },
  { value: 'point', label: t('points') },
  { value: 'look', label: t('looks') },
] as const;
const open = ref<Exclude<FindingKind, 'end'> | null>(null);
const clock = ref<ClockId>('hip');
const clocks = CLOCKS.map(({ id, name }) => ({ value: id, label: name }));
const twelve = computed(() => CLOCKS.find((each) => each.id === clock.value)!.twelve);
const SIDES = ['left', 'right'] as const;

/** The place that is looked at again. */
const at = ref<{ readonly subject: string; readonly side: 'left' | 'right' } | null>(null);
const first = computed(() => visit.toLookAt);
function lookAgain({ subject, side }: Pick<LookFirst['finding'], 'subject' | 'side'>): void {
  at.value = { subject, side };
  open.value = 'point';
}
const isAfter = computed(() => props.findings.moment === 'after');
const told = computed(() => visit.findings.filter((each) => each.kind !== 'end' && (!isAfter.value || each.moment === 'after')));
/** What was found before work and can be looked at again, with what became of it. */
const again = computed(() =>
  isAfter.value
    ? visit.findings
        .filter((each) => each.moment === 'before' && each.kind !== 'end' && each.kind !== 'force')
        .map((before) => {
          const after = visit.findings.find(
            (each) => each.moment === 'after' && each.kind === before.kind && each.subject === before.subject && each.side === before.side,
          );
          return { before, verdict: after ? findingVerdict(before, after) : null };
        })
    : [],
);
function openAgain(finding: StandingFinding): void {
  if (finding.kind === 'point') lookAgain(finding);
  else if (finding.kind !== 'end') open.value = finding.kind;
  if (finding.kind === 'clock') clock.value = finding.subject;
}
/** Looks open at the group of what was seen. */
const group = computed(() => {
  const seen = visit.findings.find((each) => each.kind === 'look');
  return (seen && findLook(seen.subject)?.group) ?? null;
});
/** Points come from any earlier visit: they are said by themselves, with their age. */
const last = computed(() => currentFindings(visit.file!.lastFindings).filter((each) => each.kind !== 'end' && each.kind !== 'point'));
const shown = computed(() => (isAfter.value ? [] : told.value.length > 0 ? told.value : last.value));
const line = (each: (typeof told.value)[number]) =>
  `${subjectWords(each)}${each.side === 'midline' ? '' : `, ${SIDE_WORDS[each.side].toLowerCase()}`}`;
</script>

<template>
  <section class="card findings" :aria-label="t('findings')">
    <header>
      <h2>{{ isAfter ? t('findingsLookedAgain') : t('findings') }}</h2>
      <NotSent :count="findings.unsent.value" />
      <ChoiceRow :options="KINDS" :value="open" :label="t('kindFinding')" @change="(kind) => (open = kind)" />
    </header>

    <div v-if="open === 'clock'" class="body">
      <ChoiceRow
        :options="clocks"
        :value="clock"
        :label="t('joint')"
        @change="
          (id) => {
            if (id) clock = id;
          }
        "
      />
      <div class="pair">
        <div v-for="side in SIDES" :key="side">
          <h3>{{ SIDE_WORDS[side] }}</h3>
          <ClockDial
            :data="findings.read<'clock'>({ kind: 'clock', subject: clock, side })"
            :label="t('clock2', { side })"
            :twelve="twelve"
            :disabled="visit.finished"
            @change="(data) => findings.write({ kind: 'clock', subject: clock, side, data })"
          />
        </div>
        <p class="soft small keys">
          {{ t('pressHourTightPainful') }} <span class="key">{{ t('t') }}</span> {{ t('tight') }} <span class="key">{{ t('p') }}</span>
          {{ t('painful') }} <span class="key">{{ t('f') }}</span> {{ t('freeThreeOclockOutward') }}
        </p>
      </div>
    </div>
    <div v-else-if="open === 'glide'" class="body">
      <div v-for="glide in GLIDES" :key="glide.id">
        <h3>{{ glide.name }}</h3>
        <div class="pair">
          <div v-for="side in SIDES" :key="side">
            <p class="soft small">{{ SIDE_WORDS[side] }}</p>
            <GlideCross
              :data="findings.read<'glide'>({ kind: 'glide', subject: glide.id, side })"
              :label="`${glide.name}, ${side}`"
              :disabled="visit.finished"
              @change="(data) => findings.write({ kind: 'glide', subject: glide.id, side, data })"
            />
          </div>
        </div>
      </div>
    </div>
    <div v-else-if="open === 'leg-length'" class="body">
      <LegLength
        :data="findings.read<'leg-length'>({ kind: 'leg-length', subject: 'legs', side: 'midline' })"
        :disabled="visit.finished"
        @change="(data) => findings.write({ kind: 'leg-length', subject: 'legs', side: 'midline', data })"
      />
    </div>
    <div v-else-if="open === 'press'" class="body"><PressTests :findings="findings" :disabled="visit.finished" /></div>
    <div v-else-if="open === 'force'" class="body"><ForceTests :findings="findings" :disabled="visit.finished" /></div>

    <div v-else-if="open === 'point'" class="body"><PointFinder :findings="findings" :disabled="visit.finished" :at="at" /></div>

    <div v-else-if="open === 'look'" class="body"><LooksPanel :findings="findings" :disabled="visit.finished" :group="group" /></div>

    <ul v-if="again.length > 0" class="plain again" :aria-label="t('lookedAgain')">
      <li v-for="{ before, verdict } in again" :key="before.id">
        <span
          ><b>{{ line(before) }}</b> {{ findingWords(before) }}</span
        >
        <b v-if="verdict" :class="verdict.way">{{ verdict.words }}</b>
        <button
          v-else-if="!visit.finished"
          type="button"
          class="link"
          :aria-label="t('lookAgain2', { line: line(before) })"
          @click="openAgain(before)"
        >
          {{ t('lookAgain') }}
        </button>
        <span v-else class="soft">{{ t('notLookedAgain') }}</span>
      </li>
    </ul>
    <p v-else-if="isAfter && open === null" class="soft small">{{ t('nothingFoundBeforeWork') }}</p>

    <ul v-if="first.length > 0" class="told small" :aria-label="t('lookAtThisFirst')">
      <li>
        <b>{{ t('lookFirst') }}</b>
      </li>
      <li v-for="each in first" :key="each.finding.id">
        {{ each.words }}
        {{ ' '
        }}<button
          v-if="!visit.finished"
          type="button"
          class="link"
          :aria-label="t('lookAgain3', { words: each.words })"
          @click="lookAgain(each.finding)"
        >
          {{ t('lookAgain') }}
        </button>
      </li>
    </ul>
    <ul v-if="shown.length > 0" class="told small" :aria-label="t('whatFound')">
      <li v-if="told.length === 0" class="soft">{{ t('lastTime') }}</li>
      <li v-for="each in shown" :key="each.id">
        <b>{{ line(each) }}</b> {{ findingWords(each) }}
      </li>
    </ul>
    <p v-else-if="open === null && !isAfter" class="soft small">
      {{ t('nothingBesidesAnglesYet') }}
    </p>
  </section>
</template>

<style scoped>
.findings {
  display: grid;
  gap: 10px;
}

header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 18px;
}

.body {
  display: grid;
  gap: 14px;
  padding: 10px 0;
  border-top: 1px solid var(--line-faint);
}

.pair {
  display: flex;
  flex-wrap: wrap;
  align-items: start;
  gap: 10px 34px;
}

.keys {
  flex: 1;
  min-width: 180px;
  max-width: 270px;
  align-self: center;
  line-height: 1.5;
}

h3 {
  font-size: 15px;
}

p {
  margin: 0;
}

.again {
  display: grid;
  gap: 6px;
}

.again li {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 2px 18px;
}

.better {
  color: var(--spruce);
}

.worse {
  color: var(--clay-text);
}

.told {
  display: flex;
  flex-wrap: wrap;
  gap: 3px 18px;
  margin: 0;
  padding: 0;
  list-style: none;
}
</style>
