<script setup lang="ts">
import Radio from 'ant-design-vue/es/radio';
import { computed, ref } from 'vue';
import { motionOf } from '@pace-bend/core/body';
import { findEntry } from '@pace-bend/core/catalogue';
import { checkNumber, checkRounds, defaultChoices, defaultNumbers, findMethod, METHODS, type BlockPlan, type NumberSpec } from '@pace-bend/core/method';
import { SIDE_WORDS } from '../../parts/words.ts';
import PickOne from '../../parts/PickOne.vue';
import NumberField from './NumberField.vue';

/** Every number of a block, each with its own message when it cannot be. */
const props = defineProps<{ block: BlockPlan; disabled: boolean }>();
const emit = defineEmits<{ change: [block: BlockPlan] }>();

const method = computed(() => findMethod(props.block.methodId)!);
const entry = computed(() => findEntry(props.block.entryId)!);
const motion = computed(() => motionOf(entry.value.motionId));
const showMore = ref(false);
const shown = computed(() => method.value.numbers.filter((spec) => spec.place === 'main' || showMore.value));
const most = computed(() => Math.max(...props.block.sides.map((side) => (Number.isFinite(side.rounds) ? side.rounds : 1)), 1));

const unitOf = (spec: NumberSpec) => ({ s: 's', pct: '%', motion: motion.value.unit === 'deg' ? '°' : 'cm', breaths: 'breaths', score: 'of 10', grade: 'of 4', 'per-s': '/ s' })[spec.unit];

/** One field for every round that has its own value, at most one for each round there is. */
function values(spec: NumberSpec): number[] {
  const given = props.block.numbers[spec.id] ?? [];
  if (!spec.perRound) return given.slice(0, 1);
  return Array.from({ length: Math.min(most.value, method.value.rounds.max) }, (_, i) => given[Math.min(i, given.length - 1)]!);
}

function setNumber(spec: NumberSpec, index: number, value: number): void {
  const next = spec.perRound ? values(spec) : [value];
  next[index] = value;
  emit('change', { ...props.block, numbers: { ...props.block.numbers, [spec.id]: next } });
}

function setRounds(index: number, rounds: number): void {
  emit('change', { ...props.block, sides: props.block.sides.map((side, i) => (i === index ? { ...side, rounds } : side)) });
}

function setChoice(id: string, value: string): void {
  emit('change', { ...props.block, choices: { ...props.block.choices, [id]: value } });
}

function setMethod(methodId: string): void {
  const next = findMethod(methodId)!;
  emit('change', { ...props.block, methodId, numbers: defaultNumbers(next, motion.value), choices: defaultChoices(next) });
}

function swapSides(): void {
  emit('change', { ...props.block, sides: [...props.block.sides].reverse() });
}

function toggleSide(side: 'left' | 'right'): void {
  const has = props.block.sides.some((each) => each.side === side);
  const sides = has ? props.block.sides.filter((each) => each.side !== side) : [...props.block.sides, { side, rounds: method.value.rounds.default }];
  if (sides.length > 0) emit('change', { ...props.block, sides });
}

const wrong = (spec: NumberSpec) => values(spec).map((value) => checkNumber(value, spec)).find((message) => message !== null) ?? null;
const missing = computed(() => (['left', 'right'] as const).filter((side) => motion.value.sides.includes(side) && !props.block.sides.some((each) => each.side === side)));
</script>

<template>
  <section class="card numbers" aria-label="Way of working">
    <h2>Way of working</h2>
    <PickOne
      class="way" :value="block.methodId" :disabled="disabled" label="Way of working"
      :options="METHODS.filter((each) => entry.ways.includes(each.id)).map((each) => ({ value: each.id, label: each.name }))" @change="setMethod"
    />
    <p class="soft small also">Also called {{ method.synonyms.slice(0, 3).join(', ') }}</p>

    <div class="line">
      <span>Rounds</span>
      <span class="values">
        <label v-for="(each, i) in block.sides" :key="each.side" class="round"><span class="soft small">{{ SIDE_WORDS[each.side] }}</span>
          <NumberField :value="each.rounds" :label="`Rounds, ${each.side}`" unit="" :step="1" :wrong="checkRounds(each.rounds, method) !== null" :disabled="disabled" @change="(value) => setRounds(i, value)" />
        </label>
      </span>
      <p v-for="message in new Set(block.sides.map((each) => checkRounds(each.rounds, method)).filter((each) => each !== null))" :key="message" class="wrong" role="alert">{{ message }}</p>
    </div>
    <div v-if="motion.sides.length > 1" class="sides small">
      <template v-if="block.sides.length > 1">
        <button type="button" class="link" :disabled="disabled" @click="swapSides">{{ SIDE_WORDS[block.sides[1]!.side] }} first</button>
        <button v-for="each in block.sides" :key="each.side" type="button" class="link" :disabled="disabled" @click="toggleSide(each.side as 'left')">leave {{ each.side }} out</button>
      </template>
      <template v-else><span class="care">One side only.</span><button v-for="side in missing" :key="side" type="button" class="link" :disabled="disabled" @click="toggleSide(side)">add {{ side }}</button></template>
      <span class="soft">Tighter first when time is short; looser first to teach the direction.</span>
    </div>

    <div v-for="choice in method.choices" :key="choice.id" class="line">
      <span>{{ choice.label }}</span>
      <Radio.Group :value="block.choices[choice.id]" size="small" button-style="solid" :disabled="disabled" :aria-label="choice.label" @change="(event) => setChoice(choice.id, String(event.target.value))">
        <Radio.Button v-for="option in choice.options" :key="option.id" :value="option.id">{{ option.label }}</Radio.Button>
      </Radio.Group>
    </div>

    <div v-for="spec in shown" :key="spec.id" class="line">
      <span :title="spec.help">{{ spec.label }}<span v-if="spec.perRound && most > 1" class="soft small"> by round</span></span>
      <span class="values">
        <NumberField
          v-for="(value, i) in values(spec)" :key="i" :value="value" :label="spec.perRound ? `${spec.label}, round ${i + 1}` : spec.label" :unit="i === values(spec).length - 1 ? unitOf(spec) : ''"
          :step="spec.step" :wrong="checkNumber(value, spec) !== null" :disabled="disabled" @change="(typed) => setNumber(spec, i, typed)"
        />
      </span>
      <p v-if="wrong(spec)" class="wrong" role="alert">{{ wrong(spec) }}</p>
    </div>
    <button type="button" class="link more" :aria-expanded="showMore" @click="showMore = !showMore">{{ showMore ? 'Fewer numbers' : 'More numbers' }}</button>
  </section>
</template>

<style scoped>
.numbers {
  display: grid;
  gap: 0;
}

.way {
  width: 100%;
  margin-top: 8px;
}

.also {
  padding: 4px 0 6px;
}

.line {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 4px 10px;
  min-height: 44px;
  padding: 5px 0;
  border-bottom: 1px solid var(--line-faint);
}

.values {
  display: flex;
  flex-wrap: wrap;
  justify-content: flex-end;
  gap: 4px;
}

.round {
  display: inline-flex;
  align-items: center;
  gap: 5px;
}

.wrong {
  flex-basis: 100%;
  color: var(--clay-text);
  font-size: 13px;
}

.sides {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  padding: 5px 0 7px;
  border-bottom: 1px solid var(--line-faint);
}

.care {
  color: var(--clay-text);
}

.more {
  justify-self: start;
  margin-top: 8px;
}

:deep(.ant-radio-button-wrapper) {
  height: 30px;
  line-height: 28px;
}
</style>
