import { compile, newBlock, SLOW_BREATH } from '../method/index.ts';
import { NOTHING_KNOWN } from '../measure/index.ts';
import type { Reading, Run } from '../record/index.ts';
import type { RunEvent } from '../table/index.ts';
import { againstPlan, expectedEdges } from './index.ts';

const reading = (moment: 'before' | 'after', value: number, side: 'left' | 'right' = 'left'): Reading => ({
  id: `${moment}/${side}`,
  visitId: 'v',
  takenAt: '',
  motionId: 'straight-leg-raise',
  side,
  moment,
  mode: 'passive',
  instrument: 'goniometer',
  trials: [value],
  supersedes: null,
  value,
  examinerId: null,
});
const line = compile([newBlock('b', 'hamstring-heel-on-shoulder', 'cr-breath', ['left'])], {
  breath: SLOW_BREATH,
  edgeOf: () => 60 as never,
});
const at = (atMs: number, kind: string): RunEvent => ({ atMs, kind }) as RunEvent;
const through = [at(0, 'start'), ...line.cues.map((_, i) => at(10 + i * 10, 'next'))];
const run = (events: readonly RunEvent[], clockRate = 1): Pick<Run, 'line' | 'events' | 'clockRate'> => ({
  line,
  clockRate,
  events: events.map((event, i) => ({ id: String(i), seq: i + 1, event })),
});
const facts = { past: [], pastBlocks: [], errors: NOTHING_KNOWN };
const rows = (after: number, events = through, rate = 1) =>
  againstPlan([run(events, rate)], [reading('before', 60), reading('after', after)], facts);

test('it is the plan’s own expectation after its last round, and what was read lies in its band or beyond', () => {
  const last = expectedEdges(line, 0, 'left', { ...facts, readings: [reading('before', 60)] })!.edges.at(-1)!;
  expect(rows(last.expected)).toMatchObject([
    { motionId: 'straight-leg-raise', side: 'left', expected: last.expected, word: 'as expected' },
  ]);
  expect(rows(last.reading.high + 0.1)[0]!.word).toBe('more than expected');
  expect(rows(last.reading.low - 0.1)[0]!.word).toBe('less than expected');
});

test('how many rounds were done stands beside it; a walk-through and what was not read again expect nothing', () => {
  expect(rows(70, through.slice(0, 8))[0]!.rounds.done).toBeLessThan(rows(70)[0]!.rounds.planned);
  expect(rows(70, through, 12)).toEqual([]);
  expect(rows(70, [])).toEqual([]);
  expect(againstPlan([run(through)], [reading('before', 60), reading('after', 70, 'right')], facts)).toEqual([]);
});
