import fc from 'fast-check';
import { HOURS, type StandingFinding } from '../finding/index.ts';
import { checkBlock, newBlock } from '../method/index.ts';
import { byFindings, glidesFor, hoursFor } from './index.ts';

const clock = (tight: readonly number[], painful: readonly number[] = []) =>
  HOURS.map((hour) => (tight.includes(hour) ? 'tight' : painful.includes(hour) ? 'painful' : 'free'));
const found = (content: Partial<StandingFinding>): StandingFinding =>
  ({ id: 'f', visitId: 'v', foundAt: '', foundBy: '', moment: 'before', supersedes: null, ...content }) as StandingFinding;

// Around 12: 10, 2, 10, 2, then 12; common practice.
test('the neighbours of a tight hour first, to and fro, and then the hour', () => {
  expect(hoursFor(clock([12]), 8)).toEqual(['10 o’clock', '2 o’clock', '10 o’clock', '2 o’clock', '12 o’clock']);
  expect(hoursFor(clock([1]), 8)).toEqual(['11 o’clock', '3 o’clock', '11 o’clock', '3 o’clock', '1 o’clock']);
  expect(hoursFor(clock([12, 6]), 8)).toEqual(['10 o’clock', '2 o’clock', '12 o’clock', '4 o’clock', '8 o’clock', '6 o’clock']);
  expect(hoursFor(clock([]), 8)).toBeNull();
});

test('whatever the clock says, nothing painful is gone to, something tight is, and never more than there may be', () => {
  fc.assert(
    fc.property(fc.array(fc.constantFrom('free', 'tight', 'painful'), { minLength: 12, maxLength: 12 }), (states) => {
      const hours = hoursFor(states, 8);
      const of = (state: string) => HOURS.filter((_, i) => states[i] === state).map((hour) => `${hour} o’clock`);
      if (of('tight').length === 0) return expect(hours).toBeNull();
      expect(hours!.length).toBeLessThanOrEqual(8);
      expect(hours!.some((hour) => of('tight').includes(hour))).toBe(true);
      expect(hours!.filter((hour) => of('painful').includes(hour))).toEqual([]);
    }),
  );
});

test('glides begin with the stiff way; a painful one stays out; nothing stiff asks for nothing', () => {
  const words = { up: 'up', down: 'down', in: 'inward', out: 'outward' };
  expect(glidesFor({ up: 'free', down: 'stiff', in: 'painful', out: 'stiff' }, words)).toEqual(['down', 'outward', 'up']);
  expect(glidesFor({ up: 'free', down: 'free', in: null, out: 'painful' }, words)).toBeNull();
});

test('a block takes them from the finding of its joint and side, and nothing else changes', () => {
  const ankle = newBlock('b', 'ankle-circles', 'hour-circles', ['left', 'right']);
  const tight = found({ kind: 'clock', subject: 'ankle', side: 'right', data: { hours: clock([12]) as never } });
  const asked = byFindings(ankle, [tight]);
  expect(asked.lists!.hours).toEqual(['10 o’clock', '2 o’clock', '10 o’clock', '2 o’clock', '12 o’clock']);
  expect({ ...asked, lists: ankle.lists }).toEqual(ankle);
  expect(checkBlock(asked)).toEqual([]);
  expect(byFindings(ankle, [found({ ...tight, subject: 'hip' } as never)])).toBe(ankle);
  expect(byFindings({ ...ankle, sides: [{ side: 'left', rounds: 1 }] }, [tight]).lists).toEqual(ankle.lists);
  expect(byFindings(newBlock('b', 'calf-supine', 'static-hold', ['left']), [tight]).lists).toBeUndefined();

  const cap = newBlock('b', 'patella-glides', 'mobilize-sustained', ['left']);
  const stiff = found({ kind: 'glide', subject: 'patella', side: 'left', data: { up: 'free', down: 'stiff', in: 'free', out: 'free' } });
  expect(byFindings(cap, [stiff]).lists!.directions).toEqual(['down', 'up', 'inward', 'outward']);
  const rocked = newBlock('b', 'patella-glides', 'continuous-motion', ['left']);
  expect(byFindings(rocked, [stiff])).toBe(rocked);
});
