import type { Movement } from './movements.ts';
import type { Region } from './regions.ts';
import type { Segment } from './segments.ts';

/** Nerves that are drawn long: down the back of the leg, down its front, down the arm. */
export const NERVES = ['leg-back', 'leg-front', 'arm'] as const;
export type Nerve = (typeof NERVES)[number];

/** What a motion does to the body: what cautions, levers and the side of things follow from. */
export interface MotionFacets {
  readonly movements: readonly Movement[];
  /** Movements that the motion's own degrees measure: a written limit in degrees can be held to. */
  readonly scale: readonly Movement[];
  readonly regions: readonly Region[];
  /** Where the therapist holds while it is measured; nothing is held where the athlete moves alone. */
  readonly held?: Segment;
  /** Nerves that are drawn long toward its end. */
  readonly nerves?: readonly Nerve[];
  /** Takes the nerve along on purpose: ankle or wrist set so that it is drawn longer. */
  readonly nerveLine?: true;
  /** Joints kept at an angle meanwhile, in degrees. */
  readonly postures?: Readonly<Partial<Record<Movement, number>>>;
  /** Degrees at which the other limb is kept meanwhile. */
  readonly otherLimb?: Readonly<Partial<Record<Movement, number>>>;
  /** Weight goes through the joint that moves. */
  readonly weight?: true;
}

/** Common practice, by motion. A test fails for a motion that is missing here. */
export const MOTION_FACETS: Readonly<Record<string, MotionFacets>> = {
  'hip-extension-knee-straight': { movements: ['hip extension'], scale: ['hip extension'], regions: ['hip', 'groin', 'thigh-front'], held: 'thigh' },
  'hip-extension-knee-bent': { movements: ['hip extension', 'knee flexion'], scale: ['hip extension'], regions: ['hip', 'thigh-front', 'knee'], postures: { 'knee flexion': 90 }, held: 'thigh', nerves: ['leg-front'] },
  'hip-flexion': { movements: ['hip flexion'], scale: ['hip flexion'], regions: ['hip', 'buttock'], postures: { 'knee flexion': 110 }, held: 'lower leg' },
  'straight-leg-raise': { movements: ['straight-leg raise', 'hip flexion'], scale: ['straight-leg raise', 'hip flexion'], regions: ['thigh-back', 'hip', 'knee-back'], held: 'lower leg', nerves: ['leg-back'] },
  'hip-internal-rotation': { movements: ['hip internal rotation', 'knee twist'], scale: ['hip internal rotation'], regions: ['hip', 'buttock'], postures: { 'knee flexion': 90 }, held: 'lower leg' },
  'hip-external-rotation': { movements: ['hip external rotation', 'knee twist'], scale: ['hip external rotation'], regions: ['hip', 'buttock'], postures: { 'knee flexion': 90 }, held: 'lower leg' },
  'hip-abduction': { movements: ['hip abduction'], scale: ['hip abduction'], regions: ['hip', 'thigh-inner', 'groin'], held: 'lower leg' },
  'knee-flexion': { movements: ['knee flexion'], scale: ['knee flexion'], regions: ['knee', 'thigh-front'], postures: { 'hip flexion': 90 }, held: 'lower leg' },
  'knee-extension-hip-90': { movements: ['knee extension'], scale: [], regions: ['thigh-back', 'knee'], postures: { 'hip flexion': 90 }, nerves: ['leg-back'] },
  'heel-to-buttock': { movements: ['knee flexion'], scale: [], regions: ['knee', 'thigh-front'], held: 'lower leg', nerves: ['leg-front'] },
  'ankle-dorsiflexion': { movements: ['ankle dorsiflexion'], scale: ['ankle dorsiflexion'], regions: ['ankle', 'calf', 'foot'], held: 'foot' },
  'ankle-lunge': { movements: ['ankle dorsiflexion'], scale: ['ankle dorsiflexion'], regions: ['ankle', 'calf', 'foot'], postures: { 'knee flexion': 60 }, weight: true },
  'knee-to-wall': { movements: ['ankle dorsiflexion'], scale: [], regions: ['ankle', 'calf', 'foot'], postures: { 'knee flexion': 60 }, weight: true },
  'ankle-plantar-flexion': { movements: ['ankle plantar flexion'], scale: ['ankle plantar flexion'], regions: ['ankle', 'shin', 'foot'], held: 'foot' },
  slump: { movements: ['knee extension', 'trunk flexion', 'neck flexion', 'ankle dorsiflexion'], nerveLine: true, scale: [], regions: ['thigh-back', 'knee-back', 'low-back', 'neck'], postures: { 'hip flexion': 90 }, nerves: ['leg-back'] },
  'slump-head-up': { movements: ['knee extension', 'trunk flexion', 'ankle dorsiflexion'], nerveLine: true, scale: [], regions: ['thigh-back', 'knee-back', 'low-back'], postures: { 'hip flexion': 90 }, nerves: ['leg-back'] },
  'femoral-slump': { movements: ['hip extension', 'knee flexion', 'trunk flexion', 'neck flexion'], nerveLine: true, scale: ['hip extension'], regions: ['hip', 'groin', 'thigh-front', 'knee', 'low-back', 'neck'], postures: { 'knee flexion': 95 }, held: 'lower leg', nerves: ['leg-front'] },
  'femoral-slump-head-up': { movements: ['hip extension', 'knee flexion', 'trunk flexion'], nerveLine: true, scale: ['hip extension'], regions: ['hip', 'groin', 'thigh-front', 'knee', 'low-back'], postures: { 'knee flexion': 95 }, held: 'lower leg', nerves: ['leg-front'] },
  'arm-nerve-line': { movements: ['elbow extension', 'shoulder external rotation, arm out', 'shoulder abduction', 'wrist extension'], nerveLine: true, scale: [], regions: ['elbow', 'upper-arm', 'shoulder', 'forearm'], postures: { 'shoulder abduction': 90 }, held: 'hand', nerves: ['arm'] },
  'arm-nerve-line-wrist-loose': { movements: ['elbow extension', 'shoulder external rotation, arm out', 'shoulder abduction'], scale: [], regions: ['elbow', 'upper-arm', 'shoulder'], postures: { 'shoulder abduction': 90 }, held: 'forearm', nerves: ['arm'] },
  'trunk-rotation-locked': { movements: ['trunk rotation'], scale: ['trunk rotation'], regions: ['upper-back', 'chest'], postures: { 'hip flexion': 120, 'knee flexion': 140 } },
  'combined-elevation': { movements: ['shoulder flexion', 'trunk extension'], scale: [], regions: ['shoulder', 'chest', 'upper-back'] },
  'ankle-deep-squat': { movements: ['ankle dorsiflexion', 'knee flexion', 'hip flexion'], scale: ['ankle dorsiflexion'], regions: ['ankle', 'calf', 'foot', 'knee', 'hip'], postures: { 'knee flexion': 130, 'hip flexion': 115 }, weight: true },
  'tibial-internal-rotation': { movements: ['knee twist'], scale: [], regions: ['knee'], postures: { 'knee flexion': 90 }, held: 'foot' },
  'tibial-external-rotation': { movements: ['knee twist'], scale: [], regions: ['knee'], postures: { 'knee flexion': 90 }, held: 'foot' },
  'shoulder-flexion': { movements: ['shoulder flexion'], scale: ['shoulder flexion'], regions: ['shoulder', 'chest', 'upper-arm'], held: 'forearm' },
  'shoulder-internal-rotation': { movements: ['shoulder internal rotation'], scale: ['shoulder internal rotation'], regions: ['shoulder'], held: 'forearm' },
  'shoulder-external-rotation': { movements: ['shoulder external rotation, arm out'], scale: ['shoulder external rotation, arm out'], regions: ['shoulder', 'chest'], held: 'forearm' },
  'trunk-rotation': { movements: ['trunk rotation'], scale: ['trunk rotation'], regions: ['upper-back', 'low-back', 'chest'] },
  'trunk-side-bend': { movements: ['trunk side-bend'], scale: ['trunk side-bend'], regions: ['low-back', 'chest'], weight: true },
  'fingertip-to-floor': { movements: ['trunk flexion', 'straight-leg raise'], scale: [], regions: ['low-back', 'thigh-back'], nerves: ['leg-back'], weight: true },
  'neck-rotation': { movements: ['neck rotation'], scale: ['neck rotation'], regions: ['neck'] },
  'neck-side-bend': { movements: ['neck side-bend'], scale: ['neck side-bend'], regions: ['neck', 'shoulder'], nerves: ['arm'] },
  'hip-extension-table-end': { otherLimb: { 'hip flexion': 110, 'knee flexion': 110 }, movements: ['hip extension'], scale: ['hip extension'], regions: ['hip', 'groin', 'thigh-front'], held: 'thigh' },
  'straight-leg-raise-ankle-up': { movements: ['straight-leg raise', 'hip flexion'], nerveLine: true, scale: ['straight-leg raise', 'hip flexion'], regions: ['thigh-back', 'hip', 'knee-back', 'calf'], held: 'foot', nerves: ['leg-back'] },
  'straight-leg-raise-active': { movements: ['straight-leg raise', 'hip flexion'], scale: ['straight-leg raise', 'hip flexion'], regions: ['thigh-back', 'hip', 'knee-back'], nerves: ['leg-back'] },
  'hip-flexion-active': { movements: ['hip flexion'], scale: ['hip flexion'], regions: ['hip', 'buttock'] },
  'hip-adduction': { movements: ['hip across the midline'], scale: ['hip across the midline'], regions: ['hip', 'buttock'], held: 'lower leg' },
  'hip-adduction-side-straight': { movements: ['hip across the midline'], scale: ['hip across the midline'], regions: ['hip', 'buttock', 'thigh-front'], held: 'lower leg' },
  'hip-adduction-side-bent': { movements: ['hip across the midline'], scale: ['hip across the midline'], regions: ['hip', 'buttock'], postures: { 'knee flexion': 90 }, held: 'lower leg' },
  'hip-internal-rotation-seated': { movements: ['hip internal rotation', 'knee twist'], scale: ['hip internal rotation'], regions: ['hip', 'buttock'], postures: { 'knee flexion': 90, 'hip flexion': 90 }, held: 'lower leg' },
  'hip-external-rotation-seated': { movements: ['hip external rotation', 'knee twist'], scale: ['hip external rotation'], regions: ['hip', 'buttock'], postures: { 'knee flexion': 90, 'hip flexion': 90 }, held: 'lower leg' },
  'hip-abduction-knee-bent': { movements: ['hip abduction', 'hip external rotation'], scale: [], regions: ['hip', 'thigh-inner', 'groin'], postures: { 'hip flexion': 50, 'knee flexion': 90 }, held: 'thigh' },
  'knee-to-table': { movements: ['hip abduction', 'hip external rotation'], scale: [], regions: ['hip', 'thigh-inner', 'groin'], postures: { 'hip flexion': 50, 'knee flexion': 90 }, held: 'thigh' },
  'knee-flexion-prone': { movements: ['knee flexion'], scale: ['knee flexion'], regions: ['knee', 'thigh-front'], held: 'lower leg', nerves: ['leg-front'] },
  'knee-flexion-table-end': { otherLimb: { 'hip flexion': 110, 'knee flexion': 110 }, movements: ['knee flexion'], scale: ['knee flexion'], regions: ['knee', 'thigh-front', 'hip'], held: 'lower leg', nerves: ['leg-front'] },
  'knee-extension': { movements: ['knee extension'], scale: [], regions: ['knee', 'knee-back', 'calf'], held: 'lower leg' },
  'knee-extension-hip-90-passive': { movements: ['knee extension'], scale: [], regions: ['thigh-back', 'knee'], postures: { 'hip flexion': 90 }, held: 'lower leg', nerves: ['leg-back'] },
  'knee-extension-hip-90-ankle-up': { movements: ['knee extension'], nerveLine: true, scale: [], regions: ['thigh-back', 'knee', 'calf'], postures: { 'hip flexion': 90 }, nerves: ['leg-back'] },
  'ankle-dorsiflexion-knee-bent': { movements: ['ankle dorsiflexion'], scale: ['ankle dorsiflexion'], regions: ['ankle', 'calf', 'foot'], postures: { 'knee flexion': 90 }, held: 'foot' },
  'ankle-dorsiflexion-active': { movements: ['ankle dorsiflexion'], scale: ['ankle dorsiflexion'], regions: ['ankle', 'calf', 'foot'] },
  'ankle-lunge-knee-straight': { movements: ['ankle dorsiflexion'], scale: ['ankle dorsiflexion'], regions: ['ankle', 'calf', 'foot'], weight: true },
  'subtalar-inversion': { movements: ['heel and midfoot movement', 'foot turned in'], scale: [], regions: ['ankle', 'foot'], held: 'foot' },
  'subtalar-eversion': { movements: ['heel and midfoot movement', 'foot turned out'], scale: [], regions: ['ankle', 'foot'], held: 'foot' },
  'forefoot-in': { movements: ['heel and midfoot movement', 'foot turned in'], scale: [], regions: ['foot'], held: 'foot' },
  'forefoot-out': { movements: ['heel and midfoot movement', 'foot turned out'], scale: [], regions: ['foot'], held: 'foot' },
  'arch-drop': { movements: ['heel and midfoot movement'], scale: [], regions: ['foot'], weight: true },
  'big-toe-extension': { movements: ['toe movement'], scale: [], regions: ['foot'], held: 'foot' },
  'big-toe-extension-ankle-up': { movements: ['toe movement'], scale: [], regions: ['foot'], held: 'foot' },
  'big-toe-extension-standing': { movements: ['toe movement'], scale: [], regions: ['foot'], weight: true },
  'big-toe-flexion': { movements: ['toe movement'], scale: [], regions: ['foot'], held: 'foot' },
  'lesser-toes-extension': { movements: ['toe movement'], scale: [], regions: ['foot'], held: 'foot' },
  'lesser-toes-flexion': { movements: ['toe movement'], scale: [], regions: ['foot'], held: 'foot' },
  'trunk-flexion': { movements: ['trunk flexion', 'straight-leg raise'], scale: ['trunk flexion'], regions: ['low-back', 'upper-back'], nerves: ['leg-back'], weight: true },
  'trunk-extension': { movements: ['trunk extension'], scale: ['trunk extension'], regions: ['low-back', 'belly'], weight: true },
  'trunk-extension-prone': { movements: ['trunk extension'], scale: ['trunk extension'], regions: ['low-back', 'belly'] },
  'trunk-rotation-lying': { movements: ['trunk rotation'], scale: ['trunk rotation'], regions: ['upper-back', 'chest'], held: 'chest' },
  'lumbar-rotation': { movements: ['trunk rotation'], scale: ['trunk rotation'], regions: ['low-back', 'pelvis'], held: 'thigh' },
  'side-bend-slide': { movements: ['trunk side-bend'], scale: [], regions: ['low-back', 'chest'], weight: true },
  'sit-and-reach': { movements: ['trunk flexion', 'straight-leg raise'], scale: [], regions: ['low-back', 'thigh-back'], nerves: ['leg-back'] },
  'neck-flexion': { movements: ['neck flexion'], scale: ['neck flexion'], regions: ['neck'] },
  'neck-extension': { movements: ['neck extension'], scale: ['neck extension'], regions: ['neck', 'front-of-neck'] },
  'neck-rotation-supine': { movements: ['neck rotation'], scale: ['neck rotation'], regions: ['neck'], held: 'head' },
  'neck-side-bend-supine': { movements: ['neck side-bend'], scale: ['neck side-bend'], regions: ['neck', 'shoulder'], held: 'head', nerves: ['arm'] },
  'neck-rotation-bent': { movements: ['neck rotation', 'neck flexion'], scale: ['neck rotation'], regions: ['neck'], held: 'head' },
  'chin-to-chest': { movements: ['neck flexion'], scale: [], regions: ['neck'] },
  'acromion-to-table': { movements: ['shoulder-blade movement'], scale: [], regions: ['shoulder', 'chest'] },
  'scapula-upward-rotation': { movements: ['shoulder-blade movement'], scale: [], regions: ['shoulder', 'upper-back'] },
  'hands-behind-back-gap': { movements: ['hand behind back', 'shoulder flexion'], scale: [], regions: ['shoulder', 'upper-arm'] },
  'fist-to-wall': { movements: ['shoulder flexion'], scale: [], regions: ['shoulder', 'chest'] },
  'shoulder-flexion-back-free': { movements: ['shoulder flexion'], scale: ['shoulder flexion'], regions: ['shoulder', 'chest', 'upper-arm'], held: 'forearm' },
  'shoulder-flexion-active': { movements: ['shoulder flexion'], scale: ['shoulder flexion'], regions: ['shoulder', 'upper-arm'] },
  'shoulder-extension': { movements: ['shoulder extension'], scale: ['shoulder extension'], regions: ['shoulder', 'upper-arm'], held: 'forearm' },
  'shoulder-abduction': { movements: ['shoulder abduction'], scale: ['shoulder abduction'], regions: ['shoulder', 'upper-arm'], held: 'forearm', nerves: ['arm'] },
  'shoulder-abduction-active': { movements: ['shoulder abduction'], scale: ['shoulder abduction'], regions: ['shoulder', 'upper-arm'], nerves: ['arm'] },
  'shoulder-external-rotation-side': { movements: ['shoulder external rotation, arm in'], scale: ['shoulder external rotation, arm in'], regions: ['shoulder'], held: 'forearm' },
  'shoulder-internal-rotation-lying': { movements: ['shoulder internal rotation'], scale: ['shoulder internal rotation'], regions: ['shoulder'], held: 'forearm' },
  'shoulder-horizontal-adduction': { movements: ['shoulder across the body'], scale: ['shoulder across the body'], regions: ['shoulder', 'upper-back'], held: 'upper arm' },
  'shoulder-horizontal-abduction': { movements: ['shoulder external rotation, arm out', 'shoulder out and back'], scale: [], regions: ['chest', 'shoulder'], held: 'upper arm', nerves: ['arm'] },
  'shoulder-horizontal-abduction-high': { movements: ['shoulder external rotation, arm out', 'shoulder flexion', 'shoulder out and back'], scale: [], regions: ['chest', 'shoulder'], held: 'upper arm', nerves: ['arm'] },
  'hand-behind-back': { movements: ['hand behind back'], scale: [], regions: ['shoulder', 'upper-arm'] },
  'elbow-flexion': { movements: ['elbow flexion'], scale: ['elbow flexion'], regions: ['elbow', 'upper-arm'], held: 'forearm' },
  'elbow-extension': { movements: ['elbow extension'], scale: ['elbow extension'], regions: ['elbow', 'upper-arm'], held: 'forearm' },
  'elbow-extension-arm-back': { movements: ['elbow extension', 'shoulder extension'], scale: ['elbow extension'], regions: ['elbow', 'upper-arm', 'shoulder'], held: 'forearm', nerves: ['arm'] },
  'elbow-flexion-overhead': { movements: ['elbow flexion', 'shoulder flexion'], scale: ['elbow flexion'], regions: ['elbow', 'upper-arm', 'shoulder'], held: 'forearm', nerves: ['arm'] },
  'forearm-pronation': { movements: ['forearm rotation'], scale: ['forearm rotation'], regions: ['forearm', 'elbow', 'wrist'], held: 'forearm' },
  'forearm-supination': { movements: ['forearm rotation'], scale: ['forearm rotation'], regions: ['forearm', 'elbow', 'wrist'], held: 'forearm' },
  'wrist-flexion': { movements: ['wrist movement', 'wrist flexion'], scale: ['wrist movement'], regions: ['wrist', 'forearm'], held: 'hand' },
  'wrist-flexion-fist': { movements: ['wrist movement', 'wrist flexion'], scale: ['wrist movement'], regions: ['wrist', 'forearm'], held: 'hand' },
  'wrist-extension': { movements: ['wrist movement', 'wrist extension'], scale: ['wrist movement'], regions: ['wrist', 'forearm'], held: 'hand' },
  'wrist-extension-fingers-straight': { movements: ['wrist movement', 'wrist extension'], scale: ['wrist movement'], regions: ['wrist', 'forearm'], held: 'hand', nerves: ['arm'] },
  'wrist-radial-deviation': { movements: ['wrist movement'], scale: ['wrist movement'], regions: ['wrist', 'forearm'], held: 'hand' },
  'wrist-ulnar-deviation': { movements: ['wrist movement'], scale: ['wrist movement'], regions: ['wrist', 'forearm'], held: 'hand' },
  'thumb-abduction': { movements: ['finger movement'], scale: ['finger movement'], regions: ['hand'], held: 'hand' },
  'thumb-flexion': { movements: ['finger movement'], scale: ['finger movement'], regions: ['hand'], held: 'hand' },
  'index-flexion': { movements: ['finger movement'], scale: ['finger movement'], regions: ['hand'], held: 'hand' },
  'index-extension': { movements: ['finger movement'], scale: ['finger movement'], regions: ['hand'], held: 'hand' },
};
