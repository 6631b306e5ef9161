import { STOP_QUESTIONS } from '../coded.ts';
import type { Rule } from '../types.ts';

const COMMON = 'common practice';

/** What ends a visit before hands go on. */
export const STOP_RULES: readonly Rule[] = [
  ...STOP_QUESTIONS.map((question): Rule => ({
    id: `stop-${question.id}`,
    premise: { raised: question.id },
    touches: { visit: true },
    level: 'stop',
    reason: `${question.words}.`,
    instead: 'No hands-on work today. End the visit in a referral.',
    refer: question.refer,
    source: COMMON,
  })),
  {
    id: 'stop-clot',
    premise: { conditions: ['clot-suspected'] },
    touches: { visit: true, side: 'any' },
    level: 'stop',
    reason: 'A clot may come loose under pressure or stretch.',
    instead: 'Nothing, anywhere, until it has been looked at.',
    refer: 'a physician today; emergency care if breathless',
    source: COMMON,
  },
  {
    id: 'stop-infection',
    premise: { conditions: ['infection'] },
    touches: { visit: true, side: 'any' },
    level: 'stop',
    reason: 'With fever or infection the body has other work, and others on the table could catch it.',
    instead: 'Come back when well.',
    refer: 'their physician',
    source: COMMON,
  },
  {
    id: 'stop-concussion-fresh',
    premise: { conditions: ['concussion'], withinDays: 6 },
    touches: { visit: true, side: 'any' },
    level: 'stop',
    reason: 'A concussion of the last days belongs to the local protocol, not on the table.',
    instead: 'Rest as the protocol says.',
    refer: 'whoever leads the local concussion protocol',
    source: `${COMMON}; the number of days is set by the local protocol`,
  },
  {
    id: 'concussion-later',
    premise: { conditions: ['concussion'], afterDays: 7 },
    touches: { through: ['neck', 'head'], side: 'any' },
    level: 'avoid',
    reason: 'Neck work can bring symptoms back until the protocol is done.',
    instead: 'Legs and back, head supported, short.',
    refer: 'whoever leads the local concussion protocol',
    source: COMMON,
  },
];
