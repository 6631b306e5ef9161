<script setup lang="ts">
import { ref, watch } from 'vue';
import Checkbox from 'ant-design-vue/es/checkbox';
import { DAY_LIMITS, DAY_RULE_RANGE, DAY_RULES, KIND_WORDS, type DayRules, type EventDaySetUp, type Offer } from '@pace-bend/core/eventDay';
import { isDay } from '@pace-bend/core/record';
import DayField from '../parts/DayField.vue';
import NumberField from '../parts/NumberField.vue';
import TextInput from '../parts/TextInput.vue';
import SequencesCard from './SequencesCard.vue';
import { t } from '../words/eventDay.ts';

/** What is offered when, for how long, and the rules of the day. */
const props = defineProps<{ setUp: EventDaySetUp; faultAt: (path: string) => string | null }>();
const emit = defineEmits<{ change: [fields: Partial<EventDaySetUp>] }>();

const setOffer = (offer: Offer, fields: Partial<Offer>) =>
  emit('change', { offers: props.setUp.offers.map((each) => (each.kind === offer.kind ? { ...each, ...fields } : each)) });
const title = ref(props.setUp.title);
watch(
  () => props.setUp.title,
  (now) => (title.value = now),
);
function rename(): void {
  const next = title.value.trim();
  if (next !== '' && next !== props.setUp.title) emit('change', { title: next });
}
function moveTo(held: string): void {
  if (isDay(held) && held !== props.setUp.onDate) emit('change', { onDate: held });
}
const setRule = (rule: keyof DayRules, value: number) => {
  if (Number.isInteger(value)) emit('change', { rules: { ...props.setUp.rules, [rule]: value } });
};
const RULES: readonly { readonly id: keyof DayRules; readonly words: string }[] = [
  { id: 'beforeAtMost', words: t('beforeStartBegunMost') },
  { id: 'beforeAtLeast', words: t('beforeStartEndedLeast') },
  { id: 'raceTakes', words: t('afterStartUntilSomebody') },
  { id: 'afterWithin', words: t('afterRaceEndedWithin') },
  { id: 'step', words: t('timesPromisedSteps') },
  { id: 'turnover', words: t('betweenTwoPeopleMake') },
  { id: 'grace', words: t('promiseKeptBeginMost') },
  { id: 'notice', words: t('newTimeLeastFar') },
  { id: 'quiet', words: t('nobodyToldTwoTimes') },
];
</script>

<template>
  <div class="two">
    <section class="card fields" :aria-label="t('theDay')">
      <h2>{{ t('theDay') }}</h2>
      <div class="field">
        <label for="set-up-title">{{ t('name') }}</label>
        <TextInput
          id="set-up-title"
          :model-value="title"
          :maxlength="DAY_LIMITS.title"
          autocomplete="off"
          :aria-invalid="title.trim() === '' ? 'true' : undefined"
          @update:model-value="(to) => (title = to ?? '')"
          @change="rename"
        />
        <p v-if="title.trim() === ''" class="wrong small" role="alert">{{ t('dayName') }}</p>
      </div>
      <DayField id="set-up-day" :label="t('day')" :value="setUp.onDate" @update:value="moveTo" />
    </section>
    <section class="card fields" :aria-label="t('whatOffered')">
      <h2>{{ t('whatOffered') }}</h2>
      <div v-for="(offer, i) in setUp.offers" :key="offer.kind" class="offer">
        <Checkbox :checked="offer.offered" @update:checked="(to: boolean) => setOffer(offer, { offered: to })">{{
          KIND_WORDS[offer.kind]
        }}</Checkbox>
        <span class="soft small">{{ t('usually') }}</span>
        <NumberField
          :value="offer.minutes"
          :label="t('usually2', { what: KIND_WORDS[offer.kind] })"
          :unit="t('min3')"
          :step="1"
          :wrong="faultAt(`offers.${i}.minutes`) !== null"
          @change="(to) => Number.isInteger(to) && setOffer(offer, { minutes: to })"
        />
        <span class="soft small">{{ t('atLeast') }}</span>
        <NumberField
          :value="offer.leastMinutes"
          :label="t('atLeast2', { what: KIND_WORDS[offer.kind] })"
          :unit="t('min3')"
          :step="1"
          :wrong="faultAt(`offers.${i}.leastMinutes`) !== null"
          @change="(to) => Number.isInteger(to) && setOffer(offer, { leastMinutes: to })"
        />
      </div>
      <p class="soft small">
        {{ t('beforeStartShortWarm') }}
      </p>
    </section>
    <SequencesCard :set-up="setUp" @change="(fields) => emit('change', fields)" />
    <section class="card fields" :aria-label="t('rulesDay')">
      <h2>{{ t('rulesDay') }}</h2>
      <div v-for="rule in RULES" :key="rule.id" class="rule">
        <span>{{ rule.words }}</span>
        <NumberField
          :value="setUp.rules[rule.id]"
          :label="rule.words"
          :unit="t('min3')"
          :step="1"
          :wrong="faultAt(`rules.${rule.id}`) !== null"
          @change="(to) => setRule(rule.id, to)"
        />
        <p v-if="faultAt(`rules.${rule.id}`)" class="wrong small" role="alert">
          {{ t('to', { faultAt: faultAt(`rules.${rule.id}`), min: DAY_RULE_RANGE[rule.id].min, max: DAY_RULE_RANGE[rule.id].max }) }}
        </p>
      </div>
      <p class="soft small">
        {{
          t('beginMinutesCommonPractice', {
            beforeAtMost: DAY_RULES.beforeAtMost,
            beforeAtLeast: DAY_RULES.beforeAtLeast,
            afterWithin: DAY_RULES.afterWithin,
          })
        }}
      </p>
    </section>
  </div>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(380px, 100%), 1fr));
  gap: 14px;
  align-items: start;
}

.offer {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 10px;
}

.offer > :first-child {
  min-width: 150px;
}

.rule {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 2px 12px;
  align-items: center;
}

.rule .wrong {
  grid-column: 1 / -1;
}
</style>
