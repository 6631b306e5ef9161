<script setup lang="ts">
import Checkbox from 'ant-design-vue/es/checkbox';
import Collapse, { CollapsePanel } from 'ant-design-vue/es/collapse';
import { computed, ref, watch } from 'vue';
import { motionOf } from '@pace-bend/core/body';
import { axisOf, checkNumber, checkRounds, defaultNumbers, METHODS, type Method, type NumberSpec } from '@pace-bend/core/method';
import type { Dose } from '@pace-bend/core/catalogue';
import NumberField from '../parts/NumberField.vue';
import { sayableOf, type SpokenForm } from './ownEntryForm.ts';
import TextInput from '../parts/TextInput.vue';
import { t } from '../words/shelf.ts';

/** What each chosen way begins with on this entry, and what it says there: as the way has it until something else is typed. */
const props = defineProps<{
  ways: readonly string[];
  motionId: string;
  doses: Readonly<Record<string, Dose>>;
  says: Readonly<Record<string, Readonly<Record<string, SpokenForm>>>>;
  /** What is wrong, by path, once it was tried to save. */
  wrong: (path: string) => string | undefined;
}>();
const emit = defineEmits<{
  dose: [way: string, dose: Dose];
  say: [way: string, words: string, line: SpokenForm];
}>();

const BLANK_LINE: SpokenForm = { text: '', detail: '', works: '' };
const lineOf = (way: string, words: string) => props.says[way]?.[words] ?? BLANK_LINE;
const rows = computed(() =>
  props.ways.flatMap((id) => {
    const method = METHODS.find((each) => each.id === id);
    if (!method) return [];
    const usual = sayableOf(id);
    const further = Object.keys(props.says[id] ?? {}).filter((words) => !usual.some((each) => each.words === words));
    const lines = [...usual, ...further.map((words) => ({ words, detail: '' }))];
    const said = lines.filter(({ words }) => lineOf(id, words).text.trim() !== '').length;
    const own = said + Object.keys(props.doses[id]?.numbers ?? {}).length + (props.doses[id]?.rounds === undefined ? 0 : 1);
    return [{ id, method, lines, title: own === 0 ? method.name : t('ofItsOwn', { name: method.name, own }) }];
  }),
);
const open = ref<string[]>([]);
const usualOf = (method: Method, spec: NumberSpec) => defaultNumbers(method, axisOf(method, motionOf(props.motionId)))[spec.id]![0]!;
const numberOf = (method: Method, spec: NumberSpec) => props.doses[method.id]?.numbers?.[spec.id]?.[0] ?? usualOf(method, spec);
const roundsOf = (method: Method) => props.doses[method.id]?.rounds ?? method.rounds.default;
const main = (method: Method) => method.numbers.filter(({ place }) => place === 'main');
const UNITS: Partial<Record<NumberSpec['unit'], string>> = {
  s: 's',
  pct: '%',
  share: '%',
  breaths: 'breaths',
  times: '×',
  'per-min': '/ min',
  'per-s': '/ s',
};

function setNumber(method: Method, spec: NumberSpec, value: number): void {
  const { numbers = {}, ...rest } = props.doses[method.id] ?? {};
  const { [spec.id]: _old, ...others } = numbers;
  const next = value === usualOf(method, spec) ? others : { ...others, [spec.id]: [value] };
  emit('dose', method.id, { ...rest, ...(Object.keys(next).length > 0 ? { numbers: next } : {}) });
}
function setRounds(method: Method, value: number): void {
  const { rounds: _old, ...rest } = props.doses[method.id] ?? {};
  emit('dose', method.id, value === method.rounds.default ? rest : { ...rest, rounds: value });
}
function doseWrong(id: string): boolean {
  const method = METHODS.find((each) => each.id === id)!;
  return checkRounds(roundsOf(method), method) !== null || main(method).some((spec) => checkNumber(numberOf(method, spec), spec) !== null);
}

/** A panel with something wrong in it is opened: what cannot be seen cannot be mended. */
watch(
  () =>
    rows.value
      .filter(({ id, lines }) => lines.some(({ words }) => props.wrong(`says.${id}.${words}`)) || doseWrong(id))
      .map(({ id }) => id),
  (bad) => (open.value = [...new Set([...open.value, ...bad])]),
);
</script>

<template>
  <Collapse v-model:active-key="open" class="ways" :bordered="false">
    <CollapsePanel v-for="{ id, method, lines, title } in rows" :key="id" :header="title">
      <div class="numbers" role="group" :aria-label="t('beginsWith2', { name: method.name })">
        <label class="number"
          ><span class="small">{{ t('rounds') }}</span
          ><NumberField
            :value="roundsOf(method)"
            :label="t('rounds2', { name: method.name })"
            unit=""
            :step="1"
            :wrong="checkRounds(roundsOf(method), method) !== null"
            @change="(value) => setRounds(method, value)"
        /></label>
        <label v-for="spec in main(method)" :key="spec.id" class="number"
          ><span class="small">{{ spec.label }}</span
          ><NumberField
            :value="numberOf(method, spec)"
            :label="`${method.name}, ${spec.label.toLowerCase()}`"
            :unit="UNITS[spec.unit] ?? ''"
            :step="spec.step"
            :wrong="checkNumber(numberOf(method, spec), spec) !== null"
            @change="(value) => setNumber(method, spec, value)"
          /><span v-if="checkNumber(numberOf(method, spec), spec)" class="wrong" role="alert">{{
            checkNumber(numberOf(method, spec), spec)
          }}</span></label
        >
      </div>
      <fieldset v-for="{ words, detail } in lines" :key="words" class="said">
        <legend class="small">{{ t('saidPlace', { words }) }}</legend>
        <div class="pair">
          <label class="line"
            >{{ t('lineSixWordsMost') }}<span class="sr-only">: {{ method.name }}, {{ words }}</span
            ><TextInput
              maxlength="60"
              :model-value="lineOf(id, words).text"
              :placeholder="words"
              :aria-invalid="wrong(`says.${id}.${words}`) ? 'true' : undefined"
              @input="emit('say', id, words, { ...lineOf(id, words), text: ($event.target as HTMLInputElement).value })"
          /></label>
          <label class="line"
            >{{ t('whatGoesNumbersStand') }}<span class="sr-only">: {{ method.name }}, {{ words }}</span
            ><TextInput
              maxlength="300"
              :model-value="lineOf(id, words).detail"
              :placeholder="detail"
              @input="emit('say', id, words, { ...lineOf(id, words), detail: ($event.target as HTMLInputElement).value })"
          /></label>
        </div>
        <Checkbox
          v-if="lineOf(id, words).text.trim()"
          class="tick"
          :checked="lineOf(id, words).works === 'athlete'"
          @change="emit('say', id, words, { ...lineOf(id, words), works: $event.target.checked ? 'athlete' : 'therapist' })"
          >{{ t('athleteMoves') }}</Checkbox
        >
        <p v-if="wrong(`says.${id}.${words}`)" class="wrong" role="alert">{{ wrong(`says.${id}.${words}`) }}</p>
      </fieldset>
    </CollapsePanel>
  </Collapse>
</template>

<style scoped>
.ways {
  background: none;
}

.numbers {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 18px;
  margin-bottom: 10px;
}

.number {
  display: grid;
  gap: 2px;
}

.said {
  margin: 0 0 6px;
  padding: 2px 10px 6px;
  border: 1px solid var(--line-faint);
  border-radius: 4px;
}

.said legend {
  width: auto;
  margin: 0;
  padding: 0 5px;
  border: 0;
}

.pair {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(240px, 100%), 1fr));
  gap: 4px 12px;
}

.tick {
  display: flex;
  align-items: center;
  gap: 7px;
  min-height: 28px;
}

.wrong {
  color: var(--clay-text);
  font-size: 13px;
}
</style>
