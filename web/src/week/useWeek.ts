import { DateTime } from 'luxon';
import { computed, onBeforeUnmount, ref, shallowRef } from 'vue';
import { addDays } from '@pace-bend/core/load';
import { formatClock } from '@pace-bend/core/record';
import {
  clashesOf,
  keptInWeek,
  leftOutOf,
  takenSpans,
  valuedVisits,
  weekPlan,
  type OneMore,
  type Placed,
  type WeekClock,
  type WeekFile,
  type WeekPerson,
  type WorkSlot,
} from '@pace-bend/core/week';
import { api, ApiProblem } from '../api/api.ts';
import { usePractice } from '../stores/practice.ts';
import { useShelf } from '../stores/shelf.ts';
import type { WeekAnswer, WeekQuestion } from '../workers/week.worker.ts';
import { useWeekDrafts, type Draft, type Put } from './drafts.ts';
import { t } from '../words/week.ts';

/** How long a week is filled before the best so far is shown, and how long when somebody asks to look on. */
const PATIENCE_MS = 2000;
const LONG_PATIENCE_MS = 60_000;

/**
 * A week of the practice: read from the server, filled by a worker, changed by hand with a way back, kept while the page is left. What is shown
 * is worked out from who is in which slot; nothing is booked until it is said.
 */
export function useWeek() {
  const practice = usePractice();
  const shelf = useShelf();
  const drafts = useWeekDrafts();
  const state = ref<'reading' | 'learning' | 'ready' | 'failed'>('reading');
  const share = ref(0);
  const failure = ref('');
  const problem = shallowRef<ApiProblem | null>(null);
  const file = shallowRef<WeekFile | null>(null);
  const people = shallowRef<readonly WeekPerson[]>([]);
  const filling = ref<{ readonly best: number; readonly bound: number; readonly long: boolean } | null>(null);
  const more = shallowRef<readonly OneMore[] | null>(null);
  const openedAt = ref('');
  let worker: Worker | null = null;
  let opening = 0;
  let turn = 0;
  let wantsStep = '';
  /** The draft a filling was asked of: changed meanwhile by hand, what was found is dropped. */
  let askedOf: Draft | null = null;

  const clock: WeekClock = {
    get now() {
      return openedAt.value;
    },
    dayOf: practice.dayOf,
    minuteOfDay: practice.minuteOfDay,
  };
  const draft = computed<Draft>(() => (file.value ? drafts.of(file.value.monday) : drafts.empty));
  const choice = computed(() => ({
    closed: draft.value.closed,
    opened: draft.value.opened,
    out: draft.value.out,
    pins: draft.value.placed.filter(({ pinned }) => pinned).map(({ athleteId, key }) => ({ athleteId, key })),
  }));
  const plan = computed(() => (file.value && state.value === 'ready' ? weekPlan(file.value, people.value, choice.value, clock) : null));
  /** Who is where, as places in the plan; what has no place any more is left out. */
  const placed = computed<readonly Placed[]>(() => {
    if (!plan.value) return [];
    const slots = new Map(plan.value.slots.map(({ key }, i) => [key, i]));
    const who = new Map(people.value.map(({ id }, i) => [id, i]));
    return draft.value.placed.flatMap(({ athleteId, key }) => {
      const [person, slot] = [who.get(athleteId), slots.get(key)];
      return person === undefined || slot === undefined ? [] : [{ person, slot }];
    });
  });
  const valued = computed(() => (plan.value ? valuedVisits(plan.value.problem, placed.value) : []));
  /** What is against a visit, by slot. */
  const clashes = computed(
    () => new Map((plan.value ? clashesOf(plan.value.problem, placed.value) : []).map((found, i) => [placed.value[i]!.slot, found])),
  );
  const kept = computed(() => (plan.value ? keptInWeek(plan.value, placed.value) : 0));
  const leftOut = computed(() =>
    plan.value ? leftOutOf(plan.value, placed.value, draft.value.how === 'empty' ? 'by hand' : draft.value.how) : [],
  );

  const end = (): void => {
    worker?.terminate();
    worker = null;
  };
  onBeforeUnmount(() => {
    opening += 1;
    end();
  });

  /** Reads a week and works out what visits would bring; then it is filled unless a draft of it is there. */
  async function open(monday: string): Promise<void> {
    const mine = ++opening;
    end();
    filling.value = null;
    more.value = null;
    problem.value = null;
    failure.value = '';
    state.value = 'reading';
    if (file.value?.monday !== monday) file.value = null;
    try {
      const [found] = await Promise.all([api<WeekFile>('GET', `/week/${monday}`), practice.load(), shelf.load()]);
      if (mine !== opening) return;
      openedAt.value = DateTime.utc().toISO();
      file.value = found;
      state.value = 'learning';
      share.value = 0;
      worker = new Worker(new URL('../workers/week.worker.ts', import.meta.url), { type: 'module' });
      worker.onerror = () => mine === opening && fail(t('weekCouldNotWorked'));
      worker.onmessage = ({ data }: MessageEvent<WeekAnswer>) => mine === opening && hear(data);
      ask({ kind: 'open', file: found, items: shelf.items, zone: practice.zone, now: openedAt.value });
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
      if (mine !== opening) return;
      problem.value = error;
      state.value = 'failed';
    }
  }

  const ask = (question: WeekQuestion) => worker?.postMessage(JSON.parse(JSON.stringify(question)));
  function fail(message: string): void {
    failure.value = message;
    filling.value = null;
    state.value = 'failed';
    end();
  }
  function hear(answer: WeekAnswer): void {
    if (answer.kind === 'learning') share.value = answer.share;
    else if (answer.kind === 'failed') fail(answer.message);
    else if (answer.kind === 'people') {
      people.value = answer.people;
      state.value = 'ready';
      if (draft.value.how === 'empty') fill();
      else askMore();
    } else if (answer.turn !== turn) return;
    else if (answer.kind === 'filling') filling.value = { ...answer, long: filling.value?.long ?? false };
    else if (answer.kind === 'more') more.value = answer.more;
    else {
      filling.value = null;
      if (draft.value !== askedOf) return;
      const pins = new Set(draft.value.placed.filter(({ pinned }) => pinned).map(({ key }) => key));
      const next: Draft = {
        ...draft.value,
        placed: answer.placed.map((each): Put => ({ ...each, pinned: pins.has(each.key) })),
        how: answer.solution.status,
        gap: answer.solution.gap,
      };
      if (wantsStep === '') drafts.put(file.value!.monday, next);
      else drafts.step(file.value!.monday, wantsStep, next);
    }
  }

  /** Fills the week around what is pinned; `step`: what the way back is called, or nothing where there is none to go. */
  function fill(step = '', long = false): void {
    if (state.value !== 'ready' || !worker) return;
    turn += 1;
    wantsStep = step;
    askedOf = draft.value;
    filling.value = { best: 0, bound: 0, long };
    more.value = null;
    ask({ kind: 'fill', turn, choice: choice.value, patienceMs: long ? LONG_PATIENCE_MS : PATIENCE_MS, show: true });
  }
  /** What one more time would bring, where the week stands already. */
  function askMore(): void {
    turn += 1;
    more.value = null;
    ask({ kind: 'fill', turn, choice: choice.value, patienceMs: PATIENCE_MS, show: false });
  }
  /** Ends the filling; the week stays as it was. */
  async function stopFilling(): Promise<void> {
    if (file.value) await open(file.value.monday);
  }

  function change(words: string, next: Partial<Draft>): void {
    if (!file.value) return;
    more.value = null;
    drafts.step(file.value.monday, words, { ...draft.value, how: 'by hand', gap: 0, ...next });
  }
  const nameOf = (athleteId: string) => people.value.find(({ id }) => id === athleteId)?.name ?? '';

  /** Puts the visit of a slot into another one; whoever lies there comes into the first. Both stay where they were put. */
  function move(from: string, to: string): void {
    const [a, b] = [from, to].map((key) => draft.value.placed.find((each) => each.key === key));
    if (!a || from === to) return;
    const rest = draft.value.placed.filter((each) => each !== a && each !== b);
    const moved = [{ ...a, key: to, pinned: true }, ...(b ? [{ ...b, key: from, pinned: true }] : [])];
    change(
      b ? t('andChanged', { nameOf: nameOf(a.athleteId), nameOf2: nameOf(b.athleteId) }) : t('moved', { nameOf: nameOf(a.athleteId) }),
      {
        placed: [...rest, ...moved],
      },
    );
  }
  /** Puts somebody into a slot that is free. */
  function put(athleteId: string, key: string): void {
    change(t('putIn3', { nameOf: nameOf(athleteId) }), {
      placed: [...draft.value.placed.filter((each) => each.key !== key), { athleteId, key, pinned: true }],
      out: draft.value.out.filter((id) => id !== athleteId),
    });
  }
  function togglePin(key: string): void {
    const visit = draft.value.placed.find((each) => each.key === key);
    if (!visit || !file.value) return;
    drafts.step(file.value.monday, `${nameOf(visit.athleteId)} ${visit.pinned ? t('letGo') : 'pinned'}`, {
      ...draft.value,
      placed: draft.value.placed.map((each) => (each.key === key ? { ...each, pinned: !each.pinned } : each)),
    });
  }
  /** Takes a visit out; with their last one somebody is left out until they are let in again. */
  function takeOut(key: string): void {
    const visit = draft.value.placed.find((each) => each.key === key);
    if (!visit) return;
    const rest = draft.value.placed.filter((each) => each.key !== key);
    const out = rest.some(({ athleteId }) => athleteId === visit.athleteId) ? draft.value.out : [...draft.value.out, visit.athleteId];
    change(t('removed', { nameOf: nameOf(visit.athleteId) }), { placed: rest, out });
  }
  function letIn(athleteId: string): void {
    change(t('letIn', { nameOf: nameOf(athleteId) }), { out: draft.value.out.filter((id) => id !== athleteId) });
  }
  function keepFree(key: string): void {
    const closed = draft.value.closed.includes(key);
    change(closed ? t('timeGivenBack') : t('timeKeptFree'), {
      closed: closed ? draft.value.closed.filter((each) => each !== key) : [...draft.value.closed, key],
      placed: draft.value.placed.filter((each) => each.key !== key),
      opened: draft.value.opened,
    });
  }
  /** Opens a time beyond the hours and fills the week with it. */
  function openSlot(slot: WorkSlot): void {
    change(t('opened', { date: slot.date }), { opened: [...draft.value.opened, slot] });
    fill(t('weekFilled'));
  }

  /** Reads a week anew, unless another one is looked at by now. */
  async function again(monday: string): Promise<void> {
    if (file.value?.monday === monday) await open(monday);
  }
  /** Books everything that is placed, in one step; undone it is cancelled again. */
  async function book(): Promise<void> {
    const { monday } = file.value!;
    const before = draft.value;
    const taken = new Set(file.value!.visits.map(({ id }) => id));
    const visits = plan.value!.slots.flatMap((slot) => {
      const visit = before.placed.find(({ key }) => key === slot.key);
      if (!visit) return [];
      return [
        {
          ...bookingOf(slot),
          id: drafts.idOf(monday, visit.athleteId, slot.key, taken),
          athleteId: visit.athleteId,
          therapistId: slot.accountId,
        },
      ];
    });
    const ids = visits.map(({ id }) => id);
    const go = async (): Promise<void> => {
      await api('POST', '/week/book', { visits });
      drafts.put(monday, { ...before, placed: [], how: 'by hand', gap: 0 });
      await again(monday);
    };
    await go();
    drafts.did(monday, {
      words: t('booked', { count: ids.length, what: ids.length === 1 ? t('visit') : t('visits') }),
      back: async () => {
        await api('POST', '/week/cancel', { ids });
        drafts.put(monday, before);
        await again(monday);
      },
      again: go,
    });
  }
  /** A time of the practice's clock as an instant. */
  function bookingOf({ date, fromMin, minutes }: WorkSlot): { readonly startsAt: string; readonly minutes: number } {
    return { startsAt: practice.instantAt(date, formatClock(fromMin, '24'))!, minutes };
  }

  const standing = computed(() => {
    if (!file.value) return [];
    const last = addDays(file.value.monday, 6);
    const spans = takenSpans(file.value.visits, clock);
    return file.value.visits.map((visit, i) => ({ ...visit, ...spans[i]! })).filter(({ day }) => day >= file.value!.monday && day <= last);
  });

  return {
    state,
    share,
    failure,
    problem,
    file,
    people,
    plan,
    draft,
    placed,
    valued,
    clashes,
    kept,
    leftOut,
    more,
    filling,
    standing,
    steps: drafts,
    open,
    fill,
    stopFilling,
    move,
    put,
    togglePin,
    takeOut,
    letIn,
    keepFree,
    openSlot,
    book,
  };
}
