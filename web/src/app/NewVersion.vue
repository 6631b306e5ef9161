<script setup lang="ts">
import { useRegisterSW } from 'virtual:pwa-register/vue';
import { t } from '../words/app.ts';

/** Keeps the program on the device, and offers a new version when one is there; nobody is made to take it in the middle of a visit. */
const { needRefresh, updateServiceWorker } = useRegisterSW();
</script>

<template>
  <button v-if="needRefresh" type="button" class="choice small" @click="updateServiceWorker()">{{ t('newVersionHereLoad') }}</button>
</template>
