<script setup lang="ts">
import { keyOf } from '../../parts/keys.ts';
import { t } from '../../words/table.ts';

defineProps<{
  ceiling: number;
  last: number | null;
  disabled: boolean;
  /** Digits mean something else just now. */
  edgeOpen: boolean;
  /** When a number is asked for. */
  asks: string;
}>();
defineEmits<{ score: [value: number]; asks: [] }>();
</script>

<template>
  <div class="discomfort" role="group" :aria-label="t('discomfortCeiling', { ceiling })">
    <button type="button" class="lab" @click="$emit('asks')">
      <b>{{ edgeOpen ? t('digitsGoElsewhere') : t('discomfort') }}</b> {{ t('ask', { asks }) }} <kbd>{{ keyOf('number') }}</kbd>
    </button>
    <button
      v-for="n in 11"
      :key="n"
      type="button"
      class="num"
      :class="{ over: n - 1 > ceiling, on: n - 1 === last, ceiling: n - 1 === ceiling }"
      :disabled="disabled || edgeOpen"
      :aria-pressed="n - 1 === last"
      :aria-label="t('discomfort2', { what: n - 1, what2: n - 1 > ceiling ? t('aboveCeiling') : '' })"
      @click="$emit('score', n - 1)"
    >
      {{ n - 1 }}
    </button>
  </div>
</template>

<style scoped>
.discomfort {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 7px;
}

.lab {
  width: 96px;
  min-height: 56px;
  padding: 0;
  border: 0;
  background: none;
  color: var(--soft);
  font: 400 13px/1.25 var(--words);
  text-align: left;
  cursor: pointer;
}

.lab b {
  display: block;
  color: var(--ink);
  font-weight: 600;
}

button.num {
  width: 54px;
  height: 56px;
  border: 0;
  border-radius: 4px;
  background: #1a2c25;
  color: #f3eddf;
  font-size: 20px;
  cursor: pointer;
}

button.num.over {
  background: #2f1b13;
  color: #ee9d79;
}

button.ceiling {
  box-shadow: inset -4px 0 0 #b94e25;
}

button.on {
  background: #27705c;
  color: #fff;
}

button.on.over {
  background: #b24a22;
}

button:disabled {
  opacity: 0.55;
  cursor: default;
}

/* Eleven in two rows: each stays as large as a thumb. */
@media (max-width: 640px) {
  .discomfort {
    display: grid;
    grid-template-columns: repeat(6, minmax(0, 1fr));
    width: 100%;
  }

  .discomfort .lab {
    width: auto;
    min-height: 54px;
    font: 400 12px/1.15 var(--figures);
    font-stretch: 75%;
    overflow-wrap: anywhere;
  }

  .discomfort button.num {
    width: auto;
    min-width: 44px;
  }
}

@media (min-width: 641px) and (max-width: 1240px) {
  .discomfort {
    gap: 4px;
  }

  button.num {
    width: 48px;
  }

  .lab {
    width: 70px;
    font-size: 12px;
  }
}
</style>
