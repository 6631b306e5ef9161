import { compile, newBlock, type Line } from '../method/index.ts';
import { foldRun, type RunEvent } from '../table/index.ts';
import { blocksDone } from './treated.ts';

const breath = { periodMs: 8000, inShare: 0.4 };
const lineOf = (...blocks: ReturnType<typeof newBlock>[]) => compile(blocks, { breath, edgeOf: () => 50 });
/** Goes through a line up to a cue, as the therapist would with the key for the next cue, and ends it there. */
const upTo = (cueIndex: number): RunEvent[] => [
  { kind: 'start', atMs: 0 },
  ...Array.from({ length: cueIndex }, (_, i): RunEvent => ({ kind: 'next', atMs: (i + 1) * 1000 })),
  { kind: 'finish', atMs: (cueIndex + 1) * 1000 },
];
/** Goes through a line by its clock: every cue for as long as it is planned, open cues for a second. */
function byTheClock(line: Line, untilRound: number, side: string): RunEvent[] {
  const events: RunEvent[] = [{ kind: 'start', atMs: 0 }];
  let atMs = 0;
  for (const cue of line.cues) {
    if (cue.side === side && cue.round > untilRound) break;
    atMs += cue.open ? 1000 : cue.endMs - cue.startMs;
    if (cue.open) events.push({ kind: 'go', atMs });
  }
  return [...events, { kind: 'finish', atMs: atMs + 1 }];
}

test('rounds that were finished count, on the sides that were reached; a plan that was left counts no further', () => {
  const line = lineOf({
    ...newBlock('0190c000-0000-7000-8000-000000000001', 'hamstring-heel-on-shoulder', 'static-hold', ['left', 'right']),
    sides: [
      { side: 'left', rounds: 3 },
      { side: 'right', rounds: 3 },
    ],
  });
  const state = foldRun(line, byTheClock(line, 2, 'left'));
  // Fifteen seconds held in each, by the clock.
  const held = { heldS: 15, workedS: 0, pressedS: 0, effortPct: 0 };
  expect(blocksDone(line, state)).toEqual([
    {
      entryId: 'hamstring-heel-on-shoulder',
      methodId: 'static-hold',
      motionId: 'straight-leg-raise',
      sides: [{ side: 'left', rounds: 2, work: [held, held] }],
    },
  ]);
  // Begun and left at once: nothing was done.
  expect(blocksDone(line, foldRun(line, upTo(0)))).toEqual([]);
});

test('a motion that is read the other way is credited on its own side', () => {
  const line = lineOf({
    ...newBlock('0190c000-0000-7000-8000-000000000002', 'neck-side-bend-supine', 'static-hold', ['left']),
    sides: [{ side: 'left', rounds: 1 }],
  });
  const done = blocksDone(line, foldRun(line, byTheClock(line, 9, 'left')));
  expect(done).toMatchObject([{ motionId: 'neck-side-bend', sides: [{ side: 'right', rounds: 1 }] }]);
});
