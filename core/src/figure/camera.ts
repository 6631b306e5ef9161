import { cross, dot, times, type Frame, type Pt, type Vec } from './space.ts';

/** How the body lies or stands. Side-lying: the worked side up. */
export const POSTURES = ['supine', 'prone', 'side-lying', 'upright'] as const;
export type Posture = (typeof POSTURES)[number];

/** From where the athlete is looked at, named by what faces the viewer. */
export const VIEWS = ['side', 'inside', 'front', 'back', 'crown', 'feet'] as const;
export type View = (typeof VIEWS)[number];

/** A way of looking: unit vectors to the right and up on the page and toward the viewer, in the body's own directions. */
export interface Camera {
  readonly right: Vec;
  readonly up: Vec;
  readonly toward: Vec;
}

const L: Vec = [1, 0, 0];
const U: Vec = [0, 1, 0];
const F: Vec = [0, 0, 1];
const minus = (v: Vec): Vec => times(v, -1);

const TOWARD: Readonly<Record<View, Vec>> = { side: minus(L), inside: L, front: F, back: minus(F), crown: U, feet: minus(U) };
/** What is up against gravity. */
const AGAINST: Readonly<Record<Posture, Vec>> = { supine: F, prone: minus(F), 'side-lying': minus(L), upright: U };

/**
 * The camera for a view of a posture. Seen along gravity there is no up on the page: the head lies to the left and the worked side
 * toward the foot of the page, where the therapist stands; an upright body from above has its front at the top. Everything else has
 * gravity down, and a lying body its head to the left: where that needs a mirror, `flip` says so, and the picture is the one of the
 * left side.
 * @example cameraFor('supine', 'side').toward[0] // → -1
 */
export function cameraFor(posture: Posture, view: View): Camera & { readonly flip: boolean; readonly plan: boolean } {
  const toward = TOWARD[view];
  const gravityUp = AGAINST[posture];
  const along = dot(toward, gravityUp);
  const plan = Math.abs(along) > 0.5;
  let up: Vec = gravityUp;
  if (plan) up = posture === 'upright' ? F : posture === 'side-lying' ? F : L;
  const right = cross(up, toward);
  // The head of a lying body goes to the left.
  const flip = posture !== 'upright' && dot(right, U) > 0.5;
  return { right: flip ? minus(right) : right, up, toward, flip, plan };
}

/** Projection on the page, y down. */
export const onPage = (camera: Camera, v: Vec): Pt => [dot(v, camera.right), -dot(v, camera.up)];
export const frameOnPage = (camera: Camera, frame: Frame) => ({
  l: onPage(camera, frame.l),
  u: onPage(camera, frame.u),
  f: onPage(camera, frame.f),
  toL: dot(frame.l, camera.toward),
  toU: dot(frame.u, camera.toward),
  toF: dot(frame.f, camera.toward),
});
