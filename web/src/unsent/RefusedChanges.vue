<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed } from 'vue';
import { useShelf } from '../stores/shelf.ts';
import type { Change } from '../outbox/change.ts';
import { whatNow } from '../api/problemTypes.ts';
import { differences } from '../outbox/words.ts';
import { t } from '../words/unsent.ts';

/** What was refused, and why; where it came too late, what stands now beside what was typed here, and the choice. */
const props = defineProps<{ changes: readonly Change[] }>();
defineEmits<{ theirs: []; mine: [] }>();

const shelf = useShelf();
const refusal = computed(() => props.changes[0]?.refusal ?? null);
const isStale = computed(() => props.changes.some((change) => change.refusal!.isStale));
const found = computed(() =>
  props.changes.flatMap((change) => differences(change, ({ entryId }) => shelf.shelf.entries.get(entryId)?.name ?? t('anEntry'))),
);
</script>

<template>
  <div v-if="refusal" class="refused" role="alert">
    <p>
      <b>{{ refusal.title }}.</b> {{ refusal.message }}
      <span v-if="refusal.type && whatNow(refusal.type)" class="soft">{{ whatNow(refusal.type) }}</span>
    </p>
    <table v-if="found.length > 0" class="small">
      <thead>
        <tr>
          <th scope="col">
            <span class="sr-only">{{ t('field') }}</span>
          </th>
          <th scope="col">{{ t('standsNow') }}</th>
          <th scope="col">{{ t('typedHere') }}</th>
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
      <Button size="small" @click="$emit('theirs')">{{ found.length > 0 ? t('useCurrentVersion') : t('showCurrentVersion') }}</Button>
      <Button v-if="isStale" size="small" @click="$emit('mine')">{{ t('keepMineInstead') }}</Button>
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
