import type { CautionContext, ConsentArea, DayLimit, PracticeScope, QuestionId } from '../caution/index.ts';
import { BUILT_IN, type BlockPlan, type Protocol, type Shelf } from '../method/index.ts';
import { cautionContextOf, LIMITS, type Athlete, type CalendarEvent, type Condition, type NoTouchArea } from '../record/index.ts';
import type { ReferralFields } from '../record/index.ts';
import { KIND_WORDS } from './rules.ts';
import type { DayEvent, EventDaySetUp, Wish } from './types.ts';

/** Somebody who was a name only, as they come on file: the least that is needed, and only if they agreed to it. */
export interface EventGuest {
  readonly athleteId: string;
  readonly name: string;
  /** `YYYY-MM-DD`. */
  readonly birthDate: string;
  /** What they said that matters for hands on them; empty for nothing. */
  readonly about: string;
  readonly agreed: true;
}

/** What is written down of one wish, half a minute's work: it becomes a visit. Ids are made where it is written. */
export interface EventRecord {
  readonly visitId: string;
  readonly answersId: string;
  /** Null where no hand was laid on. */
  readonly runId: string | null;
  /** The event that tells the other devices. */
  readonly event: Pick<DayEvent, 'id' | 'at' | 'after'>;
  /** Null where the wish is an athlete's. */
  readonly guest: EventGuest | null;
  /** Instant it began, ISO 8601 in UTC, and whole minutes. */
  readonly startsAt: string;
  readonly minutes: number;
  readonly answers: Readonly<Partial<Record<QuestionId, 'no' | 'yes' | 'unsure'>>>;
  readonly consent: readonly ConsentArea[];
  /** The sequence it began with, or null; and what was done of it. */
  readonly protocolId: string | null;
  readonly blocks: readonly BlockPlan[];
  readonly words: string;
  /** What they have not had here before they know from elsewhere, as they say: “nothing new” holds nothing back of it. */
  readonly knowsWork: boolean;
  /** Where somebody was sent on instead of treated. */
  readonly referral: ReferralFields | null;
}

/** What cautions need to know of somebody on the start list, on the day. */
export interface EventPerson {
  readonly athleteId: string;
  readonly athlete: Pick<Athlete, 'birthDate' | 'medications' | 'beighton' | 'historyOn'>;
  readonly conditions: readonly Condition[];
  readonly noTouch: readonly NoTouchArea[];
  readonly nextEvent: CalendarEvent | null;
  readonly lastEvent: CalendarEvent | null;
  /** What readiness and the season hold back. */
  readonly limits: readonly DayLimit[];
}

/** Everybody on the start list who has a file. */
export interface EventPeople {
  readonly scope: PracticeScope;
  readonly people: readonly EventPerson[];
  /** What holds for whoever has no file: the events and the season of everybody. */
  readonly guest: Pick<EventPerson, 'nextEvent' | 'lastEvent' | 'limits'>;
}

/** The word by which work that is new here is set aside. */
export const KNOWS_WORK = 'They know this work, they say.';

/** What was answered and said before hands go on. */
export interface SaidBefore {
  readonly raised?: readonly QuestionId[];
  readonly asked?: boolean;
  readonly knowsWork?: boolean;
  /** Of whoever has no file yet; an adult while nobody said. */
  readonly birthDate?: string;
}

/** What cautions need of a person on the day; `person` is null for a guest, of whom nothing is known but the age. */
export function contextOnDay(
  person: EventPerson | null,
  { scope, guest }: Pick<EventPeople, 'scope' | 'guest'>,
  onDate: string,
  { raised = [], asked = false, knowsWork = false, birthDate = '' }: SaidBefore = {},
): CautionContext {
  const known = person ?? {
    ...guest,
    athlete: {
      birthDate: birthDate !== '' && birthDate <= onDate ? birthDate : '1990-01-01',
      medications: [],
      beighton: null,
      historyOn: null,
    },
    conditions: [],
    noTouch: [],
  };
  const context = cautionContextOf(
    { ...known, athlete: known.athlete as Athlete, scope, answers: [], visit: { consent: null } },
    onDate,
    known.limits.filter(({ onlyNew }) => !knowsWork || onlyNew === undefined),
  );
  return { ...context, raised, questions: asked ? 'answered' : 'open' };
}

/** Minutes a record says: what it took, within what a visit may. */
export const recordMinutes = (beganAt: string, endedAt: string): number =>
  Math.min(LIMITS.visitMinutes.max, Math.max(LIMITS.visitMinutes.min, Math.round((Date.parse(endedAt) - Date.parse(beganAt)) / 60_000)));

/**
 * What was done of a sequence, in words: as it is, or what was left out and what was done on one side only.
 */
export function howDone(protocol: Pick<Protocol, 'steps'>, blocks: readonly BlockPlan[], shelf: Shelf = BUILT_IN): string {
  const nameOf = (entryId: string) => shelf.entries.get(entryId)?.name ?? entryId;
  const rest = [...blocks];
  const changes: string[] = [];
  for (const step of protocol.steps) {
    const at = rest.findIndex((block) => block.entryId === step.entryId && block.methodId === step.methodId);
    const done = at < 0 ? null : rest.splice(at, 1)[0]!;
    if (!done) changes.push(`without ${nameOf(step.entryId)}`);
    else if (done.sides.length < step.sides.length)
      changes.push(`${nameOf(step.entryId)} ${done.sides.map(({ side }) => side).join(' and ')} only`);
  }
  if (blocks.length === 0) return 'nothing of it';
  for (const block of rest) changes.push(`with ${nameOf(block.entryId)}`);
  return changes.length === 0 ? 'as it is' : changes.join(', ');
}

/** The words a record leaves in the note of its visit. */
export function recordNote(
  setUp: Pick<EventDaySetUp, 'title' | 'races'>,
  wish: Pick<Wish, 'kind' | 'raceId' | 'nextRaceId'>,
  record: Pick<EventRecord, 'blocks' | 'words' | 'referral' | 'guest'>,
  protocol: Pick<Protocol, 'name' | 'steps'> | null,
  shelf: Shelf = BUILT_IN,
): string {
  const race = setUp.races.find(({ id }) => id === (wish.nextRaceId ?? wish.raceId))?.name;
  const lines = [`Event work, ${setUp.title}: ${KIND_WORDS[wish.kind]}${race ? `, ${race}` : ''}.`];
  if (record.referral) lines.push('No hands on: sent on.');
  else if (record.blocks.length === 0) lines.push('No technique was written down.');
  else if (protocol) lines.push(`${protocol.name}: ${howDone(protocol, record.blocks, shelf)}.`);
  if (record.blocks.length > 0) lines.push('Written down afterwards: the dose is as planned, it was not counted at the table.');
  if (record.guest) lines.push('A guest. They agreed to being on file.');
  if (record.words.trim() !== '') lines.push(record.words.trim());
  return lines.join('\n');
}

/** Which wishes are still to be written down: those that are done, the oldest first. */
export const toWriteDown = <S extends { readonly status: string; readonly since: string | null; readonly visitId: string | null }>(
  wishes: readonly S[],
): S[] =>
  wishes
    .filter(({ status, visitId }) => status === 'done' && visitId === null)
    .sort((a, b) => (a.since ?? '').localeCompare(b.since ?? ''));
