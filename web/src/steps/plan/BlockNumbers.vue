<script setup lang="ts">
import Radio from 'ant-design-vue/es/radio';
import { computed, ref } from 'vue';
import { motionOf } from '@pace-bend/core/body';
import { positionsFor } from '@pace-bend/core/catalogue';
import {
  axisOf,
  checkNumber,
  checkRounds,
  beginningOf,
  comesOut,
  fits,
  type BlockPlan,
  type Cue,
  type NumberSpec,
} from '@pace-bend/core/method';
import { useShelf } from '../../stores/shelf.ts';
import ListFields from './ListFields.vue';
import SidesMenu from './SidesMenu.vue';
import { SIDE_WORDS } from '../../parts/words.ts';
import PickOne from '../../parts/PickOne.vue';
import NumberField from '../../parts/NumberField.vue';
import { t } from '../../words/plan.ts';

/** Every number of a block, each with its own message when it cannot be. */
const props = defineProps<{
  block: BlockPlan;
  /** What the numbers become in the line, on the side shown. */ cues: readonly Cue[];
  tighter: 'left' | 'right';
  canSplit: boolean;
  disabled: boolean;
}>();
const emit = defineEmits<{ change: [block: BlockPlan]; mirror: []; split: [first: 'left' | 'right'] }>();
const shelf = useShelf();

const method = computed(() => shelf.methodOf(props.block.methodId));
const entry = computed(() => shelf.entryOf(props.block.entryId));
const positions = computed(() => positionsFor(entry.value, method.value));
const motion = computed(() => motionOf(entry.value.motionId));
const axis = computed(() => axisOf(method.value, motion.value));
const showMore = ref(false);
const shown = computed(() => method.value.numbers.filter((spec) => spec.place === 'main' || showMore.value));
const most = computed(() => Math.max(...props.block.sides.map((side) => (Number.isFinite(side.rounds) ? side.rounds : 1)), 1));

const unitOf = (spec: NumberSpec) =>
  ({
    s: 's',
    pct: '%',
    share: '%',
    motion: axis.value.unit === 'deg' ? '°' : axis.value.unit === 'cm' ? 'cm' : t('of10'),
    breaths: 'breaths',
    score: t('of10'),
    grade: t('of4'),
    times: '×',
    'per-s': '/ s',
    'per-min': '/ min',
  })[spec.unit];

/** One field for every round that has its own value, at most one for each round there is. */
function values(spec: NumberSpec): number[] {
  const given = props.block.numbers[spec.id] ?? (spec.before === undefined ? [] : [spec.before]);
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
  const next = shelf.methodOf(methodId);
  const { lists: _lists, position, ...rest } = props.block;
  const { rounds: _rounds, ...begins } = beginningOf(next, entry.value);
  emit('change', {
    ...rest,
    methodId,
    // Where it does not go, it goes where the entry usually is.
    ...(position !== undefined && positionsFor(entry.value, next).includes(position) ? { position } : {}),
    ...begins,
    sides: rest.sides.map((each) => ({ ...each, rounds: Math.min(each.rounds, next.rounds.max) })),
  });
}

/** What comes out of a number where it is not what was wished, in words. */
function made(spec: NumberSpec): string {
  const found = comesOut(props.cues, spec.id, values(spec));
  if (!found) return '';
  const said =
    found.values.length > 3 ? t('to', { what: Math.min(...found.values), what2: Math.max(...found.values) }) : found.values.join(', ');
  return t('comesOut', {
    said,
    what: spec.unit === 'pct' ? ' %' : ` ${t('s')}`,
    what2: found.why === 'breath' ? t('endBreath') : t('cutCaution'),
  });
}
const wrong = (spec: NumberSpec) =>
  values(spec)
    .map((value) => checkNumber(value, spec))
    .find((message) => message !== null) ?? null;
</script>

<template>
  <section class="card numbers" :aria-label="t('wayWorking')">
    <h2>{{ t('wayWorking') }}</h2>
    <PickOne
      class="way"
      :value="block.methodId"
      :disabled="disabled"
      :label="t('wayWorking')"
      :options="
        [...shelf.methods.filter((each) => fits(entry, each) || each.id === block.methodId)].map((each) => ({
          value: each.id,
          label: each.name,
        }))
      "
      @change="setMethod"
    />
    <p class="soft small also">
      {{ t('alsoCalled', { synonyms: method.synonyms.slice(0, 3).join(', ') }) }}
      <RouterLink :to="`/shelf/compare?a=${method.id}`">{{ t('compare') }}</RouterLink>
    </p>
    <div v-if="positions.length > 1" class="line">
      <span>{{ t('position') }}</span><PickOne
        class="position"
        size="small"
        :value="block.position ?? entry.positions[0]"
        :disabled="disabled"
        :label="t('position')"
        :options="positions.map((each) => ({ value: each, label: each.startsWith('side-lying') ? t('sideLying') : each }))"
        @change="(position) => emit('change', { ...block, position })"
      />
    </div>

    <div class="line">
      <span>{{ t('rounds') }}</span>
      <span class="values">
        <label v-for="(each, i) in block.sides" :key="i" class="round"
          ><span class="soft small">{{ SIDE_WORDS[each.side] }}</span>
          <NumberField
            :value="each.rounds"
            :label="
              t('rounds2', {
                side: each.side,
                findIndex: block.sides.findIndex((other) => other.side === each.side) === i ? '' : t('again'),
              })
            "
            unit=""
            :step="1"
            :wrong="checkRounds(each.rounds, method) !== null"
            :disabled="disabled"
            @change="(value) => setRounds(i, value)"
          />
        </label>
      </span>
      <p
        v-for="message in new Set(block.sides.map((each) => checkRounds(each.rounds, method)).filter((each) => each !== null))"
        :key="message"
        class="wrong"
        role="alert"
      >
        {{ message }}
      </p>
    </div>
    <SidesMenu
      :block="block"
      :tighter="tighter"
      :can-split="canSplit"
      :disabled="disabled"
      @change="(next) => emit('change', next)"
      @mirror="emit('mirror')"
      @split="(first) => emit('split', first)"
    />

    <div v-for="choice in method.choices" :key="choice.id" class="line">
      <span>{{ choice.label }}</span>
      <Radio.Group
        :value="block.choices[choice.id] ?? choice.default"
        size="small"
        button-style="solid"
        :disabled="disabled"
        :aria-label="choice.label"
        @change="(event) => setChoice(choice.id, String(event.target.value))"
      >
        <Radio.Button v-for="option in choice.options" :key="option.id" :value="option.id">{{ option.label }}</Radio.Button>
      </Radio.Group>
    </div>

    <div v-for="spec in shown" :key="spec.id" class="line">
      <span :title="spec.help"
        >{{ spec.label }}<span v-if="spec.perRound && most > 1" class="soft small">{{ ' ' }}{{ t('byRound') }}</span></span
      >
      <span class="values">
        <NumberField
          v-for="(value, i) in values(spec)"
          :key="i"
          :value="value"
          :label="spec.perRound ? t('round', { label: spec.label, what: i + 1 }) : spec.label"
          :unit="i === values(spec).length - 1 ? unitOf(spec) : ''"
          :step="spec.step"
          :wrong="checkNumber(value, spec) !== null"
          :disabled="disabled"
          @change="(typed) => setNumber(spec, i, typed)"
        />
      </span>
      <p v-if="wrong(spec)" class="wrong" role="alert">{{ wrong(spec) }}</p>
      <p v-else-if="made(spec)" class="soft small made">{{ made(spec) }}</p>
    </div>
    <ListFields :block="block" :method="method" :disabled="disabled" @change="(next) => emit('change', next)" />
    <button type="button" class="link more" :aria-expanded="showMore" @click="showMore = !showMore">
      {{ showMore ? t('fewerNumbers') : t('moreNumbers') }}
    </button>
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

.made,
.wrong {
  flex-basis: 100%;
}

.wrong {
  color: var(--clay-text);
  font-size: 13px;
}

.position {
  min-width: 130px;
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
