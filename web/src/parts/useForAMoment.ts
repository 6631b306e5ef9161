import { onScopeDispose, shallowRef } from 'vue';

/** Something that is shown for so many milliseconds and then no more; showing null ends it at once. */
export function useForAMoment<T>(ms: number) {
  const value = shallowRef<T | null>(null);
  let timer: ReturnType<typeof setTimeout> | undefined;
  function show(next: T | null): void {
    clearTimeout(timer);
    value.value = next;
    if (next !== null) timer = setTimeout(() => (value.value = null), ms);
  }
  onScopeDispose(() => clearTimeout(timer));
  return { value, show };
}
