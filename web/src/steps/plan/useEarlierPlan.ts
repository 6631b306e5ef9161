import { v7 as uuid } from 'uuid';
import { onMounted, ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import type { BlockPlan } from '@pace-bend/core/method';
import type { VisitFile } from '@pace-bend/core/record';
import { api, ApiProblem } from '../../api/api.ts';
import { usePractice } from '../../stores/practice.ts';
import { useShelf } from '../../stores/shelf.ts';
import { useVisit } from '../../stores/visit.ts';
import { t } from '../../words/plan.ts';

/**
 * A plan begun from that of an earlier visit of the same athlete, which the address names (`?from=`): its blocks with new ids and without the
 * limits they had then, in place of what is planned, which undo brings back. What is no longer on the shelf is left out and said.
 */
export function useEarlierPlan(take: (blocks: readonly BlockPlan[]) => void) {
  const route = useRoute();
  const router = useRouter();
  const visit = useVisit();
  const shelf = useShelf();
  const practice = usePractice();
  const said = ref('');
  const problem = ref<ApiProblem | null>(null);

  async function begin(): Promise<void> {
    const from = route.query.from;
    if (typeof from !== 'string' || visit.finished) return;
    problem.value = null;
    try {
      const earlier = await api<VisitFile>('GET', `/visits/${encodeURIComponent(from)}`);
      if (earlier.athlete.id !== visit.file!.athlete.id) {
        said.value = t('planAnotherAthletesNot');
      } else {
        const known = earlier.plan.blocks.filter(
          ({ entryId, methodId }) => shelf.shelf.entries.has(entryId) && shelf.shelf.methods.has(methodId),
        );
        take(known.map(({ limits: _limits, ...block }) => ({ ...block, id: uuid() })));
        const gone = earlier.plan.blocks.length - known.length;
        said.value = t('begunFromPlanUndo', {
          shortDate: practice.shortDate(earlier.visit.startsAt),
          what: gone > 0 ? t('noLongerShelf', { gone }) : '',
        });
      }
      // Opened anew, the plan is the one that stands.
      await router.replace({ query: {} });
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
      problem.value = error;
    }
  }
  onMounted(() => void begin());
  return { said, problem, begin };
}
