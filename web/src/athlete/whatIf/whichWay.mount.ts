import { motionOf } from '@pace-bend/core/body';
import type { WayAnswer } from '@pace-bend/core/cycle';
import { page, put } from '../../testing/mounted.ts';
import WhichWay from './WhichWay.vue';

const way = (methodId: string, visits: number, best: number, middle = 3): WayAnswer => ({
  methodId,
  madeFrom: null,
  visits,
  brings: { middle, low: middle - 1, high: middle + 1 },
  best,
});
const said = async (ways: readonly WayAnswer[]) => {
  const here = await page();
  return (await put(WhichWay, here, { motion: motionOf('straight-leg-raise'), ways })).text().replace(/\s+/g, ' ');
};

test('it says which way gives most only where that is likely enough and both ahead were done often enough', async () => {
  expect(await said([way('cr-breath', 6, 0.93, 4), way('static-hold', 5, 0.07)])).toContain(
    'gives most here: 93 in 100 that none of the others brings more.',
  );
  for (const unsure of [
    [way('cr-breath', 6, 0.88), way('static-hold', 5, 0.12)],
    [way('cr-breath', 9, 0.97), way('static-hold', 2, 0.03)],
  ])
    expect(await said(unsure)).toContain('Not enough to say.');
  expect(await said([way('cr-breath', 9, 1)])).toContain('Nothing to hold it against.');
  expect(await said([])).toContain('No visit yet');
});

test('what a visit brings stands with its band, and a way that is gone is named as that', async () => {
  const text = await said([way('cr-breath', 6, 0.6, 4.2), way('gone', 5, 0.4, 3)]);
  expect(text).toContain('4.2° 3.2° to 5.2°');
  expect(text).toContain('a way that is gone');
});
