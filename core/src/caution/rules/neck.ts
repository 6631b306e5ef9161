import type { Rule } from '../types.ts';
import type { ConditionCode } from '../coded.ts';
import { avoid, COMMON, modify, NECK_MOVES, note } from './make.ts';

/** Loose upper necks: what holds the head may not hold it. */
const UNSTABLE: readonly ConditionCode[] = ['neck-instability', 'rheumatoid', 'connective-tissue', 'down-syndrome'];
const ARTERY: readonly ConditionCode[] = ['neck-artery', 'stroke'];
const NARROW: readonly ConditionCode[] = ['neck-narrowing', 'disc-arm'];
const FRESH = { conditions: ['neck-trauma'], withinDays: 84 } as const;

/** The neck. Directions are those the head goes. */
export const NECK_RULES: readonly Rule[] = [
  avoid('neck-narrow-toward', { conditions: NARROW }, { movements: ['neck side-bend'] }, 'Bending toward the narrow side closes it further.', 'Side-bend away from it only, gently; soft tissue of the shoulder.', { refer: 'a physiotherapist when the arm tingles' }),
  avoid('neck-narrow-extension', { conditions: NARROW }, { movements: ['neck extension'], side: 'any' }, 'Bending the neck back closes the openings on both sides.', 'Work with the head in the middle or a little forward.'),
  modify('neck-narrow-rotation', { conditions: NARROW }, { movements: ['neck rotation'] }, 'Turning toward the narrow side closes it in part.', 'Turn the other way, or stay well inside.', { limits: { edgeShare: 0.8, effortPct: 15, painCeiling: 2 } }),
  avoid('neck-narrow-mobilize', { conditions: NARROW }, { regions: ['neck'], techniques: ['mobilize'], side: 'any' }, 'Joint mobilization of a narrowed neck needs an examination first.', 'Soft tissue of the shoulder and upper back.', { refer: 'a physiotherapist' }),
  modify('neck-narrow-traction', { conditions: NARROW }, { loads: ['neck'], techniques: ['traction'], side: 'any' }, 'A pull on a narrowed neck is light, or it irritates the nerve.', 'Weight of the hands only; let go slowly.', { limits: { painCeiling: 1, holdS: 10 }, refer: 'a physiotherapist when the arm tingles' }),
  avoid('disc-arm-flexion', ['disc-arm'], { movements: ['neck flexion'], side: 'any' }, 'A lifted head draws the sore nerve root and loads the disc.', 'Head in the middle, supported.', { refer: 'a physician when strength or feeling in the arm goes down' }),
  modify('disc-arm-away', ['disc-arm'], { movements: ['neck side-bend'], side: 'other' }, 'Bending away draws the nerve of the sore side long.', 'Well short of the edge, elbow bent.', { limits: { edgeShare: 0.8, effortPct: 15, painCeiling: 1 } }),

  avoid('neck-dizzy-end', ['neck-dizziness'], { movements: NECK_MOVES, endRange: true, side: 'any' }, 'Dizziness on neck movement: the ends of the range are left alone.', 'Head in the middle, base-of-skull hold, shoulders and upper back.', { refer: 'a physician if it is new or comes with other signs' }),
  avoid('neck-dizzy-traction', ['neck-dizziness'], { regions: ['neck'], techniques: ['traction', 'mobilize'], side: 'any' }, 'A pull on the neck can bring the dizziness on.', 'Hands under the head, no pull.', { refer: 'a physician' }),
  avoid('neck-dizzy-down', ['neck-dizziness', 'high-pressure', 'eye-pressure', 'aneurysm', 'stroke', 'epilepsy'], { headDown: true, side: 'any' }, 'The head hanging back or low can bring signs on.', 'Head on the table or a little raised.', { refer: 'a physician when it happens' }),
  note('neck-dizzy-press', ['neck-dizziness'], { pressed: ['neck', 'head'], side: 'any' }, 'Dizziness can come with pressure at the base of the skull.', 'Ask twice; let go at the first sign.'),

  avoid('neck-loose-pull', { conditions: UNSTABLE, evenResolved: true }, { through: ['neck'], techniques: ['traction', 'mobilize'], side: 'any' }, 'A neck that may be loose is not pulled and not mobilized.', 'Hands under the head, no pull; shoulders and upper back.', { refer: 'their physician, before any neck work' }),
  avoid('neck-loose-end', { conditions: UNSTABLE, evenResolved: true }, { movements: NECK_MOVES, endRange: true, side: 'any' }, 'A neck that may be loose is not taken to the ends of its range.', 'Middle of the range, small isometrics, head supported.', { refer: 'their physician, before any neck work' }),
  avoid('neck-loose-down', { conditions: UNSTABLE, evenResolved: true }, { headDown: true, side: 'any' }, 'The weight of a hanging head loads a loose neck.', 'Head on the table.', { refer: 'their physician' }),
  avoid('neck-loose-press', { conditions: UNSTABLE }, { regions: ['neck'], squeezes: ['neck bones'], side: 'any' }, 'No pressure on the bones of a loose neck.', 'Muscle beside them, light.', { refer: 'their physician' }),
  modify('neck-any', { conditions: [...UNSTABLE, ...ARTERY], evenResolved: true }, { movements: NECK_MOVES, moments: ['work'], side: 'any' }, 'Hands behind the head or a turned head are enough to move this neck.', 'Hands crossed on the chest, head in the middle.', { limits: { edgeShare: 0.8, effortPct: 10, painCeiling: 1 }, refer: 'their physician, before any neck work' }),
  modify('neck-loose-hands', { conditions: UNSTABLE }, { pressed: ['neck', 'head'], side: 'any' }, 'Hands under the base of the skull carry a loose neck.', 'Weight of the head only, no fingers pressed in.', { limits: { painCeiling: 1, pressS: 60 }, refer: 'their physician, before any neck work' }),
  modify('neck-loose-contract', { conditions: UNSTABLE }, { regions: ['neck'], techniques: ['contract', 'active'], side: 'any' }, 'A loose neck takes only small presses.', 'Five to ten percent, head in the middle.', { limits: { effortPct: 10, painCeiling: 2 } }),

  avoid('neck-injury-fresh', FRESH, { through: ['neck'], techniques: ['traction', 'mobilize', 'lengthen', 'friction'], side: 'any' }, 'A neck hurt in the last weeks goes to a physician first.', 'Positions of comfort; arms and legs.', { refer: 'a physician, today if signs are new' }),
  avoid('neck-injury-end', FRESH, { movements: NECK_MOVES, endRange: true, side: 'any' }, 'No end range in a neck hurt in the last weeks.', 'Small easy movement the athlete makes alone.', { refer: 'a physician' }),
  avoid('neck-injury-down', FRESH, { headDown: true, side: 'any' }, 'The head is not let hang after a neck injury.', 'Head on the table.', { refer: 'a physician' }),
  modify('neck-injury-later', { conditions: ['neck-trauma'], afterDays: 85 }, { movements: NECK_MOVES, moments: ['work'], side: 'any' }, 'An old neck injury is worked slowly and short of the edge.', 'Antagonist-driven, small efforts.', { limits: { edgeShare: 0.85, effortPct: 15, painCeiling: 2 } }),
  modify('neck-injury-later-pull', { conditions: ['neck-trauma'], afterDays: 85 }, { loads: ['neck'], techniques: ['traction', 'mobilize'], side: 'any' }, 'Joint work on an old neck injury stays light.', 'Grade I–II; a light pull by hand.', { limits: { grade: 2, painCeiling: 1, holdS: 10 } }),

  avoid('neck-artery-joint', { conditions: ARTERY, evenResolved: true }, { through: ['neck'], techniques: ['traction', 'mobilize'], side: 'any' }, 'Neck arteries: no traction and no joint work of the neck.', 'Shoulders and upper back, head in the middle.', { refer: 'a physician; emergency care with any new sign' }),
  avoid('neck-artery-end', { conditions: ARTERY, evenResolved: true }, { movements: NECK_MOVES, endRange: true, side: 'any' }, 'Neck arteries: the ends of the range are left alone.', 'Middle of the range only.', { refer: 'a physician; emergency care with any new sign' }),
  avoid('neck-artery-press', { conditions: ARTERY, evenResolved: true }, { pressed: ['neck', 'front-of-neck'], side: 'any' }, 'Nothing is pressed over a neck artery that was ill.', 'Upper back and shoulder, broad.', { refer: 'a physician' }),
  modify('neck-artery-effort', { conditions: ARTERY }, { techniques: ['contract'], side: 'any' }, 'Hard pressing drives the pressure in the vessels up.', 'Small efforts on the breath out.', { limits: { effortPct: 15, contractS: 30 } }),
  avoid('neck-front-press', { always: true }, { pressed: ['front-of-neck'], side: 'any' }, 'Large vessels lie under the front of the neck.', 'Work the side and the back of the neck, off any pulse.'),
  note('neck-side-press', { always: true }, { pressed: ['neck'], side: 'any' }, 'A pulse or a tingle under the fingers beside the neck: move off.', 'Behind the ear line; never both sides together.'),
  note('neck-end-ask', { always: true }, { movements: ['neck rotation', 'neck extension'], endRange: true, moments: ['work'], side: 'any' }, 'Ask about dizziness before the end of a neck movement.', 'Level the head at the first sign.', { source: COMMON }),
];
