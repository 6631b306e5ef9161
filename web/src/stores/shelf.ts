import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { v7 as uuid } from 'uuid';
import {
  BUILT_IN,
  offeredEntries,
  offeredMethods,
  PROTOCOLS,
  protocolsOf,
  sortProtocols,
  shelfOf,
  type OwnItem,
  type Protocol,
} from '@pace-bend/core/method';
import type { Entry } from '@pace-bend/core/catalogue';
import { toolLimits, USUAL_TOOL_LIMITS, type ToolMinutes } from '@pace-bend/core/session';
import { api } from '../api/api.ts';
import { read } from '../api/kept.ts';
import type { Change } from '../outbox/change.ts';
import { SHELF_RECORD, withItem } from '../outbox/keep.ts';
import { useOutbox } from './outbox.ts';
import { useSession } from './session.ts';
import { t } from '../words/stores.ts';

interface Hands {
  readonly limits: ToolMinutes;
  readonly revision: number;
  readonly knuckleCm: number | null;
}

function withWaiting(served: readonly OwnItem[], changes: readonly Change[], by: string): readonly OwnItem[] {
  return changes
    .filter((change) => change.refusal === null)
    .reduce<readonly OwnItem[]>((items, change) => {
      const [kind, id] = change.spot.split('/') as [string, string];
      if (kind === 'item')
        return [
          ...items.filter((item) => item.id !== id),
          { id, ...change.body, madeAt: change.madeAt, madeBy: by, retiredAt: null } as OwnItem,
        ];
      return items.map((item) => (item.id === id ? { ...item, retiredAt: change.path.endsWith('/retire') ? change.madeAt : null } : item));
    }, served);
}

/** Everything that can be planned: what ships, and what the practice made; and the hands that do it. */
export const useShelf = defineStore('shelf', () => {
  const outbox = useOutbox();
  const session = useSession();
  /** What the server said last. */
  const served = shallowRef<readonly OwnItem[]>([]);
  /** With what waits: it can be planned with at once. */
  const items = computed<readonly OwnItem[]>(() => withWaiting(served.value, outbox.of(SHELF_RECORD), session.me?.name ?? ''));
  const hands = ref<Hands>({ limits: USUAL_TOOL_LIMITS, revision: 0, knuckleCm: null });
  let loading: Promise<void> | null = null;

  const shelf = computed(() => (items.value.length === 0 ? BUILT_IN : shelfOf(items.value)));
  const entries = computed(() => offeredEntries(shelf.value));
  const methods = computed(() => offeredMethods(shelf.value));
  /** Sequences: the practice's own first, then those that ship. */
  const sorted = computed(() => sortProtocols([...protocolsOf(items.value), ...PROTOCOLS], shelf.value));
  const protocols = computed<readonly Protocol[]>(() => sorted.value.fit);
  /** Sequences of the practice's own that what stands on the shelf no longer allows. */
  const unfitProtocols = computed<readonly Protocol[]>(() => sorted.value.unfit);
  /** The id that stands now for one that may have been changed since. */
  function newestOf(id: string): string {
    const next = items.value.find((item) => item.supersedes === id);
    return next ? newestOf(next.id) : id;
  }
  const itemOf = (id: string) => items.value.find((item) => item.id === id) ?? null;

  /** Loads once; `again` asks anew. Until then, and without it, there is what ships. */
  function load(again = false): Promise<void> {
    if (again) loading = null;
    loading ??= Promise.all([read<{ items: OwnItem[] }>('/shelf'), read<Hands>('/hands')]).then(
      ([found, mine]) => {
        served.value = found.items;
        hands.value = { ...mine, limits: toolLimits(mine.limits) };
      },
      (error: unknown) => {
        loading = null;
        throw error;
      },
    );
    return loading;
  }

  outbox.hearAnswers((change, answer) => {
    if (change.record === SHELF_RECORD) served.value = withItem(served.value, answer as OwnItem);
  });

  /** Adds an item, or a new version of one; returns its id. Throws ApiProblem. */
  async function save(fields: OwnItem['fields'], supersedes: string | null): Promise<string> {
    const id = uuid();
    await outbox.ask({
      record: SHELF_RECORD,
      spot: `item/${id}`,
      words: t('somethingYourOwnShelf'),
      method: 'PUT',
      path: `/shelf/${id}`,
      body: { supersedes, fields },
      join: 'none',
      revision: null,
    });
    return id;
  }

  /** Takes an item off the shelf, or puts it back. Throws ApiProblem. */
  const setRetired = (id: string, retired: boolean) =>
    outbox.ask({
      record: SHELF_RECORD,
      spot: `retired/${id}`,
      words: t('somethingYourOwnShelf'),
      method: 'POST',
      path: `/shelf/${id}/${retired ? 'retire' : 'restore'}`,
      body: {},
      join: 'none',
      revision: null,
    });

  async function saveHands(fields: { readonly limits?: ToolMinutes; readonly knuckleCm?: number | null }): Promise<void> {
    if (fields.limits) hands.value = await api<Hands>('PUT', '/hands/limits', { revision: hands.value.revision, limits: fields.limits });
    if (fields.knuckleCm !== undefined) hands.value = await api<Hands>('PUT', '/hands/me', { knuckleCm: fields.knuckleCm });
  }

  /** The entry with this id, of any version. Plans never name one that is not there. */
  const entryOf = (id: string): Entry => shelf.value.entries.get(id)!;
  const methodOf = (id: string) => shelf.value.methods.get(id)!;

  return {
    shelf,
    entries,
    methods,
    protocols,
    unfitProtocols,
    items,
    hands,
    load,
    save,
    setRetired,
    saveHands,
    newestOf,
    itemOf,
    entryOf,
    methodOf,
  };
});
