import { SEATED, SUPINE_ABOVE } from '../poses.ts';
import { make, HEAD, seatedOnTable, type MotionScene } from './make.ts';

export const NECK: Readonly<Record<string, MotionScene>> = {
  'neck-rotation': make('crown', 'upright', SEATED, { neckTurn: [0, 1] }, 'eyes', 'nose', {
    ...seatedOnTable,
    frame: ['head', 'upperArm', 'other.upperArm', 'chest'],
    central: true,
  }),
  'neck-side-bend': make('front', 'upright', SEATED, { neckSide: [0, 1] }, 'neck:near', 'crown', {
    ...seatedOnTable,
    frame: HEAD,
    central: true,
  }),
  'neck-flexion': make('side', 'upright', SEATED, { neck: [0, 0.8], nod: [0, 0.2] }, 'neck:near', 'crown', {
    ...seatedOnTable,
    frame: HEAD,
  }),
  'neck-extension': make('side', 'upright', SEATED, { neck: [0, -0.7], nod: [0, -0.3] }, 'neck:near', 'crown', {
    ...seatedOnTable,
    frame: HEAD,
  }),
  'neck-rotation-supine': make('crown', 'supine', SUPINE_ABOVE, { neckTurn: [0, 1] }, 'eyes', 'nose', {
    frame: ['head', 'chest'],
    without: ['arm', 'other arm', 'legs'],
    central: true,
  }),
  'neck-side-bend-supine': make('front', 'supine', SUPINE_ABOVE, { neckSide: [0, 1] }, 'neck:near', 'crown', {
    frame: HEAD,
    central: true,
  }),
  'neck-rotation-bent': make('crown', 'supine', { ...SUPINE_ABOVE, neck: 34 }, { neckTurn: [0, 1] }, 'eyes', 'nose', {
    frame: ['head', 'chest'],
    without: ['arm', 'other arm', 'legs'],
    central: true,
  }),
  'chin-to-chest': make('side', 'upright', SEATED, { neck: [46, -3.6], nod: [8, -0.7] }, 'neck:near', 'crown', {
    ...seatedOnTable,
    frame: ['head', 'neck', 'chest'],
  }),
};
