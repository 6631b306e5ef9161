<script setup lang="ts">
import { REASON_WORDS, WISH_REASONS, type WishReason } from '@pace-bend/core/eventDay';
import PickMany from '../parts/PickMany.vue';
import { t } from '../words/eventDay.ts';

/** Why somebody goes first; nothing, for most. */
defineProps<{ id: string; reasons: readonly WishReason[] }>();
const emit = defineEmits<{ change: [reasons: WishReason[]] }>();
</script>

<template>
  <div class="field">
    <label :for="id">{{ t('goesFirstBecause') }}</label>
    <PickMany
      :input-id="id"
      :label="t('goesFirstBecause')"
      :values="reasons"
      :options="WISH_REASONS.map((reason) => ({ value: reason, label: REASON_WORDS[reason] }))"
      :placeholder="t('nothingLikeEverybody')"
      @change="(to) => emit('change', to)"
    />
  </div>
</template>
