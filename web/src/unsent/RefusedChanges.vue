<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed } from 'vue';
import { useShelf } from '../stores/shelf.ts';
import type { Change } from '../outbox/change.ts';
import { WHAT_NOW } from '../api/problemTypes.ts';
import { differences } from '../outbox/words.ts';

/** What was refused, and why; where it came too late, what stands now beside what was typed here, and the choice. */
const props = defineProps<{ changes: readonly Change[] }>();
defineEmits<{ theirs: []; mine: [] }>();

const shelf = useShelf();
const refusal = computed(() => props.changes[0]?.refusal ?? null);
const isStale = computed(() => props.changes.some((change) => change.refusal!.isStale));
const found = computed(() =>
  props.changes.flatMap((change) => differences(change, ({ entryId }) => shelf.shelf.entries.get(entryId)?.name ?? 'an entry')),
);
</script>

<template>
  <div v-if="refusal" class="refused" role="alert">
    <p>
      <b>{{ refusal.title }}.</b> {{ refusal.message }}
      <span v-if="refusal.type && WHAT_NOW[refusal.type]" class="soft">{{ WHAT_NOW[refusal.type] }}</span>
    </p>
    <table v-if="found.length > 0" class="small">
      <thead>
        <tr>
          <th scope="col"><span class="sr-only">Field</span></th>
          <th scope="col">Stands now</th>
          <th scope="col">Typed here</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="each in found" :key="each.field">
          <th scope="row">{{ each.field }}</th>
          <td>{{ each.theirs }}</td>
          <td>{{ each.mine }}</td>
        </tr>
      </tbody>
    </table>
    <div class="choices">
      <Button size="small" @click="$emit('theirs')">{{ found.length > 0 ? 'Use the current version' : 'Show the current version' }}</Button>
      <Button v-if="isStale" size="small" @click="$emit('mine')">Keep mine instead</Button>
    </div>
  </div>
</template>

<style scoped>
.refused {
  display: grid;
  gap: 8px;
  padding: 9px 14px;
  border-left: 4px solid var(--clay);
  border-radius: 4px;
  background: var(--clay-soft);
}

table {
  width: max-content;
  max-width: 100%;
  border-collapse: collapse;
}

th,
td {
  padding: 3px 14px 3px 0;
  text-align: left;
  vertical-align: top;
  overflow-wrap: anywhere;
}

th {
  color: var(--soft);
  font-weight: 600;
}
</style>
