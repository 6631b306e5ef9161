import type { Doing } from './types.ts';

const DEEP = ['deep-rotators', 'gluteus-maximus'] as const;
/** A bent hip and knee. */
const BENT = { postures: { 'knee flexion': 90 } } as const;

export const HIP_DOING: Readonly<Record<string, Doing>> = {
  'iliopsoas-prone': { moves: ['trunk extension'], held: 'thigh', muscles: ['iliopsoas', 'rectus-femoris'] },
  'gluteus-bent-knee-turn': {
    moves: ['hip internal rotation', 'trunk flexion'],
    held: 'lower leg',
    muscles: DEEP,
    postures: { 'knee flexion': 110, 'hip flexion': 100 },
  },
  'ninety-turn-out': {
    moves: ['knee twist'],
    held: 'lower leg',
    muscles: [...DEEP, 'gluteus-medius'],
    postures: { 'knee flexion': 90, 'hip flexion': 90 },
  },
  'foot-on-hip-adductor': {
    moves: ['hip flexion'],
    held: 'thigh',
    muscles: ['adductors'],
    postures: { 'hip flexion': 70, 'knee flexion': 90 },
  },
  'figure-four-beside': {
    moves: ['hip flexion'],
    held: 'thigh',
    muscles: ['adductors', 'deep-rotators'],
    postures: { 'hip flexion': 60, 'knee flexion': 100 },
  },
  'figure-four-above': {
    moves: ['knee twist', 'hip abduction'],
    held: 'lower leg',
    muscles: [...DEEP, 'gluteus-medius'],
    postures: { 'hip flexion': 100, 'knee flexion': 90 },
  },
  'adductors-walk-out': { held: 'lower leg', muscles: ['adductors'] },
  'leg-across-straight': { moves: ['straight-leg raise', 'trunk rotation'], held: 'ankle', muscles: ['tensor', 'gluteus-medius'] },
  'leg-across-bent': {
    moves: ['hip flexion', 'hip internal rotation', 'trunk rotation'],
    held: 'lower leg',
    muscles: ['gluteus-medius', 'deep-rotators'],
    postures: { 'hip flexion': 80, 'knee flexion': 90 },
  },
  'hip-circling': {
    moves: ['hip across the midline', 'hip abduction', 'hip internal rotation', 'hip external rotation', 'knee flexion', 'knee twist'],
    held: 'ankle',
    muscles: DEEP,
    postures: { 'hip flexion': 100, 'knee flexion': 100 },
    on: ['thigh-front'],
  },
  'gluteus-maximus-reps': {
    moves: ['hip across the midline'],
    held: 'lower leg',
    muscles: ['gluteus-maximus'],
    postures: { 'knee flexion': 110, 'hip flexion': 100 },
  },
  'piriformis-reps': { moves: ['hip flexion'], held: 'lower leg', muscles: ['deep-rotators'], ...BENT },
  'gluteals-comfort-press': {
    moves: ['hip extension'],
    held: 'lower leg',
    muscles: ['gluteus-medius', 'gluteus-maximus', 'deep-rotators'],
    on: ['buttock'],
    nerves: ['leg-back'],
    ...BENT,
  },
  'outward-rotators-prone': { moves: ['knee twist'], held: 'lower leg', muscles: ['deep-rotators'], on: ['pelvis'], ...BENT },
  'inward-rotators-prone': { moves: ['knee twist'], held: 'lower leg', muscles: ['tensor', 'gluteus-medius'], on: ['pelvis'], ...BENT },
  'psoas-sink': { keeps: ['hip flexion'], muscles: ['iliopsoas'], on: ['belly'], squeezes: ['belly'] },
  'iliacus-supine': { held: 'lower leg', muscles: ['iliopsoas'], on: ['belly', 'hip'], squeezes: ['belly'] },
  'iliacus-side-lying': { keeps: ['hip flexion'], muscles: ['iliopsoas'], on: ['belly', 'hip'], squeezes: ['belly'] },
  'groin-attachment-shake': {
    keeps: ['hip flexion', 'hip abduction'],
    held: 'lower leg',
    muscles: ['iliopsoas'],
    on: ['groin'],
    kind: 'broad',
  },
  'groin-opening': { moves: ['hip flexion'], held: 'thigh', muscles: ['adductors'], postures: { 'hip flexion': 50, 'knee flexion': 90 } },
  'groin-comfort': {
    keeps: ['hip across the midline'],
    held: 'thigh',
    muscles: ['adductors'],
    on: ['groin', 'thigh-inner'],
    kind: 'point',
  },
  'sacroiliac-twist': {
    goes: { 'lumbar-rotation': 'opposite' },
    keeps: ['hip flexion', 'hip across the midline'],
    held: 'pelvis',
    muscles: [],
    on: ['pelvis'],
    kind: 'broad',
  },
  'buttock-wake-up': { muscles: ['gluteus-maximus', 'gluteus-medius'], on: ['buttock'], kind: 'percussion' },
  'sacral-edge-presses': { muscles: ['gluteus-maximus'], on: ['pelvis', 'buttock'], squeezes: ['spine'] },
  'leg-pull': { held: 'ankle', pulls: 'hip', muscles: [] },
  'hip-long-axis-rock': { moves: ['hip abduction', 'hip flexion'], held: 'ankle', pulls: 'hip', muscles: [] },
};
