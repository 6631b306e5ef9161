import type { Side } from '../body/index.ts';

/** How a motion ends under the hand. */
export const END_FEELS = [
  { id: 'muscular', name: 'muscular', says: 'gives a little, pulls back' },
  { id: 'capsular', name: 'capsular', says: 'leather: firm, creeps' },
  { id: 'bony', name: 'bony', says: 'hard, abrupt, no pain' },
  { id: 'springy', name: 'springy', says: 'bounces back, something in the way' },
  { id: 'guarded', name: 'guarded', says: 'the athlete stops it' },
  { id: 'empty', name: 'empty', says: 'pain before any resistance' },
] as const;
export type EndFeel = (typeof END_FEELS)[number]['id'];

/** Where the athlete feels the end of the motion. */
export const FELT = [
  { id: 'target', name: 'in the muscle that lengthens' },
  { id: 'joint', name: 'deep in the joint' },
  { id: 'closing', name: 'on the side that closes, a pinch' },
  { id: 'line', name: 'along the limb, tingling or electric' },
  { id: 'elsewhere', name: 'somewhere else' },
  { id: 'nothing', name: 'nothing felt' },
] as const;
export type Felt = (typeof FELT)[number]['id'];

/** What was felt and said at the end of one motion; null for what was not asked. */
export interface EndData {
  readonly endFeel: EndFeel | null;
  /** 0–10. */
  readonly pain: number | null;
  readonly felt: Felt | null;
  readonly guarding: boolean | null;
}

/** Joints that circle. Twelve o'clock points away from the pelvis for the hip, to the head for the shoulder, to the shin for ankle and big toe; three o'clock is outward on the left and on the right limb alike. */
export const CLOCKS = [
  { id: 'ankle', name: 'Ankle', twelve: 'toes to the shin' },
  { id: 'hip', name: 'Hip', twelve: 'knee to the chest' },
  { id: 'shoulder', name: 'Shoulder', twelve: 'arm overhead' },
  { id: 'big-toe', name: 'Big toe', twelve: 'toe to the shin' },
] as const;
export type ClockId = (typeof CLOCKS)[number]['id'];
export const HOURS = [12, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11] as const;
export type Hour = (typeof HOURS)[number];
export type HourState = 'free' | 'tight' | 'painful';

export interface ClockData {
  /** Twelve states, twelve o'clock first, then one, two and so on. */
  readonly hours: readonly HourState[];
}

export const GLIDES = [
  { id: 'patella', name: 'Kneecap', joint: 'knee' },
  { id: 'scapula', name: 'Shoulder blade', joint: 'shoulder girdle' },
] as const;
export type GlideId = (typeof GLIDES)[number]['id'];
export const DIRECTIONS = ['up', 'down', 'in', 'out'] as const;
export type Direction = (typeof DIRECTIONS)[number];
export type GlideState = 'free' | 'stiff' | 'painful';

export type GlideData = Readonly<Record<Direction, GlideState | null>>;

/** Ankle bones compared lying on the back, and again after a gentle long-axis pull of 30 s. */
export interface LegLengthData {
  readonly shorter: 'left' | 'right' | 'even';
  readonly byCm: number | null;
  readonly afterPull: 'left' | 'right' | 'even' | null;
}

export const PRESSES = [
  { id: 'buttock-squeeze', name: 'Buttock squeeze', how: 'prone: squeeze left, right, both; a hand on each' },
  { id: 'leg-lift', name: 'Leg lift', how: 'prone: lift the straight leg a little; buttock before hamstring' },
  { id: 'hip-hike', name: 'Hip hike', how: 'prone: draw one side of the pelvis up to the ribs' },
  { id: 'blade-set', name: 'Blade set', how: 'prone: draw the shoulder blade back and down' },
] as const;
export type PressId = (typeof PRESSES)[number]['id'];
export const PRESS_ANSWERS = ['prompt', 'late', 'weak', 'absent'] as const;
export type PressAnswer = (typeof PRESS_ANSWERS)[number];

export interface PressData {
  readonly answer: PressAnswer;
}

/** Muscle groups pressed against the force gauge. */
export const FORCES = [
  { id: 'knee-extensors', name: 'Knee extensors', how: 'seated, gauge above the ankle, in front' },
  { id: 'knee-flexors', name: 'Knee flexors', how: 'seated, gauge above the ankle, behind' },
  { id: 'hip-abductors', name: 'Hip abductors', how: 'supine, gauge above the ankle, outside' },
  { id: 'hip-adductors', name: 'Hip adductors', how: 'supine, gauge above the ankle, inside' },
  { id: 'hip-extensors', name: 'Hip extensors', how: 'prone, gauge above the knee, behind' },
  { id: 'hip-flexors', name: 'Hip flexors', how: 'seated, gauge above the knee, in front' },
  { id: 'shoulder-external-rotators', name: 'Shoulder external rotators', how: 'elbow at the side, gauge at the wrist, back of the hand' },
  { id: 'shoulder-internal-rotators', name: 'Shoulder internal rotators', how: 'elbow at the side, gauge at the wrist, palm side' },
  { id: 'wrist-extensors', name: 'Wrist extensors', how: 'forearm on the table, gauge on the back of the hand' },
  { id: 'wrist-flexors', name: 'Wrist flexors', how: 'forearm on the table, gauge in the palm' },
] as const;
export type ForceId = (typeof FORCES)[number]['id'];

export interface ForceData {
  /** Newtons, in the order they were pressed; the best of them counts. */
  readonly trialsN: readonly number[];
}

/** What a finger finds in a muscle. The last: looked at, and clean. */
export const POINTS = [
  { id: 'sore', name: 'sore point' },
  { id: 'band', name: 'tight band' },
  { id: 'lump', name: 'lump' },
  { id: 'hard', name: 'hard' },
  { id: 'puffy', name: 'puffy' },
  { id: 'scar', name: 'scar' },
  { id: 'warm', name: 'warm' },
  { id: 'clean', name: 'nothing there' },
] as const;
export type PointKind = (typeof POINTS)[number]['id'];

/** Where in a muscle, seen from its near attachment. */
export const THIRDS = ['upper', 'middle', 'lower'] as const;
export type Third = (typeof THIRDS)[number];

export interface PointData {
  readonly what: PointKind;
  /** Tenderness under the finger, 0–10; null where it was not asked. */
  readonly tenderness: number | null;
  /** Where else it is felt, in the athlete's words; empty: nowhere. */
  readonly refers: string;
}

/** What was seen: one of the answers of the look. */
export interface LookData {
  readonly value: string;
}

/** What can be found by hand and eye, by kind, with what it is about. */
export type FindingContent =
  | { readonly kind: 'end'; readonly subject: string; readonly side: Side; readonly data: EndData | null }
  | { readonly kind: 'clock'; readonly subject: ClockId; readonly side: 'left' | 'right'; readonly data: ClockData | null }
  | { readonly kind: 'glide'; readonly subject: GlideId; readonly side: 'left' | 'right'; readonly data: GlideData | null }
  | { readonly kind: 'leg-length'; readonly subject: 'legs'; readonly side: 'midline'; readonly data: LegLengthData | null }
  | { readonly kind: 'press'; readonly subject: PressId; readonly side: 'left' | 'right'; readonly data: PressData | null }
  | { readonly kind: 'force'; readonly subject: ForceId; readonly side: 'left' | 'right'; readonly data: ForceData | null }
  /** Subject: a muscle of the body map and a third of it, `gastrocnemius/upper`. */
  | { readonly kind: 'point'; readonly subject: string; readonly side: 'left' | 'right'; readonly data: PointData | null }
  /** Subject: one of LOOKS. */
  | { readonly kind: 'look'; readonly subject: string; readonly side: Side; readonly data: LookData | null };

export type FindingKind = FindingContent['kind'];
export const FINDING_KINDS = [
  'end',
  'clock',
  'glide',
  'leg-length',
  'press',
  'force',
  'point',
  'look',
] as const satisfies readonly FindingKind[];

/** `data` null withdraws what `supersedes` points at. */
export type FindingFields = FindingContent & { readonly moment: 'before' | 'after'; readonly supersedes: string | null };

export type Finding = FindingFields & { readonly id: string; readonly visitId: string; readonly foundAt: string; readonly foundBy: string };

/** A finding that stands and was not withdrawn. */
export type StandingFinding = {
  [Kind in FindingKind]: Extract<Finding, { kind: Kind }> & { readonly data: NonNullable<Extract<Finding, { kind: Kind }>['data']> };
}[FindingKind];
