<script setup lang="ts">
import { computed } from 'vue';
import { MOST_PASSES, sidesOf, type BlockPlan } from '@pace-bend/core/method';
import { SIDE_PATTERNS, sidePasses, type SidePattern } from '@pace-bend/core/session';
import { SIDE_WORDS } from '../../parts/words.ts';
import PickOne from '../../parts/PickOne.vue';
import { useShelf } from '../../stores/shelf.ts';
import { t } from '../../words/plan.ts';

/** In which order the two sides are worked, and how often. */
const props = defineProps<{ block: BlockPlan; tighter: 'left' | 'right'; canSplit: boolean; disabled: boolean }>();
const emit = defineEmits<{ change: [block: BlockPlan]; mirror: []; split: [first: 'left' | 'right'] }>();

const shelf = useShelf();
const entry = computed(() => shelf.entryOf(props.block.entryId));
const most = computed(() => shelf.methodOf(props.block.methodId).rounds.max);
const sides = computed(() => sidesOf(entry.value));
const missing = computed(() => sides.value.filter((side) => !props.block.sides.some((each) => each.side === side)));
const rounds = computed(() => Math.max(1, Math.min(...props.block.sides.map((each) => (Number.isFinite(each.rounds) ? each.rounds : 1)))));

function use(pattern: SidePattern): void {
  emit('change', {
    ...props.block,
    sides: sidePasses(pattern, props.tighter, rounds.value).map((each) => ({ ...each, rounds: Math.min(each.rounds, most.value) })),
  });
}
function again(): void {
  const last = props.block.sides.at(-1)!.side;
  const next = sides.value.find((side) => side !== last) ?? last;
  emit('change', { ...props.block, sides: [...props.block.sides, { side: next, rounds: 1 }] });
}
function drop(index: number): void {
  const rest = props.block.sides.filter((_, i) => i !== index);
  // Passes that come to lie side by side become one.
  const joined = rest.reduce<BlockPlan['sides'][number][]>(
    (sum, each) =>
      sum.at(-1)?.side === each.side
        ? [...sum.slice(0, -1), { ...each, rounds: Math.min(most.value, each.rounds + sum.at(-1)!.rounds) }]
        : [...sum, each],
    [],
  );
  if (joined.length > 0) emit('change', { ...props.block, sides: joined });
}
</script>

<template>
  <div v-if="sides.length > 1" class="sides small">
    <PickOne
      :value="null"
      size="small"
      :disabled="disabled"
      :label="t('orderSides')"
      :placeholder="t('orderSides')"
      :options="SIDE_PATTERNS.map((each) => ({ value: each.id, label: each.label }))"
      @change="use"
    />
    <div class="acts">
      <button
        v-for="(each, i) in block.sides"
        v-show="block.sides.length > 1"
        :key="i"
        type="button"
        class="link"
        :disabled="disabled"
        @click="drop(i)"
      >
        {{
          t('leaveOut', { side: each.side, findIndex: block.sides.findIndex((other) => other.side === each.side) === i ? '' : t('again2') })
        }}
      </button>
      <span v-if="missing.length > 0" class="care">{{ t('oneSideOnly') }}</span>
      <button
        v-for="side in missing"
        :key="side"
        type="button"
        class="link"
        :disabled="disabled"
        @click="emit('change', { ...block, sides: [...block.sides, { side, rounds }] })"
      >
        {{ t('add', { side }) }}
      </button>
      <button
        v-if="missing.length === 0 && block.sides.length < MOST_PASSES"
        type="button"
        class="link"
        :disabled="disabled"
        @click="again"
      >
        {{ t('again3', { what: SIDE_WORDS[sides.find((side) => side !== block.sides.at(-1)!.side) ?? 'left']?.toLowerCase() }) }}
      </button>
      <button v-if="block.sides.length === 1" type="button" class="link" :disabled="disabled" @click="emit('mirror')">
        {{ t('copyOtherSide') }}
      </button>
      <button v-if="canSplit" type="button" class="link" :disabled="disabled" @click="emit('split', tighter)">
        {{ t('allFirst', { tighter }) }}
      </button>
    </div>
    <span class="soft">{{ t('tighterFirstWhenTime') }}</span>
  </div>
</template>

<style scoped>
.sides {
  display: grid;
  gap: 4px;
  padding: 5px 0 7px;
  border-bottom: 1px solid var(--line-faint);
}

.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
}

.care {
  color: var(--clay-text);
}
</style>
