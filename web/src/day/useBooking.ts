import { ref, shallowRef } from 'vue';
import type { DayVisit, Visit } from '@pace-bend/core/record';
import { api, ApiProblem } from '../api/api.ts';
import { useDay } from '../stores/day.ts';
import { t } from '../words/day.ts';

interface Place {
  readonly startsAt: string;
  readonly minutes: number;
}

/** Something done to the day, and how it is taken back. */
interface Done {
  readonly words: string;
  readonly back: () => Promise<void>;
}

/** A move that would overlap: done only when it is said again. */
export interface Question {
  readonly words: string;
  readonly anyway: () => Promise<void>;
}

/** Moving, shortening, cancelling and putting back visits of the day shown; each can be undone. */
export function useBooking() {
  const day = useDay();
  const problem = shallowRef<ApiProblem | null>(null);
  const question = shallowRef<Question | null>(null);
  const done = shallowRef<readonly Done[]>([]);
  /** What was done last, to be read out and undone. */
  const said = ref('');

  /** Latest revision of each visit that was changed here: one that was cancelled may no longer be on any list. */
  const revisions = new Map<string, number>();
  const visitNow = (id: string): DayVisit | undefined =>
    day.page?.visits.find((visit) => visit.id === id) ?? day.page?.unfinished.find((visit) => visit.id === id);

  async function send(id: string, path: string, body: object): Promise<void> {
    const revision = Math.max(visitNow(id)?.revision ?? 1, revisions.get(id) ?? 1);
    try {
      revisions.set(id, (await api<Visit>('POST', `/visits/${id}/${path}`, { revision, ...body })).revision);
    } finally {
      await day.load(day.page?.date);
    }
  }

  /** Does it, remembers how to take it back; where time is taken, asks first. */
  async function act(words: string, go: (overlap: boolean) => Promise<void>, back: () => Promise<void>, overlap = false): Promise<void> {
    problem.value = null;
    question.value = null;
    try {
      await go(overlap);
      done.value = [...done.value, { words, back }];
      said.value = words;
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
      if (error.overlaps.length === 0) problem.value = error;
      else
        question.value = {
          words: t('thisOverlapsWith', { overlaps: error.overlaps.map((visit) => visit.athleteName).join(' and ') }),
          anyway: () => act(words, go, back, true),
        };
    }
  }

  /** Moves a visit or changes its length. */
  function place(id: string, to: Place, words: string): Promise<void> {
    const { startsAt, minutes } = visitNow(id)!;
    if (startsAt === to.startsAt && minutes === to.minutes) return Promise.resolve();
    return act(
      words,
      (overlap) => send(id, 'booking', { ...to, overlap }),
      () => send(id, 'booking', { startsAt, minutes, overlap: true }),
    );
  }

  const cancel = (id: string) =>
    act(
      t('isCancelled', { visitNow: visitNow(id)?.athleteName }),
      () => send(id, 'cancel', {}),
      () => send(id, 'restore', { overlap: true }),
    );
  const restore = (id: string) =>
    act(
      t('backDay', { visitNow: visitNow(id)?.athleteName }),
      (overlap) => send(id, 'restore', { overlap }),
      () => send(id, 'cancel', {}),
    );

  async function undo(): Promise<void> {
    const last = done.value.at(-1);
    if (!last) return;
    done.value = done.value.slice(0, -1);
    problem.value = null;
    question.value = null;
    try {
      await last.back();
      said.value = t('undone', { words: last.words });
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
      problem.value = error;
    }
  }

  return { problem, question, done, said, place, cancel, restore, undo };
}

export type Booking = ReturnType<typeof useBooking>;
