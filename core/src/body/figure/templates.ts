import type { Position } from '../types.ts';
import type { FigureTemplate, TemplateId, TemplateSegment } from './types.ts';

/**
 * Body proportions in hundredths of standing height, rounded. Drillis R, Contini R. Body segment parameters (1966);
 * recalled from memory. A drawing needs no more.
 */
const LENGTH = { trunk: 29, head: 15, upperArm: 18.5, forearm: 14.5, hand: 9, thigh: 24.5, shank: 24.5, foot: 12 } as const;

const trunk = (deg: number): TemplateSegment => ({ id: 'trunk', on: 'root', deg, length: LENGTH.trunk, width: 11, taper: 12 });
const head = (deg = 0): TemplateSegment => ({ id: 'head', on: 'trunk', deg, length: LENGTH.head, width: 9 });
const arm = (deg: number, on: 'trunk' | 'girdle' = 'trunk'): TemplateSegment[] => [
  { id: 'upperArm', on, deg, length: LENGTH.upperArm, width: 5.6, taper: 4.4 },
  { id: 'forearm', on: 'upperArm', deg: 0, length: LENGTH.forearm, width: 4.4, taper: 3 },
  { id: 'hand', on: 'forearm', deg: 0, length: LENGTH.hand, width: 3.2, taper: 2 },
];
const leg = (deg: number, knee: number, ankle: number, on: 'root' | 'hip' = 'root'): TemplateSegment[] => [
  { id: 'thigh', on, deg, length: LENGTH.thigh, width: 8.6, taper: 6 },
  { id: 'shank', on: 'thigh', deg: knee, length: LENGTH.shank, width: 6, taper: 3.6 },
  { id: 'foot', on: 'shank', deg: ankle, length: LENGTH.foot, width: 3.8, taper: 2.4 },
];
const farLeg = (deg: number, knee: number, ankle: number): TemplateSegment[] => [
  { id: 'farThigh', on: 'root', deg, length: LENGTH.thigh, width: 8.6, taper: 6, far: true },
  { id: 'farShank', on: 'farThigh', deg: knee, length: LENGTH.shank, width: 6, taper: 3.6, far: true },
  { id: 'farFoot', on: 'farShank', deg: ankle, length: LENGTH.foot, width: 3.8, taper: 2.4, far: true },
];
const TABLE = { y: -6, from: -52, to: 58 } as const;

const LYING_UP: readonly Position[] = ['supine', 'floor mat'];
const ON_SIDE: readonly Position[] = ['side-lying left', 'side-lying right'];
const SITTING: readonly Position[] = ['seated upright', 'seated leaning'];

const all: readonly FigureTemplate[] = [
  {
    id: 'supine',
    view: 'side',
    shows: LYING_UP,
    mirrored: false,
    faceDeg: -90,
    ground: TABLE,
    segments: [...farLeg(0, 0, 90), trunk(180), head(), ...leg(0, 0, 90), ...arm(180)],
  },
  // The upper arm points at the viewer: the forearm turns about the shoulder.
  {
    id: 'supine-arm-out',
    view: 'side',
    shows: LYING_UP,
    mirrored: false,
    faceDeg: -90,
    ground: TABLE,
    segments: [
      ...farLeg(0, 0, 90),
      trunk(180),
      head(),
      { id: 'forearm', on: 'trunk', deg: 90, fixed: true, length: LENGTH.forearm, width: 5, taper: 3.2 },
      { id: 'hand', on: 'forearm', deg: 0, length: LENGTH.hand, width: 3.2, taper: 2 },
    ],
  },
  {
    id: 'prone',
    view: 'side',
    shows: ['prone'],
    mirrored: false,
    faceDeg: 90,
    ground: TABLE,
    segments: [...farLeg(0, 0, -70), trunk(180), head(), ...leg(0, 0, -70), ...arm(180)],
  },
  {
    id: 'table-end',
    view: 'side',
    shows: LYING_UP,
    mirrored: false,
    faceDeg: -90,
    ground: { y: -6, from: -52, to: 4 },
    segments: [...farLeg(110, -150, 80), trunk(180), head(), ...leg(0, -80, 70), ...arm(180)],
  },
  {
    id: 'sitting',
    view: 'side',
    shows: SITTING,
    mirrored: false,
    faceDeg: -90,
    ground: { y: -5, from: -22, to: 26 },
    segments: [trunk(90), head(), ...leg(0, -90, 80), ...arm(180)],
  },
  {
    id: 'long-sitting',
    view: 'side',
    shows: ['long-sitting', 'floor mat'],
    mirrored: false,
    faceDeg: -90,
    ground: { y: -5, from: -26, to: 64 },
    segments: [...leg(0, 0, 90), trunk(70), head(), ...arm(-110)],
  },
  {
    id: 'standing',
    view: 'side',
    shows: ['standing'],
    mirrored: false,
    faceDeg: -90,
    ground: { y: -52, from: -26, to: 30 },
    segments: [...leg(-90, 0, 82), trunk(90), head(), ...arm(180)],
  },
  {
    id: 'lunge',
    view: 'side',
    shows: ['standing', 'floor mat'],
    mirrored: false,
    faceDeg: -90,
    ground: { y: -3, from: -28, to: 26 },
    segments: [
      { id: 'foot', on: 'root', deg: 0, fixed: true, length: LENGTH.foot, width: 3.8, taper: 2.4 },
      { id: 'shank', on: 'root', deg: 90, length: LENGTH.shank, width: 4, taper: 6 },
      { id: 'thigh', on: 'shank', deg: 52, length: LENGTH.thigh, width: 6, taper: 8.6 },
      { id: 'trunk', on: 'thigh', deg: 88, fixed: true, length: LENGTH.trunk, width: 11, taper: 12 },
      head(),
      ...arm(180),
    ],
  },
  // Lying on the side, looked at from behind: the upper leg drops behind the lower one.
  {
    id: 'side-lying',
    view: 'behind',
    shows: ON_SIDE,
    mirrored: false,
    ground: { y: -12, from: -52, to: 58 },
    segments: [
      { id: 'farThigh', on: 'root', deg: -12, length: LENGTH.thigh, width: 8.6, taper: 6, far: true },
      { id: 'farShank', on: 'farThigh', deg: 60, length: 12, width: 6, taper: 4, far: true },
      { ...trunk(180), width: 15, taper: 16 },
      head(),
      ...leg(0, 0, -10),
    ],
  },
  {
    id: 'standing-behind',
    view: 'behind',
    shows: ['standing'],
    mirrored: true,
    ground: { y: -54, from: -26, to: 26 },
    segments: [
      { id: 'hip', on: 'root', deg: 180, length: 4.6, width: 9 },
      ...leg(-90, 0, 0, 'hip').map((each) =>
        each.id === 'thigh' ? { ...each, fixed: true as const } : each.id === 'foot' ? { ...each, length: 4 } : each,
      ),
      { ...trunk(90), central: true, width: 14, taper: 17 },
      { ...head(), central: true },
      { id: 'girdle', on: 'trunk', deg: 90, length: 8.5, width: 6 },
      ...arm(90, 'girdle').map((each) => (each.id === 'upperArm' ? { ...each, deg: -95, fixed: true as const } : each)),
    ],
  },
  // Supine, the head past the end of the table.
  {
    id: 'supine-head-over',
    view: 'side',
    shows: LYING_UP,
    mirrored: false,
    faceDeg: -90,
    ground: { y: -6, from: -27, to: 58 },
    segments: [...farLeg(0, 0, 90), trunk(180), head(), ...leg(0, 0, 90), ...arm(180)],
  },
  // Lying on the side with the upper arm free, looked at from behind.
  {
    id: 'side-lying-arm',
    view: 'behind',
    shows: ON_SIDE,
    mirrored: false,
    ground: { y: -12, from: -62, to: 58 },
    segments: [
      { id: 'farThigh', on: 'root', deg: -12, length: LENGTH.thigh, width: 8.6, taper: 6, far: true },
      { id: 'farShank', on: 'farThigh', deg: 60, length: 12, width: 6, taper: 4, far: true },
      ...leg(0, 0, -10),
      { ...trunk(180), width: 15, taper: 16 },
      head(),
      { id: 'upperArm', on: 'trunk', deg: 180, length: LENGTH.upperArm, width: 5.6, taper: 4.4 },
      { id: 'forearm', on: 'upperArm', deg: 0, length: LENGTH.forearm, width: 4.4, taper: 3 },
    ],
  },
  // Lying on the arm, looked at from the front: the upper arm points at the viewer, the forearm turns about the shoulder.
  {
    id: 'side-lying-forearm',
    view: 'front',
    shows: ON_SIDE,
    mirrored: false,
    ground: { y: -9, from: -52, to: 58 },
    segments: [
      ...farLeg(0, 0, 30),
      { ...trunk(180), width: 15, taper: 16 },
      head(),
      ...leg(-4, 6, 20),
      { id: 'forearm', on: 'trunk', deg: 90, fixed: true, length: LENGTH.forearm, width: 5, taper: 3.2 },
      { id: 'hand', on: 'forearm', deg: 0, length: LENGTH.hand, width: 3.2, taper: 2 },
    ],
  },
  // Lying on the side, looked at from above: the body in profile, its front up the page.
  {
    id: 'side-lying-above',
    view: 'above',
    shows: ON_SIDE,
    mirrored: false,
    faceDeg: -90,
    segments: [...farLeg(40, -70, 80), trunk(180), head(), ...leg(0, 0, 80), ...arm(-150)],
  },
  {
    id: 'sitting-behind',
    view: 'behind',
    shows: SITTING,
    mirrored: true,
    ground: { y: -7, from: -26, to: 26 },
    segments: [
      { id: 'hip', on: 'root', deg: 180, length: 8, width: 13, taper: 12 },
      { ...trunk(90), central: true, width: 14, taper: 17 },
      { ...head(), central: true },
      { id: 'girdle', on: 'trunk', deg: 90, length: 8.5, width: 6 },
      ...arm(90, 'girdle').map((each) => (each.id === 'upperArm' ? { ...each, deg: -95, fixed: true as const } : each)),
    ],
  },
  // Supine with the thighs straight up, looked at from above: the shins lie toward the feet.
  {
    id: 'ninety-from-above',
    view: 'above',
    shows: LYING_UP,
    mirrored: true,
    segments: [
      { ...trunk(-90), central: true, width: 14, taper: 17, far: true },
      { ...head(), central: true, far: true },
      { id: 'hip', on: 'root', deg: 180, length: 8, width: 9 },
      { id: 'shank', on: 'hip', deg: 90, fixed: true, length: LENGTH.shank, width: 8, taper: 4 },
      { id: 'foot', on: 'shank', deg: 0, length: 5, width: 4, taper: 4.6 },
    ],
  },
  {
    id: 'wall-sit',
    view: 'side',
    shows: ['standing'],
    mirrored: false,
    faceDeg: -90,
    ground: { y: -43.5, from: -14, to: 34 },
    segments: [trunk(90), head(), ...leg(-40, -60, 82), ...arm(180)],
  },
  // From above with the head toward the viewer, so that left stays left.
  {
    id: 'lying-from-above',
    view: 'above',
    shows: ['supine', 'prone', 'floor mat'],
    mirrored: true,
    segments: [
      { id: 'hip', on: 'root', deg: 180, length: 4.6, width: 9 },
      ...leg(90, 0, 0, 'hip').map((each) =>
        each.id === 'thigh' ? { ...each, fixed: true as const } : each.id === 'foot' ? { ...each, length: 6 } : each,
      ),
      { ...trunk(-90), central: true, width: 14, taper: 17 },
      { ...head(), central: true },
      { id: 'girdle', on: 'trunk', deg: -90, length: 8.5, width: 6 },
      ...arm(0, 'girdle').map((each) => (each.id === 'upperArm' ? { ...each, deg: 92, fixed: true as const } : each)),
    ],
  },
  {
    id: 'sitting-from-above',
    view: 'above',
    shows: [...SITTING, ...ON_SIDE, 'floor mat'],
    mirrored: true,
    segments: [
      { id: 'hip', on: 'root', deg: 180, length: 5, width: 9, far: true },
      { id: 'farThigh', on: 'hip', deg: 90, fixed: true, length: 19, width: 8.6, taper: 6.5, far: true },
      { id: 'chest', on: 'root', deg: 90, length: 0, width: 0, central: true, hidden: true },
      { id: 'girdle', on: 'chest', deg: 90, length: 11, width: 11, taper: 8 },
      { id: 'upperArm', on: 'girdle', deg: -100, length: 8, width: 5.6, taper: 4.6 },
      { id: 'forearm', on: 'upperArm', deg: -95, length: 10, width: 4.4, taper: 3 },
      { id: 'head', on: 'chest', deg: 0, length: 5, width: 11, central: true },
      { id: 'nose', on: 'head', deg: 0, length: 3.4, width: 2.4, taper: 1, central: true },
    ],
  },
  {
    id: 'head-from-above',
    view: 'above',
    shows: [...SITTING, 'supine'],
    mirrored: true,
    segments: [
      { id: 'girdle', on: 'root', deg: 180, length: 15, width: 12, taper: 8, far: true },
      { id: 'nose', on: 'root', deg: 90, length: 13, width: 16, taper: 13, central: true },
      { id: 'head', on: 'nose', deg: 0, length: 3, width: 4, taper: 1.6, central: true },
    ],
  },
  // Sitting, looked at from above: thighs forward, the feet below the knees.
  {
    id: 'feet-from-above',
    view: 'above',
    shows: SITTING,
    mirrored: true,
    segments: [
      { id: 'pelvis', on: 'root', deg: 180, length: 9, width: 14, far: true },
      { id: 'hip', on: 'root', deg: 180, length: 9, width: 9, far: true },
      { id: 'farThigh', on: 'hip', deg: 90, fixed: true, length: 20, width: 9, taper: 7, far: true },
      { id: 'shank', on: 'farThigh', deg: 0, length: 0, width: 7, hidden: true },
      { id: 'foot', on: 'shank', deg: 90, fixed: true, length: 13, width: 5.4, taper: 6.2 },
    ],
  },
  // Prone with the knees at a right angle, seen from the feet.
  {
    id: 'shins-up',
    view: 'feet',
    shows: ['prone', 'supine'],
    mirrored: true,
    ground: { y: -6, from: -26, to: 26 },
    segments: [
      { id: 'pelvis', on: 'root', deg: 180, length: 9, width: 10, far: true },
      { id: 'hip', on: 'root', deg: 180, length: 8, width: 1, hidden: true },
      { id: 'shank', on: 'hip', deg: 90, fixed: true, length: LENGTH.shank, width: 7, taper: 4 },
      { id: 'foot', on: 'shank', deg: 0, length: 5, width: 4, taper: 4.6 },
    ],
  },
  // Sitting on the edge, from the front, mirrored so that left stays left.
  {
    id: 'shins-down',
    view: 'feet',
    shows: SITTING,
    mirrored: true,
    ground: { y: -5, from: -26, to: 26 },
    segments: [
      { id: 'trunk', on: 'root', deg: 90, length: LENGTH.trunk, width: 14, taper: 17, central: true, far: true },
      { id: 'head', on: 'trunk', deg: 0, length: LENGTH.head, width: 9, central: true, far: true },
      { id: 'hip', on: 'root', deg: 180, length: 9, width: 9 },
      { id: 'shank', on: 'hip', deg: -90, fixed: true, length: LENGTH.shank, width: 7, taper: 4 },
      { id: 'foot', on: 'shank', deg: 0, length: 4, width: 4, taper: 4.6 },
    ],
  },
  // Supine, soles together, seen from the feet.
  {
    id: 'knees-from-feet',
    view: 'feet',
    shows: LYING_UP,
    mirrored: true,
    ground: { y: -6, from: -34, to: 34 },
    segments: [
      { id: 'pelvis', on: 'root', deg: 180, length: 9, width: 10, far: true },
      { id: 'hip', on: 'root', deg: 180, length: 5, width: 1, hidden: true },
      { id: 'thigh', on: 'hip', deg: 90, fixed: true, length: 20, width: 8.6, taper: 6.4 },
    ],
  },
  // Supine, seen from the feet: the chest in section, the arms beside it.
  {
    id: 'arms-from-feet',
    view: 'feet',
    shows: ['supine', 'prone'],
    mirrored: true,
    ground: { y: -8, from: -40, to: 40 },
    segments: [
      { id: 'pelvis', on: 'root', deg: 180, length: 9, width: 14, far: true },
      { id: 'hip', on: 'root', deg: 180, length: 13, width: 1, hidden: true },
      { id: 'upperArm', on: 'hip', deg: 90, fixed: true, length: 0, width: 5.6 },
      { id: 'forearm', on: 'upperArm', deg: 90, fixed: true, length: LENGTH.forearm, width: 4.8, taper: 3.2 },
      { id: 'hand', on: 'forearm', deg: 0, length: 6, width: 3.2, taper: 2.2 },
    ],
  },
  {
    id: 'arms-reaching',
    view: 'feet',
    shows: ['supine', 'prone', 'standing', 'seated upright'],
    mirrored: true,
    ground: { y: -8, from: -30, to: 30 },
    segments: [
      { id: 'pelvis', on: 'root', deg: 180, length: 9, width: 14, far: true },
      { id: 'hip', on: 'root', deg: 180, length: 13, width: 1, hidden: true },
      { id: 'upperArm', on: 'hip', deg: 90, fixed: true, length: LENGTH.upperArm, width: 5.6, taper: 4.6 },
      { id: 'forearm', on: 'upperArm', deg: 0, length: LENGTH.forearm, width: 4.8, taper: 3.2 },
    ],
  },
  {
    id: 'hand',
    view: 'detail',
    shows: null,
    mirrored: false,
    ground: { y: -5, from: -34, to: 2 },
    segments: [
      { id: 'forearm', on: 'root', deg: 180, fixed: true, length: 32, width: 7, taper: 9 },
      { id: 'hand', on: 'root', deg: 0, length: 15, width: 7, taper: 5.6 },
      { id: 'fingers', on: 'hand', deg: 0, length: 13, width: 4.4, taper: 3 },
    ],
  },
  {
    id: 'palm',
    view: 'detail',
    shows: null,
    mirrored: false,
    segments: [
      { id: 'forearm', on: 'root', deg: -90, fixed: true, length: 28, width: 9, taper: 11 },
      { id: 'hand', on: 'root', deg: 90, length: 15, width: 13, taper: 14 },
      { id: 'fingers', on: 'hand', deg: 0, length: 14, width: 11, taper: 8 },
      { id: 'thumb', on: 'root', deg: 90, length: 15, width: 5, taper: 3.4 },
    ],
  },
  {
    id: 'fist',
    view: 'detail',
    shows: null,
    mirrored: false,
    segments: [
      { id: 'forearm', on: 'root', deg: -90, length: 0, width: 16 },
      { id: 'hand', on: 'root', deg: 90, length: 22, width: 6, taper: 4 },
    ],
  },
  {
    id: 'foot-side',
    view: 'detail',
    shows: null,
    mirrored: false,
    ground: { y: -5, from: -18, to: 44 },
    segments: [
      { id: 'shank', on: 'root', deg: 90, fixed: true, length: 26, width: 9, taper: 11 },
      { id: 'foot', on: 'root', deg: 0, length: 24, width: 9, taper: 5 },
      { id: 'toe', on: 'foot', deg: 0, length: 11, width: 5, taper: 3.4 },
    ],
  },
  {
    id: 'heel',
    view: 'detail',
    shows: null,
    mirrored: false,
    segments: [
      { id: 'shank', on: 'root', deg: 90, length: 28, width: 9, taper: 15 },
      { id: 'foot', on: 'root', deg: -90, length: 14, width: 10, taper: 11 },
    ],
  },
  {
    id: 'forefoot',
    view: 'detail',
    shows: null,
    mirrored: false,
    segments: [
      { id: 'shank', on: 'root', deg: 90, length: 22, width: 8, taper: 9, far: true },
      { id: 'foot', on: 'root', deg: 180, length: 16, width: 7, taper: 5 },
      { id: 'toe', on: 'root', deg: 0, length: 8, width: 7, taper: 6 },
    ],
  },
];

export const FIGURE_TEMPLATES: ReadonlyMap<TemplateId, FigureTemplate> = new Map(all.map((template) => [template.id, template]));
