import { knowledgeOf, type Study, type StudyFields } from '@pace-bend/core/record';
import type { Instrument } from '@pace-bend/core/body';
import type { ErrorKnowledge } from '@pace-bend/core/measure';
import { pooledWithin } from '@pace-bend/core/reliability';
import { change, firstRow, fromJson, iso, rows, type Db } from '../db/pool.ts';

interface StudyRow extends Omit<Study, 'instruments' | 'examinerIds' | 'subjects' | 'values' | 'startedAt' | 'finishedAt' | 'used'> {
  readonly instruments: unknown;
  readonly examinerIds: unknown;
  readonly subjects: unknown;
  readonly taken: unknown;
  readonly startedAt: Date;
  readonly finishedAt: Date | null;
  readonly used: number;
}

const COLUMNS =
  'id, kind, motion_id AS motionId, instruments, examiner_ids AS examinerIds, spacing, trials, subjects, taken, used, started_at AS startedAt, started_by AS startedBy, finished_at AS finishedAt, revision';

function studyFrom({ taken, ...row }: StudyRow): Study {
  return {
    ...row,
    instruments: fromJson(row.instruments),
    examinerIds: fromJson(row.examinerIds),
    subjects: fromJson(row.subjects),
    values: fromJson(taken),
    used: row.used === 1,
    startedAt: iso(row.startedAt),
    finishedAt: row.finishedAt ? iso(row.finishedAt) : null,
  };
}

/** The practice's studies, newest first. */
export async function studiesOf(db: Db, practiceId: string): Promise<Study[]> {
  return (
    await rows<StudyRow>(db, `SELECT ${COLUMNS} FROM error_study WHERE practice_id = ? ORDER BY started_at DESC, id`, [practiceId])
  ).map(studyFrom);
}

export async function studyById(db: Db, practiceId: string, id: string): Promise<Study | null> {
  const row = await firstRow<StudyRow>(db, `SELECT ${COLUMNS} FROM error_study WHERE practice_id = ? AND id = ?`, [practiceId, id]);
  return row && studyFrom(row);
}

/** What the practice knows of its own measuring. */
export async function errorKnowledge(db: Db, practiceId: string): Promise<ErrorKnowledge> {
  return knowledgeOf(
    (await rows<StudyRow>(db, `SELECT ${COLUMNS} FROM error_study WHERE practice_id = ? AND finished_at IS NOT NULL`, [practiceId])).map(
      studyFrom,
    ),
  );
}

export async function insertStudy(db: Db, practiceId: string, id: string, study: StudyFields, at: Date, by: string): Promise<void> {
  await change(
    db,
    'INSERT INTO error_study (id, practice_id, kind, motion_id, instruments, examiner_ids, spacing, trials, subjects, taken, started_at, started_by) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)',
    [
      id,
      practiceId,
      study.kind,
      study.motionId,
      JSON.stringify(study.instruments),
      JSON.stringify(study.examinerIds),
      study.spacing,
      study.trials,
      JSON.stringify(study.subjects),
      JSON.stringify(study.values),
      at,
      by,
    ],
  );
}

/** Changes a study that is not finished if it still has the revision; returns whether it had. What it is a study of stays. */
export async function updateStudy(
  db: Db,
  practiceId: string,
  id: string,
  revision: number,
  { subjects, values, spacing }: StudyFields,
): Promise<boolean> {
  const touched = await change(
    db,
    'UPDATE error_study SET subjects = ?, taken = ?, spacing = ?, revision = revision + 1 WHERE practice_id = ? AND id = ? AND revision = ? AND finished_at IS NULL',
    [JSON.stringify(subjects), JSON.stringify(values), spacing, practiceId, id, revision],
  );
  return touched === 1;
}

/** A finished repeatability study is used at once; an agreement only when somebody says so. */
export async function finishStudy(db: Db, practiceId: string, id: string, revision: number, at: Date): Promise<boolean> {
  return (
    (await change(
      db,
      "UPDATE error_study SET finished_at = ?, used = (kind = 'repeatability'), revision = revision + 1 WHERE practice_id = ? AND id = ? AND revision = ? AND finished_at IS NULL",
      [at, practiceId, id, revision],
    )) === 1
  );
}

export async function useStudy(db: Db, practiceId: string, id: string, revision: number, used: boolean): Promise<boolean> {
  return (
    (await change(
      db,
      'UPDATE error_study SET used = ?, revision = revision + 1 WHERE practice_id = ? AND id = ? AND revision = ? AND finished_at IS NOT NULL',
      [used, practiceId, id, revision],
    )) === 1
  );
}

/** Drops a study that was never finished. */
export async function dropStudy(db: Db, practiceId: string, id: string): Promise<boolean> {
  return (await change(db, 'DELETE FROM error_study WHERE practice_id = ? AND id = ? AND finished_at IS NULL', [practiceId, id])) === 1;
}

/** Takes an athlete's name out of every study; the values stay, they are nobody's any more. */
export async function forgetInStudies(db: Db, athleteId: string): Promise<void> {
  const found = await rows<{ id: string; subjects: unknown }>(
    db,
    "SELECT id, subjects FROM error_study WHERE JSON_SEARCH(subjects, 'one', ?) IS NOT NULL",
    [athleteId],
  );
  for (const row of found) {
    const subjects = fromJson<StudyFields['subjects']>(row.subjects).map((subject, i) =>
      subject.athleteId === athleteId ? { ...subject, athleteId: null, label: `Erased ${i + 1}` } : subject,
    );
    await change(db, 'UPDATE error_study SET subjects = ?, revision = revision + 1 WHERE id = ?', [JSON.stringify(subjects), row.id]);
  }
}

/** Accounts that may measure, closed ones too: their studies stay. */
export async function examinersOf(
  db: Db,
  practiceId: string,
): Promise<{ readonly id: string; readonly name: string; readonly active: boolean }[]> {
  const found = await rows<{ id: string; name: string; active: number }>(
    db,
    "SELECT id, name, active FROM account WHERE practice_id = ? AND role <> 'coach' ORDER BY name",
    [practiceId],
  );
  return found.map((row) => ({ ...row, active: row.active === 1 }));
}

/** What an examiner's repeats within a visit say, by motion and instrument. */
export interface WithinDayRow {
  readonly motionId: string;
  readonly instrument: Instrument;
  readonly sd: number;
  readonly sets: number;
  readonly df: number;
}

/** Pools the trials of an examiner's readings that stand, from a day on; readings with a single trial say nothing. */
export async function withinDay(db: Db, examinerId: string, since: Date): Promise<WithinDayRow[]> {
  const found = await rows<{ motionId: string; instrument: Instrument; trials: unknown }>(
    db,
    `SELECT r.motion_id AS motionId, r.instrument, r.trials FROM rom_reading r LEFT JOIN rom_reading later ON later.supersedes = r.id
     WHERE r.examiner_id = ? AND r.taken_at >= ? AND later.id IS NULL AND JSON_LENGTH(r.trials) > 1`,
    [examinerId, since],
  );
  const groups = new Map<string, { readonly head: (typeof found)[number]; readonly sets: number[][] }>();
  for (const row of found) {
    const key = `${row.motionId}/${row.instrument}`;
    const group = groups.get(key) ?? { head: row, sets: [] };
    groups.set(key, group);
    group.sets.push(fromJson(row.trials));
  }
  return [...groups.values()].map(({ head: { motionId, instrument }, sets }) => {
    const { sd, df, sets: used } = pooledWithin(sets);
    return { motionId, instrument, sd: sd!, sets: used, df };
  });
}
