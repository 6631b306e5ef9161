<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed, ref } from 'vue';
import { checkLayout, LONGEST_HEADING, NOTE_LAYOUTS } from '@pace-bend/core/note';
import type { NoteLayout, NotePart, Practice } from '@pace-bend/core/record';
import { api } from '../api/api.ts';
import ChoiceRow from '../parts/ChoiceRow.vue';
import ProblemNote from '../parts/ProblemNote.vue';
import { useAction } from '../parts/useAction.ts';
import { usePractice } from '../stores/practice.ts';
import { useSession } from '../stores/session.ts';
import TextInput from '../parts/TextInput.vue';
import { t } from '../words/practice.ts';

/** In which order a note is written here, and under which headings. Signed notes stay as they were signed. */
const practice = usePractice();
const session = useSession();
const readOnly = computed(() => !session.may('PATCH', '/practice'));
const PART_WORDS: Readonly<Record<NotePart, string>> = {
  said: t('whatTheySaid'),
  found: t('whatFound'),
  done: t('whatDone'),
  answered: t('howAnswered'),
  next: t('whatComesNext'),
};
const TEMPLATES = [
  { value: 'told', label: t('saidFoundDone') },
  { value: 'soap', label: t('subjectiveObjectiveAssessmentPlan') },
  { value: 'work-first', label: t('workFirst') },
];
const copyOf = ({ sections }: NoteLayout) => sections.map(({ heading, parts }) => ({ heading, parts: [...parts] }));
const sections = ref(copyOf(practice.practice?.noteLayout ?? NOTE_LAYOUTS[0]!));
const kept = ref(false);
const { busy, problem, run } = useAction();
const wrong = computed(() => new Map(checkLayout({ sections: sections.value }).map(({ path, message }) => [path, message])));
/** Which template it still is, heading by heading. */
const template = computed(() => NOTE_LAYOUTS.find((each) => JSON.stringify(copyOf(each)) === JSON.stringify(sections.value))?.id ?? null);

function take(id: string | null): void {
  const found = NOTE_LAYOUTS.find((each) => each.id === id);
  if (found) sections.value = copyOf(found);
  kept.value = false;
}
function move(index: number, by: 1 | -1): void {
  const list = [...sections.value];
  const [section] = list.splice(index, 1);
  list.splice(index + by, 0, section!);
  sections.value = list;
  kept.value = false;
}
async function keep(): Promise<void> {
  if (wrong.value.size > 0) return;
  const { name, timeZone, scope, revision } = practice.practice!;
  kept.value = await run(async () =>
    practice.take(
      await api<Practice>('PATCH', '/practice', {
        name,
        timeZone,
        scope,
        revision,
        noteLayout: { sections: sections.value.map(({ heading, parts }) => ({ heading: heading.trim(), parts })) },
      }),
    ),
  );
}
</script>

<template>
  <form class="card notes" novalidate :aria-label="t('notes')" @submit.prevent="keep">
    <h2>{{ t('howNoteWrittenHere') }}</h2>
    <p class="soft">
      {{ t('everyVisitsNoteDrafted') }}
    </p>
    <ChoiceRow :label="t('beginWith')" :options="TEMPLATES" :value="template" :disabled="readOnly" @change="take" />
    <ol class="plain">
      <li v-for="(section, i) in sections" :key="section.parts.join()">
        <label
          >{{ t('heading', { what: i + 1 })
          }}<TextInput
            v-model="section.heading"
            :maxlength="LONGEST_HEADING"
            :readonly="readOnly"
            :aria-invalid="wrong.has(`sections.${i}.heading`) ? 'true' : undefined"
            @input="kept = false"
        /></label>
        <span class="soft parts">{{ section.parts.map((part) => PART_WORDS[part]).join(', ') }}</span>
        <span v-if="!readOnly" class="moves">
          <Button :disabled="i === 0" :aria-label="t('moveUp', { heading: section.heading })" @click="move(i, -1)">↑</Button>
          <Button :disabled="i === sections.length - 1" :aria-label="t('moveDown', { heading: section.heading })" @click="move(i, 1)"
            >↓</Button
          >
        </span>
        <p v-if="wrong.has(`sections.${i}.heading`)" class="wrong" role="alert">{{ wrong.get(`sections.${i}.heading`) }}</p>
      </li>
    </ol>
    <ProblemNote v-if="problem" :problem="problem" />
    <div v-if="!readOnly" class="end">
      <Button type="primary" html-type="submit" :loading="busy">{{ t('keepOrder') }}</Button>
      <span v-if="kept" class="soft" role="status">{{ t('kept') }}</span>
    </div>
  </form>
</template>

<style scoped>
.notes {
  display: grid;
  gap: 12px;
  max-width: 820px;
}

ol {
  display: grid;
  gap: 8px;
}

li {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 6px 14px;
}

label {
  display: grid;
  gap: 3px;
  min-width: 240px;
  font: 600 13px var(--words);
}

.parts {
  flex: 1;
  min-width: 160px;
  padding-bottom: 8px;
}

.moves {
  display: flex;
  gap: 6px;
}

.end {
  display: flex;
  align-items: center;
  gap: 12px;
}

.wrong {
  width: 100%;
}
</style>
