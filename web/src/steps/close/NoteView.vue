<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed, onMounted } from 'vue';
import { useRoute } from 'vue-router';
import { DateTime } from 'luxon';
import { handOver } from '../../parts/handOver.ts';
import ProblemNote from '../../parts/ProblemNote.vue';
import { usePractice } from '../../stores/practice.ts';
import { useVisit } from '../../stores/visit.ts';
import NoteSheet from './NoteSheet.vue';
import { t } from '../../words/close.ts';

/** The note on a page of its own: to print, or to save as plain text. */
const route = useRoute();
const visit = useVisit();
const practice = usePractice();
const id = String(route.params.id);
const ready = computed(() => visit.file !== null && visit.id === id);
onMounted(open);
async function open(): Promise<void> {
  await practice.load().catch(() => undefined);
  if (visit.id !== id) await visit.load(id);
}
const date = computed(() => DateTime.fromISO(visit.file!.visit.startsAt, { zone: practice.zone }).toFormat('d LLLL yyyy, HH:mm'));
const print = () => window.print();
const save = (text: string) =>
  handOver(
    new Blob([`${visit.file!.athlete.name}, ${date.value}\n\n${text}\n`], { type: 'text/plain;charset=utf-8' }),
    `note-${practice.dayOf(visit.file!.visit.startsAt)}.txt`,
  );
</script>

<template>
  <div class="page">
    <ProblemNote v-if="visit.problem && !ready" :problem="visit.problem" :retry="open"
      ><RouterLink to="/">{{ t('backDay') }}</RouterLink></ProblemNote
    >
    <p v-else-if="!ready" class="soft">{{ t('openingVisit') }}</p>
    <p v-else-if="visit.file!.note === null" class="soft">{{ t('notesReadTherapistsOnly') }}</p>
    <NoteSheet v-else :title="visit.file!.athlete.name" :date="date">
      <template #acts="{ text }">
        <RouterLink :to="`/visit/${id}/close`">{{ t('backVisit') }}</RouterLink>
        <span class="end choices"
          ><Button @click="save(text)">{{ t('saveText') }}</Button
          ><Button type="primary" @click="print">{{ t('print') }}</Button></span
        >
      </template>
    </NoteSheet>
  </div>
</template>

<style scoped>
.end {
  margin-left: auto;
}
</style>
