<script setup lang="ts">
import { computed } from 'vue';
import { KIND_WORDS, protocolFit, type EventDaySetUp, type Offer } from '@pace-bend/core/eventDay';
import PickMany from '../parts/PickMany.vue';
import { usePractice } from '../stores/practice.ts';
import { useShelf } from '../stores/shelf.ts';
import { t } from '../words/eventDay.ts';

/** Which sequences of the shelf are offered around a race, of those that the day allows; the others say why not. */
const props = defineProps<{ setUp: EventDaySetUp }>();
const emit = defineEmits<{ change: [fields: Partial<EventDaySetUp>] }>();
const shelf = useShelf();
const practice = usePractice();
const minutesOf = (seconds: number) => t('min5', { seconds: Math.max(1, Math.round(seconds / 60)) });
const offers = computed(() =>
  props.setUp.offers
    .filter(({ offered }) => offered)
    .map((offer) => {
      const looked = shelf.protocols.map((protocol) => ({
        protocol,
        fit: protocolFit(protocol, offer.kind, offer.minutes, shelf.shelf, practice.practice?.phases ?? []),
      }));
      const fitting = looked.filter(({ fit }) => fit.against.length === 0);
      return {
        offer,
        // What was chosen stays seen when it no longer fits, so that it can be taken out.
        options: looked
          .filter(({ protocol, fit }) => fit.against.length === 0 || offer.protocolIds.includes(protocol.id))
          .map(({ protocol, fit }) => ({ value: protocol.id, label: `${protocol.name}, ${minutesOf(fit.seconds)}` })),
        wrong: looked.filter(({ protocol, fit }) => fit.against.length > 0 && offer.protocolIds.includes(protocol.id)),
        out: looked.filter(({ fit }) => fit.against.length > 0),
        fitting: fitting.length,
      };
    }),
);
const choose = (kind: Offer['kind'], protocolIds: readonly string[]) =>
  emit('change', { offers: props.setUp.offers.map((each) => (each.kind === kind ? { ...each, protocolIds } : each)) });
</script>

<template>
  <section class="card fields" :aria-label="t('sequences')">
    <h2>{{ t('sequences') }}</h2>
    <div v-for="{ offer, options, wrong, out, fitting } in offers" :key="offer.kind" class="field">
      <label :for="`sequences-${offer.kind}`">{{ KIND_WORDS[offer.kind] }}</label>
      <PickMany
        :input-id="`sequences-${offer.kind}`"
        :label="t('sequences2', { what: KIND_WORDS[offer.kind] })"
        :values="offer.protocolIds"
        :options="options"
        :placeholder="t('anyFits')"
        :most="30"
        @change="(to) => choose(offer.kind, to)"
      />
      <p v-for="{ protocol, fit } in wrong" :key="protocol.id" class="wrong small" role="alert">
        {{ t('doesNotFit', { name: protocol.name, against: fit.against.join(' ') }) }}
      </p>
      <details v-if="out.length > 0">
        <summary class="soft small">{{ t('shelfFitMinDo', { fitting, minutes: offer.minutes, count: out.length }) }}</summary>
        <ul class="plain small">
          <li v-for="{ protocol, fit } in out" :key="protocol.id">
            <b>{{ protocol.name }}</b> {{ fit.against.join(' ') }}
          </li>
        </ul>
      </details>
    </div>
    <p class="soft small">
      {{ t('beforeStartHoldsEffort') }}
    </p>
  </section>
</template>

<style scoped>
summary {
  min-height: 32px;
  line-height: 32px;
  cursor: pointer;
}

details li {
  padding: 4px 0;
  border-top: 1px solid var(--line-faint);
}
</style>
