<script setup lang="ts">
import { REASON_WORDS, WISH_REASONS, type WishReason } from '@pace-bend/core/eventDay';
import PickMany from '../parts/PickMany.vue';

/** Why somebody goes first; nothing, for most. */
defineProps<{ id: string; reasons: readonly WishReason[] }>();
const emit = defineEmits<{ change: [reasons: WishReason[]] }>();
</script>

<template>
  <div class="field">
    <label :for="id">Goes first because</label>
    <PickMany
      :input-id="id"
      label="Goes first because"
      :values="reasons"
      :options="WISH_REASONS.map((reason) => ({ value: reason, label: REASON_WORDS[reason] }))"
      placeholder="nothing: like everybody"
      @change="(to) => emit('change', to)"
    />
  </div>
</template>
