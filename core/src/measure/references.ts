/**
 * Published reference values, as data.
 * All values were recalled from memory: check against the source before clinical use.
 */

export type ReferenceKind =
  /** The mean of healthy people with the 95 % confidence interval of that mean: where the average lies, not the normal range of one person. */
  | 'mean-ci'
  /** A round clinical value. */
  | 'clinical'
  /** A working range with no single source. */
  | 'working';

export interface SourceOfReference {
  readonly kind: ReferenceKind;
  readonly citation: string;
  readonly short: string;
}

export const SOUCIE: SourceOfReference = {
  kind: 'mean-ci',
  citation:
    'Soucie JM et al. Range of motion measurements: reference values and a database for comparison studies. Haemophilia 2011;17:500–507. Passive, healthy people; mean and 95 % CI of the mean. Recalled from memory.',
  short: 'Soucie 2011',
};

export const AAOS: SourceOfReference = {
  kind: 'clinical',
  citation:
    'American Academy of Orthopaedic Surgeons. Joint Motion (1965) and The Clinical Measurement of Joint Motion (1994). Round clinical values. Recalled from memory.',
  short: 'AAOS',
};

export const WORKING: SourceOfReference = {
  kind: 'working',
  citation: 'Common working value, no single source.',
  short: 'working value',
};

/** Ages in whole years, both ends included. */
export interface AgeGroup {
  readonly from: number;
  readonly to: number;
}

export const SOUCIE_AGES: readonly AgeGroup[] = [
  { from: 9, to: 19 },
  { from: 20, to: 44 },
  { from: 45, to: 69 },
];

/** Mean, lower and upper limit of the 95 % CI of the mean, degrees. */
export type MeanCi = readonly [mean: number, low: number, high: number];

export interface SoucieRow {
  readonly female: readonly [MeanCi, MeanCi, MeanCi];
  readonly male: readonly [MeanCi, MeanCi, MeanCi];
}

/** Rows by motion id; the three columns are the age groups of `SOUCIE_AGES`. */
export const SOUCIE_ROWS: Readonly<Record<string, SoucieRow>> = {
  'hip-extension-knee-straight': {
    female: [
      [20.5, 18.6, 22.4],
      [18.1, 17.0, 19.2],
      [16.7, 15.5, 17.9],
    ],
    male: [
      [18.2, 16.6, 19.8],
      [17.4, 16.3, 18.5],
      [13.5, 12.5, 14.5],
    ],
  },
  'hip-flexion': {
    female: [
      [134.9, 133.0, 136.8],
      [133.8, 132.5, 135.1],
      [130.8, 129.2, 132.4],
    ],
    male: [
      [135.2, 133.0, 137.4],
      [130.4, 129.0, 131.8],
      [127.2, 125.7, 128.7],
    ],
  },
  'knee-flexion': {
    female: [
      [142.3, 140.8, 143.8],
      [141.9, 140.9, 142.9],
      [137.8, 136.5, 139.1],
    ],
    male: [
      [142.2, 140.4, 144.0],
      [137.7, 136.5, 138.9],
      [132.9, 131.6, 134.2],
    ],
  },
  'ankle-dorsiflexion': {
    female: [
      [17.3, 15.6, 19.0],
      [13.8, 12.9, 14.7],
      [11.6, 10.6, 12.6],
    ],
    male: [
      [16.3, 14.6, 18.0],
      [12.7, 11.6, 13.8],
      [11.9, 10.9, 12.9],
    ],
  },
  'ankle-plantar-flexion': {
    female: [
      [57.3, 54.8, 59.8],
      [62.1, 60.6, 63.6],
      [56.5, 55.0, 58.0],
    ],
    male: [
      [52.8, 50.8, 54.8],
      [54.6, 53.2, 56.0],
      [49.4, 47.7, 51.1],
    ],
  },
  'shoulder-flexion': {
    female: [
      [171.8, 169.8, 173.8],
      [172.0, 170.9, 173.1],
      [168.1, 166.7, 169.5],
    ],
    male: [
      [170.9, 169.1, 172.7],
      [168.8, 167.3, 170.3],
      [164.0, 162.3, 165.7],
    ],
  },
  'knee-extension': {
    female: [
      [2.4, 1.5, 3.3],
      [1.6, 1.1, 2.1],
      [1.2, 0.7, 1.7],
    ],
    male: [
      [1.8, 0.9, 2.7],
      [1.0, 0.6, 1.4],
      [0.5, 0.1, 0.9],
    ],
  },
  'elbow-flexion': {
    female: [
      [149.7, 148.5, 150.9],
      [150.0, 149.1, 150.9],
      [148.3, 147.3, 149.3],
    ],
    male: [
      [148.3, 147.1, 149.5],
      [144.6, 143.6, 145.6],
      [143.5, 142.3, 144.7],
    ],
  },
  'elbow-extension': {
    female: [
      [6.4, 4.7, 8.1],
      [4.7, 3.9, 5.5],
      [3.6, 2.6, 4.6],
    ],
    male: [
      [5.3, 3.6, 7.0],
      [0.8, 0.1, 1.5],
      [-0.7, -1.5, 0.1],
    ],
  },
  'forearm-pronation': {
    female: [
      [81.2, 79.6, 82.8],
      [82.0, 81.0, 83.0],
      [80.8, 79.7, 81.9],
    ],
    male: [
      [79.8, 77.8, 81.8],
      [76.9, 75.6, 78.2],
      [77.7, 76.5, 78.9],
    ],
  },
  'forearm-supination': {
    female: [
      [90.0, 88.0, 92.0],
      [90.6, 89.2, 92.0],
      [87.2, 86.0, 88.4],
    ],
    male: [
      [87.8, 85.7, 89.9],
      [85.0, 83.8, 86.2],
      [82.4, 80.9, 83.9],
    ],
  },
};

/**
 * People in a group of the table: about 50 to 150, recalled from memory. Their number turns the interval of the mean into the spread
 * of persons: SD = half the interval · √n / 1.96.
 */
export const SOUCIE_PEOPLE = 100;

/** Where the position of the table is not quite ours, the spread is at least this, degrees. Recalled from memory. */
export const SPREAD_AT_LEAST: Readonly<Record<string, number>> = { 'shoulder-flexion': 8, 'ankle-dorsiflexion': 4.5 };

/** The middle and the spread of healthy persons, by sex where that matters, in the motion's unit; how sure we are of the middle, percent. */
export interface GeneralRow {
  readonly mean: number;
  readonly women?: number;
  readonly men?: number;
  readonly sd: number;
  readonly sure: number;
  readonly source: SourceOfReference;
}

export const OGINCE: SourceOfReference = {
  kind: 'clinical',
  short: 'Ogince 2007',
  citation: 'Ogince M et al. Man Ther 2007;12:256–262: about 44 with the chin down, under 32 counts. Recalled from memory.',
};

export const JOHNSON: SourceOfReference = {
  kind: 'working',
  short: 'Johnson 2012',
  citation:
    'Johnson KD et al. Reliability of thoracic spine rotation range-of-motion measurements in healthy adults. J Athl Train 2012;47:52–60. Recalled from memory; spread assumed.',
};

const general = (mean: number, sd: number, sure: number, source: SourceOfReference = WORKING): GeneralRow => ({ mean, sd, sure, source });
const bySex = (women: number, men: number, sd: number, sure: number, source: SourceOfReference = WORKING): GeneralRow => ({
  mean: (women + men) / 2,
  women,
  men,
  sd,
  sure,
  source,
});

/**
 * Values for ages 9 to 69, by motion id. All are recalled from memory, middle and spread, with how sure we are; where a round clinical
 * value belongs to another position or another instrument than ours, the value here is the one that fits ours (docs/sources.md).
 */
export const GENERAL_ROWS: Readonly<Record<string, GeneralRow>> = {
  'straight-leg-raise': general(80, 11, 75),
  'straight-leg-raise-active': general(75, 11, 70),
  'knee-extension-hip-90': bySex(20, 29, 10, 75),
  'knee-extension-hip-90-passive': bySex(14, 22, 9, 60),
  'ankle-lunge': general(40, 5.5, 80),
  'ankle-lunge-knee-straight': general(34, 6, 55),
  'knee-to-wall': general(10.5, 3, 75),
  'hip-internal-rotation': bySex(43, 36, 8.5, 80),
  'hip-external-rotation': general(40, 8, 75),
  'hip-internal-rotation-seated': bySex(41, 36, 8, 80),
  'hip-external-rotation-seated': general(37, 7, 80),
  'hip-abduction': general(42, 7.5, 75, AAOS),
  'hip-adduction': general(27, 5.5, 65, AAOS),
  'hip-flexion-active': general(121, 9, 75, AAOS),
  'hip-extension-table-end': general(9, 7, 55),
  'shoulder-internal-rotation': general(55, 9, 85),
  'shoulder-external-rotation': general(94, 10, 75, AAOS),
  'shoulder-external-rotation-side': general(65, 12, 55),
  'shoulder-internal-rotation-lying': general(48, 11, 55),
  'shoulder-flexion-back-free': general(172, 8, 80),
  'shoulder-flexion-active': general(166, 8, 90),
  'shoulder-extension': general(56, 9, 65, AAOS),
  'shoulder-abduction': general(175, 10, 65, AAOS),
  'shoulder-abduction-active': general(168, 10, 65, AAOS),
  'shoulder-horizontal-adduction': general(28, 9, 50),
  'trunk-rotation-locked': general(47, 9, 45, JOHNSON),
  'tibial-internal-rotation': general(25, 7, 35),
  'tibial-external-rotation': general(36, 8, 35),
  'trunk-rotation': general(46, 9, 60, AAOS),
  'trunk-side-bend': general(33, 7, 65, AAOS),
  'trunk-flexion': general(60, 9, 90),
  'trunk-extension': general(25, 8, 70, AAOS),
  'neck-rotation': general(72, 8.5, 75),
  'neck-rotation-supine': general(78, 9, 65),
  'neck-side-bend': general(43, 7.5, 70, AAOS),
  'neck-side-bend-supine': general(45, 8, 60, AAOS),
  'neck-flexion': general(52, 9.5, 65, AAOS),
  'neck-extension': general(67, 10.5, 80),
  'neck-rotation-bent': general(44, 6.1, 85, OGINCE),
  'wrist-flexion': general(76, 9, 70, AAOS),
  'wrist-extension': general(70, 9.5, 70, AAOS),
  'wrist-radial-deviation': general(20, 5.5, 65, AAOS),
  'wrist-ulnar-deviation': general(35, 7, 60, AAOS),
  'knee-flexion-prone': general(133, 8, 70, AAOS),
  'ankle-dorsiflexion-knee-bent': general(18, 5.5, 65, AAOS),
  'ankle-dorsiflexion-active': general(13, 4.5, 80),
  'subtalar-inversion': general(25, 6, 85),
  'subtalar-eversion': general(8, 3.2, 85),
  'big-toe-extension': general(74, 13, 60, AAOS),
  'big-toe-flexion': general(40, 11, 55, AAOS),
};

/** Ages the tables and values hold for. */
export const REFERENCE_AGES: AgeGroup = { from: 9, to: 69 };
