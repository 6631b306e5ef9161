import { motionOf } from '../body/index.ts';
import { valuedVisits, type Valued } from './valued.ts';
import type { FillProblem, FillSolution, Placed } from './types.ts';
import type { WeekPerson, WeekPlan } from './week.ts';

const COUNTS = ['first', 'second', 'third'] as const;
/** "second visit", as a cell says it. */
export const nthWords = (nth: number): string => `${COUNTS[nth] ?? `${nth + 1}th`} visit`;

/** What a person's work goes after, or why they come: a line for a cell. */
export function aboutWords({ reasons, brings }: WeekPerson): string {
  const first = reasons[0];
  if (first && (first.kind !== 'unmeasured' || !brings)) return first.short ?? first.words;
  if (brings) return `${motionOf(brings.motionId).name}${brings.side === 'midline' ? '' : ` ${brings.side}`}, short of its goal`;
  return first?.words ?? 'no motion short of its goal';
}

/** What stands in a cell: what the visit is for. */
export function visitWords(person: WeekPerson, { kind, nth }: Pick<Valued, 'kind' | 'nth'>): string {
  if (kind === 'keep') return nth === 0 && person.must ? aboutWords(person) : 'keep only';
  return nth === 0 ? aboutWords(person) : nthWords(nth);
}

/** Degrees a visit is expected to leave, without what it is weighed by; 0 of one that keeps. */
export const keptOf = (person: WeekPerson, { kind, nthOfKind }: Pick<Valued, 'kind' | 'nthOfKind'>): number =>
  kind === 'develop' ? (person.keptDeg[nthOfKind] ?? 0) : 0;

/** Degrees a week is expected to leave, without what it is weighed by. */
export const keptInWeek = ({ problem, people }: WeekPlan, placed: readonly Placed[]): number =>
  valuedVisits(problem, placed).reduce((sum, each) => sum + keptOf(people[each.person]!, each), 0);

/** How the week that is shown came about: as it was found, or changed by hand since. */
export type WeekState = FillSolution['status'] | 'by hand';

/** Somebody without a visit this week, and why. */
export interface LeftOut {
  readonly person: number;
  readonly words: string;
  /** What a first visit would be worth at their best time; 0 for nothing. */
  readonly would: number;
}

/** Who has no visit in a week and why, those with most to gain first. */
export function leftOutOf({ problem, people, out }: WeekPlan, placed: readonly Placed[], state: WeekState): LeftOut[] {
  return people
    .flatMap((person, who): LeftOut[] => {
      if (problem.people[who]!.standing.length > 0 || placed.some((each) => each.person === who)) return [];
      const would = bestFirst(problem, who);
      return [
        {
          person: who,
          would: Math.max(0, would),
          words: out.includes(person.id) ? 'Left out by hand.' : whyLeftOut(problem, person, who, placed, would, state),
        },
      ];
    })
    .sort((a, b) => b.would - a.would || people[b.person]!.leftOut - people[a.person]!.leftOut);
}

const possible = ({ people, slots }: FillProblem, who: number): number[] =>
  people[who]!.slots.filter((slot) => people[who]!.days[slots[slot]!.day]);

/** What a first visit would be worth at the best time they could come; minus infinity where there is none. */
function bestFirst(problem: FillProblem, who: number): number {
  const person = problem.people[who]!;
  return Math.max(
    Number.NEGATIVE_INFINITY,
    ...possible(problem, who).map((slot) => {
      const day = person.days[problem.slots[slot]!.day]!;
      return (person.any[0] ?? 0) + (person[day.kind][0] ?? 0) + day.add;
    }),
  );
}

function whyLeftOut(
  problem: FillProblem,
  person: WeekPerson,
  who: number,
  placed: readonly Placed[],
  would: number,
  state: WeekState,
): string {
  const self = problem.people[who]!;
  if (self.most === 0) return 'Wants no visit this week.';
  if (self.days.every((day) => day === null)) {
    const away = [...new Set(person.days.flatMap((day) => (day.away !== '' ? [day.away] : [])))];
    return away.length > 0 ? `Away: ${away.join(', ')}.` : 'No day: an event, or a visit of the week before or after is too near.';
  }
  const could = possible(problem, who);
  if (could.length === 0) return person.times.spans.length > 0 ? 'Can come at no time there is.' : 'There is no time on their days.';
  if (would <= 0) return 'No motion is short of its goal, and nothing is due.';
  const free = could.filter((slot) => !placed.some((each) => each.slot === slot));
  const hands = (slot: number) => {
    const { group } = problem.slots[slot]!;
    return placed.filter((each) => problem.slots[each.slot]!.group === group).length >= problem.groups[group]!;
  };
  if (free.some((slot) => !hands(slot))) return 'There is a time they could come to.';
  if (state === 'by hand') return 'All their times are taken.';
  if (state === 'stopped') return 'All their times are taken in the best week found so far.';
  if (could.some((slot) => problem.pins.some((pin) => pin.slot === slot)))
    return 'All their times are pinned, or went to what brings as much or more.';
  if (free.length > 0) return 'On their days the hands have had enough, with what brings as much or more.';
  return 'All their times went to what brings as much or more.';
}
