import { mayRead, type Role } from '@pace-bend/core/access';
import type { VisitFile } from '@pace-bend/core/record';
import type { PracticeRow } from '../access/sessions.ts';
import { dayIn } from '../http/days.ts';
import { notFound } from '../http/problem.ts';
import { conditionsOf, noTouchOf } from '../athletes/conditions.ts';
import { goalsOf } from '../athletes/goals.ts';
import { athleteById } from '../athletes/queries.ts';
import { eventsAround } from '../events/queries.ts';
import type { Db } from '../db/pool.ts';
import { findingsBefore, findingsOf } from '../findings/queries.ts';
import { homeAnswersOf, homeBefore, homeOf } from '../home/queries.ts';
import { noteOf } from '../notes/queries.ts';
import { pastBlocks } from '../done/past.ts';
import { planOf } from '../plans/queries.ts';
import { stepOfVisit } from '../comparisons/queries.ts';
import { seasonDayOf } from '../seasons/queries.ts';
import { visitReadiness } from '../readiness/visit.ts';
import { pastReadings, readingsOf } from '../measured/queries.ts';
import { runsOf } from '../done/runs.ts';
import { errorKnowledge } from '../studies/queries.ts';
import { findVisit } from '../visits/find.ts';
import { arrivalBefore, nextVisitAt, visitNumber } from '../visits/queries.ts';
import { answersOf, overridesOf, referralOf } from '../safety/queries.ts';

/**
 * Everything about one visit, for somebody in a role, from one connection: under one snapshot all of it is of the same moment. It stands
 * above the folders it is made of, and none of them knows it.
 */
export async function visitFile(db: Db, practice: PracticeRow, id: string, role: Role): Promise<VisitFile> {
  const visit = await findVisit(db, practice, id);
  const day = dayIn(practice.timeZone, new Date(visit.startsAt));
  const athlete = await athleteById(db, practice.id, visit.athleteId);
  if (!athlete) throw notFound('This visit');
  const blocks = await pastBlocks(db, visit);
  const events = await eventsAround(db, practice.id, visit.athleteId, day);
  return {
    visit,
    athlete,
    scope: practice.scope,
    nextEvent: events.next,
    lastEvent: events.last,
    conditions: await conditionsOf(db, visit.athleteId),
    noTouch: await noTouchOf(db, visit.athleteId),
    lastArrival: await arrivalBefore(db, visit.athleteId, visit.startsAt),
    answers: await answersOf(db, visit.id),
    overrides: await overridesOf(db, visit.id),
    referral: await referralOf(db, visit.id),
    nextVisitAt: await nextVisitAt(db, visit.athleteId, visit.startsAt),
    visitNumber: await visitNumber(db, visit),
    readings: await readingsOf(db, visit.id),
    past: await pastReadings(db, visit.athleteId, visit.startsAt),
    pastBlocks: blocks,
    comparison: await stepOfVisit(db, practice, visit, blocks),
    errors: await errorKnowledge(db, practice.id),
    findings: await findingsOf(db, visit.id),
    lastFindings: await findingsBefore(db, visit.athleteId, visit.startsAt),
    goals: await goalsOf(db, visit.athleteId),
    season: await seasonDayOf(db, practice, visit.athleteId, day),
    readiness: await visitReadiness(db, practice, visit),
    plan: await planOf(db, visit.id),
    runs: await runsOf(db, visit.id),
    home: await homeOf(db, visit.id),
    lastHome: await homeBefore(db, visit.athleteId, visit.startsAt),
    homeAnswers: await homeAnswersOf(db, visit.id),
    note: mayRead(role, 'visit note') ? await noteOf(db, visit.id) : null,
  };
}
