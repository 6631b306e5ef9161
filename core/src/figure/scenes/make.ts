import type { BoneId, Place } from '../body.ts';
import type { Contact } from '../hand.ts';
import type { Joints } from '../joints.ts';
import type { HandUse, MarkUse, Scene } from '../scene.ts';

type More = Omit<Scene, 'posture' | 'view' | 'joints' | 'start'>;

const scene =
  (posture: Scene['posture']) =>
  (view: Scene['view'], joints: Joints, start: Joints | null, more: More = {}): Scene => ({
    posture,
    view,
    joints,
    ...(start ? { start } : {}),
    ...more,
  });

export const supine = scene('supine');
export const prone = scene('prone');
export const sideLying = scene('side-lying');
export const upright = scene('upright');

type HandMore = Omit<HandUse, 'contact' | 'at' | 'holds'>;
/** A hand that works. */
export const works = (contact: Contact, at: Place, more: HandMore = {}): HandUse => ({ contact, at, ...more });
/** A hand that keeps its place. */
export const holds = (contact: Contact, at: Place, more: HandMore = {}): HandUse => ({ contact, at, holds: true, ...more });

export const press = (at?: Place, deg?: number): MarkUse => ({
  kind: 'press',
  ...(at ? { at } : {}),
  ...(deg === undefined ? {} : { deg }),
});

export const HEAD: readonly BoneId[] = ['head', 'neck', 'chest'];
export const HEAD_ONLY: readonly BoneId[] = ['head', 'neck'];
export const SHOULDERS: readonly BoneId[] = ['head', 'chest', 'upperArm', 'other.upperArm'];
export const TORSO: readonly BoneId[] = ['head', 'chest', 'pelvis', 'upperArm'];
export const LOWER: readonly BoneId[] = ['shank', 'foot'];
export const HAND: readonly BoneId[] = ['forearm', 'hand'];
