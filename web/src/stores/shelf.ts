import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { v7 as uuid } from 'uuid';
import { BUILT_IN, offeredEntries, offeredMethods, shelfOf, type OwnItem } from '@pace-bend/core/method';
import type { Entry } from '@pace-bend/core/catalogue';
import { USUAL_TOOL_LIMITS, type ToolMinutes } from '@pace-bend/core/session';
import { api } from '../app/api.ts';

interface Hands {
  readonly limits: ToolMinutes;
  readonly revision: number;
  readonly knuckleCm: number | null;
}

/** Everything that can be planned: what ships, and what the practice made; and the hands that do it. */
export const useShelf = defineStore('shelf', () => {
  const items = shallowRef<readonly OwnItem[]>([]);
  const hands = ref<Hands>({ limits: USUAL_TOOL_LIMITS, revision: 0, knuckleCm: null });
  let loading: Promise<void> | null = null;

  const shelf = computed(() => (items.value.length === 0 ? BUILT_IN : shelfOf(items.value)));
  const entries = computed(() => offeredEntries(shelf.value));
  const methods = computed(() => offeredMethods(shelf.value));
  /** The id that stands now for one that may have been changed since. */
  function newestOf(id: string): string {
    const next = items.value.find((item) => item.supersedes === id);
    return next ? newestOf(next.id) : id;
  }
  const itemOf = (id: string) => items.value.find((item) => item.id === id) ?? null;

  /** Loads once; `again` asks anew. Until then, and without it, there is what ships. */
  function load(again = false): Promise<void> {
    if (again) loading = null;
    loading ??= Promise.all([api<{ items: OwnItem[] }>('GET', '/shelf'), api<Hands>('GET', '/hands')]).then(
      ([found, mine]) => { items.value = found.items; hands.value = mine; },
      (error: unknown) => { loading = null; throw error; },
    );
    return loading;
  }

  /** Adds an item, or a new version of one; returns its id. Throws ApiProblem. */
  async function save(fields: OwnItem['fields'], supersedes: string | null): Promise<string> {
    const id = uuid();
    const saved = await api<OwnItem>('PUT', `/shelf/${id}`, { supersedes, fields });
    items.value = [...items.value, saved];
    return id;
  }

  async function setRetired(id: string, retired: boolean): Promise<void> {
    const saved = await api<OwnItem>('POST', `/shelf/${id}/${retired ? 'retire' : 'restore'}`, {});
    items.value = items.value.map((item) => (item.id === id ? saved : item));
  }

  async function saveHands(fields: { readonly limits?: ToolMinutes; readonly knuckleCm?: number | null }): Promise<void> {
    if (fields.limits) hands.value = await api<Hands>('PUT', '/hands/limits', { revision: hands.value.revision, limits: fields.limits });
    if (fields.knuckleCm !== undefined) hands.value = await api<Hands>('PUT', '/hands/me', { knuckleCm: fields.knuckleCm });
  }

  /** The entry with this id, of any version. Plans never name one that is not there. */
  const entryOf = (id: string): Entry => shelf.value.entries.get(id)!;
  const methodOf = (id: string) => shelf.value.methods.get(id)!;

  return { shelf, entries, methods, items, hands, load, save, setRetired, saveHands, newestOf, itemOf, entryOf, methodOf };
});
