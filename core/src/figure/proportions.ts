/**
 * Lengths of an adult body of 175 cm, in centimetres. Shares of stature after Drillis and Contini (1966), as given in Winter,
 * Biomechanics and Motor Control of Human Movement (from memory); the split of the trunk and the places of the joint
 * centres across the body are common practice.
 */
export const STATURE = 175;

export const LENGTHS = {
  thigh: 0.245 * STATURE,
  shank: 0.246 * STATURE,
  ankleHeight: 0.039 * STATURE,
  foot: 0.152 * STATURE,
  upperArm: 0.186 * STATURE,
  forearm: 0.146 * STATURE,
  hand: 0.108 * STATURE,
  pelvis: 13.4,
  waist: 10,
  chest: 27,
  neck: 10.5,
  /** Half the distance between the hip joints, and between the shoulder joints. */
  hipHalf: 8.6,
  shoulderHalf: 17.3,
  shoulderDrop: 4,
} as const;
