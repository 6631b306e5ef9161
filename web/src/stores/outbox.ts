import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { v7 as uuid } from 'uuid';
import { api, type ApiProblem } from '../api/api.ts';
import { bodyOf, type Change, type ChangeDraft } from '../outbox/change.ts';
import { keepAcknowledged } from '../outbox/keep.ts';
import { Outbox } from '../outbox/outbox.ts';
import { browserStorage, openPages } from '../outbox/storage.ts';

type Listener = (change: Change, answer: unknown) => void;

export type SaveState = 'saved' | 'saving' | 'offline' | 'refused';

/** How far changes are, from those that wait and why the last try failed. */
export function savingOf(waiting: readonly Change[], failed: ApiProblem | null): SaveState {
  if (waiting.some((change) => change.refusal !== null)) return 'refused';
  if (waiting.length === 0) return 'saved';
  return failed ? 'offline' : 'saving';
}

/** How often a record is read again because something of it was answered meanwhile. */
const READS_MOST = 4;

/** Everything changed here that the server does not have yet: what it is, why not, and how to send it. */
export const useOutbox = defineStore('outbox', () => {
  const changes = shallowRef<readonly Change[]>([]);
  const problem = shallowRef<ApiProblem | null>(null);
  const isStored = ref(true);
  const listOpen = ref(false);
  const answers = new Set<Listener>();
  const refusals = new Set<(change: Change) => void>();

  const outbox: Outbox = new Outbox({
    send: (change) => api(change.method, change.path, bodyOf(change)),
    storage: browserStorage(),
    pages: openPages(uuid()),
    onUpdate: () => {
      changes.value = outbox.changes;
      problem.value = outbox.lastProblem;
      isStored.value = outbox.isStored;
    },
    onAnswer: (change, answer) => {
      for (const hear of answers) hear(change, answer);
    },
    keep: keepAcknowledged,
    onRefusal: (change) => {
      for (const hear of refusals) hear(change);
    },
  });

  if (typeof window !== 'undefined') {
    window.addEventListener('online', () => void outbox.wake());
    window.addEventListener('focus', () => void outbox.wake());
    // Leaving while nothing else keeps it would lose it: the browser asks.
    window.addEventListener('beforeunload', (event) => {
      if (!outbox.isStored && outbox.changes.length > 0) event.preventDefault();
    });
  }

  /** What waits of one record, in order, what was refused included. */
  const of = (record: string) => changes.value.filter((change) => change.record === record);
  const at = (record: string, spot: string) => changes.value.findLast((change) => change.record === record && change.spot === spot) ?? null;
  const refusedAt = (record: string, spot: string) =>
    changes.value.find((change) => change.record === record && change.spot === spot && change.refusal !== null) ?? null;

  const waiting = computed(() => changes.value.filter((change) => change.refusal === null));
  const refused = computed(() => changes.value.filter((change) => change.refusal !== null));
  /** Something waits because the last try failed. */
  const isStuck = computed(() => waiting.value.length > 0 && problem.value !== null);
  /** What waits, in words, each once. */
  const words = computed(() => [...new Set(changes.value.map((change) => change.words))]);

  type Draft = Omit<ChangeDraft, 'id'>;
  /** Adds a change; what becomes of it is seen in the list. `pauseMs`: more of the same is expected within that time. */
  function put(draft: Draft, pauseMs = 0): void {
    void outbox.put({ id: uuid(), ...draft }, pauseMs);
  }

  /**
   * Adds a change and waits: for the answer, or for null when the server could not be reached and it is kept. For forms, which keep
   * what was typed and say themselves why it was refused: a refused change is not kept here as well. Throws ApiProblem.
   */
  async function ask<T>(draft: Draft): Promise<T | null> {
    try {
      return (await outbox.put({ id: uuid(), ...draft })) as T | null;
    } catch (error) {
      dropRecord(draft.record, (change) => change.spot === draft.spot && change.refusal !== null);
      throw error;
    }
  }

  /** Reads a record. What is answered while it is on its way is not in what was read: then it is read again. */
  async function whileStill(record: string, read: () => Promise<void>): Promise<void> {
    for (let i = 0; i < READS_MOST; i++) {
      const before = outbox.answersOf(record);
      await read();
      if (outbox.answersOf(record) === before) return;
    }
  }

  function dropRecord(record: string, which: (change: Change) => boolean = () => true): void {
    for (const change of of(record)) if (which(change)) outbox.drop(change.id);
  }

  return {
    changes,
    waiting,
    refused,
    problem,
    isStored,
    isStuck,
    words,
    listOpen,
    of,
    at,
    refusedAt,
    put,
    ask,
    whileStill,
    dropRecord,
    open: (account: string) => outbox.open(account),
    close: () => outbox.close(),
    drop: (id: string) => outbox.drop(id),
    takeBack: (record: string, spot: string) => outbox.takeBack(record, spot),
    insist: (id: string) => outbox.insist(id),
    flush: (record?: string) => outbox.flush(record),
    wake: () => outbox.wake(),
    stored: () => outbox.stored(),
    /** Tells of every answer; returns how to stop hearing. */
    hearAnswers(hear: Listener) {
      answers.add(hear);
      return () => {
        answers.delete(hear);
      };
    },
    hearRefusals: (hear: (change: Change) => void) => {
      refusals.add(hear);
    },
  };
});
