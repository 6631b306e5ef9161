import { MOTIONS, type Side } from '../body/index.ts';
import { learn, pooled, type Course, type Known } from '../forecast/index.ts';
import type { DueFacts, DueKnown } from './due.ts';
import { courseOf, rhythmOf, timeOf, type Reading, type ResponseFacts, type ResponseFile } from './occasions.ts';

/** How one motion and side of an athlete answers, as far as it is known. */
export interface Learned {
  readonly motionId: string;
  readonly side: Side;
  readonly course: Course;
  readonly known: Known;
  /** The same from its own readings only. */
  readonly alone: Known;
}

function coursesOf(facts: ResponseFacts, today: string, reading: Reading): Omit<Learned, 'known' | 'alone'>[] {
  return MOTIONS.flatMap((motion) =>
    motion.sides.flatMap((side) => {
      const course = courseOf(motion.id, side, facts, today, reading);
      return course ? [{ motionId: motion.id, side, course }] : [];
    }),
  );
}

/**
 * Learns how every motion and side of an athlete that was ever read answers: from its own readings, a little from the athlete's other motions,
 * and a little less from those of others of the practice. `progress` is told the share that is done.
 */
export function learnAll(file: ResponseFile, today: string, reading: Reading, progress?: (share: number) => void): Learned[] {
  const people = [file.own, ...file.others].map((facts) => coursesOf(facts, today, reading));
  const series = people.flatMap((courses, person) => courses.map((each) => ({ ...each, athleteId: String(person) })));
  const learned = series.map((each, i) => {
    const known = learn(each.course, undefined, i + 1);
    progress?.((i + 1) / series.length);
    return { ...each, known };
  });
  const own = people[0]!.length;
  const together = pooled(learned, own);
  return learned
    .slice(0, own)
    .map(({ motionId, side, course, known }, i) => ({ motionId, side, course, known: together[i]!, alone: known }));
}

/**
 * The same for everybody of a practice at once, of the motions and sides that are asked for: each learned from its own readings, then from the
 * athlete's other motions and from the others. By person, in the order they came in.
 */
export function learnPractice(
  people: readonly ResponseFacts[],
  asked: (person: number, motionId: string, side: Side) => boolean,
  today: string,
  reading: Reading,
  progress?: (share: number) => void,
): Learned[][] {
  const series = people
    .flatMap((facts, person) => coursesOf(facts, today, reading).map((each) => ({ ...each, person, athleteId: String(person) })))
    .sort((a, b) => Number(asked(b.person, b.motionId, b.side)) - Number(asked(a.person, a.motionId, a.side)));
  const count = series.filter(({ person, motionId, side }) => asked(person, motionId, side)).length;
  const learned = series.map((each, i) => {
    const known = learn(each.course, undefined, i + 1);
    progress?.((i + 1) / series.length);
    return { ...each, known };
  });
  const together = pooled(learned, count);
  const out = people.map((): Learned[] => []);
  learned.slice(0, count).forEach(({ person, motionId, side, course, known }, i) => {
    out[person]!.push({ motionId, side, course, known: together[i]!, alone: known });
  });
  return out;
}

/** How the motions answer that athletes have goals of, with what one more visit like those of late is: by athlete. `now`: an instant. */
export function learnGoals(
  athletes: readonly Pick<DueFacts, 'id' | 'response' | 'goals'>[],
  now: string,
  reading: Reading,
  progress?: (share: number) => void,
): Map<string, DueKnown[]> {
  const learned = learnPractice(
    athletes.map(({ response }) => response),
    (person, motionId, side) => athletes[person]!.goals.some((goal) => goal.motionId === motionId && goal.side === side),
    reading.dayOf(now),
    reading,
    progress,
  );
  return new Map(
    athletes.map(({ id }, person): [string, DueKnown[]] => [
      id,
      learned[person]!.map(({ motionId, side, course, known }) => ({
        motionId,
        side,
        known,
        usualGain: rhythmOf(course, timeOf(now)).usualGain,
        since: course.occasions.at(-1)!.day,
      })),
    ]),
  );
}
