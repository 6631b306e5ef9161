import { DateTime } from 'luxon';
import type { Locator, Page } from '@playwright/test';
import { overprints } from './overprint.ts';
import { addMotion, askedForPlan, athleteNamed, expect, REFUSED, saved, signIn, test, toTheTable, typeTrials, walkIn } from './support.ts';
import { frames, still } from './waiting.ts';
import { ZONE } from './zone.ts';

const sideways = (page: Page) => page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
/** How many pages a page of the program is on paper: in the file the browser prints, each names itself. */
const pagesOf = async (page: Page, format: string) =>
  (await page.pdf({ format, printBackground: true, margin: { top: '10mm', right: '10mm', bottom: '10mm', left: '10mm' } }))
    .toString('latin1')
    .match(/\/Type\s*\/Page\b(?!s)/g)!.length;
const box = async (locator: Locator) => (await locator.boundingBox())!;
const apart = (a: { x: number; y: number; width: number; height: number }, b: typeof a) =>
  a.x + a.width <= b.x + 0.5 || b.x + b.width <= a.x + 0.5 || a.y + a.height <= b.y + 0.5 || b.y + b.height <= a.y + 0.5;

test('Measure from 320 to 1440 wide: verdicts, figures, numbers and the panel lie beside or below one another, and nothing runs off', async ({
  page,
  expectedErrors,
}) => {
  expect(expectedErrors).toEqual([]);
  await walkIn(page, 'Sweep Shown');
  await page.getByRole('button', { name: 'Measure', exact: true }).click();
  for (const [motion, trials] of [
    ['straight-leg raise ankle free', [55, 56, 55, 70, 70, 70]],
    ['hip flexion supine knee bent', [100, 101, 100, 130, 130, 130]],
    ['fingertip', [12, 12, 13]],
  ] as const) {
    await addMotion(page, motion);
    await typeTrials(page, trials);
  }
  await saved(page);
  const rows = page.getByRole('region', { name: 'Motions' }).getByRole('listitem');
  const panel = page.locator('aside.side > section').first();
  for (let width = 320; width <= 1440; width += 112) {
    await page.setViewportSize({ width, height: 800 });
    await still(page);
    expect([width, await sideways(page)]).toEqual([width, 0]);
    const beside = await box(panel);
    for (const row of await rows.all()) {
      const parts = [row.getByTestId('verdict'), row.locator('.what'), row.locator('.posed'), ...(await row.locator('.figure.num').all())];
      const boxes = [];
      for (const part of parts) {
        await expect(part).toBeVisible();
        boxes.push(await box(part));
      }
      const own = await box(row);
      for (const [i, each] of boxes.entries()) {
        expect([width, i, each.x >= own.x - 0.5 && each.x + each.width <= own.x + own.width + 0.5]).toEqual([width, i, true]);
        expect([width, i, apart(each, beside)]).toEqual([width, i, true]);
        for (const other of boxes.slice(i + 1)) expect([width, i, apart(each, other)]).toEqual([width, i, true]);
      }
    }
  }
});

test('a finger on the day scrolls it and moves nobody; by its grip, or after a long press, a visit is moved, with undo', async ({
  browser,
}) => {
  const context = await browser.newContext({
    baseURL: process.env.APPLICATION_URL!,
    hasTouch: true,
    viewport: { width: 1024, height: 500 },
    timezoneId: ZONE,
  });
  const page = await context.newPage();
  await signIn(page, 'jonas');
  // A day of this test's own: where others walk in at the same hour, a visit that is moved asks about the overlap.
  const athleteId = await athleteNamed(page, 'Mirre Solheim');
  for (const hour of [8, 11, 16])
    await page.request.put(`/api/visits/${crypto.randomUUID()}`, {
      data: { athleteId, startsAt: DateTime.fromISO('2031-03-05', { zone: ZONE }).set({ hour }).toISO(), minutes: 45 },
    });
  await page.goto('/day/2031-03-05');
  const visit = page.getByTestId('board-visit').filter({ hasText: '11:00' });
  await visit.evaluate((element) => element.scrollIntoView({ block: 'center' }));
  const time = async () => (await visit.locator('.time').textContent())!;
  expect(await time()).toBe('11:00');
  const touch = await context.newCDPSession(page);
  const middle = await box(visit);
  const scrolled = () => page.evaluate(() => window.scrollY);
  const from = await scrolled();
  const swipe = async (x: number, y: number, by: number, steps: number) => {
    await touch.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: [{ x, y }] });
    for (let step = 1; step <= steps; step++) {
      await touch.send('Input.dispatchTouchEvent', { type: 'touchMove', touchPoints: [{ x, y: y + (by * step) / steps }] });
      await frames(page, 1);
    }
    await touch.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
  };
  await swipe(middle.x + middle.width / 2, middle.y + middle.height / 2, -160, 10);
  await expect.poll(scrolled).toBeGreaterThan(from);
  await still(page);
  expect(await time()).toBe('11:00');
  await expect(page.getByRole('button', { name: /^Undo/ })).toHaveCount(0);

  const grip = await box(visit.getByTestId('grip'));
  expect(grip.width).toBeGreaterThanOrEqual(36);
  await swipe(grip.x + grip.width / 2, grip.y + grip.height / 2, 27, 8);
  await expect(page.getByTestId('board-visit').filter({ hasText: '11:15' })).toBeVisible();
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect.poll(time).toBe('11:00');

  await visit.evaluate((element) => element.scrollIntoView({ block: 'center' }));
  await still(page);
  const before = await scrolled();

  // A finger that rests takes hold; one that rests and goes has moved nothing, and the next tap opens as ever.
  const rest = async (by: number) => {
    const at = await box(visit);
    const [x, y] = [at.x + at.width / 2, at.y + at.height / 2];
    await touch.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: [{ x, y }] });
    await expect(visit).toHaveClass(/\blifted\b/);
    for (let step = 1; step <= 8; step++) {
      await touch.send('Input.dispatchTouchEvent', { type: 'touchMove', touchPoints: [{ x, y: y + (by * step) / 8 }] });
      await frames(page, 1);
    }
    // The page stays where it is under a finger that holds something.
    expect(await scrolled()).toBe(before);
    await touch.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
    await expect(page.locator('.visit.lifted')).toHaveCount(0);
  };
  await rest(0);
  expect(await time()).toBe('11:00');
  await rest(54);
  await expect(page.getByTestId('board-visit').filter({ hasText: '11:30' })).toBeVisible();
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect.poll(time).toBe('11:00');
  await visit.locator('.who').tap();
  await expect(page).toHaveURL(/\/visit\//);
  await context.close();
});

test('every dialog: the focus goes in, Tab stays inside both ways, Escape closes, the focus comes back', async ({
  page,
  expectedErrors,
}) => {
  expect(expectedErrors).toEqual([]);
  const inside = () =>
    page.evaluate(() =>
      [...document.querySelectorAll('[role="dialog"]')].some(
        (dialog) => dialog.getClientRects().length > 0 && dialog.contains(document.activeElement),
      ),
    );
  const check = async (open: () => Promise<void>, opener: Locator | null) => {
    await open();
    const dialog = page.getByRole('dialog');
    await expect(dialog).toBeVisible();
    await expect.poll(inside).toBe(true);
    for (const key of ['Tab', 'Shift+Tab']) {
      for (let i = 0; i < 24; i++) {
        await page.keyboard.press(key);
        expect([key, i, await inside()]).toEqual([key, i, true]);
      }
    }
    await page.keyboard.press('Escape');
    await expect(dialog).toBeHidden();
    if (opener) await expect(opener).toBeFocused();
  };
  await page.goto('/');
  const byButton = async (name: string | RegExp) => {
    const button = page.getByRole('button', { name }).first();
    await check(() => button.click(), button);
  };
  await byButton('Walk-in');
  await byButton('Book');
  await byButton('Add an event');
  await byButton(/^Keys/);
  await page.getByRole('navigation', { name: 'The day' }).getByText('Tavi Brandsma').click();
  await byButton(/^Modify|Knee operation/);
  await page.goto(`${page.url().replace(/\/(arrive|measure|plan|table|close)$/, '')}/measure`);
  await byButton('What to measure');
  await byButton(/^Show .* large/);
});

test('a long name is whole beside the steps, and the event gives way', async ({ page, expectedErrors }) => {
  expect(expectedErrors).toEqual([]);
  const name = 'Maximiliane-Theodora Vandenbroucke-Østergaard of the Weir';
  await walkIn(page, name);
  for (const width of [1280, 1024, 768, 390]) {
    await page.setViewportSize({ width, height: 800 });
    await still(page);
    const heading = page.getByRole('heading', { level: 1 });
    expect(await heading.evaluate((element) => [element.scrollWidth <= element.clientWidth + 1, element.textContent?.trim()])).toEqual([
      true,
      name,
    ]);
    for (const step of ['Arrive', 'Measure', 'Plan', 'Table', 'Close']) {
      const place = await box(page.getByRole('navigation', { name: 'Steps of the visit' }).getByText(step));
      expect([width, step, place.x + place.width <= width]).toEqual([width, step, true]);
    }
    expect([width, await sideways(page)]).toEqual([width, 0]);
  }
});

test('the table on a phone fits its width, every key within it and large enough for a thumb', async ({ page, expectedErrors }) => {
  expect(expectedErrors).toEqual([]);
  await walkIn(page, 'Phone Table');
  await page.getByRole('button', { name: 'Measure', exact: true }).click();
  await addMotion(page, 'straight-leg');
  await typeTrials(page, [55, 56, 55, 70, 70, 70]);
  await page.getByRole('button', { name: /Plan from/ }).click();
  await page.getByRole('region', { name: 'Offers' }).getByRole('button', { name: 'Breath-led contract-relax' }).first().click();
  await saved(page);
  await toTheTable(page);
  for (const size of [
    { width: 390, height: 844 },
    { width: 320, height: 640 },
  ]) {
    await page.setViewportSize(size);
    await still(page);
    expect([size.width, await sideways(page)]).toEqual([size.width, 0]);
    for (const button of await page.getByTestId('table').getByRole('button').all()) {
      const place = await box(button);
      expect([size.width, await button.textContent(), place.x >= 0 && place.x + place.width <= size.width]).toEqual([
        size.width,
        await button.textContent(),
        true,
      ]);
    }
    for (const score of ['0', '5', '10'])
      expect((await box(page.getByRole('button', { name: new RegExp(`^Discomfort ${score}(?!\\d)`) }))).height).toBeGreaterThanOrEqual(54);
  }
});

test('a part of the program that does not come is said, with “Try again”, and comes then', async ({ page, expectedErrors }) => {
  expectedErrors.push(/./);
  await page.goto('/');
  await expect(page.getByRole('region', { name: 'Visits' })).toBeVisible();
  await page.route(/assets\/.*\.js/, (route) => route.abort());
  await page.getByRole('link', { name: 'Shelf' }).click();
  await expect(page.getByRole('heading', { name: 'This page could not be loaded' })).toBeVisible();
  await page.unroute(/assets\/.*\.js/);
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page).toHaveURL(/\/shelf$/);
  await expect(page.getByRole('heading', { name: 'Shelf' })).toBeVisible();

  // Nothing of it comes at all: the page says so by itself, without any script.
  await page.route(/assets\/.*\.js/, (route) => route.abort());
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Pace Bend did not load' })).toBeVisible();
  await expect.poll(() => page.locator('.not-there').evaluate((element) => getComputedStyle(element).opacity)).toBe('1');
});

test('a practice of one’s own: events are added for everybody and for a squad, changed and taken off; the time zone is the browser’s', async ({
  page,
  expectedErrors,
  emptyApplication,
}) => {
  expectedErrors.push(REFUSED);
  const application = await emptyApplication({ PACE_BEND_DEMO: 'off' });
  await application.start();
  await page.context().clearCookies();
  await page.goto(application.url);
  for (const [label, value] of [
    ['Practice', 'River room'],
    ['Your name', 'Ann Owner'],
    ['Sign-in name', 'owner'],
    ['Password', 'a river in the rain'],
  ] as const)
    await page.getByLabel(label, { exact: true }).fill(value);
  await page.getByRole('button', { name: 'Begin' }).click();
  await page.getByRole('link', { name: 'Day', exact: true }).click();
  await expect(page.getByText('No events in the calendar.')).toBeVisible();
  const { timeZone } = (await (await page.request.get(`${application.url}/api/practice`)).json()) as { timeZone: string };
  expect(timeZone).toBe(ZONE);

  const ahead = page.locator('section', { has: page.getByRole('heading', { name: /^Ahead/ }) });
  await page.getByRole('button', { name: 'Add an event' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('button', { name: 'Add the event' }).click();
  await expect(dialog).toContainText('A name of 1 to');
  await dialog.getByLabel('Name').fill('Autumn head');
  await dialog.getByRole('radio', { name: '1: what the season is for' }).check();
  await dialog.getByRole('button', { name: 'Open the calendar' }).click();
  await page.locator('.ant-picker-dropdown:visible .ant-picker-header-next-btn').click();
  await page.locator('.ant-picker-dropdown:visible .ant-picker-cell-in-view').filter({ hasText: /^15$/ }).click();
  await dialog.getByRole('button', { name: 'Add the event' }).click();
  await expect(dialog).toBeHidden();
  await expect(ahead).toContainText('Autumn head');
  await expect(ahead).toContainText('what the season is for');

  await ahead.getByRole('button', { name: 'Change Autumn head' }).click();
  await dialog.getByLabel('Name').fill('Winter head');
  await dialog.getByRole('radio', { name: '3: trained through' }).check();
  await dialog.getByRole('button', { name: 'Keep the change' }).click();
  await expect(ahead).toContainText('Winter head');
  await expect(ahead).not.toContainText('Autumn head');
  await ahead.getByRole('button', { name: 'Change Winter head' }).click();
  await dialog.getByRole('button', { name: 'Take it off' }).click();
  await expect(page.getByText('No events in the calendar.')).toBeVisible();

  // With the squad they are added and changed as well.
  await page.getByRole('link', { name: 'Squad', exact: true }).click();
  await ahead.getByRole('button', { name: 'Add an event' }).click();
  await dialog.getByLabel('Name').fill('Squad trial');
  await dialog.getByRole('button', { name: 'Add the event' }).click();
  await ahead.getByRole('button', { name: 'Change Squad trial' }).click();
  await dialog.getByLabel('Name').fill('Late trial');
  await dialog.getByRole('button', { name: 'Keep the change' }).click();
  await expect(ahead).toContainText('Late trial');
  await expect(page.getByRole('region', { name: 'Athletes' }).getByRole('button', { name: 'Import a squad' })).toBeVisible();
  await page.goto('about:blank');
});

test('a motion is found by what the trade calls it, by muscle, and with a slip of the finger', async ({ page, expectedErrors }) => {
  expect(expectedErrors).toEqual([]);
  await walkIn(page, 'Called Otherwise');
  await page.getByRole('button', { name: 'Measure', exact: true }).click();
  const field = page.getByLabel('Add a motion');
  const offered = page.locator('.ant-select-dropdown:visible .ant-select-item-option').first();
  for (const [typed, motion] of [
    ['SLR', 'Straight-leg raise'],
    ['hamstirngs', 'Straight-leg raise'],
    ['thomas', 'Hip extension'],
    ['popliteal', 'Knee extension deficit'],
  ] as const) {
    await field.fill(typed);
    await expect(offered).toContainText(motion);
  }
  await field.fill('xylophone');
  await expect(page.getByText('No motion is called that.')).toBeVisible();
  await field.fill('lasegue');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'Motions' })).toContainText('Straight-leg raise');
});

test('printed, the day and the page for the wall have no buttons, and the wall’s type is large', async ({ page, expectedErrors }) => {
  expect(expectedErrors).toEqual([]);
  await page.goto('/');
  await expect(page.getByRole('region', { name: 'Visits' })).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  for (const name of ['Walk-in', 'Book', 'Add an event']) await expect(page.getByRole('button', { name, exact: true })).toBeHidden();
  await expect(page.getByRole('button', { name: /^Cancel the visit/ }).first()).toBeHidden();
  await expect(page.getByText('Ines Okkonen').first()).toBeAttached();
  await page.emulateMedia({ media: null });
  for (const format of ['A4', 'Letter']) expect(await pagesOf(page, format), `the day on ${format}`).toBe(1);
  const visit = await walkIn(page, 'Wall Print');
  await page.getByRole('button', { name: 'Measure', exact: true }).click();
  await addMotion(page, 'straight-leg');
  await typeTrials(page, [55, 56, 55, 70, 70, 70]);
  await page.getByRole('button', { name: /Plan from/ }).click();
  await page.getByRole('region', { name: 'Offers' }).getByRole('button', { name: 'Passive hold' }).first().click();
  await saved(page);
  await page.goto(`${visit}/sheet`);
  await expect(page.getByRole('table')).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
  await expect(page.getByRole('link', { name: 'Back to the plan' })).toBeHidden();
  expect(
    await page
      .getByRole('cell')
      .first()
      .evaluate((element) => parseFloat(getComputedStyle(element).fontSize)),
  ).toBeGreaterThanOrEqual(19);
  const row = page
    .getByRole('row')
    .filter({ has: page.getByText('Passive hold') })
    .first();
  await expect(row).toContainText('today 55.3°');
  await page.emulateMedia({ media: null });
  for (const format of ['A4', 'Letter']) expect(await pagesOf(page, format), `the page for the wall on ${format}`).toBe(1);
});

test('a whole session and a day from seven to eight with twelve visits are each one printed page; efforts, angles and limits stand on the wall', async ({
  page,
  expectedErrors,
}) => {
  expect(expectedErrors).toEqual([]);
  const { athletes } = (await (await page.request.get('/api/athletes?limit=12')).json()) as { athletes: { id: string }[] };
  for (let i = 0; i < 12; i++) {
    const startsAt = DateTime.fromISO('2031-07-07', { zone: ZONE })
      .set({ hour: 7 + i, minute: i % 2 ? 0 : 15 })
      .toISO();
    await page.request.put(`/api/visits/${crypto.randomUUID()}`, { data: { athleteId: athletes[i]!.id, startsAt, minutes: 45 } });
  }
  await page.goto('/day/2031-07-07');
  await expect(page.getByTestId('board-visit')).toHaveCount(12);
  for (const format of ['A4', 'Letter']) expect(await pagesOf(page, format), format).toBe(1);

  const { visit, card } = await askedForPlan(page, 'Wall Whole');
  await card.getByRole('button', { name: 'Take this plan' }).click();
  await saved(page);
  await page.goto(`${visit}/sheet`);
  const press = page
    .getByRole('row')
    .filter({ hasText: /effort \d+/ })
    .first();
  await expect(press).toContainText(/today \d+\.\d°/);
  for (const format of ['A4', 'Letter']) expect(await pagesOf(page, format), format).toBe(1);
});

test('the title of the window says who is open and what of them; Alt N goes to the next step, Alt M to the field that adds a motion', async ({
  page,
  expectedErrors,
}) => {
  expect(expectedErrors).toEqual([]);
  await walkIn(page, 'Titled Person');
  await expect(page).toHaveTitle('Titled Person · Arrive · Pace Bend');
  await page.keyboard.press('Alt+n');
  await expect(page).toHaveTitle('Titled Person · Measure · Pace Bend');
  // Nothing is in the list: the field that adds a motion has the focus.
  await expect(page.getByRole('combobox', { name: 'Add a motion' })).toBeFocused();
  await addMotion(page, 'straight-leg');
  await expect(page.getByRole('textbox', { name: 'Left, trial 1' })).toBeFocused();
  await typeTrials(page, [55, 56, 55, 70, 70, 70]);
  await page.keyboard.press('Alt+m');
  await expect(page.getByRole('combobox', { name: 'Add a motion' })).toBeFocused();
  await page.keyboard.press('Escape');
  await page.keyboard.press('Alt+n');
  await expect(page).toHaveTitle('Titled Person · Plan · Pace Bend');
  // Nothing is planned: it begins with what proposes a plan. Where something is, with the block that is shown.
  await expect(page.getByRole('button', { name: 'Propose a plan' })).toBeFocused();
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Take this plan' }).click();
  await saved(page);
  await page.reload();
  await expect(page.getByRole('region', { name: 'Session line' }).getByRole('button', { pressed: true })).toBeFocused();
  await page.goto('/squad');
  await expect(page).toHaveTitle('Squad · Pace Bend');
});

test('the owner sees what a coach sees, from the rail', async ({ page, expectedErrors }) => {
  expect(expectedErrors).toEqual([]);
  await page.goto('/');
  await page.getByRole('link', { name: 'Coach’s view' }).click();
  await expect(page.getByRole('region', { name: 'Men’s eight' })).toBeVisible();
});

test('times in twice twelve hours, by the account’s own choice on this device: day, rail and board show them whole; typed they are read either way', async ({
  page,
  expectedErrors,
}) => {
  expect(expectedErrors).toEqual([]);
  await page.goto('/practice/me');
  await page.getByRole('radio', { name: /^Twelve hours/ }).check();
  await page.goto('/');
  const rail = page.getByRole('navigation', { name: 'The day' });
  await expect(rail.getByRole('listitem').filter({ hasText: 'Ines Okkonen' })).toContainText('8:30 am');
  await expect(rail.getByRole('listitem').filter({ hasText: 'Perrin Vale' })).toContainText('2:00 pm');
  for (const width of [320, 768, 1024, 1280, 1920]) {
    await page.setViewportSize({ width, height: 800 });
    await expect.poll(() => overprints(page), { message: `at ${width}` }).toEqual([]);
  }
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto('/day/2031-06-09');
  await page.getByRole('button', { name: 'Book', exact: true }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('combobox', { name: 'Who' }).fill('wren');
  await expect(page.locator('.ant-select-dropdown:visible').getByText('Wren Achterberg').first()).toBeVisible();
  await page.keyboard.press('Enter');
  await dialog.getByLabel('Time').fill('14.30');
  await expect(dialog.getByText('2:30 pm')).toBeVisible();
  await dialog.getByRole('button', { name: 'Book', exact: true }).click();
  await expect(page.getByTestId('board-visit')).toContainText('2:30 pm');
  await page.goto('/practice/me');
  await page.getByRole('radio', { name: /^Twenty-four hours/ }).check();
  await page.goto('/day/2031-06-09');
  await expect(page.getByTestId('board-visit')).toContainText('14:30');
});
