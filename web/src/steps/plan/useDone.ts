import { onMounted, ref } from 'vue';
import type { DoneSoFar } from '@pace-bend/core/session';
import { api, ApiProblem } from '../../api/api.ts';

/** What was done before this visit: the athlete's week and the day of the hands. Null until it is known; the plan can be made without. */
export function useDone(visitId: () => string) {
  const done = ref<DoneSoFar | null>(null);
  const missing = ref(false);
  async function load(): Promise<void> {
    try {
      done.value = await api<DoneSoFar>('GET', `/visits/${visitId()}/dose`);
      missing.value = false;
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
      missing.value = true;
    }
  }
  onMounted(() => void load());
  return { done, missing, load };
}
