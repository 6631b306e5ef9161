import { computed, ref, type Ref } from 'vue';
import { MOTIONS, type Motion } from '@pace-bend/core/body';
import { keepChoice, readChoice } from '../api/drafts.ts';
import { useVisit } from '../stores/visit.ts';

/** Which motions are on the list of a visit: those chosen, or else last visit's set. `beingTyped`: motions that have something typed. */
export function useChosenMotions(beingTyped: () => readonly string[]) {
  const visit = useVisit();
  const key = `${visit.id}.motions`;
  /** Null while nobody has chosen and last visit's set stands in. */
  const picked: Ref<readonly string[] | null> = ref(readChoice<string[]>(key));

  const lastSet = computed(() => {
    const latest = visit.file?.past.at(-1)?.visitId;
    return (visit.file?.past ?? []).filter((reading) => reading.visitId === latest).map((reading) => reading.motionId);
  });

  /** With all that was measured today, in the catalogue's order. */
  const motions = computed<Motion[]>(() => {
    const ids = new Set([...visit.readings.map((reading) => reading.motionId), ...(picked.value ?? lastSet.value), ...beingTyped()]);
    return MOTIONS.filter((motion) => ids.has(motion.id));
  });

  /** Puts a set in place of what was chosen; what was measured stays. */
  function choose(motionIds: readonly string[]): void {
    picked.value = [...motionIds];
    keepChoice(key, picked.value);
  }

  const idsNow = () => motions.value.map((motion) => motion.id);
  return {
    lastSet,
    motions,
    choose,
    pick: (motionId: string) => choose([...new Set([...idsNow(), motionId])]),
    /** Takes a motion off the list; only offered while nothing of it was measured. */
    drop: (motionId: string) => choose(idsNow().filter((id) => id !== motionId)),
    isMeasured: (motion: Motion) => visit.readings.some((reading) => reading.motionId === motion.id),
  };
}
