import { defineStore } from 'pinia';
import { ref } from 'vue';
import type { DayPage } from '@pace-bend/core/record';
import { ApiProblem } from '../api/api.ts';
import { read } from '../api/kept.ts';
import { usePractice } from './practice.ts';

/** One day's visits; the rail and the day's own page show the same. */
export const useDay = defineStore('day', () => {
  const practice = usePractice();
  const page = ref<DayPage | null>(null);
  const problem = ref<ApiProblem | null>(null);
  const loading = ref(false);

  let asked = 0;

  /** Loads a day, or today when none is named. Of several asked for at once the last one is shown, whichever answer comes first. */
  async function load(date?: string): Promise<void> {
    const turn = ++asked;
    loading.value = true;
    try {
      await practice.load(date === undefined);
      const found = await read<DayPage>(`/days/${encodeURIComponent(date ?? practice.today)}`);
      if (turn !== asked) return;
      page.value = found;
      problem.value = null;
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
      if (turn === asked) problem.value = error;
    } finally {
      if (turn === asked) loading.value = false;
    }
  }

  return { page, problem, loading, load };
});
