export { poseBody, skinAt, type Body, type Bone, type BoneId, type Place } from './body.ts';
export { cameraFor, onPage, type Posture, type View } from './camera.ts';
export { detailAt, drawScene, jointsAt, type Box, type Detail, type Drawing, type DrawOptions, type Shape, type Tone } from './draw.ts';
export { between, type JointKey, type Joints } from './joints.ts';
export { MARK_WORDS } from './marks.ts';
export { REGIONS, type RegionId } from './muscles.ts';
export type { HandUse, MarkUse, PropUse, Scene, Support } from './scene.ts';
export { LIGHT, svgText, type Palette } from './svg.ts';
