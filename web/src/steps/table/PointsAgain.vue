<script setup lang="ts">
import { computed, ref } from 'vue';
import { type FeltBefore } from '@pace-bend/core/finding';
import { useFindings } from '../../findings/useFindings.ts';
import { isKey } from '../../parts/keys.ts';
import { t } from '../../words/table.ts';

/** Points where the hand has just been, to be felt once more: one digit and Enter, or one touch when nothing is there any more. */
const props = defineProps<{ points: readonly FeltBefore[] }>();
const findings = useFindings('after');
const root = ref<HTMLElement | null>(null);
const typed = ref<Readonly<Record<string, string>>>({});

const TENDER_MOST = 10;
const rows = computed(() =>
  props.points.map((point) => {
    const text = typed.value[point.finding.id] ?? '';
    const isSound = text === '' || (/^\d{1,2}$/.test(text) && Number(text) <= TENDER_MOST);
    return { ...point, text, wrong: isSound ? null : t('wholeNumber010') };
  }),
);
type Row = (typeof rows.value)[number];

function keep({ finding, text, wrong }: Row): void {
  if (text === '' || wrong !== null) return;
  findings.write({
    kind: 'point',
    subject: finding.subject,
    side: finding.side,
    data: { ...finding.data, tenderness: Number(text) },
  });
}
function gone({ finding }: Row): void {
  findings.write({ kind: 'point', subject: finding.subject, side: finding.side, data: { what: 'clean', tenderness: null, refers: '' } });
}
function onKey(event: KeyboardEvent, row: Row): void {
  if (isKey(event, 'nextTrial')) {
    event.preventDefault();
    keep(row);
  } else if (isKey(event, 'takeBackTrial')) {
    event.preventDefault();
    typed.value = { ...typed.value, [row.finding.id]: '' };
    (event.target as HTMLInputElement).blur();
  }
}
function focus(): boolean {
  const first = root.value?.querySelector('input') ?? null;
  first?.focus();
  return first !== null;
}
defineExpose({ focus });
</script>

<template>
  <div v-if="rows.length > 0" ref="root" class="points" role="group" :aria-label="t('feltAgain')">
    <div v-for="row in rows" :key="row.finding.id" class="point">
      <span class="what"
        >{{ row.words }}. <span class="soft">{{ t('now010') }}</span></span
      >
      <input
        inputmode="numeric"
        autocomplete="off"
        maxlength="2"
        :aria-label="t('howTenderNow', { words: row.words })"
        :value="row.text"
        :aria-invalid="row.wrong ? 'true' : undefined"
        @input="typed = { ...typed, [row.finding.id]: ($event.target as HTMLInputElement).value.trim() }"
        @keydown="onKey($event, row)"
        @blur="keep(row)"
      />
      <button type="button" class="gone" @click="gone(row)">{{ t('nothingThereAnyMore') }}</button>
      <span v-if="row.wrong" class="wrong" role="alert">{{ row.wrong }}</span>
    </div>
  </div>
</template>

<style scoped>
.points {
  display: grid;
  gap: 8px;
  margin-top: 10px;
}

.point {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 16px;
}

.what {
  font-size: 20px;
}

input,
.gone {
  min-height: 54px;
  border: 2px solid var(--line);
  border-radius: 4px;
  background: var(--paper);
  color: var(--ink);
}

input {
  width: 84px;
  font: 500 24px var(--figures);
  text-align: center;
}

input:focus {
  border-color: var(--sun);
  outline: none;
}

.gone {
  padding: 0 16px;
  font: 500 18px var(--words);
  cursor: pointer;
}

.wrong {
  width: 100%;
  color: #f7c9b1;
}
</style>
