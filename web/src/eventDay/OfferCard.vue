<script setup lang="ts">
import { ref, watch } from 'vue';
import Checkbox from 'ant-design-vue/es/checkbox';
import { DAY_LIMITS, DAY_RULE_RANGE, DAY_RULES, KIND_WORDS, type DayRules, type EventDaySetUp, type Offer } from '@pace-bend/core/eventDay';
import { isDay } from '@pace-bend/core/record';
import DayField from '../parts/DayField.vue';
import NumberField from '../parts/NumberField.vue';
import TextInput from '../parts/TextInput.vue';
import SequencesCard from './SequencesCard.vue';

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
  { id: 'beforeAtMost', words: 'Before a start: begun at most so long before the call' },
  { id: 'beforeAtLeast', words: 'Before a start: ended at least so long before the call' },
  { id: 'raceTakes', words: 'After the start, until somebody can be on a table' },
  { id: 'afterWithin', words: 'After a race: ended within' },
  { id: 'step', words: 'Times are promised in steps of' },
  { id: 'turnover', words: 'Between two people, to make the table ready' },
  { id: 'grace', words: 'A promise is kept by a begin at most so late' },
  { id: 'notice', words: 'A new time is at least so far ahead, unless they are here' },
  { id: 'quiet', words: 'Nobody is told of two times within' },
];
</script>

<template>
  <div class="two">
    <section class="card fields" aria-label="The day">
      <h2>The day</h2>
      <div class="field">
        <label for="set-up-title">Name</label>
        <TextInput
          id="set-up-title"
          :model-value="title"
          :maxlength="DAY_LIMITS.title"
          autocomplete="off"
          :aria-invalid="title.trim() === '' ? 'true' : undefined"
          @update:model-value="(to) => (title = to ?? '')"
          @change="rename"
        />
        <p v-if="title.trim() === ''" class="wrong small" role="alert">The day has a name.</p>
      </div>
      <DayField id="set-up-day" label="Day" :value="setUp.onDate" @update:value="moveTo" />
    </section>
    <section class="card fields" aria-label="What is offered">
      <h2>What is offered</h2>
      <div v-for="(offer, i) in setUp.offers" :key="offer.kind" class="offer">
        <Checkbox :checked="offer.offered" @update:checked="(to: boolean) => setOffer(offer, { offered: to })">{{
          KIND_WORDS[offer.kind]
        }}</Checkbox>
        <span class="soft small">usually</span>
        <NumberField
          :value="offer.minutes"
          :label="`${KIND_WORDS[offer.kind]}, usually`"
          unit="min"
          :step="1"
          :wrong="faultAt(`offers.${i}.minutes`) !== null"
          @change="(to) => Number.isInteger(to) && setOffer(offer, { minutes: to })"
        />
        <span class="soft small">at least</span>
        <NumberField
          :value="offer.leastMinutes"
          :label="`${KIND_WORDS[offer.kind]}, at least`"
          unit="min"
          :step="1"
          :wrong="faultAt(`offers.${i}.leastMinutes`) !== null"
          @change="(to) => Number.isInteger(to) && setOffer(offer, { leastMinutes: to })"
        />
      </div>
      <p class="soft small">
        Before a start: short, warm, easy, no long holds. Between races: comfort and flushing only. Eight to fifteen minutes before a start
        are common practice; what you offer is yours.
      </p>
    </section>
    <SequencesCard :set-up="setUp" @change="(fields) => emit('change', fields)" />
    <section class="card fields" aria-label="Rules of the day">
      <h2>Rules of the day</h2>
      <div v-for="rule in RULES" :key="rule.id" class="rule">
        <span>{{ rule.words }}</span>
        <NumberField
          :value="setUp.rules[rule.id]"
          :label="rule.words"
          unit="min"
          :step="1"
          :wrong="faultAt(`rules.${rule.id}`) !== null"
          @change="(to) => setRule(rule.id, to)"
        />
        <p v-if="faultAt(`rules.${rule.id}`)" class="wrong small" role="alert">
          {{ faultAt(`rules.${rule.id}`) }} ({{ DAY_RULE_RANGE[rule.id].min }} to {{ DAY_RULE_RANGE[rule.id].max }})
        </p>
      </div>
      <p class="soft small">
        To begin with: {{ DAY_RULES.beforeAtMost }}, {{ DAY_RULES.beforeAtLeast }} and {{ DAY_RULES.afterWithin }} minutes are common
        practice; the others are habits of this program.
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
