import type { Browser, Locator, Page } from '@playwright/test';
import { athleteNamed, expect, saved, signIn, test } from './support.ts';
import { frames, still } from './waiting.ts';
import { ZONE } from './zone.ts';

/** A page that is touched, of a phone or a tablet. */
async function touched(browser: Browser, width: number, height: number): Promise<Page> {
  const context = await browser.newContext({
    baseURL: process.env.APPLICATION_URL!,
    hasTouch: true,
    isMobile: true,
    viewport: { width, height },
    timezoneId: ZONE,
    reducedMotion: 'reduce',
    serviceWorkers: 'block',
  });
  const page = await context.newPage();
  await signIn(page, 'marit');
  return page;
}
const tap = async (target: Locator) => {
  await target.scrollIntoViewIfNeeded();
  await target.tap();
};
const pad = async (page: Page, digits: string) => {
  const group = page.getByRole('group', { name: /^Digits, / });
  for (const digit of digits) await tap(group.getByRole('button', { name: digit, exact: true }));
  await tap(group.getByRole('button', { name: 'Next trial' }));
};

/** What can be tapped is at least this large both ways; links within a sentence are text. */
async function tooSmall(page: Page): Promise<string[]> {
  return page.evaluate(() =>
    [...document.querySelectorAll<HTMLElement>('button, a[href], [role="button"], [role="tab"], [role="combobox"], input, select')]
      .filter((each) => each.checkVisibility({ opacityProperty: true, visibilityProperty: true }) && each.getClientRects().length > 0)
      .filter(
        (each) => !each.closest('.sr-only, .skip, p, td, th, li > span, dd, small, label') && getComputedStyle(each).clipPath === 'none',
      )
      .filter((each) => getComputedStyle(each).display !== 'inline')
      .flatMap((each) => {
        // A field of the kit is as large as its frame.
        const box = (each.closest('.ant-select, .ant-picker, .ant-input-affix-wrapper') ?? each).getBoundingClientRect();
        return box.height < 43.5 || box.width < 43.5
          ? [
              `${(each.getAttribute('aria-label') ?? each.textContent ?? '').trim().slice(0, 40) || each.tagName} ${Math.round(box.width)}×${Math.round(box.height)}`,
            ]
          : [];
      }),
  );
}

for (const [name, width, height] of [
  ['a phone', 390, 844],
  ['a tablet on its side', 1080, 810],
] as const)
  test(`a whole visit by touch alone on ${name}: arrive, measure with the pad, plan, table, read again, close`, async ({ browser }) => {
    const page = await touched(browser, width, height);
    await page.goto('/');
    await tap(page.getByRole('button', { name: 'Walk-in' }));
    await tap(page.getByRole('button', { name: 'Somebody new' }));
    await page.getByLabel('Name', { exact: true }).fill(`Touched On ${width}`);
    await page.getByLabel('Birth date').fill('6 May 2001');
    await tap(page.getByRole('button', { name: 'Arrive now' }));
    const taken = page.getByRole('button', { name: 'Allow the overlap' });
    await expect(taken.or(page.getByLabel('What brings them today'))).toBeVisible();
    if (await taken.isVisible()) await tap(taken);
    await expect(page.getByLabel('What brings them today')).toBeVisible();
    expect.soft(await tooSmall(page), 'arrive').toEqual([]);
    await tap(page.getByRole('button', { name: /^None of these/ }));
    await tap(page.getByRole('button', { name: 'legs', exact: true }));
    await tap(page.getByRole('button', { name: 'Measure', exact: true }));
    await page.getByLabel('Add a motion').fill('slr');
    await tap(page.locator('.ant-select-dropdown:visible .ant-select-item-option').first());
    // The pad types; the machine's keyboard stays away and the figure in sight.
    const first = page.getByRole('textbox', { name: 'Left, trial 1' });
    await tap(first);
    await expect(first).toHaveAttribute('inputmode', 'none');
    expect.soft(await tooSmall(page), 'measure').toEqual([]);
    for (const trial of ['55', '56', '55', '70', '70', '70']) await pad(page, trial);
    await saved(page);
    await expect(page.getByTestId('value-left')).toContainText('55.3');
    await tap(page.getByRole('button', { name: /Plan from/ }));
    await tap(page.getByRole('region', { name: 'Offers' }).getByRole('button', { name: 'Passive hold' }).first());
    await saved(page);
    await tap(page.getByRole('button', { name: 'Go to the table' }));
    const table = page.getByTestId('table');
    await tap(page.getByRole('button', { name: 'Begin' }));
    await expect(table).not.toHaveAttribute('data-status', 'ready');
    expect.soft(await tooSmall(page), 'table').toEqual([]);
    await tap(page.getByRole('button', { name: /^Discomfort 3/ }));
    for (let guard = 0; guard < 60 && (await table.getAttribute('data-status')) !== 'finished'; guard++) {
      await page.getByRole('button', { name: 'Next', exact: true }).tap();
      await frames(page);
    }
    await tap(page.getByRole('button', { name: /Measure again/ }));
    await tap(page.getByRole('textbox', { name: 'Left, trial 1' }));
    for (const trial of ['66', '66', '67']) await pad(page, trial);
    await saved(page);
    await expect(page.getByTestId('value-left')).toContainText('66.3');
    await tap(page.getByRole('button', { name: 'Finish the visit' }));
    await expect(page.getByText(/^Finished/)).toBeVisible();
    await page.context().close();
  });

test('on a phone: pages in a bar beneath, the rest in a drawer; the day is a list whose menu moves and cancels, with undo', async ({
  browser,
}) => {
  const page = await touched(browser, 390, 844);
  const athleteId = await athleteNamed(page, 'Perrin Vale');
  await page.request.put(`/api/visits/${crypto.randomUUID()}`, {
    data: { athleteId, startsAt: '2031-04-02T09:00:00.000Z', minutes: 45 },
  });
  await page.goto('/day/2031-04-02');
  const visit = page.getByRole('region', { name: 'Visits' }).getByRole('listitem').filter({ hasText: 'Perrin Vale' });
  const time = async () => visit.locator('.time').textContent();
  const was = await time();
  await tap(visit.getByRole('button', { name: /^Move or cancel/ }));
  await still(page);
  await tap(page.getByRole('menuitem', { name: 'Move 15 minutes later' }));
  await expect.poll(time).not.toBe(was);
  await tap(page.getByRole('button', { name: /^Undo/ }));
  await expect.poll(time).toBe(was);
  await tap(visit.getByRole('button', { name: /^Move or cancel/ }));
  await still(page);
  await tap(page.getByRole('menuitem', { name: 'Cancel the visit' }));
  await expect(page.getByRole('region', { name: 'Cancelled' })).toContainText('Perrin Vale');
  await tap(page.getByRole('button', { name: /^Undo/ }));
  await expect(visit).toBeVisible();

  const bar = page.getByRole('navigation', { name: 'Pages', exact: true });
  await tap(bar.getByRole('link', { name: 'Squad' }));
  await expect(page.getByRole('region', { name: 'Athletes' })).toBeVisible();
  await expect(bar.getByRole('link', { name: 'Squad' })).toHaveAttribute('aria-current', 'page');
  await tap(bar.getByRole('button', { name: 'More' }));
  const more = page.getByRole('navigation', { name: 'More pages' });
  await tap(more.getByRole('link', { name: 'Load' }));
  await expect(page).toHaveURL(/\/load$/);
  await expect(more).toBeHidden();
  await page.context().close();
});
