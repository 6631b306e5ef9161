import type { PhaseSpec } from '../types.ts';

/** Phases that ways with a press share: the press, letting go, the new range, staying in it. */

export const contract = (text = '{press}'): PhaseSpec => ({
  kind: 'contract',
  duration: { seconds: 'contract' },
  angle: { to: 'stay' },
  breath: 'free',
  works: 'athlete',
  effort: 'effort',
  text,
  detail: '{pressLine}',
});
export const letGo: PhaseSpec = {
  kind: 'relax',
  duration: { seconds: 'relax' },
  angle: { to: 'stay' },
  breath: 'free',
  works: 'nobody',
  text: 'Let go',
  detail: 'all of it, at once',
};
export const advance: PhaseSpec = {
  kind: 'advance',
  duration: { seconds: 'advance' },
  angle: { to: 'new-edge', by: 'gain' },
  breath: 'out',
  works: 'therapist',
  text: 'Take up the new range',
  leads: 'further',
  detail: 'slowly, on the breath out',
};
export const holdIt: PhaseSpec = {
  kind: 'hold',
  duration: { seconds: 'hold' },
  angle: { to: 'stay' },
  breath: 'free',
  works: 'nobody',
  text: 'Hold',
  detail: 'keep breathing; face and jaw soft',
};
