import { motionOf, type Instrument, type Side } from '../body/index.ts';
import type { ErrorKnowledge, ExaminerShift, InstrumentShift, OwnError } from '../measure/index.ts';
import { meanSquares } from '../reliability/meanSquares.ts';
import { seeded } from '../random/index.ts';

/** One side of one person that is read again and again; named by a label, so that a study may have people without a file. */
export interface StudySubject {
  readonly label: string;
  readonly athleteId: string | null;
  readonly side: Side;
}

/** `repeatability`: parts are examiners. `agreement`: parts are two instruments in one examiner's hand. */
export type StudyKind = 'repeatability' | 'agreement';

export interface StudyFields {
  readonly kind: StudyKind;
  readonly motionId: string;
  /** One for repeatability, two different ones for agreement. */
  readonly instruments: readonly Instrument[];
  /** Accounts that read; one for agreement. */
  readonly examinerIds: readonly string[];
  /** Trials of each subject on one day, or each on a day of its own: only the latter knows the error between days. */
  readonly spacing: 'one-day' | 'days-apart';
  readonly trials: number;
  readonly subjects: readonly StudySubject[];
  /** values[subject][part][trial]; null until it was read. */
  readonly values: readonly (readonly (readonly (number | null)[])[])[];
}

export interface Study extends StudyFields {
  readonly id: string;
  readonly revision: number;
  readonly startedAt: string;
  readonly startedBy: string;
  readonly finishedAt: string | null;
  /** Whether what came out is used from then on. */
  readonly used: boolean;
}

export const STUDY_LIMITS = { subjects: { min: 3, max: 40 }, trials: { min: 2, max: 5 }, examiners: 4, label: 40 } as const;

/** How many parts a study has: examiners, or instruments. */
export function partsOf({ kind, examinerIds, instruments }: Pick<StudyFields, 'kind' | 'examinerIds' | 'instruments'>): number {
  return kind === 'agreement' ? instruments.length : examinerIds.length;
}

/** A place in a study that is still to be read. */
export interface StudyStep {
  readonly subject: number;
  readonly part: number;
  readonly trial: number;
}

/**
 * The order in which a study is read: every side once before any is read again, so that nobody remembers the last value,
 * each pass through the sides in an order of its own. The order follows from the study's id, so that it is the same on every
 * screen and after a break; parts take turns within a pass.
 */
export function studyOrder({
  id,
  subjects,
  trials,
  ...study
}: Pick<Study, 'id' | 'subjects' | 'trials' | 'kind' | 'examinerIds' | 'instruments'>): StudyStep[] {
  const parts = partsOf(study);
  const random = seeded(seedOf(id));
  const shuffled = (length: number) => {
    const list = Array.from({ length }, (_, i) => i);
    for (let i = list.length - 1; i > 0; i -= 1) {
      const j = Math.floor(random() * (i + 1));
      [list[i], list[j]] = [list[j]!, list[i]!];
    }
    return list;
  };
  return Array.from({ length: trials }, (_, trial) =>
    Array.from({ length: parts }, (_unused, part) => shuffled(subjects.length).map((subject): StudyStep => ({ subject, part, trial }))),
  ).flat(2);
}

/** A number from a text, to seed with. */
const seedOf = (text: string): number => [...text].reduce((state, letter) => (Math.imul(state, 31) + letter.charCodeAt(0)) | 0, 0);

/** The first place still to be read, or null when all is. */
export function nextStep(study: Study): StudyStep | null {
  return studyOrder(study).find(({ subject, part, trial }) => (study.values[subject]?.[part]?.[trial] ?? null) === null) ?? null;
}

/** The rows of one part that are complete: a table for the analysis. Sides with gaps are left out. */
export function tableOf(study: Pick<StudyFields, 'values'>, part: number): number[][] {
  return study.values
    .map((row) => row[part] ?? [])
    .filter((row): row is number[] => row.length > 0 && row.every((value) => value !== null));
}

/** Means of the trials by side and part, for sides that are complete in every part. */
export function partMeans(study: Pick<StudyFields, 'values'>): number[][] {
  const mean = (row: readonly number[]) => row.reduce((sum, value) => sum + value, 0) / row.length;
  return study.values
    .filter((row) => row.length > 0 && row.every((part) => part.length > 0 && part.every((value) => value !== null)))
    .map((row) => row.map((part) => mean(part as number[])));
}

/** Why a study cannot be finished yet, or null. */
export function unfinishedBecause(study: StudyFields): string | null {
  const complete =
    study.kind === 'agreement' ? partMeans(study).length : Math.min(...study.examinerIds.map((_, part) => tableOf(study, part).length));
  return complete >= STUDY_LIMITS.subjects.min
    ? null
    : `Only ${complete} of at least ${STUDY_LIMITS.subjects.min} sides are read completely.`;
}

/** What the practice knows from its finished studies that it uses: each examiner's own error, and how instruments differ. */
export function knowledgeOf(studies: readonly Study[]): ErrorKnowledge {
  const finished = studies.filter((study) => study.finishedAt !== null);
  const own = finished
    .filter((study) => study.kind === 'repeatability' && study.used)
    .flatMap((study): OwnError[] =>
      study.examinerIds.flatMap((examinerId, part) => {
        const table = tableOf(study, part);
        if (table.length < 2) return [];
        return [
          {
            examinerId,
            motionId: study.motionId,
            instrument: study.instruments[0]!,
            sem: Math.sqrt(meanSquares(table).error),
            spacing: study.spacing,
            sides: table.length,
            trials: study.trials,
            on: study.finishedAt!.slice(0, 10),
          },
        ];
      }),
    );
  const shifts = finished
    .filter((study) => study.kind === 'agreement')
    .flatMap((study): InstrumentShift[] => {
      const differences = partMeans(study).map(([first, second]) => first! - second!);
      const n = differences.length;
      if (n < 2) return [];
      const bias = differences.reduce((sum, value) => sum + value, 0) / n;
      const sd = Math.sqrt(differences.reduce((sum, value) => sum + (value - bias) ** 2, 0) / (n - 1));
      return [
        {
          motionId: study.motionId,
          first: study.instruments[0]!,
          second: study.instruments[1]!,
          bias,
          biasError: sd / Math.sqrt(n),
          sd,
          used: study.used,
          pairs: n,
          on: study.finishedAt!.slice(0, 10),
        },
      ];
    });
  const examiners = finished
    .filter((study) => study.kind === 'repeatability' && study.used)
    .flatMap((study): ExaminerShift[] =>
      study.examinerIds.flatMap((first, i) =>
        study.examinerIds.slice(i + 1).flatMap((second, j): ExaminerShift[] => {
          const found = differencesOf(study, i, i + 1 + j);
          return found === null
            ? []
            : [
                {
                  motionId: study.motionId,
                  instrument: study.instruments[0]!,
                  first,
                  second,
                  ...found,
                  on: study.finishedAt!.slice(0, 10),
                },
              ];
        }),
      ),
    );
  return { own, shifts, examiners };
}

/** First less second part of each side that both read: the mean, its error, how it scatters. Null for fewer than three sides. */
function differencesOf(
  study: Pick<StudyFields, 'values'>,
  first: number,
  second: number,
): { readonly bias: number; readonly biasError: number; readonly sd: number; readonly pairs: number } | null {
  const differences = partMeans(study).map((means) => means[first]! - means[second]!);
  const pairs = differences.length;
  if (pairs < 3) return null;
  const bias = differences.reduce((sum, value) => sum + value, 0) / pairs;
  const sd = Math.sqrt(differences.reduce((sum, value) => sum + (value - bias) ** 2, 0) / (pairs - 1));
  return { bias, biasError: sd / Math.sqrt(pairs), sd, pairs };
}

/** What is wrong with a study's fields, in words, or null; beyond what their types say. */
export function studyProblem(study: StudyFields): string | null {
  const motion = motionOf(study.motionId);
  const { kind, instruments, examinerIds, subjects, trials, values } = study;
  if (instruments.length !== (kind === 'agreement' ? 2 : 1) || new Set(instruments).size !== instruments.length)
    return kind === 'agreement' ? 'Agreement compares two different instruments.' : 'Repeatability is of one instrument.';
  if (!instruments.every((instrument) => motion.instruments.includes(instrument))) return `${motion.name} is not measured with that.`;
  if (kind === 'agreement' ? examinerIds.length !== 1 : examinerIds.length < 1 || examinerIds.length > STUDY_LIMITS.examiners)
    return kind === 'agreement' ? 'Agreement is read by one examiner.' : `One to ${STUDY_LIMITS.examiners} examiners read.`;
  if (new Set(examinerIds).size !== examinerIds.length) return 'An examiner is named twice.';
  const wrongSide = subjects.find((subject) => !motion.sides.includes(subject.side));
  if (wrongSide) return `${motion.name} has no ${wrongSide.side} side.`;
  if (new Set(subjects.map((subject) => `${subject.label}/${subject.side}`)).size !== subjects.length)
    return 'A side of a person is named twice.';
  const parts = partsOf(study);
  if (values.length !== subjects.length || !values.every((row) => row.length === parts && row.every((part) => part.length === trials)))
    return 'The table of values does not fit the study.';
  const { min, max } = motion.possible;
  return values.flat(2).some((value) => value !== null && (value < min || value > max))
    ? `A value lies outside what this motion can read: ${min} to ${max}.`
    : null;
}

/** A table without a value, of the right size. */
export function emptyValues(study: Pick<StudyFields, 'kind' | 'examinerIds' | 'instruments' | 'subjects' | 'trials'>): null[][][] {
  return study.subjects.map(() => Array.from({ length: partsOf(study) }, () => Array.from({ length: study.trials }, () => null)));
}
