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
import { t } from '../words/practice.ts';

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
  any: t('mayNew'),
  'no-new-ways': t('noNewWays'),
  nothing: t('nothingNew'),
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
    head: t('onlyLast'),
    unit: 'days',
    step: 1,
    range: PHASE_RANGE.newWorkDays,
    of: ({ newWorkDays }) => newWorkDays,
    set: (rule, value) => ({ ...rule, newWorkDays: value }),
    empty: true,
  },
  limit('holdS', t('holdsTo'), 's', 5),
  limit('effortPct', t('effortTo'), '%', 5),
  limit('edgeShare', t('ofTheWay'), '%', 5, 100),
  limit('painCeiling', t('discomfortTo'), '', 1),
  {
    id: 'minutesShare',
    head: t('minutes'),
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
  if (Number.isNaN(value)) return column.empty ? '' : t('numberNeeded');
  return value < column.range.min || value > column.range.max || !Number.isInteger(value)
    ? t('wholeNumberFrom', { min: column.range.min, max: column.range.max })
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
    <section class="card" :aria-label="t('phasesSeason')">
      <h2>{{ t('phasesSeason') }}</h2>
      <p class="soft">
        {{ t('whatTherapyDoesEach') }}
      </p>
      <div class="scroll">
        <table>
          <thead>
            <tr>
              <th scope="col">{{ t('phase') }}</th>
              <th scope="col">{{ t('whatMayChange') }}</th>
              <th scope="col">{{ t('newWork') }}</th>
              <th v-for="column in COLUMNS" :key="column.id" scope="col">{{ column.head }}</th>
              <th scope="col">
                <span class="sr-only">{{ t('asItShips') }}</span>
              </th>
            </tr>
          </thead>
          <tbody>
            <template v-for="rule in rows" :key="rule.id">
              <tr>
                <th scope="row">{{ PHASE_NAMES[rule.id] }}</th>
                <td>
                  <PickOne
                    :label="t('whatMayChange2', { what: PHASE_NAMES[rule.id] })"
                    size="small"
                    :value="rule.develop"
                    :options="DEVELOPS"
                    :disabled="readOnly"
                    @change="(develop) => put({ ...rule, develop })"
                  />
                </td>
                <td>
                  <PickOne
                    :label="t('newWork2', { what: PHASE_NAMES[rule.id] })"
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
                    {{ t('asItShips2') }}<span class="sr-only">: {{ PHASE_NAMES[rule.id] }}</span>
                  </button>
                </td>
              </tr>
              <tr class="words">
                <td />
                <td :colspan="COLUMNS.length + 3">
                  <TextInput
                    :model-value="rule.words"
                    :maxlength="PHASE_RANGE.words"
                    :aria-label="t('inWords', { what: PHASE_NAMES[rule.id] })"
                    :readonly="readOnly"
                    @input="put({ ...rule, words: ($event.target as HTMLInputElement).value })"
                  />
                </td>
              </tr>
            </template>
          </tbody>
        </table>
      </div>
      <p class="soft small">{{ t('emptyNothingHeldBack') }}</p>
      <ul v-if="wrongs.length > 0" class="wrong" role="alert">
        <li v-for="message in wrongs" :key="message">{{ message }}</li>
      </ul>
      <p v-if="problem" class="wrong" role="alert">{{ problem.message }}</p>
      <div v-if="!readOnly" class="choices">
        <Button type="primary" size="large" html-type="submit" :loading="busy">{{ t('keep') }}</Button><span
          v-if="kept"
          class="soft"
          role="status"
          >{{ t('kept') }}</span
        >
      </div>
      <p v-else class="soft">{{ t('ownerPracticeSets') }}</p>
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
