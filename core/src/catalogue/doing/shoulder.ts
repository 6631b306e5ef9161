import type { Doing, Goes } from './types.ts';

const NECK_AWAY: Readonly<Record<string, Goes>> = { 'neck-side-bend': 'opposite', 'neck-side-bend-supine': 'opposite' };
/** Out, turned out and lifted: where an unstable shoulder slips. */
const ARM_UP_TURNED_OUT = ['shoulder external rotation, arm out', 'shoulder abduction'] as const;
const OVERHEAD = { postures: { 'shoulder flexion': 160 } } as const;

export const SHOULDER_DOING: Readonly<Record<string, Doing>> = {
  'latissimus-supine': { moves: ARM_UP_TURNED_OUT, held: 'forearm', pulls: 'shoulder', muscles: ['latissimus'] },
  'latissimus-side-lying': { moves: ARM_UP_TURNED_OUT, held: 'upper arm', pulls: 'shoulder', muscles: ['latissimus'] },
  'latissimus-heel-of-hand': { moves: ARM_UP_TURNED_OUT, held: 'upper arm', muscles: ['latissimus'], on: ['upper-back', 'armpit'] },
  'pectoralis-supine': { moves: ['shoulder out and back'], held: 'forearm', muscles: ['pectoralis-major', 'subscapularis'], on: ['chest'] },
  'pectoralis-press-stretch': {
    moves: ['shoulder external rotation, arm out'],
    held: 'forearm',
    muscles: ['pectoralis-major', 'pectoralis-minor'],
    on: ['chest'],
    nerves: ['arm'],
  },
  'pectoralis-nerve-line': {
    moves: ['shoulder external rotation, arm out', 'elbow extension', 'wrist extension'],
    held: 'hand',
    muscles: ['pectoralis-major', 'wrist-flexors'],
    nerves: ['arm'],
  },
  'chest-opener-seated': {
    keeps: ['neck flexion'],
    moves: ['shoulder out and back', 'shoulder external rotation, arm out', 'shoulder abduction', 'trunk extension'],
    held: 'elbow',
    muscles: ['pectoralis-major', 'pectoralis-minor', 'latissimus'],
    squeezes: ['spine'],
  },
  'upper-trap-side-lying': {
    goes: NECK_AWAY,
    instead: ['shoulder-blade movement'],
    muscles: ['upper-trapezius', 'levator'],
    on: ['neck', 'shoulder'],
    kind: 'broad',
  },
  'upper-trap-supine': {
    goes: NECK_AWAY,
    instead: ['shoulder-blade movement'],
    muscles: ['upper-trapezius', 'levator'],
    on: ['neck', 'shoulder'],
    kind: 'broad',
  },
  'upper-trap-prone': {
    goes: NECK_AWAY,
    instead: ['shoulder-blade movement'],
    muscles: ['upper-trapezius', 'levator'],
    on: ['neck', 'shoulder'],
    kind: 'broad',
  },
  'scapula-four-glides': {
    moves: ['shoulder-blade movement'],
    keeps: ['shoulder-blade movement'],
    held: 'shoulder',
    muscles: ['serratus', 'rhomboids', 'pectoralis-minor'],
    on: ['shoulder', 'upper-back'],
  },
  'scapula-lift-behind-back': {
    moves: ['shoulder internal rotation', 'shoulder-blade movement'],
    keeps: ['hand behind back', 'shoulder internal rotation', 'shoulder-blade movement'],
    held: 'shoulder',
    muscles: ['rhomboids', 'subscapularis', 'cuff-back'],
    on: ['upper-back'],
  },
  'arm-circles-traction': {
    moves: ['shoulder abduction', 'shoulder across the body', 'shoulder out and back'],
    held: 'wrist',
    pulls: 'shoulder',
    muscles: ['deltoid', 'cuff-back', 'subscapularis', 'latissimus'],
  },
  'subscapularis-approach': { moves: ['shoulder abduction'], held: 'forearm', muscles: ['subscapularis'], on: ['armpit', 'shoulder'] },
  'cuff-back-supine': { held: 'forearm', muscles: ['cuff-back'], on: ['shoulder'] },
  'cuff-four-way': { instead: [], held: 'wrist', muscles: ['cuff-back', 'subscapularis', 'supraspinatus', 'deltoid'] },
  'deltoid-front': { moves: ['shoulder-blade movement'], held: 'elbow', muscles: ['deltoid', 'biceps', 'pectoralis-major'] },
  'deltoid-middle': {
    moves: ['shoulder across the body', 'shoulder internal rotation'],
    held: 'elbow',
    muscles: ['deltoid', 'supraspinatus', 'cuff-back'],
  },
  'deltoid-back': { held: 'elbow', muscles: ['deltoid', 'cuff-back', 'rhomboids'], on: ['shoulder'] },
  'first-rib-reach': {
    goes: NECK_AWAY,
    keeps: ['shoulder-blade movement', 'neck side-bend'],
    muscles: ['scalenes', 'upper-trapezius'],
    contracts: ['latissimus', 'triceps'],
    on: ['neck', 'chest'],
    squeezes: ['ribs'],
    nerves: ['arm'],
  },
  'second-third-rib': {
    keeps: ['shoulder flexion'],
    ...OVERHEAD,
    muscles: ['pectoralis-minor', 'intercostals'],
    contracts: ['latissimus', 'triceps'],
    on: ['armpit', 'chest'],
    squeezes: ['ribs'],
  },
  'overhead-rib-rock': {
    keeps: ['shoulder flexion'],
    ...OVERHEAD,
    muscles: ['serratus', 'intercostals'],
    on: ['chest'],
    kind: 'broad',
    squeezes: ['ribs'],
  },
  'three-breath-chest-press': { muscles: ['intercostals'], on: ['chest'], kind: 'broad', squeezes: ['ribs', 'spine'] },
  'thoracic-spring': {
    keeps: ['trunk extension'],
    muscles: ['back-extensors'],
    on: ['upper-back'],
    kind: 'broad',
    squeezes: ['spine', 'ribs'],
  },
  'shoulder-down-glide': { held: 'forearm', muscles: ['supraspinatus', 'deltoid'], on: ['shoulder'] },
};
