<script setup lang="ts">
import Sortable from 'sortablejs';
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue';
import type { BlockPlan } from '@pace-bend/core/method';
import { formatDuration } from '@pace-bend/core/record';
import type { SessionStrip, StripItem } from '@pace-bend/core/session';
import EntryPicture from '../../parts/EntryPicture.vue';
import { useShelf } from '../../stores/shelf.ts';
import { SIDE_WORDS } from '../../parts/words.ts';
import { cellsOf, type StripCell } from './stripCells.ts';
import { hintOf, isKey, whichKey } from '../../parts/keys.ts';
import { t } from '../../words/plan.ts';

/** The whole visit as one strip: positions, turns, sides, warm-up, blocks, measuring, close; with the minute where the booked time ends. */
const props = defineProps<{
  blocks: readonly BlockPlan[];
  strip: SessionStrip;
  selectedId: string;
  minutes: number;
  disabled: boolean;
  refusal: string;
  visitId: string;
}>();
const emit = defineEmits<{
  select: [id: string];
  move: [id: string, by: 1 | -1];
  moveTo: [id: string, index: number];
  remove: [id: string];
}>();

const shelf = useShelf();
const list = ref<HTMLElement | null>(null);
const cells = computed(() => cellsOf(props.strip, props.minutes * 60));
const over = computed(() => props.strip.seconds > props.minutes * 60);
const left = computed(() => props.minutes * 60 - props.strip.seconds);
const blockById = computed(() => new Map(props.blocks.map((block) => [block.id, block])));
const blockOf = (cell: StripCell) => blockById.value.get(cell.blockId ?? '');
const duration = (seconds: number) => formatDuration(seconds * 1000);
const times = (cell: StripCell) =>
  cell.items
    .filter((item) => item.kind === 'block')
    .map((item) => `${item.side === 'midline' || !item.side ? '' : `${SIDE_WORDS[item.side][0]} `}${duration(item.seconds)}`)
    .join('\n');
const GLYPHS: Record<StripItem['kind'], string> = { opening: '◦', turn: '↻', side: '⇄', before: '∠', block: '', after: '∠', close: '•' };
const HINTS: Record<StripItem['kind'], string> = {
  opening: 'settle',
  turn: 'turn',
  side: t('otherSide'),
  before: 'measure',
  block: '',
  after: t('measureAgain'),
  close: 'close',
};

/** Pixels a box needs to show all it says, its gap included. */
const ROOM = { block: 90, side: 18, other: 29 } as const;

let sortable: Sortable | null = null;
onMounted(() => {
  sortable = Sortable.create(list.value!, {
    draggable: '.cell.block',
    handle: '.open',
    animation: 120,
    forceFallback: true,
    fallbackTolerance: 5,
    disabled: props.disabled,
    onEnd: ({ item, from, oldIndex, newIndex }) => {
      const id = item.dataset.block!;
      const ids = [...from.querySelectorAll<HTMLElement>('.cell.block')]
        .filter((cell) => cell === item || cell.dataset.block !== id)
        .map((cell) => cell.dataset.block!);
      const to = [...new Set(ids)].indexOf(id);
      // The row is drawn from the plan, so what was moved by hand goes back first.
      if (oldIndex !== undefined && newIndex !== undefined && oldIndex !== newIndex)
        from.insertBefore(item, from.children[oldIndex > newIndex ? oldIndex + 1 : oldIndex] ?? null);
      emit('moveTo', id, to);
    },
  });
});
onBeforeUnmount(() => {
  sortable?.destroy();
  watcher?.disconnect();
});

/** A long row is drawn with smaller boxes; what is still too long can be scrolled, and its edge says so. Until its width is known it may be one. */
const width = ref(0);
const tight = computed(
  () =>
    cells.value.reduce((sum, cell) => sum + ROOM[cell.kind === 'block' ? 'block' : cell.kind === 'side' ? 'side' : 'other'], 0) >
    width.value,
);
const goesOn = ref(false);
let watcher: ResizeObserver | null = null;
function look(): void {
  const strip = list.value!;
  width.value = strip.clientWidth || Infinity;
  goesOn.value = strip.scrollWidth - strip.clientWidth - strip.scrollLeft > 4;
}
onMounted(() => {
  // Whoever comes with keys begins at the block that is shown.
  list.value!.querySelector<HTMLElement>('.cell.on .open')?.focus({ preventScroll: true });
  watcher = new ResizeObserver(look);
  watcher.observe(list.value!);
});
watch(
  [cells, tight, () => props.selectedId],
  () => {
    look();
    list.value?.querySelector('.cell.on')?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  },
  { flush: 'post' },
);

function onKey(event: KeyboardEvent, id: string): void {
  if (props.disabled) return;
  const moved = whichKey(event, 'moveBlock');
  if (isKey(event, 'takeOut')) emit('remove', id);
  else if (moved !== null) emit('move', id, moved === 0 ? -1 : 1);
  else return;
  event.preventDefault();
}
</script>

<template>
  <section class="card" :aria-label="t('sessionLine')">
    <header>
      <h2>{{ t('sessionLine') }}</h2>
      <span class="soft small" :class="{ over }"
        ><span class="num" data-testid="session-total">{{ duration(strip.seconds) }}</span> {{ t('ofMin', { minutes })
        }}<template v-if="strip.turns"> · {{ strip.turns }} {{ strip.turns === 1 ? t('turn2') : t('turns') }}</template
        ><template v-if="over">{{ ' ' }}{{ t('longerThanTimeThere', { duration: duration(-left) }) }}</template></span
      >
      <RouterLink v-if="blocks.length > 0" class="sheet small" :to="`/visit/${visitId}/sheet`">{{ t('forTheWall') }}</RouterLink>
    </header>
    <p v-if="refusal" class="refusal small" role="status">{{ refusal }}</p>
    <p v-if="blocks.length === 0" class="soft empty">{{ t('nothingPlannedYetLet') }}</p>
    <div v-show="blocks.length > 0" ref="list" class="strip" :class="{ tight, 'goes-on': goesOn }" @scroll.passive="look">
      <div
        v-for="cell in cells"
        :key="cell.key"
        class="cell"
        :class="[
          cell.kind,
          {
            on: cell.blockId === selectedId,
            late: cell.late,
            first: cell.position !== null,
            warm: cell.blockId && shelf.entryOf(blockOf(cell)?.entryId ?? '')?.stage === 'warm',
            end: cell.blockId && shelf.entryOf(blockOf(cell)?.entryId ?? '')?.stage === 'close',
          },
        ]"
        :data-block="cell.blockId"
        :style="{ flexGrow: cell.kind === 'block' ? Math.max(60, cell.seconds) : Math.max(14, cell.seconds / 2) }"
      >
        <span class="position soft">{{ cell.position ?? '' }}</span>
        <template v-if="cell.kind === 'block' && blockOf(cell)">
          <button
            type="button"
            class="open"
            :aria-pressed="cell.blockId === selectedId"
            :title="t('dragTakesOut', { hintOf: hintOf('moveBlock'), hintOf2: hintOf('takeOut') })"
            @click="emit('select', cell.blockId!)"
            @keydown="onKey($event, cell.blockId!)"
          >
            <EntryPicture
              v-if="!tight"
              class="pic"
              :entry="shelf.entryOf(blockOf(cell)!.entryId)"
              :position="blockOf(cell)!.position"
              :size="38"
              :shape="1.3"
              decorative
            />
            <span class="name">{{ shelf.entryOf(blockOf(cell)!.entryId).name }}</span>
            <span class="way">{{ shelf.methodOf(blockOf(cell)!.methodId).name.toLowerCase() }}</span>
            <span class="num times">{{ times(cell) }}</span>
          </button>
          <span v-if="!disabled" class="tools">
            <button
              type="button"
              :aria-label="t('earlier', { entryOf: shelf.entryOf(blockOf(cell)!.entryId).name })"
              @click="emit('move', cell.blockId!, -1)"
            >
              ←
            </button>
            <button
              type="button"
              :aria-label="t('later', { entryOf: shelf.entryOf(blockOf(cell)!.entryId).name })"
              @click="emit('move', cell.blockId!, 1)"
            >
              →
            </button>
            <button
              type="button"
              :aria-label="t('remove', { entryOf: shelf.entryOf(blockOf(cell)!.entryId).name })"
              @click="emit('remove', cell.blockId!)"
            >
              ×
            </button>
          </span>
        </template>
        <span v-else class="mark" :title="`${cell.words}, ${duration(cell.seconds)}`"
          ><span aria-hidden="true">{{ GLYPHS[cell.kind] }}</span
          ><small v-if="cell.kind !== 'side'">{{ HINTS[cell.kind] }}</small></span
        >
        <span class="num at">{{ cell.kind === 'block' || cell.kind === 'opening' ? duration(cell.startS) : '' }}</span>
        <span v-if="cell.endsHere" class="booked" role="img" :aria-label="t('bookedMinutesEndHere', { minutes })" />
      </div>
      <div v-if="!over" class="cell spare" :style="{ flexGrow: Math.max(10, left / 2) }">
        <span class="position" /><span class="mark"
          ><small>{{ t('left', { duration: duration(left) }) }}</small></span
        ><span class="num at">{{ duration(strip.seconds) }}</span>
      </div>
    </div>
  </section>
</template>

<style scoped>
header {
  display: flex;
  align-items: baseline;
  gap: 14px;
}

.sheet {
  margin-left: auto;
}

.over,
.refusal {
  color: var(--clay-text);
}

.refusal {
  padding-top: 4px;
}

.strip {
  display: flex;
  gap: 3px;
  margin-top: 8px;
  overflow-x: auto;
  padding: 3px 3px 2px;
}

.cell {
  position: relative;
  display: flex;
  flex: 1 1 auto;
  flex-direction: column;
  min-width: 25px;
}

.cell.side {
  min-width: 15px;
}

.cell.side .mark {
  border: 0;
}

.position {
  height: 19px;
  font-size: 12.5px;
  white-space: nowrap;
}

.position::first-letter {
  text-transform: uppercase;
}

.cell.first {
  margin-left: 7px;
}

.cell.block {
  min-width: 84px;
  width: 84px;
}

.open {
  display: grid;
  flex: 1;
  align-content: start;
  gap: 1px;
  min-height: 92px;
  padding: 8px 9px 26px;
  border: 0;
  border-radius: 4px;
  background: var(--spruce-soft);
  color: inherit;
  font: inherit;
  font-size: 13px;
  text-align: left;
  cursor: pointer;
}

.warm .open,
.end .open {
  background: var(--slate-soft);
}

.on .open {
  background: var(--spruce-fill);
  color: var(--on-spruce);
  outline: 3px solid var(--sun);
  outline-offset: 1px;
}

.late .open {
  box-shadow: inset 0 -3px 0 var(--clay);
}

.name {
  font-weight: 600;
  line-height: 1.2;
}

.way {
  font-size: 12px;
  line-height: 1.2;
}

.times {
  margin-top: 2px;
  font-size: 12.5px;
  white-space: pre-line;
}

.tools {
  position: absolute;
  right: 2px;
  bottom: 18px;
  display: flex;
  opacity: 0;
}

.cell:hover .tools,
.cell:focus-within .tools,
.on .tools {
  opacity: 1;
}

.on .tools {
  color: var(--on-spruce);
}

.tools button {
  width: 26px;
  height: 24px;
  border: 0;
  border-radius: 3px;
  background: none;
  color: inherit;
  font-size: 13px;
  cursor: pointer;
}

.tools button:hover {
  background: rgb(127 127 127 / 25%);
}

.mark {
  display: grid;
  flex: 1;
  align-content: center;
  justify-items: center;
  min-height: 92px;
  border: 1px dashed var(--line);
  border-radius: 4px;
  color: var(--soft);
  text-align: center;
}

.mark small {
  font-size: 11px;
  line-height: 1.1;
  writing-mode: vertical-rl;
  transform: rotate(180deg);
}

.spare .mark small {
  writing-mode: initial;
  transform: none;
}

.turn .mark {
  border-style: solid;
  background: var(--raised);
}

.spare {
  min-width: 56px;
}

.at {
  min-height: 17px;
  padding-top: 2px;
  color: var(--soft);
  font-size: 11px;
}

.booked {
  position: absolute;
  top: 14px;
  right: -4px;
  bottom: 0;
  border-right: 3px solid var(--clay);
}

.tight .cell {
  min-width: 18px;
}

.tight .cell.first {
  margin-left: 3px;
}

.tight .cell.block {
  width: 66px;
  min-width: 66px;
}

.tight .open {
  padding: 6px 4px 26px;
  font-size: 11.5px;
  overflow-wrap: anywhere;
  hyphens: auto;
}

.tight .way {
  display: none;
}

.tight .position {
  font-size: 11px;
}

.tight .cell.opening .at {
  visibility: hidden;
}

.tight .tools {
  right: 0;
}

.tight .tools button {
  width: 19px;
}

.goes-on {
  mask-image: linear-gradient(to right, black calc(100% - 36px), transparent);
}

.empty {
  padding: 10px 2px 4px;
}
</style>
