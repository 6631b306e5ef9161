import type { CheckInFields, ScaleId, SorePlace } from '@pace-bend/core/readiness';

/** What has been answered so far. Nothing is preset: what nobody touched is not known. */
export type Answers = Omit<CheckInFields, 'onDate' | 'scale'>;

export const NOTHING_ANSWERED: Answers = {
  answers: {},
  hoursSlept: null,
  sore: null,
  ill: null,
  injured: null,
  travelled: null,
  training: null,
  rmssdMs: null,
};

/** Whether anything was answered at all. */
export const hasAnswer = (answers: Answers): boolean =>
  Object.keys(answers.answers).length > 0 || Object.entries(answers).some(([name, value]) => name !== 'answers' && value !== null);

/** The answers as they are sent. */
export const fieldsOf = (answers: Answers, onDate: string, scale: ScaleId): CheckInFields => ({ ...answers, onDate, scale });

const same = (a: Pick<SorePlace, 'muscle' | 'side'>, b: Pick<SorePlace, 'muscle' | 'side'>) => a.muscle === b.muscle && a.side === b.side;
const START_SCORE = 4;

/** A place that was tapped: put down with a middling score, or taken away again. */
export function toggled(sore: readonly SorePlace[], place: Pick<SorePlace, 'muscle' | 'side'>): SorePlace[] {
  return sore.some((each) => same(each, place)) ? sore.filter((each) => !same(each, place)) : [...sore, { ...place, score: START_SCORE }];
}

/** A place with another score, 0–10. */
export function scored(sore: readonly SorePlace[], place: Pick<SorePlace, 'muscle' | 'side'>, by: number): SorePlace[] {
  return sore.map((each) => (same(each, place) ? { ...each, score: Math.min(10, Math.max(0, each.score + by)) } : each));
}
