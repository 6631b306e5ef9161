<script setup lang="ts">
import { computed, nextTick, ref } from 'vue';
import { motionOf, type Side } from '@pace-bend/core/body';
import { formatValue, summariseTrials, TRIALS_USUAL } from '@pace-bend/core/measure';
import type { Moment } from '@pace-bend/core/record';
import type { StripItem } from '@pace-bend/core/session';
import { fieldCount } from '../../measuring/trialEntry.ts';
import { useMeasuring } from '../../measuring/useMeasuring.ts';
import { isKey } from '../../parts/keys.ts';
import { SIDE_WORDS } from '../../parts/words.ts';
import { t } from '../../words/table.ts';

/** What is to be read between two blocks, with its fields right here: digits and Enter, trials as always. */
const props = defineProps<{ items: readonly StripItem[] }>();

const rows = computed(() =>
  props.items.flatMap((item) =>
    item.motionId === undefined
      ? []
      : [{ motion: motionOf(item.motionId), side: (item.side ?? 'midline') as Side, moment: item.kind as Moment }],
  ),
);
const measuring = { before: useMeasuring('before'), after: useMeasuring('after') };
const root = ref<HTMLElement | null>(null);
const inputs = () => [...(root.value?.querySelectorAll<HTMLInputElement>('input') ?? [])];

/** The first field that is still empty, for the key that goes there. */
function focus(): boolean {
  const empty = inputs().find((input) => input.value === '') ?? inputs()[0];
  empty?.focus();
  empty?.select();
  return empty !== undefined;
}
defineExpose({ focus });

const countOf = (row: (typeof rows.value)[number]) => fieldCount(measuring[row.moment].trialsOf(row.motion.id, row.side));
const messageOf = ({ motion, side, moment }: (typeof rows.value)[number]) =>
  measuring[moment].problemOf(motion.id, side) ?? measuring[moment].checked(motion, side).messages.find((each) => each !== null) ?? null;
function meanOf({ motion, side, moment }: (typeof rows.value)[number]): string {
  const { values } = measuring[moment].checked(motion, side);
  return values.length === 0 ? '' : formatValue(summariseTrials(values).mean, motion.unit);
}

function onKey(event: KeyboardEvent, row: (typeof rows.value)[number], index: number): void {
  const { motion, side, moment } = row;
  if (isKey(event, 'nextTrial')) {
    event.preventDefault();
    if (measuring[moment].checked(motion, side).messages[index]) return;
    const isLast = index + 1 >= TRIALS_USUAL;
    if (isLast) measuring[moment].commit(motion, side);
    // The next field, also that of the next reading; after the last one the keys are the table's again.
    void nextTick(() => {
      const here = inputs().indexOf(event.target as HTMLInputElement);
      const after = inputs()
        .slice(here + 1)
        .find((input) => !isLast || !input.dataset.row?.startsWith(`${moment}/${motion.id}/${side}`));
      if (after) after.focus();
      else (event.target as HTMLInputElement).blur();
    });
  } else if (isKey(event, 'takeBackTrial')) {
    event.preventDefault();
    measuring[moment].takeBack(motion, side);
    (event.target as HTMLInputElement).blur();
  }
}
function onLeave(event: FocusEvent, row: (typeof rows.value)[number]): void {
  const into = event.relatedTarget as HTMLElement | null;
  if (into?.dataset.row === `${row.moment}/${row.motion.id}/${row.side}`) return;
  measuring[row.moment].commit(row.motion, row.side);
}
</script>

<template>
  <div v-if="rows.length > 0" ref="root" class="readings" role="group" :aria-label="t('readNow')">
    <div v-for="row in rows" :key="`${row.moment}/${row.motion.id}/${row.side}`" class="reading">
      <span class="what"
        >{{ row.motion.name }}{{ row.side === 'midline' ? '' : `, ${SIDE_WORDS[row.side].toLowerCase()}` }}
        <span class="soft"
          >{{ row.moment === 'after' ? t('again2') : t('beforeWork') }}, {{ row.motion.unit === 'deg' ? t('degrees') : t('cm') }}</span
        ></span
      >
      <span class="fields">
        <input
          v-for="i in countOf(row)"
          :key="i"
          inputmode="decimal"
          autocomplete="off"
          maxlength="8"
          :data-row="`${row.moment}/${row.motion.id}/${row.side}`"
          :aria-label="t('trial', { name: row.motion.name, side: row.side, moment: row.moment, i })"
          :value="measuring[row.moment].trialsOf(row.motion.id, row.side)[i - 1] ?? ''"
          :aria-invalid="measuring[row.moment].checked(row.motion, row.side).messages[i - 1] ? 'true' : undefined"
          @input="measuring[row.moment].type(row.motion, row.side, i - 1, ($event.target as HTMLInputElement).value)"
          @keydown="onKey($event, row, i - 1)"
          @blur="onLeave($event, row)"
        />
        <span class="num mean">{{ meanOf(row) }}</span>
      </span>
      <span v-if="messageOf(row)" class="wrong" role="alert">{{ messageOf(row) }}</span>
    </div>
  </div>
</template>

<style scoped>
.readings {
  display: grid;
  gap: 8px;
  margin-top: 10px;
}

.reading {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 16px;
}

.what {
  font-size: 20px;
}

.fields {
  display: flex;
  align-items: center;
  gap: 8px;
}

input {
  width: 84px;
  min-height: 54px;
  border: 2px solid var(--line);
  border-radius: 4px;
  background: var(--paper);
  color: var(--ink);
  font: 500 24px var(--figures);
  text-align: center;
}

input:focus {
  border-color: var(--sun);
  outline: none;
}

.mean {
  min-width: 72px;
  color: var(--sun);
  font-size: 24px;
}

.wrong {
  width: 100%;
  color: #f7c9b1;
}
</style>
