<script setup lang="ts">
import { computed, ref } from 'vue';
import { addDays } from '@pace-bend/core/load';
import { LIMITS } from '@pace-bend/core/record';
import TextInput from '../parts/TextInput.vue';
import { t } from '../words/checkIn.ts';

/** What was trained, in four taps: which day, what, how long, how hard. */
const props = defineProps<{
  kinds: readonly { readonly id: string; readonly name: string; readonly counts: string | null }[];
  today: string;
}>();
const emit = defineEmits<{ send: [fields: object] }>();

const open = ref(false);
const day = ref<'today' | 'yesterday'>('yesterday');
const kind = ref('');
const minutes = ref(60);
const exertion = ref<number | null>(null);
const amount = ref('');
const sent = ref(0);
const counts = computed(() => props.kinds.find((each) => each.id === kind.value)?.counts ?? null);
const amountWrong = computed(() => {
  const value = Number(amount.value);
  return amount.value.trim() !== '' && !(value >= 0 && value <= LIMITS.loadAmount.max);
});
const ready = computed(() => kind.value !== '' && exertion.value !== null && !amountWrong.value);
const { min, max } = LIMITS.loadMinutes;

function send(): void {
  if (!ready.value) return;
  emit('send', {
    onDate: day.value === 'today' ? props.today : addDays(props.today, -1),
    kind: kind.value,
    minutes: minutes.value,
    exertion: exertion.value,
    amount: counts.value && amount.value.trim() !== '' ? Number(amount.value) : null,
    askedAfterMin: null,
    planned: false,
  });
  sent.value += 1;
  kind.value = '';
  exertion.value = null;
  amount.value = '';
}
</script>

<template>
  <section class="trained" :aria-label="t('whatYouTrained')">
    <button v-if="!open" type="button" class="wide" @click="open = true">{{ t('addWhatYouTrained') }}</button>
    <template v-else>
      <h2>{{ t('whatYouTrained') }}</h2>
      <p v-if="sent > 0" class="soft small" role="status">
        {{ t('added', { sent, what: sent === 1 ? t('session') : t('sessions') }) }}
      </p>
      <div class="row" role="group" :aria-label="t('when')">
        <button type="button" :aria-pressed="day === 'yesterday'" @click="day = 'yesterday'">{{ t('yesterday') }}</button>
        <button type="button" :aria-pressed="day === 'today'" @click="day = 'today'">{{ t('today') }}</button>
      </div>
      <div class="row" role="group" :aria-label="t('what')">
        <button v-for="each in kinds" :key="each.id" type="button" :aria-pressed="kind === each.id" @click="kind = each.id">
          {{ each.name }}
        </button>
      </div>
      <div class="minutes" role="group" :aria-label="t('minutes')">
        <span>{{ t('minutes') }}</span>
        <button type="button" :aria-label="t('fiveMinutesLess')" @click="minutes = Math.max(min, minutes - 5)">−</button>
        <b class="num" aria-live="polite">{{ minutes }}</b>
        <button type="button" :aria-label="t('fiveMinutesMore')" @click="minutes = Math.min(max, minutes + 5)">+</button>
      </div>
      <div role="group" :aria-label="t('howHard010')">
        <p class="soft small">{{ t('howHard0Rest') }}</p>
        <div class="hard">
          <button
            v-for="n in 11"
            :key="n"
            type="button"
            class="num"
            :aria-pressed="exertion === n - 1"
            :aria-label="t('howHard', { what: n - 1 })"
            @click="exertion = n - 1"
          >
            {{ n - 1 }}
          </button>
        </div>
      </div>
      <label v-if="counts" class="amount"
        >{{ t('ifYouKnow', { counts }) }}
        <TextInput v-model="amount" class="num" inputmode="numeric" maxlength="7" :aria-invalid="amountWrong ? 'true' : undefined" />
      </label>
      <button type="button" class="wide" :disabled="!ready" @click="send">{{ t('addSession') }}</button>
    </template>
  </section>
</template>

<style scoped>
.trained {
  display: grid;
  gap: 10px;
}

.row {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(130px, 100%), 1fr));
  gap: 4px;
}

button {
  min-height: 48px;
  border: 1.5px solid var(--line);
  border-radius: 4px;
  background: var(--paper);
  color: var(--ink);
  font: inherit;
  cursor: pointer;
}

button[aria-pressed='true'] {
  border: 2.5px solid var(--spruce);
  font-weight: 700;
}

button:disabled {
  color: var(--soft);
  cursor: default;
}

.minutes {
  display: grid;
  grid-template-columns: 1fr 48px 64px 48px;
  align-items: center;
  gap: 6px;
}

.minutes b {
  font-size: 24px;
  text-align: center;
}

.hard {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(40px, 100%), 1fr));
  gap: 3px;
}

.hard button {
  padding: 0;
}

.amount {
  display: grid;
  gap: 4px;
}

.wide {
  min-height: 56px;
  font-weight: 600;
}
</style>
