import type { EventPeople, EventPerson } from '@pace-bend/core/eventDay';
import { SLOW_BREATH } from '@pace-bend/core/method';
import { BLANK_FILE, type Athlete, type Visit } from '@pace-bend/core/record';
import type { PracticeRow } from '../access/sessions.ts';
import { conditionsOf, noTouchOf } from '../athletes/conditions.ts';
import { athleteById } from '../athletes/queries.ts';
import type { Db } from '../db/pool.ts';
import { eventsAround } from '../events/queries.ts';
import { dayBounds } from '../http/days.ts';
import { readinessOfPerson, readinessOfVisit } from '../readiness/visit.ts';

/** What cautions need to know of everybody on a day's start list who has a file, as the files stand now. */
export async function peopleOf(db: Db, practice: PracticeRow, athleteIds: readonly string[], onDate: string): Promise<EventPeople> {
  const people: EventPerson[] = [];
  for (const athleteId of athleteIds) {
    const person = await personOf(db, practice, athleteId, onDate);
    if (person) people.push(person);
  }
  // An id that is nobody's: what is left are the events and the season of everybody.
  const { next, last } = await eventsAround(db, practice.id, NOBODY, onDate);
  const { limits } = await readinessOfPerson(db, practice, SOMEBODY, someVisit(NOBODY, dayBounds(onDate, practice.timeZone).to));
  return { scope: practice.scope, people, guest: { nextEvent: next, lastEvent: last, limits } };
}

async function personOf(db: Db, practice: PracticeRow, athleteId: string, onDate: string): Promise<EventPerson | null> {
  const athlete = await athleteById(db, practice.id, athleteId);
  // Erased since the list was made.
  if (!athlete) return null;
  const { birthDate, medications, beighton, historyOn } = athlete;
  const { next, last } = await eventsAround(db, practice.id, athleteId, onDate);
  return {
    athleteId,
    athlete: { birthDate, medications, beighton, historyOn },
    conditions: await conditionsOf(db, athleteId),
    noTouch: await noTouchOf(db, athleteId),
    nextEvent: next,
    lastEvent: last,
    limits: (await readinessOfVisit(db, practice, someVisit(athleteId, dayBounds(onDate, practice.timeZone).to))).limits,
  };
}

const NOBODY = '00000000-0000-0000-0000-000000000000';
const SOMEBODY: Athlete = {
  ...BLANK_FILE,
  id: NOBODY,
  revision: 1,
  name: '',
  birthDate: '1990-01-01',
  referenceSex: 'none',
  about: '',
  breathPeriodMs: SLOW_BREATH.periodMs,
};

/** A visit at the end of the day that nobody booked: how somebody is that day, everything answered until then included. */
const someVisit = (athleteId: string, endOfDay: Date): Visit => ({
  id: NOBODY,
  athleteId,
  startsAt: new Date(endOfDay.getTime() - 1000).toISOString(),
  minutes: 10,
  minutesAvailable: 10,
  step: 'arrive',
  finishedAt: null,
  cancelledAt: null,
  revision: 1,
  eventDayId: null,
  complaint: '',
  complaintRegion: null,
  complaintSide: null,
  complaintScore: null,
  changed: '',
  trainingSince: '',
  trainingNext: '',
  consent: null,
  consentWord: '',
  lookFirst: '',
});
