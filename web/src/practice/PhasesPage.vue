<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed, ref } from 'vue';
import type { Practice } from '@pace-bend/core/record';
import {
  DEVELOP,
  DEVELOP_WORDS,
  NEW_WORK,
  PHASE_NAMES,
  PHASE_RANGE,
  PHASE_RULES,
  phaseRules,
  type PhaseRule,
} from '@pace-bend/core/season';
import { api } from '../api/api.ts';
import NumberField from '../parts/NumberField.vue';
import PickOne from '../parts/PickOne.vue';
import { useAction } from '../parts/useAction.ts';
import { usePractice } from '../stores/practice.ts';
import { useSession } from '../stores/session.ts';
import TextInput from '../parts/TextInput.vue';

/** What therapy does in each phase of a season: the practice's own table. It reaches the plan and the table as limits with their reason. */
const practice = usePractice();
const session = useSession();
const readOnly = computed(() => !session.may('PATCH', '/practice'));
const rows = ref<PhaseRule[]>(phaseRules(practice.practice!.phases ?? []));
const { busy, problem, run } = useAction();
const kept = ref(false);
const tried = ref(false);

const DEVELOPS = DEVELOP.map((value) => ({ value, label: DEVELOP_WORDS[value] }));
const NEW_WORDS: Readonly<Record<(typeof NEW_WORK)[number], string>> = {
  any: 'may be new',
  'no-new-ways': 'no new ways',
  nothing: 'nothing new',
};
const NEWS = NEW_WORK.map((value) => ({ value, label: NEW_WORDS[value] }));

interface Column {
  readonly id: string;
  readonly head: string;
  readonly unit: string;
  readonly step: number;
  readonly range: { readonly min: number; readonly max: number };
  /** What stands in the field; null: nothing. */
  readonly of: (rule: PhaseRule) => number | null;
  readonly set: (rule: PhaseRule, value: number | null) => PhaseRule;
  /** Whether it may be left empty. */
  readonly empty: boolean;
}
const limit = (id: keyof PhaseRule['limits'], head: string, unit: string, step: number, scale = 1): Column => ({
  id,
  head,
  unit,
  step,
  range: { min: PHASE_RANGE[id].min * scale, max: PHASE_RANGE[id].max * scale },
  of: ({ limits }) => (limits[id] === null ? null : Math.round(limits[id] * scale)),
  set: (rule, value) => ({ ...rule, limits: { ...rule.limits, [id]: value === null ? null : value / scale } }),
  empty: true,
});
const COLUMNS: readonly Column[] = [
  {
    id: 'newWorkDays',
    head: 'Only the last',
    unit: 'days',
    step: 1,
    range: PHASE_RANGE.newWorkDays,
    of: ({ newWorkDays }) => newWorkDays,
    set: (rule, value) => ({ ...rule, newWorkDays: value }),
    empty: true,
  },
  limit('holdS', 'Holds to', 's', 5),
  limit('effortPct', 'Effort to', '%', 5),
  limit('edgeShare', 'Of the way', '%', 5, 100),
  limit('painCeiling', 'Discomfort to', '', 1),
  {
    id: 'minutesShare',
    head: 'Minutes',
    unit: '%',
    step: 5,
    range: { min: PHASE_RANGE.minutesShare.min * 100, max: PHASE_RANGE.minutesShare.max * 100 },
    of: ({ minutesShare }) => Math.round(minutesShare * 100),
    set: (rule, value) => ({ ...rule, minutesShare: (value ?? 100) / 100 }),
    empty: false,
  },
];
/** Numbers as they are typed, which need not be any yet. */
const typed = ref<Record<string, number>>({});
const keyOf = (rule: PhaseRule, column: Column) => `${rule.id}/${column.id}`;
const valueOf = (rule: PhaseRule, column: Column) => typed.value[keyOf(rule, column)] ?? column.of(rule) ?? NaN;
function wrongWith(rule: PhaseRule, column: Column): string {
  const value = typed.value[keyOf(rule, column)];
  if (value === undefined) return '';
  if (Number.isNaN(value)) return column.empty ? '' : 'A number is needed.';
  return value < column.range.min || value > column.range.max || !Number.isInteger(value)
    ? `A whole number from ${column.range.min} to ${column.range.max}.`
    : '';
}
function type(rule: PhaseRule, column: Column, value: number): void {
  kept.value = false;
  typed.value = { ...typed.value, [keyOf(rule, column)]: value };
  if (wrongWith(rule, column) === '') put(column.set(rule, Number.isNaN(value) ? null : value));
}
function put(next: PhaseRule): void {
  kept.value = false;
  rows.value = rows.value.map((rule) => (rule.id === next.id ? next : rule));
}
const shipped = (id: PhaseRule['id']) => PHASE_RULES.find((rule) => rule.id === id)!;
const isOwn = (rule: PhaseRule) => JSON.stringify(rule) !== JSON.stringify(shipped(rule.id));
function reset(rule: PhaseRule): void {
  typed.value = Object.fromEntries(Object.entries(typed.value).filter(([key]) => !key.startsWith(`${rule.id}/`)));
  put(shipped(rule.id));
}
const wrongs = computed(() =>
  rows.value.flatMap((rule) =>
    COLUMNS.flatMap((column) => {
      const message = wrongWith(rule, column);
      return message ? [`${PHASE_NAMES[rule.id]}, ${column.head.toLowerCase()}: ${message}`] : [];
    }),
  ),
);

async function keep(): Promise<void> {
  tried.value = true;
  if (wrongs.value.length > 0) return;
  const { name, timeZone, scope, revision } = practice.practice!;
  kept.value = await run(async () => {
    practice.take(await api<Practice>('PATCH', '/practice', { name, timeZone, scope, revision, phases: rows.value.filter(isOwn) }));
    typed.value = {};
    rows.value = phaseRules(practice.practice!.phases);
  });
}
</script>

<template>
  <form novalidate @submit.prevent="keep">
    <section class="card" aria-label="Phases of a season">
      <h2>Phases of a season</h2>
      <p class="soft">
        What therapy does in each. It reaches proposals, plans and the table as limits with their reason, and can be set aside for a day
        with a word. As it ships it is common practice.
      </p>
      <div class="scroll">
        <table>
          <thead>
            <tr>
              <th scope="col">Phase</th>
              <th scope="col">What may change</th>
              <th scope="col">New work</th>
              <th v-for="column in COLUMNS" :key="column.id" scope="col">{{ column.head }}</th>
              <th scope="col"><span class="sr-only">As it ships</span></th>
            </tr>
          </thead>
          <tbody>
            <template v-for="rule in rows" :key="rule.id">
              <tr>
                <th scope="row">{{ PHASE_NAMES[rule.id] }}</th>
                <td>
                  <PickOne
                    :label="`${PHASE_NAMES[rule.id]}: what may change`"
                    size="small"
                    :value="rule.develop"
                    :options="DEVELOPS"
                    :disabled="readOnly"
                    @change="(develop) => put({ ...rule, develop })"
                  />
                </td>
                <td>
                  <PickOne
                    :label="`${PHASE_NAMES[rule.id]}: new work`"
                    size="small"
                    :value="rule.newWork"
                    :options="NEWS"
                    :disabled="readOnly"
                    @change="(newWork) => put({ ...rule, newWork })"
                  />
                </td>
                <td v-for="column in COLUMNS" :key="column.id">
                  <NumberField
                    :value="valueOf(rule, column)"
                    :label="`${PHASE_NAMES[rule.id]}: ${column.head.toLowerCase()}`"
                    :unit="column.unit"
                    :step="column.step"
                    :wrong="wrongWith(rule, column) !== ''"
                    :disabled="readOnly || (column.id === 'newWorkDays' && rule.newWork === 'any')"
                    @change="(value) => type(rule, column, value)"
                  />
                </td>
                <td>
                  <button v-if="isOwn(rule) && !readOnly" type="button" class="link small" @click="reset(rule)">
                    as it ships<span class="sr-only">: {{ PHASE_NAMES[rule.id] }}</span>
                  </button>
                </td>
              </tr>
              <tr class="words">
                <td />
                <td :colspan="COLUMNS.length + 3">
                  <TextInput
                    :model-value="rule.words"
                    :maxlength="PHASE_RANGE.words"
                    :aria-label="`${PHASE_NAMES[rule.id]}: in words`"
                    :readonly="readOnly"
                    @input="put({ ...rule, words: ($event.target as HTMLInputElement).value })"
                  />
                </td>
              </tr>
            </template>
          </tbody>
        </table>
      </div>
      <p class="soft small">Empty: nothing is held back. Only the last days: before an event; without a number, all through the phase.</p>
      <ul v-if="wrongs.length > 0" class="wrong" role="alert">
        <li v-for="message in wrongs" :key="message">{{ message }}</li>
      </ul>
      <p v-if="problem" class="wrong" role="alert">{{ problem.message }}</p>
      <div v-if="!readOnly" class="choices">
        <Button type="primary" size="large" html-type="submit" :loading="busy">Keep</Button
        ><span v-if="kept" class="soft" role="status">Kept.</span>
      </div>
      <p v-else class="soft">The owner of the practice sets this.</p>
    </section>
  </form>
</template>

<style scoped>
.scroll {
  position: relative;
  overflow-x: auto;
  margin: 12px 0;
}

table {
  border-collapse: collapse;
}

th {
  padding: 6px 10px 4px 0;
  text-align: left;
  font-weight: 600;
}

thead th {
  color: var(--soft);
  font-size: 12px;
  vertical-align: bottom;
}

td {
  padding: 4px 10px 2px 0;
}

.words td {
  padding-bottom: 12px;
  border-bottom: 1px solid var(--line-faint);
}

.words .input {
  width: 100%;
}
</style>
