import { computed, onMounted, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import type { OwnItem, Shelf } from '@pace-bend/core/method';
import { useShelf } from '../stores/shelf.ts';

/**
 * What something of the practice's own is made from, as the address names it. The form is filled once the shelf is there, and again
 * only when another one is named: what is typed is never overwritten by a shelf that comes late or changes.
 */
export function useOwnSource<T extends { readonly id: string }>(
  find: (shelf: Shelf, id: string) => T | undefined,
  fill: (from: T, item: OwnItem | null) => void,
) {
  const shelf = useShelf();
  const route = useRoute();
  const ready = ref(false);
  onMounted(
    () =>
      void shelf
        .load()
        .catch(() => undefined)
        .then(() => {
          ready.value = true;
        }),
  );

  const id = computed(() => String(route.query.from));
  const from = computed(() => find(shelf.shelf, id.value) ?? null);
  const item = computed(() => (from.value ? shelf.itemOf(from.value.id) : null));
  watch([id, ready], () => {
    if (ready.value && from.value) fill(from.value, item.value);
  });
  return { shelf, ready, from, item };
}
