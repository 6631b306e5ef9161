import { computed, type Ref } from 'vue';
import type { Line } from '@pace-bend/core/method';
import { currentReadings } from '@pace-bend/core/record';
import { betweenPasses, passKey, sessionStrip, type Between, type StripItem } from '@pace-bend/core/session';
import { useShelf } from '../../stores/shelf.ts';
import { useVisit } from '../../stores/visit.ts';
import { edgesOf, mayMeasureIn, measuredIn } from '../plan/planFacts.ts';
import { betweenWords } from './between.ts';

/**
 * What the session line has between the blocks of the line that is run: turns, sides, readings. Nothing once the plan is another one
 * than what is being run (`isOther`). `compiled` is the line as it was planned, `line` with what was amended at the table.
 */
export function useBetween(compiled: Ref<Line | null>, line: Ref<Line | null>, isOther: Ref<boolean>) {
  const visit = useVisit();
  const shelf = useShelf();
  const strip = computed(() => {
    if (isOther.value || !compiled.value) return null;
    return sessionStrip({
      blocks: visit.file!.plan.blocks,
      line: compiled.value,
      isMeasured: measuredIn(edgesOf(visit.file!)),
      mayMeasure: mayMeasureIn(visit.file!, visit.cautionContext!),
      shelf: shelf.shelf,
    });
  });
  const between = computed(() => strip.value && betweenPasses(strip.value, visit.file!.plan.blocks));

  /** All that was to be read again and was not, whenever its turn was. */
  function unread({ before, afterLast }: Between): StripItem[] {
    const read = new Set(
      currentReadings(visit.file!.readings)
        .filter((reading) => reading.moment === 'after')
        .map(({ motionId, side }) => `${motionId}/${side}`),
    );
    return [...before.values(), afterLast].flat().filter((item) => item.kind === 'after' && !read.has(`${item.motionId}/${item.side}`));
  }

  const isFirst = (index: number) => {
    const [cue, last] = [line.value!.cues[index]!, line.value!.cues[index - 1]];
    return !last || last.blockIndex !== cue.blockIndex || last.pass !== cue.pass;
  };
  const itemsBefore = (index: number): readonly StripItem[] => {
    const cue = line.value!.cues[index];
    return cue && isFirst(index) ? (between.value?.before.get(passKey(cue.blockIndex, cue.pass ?? 0)) ?? []) : [];
  };

  return {
    /** What is to be read before a cue, and, past the last one, what is left to be read of all. */
    due(index: number, isOver: boolean): readonly StripItem[] {
      if (!between.value) return [];
      return isOver ? unread(between.value) : itemsBefore(index).filter(({ kind }) => kind === 'after' || kind === 'before');
    },
    /** What the whole visit takes, as the plan draws it; the line alone is the work. */
    wholeMs: computed(() => (strip.value ? strip.value.seconds * 1000 : null)),
    /** What is to be done before a cue; empty in the middle of a block. */
    beforeCue: (index: number): string => betweenWords(itemsBefore(index)),
    /** What is left to be read when all is over. */
    afterAll: () => (between.value ? betweenWords(unread(between.value)) : ''),
  };
}
