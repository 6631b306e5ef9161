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
  citation: 'Soucie JM et al. Range of motion measurements: reference values and a database for comparison studies. Haemophilia 2011;17:500–507. Passive, healthy people; mean and 95 % CI of the mean. Recalled from memory.',
  short: 'Soucie 2011',
};

export const AAOS: SourceOfReference = {
  kind: 'clinical',
  citation: 'American Academy of Orthopaedic Surgeons. Joint Motion (1965) and The Clinical Measurement of Joint Motion (1994). Round clinical values. Recalled from memory.',
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
    female: [[20.5, 18.6, 22.4], [18.1, 17.0, 19.2], [16.7, 15.5, 17.9]],
    male: [[18.2, 16.6, 19.8], [17.4, 16.3, 18.5], [13.5, 12.5, 14.5]],
  },
  'hip-flexion': {
    female: [[134.9, 133.0, 136.8], [133.8, 132.5, 135.1], [130.8, 129.2, 132.4]],
    male: [[135.2, 133.0, 137.4], [130.4, 129.0, 131.8], [127.2, 125.7, 128.7]],
  },
  'knee-flexion': {
    female: [[142.3, 140.8, 143.8], [141.9, 140.9, 142.9], [137.8, 136.5, 139.1]],
    male: [[142.2, 140.4, 144.0], [137.7, 136.5, 138.9], [132.9, 131.6, 134.2]],
  },
  'ankle-dorsiflexion': {
    female: [[17.3, 15.6, 19.0], [13.8, 12.9, 14.7], [11.6, 10.6, 12.6]],
    male: [[16.3, 14.6, 18.0], [12.7, 11.6, 13.8], [11.9, 10.9, 12.9]],
  },
  'ankle-plantar-flexion': {
    female: [[57.3, 54.8, 59.8], [62.1, 60.6, 63.6], [56.5, 55.0, 58.0]],
    male: [[52.8, 50.8, 54.8], [54.6, 53.2, 56.0], [49.4, 47.7, 51.1]],
  },
  'shoulder-flexion': {
    female: [[171.8, 169.8, 173.8], [172.0, 170.9, 173.1], [168.1, 166.7, 169.5]],
    male: [[170.9, 169.1, 172.7], [168.8, 167.3, 170.3], [164.0, 162.3, 165.7]],
  },
  'knee-extension': {
    female: [[2.4, 1.5, 3.3], [1.6, 1.1, 2.1], [1.2, 0.7, 1.7]],
    male: [[1.8, 0.9, 2.7], [1.0, 0.6, 1.4], [0.5, 0.1, 0.9]],
  },
  'elbow-flexion': {
    female: [[149.7, 148.5, 150.9], [150.0, 149.1, 150.9], [148.3, 147.3, 149.3]],
    male: [[148.3, 147.1, 149.5], [144.6, 143.6, 145.6], [143.5, 142.3, 144.7]],
  },
  'elbow-extension': {
    female: [[6.4, 4.7, 8.1], [4.7, 3.9, 5.5], [3.6, 2.6, 4.6]],
    male: [[5.3, 3.6, 7.0], [0.8, 0.1, 1.5], [-0.7, -1.5, 0.1]],
  },
  'forearm-pronation': {
    female: [[81.2, 79.6, 82.8], [82.0, 81.0, 83.0], [80.8, 79.7, 81.9]],
    male: [[79.8, 77.8, 81.8], [76.9, 75.6, 78.2], [77.7, 76.5, 78.9]],
  },
  'forearm-supination': {
    female: [[90.0, 88.0, 92.0], [90.6, 89.2, 92.0], [87.2, 86.0, 88.4]],
    male: [[87.8, 85.7, 89.9], [85.0, 83.8, 86.2], [82.4, 80.9, 83.9]],
  },
};

/** Values that hold for every age and sex, by motion id, in the motion's unit. */
export const GENERAL_ROWS: Readonly<Record<string, { readonly low: number; readonly high: number; readonly source: SourceOfReference }>> = {
  'straight-leg-raise': { low: 70, high: 90, source: WORKING },
  'knee-extension-hip-90': { low: 0, high: 20, source: WORKING },
  'ankle-lunge': { low: 35, high: 45, source: WORKING },
  'knee-to-wall': { low: 10, high: 10, source: WORKING },
  'hip-internal-rotation': { low: 45, high: 45, source: AAOS },
  'hip-external-rotation': { low: 45, high: 45, source: AAOS },
  'hip-abduction': { low: 45, high: 45, source: AAOS },
  'shoulder-internal-rotation': { low: 70, high: 70, source: AAOS },
  'shoulder-external-rotation': { low: 90, high: 90, source: AAOS },
  'trunk-rotation': { low: 45, high: 45, source: AAOS },
  'trunk-side-bend': { low: 35, high: 35, source: AAOS },
  'neck-rotation': { low: 60, high: 60, source: AAOS },
  'neck-side-bend': { low: 45, high: 45, source: AAOS },
  'neck-flexion': { low: 45, high: 45, source: AAOS },
  'neck-extension': { low: 45, high: 45, source: AAOS },
  'neck-rotation-supine': { low: 60, high: 60, source: AAOS },
  'neck-side-bend-supine': { low: 45, high: 45, source: AAOS },
  'shoulder-flexion-back-free': { low: 180, high: 180, source: AAOS },
  'shoulder-flexion-active': { low: 180, high: 180, source: AAOS },
  'shoulder-extension': { low: 60, high: 60, source: AAOS },
  'shoulder-abduction': { low: 180, high: 180, source: AAOS },
  'shoulder-abduction-active': { low: 180, high: 180, source: AAOS },
  'wrist-flexion': { low: 80, high: 80, source: AAOS },
  'wrist-extension': { low: 70, high: 70, source: AAOS },
  'wrist-radial-deviation': { low: 20, high: 20, source: AAOS },
  'wrist-ulnar-deviation': { low: 30, high: 30, source: AAOS },
  'hip-adduction': { low: 30, high: 30, source: AAOS },
  'hip-flexion-active': { low: 120, high: 120, source: AAOS },
  'hip-internal-rotation-seated': { low: 45, high: 45, source: AAOS },
  'hip-external-rotation-seated': { low: 45, high: 45, source: AAOS },
  'knee-flexion-prone': { low: 135, high: 135, source: AAOS },
  'ankle-dorsiflexion-knee-bent': { low: 20, high: 20, source: AAOS },
  'subtalar-inversion': { low: 35, high: 35, source: AAOS },
  'subtalar-eversion': { low: 15, high: 15, source: AAOS },
  'trunk-flexion': { low: 80, high: 80, source: AAOS },
  'trunk-extension': { low: 25, high: 25, source: AAOS },
  'big-toe-extension': { low: 70, high: 70, source: AAOS },
  'big-toe-flexion': { low: 45, high: 45, source: AAOS },
  'ankle-dorsiflexion-active': { low: 20, high: 20, source: AAOS },
  'straight-leg-raise-active': { low: 70, high: 90, source: WORKING },
  'knee-extension-hip-90-passive': { low: 0, high: 20, source: WORKING },
};
