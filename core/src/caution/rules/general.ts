import type { ConditionCode } from '../coded.ts';
import { LEG_REGIONS } from '../areas.ts';
import type { Rule } from '../types.ts';
import { ANY_WORK, avoid, modify, note } from './make.ts';

const LAX: readonly ConditionCode[] = ['hypermobility', 'connective-tissue'];
const BEIGHTON = 'Beighton P et al. Ann Rheum Dis 1973;32:413–418; the threshold of 5 for adults, 6 for the growing and 4 from 50 on is common practice, recalled from memory';
const STOCKING = ['calf', 'shin', 'ankle', 'foot', 'hand', 'wrist'] as const;
/** Days since the last period: five months, and the last three. */
const MIDWAY = 140;
const LATE = 196;

/** What concerns the whole body. */
export const GENERAL_RULES: readonly Rule[] = [
  avoid('lax-beighton', { beightonAtLeast: 5, fromAge: 18 }, { techniques: ['lengthen'], endRange: true, moments: ['work'], side: 'any' }, 'Beighton 5 or more of 9: lax joints are not lengthened at their end.', 'Steady it: isometrics in four directions; work the tight muscle, not the joint.', { source: BEIGHTON }),
  avoid('lax-beighton-young', { beightonAtLeast: 6, underAge: 18 }, { techniques: ['lengthen'], endRange: true, moments: ['work'], side: 'any' }, 'Beighton 6 or more of 9 while growing: lax joints are not lengthened at their end.', 'Steady it: isometrics in four directions; work the tight muscle, not the joint.', { source: BEIGHTON }),
  avoid('lax-beighton-older', { beightonAtLeast: 4, fromAge: 50 }, { techniques: ['lengthen'], endRange: true, moments: ['work'], side: 'any' }, 'Beighton 4 or more of 9 from 50 on: lax joints are not lengthened at their end.', 'Steady it: isometrics in four directions; work the tight muscle, not the joint.', { source: BEIGHTON }),
  avoid('lax-diagnosed', { conditions: LAX, evenResolved: true }, { techniques: ['lengthen'], endRange: true, moments: ['work'], side: 'any' }, 'Diagnosed hypermobility: lax joints are not lengthened at their end.', 'Isometrics, breath, steady positions.'),
  avoid('lax-mobilize', { conditions: LAX, evenResolved: true }, { gradeAbove: 2, side: 'any' }, 'A lax joint needs no more play.', 'Grade I for comfort, if at all.'),
  avoid('lax-beighton-grade', { beightonAtLeast: 5 }, { gradeAbove: 2, side: 'any' }, 'Lax joints need no more play.', 'Grade I for comfort, if at all.', { source: BEIGHTON }),
  avoid('lax-pull', { conditions: LAX, evenResolved: true }, { techniques: ['traction'], side: 'any' }, 'A pull draws lax joints apart.', 'Weight supported, small isometrics.'),
  modify('lax-rock', { conditions: LAX, evenResolved: true }, { techniques: ['continuous', 'comfort', 'mobilize'], side: 'any' }, 'Large swings carry lax joints past where they should stop.', 'Small, slow, supported.', { limits: { edgeShare: 0.8, painCeiling: 2, grade: 1 } }),
  avoid('tissue-vessels', { conditions: ['connective-tissue'], evenResolved: true }, { pressed: 'anywhere', kinds: ['point', 'friction', 'percussion'], side: 'any' }, 'Skin and vessels tear and bruise easily.', 'Broad, flat, light.'),
  avoid('inflamed-joint', ['inflamed-joint'], { through: 'near-condition', moments: ['work'] }, 'A hot, swollen joint is left alone, also from levers that run through it.', 'Positions of comfort; other joints.', { refer: 'their physician when a joint is newly hot' }),
  avoid('inflamed-joint-measure', ['inflamed-joint'], { regions: 'near-condition', moments: ['measure'] }, 'A hot, swollen joint is not moved to its end.', 'Other joints.', { refer: 'their physician when a joint is newly hot' }),
  modify('rheumatoid-joints', ['rheumatoid'], { techniques: ['lengthen', 'contract', 'mobilize', 'traction'], side: 'any' }, 'Inflamed joints and their ligaments give too easily.', 'Warm, light, below pain; nothing in a flare.', { limits: { edgeShare: 0.9, effortPct: 20, painCeiling: 2, grade: 2 }, refer: 'their physician in a flare' }),

  avoid('steroid-tissue', { medications: ['steroid-long'] }, { gradeAbove: 2, side: 'any' }, 'Long steroid use thins bone and skin.', 'Grade I–II.'),
  avoid('steroid-squeeze', { medications: ['steroid-long'] }, { squeezes: ['ribs', 'spine'], side: 'any' }, 'Long steroid use weakens ribs and vertebrae.', 'Breath without pressure.'),
  modify('steroid-friction', { medications: ['steroid-long'] }, { pressed: 'anywhere', side: 'any' }, 'Skin and tissue tear and bruise easily on steroids.', 'Broad, flat, slow pressure.', { limits: { painCeiling: 3, pressS: 120 } }),
  modify('steroid-tendon', { medications: ['steroid-long'] }, { techniques: ['lengthen', 'contract'], moments: ['work'], side: 'any' }, 'Tendons are weaker on steroids.', 'Mild and short.', { limits: { effortPct: 30, painCeiling: 3 } }),
  modify('painkiller-ceiling', { medications: ['pain-killer'] }, { techniques: ANY_WORK, moments: ['work'], side: 'any' }, 'A pain killer hides the number that should stop you.', 'A lower ceiling, fewer rounds.', { limits: { painCeiling: 3 } }),
  modify('relaxant-end', { medications: ['muscle-relaxant'] }, { techniques: ['lengthen'], endRange: true, side: 'any' }, 'Guarding is switched off: the edge comes later than it should.', 'Stop earlier than it feels.', { limits: { edgeShare: 0.9, effortPct: 20 } }),
  modify('relaxant-joint', { medications: ['muscle-relaxant'] }, { techniques: ['mobilize', 'traction'], side: 'any' }, 'Guarding is switched off: the joint gives more than it should.', 'Grade I–II.', { limits: { grade: 2 } }),

  avoid('pregnant-supine', { conditions: ['pregnancy'], afterDays: MIDWAY }, { positions: ['supine'], moments: ['work'], holdAboveS: 20, side: 'any' }, 'From about the twentieth week lying flat presses on the great vein.', 'Side-lying or half sitting; short spells.'),
  modify('pregnant-flat', ['pregnancy'], { positions: ['supine'], side: 'any' }, 'Late in pregnancy lying flat presses on the great vein.', 'Side-lying or half sitting; three minutes flat at most.', { limits: { edgeShare: 0.9, effortPct: 20, holdS: 20 } }),
  avoid('pregnant-flat-late', { conditions: ['pregnancy'], afterDays: LATE }, { positions: ['supine'], moments: ['work'], side: 'any' }, 'In the last three months nobody lies flat on the back.', 'Side-lying or half sitting.'),
  avoid('pregnant-prone', ['pregnancy'], { positions: ['prone'], side: 'any' }, 'No lying on the belly.', 'Side-lying.'),
  avoid('pregnant-belly', ['pregnancy'], { regions: ['belly'], side: 'any' }, 'No belly work.', 'Low back side-lying.'),
  avoid('pregnant-squeeze', ['pregnancy'], { squeezes: ['belly', 'ribs'], side: 'any' }, 'Belly and ribs are not squeezed in pregnancy.', 'Breath without pressure, side-lying.'),
  modify('pregnant-end', ['pregnancy'], { techniques: ['lengthen'], endRange: true, side: 'any' }, 'Joints are looser: gentle at the end of the range.', 'Short of the edge, breath-led.', { limits: { edgeShare: 0.9, painCeiling: 2 } }),
  avoid('pregnant-joint', ['pregnancy'], { gradeAbove: 2, side: 'any' }, 'Looser joints need no strong joint work.', 'Grade I–II.'),
  modify('pregnant-open', ['pregnancy'], { movements: ['hip abduction', 'trunk rotation', 'trunk extension'], moments: ['work'], side: 'any' }, 'Opening and twisting pull on the loosened pelvis.', 'Small, both sides alike.', { limits: { edgeShare: 0.8, effortPct: 15, painCeiling: 2 } }),
  modify('pregnant-pull', ['pregnancy'], { loads: ['pelvis'], techniques: ['traction', 'mobilize'], side: 'any' }, 'A pull on one leg shears the loosened pelvis.', 'None, or both legs alike.', { limits: { grade: 1, painCeiling: 1 } }),
  modify('pregnant-effort', ['pregnancy'], { techniques: ['contract'], side: 'any' }, 'No held breath and no hard press.', 'Small efforts on the breath out.', { limits: { effortPct: 20 } }),
  note('pregnant-calf', ['pregnancy'], { pressed: ['calf', 'shin', 'thigh-inner'], side: 'any' }, 'Clots are more common in pregnancy.', 'Look first; light, toward the heart.', { refer: 'a physician today when a calf is swollen and warm' }),

  modify('nerve-region', ['nerve-signs'], { regions: 'of-condition', techniques: ['lengthen'] }, 'Stay below the first tingle.', 'Shorter lever, joint next door bent.', { limits: { edgeShare: 0.8, painCeiling: 1, effortPct: 20 }, refer: 'a physician when strength goes' }),
  modify('nerve-tension', ['nerve-signs'], { nerves: 'of-condition' }, 'This draws the sore nerve long, wherever it is felt.', 'Shorter lever, ankle or wrist loose.', { limits: { edgeShare: 0.8, painCeiling: 1, effortPct: 20 }, refer: 'a physician when strength goes' }),
  modify('nerve-source-back', ['nerve-signs'], { nerves: 'of-condition', movements: ['trunk flexion', 'trunk side-bend', 'neck flexion', 'neck side-bend'], side: 'any' }, 'Nerve signs of a limb often come from the back or the neck.', 'Back and neck in the middle.', { limits: { edgeShare: 0.8, painCeiling: 1 } }),
  modify('nerve-neck', { conditions: ['nerve-signs'] }, { nerves: ['arm'], movements: ['neck side-bend', 'neck extension', 'neck rotation'], side: 'any' }, 'Arm signs often come from the neck.', 'Neck in the middle.', { limits: { edgeShare: 0.8, painCeiling: 1 } }),
  avoid('nerve-press', ['nerve-signs'], { pressed: 'of-condition', kinds: ['point', 'friction', 'percussion'] }, 'No point or friction on a nerve that signals.', 'Broad and light, around it.', { refer: 'a physician when strength goes' }),
  modify('feeling-number', ['reduced-feeling'], { through: 'near-condition' }, 'The number they give cannot be trusted where feeling is reduced.', 'Go by the end feel, well short of firm.', { limits: { edgeShare: 0.9, painCeiling: 1, pressS: 120 } }),
  avoid('feeling-press', ['reduced-feeling'], { pressed: 'near-condition', kinds: ['point', 'friction', 'percussion'] }, 'What is not felt is not pressed hard.', 'Broad, flat, short.'),
  modify('stocking', ['diabetes-feeling'], { regions: STOCKING, side: 'any' }, 'Feet, shins and hands may feel less than the number says.', 'Go by the end feel; look at the skin.', { limits: { edgeShare: 0.9, painCeiling: 1, pressS: 120 }, refer: 'a physician when the skin is open' }),
  avoid('stocking-press', ['diabetes-feeling'], { pressed: STOCKING, kinds: ['point', 'friction', 'percussion'], side: 'any' }, 'What is not felt is not pressed hard.', 'Broad, flat, short.', { refer: 'a physician when the skin is open' }),
  note('diabetes-sugar', ['diabetes', 'diabetes-feeling'], { visit: true, side: 'any' }, 'Work on the table can lower the sugar.', 'Ask when they last ate; something sweet at hand; sit before standing.'),
  note('diabetes-skin', ['diabetes'], { regions: ['foot', 'ankle'], side: 'any' }, 'Look at the skin of the feet first.', 'Nothing over a sore or a blister.', { refer: 'a physician when the skin is open' }),
  note('epilepsy-calm', ['epilepsy'], { visit: true, side: 'any' }, 'A seizure can come on the table.', 'Ask about triggers; never leave them alone; even light, no fast breathing.', { refer: 'emergency care when one lasts five minutes' }),
  modify('epilepsy-breath', ['epilepsy'], { techniques: ['contract'], side: 'any' }, 'Held or fast breath can bring a seizure on.', 'Free breath, small efforts.', { limits: { effortPct: 20 } }),
  avoid('cancer-site', { conditions: ['cancer'], evenResolved: true }, { pressed: 'anywhere', kinds: ['point', 'friction', 'percussion'], side: 'any' }, 'With cancer, now or past, deep work waits for the physician’s word.', 'Light, broad, comfort.', { refer: 'their physician, before any deep work' }),
  avoid('cancer-bone', { conditions: ['cancer'] }, { squeezes: ['ribs', 'spine', 'neck bones'], side: 'any' }, 'Bone may be weaker than anybody knows.', 'Comfort positions, still hands.', { refer: 'their physician' }),
  avoid('cancer-grade', { conditions: ['cancer'] }, { gradeAbove: 2, side: 'any' }, 'Bone may be weaker than anybody knows.', 'Grade I, if at all.', { refer: 'their physician' }),
  modify('cancer-work', { conditions: ['cancer'] }, { techniques: ['lengthen', 'contract', 'traction', 'mobilize'], moments: ['work'], side: 'any' }, 'Under treatment everything is light and short.', 'Comfort first; ask each time.', { limits: { edgeShare: 0.9, effortPct: 15, painCeiling: 2, grade: 2 } }),
  avoid('lymph-press', { conditions: ['lymphoedema'], evenResolved: true }, { pressed: 'limb-of-condition' }, 'A limb without its nodes swells from pressure.', 'Light strokes toward the heart, by somebody trained in it.', { refer: 'a lymph therapist' }),
  avoid('lymph-arm', { conditions: ['lymphoedema'], evenResolved: true }, { regions: 'limb-of-condition', techniques: ['press', 'friction', 'pin'] }, 'A limb without its nodes swells from pressure.', 'Light strokes toward the heart, by somebody trained in it.', { refer: 'a lymph therapist' }),
  modify('lymph-move', { conditions: ['lymphoedema'], evenResolved: true }, { through: 'limb-of-condition', techniques: ['lengthen', 'contract', 'traction'] }, 'Strong stretch and effort make the limb swell.', 'Small and active, limb raised.', { limits: { edgeShare: 0.9, effortPct: 20, painCeiling: 2, holdS: 15 } }),
  avoid('hernia-press', ['hernia'], { pressed: ['belly', 'groin'], side: 'any' }, 'A gap in the belly wall is not pressed.', 'Back and limbs.', { refer: 'emergency care when it grows hard and painful' }),
  modify('hernia-squeeze', ['hernia'], { squeezes: ['ribs', 'spine', 'belly'], side: 'any' }, 'Pressing the chest raises the pressure behind the gap.', 'Breath without pressure.', { limits: { painCeiling: 1, pressS: 30 } }),
  modify('hernia-effort', ['hernia'], { techniques: ['contract', 'active'], moments: ['work'], side: 'any' }, 'Pressing with a held breath drives the hernia out.', 'Small efforts on the breath out.', { limits: { effortPct: 15, contractS: 60 } }),
  modify('hernia-stretch', ['hernia'], { movements: ['trunk extension', 'hip extension'], endRange: true, side: 'any' }, 'Bending back opens the gap.', 'Knees bent.', { limits: { edgeShare: 0.85, painCeiling: 2 } }),
  avoid('implant-press', { conditions: ['implant'], evenResolved: true }, { pressed: 'of-condition' }, 'An implant, its leads and its pocket are not pressed.', 'A hand’s width away from it.', { refer: 'a physician when it hurts or moves' }),
  avoid('implant-squeeze', { conditions: ['implant'], evenResolved: true }, { regions: 'of-condition', squeezes: ['ribs', 'belly'], side: 'any' }, 'An implant is not squeezed.', 'Limbs, side-lying.', { refer: 'a physician when it hurts or moves' }),
  modify('implant-arm', { conditions: ['implant'], withinDays: 42 }, { regions: 'of-condition', techniques: ['lengthen', 'traction', 'continuous'] }, 'For six weeks leads and pocket can be pulled loose.', 'Arm below the shoulder.', { limits: { edgeShare: 0.8, painCeiling: 2, effortPct: 10 } }),
  note('implant-prone', { conditions: ['implant'], evenResolved: true }, { positions: ['prone'], side: 'any' }, 'Lying on an implant hurts and can harm it.', 'Side-lying, or a cushion with a hollow.'),
  modify('illness-light', { conditions: ['recent-illness'], withinDays: 14 }, { techniques: ['lengthen', 'contract', 'mobilize', 'press', 'friction', 'pin'], moments: ['work'], side: 'any' }, 'Two weeks after an illness: lighter and shorter.', 'Broad, warm, breath-led.', { limits: { edgeShare: 0.9, effortPct: 20, painCeiling: 3 }, refer: 'a physician when the pulse stays high or the chest hurts' }),
  modify('lung-breath', ['lung'], { techniques: ['contract'], side: 'any' }, 'A held breath is hard on the lungs.', 'Free breath, small efforts.', { limits: { effortPct: 30 } }),

  avoid('heat-unfelt', ['reduced-feeling'], { regions: 'of-condition', heat: true, side: 'any' }, 'What is not felt is burnt.', 'Dry warmth elsewhere; a sock.', { refer: 'a physician when feeling is newly lost' }),
  avoid('heat-stocking', ['diabetes-feeling'], { regions: STOCKING, heat: true, side: 'any' }, 'What is not felt is burnt.', 'Dry warmth elsewhere; a sock.'),
  avoid('heat-fresh', { conditions: ['ankle-sprain', 'knee-sprain', 'muscle-strain', 'blow', 'wrist-injury', 'elbow-injury', 'tendon-rupture', 'recent-trauma'], withinDays: 7 }, { regions: 'near-condition', heat: true, side: 'any' }, 'Warmth makes a fresh injury swell.', 'Cool and raised.'),
  avoid('heat-swollen', ['swelling', 'inflamed-joint', 'effusion', 'broken-skin', 'rash', 'lymphoedema'], { regions: 'limb-of-condition', heat: true, side: 'any' }, 'Warmth makes swelling and inflammation worse, and open skin takes in dirt.', 'Raised, dry.'),
  avoid('heat-vessels', ['clot-past', 'varicose-veins'], { regions: LEG_REGIONS, heat: true, side: 'any' }, 'Hot water widens veins that do not close.', 'Cool water; legs raised.'),
];
