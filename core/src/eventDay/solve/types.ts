/**
 * A day's tasks to be put on its tables. Minutes are whole minutes of the day. A shift is a table while one pair of hands stands at it; a task
 * lies within one shift, and a shift holds one task at a time.
 */
export interface DayShift {
  readonly from: number;
  readonly until: number;
}

/** A time somebody was promised: a begin from `start` to `start + grace` keeps it. */
export interface Kept {
  readonly start: number;
  readonly grace: number;
}

export interface DayTask {
  /** Two tasks of the same person are never at the same time, whichever tables. */
  readonly person: number;
  readonly minutes: number;
  /** Earliest begin, earliest begin of a time that keeps no promise, and latest end. */
  readonly earliest: number;
  readonly newFrom: number;
  readonly latestEnd: number;
  /** What serving it counts: a whole number from 1. */
  readonly weight: number;
  /** What was promised, or null. */
  readonly kept: Kept | null;
  /** It may be given no other time than the promised one. */
  readonly onlyKept: boolean;
  /** Shifts it may lie in, and those among them whose hands were asked for. */
  readonly shifts: readonly number[];
  readonly preferred: readonly number[];
}

export interface DayProblem {
  readonly shifts: readonly DayShift[];
  readonly tasks: readonly DayTask[];
  /** New times are promised in steps of so many minutes. */
  readonly step: number;
  /** Minutes a table needs between two people. */
  readonly turnover: number;
}

export interface DayPlace {
  readonly task: number;
  readonly shift: number;
  readonly start: number;
}

/** What a plan is judged by, the first before the second before the third. */
export interface DayWorth {
  readonly weight: number;
  readonly kept: number;
  readonly preferred: number;
}

export interface DaySolution {
  readonly places: readonly DayPlace[];
  readonly worth: DayWorth;
  /**
   * What is proven: that no plan is better at all; that none serves more, nor keeps more promises while it serves as much; that none serves
   * more; or nothing. Less than all only where it was stopped.
   */
  readonly proven: 'all' | 'promises' | 'weight' | 'nothing';
  /** Parts of the search that were looked into. */
  readonly parts: number;
}

export interface DayControl {
  /** Asked now and then: whether to end with the best that is known. */
  readonly stop?: () => boolean;
}
