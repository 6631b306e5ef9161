import fc from 'fast-check';
import { compile, newBlock, SLOW_BREATH, type BlockPlan, type Cue, type Line } from '../method/index.ts';
import { blocksDone, whatWasDone } from '../record/index.ts';
import { anyLine } from '../testing/arbitraries.ts';
import {
  applyEvent,
  carryTo,
  effortNow,
  adjustmentFor,
  foldRun,
  lineNow,
  nextChangeMs,
  READY,
  UNDO_MS,
  viewRun,
  withOneMore,
  withOtherSideNow,
  withoutTheRest,
  withPiece,
  type RunEvent,
  type RunState,
} from './index.ts';

const context = { breath: SLOW_BREATH, edgeOf: () => 10 };
const block = (entryId: string, methodId: string, sides: readonly ('left' | 'right' | 'midline')[], more: Partial<BlockPlan> = {}) => ({
  ...newBlock('b', entryId, methodId, sides),
  ...more,
});
const line = compile([block('rectus-femoris-prone', 'cr-breath', ['left', 'right'])], context);
const piece = compile([block('calf-supine', 'static-hold', ['left'])], context);
const at = (atMs: number, kind: string, extra: object = {}) => ({ atMs, kind, ...extra }) as RunEvent;
const LIMITS = { cap: null, edgeShare: null, effortPct: null, painCeiling: null, grade: null, holdS: null, contractS: null, pressS: null };

/** In short: side and round of each stretch of cues, with what comes at its end. */
const order = (each: Pick<Line, 'cues'>): string =>
  each.cues
    .map((cue) => `${cue.blockIndex}${cue.side[0]}${cue.round > cue.rounds ? 'x' : cue.round}`)
    .filter((word, i, all) => word !== all[i - 1])
    .join(' ');
const cueOf = (each: Line, side: Cue['side'], round: number, kind?: string): number =>
  each.cues.findIndex((cue) => cue.side === side && cue.round === round && (kind === undefined || cue.kind === kind));
/** Goes on, key by key, until a cue is reached. */
function until(each: Line, index: number, before: RunState = applyEvent(each, READY, at(0, 'start'))): RunState {
  let state = before;
  for (let guard = 0; state.cueIndex < index && state.status !== 'finished' && guard < 500; guard++)
    state = applyEvent(each, state, at(state.atMs + 1000, 'next'));
  return state;
}
const finished = (each: Line, before: RunState): RunState => {
  let state = before;
  for (let guard = 0; state.status !== 'finished' && guard < 500; guard++) {
    const change = nextChangeMs(each, state);
    state = change === null ? applyEvent(each, state, at(state.atMs + 1, 'go')) : carryTo(each, state, change);
  }
  return state;
};

describe('whatever is amended, wherever', () => {
  const amendments: readonly ((each: Line, index: number) => Line | null)[] = [
    withOneMore,
    withoutTheRest,
    withOtherSideNow,
    (each, index) => withPiece(each, index, piece, 'added'),
    (each, index) => withPiece(each, index, piece, 'instead'),
  ];

  test('what is past stands, the rest is laid end to end, and the limb never jumps within a pass', () => {
    fc.assert(
      fc.property(
        anyLine,
        fc.array(fc.tuple(fc.nat(amendments.length - 1), fc.nat(400)), { minLength: 1, maxLength: 6 }),
        (each, steps) => {
          let now = each;
          for (const [which, where] of steps) {
            const index = where % now.cues.length;
            const next = amendments[which]!(now, index);
            if (next === null) continue;
            expect(next.cues.slice(0, index + 1)).toEqual(now.cues.slice(0, index + 1));
            let endMs = 0;
            next.cues.forEach((cue, i) => {
              expect([cue.index, cue.startMs]).toEqual([i, endMs]);
              expect(cue.endMs).toBeGreaterThanOrEqual(cue.startMs);
              const last = next.cues[i - 1];
              if (i > index && last && last.blockIndex === cue.blockIndex && last.side === cue.side && last.pass === cue.pass)
                expect(cue.from).toBeCloseTo(last.to, 6);
              endMs = cue.endMs;
            });
            expect(next.totalMs).toBe(endMs);
            for (const cue of next.cues) expect(next.blocks[cue.blockIndex]).toBeDefined();
            now = next;
          }
        },
      ),
      { numRuns: 30 },
    );
  });

  test('nothing is laid past where cautions end the way', () => {
    const capped = compile([block('calf-supine', 'cr-breath', ['left'], { limits: [{ ...LIMITS, side: 'left', cap: 12 }] })], context);
    for (const cue of capped.cues) {
      const more = withOneMore(capped, cue.index);
      expect(more).not.toBeNull();
      expect(Math.max(...more!.cues.map((each) => each.to))).toBeLessThanOrEqual(12);
    }
  });
});

describe('one more round', () => {
  test('comes behind the rounds there are, and before the limb is brought home', () => {
    expect(order(line)).toBe('0l0 0l1 0l2 0l3 0lx 0r0 0r1 0r2 0r3 0rx');
    const more = withOneMore(line, cueOf(line, 'left', 1))!;
    expect(order(more)).toBe('0l0 0l1 0l2 0l3 0l4 0lx 0r0 0r1 0r2 0r3 0rx');
    const [third, fourth] = [3, 4].map((round) => more.cues.filter((cue) => cue.side === 'left' && cue.round === round));
    expect(fourth!.map((cue) => [cue.kind, cue.text, cue.endMs - cue.startMs])).toEqual(
      third!.map((cue) => [cue.kind, cue.text, cue.endMs - cue.startMs]),
    );
    // No further gain is promised than the planned rounds were to bring.
    expect(new Set(fourth!.map((cue) => cue.edge))).toEqual(new Set([third!.at(-1)!.edge]));
  });

  test('asked for while the limb is already brought home, it is brought to the edge again', () => {
    const closing = line.cues.findIndex((cue) => cue.side === 'left' && cue.round > cue.rounds);
    const more = withOneMore(line, closing)!;
    expect(order({ cues: more.cues.slice(closing + 1) })).toBe('0lx 0l0 0l4 0lx 0r0 0r1 0r2 0r3 0rx');
    // Neither set up nor rehearsed again.
    expect(more.cues.slice(closing).filter((cue) => cue.side === 'left' && cue.open)).toEqual([]);
  });

  test('is counted as what it is: four of three', () => {
    const begun = until(line, cueOf(line, 'left', 2));
    const state = finished(line, applyEvent(line, begun, at(begun.atMs, 'more')));
    const [left, right] = whatWasDone(line, state);
    expect([left!.planned.rounds, left!.real.rounds]).toEqual([3, 4 - 1]);
    // The first round was gone through by key; the others and the one more were done.
    expect(left!.real.finished).toEqual([2, 3, 4]);
    expect([right!.planned.rounds, right!.real.rounds]).toEqual([3, 3]);
    const [done] = blocksDone(line, state);
    expect(done!.sides.map(({ rounds, work }) => [rounds, work!.length])).toEqual([
      [3, 3],
      [3, 3],
    ]);
    expect(done!.sides[0]!.work!.every(({ heldS }) => heldS > 0)).toBe(true);
  });

  test('twenty rounds of a side are enough', () => {
    let now: Line | null = line;
    let last = line;
    for (let i = 0; i < 40 && now; i++) {
      last = now;
      now = withOneMore(now, 0);
    }
    expect(Math.max(...last.cues.map((cue) => cue.rounds))).toBe(20);
  });

  test('contractions stay within what cautions leave of them', () => {
    const held = compile(
      [block('rectus-femoris-prone', 'cr-breath', ['left'], { limits: [{ ...LIMITS, side: 'left', contractS: 20 }] })],
      context,
    );
    const seconds = (each: Line) =>
      each.cues.filter((cue) => cue.kind === 'contract').reduce((sum, cue) => sum + cue.endMs - cue.startMs, 0) / 1000;
    expect(seconds(held)).toBeLessThanOrEqual(20);
    let more = held;
    for (let i = 0; i < 3; i++) more = withOneMore(more, 0)!;
    expect(seconds(more)).toBe(20);
    // Another way of pressing on the same entry shares what is left.
    const other = compile(
      [block('rectus-femoris-prone', 'cr-firm', ['left'], { limits: [{ ...LIMITS, side: 'left', contractS: 20 }] })],
      context,
    );
    expect(seconds(withPiece(held, held.cues.length - 1, other, 'added')!)).toBe(20);
  });
});

describe('leaving the rest', () => {
  test('the side is closed at once, the other side stays', () => {
    const begun = until(line, cueOf(line, 'left', 1, 'contract'));
    const state = applyEvent(line, begun, at(begun.atMs + 500, 'leave'));
    const now = lineNow(line, state);
    expect(order({ cues: now.cues.slice(state.cueIndex) })).toBe('0lx 0r0 0r1 0r2 0r3 0rx');
    expect(now.cues[state.cueIndex]).toMatchObject({ kind: 'return', side: 'left' });
    expect(state.spans.at(-1)).toMatchObject({ end: 'left', effortPct: 20 });
    expect(whatWasDone(line, finished(line, state))[0]).toMatchObject({ left: true, stopped: false, real: { rounds: 0 } });
  });

  test('before anything has begun there is nothing to bring home', () => {
    expect(order(withoutTheRest(line, 0)!)).toBe('0l0 0r0 0r1 0r2 0r3 0rx');
  });
});

test('the other side now: what is left of this one comes behind it, set up again', () => {
  const begun = until(line, cueOf(line, 'left', 2));
  const state = applyEvent(line, begun, at(begun.atMs, 'other'));
  expect(order({ cues: lineNow(line, state).cues.slice(state.cueIndex) })).toBe('0lx 0r0 0r1 0r2 0r3 0rx 0l0 0l2 0l3 0lx');
  const [left, right] = whatWasDone(line, finished(line, state));
  expect([left!.real.finished, right!.real.finished]).toEqual([
    [2, 3],
    [1, 2, 3],
  ]);
  // On the other side there is none left to go to but what was put behind.
  const there = until(
    line,
    lineNow(line, state).cues.findIndex((cue) => cue.side === 'right' && cue.round === 1),
    state,
  );
  const back = applyEvent(line, there, at(there.atMs, 'other'));
  expect(order({ cues: lineNow(line, back).cues.slice(back.cueIndex) })).toBe('0rx 0l0 0l2 0l3 0lx 0r0 0r1 0r2 0r3 0rx');
  expect(withOtherSideNow(line, line.cues.length - 1)).toBeNull();
});

describe('a block put in', () => {
  test('added, it comes behind the present side; in place, behind the way home, and the rest of the block goes on both sides', () => {
    const index = cueOf(line, 'left', 2);
    expect(order({ cues: withPiece(line, index, piece, 'added')!.cues.slice(index) })).toMatch(
      /^0l2 0l3 0lx 1l0 .*1lx 0r0 0r1 0r2 0r3 0rx$/,
    );
    expect(order({ cues: withPiece(line, index, piece, 'instead')!.cues.slice(index) })).toMatch(/^0l2 0lx 1l0 [^0]*1lx$/);
  });

  test('is in what was done, as what was not planned', () => {
    const begun = until(line, cueOf(line, 'left', 2));
    const put = at(begun.atMs, 'put', { how: 'added', block: {}, piece: { cues: piece.cues, blocks: piece.blocks } });
    const state = finished(line, applyEvent(line, begun, put));
    const rows = whatWasDone(line, state);
    expect(rows.map(({ name, side, unplanned, planned }) => [name.split(',')[0], side, unplanned, planned.rounds])).toEqual([
      ['Rectus femoris', 'left', null, 3],
      ['Rectus femoris', 'right', null, 3],
      ['Calf', 'left', 'added', 0],
    ]);
    expect(rows[2]!.real.rounds).toBeGreaterThan(0);
    expect(blocksDone(line, state).map(({ entryId }) => entryId)).toEqual(['rectus-femoris-prone', 'calf-supine']);
  });
});

describe('wrong direction, breath held', () => {
  const pressing = until(line, cueOf(line, 'left', 2, 'contract'));
  const drifted = applyEvent(line, pressing, at(pressing.atMs + 800, 'drift'));

  test('the round stops, nothing counts while the press is shown, and the round starts over', () => {
    expect(drifted).toMatchObject({ status: 'showing', drifts: [{ cueIndex: pressing.cueIndex }] });
    expect(drifted.spans.at(-1)!.end).toBe('drifted');
    expect(carryTo(line, drifted, drifted.atMs + 60_000).positionMs).toBe(drifted.positionMs);
    const again = applyEvent(line, drifted, at(drifted.atMs + 60_000, 'go'));
    expect(again).toMatchObject({ status: 'running', cueIndex: cueOf(line, 'left', 2) });
    expect(whatWasDone(line, finished(line, again))[0]).toMatchObject({ timesDrifted: 1, timesEased: 0, real: { finished: [2, 3] } });
  });

  test('lighter asks for half of it, at the same edge', () => {
    const lighter = applyEvent(line, drifted, at(drifted.atMs + 10, 'lighter'));
    const press = line.cues[pressing.cueIndex]!;
    expect(effortNow(press, adjustmentFor(lighter, press))).toBe(Math.round(press.effortPct! / 2));
    expect(adjustmentFor(lighter, press).shift).toBe(0);
  });

  test('outside a round nothing drifts', () => {
    const setUp = applyEvent(line, READY, at(0, 'start'));
    expect(applyEvent(line, setUp, at(10, 'drift'))).toMatchObject({ status: 'running', drifts: [] });
  });

  test('bracing eases off at once, like discomfort above the ceiling; at rest it is only kept', () => {
    const braced = applyEvent(line, pressing, at(pressing.atMs + 500, 'brace'));
    expect(braced).toMatchObject({ status: 'eased', braces: [{ cueIndex: pressing.cueIndex }] });
    expect(applyEvent(line, braced, at(braced.atMs, 'ease'))).toMatchObject({ status: 'running', cueIndex: pressing.cueIndex + 1 });
    const setUp = applyEvent(line, READY, at(0, 'start'));
    expect(applyEvent(line, setUp, at(10, 'brace'))).toMatchObject({ status: 'running', braces: [{ cueIndex: 0 }] });
  });
});

describe('until it softens', () => {
  const points = compile([block('calf-point-holds', 'point-hold', ['left'])], context);
  const first = points.cues.findIndex((cue) => cue.kind === 'press');
  const pressing = until(points, first);
  const waiting = applyEvent(points, pressing, at(pressing.atMs + 2000, 'until'));

  test('the count is open; once more ends it, with the seconds it really took and how it felt', () => {
    expect(waiting.status).toBe('softening');
    expect(viewRun(points, carryTo(points, waiting, waiting.atMs + 38_000)).secondsUp).toBe(40);
    const soft = applyEvent(points, waiting, at(waiting.atMs + 38_000, 'until'));
    expect(soft).toMatchObject({ status: 'running', cueIndex: first + 1, softened: [{ cueIndex: first, ms: 40_000, before: null }] });
    const felt = applyEvent(points, soft, at(soft.atMs + 900, 'felt', { before: 7, after: 3 }));
    expect(whatWasDone(points, felt)[0]!.softened).toEqual([{ seconds: 40, before: 7, after: 3 }]);
  });

  test.each(['go', 'next'])('%s ends it as well', (kind) => {
    expect(applyEvent(points, waiting, at(waiting.atMs + 5000, kind))).toMatchObject({ status: 'running', softened: [{ ms: 7000 }] });
  });

  test('three minutes are enough, and less where cautions leave less', () => {
    expect(nextChangeMs(points, waiting)).toBe(pressing.atMs + 180_000);
    expect(carryTo(points, waiting, waiting.atMs + 500_000).softened[0]!.ms).toBe(180_000);
    const held = compile(
      [block('calf-point-holds', 'point-hold', ['left'], { limits: [{ ...LIMITS, side: 'left', pressS: 25 }] })],
      context,
    );
    const there = until(
      held,
      held.cues.findIndex((cue) => cue.kind === 'press'),
    );
    const open = applyEvent(held, there, at(there.atMs + 2000, 'until'));
    // The second of sinking in before it counts as pressing.
    expect(carryTo(held, open, open.atMs + 500_000).softened[0]!.ms).toBe(24_000);
  });

  test('a contraction or a hold at the edge is never open', () => {
    for (const kind of ['contract', 'hold', 'move']) {
      const there = until(
        line,
        line.cues.findIndex((cue) => cue.kind === kind),
      );
      expect(applyEvent(line, there, at(there.atMs + 100, 'until')).status).toBe('running');
    }
  });
});

describe('taking back', () => {
  const KEYS = ['next', 'again', 'stop', 'more', 'leave', 'drift', 'brace', 'other', 'until', 'refer'] as const;

  test('within five seconds it is as if the key had not been pressed; later nothing happens', () => {
    fc.assert(
      fc.property(anyLine, fc.constantFrom(...KEYS), fc.nat(300), fc.nat(9000), (each, kind, where, laterMs) => {
        const begun = until(each, where % each.cues.length);
        const pressed = applyEvent(each, begun, at(begun.atMs + 300, kind));
        const nowMs = begun.atMs + 300 + laterMs;
        const undone = applyEvent(each, pressed, at(nowMs, 'undo'));
        const untouched = { ...carryTo(each, begun, nowMs), undo: null };
        if (pressed.undo?.kind !== kind) return;
        if (laterMs <= UNDO_MS) expect(undone).toEqual(untouched);
        else expect(undone).toEqual(carryTo(each, pressed, nowMs));
      }),
      { numRuns: 60 },
    );
  });

  test('only the last key, and only once', () => {
    const begun = until(line, cueOf(line, 'left', 1));
    const more = applyEvent(line, begun, at(begun.atMs + 10, 'more'));
    const held = applyEvent(line, more, at(begun.atMs + 20, 'hold'));
    expect(applyEvent(line, held, at(begun.atMs + 30, 'undo'))).toEqual(carryTo(line, held, begun.atMs + 30));
    const undone = applyEvent(line, more, at(begun.atMs + 30, 'undo'));
    expect(applyEvent(line, undone, at(begun.atMs + 40, 'undo'))).toEqual(carryTo(line, undone, begun.atMs + 40));
  });

  test('what was ended to refer somebody goes on, also after the end was written', () => {
    const begun = until(line, cueOf(line, 'left', 1));
    const events = [at(begun.atMs + 100, 'refer'), at(begun.atMs + 100, 'finish')];
    const over = events.reduce((state, event) => applyEvent(line, state, event), begun);
    expect(over).toMatchObject({ status: 'finished', referredMs: begun.atMs + 100 });
    expect(applyEvent(line, over, at(begun.atMs + 4000, 'undo'))).toMatchObject({ status: 'running', referredMs: null });
    expect(foldRun(line, []).status).toBe('ready');
  });
});
