import { computed, type Ref } from 'vue';
import { blockCautions } from '@pace-bend/core/caution';
import { lowerFirst } from '../../parts/words.ts';
import { phaseKind, type Cue } from '@pace-bend/core/method';
import { useShelf } from '../../stores/shelf.ts';
import { useVisit } from '../../stores/visit.ts';
import type { TableHandle } from './useRun.ts';

/**
 * The one line of warning of the cue that is on: while it is set up, what cautions say of this block, the strongest first; while it is
 * worked, what the entry says to watch. Nothing while the limb rests.
 */
export function useWarning(run: TableHandle, cue: Ref<Cue>) {
  const visit = useVisit();
  const store = useShelf();

  const caution = computed(() => {
    const { blockIndex, side } = cue.value;
    const { blockId, entryId, methodId } = run.line.value!.blocks[blockIndex]!;
    if (!visit.cautionContext || !store.shelf.entries.has(entryId) || !store.shelf.methods.has(methodId)) return null;
    const planned = visit.file!.plan.blocks.find(({ id }) => id === blockId);
    const block = planned ?? { id: blockId, entryId, methodId, numbers: {}, choices: {}, sides: [{ side, rounds: 1 }] };
    const here = blockCautions(block, visit.cautionContext, visit.file!.overrides, store.shelf).find((each) => each.side === side);
    const strongest = here?.result.cautions.find(({ level }) => level !== 'note');
    return strongest ? `${strongest.because}: ${lowerFirst(strongest.instead || strongest.reason)}` : null;
  });

  return computed(() => {
    const { exposed, family } = phaseKind(cue.value.kind);
    const { watch } = store.entryOf(run.line.value!.blocks[cue.value.blockIndex]!.entryId);
    if (cue.value.kind === 'check') return null;
    if (family === 'set-up') return caution.value ?? watch;
    return exposed ? watch : null;
  });
}
