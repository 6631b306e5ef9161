import { readFileSync } from 'node:fs';
import { athleteNamed, choose, expect, ownPractice, REFUSED, test } from './support.ts';
import { clean } from './axe.ts';

test('the whole practice goes to another one: looked at, chosen, imported over a cut line, and nothing is doubled', async ({
  page,
  expectedErrors,
  emptyApplication,
}) => {
  expectedErrors.push(REFUSED);
  await page.goto('/practice/export');
  const out = page.getByRole('region', { name: 'Whole practice' });
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    out.getByRole('link', { name: 'Export the whole practice (JSON)' }).click(),
  ]);
  const practice = readFileSync(await download.path());
  const athletes = (JSON.parse(practice.toString()) as { athletes: unknown[] }).athletes.length;
  const joss = await athleteNamed(page, 'Joss Adeyemi');
  const bundle = await (await page.request.get(`/api/athletes/${joss}/fhir`)).body();

  const application = await ownPractice(page, emptyApplication);
  await page.goto(`${application.url}/practice/export`);
  const card = page.getByRole('region', { name: 'Import records' });
  const pick = (name: string, buffer: Buffer) =>
    card.locator('input[type=file]').setInputFiles({ name, mimeType: 'application/json', buffer });

  await test.step('what is no such file says so, and nothing is sent', async () => {
    await pick('x.json', Buffer.from('{"hello": 1}'));
    await expect(card.getByRole('alert')).toHaveText('This is not a file of a whole record or practice.');
    await pick('x.json', Buffer.from('{'));
    await expect(card.getByRole('alert')).toHaveText('This is no JSON file.');
  });

  const lines = card.getByRole('list', { name: 'In the file' }).locator('> li');
  await test.step('a look adds nothing: everybody is new, who worked there is named', async () => {
    await pick('practice.json', practice);
    await expect(card.getByRole('button', { name: `Import ${athletes} athletes` })).toBeEnabled({ timeout: 60_000 });
    await expect(lines).toHaveCount(athletes);
    await expect(lines.first()).toContainText('nobody here');
    await expect(card).toContainText('who cannot sign in here:');
    await clean(page, 'import records');
    expect(((await (await page.request.get(`${application.url}/api/athletes`)).json()) as { total: number }).total ?? 0).toBe(0);
  });

  await test.step('one is left out, the line is cut in the middle, and importing again brings the rest', async () => {
    const left = (await lines.first().getByRole('strong').innerText()).trim();
    await choose(page, `What becomes of ${left}`, 'Leave out');
    let taken = 0;
    await page.route('**/api/archive/take', (route) => (++taken === 5 ? route.abort() : route.continue()));
    await card.getByRole('button', { name: `Import ${athletes - 1} athletes` }).click();
    await expect(card.getByRole('alert').first()).toContainText('What was imported until then stays', { timeout: 60_000 });
    await expect(lines.filter({ hasText: 'Imported' })).toHaveCount(3);
    await card.getByRole('button', { name: `Import ${athletes - 4} athletes` }).click();
    await expect(card).toContainText(`${athletes - 1} of ${athletes} imported`, { timeout: 60_000 });
    await page.unroute('**/api/archive/take');
  });

  await test.step('the same file again: all but one are on file here, with nothing new', async () => {
    await pick('practice.json', practice);
    await expect(card.getByRole('button', { name: `Import ${athletes} athletes` })).toBeEnabled({ timeout: 60_000 });
    await expect(lines.filter({ hasText: 'on file here' })).toHaveCount(athletes - 1);
    await expect(lines.filter({ hasText: 'on file here' }).filter({ hasText: 'nothing to add' })).toHaveCount(athletes - 1);
  });

  await test.step('a FHIR bundle of somebody who is here: known, and what is not imported says why', async () => {
    await pick('joss.json', bundle);
    await expect(card.getByRole('button', { name: 'Import 1 athlete' })).toBeEnabled({ timeout: 30_000 });
    await expect(lines).toHaveCount(1);
    await expect(lines.first()).toContainText('here already');
    await expect(card).toContainText('Procedure: how work was counted at the table does not stand in it');
  });

  await page.goto(`${application.url}/athlete/${joss}/history`);
  await expect(page.getByRole('heading', { name: /Joss/ })).toBeVisible();
});
