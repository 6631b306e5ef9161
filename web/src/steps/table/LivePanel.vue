<script setup lang="ts">
import { computed } from 'vue';
import { formatNumber } from '@pace-bend/core/measure';
import { STATE_WORDS } from '../../devices/connection.ts';
import { usePractice } from '../../stores/practice.ts';
import type { Live } from './useLive.ts';
import { t } from '../../words/table.ts';

/** What the devices say now, as large as it has to be read from the athlete's other side. */
const props = defineProps<{ live: Live }>();
const practice = usePractice();
const { angleDevice, gauge } = props.live;

/** The bar goes to half as much again as the upper end of the band, or to what is pressed. */
const scale = computed(() => Math.max((props.live.band.value?.highPct ?? 50) * 1.5, props.live.pct.value ?? 0, 30));
const share = (pct: number) => `${Math.min(100, (100 * pct) / scale.value)}%`;
const EFFORT_SAID = { more: 'more', good: 'good', 'too hard': t('tooHard') } as const;
const of = computed(() => {
  const { strongest } = props.live;
  if (!strongest.value) return t('noTestTheseMuscles');
  return strongest.value.of === 'today'
    ? t('todaysBestN', { n: Math.round(strongest.value.n) })
    : t('bestN', { shortDate: practice.shortDate(strongest.value.foundAt), n: Math.round(strongest.value.n) });
});
</script>

<template>
  <section v-if="live.hasDevices.value" class="live" :aria-label="t('devices')" data-testid="live">
    <div v-if="live.measures.value" class="device">
      <template v-if="angleDevice.state === 'on'">
        <template v-if="live.value.value !== null">
          <b class="num value" data-testid="live-angle">{{ formatNumber(live.value.value, 0) }}°</b>
          <span class="word" :class="{ care: live.plane.value || live.angle.value }" data-testid="live-angle-word">{{
            live.plane.value ?? live.angle.value ?? t('inThePlane')
          }}</span>
        </template>
        <button v-else type="button" class="act" @click="angleDevice.setZero()">{{ t('zeroHereLimbRest') }}</button>
      </template>
      <template v-else>
        <span class="state" role="status">{{ t('inclinometers', { what: STATE_WORDS[angleDevice.state] }) }}</span>
        <button v-if="angleDevice.state === 'off'" type="button" class="act" @click="angleDevice.connect()">
          {{ t('connect') }}<span class="sr-only">{{ ' ' }}{{ t('theInclinometers') }}</span>
        </button>
      </template>
    </div>
    <div class="device">
      <template v-if="gauge.state === 'on'">
        <template v-if="live.asked.value !== null && live.pct.value !== null">
          <b class="num value" data-testid="live-effort">{{ Math.round(live.pct.value) }} %</b>
          <span
            class="bar"
            role="meter"
            :aria-label="t('effortAsked', { value: live.asked.value })"
            aria-valuemin="0"
            :aria-valuemax="Math.round(scale)"
            :aria-valuenow="Math.round(live.pct.value)"
          >
            <i
              class="band"
              :style="{ left: share(live.band.value!.lowPct), width: share(live.band.value!.highPct - live.band.value!.lowPct) }"
            />
            <i class="now" :class="live.effort.value?.replace(' ', '-')" :style="{ width: share(live.pct.value) }" />
          </span>
          <span class="word" :class="{ care: live.effort.value === 'too hard' }" data-testid="live-effort-word">{{
            live.effort.value ? EFFORT_SAID[live.effort.value] : ''
          }}</span>
          <span class="of">{{ of }}</span>
        </template>
        <template v-else>
          <b class="num value" data-testid="live-newtons">{{ t('n', { value: Math.round(live.newtons.value ?? 0) }) }}</b>
          <span class="of">{{ of }}</span>
        </template>
      </template>
      <template v-else>
        <span class="state" role="status">{{ t('forceGauge', { what: STATE_WORDS[gauge.state] }) }}</span>
        <button v-if="gauge.state === 'off'" type="button" class="act" @click="gauge.connect()">
          {{ t('connect') }}<span class="sr-only">{{ ' ' }}{{ t('theForceGauge') }}</span>
        </button>
      </template>
    </div>
  </section>
</template>

<style scoped>
.live {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 34px;
  padding: 4px 28px;
}

.device {
  display: flex;
  align-items: center;
  gap: 12px;
  min-height: 54px;
}

.value {
  min-width: 3.2ch;
  font-size: 34px;
  line-height: 44px;
  text-align: right;
}

.word {
  font-size: 24px;
}

.care {
  color: var(--clay-text);
  font-weight: 700;
}

.of,
.state {
  color: var(--soft);
}

.bar {
  position: relative;
  align-self: center;
  width: min(300px, 26vw);
  height: 24px;
  border: 1px solid var(--line);
  border-radius: 3px;
  overflow: hidden;
}

.bar i {
  position: absolute;
  inset-block: 0;
}

.band {
  background: var(--band);
  border-inline: 2px solid #8fd0b8;
}

.now {
  left: 0;
  top: 7px !important;
  bottom: 7px !important;
  background: var(--ink);
}

.now.too-hard {
  background: var(--clay);
}

.act {
  min-height: 54px;
  padding: 4px 16px;
  border: 1px solid var(--line);
  border-radius: 4px;
  background: var(--paper);
  color: var(--ink);
  font: inherit;
  cursor: pointer;
}
</style>
