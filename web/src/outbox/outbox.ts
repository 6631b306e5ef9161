import { ApiProblem } from '../api/api.ts';
import { asTried, joined, problemOf, rebased, refusalOf, type Change, type ChangeDraft } from './change.ts';
import type { ChangeStorage, OpenPages } from './storage.ts';

/** Pauses between tries, growing, in milliseconds. */
const RETRY_MS = [500, 1000, 2000, 4000, 8000, 15_000, 30_000] as const;
/** How often a page looks for what pages that have gone left behind, in milliseconds. */
const ADOPT_MS = 30_000;
/** How often a change that came too late is brought up to what stands before somebody has to look at it. */
const REBASE_MOST = 5;

export interface OutboxDeps {
  /** Sends one change; throws ApiProblem for everything but the answer. */
  readonly send: (change: Change) => Promise<unknown>;
  readonly storage: ChangeStorage;
  readonly pages: OpenPages;
  /** Something is different now. */
  readonly onUpdate: () => void;
  readonly onAnswer: (change: Change, answer: unknown) => void;
  /** Puts what was answered into what is kept of the record for the time without a line. Where nothing can be kept, nothing is; it does not fail. */
  readonly keep: (change: Change, answer: unknown) => Promise<void>;
  readonly onRefusal: (change: Change) => void;
}

interface Waiter {
  readonly resolve: (answer: unknown) => void;
  readonly reject: (problem: ApiProblem) => void;
}

interface Lane {
  working: Promise<void>;
  /** Set and cleared in the same breath as the loop's first and last look at the list: no change falls between. */
  isWorking: boolean;
  /** Somebody wanted it sent while it was at it: it looks once more before it rests. */
  askedAgain: boolean;
  timer: ReturnType<typeof setTimeout> | undefined;
  tries: number;
}

/**
 * Everything somebody has changed and the server has not acknowledged, of one account.
 *
 * The model: changes are intents in one list, in the order they were made. Each record is a lane with one request under way
 * at a time, so that a reading and its correction, a plan and its run arrive in order; lanes do not wait for one another.
 * A change leaves the list in two ways only: the server answered it, or somebody dropped it. No answer, a failed server and a
 * session that ended leave it where it is, to be sent again under the same id; a refusal leaves it where it is as well, but
 * lets the lane go on, because what is refused will be refused again. What the list holds is the truth; the browser's storage
 * mirrors it, in the order of the changes, and when it fails the list goes on and says so.
 */
export class Outbox {
  private list: Change[] = [];
  private readonly lanes = new Map<string, Lane>();
  private readonly sending = new Set<string>();
  private readonly waiters = new Map<string, Waiter[]>();
  private readonly rebases = new Map<string, number>();
  private owner: string | null = null;
  private order = 0;
  private problem: ApiProblem | null = null;
  private mirrored = true;
  /** What the storage does not say yet: the change as it is now, or null for one that is gone, and whose it is. */
  private readonly unmirrored = new Map<
    string,
    { readonly account: string; readonly change: Change | null; readonly first?: (() => Promise<void>) | undefined }
  >();
  private mirroring: Promise<void> = Promise.resolve();
  private adoptTimer: ReturnType<typeof setInterval> | undefined;
  private readonly answered = new Map<string, number>();

  constructor(private readonly deps: OutboxDeps) {}

  get changes(): readonly Change[] {
    return this.list;
  }
  /** Why the last try failed; null when it did not. */
  get lastProblem(): ApiProblem | null {
    return this.problem;
  }
  /** Whether what is not sent would outlive this page. */
  get isStored(): boolean {
    return this.mirrored;
  }
  /** How many changes of a record were answered since the page was opened: whoever loads it sees whether it moved meanwhile. */
  answersOf = (record: string): number => this.answered.get(record) ?? 0;

  /** Takes up an account's changes and sends them. Whatever another account left is neither shown nor sent. */
  async open(account: string): Promise<void> {
    if (this.owner === account) return this.wake();
    this.close();
    this.owner = account;
    await this.adopt();
    if (!this.deps.pages.canTell) return;
    this.adoptTimer = setInterval(() => void this.adopt(), ADOPT_MS);
    (this.adoptTimer as { unref?: () => void }).unref?.();
  }

  /** Forgets the account's changes here; what is stored stays stored. */
  close(): void {
    clearInterval(this.adoptTimer);
    for (const lane of this.lanes.values()) clearTimeout(lane.timer);
    this.lanes.clear();
    this.owner = null;
    this.list = [];
    this.sending.clear();
    this.waiters.clear();
    this.problem = null;
    this.deps.onUpdate();
  }

  /**
   * Adds a change, or joins it to the one that waits at its spot. Resolves with the server's answer, or with null when the
   * server could not be reached: then it is kept and sent as soon as may be. Rejects with the ApiProblem when it was refused.
   * `pauseMs`: more of the same is expected within that time.
   */
  put(draft: ChangeDraft, pauseMs = 0): Promise<unknown> {
    // What was refused is given up for what is put in its place. Fields that were refused go along with those typed since, and events
    // that were refused are still what happened.
    if (draft.join === 'replace' || draft.join === 'none')
      for (const refused of this.list.filter((each) => each.record === draft.record && each.spot === draft.spot && each.refusal))
        this.remove(refused.id);
    const last = this.list.findLast((each) => each.record === draft.record && each.spot === draft.spot);
    const whole = last && !this.sending.has(last.id) ? joined(last, draft) : null;
    const id = whole?.id ?? draft.id;
    if (whole) this.replace(whole);
    else {
      // After everything that waits, whatever the clock says: it may have been set back.
      this.order = Math.max(this.order + 1, Date.now() * 1000, ...this.list.map((each) => each.order + 1));
      this.list = [...this.list, { ...draft, order: this.order, madeAt: new Date().toISOString(), tried: [], refusal: null }];
      this.store(draft.id);
    }
    const settled = new Promise<unknown>((resolve, reject) => {
      this.waiters.set(id, [...(this.waiters.get(id) ?? []), { resolve, reject }]);
    });
    settled.catch(() => undefined);
    this.deps.onUpdate();
    const lane = this.laneOf(draft.record);
    clearTimeout(lane.timer);
    if (pauseMs > 0) lane.timer = setTimeout(() => void this.flush(draft.record), pauseMs);
    else void this.flush(draft.record);
    return settled;
  }

  /** Drops what is not wanted any more; what is on its way just now is not dropped. Returns whether it is gone. */
  drop(id: string): boolean {
    if (this.sending.has(id)) return false;
    this.settle(id, null);
    this.remove(id);
    this.deps.onUpdate();
    return true;
  }

  /** Drops the last change at a spot that was never tried and corrects nothing: it was taken back before anybody else knew of it. Returns whether there was one. */
  takeBack(record: string, spot: string): boolean {
    const last = this.list.findLast((each) => each.record === record && each.spot === spot);
    return last !== undefined && last.tried.length === 0 && last.body.supersedes === null && this.drop(last.id);
  }

  /** Sends a refused change once more, knowingly: over what stands now. */
  insist(id: string): Promise<void> {
    const change = this.list.find((each) => each.id === id);
    if (!change?.refusal) return Promise.resolve();
    const current = change.refusal.current as { revision?: unknown } | null;
    this.replace({
      ...change,
      refusal: null,
      revision: change.revision && typeof current?.revision === 'number' ? { ...change.revision, base: current.revision } : change.revision,
    });
    this.deps.onUpdate();
    return this.flush(change.record);
  }

  /** Sends now what waits, of one record or of all; resolves when nothing does, or nothing more can be sent for now. */
  async flush(record?: string): Promise<void> {
    const records = record === undefined ? [...new Set(this.list.map((each) => each.record))] : [record];
    await Promise.all(
      records.map((each) => {
        const lane = this.laneOf(each);
        clearTimeout(lane.timer);
        if (lane.isWorking) lane.askedAgain = true;
        else lane.working = this.work(each, lane);
        return lane.working;
      }),
    );
  }

  /** Once everything up to now is stored on the device, as far as it lets itself be stored. */
  stored(): Promise<void> {
    return this.mirroring;
  }

  /** Tries everything again at once: the line is back, the page is looked at, somebody has signed in. */
  async wake(): Promise<void> {
    for (const lane of this.lanes.values()) lane.tries = 0;
    if (this.deps.pages.canTell) await this.adopt();
    await this.flush();
  }

  private laneOf(record: string): Lane {
    const lane = this.lanes.get(record) ?? { working: Promise.resolve(), isWorking: false, askedAgain: false, timer: undefined, tries: 0 };
    this.lanes.set(record, lane);
    return lane;
  }

  private async work(record: string, lane: Lane): Promise<void> {
    const owner = this.owner;
    lane.isWorking = true;
    try {
      while (this.owner === owner && owner !== null) {
        lane.askedAgain = false;
        const next = this.list.find((each) => each.record === record && each.refusal === null);
        if (!next) return;
        if (!(await this.sendOne(next, lane, owner)) && !lane.askedAgain) return;
      }
    } finally {
      lane.isWorking = false;
    }
  }

  /** Sends one change; returns whether the next one's turn has come. */
  private async sendOne(next: Change, lane: Lane, owner: string): Promise<boolean> {
    const sent = this.replace(asTried(next));
    this.sending.add(sent.id);
    this.deps.onUpdate();
    try {
      const answer = await this.deps.send(sent);
      lane.tries = 0;
      if (this.owner === owner) this.acknowledge(sent, answer);
      else await this.deps.storage.remove(sent.id).catch(() => undefined);
      return true;
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
      if (this.owner !== owner) return false;
      this.sending.delete(sent.id);
      if (!error.mayPass) {
        this.refuse(sent, error);
        return true;
      }
      this.problem = error;
      for (const change of this.list.filter((each) => each.record === sent.record)) this.settle(change.id, null);
      // Whoever is signed out is waited for: they wake it.
      if (error.status !== 401)
        lane.timer = setTimeout(() => void this.flush(sent.record), RETRY_MS[Math.min(lane.tries++, RETRY_MS.length - 1)]!);
      return false;
    } finally {
      if (this.owner === owner) {
        this.sending.delete(sent.id);
        this.deps.onUpdate();
      }
    }
  }

  private acknowledge(sent: Change, answer: unknown): void {
    this.problem = null;
    this.answered.set(sent.record, this.answersOf(sent.record) + 1);
    const revision = (answer as { revision?: unknown } | null)?.revision;
    this.remove(sent.id, () => this.deps.keep(sent, answer));
    // What waits behind it was made on top of it.
    if (sent.revision && typeof revision === 'number') {
      for (const later of this.list.filter((each) => each.revision?.of === sent.revision!.of))
        this.replace({ ...later, revision: { ...later.revision!, base: revision } });
    }
    this.deps.onAnswer(sent, answer);
    this.settle(sent.id, answer);
  }

  private refuse(sent: Change, problem: ApiProblem): void {
    const refusal = refusalOf(problem);
    const tries = this.rebases.get(sent.id) ?? 0;
    const again = tries < REBASE_MOST ? rebased(sent, refusal) : null;
    if (again) {
      this.rebases.set(sent.id, tries + 1);
      this.replace(again);
      return;
    }
    this.deps.onRefusal(this.replace({ ...sent, refusal }));
    for (const waiter of this.waiters.get(sent.id) ?? []) waiter.reject(problemOf(refusal));
    this.waiters.delete(sent.id);
  }

  private settle(id: string, answer: unknown): void {
    for (const waiter of this.waiters.get(id) ?? []) waiter.resolve(answer);
    this.waiters.delete(id);
  }

  private replace(change: Change): Change {
    this.list = this.list.map((each) => (each.id === change.id ? change : each));
    this.store(change.id);
    return change;
  }

  /** `first`: what has to be done before the storage forgets it. */
  private remove(id: string, first?: () => Promise<void>): void {
    this.list = this.list.filter((each) => each.id !== id);
    this.rebases.delete(id);
    this.store(id, first);
  }

  /** Takes up what pages that have gone left behind, in its order. */
  private async adopt(): Promise<void> {
    const owner = this.owner;
    if (owner === null) return;
    try {
      await this.deps.pages.alone(async () => {
        const living = await this.deps.pages.living();
        const found = (await this.deps.storage.of(owner)).filter(
          ({ id, page }) => !living.has(page) && !this.list.some((each) => each.id === id),
        );
        if (this.owner !== owner || found.length === 0) return;
        // It may have been on its way when its page went: from here on nothing is rewritten under its id.
        this.list = [...this.list, ...found.map(({ change }) => asTried(change))].toSorted((a, b) => a.order - b.order);
        for (const { id } of found) this.store(id);
        // Nobody else may take them up before they are marked as ours.
        await this.mirroring;
      });
    } catch {
      this.mirrored = false;
    }
    this.deps.onUpdate();
    void this.flush();
  }

  /** Mirrors what a change is by now; one after another, so that the storage never runs ahead of the list. */
  private store(id: string, first?: () => Promise<void>): void {
    this.unmirrored.set(id, { account: this.owner!, change: this.list.find((each) => each.id === id) ?? null, first });
    this.mirroring = this.mirroring.then(async () => {
      // What could not be stored before is tried again with every change.
      for (const [each, wanted] of this.unmirrored) {
        try {
          // What was answered leaves the storage only once what is kept of its record has it: a page that goes in between, and comes
          // back without a line, finds it in one of the two.
          await wanted.first?.();
          if (wanted.change)
            await this.deps.storage.put({ id: each, account: wanted.account, page: this.deps.pages.mine, change: wanted.change });
          else await this.deps.storage.remove(each);
        } catch {
          this.mirrored = false;
          this.deps.onUpdate();
          return;
        }
        if (this.unmirrored.get(each) === wanted) this.unmirrored.delete(each);
      }
      if (!this.mirrored) {
        this.mirrored = true;
        this.deps.onUpdate();
      }
    });
  }
}
