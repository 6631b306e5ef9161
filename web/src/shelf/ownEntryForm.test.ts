import { ENTRIES } from '@pace-bend/core/catalogue';
import { checkOwnEntry } from '@pace-bend/core/method';
import { BLANK, formOf, missingIn, sentOf } from './ownEntryForm.ts';

test('every entry of the catalogue goes through the form and comes out as it went in', () => {
  for (const entry of ENTRIES) {
    const { kind, ...sent } = sentOf(formOf(entry));
    expect(kind).toBe('entry');
    // What is claimed of the one it was made from is not claimed of it.
    const { claims: _claims, ...said } = entry;
    expect({ id: entry.id, ...sent }).toEqual({ ...said, drawnAs: entry.id });
  }
});

test('no entry of the catalogue is refused by the form or by the check', () => {
  for (const entry of ENTRIES)
    expect([entry.id, missingIn(formOf(entry)), checkOwnEntry(sentOf(formOf(entry)))]).toEqual([entry.id, {}, []]);
});

test('an empty form names what is missing; blank lists and the motion itself are left out', () => {
  expect(Object.keys(missingIn(BLANK)).sort()).toEqual(['bringHome', 'hands', 'name', 'press', 'pressLine', 'setUp', 'targets', 'watch']);
  const sent = sentOf({
    ...BLANK,
    synonyms: ' a ;; b, c ',
    lists: { stations: ' ; ', directions: 'up; down' },
    also: ['hip-flexion', 'straight-leg-raise'],
  });
  expect(sent).toMatchObject({
    synonyms: ['a', 'b, c'],
    lists: { directions: ['up', 'down'] },
    also: ['straight-leg-raise'],
    cautions: 'None of its own.',
  });
  expect(missingIn({ ...BLANK, tools: [{ tool: 'palm', pct: Number.NaN }] })).toHaveProperty('tools');
});
