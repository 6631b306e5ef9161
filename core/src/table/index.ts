export { CAN_BE_UNDONE, isFromDevice, RUN_EVENT_KINDS, UNDO_MS, type RunEvent, type RunEventBody, type RunEventKind } from './events.ts';
export {
  READY,
  type CueNote,
  type DiscomfortNote,
  type EffortNote,
  type PlaneNote,
  type EdgeNote,
  type RunState,
  type RunStatus,
  type SoftenedNote,
  type Span,
  type SpanEnd,
  type Undo,
} from './state.ts';
export { foldRun, applyEvent, carryTo, adjustmentFor, canSoften, effortNow, lineNow } from './run.ts';
export { walkThrough } from './walkThrough.ts';
export { withOneMore, withoutTheRest, withOtherSideNow, withPiece } from './amend.ts';
export { redrawn, viewRun, nextChangeMs, edgeFromDigits, type TableView } from './view.ts';
export {
  angleWord,
  effortBand,
  effortReached,
  effortWord,
  NO_PRESSING,
  takePressing,
  type AngleWord,
  type EffortBand,
  type EffortReached,
  type EffortWord,
  type Pressing,
} from './live.ts';
export {
  countedByHand,
  pacedPhases,
  paceByKind,
  paceWord,
  practiseResult,
  type PacedPhase,
  type PaceOfKind,
  type PaceWord,
  type PractisedPress,
  type PractiseResult,
} from './practise.ts';
export { ALL_SPOKEN, heardWithin, spokenWords, type HeardAt, type SpokenKinds } from './heard.ts';
export { arcMinutes, capHeightMm, FAR, farType } from './far.ts';
