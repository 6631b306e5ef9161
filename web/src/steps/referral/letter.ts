import { motionOf, placeWords } from '@pace-bend/core/body';
import { STOP_QUESTIONS } from '@pace-bend/core/caution';
import { formatValue } from '@pace-bend/core/measure';
import { phaseKind } from '@pace-bend/core/method';
import { currentReadings, raisedOf, type VisitFile } from '@pace-bend/core/record';
import { foldRun, lineNow } from '@pace-bend/core/table';
import { t } from '../../words/referral.ts';

/** What the letter begins with: who may be right to see them, and what was said and seen, in plain words. */
export function draftLetter(file: VisitFile, refer: readonly string[]): { readonly to: string; readonly seen: string } {
  const { complaint, complaintRegion, complaintSide, complaintScore, changed } = file.visit;
  const last = file.answers.at(-1)?.answers;
  const said = raisedOf(file.answers).map(
    (id) => `${STOP_QUESTIONS.find((each) => each.id === id)!.words}${last?.[id] === 'unsure' ? ' (not sure)' : ''}.`,
  );
  const place = complaintRegion ? ` (${placeWords(complaintRegion, complaintSide)})` : '';
  return {
    to: refer[0] ? refer[0][0]!.toUpperCase() + refer[0].slice(1) : '',
    seen: [
      ...said,
      complaint ? t('complaint', { complaint, place, what: complaintScore === null ? '' : t('of10', { complaintScore }) }) : '',
      changed ? t('sinceLastTime', { changed }) : '',
      ...stoppedLines(file),
    ]
      .filter(Boolean)
      .join('\n'),
  };
}

/** Where a run was ended to refer them, and what was said there; nothing for one that was not. */
function stoppedLines(file: VisitFile): string[] {
  return file.runs.flatMap((run) => {
    const state = foldRun(
      run.line,
      run.events.map(({ event }) => event),
    );
    if (state.referredMs === null) return [];
    const line = lineNow(run.line, state);
    const cue = line.cues[Math.min(state.cueIndex, line.cues.length - 1)]!;
    const here = ({ cueIndex }: { readonly cueIndex: number }) =>
      line.cues[cueIndex]!.blockIndex === cue.blockIndex && line.cues[cueIndex]!.side === cue.side;
    const highest = Math.max(-1, ...state.discomfort.filter(here).map(({ score }) => score));
    const held = state.braces.some(here) ? t('breathHeld') : '';
    return [
      t('stoppedTableDuring', {
        name: line.blocks[cue.blockIndex]!.name,
        what: cue.side === 'midline' ? '' : `, ${cue.side}`,
        phaseKind: phaseKind(cue.kind).name,
        what2: highest < 0 ? '' : t('discomfort10', { highest }),
        held,
      }),
    ];
  });
}

/** Today's readings as lines; empty when nothing was measured. */
export function measuredLines(file: VisitFile): string[] {
  return currentReadings(file.readings).map((reading) => {
    const motion = motionOf(reading.motionId);
    return t('work', {
      name: motion.name,
      testPosition: motion.testPosition,
      what: reading.side === 'midline' ? '' : `, ${reading.side}`,
      value: formatValue(reading.value!, motion.unit),
      moment: reading.moment,
      instrument: reading.instrument,
    });
  });
}
