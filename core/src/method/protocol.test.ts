import fc from 'fast-check';
import { ENTRIES } from '../catalogue/index.ts';
import { applyEvent, carryTo, READY } from '../table/index.ts';
import { orderProblems } from '../session/index.ts';
import {
  checkBlock,
  checkSteps,
  compile,
  findProtocol,
  PROTOCOLS,
  protocolBlocks,
  protocolGaps,
  protocolSeconds,
  SLOW_BREATH,
  sortProtocols,
  stepsFrom,
} from './index.ts';

const ids = () => {
  let n = 0;
  return () => `p${n++}`;
};

test.each(PROTOCOLS)('$id: sound, in an order that breaks no rule, and as long as it is taught to be', (protocol) => {
  expect(checkSteps(protocol.steps)).toEqual([]);
  const blocks = protocolBlocks(protocol, ids());
  expect(blocks.flatMap((block) => checkBlock(block))).toEqual([]);
  expect(new Set(blocks.map(({ id }) => id)).size).toBe(blocks.length);
  expect(orderProblems(blocks)).toEqual([]);
  const minutes = protocolSeconds(protocol) / 60;
  if (protocol.minutes) {
    expect(minutes).toBeGreaterThanOrEqual(protocol.minutes[0]);
    expect(minutes).toBeLessThanOrEqual(protocol.minutes[1]);
  }
  expect(stepsFrom(blocks)).toEqual(protocol.steps);
});

// Chair 18–20 min; a full foot 10–12 min, a short one about 5: common practice.
test('the chair and the feet are taught with their minutes; both arms are complete before turning upright', () => {
  expect(findProtocol('chair-sequence')!.minutes).toEqual([18, 20]);
  expect(findProtocol('foot-series')!.minutes).toEqual([20, 24]);
  const steps = findProtocol('chair-sequence')!.steps;
  const upright = steps.findIndex(({ entryId }) => entryId === 'shoulder-front-back-squeeze');
  const arms = (side: string) =>
    steps.slice(0, upright).flatMap(({ entryId, sides }) => (sides.length === 1 && sides[0]!.side === side ? [entryId] : []));
  expect(arms('right')).toEqual(arms('left'));
  expect(arms('left').length).toBeGreaterThan(4);
});

test('a protocol in a plan runs through at the table, every cue once', () => {
  for (const protocol of PROTOCOLS) {
    const line = compile(protocolBlocks(protocol, ids()), { breath: SLOW_BREATH, edgeOf: () => null });
    let state = applyEvent(line, READY, { kind: 'start', atMs: 0 });
    for (let step = 0; step < line.cues.length * 2 + 2 && state.status !== 'finished'; step++) {
      state = carryTo(line, state, state.atMs + line.totalMs);
      if (state.status === 'waiting') state = applyEvent(line, state, { kind: 'go', atMs: state.atMs });
    }
    expect([protocol.id, state.status]).toEqual([protocol.id, 'finished']);
    expect(state.spans.map((span) => span.cueIndex)).toEqual(line.cues.map((cue) => cue.index));
  }
});

test('half a side block is told; a whole one, and a plan of its own, are not', () => {
  const chair = findProtocol('chair-sequence')!;
  const blocks = protocolBlocks(chair, ids());
  expect(protocolGaps(blocks, PROTOCOLS)).toEqual([]);
  const upToOneArm = blocks.slice(0, 14).filter(({ sides }) => sides.every(({ side }) => side !== 'left'));
  const withoutLeft = blocks.filter(({ sides }) => !(sides.length === 1 && sides[0]!.side === 'left'));
  const [gap] = protocolGaps(withoutLeft, PROTOCOLS);
  expect(gap).toMatchObject({ protocolId: 'chair-sequence', missing: 'left' });
  expect(gap!.entryIds).toContain('blade-edge-trace');
  // Less than half of it: somebody else's plan.
  expect(protocolGaps(upToOneArm.slice(0, 3), PROTOCOLS)).toEqual([]);
  expect(protocolGaps([], PROTOCOLS)).toEqual([]);
});

test('whatever is taken out, a gap names only what is planned on one side and taught on both', () => {
  fc.assert(
    fc.property(fc.constantFrom(...PROTOCOLS), fc.array(fc.boolean(), { minLength: 40, maxLength: 40 }), (protocol, keep) => {
      const blocks = protocolBlocks(protocol, ids()).filter((_, i) => keep[i]);
      for (const gap of protocolGaps(blocks, [protocol]))
        for (const entryId of gap.entryIds) {
          const planned = blocks.filter((block) => block.entryId === entryId).flatMap(({ sides }) => sides.map(({ side }) => side));
          expect(planned.length).toBeGreaterThan(0);
          expect(planned).not.toContain(gap.missing);
          const taught = protocol.steps.filter((step) => step.entryId === entryId).flatMap(({ sides }) => sides.map(({ side }) => side));
          expect(taught).toContain(gap.missing);
        }
    }),
  );
});

test('what was kept before an entry lost a position or a way is told apart, and never compiled', () => {
  const good = findProtocol('neck-on-the-breath')!;
  const lost = { ...good, id: 'lost', steps: [{ ...good.steps[0]!, position: 'standing' as const }] as const };
  const gone = { ...good, id: 'gone', steps: [{ ...good.steps[0]!, entryId: 'wing' }] as const };
  const { fit, unfit } = sortProtocols([lost, good, gone]);
  expect([fit.map(({ id }) => id), unfit.map(({ id }) => id)]).toEqual([[good.id], ['lost', 'gone']]);
  expect(() => protocolSeconds(lost)).toThrow(RangeError);
  expect(sortProtocols(PROTOCOLS).unfit).toEqual([]);
});

test('steps that cannot be are named at their place', () => {
  const [first] = findProtocol('neck-on-the-breath')!.steps;
  expect(checkSteps([]).map(({ path }) => path)).toEqual(['steps']);
  expect(checkSteps(Array.from({ length: 31 }, () => first!)).map(({ path }) => path)).toContain('steps');
  expect(checkSteps([first!, { ...first!, entryId: 'wing' }]).map(({ path }) => path)).toContain('steps.1.entryId');
  expect(ENTRIES.some(({ id }) => id === first!.entryId)).toBe(true);
});
