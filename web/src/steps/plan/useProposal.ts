import { onBeforeUnmount, ref, shallowRef } from 'vue';
import { gather, judge, openQuestions, type CauseKind } from '@pace-bend/core/limiter';
import { motionOf } from '@pace-bend/core/body';
import type { BlockPlan, SideRounds } from '@pace-bend/core/method';
import { compareMotion, currentReadings, type ValueToday } from '@pace-bend/core/record';
import { phaseHold } from '@pace-bend/core/season';
import type { Alternative, KeptFacts, LeftOut, Pin, Proposal, SessionFacts } from '@pace-bend/core/session';
import { usePractice } from '../../stores/practice.ts';
import { useShelf } from '../../stores/shelf.ts';
import { useVisit } from '../../stores/visit.ts';
import type { PlanAnswer, PlanQuestion } from '../../workers/plan.worker.ts';
import { breathOf, responseOfVisit } from './planFacts.ts';
import { t } from '../../words/plan.ts';

/** After so long the best plan so far is shown with its gap. */
const PATIENCE_MS = 8000;

/** The plan that is proposed for the open visit: asked of a worker, with what is pinned, banned, and whether the athlete is warm already. */
export function useProposal() {
  const visit = useVisit();
  const practice = usePractice();
  const shelf = useShelf();

  const state = ref<'none' | 'working' | 'ready' | 'failed'>('none');
  const proposal = shallowRef<Proposal | null>(null);
  const others = shallowRef<readonly Alternative[] | null>(null);
  const leftOut = shallowRef<readonly LeftOut[]>([]);
  /** Whether minutes more were tried for what was left out. */
  const triedMore = ref(false);
  /** How far the search is, with the plan that could be taken now. */
  const bound = shallowRef<{ best: number; bound: number; soFar: Proposal | null } | null>(null);
  const failure = ref('');
  const warm = ref(false);
  const pins = ref<Pin[]>([]);
  const bans = ref<string[]>([]);
  /** What is pinned keeps its order: it was put there by hand. */
  const keepOrder = ref(false);
  let worker: Worker | null = null;
  let askedAt = 0;
  /** What was learned of what is kept, and from what: it is learned anew only where that changed. */
  let learned: { readonly from: string; readonly kept: KeptFacts } | null = null;
  let learningFrom = '';

  function drop(): void {
    worker?.terminate();
    worker = null;
    bound.value = null;
    if (state.value === 'working') state.value = proposal.value ? 'ready' : 'none';
  }
  onBeforeUnmount(drop);

  /** Ends the search. The best plan so far is shown with what a better one could be worth at most. */
  function stop(): void {
    const soFar = bound.value?.soFar ?? null;
    if (soFar) hear({ kind: 'plan', proposal: soFar, ms: performance.now() - askedAt });
    drop();
  }

  /** Asks anew with everything as it is now. What was asked before and not answered is dropped. */
  function ask(): void {
    drop();
    askedAt = performance.now();
    state.value = 'working';
    others.value = null;
    triedMore.value = false;
    worker = new Worker(new URL('../../workers/plan.worker.ts', import.meta.url), { type: 'module' });
    worker.onmessage = ({ data }: MessageEvent<PlanAnswer>) => hear(data);
    worker.onerror = () => hear({ kind: 'failed', message: t('plannerCouldNotStarted') });
    // What is reactive cannot be sent.
    worker.postMessage(
      JSON.parse(
        JSON.stringify({
          facts: factsNow(),
          items: shelf.items,
          response: responseNow(),
          patienceMs: PATIENCE_MS,
        } satisfies PlanQuestion),
      ),
    );
  }

  function hear(answer: PlanAnswer): void {
    switch (answer.kind) {
      case 'kept':
        learned = { from: learningFrom, kept: answer.kept };
        return;
      case 'progress':
        bound.value = answer;
        return;
      case 'plan':
        proposal.value = answer.proposal;
        leftOut.value = answer.proposal.leftOut;
        bound.value = null;
        state.value = 'ready';
        return;
      case 'others':
        others.value = answer.others;
        return;
      case 'more':
        leftOut.value = answer.leftOut;
        triedMore.value = true;
        return;
      case 'failed':
        failure.value = answer.message;
        drop();
        state.value = 'failed';
    }
  }

  function factsNow(): Omit<SessionFacts, 'shelf'> {
    const file = visit.file!;
    const { athlete } = file;
    const onDay = practice.dayOf(file.visit.startsAt);
    const today = currentReadings(file.readings).map((reading): ValueToday => ({ ...reading, value: reading.value! }));
    return {
      person: practice.personOf(athlete),
      onDay,
      today,
      past: file.past,
      pastBlocks: file.pastBlocks,
      goals: file.goals,
      complaint: { region: file.visit.complaintRegion, side: file.visit.complaintSide },
      errors: file.errors,
      daysToEvent: visit.cautionContext!.daysToEvent,
      hold: phaseHold(file.season ?? null, onDay),
      minutes: file.visit.minutesAvailable,
      breath: breathOf(file),
      caution: visit.cautionContext!,
      overrides: file.overrides,
      causes: causesOf(today, onDay),
      warm: warm.value,
      pins: pins.value,
      keepOrder: keepOrder.value,
      bans: bans.value,
      withoutPositions: [],
    };
  }

  /** From what it is to be learned how much of a gain is kept, or what was learned from just that before. */
  function responseNow(): PlanQuestion['response'] {
    const file = visit.file!;
    const facts = responseOfVisit(file, practice.personOf(file.athlete));
    learningFrom = JSON.stringify([facts, file.errors, shelf.items]);
    return learned?.from === learningFrom ? learned.kept : { facts, now: file.visit.startsAt, zone: practice.zone };
  }

  /** What is likely to hold each motion, as far as it was looked at. */
  function causesOf(today: readonly ValueToday[], onDay: string): Record<string, CauseKind> {
    const file = visit.file!;
    const ids = [...new Set(today.filter((value) => value.moment === 'before').map((value) => value.motionId))];
    const rows = ids.map((id) =>
      compareMotion(motionOf(id), 'before', {
        person: practice.personOf(file.athlete),
        onDay,
        today,
        past: file.past,
        errors: file.errors,
      }),
    );
    const evidence = {
      comparisons: new Map(rows.map((row) => [row.motion.id, row])),
      after: new Map(),
      findings: visit.findings,
      conditions: file.conditions,
      onDay,
      worked: [],
      complaint: { region: file.visit.complaintRegion, side: file.visit.complaintSide, score: file.visit.complaintScore },
    };
    return Object.fromEntries(
      rows.flatMap(({ motion }) =>
        motion.sides.flatMap((side) => {
          const judgement = judge(motion, gather(motion, side, evidence), openQuestions(motion, side, evidence));
          return judgement.kind === 'likely' ? [[`${motion.id}/${side}`, judgement.causes[0]!.kind] as const] : [];
        }),
      ),
    );
  }

  /** Puts a pin where one for the same entry was, or at the end: what is kept in order keeps its place. */
  function pin(next: Pin): void {
    const had = pins.value.some((each) => each.entryId === next.entryId);
    pins.value = had ? pins.value.map((each) => (each.entryId === next.entryId ? next : each)) : [...pins.value, next];
    bans.value = bans.value.filter((id) => id !== next.entryId);
    ask();
  }
  /** The same on every side it is worked on, a round more at least. What a hand had arranged stays as it is. */
  function longer(entryId: string, methodId: string, sides: readonly SideRounds[]): void {
    const least = sides.map(({ side, rounds }) => ({ side, rounds: rounds + 1 }));
    const arranged = pins.value.find((each) => each.entryId === entryId && each.methodId === methodId)?.block;
    pin({ entryId, methodId, least, ...(arranged ? { block: arranged } : {}) });
  }
  /** Keeps blocks as they were arranged by hand, in their order, and lets the rest be solved around them. */
  function around(blocks: readonly BlockPlan[]): void {
    const rows = new Map<string, BlockPlan>();
    for (const block of blocks.filter((each) => shelf.entryOf(each.entryId).measured)) {
      const key = `${block.entryId}/${block.methodId}`;
      const so = rows.get(key);
      // Sides that were split into two blocks are one thing to keep.
      rows.set(key, so ? { ...so, sides: [...so.sides, ...block.sides] } : block);
    }
    pins.value = [...rows.values()].map((block) => ({ entryId: block.entryId, methodId: block.methodId, block }));
    bans.value = bans.value.filter((id) => !pins.value.some((pin) => pin.entryId === id));
    keepOrder.value = true;
    ask();
  }
  function unpin(entryId: string): void {
    pins.value = pins.value.filter((each) => each.entryId !== entryId);
    ask();
  }
  function ban(entryId: string): void {
    bans.value = [...bans.value, entryId];
    pins.value = pins.value.filter((each) => each.entryId !== entryId);
    ask();
  }
  function unban(entryId: string): void {
    bans.value = bans.value.filter((id) => id !== entryId);
    ask();
  }

  return {
    state,
    proposal,
    others,
    leftOut,
    triedMore,
    bound,
    failure,
    warm,
    pins,
    bans,
    ask,
    stop,
    around,
    longer,
    pin,
    unpin,
    ban,
    unban,
  };
}

export type ProposalAsked = ReturnType<typeof useProposal>;
