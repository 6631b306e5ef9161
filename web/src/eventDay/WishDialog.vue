<script setup lang="ts">
import Button from 'ant-design-vue/es/button';
import { computed, ref } from 'vue';
import { KIND_WORDS, protocolFit, WISH_MINUTES, type EventDaySetUp, type Wish, type WishReason } from '@pace-bend/core/eventDay';
import NumberField from '../parts/NumberField.vue';
import PickOne from '../parts/PickOne.vue';
import SheetDialog from '../parts/SheetDialog.vue';
import { usePractice } from '../stores/practice.ts';
import { useShelf } from '../stores/shelf.ts';
import ReasonsField from './ReasonsField.vue';
import { t } from '../words/eventDay.ts';

/** One wish as it is: how long, why first, whose hands. */
const props = defineProps<{ wish: Wish; setUp: EventDaySetUp; therapists: readonly { readonly id: string; readonly name: string }[] }>();
const emit = defineEmits<{ save: [wish: Wish]; close: [] }>();
const shelf = useShelf();
const practice = usePractice();
const minutes = ref(props.wish.minutes);
const reasons = ref<readonly WishReason[]>(props.wish.reasons);
const therapist = ref(props.wish.therapistId ?? 'anybody');
const sequence = ref(props.wish.protocolId ?? 'offered');
/** Those that fit these minutes; the one it has stays seen. */
const fitting = computed(() =>
  shelf.protocols
    .filter(
      (protocol) =>
        protocol.id === props.wish.protocolId ||
        protocolFit(protocol, props.wish.kind, minutes.value, shelf.shelf, practice.practice?.phases ?? []).against.length === 0,
    )
    .map(({ id, name: label }) => ({ value: id, label })),
);
const name = computed(() => props.setUp.starters.find(({ id }) => id === props.wish.starterId)?.name ?? '');
const wrong = computed(() => !(Number.isInteger(minutes.value) && minutes.value >= WISH_MINUTES.min && minutes.value <= WISH_MINUTES.max));
function save(): void {
  if (wrong.value) return;
  emit('save', {
    ...props.wish,
    minutes: minutes.value,
    reasons: reasons.value,
    therapistId: therapist.value === 'anybody' ? null : therapist.value,
    protocolId: sequence.value === 'offered' ? null : sequence.value,
  });
}
</script>

<template>
  <SheetDialog :open="true" :title="`${name}, ${KIND_WORDS[wish.kind]}`" @update:open="emit('close')">
    <form class="fields" @submit.prevent="save">
      <div class="field">
        <span class="label">{{ t('minutes') }}</span>
        <NumberField :value="minutes" :label="t('minutes')" :unit="t('min3')" :step="1" :wrong="wrong" @change="(to) => (minutes = to)" />
        <p v-if="wrong" class="wrong small" role="alert">{{ t('wholeMinutes', { min: WISH_MINUTES.min, max: WISH_MINUTES.max }) }}</p>
      </div>
      <ReasonsField id="wish-reasons" :reasons="reasons" @change="(to) => (reasons = to)" />
      <div class="field">
        <label for="wish-hands">{{ t('handsAsked') }}</label>
        <PickOne
          input-id="wish-hands"
          :label="t('handsAsked')"
          :value="therapist"
          :options="[{ value: 'anybody', label: t('anybodys') }, ...therapists.map(({ id, name: label }) => ({ value: id, label }))]"
          @change="(to) => (therapist = to)"
        />
      </div>
      <div class="field">
        <label for="wish-sequence">{{ t('sequence') }}</label>
        <PickOne
          input-id="wish-sequence"
          :label="t('sequence')"
          :value="sequence"
          :options="[{ value: 'offered', label: t('asOffered') }, ...fitting]"
          @change="(to) => (sequence = to)"
        />
      </div>
      <Button type="primary" html-type="submit" :disabled="wrong">{{ t('saveWish') }}</Button>
    </form>
  </SheetDialog>
</template>
