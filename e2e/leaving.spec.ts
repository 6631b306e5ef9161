import { expect, REFUSED, saved, signIn, test, walkIn } from './support.ts';
import { frames } from './waiting.ts';

test('unsent words of one account: said when signing out, never shown to or sent by the next, sent when their owner is back', async ({
  page,
  line,
  expectedErrors,
}) => {
  expectedErrors.push(REFUSED, /ERR_FAILED/);
  await signIn(page, 'jonas');
  const visit = await walkIn(page, 'Unsent Words');
  await page.goto(`${visit}/close`);
  await expect(page.getByLabel('Your words')).toBeVisible();
  line.cut((request) => request.url().endsWith('/note'));
  await page.getByLabel('Your words').fill('Only Jonas wrote this');
  await expect(page.getByText('Not sent yet: kept here')).toBeVisible();

  await page.getByRole('button', { name: 'Sign out' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('the note: typed here and not on the server yet');
  await dialog.getByRole('button', { name: 'Stay' }).click();
  await expect(page.getByLabel('Your words')).toHaveValue('Only Jonas wrote this');
  await page.getByRole('button', { name: 'Sign out' }).click();
  await dialog.getByRole('button', { name: 'Sign out and leave it here' }).click();
  await expect(page.getByLabel('Sign-in name')).toBeVisible();
  line.restore();

  const sent: string[] = [];
  page.on('request', (request) => {
    if (request.method() === 'PUT' && request.url().endsWith('/note')) sent.push(request.postData() ?? '');
  });
  await signIn(page, 'marit');
  await page.goto(`${visit}/close`);
  await expect(page.getByLabel('Your words')).toHaveValue('');
  // A page that had something to send would have begun with it.
  await saved(page);
  await frames(page, 90);
  expect(sent).toEqual([]);

  await signIn(page, 'jonas');
  await page.goto(`${visit}/close`);
  await expect(page.getByLabel('Your words')).toHaveValue('Only Jonas wrote this');
  await saved(page);
  expect(sent).toHaveLength(1);
  await page.goto('/practice');
  // The audit says who wrote it.
  await signIn(page, 'marit');
  const { lines } = (await (await page.request.get(`${process.env.APPLICATION_URL}/api/audit`)).json()) as {
    lines: { account: string; what: string; athleteName: string }[];
  };
  expect(lines.filter((line) => line.what === 'note written' && line.athleteName === 'Unsent Words').map((line) => line.account)).toEqual([
    expect.stringMatching(/^Jonas/),
  ]);
});

test('somebody else signs in in another tab: the first one’s page sends nothing in their name, and goes on when its owner is back', async ({
  page,
  expectedErrors,
}) => {
  expectedErrors.push(REFUSED);
  await signIn(page, 'jonas');
  const visit = await walkIn(page, 'Two Tabs');
  await page.goto(`${visit}/close`);
  await expect(page.getByLabel('Your words')).toBeVisible();
  await signIn(page, 'marit');
  await page.getByLabel('Your words').fill('Typed by Jonas');
  const again = page.getByRole('dialog', { name: 'Sign in again' });
  await expect(again).toBeVisible();
  const note = async () =>
    ((await (await page.request.get(`${visit.replace('/visit/', '/api/visits/')}`)).json()) as { note: { text: string } }).note.text;
  expect(await note()).toBe('');
  await again.getByLabel('Sign-in name').fill('jonas');
  await again.getByLabel('Password').fill('quiet river therapist');
  await again.getByRole('button', { name: 'Sign in' }).click();
  await expect(again).toBeHidden();
  await expect.poll(note).toBe('Typed by Jonas');
});
