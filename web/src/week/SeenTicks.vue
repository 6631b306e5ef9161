<script setup lang="ts">
import { computed } from 'vue';
import { t } from '../words/week.ts';

/** The three weeks before: a tall tick for seen, a stub for left out, nothing before somebody was there. */
const props = defineProps<{ seen: readonly (boolean | null)[] }>();
const words = computed(() => {
  const said = props.seen.map((each) => (each === null ? t('notThereYet') : each ? t('seen') : t('leftOut')));
  return t('lastThreeWeeks', { said: said.join(', ') });
});
</script>

<template>
  <span class="ticks" role="img" :aria-label="words" :title="words"
    ><i v-for="(each, i) in seen" :key="i" :class="each === null ? 'none' : each ? 'seen' : 'out'"
  /></span>
</template>

<style scoped>
.ticks {
  display: inline-flex;
  align-items: flex-end;
  gap: 2px;
  height: 13px;
}

i {
  width: 4px;
}

.seen {
  height: 13px;
  background: var(--spruce);
}

.out {
  height: 3px;
  background: var(--clay);
}

.none {
  height: 1px;
  background: var(--line);
}
</style>
