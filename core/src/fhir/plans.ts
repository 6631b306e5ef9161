import type { CarePlan, Goal as FhirGoal } from 'fhir/r4';
import { motionOf } from '../body/index.ts';
import { HOME_DONE, type Goal, type PastHome } from '../record/index.ts';
import { coded, quantity } from './codes.ts';
import { derivedId, urn } from './ids.ts';

/** A value an athlete works toward, as a goal with its target (gol-1: a target says what is measured). */
export function goalOf(goal: Goal, athleteId: string, dayOf: (instant: string) => string): FhirGoal {
  const { id, motionId, side, value, byDate, why, whyWords, setAt } = goal;
  const { name, unit } = motionOf(motionId);
  return {
    resourceType: 'Goal',
    id,
    lifecycleStatus: 'active',
    description: { text: [side === 'midline' ? name : `${name}, ${side}`, why ?? '', whyWords].filter((each) => each !== '').join(': ') },
    subject: { reference: urn(athleteId) },
    startDate: dayOf(setAt),
    target: [
      {
        measure: coded('motion', motionId, name),
        detailQuantity: quantity(value, unit),
        ...(byDate === null ? {} : { dueDate: byDate }),
      },
    ],
  };
}

/** The goals of an athlete under one plan; null without any. */
export function goalPlanOf(goals: readonly Goal[], athleteId: string): CarePlan | null {
  if (goals.length === 0) return null;
  return {
    resourceType: 'CarePlan',
    id: derivedId('goals', athleteId),
    status: 'active',
    intent: 'plan',
    title: 'Range worked toward',
    subject: { reference: urn(athleteId) },
    goal: goals.map(({ id }) => ({ reference: urn(id) })),
  };
}

/** A sheet for home as a plan whose activities are its exercises, each with how often, how long and when to stop. `today` says whether it is over. */
export function homePlanOf({ sheet, asked }: PastHome, athleteId: string, dayOf: (instant: string) => string, today: string): CarePlan {
  const over = sheet.until < today;
  return {
    resourceType: 'CarePlan',
    id: derivedId('home', sheet.visitId),
    status: over ? 'completed' : 'active',
    intent: 'plan',
    title: 'Home work',
    subject: { reference: urn(athleteId) },
    encounter: { reference: urn(sheet.visitId) },
    period: { start: dayOf(sheet.startsAt), end: sheet.until },
    activity: sheet.items.map((item) => {
      const done = HOME_DONE.find(({ id }) => id === asked?.answers[item.id]);
      const times = item.sides.map(
        ({ side, times: n }) => `${side === 'midline' ? '' : `${side} `}${n} ${item.breaths ? 'breaths' : 'times'}`,
      );
      const sentences = [
        `${times.join(', ')}${item.seconds === null ? '' : `, ${item.seconds} s each`}, ${item.sets} ${item.sets === 1 ? 'set' : 'sets'}`,
        item.when,
        item.how,
        item.stop === '' ? '' : `Stop when ${item.stop}`,
      ];
      return {
        ...(done ? { progress: [{ time: asked!.startsAt, text: `Done ${done.words}, as they say.` }] } : {}),
        detail: {
          code: coded('entry', item.entryId, item.name),
          status: over ? 'unknown' : 'in-progress',
          scheduledTiming: { repeat: { frequency: item.perDay, period: 1, periodUnit: 'd' } },
          description: sentences.filter((each) => each !== '').join('. '),
        },
      };
    }),
    ...(sheet.words === '' ? {} : { note: [{ text: sheet.words }] }),
  };
}
