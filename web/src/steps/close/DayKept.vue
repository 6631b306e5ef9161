<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed } from 'vue';
import { dayInNote, LIMITS, READINESS_OUTCOMES } from '@pace-bend/core/record';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import ReadinessMark from '../../parts/ReadinessMark.vue';
import { useSession } from '../../stores/session.ts';
import { useVisit } from '../../stores/visit.ts';
import { t } from '../../words/close.ts';

/** How the day was taken in, what was set aside, and how it went: a later look can then tell whether eased days were eased. */
const visit = useVisit();
const readiness = computed(() => visit.file!.readiness);
const today = computed(() => visit.readiness!);
/** What was taken in stands; where nobody took it in, what is known now. */
const word = computed(() => readiness.value.kept?.word ?? today.value.verdict.word);
const reasons = computed(() => (readiness.value.kept ?? { reasons: today.value.verdict.reasons }).reasons.map((each) => each.reason));
const nameOf = (limitId: string) =>
  today.value.verdict.reasons.find(({ ruleId }) => ruleId === limitId)?.reason ??
  today.value.offered.find(({ id }) => id === limitId)?.because ??
  limitId;
const session = useSession();
const note = computed(() => visit.file!.note?.text ?? '');
const line = computed(() =>
  dayInNote(
    word.value,
    reasons.value,
    readiness.value.setAside.map((each) => ({ what: nameOf(each.limitId), reason: each.reason })),
  ),
);
/** The therapist's words with the day put before them. */
const withDay = computed(() => (note.value === '' ? line.value : `${line.value}\n${note.value}`));
const addable = computed(
  () =>
    !visit.finished &&
    !visit.file!.note?.signed &&
    session.may('PUT', '/visits/:id/note') &&
    reasons.value.length + readiness.value.setAside.length > 0 &&
    !note.value.includes(line.value) &&
    withDay.value.length <= LIMITS.noteLength,
);
</script>

<template>
  <section class="card" :aria-label="t('howThey')">
    <h2><ReadinessMark :shape="word" :size="16" aria-hidden="true" /> {{ t('today', { word }) }}</h2>
    <p v-if="reasons.length > 0" class="soft">{{ reasons.join(' ') }}</p>
    <ul v-if="readiness.setAside.length > 0" class="plain" :aria-label="t('setAside')">
      <li v-for="each in readiness.setAside" :key="each.id">
        {{ t('setAside2', { nameOf: nameOf(each.limitId) }) }} <span class="soft small">{{ each.reason }}, {{ each.by }}</span>
      </li>
    </ul>
    <div v-if="addable">
      <Button @click="visit.setNote({ text: withDay })">{{ t('addYourWords') }}</Button>
    </div>
    <div class="asked">
      <span>{{ t('howDidGoDay', { what: word === 'ready' || word === 'not known' ? t('called', { word }) : t('to', { word }) }) }}</span>
      <ChoiceRow
        :label="t('howDidGoDay', { what: word === 'ready' || word === 'not known' ? t('called', { word }) : t('to', { word }) })"
        :options="READINESS_OUTCOMES.map(({ id, name }) => ({ value: id, label: name }))"
        :value="readiness.kept?.outcome ?? null"
        :disabled="visit.finished"
        @change="(outcome) => outcome && visit.keepReadiness(outcome)"
      />
    </div>
  </section>
</template>

<style scoped>
.card {
  display: grid;
  gap: 8px;
}

.asked {
  display: grid;
  gap: 6px;
}
</style>
