import type { CautionContext, QuestionId } from '../caution/index.ts';
import { daysBetween, regionsOfAreas } from '../caution/index.ts';
import type { StopAnswers, VisitFile } from './visit.ts';

/** The questions answered with yes or not sure in the answers that stand: the last ones given. */
export function raisedOf(answers: readonly StopAnswers[]): QuestionId[] {
  return Object.entries(answers.at(-1)?.answers ?? {}).filter(([, answer]) => answer !== 'no').map(([id]) => id as QuestionId);
}

/** Everything cautions need to know of a visit, on its own day (`YYYY-MM-DD`). */
export function cautionContextOf(
  file: Pick<VisitFile, 'athlete' | 'conditions' | 'noTouch' | 'scope' | 'nextEvent' | 'lastEvent' | 'answers'> & { readonly visit: Pick<VisitFile['visit'], 'consent'> },
  onDay: string,
): CautionContext {
  const { birthDate, medications, beighton } = file.athlete;
  return {
    subject: { birthDate, medications, beighton, conditions: file.conditions, noTouch: file.noTouch, historyTaken: file.athlete.historyOn !== null },
    onDay,
    scope: file.scope,
    daysToEvent: file.nextEvent ? daysBetween(onDay, file.nextEvent.onDate) : null,
    daysSinceEvent: file.lastEvent ? daysBetween(file.lastEvent.onDate, onDay) : null,
    raised: raisedOf(file.answers),
    consent: file.visit.consent === null ? null : regionsOfAreas(file.visit.consent),
  };
}
