import { computed } from 'vue';
import { v7 as uuid } from 'uuid';
import type { Position, Side } from '@pace-bend/core/body';
import { limitedBlock } from '@pace-bend/core/caution';
import { type BlockPlan, offeredEntries } from '@pace-bend/core/method';
import { additionsFor, blockOf, swapsFor, waysFor, type TableOffer } from '@pace-bend/core/session';
import type { RunEventBody } from '@pace-bend/core/table';
import { useShelf } from '../../stores/shelf.ts';
import { useVisit } from '../../stores/visit.ts';
import { breathOf, edgesOf, isForbidden, lineOf } from '../plan/planFacts.ts';
import type { TableHandle } from './useRun.ts';
import { t } from '../../words/table.ts';

/** Something that can be put in, checked against the cautions, with the block it becomes. */
export interface CheckedOffer {
  readonly offer: TableOffer;
  readonly entryName: string;
  readonly wayName: string;
  readonly block: BlockPlan;
}

/**
 * What can be swapped for the block that is on, and what can be added, as things stand: limits written in, and nothing that cautions
 * forbid on any of its sides.
 */
export function useTableOffers(run: TableHandle) {
  const visit = useVisit();
  const store = useShelf();
  const cue = computed(() => run.view.value!.cue);
  const block = computed(() => run.line.value!.blocks[cue.value.blockIndex]!);
  const entry = computed(() => store.entryOf(block.value.entryId));
  const position = computed<Position>(() => block.value.position ?? entry.value.positions[0]);

  /** The side that is on first, then those of the block that are still to come. */
  const sidesLeft = computed<Side[]>(() => [
    ...new Set(
      run.line
        .value!.cues.filter((each) => each.blockIndex === cue.value.blockIndex && each.index >= cue.value.index)
        .map(({ side }) => side),
    ),
  ]);

  function checked(offer: TableOffer, sides: readonly Side[], rounds: number | null): CheckedOffer[] {
    const made = blockOf(uuid(), offer, position.value, sides, rounds, store.shelf);
    const [file, context] = [visit.file!, visit.cautionContext!];
    if (!made || isForbidden(file, context, made, store.shelf)) return [];
    return [
      {
        offer,
        entryName: store.entryOf(offer.entryId).name,
        wayName: store.shelf.methods.get(offer.methodId)!.name,
        block: limitedBlock(made, context, store.shelf),
      },
    ];
  }

  const swaps = computed(() =>
    swapsFor({ entryId: block.value.entryId, methodId: block.value.methodId }, position.value, store.shelf).flatMap((offer) =>
      checked(offer, sidesLeft.value, null),
    ),
  );
  const additions = computed(() =>
    additionsFor(entry.value, position.value, store.shelf).flatMap((offer) => checked(offer, [cue.value.side], 1)),
  );

  /** Everything on the shelf, to be found by its name. */
  const shelf = computed(() =>
    offeredEntries(store.shelf).map((each) => ({ value: each.id, label: `${each.name}, ${each.section.toLowerCase()}` })),
  );
  /** An entry of the shelf in its usual way, on the side that is on, or, where it has no such side, where it is done. */
  function fromShelf(entryId: string): CheckedOffer | null {
    const found = store.entryOf(entryId);
    const way = waysFor(found, store.shelf)[0];
    if (!way) return null;
    const turnTo = found.positions.includes(position.value) ? null : found.positions[0];
    return checked({ entryId, methodId: way.id, words: t('fromShelf'), turnTo }, [cue.value.side], null)[0] ?? null;
  }

  /** The event that puts an offer in; null while a number of it is not sound. */
  function eventOf({ block: made }: CheckedOffer, how: 'added' | 'instead'): RunEventBody | null {
    const piece = lineOf([made], breathOf(visit.file!), edgesOf(visit.file!), store.shelf);
    return piece && { kind: 'put', how, block: made, piece: { cues: piece.cues, blocks: piece.blocks } };
  }

  return { swaps, additions, shelf, fromShelf, eventOf };
}
