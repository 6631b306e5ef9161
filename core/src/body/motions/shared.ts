/** What many rows of the motion tables share. */
export const both = ['left', 'right'] as const;
export const midline = ['midline'] as const;
export const angle = ['goniometer', 'inclinometer'] as const;
export const byInclinometer = ['inclinometer', 'goniometer'] as const;
export const tape = ['tape'] as const;
/** The motion turns about the vertical in its test position: gravity does not tell how far. */
export const aboutUpright = ['goniometer', 'paired sensors'] as const;

/** Gains usual round by round, in the motion's unit. Common practice, order of magnitude only. */
export const ROUNDS = {
  tiny: [0.8, 0.5, 0.3, 0.2],
  small: [2, 1.2, 0.8, 0.4],
  medium: [2.5, 1.5, 1, 0.5],
  large: [3, 2, 1.2, 0.6],
  leg: [4, 2.5, 1.5, 0.8],
} as const;
