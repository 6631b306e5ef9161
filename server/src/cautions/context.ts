import {
  blockCautions,
  blocking,
  cautionsFor,
  isAsStrict,
  measuring,
  NO_LIMITS,
  overriddenFor,
  visitCautions,
  type Caution,
  type CautionContext,
} from '@pace-bend/core/caution';
import type { Side } from '@pace-bend/core/body';
import type { BlockPlan, Shelf } from '@pace-bend/core/method';
import { cautionContextOf, openQuestions, type OpenQuestion, type Override, type Visit } from '@pace-bend/core/record';
import type { PracticeRow } from '../access/sessions.ts';
import { dayIn } from '../http/days.ts';
import { notFound, Problem } from '../http/problem.ts';
import { conditionsOf, noTouchOf } from '../athletes/conditions.ts';
import { athleteById } from '../athletes/queries.ts';
import { eventsAround } from '../events/queries.ts';
import type { Db } from '../db/pool.ts';
import { readinessOfVisit } from '../readiness/visit.ts';
import { answersOf, overridesOf } from '../safety/queries.ts';

/** What cautions need to know of a visit, read anew: the file may have changed since a screen was drawn. */
export async function cautionsOfVisit(
  db: Db,
  practice: PracticeRow,
  visit: Visit,
): Promise<{ readonly context: CautionContext; readonly overrides: readonly Override[]; readonly open: readonly OpenQuestion[] }> {
  const day = dayIn(practice.timeZone, new Date(visit.startsAt));
  const [athlete, conditions, noTouch, { next, last }, answers, overrides, readiness] = await Promise.all([
    athleteById(db, practice.id, visit.athleteId),
    conditionsOf(db, visit.athleteId),
    noTouchOf(db, visit.athleteId),
    eventsAround(db, practice.id, visit.athleteId, day),
    answersOf(db, visit.id),
    overridesOf(db, visit.id),
    readinessOfVisit(db, practice, visit),
  ]);
  // Erased since the visit was found.
  if (!athlete) throw notFound('This athlete');
  return {
    context: cautionContextOf(
      { athlete, conditions, noTouch, scope: practice.scope, nextEvent: next, lastEvent: last, answers, visit },
      day,
      readiness.limits,
    ),
    overrides,
    open: openQuestions({ answers, visit }),
  };
}

/** Refuses hands-on work while something says stop. */
export function requireNoStop(context: CautionContext): void {
  const { cautions } = visitCautions(context);
  const stops = cautions.filter((caution) => caution.level === 'stop');
  if (stops.length > 0) throw refusal('stopped', stops, 'End the visit in a referral.');
}

/** Refuses the table while nobody has asked what has to be asked before hands go on. */
export function requireAsked(open: readonly OpenQuestion[]): void {
  if (open.length === 0) return;
  const what = open.map((each) => (each === 'questions' ? 'the stop questions' : 'consent for today’s areas')).join(' and ');
  throw new Problem('not-asked-yet', `Before hands go on: ask ${what}, or say why not. Nothing was begun.`, [], { open });
}

/** Refuses to measure what cautions forbid. */
export function requireMeasurable(context: CautionContext, overrides: readonly Override[], motionId: string, side: Side): void {
  requireNoStop(context);
  const forbidden = blocking(cautionsFor(context, measuring(motionId, side)), overriddenFor(overrides, motionId, side));
  if (forbidden.length > 0) throw refusal('caution', forbidden, 'Nothing was written.');
}

/** Refuses blocks that cautions forbid, and blocks whose own limits are wider than the cautions': a stale or hand-made plan. */
export function requireAllowed(context: CautionContext, overrides: readonly Override[], blocks: readonly BlockPlan[], shelf: Shelf): void {
  requireNoStop(context);
  for (const block of blocks) {
    for (const { side, result, blocking: forbidden } of blockCautions(block, context, overrides, shelf)) {
      if (forbidden.length > 0) throw refusal('caution', forbidden, 'Take the block out, or give the reason for setting it aside.');
      const own = block.limits?.find((limits) => limits.side === side) ?? NO_LIMITS;
      if (!isAsStrict(own, result.limits))
        throw new Problem(
          'limits-changed',
          'The file or the event changed since this plan was made: open the plan, its limits are written anew.',
        );
    }
  }
}

function refusal(type: 'stopped' | 'caution', cautions: readonly Caution[], what: string): Problem {
  return new Problem(type, `${cautions.map((caution) => `${caution.because}: ${caution.reason}`).join(' ')} ${what}`, [], { cautions });
}
