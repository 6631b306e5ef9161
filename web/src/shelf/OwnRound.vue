<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import Sortable from 'sortablejs';
import { computed, nextTick, onBeforeUnmount, onMounted, ref } from 'vue';
import {
  ADDED,
  addable,
  basePhases,
  isBase,
  LONGEST_DETAIL,
  LONGEST_TEXT,
  MOST_PHASES,
  phaseKind,
  type AddedKind,
  type Method,
  type PhaseNode,
  type PhaseSpec,
} from '@pace-bend/core/method';
import PickOne from '../parts/PickOne.vue';
import PhaseSwatch from '../parts/PhaseSwatch.vue';
import NumberField from '../parts/NumberField.vue';
import { moved, phasesOf, rowsOf, withAdded, type PhaseRow } from './ownWayForm.ts';
import TextInput from '../parts/TextInput.vue';
import { t } from '../words/shelf.ts';

/** One round, phase by phase: moved by drag or key, taken out, added, each with words of its own. */
const props = defineProps<{
  base: Method;
  rows: readonly PhaseRow[];
  numbers: Readonly<Record<string, readonly number[]>>;
  wrong: Readonly<Record<string, string>>;
}>();
const emit = defineEmits<{ change: [rows: readonly PhaseRow[]] }>();

const list = ref<HTMLElement | null>(null);
const past = ref<(readonly PhaseRow[])[]>([]);
const said = ref('');
const asBase = computed(() => isBase(phasesOf(props.rows), props.base));

/** What was typed last, so that a word is one step of undo and not its letters. */
let typing = '';

function put(rows: readonly PhaseRow[], gesture = ''): void {
  if (gesture === '' || gesture !== typing) past.value = [...past.value, props.rows];
  typing = gesture;
  emit('change', rows);
}
function arrange(rows: readonly PhaseRow[], words: string): void {
  said.value = words;
  put(rows);
}
function undo(): void {
  const before = past.value.at(-1);
  if (!before) return;
  past.value = past.value.slice(0, -1);
  said.value = t('undone');
  typing = '';
  emit('change', before);
}
const type = (key: number, change: Partial<Pick<PhaseRow, 'seconds' | 'text' | 'detail'>>) =>
  put(
    props.rows.map((row) => (row.key === key ? { ...row, ...change } : row)),
    `${key}/${Object.keys(change).join()}`,
  );

const specOf = (row: PhaseRow): PhaseNode =>
  row.adds === undefined ? props.base.round[row.of!]! : { kind: row.adds, duration: { seconds: '' }, ...ADDED[row.adds] };
const inner = (node: PhaseNode): PhaseSpec[] => ('each' in node ? node.phases.flatMap(inner) : [node]);
const FILLED: Record<string, string> = {
  press: t('theirPress'),
  pressLine: t('whichWayTheyPress'),
  place: t('thePlace'),
  setUp: t('theSetUp'),
  bringHome: t('theWayHome'),
  side: t('theSide'),
  turn: '1',
  turns: 'n',
};
const readable = (text: string) => text.replace(/\{(\w+)\}/g, (_, name: string) => FILLED[name] ?? t('the', { name }));
const label = (row: PhaseRow): string => {
  const node = specOf(row);
  if (!('each' in node)) return row.adds ? ADDED[row.adds].label : readable(node.text).replace(/^their/, t('their'));
  const { each } = node;
  const times =
    'times' in each
      ? props.base.numbers.find((spec) => spec.id === each.times)!.label
      : props.base.lists.find((spec) => spec.id === each.list)!.label;
  return `${times}: ${inner(node)
    .map((phase) => readable(phase.text).toLowerCase())
    .join(', ')}`;
};
/** When a phase is not in every round. */
const onlyWhen = (row: PhaseRow): string => {
  const [condition] = specOf(row).when ?? [];
  if (!condition) return '';
  if ('round' in condition)
    return {
      first: t('firstRoundOnly'),
      'not-first': t('fromSecondRound'),
      last: t('lastRoundOnly'),
      'not-last': t('notLastRound'),
    }[condition.round];
  if (!('choice' in condition)) return '';
  const choice = props.base.choices.find((each) => each.id === condition.choice)!;
  return t('onlyWith', { label: choice.label.toLowerCase(), options: choice.options.find((option) => option.id === condition.is)!.label });
};
/** How long a phase of the base takes: the name of its number, which is typed below, and what it is now. */
const takes = (row: PhaseRow): string => {
  const node = specOf(row);
  if ('each' in node) return '';
  const { duration } = node;
  if ('breath' in duration) return t('oneBreath', { breath: duration.breath });
  const id = 'seconds' in duration ? duration.seconds : duration.breaths;
  return `${props.base.numbers.find((spec) => spec.id === id)!.label}, ${(props.numbers[id] ?? []).join(' → ')} ${'seconds' in duration ? 's' : 'breaths'}`;
};
const family = (row: PhaseRow) => phaseKind(inner(specOf(row))[0]!.kind).family;

function move(from: number, to: number): void {
  if (to < 0 || to >= props.rows.length) return;
  const row = props.rows[from]!;
  arrange(moved(props.rows, from, to), t('isPhaseOf', { label: label(row), what: to + 1, count: props.rows.length }));
  void nextTick(() => list.value?.querySelector<HTMLElement>(`[data-key="${row.key}"] .grip`)?.focus());
}
function onKey(event: KeyboardEvent, at: number): void {
  if (event.key === 'ArrowUp') move(at, at - 1);
  else if (event.key === 'ArrowDown') move(at, at + 1);
  else if (event.key === 'Delete' || event.key === 'Backspace') remove(at);
  else return;
  event.preventDefault();
}
function remove(at: number): void {
  arrange(
    props.rows.filter((_, i) => i !== at),
    t('isOut', { label: label(props.rows[at]!) }),
  );
  void nextTick(() => list.value?.querySelectorAll<HTMLElement>('.grip')[Math.min(at, props.rows.length - 1)]?.focus());
}
const add = (kind: AddedKind) => arrange(withAdded(props.rows, kind), t('addedEnd', { label: ADDED[kind].label }));
const reset = () => arrange(rowsOf(basePhases(props.base)), t('roundAgain', { name: props.base.name.toLowerCase() }));

let sortable: Sortable | null = null;
onMounted(() => {
  sortable = Sortable.create(list.value!, {
    handle: '.grip',
    animation: 120,
    forceFallback: true,
    fallbackTolerance: 4,
    onEnd: ({ item, from, oldIndex, newIndex }) => {
      if (oldIndex === undefined || newIndex === undefined || oldIndex === newIndex) return;
      // The list is drawn from the rows, so what was moved by hand goes back first.
      from.insertBefore(item, from.children[oldIndex > newIndex ? oldIndex + 1 : oldIndex] ?? null);
      move(oldIndex, newIndex);
    },
  });
});
onBeforeUnmount(() => sortable?.destroy());
</script>

<template>
  <section class="round" :aria-label="t('roundPhasePhase')">
    <header>
      <h2>{{ t('theRound') }}</h2>
      <span class="acts"
        ><Button size="small" :disabled="past.length === 0" @click="undo">{{ t('undo') }}</Button
        ><Button size="small" :disabled="asBase" @click="reset">{{ t('asIn', { name: base.name.toLowerCase() }) }}</Button></span
      >
    </header>
    <ol ref="list" :aria-label="t('phasesRound')">
      <li v-for="(row, i) in rows" :key="row.key" :data-key="row.key" :class="{ bad: wrong[`phase.${row.key}`] }">
        <button
          type="button"
          class="grip"
          :aria-label="t('phaseArrowKeysMove', { what: i + 1, label: label(row) })"
          @keydown="onKey($event, i)"
        >
          <span aria-hidden="true">⠿</span>
        </button>
        <PhaseSwatch :family="family(row)" :width="12" :height="22" />
        <span v-if="'each' in specOf(row)" class="own">{{ label(row) }}</span>
        <span v-else class="own">
          <TextInput
            :model-value="row.text"
            :maxlength="LONGEST_TEXT"
            :placeholder="readable((specOf(row) as PhaseSpec).text)"
            :aria-label="t('instructionPhase', { what: i + 1 })"
            @input="type(row.key, { text: ($event.target as HTMLInputElement).value })"
          />
          <TextInput
            :model-value="row.detail"
            :maxlength="LONGEST_DETAIL"
            :placeholder="readable((specOf(row) as PhaseSpec).detail)"
            :aria-label="t('howPhase', { what: i + 1 })"
            @input="type(row.key, { detail: ($event.target as HTMLInputElement).value })"
          />
        </span>
        <span class="takes"
          ><NumberField
            v-if="row.adds"
            :value="row.seconds"
            :label="t('secondsPhase', { what: i + 1 })"
            :unit="t('s')"
            :step="1"
            :wrong="wrong[`phase.${row.key}`] !== undefined"
            @change="(seconds) => type(row.key, { seconds })"
          /><span v-else class="soft small">{{ takes(row) }}</span></span
        >
        <button
          type="button"
          class="out"
          :aria-label="t('removePhase', { what: i + 1, label: label(row) })"
          :disabled="rows.length === 1"
          @click="remove(i)"
        >
          <span aria-hidden="true">×</span>
        </button>
        <p v-if="onlyWhen(row)" class="when soft small">{{ onlyWhen(row) }}</p>
        <p v-if="wrong[`phase.${row.key}`]" class="wrong" role="alert">{{ wrong[`phase.${row.key}`] }}</p>
      </li>
    </ol>
    <p v-if="wrong.phases" class="wrong" role="alert">{{ wrong.phases }}</p>
    <PickOne
      class="add"
      :value="null"
      :label="t('addPhase')"
      :placeholder="t('addPhase')"
      :disabled="rows.length >= MOST_PHASES"
      :options="addable(base).map((kind) => ({ value: kind, label: ADDED[kind].label }))"
      @change="add"
    />
    <p class="sr-only" role="status">{{ said }}</p>
  </section>
</template>

<style scoped>
header,
.acts,
.own {
  display: flex;
  gap: 8px;
}

header {
  align-items: center;
  justify-content: space-between;
}

ol {
  margin: 6px 0;
  padding: 0;
  list-style: none;
}

li {
  display: grid;
  grid-template-columns: 32px 14px minmax(0, 1fr) 104px 36px;
  align-items: center;
  gap: 2px 8px;
  padding: 5px 0;
  border-bottom: 1px solid var(--line-faint);
  background: var(--paper);
}

li.bad {
  box-shadow: inset 3px 0 var(--clay);
}

.grip,
.out {
  min-height: 36px;
  border: 0;
  border-radius: 4px;
  background: none;
  color: var(--soft);
  font: inherit;
  font-size: 18px;
}

.grip {
  cursor: grab;
  touch-action: none;
}

.out:not(:disabled) {
  cursor: pointer;
}

.grip:hover,
.out:not(:disabled):hover {
  background: var(--line-faint);
  color: var(--ink);
}

.own .input:placeholder-shown {
  border-color: var(--line);
}

.takes {
  line-height: 1.25;
  text-align: right;
}

.when {
  grid-column: 3 / -1;
  margin: 0;
}

.own .input:first-child {
  flex: 5;
  min-width: 0;
}

.own .input:last-child {
  flex: 6;
  min-width: 0;
}

.wrong {
  grid-column: 2 / -1;
  margin: 0;
  color: var(--clay-text);
  font-size: 13px;
}

.add {
  width: min(320px, 100%);
}
</style>
