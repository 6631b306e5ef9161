import { defineStore } from 'pinia';
import { computed, ref } from 'vue';
import { firstStepsProgress, type FirstStepId, type FirstStepsKept, type FirstStepsPage } from '@pace-bend/core/record';
import { api } from '../api/api.ts';

/** The owner's way into an empty practice, and whether there are sample athletes. */
export const useFirstSteps = defineStore('first-steps', () => {
  const page = ref<FirstStepsPage | null>(null);
  const progress = computed(() => (page.value ? firstStepsProgress(page.value) : null));
  /** Whether there is something to show beside the pages: steps that are open, or samples. */
  const isOn = computed(() => page.value !== null && (page.value.sampleAthletes > 0 || (!page.value.left && !progress.value!.complete)));

  /** Throws ApiProblem. */
  async function load(): Promise<void> {
    page.value = await api<FirstStepsPage>('GET', '/first-steps');
  }

  async function keep(kept: FirstStepsKept): Promise<void> {
    page.value = await api<FirstStepsPage>('PUT', '/first-steps', kept);
  }

  const kept = (): FirstStepsKept => ({ skipped: page.value!.skipped, left: page.value!.left });
  return {
    page,
    progress,
    isOn,
    load,
    setAside: (id: FirstStepId) => keep({ ...kept(), skipped: [...kept().skipped.filter((each) => each !== id), id] }),
    takeUp: (id: FirstStepId) => keep({ ...kept(), skipped: kept().skipped.filter((each) => each !== id) }),
    putAway: () => keep({ ...kept(), left: true }),
    goOn: () => keep({ ...kept(), left: false }),
    async addSamples() {
      page.value = await api<FirstStepsPage>('POST', '/samples', {});
    },
    async removeSamples() {
      page.value = await api<FirstStepsPage>('DELETE', '/samples');
    },
  };
});
