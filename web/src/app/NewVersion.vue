<script setup lang="ts">
import { useRegisterSW } from 'virtual:pwa-register/vue';

/** Keeps the program on the device, and offers a new version when one is there; nobody is made to take it in the middle of a visit. */
const { needRefresh, updateServiceWorker } = useRegisterSW();
</script>

<template>
  <button v-if="needRefresh" type="button" class="new small" @click="updateServiceWorker()">A new version is here: load it</button>
</template>

<style scoped>
.new {
  min-height: 32px;
  padding: 4px 12px;
  border: 1px solid var(--spruce);
  border-radius: 4px;
  background: var(--paper);
  color: inherit;
  font: inherit;
  text-align: left;
  cursor: pointer;
}
</style>
