import { computed, onBeforeUnmount, ref, shallowRef } from 'vue';
import { v7 as uuid } from 'uuid';
import {
  boardOf,
  foldDay,
  subjectOf,
  type DayEvent,
  type DayEventBody,
  type DayPlan,
  type EventDayFile,
  type Remedy,
} from '@pace-bend/core/eventDay';
import { api, ApiProblem } from '../api/api.ts';
import { read } from '../api/kept.ts';
import { withDayEvents } from '../outbox/keep.ts';
import { eventDayRecord, eventsAnswered, eventsIn } from '../outbox/eventDayChanges.ts';
import { useOutbox } from '../stores/outbox.ts';
import { usePractice } from '../stores/practice.ts';
import { useSession } from '../stores/session.ts';
import type { DayAnswer, DayQuestion } from '../workers/eventDay.worker.ts';
import { wallMinute } from '../parts/wallMinute.ts';
import { t } from '../words/eventDay.ts';

/** How often others' events are asked for, and the clock looked at, in milliseconds. */
const POLL_MS = 8000;
const TICK_MS = 5000;

/**
 * A day at an event as it goes on: what the server knows of it and what was said here since, whether it was sent yet or not. What is said
 * goes the way of every change, through the outbox; what others say is asked for while the page is open.
 */
export function useEventDay(id: string) {
  const outbox = useOutbox();
  const practice = usePractice();
  const session = useSession();
  const me = computed(() => session.me?.name ?? '');
  const file = shallowRef<EventDayFile | null>(null);
  const problem = shallowRef<ApiProblem | null>(null);
  /** The last try to hear from others got no answer. */
  const alone = ref(false);
  const clock = ref(new Date());

  const minuteOf = computed(() => wallMinute(file.value?.setUp.onDate ?? '1970-01-01', practice.zone));
  const now = computed(() => Math.floor(minuteOf.value(clock.value)));
  /** Whether it is the day itself. */
  const isToday = computed(() => now.value >= 0 && now.value < 1440);

  const waiting = computed(() => outbox.of(eventDayRecord(id)).flatMap(eventsIn));
  const events = computed(() => {
    const served = file.value?.events ?? [];
    const known = new Set(served.map((event) => event.id));
    return [...served, ...waiting.value.filter((event) => !known.has(event.id)).map((event) => ({ ...event, by: me.value }))];
  });
  const state = computed(() => (file.value ? foldDay(file.value.setUp, events.value) : null));
  const board = computed(() => (file.value && state.value ? boardOf(file.value.setUp, state.value, now.value, minuteOf.value) : null));

  async function load(): Promise<void> {
    try {
      await practice.load();
      file.value = await read<EventDayFile>(`/event-days/${id}`);
      problem.value = null;
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
      problem.value = error;
    }
  }

  /** What happened elsewhere since. */
  async function hear(): Promise<void> {
    if (!file.value) return load();
    try {
      const found = await api<Pick<EventDayFile, 'events' | 'upTo'>>('GET', `/event-days/${id}/events?since=${file.value.upTo}`);
      alone.value = false;
      if (found.events.length === 0) return;
      const known = new Set(file.value.events.map((event) => event.id));
      file.value = {
        ...file.value,
        events: [...file.value.events, ...found.events.filter((event) => !known.has(event.id))],
        upTo: found.upTo,
      };
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
      alone.value = error.isOffline;
    }
  }

  /** Says that something happened; it counts here at once. */
  function say(body: DayEventBody): DayEvent {
    const event: DayEvent = {
      id: uuid(),
      at: new Date().toISOString(),
      by: me.value,
      after: state.value?.last[subjectOf(body)] ?? null,
      body,
    };
    const { by: _by, ...sent } = event;
    clock.value = new Date();
    outbox.put({
      record: eventDayRecord(id),
      spot: 'events',
      words: t('whatHappenedEvent'),
      method: 'POST',
      path: `/event-days/${id}/events`,
      body: { events: [sent] },
      join: 'events',
      revision: null,
    });
    return event;
  }

  const stopHearing = outbox.hearAnswers((change, answer) => {
    if (change.record !== eventDayRecord(id) || !file.value) return;
    file.value = withDayEvents(file.value, eventsAnswered(change, answer), me.value);
  });

  // What the times would be now, worked out away from the screen.
  const plan = shallowRef<DayPlan | null>(null);
  const remedies = shallowRef<readonly Remedy[] | null>(null);
  const planning = ref(false);
  const failure = ref('');
  let worker: Worker | null = null;
  let turn = 0;
  function planNow(): void {
    if (!file.value) return;
    worker ??= new Worker(new URL('../workers/eventDay.worker.ts', import.meta.url), { type: 'module' });
    worker.onmessage = ({ data }: MessageEvent<DayAnswer>) => {
      if (data.turn !== turn) return;
      if (data.kind === 'plan') [plan.value, planning.value] = [data.plan, false];
      else if (data.kind === 'remedies') remedies.value = data.remedies;
      else [failure.value, planning.value] = [data.message, false];
    };
    worker.onerror = () => {
      [failure.value, planning.value] = [t('timesCouldNotWorked'), false];
    };
    turn += 1;
    [planning.value, remedies.value, failure.value] = [true, null, ''];
    const question: DayQuestion = {
      turn,
      setUp: JSON.parse(JSON.stringify(file.value.setUp)) as EventDayFile['setUp'],
      events: JSON.parse(JSON.stringify(events.value)) as DayEvent[],
      now: now.value,
      zone: practice.zone,
    };
    worker.postMessage(question);
  }

  const timers = [
    setInterval(() => void hear(), POLL_MS),
    setInterval(() => {
      clock.value = new Date();
    }, TICK_MS),
  ];
  onBeforeUnmount(() => {
    timers.forEach(clearInterval);
    stopHearing();
    worker?.terminate();
  });

  return { file, problem, alone, now, isToday, state, board, plan, remedies, planning, failure, load, say, planNow };
}
