import type { Rule } from '../types.ts';

const BEHM = 'Behm DG et al. Appl Physiol Nutr Metab 2016;41:1–11';
const COMMON = 'common practice';

/** How near a start is, and how fresh the last one. */
export const EVENT_RULES: readonly Rule[] = [
  {
    id: 'start-today-hold',
    premise: { daysToEventAtMost: 0 },
    touches: { techniques: ['lengthen'], holdAboveS: 30, side: 'any' },
    level: 'avoid',
    limits: { holdS: 15 },
    reason: 'Long holds on the day of a start cost performance.',
    instead: 'Short holds, easy movement.',
    source: `${BEHM}: holds of 60 s and more −4.6 %, shorter −1.1 %`,
  },
  {
    id: 'start-today-short',
    premise: { daysToEventAtMost: 0 },
    touches: { techniques: ['lengthen'], side: 'any' },
    level: 'modify',
    limits: { holdS: 15, effortPct: 20, painCeiling: 2 },
    reason: 'On the day of a start: short, light, nothing new.',
    instead: 'Rocking and active movement.',
    source: `${BEHM}; the limits are common practice`,
  },
  {
    id: 'start-near',
    premise: { daysToEventAtMost: 2 },
    touches: { techniques: ['lengthen', 'contract'], side: 'any' },
    level: 'modify',
    limits: { effortPct: 40, painCeiling: 3 },
    reason: 'Two days before a start: nothing that could leave soreness.',
    instead: 'What the athlete knows well, lighter.',
    source: COMMON,
  },
  {
    id: 'start-near-mobilize',
    premise: { daysToEventAtMost: 2 },
    touches: { gradeAbove: 2, side: 'any' },
    level: 'modify',
    limits: { grade: 2 },
    reason: 'No new end-range joint work just before a start.',
    instead: 'Grade I–II.',
    source: COMMON,
  },
  {
    id: 'after-event',
    premise: { daysSinceEventAtMost: 1 },
    touches: { techniques: ['lengthen', 'contract'], side: 'any' },
    level: 'modify',
    limits: { edgeShare: 0.9, effortPct: 20, painCeiling: 3 },
    reason: 'The day after: gentle, no aggressive end-range work.',
    instead: 'Long, light, breath-led.',
    source: COMMON,
  },
];
