import { computed, ref, shallowRef } from 'vue';
import type { SeasonFile, SeasonOwner } from '@pace-bend/core/record';
import { laidOver, type SeasonPlan } from '@pace-bend/core/season';
import { api, ApiProblem } from '../api/api.ts';
import { useAction } from '../parts/useAction.ts';

/** Whose season is looked at. */
export interface SeasonOf {
  readonly owner: SeasonOwner;
  readonly id: string | null;
}

/** Something that was done, and how it is taken back and done again. */
export interface SeasonStep {
  readonly words: string;
  readonly back: () => Promise<void>;
  readonly again: () => Promise<void>;
}

/** So many steps can be taken back. */
const MOST_STEPS = 60;

export const seasonPath = ({ owner, id }: SeasonOf): string =>
  owner === 'everybody' ? '/season' : `/${owner === 'squad' ? 'squads' : 'athletes'}/${encodeURIComponent(id ?? '')}/season`;

/** One season: what there is, what is changed about it, and undo. Each change is written at once; refused, it is taken back and said. */
export function useSeason() {
  const file = shallowRef<SeasonFile | null>(null);
  const readProblem = shallowRef<ApiProblem | null>(null);
  /** Shown before the server has answered. */
  const draft = shallowRef<SeasonPlan | null>(null);
  const { busy, problem, run } = useAction();
  const done = ref<readonly SeasonStep[]>([]);
  const undone = ref<readonly SeasonStep[]>([]);
  /** One thing after another: what is asked while another is on its way waits for it. */
  let last: Promise<unknown> = Promise.resolve();
  function inTurn<T>(work: () => Promise<T>): Promise<T> {
    const mine = last.then(work);
    last = mine.catch(() => undefined);
    return mine;
  }
  let of: SeasonOf = { owner: 'everybody', id: null };
  let turn = 0;

  const plan = computed(() => draft.value ?? file.value?.plan ?? null);
  /** The blocks that count, an athlete's own over those that are followed. */
  const line = computed(() => laidOver(file.value?.followed?.plan.blocks ?? [], plan.value?.blocks ?? []));
  const stays = computed(() => [...(plan.value?.stays ?? []), ...(file.value?.followed?.plan.stays ?? [])]);

  /** Reads a season; of two asked for the later one is shown. Another one's steps are not this one's. */
  async function open(wanted: SeasonOf): Promise<void> {
    // What is on its way belongs to the one that was open.
    await inTurn(() => Promise.resolve(turnTo(wanted)));
    await reload();
  }
  function turnTo(wanted: SeasonOf): void {
    if (wanted.owner !== of.owner || wanted.id !== of.id) {
      done.value = [];
      undone.value = [];
      file.value = null;
    }
    of = wanted;
    draft.value = null;
    problem.value = null;
  }

  async function reload(): Promise<void> {
    const mine = ++turn;
    try {
      const found = await api<SeasonFile>('GET', seasonPath(of));
      if (mine !== turn) return;
      file.value = found;
      readProblem.value = null;
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
      if (mine === turn) readProblem.value = error;
    }
  }

  /** Writes a plan; `revision` stands in the file that is shown. */
  async function put(next: SeasonPlan): Promise<void> {
    draft.value = next;
    try {
      const { blocks, stays: all, follows, notAt, rhythm } = next;
      const sent = { revision: file.value!.revision, blocks, stays: all, follows, notAt, rhythm };
      const mine = ++turn;
      const found = await api<SeasonFile>('PUT', seasonPath(of), sent);
      if (mine === turn) file.value = found;
    } finally {
      if (draft.value === next) draft.value = null;
    }
  }

  /** Does something and keeps how it is taken back. */
  const step = (words: string, again: () => Promise<void>, back: () => Promise<void>): Promise<boolean> =>
    inTurn(() => stepNow(words, again, back));
  async function stepNow(words: string, again: () => Promise<void>, back: () => Promise<void>): Promise<boolean> {
    const worked = await run(again);
    if (worked) {
      done.value = [...done.value, { words, back, again }].slice(-MOST_STEPS);
      undone.value = [];
    } else if (problem.value?.status === 409) await reload();
    return worked;
  }

  /** Changes the plan. */
  function change(words: string, next: SeasonPlan): Promise<boolean> {
    let before = file.value!.plan;
    draft.value = next;
    const whose = of;
    return inTurn(() =>
      whose === of
        ? stepNow(
            words,
            () => {
              before = file.value!.plan;
              return put(next);
            },
            () => put(before),
          )
        : Promise.resolve(false),
    );
  }

  const undo = (): Promise<void> =>
    inTurn(async () => {
      const latest = done.value.at(-1);
      if (!latest || !(await run(latest.back))) return;
      done.value = done.value.slice(0, -1);
      undone.value = [...undone.value, latest];
    });
  const redo = (): Promise<void> =>
    inTurn(async () => {
      const latest = undone.value.at(-1);
      if (!latest || !(await run(latest.again))) return;
      undone.value = undone.value.slice(0, -1);
      done.value = [...done.value, latest];
    });

  return { file, readProblem, plan, line, stays, busy, problem, done, undone, open, reload, change, step, undo, redo };
}
