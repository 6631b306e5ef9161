import { v7 as uuid } from 'uuid';
import type { Finding, FindingContent } from '@pace-bend/core/finding';
import type { BlockPlan } from '@pace-bend/core/method';
import type { CheckInFields } from '@pace-bend/core/readiness';
import type {
  Arrival,
  HomeAnswersFields,
  HomeSheetFields,
  Note,
  Override,
  ReadingFields,
  ReadinessOutcome,
  ReadinessSetAside,
  Referral,
  StopAnswers,
  VisitFile,
} from '@pace-bend/core/record';
import type { ChangeDraft } from './change.ts';
import { findingSpot, readingSpot } from './visitChanges.ts';
import { t } from '../words/outbox.ts';

/** A change of a visit before it has an id of its own and a record to belong to. */
export type VisitDraft = Omit<ChangeDraft, 'id' | 'record'>;

/** The visit as the server said it last, and as it is shown with what waits laid over it. */
export interface VisitNow {
  readonly served: VisitFile;
  readonly shown: VisitFile;
}

const pathOf = ({ served }: VisitNow) => `/visits/${served.visit.id}`;
/** What collides with a later change is compared field by field with what was shown when it was typed. */
const fieldsOf = (now: VisitNow, of: string, base: number) =>
  ({ join: 'fields', revision: { of: `${of}/${now.served.visit.id}`, base } }) as const;

/** Answers at arrival, those given only. */
export function arrivalDraft(now: VisitNow, fields: Partial<Arrival>): VisitDraft {
  const before = Object.fromEntries(Object.keys(fields).map((name) => [name, now.shown.visit[name as keyof Arrival]]));
  return {
    spot: 'arrival',
    words: t('answersArrival'),
    method: 'PATCH',
    path: pathOf(now),
    body: fields,
    before,
    ...fieldsOf(now, 'visit', now.served.visit.revision),
  };
}

export function planDraft(now: VisitNow, blocks: readonly BlockPlan[]): VisitDraft {
  return {
    spot: 'plan',
    words: t('thePlan'),
    method: 'PUT',
    path: `${pathOf(now)}/plan`,
    body: { blocks },
    before: { blocks: now.shown.plan.blocks },
    ...fieldsOf(now, 'plan', now.served.plan.revision),
  };
}

export function noteDraft(now: VisitNow, own: Partial<Pick<Note, 'text' | 'edits'>>): VisitDraft {
  const { text = '', edits = {} } = now.shown.note ?? {};
  return {
    spot: 'note',
    words: t('theNote'),
    method: 'PUT',
    path: `${pathOf(now)}/note`,
    body: { text, edits, ...own },
    before: { text, edits },
    ...fieldsOf(now, 'note', now.served.note?.revision ?? 0),
  };
}

/** What goes home from the visit, as a whole. */
export function homeDraft(now: VisitNow, sheet: Partial<HomeSheetFields>): VisitDraft {
  const { items, until, words } = now.shown.home;
  return {
    spot: 'home',
    words: t('sheetHome'),
    method: 'PUT',
    path: `${pathOf(now)}/home`,
    body: { items, until, words, ...sheet },
    before: { items, until, words },
    ...fieldsOf(now, 'home', now.served.home.revision),
  };
}

/** What is answered about the sheet that was given last. */
export function homeAnswersDraft(now: VisitNow, { sheetOf, answers }: HomeAnswersFields): VisitDraft {
  return {
    spot: 'home-answers',
    words: t('answersAboutHomeWork'),
    method: 'PUT',
    path: `${pathOf(now)}/home-answers`,
    body: { sheetOf, answers },
    before: { sheetOf, answers: now.shown.homeAnswers?.answers ?? {} },
    ...fieldsOf(now, 'home-answers', now.served.homeAnswers?.revision ?? 0),
  };
}

export function referralDraft(now: VisitNow, fields: Pick<Referral, 'to' | 'seen'>): VisitDraft {
  const { referral } = now.shown;
  return {
    spot: 'referral',
    words: t('theReferral'),
    method: 'PUT',
    path: `${pathOf(now)}/referral`,
    body: fields,
    before: { to: referral?.to ?? null, seen: referral?.seen ?? null },
    ...fieldsOf(now, 'referral', now.served.referral?.revision ?? 0),
  };
}

/** A reading of its own, or one in place of the one it corrects. */
export function readingDraft(now: VisitNow, fields: Omit<ReadingFields, 'supersedes'>, corrects: string | null): VisitDraft {
  return {
    spot: readingSpot(fields),
    words: 'readings',
    method: 'PUT',
    path: `${pathOf(now)}/readings/${uuid()}`,
    body: { ...fields, supersedes: corrects },
    join: 'replace',
    revision: null,
  };
}

/** Something found, or in place of what it corrects; with no data that is withdrawn. */
export function findingDraft(now: VisitNow, content: FindingContent, moment: Finding['moment'], corrects: string | null): VisitDraft {
  return {
    spot: findingSpot({ ...content, moment }),
    words: 'findings',
    method: 'PUT',
    path: `${pathOf(now)}/findings/${uuid()}`,
    body: { ...content, moment, supersedes: corrects },
    join: 'replace',
    revision: null,
  };
}

/** A row of its own that nothing takes the place of. */
function once(now: VisitNow, kind: string, folder: string, words: string, body: VisitDraft['body']): VisitDraft {
  const id = uuid();
  return { spot: `${kind}/${id}`, words, method: 'PUT', path: `${pathOf(now)}/${folder}/${id}`, body, join: 'none', revision: null };
}

export const answersDraft = (now: VisitNow, body: { readonly answers: StopAnswers['answers']; readonly notAsked?: string }): VisitDraft =>
  once(now, 'answers', 'answers', t('answersStopQuestions'), body);

/** A limit of the day that is set aside, with the word why. */
export const asideDraft = (now: VisitNow, body: Pick<ReadinessSetAside, 'limitId' | 'reason'>): VisitDraft =>
  once(now, 'readiness-aside', 'readiness-aside', t('limitSetAside'), body);

/** What is known of the day is taken in, or how it went is said. */
export const keepDraft = (now: VisitNow, outcome: ReadinessOutcome | null): VisitDraft => ({
  spot: 'readiness',
  words: t('readinessDay'),
  method: 'PUT',
  path: `${pathOf(now)}/readiness`,
  body: { outcome },
  join: 'replace',
  revision: null,
});

/** Today's answers, entered by whoever is at the table; those that stand are corrected by them. */
export function checkInDraft(now: VisitNow, fields: CheckInFields, corrects: string | null): VisitDraft {
  return {
    spot: `check-in/${fields.onDate}`,
    words: t('todaysAnswers'),
    method: 'PUT',
    path: `/athletes/${now.served.visit.athleteId}/check-ins/${uuid()}`,
    body: { ...fields, supersedes: corrects },
    join: 'replace',
    revision: null,
  };
}

export const overrideDraft = (now: VisitNow, body: Pick<Override, 'ruleId' | 'ground' | 'motionId' | 'side' | 'reason'>): VisitDraft =>
  once(now, 'override', 'overrides', t('aReason'), body);
