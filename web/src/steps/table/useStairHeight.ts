import { useWindowSize } from '@vueuse/core';
import { computed, type Ref } from 'vue';

/** Pixels of the stair: a sixth of the screen or less, so that instruction, count and keys are always whole. */
export function useStairHeight(): Readonly<Ref<number>> {
  const { height } = useWindowSize();
  return computed(() => Math.round(Math.min(196, Math.max(96, height.value * 0.3 - 112))));
}
