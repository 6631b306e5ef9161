import { DateTime } from 'luxon';
import { onBeforeUnmount, ref, shallowRef } from 'vue';
import type { DueFile, DueRow } from '@pace-bend/core/cycle';
import { addDays } from '@pace-bend/core/load';
import { formatClock, type SeasonFile } from '@pace-bend/core/record';
import { freeSlots, type Slot } from '@pace-bend/core/week';
import { api, ApiProblem } from '../api/api.ts';
import { usePractice } from '../stores/practice.ts';
import { useShelf } from '../stores/shelf.ts';
import type { DueAnswer, DueQuestion } from '../workers/due.worker.ts';
import { t } from '../words/season.ts';

/** Somebody who is due, with the free time that is offered. */
export interface DueOffer extends DueRow {
  readonly slot: (Slot & { readonly startsAt: string; readonly minutes: number }) | null;
}

/** How far ahead a time is looked for, and how long a visit is where nothing else is said. Common practice. */
const LOOK_DAYS = 14;
const MINUTES = 45;

/** Who is due: read from the server, worked out by a worker, each with a free time of their own. */
export function useDue() {
  const practice = usePractice();
  const shelf = useShelf();
  const state = ref<'reading' | 'working' | 'ready' | 'failed'>('reading');
  const share = ref(0);
  const failure = ref('');
  const problem = shallowRef<ApiProblem | null>(null);
  const offers = shallowRef<readonly DueOffer[]>([]);
  /** How many of the practice were looked at, where not all were. */
  const looked = ref<{ readonly of: number; readonly all: number } | null>(null);
  let worker: Worker | null = null;
  let turn = 0;

  const end = (): void => {
    worker?.terminate();
    worker = null;
  };
  onBeforeUnmount(() => {
    turn += 1;
    end();
  });

  async function load(): Promise<void> {
    const mine = ++turn;
    end();
    if (offers.value.length === 0) state.value = 'reading';
    problem.value = null;
    try {
      const [file, everybody] = await Promise.all([
        api<DueFile>('GET', '/due'),
        api<SeasonFile>('GET', '/season'),
        practice.load(),
        shelf.load(),
      ]);
      if (mine !== turn) return;
      looked.value = file.total > file.athletes.length ? { of: file.athletes.length, all: file.total } : null;
      if (offers.value.length === 0) state.value = 'working';
      share.value = 0;
      worker = new Worker(new URL('../workers/due.worker.ts', import.meta.url), { type: 'module' });
      worker.onerror = () => hear({ kind: 'failed', message: t('whoDueCouldNot') });
      const hear = (answer: DueAnswer): void => {
        if (mine !== turn) return;
        if (answer.kind === 'working') share.value = answer.share;
        else if (answer.kind === 'failed') {
          failure.value = answer.message;
          state.value = 'failed';
        } else {
          offers.value = withSlots(answer.rows, everybody);
          state.value = 'ready';
          end();
        }
      };
      worker.onmessage = ({ data }: MessageEvent<DueAnswer>) => hear(data);
      const question: DueQuestion = {
        file,
        items: shelf.items,
        zone: practice.zone,
        now: DateTime.utc().toISO(),
      };
      worker.postMessage(JSON.parse(JSON.stringify(question)));
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
      if (mine !== turn) return;
      problem.value = error;
      state.value = 'failed';
    }
  }

  /** A time for each from tomorrow on, the first that is free when those before have theirs; none on the day of a first event or the day before. */
  function withSlots(rows: readonly DueRow[], { visits, events }: SeasonFile): DueOffer[] {
    const busy = visits
      .filter(({ state: held }) => held === 'booked')
      .map(({ startsAt, minutes }) => {
        const fromMin = practice.minuteOfDay(startsAt);
        return { day: practice.dayOf(startsAt), fromMin, toMin: fromMin + minutes };
      });
    const kept = new Set(events.filter(({ importance }) => importance === 1).flatMap(({ onDate }) => [onDate, addDays(onDate, -1)]));
    const days = Array.from({ length: LOOK_DAYS }, (_, i) => addDays(practice.today, i + 1)).filter(
      (day) => !kept.has(day) && DateTime.fromISO(day).weekday !== 7,
    );
    const free = freeSlots(days, busy, MINUTES, rows.length);
    return rows.map((row, i): DueOffer => {
      const slot = free[i];
      const time = slot && formatClock(slot.fromMin, '24');
      const startsAt = slot && practice.instantAt(slot.day, time!);
      return { ...row, slot: slot && startsAt ? { ...slot, startsAt, minutes: MINUTES } : null };
    });
  }

  return { state, share, failure, problem, offers, looked, load };
}
