import { computed, onScopeDispose, shallowRef, watch } from 'vue';
import { phaseKind, type Line } from '@pace-bend/core/method';
import {
  applyEvent,
  carryTo,
  countedByHand,
  practiseResult,
  READY,
  spokenWords,
  viewRun,
  type PractiseResult,
  type RunEventBody,
  type RunState,
} from '@pace-bend/core/table';
import { absoluteNowMs } from '../steps/table/alarm.ts';
import { RunClock } from '../steps/table/runClock.ts';
import { tableSound } from '../steps/table/tableSound.ts';
import { useTableSettings } from '../steps/table/tableSettings.ts';

/** So many attempts stay on the page, the newest first. */
const ATTEMPTS_MOST = 6;

export interface Attempt {
  readonly id: number;
  readonly byHand: boolean;
  readonly result: PractiseResult;
}

/**
 * A line gone through without an athlete, at real speed: counted by the program, or by the person with a key at the end of each phase. It lives
 * on this page only; nothing is sent anywhere, and nothing of it stands in any record.
 */
export function usePractise(asked: () => Line | null, byHand: () => boolean) {
  const settings = useTableSettings();
  const sound = tableSound(settings);
  let clock = new RunClock(absoluteNowMs);
  /** The line as it was compiled, and as it is gone through. */
  const compiled = shallowRef<Line | null>(null);
  const line = computed(() => (compiled.value && isByHand.value ? countedByHand(compiled.value) : compiled.value));
  const isByHand = shallowRef(false);
  const state = shallowRef<RunState>(READY);
  const view = computed(() => (line.value && line.value.cues.length > 0 ? viewRun(line.value, state.value) : null));
  const attempts = shallowRef<readonly Attempt[]>([]);
  const isOn = computed(() => state.value.status !== 'ready' && state.value.status !== 'finished');
  let lastCue = -1;

  watch(
    [asked, byHand],
    ([next, hand]) => {
      if (isOn.value) return;
      compiled.value = next;
      isByHand.value = hand;
      state.value = READY;
    },
    { immediate: true },
  );

  function put(body: RunEventBody): void {
    if (!line.value) return;
    state.value = applyEvent(line.value, state.value, { ...body, atMs: Math.max(clock.now(), state.value.atMs) });
    after();
  }

  function after(): void {
    const now = state.value;
    if (now.status === 'finished') return finished();
    if (line.value) {
      const here = line.value.cues[now.cueIndex]!;
      // Counted by hand, nobody is told when a phase is over.
      const heading = { cue: here, next: line.value.cues[here.index + 1], positionMs: now.positionMs, rate: 1 };
      sound.ahead(now.status === 'running' && !isByHand.value ? heading : null);
    }
    if (now.status !== 'running' || now.cueIndex === lastCue) return;
    lastCue = now.cueIndex;
    const cue = line.value!.cues[now.cueIndex]!;
    sound.phase(phaseKind(cue.kind).family, () => spokenWords(cue, '', settings.says));
  }
  function finished(): void {
    sound.ahead(null);
    if (lastCue < 0) return;
    lastCue = -1;
    const result = practiseResult(compiled.value!, state.value, isByHand.value);
    const id = (attempts.value[0]?.id ?? 0) + 1;
    attempts.value = [{ id, byHand: isByHand.value, result }, ...attempts.value].slice(0, ATTEMPTS_MOST);
  }

  /** Begins; while it runs: counted by hand, the phase is over; counted by the program, hold here or go on. */
  function space(): void {
    sound.wake();
    if (state.value.status === 'ready' || state.value.status === 'finished') {
      if (!line.value || line.value.cues.length === 0) return;
      state.value = READY;
      lastCue = -1;
      clock = new RunClock(absoluteNowMs);
      clock.startAt(0);
      return put({ kind: 'start' });
    }
    const { cue } = view.value!;
    put({ kind: state.value.status === 'running' && !cue.open ? 'hold' : 'go' });
  }
  const next = () => isOn.value && put({ kind: 'next' });
  /** Ends it here; what was done until now is looked at. */
  const end = () => isOn.value && put({ kind: 'finish' });

  let frame = 0;
  const draw = () => {
    if (line.value && isOn.value) {
      state.value = carryTo(line.value, state.value, clock.now());
      after();
    }
    frame = requestAnimationFrame(draw);
  };
  frame = requestAnimationFrame(draw);
  onScopeDispose(() => {
    cancelAnimationFrame(frame);
    sound.close();
  });

  return {
    line,
    state,
    view,
    isOn,
    attempts,
    sound,
    space,
    next,
    end,
    /** What a device says, and what is told because of it: as at the table. */
    say: (body: RunEventBody) => isOn.value && put(body),
    warn(words: string): void {
      sound.warning();
      sound.say(() => words);
    },
  };
}
