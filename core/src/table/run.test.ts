import fc from 'fast-check';
import { compile, newBlock, SLOW_BREATH, type Line } from '../method/index.ts';
import { whatWasDone } from '../record/index.ts';
import { anyLine } from '../testing/arbitraries.ts';
import {
  applyEvent,
  carryTo,
  edgeFromDigits,
  effortNow,
  adjustmentFor,
  foldRun,
  lineNow,
  nextChangeMs,
  READY,
  redrawn,
  RUN_EVENT_KINDS,
  viewRun,
  type RunEvent,
  type RunState,
} from './index.ts';

const line = compile([newBlock('b', 'rectus-femoris-prone', 'cr-breath', ['left', 'right'])], {
  breath: SLOW_BREATH,
  edgeOf: (_, side) => (side === 'left' ? 4 : 11),
});
const at = (atMs: number, kind: string, extra: object = {}) => ({ atMs, kind, ...extra }) as RunEvent;
/** Through both open cues of a side at once: the breath-led part begins at this time on the run's clock. */
const begun = [at(0, 'start'), at(0, 'go'), at(0, 'go')];

/** What may be put in: a hold on one side, and a press in the middle. */
const PIECES = [
  compile([newBlock('p', 'calf-supine', 'static-hold', ['left'])], { breath: SLOW_BREATH, edgeOf: () => null }),
  compile([newBlock('p', 'skull-base-melt', 'point-hold', ['midline'])], { breath: SLOW_BREATH, edgeOf: () => null }),
];
const bodyOf = ({ kind, score, value }: { kind: string; score: number; value: number }): object => {
  if (kind === 'discomfort') return { score };
  if (kind === 'edge') return { value };
  if (kind === 'effort') return { cueIndex: score, n: value + 20, pct: null, of: null, ms: 4000, insideMs: 0, overMs: 0 };
  if (kind === 'plane') return { deg: 12, words: 'limb has rolled 12°' };
  if (kind === 'felt') return { before: score, after: Math.max(0, score - 2) };
  if (kind !== 'put') return {};
  const { cues, blocks } = PIECES[score % 2]!;
  return { how: value % 2 === 0 ? 'added' : 'instead', block: {}, piece: { cues, blocks } };
};
/** Any key at any time, in time order. */
const anyEvents = (totalMs: number) =>
  fc
    .array(
      fc.record({
        kind: fc.constantFrom(...RUN_EVENT_KINDS),
        gapMs: fc.integer({ min: 0, max: Math.max(1, Math.round(totalMs / 6)) }),
        score: fc.integer({ min: 0, max: 10 }),
        value: fc.integer({ min: -20, max: 180 }),
      }),
      { maxLength: 40 },
    )
    .map((rows) => {
      let atMs = 0;
      return rows.map(({ kind, gapMs, score, value }) => {
        atMs += gapMs;
        return at(atMs, kind, bodyOf({ kind, score, value }));
      });
    });
const anyRun = anyLine.chain((each) => fc.tuple(fc.constant(each), anyEvents(each.totalMs)));

describe('left alone', () => {
  test('every cue is stayed in exactly once, in order, for exactly its time', () => {
    fc.assert(
      fc.property(anyLine, (each) => {
        let state = applyEvent(each, READY, at(0, 'start'));
        // The therapist goes on two seconds after every open cue has run out.
        let guard = 0;
        while (state.status !== 'finished' && guard++ < 3 * each.cues.length) {
          const change = nextChangeMs(each, state);
          state = change === null ? applyEvent(each, state, at(state.atMs + 2000, 'go')) : carryTo(each, state, change);
        }
        expect(state.spans.map((span) => span.cueIndex)).toEqual(each.cues.map((cue) => cue.index));
        for (const span of state.spans) {
          const cue = each.cues[span.cueIndex]!;
          expect(span.endMs - span.startMs).toBe(cue.endMs - cue.startMs + (cue.open ? 2000 : 0));
          expect(span.end).toBe('done');
        }
      }),
      { numRuns: 50 },
    );
  });
});

describe('whatever keys come, in whatever order', () => {
  test('looking in between changes nothing: the fold is the same with any number of looks', () => {
    fc.assert(
      fc.property(anyRun, fc.array(fc.integer({ min: 0, max: 200_000 }), { maxLength: 30 }), ([each, events], looks) => {
        const straight = foldRun(each, events);
        let state = READY;
        for (const event of events) {
          for (const look of looks.filter((ms) => ms >= state.atMs && ms <= event.atMs).sort((a, b) => a - b))
            state = carryTo(each, state, look);
          state = applyEvent(each, state, event);
        }
        expect(state).toEqual(straight);
      }),
    );
  });

  test('replaying a run from any point gives the same state', () => {
    fc.assert(
      fc.property(anyRun, fc.nat(40), ([each, events], cut) => {
        const head = foldRun(each, events.slice(0, cut));
        expect(events.slice(cut).reduce((state, event) => applyEvent(each, state, event), head)).toEqual(foldRun(each, events));
      }),
    );
  });

  test('time never runs backwards, stays do not overlap, and finished stays finished', () => {
    fc.assert(
      fc.property(anyRun, ([each, events]) => {
        let state: RunState = READY;
        for (const event of events) {
          const next = applyEvent(each, state, event);
          expect(next.atMs).toBeGreaterThanOrEqual(state.atMs);
          // Taken back, what was closed is open again; nothing else ever loses a stay.
          if (event.kind !== 'undo') expect(next.spans.length).toBeGreaterThanOrEqual(state.spans.length);
          if (state.status === 'finished' && event.kind !== 'undo') expect(next).toEqual(state);
          state = next;
        }
        let last = 0;
        for (const span of state.spans) {
          expect(span.startMs).toBeGreaterThanOrEqual(last);
          expect(span.endMs).toBeGreaterThanOrEqual(span.startMs);
          last = span.endMs;
        }
        expect(state.positionMs).toBeGreaterThanOrEqual(0);
        expect(state.positionMs).toBeLessThanOrEqual(lineNow(each, state).totalMs);
        viewRun(each, state);
        whatWasDone(each, state);
      }),
    );
  });

  test('events out of time order are applied at the clock', () => {
    const state = foldRun(line, [...begun, at(5000, 'hold'), at(1000, 'go')]);
    expect(state).toMatchObject({ status: 'running', atMs: 5000 });
  });

  /**
   * Independent method: a stepper that knows nothing of cue ends and simply adds a slice of time while running.
   * It is compared on holds, goes and nexts; slices divide every time used.
   */
  test('agrees with a plain slice-by-slice simulation', () => {
    const SLICE = 50;
    const plain = fc.array(fc.record({ kind: fc.constantFrom('hold', 'go', 'next'), gap: fc.integer({ min: 1, max: 400 }) }), {
      maxLength: 25,
    });
    fc.assert(
      fc.property(plain, (rows) => {
        let now = 0;
        const events: RunEvent[] = [at(0, 'start'), ...rows.map(({ kind, gap }) => at((now += gap * SLICE), kind))];

        const entered: number[] = [0];
        let [cue, left, mode] = [0, line.cues[0]!.endMs, 'run' as 'run' | 'held' | 'wait' | 'end'];
        const goTo = (i: number) => {
          if (i >= line.cues.length) {
            mode = 'end';
            return;
          }
          [cue, left, mode] = [i, line.cues[i]!.endMs - line.cues[i]!.startMs, 'run'];
          entered.push(i);
        };
        let clock = 0;
        for (const event of events.slice(1)) {
          for (; clock < event.atMs; clock += SLICE) {
            if (mode !== 'run') continue;
            left -= SLICE;
            if (left <= 0) {
              if (line.cues[cue]!.open) mode = 'wait';
              else goTo(cue + 1);
            }
          }
          if (mode === 'end') continue;
          if (event.kind === 'hold' && mode === 'run') mode = 'held';
          else if (event.kind === 'go' && mode === 'held') mode = 'run';
          else if (event.kind === 'go' && (mode === 'wait' || line.cues[cue]!.open)) goTo(cue + 1);
          else if (event.kind === 'next') goTo(cue + 1);
        }

        const state = foldRun(line, events);
        const visited = [...state.spans.map((span) => span.cueIndex), ...(state.status === 'finished' ? [] : [state.cueIndex])];
        expect(visited).toEqual(entered);
        expect(state.status).toBe({ run: 'running', held: 'held', wait: 'waiting', end: 'finished' }[mode]);
        if (mode === 'run') expect(line.cues[state.cueIndex]!.endMs - state.positionMs).toBe(left);
      }),
    );
  });
});

describe('keys at the table', () => {
  test('an open cue waits until the therapist goes on', () => {
    const waiting = carryTo(line, foldRun(line, [at(0, 'start')]), 60_000);
    expect(waiting).toMatchObject({ status: 'waiting', cueIndex: 0, positionMs: 20_000, atMs: 60_000 });
    expect(viewRun(line, waiting).secondsLeft).toBe(0);
    expect(applyEvent(line, waiting, at(61_000, 'go'))).toMatchObject({ status: 'running', cueIndex: 1 });
  });

  test('hold stops the count and go takes it up at the same place', () => {
    const state = foldRun(line, [...begun, at(3000, 'hold'), at(9000, 'go')]);
    expect(state).toMatchObject({ status: 'running', positionMs: 33_000, atMs: 9000 });
  });

  test('again starts the cue over; pressed at once it goes to the one before', () => {
    expect(foldRun(line, [...begun, at(8_000, 'again')])).toMatchObject({ cueIndex: 3, positionMs: 36_000 });
    expect(foldRun(line, [...begun, at(6_500, 'again')])).toMatchObject({ cueIndex: 2, positionMs: 30_000 });
  });

  const contracting = [...begun, at(15_000, 'discomfort', { score: 6 })];

  test('discomfort above the ceiling leaves the contraction at once; at the ceiling it does not', () => {
    expect(foldRun(line, contracting)).toMatchObject({ status: 'eased', cueIndex: 4 });
    expect(foldRun(line, [...begun, at(15_000, 'discomfort', { score: 4 })])).toMatchObject({ status: 'running', cueIndex: 4 });
    const resting = foldRun(line, [at(0, 'start'), at(100, 'discomfort', { score: 9 })]);
    expect(resting).toMatchObject({ status: 'running', discomfort: [{ score: 9, aboveCeiling: true }] });
  });

  test('while eased no time passes on the line, and only a decision goes on', () => {
    for (const kind of ['go', 'next', 'again', 'hold', 'start']) {
      expect(foldRun(line, [...contracting, at(40_000, kind)])).toMatchObject({ status: 'eased', positionMs: 45_000 });
    }
  });

  test('ease goes on after the cue, with the edge taken back', () => {
    const state = foldRun(line, [...contracting, at(20_000, 'ease')]);
    expect(state).toMatchObject({ status: 'running', cueIndex: 5 });
    expect(viewRun(line, state).edge).toBe(4 - 6);
  });

  test('repeat lighter starts the round over with half the effort, on this side only', () => {
    const state = foldRun(line, [...contracting, at(20_000, 'lighter')]);
    expect(state).toMatchObject({ status: 'running', cueIndex: 3 });
    const contractions = line.cues.filter((cue) => cue.kind === 'contract');
    expect(contractions.map((cue) => effortNow(cue, adjustmentFor(state, cue)))).toEqual([10, 15, 20, 20, 30, 40]);
  });

  test('effort is never lightened below five percent, nor raised by it', () => {
    expect(effortNow({ effortPct: 20 } as never, { effortFactor: 0.01, shift: 0 })).toBe(5);
    expect(effortNow({ effortPct: 5 } as never, { effortFactor: 0.5, shift: 0 })).toBe(5);
  });

  test('stop can be taken back, left for the other side, or made the end', () => {
    const stopped = [...begun, at(15_000, 'stop')];
    expect(foldRun(line, stopped)).toMatchObject({ status: 'stopped', stops: [{ cueIndex: 4 }] });
    expect(foldRun(line, [...stopped, at(16_000, 'go')])).toMatchObject({ status: 'running', cueIndex: 4, stops: [] });
    const other = foldRun(line, [...stopped, at(16_000, 'next')]);
    expect(line.cues[other.cueIndex]).toMatchObject({ side: 'right', kind: 'set-up' });
    expect(foldRun(line, [...stopped, at(16_000, 'stop')]).status).toBe('finished');
  });

  test('an edge reading moves every later prediction on that side', () => {
    const state = foldRun(line, [...begun, at(25_000, 'edge', { value: 6 })]);
    expect(state.edges).toEqual([{ atMs: 25_000, blockIndex: 0, side: 'left', round: 1, value: 6, positionMs: 55_000 }]);
    const later = carryTo(line, state, 41_000);
    expect(viewRun(line, later).edge).toBeCloseTo(6, 9);
    expect(viewRun(line, carryTo(line, state, 61_000)).edge).toBeCloseTo(8, 9);
  });

  test('two digits are enough for an edge: the nearest value that ends in them', () => {
    fc.assert(
      fc.property(fc.integer({ min: -20, max: 180 }), fc.integer({ min: -49, max: 49 }), (predicted, miss) => {
        const real = predicted + miss;
        expect(edgeFromDigits(((real % 100) + 100) % 100, predicted, 'deg')).toBe(real);
      }),
    );
    expect(edgeFromDigits(5, 10.2, 'cm')).toBe(10.5);
  });
});

describe('what was done', () => {
  const run = (each: Line, events: RunEvent[]) => whatWasDone(each, foldRun(each, events));

  test('planned and real seconds, efforts, discomfort and stops by side; a side not reached is seen', () => {
    const events = [
      ...begun,
      at(14_000, 'hold'),
      at(19_000, 'go'),
      at(29_000, 'discomfort', { score: 3 }),
      at(42_000, 'stop'),
      at(43_000, 'finish'),
    ];
    const [left, right] = run(line, events);
    expect(left).toMatchObject({
      planned: { rounds: 3, contractMs: 18_000, endRangeMs: 30_000 },
      efforts: [20],
      discomfort: [3],
      highestDiscomfort: 3,
      stopped: true,
      timesEased: 0,
    });
    // The contraction of 6 s was held for 5 s in its middle.
    expect(left!.real).toEqual({ rounds: 1, finished: [1], totalMs: 42_000, contractMs: 11_000, endRangeMs: 10_000 });
    expect(right).toMatchObject({ real: { rounds: 0, totalMs: 0 }, efforts: [], highestDiscomfort: null, stopped: false });
  });

  test('real time is all the time between the first and the last stay', () => {
    fc.assert(
      fc.property(anyRun, ([each, events]) => {
        const state = foldRun(each, events);
        const sum = whatWasDone(each, state).reduce((total, side) => total + side.real.totalMs, 0);
        expect(sum).toBe(state.spans.reduce((total, span) => total + span.endMs - span.startMs, 0));
      }),
    );
  });
});

describe('the rest of the line after easing off', () => {
  const eased = (each: Line, more: RunEvent[] = []) =>
    foldRun(each, [...begun, at(9_000, 'discomfort', { score: 6 }), at(9_500, 'lighter'), ...more]);

  test('stair, edge and effort agree with what is told: every place follows the edge, rest stays rest, what is done stands', () => {
    const state = eased(line);
    const view = viewRun(line, state);
    const cues = redrawn(line, state, 0, 'left');
    const now = cues.find((cue) => cue.index === state.cueIndex)!;
    expect([now.to, now.effortPct ?? view.effortPct]).toEqual([view.edge, view.effortPct]);
    expect(cues.filter((cue) => cue.index < state.cueIndex)).toEqual(
      line.cues.filter((cue) => cue.side === 'left' && cue.index < state.cueIndex),
    );
    const press = cues.find((cue) => cue.kind === 'contract' && cue.index > state.cueIndex)!;
    expect(press.effortPct).toBe(effortNow(line.cues[press.index]!, adjustmentFor(state, press)));
    for (const cue of cues.filter((each) => each.index > state.cueIndex && each.kind === 'hold'))
      expect(cue.to).toBeLessThan(line.cues[cue.index]!.to);
    expect(cues.at(-1)!.to).toBe(line.cues.filter((cue) => cue.side === 'left').at(-1)!.to);
  });

  test('whatever happens the line stays continuous, and never goes past where cautions end it', () => {
    fc.assert(
      fc.property(anyRun, ([each, events]) => {
        const state = foldRun(each, events);
        if (each.cues.length === 0) return;
        const now = lineNow(each, state);
        const { blockIndex, side } = now.cues[Math.min(state.cueIndex, now.cues.length - 1)]!;
        const cues = redrawn(each, state, blockIndex, side);
        expect(cues.map((cue) => [cue.startMs, cue.endMs, cue.kind])).toEqual(
          now.cues.filter((cue) => cue.blockIndex === blockIndex && cue.side === side).map((cue) => [cue.startMs, cue.endMs, cue.kind]),
        );
        const rest = cues.filter((cue) => cue.index >= state.cueIndex);
        rest.forEach((cue, i) => {
          if (i > 0 && rest[i - 1]!.pass === cue.pass) expect(cue.from).toBeCloseTo(rest[i - 1]!.to, 6);
        });
      }),
      { numRuns: 60 },
    );
  });
});
