<script setup lang="ts">
import { computed } from 'vue';
import { t } from '../../words/table.ts';

const props = defineProps<{
  round: number;
  rounds: number;
  /** Rounds whose last phase was done. */
  done: readonly number[];
}>();
const isOver = computed(() => props.round > props.rounds);
const marks = computed(() =>
  Array.from({ length: props.rounds }, (_, i) => {
    if (i + 1 === props.round) return 'now';
    return props.done.includes(i + 1) ? 'done' : 'to-come';
  }),
);
const words = computed(() => {
  if (props.round === 0) return t('roundsCome', { rounds: props.rounds });
  if (!isOver.value) return t('roundOf', { round: props.round, rounds: props.rounds });
  return props.done.length === props.rounds
    ? t('allRoundsDone', { rounds: props.rounds })
    : t('roundsDone', { count: props.done.length, rounds: props.rounds });
});
</script>

<template>
  <div class="rounds" role="img" :aria-label="words">
    <span class="lab"
      >{{ t('round') }}
      <span v-if="rounds > 6" class="num">{{ t('of', { max: Math.min(Math.max(round, 1), rounds), rounds }) }}</span></span
    >
    <span v-if="rounds <= 6" class="squares"><i v-for="(mark, i) in marks" :key="i" :class="mark" /></span>
  </div>
</template>

<style scoped>
.rounds {
  display: grid;
  gap: 8px;
  justify-items: end;
}

.lab {
  color: var(--soft);
  font-size: 16px;
}

.squares {
  display: flex;
  gap: 9px;
}

i {
  width: 26px;
  height: 26px;
  border: 2px solid #5a6d64;
}

i.done {
  border-color: #2e7d68;
  background: #2e7d68;
}

i.now {
  border-color: #f3b08c;
  background: linear-gradient(135deg, #f3b08c 50%, transparent 50%);
}
</style>
