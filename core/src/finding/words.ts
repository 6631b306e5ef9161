import { findMotion } from '../body/index.ts';
import { REGIONS } from '../figure/index.ts';
import { findLook } from './looks.ts';
import { pointPlace, pointWords } from './points.ts';
import {
  CLOCKS,
  DIRECTIONS,
  END_FEELS,
  FELT,
  FORCES,
  GLIDES,
  HOURS,
  PRESSES,
  type ClockData,
  type Finding,
  type Hour,
  type HourState,
  type StandingFinding,
} from './types.ts';

/** The hours that are not free. */
export function hoursThat(data: ClockData, state: Exclude<HourState, 'free'>): Hour[] {
  return HOURS.filter((_, i) => data.hours[i] === state);
}

/**
 * Where to work for the hours that are tight: the hour on either side of each run first, then the run itself.
 * Common practice: 10 and 2 before a tight 12. Hours that are painful are not worked and end a run.
 * @example workOrder({ hours: ['tight', 'free', 'free', 'free', 'free', 'free', 'free', 'free', 'free', 'free', 'free', 'free'] }) // → [10, 2, 12]
 */
export function workOrder({ hours }: ClockData): Hour[] {
  const at = (i: number) => hours[((i % 12) + 12) % 12];
  const tight = HOURS.map((_, i) => i).filter((i) => at(i) === 'tight');
  if (tight.length === 0) return [];
  if (tight.length === 12) return [...HOURS];
  const order: number[] = [];
  for (const start of tight.filter((i) => at(i - 1) !== 'tight')) {
    let end = start;
    while (at(end + 1) === 'tight') end += 1;
    const flanks = [start - 2, end + 2].filter((i) => at(i) === 'free');
    order.push(...flanks, ...Array.from({ length: end - start + 1 }, (_, i) => start + i));
  }
  return [...new Set(order.map((i) => HOURS[((i % 12) + 12) % 12]!))];
}

const capital = (words: string): string => words[0]!.toUpperCase() + words.slice(1);

const list = (parts: readonly string[]): string =>
  parts.length < 2 ? parts.join('') : `${parts.slice(0, -1).join(', ')} and ${parts.at(-1)}`;

/** What a finding is about: "Hip flexion, supine, knee bent", "Kneecap". */
export function subjectWords(finding: Pick<Finding, 'kind' | 'subject'>): string {
  switch (finding.kind) {
    case 'end': {
      const motion = findMotion(finding.subject);
      return motion ? `${motion.name}, ${motion.testPosition}` : finding.subject;
    }
    case 'clock':
      return CLOCKS.find((each) => each.id === finding.subject)!.name;
    case 'glide':
      return GLIDES.find((each) => each.id === finding.subject)!.name;
    case 'press':
      return PRESSES.find((each) => each.id === finding.subject)!.name;
    case 'force':
      return FORCES.find((each) => each.id === finding.subject)!.name;
    case 'leg-length':
      return 'Leg length';
    case 'point': {
      const place = pointPlace(finding.subject);
      return place ? `${capital(REGIONS[place.muscle].words)}, ${place.third} third` : finding.subject;
    }
    case 'look':
      return findLook(finding.subject)?.name ?? finding.subject;
  }
}

/**
 * A finding in one line, without what it is about.
 * @example findingWords({ kind: 'press', data: { answer: 'late' } }) // → 'late'
 */
export function findingWords(finding: Pick<StandingFinding, 'kind' | 'data'>): string {
  const found = finding as StandingFinding;
  switch (found.kind) {
    case 'end': {
      const { endFeel, pain, felt, guarding } = found.data;
      const parts = [
        endFeel ? `${END_FEELS.find((each) => each.id === endFeel)!.name} end feel` : '',
        pain === null ? '' : pain === 0 ? 'no pain' : `pain ${pain} of 10`,
        felt ? `felt ${FELT.find((each) => each.id === felt)!.name}`.replace('felt nothing felt', 'nothing felt') : '',
        guarding === null ? '' : guarding ? 'guarding' : 'no guarding',
      ].filter(Boolean);
      return parts.join(', ');
    }
    case 'clock': {
      const [tight, painful] = [hoursThat(found.data, 'tight'), hoursThat(found.data, 'painful')];
      if (tight.length + painful.length === 0) return 'free all round';
      return [
        tight.length > 0 ? `tight at ${list(tight.map(String))}` : '',
        painful.length > 0 ? `painful at ${list(painful.map(String))}` : '',
      ]
        .filter(Boolean)
        .join(', ');
    }
    case 'glide': {
      const said = DIRECTIONS.filter((each) => found.data[each] !== null);
      if (said.every((each) => found.data[each] === 'free')) return said.length === 4 ? 'free all ways' : `free ${list(said)}`;
      return (['stiff', 'painful'] as const)
        .flatMap((state) => {
          const which = said.filter((each) => found.data[each] === state);
          return which.length > 0 ? [`${state} ${list(which)}`] : [];
        })
        .join(', ');
    }
    case 'leg-length': {
      const { shorter, byCm, afterPull } = found.data;
      const first = shorter === 'even' ? 'even' : `${shorter} looks shorter${byCm === null ? '' : ` by ${byCm.toFixed(1)} cm`}`;
      if (afterPull === null) return first;
      return `${first}; after a pull ${afterPull === 'even' ? (shorter === 'even' ? 'still even' : 'even: a tight side, not a short leg') : afterPull === shorter ? 'the same' : `${afterPull} looks shorter`}`;
    }
    case 'point':
      return pointWords(found.data);
    case 'press':
      return found.data.answer;
    case 'look':
      return found.data.value;
    case 'force':
      return `${Math.round(Math.max(...found.data.trialsN))} N, best of ${found.data.trialsN.length}`;
  }
}
