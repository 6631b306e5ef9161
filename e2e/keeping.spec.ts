import { readFileSync } from 'node:fs';
import { clean } from './axe.ts';
import { expect, ownPractice, REFUSED, saved, test, walkIn } from './support.ts';

test('somebody is erased on their wish: a copy, what the law keeps apart until its day, and back from that file', async ({
  page,
  expectedErrors,
  emptyApplication,
}) => {
  expectedErrors.push(REFUSED);
  const application = await ownPractice(page, emptyApplication);
  await page.goto(`${application.url}/practice/keeping`);
  const periods = page.getByRole('region', { name: 'How long it is kept' });
  const due = page.getByRole('region', { name: 'What is due' });
  await expect(due).toContainText('Nothing is past its period.');
  await expect(page.getByRole('region', { name: 'Backups' })).toContainText('Nobody was erased so far.');

  await test.step('what the law asks is set by keys; what is wrong says so at its place', async () => {
    await periods.getByRole('spinbutton', { name: 'Check-ins' }).fill('0');
    await periods.getByLabel('The law here asks for records to be kept').check();
    await periods.getByLabel('At least').fill('10');
    await periods.getByLabel('What asks for it').focus();
    await periods.getByRole('button', { name: 'Keep these periods' }).click();
    await expect(periods.getByRole('alert')).toHaveText([/^A whole number from 1 to 1200/, /^Say what asks for it/]);
    await periods.getByRole('spinbutton', { name: 'Check-ins' }).fill('24');
    await periods.getByLabel('What asks for it').fill('Record rule of the town');
    await periods.getByLabel('What asks for it').press('Tab');
    await page.keyboard.press('Enter');
    await expect(periods.getByRole('status')).toHaveText('Kept');
    await clean(page, 'keeping');
    await page.reload();
    await expect(periods.getByLabel('At least')).toHaveValue('10');
  });

  await page.goto(application.url);
  await walkIn(page, 'Tilda Brandt', '2001-05-06', application.url);
  const visit = page.url();
  const athlete = (await (await page.request.get(`${application.url}/api/athletes?find=Tilda`)).json()) as { athletes: { id: string }[] };
  const file = `${application.url}/athlete/${athlete.athletes[0]!.id}/file`;
  await saved(page);

  await test.step('erasing says what stays and until when; without a copy or the word that none is wanted it does not go', async () => {
    await page.goto(file);
    const record = page.getByRole('region', { name: 'Record' });
    await record.getByRole('button', { name: 'Erase this athlete' }).click();
    await expect(record).toContainText('(Record rule of the town)');
    await record.getByLabel(/^Type the name/).fill('Tilda Brandt');
    await record.getByRole('button', { name: 'Erase for good' }).click();
    await expect(record.getByRole('alert')).toHaveText('Export their record first, or say that they want no copy.');
    await record.getByLabel('They want no copy').check();
    await record.getByRole('button', { name: 'Erase for good' }).click();
    await expect(page).toHaveURL(/\/squad$/);
    await page.goto(visit);
    await expect(page.getByText('Tilda Brandt')).toHaveCount(0);
  });

  await page.goto(`${application.url}/practice/keeping`);
  const kept = page.getByRole('region', { name: 'Kept by law' });
  await expect(kept).toContainText('Tilda Brandt');
  await expect(kept).toContainText('Record rule of the town');
  await expect(kept.getByRole('button', { name: 'Erase' })).toHaveCount(0);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    kept.getByRole('link', { name: 'Export what is kept of Tilda Brandt' }).click(),
  ]);
  const bytes = readFileSync(await download.path());

  await test.step('should they come back, the file is imported again', async () => {
    await page.goto(`${application.url}/practice/export`);
    const card = page.getByRole('region', { name: 'Import records' });
    await card.locator('input[type=file]').setInputFiles({ name: 'kept.json', mimeType: 'application/json', buffer: bytes });
    await card.getByRole('button', { name: 'Import 1 athlete' }).click();
    await expect(card).toContainText('1 of 1 imported');
    await page.goto(file);
    await expect(page.getByRole('heading', { name: /Tilda Brandt/ })).toBeVisible();
  });
});
