export { about, AXES, inverse, multiply, normalise, turnDeg, type Axis, type Quaternion, type Vector } from './quaternion.ts';
export { decompose, relative, type PlaneAngle, type SensorPair } from './decompose.ts';
export { motionAxis, OFF_PLANE_WARN_DEG, offPlaneWords } from './plane.ts';
export { NOT_STEADY, startAt, STEADY_MS, takeSample, type AngleSample, type SteadyState } from './steady.ts';
export { effortPct, maximumOf, NO_FORCE, takeForce, type ForceSample, type ForceState } from './force.ts';
export {
  PROTOCOL,
  readDeviceMessage,
  type DeviceKind,
  type DeviceMessage,
  type QuaternionTuple,
  type ScriptStep,
  type ToDevice,
} from './protocol.ts';
