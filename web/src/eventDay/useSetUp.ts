import { computed, ref, shallowRef } from 'vue';
import { checkSetUp, type EventDayFile, type EventDaySetUp } from '@pace-bend/core/eventDay';
import { api, ApiProblem } from '../api/api.ts';

/** So many changes can be taken back. */
const MOST_STEPS = 80;

/**
 * What is set up of a day, changed at once and written soon after: one request at a time, the last state wins, undo goes back through what
 * stood. What is not sound yet is not sent; it is said at its place.
 */
export function useSetUp(id: string) {
  const file = shallowRef<EventDayFile | null>(null);
  const setUp = shallowRef<EventDaySetUp | null>(null);
  const problem = shallowRef<ApiProblem | null>(null);
  const readProblem = shallowRef<ApiProblem | null>(null);
  const saving = ref(false);
  const written = shallowRef<EventDaySetUp | null>(null);
  const done = shallowRef<readonly EventDaySetUp[]>([]);
  const undone = shallowRef<readonly EventDaySetUp[]>([]);

  const faults = computed(() => (setUp.value ? checkSetUp(setUp.value) : []));
  const faultAt = (path: string) => faults.value.find((fault) => fault.path === path)?.message ?? null;
  const isSaved = computed(() => setUp.value === written.value);

  async function load(): Promise<void> {
    try {
      take(await api<EventDayFile>('GET', `/event-days/${id}`));
      readProblem.value = null;
      problem.value = null;
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
      readProblem.value = error;
    }
  }
  function take(found: EventDayFile): void {
    file.value = found;
    setUp.value = found.setUp;
    written.value = found.setUp;
    done.value = [];
    undone.value = [];
  }

  /** Changes it; what stood can be taken back to. */
  function change(fields: Partial<EventDaySetUp>): void {
    if (!setUp.value) return;
    done.value = [...done.value, setUp.value].slice(-MOST_STEPS);
    undone.value = [];
    setUp.value = { ...setUp.value, ...fields };
    void write();
  }
  function undo(): void {
    const back = done.value.at(-1);
    if (!back) return;
    undone.value = [...undone.value, setUp.value!];
    done.value = done.value.slice(0, -1);
    setUp.value = back;
    void write();
  }
  function redo(): void {
    const again = undone.value.at(-1);
    if (!again) return;
    done.value = [...done.value, setUp.value!];
    undone.value = undone.value.slice(0, -1);
    setUp.value = again;
    void write();
  }

  async function write(): Promise<void> {
    if (saving.value) return;
    saving.value = true;
    try {
      while (setUp.value && setUp.value !== written.value && checkSetUp(setUp.value).length === 0) {
        const sent = setUp.value;
        const found = await api<EventDayFile>('PUT', `/event-days/${id}`, { revision: file.value!.revision, ...sent });
        file.value = found;
        written.value = sent;
        problem.value = null;
      }
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
      problem.value = error;
    } finally {
      saving.value = false;
    }
  }

  return { file, setUp, problem, readProblem, saving, isSaved, faults, faultAt, done, undone, load, change, undo, redo, write };
}
