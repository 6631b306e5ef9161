<script setup lang="ts">
import type { Motion, Side } from '@pace-bend/core/body';
import { END_FEELS, FELT, type EndData } from '@pace-bend/core/finding';
import NotSent from './NotSent.vue';
import ChoiceRow from '../parts/ChoiceRow.vue';
import { SIDE_WORDS } from '../parts/words.ts';
import { useVisit } from '../stores/visit.ts';
import type { Findings } from './useFindings.ts';
import { t } from '../words/findings.ts';

/** How the motion ends on each side: under the hand, in the athlete's words, how it hurts, and whether it is held. */
const props = defineProps<{ motion: Motion; findings: Findings; closed: (side: Side) => boolean }>();
const visit = useVisit();

const BLANK: EndData = { endFeel: null, pain: null, felt: null, guarding: null };
const placeOf = (side: Side) => ({ kind: 'end', subject: props.motion.id, side }) as const;
const dataOf = (side: Side): EndData => props.findings.read<'end'>(placeOf(side)) ?? BLANK;

function set(side: Side, patch: Partial<EndData>): void {
  const data = { ...dataOf(side), ...patch };
  const empty = Object.values(data).every((value) => value === null);
  props.findings.write({ ...placeOf(side), data: empty ? null : data });
}

const feels = END_FEELS.map(({ id, name, says }) => ({ value: id, label: name, hint: says }));
const felts = FELT.map(({ id, name }) => ({ value: id, label: name }));
const pains = Array.from({ length: 11 }, (_, value) => ({ value, label: String(value) }));
const yesNo = [
  { value: true, label: t('guards') },
  { value: false, label: t('letsGo') },
];
</script>

<template>
  <NotSent :count="findings.unsent.value" />
  <div class="sides">
    <section v-for="side in motion.sides" :key="side" :aria-label="t('endMotion', { side })">
      <h3>{{ SIDE_WORDS[side] }}</h3>
      <p v-if="closed(side)" class="soft small">{{ t('notTakenEndToday') }}</p>
      <template v-else>
        <p class="what">{{ t('underHand') }}</p>
        <ChoiceRow
          :options="feels"
          :value="dataOf(side).endFeel"
          :label="t('endFeel', { side })"
          :disabled="visit.finished"
          @change="(endFeel) => set(side, { endFeel })"
        />
        <p class="what">{{ t('felt') }}</p>
        <ChoiceRow
          :options="felts"
          :value="dataOf(side).felt"
          :label="t('whereFelt', { side })"
          :disabled="visit.finished"
          @change="(felt) => set(side, { felt })"
        />
        <p class="what">{{ t('pain') }}</p>
        <ChoiceRow
          tight
          :options="pains"
          :value="dataOf(side).pain"
          :label="t('painEnd', { side })"
          :disabled="visit.finished"
          @change="(pain) => set(side, { pain })"
        />
        <p class="what">{{ t('theAthlete') }}</p>
        <ChoiceRow
          :options="yesNo"
          :value="dataOf(side).guarding"
          :label="t('guarding', { side })"
          :disabled="visit.finished"
          @change="(guarding) => set(side, { guarding })"
        />
        <p v-if="findings.problemOf(placeOf(side))" class="wrong small" role="alert">{{ findings.problemOf(placeOf(side)) }}</p>
      </template>
    </section>
  </div>
</template>

<style scoped>
.sides {
  display: grid;
  gap: 14px;
}

section {
  display: grid;
  gap: 4px;
}

section + section {
  padding-top: 12px;
  border-top: 1px solid var(--line-faint);
}

h3 {
  font-size: 15px;
}

.what {
  margin: 4px 0 0;
  color: var(--soft);
  font-size: 13px;
}

.wrong {
  color: var(--clay-text);
}
</style>
