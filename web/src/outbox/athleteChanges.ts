import type { Athlete, AthleteFields, AthleteFile, Condition, Goal, NoTouchArea } from '@pace-bend/core/record';
import type { Change } from './change.ts';

/** What changes of an athlete's record reach: the athlete's file has it, and so has each of their visits. */
type Part = Pick<AthleteFile, 'athlete' | 'conditions' | 'noTouch' | 'goals'>;

export const athleteRecord = (athleteId: string) => `athlete/${athleteId}`;

const idOf = (change: Change) => change.path.split('/').at(-1)!;
/** Of two states the later one: an answer can be slower than what was read after it. */
export const later = <T extends { readonly revision: number }>(known: T | null, answer: T): T =>
  known && known.revision > answer.revision ? known : answer;
const without = <T extends { readonly id: string }>(rows: readonly T[], id: string): T[] => rows.filter((each) => each.id !== id);

/** The athlete's file, or a visit of theirs, as the server has it, with what waits laid over it, in order. Of what was refused, what was typed into its fields stays. */
export function withWaiting<File extends Part>(served: File, changes: readonly Change[]): File {
  return changes
    .filter((change) => change.refusal === null || change.spot === 'fields')
    .reduce<File>((file, change) => {
      const id = idOf(change);
      const gone = change.method === 'DELETE';
      switch (change.spot.split('/')[0]) {
        case 'fields':
          return { ...file, athlete: { ...file.athlete, ...(change.body as Partial<AthleteFields>) } };
        case 'condition':
          return {
            ...file,
            conditions: gone
              ? without(file.conditions, id)
              : [...without(file.conditions, id), { ...change.body, id, revision: change.revision?.base ?? 0 } as Condition],
          };
        case 'no-touch':
          return {
            ...file,
            noTouch: gone
              ? without(file.noTouch, id)
              : [...without(file.noTouch, id), { ...change.body, id, since: change.madeAt } as NoTouchArea],
          };
        case 'goal': {
          const { motionId, side } = change.body;
          return {
            ...file,
            goals: gone
              ? without(file.goals, id)
              : [
                  ...file.goals.filter((goal) => goal.motionId !== motionId || goal.side !== side),
                  { ...change.body, id, setAt: change.madeAt } as Goal,
                ],
          };
        }
        default:
          return file;
      }
    }, served);
}

/** The file, or the visit, with what the server answered to a change in it. */
export function withAnswer<File extends Part>(served: File, change: Change, answer: unknown): File {
  switch (change.spot.split('/')[0]) {
    case 'fields':
      return { ...served, athlete: later(served.athlete, answer as Athlete) };
    case 'condition':
      return change.method === 'DELETE'
        ? { ...served, ...(answer as { conditions: Condition[] }) }
        : { ...served, conditions: [...without(served.conditions, (answer as Condition).id), answer as Condition] };
    case 'no-touch':
      return { ...served, ...(answer as { noTouch: NoTouchArea[] }) };
    case 'goal':
      return { ...served, ...(answer as { goals: Goal[] }) };
    default:
      return served;
  }
}
