import { expect, test } from './support.ts';

test('two ways held against each other: half done in the demo, planned by lot for somebody else, said at the visit, ended early', async ({
  page,
  expectedErrors,
}) => {
  expect(expectedErrors).toEqual([]);
  const athleteId = async (name: string) =>
    ((await (await page.request.get(`/api/athletes?q=${encodeURIComponent(name)}&offset=0`)).json()) as { athletes: { id: string }[] })
      .athletes[0]!.id;
  const card = page.getByRole('region', { name: 'Comparison of two ways' });

  await test.step('half done: what each visit left, and that it is not enough to say', async () => {
    await page.goto(`/athlete/${await athleteId('Milo Ferrand')}/what-if?motion=ankle-dorsiflexion&side=left`);
    await expect(card).toContainText('visit 7 of 10 is done');
    const visits = card.getByRole('listitem');
    await expect(visits).toHaveCount(7);
    await expect(visits.last()).toContainText('not read yet');
    await expect(card).toContainText('Not enough to say. In 3 pairs');
    await expect(card).toContainText('of the 8 orders that could have been drawn show as much');
    // What comes after the next visit is not told, nor can a second one be planned meanwhile.
    await expect(card.getByRole('button', { name: 'Plan a comparison' })).toHaveCount(0);
  });

  const odile = await athleteId('Odile Marchetti');
  await test.step('planned, with what is wrong said first', async () => {
    await page.goto(`/athlete/${odile}/what-if`);
    await card.getByRole('button', { name: 'Plan a comparison' }).click();
    const dialog = page.getByRole('dialog', { name: 'Plan a comparison' });
    const plan = dialog.getByRole('button', { name: 'Plan it and draw the order' });
    await dialog.getByLabel('Pairs of visits').fill('4');
    await plan.click();
    await expect(dialog.getByRole('alert')).toContainText('5 to 10 pairs.');
    await dialog.getByLabel('Pairs of visits').fill('5');
    await plan.click();
    await expect(dialog).toHaveCount(0);
    await expect(card).toContainText('visit 0 of 10 is done');
    await expect(card).toContainText('No pair is complete yet');
  });

  await test.step('the visit says its way', async () => {
    const { comparisons } = (await (await page.request.get(`/api/athletes/${odile}/comparisons`)).json()) as {
      comparisons: { order: string[] }[];
    };
    expect(comparisons[0]!.order).toHaveLength(1);
    const id = crypto.randomUUID();
    const startsAt = new Date(Date.now() + 3 * 3_600_000).toISOString();
    expect(
      (await page.request.put(`/api/visits/${id}`, { data: { athleteId: odile, startsAt, minutes: 45, overlap: true } })).status(),
    ).toBe(200);
    await page.goto(`/visit/${id}/plan`);
    const notice = page.getByRole('region', { name: 'Comparison of two ways' });
    await expect(notice).toContainText('Comparison, visit 1 of 10:');
    await expect(notice.getByRole('button', { name: 'Propose with it' })).toBeDisabled();
    const { visit } = (await (await page.request.get(`/api/visits/${id}`)).json()) as { visit: { revision: number } };
    expect((await page.request.post(`/api/visits/${id}/cancel`, { data: { revision: visit.revision } })).status()).toBe(200);
  });

  await test.step('ended early', async () => {
    await page.goto(`/athlete/${odile}/what-if`);
    await card.getByRole('button', { name: 'End it early' }).click();
    await expect(card).toContainText('ended early');
    await expect(card.getByRole('button', { name: 'Plan a comparison' })).toBeVisible();
  });
});
