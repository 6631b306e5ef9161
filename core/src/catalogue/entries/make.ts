import type { Entry, Tool, ToolLoad } from '../types.ts';

type Defaulted = 'synonyms' | 'also' | 'measured' | 'easier' | 'harder' | 'mover' | 'cautions';

/** An entry with what most of them share left out. */
export function entry(fields: Omit<Entry, Defaulted> & Partial<Pick<Entry, Defaulted>>): Entry {
  return { synonyms: [], also: [], measured: true, easier: [], harder: [], mover: 'therapist', cautions: 'None of its own.', ...fields };
}

export const uses = (tool: Tool, share: number): ToolLoad => ({ tool, share });

/** Ways of working that go together. */
export const LENGTHENING = [
  'cr-breath',
  'static-hold',
  'cr-light',
  'cr-firm',
  'cr-backoff',
  'crac',
  'brief-hold',
  'agonist-contract',
  'pulsed',
  'continuous-motion',
] as const;
export const GENTLE = ['cr-light', 'brief-hold', 'static-hold', 'position-of-comfort', 'agonist-contract', 'continuous-motion'] as const;
export const MOBILIZING = ['mobilize-oscillate', 'mobilize-sustained', 'mobilize-movement'] as const;
export const RHYTHM = ['continuous-motion'] as const;
export const PINNING = ['pin-lengthen', 'point-hold', 'inhibit-integrated'] as const;
export const PRESSING = ['point-hold', 'breath-sink', 'line-press'] as const;
