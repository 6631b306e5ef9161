import { computed, shallowRef, type Ref } from 'vue';
import {
  contextOnDay,
  lookAtWork,
  protocolFit,
  toWriteDown,
  type DayState,
  type EventDayFile,
  type EventPeople,
  type EventRecord,
  type SaidBefore,
  type Wish,
  type WorkLook,
} from '@pace-bend/core/eventDay';
import type { CautionContext } from '@pace-bend/core/caution';
import type { BlockPlan, Protocol } from '@pace-bend/core/method';
import { ApiProblem } from '../api/api.ts';
import { read } from '../api/kept.ts';
import type { Change } from '../outbox/change.ts';
import { useOutbox } from '../stores/outbox.ts';
import { usePractice } from '../stores/practice.ts';
import { useShelf } from '../stores/shelf.ts';
import { eventDayRecord, recordSpot } from '../outbox/eventDayChanges.ts';
import { t } from '../words/eventDay.ts';

/**
 * What is known of whoever is on the start list, and what is written down of them: read when the day is opened and kept on the device, so
 * that cautions are there without a line. A record goes the way of every change; the wish is off the list at once.
 */
export function useRecords(id: string, file: Ref<EventDayFile | null>, state: Ref<DayState | null>) {
  const outbox = useOutbox();
  const practice = usePractice();
  const shelf = useShelf();
  const people = shallowRef<EventPeople | null>(null);
  /** Why nothing is known of anybody. */
  const unknown = shallowRef<ApiProblem | null>(null);

  async function load(): Promise<void> {
    try {
      await shelf.load();
      people.value = await read<EventPeople>(`/event-days/${id}/people`);
      unknown.value = null;
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
      unknown.value = error;
    }
  }

  const starterOf = (wish: Wish) => state.value?.starters.find(({ id: starterId }) => starterId === wish.starterId) ?? null;
  const personOf = (wish: Wish) => {
    const athleteId = starterOf(wish)?.athleteId ?? null;
    return people.value?.people.find((person) => person.athleteId === athleteId) ?? null;
  };
  /** Whoever has a file of which nothing was read: they came on file meanwhile, or the file was erased. */
  const isUnread = (wish: Wish) => (starterOf(wish)?.athleteId ?? null) !== null && personOf(wish) === null;

  /** What cautions say of somebody on this day; null while nothing is known. */
  const contextOf = (wish: Wish, said: SaidBefore): CautionContext | null =>
    people.value && file.value ? contextOnDay(personOf(wish), people.value, file.value.setUp.onDate, said) : null;

  const phases = computed(() => practice.practice?.phases ?? []);
  /** The sequences for a wish: its own first, then those of the offer, or all that the day allows where none was chosen. */
  function protocolsFor(wish: Wish): readonly Protocol[] {
    const offer = file.value?.setUp.offers.find(({ kind }) => kind === wish.kind);
    const chosen = shelf.protocols.filter((protocol) => protocol.id === wish.protocolId || offer?.protocolIds.includes(protocol.id));
    const offered =
      chosen.length > 0
        ? chosen
        : shelf.protocols.filter(
            (protocol) => protocolFit(protocol, wish.kind, wish.minutes, shelf.shelf, phases.value).against.length === 0,
          );
    return [...offered].sort((a, b) => Number(b.id === wish.protocolId) - Number(a.id === wish.protocolId));
  }
  const lookAt = (wish: Wish, blocks: readonly BlockPlan[], context: CautionContext): WorkLook =>
    lookAtWork(wish.kind, blocks, context, shelf.shelf, phases.value);

  /** What is done and not written down, and what was refused although it was. */
  const toWrite = computed(() => {
    const wishes = state.value?.wishes ?? [];
    const due = toWriteDown(wishes);
    return [...due, ...wishes.filter((each) => !due.includes(each) && each.visitId === null && refusedOf(each.wish.id) !== null)];
  });
  /** What was refused of a wish, with why; it can be written down anew. */
  const refusedOf = (wishId: string): Change | null => outbox.refusedAt(eventDayRecord(id), recordSpot(wishId));

  function write(wishId: string, record: EventRecord): void {
    outbox.dropRecord(eventDayRecord(id), (change) => change.spot === recordSpot(wishId));
    outbox.put({
      record: eventDayRecord(id),
      spot: recordSpot(wishId),
      words: t('recordEventWork'),
      method: 'PUT',
      path: `/event-days/${id}/records/${wishId}`,
      body: { ...record },
      join: 'none',
      revision: null,
    });
  }

  return { people, unknown, load, starterOf, isUnread, contextOf, protocolsFor, lookAt, toWrite, refusedOf, write };
}

export type Records = ReturnType<typeof useRecords>;
