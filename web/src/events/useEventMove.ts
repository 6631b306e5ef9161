import { computed, ref, shallowRef } from 'vue';
import type { CalendarEvent, MoveLook } from '@pace-bend/core/record';
import { api } from '../api/api.ts';

/** What was moved, so that it can be moved back. */
export interface EventMoved {
  readonly event: CalendarEvent;
  readonly from: string;
  readonly to: string;
  readonly look: MoveLook;
  /** Visits that went along, by id. */
  readonly visits: readonly string[];
  readonly goals: boolean;
}

export const lookAtMove = (eventId: string, onDate: string): Promise<MoveLook> =>
  api<MoveLook>('POST', `/events/${eventId}/move-look`, { onDate });

/** Moves an event with what is named of its visits; their revisions are those of the look. */
export async function moveEvent(look: MoveLook, visits: readonly string[], goals: boolean): Promise<void> {
  await api('POST', `/events/${look.event.id}/move`, {
    revision: look.event.revision,
    onDate: look.toDay,
    goals,
    visits: look.visits.filter(({ id }) => visits.includes(id)).map(({ id, revision }) => ({ id, revision })),
  });
}

/** Looking at a move before it is made: nothing is asked for where nothing hangs on the event. */
export function useEventMove() {
  const look = shallowRef<MoveLook | null>(null);
  const visits = ref<readonly string[]>([]);
  const goals = ref(true);
  const depends = computed(() => look.value !== null && look.value.lines.length + look.value.goals.length + look.value.visits.length > 0);

  /** Looks at a move to a day; visits that have room go along unless they are taken off. */
  async function lookAt(eventId: string, onDate: string): Promise<void> {
    look.value = await lookAtMove(eventId, onDate);
    visits.value = look.value.visits.filter(({ taken, past }) => taken.length === 0 && !past).map(({ id }) => id);
    goals.value = true;
  }

  /** Does what was looked at. */
  async function go(): Promise<EventMoved> {
    const seen = look.value!;
    await moveEvent(seen, visits.value, goals.value);
    return { event: seen.event, from: seen.event.onDate, to: seen.toDay, look: seen, visits: visits.value, goals: goals.value };
  }

  const leave = (): void => {
    look.value = null;
  };

  return { look, visits, goals, depends, lookAt, go, leave };
}
