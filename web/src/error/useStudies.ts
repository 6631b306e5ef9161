import { computed, onScopeDispose, ref, shallowRef } from 'vue';
import { v7 as uuid } from 'uuid';
import type { Instrument } from '@pace-bend/core/body';
import type { Study, StudyFields } from '@pace-bend/core/record';
import { api } from '../api/api.ts';
import { useOutbox } from '../stores/outbox.ts';
import { useSession } from '../stores/session.ts';
import { t } from '../words/error.ts';

const recordOf = (studyId: string) => `study/${studyId}`;

export interface Examiner {
  readonly id: string;
  readonly name: string;
  readonly active: boolean;
}

/** One's own repeats within visits over the last year, as the server pools them. */
export interface WithinDayRow {
  readonly motionId: string;
  readonly instrument: Instrument;
  readonly sd: number;
  readonly sets: number;
  readonly df: number;
}

/** The practice's studies of its measuring error. All of these throw ApiProblem. */
export function useStudies() {
  const outbox = useOutbox();
  const session = useSession();
  /** What the server said last. */
  const served = shallowRef<readonly Study[]>([]);
  /** With what was read and waits. */
  const studies = computed<readonly Study[]>(() =>
    served.value.concat(begun()).map((study) =>
      outbox
        .of(recordOf(study.id))
        .filter((change) => change.refusal === null)
        .reduce<Study>((each, change) => ({ ...each, ...change.body }), study),
    ),
  );
  const examiners = shallowRef<readonly Examiner[]>([]);
  const within = shallowRef<readonly WithinDayRow[]>([]);
  const loaded = ref(false);

  async function load(): Promise<void> {
    const [all, pooled] = await Promise.all([
      api<{ studies: Study[]; examiners: Examiner[] }>('GET', '/studies'),
      api<{ rows: WithinDayRow[] }>('GET', '/studies/within-day'),
    ]);
    served.value = all.studies;
    examiners.value = all.examiners;
    within.value = pooled.rows;
    loaded.value = true;
  }

  /** Studies that were begun while the server could not be reached. */
  function begun(): Study[] {
    return outbox.changes
      .filter(
        (change) =>
          change.record.startsWith('study/') &&
          change.refusal === null &&
          change.revision?.base === 0 &&
          !served.value.some((study) => recordOf(study.id) === change.record),
      )
      .map((change) => ({
        ...(change.body as unknown as StudyFields),
        id: change.record.slice('study/'.length),
        revision: 0,
        startedAt: change.madeAt,
        startedBy: session.me?.name ?? '',
        finishedAt: null,
        used: false,
      }));
  }

  function take(study: Study): Study {
    served.value = served.value.some((each) => each.id === study.id)
      ? served.value.map((each) => (each.id === study.id ? study : each))
      : [study, ...served.value];
    return study;
  }
  onScopeDispose(
    outbox.hearAnswers((change, answer) => {
      if (change.record.startsWith('study/')) take(answer as Study);
    }),
  );

  const standing = (id: string) => served.value.find((study) => study.id === id);
  function put(id: string, fields: StudyFields, before?: Pick<StudyFields, 'values'>) {
    const record = recordOf(id);
    return {
      record,
      spot: 'study',
      words: t('studyMeasuringError'),
      method: 'PUT',
      path: `/studies/${id}`,
      body: { ...fields },
      join: 'fields',
      revision: { of: record, base: standing(id)?.revision ?? 0 },
      ...(before ? { before: { ...fields, ...before } } : {}),
    } as const;
  }

  const fieldsOf = ({ kind, motionId, instruments, examinerIds, spacing, trials, subjects, values }: StudyFields): StudyFields => ({
    kind,
    motionId,
    instruments,
    examinerIds,
    spacing,
    trials,
    subjects,
    values,
  });

  return {
    studies,
    examiners,
    within,
    loaded,
    load,
    /** Begins a study; it can be read at once, whether or not the server was reached. */
    async begin(fields: StudyFields): Promise<Study> {
      const id = uuid();
      await outbox.ask(put(id, fields));
      return studies.value.find((study) => study.id === id)!;
    },
    /** Writes what was read so far. Refused, it stays as it was typed and is said at the head. */
    write: (study: Study, values: StudyFields['values']) =>
      outbox.put(put(study.id, { ...fieldsOf(study), values }, { values: standing(study.id)?.values ?? [] })),
    /** What waits of a study. */
    waiting: (study: Study) => outbox.of(recordOf(study.id)),
    flush: (study: Study) => outbox.flush(recordOf(study.id)),
    finish: async (study: Study) =>
      take(await api<Study>('POST', `/studies/${study.id}/finish`, { revision: standing(study.id)?.revision ?? 0 })),
    use: async (study: Study, used: boolean) =>
      take(await api<Study>('POST', `/studies/${study.id}/use`, { revision: study.revision, used })),
    drop: async (study: Study) => {
      served.value = (await api<{ studies: Study[] }>('DELETE', `/studies/${study.id}`)).studies;
    },
  };
}

export type Studies = ReturnType<typeof useStudies>;
