import { ref, type Ref } from 'vue';
import { accountOfPage } from '../app/account.ts';
import { ApiProblem } from '../app/api.ts';
import { dropDraft, keepDraft, readDraft } from '../parts/drafts.ts';

export type SaveState = 'saved' | 'saving' | 'offline' | 'refused';

export interface Autosave<T> {
  readonly state: Ref<SaveState>;
  /** What the server said when it refused, or null. */
  readonly problem: Ref<ApiProblem | null>;
  /** Takes a new value: kept in the browser at once, sent after a pause. */
  set(value: T): void;
  /** A value of an earlier time that was never acknowledged. */
  pending(): T | null;
  /** Sends now what is waiting; resolves when nothing is, or when it was refused or could not be sent. */
  flush(): Promise<void>;
  /** Forgets what is waiting. */
  discard(): void;
}

const PAUSE_MS = 500;
const RETRY_MS = 3000;

/**
 * Saves a value as it is made. One request is under way at a time; what changes meanwhile goes with the next.
 * Without an answer it tries again; a refusal is shown and what was typed stays in the browser.
 */
export function autosave<T>(key: string, send: (value: T) => Promise<void>): Autosave<T> {
  const state = ref<SaveState>('saved');
  const problem = ref<ApiProblem | null>(null);
  let waiting: { value: T } | null = null;
  let running: Promise<void> | null = null;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const owner = accountOfPage();

  async function work(): Promise<void> {
    // What one account typed is never sent as another's.
    while (waiting && accountOfPage() === owner) {
      const sent = waiting;
      state.value = 'saving';
      try {
        await send(sent.value);
      } catch (error) {
        if (!(error instanceof ApiProblem)) throw error;
        state.value = error.mayPass ? 'offline' : 'refused';
        problem.value = error;
        if (state.value === 'offline') timer = setTimeout(() => void flush(), RETRY_MS);
        return;
      }
      if (waiting === sent) waiting = null;
    }
    if (waiting) return;
    dropDraft(key);
    state.value = 'saved';
    problem.value = null;
  }

  function flush(): Promise<void> {
    clearTimeout(timer);
    if (!running) {
      running = work().finally(() => {
        running = null;
      });
    }
    return running;
  }

  return {
    state,
    problem,
    set(value) {
      waiting = { value };
      keepDraft(key, value);
      if (state.value === 'saved') state.value = 'saving';
      clearTimeout(timer);
      timer = setTimeout(() => void flush(), PAUSE_MS);
    },
    pending: () => readDraft<T>(key),
    flush,
    discard() {
      clearTimeout(timer);
      waiting = null;
      dropDraft(key);
      state.value = 'saved';
      problem.value = null;
    },
  };
}
