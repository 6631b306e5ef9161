import { ref, shallowRef } from 'vue';
import { v7 as uuid } from 'uuid';
import type { Instrument } from '@pace-bend/core/body';
import type { Study, StudyFields } from '@pace-bend/core/record';
import { api } from '../app/api.ts';

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
  const studies = shallowRef<readonly Study[]>([]);
  const examiners = shallowRef<readonly Examiner[]>([]);
  const within = shallowRef<readonly WithinDayRow[]>([]);
  const loaded = ref(false);

  async function load(): Promise<void> {
    const [all, pooled] = await Promise.all([api<{ studies: Study[]; examiners: Examiner[] }>('GET', '/studies'), api<{ rows: WithinDayRow[] }>('GET', '/studies/within-day')]);
    studies.value = all.studies;
    examiners.value = all.examiners;
    within.value = pooled.rows;
    loaded.value = true;
  }

  function take(study: Study): Study {
    studies.value = studies.value.some((each) => each.id === study.id) ? studies.value.map((each) => (each.id === study.id ? study : each)) : [study, ...studies.value];
    return study;
  }

  const fieldsOf = ({ kind, motionId, instruments, examinerIds, spacing, trials, subjects, values }: StudyFields): StudyFields => ({ kind, motionId, instruments, examinerIds, spacing, trials, subjects, values });

  return {
    studies, examiners, within, loaded, load,
    begin: async (fields: StudyFields) => take(await api<Study>('PUT', `/studies/${uuid()}`, { revision: 0, ...fields })),
    write: async (study: Study, values: StudyFields['values']) => take(await api<Study>('PUT', `/studies/${study.id}`, { revision: study.revision, ...fieldsOf(study), values })),
    finish: async (study: Study) => take(await api<Study>('POST', `/studies/${study.id}/finish`, { revision: study.revision })),
    use: async (study: Study, used: boolean) => take(await api<Study>('POST', `/studies/${study.id}/use`, { revision: study.revision, used })),
    drop: async (study: Study) => { studies.value = (await api<{ studies: Study[] }>('DELETE', `/studies/${study.id}`)).studies; },
  };
}

export type Studies = ReturnType<typeof useStudies>;
