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
    problem.value = null;
    try {
      await work();
      return true;
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
      problem.value = error;
      return false;
    } finally {
      busy.value = false;
    }
  }

  return { busy, problem, run };
}
