import type { ConditionCode } from '../coded.ts';
import { ARM_REGIONS, LEG_REGIONS } from '../areas.ts';
import type { Rule } from '../types.ts';
import { avoid, modify, note } from './make.ts';

const BLEEDS: readonly ConditionCode[] = ['bleeding-disorder'];
const PRESSURE: readonly ConditionCode[] = ['high-pressure', 'aneurysm'];

/** Vessels, blood, skin. */
export const VESSEL_RULES: readonly Rule[] = [
  avoid('clot-past-deep', { conditions: ['clot-past'], evenResolved: true }, { pressed: LEG_REGIONS }, 'After a clot the whole leg takes no deep work without a physician’s word.', 'Light strokes toward the heart.', { refer: 'a physician, for clearance' }),
  avoid('clot-past-arm-deep', { conditions: ['clot-past-arm'], evenResolved: true }, { pressed: ARM_REGIONS }, 'After a clot the whole arm takes no deep work without a physician’s word.', 'Light strokes toward the heart.', { refer: 'a physician, for clearance' }),
  avoid('clot-past-grip', { conditions: ['clot-past'], withinDays: 180, evenResolved: true }, { loads: ['calf', 'shin'], techniques: ['traction', 'mobilize'] }, 'In the half year after a clot the leg is not gripped and pulled.', 'Hold the foot lightly; hips and back.', { refer: 'a physician, for clearance' }),
  note('clot-past-look', { conditions: ['clot-past', 'clot-past-arm'], evenResolved: true }, { visit: true, side: 'any' }, 'Somebody who had a clot can have another.', 'Compare both sides before hands go on.', { refer: 'a physician today when one is swollen and warm' }),
  avoid('thinner-press', { medications: ['blood-thinner'] }, { pressed: 'anywhere', kinds: ['point', 'friction', 'percussion'], side: 'any' }, 'Deep friction, points and percussion bruise on blood thinners.', 'Broad gentle strokes, stretching below the edge.'),
  avoid('thinner-neck', { medications: ['blood-thinner'] }, { squeezes: ['neck bones'], side: 'any' }, 'No joint work of the neck on blood thinners.', 'Muscle beside it, broad and light.', { refer: 'a physician' }),
  avoid('thinner-grade', { medications: ['blood-thinner'] }, { gradeAbove: 2, side: 'any' }, 'Strong joint work can bleed into the joint on blood thinners.', 'Grade I–II.'),
  modify('thinner-broad', { medications: ['blood-thinner', 'platelets'] }, { pressed: 'anywhere', kinds: ['broad'], side: 'any' }, 'Even broad pressure bruises when it is strong.', 'Weight of the hand, moving on.', { limits: { painCeiling: 3, pressS: 120 } }),
  modify('thinner-end', { medications: ['blood-thinner'] }, { techniques: ['lengthen'], endRange: true, moments: ['work'], side: 'any' }, 'The last of the range can tear small vessels.', 'Short of the edge.', { limits: { edgeShare: 0.95, painCeiling: 3 } }),
  modify('platelets-press', { medications: ['platelets'] }, { pressed: 'anywhere', kinds: ['point', 'friction', 'percussion'], side: 'any' }, 'Bruises come more easily.', 'Broader and shorter.', { limits: { painCeiling: 3, pressS: 60 } }),
  avoid('bleeding-press', BLEEDS, { pressed: 'anywhere', side: 'any' }, 'Deep pressure can bleed into muscle or joint.', 'Broad gentle strokes.', { refer: 'their physician after any bleed' }),
  modify('bleeding-end', BLEEDS, { techniques: ['lengthen', 'mobilize', 'traction'], endRange: true, side: 'any' }, 'The ends of the range can bleed into a joint.', 'Short of the edge, slow.', { limits: { edgeShare: 0.9, painCeiling: 2, grade: 2 } }),
  modify('bleeding-joint', { conditions: BLEEDS }, { techniques: ['mobilize', 'traction'], side: 'any' }, 'Joint work can bleed into the joint.', 'Grade I, warm; easy movement of their own.', { limits: { grade: 1, painCeiling: 1 }, refer: 'their physician after any bleed' }),
  modify('thinner-joint', { medications: ['blood-thinner'] }, { techniques: ['mobilize', 'traction'], side: 'any' }, 'Joint work can bleed into the joint on blood thinners.', 'Grade I–II, no thrust, slow.', { limits: { grade: 2, painCeiling: 2 } }),
  avoid('bleeding-grade', BLEEDS, { gradeAbove: 2, side: 'any' }, 'No strong joint work with a bleeding disorder.', 'Grade I–II.'),
  modify('bleeding-contract', BLEEDS, { techniques: ['contract'], side: 'any' }, 'Hard presses can bleed into the muscle.', 'Small efforts.', { limits: { effortPct: 25 } }),

  avoid('aneurysm-belly', { conditions: ['aneurysm'], evenResolved: true }, { pressed: ['belly'], side: 'any' }, 'Nothing is pressed near a widened artery.', 'Limbs, light.', { refer: 'a physician; emergency care with new pain in belly or back' }),
  avoid('aneurysm-squeeze', { conditions: ['aneurysm'], evenResolved: true }, { squeezes: ['belly', 'ribs', 'spine'], side: 'any' }, 'Chest and belly are not squeezed with a widened artery.', 'Limbs, light.', { refer: 'a physician' }),
  modify('aneurysm-trunk', { conditions: ['aneurysm'], evenResolved: true }, { movements: ['trunk extension', 'trunk rotation', 'hip extension'], side: 'any' }, 'Stretching the trunk draws on the great artery.', 'Middle of the range.', { limits: { edgeShare: 0.8, painCeiling: 1, effortPct: 10 } }),
  avoid('pressure-effort', { conditions: PRESSURE }, { effortAbovePct: 30, techniques: ['contract'], side: 'any' }, 'Strong isometric pressing drives the blood pressure up.', 'Ten percent on the breath out, or no press.', { limits: { effortPct: 10 }, refer: 'a physician when the head aches or sight blurs' }),
  modify('pressure-contract', { conditions: PRESSURE }, { techniques: ['contract', 'active'], moments: ['work'], side: 'any' }, 'Pressing with a held breath drives the blood pressure up.', 'Small, short, breathing out.', { limits: { effortPct: 10, contractS: 30 }, refer: 'a physician when the head aches or sight blurs' }),
  modify('pressure-weight', ['high-pressure', 'aneurysm', 'heart', 'eye-pressure'], { weight: true, movements: ['knee flexion', 'hip flexion'], moments: ['work'], side: 'any' }, 'Standing or sitting low against a wall is a hard press of the whole body.', 'Higher, ten seconds, breathing out.', { limits: { holdS: 15, effortPct: 10, edgeShare: 0.8 }, refer: 'a physician when the head aches or sight blurs' }),
  modify('eye-contract', ['eye-pressure'], { techniques: ['contract'], side: 'any' }, 'A held breath drives the pressure in the eye up.', 'Small efforts on the breath out.', { limits: { effortPct: 20, contractS: 60 }, refer: 'an eye physician when sight changes' }),
  note('pressure-rise', { medications: ['blood-pressure'] }, { visit: true, side: 'any' }, 'They may turn dizzy when getting up.', 'Sit a minute before standing; no held breath in contractions.'),
  modify('pressure-medicine', { medications: ['blood-pressure'] }, { techniques: ['contract'], side: 'any' }, 'Hard pressing with a held breath drives the pressure up.', 'Small efforts on the breath out.', { limits: { effortPct: 30 } }),
  modify('heart-contract', ['heart'], { techniques: ['contract'], side: 'any' }, 'Hard pressing with a held breath drives the pressure up.', 'Small efforts on the breath out.', { limits: { effortPct: 20, contractS: 60 }, refer: 'a physician when there is chest pain' }),
  avoid('heart-chest', ['heart', 'lung'], { squeezes: ['ribs'], pressed: ['chest', 'upper-back'], side: 'any' }, 'The chest is not pressed with a heart or lung condition.', 'Breath without pressure; back of the ribs, light.', { refer: 'a physician when there is chest pain' }),
  avoid('heart-down', ['heart'], { headDown: true, side: 'any' }, 'The head low brings blood back to the heart too fast.', 'Head raised.'),
  note('supine-heart', ['heart', 'lung'], { positions: ['prone', 'supine'], side: 'any' }, 'Lying flat can be uncomfortable.', 'Head raised; ask.'),

  avoid('veins', ['varicose-veins'], { pressed: 'near-condition' }, 'Keep off varicose veins.', 'Beside them, light, toward the heart.'),
  avoid('skin-broken', ['broken-skin'], { regions: 'of-condition' }, 'Keep off broken skin.', 'Elsewhere; hold away from it.'),
  avoid('skin-broken-held', ['broken-skin', 'rash'], { pressed: 'of-condition' }, 'No hand on broken or ill skin.', 'Elsewhere; hold away from it.'),
  note('skin-held', ['broken-skin', 'rash'], { loads: 'of-condition' }, 'The limb may be held there.', 'Hold away from the place.'),
  avoid('skin-rash', ['rash'], { regions: 'of-condition' }, 'A rash may be catching, and rubbing spreads it.', 'Elsewhere, hands washed.', { refer: 'a physician when it spreads' }),
  avoid('injection-fresh', { conditions: ['injection', 'steroid-injection'], withinDays: 7 }, { regions: 'of-condition' }, 'A place injected in the last week is left alone.', 'Elsewhere.'),
  modify('injection-tendon', { conditions: ['injection'], afterDays: 8, withinDays: 21 }, { regions: 'of-condition', techniques: ['contract', 'lengthen'] }, 'Tissue stays weaker for some weeks after an injection.', 'Small effort, short holds.', { limits: { effortPct: 30, painCeiling: 3 } }),
  modify('steroid-weak', { conditions: ['steroid-injection'], withinDays: 84 }, { muscles: 'pulling-there', acts: ['lengthen', 'contract'] }, 'For about twelve weeks after cortisone tendons nearby are weaker.', 'Small effort, short holds.', { limits: { effortPct: 20, painCeiling: 2, holdS: 20, edgeShare: 0.9 }, refer: 'a physician when a tendon becomes sore' }),
  modify('steroid-joint', { conditions: ['steroid-injection'], withinDays: 84 }, { regions: 'near-condition' }, 'For about twelve weeks after cortisone the pain that should warn is less.', 'A lower ceiling, short of the edge.', { limits: { painCeiling: 2, edgeShare: 0.9, grade: 2 } }),
  avoid('steroid-place', { conditions: ['steroid-injection'], withinDays: 42 }, { pressed: 'of-condition', kinds: ['point', 'friction', 'percussion'] }, 'No friction where cortisone was given.', 'Broad, beside it.'),
  avoid('swelling-press', ['swelling'], { regions: 'of-condition', techniques: ['press', 'friction', 'pin', 'lengthen'] }, 'A swollen or bruised place is not pressed or stretched.', 'Move fluid toward the heart, above it.', { refer: 'a physician when it is warm and without a reason' }),
  avoid('swelling-hand', ['swelling'], { pressed: 'near-condition' }, 'A swollen or bruised place is not pressed.', 'Move fluid toward the heart, above it.', { refer: 'a physician when it is warm and without a reason' }),
];
