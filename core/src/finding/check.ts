import { findMotion } from '../body/index.ts';
import { findLook } from './looks.ts';
import { pointPlace } from './points.ts';
import { CLOCKS, DIRECTIONS, END_FEELS, FELT, FORCES, GLIDES, POINTS, PRESSES, PRESS_ANSWERS, type FindingContent } from './types.ts';

/** Largest pull or press a hand-held gauge takes, newtons. */
export const FORCE_MOST_N = 1500;
export const FORCE_TRIALS_MOST = 5;
/** Longest words for where a point is felt as well. */
export const REFERS_MOST = 80;

const one = (value: unknown, allowed: readonly unknown[]): boolean => allowed.includes(value);
const oneOrNull = (value: unknown, allowed: readonly unknown[]): boolean => value === null || one(value, allowed);
const whole = (value: unknown, min: number, max: number): boolean =>
  Number.isInteger(value) && (value as number) >= min && (value as number) <= max;

/**
 * What is wrong with a finding, in words, or null. Holds for both sides of the wire: shape, known subjects, sides and
 * values, and that something was found at all. Anything may be given.
 */
export function findingProblem(content: FindingContent): string | null {
  const { kind, subject, side, data } = content as FindingContent & { subject: string };
  const look = kind === 'look' ? findLook(subject) : undefined;
  if (kind === 'look' && !look) return 'Nobody looks at that.';
  const inMiddle = kind === 'leg-length' || look?.sided === false;
  if (inMiddle ? side !== 'midline' : kind !== 'end' && side !== 'left' && side !== 'right') return 'Say which side it is.';
  const motion = kind === 'end' ? findMotion(subject) : undefined;
  if (kind === 'end' && !motion) return 'No such motion is known.';
  if (motion && !motion.sides.includes(side)) return `${motion.name} has no ${side} side.`;
  if (kind === 'point' && pointPlace(subject) === null) return 'No such muscle is known.';
  const subjects = {
    end: null,
    point: null,
    look: null,
    clock: CLOCKS,
    glide: GLIDES,
    press: PRESSES,
    force: FORCES,
    'leg-length': [{ id: 'legs' }],
  }[kind];
  if (subjects && !subjects.some((each) => each.id === subject)) return 'This cannot be found on that.';
  if (data === null) return null;
  if (typeof data !== 'object') return 'What was found is missing.';
  return dataProblem({ ...content, data } as FindingContent);
}

function dataProblem(content: FindingContent): string | null {
  switch (content.kind) {
    case 'end': {
      const { endFeel, pain, felt, guarding } = content.data!;
      if (
        !oneOrNull(
          endFeel,
          END_FEELS.map((each) => each.id),
        )
      )
        return 'No such end feel is known.';
      if (
        !oneOrNull(
          felt,
          FELT.map((each) => each.id),
        )
      )
        return 'No such place is known.';
      if (pain !== null && !whole(pain, 0, 10)) return 'Pain is a whole number from 0 to 10.';
      if (!oneOrNull(guarding, [true, false])) return 'Guarding is yes or no.';
      return endFeel === null && pain === null && felt === null && guarding === null ? 'Nothing was found yet.' : null;
    }
    case 'clock': {
      const { hours } = content.data!;
      return Array.isArray(hours) && hours.length === 12 && hours.every((each) => one(each, ['free', 'tight', 'painful']))
        ? null
        : 'A clock has twelve hours, each free, tight or painful.';
    }
    case 'glide': {
      const data = content.data!;
      if (!DIRECTIONS.every((each) => oneOrNull(data[each], ['free', 'stiff', 'painful'])))
        return 'Each direction is free, stiff or painful.';
      return DIRECTIONS.every((each) => data[each] === null) ? 'Nothing was found yet.' : null;
    }
    case 'leg-length': {
      const { shorter, byCm, afterPull } = content.data!;
      if (!one(shorter, ['left', 'right', 'even']) || !oneOrNull(afterPull, ['left', 'right', 'even']))
        return 'Say which leg looks shorter.';
      return byCm === null || (typeof byCm === 'number' && byCm >= 0 && byCm <= 8)
        ? null
        : 'A difference in leg length lies between 0 and 8 cm.';
    }
    case 'point': {
      const { what, tenderness, refers } = content.data!;
      if (!POINTS.some((each) => each.id === what)) return 'Say what the finger found.';
      if (tenderness !== null && !whole(tenderness, 0, 10)) return 'Tenderness is a whole number from 0 to 10.';
      return typeof refers === 'string' && refers.length <= REFERS_MOST
        ? null
        : `Where it is felt as well: at most ${REFERS_MOST} letters.`;
    }
    case 'look':
      return one(content.data!.value, findLook(content.subject)!.values) ? null : 'Say what was seen.';
    case 'press':
      return one(content.data!.answer, PRESS_ANSWERS) ? null : 'The answer is prompt, late, weak or absent.';
    case 'force': {
      const { trialsN } = content.data!;
      if (!Array.isArray(trialsN) || trialsN.length < 1 || trialsN.length > FORCE_TRIALS_MOST)
        return `One to ${FORCE_TRIALS_MOST} presses count.`;
      return trialsN.every((each) => typeof each === 'number' && each > 0 && each <= FORCE_MOST_N)
        ? null
        : `A press lies between 0 and ${FORCE_MOST_N} N.`;
    }
  }
}
