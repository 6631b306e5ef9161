import { compile, newBlock, SLOW_BREATH } from '@pace-bend/core/method';
import { betweenPasses, passKey, sessionStrip } from '@pace-bend/core/session';
import { betweenWords } from './between.ts';

const blocks = [
  newBlock('a', 'rectus-femoris-prone', 'cr-breath', ['left', 'right']),
  newBlock('b', 'hamstring-heel-on-shoulder', 'static-hold', ['left', 'right']),
];
const strip = sessionStrip({
  blocks,
  line: compile(blocks, { breath: SLOW_BREATH, edgeOf: () => null }),
  isMeasured: (motionId) => motionId !== 'straight-leg-raise',
});
const between = betweenPasses(strip, blocks);
const before = (block: number, pass: number) => betweenWords(between.before.get(passKey(block, pass)) ?? []);

test('nothing stands before the first block when all is read', () => {
  expect(before(0, 0)).toBe('');
});

test('the other side of the same block: round the table', () => {
  expect(before(0, 1)).toBe('walk round the table to the right');
});

test('before the athlete turns over, what is done with is read again; what was not read yet is read first', () => {
  expect(before(1, 0)).toMatch(/^read hip extension, left and right, again · turn: supine/);
  expect(before(1, 0)).toContain('read straight-leg raise, left');
});

test('after the last block what is still open is read again', () => {
  expect(betweenWords(between.afterLast)).toBe('read straight-leg raise, left and right, again');
});

test('every item between opening and close is said exactly once', () => {
  const said = [...between.before.values()].flat().length + between.afterLast.length;
  expect(said).toBe(strip.items.filter((item) => !['opening', 'close', 'block'].includes(item.kind)).length);
});
