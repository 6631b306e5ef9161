import { reactive, watch } from 'vue';
import { ALL_SPOKEN, type SpokenKinds } from '@pace-bend/core/table';
import { keepChoice, readChoice } from '../../api/drafts.ts';
import { PEDALS } from '../../parts/keys.ts';

/** How somebody wants the table to sound, and what their pedals send. Kept for their account on this device. */
export interface TableSettings {
  muted: boolean;
  spoken: boolean;
  /** Tones and voice, 0 to 1. */
  volume: number;
  /** How fast the voice speaks; 1 is its own. */
  rate: number;
  /** Name of one of the browser's voices; null is its own choice. */
  voice: string | null;
  says: SpokenKinds;
  ticks: boolean;
  /** `KeyboardEvent.key` of each pedal. */
  pedals: { down: string; up: string };
  /** The far view: null is by the size of the screen. */
  far: boolean | null;
}

export const VOLUME = { min: 0, max: 1 } as const;
export const RATE = { min: 0.6, max: 1.6 } as const;

const DEFAULTS: TableSettings = {
  muted: false,
  spoken: false,
  volume: 0.5,
  rate: 1.05,
  voice: null,
  says: ALL_SPOKEN,
  ticks: true,
  pedals: { down: PEDALS.down.code, up: PEDALS.up.code },
  far: null,
};

/** What was kept may be of an older program, or no settings at all: what is not there is as it ships. */
function read(): TableSettings {
  const kept = readChoice<Partial<TableSettings>>('table') ?? {};
  const within = (value: unknown, { min, max }: { min: number; max: number }, otherwise: number) =>
    typeof value === 'number' && value >= min && value <= max ? value : otherwise;
  return {
    ...DEFAULTS,
    ...kept,
    volume: within(kept.volume, VOLUME, DEFAULTS.volume),
    rate: within(kept.rate, RATE, DEFAULTS.rate),
    says: { ...DEFAULTS.says, ...kept.says },
    pedals: { ...DEFAULTS.pedals, ...kept.pedals },
  };
}

/** The settings of the account signed in, read when the table opens; every change is kept at once. */
export function useTableSettings(): TableSettings {
  const settings = reactive(read());
  watch(settings, (now) => keepChoice('table', now), { deep: true });
  return settings;
}
