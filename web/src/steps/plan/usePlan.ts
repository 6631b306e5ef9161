import { computed, ref } from 'vue';
import { v7 as uuid } from 'uuid';
import type { Side } from '@pace-bend/core/body';
import { motionSide } from '@pace-bend/core/catalogue';
import { blockCautions, type SideCautions } from '@pace-bend/core/caution';
import { doseOf, type BlockPlan } from '@pace-bend/core/method';
import {
  addedBlock,
  byFindings,
  expectedEdges,
  mirrored,
  moveBlock,
  oneSideFirst,
  planChecks,
  placeBlock,
  sessionStrip,
} from '@pace-bend/core/session';
import { useShelf } from '../../stores/shelf.ts';
import { useVisit } from '../../stores/visit.ts';
import { breathOf, edgesOf, lineOf, mayMeasureIn, measuredIn } from './planFacts.ts';
import { useOffers } from './useOffers.ts';
import { usePlanRow } from './usePlanRow.ts';

/** The plan of the open visit while it is being made: its row, what is chosen in it, what changes it, and the line it compiles to. */
export function usePlan() {
  const visit = useVisit();
  const store = useShelf();
  const shelf = computed(() => store.shelf);
  const file = computed(() => visit.file!);
  const context = computed(() => visit.cautionContext!);
  const row = usePlanRow(() => {
    if (selected.value && !selected.value.sides.some((each) => each.side === selectedSide.value))
      selectedSide.value = selected.value.sides[0]?.side ?? 'left';
  });
  const { blocks, put, refusal } = row;
  const { stiffness, offers, tighterOf } = useOffers();

  /** What is shown first is work whose effect is measured, not the warm-up before it. */
  const firstShown = blocks.value.find((block) => store.shelf.entries.get(block.entryId)?.measured) ?? blocks.value[0];
  const selectedId = ref(firstShown?.id ?? '');
  const selectedSide = ref<Side>(firstShown?.sides[0]?.side ?? 'left');
  const selected = computed(() => blocks.value.find((block) => block.id === selectedId.value) ?? blocks.value[0] ?? null);
  const selectedIndex = computed(() => (selected.value ? blocks.value.indexOf(selected.value) : -1));

  const edges = computed(() => edgesOf(file.value));
  const line = computed(() => lineOf(blocks.value, breathOf(file.value), edges.value, shelf.value));
  const doses = computed(() => (line.value ? doseOf(line.value) : []));
  const strip = computed(() =>
    sessionStrip({
      blocks: blocks.value,
      line: line.value,
      isMeasured: measuredIn(edges.value),
      mayMeasure: mayMeasureIn(file.value, context.value),
      shelf: shelf.value,
    }),
  );

  /** What cautions say of the block shown, by side. */
  const cautions = computed<readonly SideCautions[]>(() =>
    selected.value ? blockCautions(selected.value, context.value, file.value.overrides, shelf.value) : [],
  );

  /** The side the shown block's motion is read on, for the side shown. */
  const readSide = computed<Side>(() => {
    const entry = selected.value && store.entryOf(selected.value.entryId);
    return entry ? motionSide(entry, entry.motionId, selectedSide.value) : selectedSide.value;
  });

  /** Where the edge is expected after each round of the side shown, with its band; null where nothing is lengthened. */
  const predicted = computed(() =>
    line.value && selected.value
      ? expectedEdges(line.value, selectedIndex.value, selectedSide.value, { ...file.value, readings: visit.readings }, shelf.value)
      : null,
  );

  function select(id: string, side?: Side): void {
    selectedId.value = id;
    const block = blocks.value.find((each) => each.id === id);
    if (side) selectedSide.value = side;
    else if (block && !block.sides.some((each) => each.side === selectedSide.value)) selectedSide.value = block.sides[0]!.side;
  }

  /** Adds a block where it belongs in the row; the stiffer side goes first and gets one round more. */
  function add(entryId: string, methodId: string): void {
    const made = addedBlock(uuid(), entryId, methodId, tighterOf(store.entryOf(entryId)), shelf.value);
    const block = byFindings(made, visit.findings, shelf.value);
    select(block.id, block.sides[0]!.side);
    put(placeBlock(blocks.value, block, shelf.value));
  }

  /** Moves a block to another place of the row, or says which rule forbids it. */
  function moveTo(id: string, to: number): void {
    if (visit.finished) return;
    const moved = moveBlock(blocks.value, id, to, shelf.value);
    refusal.value = 'forbidden' in moved ? moved.forbidden : '';
    if ('blocks' in moved && moved.blocks.some((block, i) => block.id !== blocks.value[i]!.id)) put(moved.blocks);
  }
  function move(id: string, by: 1 | -1): void {
    const to = blocks.value.findIndex((block) => block.id === id) + by;
    if (to >= 0 && to < blocks.value.length) moveTo(id, to);
  }

  /** What is worth a look in the row as it stands; it stops nobody. */
  const checks = computed(() => {
    const secondsOf = new Map<string, number>();
    for (const { blockId, seconds } of strip.value.items)
      if (blockId !== undefined) secondsOf.set(blockId, (secondsOf.get(blockId) ?? 0) + seconds);
    return planChecks({
      blocks: blocks.value,
      secondsOf,
      complaint: file.value.visit.complaintRegion,
      lookFirst: visit.toLookAt,
      shelf: shelf.value,
    });
  });

  /** A block for the other side, right behind it. */
  function mirror(id: string): void {
    const at = blocks.value.findIndex((block) => block.id === id);
    if (at < 0) return;
    const copy = mirrored(blocks.value[at]!, uuid());
    select(copy.id, copy.sides[0]!.side);
    put([...blocks.value.slice(0, at + 1), copy, ...blocks.value.slice(at + 1)]);
  }

  function takePlan(next: readonly BlockPlan[]): void {
    select(next.find((block) => store.entryOf(block.entryId).measured)?.id ?? next[0]?.id ?? '');
    put(next);
  }

  return {
    ...row,
    visit,
    store,
    shelf,
    file,
    strip,
    line,
    doses,
    predicted,
    cautions,
    stiffness,
    offers,
    tighterOf,
    checks,
    selected,
    selectedIndex,
    selectedSide,
    readSide,
    select,
    add,
    move,
    moveTo,
    mirror,
    takePlan,
    replace: (block: BlockPlan, gesture: string | null = null) =>
      put(
        blocks.value.map((each) => (each.id === block.id ? block : each)),
        gesture,
      ),
    remove: (id: string) => put(blocks.value.filter((block) => block.id !== id)),
    /** Everything on one side before anything on the other. */
    splitSides: (first: 'left' | 'right') => put(oneSideFirst(blocks.value, first, () => uuid(), shelf.value)),
  };
}

export type PlanEditor = ReturnType<typeof usePlan>;
