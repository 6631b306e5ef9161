import { onMounted, onUnmounted, type Ref } from 'vue';

/** Escape closes a sheet from its first moment on: the kit listens only once the focus has moved into it. */
export function useEscape(open: Ref<boolean>): void {
  const onKey = (event: KeyboardEvent) => { if (event.key === 'Escape' && open.value) open.value = false; };
  onMounted(() => window.addEventListener('keydown', onKey));
  onUnmounted(() => window.removeEventListener('keydown', onKey));
}
