import type { Role } from '@pace-bend/core/access';
import type { Clearance, ConditionFields, NoTouchFields, PracticeScope } from '@pace-bend/core/caution';
import type { Arrival, AthleteFields } from '@pace-bend/core/record';
import type { AthleteSport } from '@pace-bend/core/sport';

/**
 * The squad of the Alder Weir Rowing Club on the river Sallow. The club, the river and every person are invented.
 */

export interface DemoMotion {
  readonly motionId: string;
  /** Lasting range left and right when nothing is done, in the motion's unit. Midline motions use `left`. */
  readonly base: readonly [left: number, right: number];
}

export interface DemoPerson {
  readonly name: string;
  readonly birth: { readonly yearsAgo: number; readonly monthDay: string };
  readonly sex: 'female' | 'male' | 'none';
  readonly sports: readonly AthleteSport[];
  readonly about: string;
  readonly breathPeriodMs: number;
  readonly motions: readonly DemoMotion[];
  /** Past visits as days before today, oldest first. */
  readonly visitDaysAgo: readonly number[];
  /** What is worked on; the first side is the stiffer one. */
  /** Visits that were not done in the usual way, by days ago: those of a comparison of two ways. */
  readonly otherWay?: { readonly methodId: string; readonly daysAgo: readonly number[] };
  readonly treats: { readonly entryId: string; readonly methodId: string; readonly sides: readonly ('left' | 'right')[] } | null;
  /** Gain in one visit far from the ceiling, and how much of it stays until the next morning (0–1). */
  readonly response: { readonly gain: number; readonly keeps: number };
  /** A set-back: so many days ago, so much range lost. */
  readonly setBack: { readonly daysAgo: number; readonly loses: number; readonly words: string } | null;
  readonly complaint: string;
  /** What the file holds beyond the usual. */
  readonly file?: Partial<
    Pick<
      AthleteFields,
      | 'hand'
      | 'foot'
      | 'thighCm'
      | 'legCm'
      | 'armCm'
      | 'forearmCm'
      | 'build'
      | 'preferences'
      | 'coach'
      | 'contacts'
      | 'medications'
      | 'beighton'
      | 'availability'
    >
  >;
  /** What they say on arriving at every visit, beside what stories.ts has for each. */
  readonly asked?: Partial<Omit<Arrival, 'changed'>>;
  readonly conditions?: readonly DemoCondition[];
  readonly noTouch?: readonly NoTouchFields[];
}

/** A condition with its days counted back from today. */
export interface DemoCondition extends Partial<Pick<ConditionFields, 'region' | 'side' | 'words'>> {
  readonly code: ConditionFields['code'];
  readonly onsetDaysAgo?: number;
  readonly surgeryDaysAgo?: number;
  readonly resolvedDaysAgo?: number;
  readonly clearance?: Omit<Clearance, 'on'> & { readonly daysAgo: number };
}

const weekly = (from: number, to: number, every = 7) =>
  Array.from({ length: Math.floor((from - to) / every) + 1 }, (_, i) => from - i * every);

const STROKE = { discipline: 'sweep', role: 'stroke-side' } as const;
const BOW = { discipline: 'sweep', role: 'bow-side' } as const;
const SCULLS = { discipline: 'sculls', role: 'sculler' } as const;
const COX = { discipline: null, role: 'cox' } as const;
const rows = (place: Pick<AthleteSport, 'discipline' | 'role'>, words = ''): AthleteSport => ({
  sportId: 'rowing',
  ...place,
  leading: null,
  words,
});

export const PEOPLE: readonly DemoPerson[] = [
  {
    name: 'Ines Okkonen',
    birth: { yearsAgo: 22, monthDay: '03-14' },
    sex: 'female',
    sports: [rows(BOW)],
    about: 'Second seat, tall, long thighs; hamstrings the old story',
    breathPeriodMs: 10_000,
    motions: [
      { motionId: 'straight-leg-raise', base: [62, 66] },
      { motionId: 'knee-extension-hip-90', base: [38, 33] },
      { motionId: 'hip-flexion', base: [128, 130] },
      { motionId: 'trunk-rotation', base: [50, 44] },
      { motionId: 'fingertip-to-floor', base: [14, 14] },
    ],
    visitDaysAgo: weekly(84, 7),
    treats: { entryId: 'hamstring-heel-on-shoulder', methodId: 'cr-breath', sides: ['left', 'right'] },
    response: { gain: 7, keeps: 0.55 },
    setBack: { daysAgo: 38, loses: 6, words: 'Pulled up in a sprint piece on Saturday; back of the thigh sore for three days.' },
    complaint: 'Back of both thighs short after the long row on Monday',
    asked: {
      complaintRegion: 'thigh-back',
      complaintSide: 'both',
      complaintScore: 3,
      trainingSince: 'Long row Monday, weights Tuesday',
      trainingNext: 'Easy row tonight',
      lookFirst: 'Left straight-leg raise',
      consent: ['back', 'hips', 'legs', 'feet'],
    },
  },
  {
    name: 'Tavi Brandsma',
    birth: { yearsAgo: 24, monthDay: '02-21' },
    sex: 'male',
    sports: [rows(STROKE, 'Stroke, men’s eight')],
    about: 'Stroke seat; left knee arthroscopy in 2024, hold along the shin',
    breathPeriodMs: 10_000,
    motions: [
      { motionId: 'hip-extension-knee-straight', base: [10.5, 17] },
      { motionId: 'hip-extension-knee-bent', base: [4, 11.5] },
      { motionId: 'straight-leg-raise', base: [68, 72] },
      { motionId: 'ankle-lunge', base: [38, 40] },
      { motionId: 'trunk-rotation', base: [43.5, 51] },
    ],
    visitDaysAgo: [84, 70, 56, 42, 28, 14],
    treats: { entryId: 'rectus-femoris-prone', methodId: 'cr-breath', sides: ['left', 'right'] },
    response: { gain: 5.5, keeps: 0.4 },
    setBack: { daysAgo: 45, loses: 3, words: 'Week of ergometer tests; the left hip shut down again.' },
    complaint: 'Left hip will not open at the finish',
    file: {
      hand: 'right',
      foot: 'left',
      thighCm: 46,
      legCm: 44,
      armCm: 35,
      forearmCm: 28,
      coach: 'Teo Lindgren',
      preferences: 'Firm hands, little talk; window closed',
      contacts: [{ name: 'Runa Brandsma', role: 'sister', phone: '555 0141', email: '' }],
    },
    conditions: [
      {
        code: 'knee-operation',
        side: 'left',
        surgeryDaysAgo: 760,
        words: 'Arthroscopy, meniscus trimmed; no swelling since',
        clearance: { by: 'Dr Amsel', daysAgo: 640, text: 'no restrictions', limits: [] },
      },
    ],
    asked: {
      complaintRegion: 'hip',
      complaintSide: 'left',
      complaintScore: 2,
      trainingSince: 'Two rows, one weights',
      trainingNext: 'Pieces tomorrow morning',
      lookFirst: 'Left hip extension, knee bent',
      consent: ['back', 'hips', 'legs', 'feet'],
    },
  },
  {
    name: 'Mirre Solheim',
    birth: { yearsAgo: 31, monthDay: '09-02' },
    sex: 'female',
    sports: [rows(COX)],
    about: 'Cox; sits folded for hours, neck and low back',
    breathPeriodMs: 9000,
    motions: [
      { motionId: 'neck-rotation', base: [54, 66] },
      { motionId: 'neck-side-bend', base: [33, 42] },
      { motionId: 'hip-extension-knee-straight', base: [14, 15] },
    ],
    visitDaysAgo: [63, 42, 21],
    treats: { entryId: 'neck-side-bend-supine', methodId: 'static-hold', sides: ['left', 'right'] },
    response: { gain: 4, keeps: 0.3 },
    setBack: null,
    complaint: 'Neck tight to the left, looking round hurts a little',
    noTouch: [{ region: 'belly', side: null, words: 'Not at all, please' }],
    asked: {
      complaintRegion: 'neck',
      complaintSide: 'left',
      complaintScore: 4,
      trainingSince: 'Coxed three outings',
      trainingNext: 'Outing at six',
      lookFirst: 'Turning left',
      consent: ['neck', 'shoulders', 'back'],
    },
  },
  {
    name: 'Joss Adeyemi',
    birth: { yearsAgo: 19, monthDay: '06-30' },
    sex: 'male',
    sports: [rows(STROKE, 'Six seat, men’s eight')],
    about: 'Six seat, heavy build; ankles limit the catch',
    breathPeriodMs: 12_000,
    motions: [
      { motionId: 'ankle-lunge', base: [27, 32] },
      { motionId: 'knee-to-wall', base: [5.5, 7.5] },
      { motionId: 'ankle-dorsiflexion', base: [7, 10] },
      { motionId: 'straight-leg-raise', base: [71, 70] },
      { motionId: 'hip-abduction', base: [41, 42] },
    ],
    visitDaysAgo: weekly(82, 5),
    treats: { entryId: 'soleus-prone', methodId: 'static-hold', sides: ['left', 'right'] },
    response: { gain: 3, keeps: 0.6 },
    setBack: { daysAgo: 30, loses: 4, words: 'Turned the left ankle stepping out of the boat; swollen for a week.' },
    complaint: 'Heels lift at the catch',
    file: { legCm: 47, coach: 'Teo Lindgren', availability: 'limited' },
    conditions: [{ code: 'ankle-sprain', side: 'left', onsetDaysAgo: 30, words: 'Stepping out of the boat' }],
    asked: {
      complaintRegion: 'ankle',
      complaintSide: 'left',
      complaintScore: 3,
      trainingSince: 'Ergometer only',
      trainingNext: 'Row tomorrow',
      lookFirst: 'Left knee to wall',
      consent: ['legs', 'feet', 'hips'],
    },
  },
  {
    name: 'Kato Lindqvist',
    birth: { yearsAgo: 27, monthDay: '11-08' },
    sex: 'male',
    sports: [rows(BOW, 'Bow, men’s eight')],
    about: 'Bow seat; left shoulder tight overhead',
    breathPeriodMs: 10_000,
    motions: [
      { motionId: 'shoulder-flexion', base: [156, 166] },
      { motionId: 'shoulder-external-rotation', base: [80, 91] },
      { motionId: 'shoulder-internal-rotation', base: [64, 60] },
      { motionId: 'trunk-rotation', base: [52, 45] },
    ],
    visitDaysAgo: [70, 56, 35, 14],
    treats: { entryId: 'latissimus-supine', methodId: 'cr-breath', sides: ['left', 'right'] },
    response: { gain: 6, keeps: 0.35 },
    setBack: null,
    complaint: 'Left arm heavy overhead after weights',
    file: { hand: 'left', coach: 'Teo Lindgren' },
    conditions: [{ code: 'shoulder-tear', side: 'left', onsetDaysAgo: 420, words: 'Cuff tear, treated without an operation' }],
    asked: {
      complaintRegion: 'shoulder',
      complaintSide: 'left',
      complaintScore: 4,
      trainingSince: 'Weights yesterday',
      trainingNext: 'Rest day',
      lookFirst: 'Left arm overhead',
      consent: ['neck', 'shoulders', 'arms', 'back', 'chest'],
    },
  },
  {
    name: 'Perrin Vale',
    birth: { yearsAgo: 26, monthDay: '04-17' },
    sex: 'none',
    sports: [rows(SCULLS)],
    about: 'Single sculler; stiff hips, desk work',
    breathPeriodMs: 8000,
    motions: [
      { motionId: 'hip-extension-knee-straight', base: [8, 9] },
      { motionId: 'hip-internal-rotation', base: [28, 34] },
      { motionId: 'hip-external-rotation', base: [40, 38] },
      { motionId: 'heel-to-buttock', base: [16, 12] },
    ],
    visitDaysAgo: weekly(80, 10, 10),
    treats: { entryId: 'iliopsoas-prone', methodId: 'cr-breath', sides: ['left', 'right'] },
    response: { gain: 4.5, keeps: 0.5 },
    setBack: { daysAgo: 35, loses: 3, words: 'Two weeks of travelling, no home work done.' },
    complaint: 'Front of the hips short, low back takes over',
    asked: {
      complaintRegion: 'hip',
      complaintSide: 'both',
      complaintScore: 2,
      trainingSince: 'Singles, five days',
      trainingNext: 'Long row Friday',
      lookFirst: 'Right hip turning in',
      consent: ['back', 'hips', 'groin', 'legs'],
    },
  },
  {
    name: 'Wren Achterberg',
    birth: { yearsAgo: 25, monthDay: '10-11' },
    sex: 'female',
    sports: [rows(SCULLS, 'Bow, women’s quad')],
    about: 'Quad, bow seat; on the way back after a knee operation',
    breathPeriodMs: 9000,
    motions: [
      { motionId: 'knee-flexion', base: [104, 139] },
      { motionId: 'hip-flexion', base: [121, 124] },
      { motionId: 'shoulder-flexion', base: [168, 158] },
    ],
    visitDaysAgo: [7],
    treats: null,
    response: { gain: 4, keeps: 0.5 },
    setBack: null,
    complaint: 'Left knee stiff in the morning',
    file: {
      hand: 'right',
      thighCm: 41,
      legCm: 40,
      availability: 'limited',
      preferences: 'Tell me before you move the knee',
      contacts: [{ name: 'Dr Amsel', role: 'surgeon', phone: '555 0177', email: 'amsel@clinic.example' }],
    },
    conditions: [
      {
        code: 'knee-operation',
        side: 'left',
        onsetDaysAgo: 120,
        surgeryDaysAgo: 49,
        words: 'Cruciate ligament, hamstring graft',
        clearance: {
          by: 'Dr Amsel',
          daysAgo: 10,
          text: 'knee bend to 110°',
          limits: [{ kind: 'bend', movement: 'knee flexion', deg: 110 }],
        },
      },
      { code: 'shoulder-tear', side: 'right', onsetDaysAgo: 900, resolvedDaysAgo: 500, words: 'Cuff tear from a fall, healed' },
    ],
    asked: {
      complaintRegion: 'knee',
      complaintSide: 'left',
      complaintScore: 4,
      trainingSince: 'Bike, upper body',
      trainingNext: 'Pool tomorrow',
      lookFirst: 'Left knee bend, against the written 110°',
      consent: ['hips', 'legs', 'shoulders'],
    },
  },
  {
    name: 'Noor Haverkamp',
    birth: { yearsAgo: 18, monthDay: '08-25' },
    sex: 'female',
    sports: [rows(SCULLS)],
    about: 'Under-19 double; supple, hamstrings even',
    breathPeriodMs: 8000,
    motions: [
      { motionId: 'straight-leg-raise', base: [88, 87] },
      { motionId: 'hip-flexion', base: [138, 137] },
    ],
    visitDaysAgo: [49, 21],
    treats: { entryId: 'gluteus-bent-knee-turn', methodId: 'static-hold', sides: ['left', 'right'] },
    response: { gain: 3, keeps: 0.4 },
    setBack: null,
    complaint: '',
    file: { beighton: [true, true, true, true, false, false, true, true, false] },
  },
  {
    name: 'Bela Strand',
    birth: { yearsAgo: 17, monthDay: '01-12' },
    sex: 'male',
    sports: [rows(BOW)],
    about: 'Junior four; grew eight centimetres this year',
    breathPeriodMs: 8000,
    motions: [
      { motionId: 'hip-extension-knee-bent', base: [6, 7] },
      { motionId: 'heel-to-buttock', base: [14, 13] },
    ],
    visitDaysAgo: [33],
    treats: { entryId: 'quadriceps-heel-to-buttock', methodId: 'static-hold', sides: ['left', 'right'] },
    response: { gain: 2, keeps: 0.4 },
    setBack: null,
    complaint: '',
    conditions: [{ code: 'apophysis', region: 'knee', side: 'both', onsetDaysAgo: 60, words: 'Below both knee-caps after running' }],
  },
  {
    name: 'Odile Marchetti',
    birth: { yearsAgo: 47, monthDay: '05-06' },
    sex: 'female',
    sports: [rows(SCULLS)],
    about: 'Masters double; shoulders first, then hips',
    breathPeriodMs: 9000,
    motions: [
      { motionId: 'shoulder-flexion', base: [158, 161] },
      { motionId: 'hip-extension-knee-straight', base: [11, 12] },
    ],
    visitDaysAgo: [60, 39, 18],
    treats: { entryId: 'latissimus-supine', methodId: 'static-hold', sides: ['right', 'left'] },
    response: { gain: 4, keeps: 0.4 },
    setBack: null,
    complaint: '',
    file: { medications: ['blood-thinner'] },
    conditions: [{ code: 'varicose-veins', region: 'calf', side: 'right' }],
  },
  {
    name: 'Ruan Teague',
    birth: { yearsAgo: 29, monthDay: '12-19' },
    sex: 'male',
    sports: [rows(STROKE)],
    about: 'Seven seat; adductors after winter running',
    breathPeriodMs: 10_000,
    motions: [
      { motionId: 'hip-abduction', base: [33, 40] },
      { motionId: 'hip-internal-rotation', base: [36, 37] },
    ],
    visitDaysAgo: [28, 12],
    treats: { entryId: 'adductors-walk-out', methodId: 'cr-breath', sides: ['left', 'right'] },
    response: { gain: 5, keeps: 0.4 },
    setBack: null,
    complaint: '',
  },
  {
    name: 'Sunniva Dahl',
    birth: { yearsAgo: 23, monthDay: '10-03' },
    sex: 'female',
    sports: [rows(BOW)],
    about: 'Three seat; back to rowing after a rib stress injury',
    breathPeriodMs: 8000,
    motions: [
      { motionId: 'trunk-rotation', base: [47, 40] },
      { motionId: 'trunk-side-bend', base: [29, 31] },
    ],
    visitDaysAgo: [24],
    treats: null,
    response: { gain: 3, keeps: 0.4 },
    setBack: null,
    complaint: '',
    conditions: [
      {
        code: 'stress-injury',
        region: 'chest',
        side: 'right',
        onsetDaysAgo: 150,
        resolvedDaysAgo: 40,
        words: 'Rib, from the winter block',
      },
    ],
  },
  {
    name: 'Ewout van der Brook-Lindenhof',
    birth: { yearsAgo: 52, monthDay: '07-22' },
    sex: 'male',
    sports: [rows(SCULLS)],
    about: 'Masters quad; calves, stairs at work',
    breathPeriodMs: 9000,
    motions: [
      { motionId: 'knee-to-wall', base: [7, 7.5] },
      { motionId: 'ankle-dorsiflexion', base: [8, 9] },
    ],
    visitDaysAgo: [],
    treats: null,
    response: { gain: 2, keeps: 0.4 },
    setBack: null,
    complaint: '',
  },
];

/** From the town beside the club: a runner, a thrower and a dancer, so that not everything is a boat. */
export const NEIGHBOURS: readonly DemoPerson[] = [
  {
    name: 'Milo Ferrand',
    birth: { yearsAgo: 34, monthDay: '04-18' },
    sex: 'male',
    sports: [{ sportId: 'running', discipline: 'trail', role: null, leading: null, words: 'hill races' }],
    about: 'Postman; left calf the old story',
    breathPeriodMs: 9000,
    motions: [
      { motionId: 'ankle-dorsiflexion', base: [9, 13] },
      { motionId: 'ankle-lunge', base: [31, 38] },
      { motionId: 'ankle-lunge-knee-straight', base: [24, 29] },
      { motionId: 'hip-extension-knee-bent', base: [11, 12] },
      { motionId: 'big-toe-extension', base: [58, 63] },
    ],
    visitDaysAgo: [62, 48, 41, 34, 27, 20, 13, 6],
    treats: { entryId: 'calf-supine', methodId: 'cr-breath', sides: ['left', 'right'] },
    // In the order that was drawn: see comparison.ts.
    otherWay: { methodId: 'static-hold', daysAgo: [48, 27, 20, 6] },
    response: { gain: 4, keeps: 0.45 },
    setBack: null,
    complaint: 'Left calf tight on the first hill',
  },
  {
    name: 'Sanne Orrevik',
    birth: { yearsAgo: 21, monthDay: '08-09' },
    sex: 'female',
    sports: [{ sportId: 'throwing', discipline: 'javelin', role: null, leading: 'right', words: '' }],
    about: 'Javelin; right arm turned outward as it should be',
    breathPeriodMs: 9000,
    motions: [
      { motionId: 'shoulder-external-rotation', base: [96, 111] },
      { motionId: 'shoulder-internal-rotation', base: [63, 50] },
      { motionId: 'trunk-rotation', base: [44, 48] },
      { motionId: 'hip-internal-rotation', base: [37, 33] },
    ],
    visitDaysAgo: [40, 26, 12],
    treats: null,
    response: { gain: 3, keeps: 0.4 },
    setBack: null,
    complaint: '',
    conditions: [
      {
        code: 'ankle-operation',
        side: 'left',
        onsetDaysAgo: 81,
        surgeryDaysAgo: 81,
        words: 'Outer ligaments sewn',
        clearance: { by: 'Dr Amsel', daysAgo: 36, text: 'full weight, no jumping', limits: [] },
      },
    ],
  },
  {
    name: 'Yara Denholm',
    birth: { yearsAgo: 19, monthDay: '02-27' },
    sex: 'female',
    sports: [{ sportId: 'dance', discipline: 'ballet', role: null, leading: 'left', words: 'third year of the school' }],
    about: 'Dancer; free everywhere but the turn-out on the left',
    breathPeriodMs: 9500,
    motions: [
      { motionId: 'hip-external-rotation-seated', base: [46, 52] },
      { motionId: 'straight-leg-raise', base: [108, 112] },
      { motionId: 'ankle-plantar-flexion', base: [68, 71] },
      { motionId: 'big-toe-extension', base: [84, 88] },
    ],
    visitDaysAgo: [37, 30, 16, 9],
    treats: { entryId: 'figure-four-beside', methodId: 'cr-light', sides: ['left'] },
    response: { gain: 3, keeps: 0.4 },
    setBack: null,
    complaint: '',
  },
];

/** Today's list, in the practice's own time. */
export const TODAY: readonly { readonly name: string; readonly at: string; readonly minutes: number }[] = [
  { name: 'Ines Okkonen', at: '08:30', minutes: 45 },
  { name: 'Tavi Brandsma', at: '09:20', minutes: 40 },
  { name: 'Mirre Solheim', at: '10:10', minutes: 45 },
  { name: 'Joss Adeyemi', at: '11:15', minutes: 40 },
  { name: 'Kato Lindqvist', at: '12:05', minutes: 60 },
  { name: 'Perrin Vale', at: '14:00', minutes: 60 },
  { name: 'Wren Achterberg', at: '15:15', minutes: 45 },
];

export const EVENTS: readonly { readonly name: string; readonly inDays: number; readonly importance: 1 | 2 | 3 }[] = [
  { name: 'Head race', inDays: 9, importance: 1 },
  { name: 'Ergometer test', inDays: 37, importance: 3 },
  { name: 'Spring regatta', inDays: 122, importance: 1 },
];

export const SQUADS: readonly { readonly name: string; readonly members: readonly string[] }[] = [
  { name: 'Men’s eight', members: ['Tavi Brandsma', 'Joss Adeyemi', 'Kato Lindqvist', 'Ruan Teague'] },
  { name: 'Women’s four', members: ['Ines Okkonen', 'Sunniva Dahl', 'Mirre Solheim'] },
  { name: 'Sculls', members: ['Perrin Vale', 'Wren Achterberg', 'Noor Haverkamp'] },
  { name: 'Juniors', members: ['Bela Strand', 'Noor Haverkamp'] },
  { name: 'Masters', members: ['Odile Marchetti', 'Ewout van der Brook-Lindenhof'] },
];

/** The demo's accounts; their passwords stand on the sign-in page. */
export const ACCOUNTS: readonly {
  readonly name: string;
  readonly login: string;
  readonly role: Role;
  readonly password: string;
  readonly squads: readonly string[];
}[] = [
  { name: 'Marit Voss', login: 'marit', role: 'owner', password: 'quiet river owner', squads: [] },
  { name: 'Jonas Eklund', login: 'jonas', role: 'therapist', password: 'quiet river therapist', squads: [] },
  { name: 'Pia Rademaker', login: 'pia', role: 'assistant', password: 'quiet river assistant', squads: [] },
  { name: 'Teo Lindgren', login: 'teo', role: 'coach', password: 'quiet river coach', squads: ['Men’s eight', 'Women’s four'] },
];

/** What the demo practice may do: nothing to the joints, but gently to the ankle. */
export const SCOPE: PracticeScope = {
  mobilizationGrade: 0,
  byRegion: { ankle: 2 },
  frontOfNeck: true,
  ruleText:
    'Joint mobilization is outside the massage licence here. At the ankle grade I–II is delegated in writing by the club’s physiotherapist.',
  ruleLink: 'https://rules.example/massage-scope',
};
