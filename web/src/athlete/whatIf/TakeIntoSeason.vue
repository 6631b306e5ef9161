<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { ref, watch } from 'vue';
import type { Schedule } from '@pace-bend/core/cycle';
import { addDays } from '@pace-bend/core/load';
import type { SeasonFile } from '@pace-bend/core/record';
import { api } from '../../api/api.ts';
import { useAction } from '../../parts/useAction.ts';
import { usePractice } from '../../stores/practice.ts';
import { useSession } from '../../stores/session.ts';
import { t } from '../../words/athlete.ts';

/** Keeps the chosen schedule as the rhythm of the athlete's season: its visits are drawn there, and the forecast goes by it. */
const props = defineProps<{ athleteId: string; letter: string; schedule: Schedule }>();
const practice = usePractice();
const session = useSession();
const { busy, problem, run } = useAction();
const taken = ref(false);
watch(
  () => [props.schedule, props.letter],
  () => {
    taken.value = false;
    problem.value = null;
  },
);

const take = async () => {
  const path = `/athletes/${encodeURIComponent(props.athleteId)}/season`;
  taken.value = await run(async () => {
    const { revision, plan } = await api<SeasonFile>('GET', path);
    const { perWeek, homeDays, startsInWeeks } = props.schedule;
    await api('PUT', path, { revision, ...plan, rhythm: { perWeek, homeDays, from: addDays(practice.today, startsInWeeks * 7) } });
  });
};
</script>

<template>
  <span v-if="session.may('PUT', '/athletes/:id/season')" class="take">
    <Button :loading="busy" @click="take">{{ t('takeIntoSeason', { letter }) }}</Button>
    <span v-if="taken" class="small" role="status"
      >{{ t('taken') }} <RouterLink :to="`/season?squad=everybody&athlete=${athleteId}`">{{ t('seeWeeks') }}</RouterLink></span
    >
    <span v-if="problem" class="small wrong" role="alert">{{ problem.message }}</span>
  </span>
</template>

<style scoped>
.take {
  display: inline-flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 10px;
}
</style>
