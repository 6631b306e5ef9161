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

/** Who read or changed whose file. Only added to. */
const route = useRoute();
const practice = usePractice();
const lines = ref<readonly AuditLine[]>([]);
const more = ref(false);
const { problem, run } = useAction();
const athlete = typeof route.query.athlete === 'string' ? route.query.athlete : '';

const load = () =>
  run(async () => {
    const query = new URLSearchParams({
      ...(lines.value.length > 0 ? { before: String(lines.value.at(-1)!.id) } : {}),
      ...(athlete ? { athlete } : {}),
    });
    const found = await api<{ lines: AuditLine[]; more: boolean }>('GET', `/audit?${query}`);
    lines.value = [...lines.value, ...found.lines];
    more.value = found.more;
  });
onMounted(load);
const COLUMNS: readonly DataColumn<AuditLine>[] = [
  { key: 'at', title: 'When', value: (line) => line.at, sortable: true, numeric: true },
  { key: 'who', title: 'Who', value: (line) => line.account, sortable: true },
  { key: 'what', title: 'What', value: (line) => line.what, sortable: true },
  { key: 'whose', title: 'Whose file', value: (line) => line.athleteName, sortable: true },
];
const at = (instant: string) => DateTime.fromISO(instant, { zone: practice.zone }).toFormat('d LLL yyyy, HH:mm:ss');
</script>

<template>
  <section class="card" aria-label="Audit">
    <p class="soft">
      Who read or changed whose file, newest first. Lines are only added; the database refuses to change one. Reading or typing on within
      five minutes is one line.
    </p>
    <ProblemNote v-if="problem" :problem="problem" :retry="load" />
    <DataTable class="lines" label="Audit" :rows="lines" :columns="COLUMNS" :row-key="(line) => line.id" :page-size="50">
      <template #cell="{ row: line, column }">
        <template v-if="column.key !== 'whose'">{{ column.key === 'at' ? at(line.at) : column.value(line) }}</template>
        <RouterLink v-else-if="line.athleteName" :to="`/athlete/${line.athleteId}`">{{ line.athleteName }}</RouterLink>
        <span v-else-if="line.athleteId" class="soft">erased ({{ line.athleteId.slice(-8) }})</span>
      </template>
    </DataTable>
    <p v-if="more" class="more"><Button @click="load">Further back</Button></p>
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
