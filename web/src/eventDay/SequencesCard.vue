<script setup lang="ts">
import { computed } from 'vue';
import { KIND_WORDS, protocolFit, type EventDaySetUp, type Offer } from '@pace-bend/core/eventDay';
import PickMany from '../parts/PickMany.vue';
import { usePractice } from '../stores/practice.ts';
import { useShelf } from '../stores/shelf.ts';

/** Which sequences of the shelf are offered around a race, of those that the day allows; the others say why not. */
const props = defineProps<{ setUp: EventDaySetUp }>();
const emit = defineEmits<{ change: [fields: Partial<EventDaySetUp>] }>();
const shelf = useShelf();
const practice = usePractice();
const minutesOf = (seconds: number) => `${Math.max(1, Math.round(seconds / 60))} min`;
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
  <section class="card fields" aria-label="Sequences">
    <h2>Sequences</h2>
    <div v-for="{ offer, options, wrong, out, fitting } in offers" :key="offer.kind" class="field">
      <label :for="`sequences-${offer.kind}`">{{ KIND_WORDS[offer.kind] }}</label>
      <PickMany
        :input-id="`sequences-${offer.kind}`"
        :label="`Sequences ${KIND_WORDS[offer.kind]}`"
        :values="offer.protocolIds"
        :options="options"
        placeholder="any that fits"
        :most="30"
        @change="(to) => choose(offer.kind, to)"
      />
      <p v-for="{ protocol, fit } in wrong" :key="protocol.id" class="wrong small" role="alert">
        {{ protocol.name }} does not fit: {{ fit.against.join(' ') }}
      </p>
      <details v-if="out.length > 0">
        <summary class="soft small">{{ fitting }} of the shelf fit {{ offer.minutes }} min, {{ out.length }} do not</summary>
        <ul class="plain small">
          <li v-for="{ protocol, fit } in out" :key="protocol.id">
            <b>{{ protocol.name }}</b> {{ fit.against.join(' ') }}
          </li>
        </ul>
      </details>
    </div>
    <p class="soft small">
      Before a start holds, effort and discomfort stay within the phase of competing, after a race within that of recovering, as your
      practice has them; between races nothing goes to the end of its range.
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
