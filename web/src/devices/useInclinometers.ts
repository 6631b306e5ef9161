import { computed, ref, shallowRef } from 'vue';
import { defineStore } from 'pinia';
import {
  decompose,
  motionAxis,
  NOT_STEADY,
  offPlaneWords,
  relative,
  startAt,
  takeSample,
  type DeviceMessage,
  type PlaneAngle,
  type QuaternionTuple,
  type SensorPair,
  type SteadyState,
} from '@pace-bend/core/device';
import type { Motion } from '@pace-bend/core/body';
import { usePractice } from '../stores/practice.ts';
import { useConnection } from './connection.ts';

const quaternion = ([w, x, y, z]: QuaternionTuple) => ({ w, x, y, z });

/**
 * The inclinometer pair: where the limb is in the motion's plane since it was zeroed, and how far it has left the plane. The zero
 * outlives a lost connection: the sensors are still strapped on.
 */
export const useInclinometers = defineStore('inclinometers', () => {
  const practice = usePractice();
  const latest = shallowRef<SensorPair | null>(null);
  const zero = shallowRef<SensorPair | null>(null);
  const motion = shallowRef<Motion | null>(null);
  /** What the motion reads where the sensors were zeroed: nought where it has one, else its resting value. */
  const zeroValue = ref(0);
  /** Straps may sit the other way round. */
  const flipped = ref(false);
  const dropped = ref(0);
  let lastSeq: number | null = null;
  let steady: SteadyState = NOT_STEADY;
  let onTaken: (value: number) => void = () => {};
  let onButton: () => void = () => {};

  const connection = useConnection(() => (practice.practice?.devices ? `${practice.practice.devices}/inclinometers` : null), hear);

  const angle = computed<PlaneAngle | null>(() => {
    const axis = motion.value && motionAxis(motion.value);
    return latest.value && zero.value && axis ? decompose(relative(latest.value, zero.value), axis) : null;
  });
  /** In the motion's own degrees: what it reads at zero, plus how far it has been taken since. */
  const value = computed(() => (angle.value && motion.value ? valueOf(angle.value.inPlane) : null));
  const warning = computed(() => (angle.value && motion.value ? offPlaneWords(motion.value, angle.value) : null));

  function valueOf(deg: number): number {
    const { better } = motion.value!;
    return zeroValue.value + (flipped.value ? -1 : 1) * (better === 'higher' ? 1 : -1) * deg;
  }

  function hear(message: DeviceMessage): void {
    if (message.type === 'hello') lastSeq = null;
    if (message.type !== 'orientation') return;
    if (lastSeq !== null && message.seq > lastSeq + 1) dropped.value += message.seq - lastSeq - 1;
    lastSeq = message.seq;
    latest.value = { still: quaternion(message.a), moving: quaternion(message.b) };
    if (message.button) onButton();
    if (value.value === null || warning.value !== null) {
      // Off the plane nothing counts as standing still.
      steady = { ...steady, window: [] };
      return;
    }
    const { state, taken } = takeSample(steady, { tMs: message.t, deg: value.value });
    steady = state;
    if (taken !== null) onTaken(Math.round(taken * 10) / 10);
  }

  /** Here the limb rests: what the sensors say now is the value at zero. */
  function setZero(): void {
    if (!latest.value || !motion.value) return;
    zero.value = latest.value;
    steady = startAt(zeroValue.value);
  }

  /** Gives the sensors to a motion. They have to be zeroed for it anew. */
  function assign(to: Motion, taken: (value: number) => void, button: () => void): void {
    if (motion.value?.id !== to.id) {
      zero.value = null;
      zeroValue.value = to.possible.min <= 0 && to.possible.max >= 0 ? 0 : to.rest;
    }
    motion.value = to;
    onTaken = taken;
    onButton = button;
  }

  return { ...connection, angle, value, warning, zero, zeroValue, motion, flipped, dropped, setZero, assign };
});
