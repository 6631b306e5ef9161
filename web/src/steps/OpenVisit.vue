<script setup lang="ts">
import { watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import ProblemNote from '../parts/ProblemNote.vue';
import { useVisit } from '../stores/visit.ts';
import { t } from '../words/steps.ts';

/** Opens a visit at the step where it was left. */
const route = useRoute();
const router = useRouter();
const visit = useVisit();

async function open(id: string): Promise<void> {
  await visit.load(id);
  if (visit.file?.visit.id === id) await router.replace(`/visit/${id}/${visit.file.visit.step}`);
}
watch(
  () => String(route.params.id),
  (id) => void open(id),
  { immediate: true },
);
</script>

<template>
  <div class="wait">
    <ProblemNote v-if="visit.problem" :problem="visit.problem" :retry="() => open(String(route.params.id))" />
    <p v-else class="soft">{{ t('openingVisit') }}</p>
  </div>
</template>

<style scoped>
.wait {
  padding: 32px;
}
</style>
