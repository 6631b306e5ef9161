import type { Rule } from '../types.ts';
import { ANY_WORK, avoid, COMMON, modify, note, stop, TRUNK_MOVES } from './make.ts';

const ACCIDENT = { conditions: ['recent-trauma'] } as const;

/** Bone: broken, overloaded, weak, growing. */
export const BONE_RULES: readonly Rule[] = [
  avoid('stress-injury', ['stress-injury'], { regions: 'near-condition' }, 'A bone under stress is not levered, pressed or twisted.', 'Away from it, without load through it.', { refer: 'a physician when pain is there at night' }),
  avoid('stress-injury-lever', ['stress-injury'], { loads: 'near-condition' }, 'The force of this runs through the bone under stress.', 'Hold above it: nearer the body than the sore bone.', { refer: 'a physician' }),
  modify('stress-injury-pull', ['stress-injury'], { through: 'near-condition', techniques: ['contract', 'active'] }, 'Muscles that cross the bone bend it when they press.', 'Other muscles; no contraction here.', { limits: { effortPct: 10, painCeiling: 1 } }),
  avoid('stress-injury-stretch', ['stress-injury'], { muscles: 'pulling-there', acts: ['lengthen'], techniques: ['lengthen'], endRange: true, moments: ['work'] }, 'A stretch pulls where the muscle is fastened to the sore bone.', 'Other muscles; easy movement in the middle.', { refer: 'a physician' }),
  avoid('stress-rib', ['stress-injury', 'rib-injury', 'fracture'], { through: 'near-condition', squeezes: ['ribs', 'spine'], side: 'any' }, 'A sore rib is not sprung or pressed, from either side.', 'Breath without pressure; shoulders and hips.', { refer: 'a physician when breathing hurts more' }),
  avoid('rib-injury-move', { conditions: ['rib-injury'], withinDays: 56 }, { movements: ['trunk rotation', 'trunk side-bend', 'trunk extension', 'shoulder flexion'], endRange: true, moments: ['work'], side: 'any' }, 'Stretching the chest wall opens a healing rib.', 'Hips and legs; easy breath.', { refer: 'a physician when out of breath' }),
  avoid('rib-injury-press', ['rib-injury'], { pressed: ['chest', 'upper-back', 'armpit'] }, 'A sore rib is not pressed.', 'The other side, or elsewhere.'),

  avoid('fracture', ['fracture'], { regions: 'near-condition' }, 'A healing fracture is left alone until cleared.', 'Joints above and below only as agreed with the physician.', { refer: 'the physician, for clearance' }),
  avoid('fracture-lever', ['fracture'], { loads: 'near-condition' }, 'The force of this runs through the healing bone.', 'Hold nearer the body than the fracture, or leave the limb.', { refer: 'the physician, for clearance' }),
  avoid('fracture-pull', ['fracture'], { through: 'near-condition', techniques: ['contract', 'active', 'lengthen', 'traction', 'mobilize'] }, 'Muscles that cross it pull on the healing bone.', 'Imagined movement; the other limb.', { refer: 'the physician, for clearance' }),
  modify('fracture-healed', { conditions: ['fracture', 'fracture-fixation'], resolvedWithinDays: 180 }, { through: 'near-condition', techniques: ['lengthen', 'contract', 'mobilize', 'traction'] }, 'A bone that healed in the last half year comes back to load step by step.', 'Short lever, below pain.', { limits: { effortPct: 30, painCeiling: 3, grade: 2, edgeShare: 0.9 } }),
  note('fracture-past', { conditions: ['fracture', 'fracture-fixation'], evenResolved: true }, { regions: 'of-condition' }, 'An old fracture can leave a joint shorter for good.', 'Compare with last time, not with the other side.'),
  stop('accident', ACCIDENT, { visit: true, side: 'any' }, 'An accident that nobody has looked at comes first.', 'No hands-on work until it was examined.', { refer: 'a physician or emergency care today' }),

  modify('bone-rotation', ['osteoporosis'], { movements: ['trunk rotation', 'trunk flexion', 'trunk side-bend'], side: 'any' }, 'Strong turning or bending breaks weak vertebrae.', 'Small, slow, supported; breath into the ribs.', { limits: { edgeShare: 0.8, effortPct: 20, painCeiling: 2 } }),
  avoid('bone-flexion', ['osteoporosis'], { movements: ['trunk flexion'], endRange: true, weight: true, moments: ['work'], side: 'any' }, 'Bending forward under load breaks weak vertebrae at the front.', 'Lying, knees bent; hips with the back straight.'),
  avoid('bone-bow', ['osteoporosis'], { movements: ['trunk extension'], squeezes: ['spine'], side: 'any' }, 'Bowing the spine over something breaks weak vertebrae.', 'Sitting tall; breath into the chest.'),
  modify('bone-extension', ['osteoporosis'], { movements: ['trunk extension'], side: 'any' }, 'Weak vertebrae are not bent back to the end.', 'Short of the edge, active.', { limits: { edgeShare: 0.8, effortPct: 20, painCeiling: 2 } }),
  avoid('bone-squeeze', ['osteoporosis'], { squeezes: ['ribs', 'spine'], pressed: 'anywhere', moments: ['work'], side: 'any' }, 'Weak ribs and vertebrae are not pressed or sprung.', 'Breath without pressure; still hands.'),
  avoid('bone-spring', ['osteoporosis'], { squeezes: ['ribs', 'spine', 'neck bones'], techniques: ['mobilize', 'continuous', 'lengthen'], side: 'any' }, 'Weak ribs and vertebrae are not sprung or wrung.', 'Easy movement without a hand on the bone.'),
  avoid('bone-percussion', ['osteoporosis'], { pressed: 'anywhere', kinds: ['percussion'], side: 'any' }, 'No percussion over weak bone.', 'Flat, still hands.'),
  avoid('bone-neck', ['osteoporosis'], { movements: ['neck rotation', 'neck side-bend', 'neck flexion', 'neck extension'], endRange: true, moments: ['work'], side: 'any' }, 'No end range in the neck on weak bone.', 'Middle of the range, athlete leads.'),
  avoid('bone-mobilize', ['osteoporosis'], { gradeAbove: 2, side: 'any' }, 'No mobilization above grade II on weak bone.', 'Grade I–II, or rocking.'),
  modify('bone-lever', ['osteoporosis'], { longLever: true, side: 'any' }, 'A long lever multiplies the force on the bone.', 'Hold close to the joint.', { limits: { effortPct: 20, painCeiling: 3 } }),
  avoid('bone-prone-press', ['osteoporosis'], { positions: ['prone'], pressed: ['upper-back', 'low-back', 'chest', 'pelvis'], kinds: ['point', 'friction', 'percussion'], side: 'any' }, 'Pressing down on the back of somebody with weak bone loads the ribs.', 'Side-lying, broad, light.'),
  modify('bone-hip-turn', ['osteoporosis'], { movements: ['hip internal rotation', 'hip external rotation'], loads: ['knee', 'shin'], side: 'any' }, 'Turning the hip by the shin twists the thigh bone.', 'Hold above the knee; short of the edge.', { limits: { edgeShare: 0.85, effortPct: 15, painCeiling: 2 } }),

  avoid('apophysis-no-hard', ['apophysis'], { muscles: 'pulling-there', acts: ['lengthen', 'contract'] }, 'No hard stretch and no press on a muscle that pulls on a sore growth plate.', 'Massage of the muscle belly; less jumping; other muscles.', { limits: { effortPct: 10, painCeiling: 1, edgeShare: 0.8 }, refer: 'a physician when it hurts at rest' }),
  avoid('apophysis-press', ['apophysis'], { pressed: 'of-condition' }, 'A sore growth plate is not pressed.', 'The belly of the muscle, away from it.'),
  modify('apophysis-squeeze', ['apophysis'], { regions: 'of-condition', techniques: ['continuous', 'mobilize', 'traction'] }, 'A sore growth plate is moved softly.', 'Small and slow.', { limits: { painCeiling: 1, grade: 1 } }),
  modify('growing', { underAge: 18 }, { techniques: ['contract'], side: 'any' }, 'Still growing: bone gives before muscle.', 'Small efforts, asked about soreness below the knee-cap and at the heel.', { limits: { effortPct: 40 } }),
  modify('growing-grade', { underAge: 18 }, { gradeAbove: 2, side: 'any' }, 'Still growing: no strong joint work.', 'Grade I–II.', { limits: { grade: 2 } }),
  avoid('growing-back', { underAge: 18 }, { movements: ['trunk extension'], squeezes: ['spine'], endRange: true, side: 'any' }, 'A growing spine is not bowed over a hand or a foot.', 'Hip flexors with the back held flat.', { source: COMMON }),
  note('older', { fromAge: 65 }, { movements: [...TRUNK_MOVES, 'neck extension', 'neck rotation'], side: 'any' }, 'From 65 on, weak bone and narrowed vessels are more common than they are known.', 'Ask; slower and shorter; help them up.'),
  note('older-work', { fromAge: 65 }, { gradeAbove: 2, techniques: ANY_WORK, side: 'any' }, 'From 65 on, strong joint work is thought about twice.', 'Grade I–II first.'),
];
