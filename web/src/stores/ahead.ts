import { computed, watch } from 'vue';
import type { DayVisit } from '@pace-bend/core/record';
import { ApiProblem } from '../api/api.ts';
import { keptSince, read, readAhead } from '../api/kept.ts';
import { line } from '../api/line.ts';
import { visitRecord } from '../outbox/visitChanges.ts';
import { useDay } from './day.ts';
import { useOutbox } from './outbox.ts';
import { usePractice } from './practice.ts';

/** What was read this long ago is read again when the day is looked at, in milliseconds. */
const FRESH_MS = 15 * 60_000;
/** What every visit needs beside its own file, and concerns no athlete. */
const SHARED = ['/shelf', '/hands'] as const;
/** So many of the day at most: a fuller day is no day of one table. */
const MOST = 40;

/**
 * Today's visits in the order in which the device needs them: those nobody has begun, whatever is still to come before what has passed,
 * each the nearest first; then those under way, which are open where they were begun.
 */
export function inOrderOfNeed<V extends Pick<DayVisit, 'startsAt' | 'minutes' | 'step'>>(visits: readonly V[], now: number): V[] {
  const rank = (visit: V) => {
    const start = Date.parse(visit.startsAt);
    return [visit.step === 'arrive' ? 0 : 1, start + visit.minutes * 60_000 < now ? 1 : 0, Math.abs(start - now)] as const;
  };
  return visits
    .map((visit) => ({ visit, by: rank(visit) }))
    .sort((a, b) => a.by[0] - b.by[0] || a.by[1] - b.by[1] || a.by[2] - b.by[2])
    .map(({ visit }) => visit);
}

/** Whether the program itself could be opened here without the line; where it could not, nothing of anybody is kept for that. */
export const opensWithoutLine = () => typeof navigator !== 'undefined' && Boolean(navigator.serviceWorker?.controller);

async function isFresh(path: string): Promise<boolean> {
  const since = await keptSince(path);
  return since !== null && Date.now() - since < FRESH_MS;
}

/**
 * Keeps today's visits that are still to come or under way on the device, one after another, those it needs first before the
 * others, whenever the day has been read: cut off in the morning, the afternoon opens all the same. Each is a line in the audit, as one kept on a device. A visit with
 * changes that wait is left as it is. Call within a component; it goes on as long as that one lives.
 */
export function keepDayAhead(can: () => boolean = opensWithoutLine): void {
  const day = useDay();
  const practice = usePractice();
  const outbox = useOutbox();
  const ids = computed(() =>
    day.page?.date === practice.today
      ? inOrderOfNeed(
          day.page.visits.filter((visit) => visit.finishedAt === null && visit.cancelledAt === null),
          Date.now(),
        )
          .slice(0, MOST)
          .map(({ id }) => id)
      : [],
  );
  let turn = 0;
  watch(
    () => [day.page, ids.value] as const,
    async () => {
      const mine = ++turn;
      if (ids.value.length > 0 && can()) {
        for (const path of SHARED) if (!(await isFresh(path))) await read(path).catch(() => undefined);
      }
      for (const id of ids.value) {
        if (mine !== turn || line.lost || !can()) return;
        const path = `/visits/${id}`;
        if ((await isFresh(path)) || outbox.of(visitRecord(id)).length > 0) continue;
        try {
          await readAhead(`${path}/ahead`, path);
        } catch (error) {
          // Not being able to is nobody's loss: it is tried again when the day is read again.
          if (!(error instanceof ApiProblem)) throw error;
          if (error.isOffline) return;
        }
      }
    },
    { immediate: true },
  );
}
