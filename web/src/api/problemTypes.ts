import { PROBLEMS, type ProblemFacts, type ProblemType } from '@pace-bend/core/access';
import { t } from '../words/opening.ts';

/** What can go wrong before the server was asked, or in what it answered. Read before a language is chosen, so said when it is asked for. */
const here = () =>
  ({
    'no-answer': { status: 0, title: t('noAnswer'), means: 'later' },
    'not-readable': { status: 502, title: t('notReadable'), means: 'later' },
    /** A server of another version named something this page does not know. */
    unknown: { status: 500, title: t('error'), means: 'later' },
    'unknown-refusal': { status: 400, title: t('refused'), means: 'refused' },
    'not-sent-yet': { status: 0, title: t('notSentYet'), means: 'later' },
    'refused-before': { status: 0, title: t('refused'), means: 'refused' },
    'not-read': { status: 0, title: t('notRead'), means: 'refused' },
  }) as const satisfies Record<string, ProblemFacts>;

export type AnyProblem = ProblemType | keyof ReturnType<typeof here>;

/** What is known of a kind of problem, the server's or one of this page. */
export function problemFacts(type: AnyProblem): ProblemFacts {
  const known: Readonly<Record<string, ProblemFacts>> = here();
  return known[type] ?? PROBLEMS[type as ProblemType];
}

/**
 * What somebody can do about it, beside what the server says; null where the server's words are all there is to say. Every type stands here:
 * one that is new does not compile without.
 */
export const whatNow = (type: AnyProblem): string | null => WHAT_NOW[type]?.() ?? null;
const WHAT_NOW: Readonly<Record<AnyProblem, (() => string) | null>> = {
  'changed-meanwhile': () => t('lookWhatStandsNow'),
  'led-elsewhere': () => t('goThereTakeOver'),
  gap: () => t('somethingHappenedBeforeNever'),
  finished: () => t('reopenAdd'),
  'not-finished': () => t('finishFirst'),
  'not-complete': () => t('fillWhatMissingThen'),
  cancelled: () => t('bookAnewTakeAnother'),
  caution: () => t('leaveOutGiveReason'),
  stopped: () => t('endVisitReferral'),
  'limits-changed': () => t('openPlanLimitsWritten'),
  signed: () => t('addWhatMissingUnder'),
  'not-signed': () => t('changeNoteItselfSign'),
  'not-asked-yet': () => t('askUnderArriveThen'),
  overlaps: () => t('chooseAnotherTimeBook'),
  full: null,
  taken: () => t('takeAnotherName'),
  'in-use': null,
  ended: null,
  'already-set-up': () => t('signIn2'),
  'not-found': null,
  'not-valid': null,
  'too-long': null,
  'too-large': null,
  'too-much': null,
  'too-deep': null,
  'not-json': null,
  refused: null,
  unreadable: null,
  'not-yours': () => t('askSomebodyPracticeWho'),
  'not-signed-in': null,
  'somebody-else': null,
  wait: null,
  error: () => t('tryAgainIfStays'),
  'try-again': null,
  'disk-full': null,
  'no-answer': null,
  'not-readable': () => t('tryAgain'),
  unknown: () => t('loadPageAgainServer'),
  'unknown-refusal': () => t('loadPageAgainServer'),
  'not-sent-yet': null,
  'refused-before': null,
  'not-read': null,
};
