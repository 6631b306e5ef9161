<script setup lang="ts">
import { computed, ref } from 'vue';
import { limitWords, type CautionContext } from '@pace-bend/core/caution';
import { SIDE_WORDS } from '../parts/words.ts';
import CautionCard from './CautionCard.vue';
import { LIMIT_WAYS, limitRows, type LimitRow } from './limitRows.ts';
import { t } from '../words/cautions.ts';

/** Which motions and ways of working are limited, how far, why, and what instead. */
const props = defineProps<{ context: CautionContext }>();

const all = ref(false);
const openKey = ref('');
const rows = computed(() => limitRows(props.context, all.value));
const keyOf = (row: LimitRow) => `${row.motion.id}/${row.side}`;
const unitOf = (row: LimitRow) => (row.motion.unit === 'deg' ? ('°' as const) : (' cm' as const));
</script>

<template>
  <div class="limits">
    <p v-if="rows.length === 0" class="soft">{{ t('nothingFileLimitsMotion') }}</p>
    <table v-else>
      <caption class="sr-only">
        {{
          t('limitsMotionWayWorking')
        }}
      </caption>
      <thead>
        <tr>
          <th scope="col">{{ t('motion') }}</th>
          <th scope="col">{{ t('measuring') }}</th>
          <th v-for="method in LIMIT_WAYS" :key="method.id" scope="col">{{ method.name }}</th>
        </tr>
      </thead>
      <tbody>
        <template v-for="row in rows" :key="keyOf(row)">
          <tr :class="{ open: openKey === keyOf(row) }">
            <th scope="row">
              <button type="button" :aria-expanded="openKey === keyOf(row)" @click="openKey = openKey === keyOf(row) ? '' : keyOf(row)">
                <b
                  >{{ row.motion.name }}<template v-if="row.side !== 'midline'">, {{ SIDE_WORDS[row.side].toLowerCase() }}</template></b
                ><span class="soft small">{{ row.motion.testPosition }}</span>
              </button>
            </th>
            <td v-for="(cell, i) in [row.measure, ...row.ways]" :key="i" :class="cell.level">
              <span v-if="cell.level === 'modify'" class="level modify"
                ><span class="words">{{ limitWords(cell.result!.limits, unitOf(row)).join(', ') || t('withCare') }}</span></span
              >
              <span v-else-if="cell.level === 'avoid' || cell.level === 'stop'" class="level" :class="cell.level">{{
                cell.result!.cautions[0]!.kind === 'scope' ? t('outScope') : cell.level
              }}</span>
              <span v-else-if="cell.level === 'free'" class="soft">{{ t('free') }}</span>
              <span v-if="cell.out > 0" class="soft small out">{{
                cell.out === 1 ? t('n1EntryOut') : t('entriesOut', { out: cell.out })
              }}</span>
            </td>
          </tr>
          <tr v-if="openKey === keyOf(row)" class="why">
            <td :colspan="LIMIT_WAYS.length + 2">
              <CautionCard
                v-for="caution in row.cautions"
                :key="caution.ruleId + caution.because + caution.reason"
                :caution="caution"
                :unit="unitOf(row)"
              />
            </td>
          </tr>
        </template>
      </tbody>
    </table>
    <button type="button" class="link" :aria-pressed="all" @click="all = !all">{{ all ? t('onlyWhatLimited') : t('everyMotion') }}</button>
  </div>
</template>

<style scoped>
.limits {
  overflow-x: auto;
}

table {
  width: 100%;
  border-collapse: collapse;
}

th,
td {
  padding: 8px 10px;
  border-bottom: 1px solid var(--line-faint);
  text-align: left;
  vertical-align: top;
  line-height: 1.35;
}

thead th {
  color: var(--soft);
  font-weight: 600;
}

thead th:first-child {
  padding-left: 0;
}

th[scope='row'] {
  width: 18%;
  padding: 0;
  font-weight: 400;
}

th button {
  display: grid;
  width: 100%;
  padding: 8px 10px 8px 0;
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  text-align: left;
  cursor: pointer;
}

th button b {
  text-decoration: underline;
  text-decoration-color: var(--line);
  text-underline-offset: 3px;
}

.level {
  align-items: baseline;
}

.out {
  display: block;
}

.level .words {
  font-size: 0.8125rem;
  color: var(--ink);
  font-weight: 400;
}

.why td {
  background: var(--ground);
}

.why .caution + .caution {
  margin-top: 8px;
}

.link {
  margin-top: 8px;
}
</style>
