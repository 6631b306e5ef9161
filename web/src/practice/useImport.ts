import { computed, ref, shallowRef } from 'vue';
import {
  ARCHIVE_LIMITS,
  archivePerson,
  archivePieces,
  readArchive,
  type ArchiveFile,
  type ArchivePiece,
  type ArchiveReport,
  type PersonChoice,
} from '@pace-bend/core/exchange';
import { readFhir, type NotUnderstood } from '@pace-bend/core/fhir';
import { ApiProblem, api } from '../api/api.ts';
import { t } from '../words/practice.ts';

/** An athlete of the file, what becomes of them, and how their rows stand here. */
export interface PersonLine {
  readonly id: string;
  readonly name: string;
  readonly birthDate: string;
  report: ArchiveReport;
  /** Left out, somebody new, or who they are here. */
  choice: PersonChoice | 'leave';
  state: 'waiting' | 'imported' | 'failed';
  /** Why it failed. */
  problem: string;
}

/** What a file was found to be. */
interface Opened {
  readonly file: ArchiveFile;
  readonly derived: ArchivePiece['derived'];
  readonly notUnderstood: readonly NotUnderstood[];
}

/** The rows of a report in one number each. */
export const totals = ({ counts }: ArchiveReport) => ({
  fresh: counts.reduce((sum, { fresh }) => sum + fresh, 0),
  here: counts.reduce((sum, { here }) => sum + here, 0),
  left: counts.reduce((sum, { differs, left }) => sum + differs + left, 0),
});

/**
 * Records imported from a file: opened, looked at piece by piece, chosen, and taken in piece by piece, so that a long file shows how far it is,
 * and what is in stays in when the line is cut. Reading on after that adds what is missing.
 */
export function useImport() {
  const opened = shallowRef<Opened | null>(null);
  const wrong = ref('');
  const people = ref<PersonLine[]>([]);
  const shared = shallowRef<ArchiveReport | null>(null);
  /** How far what is under way has come. */
  const progress = ref<{ readonly doing: 'looking' | 'importing'; done: number; readonly of: number } | null>(null);
  const told = ref('');
  let turn = 0;

  const wanted = computed(() => people.value.filter(({ choice, state }) => choice !== 'leave' && state !== 'imported'));

  function forget(): void {
    turn += 1;
    opened.value = null;
    shared.value = null;
    people.value = [];
    progress.value = null;
    wrong.value = '';
    told.value = '';
  }

  function open(text: string): Opened | string {
    const file = readArchive(text);
    if (typeof file !== 'string') return { file, derived: {}, notUnderstood: [] };
    try {
      const bundle = readFhir(JSON.parse(text), new Date().toISOString());
      return bundle === 'This is no FHIR bundle.' ? file : bundle;
    } catch {
      return file;
    }
  }

  /** The choices in the words of the server: who is left out is not named. */
  const choices = (): Record<string, PersonChoice> =>
    Object.fromEntries(people.value.flatMap(({ id, choice }) => (choice === 'leave' ? [] : [[id, choice] as const])));

  async function look(file: File): Promise<void> {
    forget();
    const mine = turn;
    if (file.size > ARCHIVE_LIMITS.fileBytes) {
      wrong.value = t('fileLargerThanMb', { what: ARCHIVE_LIMITS.fileBytes / 1024 / 1024 });
      return;
    }
    const found = open(await file.text());
    if (mine !== turn) return;
    if (typeof found === 'string') {
      wrong.value = found;
      return;
    }
    if (found.file.athletes.some(({ tables }) => archivePerson(tables) === null)) {
      wrong.value = t('athleteFileNoName');
      return;
    }
    const [first, ...rest] = archivePieces(found.file, {}, found.derived);
    progress.value = { doing: 'looking', done: 0, of: rest.length + 1 };
    try {
      const sharedReport = await api<ArchiveReport>('POST', '/archive/look', first);
      for (const piece of rest) {
        if (mine !== turn) return;
        progress.value = { ...progress.value, done: progress.value.done + 1 };
        const report = await api<ArchiveReport>('POST', '/archive/look', piece);
        if (mine !== turn) return;
        people.value.push({
          ...archivePerson(piece.athlete!)!,
          report,
          choice: report.same ? { same: report.same.id } : 'new',
          state: 'waiting',
          problem: '',
        });
      }
      shared.value = sharedReport;
      opened.value = found;
    } catch (error) {
      if (mine !== turn) return;
      if (!(error instanceof ApiProblem)) throw error;
      people.value = [];
      wrong.value = error.errors[0] ? `${error.errors[0].path}: ${error.errors[0].message}` : error.message;
    } finally {
      if (mine === turn) progress.value = null;
    }
  }

  /** Takes in what is shared, then one athlete after another. Whoever fails is told at their line, and the others go on. */
  async function importAll(): Promise<void> {
    const { file, derived } = opened.value!;
    const mine = turn;
    const all = archivePieces(file, choices(), derived);
    const todo = wanted.value.map(({ id }) => id);
    told.value = '';
    wrong.value = '';
    progress.value = { doing: 'importing', done: 0, of: todo.length + 1 };
    let rows = 0;
    try {
      rows += totals(await api<ArchiveReport>('POST', '/archive/take', all[0])).fresh;
      for (const piece of all.slice(1)) {
        const line = people.value.find(({ id }) => id === archivePerson(piece.athlete!)!.id)!;
        if (!todo.includes(line.id)) continue;
        if (mine !== turn) return;
        progress.value = { ...progress.value, done: progress.value.done + 1 };
        try {
          rows += totals(await api<ArchiveReport>('POST', '/archive/take', piece)).fresh;
          line.state = 'imported';
          line.problem = '';
        } catch (error) {
          if (!(error instanceof ApiProblem)) throw error;
          line.state = 'failed';
          line.problem = error.errors[0]?.message ?? error.message;
          if (error.mayPass) throw error;
        }
      }
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
      wrong.value = t('whatImportedUntilThen', { message: error.message });
    } finally {
      progress.value = null;
      const done = people.value.filter(({ state }) => state === 'imported').length;
      told.value = t('importedAdded', { done, count: people.value.length, rows, what: rows === 1 ? t('row') : t('rows') });
    }
  }

  /** Says who somebody is; how their rows stand follows from it, so they are looked at again. */
  async function choose(line: PersonLine, choice: PersonLine['choice']): Promise<void> {
    const before = line.choice;
    line.choice = choice;
    if (choice === 'leave') return;
    const { file, derived } = opened.value!;
    const piece = archivePieces(file, { [line.id]: choice }, derived).find(
      ({ athlete }) => athlete && archivePerson(athlete)!.id === line.id,
    )!;
    try {
      const report = await api<ArchiveReport>('POST', '/archive/look', piece);
      if (line.choice === choice) line.report = { ...report, same: line.report.same };
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
      line.choice = before;
      wrong.value = error.message;
    }
  }

  return { opened, wrong, people, shared, progress, told, wanted, look, choose, importAll, forget };
}
