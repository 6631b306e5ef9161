import { motionOf, placeWords } from '@pace-bend/core/body';
import { STOP_QUESTIONS } from '@pace-bend/core/caution';
import { formatValue } from '@pace-bend/core/measure';
import { currentReadings, raisedOf, type VisitFile } from '@pace-bend/core/record';

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
    ]
      .filter(Boolean)
      .join('\n'),
  };
}

/** Today's readings as lines; empty when nothing was measured. */
export function measuredLines(file: VisitFile): string[] {
  return currentReadings(file.readings).map((reading) => {
    const motion = motionOf(reading.motionId);
    return `${motion.name}, ${motion.testPosition}${reading.side === 'midline' ? '' : `, ${reading.side}`}: ${formatValue(reading.value!, motion.unit)} (${reading.moment} work, ${reading.instrument})`;
  });
}
