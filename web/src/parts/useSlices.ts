import { onBeforeUnmount, onMounted, ref, type Ref } from 'vue';
import { useEventListener } from '@vueuse/core';

/**
 * A long page drawn in slices: how many of its parts may be there by now. The first slice is there at once, another after every task, so that
 * between two of them the page is shown, and a key or a finger is answered. On paper everything is there. Where the page around it is much already,
 * the `first` slice is smaller than the others, or nothing. `again` begins anew for another list, with a whole slice: no screen is empty meanwhile.
 */
export function useSlices(all: () => number, slice = 1, first = slice): { readonly drawn: Readonly<Ref<number>>; again(): void } {
  const drawn = ref(first);
  let timer: ReturnType<typeof setTimeout> | undefined;
  function goOn(): void {
    clearTimeout(timer);
    if (drawn.value >= all()) return;
    timer = setTimeout(() => {
      drawn.value += slice;
      goOn();
    });
  }
  function again(): void {
    drawn.value = slice;
    goOn();
  }
  onMounted(goOn);
  onBeforeUnmount(() => clearTimeout(timer));
  useEventListener('beforeprint', () => {
    clearTimeout(timer);
    drawn.value = all();
  });
  return { drawn, again };
}
