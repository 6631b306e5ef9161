/**
 * What may hold a motion. Muscles are named by the motion; the others are the same for every motion.
 * `band`: tendons, bands and sheets, which lengthen little. `bone`: bone, hardware and anything hard in the way. `block`: something caught in
 * the joint, springy or locked. `weakness`: the hand gets further than the athlete does.
 */
export const CAUSE_KINDS = ['muscle', 'band', 'capsule', 'nerve', 'guarding', 'swelling', 'bone', 'block', 'weakness', 'sport'] as const;
export type CauseKind = (typeof CAUSE_KINDS)[number];

/**
 * Weights are steps: one step doubles the odds of a cause, minus one halves them. All of them are common practice put
 * into numbers, from memory: they say which way a finding points and roughly how far, not how often it is right.
 */
export interface FindingWeight {
  readonly id: string;
  /** Where a finding names one muscle: steps for that one, against those for `muscle`, which are the others'. */
  readonly named?: number;
  readonly steps: Readonly<Partial<Record<CauseKind, number>>>;
}

/** Steps before anything was found. The muscles that the position lengthens come first; the list is in order. */
export const PRIORS: Readonly<Record<CauseKind, number>> = {
  muscle: -1,
  band: -2,
  capsule: -2,
  nerve: -3,
  guarding: -2,
  swelling: -3,
  bone: -3,
  block: -4,
  weakness: -3,
  sport: -3,
};
/** Every further muscle of a motion's list starts this much lower. */
export const LATER_MUSCLE = -0.5;

export const WEIGHTS = [
  { id: 'end-muscular', steps: { muscle: 2, capsule: -1, nerve: -1, swelling: -1, bone: -2, block: -2, weakness: -1 } },
  { id: 'end-capsular', steps: { capsule: 3, muscle: -2, bone: -1, band: -1, block: -2 } },
  { id: 'end-bony', steps: { bone: 3, muscle: -2, capsule: -1, guarding: -1, band: -2, block: -1 } },
  { id: 'end-springy', steps: { block: 4, swelling: 2, bone: -1, muscle: -2, band: -2, capsule: -1 } },
  { id: 'end-guarded', steps: { guarding: 3, muscle: -1, capsule: -1, bone: -1, weakness: -1 } },
  { id: 'end-empty', steps: { guarding: 3, swelling: 1, muscle: -2, bone: -1, sport: -2 } },
  { id: 'felt-target', steps: { muscle: 2, capsule: -1, nerve: -1, bone: -1, band: 1, block: -2, weakness: -1 } },
  { id: 'felt-joint', steps: { capsule: 2, bone: 1, muscle: -2, block: 1, band: -1 } },
  { id: 'felt-closing', steps: { bone: 2, swelling: 1, muscle: -2 } },
  { id: 'felt-line', steps: { nerve: 4, muscle: -1 } },
  { id: 'felt-nothing', steps: { bone: 1, sport: 1, muscle: -1, weakness: 1, block: -1 } },
  { id: 'pain-high', steps: { guarding: 2, swelling: 1, sport: -2, weakness: -2 } },
  { id: 'pain-none', steps: { guarding: -2, nerve: -1, swelling: -1, sport: 1, block: -1, weakness: 1 } },
  { id: 'guarding-yes', steps: { guarding: 2 } },
  { id: 'guarding-no', steps: { guarding: -2 } },
  { id: 'slack-frees', named: 3, steps: { muscle: -1, capsule: -2, bone: -2, sport: -1, block: -2, band: -1 } },
  { id: 'slack-same', named: -3, steps: { muscle: 1, capsule: 1, bone: 1 } },
  { id: 'nerve-takes', steps: { nerve: 3, capsule: -1, bone: -1 } },
  { id: 'nerve-same', steps: { nerve: -3 } },
  { id: 'active-less', steps: { weakness: 4, guarding: 1, muscle: -1, band: -1, capsule: -2, bone: -2, block: -2 } },
  { id: 'active-same', steps: { guarding: -1, weakness: -4 } },
  { id: 'passive-full', steps: { weakness: 2, muscle: -2, band: -2, capsule: -2, bone: -2, block: -2, swelling: -1 } },
  { id: 'clock-few', steps: { muscle: 1 } },
  { id: 'clock-wide', steps: { capsule: 2, muscle: -1 } },
  { id: 'clock-painful', steps: { guarding: 1, swelling: 1 } },
  { id: 'clock-free', steps: { capsule: -2 } },
  { id: 'glide-stiff', steps: { capsule: 2 } },
  { id: 'glide-free', steps: { capsule: -2 } },
  { id: 'glide-painful', steps: { guarding: 1, swelling: 1 } },
  { id: 'other-side-more', steps: { sport: -1, muscle: 1, capsule: 1, block: 1 } },
  { id: 'both-alike', steps: { sport: 1, bone: 1, guarding: -1, swelling: -2 } },
  { id: 'sport-explains', steps: { sport: 5, muscle: -1, guarding: -1 } },
  { id: 'arc-shifted', steps: { sport: 3, bone: 1 } },
  { id: 'work-gained', steps: { muscle: 2, guarding: 1, capsule: -1, bone: -3, sport: -1, block: -3, band: -1 } },
  { id: 'work-nothing', steps: { muscle: -1, capsule: 1, bone: 1 } },
  { id: 'file-inflamed', steps: { swelling: 4, guarding: 1 } },
  { id: 'file-recent', steps: { swelling: 3, guarding: 2 } },
  { id: 'file-hard', steps: { bone: 4 } },
  { id: 'file-frozen', steps: { capsule: 4 } },
  { id: 'file-nerve', steps: { nerve: 2 } },
  { id: 'file-strain', steps: { guarding: 2 } },
  { id: 'file-locked', steps: { block: 5, muscle: -1 } },
  { id: 'file-effusion', steps: { swelling: 5, guarding: 1 } },
  { id: 'complaint-here', steps: { guarding: 1, swelling: 1 } },
] as const satisfies readonly FindingWeight[];

export type FindingId = (typeof WEIGHTS)[number]['id'];

const BY_ID: ReadonlyMap<string, FindingWeight> = new Map(WEIGHTS.map((weight) => [weight.id, weight]));

/** The steps a finding pushes a cause by; `isNamed` when the cause is the muscle the finding names. */
export function stepsOf(id: FindingId, kind: CauseKind, isNamed: boolean): number {
  const weight = BY_ID.get(id)!;
  return isNamed && weight.named !== undefined ? weight.named : (weight.steps[kind] ?? 0);
}
