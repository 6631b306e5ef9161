import { onBeforeUnmount, onMounted, ref, type Ref } from 'vue';
import { useEventListener } from '@vueuse/core';

/**
 * A long page drawn in slices: how many of its parts may be there by now. The first slice is there at once, another after every task, so that
 * between two of them the page is shown, and a key or a finger is answered. On paper everything is there. `again` begins anew, for another list.
 * Where the page around it is much already, its `first` slice is smaller than the others, or nothing.
 */
export function useSlices(all: () => number, slice = 1, first = slice): { readonly drawn: Readonly<Ref<number>>; again(): void } {
  const drawn = ref(first);
  let timer: ReturnType<typeof setTimeout> | undefined;
  function goOn(): void {
    if (drawn.value >= all()) return;
    timer = setTimeout(() => {
      drawn.value += slice;
      goOn();
    });
  }
  function again(): void {
    clearTimeout(timer);
    drawn.value = first;
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
