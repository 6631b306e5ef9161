<script setup lang="ts">
import { computed } from 'vue';

const props = defineProps<{ round: number; rounds: number }>();
const marks = computed(() =>
  Array.from({ length: props.rounds }, (_, i) => (i + 1 < props.round ? 'done' : i + 1 === props.round ? 'now' : 'to-come')),
);
const words = computed(() =>
  props.round === 0
    ? `${props.rounds} rounds to come`
    : props.round > props.rounds
      ? `all ${props.rounds} rounds done`
      : `round ${props.round} of ${props.rounds}`,
);
</script>

<template>
  <div class="rounds" role="img" :aria-label="words">
    <span class="lab"
      >Round <span v-if="rounds > 6" class="num">{{ Math.min(Math.max(round, 1), rounds) }} of {{ rounds }}</span></span
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
