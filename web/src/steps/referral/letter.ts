import { motionOf, placeWords } from '@pace-bend/core/body';
import { STOP_QUESTIONS } from '@pace-bend/core/caution';
import { formatValue } from '@pace-bend/core/measure';
import { phaseKind } from '@pace-bend/core/method';
import { currentReadings, raisedOf, type VisitFile } from '@pace-bend/core/record';
import { foldRun, lineNow } from '@pace-bend/core/table';

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
      complaint ? `Complaint: ${complaint}${place}${complaintScore === null ? '' : `, ${complaintScore} of 10`}.` : '',
      changed ? `Since last time: ${changed}.` : '',
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
    const held = state.braces.some(here) ? ', breath held' : '';
    return [
      `Stopped at the table during ${line.blocks[cue.blockIndex]!.name}${cue.side === 'midline' ? '' : `, ${cue.side}`} (${phaseKind(cue.kind).name})${highest < 0 ? '' : `, discomfort ${highest} of 10`}${held}.`,
    ];
  });
}

/** Today's readings as lines; empty when nothing was measured. */
export function measuredLines(file: VisitFile): string[] {
  return currentReadings(file.readings).map((reading) => {
    const motion = motionOf(reading.motionId);
    return `${motion.name}, ${motion.testPosition}${reading.side === 'midline' ? '' : `, ${reading.side}`}: ${formatValue(reading.value!, motion.unit)} (${reading.moment} work, ${reading.instrument})`;
  });
}
