import { regionsNamed } from '../figure/index.ts';
import { ENTRIES, partnersOf } from './index.ts';

// Partner muscles: common practice.
test.each([
  ['quadratus lumborum', ['gluteus medius', 'gluteus minimus']],
  ['psoas', ['iliacus', 'gluteus maximus']],
  ['rhomboids', ['pectoralis minor']],
  ['infraspinatus', ['subscapularis']],
  ['quadriceps', ['hamstrings']],
  ['gastrocnemius', ['tibialis anterior', 'peroneus longus']],
])('with %s', (muscle, partners) => {
  expect(partnersOf({ targets: [muscle] }).map((each) => each.muscle)).toEqual(partners);
});

test('what is named already is not a partner, and each stands once with its reason', () => {
  expect(partnersOf({ targets: ['psoas', 'iliacus'] }).map((each) => each.muscle)).toEqual(['gluteus maximus']);
  for (const entry of ENTRIES) {
    const found = partnersOf(entry);
    expect(new Set(found.map(({ muscle }) => muscle)).size).toBe(found.length);
    for (const { muscle, because } of found) {
      expect(entry.targets).not.toContain(muscle);
      expect(because.length).toBeGreaterThan(5);
      // Somebody can look at it: it has a place on the body, and something in the catalogue works on it.
      expect([muscle, regionsNamed([muscle]).length > 0]).toEqual([muscle, true]);
      expect([muscle, ENTRIES.some((each) => each.targets.includes(muscle))]).toEqual([muscle, true]);
    }
  }
});
