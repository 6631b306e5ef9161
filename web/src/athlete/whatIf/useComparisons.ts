import { ref, shallowRef } from 'vue';
import type { Comparison, ComparisonFields } from '@pace-bend/core/cycle';
import { v7 as uuid } from 'uuid';
import { api } from '../../api/api.ts';
import { useAction } from '../../parts/useAction.ts';

/** Comparisons of two ways of one athlete: planned with an order the server draws, ended early if wanted. */
export function useComparisons(athleteId: () => string) {
  const { busy, problem, run } = useAction();
  const comparisons = shallowRef<readonly Comparison[] | null>(null);
  /** Kept until it is planned, so that asking twice plans it once. */
  const nextId = ref(uuid());
  const path = () => `/athletes/${encodeURIComponent(athleteId())}/comparisons`;
  const take = ({ comparisons: found }: { readonly comparisons: readonly Comparison[] }) => {
    comparisons.value = found;
  };

  const load = () => run(async () => take(await api('GET', path())));
  const plan = (fields: ComparisonFields) =>
    run(async () => {
      take(await api('PUT', `${path()}/${nextId.value}`, fields));
      nextId.value = uuid();
    });
  const end = ({ id, revision }: Comparison) => run(async () => take(await api('POST', `${path()}/${id}/end`, { revision })));

  return { busy, problem, comparisons, load, plan, end };
}
