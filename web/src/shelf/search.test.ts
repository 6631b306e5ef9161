import { ENTRIES } from '@pace-bend/core/catalogue';
import { METHODS } from '@pace-bend/core/method';
import { findOnShelf, shelfIndex, type ShelfFilter } from './search.ts';

const index = shelfIndex(ENTRIES, METHODS);
const NOTHING: ShelfFilter = { text: '', section: null, position: null, tool: null, methodId: null, regions: [] };
const found = (change: Partial<ShelfFilter>) =>
  findOnShelf(() => index, ENTRIES, METHODS, { ...NOTHING, ...change }).map((entry) => entry.id);

test.each([
  ['quad stretch', 'rectus-femoris-prone'],
  ['hamstrng', 'hamstring-heel-on-shoulder'],
  ['piriformes', 'outward-rotators-prone'],
  ['gastrocnemius', 'calf-supine'],
  ['knee cap', 'patella-glides'],
  ['lats', 'latissimus-supine'],
  ['suboccipital', 'skull-base-melt'],
  ['plantar', 'sole-pin'],
])('"%s" finds %s', (text, id) => {
  expect(found({ text }).slice(0, 6)).toContain(id);
});

test('words of a way of working find what it fits; all words have to be there', () => {
  expect(found({ text: 'calf PNF' })).toContain('calf-supine');
  expect(found({ text: 'calf PNF' })).not.toContain('calf-point-holds');
  expect(found({ text: 'zzzz' })).toEqual([]);
});

test('nothing typed: everything, in the catalogue’s order; filters narrow it', () => {
  expect(found({})).toEqual(ENTRIES.map((entry) => entry.id));
  expect(found({ section: 'Neck' }).length).toBe(ENTRIES.filter((entry) => entry.section === 'Neck').length);
  expect(found({ position: 'side-lying right', tool: 'forearm' })).toContain('rib-pelvis-spread');
  for (const id of found({ methodId: 'pin-lengthen' })) expect(ENTRIES.find((entry) => entry.id === id)!.ways).toContain('pin-lengthen');
});

test('muscles pointed at: an entry that works on any of them, and nothing else', () => {
  const ids = found({ regions: ['soleus', 'levator'] });
  expect(ids).toEqual(expect.arrayContaining(['soleus-lunge', 'soleus-prone', 'calf-pin', 'neck-diagonal-levator']));
  expect(ids).not.toContain('hamstring-ninety');
  expect(found({ regions: ['soleus'], section: 'Neck' })).toEqual([]);
});
