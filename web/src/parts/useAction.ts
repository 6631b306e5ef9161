import { ref, shallowRef } from 'vue';
import { ApiProblem } from '../api/api.ts';

/**
 * Something asked of the server from a screen: one at a time, and what it refuses is kept to be shown. Anything else
 * that goes wrong is a fault of the program and goes on up.
 */
export function useAction() {
  const busy = ref(false);
  const problem = shallowRef<ApiProblem | null>(null);

  /** Does the work unless something is under way already; returns whether it was done. */
  async function run(work: () => Promise<unknown>): Promise<boolean> {
    if (busy.value) return false;
    busy.value = true;
    try {
      return await start(work);
    } finally {
      busy.value = false;
    }
  }

  /** Starts the work though other work is still under way, for what is shown at once and so can be taken back at once. */
  async function start(work: () => Promise<unknown>): Promise<boolean> {
    problem.value = null;
    try {
      await work();
      return true;
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
      problem.value = error;
      return false;
    }
  }

  return { busy, problem, run, start };
}
