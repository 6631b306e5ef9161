import { onScopeDispose, ref, watch, type Ref } from 'vue';

/** One way there and back, with a rest at either end. */
const PERIOD_MS = 6000;
const STEP_MS = 80;

/**
 * A share that goes slowly from 0 to 1 and back while it is asked for; where the machine asks for less motion, and when it is not asked
 * for, it stands at 1: the picture with its ghost says the same.
 */
export function useSlowWay(isWanted: () => boolean): Ref<number> {
  const share = ref(1);
  let timer: ReturnType<typeof setInterval> | undefined;
  const stop = () => {
    clearInterval(timer);
    timer = undefined;
    share.value = 1;
  };
  watch(
    isWanted,
    (wanted) => {
      stop();
      if (!wanted || window.matchMedia('(prefers-reduced-motion: reduce)').matches) return;
      let at = 0;
      timer = setInterval(() => {
        at = (at + STEP_MS) % PERIOD_MS;
        share.value = slowShare(at / PERIOD_MS);
      }, STEP_MS);
    },
    { immediate: true },
  );
  onScopeDispose(stop);
  return share;
}

/**
 * Where a slow way is at a share of its period: a rest in the set-up, there, a rest at the edge, back.
 * @example [0, 0.1, 0.5, 0.6].map(slowShare) // → [0, 0, 1, 1]
 */
export function slowShare(period: number): number {
  const there = period < 0.5 ? period * 2 : (1 - period) * 2;
  const clipped = Math.min(1, Math.max(0, (there - 0.2) / 0.6));
  return Math.round((1 - Math.cos(clipped * Math.PI)) * 25) / 50;
}
