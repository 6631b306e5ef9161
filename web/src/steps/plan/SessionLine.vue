<script setup lang="ts">
import { computed } from 'vue';
import { findEntry } from '@pace-bend/core/catalogue';
import { findMethod, type BlockPlan, type SideDose } from '@pace-bend/core/method';
import { formatDuration } from '@pace-bend/core/record';
import { SIDE_WORDS } from '../../parts/words.ts';

/** The whole session as one strip, grouped by position. */
const props = defineProps<{ blocks: readonly BlockPlan[]; doses: readonly SideDose[]; selectedId: string; totalMs: number; minutes: number; disabled: boolean }>();
const emit = defineEmits<{ select: [id: string]; move: [id: string, by: 1 | -1]; remove: [id: string] }>();

const groups = computed(() => {
  const found: { position: string; blocks: { block: BlockPlan; index: number }[] }[] = [];
  props.blocks.forEach((block, index) => {
    const position = findEntry(block.entryId)!.position;
    const last = found.at(-1);
    if (last?.position === position) last.blocks.push({ block, index });
    else found.push({ position, blocks: [{ block, index }] });
  });
  return found;
});
const turns = computed(() => Math.max(0, groups.value.length - 1));
const over = computed(() => props.totalMs > props.minutes * 60_000);

const times = (index: number) => props.doses.filter((dose) => dose.blockIndex === index).map((dose) => `${dose.side === 'midline' ? '' : `${SIDE_WORDS[dose.side][0]} `}${formatDuration(dose.totalMs)}`).join('  ');

function onKey(event: KeyboardEvent, id: string): void {
  if (props.disabled) return;
  if (event.key === 'Delete' || event.key === 'Backspace') emit('remove', id);
  else if (event.altKey && event.key === 'ArrowLeft') emit('move', id, -1);
  else if (event.altKey && event.key === 'ArrowRight') emit('move', id, 1);
  else return;
  event.preventDefault();
}
</script>

<template>
  <section class="card" aria-label="Session line">
    <header>
      <h2>Session line</h2>
      <span class="soft small" :class="{ over }"><span class="num" data-testid="session-total">{{ formatDuration(totalMs) }}</span> of {{ minutes }} min<template v-if="turns"> · {{ turns }} {{ turns === 1 ? 'turn' : 'turns' }}</template><template v-if="over"> · longer than the time there is</template></span>
    </header>
    <div class="strip">
      <div v-for="(group, g) in groups" :key="g" class="group" :style="{ flexGrow: group.blocks.length }">
        <p class="soft small position">{{ group.position }}</p>
        <div class="blocks">
          <div v-for="{ block, index } in group.blocks" :key="block.id" class="block" :class="{ on: block.id === selectedId }">
            <button type="button" class="open" :aria-pressed="block.id === selectedId" title="Alt ← → moves it, Delete takes it out" @click="emit('select', block.id)" @keydown="onKey($event, block.id)">
              <span class="name">{{ findEntry(block.entryId)!.name }}</span>
              <span class="way">{{ findMethod(block.methodId)!.name.toLowerCase() }}</span>
              <span class="num times">{{ times(index) }}</span>
            </button>
            <span v-if="!disabled" class="tools">
              <button type="button" :disabled="index === 0" :aria-label="`${findEntry(block.entryId)!.name} earlier`" @click="emit('move', block.id, -1)">←</button>
              <button type="button" :disabled="index === blocks.length - 1" :aria-label="`${findEntry(block.entryId)!.name} later`" @click="emit('move', block.id, 1)">→</button>
              <button type="button" :aria-label="`Take out ${findEntry(block.entryId)!.name}`" @click="emit('remove', block.id)">×</button>
            </span>
          </div>
        </div>
      </div>
      <p v-if="blocks.length === 0" class="soft empty">Nothing planned yet: take a block from the offers below.</p>
    </div>
  </section>
</template>

<style scoped>
header {
  display: flex;
  align-items: baseline;
  gap: 14px;
}

.over {
  color: var(--clay-text);
}

.strip {
  display: flex;
  gap: 14px;
  margin-top: 10px;
  overflow-x: auto;
  padding: 3px;
}

.group {
  min-width: 0;
}

.position {
  margin-bottom: 5px;
}

.position::first-letter {
  text-transform: uppercase;
}

.blocks {
  display: flex;
  gap: 5px;
}

.block {
  display: flex;
  flex: 1 1 0;
  flex-direction: column;
  min-width: 150px;
  max-width: 300px;
  border-radius: 4px;
  background: var(--spruce-soft);
}

.block.on {
  background: var(--spruce-fill);
  color: var(--on-spruce);
  outline: 3px solid var(--sun);
  outline-offset: 1px;
}

.open {
  display: grid;
  flex: 1;
  gap: 1px;
  align-content: start;
  padding: 9px 11px 2px;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  font-size: 13.5px;
  text-align: left;
  cursor: pointer;
}

.name {
  font-weight: 600;
  line-height: 1.25;
}

.way {
  font-size: 12.5px;
}

.times {
  margin-top: 3px;
  font-size: 13px;
  white-space: pre;
}

.tools {
  display: flex;
  justify-content: flex-end;
  padding: 0 4px 3px;
}

.tools button {
  width: 28px;
  height: 26px;
  border: 0;
  border-radius: 3px;
  background: none;
  color: inherit;
  font-size: 14px;
  cursor: pointer;
}

.tools button:disabled {
  opacity: 0.35;
  cursor: default;
}

.tools button:hover:not(:disabled) {
  background: rgb(127 127 127 / 25%);
}

.empty {
  padding: 12px 2px 4px;
}
</style>
