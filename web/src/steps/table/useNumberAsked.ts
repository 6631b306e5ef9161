import { computed, ref, watch, type Ref } from 'vue';
import { phaseKind, type Cue } from '@pace-bend/core/method';
import { keepChoice, readChoice } from '../../api/drafts.ts';
import { speak } from '../../parts/speech.ts';
import type { TableHandle } from './useRun.ts';
import { t } from '../../words/table.ts';

/** When a number is asked for. */
const MODES = ['never', 'each round', 'at end range'] as const;
type Mode = (typeof MODES)[number];

/**
 * "Number, please": asked at the end of each round, or while the limb is held at its edge, or never, as was chosen last on this device; it
 * stands until a number is given in that cue or the cue is over.
 */
export function useNumberAsked(run: TableHandle, cue: Ref<Cue>) {
  const mode = ref<Mode>(MODES.find((each) => each === readChoice<string>('number')) ?? 'never');

  /** The last cue of a round, or one in which the tissue is kept lengthened. */
  const isDue = computed(() => {
    // Nothing is planned: there is no cue.
    if (!run.view.value || mode.value === 'never') return false;
    const { round, rounds, index, blockIndex, side, kind } = cue.value;
    if (round < 1 || round > rounds) return false;
    if (mode.value === 'at end range') return phaseKind(kind).counts === 'end-range';
    const next = run.line.value!.cues[index + 1];
    return !next || next.round !== round || next.blockIndex !== blockIndex || next.side !== side;
  });
  const isAsked = computed(
    () =>
      isDue.value &&
      (run.state.value.status === 'running' || run.state.value.status === 'held') &&
      !run.state.value.discomfort.some(({ cueIndex, atMs }) => cueIndex === cue.value.index && atMs >= run.state.value.enteredMs),
  );
  watch(isAsked, (now) => {
    if (now && run.spoken.value) speak(t('numberPlease'));
  });

  return {
    isAsked,
    words: computed(() => mode.value),
    another(): void {
      mode.value = MODES[(MODES.indexOf(mode.value) + 1) % MODES.length]!;
      keepChoice('number', mode.value);
    },
  };
}
