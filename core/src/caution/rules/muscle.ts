import type { Rule } from '../types.ts';
import { avoid, modify, note, stop } from './make.ts';

const BAD: readonly (1 | 2 | 3)[] = [2, 3];
const ALL = ['lengthen', 'contract', 'press'] as const;

/** Muscle and tendon: the muscle that is hurt, wherever something lengthens it, presses on it or makes it contract. */
export const MUSCLE_RULES: readonly Rule[] = [
  avoid('strain-fresh', { conditions: ['muscle-strain'], withinDays: 5 }, { muscles: 'of-condition', acts: ALL }, 'First days: a torn muscle is not stretched, not pressed and does not press.', 'Leave it; work what lies around it, lightly.', { refer: 'a physician when there is a gap or a large bruise' }),
  avoid('strain-partial', { conditions: ['muscle-strain'], withinDays: 21, grades: BAD }, { muscles: 'of-condition', acts: ALL }, 'A larger tear needs three weeks before it is stretched or pressed.', 'Easy movement below pain; what lies around it.', { refer: 'a physician or physiotherapist, for a plan' }),
  avoid('strain-complete', { conditions: ['muscle-strain'], withinDays: 84, grades: [3] }, { muscles: 'of-condition', acts: ALL }, 'A complete tear belongs to a physician.', 'The other limb; what lies around it.', { refer: 'a physician' }),
  modify('strain-later', { conditions: ['muscle-strain'], afterDays: 6 }, { muscles: 'of-condition', acts: ['lengthen', 'contract'] }, 'Later: below pain.', 'Light contract-relax short of the edge.', { limits: { edgeShare: 0.9, effortPct: 20, painCeiling: 2, holdS: 20 } }),
  modify('strain-later-press', { conditions: ['muscle-strain'], afterDays: 6 }, { muscles: 'of-condition', acts: ['press'], pressed: 'anywhere' }, 'A healing muscle is pressed below pain and not for long.', 'Broad, slow, away from the sore spot.', { limits: { painCeiling: 3, pressS: 60 } }),
  avoid('strain-friction', { conditions: ['muscle-strain'], withinDays: 42 }, { muscles: 'of-condition', acts: ['press'], pressed: 'anywhere', kinds: ['friction', 'percussion', 'point'] }, 'Friction and points reopen a healing tear.', 'Broad and light, from the third week.'),
  stop('rupture-open', ['tendon-rupture'], { visit: true, side: 'any' }, 'A rupture that is not treated yet comes first.', 'No hands-on work until a physician has seen it; when it is treated, note the operation or the end.', { refer: 'a physician today' }),
  modify('rupture-past', { conditions: ['tendon-rupture'], evenResolved: true }, { muscles: 'pulling-there', acts: ['lengthen', 'contract'] }, 'A tendon that once tore is loaded mildly.', 'Small efforts, short holds.', { limits: { effortPct: 30, painCeiling: 3, holdS: 30 } }),

  avoid('blow-fresh', { conditions: ['blow'], withinDays: 7 }, { muscles: 'of-condition', acts: ALL }, 'A fresh bruise in a muscle is not pressed, stretched or worked.', 'Rest bent, cool; other muscles.', { refer: 'a physician when it grows tense or the pain is far too great' }),
  avoid('blow-deep', { conditions: ['blow'], withinDays: 56 }, { muscles: 'of-condition', acts: ['press'], pressed: 'anywhere' }, 'Deep work on a bruised muscle can make bone form in it.', 'Pain-free active movement; above and below it.', { refer: 'a physician when it stays hard after three weeks' }),
  modify('blow-stretch', { conditions: ['blow'], afterDays: 8 }, { muscles: 'of-condition', acts: ['lengthen', 'contract'] }, 'A bruised muscle is lengthened only where it does not hurt.', 'The athlete moves; nothing is forced.', { limits: { edgeShare: 0.85, effortPct: 15, painCeiling: 1 } }),
  avoid('myositis-force', ['myositis-ossificans'], { muscles: 'of-condition', acts: ['press'], pressed: 'anywhere' }, 'Bone forming in a muscle: no deep work at all.', 'Pain-free active movement.', { refer: 'a physician or physiotherapist' }),
  avoid('myositis-stretch', ['myositis-ossificans'], { muscles: 'of-condition', acts: ['lengthen'], moments: ['work'] }, 'Bone forming in a muscle: no passive force.', 'The athlete moves as far as it is free of pain.', { refer: 'a physician or physiotherapist' }),
  modify('myositis-contract', ['myositis-ossificans'], { muscles: 'of-condition', acts: ['contract'] }, 'Small presses only.', 'Five to ten percent, free of pain.', { limits: { effortPct: 10, painCeiling: 1 } }),

  modify('tendon-long-hold', ['tendon-pain'], { muscles: 'pulling-there', acts: ['lengthen', 'contract'] }, 'A sore tendon dislikes long compression at its end.', 'Short holds; the muscle belly rather than the tendon.', { limits: { holdS: 20, effortPct: 30, painCeiling: 3, edgeShare: 0.95 } }),
  modify('tendon-press', ['tendon-pain'], { pressed: 'of-condition' }, 'A sore tendon is pressed little.', 'The muscle belly.', { limits: { painCeiling: 3, pressS: 60 } }),
  modify('quinolone-tendon', { medications: ['quinolone'] }, { techniques: ['lengthen', 'contract', 'active', 'traction'], moments: ['work'], side: 'any' }, 'Every tendon can tear for months after these antibiotics.', 'Mild and short; nothing sudden.', { limits: { effortPct: 20, painCeiling: 3, holdS: 20, edgeShare: 0.9 }, refer: 'a physician when a tendon becomes sore', source: 'common practice; known side effect, recalled from memory' }),
  avoid('quinolone-friction', { medications: ['quinolone'] }, { pressed: 'anywhere', kinds: ['friction'], side: 'any' }, 'No friction on tendons that may tear.', 'Broad and light, on the belly of the muscle.', { source: 'common practice; known side effect, recalled from memory' }),
  modify('quinolone-weight', { medications: ['quinolone'] }, { weight: true, moments: ['work'], side: 'any' }, 'Standing load adds to weak tendons.', 'The same lying down.', { limits: { edgeShare: 0.85, effortPct: 10 }, source: 'common practice; known side effect, recalled from memory' }),
  avoid('compartment-press', ['compartment'], { pressed: 'near-condition', kinds: ['point', 'friction', 'percussion'] }, 'A tight compartment is not pressed hard.', 'Easy ankle movement; strokes toward the heart.', { refer: 'a physician when it stays tense at rest' }),
  modify('compartment-work', ['compartment'], { regions: 'near-condition', techniques: ['contract', 'lengthen'] }, 'Strong work fills the compartment.', 'Short, light, pauses between.', { limits: { effortPct: 15, holdS: 15, contractS: 30, painCeiling: 2 }, refer: 'a physician when it stays tense at rest' }),
  note('deep-sore', ['recent-illness'], { techniques: ['press', 'friction', 'pin'], side: 'any' }, 'After an illness muscles are sore for longer.', 'Lighter than usual.'),
];
