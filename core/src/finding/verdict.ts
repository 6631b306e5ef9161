import { findLook } from './looks.ts';
import { hoursThat } from './words.ts';
import { DIRECTIONS, PRESS_ANSWERS, type StandingFinding } from './types.ts';

/** What became of a finding within a visit, in words, and which way it went. */
export interface FindingVerdict {
  readonly way: 'better' | 'same' | 'worse' | 'other';
  readonly words: string;
}

/** Tenderness has to change by this much of ten to be called so; common practice. */
const TENDER_CHANGE = 2;

/**
 * A finding of before work against the same looked at after it, in words: “softened, 6 to 3”, “still late”, “even after the pull”. Null for kinds
 * that are read elsewhere or are numbers with an error of their own (ends of motion, force). Both have to be of one place.
 */
export function findingVerdict(before: StandingFinding, after: StandingFinding): FindingVerdict | null {
  if (before.kind === 'look' && after.kind === 'look') {
    const look = findLook(before.subject);
    if (!look) return null;
    const [a, b] = [before.data.value, after.data.value];
    const rank = (value: string) => (look.ordered ? look.values.indexOf(value) : value === look.values[0] ? 0 : 1);
    return ordered(a, b, rank(a), rank(b));
  }
  if (before.kind === 'press' && after.kind === 'press') {
    const [a, b] = [before.data.answer, after.data.answer];
    return ordered(a, b, PRESS_ANSWERS.indexOf(a), PRESS_ANSWERS.indexOf(b));
  }
  if (before.kind === 'point' && after.kind === 'point') {
    if (after.data.what === 'clean')
      return before.data.what === 'clean' ? same('still nothing there') : { way: 'better', words: 'nothing there any more' };
    if (before.data.what === 'clean') return { way: 'worse', words: 'there now, not before' };
    const [a, b] = [before.data.tenderness, after.data.tenderness];
    if (a === null || b === null) return { way: 'other', words: 'still there' };
    if (a - b >= TENDER_CHANGE) return { way: 'better', words: `softened, ${a} to ${b}` };
    return b - a >= TENDER_CHANGE ? { way: 'worse', words: `more tender, ${a} to ${b}` } : same(`still there, ${a} to ${b}`);
  }
  if (before.kind === 'clock' && after.kind === 'clock') return fewer(hoursOff(before), hoursOff(after), 'hours tight or painful');
  if (before.kind === 'glide' && after.kind === 'glide') return fewer(glidesOff(before), glidesOff(after), 'ways stiff or painful');
  if (before.kind === 'leg-length' && after.kind === 'leg-length') {
    const [a, b] = [before.data.shorter, after.data.shorter];
    if (a === b) return same(a === 'even' ? 'still even' : `${a} still looks shorter`);
    return b === 'even'
      ? { way: 'better', words: 'even after the work' }
      : { way: a === 'even' ? 'worse' : 'other', words: `${b} looks shorter now` };
  }
  return null;
}

const same = (words: string): FindingVerdict => ({ way: 'same', words });
const ordered = (a: string, b: string, from: number, to: number): FindingVerdict =>
  a === b ? same(`still ${a}`) : { way: to < from ? 'better' : to > from ? 'worse' : 'other', words: `${a}, now ${b}` };
const hoursOff = ({ data }: Extract<StandingFinding, { kind: 'clock' }>) =>
  hoursThat(data, 'tight').length + hoursThat(data, 'painful').length;
const glidesOff = ({ data }: Extract<StandingFinding, { kind: 'glide' }>) =>
  DIRECTIONS.filter((each) => data[each] === 'stiff' || data[each] === 'painful').length;
function fewer(from: number, to: number, of: string): FindingVerdict {
  if (to === from) return same(from === 0 ? 'still free' : `still ${from} ${of}`);
  return { way: to < from ? 'better' : 'worse', words: to === 0 ? 'free now' : `${from} to ${to} ${of}` };
}
