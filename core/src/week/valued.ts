import type { FillPerson, FillProblem, Placed, VisitKind } from './types.ts';

/** A visit of the week with what it adds, given the earlier ones of the same person. */
export interface Valued extends Placed {
  readonly value: number;
  readonly kind: VisitKind;
  /** Which visit of the week it is for the person, and which of those of its kind; from 0, those that stand counted. */
  readonly nth: number;
  readonly nthOfKind: number;
}

const at = (values: readonly number[], n: number): number => values[n] ?? 0;

/** What a visit of a day is for somebody. Where nothing is possible by the rules it was set there by hand, and keeps. */
export const kindOn = (person: FillPerson, day: number): VisitKind => person.days[day]?.kind ?? 'keep';

/**
 * What every visit of a week adds, in the order of the slots: those of one person count from the first on, so that together they come to what
 * the person's visits are worth.
 */
export function valuedVisits({ people, slots }: FillProblem, placed: readonly Placed[]): Valued[] {
  const had = people.map(({ standing }) => ({
    any: standing.length,
    develop: standing.filter(({ kind }) => kind === 'develop').length,
    keep: standing.filter(({ kind }) => kind === 'keep').length,
  }));
  return [...placed]
    .sort((a, b) => slots[a.slot]!.day - slots[b.slot]!.day || a.slot - b.slot)
    .map(({ person: who, slot }) => {
      const person = people[who]!;
      const { day } = slots[slot]!;
      const kind = kindOn(person, day);
      const nth = had[who]!.any++;
      const nthOfKind = had[who]![kind]++;
      return {
        person: who,
        slot,
        kind,
        nth,
        nthOfKind,
        value: at(person.any, nth) + at(person[kind], nthOfKind) + (person.days[day]?.add ?? 0),
      };
    });
}

/** What a week is worth. */
export const weekValue = (problem: FillProblem, placed: readonly Placed[]): number =>
  valuedVisits(problem, placed).reduce((sum, { value }) => sum + value, 0);

/** What is against a visit where it lies. */
export type Clash = 'cannot come' | 'not that day' | 'too near' | 'too many' | 'hands';

/** What is against the visits of a week: by place in the list, empty where nothing is. */
export function clashesOf({ people, slots, groups }: FillProblem, placed: readonly Placed[]): Clash[][] {
  return placed.map(({ person: who, slot }) => {
    const person = people[who]!;
    const { day, group } = slots[slot]!;
    const found: Clash[] = [];
    if (!person.days[day]) found.push('not that day');
    else if (!person.slots.includes(slot)) found.push('cannot come');
    const others = [
      ...placed.filter((each) => each.person === who && each.slot !== slot).map((each) => slots[each.slot]!.day),
      ...person.standing.map((each) => each.day),
    ];
    if (others.some((other) => Math.abs(other - day) < person.apart)) found.push('too near');
    if (others.length + 1 > person.most) found.push('too many');
    if (placed.filter((each) => slots[each.slot]!.group === group).length > groups[group]!) found.push('hands');
    return found;
  });
}
