import type { CautionContext, DayLimit, QuestionId } from '../caution/index.ts';
import { daysBetween, regionsOfAreas } from '../caution/index.ts';
import type { Arrival, StopAnswers, VisitFile } from './visit.ts';

/** The questions answered with yes or not sure in the answers that stand: the last ones given. A word why nobody asked takes no answer back. */
export function raisedOf(answers: readonly StopAnswers[]): QuestionId[] {
  return Object.entries(answers.findLast((each) => each.notAsked === null)?.answers ?? {})
    .filter(([, answer]) => answer !== 'no')
    .map(([id]) => id as QuestionId);
}

/** Whether the stop-and-refer questions were answered today, set aside with a word, or are still open. */
export function questionsOf(answers: readonly Pick<StopAnswers, 'notAsked'>[]): CautionContext['questions'] {
  if (answers.some((each) => each.notAsked === null)) return 'answered';
  return answers.length > 0 ? 'set-aside' : 'open';
}

/** What has to be asked, or set aside with a word, before hands go on. */
export type OpenQuestion = 'questions' | 'consent';

/**
 * What nobody has asked yet at a visit; empty when the table may be entered.
 * @example openQuestions({ answers: [], visit: { consent: null, consentWord: 'asked last week' } }) // → ['questions']
 */
export function openQuestions({
  answers,
  visit,
}: {
  readonly answers: readonly Pick<StopAnswers, 'notAsked'>[];
  readonly visit: Pick<Arrival, 'consent' | 'consentWord'>;
}): OpenQuestion[] {
  return [
    ...(questionsOf(answers) === 'open' ? ['questions' as const] : []),
    ...(visit.consent === null && visit.consentWord === '' ? ['consent' as const] : []),
  ];
}

/** Everything cautions need to know of a visit, on its own day (`YYYY-MM-DD`). */
export function cautionContextOf(
  file: Pick<VisitFile, 'athlete' | 'conditions' | 'noTouch' | 'scope' | 'nextEvent' | 'lastEvent' | 'answers'> & {
    readonly visit: Pick<VisitFile['visit'], 'consent'>;
  },
  onDay: string,
  /** What readiness holds back that day. */
  today: readonly DayLimit[] = [],
): CautionContext {
  const { birthDate, medications, beighton } = file.athlete;
  return {
    subject: {
      birthDate,
      medications,
      beighton,
      conditions: file.conditions,
      noTouch: file.noTouch,
      historyTaken: file.athlete.historyOn !== null,
    },
    onDay,
    scope: file.scope,
    daysToEvent: file.nextEvent ? daysBetween(onDay, file.nextEvent.onDate) : null,
    daysSinceEvent: file.lastEvent ? daysBetween(file.lastEvent.onDate, onDay) : null,
    raised: raisedOf(file.answers),
    questions: questionsOf(file.answers),
    consent: file.visit.consent === null ? null : regionsOfAreas(file.visit.consent),
    today,
  };
}
