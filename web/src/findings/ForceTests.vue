<script setup lang="ts">
import { computed, reactive, shallowRef } from 'vue';
import Button from 'ant-design-vue/es/button';
import LiveForce from './LiveForce.vue';
import TextInput from '../parts/TextInput.vue';
import { balances, FORCES, FORCE_MOST_N, FORCE_TRIALS_MOST, weakSides, type ForceId } from '@pace-bend/core/finding';
import { useVisit } from '../stores/visit.ts';
import { STATE_WORDS } from '../devices/connection.ts';
import { useForceGauge } from '../devices/useForceGauge.ts';
import { usePractice } from '../stores/practice.ts';
import type { Findings } from './useFindings.ts';
import { t } from '../words/findings.ts';

/** Presses against the gauge: the best of three counts, and agonist is held against antagonist. */
const props = defineProps<{ findings: Findings; disabled: boolean }>();
const visit = useVisit();
const practice = usePractice();
const gauge = useForceGauge();
/** The field the gauge presses into: the one the hand was in last. */
const target = shallowRef<{ readonly subject: ForceId; readonly side: 'left' | 'right' } | null>(null);
const SIDES = ['left', 'right'] as const;
const placeOf = (subject: ForceId, side: 'left' | 'right') => ({ kind: 'force', subject, side }) as const;
const typed = reactive<Record<string, string>>({});
const wrong = reactive<Record<string, string>>({});
const keyOf = (subject: ForceId, side: string) => `${subject}/${side}`;

const trials = (subject: ForceId, side: 'left' | 'right') => props.findings.read<'force'>(placeOf(subject, side))?.trialsN ?? [];
const text = (subject: ForceId, side: 'left' | 'right') =>
  typed[keyOf(subject, side)] ??
  trials(subject, side)
    .map((each) => Math.round(each))
    .join(' ');
const best = (subject: ForceId, side: 'left' | 'right') =>
  trials(subject, side).length > 0 ? `${Math.round(Math.max(...trials(subject, side)))} N` : '';

function enter(subject: ForceId, side: 'left' | 'right'): void {
  const key = keyOf(subject, side);
  const words = typed[key];
  if (words === undefined) return;
  const parts = words
    .trim()
    .split(/[\s;/]+/)
    .filter(Boolean)
    .map((part) => Number(part.replace(',', '.')));
  delete wrong[key];
  if (parts.some((part) => !(part > 0 && part <= FORCE_MOST_N)) || parts.length > FORCE_TRIALS_MOST) {
    wrong[key] = t('upPresses1N', { forceTrialsMost: FORCE_TRIALS_MOST, forceMostN: FORCE_MOST_N });
    return;
  }
  delete typed[key];
  props.findings.write({ ...placeOf(subject, side), data: parts.length > 0 ? { trialsN: parts } : null });
}
/** Presses of the gauge are the trials of the field that was chosen; the newest three stand. */
function aim(subject: ForceId, side: 'left' | 'right'): void {
  if (target.value?.subject === subject && target.value.side === side) return;
  target.value = { subject, side };
  gauge.assign((presses) => {
    if (!props.disabled)
      props.findings.write({ ...placeOf(subject, side), data: { trialsN: presses.slice(-3).map((each) => Math.round(each)) } });
  });
}
const isStandIn = computed(() => gauge.name.includes('stand-in'));
const balance = computed(() => balances(visit.findings));
const weaker = computed(() => weakSides(visit.findings));
const groupName = (id: ForceId) => FORCES.find((each) => each.id === id)!.name;
</script>

<template>
  <div class="forces">
    <div v-if="practice.practice?.devices" class="gauge small">
      <span class="state" role="status">{{ gauge.state === 'on' ? gauge.name : t('forceGauge', { what: STATE_WORDS[gauge.state] }) }}</span>
      <Button v-if="gauge.state === 'off'" size="small" @click="gauge.connect()">{{ t('connect') }}</Button>
      <Button v-else size="small" @click="gauge.disconnect()">{{ t('disconnect') }}</Button>
      <template v-if="gauge.state === 'on'">
        <LiveForce />
        <span>{{
          target ? t('pressesGo', { groupName: groupName(target.subject).toLowerCase(), side: target.side }) : t('chooseFieldPressesGo')
        }}</span>
        <button
          v-if="isStandIn && target"
          type="button"
          class="link"
          @click="
            gauge.play([
              { do: 'press', pct: 92, seconds: 2 },
              { do: 'hold', seconds: 1.2 },
              { do: 'press', pct: 100, seconds: 2 },
              { do: 'hold', seconds: 1.2 },
              { do: 'press', pct: 96, seconds: 2 },
              { do: 'hold', seconds: 1 },
            ])
          "
        >
          {{ t('letStandPressThree') }}
        </button>
      </template>
    </div>
    <table>
      <thead>
        <tr>
          <td />
          <th scope="col">{{ t('leftN') }}</th>
          <th scope="col">{{ t('rightN') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="group in FORCES" :key="group.id">
          <th scope="row">
            <b>{{ group.name }}</b><span class="soft small">{{ group.how }}</span>
          </th>
          <td v-for="side in SIDES" :key="side">
            <TextInput
              class="num"
              inputmode="decimal"
              autocomplete="off"
              :maxlength="40"
              :placeholder="t('bestThree')"
              :aria-label="t('newtons', { name: group.name, side })"
              :model-value="text(group.id, side)"
              :readonly="disabled"
              :aria-invalid="wrong[keyOf(group.id, side)] ? 'true' : undefined"
              @update:model-value="(value) => (typed[keyOf(group.id, side)] = value ?? '')"
              @focus="aim(group.id, side)"
              @keydown.enter="enter(group.id, side)"
              @blur="enter(group.id, side)"
            />
            <b class="num best">{{ best(group.id, side) }}</b>
            <span v-if="wrong[keyOf(group.id, side)]" class="wrong small" role="alert">{{ wrong[keyOf(group.id, side)] }}</span>
          </td>
        </tr>
      </tbody>
    </table>
    <ul v-if="balance.length > 0" class="small" :aria-label="t('balanceAgonistAntagonist')">
      <li v-for="each in balance" :key="each.pair.agonist + each.side" :class="{ low: each.kind !== 'usual' }">
        <b>{{
          t('to', { groupName: groupName(each.pair.agonist), groupName2: groupName(each.pair.antagonist).toLowerCase(), side: each.side })
        }}</b>
        {{ each.words }}
      </li>
    </ul>
    <ul v-if="weaker.length > 0" class="small" :aria-label="t('weakerSides')">
      <li v-for="each in weaker" :key="each.group" class="low">
        <b>{{ groupName(each.group) }}</b> {{ t('pressOtherSide', { what: Math.round(100 * each.share), side: each.side }) }}
      </li>
    </ul>
    <p v-if="balance.length > 0" class="soft small">{{ t('usualRangesRecalledFrom') }}</p>
  </div>
</template>

<style scoped>
.gauge {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 14px;
  margin-bottom: 10px;
}

.state::before {
  content: '';
  display: inline-block;
  width: 9px;
  height: 9px;
  margin-right: 7px;
  border: 2px solid var(--slate);
  border-radius: 50%;
}

table {
  width: 100%;
  border-collapse: collapse;
}

th,
td {
  padding: 5px 10px 5px 0;
  border-bottom: 1px solid var(--line-faint);
  text-align: left;
  font-weight: 400;
}

th span {
  display: block;
}

thead th {
  color: var(--soft);
  font-size: 13px;
}

input {
  width: 118px;
  height: 34px;
  padding: 0 8px;
  border: 1px solid var(--line);
  border-radius: 4px;
  background: var(--paper);
  color: var(--ink);
}

.best {
  margin-left: 8px;
}

.wrong {
  display: block;
  color: var(--clay-text);
}

ul {
  margin: 10px 0 0;
  padding: 0;
  list-style: none;
}

.low b {
  color: var(--clay-text);
}
</style>
