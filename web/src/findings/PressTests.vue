<script setup lang="ts">
import { PRESSES, PRESS_ANSWERS, type PressId } from '@pace-bend/core/finding';
import ChoiceRow from '../parts/ChoiceRow.vue';
import type { Findings } from './useFindings.ts';
import { t } from '../words/findings.ts';

/** Which muscle answers late or weak, side against side. */
const props = defineProps<{ findings: Findings; disabled: boolean }>();
const answers = PRESS_ANSWERS.map((value) => ({ value, label: value }));
const SIDES = ['left', 'right'] as const;
const placeOf = (subject: PressId, side: 'left' | 'right') => ({ kind: 'press', subject, side }) as const;
</script>

<template>
  <table class="presses">
    <thead>
      <tr>
        <td />
        <th scope="col">{{ t('left') }}</th>
        <th scope="col">{{ t('right') }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="press in PRESSES" :key="press.id">
        <th scope="row">
          <b>{{ press.name }}</b><span class="soft small">{{ press.how }}</span>
        </th>
        <td v-for="side in SIDES" :key="side">
          <ChoiceRow
            :options="answers"
            :value="findings.read<'press'>(placeOf(press.id, side))?.answer ?? null"
            :label="`${press.name}, ${side}`"
            :disabled="disabled"
            @change="(answer) => props.findings.write({ ...placeOf(press.id, side), data: answer === null ? null : { answer } })"
          />
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.presses {
  width: 100%;
  border-collapse: collapse;
}

th,
td {
  padding: 6px 10px 6px 0;
  border-bottom: 1px solid var(--line-faint);
  text-align: left;
  font-weight: 400;
  vertical-align: top;
}

th span {
  display: block;
}

thead th {
  color: var(--soft);
  font-size: 13px;
}
</style>
