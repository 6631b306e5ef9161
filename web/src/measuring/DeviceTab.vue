<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue';
import Button from 'ant-design-vue/es/button';
import Checkbox from 'ant-design-vue/es/checkbox';
import InputNumber from 'ant-design-vue/es/input-number';
import type { Motion, Side } from '@pace-bend/core/body';
import { motionAxis } from '@pace-bend/core/device';
import { formatNumber, TRIALS_USUAL } from '@pace-bend/core/measure';
import type { Moment } from '@pace-bend/core/record';
import ChoiceRow from '../parts/ChoiceRow.vue';
import { SIDE_WORDS } from '../parts/words.ts';
import LiveAngle from './LiveAngle.vue';
import type { Measuring } from './useMeasuring.ts';
import { usePractice } from '../stores/practice.ts';
import { useVisit } from '../stores/visit.ts';
import { STATE_WORDS } from '../devices/connection.ts';
import { useInclinometers } from '../devices/useInclinometers.ts';
import { t } from '../words/measuring.ts';

/** The inclinometer pair on this motion: connect, zero, hold still; a steady value goes into the next free trial by itself. */
const props = defineProps<{ motion: Motion; measuring: Measuring; moment: Moment }>();
const device = useInclinometers();
const practice = usePractice();
const visit = useVisit();

const firstOpen = (): Side => props.motion.sides.find((side) => filled(side) < TRIALS_USUAL) ?? props.motion.sides[0]!;
const filled = (side: Side) => props.measuring.trialsOf(props.motion.id, side).filter((text) => text.trim() !== '').length;
const side = ref<Side>(firstOpen());
const sides = computed(() => props.motion.sides.map((value) => ({ value, label: SIDE_WORDS[value] })));
/** What the device counts as: against upright, or, where a motion turns about it, two of them against each other. */
const DEVICES = ['inclinometer', 'paired sensors'] as const;
const lastTaken = ref<string | null>(null);

/** A value taken goes into the next free trial; after the third the side is kept and the other one's turn comes. */
function take(value: number): void {
  const index = filled(side.value);
  if (visit.finished || index >= TRIALS_USUAL) return;
  const reads = DEVICES.find((instrument) => props.motion.instruments.includes(instrument));
  if (reads && props.measuring.instrumentFor(props.motion) !== reads) props.measuring.setInstrument(props.motion, reads);
  props.measuring.type(props.motion, side.value, index, formatNumber(value, 1).replace('−', '-'));
  lastTaken.value = t('trial', { what: SIDE_WORDS[side.value], what2: index + 1, number: formatNumber(value, 1) });
  if (index + 1 < TRIALS_USUAL) return;
  props.measuring.commit(props.motion, side.value);
  side.value = firstOpen();
}

function onButton(): void {
  if (device.zero === null) device.setZero();
  else if (device.value !== null) take(Math.round(device.value * 10) / 10);
}

onMounted(() => device.assign(props.motion, (value) => take(value), onButton));
// Another side, another strap: the zero is the other limb's.
watch(side, () => {
  device.zero = null;
});

const isStandIn = computed(() => device.name.includes('stand-in'));
/** Lets the simulated athlete be taken to the edge, held, and brought back. */
function toTheEdge(): void {
  const { better, fan } = props.motion;
  const known =
    visit.file!.past.findLast((reading) => reading.motionId === props.motion.id && reading.side === side.value)?.value ??
    fan.min + 0.6 * (fan.max - fan.min);
  const edge = Math.max(8, (better === 'higher' ? 1 : -1) * (known - device.zeroValue));
  device.play([
    { do: 'plane', axis: motionAxis(props.motion)! },
    { do: 'edge', deg: edge },
    { do: 'move', to: edge + 15 },
    { do: 'hold', seconds: 2.4 },
    { do: 'move', to: 0 },
  ]);
}
</script>

<template>
  <div class="device">
    <p v-if="!practice.practice?.devices" class="soft small">{{ t('noMeasuringDeviceSet') }}</p>
    <template v-else>
      <div class="line">
        <span class="state" :class="device.state" role="status">{{
          device.state === 'on' ? device.name : t('inclinometers', { what: STATE_WORDS[device.state] })
        }}</span>
        <span v-if="device.state === 'on' && device.battery !== null" class="soft small">{{
          t('battery', { battery: Math.round(device.battery * 100) })
        }}</span>
        <Button v-if="device.state === 'off'" size="small" @click="device.connect()">{{ t('connect') }}</Button>
        <Button v-else size="small" @click="device.disconnect()">{{ t('disconnect') }}</Button>
      </div>
      <template v-if="device.state !== 'off'">
        <ChoiceRow
          v-if="motion.sides.length > 1"
          :options="sides"
          :value="side"
          :label="t('sideSensors')"
          @change="
            (chosen) => {
              if (chosen) side = chosen;
            }
          "
        />
        <LiveAngle />
        <p v-if="device.state === 'lost'" class="care small" role="alert">{{ t('connectionLostWhatRead') }}</p>
        <p v-else-if="device.zero === null" class="small">{{ t('limbRestThenZero') }}</p>
        <p v-else-if="device.warning" class="care small" role="alert">{{ t('notCounted', { warning: device.warning }) }}</p>
        <p v-else class="small soft">{{ t('holdStillEdgeValue') }}</p>
        <div class="line">
          <Button type="primary" :disabled="device.state !== 'on'" @click="device.setZero()">{{
            device.zero === null ? t('zeroHere') : t('zeroAnew')
          }}</Button>
          <label class="small"
            >{{ t('reads') }}
            <InputNumber
              v-model:value="device.zeroValue"
              size="small"
              class="at-zero"
              :min="motion.possible.min"
              :max="motion.possible.max"
              :disabled="device.zero !== null"
              :aria-label="t('valueZero')"
            />{{ t('here') }}</label
          >
          <Checkbox class="small" v-model:checked="device.flipped">{{ t('strappedOtherWayRound') }}</Checkbox>
        </div>
        <p v-if="lastTaken" class="small taken" aria-live="polite">{{ t('taken', { lastTaken }) }}</p>
        <p v-if="device.dropped > 0" class="soft small">{{ t('samplesMissedBetween', { dropped: device.dropped }) }}</p>
        <p v-if="isStandIn" class="small stand-in">
          <button type="button" class="link" :disabled="device.zero === null" @click="toTheEdge">
            {{ t('takeStandInsLimb') }}
          </button>
        </p>
      </template>
    </template>
  </div>
</template>

<style scoped>
.device {
  display: grid;
  gap: 8px;
}

.line {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 10px;
}

.state::before {
  content: '';
  display: inline-block;
  width: 10px;
  height: 10px;
  margin-right: 7px;
  border: 2px solid var(--slate);
  border-radius: 50%;
}

.state.on::before {
  background: var(--slate);
}

.state.lost::before {
  border-color: var(--clay);
  border-radius: 0;
}

.at-zero {
  width: 58px;
}

.care {
  padding: 4px 10px;
  border-left: 3px solid var(--clay);
  background: var(--clay-soft);
  color: var(--clay-text);
}

.taken {
  color: var(--spruce);
  font-weight: 700;
}

p {
  margin: 0;
}
</style>
