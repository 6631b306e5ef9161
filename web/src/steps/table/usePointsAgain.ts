import { computed } from 'vue';
import { doingOf } from '@pace-bend/core/catalogue';
import { feltAgainNext, type FeltBefore } from '@pace-bend/core/finding';
import { useShelf } from '../../stores/shelf.ts';
import { useVisit } from '../../stores/visit.ts';
import type { TableHandle } from './useRun.ts';

/**
 * Points to be felt again where the hand has just been: between two blocks those of the muscles and the side that were worked on, at the end those
 * of everything that was done.
 */
export function usePointsAgain({ line, state, view }: Pick<TableHandle, 'line' | 'state' | 'view'>) {
  const visit = useVisit();
  const shelf = useShelf();

  /** Blocks and sides the hand comes from; empty in the middle of one. Of the state only what changes with a cue. */
  const worked = computed(() => {
    const [now, isOver] = [view.value?.cue, state.value.status === 'finished'];
    if (!line.value || !now || state.value.status === 'ready') return [];
    const placeOf = ({ blockIndex, side }: { blockIndex: number; side: typeof now.side }) => `${blockIndex}/${side}`;
    const cues = state.value.spans.filter(({ end }) => end === 'done').map(({ cueIndex }) => line.value!.cues[cueIndex]!);
    const places = new Map(cues.filter((cue) => cue.round >= 1).map((cue) => [placeOf(cue), cue]));
    if (isOver) return [...places.values()];
    const before = line.value.cues[now.index - 1];
    if (!now.open || !before || placeOf(before) === placeOf(now)) return [];
    const last = places.get(placeOf(before));
    return last ? [last] : [];
  });

  return computed<readonly FeltBefore[]>(() => {
    if (!visit.file || visit.finished) return [];
    const found = worked.value.flatMap(({ blockIndex, side }) => {
      const entry = shelf.entryOf(line.value!.blocks[blockIndex]!.entryId);
      return feltAgainNext(visit.findings, doingOf(entry).muscles, side);
    });
    return found.filter(({ finding }, i) => found.findIndex((each) => each.finding.id === finding.id) === i);
  });
}
