import type { Doing } from './types.ts';

export const HIP_WORK_DOING: Readonly<Record<string, Doing>> = {
  'hip-compress-comfort': { moves: ['hip external rotation'], held: 'knee', muscles: ['iliopsoas', 'adductors'] },
  'gluteal-elbow-line': { muscles: ['gluteus-medius', 'gluteus-maximus'], on: ['buttock', 'hip'], kind: 'point' },
  'rotators-elbow-across': {
    keeps: ['hip across the midline', 'trunk rotation'],
    held: 'knee',
    muscles: ['gluteus-medius', 'deep-rotators', 'tensor'],
    on: ['hip', 'buttock'],
    kind: 'point',
  },
  'hip-roll-over-foot': {
    moves: ['hip internal rotation'],
    held: 'knee',
    muscles: ['gluteus-maximus', 'deep-rotators'],
    on: ['buttock'],
    kind: 'broad',
  },
  'gluteus-maximus-reset': { held: 'thigh', muscles: ['gluteus-maximus'], on: ['buttock'], kind: 'point' },
  'hip-shake-roll': { instead: ['hip internal rotation', 'hip external rotation'], held: 'ankle', muscles: ['iliopsoas'] },
};
