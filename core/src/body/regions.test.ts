import { CONSENT_AREAS, consentArea, regionsOfAreas } from '../caution/index.ts';
import { placeWords, regionName, REGIONS } from './index.ts';

test('every region has one name and belongs to exactly one area of consent', () => {
  expect(new Set(REGIONS.map((region) => region.name)).size).toBe(REGIONS.length);
  for (const { id } of REGIONS) {
    expect(CONSENT_AREAS.filter((area) => (area.regions as readonly string[]).includes(id))).toHaveLength(1);
    expect(regionsOfAreas([consentArea(id)])).toContain(id);
  }
  expect(regionsOfAreas(CONSENT_AREAS.map((area) => area.id)).sort()).toEqual(REGIONS.map((region) => region.id).sort());
  expect(regionsOfAreas([])).toEqual([]);
});

test('places are said with their side, and without one where there is none', () => {
  expect(placeWords('knee', 'left')).toBe('left knee');
  expect(placeWords('calf', 'both')).toBe('calf, both sides');
  expect(placeWords('belly', null)).toBe('belly');
  expect(regionName('thigh-back')).toBe('back of the thigh');
});
