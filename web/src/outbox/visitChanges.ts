import type { Finding } from '@pace-bend/core/finding';
import type { CheckIn } from '@pace-bend/core/readiness';
import { summariseTrials } from '@pace-bend/core/measure';
import type {
  Arrival,
  HomeAnswers,
  HomeAnswersFields,
  HomeSheet,
  HomeSheetFields,
  Note,
  Override,
  Plan,
  Reading,
  ReadingFields,
  ReadinessKept,
  ReadinessSetAside,
  Referral,
  Run,
  StopAnswers,
  StoredRunEvent,
  Visit,
  VisitFile,
} from '@pace-bend/core/record';
import { later } from './athleteChanges.ts';
import type { Change } from './change.ts';

/** Who is at work: what is not sent yet is theirs. */
export interface Author {
  readonly id: string;
  readonly name: string;
}

export const visitRecord = (visitId: string) => `visit/${visitId}`;
export const readingSpot = ({ motionId, side, moment }: Pick<ReadingFields, 'motionId' | 'side' | 'moment'>) =>
  `reading/${motionId}/${side}/${moment}`;
export const findingSpot = ({ kind, subject, side, moment }: Pick<Finding, 'kind' | 'subject' | 'side' | 'moment'>) =>
  `finding/${kind}/${subject}/${side}/${moment}`;

const kindOf = (change: Change) => change.spot.split('/')[0];
const idOf = (change: Change) => change.path.split('/').at(-1)!;

function readingOf(change: Change, visitId: string, author: Author): Reading {
  const fields = change.body as unknown as ReadingFields;
  return {
    ...fields,
    id: idOf(change),
    visitId,
    takenAt: change.madeAt,
    value: fields.trials.length > 0 ? summariseTrials(fields.trials).mean : null,
    examinerId: author.id,
  };
}

/** What was typed into a field stays there when it was refused, for its author to decide; everything else that was refused never was. */
const STAYS = /^(arrival|plan|note|referral|home|home-answers)$/;

/** Whether a change is shown over what the server has: a visit that is over shows nothing that was refused. */
export function isShown(change: Change, { visit }: Pick<VisitFile, 'visit'>): boolean {
  return change.refusal === null || (STAYS.test(change.spot) && visit.finishedAt === null && visit.cancelledAt === null);
}

const NO_NOTE: Note = { text: '', edits: {}, revision: 0, signed: null, addenda: [] };
/** The note with the therapist's part as a change has it; a change from before sentences could be changed has none of those. */
function withOwn(note: Note | null, { body }: Change): Note {
  const before = note ?? NO_NOTE;
  return { ...before, text: String(body.text ?? before.text), edits: (body.edits as Note['edits'] | undefined) ?? before.edits };
}

const answersFrom = ({ homeAnswers }: VisitFile, { body }: Change): HomeAnswers => ({
  revision: homeAnswers?.revision ?? 0,
  ...(body as unknown as HomeAnswersFields),
});

/** The visit as the server has it, with what waits laid over it, in order. */
export function withWaiting(served: VisitFile, changes: readonly Change[], author: Author): VisitFile {
  return changes
    .filter((change) => isShown(change, served))
    .reduce<VisitFile>((file, change) => {
      const made = { at: change.madeAt, by: author.name };
      switch (kindOf(change)) {
        case 'arrival':
          return { ...file, visit: { ...file.visit, ...(change.body as Partial<Arrival>) } };
        case 'plan':
          return { ...file, plan: { ...file.plan, blocks: change.body.blocks as Plan['blocks'] } };
        case 'note':
          return { ...file, note: withOwn(file.note, change) };
        case 'home':
          return { ...file, home: { ...file.home, ...(change.body as unknown as HomeSheetFields) } };
        case 'home-answers':
          return { ...file, homeAnswers: answersFrom(file, change) };
        case 'reading':
          return { ...file, readings: [...file.readings, readingOf(change, file.visit.id, author)] };
        case 'finding':
          return {
            ...file,
            findings: [
              ...file.findings,
              { ...change.body, id: idOf(change), visitId: file.visit.id, foundAt: change.madeAt, foundBy: author.name } as Finding,
            ],
          };
        case 'answers':
          return { ...file, answers: [...file.answers, { id: idOf(change), ...made, notAsked: null, ...change.body } as StopAnswers] };
        case 'override':
          return { ...file, overrides: [...file.overrides, { id: idOf(change), ...made, ...change.body } as Override] };
        case 'check-in':
          return {
            ...file,
            readiness: {
              ...file.readiness,
              checkIns: [...file.readiness.checkIns, { ...change.body, id: idOf(change), ...made } as unknown as CheckIn],
            },
          };
        case 'readiness':
          // What was known is the server's to say; how it went is said at once.
          return file.readiness.kept && change.body.outcome
            ? {
                ...file,
                readiness: {
                  ...file.readiness,
                  kept: { ...file.readiness.kept, outcome: change.body.outcome as ReadinessKept['outcome'] },
                },
              }
            : file;
        case 'readiness-aside':
          return {
            ...file,
            readiness: {
              ...file.readiness,
              setAside: [...file.readiness.setAside, { id: idOf(change), ...made, ...change.body } as ReadinessSetAside],
            },
          };
        case 'referral':
          return { ...file, referral: { revision: file.referral?.revision ?? 0, ...made, ...change.body } as Referral };
        default:
          return file;
      }
    }, served);
}

const withOne = <T extends { readonly id: string }>(rows: readonly T[], row: T): T[] => [...rows.filter((each) => each.id !== row.id), row];

/** The events of a run with those that were acknowledged. */
function withEvents(events: readonly StoredRunEvent[], change: Change): StoredRunEvent[] {
  const last = events.at(-1)?.seq ?? 0;
  const sent = change.body.events as (StoredRunEvent['event'] & { readonly id: string; readonly seq: number })[];
  return [
    ...events,
    ...sent.filter(({ seq }) => seq > last).map(({ id, seq, ...event }) => ({ id, seq, event: event as StoredRunEvent['event'] })),
  ];
}

/** The visit with what the server answered to a change in it. */
export function withAnswer(served: VisitFile, change: Change, answer: unknown): VisitFile {
  switch (kindOf(change)) {
    case 'arrival':
      return { ...served, visit: later(served.visit, answer as Visit) };
    case 'plan':
      return { ...served, plan: later(served.plan, { revision: (answer as Plan).revision, blocks: change.body.blocks as Plan['blocks'] }) };
    case 'note':
      return {
        ...served,
        note: later(served.note, { ...withOwn(served.note, change), revision: (answer as { revision: number }).revision }),
      };
    case 'home':
      return { ...served, home: later(served.home, answer as HomeSheet) };
    case 'home-answers':
      return { ...served, homeAnswers: later(served.homeAnswers, answer as HomeAnswers) };
    case 'reading':
      return { ...served, readings: withOne(served.readings, answer as Reading) };
    case 'finding':
      return { ...served, findings: withOne(served.findings, answer as Finding) };
    case 'answers':
      return { ...served, answers: (answer as { answers: StopAnswers[] }).answers };
    case 'override':
      return { ...served, overrides: (answer as { overrides: Override[] }).overrides };
    case 'check-in':
      return { ...served, readiness: { ...served.readiness, checkIns: withOne(served.readiness.checkIns, answer as CheckIn) } };
    case 'readiness-aside':
      return {
        ...served,
        readiness: { ...served.readiness, setAside: (answer as { setAside: ReadinessSetAside[] }).setAside },
      };
    case 'readiness':
      return { ...served, readiness: { ...served.readiness, kept: (answer as { kept: ReadinessKept }).kept } };
    case 'referral':
      return { ...served, referral: later(served.referral, (answer as { referral: Referral }).referral) };
    case 'run':
      return { ...served, runs: withOne(served.runs, answer as Run) };
    case 'events':
      return {
        ...served,
        runs: served.runs.map((run) => (change.spot === `events/${run.id}` ? { ...run, events: withEvents(run.events, change) } : run)),
      };
    default:
      return served;
  }
}
