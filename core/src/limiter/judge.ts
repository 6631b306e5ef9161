import type { Motion } from '../body/index.ts';
import { CAUSE_KINDS, LATER_MUSCLE, PRIORS, stepsOf, type CauseKind, type FindingId } from './weights.ts';

/** One thing that was found, with the sentence that says it. */
export interface Observed {
  readonly id: FindingId;
  /** The muscle a finding names. */
  readonly muscle?: string;
  readonly words: string;
}

export interface Push {
  readonly words: string;
  /** Steps for (plus) or against (minus). */
  readonly steps: number;
}

export interface Cause {
  readonly id: string;
  readonly kind: CauseKind;
  readonly name: string;
  /** How much speaks for it, in words: nobody has measured how often such findings are right. */
  readonly say: string;
  /** The same as odds would have it; for ordering and for tests, not for showing. */
  readonly probability: number;
  readonly steps: number;
  /** Strongest first; findings that say nothing about it are left out. */
  readonly pushes: readonly Push[];
}

/** Something not yet looked at that would tell the first two apart. */
export interface Question {
  readonly id: string;
  /** What to do: "Read hip extension, prone, knee straight, left". */
  readonly words: string;
  readonly motionId: string | null;
  readonly outcomes: readonly Observed[];
}

export interface Judgement {
  readonly causes: readonly Cause[];
  readonly kind: 'likely' | 'not-enough';
  readonly words: string;
  readonly decide: { readonly question: Question; readonly says: readonly string[] } | null;
}

/** Findings needed, lead over the second and odds needed before anything is called likely. Common practice, in steps. */
const ENOUGH_FINDINGS = 2;
const ENOUGH_LEAD = 1;
const ENOUGH_PROBABILITY = 0.6;

const NAMES: Record<Exclude<CauseKind, 'muscle' | 'band'>, string> = {
  capsule: 'joint capsule',
  block: 'something caught in the joint',
  weakness: 'weakness',
  nerve: 'nerve tension',
  guarding: 'guarding or pain',
  swelling: 'swelling',
  bone: 'bone or hardware',
  sport: 'the sport’s own shape',
};

/**
 * What may hold a motion, most likely first.
 *
 * Each cause is judged by itself (naive Bayes of the cause against its absence), because two may hold at once: its odds
 * are 2 to the power of its prior steps plus the steps of every finding. Findings are taken as independent, which they
 * are not quite; the same observation is therefore never entered under two names that push the same way more than a
 * step. Sums do not depend on the order of the findings, and a finding moves a cause exactly in the direction its weight
 * states, or not at all. Below a lead of one step over the next cause, or with fewer than two findings, it says that it
 * is not enough to say. It ranks what to look at; it is no diagnosis.
 */
export function judge(motion: Pick<Motion, 'lengthens'>, observed: readonly Observed[], questions: readonly Question[] = []): Judgement {
  const causes = candidates(motion)
    .map(({ id, kind, name, prior }): Cause => {
      const pushes = observed
        .map((finding) => ({ words: finding.words, steps: stepsOf(finding.id, kind, finding.muscle === name) }))
        .filter((push) => push.steps !== 0)
        .sort((a, b) => Math.abs(b.steps) - Math.abs(a.steps) || a.words.localeCompare(b.words));
      const steps = pushes.reduce((sum, push) => sum + push.steps, prior);
      return { id, kind, name, steps, pushes, say: sayFor(steps), probability: 1 / (1 + 2 ** -steps) };
    })
    // Equal ones in the order of the list, not of the findings.
    .sort((a, b) => b.steps - a.steps);
  const [first, second] = causes as [Cause, Cause];
  const findings = new Set(observed.map((each) => each.id)).size;
  const likely = findings >= ENOUGH_FINDINGS && first.probability >= ENOUGH_PROBABILITY && first.steps - second.steps >= ENOUGH_LEAD;
  return {
    causes,
    kind: likely ? 'likely' : 'not-enough',
    words: likely
      ? `Points to ${first.name}${first.kind === 'block' ? ': refer, never mobilize' : ''}`
      : observed.length === 0
        ? 'Not enough to say: nothing was found at the end of this motion yet'
        : `Not enough to say: ${first.name} or ${second.name}`,
    decide: decisive(first, second, questions),
  };
}

interface Candidate {
  readonly id: string;
  readonly kind: CauseKind;
  readonly name: string;
  readonly prior: number;
}

/** A motion's list names capsules and nerve lines beside muscles; they are the same cause as the general one. */
const IS_JOINT = /capsule|joint|ligament/;
const IS_BAND = /\bband\b|fascia$|tendon/;
const IS_MUSCLE = (name: string): boolean => !IS_JOINT.test(name) && !IS_BAND.test(name) && !/nerve/.test(name);

/** Steps from which something is said, strongest first. */
const SAYS: readonly (readonly [steps: number, say: string])[] = [
  [4, 'much speaks for it'],
  [1, 'something speaks for it'],
  [-1, 'possible'],
  [-3, 'little speaks for it'],
];
const sayFor = (steps: number): string => SAYS.find(([from]) => steps >= from)?.[1] ?? 'hardly';

function candidates({ lengthens }: Pick<Motion, 'lengthens'>): Candidate[] {
  const muscles = lengthens.filter(IS_MUSCLE);
  const bands = lengthens.filter((name) => IS_BAND.test(name));
  return CAUSE_KINDS.flatMap((kind): Candidate[] =>
    kind === 'muscle'
      ? muscles.map((name, i) => ({ id: `muscle:${name}`, kind, name, prior: PRIORS.muscle + i * LATER_MUSCLE }))
      : kind === 'band'
        ? bands.map((name) => ({ id: `band:${name}`, kind, name, prior: PRIORS.band }))
        : [
            {
              id: kind,
              kind,
              name: NAMES[kind],
              prior: PRIORS[kind] + (kind === 'capsule' && lengthens.some((name) => IS_JOINT.test(name)) ? 1 : 0),
            },
          ],
  );
}

/** The question whose answers would set the first two furthest apart, one way or the other. */
function decisive(first: Cause, second: Cause, questions: readonly Question[]): Judgement['decide'] {
  const between = (outcome: Observed) =>
    stepsOf(outcome.id, first.kind, outcome.muscle === first.name) - stepsOf(outcome.id, second.kind, outcome.muscle === second.name);
  const scored = questions
    .map((question) => {
      const apart = question.outcomes.map(between);
      return { question, apart, spread: Math.max(...apart) - Math.min(...apart) };
    })
    .sort((a, b) => b.spread - a.spread);
  const best = scored[0];
  if (!best || best.spread < 2) return null;
  const says = best.question.outcomes.flatMap((outcome, i) =>
    best.apart[i] === 0 ? [] : [`${outcome.words}: rather ${best.apart[i]! > 0 ? first.name : second.name}`],
  );
  return { question: best.question, says };
}
