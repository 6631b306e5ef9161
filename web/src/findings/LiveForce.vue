<script setup lang="ts">
import { useForceGauge } from '../devices/useForceGauge.ts';
import { t } from '../words/findings.ts';

/** What presses on the gauge now. Fifty samples a second draw this line and nothing else of the page. */
const gauge = useForceGauge();
</script>

<template>
  <b class="num live" data-testid="live-force">{{ t('n', { now: Math.round(gauge.now) }) }}</b>
  <span v-if="gauge.pct !== null" class="num">{{ t('ofN', { pct: Math.round(gauge.pct), maximum: Math.round(gauge.maximum!) }) }}</span>
</template>

<style scoped>
.live {
  min-width: 62px;
  font-size: 22px;
}
</style>
