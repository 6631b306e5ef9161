import { PROBLEMS, type ProblemFacts, type ProblemType } from '@pace-bend/core/access';

/** What can go wrong before the server was asked, or in what it answered. */
const HERE = {
  'no-answer': { status: 0, title: 'No answer', means: 'later' },
  'not-readable': { status: 502, title: 'Not readable', means: 'later' },
  /** A server of another version named something this page does not know. */
  unknown: { status: 500, title: 'Error', means: 'later' },
  'unknown-refusal': { status: 400, title: 'Refused', means: 'refused' },
  'not-sent-yet': { status: 0, title: 'Not sent yet', means: 'later' },
  'refused-before': { status: 0, title: 'Refused', means: 'refused' },
  'not-read': { status: 0, title: 'Not read', means: 'refused' },
} as const satisfies Record<string, ProblemFacts>;

export type AnyProblem = ProblemType | keyof typeof HERE;

/** What is known of a kind of problem, the server's or one of this page. */
export function problemFacts(type: AnyProblem): ProblemFacts {
  return type in HERE ? HERE[type as keyof typeof HERE] : PROBLEMS[type as ProblemType];
}

/**
 * What somebody can do about it, beside what the server says; null where the server's words are all there is to say. Every type stands here:
 * one that is new does not compile without.
 */
export const WHAT_NOW: Readonly<Record<AnyProblem, string | null>> = {
  'changed-meanwhile': 'Look at what stands now, then keep yours or take it.',
  'led-elsewhere': 'Go on there, or take it over here: what was done there is kept.',
  gap: 'Something that happened before never arrived. Open the visit again: what is known is sent in order.',
  finished: 'Reopen it to add to it.',
  'not-finished': 'Finish it first.',
  'not-complete': 'Fill in what is missing, then finish.',
  cancelled: 'Book it anew, or take another visit.',
  caution: 'Leave it out, or give the reason for setting the caution aside.',
  stopped: 'End the visit in a referral.',
  'limits-changed': 'Open the plan: its limits are written anew there.',
  signed: 'Add what is missing under the signed note.',
  'not-signed': 'Change the note itself, or sign it first.',
  'not-asked-yet': 'Ask under Arrive, then go on.',
  overlaps: 'Choose another time, or book both on purpose.',
  full: null,
  taken: 'Take another name.',
  'in-use': null,
  ended: null,
  'already-set-up': 'Sign in.',
  'not-found': null,
  'not-valid': null,
  'too-long': null,
  'too-large': null,
  'too-much': null,
  'too-deep': null,
  'not-json': null,
  refused: null,
  unreadable: null,
  'not-yours': 'Ask somebody of the practice who may.',
  'not-signed-in': null,
  'somebody-else': null,
  wait: null,
  error: 'Try again; if it stays, look into the server’s log.',
  'try-again': null,
  'disk-full': null,
  'no-answer': null,
  'not-readable': 'Try again.',
  unknown: 'Load the page again: the server may be newer than it.',
  'unknown-refusal': 'Load the page again: the server may be newer than it.',
  'not-sent-yet': null,
  'refused-before': null,
  'not-read': null,
};
