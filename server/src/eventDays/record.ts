import { foldDay, KNOWS_WORK, recordNote, type DayEvent, type EventRecord, type Wish } from '@pace-bend/core/eventDay';
import { SLOW_BREATH, findProtocol, protocolsOf } from '@pace-bend/core/method';
import { BLANK_FILE, checkBirthDate, lineOfRun } from '@pace-bend/core/record';
import { walkThrough } from '@pace-bend/core/table';
import { v5 as uuidFrom } from 'uuid';
import type { PracticeRow } from '../access/sessions.ts';
import { athleteById, insertAthlete } from '../athletes/queries.ts';
import { requireSoundBlocks } from '../blocks/check.ts';
import { requireRoom, requireRoomInVisit } from '../blocks/room.ts';
import { cautionsOfVisit, requireAllowed, requireAsked, requireNoStop } from '../cautions/context.ts';
import { firstRow, type Db } from '../db/pool.ts';
import { insertRun, insertRunEvents } from '../done/runs.ts';
import { keepDone } from '../done/treated.ts';
import { dayIn } from '../http/days.ts';
import { invalid, Problem } from '../http/problem.ts';
import { writeNote } from '../notes/queries.ts';
import { replacePlan } from '../plans/queries.ts';
import { insertAside, readinessOfVisit } from '../readiness/visit.ts';
import { insertAnswers, writeReferral } from '../safety/queries.ts';
import { itemsOf, shelfFor } from '../shelf/queries.ts';
import { findVisit } from '../visits/find.ts';
import { insertVisit, lockBookings, markEventWork, setFinished, setStep, updateVisit, visitById } from '../visits/queries.ts';
import { dayEvents, insertDayEvents, type KeptEventDay } from './queries.ts';

/** Who writes it down. */
export interface Writer {
  readonly practice: PracticeRow;
  readonly accountId: string;
  readonly name: string;
}

/**
 * Writes down what was done for a wish, as a finished visit: answers, consent, plan, a run that went as planned, the note; for a guest their
 * file as well. All of it inside the caller's transaction, which holds the day: one wish is one visit, whoever writes it first. Returns the
 * event that tells the others; the same request again, after its answer was lost, gets the one that stands.
 */
export async function writeRecord(
  db: Db,
  day: KeptEventDay,
  wishId: string,
  record: EventRecord,
  writer: Writer,
  now: Date,
): Promise<DayEvent> {
  const { practice, name } = writer;
  const { events } = await dayEvents(db, day.id);
  const state = foldDay(day.setUp, events);
  const wish = state.wishes.find((each) => each.wish.id === wishId);
  if (!wish)
    throw new Problem('not-found', 'This wish is not on the day. It may have been taken off; what was said before it is sent first.');
  if (wish.visitId !== null) {
    const stands = events.find(({ body }) => body.kind === 'recorded' && body.wishId === wishId && body.visitId === wish.visitId)!;
    if (wish.visitId === record.visitId) return stands;
    throw new Problem('in-use', `${stands.by} has written this down already. It is in the file; what is to be added goes there.`);
  }
  const athleteId = await athleteOf(
    db,
    state.starters.find(({ id }) => id === wish.wish.starterId)?.athleteId ?? null,
    record,
    practice,
    now,
  );
  // A visit of its own: it takes nobody's time in the practice's rooms.
  await lockBookings(db, practice.id);
  if (await firstRow(db, 'SELECT id FROM visit WHERE id = ?', [record.visitId])) throw taken('visitId');
  const shift = day.setUp.shifts.find(({ id }) => id === wish.shiftId);
  const hands = shift?.therapistId ?? writer.accountId;
  await insertVisit(db, record.visitId, { athleteId, startsAt: record.startsAt, minutes: record.minutes }, hands);
  await markEventWork(db, record.visitId, day.id, wishId);
  await insertAnswers(db, record.visitId, record.answersId, { answers: record.answers, notAsked: null }, now, name);
  await updateVisit(db, record.visitId, 1, {
    consent: record.consent,
    complaint: wish.wish.reasons.includes('complaint') ? 'Complaint, by the start list' : '',
  });
  if (record.referral) await writeReferral(db, record.visitId, 0, record.referral, now, name);
  await writeWork(db, record, writer, hands, now);
  await writeNoteOf(db, day, wish.wish, record, practice);
  await setStep(db, record.visitId, 'close');
  const { revision } = (await visitById(db, practice.id, record.visitId))!;
  await setFinished(db, record.visitId, revision, now);
  const event = { ...record.event, body: { kind: 'recorded' as const, wishId, visitId: record.visitId, athleteId } };
  await insertDayEvents(db, day.id, [event], name);
  return { ...event, by: name };
}

const taken = (path: string) => invalid([{ path, message: 'This id belongs to something else.' }]);

/** The athlete it is of: the one on the start list, or a guest, who comes on file now. */
async function athleteOf(db: Db, known: string | null, { guest }: EventRecord, practice: PracticeRow, now: Date): Promise<string> {
  if (known !== null) {
    // Somebody made the file meanwhile, for another wish of theirs: one person has one file.
    if (!(await athleteById(db, practice.id, known))) throw new Problem('not-found', 'This athlete is no longer on file.');
    return known;
  }
  if (!guest) throw invalid([{ path: 'guest', message: 'Nobody on file: say who they are.' }]);
  const wrong = checkBirthDate(guest.birthDate, dayIn(practice.timeZone, now));
  if (wrong) throw invalid([{ path: 'guest.birthDate', message: wrong }]);
  if (await firstRow(db, 'SELECT id FROM athlete WHERE id = ?', [guest.athleteId])) throw taken('guest.athleteId');
  await insertAthlete(db, practice.id, guest.athleteId, {
    ...BLANK_FILE,
    name: guest.name,
    birthDate: guest.birthDate,
    referenceSex: 'none',
    about: guest.about,
    breathPeriodMs: SLOW_BREATH.periodMs,
  });
  return guest.athleteId;
}

/** What was done, as a plan and a run of it by the real clock; refused where a caution forbids it. */
async function writeWork(db: Db, record: EventRecord, { practice, name }: Writer, hands: string, now: Date): Promise<void> {
  const visit = await findVisit(db, practice, record.visitId);
  if (record.knowsWork)
    for (const { id, onlyNew } of (await readinessOfVisit(db, practice, visit)).limits)
      if (onlyNew) await insertAside(db, visit.id, uuidFrom(id, visit.id), { limitId: id, reason: KNOWS_WORK }, now, name);
  const { context, overrides, open } = await cautionsOfVisit(db, practice, visit);
  if (record.referral) {
    if (record.blocks.length > 0) throw invalid([{ path: 'blocks', message: 'Whoever is sent on is not worked on.' }]);
    return;
  }
  requireNoStop(context);
  requireAsked(open);
  if (record.blocks.length === 0) return;
  if (record.runId === null) throw invalid([{ path: 'runId', message: 'What was done has an id.' }]);
  const shelf = await shelfFor(db, practice.id, record.blocks);
  requireSoundBlocks(record.blocks, shelf);
  requireAllowed(context, overrides, record.blocks, shelf);
  const fields = { visitId: record.visitId, blocks: record.blocks, breath: SLOW_BREATH, edges: [], clockRate: 1 };
  const line = lineOfRun(fields, shelf);
  const text = JSON.stringify(line);
  requireRoom(line, text);
  await requireRoomInVisit(db, record.visitId, text.length);
  await replacePlan(db, record.visitId, 0, record.blocks);
  await insertRun(db, record.runId, fields, text, new Date(record.startsAt), hands);
  const ran = walkThrough(line).map((event, i) => ({ ...event, seq: i + 1, id: uuidFrom(String(i + 1), record.runId!) }));
  await insertRunEvents(db, record.runId, ran);
  await keepDone(db, record.runId);
}

async function writeNoteOf(db: Db, { setUp }: KeptEventDay, wish: Wish, record: EventRecord, practice: PracticeRow): Promise<void> {
  const items = await itemsOf(db, practice.id);
  const { protocolId } = record;
  const protocol =
    protocolId === null ? null : (findProtocol(protocolId) ?? protocolsOf(items).find(({ id }) => id === protocolId) ?? null);
  const text = recordNote(setUp, wish, record, protocol, await shelfFor(db, practice.id, record.blocks));
  await writeNote(db, record.visitId, 0, { text, edits: {} });
}

/** Whoever is on file of a day's start list, wishes that were added included. */
export const athletesOf = (day: KeptEventDay, events: readonly DayEvent[]): string[] => [
  ...new Set(foldDay(day.setUp, events).starters.flatMap(({ athleteId }) => (athleteId ? [athleteId] : []))),
];
