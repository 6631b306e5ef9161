import type { ConditionCode } from '../coded.ts';
import type { Rule } from '../types.ts';
import { avoid, modify, note, TRUNK_MOVES } from './make.ts';

const ARCH: readonly ConditionCode[] = ['slipped-vertebra', 'spondylolysis'];

/** Low back and pelvis. */
export const SPINE_RULES: readonly Rule[] = [
  avoid('low-back-active', ['low-back-pain'], { movements: TRUNK_MOVES, techniques: ['active'], moments: ['work'], side: 'any' }, 'Chronic low-back pain: big active movements stir it up.', 'Passive and slow; rocking; breath-led pressure.'),
  modify('low-back-slow', ['low-back-pain'], { movements: TRUNK_MOVES, moments: ['work'], side: 'any' }, 'Chronic low-back pain: passive, slow, light.', 'Rocking or breath-led pressure in place of a stretch.', { limits: { edgeShare: 0.9, effortPct: 20, painCeiling: 3 } }),
  avoid('low-back-bow', ['low-back-pain', 'disc-leg', 'spine-narrowing', 'stiff-spine'], { movements: ['trunk extension'], squeezes: ['spine'], endRange: true, side: 'any' }, 'A sore back is not bowed over a hand or a foot.', 'Side-lying rotation, small and slow.'),

  avoid('slipped-extension', ARCH, { movements: ['trunk extension'], side: 'any' }, 'Bending back loads the arch of the vertebra.', 'Flexed and supported positions; hip flexors with the low back held flat.', { refer: 'a physician when leg signs appear' }),
  avoid('arch-rotation', ARCH, { movements: ['trunk rotation'], endRange: true, side: 'any' }, 'Turning to the end loads the arch of the vertebra.', 'Small rotation in the middle; chest instead of low back.', { refer: 'a physiotherapist' }),
  modify('arch-side-bend', ARCH, { movements: ['trunk side-bend'], moments: ['work'], side: 'any' }, 'A side-bend closes the arch on one side.', 'Small, from the flank, no extension with it.', { limits: { edgeShare: 0.8, effortPct: 15, painCeiling: 2 } }),
  modify('slipped-hip-extension', ARCH, { movements: ['hip extension'], side: 'any' }, 'At the end of hip extension the low back follows.', 'Cushion under the belly, pelvis held; stop where the back starts to move.', { limits: { edgeShare: 0.85, effortPct: 20, painCeiling: 2 } }),
  avoid('slipped-mobilize', ARCH, { through: ['low-back'], techniques: ['mobilize'], side: 'any' }, 'Pressure from behind moves the vertebra the wrong way.', 'Soft tissue beside the spine, side-lying.', { refer: 'a physiotherapist' }),
  avoid('arch-squeeze', ARCH, { regions: ['low-back'], squeezes: ['spine'], side: 'any' }, 'The low back is not pressed toward the table.', 'Soft tissue beside the spine, side-lying, light.', { refer: 'a physiotherapist' }),
  modify('slipped-overhead', ARCH, { movements: ['shoulder flexion'], endRange: true, moments: ['work'], side: 'any' }, 'Arms far overhead arch the low back.', 'Knees bent, low back held flat.', { limits: { edgeShare: 0.9, painCeiling: 3 } }),

  avoid('disc-flexion', ['disc-leg'], { movements: ['trunk flexion'], side: 'any' }, 'Loaded bending forward pushes on the disc.', 'Lying, hips and knees bent, low back supported.', { refer: 'a physician when feeling or strength in the leg goes down' }),
  modify('disc-rotation', ['disc-leg'], { movements: ['trunk rotation', 'trunk side-bend'], moments: ['work'], side: 'any' }, 'Turning and bending to the side load the disc.', 'Small, slow, in the middle.', { limits: { edgeShare: 0.8, effortPct: 15, painCeiling: 1 } }),
  modify('disc-slr', ['disc-leg'], { movements: ['straight-leg raise', 'knee extension'], side: 'any' }, 'A raised straight leg pulls on the nerve: only below the first symptom in the leg.', 'Hamstrings with hip and knee bent, ankle loose.', { limits: { edgeShare: 0.8, painCeiling: 1, effortPct: 20 }, refer: 'a physician when the leg tingles at small angles' }),
  modify('disc-nerve-front', ['disc-leg'], { nerves: ['leg-front'], side: 'any' }, 'A bent knee behind a straight hip pulls on the front nerve of the leg.', 'Hip extension with the knee straight.', { limits: { edgeShare: 0.8, painCeiling: 1, effortPct: 20 } }),
  avoid('disc-nerve-line', ['disc-leg', 'disc-arm', 'nerve-signs', 'outlet'], { techniques: ['nerve-line'], side: 'any' }, 'A sore nerve is not stretched.', 'Leave the ankle or wrist loose; shorten the lever.'),
  modify('disc-mobilize', ['disc-leg'], { through: ['low-back'], techniques: ['mobilize', 'traction'], side: 'any' }, 'Joint work beside a sore disc stays light.', 'Grade I–II, side-lying.', { limits: { grade: 2, painCeiling: 1 }, refer: 'a physiotherapist' }),
  avoid('disc-press', ['disc-leg'], { pressed: ['low-back'], kinds: ['point', 'friction', 'percussion'], side: 'any' }, 'No hard point over a sore disc.', 'Broad and still, beside the spine.'),

  avoid('canal-extension', ['spine-narrowing'], { movements: ['trunk extension'], side: 'any' }, 'Bending back narrows the canal further.', 'Bent and supported positions.', { refer: 'a physician when the legs grow weak on walking' }),
  modify('canal-hip', ['spine-narrowing'], { movements: ['hip extension'], side: 'any' }, 'At the end of hip extension the back follows into the narrow direction.', 'Pelvis held, cushion under the belly.', { limits: { edgeShare: 0.85, painCeiling: 2, effortPct: 20 } }),
  note('canal-prone', ['spine-narrowing', 'slipped-vertebra', 'spondylolysis'], { positions: ['prone'], side: 'any' }, 'Lying prone arches the low back.', 'Cushion under the belly.'),
  avoid('stiff-spine-force', ['stiff-spine'], { squeezes: ['spine', 'ribs'], side: 'any' }, 'A spine stiff from inflammation can break under small force.', 'Breath, easy rotation, hips and shoulders.', { refer: 'their physician after any fall' }),
  avoid('stiff-spine-grade', ['stiff-spine'], { gradeAbove: 2, through: ['low-back', 'upper-back', 'neck', 'chest', 'pelvis'], side: 'any' }, 'No strong joint work on a spine that may be stiff and brittle.', 'Grade I–II.', { refer: 'a physiotherapist' }),
  avoid('stiff-spine-neck', ['stiff-spine'], { movements: ['neck rotation', 'neck side-bend', 'neck extension', 'neck flexion'], endRange: true, side: 'any' }, 'The neck of a stiff spine may be brittle or loose.', 'Middle of the range.', { refer: 'their physician' }),
  modify('stiff-spine-turn', ['stiff-spine'], { movements: TRUNK_MOVES, moments: ['work'], side: 'any' }, 'Stiff from inflammation: slow, and never forced.', 'Active, warm, on the breath out.', { limits: { edgeShare: 0.85, effortPct: 20, painCeiling: 2 } }),
  note('scoliosis-sides', ['scoliosis'], { movements: TRUNK_MOVES, side: 'any' }, 'A curved spine is not the same on both sides by nature.', 'Compare with last time, not with the other side.'),

  modify('sacroiliac-twist', ['sacroiliac-pain'], { movements: ['trunk rotation', 'hip external rotation', 'hip across the midline'], side: 'any' }, 'Twist loads the joint at the back of the pelvis.', 'Light isometrics in the middle; a long-axis pull of the leg.', { limits: { edgeShare: 0.85, effortPct: 15, painCeiling: 2 }, refer: 'a physiotherapist when light force hurts' }),
  modify('sacroiliac-lever', ['sacroiliac-pain'], { loads: ['pelvis'], techniques: ['lengthen', 'traction', 'mobilize', 'continuous'], side: 'any' }, 'A pull or a lever through the leg ends at the joint at the back of the pelvis.', 'Short lever, light force; sharp pain from light force ends the visit.', { limits: { painCeiling: 2, effortPct: 15 }, refer: 'a physician or physiotherapist when light force hurts' }),
  modify('sacroiliac-mobilize', ['sacroiliac-pain'], { regions: ['pelvis'], techniques: ['mobilize'], side: 'any' }, 'Light force only: sharp pain from light force is a reason to stop.', 'Gentle twist with light force.', { limits: { grade: 2, painCeiling: 1 }, refer: 'a physician or physiotherapist when light force hurts' }),
  modify('sacroiliac-bend', ['sacroiliac-pain'], { movements: ['straight-leg raise', 'hip flexion', 'hip extension'], endRange: true, moments: ['work'], side: 'any' }, 'At the end the thigh takes the half of the pelvis along.', 'Short of the edge, pelvis held.', { limits: { edgeShare: 0.9, effortPct: 20, painCeiling: 2 } }),
  modify('pubic-open', ['pelvic-pain'], { movements: ['hip abduction', 'hip extension', 'trunk extension'], side: 'any' }, 'Opening the legs pulls the joint at the front of the pelvis.', 'Knees together or nearly; both sides alike.', { limits: { edgeShare: 0.8, effortPct: 10, painCeiling: 1 }, refer: 'a physician or physiotherapist when it hurts on turning in bed' }),
  modify('pubic-contract', ['pelvic-pain'], { muscles: ['adductors', 'abdominals', 'iliopsoas', 'rectus-femoris'], acts: ['contract'], side: 'any' }, 'These muscles pull on the front of the pelvis.', 'Small squeeze of both knees together.', { limits: { effortPct: 10, painCeiling: 1 } }),
  avoid('pubic-press', ['pelvic-pain'], { pressed: ['groin'], kinds: ['point', 'friction'], side: 'any' }, 'A sore attachment at the pubic bone is not pressed.', 'Belly of the muscle, flat hand.'),
  avoid('pubic-pull', ['pelvic-pain'], { loads: ['pelvis'], techniques: ['traction', 'mobilize'], side: 'any' }, 'A pull on one leg shears the pelvis.', 'Both legs alike, or none.', { refer: 'a physiotherapist' }),
  note('belly-vessels', { always: true }, { pressed: ['belly'], side: 'any' }, 'A pulse under the fingers in the belly is the great vessel: move off.', 'Enter on the breath out, leave on the breath in, not long.'),
  note('kidney', { always: true }, { pressed: ['low-back'], side: 'any' }, 'The kidney lies under the lowest ribs.', 'Below them, beside the spine, never on it.'),
];
