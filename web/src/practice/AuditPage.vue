<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { onMounted, ref } from 'vue';
import { useRoute } from 'vue-router';
import { DateTime } from 'luxon';
import type { AuditLine } from '@pace-bend/core/access';
import { api } from '../api/api.ts';
import DataTable, { type DataColumn } from '../parts/DataTable.vue';
import { useAction } from '../parts/useAction.ts';
import ProblemNote from '../parts/ProblemNote.vue';
import { usePractice } from '../stores/practice.ts';
import { t } from '../words/practice.ts';

/** Who read or changed whose file. Only added to. */
const route = useRoute();
const practice = usePractice();
/** Null until the first of them came. */
const lines = ref<readonly AuditLine[] | null>(null);
const more = ref(false);
const { problem, run } = useAction();
const athlete = typeof route.query.athlete === 'string' ? route.query.athlete : '';

const load = () =>
  run(async () => {
    const query = new URLSearchParams({
      ...(lines.value?.length ? { before: String(lines.value.at(-1)!.id) } : {}),
      ...(athlete ? { athlete } : {}),
    });
    const found = await api<{ lines: AuditLine[]; more: boolean }>('GET', `/audit?${query}`);
    lines.value = [...(lines.value ?? []), ...found.lines];
    more.value = found.more;
  });
onMounted(load);
const COLUMNS: readonly DataColumn<AuditLine>[] = [
  { key: 'at', title: t('when'), value: (line) => line.at, sortable: true, numeric: true },
  { key: 'who', title: t('who'), value: (line) => line.account, sortable: true },
  { key: 'what', title: t('what'), value: (line) => line.what, sortable: true },
  { key: 'whose', title: t('whoseFile'), value: (line) => line.athleteName, sortable: true },
];
const at = (instant: string) => DateTime.fromISO(instant, { zone: practice.zone }).toFormat('d LLL yyyy, HH:mm:ss');
</script>

<template>
  <section class="card" :aria-label="t('audit')">
    <p class="soft">
      {{ t('whoReadChangedWhose') }}
    </p>
    <ProblemNote v-if="problem" :problem="problem" :retry="load" />
    <p v-if="lines === null && !problem" class="soft" role="status">{{ t('reading') }}</p>
    <DataTable
      v-if="lines"
      class="lines"
      :label="t('audit')"
      :rows="lines"
      :columns="COLUMNS"
      :row-key="(line) => line.id"
      :page-size="50"
      :empty="athlete ? t('fileNeitherReadChanged') : t('nothingWrittenAudit')"
    >
      <template #cell="{ row: line, column }">
        <template v-if="column.key !== 'whose'">{{ column.key === 'at' ? at(line.at) : column.value(line) }}</template>
        <RouterLink v-else-if="line.athleteName" :to="`/athlete/${line.athleteId}`">{{ line.athleteName }}</RouterLink>
        <span v-else-if="line.athleteId" class="soft">{{ t('erased', { athleteId: line.athleteId.slice(-8) }) }}</span>
      </template>
    </DataTable>
    <p v-if="more" class="more">
      <Button @click="load">{{ t('furtherBack') }}</Button>
    </p>
  </section>
</template>

<style scoped>
.lines {
  margin-top: 10px;
}

.more {
  padding-top: 12px;
}
</style>
