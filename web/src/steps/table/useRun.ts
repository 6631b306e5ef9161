import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue';
import { v7 as uuid } from 'uuid';
import { phaseKind, type Line } from '@pace-bend/core/method';
import { LIMITS, type Run, type RunFields } from '@pace-bend/core/record';
import {
  applyEvent,
  CAN_BE_UNDONE,
  carryTo,
  foldRun,
  isFromDevice,
  lineNow,
  nextChangeMs,
  READY,
  spokenWords,
  UNDO_MS,
  viewRun,
  type RunEventBody,
  type RunEventKind,
  type RunState,
} from '@pace-bend/core/table';
import { useOutbox } from '../../stores/outbox.ts';
import { useShelf } from '../../stores/shelf.ts';
import { useVisit } from '../../stores/visit.ts';
import { breathOf, edgesOf, lineOf } from '../plan/planFacts.ts';
import { absoluteNowMs, Alarm } from './alarm.ts';
import { RunClock } from './runClock.ts';
import { eventsSpot, isOfRun, joinEvents, linkOf, pendingRun, RunLink, runSpot, type LinkState } from './runLink.ts';
import { SleepWatch } from './sleepWatch.ts';
import { useForAMoment } from '../../parts/useForAMoment.ts';
import { tableSound } from './tableSound.ts';
import { useTableSettings, type TableSettings } from './tableSettings.ts';
import { useBetween } from './useBetween.ts';
import { useTakingBack } from './useTakingBack.ts';
import { t } from '../../words/table.ts';

/** While the count runs, the server hears at least this often where it is, in milliseconds of run time. */
const BEAT_MS = 3000;
/** How long it is said that a key could do nothing here. */
const IN_VAIN_MS = 3000;

/** The run of the open visit: what is on the screen now, and what the keys do. */
export function useRun(rate: number) {
  const visit = useVisit();
  const shelf = useShelf();
  const outbox = useOutbox();
  const settings = useTableSettings();
  const sound = tableSound(settings);
  const sleep = new SleepWatch();

  const clockRate = Math.min(LIMITS.clockRate.max, Math.max(LIMITS.clockRate.min, rate));
  let alarmMs: number | null = null;
  /** The clock's worker failed: the page keeps the time itself, and a browser may hold it up in the background. */
  const clockFailed = ref(false);
  const clock = shallowRef(new RunClock(absoluteNowMs, clockRate));
  const alarm = new Alarm(
    () => {
      // It has rung. Should it have been a hair early, it is set again for the same moment.
      alarmMs = null;
      look();
    },
    () => {
      clockFailed.value = true;
    },
  );
  /** The line as it was compiled; what happens at the table may amend what is left of it. */
  const compiled = shallowRef<Line | null>(null);
  const state = shallowRef<RunState>(READY);
  /** True after the program was opened on a run under way, until the first key. */
  const reopened = ref(false);
  /** Minutes the device slept while the count ran, until the next key; null: it did not. */
  const sleptMin = ref<number | null>(null);
  const link = shallowRef<RunLink | null>(null);
  const carried = computed(() =>
    linkOf(link.value ? visit.waiting.filter((change) => isOfRun(change, link.value!.runId)) : [], outbox.problem),
  );
  const linkState = computed<LinkState>(() => carried.value.state);
  const linkProblem = computed(() => carried.value.problem);
  /** The line as it is now. */
  const line = computed(() => (compiled.value ? lineNow(compiled.value, state.value) : null));
  /** The key that can still be taken back, and for how many seconds. */
  const undo = shallowRef<{ readonly kind: RunEventKind; readonly secondsLeft: number } | null>(null);
  /** The key that was pressed last and could do nothing where the run is, for a moment. */
  const { value: inVain, show: showInVain } = useForAMoment<RunEventKind>(IN_VAIN_MS);
  let lastEventMs = 0;
  let lastCue = -1;
  let ended = false;

  const view = computed(() => (compiled.value && compiled.value.cues.length > 0 ? viewRun(compiled.value, state.value) : null));
  const planLine = computed(() => lineOf(visit.file!.plan.blocks, breathOf(visit.file!), edgesOf(visit.file!), shelf.shelf));
  const isOther = computed(() => planLine.value !== null && JSON.stringify(planLine.value.cues) !== JSON.stringify(compiled.value?.cues));
  const planChanged = computed(() => state.value.status !== 'ready' && state.value.status !== 'finished' && isOther.value);

  const { wholeMs: plannedMs, beforeCue, afterAll, due } = useBetween(compiled, line, isOther);
  /** What the whole visit takes with what was put in and left out. */
  const wholeMs = computed(() =>
    plannedMs.value === null || !line.value || !compiled.value ? null : plannedMs.value + line.value.totalMs - compiled.value.totalMs,
  );
  /** What is to be done before the cue that is on now, or when all is over; empty in the middle of a block. */
  const first = computed(() => {
    if (!view.value) return '';
    return state.value.status === 'finished' ? afterAll() : beforeCue(view.value.cue.index);
  });

  /** Takes up the run that is under way, or makes the plan ready for a new one. */
  function open(): void {
    link.value = null;
    clock.value = new RunClock(absoluteNowMs, clockRate);
    const kept = pendingRun(visit.waiting);
    const runs = visit.file!.runs;
    // A run that was begun while the server was away is known to this browser only.
    const onlyHere =
      kept?.fields && !runs.some((run) => run.id === kept.runId)
        ? { id: kept.runId, line: lineOf(kept.fields.blocks, kept.fields.breath, kept.fields.edges, shelf.shelf)!, events: [] }
        : null;
    const run: Pick<Run, 'id' | 'line' | 'events'> | null = onlyHere ?? runs.at(-1) ?? null;
    if (!run) return ready();
    const { all } = joinEvents(run.events, kept?.runId === run.id ? kept.events : []);
    compiled.value = run.line;
    state.value = foldRun(
      run.line,
      all.map((each) => each.event),
    );
    lastEventMs = state.value.atMs;
    lastCue = state.value.cueIndex;
    reopened.value = state.value.status !== 'finished' && state.value.status !== 'ready';
    makeLink(run.id, all.at(-1)?.seq ?? 0);
    if (state.value.status === 'ready') ready();
  }

  /** A new run from the plan as it stands; nothing is written before it begins. */
  function ready(): void {
    link.value = null;
    clock.value = new RunClock(absoluteNowMs, clockRate);
    compiled.value = planLine.value;
    state.value = READY;
    reopened.value = false;
    lastCue = -1;
  }

  function makeLink(runId: string, lastSeq: number): void {
    link.value = new RunLink(runId, lastSeq, (events) =>
      outbox.put({
        record: visit.record,
        spot: eventsSpot(runId),
        words: t('whatHappenedTable'),
        method: 'POST',
        path: `/runs/${runId}/events`,
        body: { events },
        join: 'events',
        revision: null,
      }),
    );
  }

  /** Puts an event on the run: into the state, into the browser, and on its way to the server. */
  function put(body: RunEventBody): void {
    if (!compiled.value || linkState.value === 'elsewhere') return;
    const event = { ...body, atMs: Math.max(clock.value.now(), state.value.atMs) };
    const before = state.value.undo;
    state.value = applyEvent(compiled.value, state.value, event);
    if (!isFromDevice(event)) showInVain(CAN_BE_UNDONE.has(event.kind) && state.value.undo === before ? event.kind : null);
    lastEventMs = event.atMs;
    link.value?.add(event);
    after();
  }

  /**
   * Nobody knows what was done while the device slept, so it is a hold from the last moment that is certain, and the therapist is asked.
   */
  function noticeSleep(): void {
    const silentMs = sleep.alive(clockFailed.value);
    if (silentMs === null || !compiled.value || state.value.status !== 'running' || !clock.value.isRunning) return;
    const event = { kind: 'hold' as const, atMs: state.value.atMs };
    state.value = applyEvent(compiled.value, state.value, event);
    lastEventMs = event.atMs;
    link.value?.add(event);
    sleptMin.value = Math.max(1, Math.round(silentMs / 60_000));
    after();
  }

  /** Another page leads: this one stands still and is silent, because what it shows no longer counts. */
  watch(linkState, (now) => {
    if (now !== 'elsewhere') return;
    clock.value = new RunClock(absoluteNowMs, clockRate);
    alarmMs = null;
    alarm.set(null);
  });

  /** A key or a touch. */
  function act(body: RunEventBody): void {
    sound.wake();
    noticeSleep();
    sleptMin.value = null;
    if (waits(body)) return;
    if (!compiled.value || (state.value.status === 'finished' && body.kind !== 'undo')) return;
    if (state.value.status === 'ready') {
      if (body.kind !== 'go' && body.kind !== 'start') return;
      begin();
      return put({ kind: 'start' });
    }
    const wasRunning = reopened.value && state.value.status === 'running';
    if (!clock.value.isRunning) clock.value.startAt(state.value.atMs);
    reopened.value = false;
    // The count stood still while the program was closed: that is a hold, and it is written as one.
    if (wasRunning) put({ kind: 'hold' });
    if (!(wasRunning && body.kind === 'hold')) put(body);
  }

  function begin(): void {
    const file = visit.file!;
    const runId = uuid();
    const fields: RunFields = { visitId: file.visit.id, blocks: file.plan.blocks, breath: breathOf(file), edges: edgesOf(file), clockRate };
    outbox.put({
      record: visit.record,
      spot: runSpot(runId),
      words: t('runTable'),
      method: 'PUT',
      path: `/runs/${runId}`,
      body: { ...fields },
      join: 'none',
      revision: null,
    });
    makeLink(runId, 0);
    clock.value.startAt(0);
    lastEventMs = 0;
  }

  /** What a device says: kept beside what the keys do; while the page only shows a run it has not taken up, nothing is written. */
  function say(body: RunEventBody): void {
    if (clock.value.isRunning && !reopened.value && state.value.status !== 'ready' && state.value.status !== 'finished') put(body);
  }
  /** Something to be heard now: a tone, and words where they are wanted. */
  function warn(words: string): void {
    sound.warning();
    sound.say(() => words);
  }

  /** Space: begins, holds, goes on, or after easing off goes on from a shorter range. */
  function space(): void {
    noticeSleep();
    const status = reopened.value && state.value.status === 'running' ? 'held' : state.value.status;
    if (status === 'softening') act({ kind: 'until' });
    else if (status === 'eased') act({ kind: 'ease' });
    else if (status === 'running' && !view.value!.cue.open) act({ kind: 'hold' });
    else act({ kind: 'go' });
  }

  /** Carries the state to now; called by the alarm, and by the screen for every frame it draws. */
  function look(): void {
    noticeSleep();
    lookAtUndo();
    const counts = () => state.value.status === 'running' || state.value.status === 'softening';
    if (!compiled.value || !clock.value.isRunning || !counts()) return;
    state.value = carryTo(compiled.value, state.value, clock.value.now());
    if (counts() && state.value.atMs - lastEventMs >= BEAT_MS * clockRate) put({ kind: 'beat' });
    else after();
  }

  /** A key can be taken back for five seconds of the run's clock, also after the end. */
  function lookAtUndo(): void {
    const last = state.value.undo;
    const leftMs = last && clock.value.isRunning ? UNDO_MS - (clock.value.now() - last.atMs) : 0;
    const secondsLeft = Math.ceil(leftMs / 1000);
    if (!last || secondsLeft <= 0) undo.value = null;
    else if (undo.value?.kind !== last.kind || undo.value.secondsLeft !== secondsLeft) undo.value = { kind: last.kind, secondsLeft };
  }

  /** What follows from a new state: the tone, the words, the next alarm, and the end. */
  function after(): void {
    const now = state.value;
    const cue = line.value!.cues[Math.min(now.cueIndex, line.value!.cues.length - 1)]!;
    lookAtUndo();
    if (now.cueIndex !== lastCue && now.status === 'running') {
      sound.phase(phaseKind(cue.kind).family, () => spokenWords(cue, beforeCue(now.cueIndex), settings.says));
      lastCue = now.cueIndex;
    }
    if (now.status === 'eased' && now.spans.at(-1)?.end === 'eased' && now.atMs === now.spans.at(-1)!.endMs) sound.warning();
    if (now.status === 'showing') sound.say(() => t('wrongDirectionShowAgain', { text: cue.text }));
    if (now.status !== 'running') lastCue = -1;
    sound.ahead(
      now.status === 'running' && clock.value.isRunning
        ? {
            cue,
            next: line.value!.cues[cue.index + 1],
            positionMs: now.positionMs + Math.max(0, clock.value.now() - now.atMs),
            rate: clockRate,
          }
        : null,
    );
    const change = clock.value.isRunning ? nextChangeMs(compiled.value!, now) : null;
    const nextMs = change === null ? null : Math.min(change, lastEventMs + BEAT_MS * clockRate);
    if (nextMs !== alarmMs) {
      alarmMs = nextMs;
      alarm.set(nextMs === null ? null : clock.value.monotonicAt(nextMs));
    }
    if (now.status === 'finished' && link.value && !ended) {
      ended = true;
      link.value.add({ kind: 'finish', atMs: now.atMs });
      sound.phase('rest');
    }
    if (now.status !== 'finished') ended = false;
  }

  /** Ends this run where it is and makes the plan ready again. */
  function startOver(): void {
    if (state.value.status !== 'ready' && state.value.status !== 'finished') act({ kind: 'finish' });
    ready();
  }

  const { taking, takeOver, waits } = useTakingBack({
    drop: () => outbox.dropRecord(visit.record, (change) => isOfRun(change, link.value?.runId ?? '')),
    read: () => visit.load(visit.id),
    lead() {
      open();
      claim();
    },
    said: () => outbox.flush(visit.record),
    isElsewhere: () => linkState.value === 'elsewhere',
    act,
  });
  function claim(): void {
    const { status } = state.value;
    if (status === 'ready' || status === 'finished') return;
    clock.value.startAt(state.value.atMs);
    reopened.value = false;
    put({ kind: status === 'running' ? 'hold' : 'beat' });
  }

  /** The page goes away: where the count is now is kept, so that it reopens right there. */
  const onHide = () => {
    noticeSleep();
    if (state.value.status === 'running' && clock.value.isRunning) put({ kind: 'beat' });
  };
  window.addEventListener('pagehide', onHide);

  /** Frames only draw; the time comes from the clock, and when no frame is drawn the alarm still rings. */
  let frame = 0;
  const draw = () => {
    look();
    frame = requestAnimationFrame(draw);
  };
  frame = requestAnimationFrame(draw);

  onScopeDispose(() => {
    cancelAnimationFrame(frame);
    window.removeEventListener('pagehide', onHide);
    if (state.value.status === 'running' && clock.value.isRunning) put({ kind: 'hold' });
    alarm.close();
    sound.close();
    const { id, record } = visit;
    void outbox.flush(record).then(() => {
      if (visit.id === id) return visit.load(id);
    });
  });

  open();
  return {
    clockFailed,
    sleptMin,
    wholeMs,
    due,
    undo,
    inVain,
    visit,
    compiled,
    line,
    state,
    view,
    first,
    reopened,
    linkState,
    linkProblem,
    planChanged,
    muted: sound.muted,
    spoken: sound.spoken,
    clockRate,
    settings,
    change: (changed: Partial<TableSettings>) => void Object.assign(settings, changed),
    trySound: () => sound.try(t('pressIntoMyHand')),
    act,
    say,
    warn,
    space,
    startOver,
    takeOver,
    taking,
    toggleMuted: sound.toggleMuted,
    toggleSpoken: () => sound.toggleSpoken(() => [first.value, view.value?.cue.text].filter(Boolean).join('. ')),
    flush: () => outbox.flush(visit.record),
  };
}

export type TableHandle = ReturnType<typeof useRun>;
