<script setup lang="ts">
import { formatNumber } from '@pace-bend/core/measure';
import { useInclinometers } from '../devices/useInclinometers.ts';

/** Where the limb is now. Fifty samples a second draw this number and nothing else of the page. */
const device = useInclinometers();
</script>

<template>
  <p class="live num" :class="{ off: device.warning !== null }" data-testid="live-angle">
    {{ device.value === null ? '–' : `${formatNumber(device.value, 1)}°` }}
  </p>
</template>

<style scoped>
.live {
  margin: 0;
  font-size: 46px;
  line-height: 1;
  font-stretch: 120%;
}

.off {
  color: var(--clay-text);
}
</style>
