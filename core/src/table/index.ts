export { RUN_EVENT_KINDS, type RunEvent, type RunEventBody, type RunEventKind } from './events.ts';
export { READY, type RunState, type RunStatus, type Span, type SpanEnd, type EdgeNote, type DiscomfortNote } from './state.ts';
export { foldRun, applyEvent, carryTo, adjustmentFor, effortNow } from './run.ts';
export { redrawn, viewRun, nextChangeMs, edgeFromDigits, type TableView } from './view.ts';
