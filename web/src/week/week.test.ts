import { createPinia, setActivePinia } from 'pinia';
import { useWeekDrafts, type Draft } from './drafts.ts';
import { newSpan, readSpans, typedSpans } from './spans.ts';

const MONDAY = '2026-11-30';

describe('weeks that are being made', () => {
  const put = (athleteId: string): Draft => ({
    placed: [{ athleteId, key: 'a/2026-11-30/480', pinned: false }],
    closed: [],
    opened: [],
    out: [],
    how: 'by hand',
    gap: 0,
  });
  beforeEach(() => setActivePinia(createPinia()));

  test('every change has its way back and forth, week by week', async () => {
    const drafts = useWeekDrafts();
    drafts.step(MONDAY, 'one', put('a'));
    drafts.step(MONDAY, 'two', put('b'));
    expect(drafts.of('2026-12-07')).toEqual(drafts.empty);
    await drafts.undo(MONDAY);
    expect(drafts.of(MONDAY)).toEqual(put('a'));
    expect(drafts.kept(MONDAY).undone.map(({ words }) => words)).toEqual(['two']);
    await drafts.undo(MONDAY);
    await drafts.undo(MONDAY);
    expect(drafts.of(MONDAY)).toEqual(drafts.empty);
    await drafts.redo(MONDAY);
    await drafts.redo(MONDAY);
    expect(drafts.of(MONDAY)).toEqual(put('b'));
    await drafts.undo(MONDAY);
    // Something new: what was taken back is gone.
    drafts.step(MONDAY, 'three', put('c'));
    await drafts.redo(MONDAY);
    expect(drafts.of(MONDAY)).toEqual(put('c'));
  });

  test('a way back that fails leaves everything as it was', async () => {
    const drafts = useWeekDrafts();
    drafts.step(MONDAY, 'one', put('a'));
    drafts.did(MONDAY, { words: 'booked', back: () => Promise.reject(new Error('no line')), again: () => undefined });
    await expect(drafts.undo(MONDAY)).rejects.toThrow('no line');
    expect(drafts.kept(MONDAY).done.map(({ words }) => words)).toEqual(['one', 'booked']);
    expect(drafts.kept(MONDAY).undone).toEqual([]);
  });

  test('a visit keeps the id it was first given, unless it stands elsewhere by now', () => {
    const drafts = useWeekDrafts();
    const id = drafts.idOf(MONDAY, 'a', 'k', new Set());
    expect(drafts.idOf(MONDAY, 'a', 'k', new Set())).toBe(id);
    expect(drafts.idOf(MONDAY, 'a', 'other', new Set())).not.toBe(id);
    const moved = drafts.idOf(MONDAY, 'a', 'k', new Set([id]));
    expect(moved).not.toBe(id);
    expect(drafts.idOf(MONDAY, 'a', 'k', new Set([id]))).toBe(moved);
  });
});

describe('times as they are typed', () => {
  test.each(['24', '12'] as const)(
    'read and printed they are the same, in order, with %s hours; what is wrong is named by its day',
    (habit) => {
      const spans = [
        { weekday: 2, fromMin: 960, toMin: 1140, words: '' },
        { weekday: 1, fromMin: 510, toMin: 660, words: 'x' },
      ];
      expect(readSpans(typedSpans(spans, habit)).spans).toEqual([spans[1], spans[0]]);
      expect(readSpans([newSpan(3, 'soon', '10:00')]).wrong).toBe('Wednesday: Type a time, as 14:30 or 2:30 pm.');
      expect(readSpans([newSpan(3, '11:00', '10:00')]).wrong).toContain('ends after it begins');
      // A day ends at 24:00; it does not begin there.
      expect(readSpans([newSpan(3, '20:00', '24:00')]).spans[0]!.toMin).toBe(1440);
      expect(readSpans([newSpan(3, '24:00', '24:00')]).wrong).toContain('hours 0 to 23');
      expect(readSpans([]).wrong).toBe('');
    },
  );
});
