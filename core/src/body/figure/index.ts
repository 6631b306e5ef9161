export { FIGURE_TEMPLATES } from './templates.ts';
export { poseMotion, type Point, type Pose, type PosedFan, type PosedSegment, type PoseRequest } from './pose.ts';
export type { FigureTemplate, MotionFigure, SegmentId, TemplateId, View } from './types.ts';
