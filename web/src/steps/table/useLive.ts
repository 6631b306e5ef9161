import { computed, onScopeDispose, watch } from 'vue';
import { motionOf, type Muscle } from '@pace-bend/core/body';
import { doingOf } from '@pace-bend/core/catalogue';
import { motionAxis } from '@pace-bend/core/device';
import type { Strongest } from '@pace-bend/core/finding';
import { phaseKind, type Cue } from '@pace-bend/core/method';
import {
  angleWord,
  effortBand,
  effortReached,
  effortWord,
  NO_PRESSING,
  takePressing,
  type AngleWord,
  type EffortWord,
} from '@pace-bend/core/table';
import { useForceGauge } from '../../devices/useForceGauge.ts';
import { useInclinometers } from '../../devices/useInclinometers.ts';
import { usePractice } from '../../stores/practice.ts';
import { useShelf } from '../../stores/shelf.ts';
import type { TableHandle } from './useRun.ts';
import { t } from '../../words/table.ts';

/** Off the plane has to last this long before it is said and kept: a limb that is only passing through is no drift. */
const PLANE_MS = 500;
/** The same is not said again before this. */
const SAY_AGAIN_MS = 3000;

/** What is listened to for: a line that runs, and who keeps and tells what was heard. */
export type LiveRun = Pick<TableHandle, 'line' | 'state' | 'view' | 'say' | 'warn'>;
/** The strongest press that is known of muscles on a side; null where none is. */
export type StrongestOf = (muscles: readonly Muscle[], side: 'left' | 'right') => Strongest | null;

/**
 * What the devices say while the run goes on: where the limb really is, how far it has left the plane, and how hard they press against what is
 * asked. Everything works without them, with one of them, and with one that drops out and comes back: what was heard until then stays.
 */
export function useLive(run: LiveRun, drawn: () => Cue, strongestOf: StrongestOf) {
  const { line, state, view } = run;
  const angleDevice = useInclinometers();
  const gauge = useForceGauge();
  const practice = usePractice();
  const shelf = useShelf();
  const hasDevices = computed(() => Boolean(practice.practice?.devices));

  const block = computed(() => (view.value && line.value ? line.value.blocks[view.value.cue.blockIndex]! : null));
  const entry = computed(() => (block.value ? (shelf.shelf.entries.get(block.value.entryId) ?? null) : null));
  const cue = computed(() => view.value?.cue ?? null);
  const isOn = computed(() => state.value.status === 'running' || state.value.status === 'held' || state.value.status === 'waiting');

  // The pair belongs to the block's motion: another motion, or another side, and it has to be zeroed anew.
  const motion = computed(() => (block.value && block.value.unit === 'deg' ? motionOf(block.value.motionId) : null));
  const measures = computed(() => motion.value !== null && motionAxis(motion.value) !== null);
  watch(
    [() => motion.value?.id, () => cue.value?.side],
    ([id, side], before) => {
      if (!motion.value || !measures.value) return;
      if (before[0] === id && before[1] !== undefined && before[1] !== side) angleDevice.zero = null;
      angleDevice.assign(
        motion.value,
        (value) => takeEdge(value),
        () => {
          if (angleDevice.zero === null) angleDevice.setZero();
        },
      );
    },
    { immediate: true },
  );
  const value = computed(() =>
    measures.value && angleDevice.state === 'on' && angleDevice.motion?.id === motion.value?.id ? angleDevice.value : null,
  );
  /** A value that stands still in a hold of a round is that round's edge, until a key says otherwise. */
  function takeEdge(steady: number): void {
    if (!cue.value || state.value.status !== 'running' || cue.value.round < 1 || cue.value.round > cue.value.rounds) return;
    if (phaseKind(cue.value.kind).counts !== 'end-range') return;
    run.say({ kind: 'edge', value: steady, by: 'device' });
  }
  const valueNow = () => value.value;
  /** The value to be asked for at every frame, where there is one: the same function throughout, so that a sample draws nothing anew. */
  const edge = computed(() => (value.value === null ? undefined : valueNow));
  const angle = computed<AngleWord | null>(() => {
    if (value.value === null || !block.value || !isOn.value) return null;
    const { to, furthest } = drawn();
    return angleWord({
      value: value.value,
      planned: Math.max(to, view.value!.edge),
      furthest: typeof furthest === 'number' ? furthest : null,
      better: block.value.better,
    });
  });
  const plane = computed(() => (value.value === null || !isOn.value ? null : angleDevice.warning));

  let planeTimer: ReturnType<typeof setTimeout> | undefined;
  let toldAt = -Infinity;
  const tell = (words: string) => {
    if (performance.now() - toldAt < SAY_AGAIN_MS) return;
    toldAt = performance.now();
    run.warn(words);
  };
  watch(
    () => plane.value !== null,
    (isOff) => {
      clearTimeout(planeTimer);
      if (!isOff) return;
      planeTimer = setTimeout(() => {
        if (plane.value === null || state.value.status !== 'running') return;
        run.say({ kind: 'plane', deg: Math.round(angleDevice.angle?.offPlane ?? 0), words: plane.value });
        tell(plane.value);
      }, PLANE_MS);
    },
  );
  watch(angle, (now, before) => {
    if (now !== null && now !== before && now !== 'past the plan') tell(now);
  });

  const asked = computed(() => (cue.value && phaseKind(cue.value.kind).counts === 'contraction' ? view.value!.effortPct : null));
  const band = computed(() => (asked.value === null ? null : effortBand(asked.value)));
  const strongest = computed(() => {
    if (!entry.value || !cue.value || cue.value.side === 'midline') return null;
    const doing = doingOf(entry.value);
    return strongestOf(doing.contracts ?? doing.muscles, cue.value.side);
  });
  const newtons = computed(() => (gauge.state === 'on' ? gauge.now : null));
  const pct = computed(() => (newtons.value === null || !strongest.value ? null : (100 * Math.max(0, newtons.value)) / strongest.value.n));
  const effort = computed<EffortWord | null>(() =>
    pct.value === null || !band.value || state.value.status !== 'running' ? null : effortWord(pct.value, band.value),
  );

  let pressing = NO_PRESSING;
  let pressingCue = -1;
  /** Which of the stays in a cue it is: a round that begins anew is another press. */
  let pressingSince = -1;
  function endPress(): void {
    const reached = pressingCue < 0 ? null : effortReached(pressing, strongest.value?.n ?? null);
    if (reached && reached.n > 0) run.say({ kind: 'effort', cueIndex: pressingCue, of: strongest.value?.of ?? null, ...reached });
    [pressing, pressingCue, pressingSince] = [NO_PRESSING, -1, -1];
  }
  const stopHearing = gauge.listen((sample) => {
    if (asked.value === null || state.value.status !== 'running') return;
    if (pressingCue !== state.value.cueIndex || pressingSince !== state.value.enteredMs) {
      endPress();
      [pressingCue, pressingSince] = [state.value.cueIndex, state.value.enteredMs];
    }
    pressing = takePressing(pressing, sample, band.value!, strongest.value?.n ?? null);
  });
  watch([() => state.value.cueIndex, () => state.value.enteredMs, () => state.value.status], () => {
    if (
      pressingCue >= 0 &&
      (state.value.cueIndex !== pressingCue || state.value.enteredMs !== pressingSince || state.value.status === 'finished')
    )
      endPress();
  });
  let tooHardTimer: ReturnType<typeof setTimeout> | undefined;
  watch(effort, (now) => {
    clearTimeout(tooHardTimer);
    if (now === 'too hard') tooHardTimer = setTimeout(() => tell(t('tooHard')), PLANE_MS);
  });
  onScopeDispose(() => {
    stopHearing();
    clearTimeout(planeTimer);
    clearTimeout(tooHardTimer);
  });

  /** One of them was connected, whether it is heard just now or looked for. */
  const isConnected = computed(() => angleDevice.state !== 'off' || gauge.state !== 'off');
  return { hasDevices, isConnected, angleDevice, gauge, measures, value, edge, angle, plane, asked, band, strongest, newtons, pct, effort };
}

export type Live = ReturnType<typeof useLive>;
