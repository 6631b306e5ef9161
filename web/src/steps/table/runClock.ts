/**
 * The run's clock: milliseconds since the run began, read off one monotonic start.
 *
 * The model: run time = time it was started at + (monotonic now − monotonic start) · rate. Nothing is ever added
 * up, so a missed frame, a late timer or a page in the background cannot make it drift; whoever asks later simply
 * reads a later time. The rate is 1 at the table and more only when a plan is walked through quickly.
 */
export class RunClock {
  private start: { readonly runMs: number; readonly monotonicMs: number } | null = null;

  constructor(
    private readonly monotonicNow: () => number,
    readonly rate = 1,
  ) {}

  get isRunning(): boolean {
    return this.start !== null;
  }

  /** Starts, or goes on after the program was closed, at a time on the run's own clock. */
  startAt(runMs: number): void {
    this.start = { runMs, monotonicMs: this.monotonicNow() };
  }

  /** Whole milliseconds of run time; 0 before the start. */
  now(): number {
    if (!this.start) return 0;
    return Math.floor(this.start.runMs + (this.monotonicNow() - this.start.monotonicMs) * this.rate);
  }

  /** The monotonic moment of a run time. */
  monotonicAt(runMs: number): number {
    if (!this.start) return Infinity;
    return this.start.monotonicMs + (runMs - this.start.runMs) / this.rate;
  }
}
