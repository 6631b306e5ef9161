import { computed, shallowRef } from 'vue';
import { defineStore } from 'pinia';
import { effortPct, maximumOf, NO_FORCE, takeForce, type DeviceMessage, type ForceSample, type ForceState } from '@pace-bend/core/device';
import { usePractice } from '../stores/practice.ts';
import { useConnection } from './connection.ts';

/** The force gauge: what presses on it now, the presses so far, and effort in percent of the best of them. */
export const useForceGauge = defineStore('force-gauge', () => {
  const practice = usePractice();
  const now = shallowRef(0);
  const state = shallowRef<ForceState>(NO_FORCE);
  let onPress: (presses: readonly number[]) => void = () => {};
  const listeners = new Set<(sample: ForceSample) => void>();

  const connection = useConnection(() => (practice.practice?.devices ? `${practice.practice.devices}/force-gauge` : null), hear);
  const maximum = computed(() => maximumOf(state.value.presses));
  const pct = computed(() => (maximum.value === null ? null : effortPct(now.value, maximum.value)));

  function hear(message: DeviceMessage): void {
    if (message.type !== 'force') return;
    now.value = message.n;
    for (const listener of listeners) listener({ tMs: message.t, n: message.n });
    const before = state.value.presses.length;
    state.value = takeForce(state.value, { tMs: message.t, n: message.n });
    if (state.value.presses.length > before) onPress(state.value.presses);
  }

  /** Begins anew for a group; every finished press is told. */
  function assign(pressed: (presses: readonly number[]) => void): void {
    state.value = NO_FORCE;
    onPress = pressed;
  }

  /** Hears every sample until the returned function is called. */
  function listen(listener: (sample: ForceSample) => void): () => void {
    listeners.add(listener);
    return () => void listeners.delete(listener);
  }

  return { ...connection, listen, now, maximum, pct, presses: computed(() => state.value.presses), assign };
});
