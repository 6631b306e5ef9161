import type { Rule } from '../types.ts';
import { avoid, modify, note } from './make.ts';

/** Out, turned out or back: where a shoulder slips to the front. */
const SLIPS = ['shoulder external rotation, arm out', 'shoulder out and back'] as const;
const DISLOCATED = { conditions: ['shoulder-dislocation'], evenResolved: true } as const;
const TORN = { conditions: ['shoulder-tear'], evenResolved: true } as const;

/** Shoulder, elbow, wrist. */
export const ARM_RULES: readonly Rule[] = [
  avoid('dislocation-turn-out', DISLOCATED, { movements: SLIPS }, 'Arm out and turned out or back is where the shoulder slips.', 'Turn out with the elbow at the side; chest opened by hand on the breastbone.', { refer: 'a physician when it slips again' }),
  avoid('dislocation-behind-back', DISLOCATED, { movements: ['hand behind back'] }, 'The hand-behind-back lift levers the head of the arm forward.', 'Shoulder-blade glides, arm resting.'),
  avoid('dislocation-overhead-traction', DISLOCATED, { loads: ['shoulder'], techniques: ['traction'] }, 'A pull on the arm loosens what should hold.', 'Circles below the shoulder, arm supported.'),
  modify('dislocation-overhead', DISLOCATED, { movements: ['shoulder flexion', 'shoulder abduction', 'shoulder extension'], endRange: true }, 'Overhead and behind, the last part is left to the athlete’s own control.', 'Stop well before the end; any feeling of slipping ends it.', { limits: { edgeShare: 0.9, effortPct: 20, painCeiling: 2 } }),
  modify('dislocation-kept-overhead', DISLOCATED, { postureAbove: { 'shoulder flexion': 120 } }, 'An arm kept overhead hangs in the joint that slipped.', 'Arm on a cushion, below the ear.', { limits: { painCeiling: 2, effortPct: 10 } }),
  avoid('dislocation-mobilize', DISLOCATED, { regions: ['shoulder'], techniques: ['mobilize'] }, 'A joint that has slipped needs holding, not loosening.', 'Isometrics in four directions, small effort.'),
  avoid('dislocation-fresh', { conditions: ['shoulder-dislocation'], withinDays: 42 }, { regions: ['shoulder'], techniques: ['lengthen', 'contract', 'active', 'mobilize', 'traction'] }, 'A shoulder that slipped in the last six weeks is kept quiet.', 'Hand, neck, shoulder blade at rest.', { refer: 'a physician, for a plan' }),
  modify('tear-turn-out', TORN, { movements: [...SLIPS, 'hand behind back', 'shoulder across the body', 'shoulder internal rotation'] }, 'A torn cuff or rim is pulled and pinched at the ends of rotation.', 'Elbow at the side; isometrics with small effort.', { limits: { edgeShare: 0.85, effortPct: 15, painCeiling: 3 }, refer: 'a physiotherapist when strength is lost' }),
  modify('tear-overhead', TORN, { movements: ['shoulder flexion', 'shoulder abduction'] }, 'The painful arc lies between arm level and overhead.', 'Arm supported, turned out, below the painful arc.', { limits: { edgeShare: 0.9, effortPct: 20, painCeiling: 3 } }),
  modify('tear-contract', TORN, { muscles: ['supraspinatus', 'cuff-back', 'subscapularis'], acts: ['contract'] }, 'A torn cuff presses little.', 'Small efforts, elbow at the side.', { limits: { effortPct: 15, painCeiling: 2 } }),
  avoid('tear-traction', TORN, { loads: ['shoulder'], techniques: ['traction'] }, 'Traction hangs the arm on what is torn.', 'Circles with the arm carried.'),
  modify('tear-grade', TORN, { regions: ['shoulder'], gradeAbove: 2 }, 'No strong joint work on a torn shoulder.', 'Grade I–II.', { limits: { grade: 2, painCeiling: 2 } }),
  modify('tear-press', { conditions: ['shoulder-tear', 'frozen-shoulder'] }, { pressed: ['shoulder', 'armpit'] }, 'Never past 5 in a painful shoulder.', 'Lighter, shorter, around it.', { limits: { painCeiling: 5 } }),
  modify('frozen-arc', ['frozen-shoulder'], { regions: ['shoulder'], techniques: ['lengthen', 'contract', 'mobilize', 'active', 'continuous', 'traction'] }, 'Only within the arc that does not hurt.', 'Small circles, breath-led, shoulder-blade glides.', { limits: { edgeShare: 0.9, painCeiling: 3, effortPct: 20 }, refer: 'a physician or physiotherapist when nights are bad' }),
  avoid('frozen-grade', ['frozen-shoulder'], { regions: ['shoulder'], gradeAbove: 2 }, 'Mobilization at the limit inflames a freezing capsule.', 'Grade I–II inside the pain-free arc.'),
  note('armpit-vessels', { always: true }, { pressed: ['armpit'], side: 'any' }, 'A pulse or a tingle under the fingers in the armpit: move off.', 'Approach along the ribs, flat fingers.'),
  avoid('outlet-press', ['outlet'], { pressed: ['neck', 'armpit', 'front-of-neck'] }, 'The narrow outlet of the arm is not pressed.', 'Upper back, shoulder blade, breath.', { refer: 'a physiotherapist; a physician when the hand turns pale or blue' }),
  avoid('outlet-overhead', ['outlet'], { movements: ['shoulder flexion', 'shoulder abduction', ...SLIPS], endRange: true, moments: ['work'] }, 'Arm overhead or back closes the outlet.', 'Arm below the shoulder.', { refer: 'a physiotherapist' }),
  avoid('outlet-rib', ['outlet'], { squeezes: ['ribs'], nerves: ['arm'] }, 'The first rib is not pressed where the outlet is narrow, until somebody has cleared it.', 'Breath, upper back.', { refer: 'a physiotherapist, for clearance' }),
  modify('outlet-neck', ['outlet'], { movements: ['neck side-bend'], side: 'other' }, 'Bending the head away draws the nerves of the arm long.', 'Well short of the edge, elbow bent.', { limits: { edgeShare: 0.8, effortPct: 15, painCeiling: 1 } }),

  note('elbow-never-past', { always: true }, { movements: ['elbow extension'], endRange: true, side: 'any' }, 'An elbow is never locked back past straight.', 'Straight, not locked; support behind the joint.'),
  note('elbow-crook', { always: true }, { pressed: ['upper-arm', 'elbow'], side: 'any' }, 'A pulse in the crook and a nerve in the groove of the elbow: keep off.', 'The belly of the muscle.'),
  avoid('elbow-injury-end', ['elbow-injury'], { movements: ['elbow extension'] }, 'The end of straightening loads what was hurt.', 'Forearm work with the elbow a little bent.'),
  modify('elbow-injury-lever', ['elbow-injury'], { loads: ['elbow'] }, 'A lever through the elbow twists it.', 'Hold above the elbow.', { limits: { effortPct: 20, painCeiling: 3 } }),
  modify('elbow-injury-muscle', ['elbow-injury'], { muscles: ['wrist-extensors', 'wrist-flexors', 'biceps', 'triceps', 'pronators'], acts: ['contract', 'lengthen'] }, 'Muscles that end at a sore elbow press and stretch little.', 'Short holds, small efforts.', { limits: { effortPct: 20, painCeiling: 3, holdS: 15 } }),
  avoid('wrist-lever', ['wrist-injury'], { loads: ['wrist'], movements: ['elbow extension', 'elbow flexion', 'shoulder flexion', 'shoulder abduction', 'shoulder external rotation, arm out', 'shoulder out and back', 'forearm rotation'] }, 'No long lever through an injured joint.', 'Hold at the forearm.'),
  modify('wrist-movement', ['wrist-injury'], { movements: ['wrist movement', 'wrist flexion', 'wrist extension'] }, 'An injured wrist is moved below pain.', 'Soft fist, small isometrics.', { limits: { edgeShare: 0.85, effortPct: 15, painCeiling: 3 } }),
  avoid('wrist-joint', { conditions: ['wrist-injury'], withinDays: 42 }, { regions: ['wrist'], techniques: ['mobilize', 'friction', 'traction'] }, 'A wrist hurt in the last weeks is not mobilized.', 'Forearm, fingers.', { refer: 'a physician when the thumb side stays sore' }),
];
