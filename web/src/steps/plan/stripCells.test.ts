import { compile, newBlock, SLOW_BREATH } from '@pace-bend/core/method';
import { sessionStrip } from '@pace-bend/core/session';
import { cellsOf } from './stripCells.ts';

const blocks = [
  newBlock('a', 'hip-circling', 'continuous-motion', ['left', 'right']),
  newBlock('b', 'hamstring-heel-on-shoulder', 'cr-breath', ['left', 'right', 'left'].slice(0, 2) as ('left' | 'right')[]),
  newBlock('c', 'rectus-femoris-prone', 'static-hold', ['left', 'right']),
  newBlock('d', 'still-hold', 'breath-sink', ['midline']),
];
const strip = sessionStrip({ blocks, line: compile(blocks, { breath: SLOW_BREATH, edgeOf: () => null }), isMeasured: () => true });

test('a block with both sides is one box; measuring of both sides is one; a turn stands by itself', () => {
  const cells = cellsOf(strip, 3600);
  expect(cells.filter((cell) => cell.kind === 'block').map((cell) => cell.blockId)).toEqual(['a', 'b', 'c', 'd']);
  expect(cells.filter((cell) => cell.kind === 'turn')).toHaveLength(strip.turns);
  expect(
    cells
      .find((cell) => cell.blockId === 'b')!
      .items.filter((item) => item.kind === 'block')
      .map((item) => item.side),
  ).toEqual(['left', 'right']);
  expect(cells.filter((cell) => cell.kind === 'after').map((cell) => cell.items.length)).toEqual([2, 2]);
  // Nothing is lost or counted twice.
  expect(cells.reduce((sum, cell) => sum + cell.seconds, 0)).toBe(strip.seconds);
  cells.slice(1).forEach((cell, i) => expect(cell.startS).toBe(cells[i]!.startS + cells[i]!.seconds));
  expect(cells.filter((cell) => cell.position !== null).map((cell) => cell.position)).toEqual([
    'supine',
    'prone',
    ...(cells.some((cell) => cell.kind === 'block' && cell.blockId === 'd' && cell.position === 'supine') ? ['supine'] : []),
  ]);
});

test('the minute where the booked time ends lies in exactly one box, and what begins later is marked', () => {
  const booked = Math.round(strip.seconds / 2);
  const cells = cellsOf(strip, booked);
  expect(cells.filter((cell) => cell.endsHere)).toHaveLength(1);
  expect(cells.filter((cell) => cell.late).every((cell) => cell.startS >= booked)).toBe(true);
  expect(cellsOf(strip, strip.seconds + 60).some((cell) => cell.endsHere || cell.late)).toBe(false);
});
