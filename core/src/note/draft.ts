import { motionOf, placeWords, type Motion, type Side } from '../body/index.ts';
import { STOP_QUESTIONS } from '../caution/index.ts';
import { currentFindings, findingWords, subjectWords } from '../finding/index.ts';
import { formatValue, summariseTrials } from '../measure/index.ts';
import {
  compareMotion,
  currentReadings,
  formatDuration,
  HOME_DONE,
  raisedOf,
  whatWasDone,
  type ComparisonContext,
  type NotePart,
  type Reading,
  type SideDone,
  type VisitFile,
} from '../record/index.ts';
import { foldRun } from '../table/index.ts';
import { doseLine } from '../home/index.ts';
import type { NoteSentence } from './types.ts';

export type NoteFacts = Pick<VisitFile, 'visit' | 'readings' | 'findings' | 'answers' | 'overrides' | 'runs' | 'past' | 'errors'> &
  Partial<Pick<VisitFile, 'home' | 'lastHome' | 'homeAnswers' | 'nextVisitAt'>> & {
    /** Days in words, where a day is said. */
    readonly dayWords?: (instant: string) => string;
    readonly person: ComparisonContext['person'];
    readonly onDay: string;
    /** Names of accounts by id, and times of the day as the practice says them. */
    readonly nameOf: (accountId: string | null) => string | null;
    readonly timeOf: (instant: string) => string;
  };

const sentence = (part: NotePart, key: string, text: string, trace: string): NoteSentence => ({ key: `${part}/${key}`, part, text, trace });
const withStop = (words: string) => (/[.!?]$/.test(words.trim()) ? words.trim() : `${words.trim()}.`);
const capital = (words: string) => `${words.charAt(0).toUpperCase()}${words.slice(1)}`;
const sideWords = (side: Side) => (side === 'midline' ? '' : `, ${side}`);
const nameOfMotion = (motion: Motion) => `${motion.name}, ${motion.testPosition}`;

/**
 * The note as the record writes it: what they said, what was found, what was done, how it answered, what comes next, one sentence a fact.
 * Nothing is concluded beyond what the record concludes itself (change against error, side against side), and what was not measured is said
 * to be not measured or not mentioned. Walk-throughs are no treatment and are not in it.
 */
export function draftNote(facts: NoteFacts): NoteSentence[] {
  return [...said(facts), ...found(facts), ...done(facts), ...answered(facts), ...next(facts)];
}

function said(facts: NoteFacts): NoteSentence[] {
  const { visit, answers } = facts;
  const { complaint, complaintRegion, complaintSide, complaintScore, changed, trainingSince, trainingNext } = visit;
  const place = complaintRegion ? ` (${placeWords(complaintRegion, complaintSide)})` : '';
  const score = complaintScore === null ? '' : `, ${complaintScore} of 10`;
  const asked = answers.at(-1);
  const raised = raisedOf(answers);
  const arrived = 'answered on arrival';
  return [
    ...(complaint.trim() ? [sentence('said', 'complaint', withStop(`${capital(complaint.trim())}${place}${score}`), arrived)] : []),
    ...(changed.trim() ? [sentence('said', 'changed', withStop(`Since last time: ${changed.trim()}`), arrived)] : []),
    ...(trainingSince.trim() ? [sentence('said', 'training', withStop(`Trained since: ${trainingSince.trim()}`), arrived)] : []),
    ...(trainingNext.trim() ? [sentence('said', 'training-next', withStop(`Trains next: ${trainingNext.trim()}`), arrived)] : []),
    ...(asked
      ? [
          sentence(
            'said',
            'stop',
            asked.notAsked !== null
              ? withStop(`The stop questions were not asked: ${asked.notAsked}`)
              : raised.length === 0
                ? 'None of the stop questions.'
                : raised.map((id) => withStop(STOP_QUESTIONS.find((each) => each.id === id)!.words)).join(' '),
            `asked by ${asked.by}`,
          ),
        ]
      : []),
    ...homeDone(facts),
  ];
}

/** What they say they did at home of what they were given last time; what was not asked about is not mentioned. */
function homeDone({ lastHome, homeAnswers }: NoteFacts): NoteSentence[] {
  const done = (lastHome?.items ?? []).flatMap(({ id, name }) => {
    const answer = HOME_DONE.find((each) => each.id === homeAnswers?.answers[id]);
    return answer ? [`${lower(name)} ${answer.words}`] : [];
  });
  return done.length === 0 ? [] : [sentence('said', 'home', `Home work: ${done.join(', ')}.`, 'asked on arrival, exercise by exercise')];
}

/** Trials, instrument, who and when: what stands behind a value. */
function traceOf({ nameOf, timeOf }: NoteFacts, reading: Reading): string {
  const { unit } = motionOf(reading.motionId);
  const trials = reading.trials.map((each) => formatValue(each, unit, Number.isInteger(each) ? 0 : 1)).join(', ');
  const who = nameOf(reading.examinerId);
  return `${reading.side === 'midline' ? '' : `${reading.side}: `}${reading.trials.length === 1 ? 'one trial' : 'trials'} ${trials}, ${reading.instrument}, ${reading.moment} work${who ? `, ${who}` : ''}, ${timeOf(reading.takenAt)}`;
}

const standing = (facts: NoteFacts) => currentReadings(facts.readings).filter(({ trials }) => trials.length > 0);
/** Motions in the order they were first read. */
const motionsOf = (readings: readonly Reading[]) => [...new Set(readings.map(({ motionId }) => motionId))].map(motionOf);
const valuesOf = (readings: readonly Reading[]) =>
  readings.map(({ motionId, side, moment, instrument, examinerId, trials }) => ({
    motionId,
    side,
    moment,
    instrument,
    examinerId,
    value: summariseTrials(trials).mean,
  }));
const compared = (facts: NoteFacts, motion: Motion, moment: 'before' | 'after') =>
  compareMotion(motion, moment, {
    person: facts.person,
    onDay: facts.onDay,
    today: valuesOf(standing(facts)),
    past: facts.past,
    errors: facts.errors,
  });

function found(facts: NoteFacts): NoteSentence[] {
  const before = standing(facts).filter(({ moment }) => moment === 'before');
  const read = motionsOf(before).map((motion) => {
    const { sides, sideVerdict } = compared(facts, motion, 'before');
    const values = sides
      .filter(({ now }) => now !== null)
      .map(({ side, now }) => `${side === 'midline' ? '' : `${side} `}${formatValue(now!.value, motion.unit)}`);
    const verdict = sideVerdict ? `; ${lower(sideVerdict.words)}` : '';
    const trace = before.filter(({ motionId }) => motionId === motion.id).map((reading) => traceOf(facts, reading));
    return sentence('found', motion.id, withStop(`${nameOfMotion(motion)}: ${values.join(', ')}${verdict}`), trace.join('; '));
  });
  const hands = currentFindings(facts.findings).map((finding) =>
    sentence(
      'found',
      `${finding.kind}/${finding.subject}/${finding.side}${finding.moment === 'after' ? '/after' : ''}`,
      withStop(
        `${subjectWords(finding)}${sideWords(finding.side)}${finding.moment === 'after' ? ', after work' : ''}: ${findingWords(finding)}`,
      ),
      `found by ${finding.foundBy}, ${facts.timeOf(finding.foundAt)}`,
    ),
  );
  const nothing =
    read.length === 0 ? [sentence('found', 'nothing-read', 'Range was not measured before work.', 'no readings before work')] : [];
  return [...nothing, ...read, ...hands];
}
const lower = (words: string) => `${words.charAt(0).toLowerCase()}${words.slice(1)}`;

function done(facts: NoteFacts): NoteSentence[] {
  const runs = facts.runs.filter(({ clockRate, events }) => clockRate === 1 && events.length > 0);
  const sentences = runs.flatMap((run, i) => {
    const state = foldRun(
      run.line,
      run.events.map(({ event }) => event),
    );
    return whatWasDone(run.line, state).map((side) =>
      sentence(
        'done',
        `${i + 1}/${side.blockIndex}/${side.side}`,
        doneWords(side),
        `run at ${facts.timeOf(run.startedAt)}, from its own clock`,
      ),
    );
  });
  const aside = facts.overrides.map((each) =>
    sentence(
      'done',
      `aside/${each.id}`,
      withStop(`A caution was set aside for ${lower(motionOf(each.motionId).name)}${sideWords(each.side)}: “${each.reason}”`),
      `${each.by}, ${facts.timeOf(each.at)}`,
    ),
  );
  return sentences.length + aside.length === 0
    ? [sentence('done', 'nothing', 'Nothing was run at the table.', 'no run of this visit')]
    : [...sentences, ...aside];
}

/** What was done on one side of a block, in one sentence. */
function doneWords(side: SideDone): string {
  const name = `${side.name}${sideWords(side.side)}`;
  if (side.real.totalMs === 0) return `Not done: ${lower(name)}.`;
  const times = (n: number) => (n === 1 ? 'once' : n === 2 ? 'twice' : `${n} times`);
  const seconds = (ms: number) => `${Math.round(ms / 1000)} s`;
  const parts = [
    side.unplanned === null
      ? side.real.rounds > side.planned.rounds
        ? `${side.real.rounds} rounds, ${side.planned.rounds} planned`
        : `${side.real.rounds} of ${side.planned.rounds} ${side.planned.rounds === 1 ? 'round' : 'rounds'}`
      : `${side.real.rounds} ${side.real.rounds === 1 ? 'round' : 'rounds'}, ${side.unplanned === 'added' ? 'added at the table' : 'in place of what was planned'}`,
    Math.round(side.real.endRangeMs / 1000) > 0 ? `${seconds(side.real.endRangeMs)} at end range` : '',
    Math.round(side.real.contractMs / 1000) > 0
      ? `${seconds(side.real.contractMs)} of contraction${side.efforts.length > 0 ? ` asked for at ${range(side.efforts)} %` : ''}`
      : '',
    `${formatDuration(side.real.totalMs)} in all`,
    side.highestDiscomfort === null ? '' : `discomfort at most ${side.highestDiscomfort} of 10`,
    side.timesEased > 0 ? `eased off ${times(side.timesEased)}` : '',
    side.timesBraced > 0 ? `breath held ${times(side.timesBraced)}` : '',
    side.timesDrifted > 0 ? `pressed the wrong way ${times(side.timesDrifted)}` : '',
    side.stopped ? 'stopped' : '',
    side.left ? 'the rest left by choice' : '',
    ...heardWords(side),
    ...side.softened.map(
      ({ seconds: took, before, after }) => `softened after ${took} s${before === null ? '' : `, from ${before} to ${after}`}`,
    ),
  ];
  return `${name}: ${parts.filter(Boolean).join(', ')}.`;
}
/** What devices heard: efforts that were reached, with what they are percent of, and how often the limb left its plane. */
function heardWords({ reached, offPlane }: SideDone): string[] {
  const known = reached.flatMap(({ pct, of }) => (pct === null ? [] : [{ pct, of }]));
  const of = known.some((each) => each.of === 'earlier') ? 'of the last test' : 'of today’s best';
  return [
    reached.length === 0
      ? ''
      : known.length === reached.length
        ? `reached ${known.map(({ pct }) => pct).join(', ')} % ${of}`
        : `reached ${reached.map(({ n }) => Math.round(n)).join(', ')} N`,
    offPlane.length === 0 ? '' : `off the plane ${offPlane.length === 1 ? 'once' : `${offPlane.length} times`}: ${offPlane.join('; ')}`,
  ].filter(Boolean);
}
const range = (values: readonly number[]) => {
  const [least, most] = [Math.min(...values), Math.max(...values)];
  return least === most ? `${least}` : `${least} to ${most}`;
};

function answered(facts: NoteFacts): NoteSentence[] {
  const readings = standing(facts);
  const after = readings.filter(({ moment }) => moment === 'after');
  const verdicts = motionsOf(after).flatMap((motion) =>
    compared(facts, motion, 'after').sides.flatMap((side) => {
      if (side.after === null) return [];
      const own = readings.filter((reading) => reading.motionId === motion.id && reading.side === side.side);
      const now = formatValue(side.after.value, motion.unit);
      const words =
        side.before === null
          ? `${now} after work; it was not read before`
          : `from ${formatValue(side.before.value, motion.unit)} to ${now}${side.gained ? `, ${side.gained.words}` : ''}`;
      return [
        sentence(
          'answered',
          `${motion.id}/${side.side}`,
          withStop(`${nameOfMotion(motion)}${sideWords(side.side)}: ${words}`),
          own.map((reading) => traceOf(facts, reading)).join('; '),
        ),
      ];
    }),
  );
  const missing = readings
    .filter(({ moment }) => moment === 'before')
    .filter((reading) => !after.some(({ motionId, side }) => motionId === reading.motionId && side === reading.side))
    .map(({ motionId, side }) => `${lower(motionOf(motionId).name)}${side === 'midline' ? '' : ` ${side}`}`);
  const notRead =
    missing.length > 0
      ? [sentence('answered', 'not-read-again', `Not read again: ${missing.join(', ')}.`, 'read before work, not after')]
      : [];
  return [...verdicts, ...notRead];
}

function next({ visit, home, nextVisitAt, dayWords, timeOf }: NoteFacts): NoteSentence[] {
  return [
    ...(visit.lookFirst.trim()
      ? [sentence('next', 'look-first', withStop(`Next time, first: ${visit.lookFirst.trim()}`), 'left for the next visit at closing')]
      : []),
    ...(home?.items ?? []).map((item) =>
      sentence('next', `home/${item.entryId}`, `At home: ${lower(item.name)}, ${doseLine(item)}.`, 'on the sheet for home'),
    ),
    ...(nextVisitAt && dayWords
      ? [sentence('next', 'booked', `Booked again for ${dayWords(nextVisitAt)}, ${timeOf(nextVisitAt)}.`, 'the booking after this visit')]
      : []),
  ];
}
