import type { Develop, PhaseId, PhaseLimits, PhaseRule } from './types.ts';

export const PHASE_NAMES: Readonly<Record<PhaseId, string>> = {
  build: 'Build',
  sharpen: 'Sharpen',
  compete: 'Compete',
  recover: 'Recover',
  off: 'Off season',
};

/** What may change, in words, as the season line's steps are named. */
export const DEVELOP_WORDS: Readonly<Record<Develop, string>> = {
  all: 'new ways',
  begun: 'finish begun',
  gentle: 'gentle only',
  none: 'keep only',
};

const FREE: PhaseLimits = { effortPct: null, edgeShare: null, painCeiling: null, holdS: null };

/** What therapy does in each phase as it ships. Common practice; every practice may change it. */
export const PHASE_RULES: readonly PhaseRule[] = [
  {
    id: 'build',
    develop: 'all',
    newWork: 'any',
    newWorkDays: null,
    limits: FREE,
    minutesShare: 1,
    words: 'Develop range where a goal or a demand is short. Long holds away from hard sessions.',
  },
  {
    id: 'sharpen',
    develop: 'begun',
    newWork: 'no-new-ways',
    newWorkDays: 14,
    limits: { ...FREE, holdS: 30 },
    minutesShare: 1,
    words: 'Finish what is under way, keep the rest. Shorter holds.',
  },
  {
    id: 'compete',
    develop: 'none',
    newWork: 'nothing',
    newWorkDays: null,
    limits: { ...FREE, effortPct: 40, holdS: 20, painCeiling: 4 },
    minutesShare: 0.6,
    words: 'Keep what is there, briefly. Gentle care after a start, within the day.',
  },
  {
    id: 'recover',
    develop: 'gentle',
    newWork: 'any',
    newWorkDays: null,
    limits: { ...FREE, effortPct: 30, edgeShare: 0.9, painCeiling: 3 },
    minutesShare: 1,
    words: 'Gentle and comfortable; something new may be tried. After-care.',
  },
  {
    id: 'off',
    develop: 'all',
    newWork: 'any',
    newWorkDays: null,
    limits: FREE,
    minutesShare: 1,
    words: 'No squad training. What was put off can be taken up.',
  },
];

/** The rule of a phase among those of a practice, or as it ships where the practice has none of its own. */
export const phaseRule = (id: PhaseId, own: readonly PhaseRule[] = []): PhaseRule =>
  own.find((each) => each.id === id) ?? PHASE_RULES.find((each) => each.id === id)!;

/** All phases as a practice has them. */
export const phaseRules = (own: readonly PhaseRule[] = []): PhaseRule[] => PHASE_RULES.map(({ id }) => phaseRule(id, own));

/** Ranges a practice may choose a phase's numbers from. */
export const PHASE_RANGE = {
  effortPct: { min: 0, max: 100 },
  edgeShare: { min: 0.5, max: 1 },
  painCeiling: { min: 0, max: 6 },
  holdS: { min: 5, max: 120 },
  minutesShare: { min: 0.25, max: 1 },
  newWorkDays: { min: 1, max: 60 },
  words: 300,
} as const;
