import { onMounted, onUnmounted, ref, type Ref } from 'vue';

/** Pixels of the stair: a sixth of the screen or less, so that instruction, count and keys are always whole. */
export function useStairHeight(): Ref<number> {
  const height = ref(120);
  const fit = () => {
    height.value = Math.round(Math.min(196, Math.max(96, window.innerHeight * 0.3 - 112)));
  };
  onMounted(() => {
    fit();
    window.addEventListener('resize', fit);
  });
  onUnmounted(() => window.removeEventListener('resize', fit));
  return height;
}
