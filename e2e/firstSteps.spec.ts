import { clean } from './axe.ts';
import { REFUSED, expect, test } from './support.ts';

test('a new practice is led through its first steps: set aside, taken up, done by what is there; samples come and go in one go', async ({
  page,
  expectedErrors,
  emptyApplication,
}) => {
  expectedErrors.push(REFUSED);
  const application = await emptyApplication({ PACE_BEND_DEMO: 'off' });
  await application.start();
  await page.goto(application.url);
  await page.getByLabel('Practice').fill('River room');
  await page.getByLabel('Your name').fill('Ann Owner');
  await page.getByLabel('Sign-in name').fill('owner');
  await page.getByLabel('Password').fill('a river in the rain');
  await page.getByRole('button', { name: 'Begin' }).click();

  await test.step('the path is there at once: nothing done, the sport comes first', async () => {
    await expect(page).toHaveURL(/\/practice\/first-steps$/);
    const path = page.getByRole('region', { name: 'First steps' });
    await expect(path).toContainText('0 of 6 done');
    await expect(path.getByRole('heading', { level: 3 })).toHaveText([
      'Sport and squads Next',
      'Scope and local rule',
      'People',
      'Events',
      'First athlete',
      'Your own measuring error',
    ]);
    await expect(page.getByRole('link', { name: 'Choose the sports' })).toHaveClass(/ant-btn-primary/);
  });
  await clean(page, 'first steps');
  const path = page.getByRole('region', { name: 'First steps' });
  const bar = page.getByRole('complementary', { name: 'First steps' });

  await test.step('a step is set aside and taken up again', async () => {
    await page.getByRole('button', { name: 'Set aside: Sport and squads' }).click();
    await expect(page.getByRole('button', { name: 'Take up again: Sport and squads' })).toBeVisible();
    await expect(page.getByRole('link', { name: 'Set the scope' })).toHaveClass(/ant-btn-primary/);
    await page.getByRole('button', { name: 'Take up again: Sport and squads' }).click();
    await expect(page.getByRole('link', { name: 'Choose the sports' })).toHaveClass(/ant-btn-primary/);
  });

  await test.step('an event is added here; the step is done', async () => {
    await page.getByRole('button', { name: 'Add an event' }).click();
    const dialog = page.getByRole('dialog');
    await dialog.getByLabel('Name').fill('Town run');
    await dialog.getByRole('button', { name: 'Add the event' }).click();
    await expect(dialog).toBeHidden();
    await expect(path).toContainText('1 of 6 done');
  });

  await test.step('on other pages a bar says how far it is and leads back; put away it stays away, also after a reload', async () => {
    await page.getByRole('link', { name: 'Day', exact: true }).click();
    await expect(bar).toContainText('First steps: 1 of 6 done. Next: Sport and squads.');
    await bar.getByRole('link', { name: 'Go on' }).click();
    await expect(path).toBeVisible();
    await expect(bar).toBeHidden();
    await page.getByRole('button', { name: 'Stop reminding me' }).click();
    await expect(page.getByRole('button', { name: 'Remind me on every page' })).toBeVisible();
    await page.getByRole('link', { name: 'Squad', exact: true }).click();
    await expect(page.getByRole('heading', { name: 'Squad' })).toBeVisible();
    await expect(bar).toBeHidden();
    await page.reload();
    await expect(page.getByRole('heading', { name: 'Squad' })).toBeVisible();
    await expect(bar).toBeHidden();
    await page.goto(`${application.url}/practice/first-steps`);
    await page.getByRole('button', { name: 'Remind me on every page' }).click();
  });

  await test.step('sample athletes fill the day; the bar says that they are samples', async () => {
    await page.getByRole('button', { name: 'Add sample athletes' }).click();
    await expect(page.getByText(/^\d+ sample athletes are here/)).toBeVisible();
    await expect(path).toContainText('1 of 6 done');
    await page.getByRole('link', { name: 'Open the day' }).click();
    await expect(page.getByTestId('board-visit')).toHaveCount(7);
    await clean(page, 'the day with samples');
    await expect(bar).toContainText(/You are looking around with \d+ sample athletes/);
    await page.getByRole('navigation', { name: 'The day' }).getByText('Tavi Brandsma').click();
    await expect(page.getByLabel('What brings them today')).toHaveValue(/Left hip/);
  });

  await test.step('all of them go after one question; what is the practice’s own stays', async () => {
    await bar.getByRole('link').click();
    await page.getByRole('button', { name: 'Remove all samples' }).click();
    await page.getByRole('dialog').getByRole('button', { name: 'Keep them' }).click();
    await expect(page.getByText(/^\d+ sample athletes are here/)).toBeVisible();
    await page.getByRole('button', { name: 'Remove all samples' }).click();
    await page.getByRole('dialog').getByRole('button', { name: 'Remove them' }).click();
    await expect(page.getByRole('button', { name: 'Add sample athletes' })).toBeVisible();
    await page.getByRole('link', { name: 'Day', exact: true }).click();
    await expect(page.getByText('No visits on this day')).toBeVisible();
    await expect(page.getByText('Town run')).toBeVisible();
    await expect(page.getByText('Head race')).toHaveCount(0);
    await expect(bar).toContainText('First steps: 1 of 6 done');
  });
});
