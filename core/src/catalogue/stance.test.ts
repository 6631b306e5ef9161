import { ENTRIES, findEntry, hasStance, PLACES_TO_STAND, positionWords, stanceIn, stanceWords } from './index.ts';

test('every entry that a therapist does says how they stand, in every position; what somebody does alone says nothing', () => {
  for (const entry of ENTRIES) {
    const home = entry.section === 'Home work';
    expect([entry.id, hasStance(entry.id)]).toEqual([entry.id, !home]);
    for (const position of entry.positions) {
      const stance = stanceIn(entry, position);
      expect([entry.id, position, stance === null]).toEqual([entry.id, position, home]);
      if (stance) {
        expect(PLACES_TO_STAND).toContain(stance.at);
        expect(stance.how).toMatch(/stand|seated|kneel|corner|knee|hip|shin/);
      }
    }
  }
});

test('common practice: the head is worked from its end, traction leans back, the floor mat is worked on the floor', () => {
  for (const [id, position, place] of [
    ['neck-side-bend-supine', 'supine', 'head end'],
    ['neck-traction', 'supine', 'head end'],
    ['latissimus-side-lying', 'side-lying left', 'behind'],
    ['subscapularis-approach', 'side-lying right', 'behind'],
    ['leg-pull', 'supine', 'foot end'],
    ['balance-press', 'seated leaning', 'behind'],
    ['wrist-flexor-cr', 'seated upright', 'in front'],
    ['wrist-flexor-cr', 'supine', 'worked side'],
    ['ankle-circles', 'prone', 'foot end'],
    ['thigh-foot-walk', 'floor mat', 'on the mat'],
  ] as const)
    expect([id, stanceIn(findEntry(id)!, position)!.at]).toEqual([id, place]);
  expect(stanceWords(stanceIn(findEntry('leg-pull')!, 'supine')!)).toMatch(/leaning back/);
});

test('what is done on a floor mat only is never said to be done from a table’s end', () => {
  for (const entry of ENTRIES.filter(
    ({ positions, section }) => positions.every((each) => each === 'floor mat') && section !== 'Home work',
  ))
    expect([entry.id, stanceIn(entry, 'floor mat')!.at]).toEqual([entry.id, 'on the mat']);
});

test('a practice’s own entry stands where the one it was made from does, and elsewhere as its position asks', () => {
  const own = { ...findEntry('neck-traction')!, id: 'own', drawnAs: 'neck-traction' };
  expect(stanceIn(own, 'supine')!.at).toBe('head end');
  expect(stanceIn({ ...own, drawnAs: 'nothing' }, 'supine')!.at).toBe('worked side');
  // Done sitting, it is neither drawn from the table's end nor called so.
  const seated = { ...own, drawnAs: 'neck-extension-table-end', positions: ['seated upright'] as const };
  expect(stanceIn(seated, 'seated upright')!.at).toBe('behind');
  expect(positionWords(seated, 'seated upright')).toBe('seated upright');
});

test('positions have the names that matter at the table', () => {
  const words = (id: string) => positionWords(findEntry(id)!, findEntry(id)!.positions[0]);
  expect(words('neck-extension-table-end')).toBe('supine, head past the table end');
  expect(words('rectus-femoris-table-side')).toBe('supine, shank hanging over the table edge');
  expect(words('back-press-walk-seated')).toMatch(/massage chair/);
  expect(words('hip-circling')).toBe('supine');
  // What a set-up says lies beyond an edge is what the position is called.
  const beyond = ENTRIES.filter(
    ({ setUp, supports, section }) =>
      section !== 'Home work' && /past the (table )?(end|edge)|over the (table )?(edge|end|table side)/i.test(`${setUp} ${supports}`),
  );
  expect(beyond.filter((entry) => positionWords(entry, entry.positions[0]) === entry.positions[0]).map(({ id }) => id)).toEqual([]);
});
