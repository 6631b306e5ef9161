import type { ConditionCode } from '../coded.ts';
import { CONDITIONS } from '../coded.ts';
import type { Rule } from '../types.ts';
import { ANY_WORK, avoid, modify, NECK_MOVES, note, SURGEON, TRUNK_MOVES } from './make.ts';

const OPERATIONS: readonly ConditionCode[] = CONDITIONS.filter((each) => 'surgery' in each).map(({ code }) => code);
const CRUCIATE: readonly ConditionCode[] = ['cruciate-hamstring', 'cruciate-patellar', 'cruciate-quadriceps'];
const KNEES: readonly ConditionCode[] = ['knee-operation', ...CRUCIATE, 'meniscus-repair', 'knee-replacement'];
const REPLACED_HIPS: readonly ConditionCode[] = ['hip-replacement-back', 'hip-replacement-front', 'hip-replacement-side'];
const REPLACED: readonly ConditionCode[] = [...REPLACED_HIPS, 'knee-replacement', 'shoulder-replacement'];
const YOUNG = ['protect'] as const;
const HEALING = ['protect', 'repair'] as const;
const YEAR = ['protect', 'repair', 'remodel'] as const;
const SPINE_MOVES = [...TRUNK_MOVES, ...NECK_MOVES] as const;
const own = { source: SURGEON };
const ask = { source: SURGEON, refer: 'the surgeon for limits' };

/** After any operation: phase by weeks, and only with a go-ahead. */
const ALL: readonly Rule[] = [
  avoid('operation-no-clearance', { conditions: OPERATIONS, phases: YEAR, cleared: false }, { through: 'near-condition', techniques: ANY_WORK }, 'No go-ahead of the surgeon or physiotherapist is on file, dated after the operation.', 'Other areas. Ask for it in writing, with limits.', { limits: { effortPct: 10, painCeiling: 2, edgeShare: 0.8 }, refer: 'the surgeon or physiotherapist, for clearance', source: SURGEON }),
  avoid('operation-protect-lengthen', { conditions: OPERATIONS, phases: YOUNG }, { through: 'near-condition', techniques: ['lengthen', 'mobilize', 'traction'], endRange: true }, 'First six weeks: what was sewn is protected, also from levers and from muscles that cross it.', 'Fluid moved toward the heart; small passive and imagined movement.', { limits: { effortPct: 10, painCeiling: 2, edgeShare: 0.8 }, ...own }),
  avoid('operation-protect-pull', { conditions: OPERATIONS, phases: YOUNG }, { loads: 'near-condition', techniques: ['traction', 'mobilize'] }, 'First six weeks: nothing is pulled through what was sewn.', 'Hold nearer the body, or leave it.', own),
  modify('operation-protect-circle', { conditions: OPERATIONS, phases: YOUNG }, { through: 'near-condition', techniques: ['continuous', 'comfort'] }, 'First six weeks: what was operated is moved a little, if at all.', 'Small, carried, as the go-ahead says.', { limits: { edgeShare: 0.6, painCeiling: 1 }, ...own }),
  avoid('operation-protect-contract', { conditions: OPERATIONS, phases: YOUNG }, { through: 'near-condition', techniques: ['contract', 'active'], moments: ['work'] }, 'First six weeks: no press against the hand near what was sewn.', 'Let them imagine the press.', { limits: { effortPct: 10, painCeiling: 2 }, ...own }),
  modify('operation-repair', { conditions: OPERATIONS, phases: ['repair'] }, { through: 'near-condition', techniques: ['lengthen', 'contract', 'active', 'continuous', 'comfort'] }, 'Weeks 6 to 12, early repair: light, short of the edge.', 'Rocking and small passive movement.', { limits: { effortPct: 20, painCeiling: 3, edgeShare: 0.9, contractS: 60 }, ...own }),
  modify('operation-repair-grade', { conditions: OPERATIONS, phases: ['repair'] }, { through: 'near-condition', techniques: ['mobilize', 'traction'] }, 'Weeks 6 to 12: grade I–II at most.', 'Small oscillation at the start of the range.', { limits: { grade: 2, painCeiling: 2 }, ...own }),
  modify('operation-remodel', { conditions: OPERATIONS, phases: ['remodel'] }, { through: 'near-condition', techniques: ['lengthen', 'contract', 'active'] }, 'Remodelling: load comes back step by step.', 'Fewer rounds, longer and milder.', { limits: { effortPct: 40, painCeiling: 4, edgeShare: 0.97 }, ...own }),
  modify('operation-remodel-grade', { conditions: OPERATIONS, phases: ['remodel'] }, { through: 'near-condition', gradeAbove: 2 }, 'In the first year joint work stays below grade III.', 'Grade I–II.', { limits: { grade: 2 }, ...own }),
  modify('operation-measure', { conditions: OPERATIONS, phases: HEALING }, { regions: 'near-condition', moments: ['measure'] }, 'Measured only as far as it goes by itself, and never past what was written.', 'Active range, athlete leads.', { limits: { edgeShare: 1, painCeiling: 3 }, ...own }),
  avoid('operation-scar', { conditions: OPERATIONS, phases: HEALING }, { pressed: 'near-condition' }, 'A young scar takes no friction or hard pressure.', 'Flat hand beside it, toward the heart.', own),
  note('operation-still', { conditions: OPERATIONS, phases: HEALING }, { visit: true, side: 'any' }, 'After a long time without motion: start with small passive and imagined movement.', 'Fluid first, then movement, then the rest of the limb.', own),
  note('operation-clot', { conditions: OPERATIONS, phases: YOUNG }, { visit: true, side: 'any' }, 'Weeks after an operation clots are more common.', 'Look at calf and arm before hands go on.', { refer: 'a physician today when one is swollen and warm' }),
  avoid('hardware-press', { conditions: ['hardware', 'fracture-fixation', ...REPLACED], evenResolved: true }, { pressed: 'of-condition', kinds: ['point', 'friction', 'percussion'] }, 'Metal may be felt under the skin; it is not pressed hard.', 'Flat hand, around it.'),
  modify('hardware-broad', { conditions: ['hardware'], evenResolved: true }, { pressed: 'of-condition', kinds: ['broad'] }, 'Over metal only the weight of the hand.', 'Flat hand, around it.', { limits: { painCeiling: 1 } }),
  avoid('hardware-mobilize', { conditions: ['hardware', 'fracture-fixation'], evenResolved: true }, { through: 'of-condition', gradeAbove: 2 }, 'Strong mobilization next to metal loads the bone at its end.', 'Grade I–II.'),
  modify('fixation-lever', { conditions: ['fracture-fixation'], phases: YEAR }, { loads: 'near-condition' }, 'The force of this runs through the bone that was fixed.', 'Hold nearer the body than the fracture.', { limits: { effortPct: 15, painCeiling: 2, edgeShare: 0.9 }, ...own }),
];

const KNEE: readonly Rule[] = [
  avoid('knee-torque', { conditions: KNEES, phases: YEAR, evenResolved: true }, { movements: ['hip internal rotation', 'hip external rotation', 'knee twist'], loads: ['knee'] }, 'Turning with the shin as a lever twists the operated knee.', 'Hold above the knee, or turn the hip with the leg straight.', own),
  avoid('cruciate-joint', { conditions: CRUCIATE, phases: YEAR, evenResolved: true }, { loads: ['knee'], techniques: ['mobilize', 'traction'] }, 'A graft is not sheared and not pulled.', 'Hold above the knee; kneecap glides when they are allowed.', ask),
  avoid('operated-knee-kept-bent', { conditions: KNEES, phases: HEALING, evenResolved: true }, { postureAbove: { 'knee flexion': 100 }, moments: ['work'] }, 'The knee is kept bent far, worked on or held out of the way.', 'Hold behind the thigh; knee nearly straight.', ask),
  avoid('cruciate-sideways', { conditions: [...CRUCIATE, 'knee-operation'], phases: HEALING, evenResolved: true }, { movements: ['hip abduction', 'hip across the midline'], loads: ['knee'], moments: ['work'] }, 'A sideways lever through the knee opens it against what is healing.', 'Hold above the knee.', ask),
  modify('cruciate-straight', { conditions: CRUCIATE, phases: HEALING }, { muscles: ['rectus-femoris', 'vasti'], acts: ['contract'] }, 'A press toward straight pulls the shin forward against the graft.', 'Press with the knee bent more than 60°, or with the hip.', { limits: { effortPct: 10, contractS: 30, painCeiling: 2 }, ...own }),
  ...donor('hamstring', 'cruciate-hamstring', ['hamstrings'], 'The graft was taken from the hamstrings'),
  ...donor('patellar', 'cruciate-patellar', ['rectus-femoris', 'vasti'], 'The graft was taken from the tendon below the kneecap'),
  ...donor('quadriceps', 'cruciate-quadriceps', ['rectus-femoris', 'vasti'], 'The graft was taken from the tendon above the kneecap'),
  modify('meniscus-bend', { conditions: ['meniscus-repair'], phases: HEALING }, { movements: ['knee flexion'] }, 'Bending past 90° pinches a sewn meniscus.', 'Stay below 90°; hip instead.', { limits: { bends: { 'knee flexion': 90 }, effortPct: 10, painCeiling: 2 }, ...ask }),
  avoid('meniscus-posture', { conditions: ['meniscus-repair'], phases: HEALING }, { postureAbove: { 'knee flexion': 90 } }, 'This keeps the knee bent past 90°, which pinches a sewn meniscus.', 'The same with the knee straighter.', ask),
  avoid('meniscus-load', { conditions: ['meniscus-repair'], phases: YEAR }, { weight: true, movements: ['knee flexion', 'ankle dorsiflexion', 'hip flexion'] }, 'Standing on a bent knee grinds a sewn meniscus.', 'The same lying down.', ask),
  avoid('meniscus-hamstring', { conditions: ['meniscus-repair'], phases: YOUNG }, { muscles: ['hamstrings'], acts: ['contract'] }, 'The hamstrings pull on the back of the meniscus.', 'Other muscles; press with the hip.', own),
  avoid('knee-new-joint', { conditions: ['knee-replacement'], evenResolved: true }, { loads: ['knee'], techniques: ['mobilize', 'traction'] }, 'A replaced joint is not mobilized or pulled.', 'Soft tissue around it, long and mild.', own),
];

/** The muscle a graft was taken from heals like a torn one. */
function donor(name: string, code: ConditionCode, muscles: readonly ('hamstrings' | 'rectus-femoris' | 'vasti')[], why: string): Rule[] {
  return [
    avoid(`donor-${name}-young`, { conditions: [code], phases: YOUNG }, { muscles, acts: ['lengthen', 'contract', 'press'] }, `${why}: it heals like a tear.`, 'Calf and hip; imagined press.', ask),
    modify(`donor-${name}-healing`, { conditions: [code], phases: ['repair'] }, { muscles, acts: ['lengthen', 'contract'] }, `${why}: weeks 6 to 12, light.`, 'Short of the edge, small efforts.', { limits: { effortPct: 10, painCeiling: 2, edgeShare: 0.85, contractS: 30 }, ...own }),
    avoid(`donor-${name}-press`, { conditions: [code], phases: HEALING }, { muscles, acts: ['press'], pressed: 'anywhere' }, `${why}: no pressure on it yet.`, 'Light strokes toward the heart.', own),
    modify(`donor-${name}-later`, { conditions: [code], phases: ['remodel'] }, { muscles, acts: ['lengthen', 'contract', 'press'] }, `${why}: load comes back step by step.`, 'Milder than the other side.', { limits: { effortPct: 30, painCeiling: 3, edgeShare: 0.95 }, ...own }),
  ];
}

const HIP: readonly Rule[] = [
  modify('hip-replacement-bend', { conditions: REPLACED_HIPS, evenResolved: true }, { movements: ['hip flexion', 'straight-leg raise'] }, 'Bending past 90° can lever the new joint out.', 'Stay below 90°; ask for the surgeon’s own limits.', { limits: { bends: { 'hip flexion': 90, 'straight-leg raise': 90 }, effortPct: 20, painCeiling: 3 }, ...ask }),
  avoid('hip-replacement-posture', { conditions: REPLACED_HIPS, evenResolved: true }, { postureAbove: { 'hip flexion': 90 } }, 'This keeps the hip bent past 90°.', 'The same with the hip straighter.', ask),
  avoid('hip-replacement-turn-in', { conditions: ['hip-replacement-back', 'hip-replacement-side'], evenResolved: true }, { movements: ['hip internal rotation', 'hip across the midline'] }, 'Turning in or crossing the midline is how a hip done from behind or the side slips.', 'Turn out gently, leg apart, hold above the knee.', ask),
  avoid('hip-replacement-extend', { conditions: ['hip-replacement-front', 'hip-replacement-side'], evenResolved: true }, { movements: ['hip extension', 'hip external rotation'], endRange: true }, 'Extension and turning out are how a hip done from the front or the side slips.', 'Front of the thigh with the hip in the middle.', ask),
  avoid('hip-replacement-extend-any', { conditions: ['hip-replacement-front'], evenResolved: true }, { movements: ['hip extension', 'hip external rotation'] }, 'Extension and turning out are how a hip done from the front slips, whichever way it is done.', 'Front of the thigh with the hip in the middle.', ask),
  avoid('hip-replacement-cross', { conditions: REPLACED_HIPS, evenResolved: true }, { movements: ['hip across the midline'] }, 'Nothing across the midline on a replaced hip.', 'Leg in line or apart.', own),
  avoid('hip-replacement-mobilize', { conditions: REPLACED_HIPS, evenResolved: true }, { through: ['hip'], techniques: ['mobilize', 'traction'] }, 'A replaced joint is not mobilized or pulled, from wherever the pull comes.', 'Soft tissue around it, long and mild.', own),
  avoid('hip-replacement-side-muscle', { conditions: ['hip-replacement-side'], phases: HEALING }, { muscles: ['gluteus-medius', 'tensor'], acts: ['contract', 'lengthen'] }, 'The muscles at the side were loosened and sewn back.', 'Front and back of the thigh.', ask),
  modify('hip-operation-turn', { conditions: ['hip-operation'], phases: YEAR }, { movements: ['hip internal rotation', 'hip external rotation', 'hip extension', 'hip across the midline'] }, 'A sewn hip rim dislikes turning, and stretching over the front.', 'Middle of the range, long-axis rest.', { limits: { edgeShare: 0.8, effortPct: 10, painCeiling: 2 }, ...ask }),
  avoid('hip-operation-pull', { conditions: ['hip-operation'], phases: HEALING }, { loads: ['hip'], techniques: ['traction', 'mobilize'] }, 'A sewn hip rim is not pulled.', 'Rest in the middle, leg supported.', ask),
];

const TENDON: readonly Rule[] = [
  avoid('achilles-young', { conditions: ['achilles-repair'], phases: YOUNG }, { muscles: ['gastrocnemius', 'soleus', 'tibialis-back'], acts: ['lengthen', 'contract', 'press'] }, 'A sewn Achilles tendon that heals long stays weak: nothing lengthens it, nothing pulls on it.', 'Toes and front of the shin, foot pointed.', ask),
  modify('achilles-repair-bend', { conditions: ['achilles-repair'], phases: ['repair'] }, { movements: ['ankle dorsiflexion'] }, 'Weeks 6 to 12: no further than a right angle.', 'Active movement below the right angle.', { limits: { bends: { 'ankle dorsiflexion': 0 }, edgeShare: 0.8, effortPct: 10, painCeiling: 1, holdS: 10 }, ...ask }),
  avoid('achilles-weight', { conditions: ['achilles-repair'], phases: HEALING }, { weight: true, movements: ['ankle dorsiflexion'] }, 'The weight of the body on a bent ankle lengthens the sewn tendon.', 'The same lying down, later.', ask),
  avoid('achilles-press', { conditions: ['achilles-repair'], phases: HEALING }, { pressed: ['ankle', 'calf'] }, 'A sewn tendon and its muscle are not pressed.', 'Strokes toward the heart, above it.', own),
  modify('achilles-later', { conditions: ['achilles-repair'], phases: ['remodel'] }, { muscles: ['gastrocnemius', 'soleus', 'tibialis-back'], acts: ['lengthen', 'contract'] }, 'In the first year the sewn tendon still lengthens when it is pulled.', 'Strength before length; compare how far both feet come up.', { limits: { edgeShare: 0.85, effortPct: 20, painCeiling: 2, holdS: 15 }, ...own }),
  avoid('tendon-repair-young', { conditions: ['tendon-repair'], phases: YOUNG }, { muscles: 'pulling-there', acts: ['lengthen', 'contract', 'press'] }, 'A sewn tendon is not pulled, from either end.', 'Joints further away; imagined press.', ask),
  modify('tendon-repair-healing', { conditions: ['tendon-repair'], phases: ['repair'] }, { muscles: 'pulling-there', acts: ['lengthen', 'contract'] }, 'Weeks 6 to 12: the tendon takes little.', 'Short of the edge, the smallest press.', { limits: { edgeShare: 0.8, effortPct: 10, painCeiling: 1, holdS: 10, contractS: 30 }, ...own }),
  modify('tendon-repair-later', { conditions: ['tendon-repair'], phases: ['remodel'] }, { muscles: 'pulling-there', acts: ['lengthen', 'contract'] }, 'Load comes back step by step.', 'Milder than the other side.', { limits: { edgeShare: 0.9, effortPct: 20, painCeiling: 2, holdS: 20 }, ...own }),
];

const SHOULDER: readonly Rule[] = [
  avoid('cuff-repair-muscle', { conditions: ['cuff-repair'], phases: HEALING }, { muscles: ['supraspinatus', 'cuff-back', 'subscapularis'], acts: ['lengthen', 'contract', 'press'] }, 'A sewn cuff is not stretched, pressed or used for twelve weeks.', 'Elbow, hand, neck, shoulder blade with the arm at rest.', ask),
  avoid('cuff-repair-ends', { conditions: ['cuff-repair'], phases: YEAR }, { movements: ['hand behind back', 'shoulder internal rotation', 'shoulder across the body', 'shoulder external rotation, arm out'], endRange: true }, 'These ends pull on the sewn cuff.', 'Elbow at the side, small movement.', ask),
  avoid('cuff-repair-active', { conditions: ['cuff-repair'], phases: YOUNG }, { regions: ['shoulder'], techniques: ['active', 'contract'] }, 'No movement of its own in the first weeks.', 'The arm is carried.', ask),
  avoid('cuff-repair-pull', { conditions: ['cuff-repair', 'shoulder-stabilised-front', 'shoulder-stabilised-back'], phases: YEAR }, { loads: ['shoulder'], techniques: ['traction', 'mobilize'] }, 'A pull hangs the arm on what was sewn.', 'Arm carried, circles below the shoulder.', ask),
  modify('cuff-repair-later', { conditions: ['cuff-repair'], phases: ['remodel'] }, { regions: ['shoulder'] }, 'In the first year: light, below pain.', 'Elbow at the side; small efforts.', { limits: { edgeShare: 0.9, effortPct: 15, painCeiling: 2, holdS: 20 }, ...own }),
  avoid('front-stabilised', { conditions: ['shoulder-stabilised-front'], phases: YEAR, evenResolved: true }, { movements: ['shoulder external rotation, arm out', 'shoulder out and back', 'shoulder extension'] }, 'Out, back and turned out is what was sewn against.', 'Arm in front of the body; turn out with the elbow at the side as far as allowed.', ask),
  modify('front-stabilised-side', { conditions: ['shoulder-stabilised-front'], phases: HEALING }, { movements: ['shoulder external rotation, arm in'] }, 'Turning out with the elbow at the side is limited for twelve weeks.', 'No further than what was written; 30° where nothing was.', { limits: { bends: { 'shoulder external rotation, arm in': 30 }, effortPct: 10, painCeiling: 1 }, ...ask }),
  modify('stabilised-settled', { conditions: ['shoulder-stabilised-front', 'shoulder-stabilised-back', 'shoulder-operation'], phases: ['settled'], evenResolved: true }, { movements: ['shoulder external rotation, arm out', 'shoulder out and back', 'shoulder across the body', 'hand behind back'] }, 'What was sewn stays the tight side on purpose.', 'Short of the edge; no force for the last degrees.', { limits: { edgeShare: 0.9, effortPct: 25, painCeiling: 3 }, ...own }),
  avoid('front-stabilised-behind', { conditions: ['shoulder-stabilised-front', 'shoulder-replacement'], phases: YEAR, evenResolved: true }, { movements: ['hand behind back'] }, 'The hand behind the back levers the head of the arm forward.', 'Arm in front of the body.', ask),
  avoid('back-stabilised', { conditions: ['shoulder-stabilised-back'], phases: YEAR, evenResolved: true }, { movements: ['shoulder internal rotation', 'shoulder across the body', 'hand behind back'] }, 'Across and turned in is what was sewn against.', 'Elbow at the side, hand outward.', ask),
  modify('stabilised-overhead', { conditions: ['shoulder-stabilised-front', 'shoulder-stabilised-back', 'shoulder-replacement'], phases: YEAR }, { movements: ['shoulder flexion', 'shoulder abduction'] }, 'Overhead comes back last.', 'To the height of the shoulder, carried.', { limits: { edgeShare: 0.85, effortPct: 10, painCeiling: 2 }, ...own }),
  avoid('shoulder-new-joint', { conditions: ['shoulder-replacement'], evenResolved: true }, { through: ['shoulder'], techniques: ['mobilize', 'traction'] }, 'A replaced joint is not mobilized or pulled.', 'Soft tissue around it, long and mild.', own),
  avoid('shoulder-new-back', { conditions: ['shoulder-replacement'], evenResolved: true }, { movements: ['shoulder extension', 'shoulder out and back'] }, 'The arm behind the body is how a new shoulder slips.', 'Arm in front of the body.', ask),
];

const SPINE: readonly Rule[] = [
  avoid('fusion-move', { conditions: ['spine-fusion'], phases: YEAR, evenResolved: true }, { movements: SPINE_MOVES, through: 'near-condition', side: 'any' }, 'What is to grow together is not bent and not turned.', 'Hips and shoulders with the spine still.', ask),
  avoid('fusion-joint', { conditions: ['spine-fusion'], evenResolved: true }, { through: 'near-condition', techniques: ['mobilize', 'traction'], side: 'any' }, 'A fused spine is not mobilized; the joints beside it already move too much.', 'Soft tissue, broad and light.', ask),
  avoid('fusion-squeeze', { conditions: ['spine-fusion'], evenResolved: true }, { squeezes: ['spine'], side: 'any' }, 'A fused spine is not pressed or bowed.', 'Breath, hips, shoulders.', ask),
  modify('fusion-settled', { conditions: ['spine-fusion'], phases: ['settled'], evenResolved: true }, { movements: SPINE_MOVES, side: 'any' }, 'Above and below a fused part the joints give too easily.', 'Short of the edge; hips first.', { limits: { edgeShare: 0.85, effortPct: 20, painCeiling: 2 }, ...own }),
  modify('fusion-lever', { conditions: ['spine-fusion', 'disc-operation', 'spine-operation'], phases: YEAR }, { movements: ['straight-leg raise', 'hip extension', 'hip flexion', 'shoulder flexion'], moments: ['work'], side: 'any' }, 'At the end the limb takes the back along.', 'Short of the edge, pelvis and ribs held.', { limits: { edgeShare: 0.85, effortPct: 15, painCeiling: 2 }, ...own }),
  avoid('disc-operation-bend', { conditions: ['disc-operation', 'spine-operation'], phases: HEALING, evenResolved: true }, { movements: SPINE_MOVES, through: 'near-condition', side: 'any' }, 'Twelve weeks after a disc operation the back is not bent or turned on the table.', 'Hips with the back still; walking.', ask),
  avoid('disc-operation-joint', { conditions: ['disc-operation', 'spine-operation'], phases: YEAR, evenResolved: true }, { through: 'near-condition', techniques: ['mobilize', 'traction'], side: 'any' }, 'An operated level is not mobilized in the first year.', 'Soft tissue, broad and light.', ask),
  modify('disc-operation-nerve', { conditions: ['disc-operation'], phases: YEAR }, { nerves: 'of-condition', side: 'any' }, 'The freed nerve is not drawn tight.', 'Below the first pull.', { limits: { edgeShare: 0.8, effortPct: 10, painCeiling: 1 }, ...own }),
  avoid('belly-operation', { conditions: ['abdominal-operation'], phases: HEALING }, { pressed: ['belly', 'groin'], side: 'any' }, 'A sewn belly wall is not pressed.', 'Back and hips, side-lying.', ask),
  avoid('belly-operation-stretch', { conditions: ['abdominal-operation'], phases: HEALING }, { movements: ['trunk extension', 'hip extension'], endRange: true, side: 'any' }, 'Bending back pulls on the sewn belly wall.', 'Knees bent, back supported.', ask),
  modify('belly-operation-press', { conditions: ['abdominal-operation'], phases: HEALING }, { techniques: ['contract', 'active'], moments: ['work'], side: 'any' }, 'Pressing raises the pressure on the sewn belly wall.', 'Small efforts on the breath out.', { limits: { effortPct: 15, painCeiling: 2, contractS: 60 }, ...own }),
];

export const OPERATION_RULES: readonly Rule[] = [...ALL, ...KNEE, ...HIP, ...TENDON, ...SHOULDER, ...SPINE];
