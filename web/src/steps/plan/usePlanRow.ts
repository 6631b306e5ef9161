import { storeToRefs } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import { checkBlock, type BlockPlan } from '@pace-bend/core/method';
import { limitedBlock } from '@pace-bend/core/caution';
import { useShelf } from '../../stores/shelf.ts';
import { useVisit } from '../../stores/visit.ts';
import { isForbidden } from './planFacts.ts';

/**
 * The row of blocks while it is being made, with undo and redo. The limits that cautions set are written into every block, and anew
 * whenever the file changes. Numbers that are not sound, and blocks that cautions forbid, stay on the screen beside their message; what is
 * kept can always be run. `onShow` hears of every row that is shown.
 */
export function usePlanRow(onShow: () => void) {
  const visit = useVisit();
  const store = useShelf();
  const limited = (next: readonly BlockPlan[]) => next.map((block) => limitedBlock(block, visit.cautionContext!, store.shelf));
  const blocks = shallowRef<readonly BlockPlan[]>(visit.finished ? visit.file!.plan.blocks : limited(visit.file!.plan.blocks));
  const { planDone: done, planUndone: undone } = storeToRefs(visit);
  /** Why the last move was not made. */
  const refusal = ref('');
  /** One gesture, however many steps it has, is undone at once. */
  let lastGesture: string | null = null;
  const forbiddenNow = (block: BlockPlan) => isForbidden(visit.file!, visit.cautionContext!, block, store.shelf);

  function put(next: readonly BlockPlan[], gesture: string | null = null): void {
    if (visit.finished) return;
    if (gesture === null || gesture !== lastGesture) done.value = [...done.value, blocks.value];
    lastGesture = gesture;
    refusal.value = '';
    undone.value = [];
    show(next);
  }

  function show(next: readonly BlockPlan[]): void {
    blocks.value = limited(next);
    onShow();
    keep();
  }

  function keep(): void {
    if (blocks.value.every((block) => checkBlock(block, store.shelf).length === 0 && !forbiddenNow(block))) visit.setBlocks(blocks.value);
  }
  // Limits that are new since the plan was kept, and a reason that has just been given.
  const kept = JSON.stringify(visit.file!.plan.blocks);
  if (!visit.finished && JSON.stringify(blocks.value) !== kept) keep();
  watch(() => visit.file!.overrides, keep);

  function step(from: typeof done, to: typeof done): void {
    lastGesture = null;
    const next = from.value.at(-1);
    if (!next || visit.finished) return;
    from.value = from.value.slice(0, -1);
    to.value = [...to.value, blocks.value];
    show(next);
  }

  return {
    blocks,
    refusal,
    put,
    undo: () => step(done, undone),
    redo: () => step(undone, done),
    canUndo: computed(() => done.value.length > 0),
    canRedo: computed(() => undone.value.length > 0),
    forbidden: computed(() => (visit.finished ? [] : blocks.value.filter(forbiddenNow))),
  };
}
