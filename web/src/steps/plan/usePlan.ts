import { computed, ref, shallowRef, watch } from 'vue';
import { v7 as uuid } from 'uuid';
import { motionOf, type Side } from '@pace-bend/core/body';
import { entriesFor, type Entry } from '@pace-bend/core/catalogue';
import { checkBlock, doseOf, findMethod, newBlock, SLOW_BREATH, type BlockPlan, type BreathPace, type Line } from '@pace-bend/core/method';
import { currentReadings, lineOfRun, stiffestFirst, type EdgeAtStart, type VisitFile } from '@pace-bend/core/record';
import { usePractice } from '../../stores/practice.ts';
import { blockCautions, limitedBlock, type Caution, type SideCautions } from '@pace-bend/core/caution';
import { useVisit } from '../../stores/visit.ts';

/** How many of the stiffest motions are offered. */
const OFFERS = 4;

/** Today's edges: what was read before work. */
export function edgesOf(file: VisitFile): EdgeAtStart[] {
  return currentReadings(file.readings).filter((reading) => reading.moment === 'before').map(({ motionId, side, value }) => ({ motionId, side, value: value! }));
}

export function breathOf(file: VisitFile): BreathPace {
  return { ...SLOW_BREATH, periodMs: file.athlete.breathPeriodMs };
}

/** The line of a plan, or null while a number in it is not sound. */
export function lineOf(blocks: readonly BlockPlan[], breath: BreathPace, edges: readonly EdgeAtStart[]): Line | null {
  if (blocks.some((block) => checkBlock(block).length > 0)) return null;
  return lineOfRun({ blocks, breath, edges });
}

/** Whether cautions forbid a block as things stand, on any of its sides. */
export function isForbidden(file: VisitFile, context: Parameters<typeof limitedBlock>[1], block: BlockPlan): boolean {
  return blockCautions(block, context, file.overrides).some((side) => side.blocking.length > 0);
}

/** The plan of the open visit while it is being made: offers, blocks, undo, and the line they compile to. */
export function usePlan() {
  const visit = useVisit();
  const practice = usePractice();
  const file = computed(() => visit.file!);
  const edges = computed(() => edgesOf(file.value));
  const context = computed(() => visit.cautionContext!);
  /** The limits that cautions set are written into every block, and anew whenever the file changes. */
  const limited = (next: readonly BlockPlan[]) => next.map((block) => limitedBlock(block, context.value));
  const blocks = shallowRef<readonly BlockPlan[]>(visit.finished ? file.value.plan.blocks : limited(file.value.plan.blocks));
  const undone = shallowRef<readonly (readonly BlockPlan[])[]>([]);
  const done = shallowRef<readonly (readonly BlockPlan[])[]>([]);
  const selectedId = ref(blocks.value[0]?.id ?? '');
  const selectedSide = ref<Side>(blocks.value[0]?.sides[0]?.side ?? 'left');

  const selected = computed(() => blocks.value.find((block) => block.id === selectedId.value) ?? blocks.value[0] ?? null);
  const selectedIndex = computed(() => (selected.value ? blocks.value.indexOf(selected.value) : -1));
  const line = computed(() => lineOf(blocks.value, breathOf(file.value), edges.value));
  const doses = computed(() => (line.value ? doseOf(line.value) : []));

  const stiffness = computed(() => stiffestFirst({
    person: file.value.athlete,
    onDay: practice.dayOf(file.value.visit.startsAt),
    today: currentReadings(file.value.readings).map((reading) => ({ ...reading, value: reading.value! })),
    past: file.value.past,
    errors: file.value.errors,
  }).map((each) => each.stiffness));

  /** The stiffest motions with what can be done for each. */
  const offers = computed(() => stiffness.value.slice(0, OFFERS).flatMap((row) => entriesFor(row.motion.id).map((entry) => ({
    ...row, entry, ways: entry.ways.map((way) => ({ method: findMethod(way)!, closedBy: closedBy(entry, way) })),
  }))));

  /** What closes an offer on every side with no way round it: scope, consent, a no-touch area. Null: it can be taken. */
  function closedBy(entry: Entry, way: string): Caution | null {
    const firm = blockCautions(newBlock('offer', entry.id, way, motionOf(entry.motionId).sides), context.value, []).map((side) => side.blocking.find((caution) => !caution.canOverride));
    return firm.every((caution) => caution !== undefined) ? firm[0]! : null;
  }

  /** What cautions say of the block shown, by side. */
  const cautions = computed<readonly SideCautions[]>(() => (selected.value ? blockCautions(selected.value, context.value, file.value.overrides) : []));
  const forbidden = computed(() => (visit.finished ? [] : blocks.value.filter((block) => isForbidden(file.value, context.value, block))));

  function put(next: readonly BlockPlan[]): void {
    if (visit.finished) return;
    done.value = [...done.value, blocks.value];
    undone.value = [];
    show(next);
  }

  function show(next: readonly BlockPlan[]): void {
    blocks.value = limited(next);
    if (selected.value && !selected.value.sides.some((each) => each.side === selectedSide.value)) selectedSide.value = selected.value.sides[0]?.side ?? 'left';
    keep();
  }

  /** Numbers that are not sound, and blocks that cautions forbid, stay on the screen beside their message; what is kept can always be run. */
  function keep(): void {
    if (blocks.value.every((block) => checkBlock(block).length === 0 && !isForbidden(file.value, context.value, block))) visit.setBlocks(blocks.value);
  }
  // Limits that are new since the plan was kept, and a reason that has just been given.
  const kept = JSON.stringify(file.value.plan.blocks);
  if (!visit.finished && JSON.stringify(blocks.value) !== kept) keep();
  watch(() => file.value.overrides, keep);

  function undo(): void {
    const before = done.value.at(-1);
    if (!before || visit.finished) return;
    done.value = done.value.slice(0, -1);
    undone.value = [...undone.value, blocks.value];
    show(before);
  }

  function redo(): void {
    const after = undone.value.at(-1);
    if (!after || visit.finished) return;
    undone.value = undone.value.slice(0, -1);
    done.value = [...done.value, blocks.value];
    show(after);
  }

  /** Adds a block; the stiffer side goes first and gets one round more. */
  function add(entryId: string, methodId: string, motionId: string): void {
    const motion = motionOf(motionId);
    const stiffer = stiffness.value.find((row) => row.motion.id === motionId && row.score > 0)?.side;
    const order = stiffer ? [...motion.sides].sort((a, b) => Number(b === stiffer) - Number(a === stiffer)) : motion.sides;
    const block = newBlock(uuid(), entryId, methodId, order);
    const sides = block.sides.map((each) => (each.side === stiffer && motion.sides.length > 1 ? { ...each, rounds: each.rounds + 1 } : each));
    select(block.id, sides[0]!.side);
    put([...blocks.value, { ...block, sides }]);
  }

  function select(id: string, side?: Side): void {
    selectedId.value = id;
    const block = blocks.value.find((each) => each.id === id);
    if (side) selectedSide.value = side;
    else if (block && !block.sides.some((each) => each.side === selectedSide.value)) selectedSide.value = block.sides[0]!.side;
  }

  const replace = (block: BlockPlan) => put(blocks.value.map((each) => (each.id === block.id ? block : each)));
  const remove = (id: string) => put(blocks.value.filter((block) => block.id !== id));

  function move(id: string, by: 1 | -1): void {
    const from = blocks.value.findIndex((block) => block.id === id);
    const to = from + by;
    if (from < 0 || to < 0 || to >= blocks.value.length) return;
    const next = [...blocks.value];
    [next[from], next[to]] = [next[to]!, next[from]!];
    put(next);
  }

  return {
    visit, file, blocks, selected, selectedIndex, selectedSide, line, doses, stiffness, offers, cautions, forbidden,
    canUndo: computed(() => done.value.length > 0), canRedo: computed(() => undone.value.length > 0),
    add, select, replace, remove, move, undo, redo,
  };
}

export type PlanEditor = ReturnType<typeof usePlan>;
