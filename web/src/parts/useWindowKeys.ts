import { onMounted, onUnmounted } from 'vue';

/** Hears every key of the window while a component stands on the page. */
export function useWindowKeys(onKey: (event: KeyboardEvent) => void): void {
  onMounted(() => window.addEventListener('keydown', onKey));
  onUnmounted(() => window.removeEventListener('keydown', onKey));
}
