import { expect, REFUSED, signIn, test } from './support.ts';
import type { Page } from '@playwright/test';
import { v7 } from 'uuid';
import { still } from './waiting.ts';
import { ZONE } from './zone.ts';

const visit = (page: Page, name: string) => page.getByTestId('board-visit').filter({ hasText: name });
const time = (page: Page, name: string) => visit(page, name).locator('.time');

test('the day to scale: book, drag, shorten, overlap on purpose, cancel, undo; mouse and keyboard', async ({
  page,
  expectedErrors,
  emptyApplication,
}) => {
  expectedErrors.push(REFUSED);
  const application = await emptyApplication();
  await application.start();
  await signIn(page, 'marit', application.url);
  const today = new Date().toLocaleDateString('sv-SE', { timeZone: ZONE });
  await page.goto(`${application.url}/day/${today}`);
  await expect(page.getByTestId('board-visit')).toHaveCount(7);

  await test.step('book: a bad time is named, a taken one is asked about, a free one is taken', async () => {
    await page.getByRole('button', { name: 'Book', exact: true }).click();
    const dialog = page.getByRole('dialog', { name: 'Book a visit' });
    await dialog.getByRole('combobox', { name: 'Who' }).fill('ruan');
    await expect(page.locator('.ant-select-dropdown:visible').getByText('Ruan Teague').first()).toBeVisible();
    await page.keyboard.press('Enter');
    await dialog.getByLabel('Time').fill('25:00');
    await dialog.getByRole('button', { name: 'Book' }).click();
    await expect(dialog.getByRole('alert')).toHaveText(['A day has hours 0 to 23.']);
    await dialog.getByLabel('Time').fill('14:30');
    await dialog.getByRole('button', { name: 'Book' }).click();
    await expect(dialog.getByRole('alert')).toContainText('taken by Perrin Vale');
    await dialog.getByLabel('Time').fill('16:30');
    await dialog.getByRole('button', { name: 'Book' }).click();
    await expect(dialog).toBeHidden();
    await expect(time(page, 'Ruan Teague')).toHaveText('16:30');
  });

  await test.step('drag it half an hour down, and its lower edge up', async () => {
    await visit(page, 'Ruan Teague').scrollIntoViewIfNeeded();
    await page.mouse.wheel(0, 400);
    await still(page);
    const box = (await visit(page, 'Ruan Teague').boundingBox())!;
    await page.mouse.move(box.x + 200, box.y + 30);
    await page.mouse.down();
    await page.mouse.move(box.x + 200, box.y + 40, { steps: 4 });
    await page.mouse.move(box.x + 200, box.y + 30 + 30 * 1.75, { steps: 8 });
    await page.mouse.up();
    await expect(page.getByText('Ruan Teague moved to 17:00')).toBeVisible();
    await expect(time(page, 'Ruan Teague')).toHaveText('17:00');
    // A drag opens nothing.
    await expect(page).not.toHaveURL(/visit/);
    const moved = (await visit(page, 'Ruan Teague').boundingBox())!;
    await page.mouse.move(moved.x + moved.width / 2, moved.y + moved.height - 4);
    await page.mouse.down();
    await page.mouse.move(moved.x + moved.width / 2, moved.y + moved.height - 4 - 15 * 1.75, { steps: 8 });
    await page.mouse.up();
    await expect(page.getByText('Ruan Teague has 30 minutes')).toBeVisible();
  });

  await test.step('undo twice with the keyboard: back to where it was booked', async () => {
    await page.keyboard.press('Control+z');
    await expect(page.getByText('Undone: Ruan Teague has 30 minutes')).toBeVisible();
    await page.keyboard.press('Control+z');
    await expect(time(page, 'Ruan Teague')).toHaveText('16:30');
  });

  await test.step('the keyboard moves, lengthens and cancels; onto somebody else only on purpose', async () => {
    const link = visit(page, 'Ruan Teague').getByRole('link');
    await link.focus();
    await page.keyboard.press('Alt+ArrowUp');
    await expect(time(page, 'Ruan Teague')).toHaveText('16:25');
    await link.focus();
    await page.keyboard.press('Alt+Shift+ArrowRight');
    await expect(visit(page, 'Ruan Teague')).toContainText('60 min');
    await link.focus();
    await page.keyboard.press('Alt+Shift+ArrowUp');
    await expect(time(page, 'Ruan Teague')).toHaveText('16:10');
    await link.focus();
    await page.keyboard.press('Alt+Shift+ArrowUp');
    await expect(page.getByRole('alert')).toContainText('This overlaps with Wren Achterberg.');
    await page.getByRole('button', { name: 'Move it anyway' }).click();
    await expect(visit(page, 'Ruan Teague')).toContainText('overlaps');
    await expect(visit(page, 'Wren Achterberg')).toContainText('overlaps');
    await link.focus();
    await page.keyboard.press('Delete');
    await expect(page.getByText('Ruan Teague is cancelled')).toBeVisible();
    await expect(visit(page, 'Wren Achterberg')).not.toContainText('overlaps');
    await expect(page.getByRole('region', { name: 'Cancelled' })).toContainText('Ruan Teague');
    // Its time is taken now: putting it back asks first, undo does not.
    await page.getByRole('button', { name: 'Put Ruan Teague back' }).click();
    await expect(page.getByRole('alert')).toContainText('This overlaps with Wren Achterberg.');
    await page.getByRole('button', { name: /^Undo/ }).click();
    await expect(visit(page, 'Ruan Teague')).toContainText('overlaps');
  });
});

test('a visit that runs over says how late the day is; one left over from yesterday is offered', async ({
  page,
  expectedErrors,
  emptyApplication,
}) => {
  expect(expectedErrors).toEqual([]);
  // Somewhere it is the middle of the day: what began forty minutes ago must have begun today.
  const hour = new Date().getUTCHours();
  const application = await emptyApplication({ TZ: hour >= 5 && hour < 17 ? 'Europe/Berlin' : 'Pacific/Auckland' });
  await application.start();
  await signIn(page, 'marit', application.url);
  const { athletes } = (await (await page.request.get(`${application.url}/api/athletes`)).json()) as {
    athletes: { id: string; name: string }[];
  };
  const minutesAgo = (minutes: number) => new Date(Math.floor(Date.now() / 60_000) * 60_000 - minutes * 60_000).toISOString();
  const put = async (n: number, name: string, startsAt: string, minutes: number) => {
    const id = `00000000-0000-7000-8000-00000000010${n}`;
    expect(
      (
        await page.request.put(`${application.url}/api/visits/${id}`, {
          data: { athleteId: athletes.find((each) => each.name === name)!.id, startsAt, minutes, overlap: true },
        })
      ).ok(),
    ).toBe(true);
    return id;
  };
  const over = await put(1, 'Bela Strand', minutesAgo(42), 30);
  await put(2, 'Noor Haverkamp', minutesAgo(12), 30);
  await put(3, 'Odile Marchetti', minutesAgo(24 * 60 + 60), 30);
  await page.request.patch(`${application.url}/api/visits/${over}`, { data: { revision: 1, step: 'table' } });
  await page.goto(application.url);
  await expect(page.getByText(/Bela Strand is 1[23] min over/)).toBeVisible();
  await expect(visit(page, 'Bela Strand')).toContainText('min over');
  await expect(visit(page, 'Noor Haverkamp')).toContainText('late: about');
  const left = page.getByRole('region', { name: 'Left over' });
  await expect(left).toContainText('Odile Marchetti');
  await left.getByRole('button', { name: 'cancel' }).click();
  await expect(left).toBeHidden();
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(left).toContainText('Odile Marchetti');
});

test('a dozen visits at one time: each stays wide enough to be read, opened and cancelled', async ({ page, expectedErrors }) => {
  expect(expectedErrors).toEqual([]);
  const { athletes } = (await (await page.request.get('/api/athletes?q=')).json()) as { athletes: { id: string; name: string }[] };
  for (let i = 0; i < 12; i++) {
    const answer = await page.request.put(`/api/visits/${v7()}`, {
      data: { athleteId: athletes[i % athletes.length]!.id, startsAt: '2031-02-03T09:00:00.000Z', minutes: 40, overlap: true },
    });
    expect(answer.status()).toBe(200);
  }
  await page.goto('/day/2031-02-03');
  await expect(page.getByTestId('board-visit')).toHaveCount(12);
  expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true);
  for (const index of [0, 6, 11]) {
    const one = page.getByTestId('board-visit').nth(index);
    expect((await one.boundingBox())!.width).toBeGreaterThan(100);
    await one.getByRole('link').click();
    await expect(page).toHaveURL(/\/visit\/[0-9a-f-]+\/arrive/);
    await page.goBack();
  }
  await page
    .getByTestId('board-visit')
    .nth(5)
    .getByRole('button', { name: /Cancel the visit/ })
    .click();
  await expect(page.getByTestId('board-visit')).toHaveCount(11);
});
