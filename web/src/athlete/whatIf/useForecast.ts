import { onBeforeUnmount, ref, shallowRef } from 'vue';
import type { Side } from '@pace-bend/core/body';
import type { Outlook, ResponseFacts, ResponseFile, Schedule } from '@pace-bend/core/cycle';
import type { ErrorKnowledge } from '@pace-bend/core/measure';
import { ApiProblem } from '../../api/api.ts';
import { read } from '../../api/kept.ts';
import { usePractice } from '../../stores/practice.ts';
import { useShelf } from '../../stores/shelf.ts';
import type { ForecastAnswer, ForecastQuestion, Said, Spot } from '../../workers/forecast.worker.ts';
import { t } from '../../words/athlete.ts';

/** What is asked about one motion and side. */
export interface Look {
  readonly motionId: string;
  readonly side: Side;
  readonly goal: number | null;
  readonly end: number;
  readonly schedules: readonly Schedule[];
}

/** What an athlete's range will do, worked out by a worker: first it learns, then it looks ahead as often as it is asked. */
export function useForecast() {
  const practice = usePractice();
  const shelf = useShelf();
  const state = ref<'reading' | 'learning' | 'ready' | 'failed'>('reading');
  const problem = shallowRef<ApiProblem | null>(null);
  const failure = ref('');
  /** How far learning, or looking, is: 0 to 1; null while nothing is under way. */
  const share = ref<number | null>(null);
  const spots = shallowRef<readonly Spot[]>([]);
  const outlooks = shallowRef<readonly (Outlook | null)[]>([]);
  const said = shallowRef<Said | null>(null);
  /** What was read and done of the athlete. */
  const facts = shallowRef<ResponseFacts | null>(null);
  let worker: Worker | null = null;
  let turn = 0;

  function end(): void {
    worker?.terminate();
    worker = null;
  }
  /** Left meanwhile: what is read then starts nothing any more. */
  let left = false;
  onBeforeUnmount(() => {
    left = true;
    end();
  });

  const ask = (question: ForecastQuestion) => worker?.postMessage(JSON.parse(JSON.stringify(question)));

  /** Reads what there is of an athlete and learns from it. */
  async function open(athleteId: string, errors: ErrorKnowledge): Promise<void> {
    end();
    state.value = 'reading';
    problem.value = null;
    spots.value = [];
    try {
      const [file] = await Promise.all([
        read<ResponseFile>(`/athletes/${encodeURIComponent(athleteId)}/response`),
        practice.load(),
        shelf.load(),
      ]);
      if (left) return;
      facts.value = file.own;
      state.value = 'learning';
      share.value = 0;
      worker = new Worker(new URL('../../workers/forecast.worker.ts', import.meta.url), { type: 'module' });
      worker.onmessage = ({ data }: MessageEvent<ForecastAnswer>) => hear(data);
      worker.onerror = () => hear({ kind: 'failed', message: t('forecastCouldNotStarted') });
      ask({ kind: 'learn', file, today: practice.today, zone: practice.zone, errors, items: shelf.items });
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
      problem.value = error;
      state.value = 'failed';
    }
  }

  /** Looks ahead; what was asked before and is not answered is dropped. What was seen stays until there is something else to see. */
  function look(wanted: Look): void {
    turn += 2;
    share.value = 0;
    ask({ kind: 'look', turn, ...wanted });
  }

  /** Leaves off looking; what is there already stays. */
  function cancel(): void {
    turn += 1;
    share.value = null;
    ask({ kind: 'cancel' });
  }

  function hear(answer: ForecastAnswer): void {
    if ('turn' in answer && answer.turn !== turn) return;
    switch (answer.kind) {
      case 'learning':
      case 'looking':
        share.value = answer.share;
        return;
      case 'learned':
        spots.value = answer.spots;
        share.value = null;
        state.value = 'ready';
        return;
      case 'outlook':
        outlooks.value = Object.assign([...outlooks.value], { [answer.at]: answer.outlook });
        return;
      case 'said':
        said.value = answer.said;
        share.value = null;
        return;
      case 'failed':
        failure.value = answer.message;
        share.value = null;
        state.value = 'failed';
    }
  }

  /** Nothing of another motion is left on the screen. */
  function clear(): void {
    outlooks.value = [];
    said.value = null;
  }

  return { state, problem, failure, share, spots, outlooks, said, facts, open, look, cancel, clear };
}
