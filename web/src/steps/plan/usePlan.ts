import { computed, ref, shallowRef, watch } from 'vue';
import { storeToRefs } from 'pinia';
import { v7 as uuid } from 'uuid';
import { motionOf, type Side } from '@pace-bend/core/body';
import { motionSide, workedSides, type Entry } from '@pace-bend/core/catalogue';
import { errorOf } from '@pace-bend/core/measure';
import {
  checkBlock,
  doseOf,
  fits,
  newBlock,
  roundShares,
  sidesOf,
  SLOW_BREATH,
  techniquesOf,
  type BlockPlan,
  type BreathPace,
  type Line,
  type Shelf,
} from '@pace-bend/core/method';
import {
  mirrored,
  moveBlock,
  oneSideFirst,
  orderProblems,
  placeBlock,
  predictEdges,
  responseOf,
  sessionStrip,
  type PredictedEdge,
} from '@pace-bend/core/session';
import { currentReadings, lineOfRun, stiffestFirst, type EdgeAtStart, type VisitFile } from '@pace-bend/core/record';
import { usePractice } from '../../stores/practice.ts';
import {
  blockCautions,
  blocking,
  cautionsFor,
  limitedBlock,
  measuring,
  overriddenFor,
  type Caution,
  type CautionContext,
  type SideCautions,
} from '@pace-bend/core/caution';
import { useShelf } from '../../stores/shelf.ts';
import { useVisit } from '../../stores/visit.ts';

/** How many of the stiffest motions are offered. */
const OFFERS = 4;
/** And for each so many entries of a kind: lengthening first, then broad work, then the joint. */
const OFFERS_EACH = [
  ['specific', 2],
  ['broad', 1],
  ['joint', 1],
] as const;

function offeredFor(entries: readonly Entry[], motionId: string, shelf: Shelf): Entry[] {
  const shareOf = (entry: Entry) => shelf.methods.get(entry.ways[0])?.share ?? 0;
  const fit = entries.filter((entry) => entry.motionId === motionId && entry.measured && !entry.afterOperation);
  // Of one kind first what its usual way lengthens most.
  return OFFERS_EACH.flatMap(([stage, most]) =>
    fit
      .filter((entry) => entry.stage === stage)
      .sort((a, b) => shareOf(b) - shareOf(a))
      .slice(0, most),
  );
}
/** The entry's own order of ways, a practice's own a little behind the one it was made from. */
const rankOf = (entry: Entry, method: { readonly id: string; readonly madeFrom?: string }) => {
  const at = entry.ways.indexOf(method.madeFrom ?? method.id);
  return (at < 0 ? entry.ways.length : at) + (method.madeFrom === undefined ? 0 : 1.5);
};

/** Today's edges: what was read before work. */
export function edgesOf(file: VisitFile): EdgeAtStart[] {
  return currentReadings(file.readings)
    .filter((reading) => reading.moment === 'before')
    .map(({ motionId, side, value }) => ({ motionId, side, value: value! }));
}

/** Whether a motion was read on a side, by the edges of today. */
export const measuredIn =
  (edges: readonly EdgeAtStart[]) =>
  (motionId: string, side: Side): boolean =>
    edges.some((edge) => edge.motionId === motionId && edge.side === side);

/** Whether cautions let a motion be measured on a side. */
export const mayMeasureIn =
  (file: VisitFile, context: CautionContext) =>
  (motionId: string, side: Side): boolean =>
    blocking(cautionsFor(context, measuring(motionId, side)), overriddenFor(file.overrides, motionId, side)).length === 0;

export function breathOf(file: VisitFile): BreathPace {
  return { ...SLOW_BREATH, periodMs: file.athlete.breathPeriodMs };
}

/** The line of a plan, or null while a number in it is not sound. */
export function lineOf(blocks: readonly BlockPlan[], breath: BreathPace, edges: readonly EdgeAtStart[], shelf: Shelf): Line | null {
  if (blocks.some((block) => checkBlock(block, shelf).length > 0)) return null;
  return lineOfRun({ blocks, breath, edges }, shelf);
}

/** Whether cautions forbid a block as things stand, on any of its sides. */
export function isForbidden(file: VisitFile, context: Parameters<typeof limitedBlock>[1], block: BlockPlan, shelf: Shelf): boolean {
  return blockCautions(block, context, file.overrides, shelf).some((side) => side.blocking.length > 0);
}

/** The plan of the open visit while it is being made: offers, blocks, undo, and the line they compile to. */
export function usePlan() {
  const visit = useVisit();
  const practice = usePractice();
  const store = useShelf();
  const shelf = computed(() => store.shelf);
  const file = computed(() => visit.file!);
  const edges = computed(() => edgesOf(file.value));
  const context = computed(() => visit.cautionContext!);
  /** The limits that cautions set are written into every block, and anew whenever the file changes. */
  const limited = (next: readonly BlockPlan[]) => next.map((block) => limitedBlock(block, context.value, shelf.value));
  const blocks = shallowRef<readonly BlockPlan[]>(visit.finished ? file.value.plan.blocks : limited(file.value.plan.blocks));
  const { planDone: done, planUndone: undone } = storeToRefs(visit);
  /** Why the last move was not made. */
  const refusal = ref('');
  /** What is shown first is work whose effect is measured, not the warm-up before it. */
  const firstShown = blocks.value.find((block) => store.shelf.entries.get(block.entryId)?.measured) ?? blocks.value[0];
  const selectedId = ref(firstShown?.id ?? '');
  const selectedSide = ref<Side>(firstShown?.sides[0]?.side ?? 'left');

  const selected = computed(() => blocks.value.find((block) => block.id === selectedId.value) ?? blocks.value[0] ?? null);
  const selectedIndex = computed(() => (selected.value ? blocks.value.indexOf(selected.value) : -1));
  const line = computed(() => lineOf(blocks.value, breathOf(file.value), edges.value, shelf.value));
  const doses = computed(() => (line.value ? doseOf(line.value) : []));

  const stiffness = computed(() =>
    stiffestFirst({
      person: file.value.athlete,
      onDay: practice.dayOf(file.value.visit.startsAt),
      today: currentReadings(file.value.readings).map((reading) => ({ ...reading, value: reading.value! })),
      past: file.value.past,
      errors: file.value.errors,
    }).map((each) => each.stiffness),
  );

  /** The stiffest motions with what can be done for each. */
  const offers = computed(() =>
    stiffness.value.slice(0, OFFERS).flatMap((row) =>
      offeredFor(store.entries, row.motion.id, shelf.value).map((entry) => ({
        ...row,
        entry,
        ways: store.methods
          .filter((method) => fits(entry, method))
          .sort((a, b) => rankOf(entry, a) - rankOf(entry, b))
          .map((method) => ({ method, closedBy: closedBy(entry, method.id) })),
      })),
    ),
  );

  /** What closes an offer on every side with no way round it: scope, consent, a no-touch area. Null: it can be taken. */
  function closedBy(entry: Entry, way: string): Caution | null {
    const firm = blockCautions(newBlock('offer', entry.id, way, sidesOf(entry), shelf.value), context.value, [], shelf.value).map((side) =>
      side.blocking.find((caution) => !caution.canOverride),
    );
    return firm.every((caution) => caution !== undefined) ? firm[0]! : null;
  }

  /** What cautions say of the block shown, by side. */
  const cautions = computed<readonly SideCautions[]>(() =>
    selected.value ? blockCautions(selected.value, context.value, file.value.overrides, shelf.value) : [],
  );
  const forbidden = computed(() =>
    visit.finished ? [] : blocks.value.filter((block) => isForbidden(file.value, context.value, block, shelf.value)),
  );

  /** One gesture, however many steps it has, is undone at once. */
  let lastGesture: string | null = null;

  function put(next: readonly BlockPlan[], gesture: string | null = null): void {
    if (visit.finished) return;
    if (gesture === null || gesture !== lastGesture) done.value = [...done.value, blocks.value];
    lastGesture = gesture;
    refusal.value = '';
    undone.value = [];
    show(next);
  }

  function show(next: readonly BlockPlan[]): void {
    blocks.value = limited(next);
    if (selected.value && !selected.value.sides.some((each) => each.side === selectedSide.value))
      selectedSide.value = selected.value.sides[0]?.side ?? 'left';
    keep();
  }

  /** Numbers that are not sound, and blocks that cautions forbid, stay on the screen beside their message; what is kept can always be run. */
  function keep(): void {
    if (
      blocks.value.every(
        (block) => checkBlock(block, shelf.value).length === 0 && !isForbidden(file.value, context.value, block, shelf.value),
      )
    )
      visit.setBlocks(blocks.value);
  }
  // Limits that are new since the plan was kept, and a reason that has just been given.
  const kept = JSON.stringify(file.value.plan.blocks);
  if (!visit.finished && JSON.stringify(blocks.value) !== kept) keep();
  watch(() => file.value.overrides, keep);

  function undo(): void {
    lastGesture = null;
    const before = done.value.at(-1);
    if (!before || visit.finished) return;
    done.value = done.value.slice(0, -1);
    undone.value = [...undone.value, blocks.value];
    show(before);
  }

  function redo(): void {
    lastGesture = null;
    const after = undone.value.at(-1);
    if (!after || visit.finished) return;
    undone.value = undone.value.slice(0, -1);
    done.value = [...done.value, blocks.value];
    show(after);
  }

  /** Adds a block where it belongs in the row; the stiffer side goes first and gets one round more. */
  function add(entryId: string, methodId: string): void {
    const entry = store.entryOf(entryId);
    const own = sidesOf(entry);
    const stiffer = tighterOf(entry);
    const order = stiffer ? [...own].sort((a, b) => Number(b === stiffer) - Number(a === stiffer)) : own;
    const block = newBlock(uuid(), entryId, methodId, order, shelf.value);
    const most = store.methodOf(methodId).rounds.max;
    const sides = block.sides.map((each) =>
      each.side === stiffer && own.length > 1 && each.rounds < most ? { ...each, rounds: each.rounds + 1 } : each,
    );
    select(block.id, sides[0]!.side);
    put(placeBlock(blocks.value, { ...block, sides }, shelf.value));
  }

  /** The side to work on for the side of its motion that is stiffer today, beyond the error. */
  const tighterOf = (entry: Entry): Side | undefined => {
    const read = stiffness.value.find((row) => row.motion.id === entry.motionId && row.score > 0)?.side;
    return read === undefined ? undefined : workedSides(entry, entry.motionId, read)[0];
  };
  /** The side the shown block's motion is read on, for the side shown. */
  const readSide = computed<Side>(() =>
    selected.value
      ? motionSide(store.entryOf(selected.value.entryId), store.entryOf(selected.value.entryId).motionId, selectedSide.value)
      : selectedSide.value,
  );

  function select(id: string, side?: Side): void {
    selectedId.value = id;
    const block = blocks.value.find((each) => each.id === id);
    if (side) selectedSide.value = side;
    else if (block && !block.sides.some((each) => each.side === selectedSide.value)) selectedSide.value = block.sides[0]!.side;
  }

  const replace = (block: BlockPlan, gesture: string | null = null) =>
    put(
      blocks.value.map((each) => (each.id === block.id ? block : each)),
      gesture,
    );
  const remove = (id: string) => put(blocks.value.filter((block) => block.id !== id));

  /** Moves a block to another place of the row, or says which rule forbids it. */
  function moveTo(id: string, to: number): void {
    if (visit.finished) return;
    const moved = moveBlock(blocks.value, id, to, shelf.value);
    refusal.value = 'forbidden' in moved ? moved.forbidden : '';
    if ('blocks' in moved && moved.blocks.some((block, i) => block.id !== blocks.value[i]!.id)) put(moved.blocks);
  }
  const move = (id: string, by: 1 | -1): void => {
    const to = blocks.value.findIndex((block) => block.id === id) + by;
    if (to >= 0 && to < blocks.value.length) moveTo(id, to);
  };

  /** A block for the other side, right behind it. */
  function mirror(id: string): void {
    const at = blocks.value.findIndex((block) => block.id === id);
    if (at < 0) return;
    const copy = mirrored(blocks.value[at]!, uuid());
    select(copy.id, copy.sides[0]!.side);
    put([...blocks.value.slice(0, at + 1), copy, ...blocks.value.slice(at + 1)]);
  }

  /** Everything on one side before anything on the other. */
  const splitSides = (first: 'left' | 'right') => put(oneSideFirst(blocks.value, first, () => uuid(), shelf.value));
  const takePlan = (next: readonly BlockPlan[]) => {
    select(next.find((block) => store.entryOf(block.entryId).measured)?.id ?? next[0]?.id ?? '');
    put(next);
  };

  const strip = computed(() =>
    sessionStrip({
      blocks: blocks.value,
      line: line.value,
      isMeasured: measuredIn(edges.value),
      mayMeasure: mayMeasureIn(file.value, context.value),
      shelf: shelf.value,
    }),
  );
  const order = computed(() => orderProblems(blocks.value, shelf.value));

  /** Where the edge is expected after each round of the side shown, with its band; empty where nothing is lengthened. */
  const predicted = computed<{ readonly edges: readonly PredictedEdge[]; readonly sessions: number } | null>(() => {
    const block = selected.value;
    if (!block) return null;
    const [entry, method] = [store.entryOf(block.entryId), store.methodOf(block.methodId)];
    const motion = motionOf(entry.motionId);
    const start = visit.readings.find(
      (reading) => reading.motionId === motion.id && reading.side === readSide.value && reading.moment === 'before',
    );
    const compiled = line.value;
    if (method.axis !== 'motion' || !start || !compiled || !techniquesOf(method).includes('lengthen')) return null;
    const at = selectedIndex.value;
    // What was worked on this motion and side before shares its gain.
    const shares = compiled.blocks.slice(0, at).flatMap((other, i) =>
      other.motionId === motion.id
        ? sidesOf(store.entryOf(other.entryId))
            .filter((side) => motionSide(store.entryOf(other.entryId), motion.id, side) === readSide.value)
            .flatMap((side) => roundShares(compiled, i, side, shelf.value))
        : [],
    );
    const own = compiled.cues.filter((cue) => cue.blockIndex === at && cue.side === selectedSide.value);
    const response = responseOf(motion.id, file.value.past, file.value.pastBlocks, file.value.errors, shelf.value);
    const error = errorOf(motion, start, file.value.errors, 'within');
    return {
      edges: predictEdges(
        motion,
        { start: start.value!, shares, error, furthest: own[0]?.furthest ?? null },
        roundShares(compiled, at, selectedSide.value, shelf.value),
        response,
      ),
      sessions: response.sessions,
    };
  });

  return {
    visit,
    store,
    shelf,
    strip,
    order,
    predicted,
    refusal,
    file,
    blocks,
    selected,
    selectedIndex,
    selectedSide,
    readSide,
    line,
    doses,
    stiffness,
    offers,
    cautions,
    forbidden,
    canUndo: computed(() => done.value.length > 0),
    canRedo: computed(() => undone.value.length > 0),
    add,
    select,
    replace,
    remove,
    move,
    moveTo,
    mirror,
    splitSides,
    takePlan,
    tighterOf,
    undo,
    redo,
  };
}

export type PlanEditor = ReturnType<typeof usePlan>;
