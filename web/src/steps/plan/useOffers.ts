import { computed } from 'vue';
import type { Side } from '@pace-bend/core/body';
import { workedSides, type Entry } from '@pace-bend/core/catalogue';
import { blockCautions, type Caution } from '@pace-bend/core/caution';
import { newBlock, sidesOf } from '@pace-bend/core/method';
import { currentReadings, stiffestFirst } from '@pace-bend/core/record';
import { offersFor } from '@pace-bend/core/session';
import { usePractice } from '../../stores/practice.ts';
import { useShelf } from '../../stores/shelf.ts';
import { useVisit } from '../../stores/visit.ts';

/** How stiff the motions read today are, and what can be taken by hand for the stiffest of them. */
export function useOffers() {
  const visit = useVisit();
  const practice = usePractice();
  const store = useShelf();

  const stiffness = computed(() => {
    const file = visit.file!;
    return stiffestFirst({
      person: practice.personOf(file.athlete),
      onDay: practice.dayOf(file.visit.startsAt),
      today: currentReadings(file.readings).map((reading) => ({ ...reading, value: reading.value! })),
      past: file.past,
      errors: file.errors,
    }).map((each) => each.stiffness);
  });

  /** What closes an offer on every side with no way round it: scope, consent, a no-touch area. Null: it can be taken. */
  function closedBy(entry: Entry, way: string): Caution | null {
    const block = newBlock('offer', entry.id, way, sidesOf(entry), store.shelf);
    const firm = blockCautions(block, visit.cautionContext!, [], store.shelf).map((side) =>
      side.blocking.find((caution) => !caution.canOverride),
    );
    return firm.every((caution) => caution !== undefined) ? firm[0]! : null;
  }

  return {
    stiffness,
    offers: computed(() =>
      offersFor(
        stiffness.value.map((row) => row.motion.id),
        store.shelf,
      ).map((offer) => ({
        ...stiffness.value.find((row) => row.motion.id === offer.motionId)!,
        entry: offer.entry,
        ways: offer.ways.map((method) => ({ method, closedBy: closedBy(offer.entry, method.id) })),
      })),
    ),
    /** The side to work on for the side of its motion that is stiffer today, beyond the error. */
    tighterOf(entry: Entry): Side | undefined {
      const read = stiffness.value.find((row) => row.motion.id === entry.motionId && row.score > 0)?.side;
      return read === undefined ? undefined : workedSides(entry, entry.motionId, read)[0];
    },
  };
}
