import { DateTime } from 'luxon';
import type { Page } from '@playwright/test';
import { overprints } from './overprint.ts';
import { addMotion, athleteNamed, becomeOwner, expect, plannedVisit, saved, test, toTheTable, typeTrials } from './support.ts';
import { frames, still } from './waiting.ts';
import { ZONE } from './zone.ts';

/**
 * Every main screen at every width, in three states: a practice on its first day, the demo, and one whose names are as long as names are
 * allowed to be on a full day. At no width does the page run off sideways, a text out of its card, or one text over another. 640 × 400 is
 * 1280 × 800 at twice the size.
 */
const WIDTHS = [320, 360, 390, 600, 768, 800, 834, 1000, 1024, 1080, 1112, 1180, 1194, 1280, 1440, 1920];

/** Where little changes with the width: a phone, both ways of a tablet, a desk. */
const FEW = [320, 390, 768, 1024, 1280, 1920];

async function sweep(page: Page, places: readonly string[], widths: readonly number[] = WIDTHS): Promise<void> {
  const faults: string[] = [];
  for (const place of places) {
    await page.setViewportSize({ width: 1280, height: 800 });
    await page.goto(place);
    // What is read from the server is there; what comes later still is seen at the widths after.
    await expect(page.locator('main')).toBeVisible();
    await expect(page.locator('main').getByText(/^Opening .*…$/)).toHaveCount(0);
    faults.push(...(await faultsAt(page, new URL(place, 'http://here').pathname, widths)));
  }
  expect.soft(faults).toEqual([]);
}

/** What is wrong with the page as it stands, at every width and at twice the size. */
async function faultsAt(page: Page, name: string, widths: readonly number[]): Promise<string[]> {
  const faults: string[] = [];
  for (const [width, height] of [...widths.map((each) => [each, 800] as const), [640, 400] as const]) {
    await page.setViewportSize({ width, height });
    await frames(page, 2);
    let found = await overprints(page);
    // A drawing answers to its new width some frames later: what is wrong must be wrong for good.
    for (let again = 0; found.length > 0 && again < 5; again++) {
      await frames(page, 4);
      found = await overprints(page);
    }
    for (const fault of found) faults.push(`${name} at ${width}: ${fault}`);
  }
  return faults;
}

test('the sweep sees what it is there to see', async ({ page, expectedErrors }) => {
  expect(expectedErrors).toEqual([]);
  await page.goto('/');
  await page.evaluate(() => {
    document.body.innerHTML = `
      <div style="width: 200px; border: 1px solid"><span style="white-space: nowrap">a line that is far longer than the card around it</span></div>
      <div style="position: relative; height: 40px"><span style="position: absolute; left: 4px">one text</span><span style="position: absolute; left: 9px">another text</span></div>
      <div style="width: 90px; overflow: hidden; text-overflow: ellipsis; white-space: nowrap">a name that is cut and not told</div>
      <div style="height: 12px; overflow: hidden; width: 60px">words that go on below</div>
      <div style="width: 3000px">wide</div>`;
  });
  const found = (await overprints(page)).join('\n');
  for (const sign of ['out of div', '“one text” over “another text”', 'is cut by div', 'is cut off below', 'the page is 30'])
    expect(found).toContain(sign);
});

test('the demo, at every width', async ({ page, expectedErrors }) => {
  expect(expectedErrors).toEqual([]);
  await page.goto('/');
  const visit = `${await page.getByTestId('board-visit').filter({ hasText: 'Tavi Brandsma' }).getByRole('link').getAttribute('href')}`;
  const { days } = (await (await page.request.get('/api/event-days')).json()) as { days: { id: string }[] };
  const of = (first: string, ...rest: string[]) => rest.map((each) => first + each);
  const wren = `/athlete/${await athleteNamed(page, 'Wren Achterberg')}`;
  await sweep(page, [
    ...[
      '/',
      '/squad',
      '/squad/range',
      '/morning',
      '/load',
      '/season',
      '/week',
      '/shelf',
      '/shelf/entry/rectus-femoris-pin',
      '/coach',
      '/event-days',
    ],
    ...of(`/event-day/${days[0]!.id}`, '', '/set-up', '/entrance'),
    ...of(wren, '', '/what-if', '/file'),
    ...of(visit, '/arrive', '/measure', '/plan', '/close'),
  ]);
  await sweep(
    page,
    [
      ...['/squad/read-in', '/load/read-in', '/shelf/entry/rectus-femoris-pin/practise', '/shelf/ways', '/shelf/compare', '/shelf/way'],
      ...of(wren, '/limits', '/mornings', '/report', '/history'),
      ...of(visit, '/sheet', '/note', '/letter', '/home'),
      ...of('/practice/', 'scope', 'phases', 'notes', 'hours', 'sports', 'error', 'people', 'audit', 'export', 'keeping', 'me'),
      ...['/shelf/new', '/nowhere'],
    ],
    FEW,
  );
});

test('the day when somebody who has not come is late, at every width', async ({ page, expectedErrors }) => {
  expect(expectedErrors).toEqual([]);
  await page.goto('/');
  await page.clock.setFixedTime(DateTime.now().setZone(ZONE).set({ hour: 15, minute: 58 }).toJSDate());
  await sweep(page, ['/']);
  await expect(page.getByText(/^late: about/).first()).toBeAttached();
});

test('a practice on its first day, and one with long names on a full day, at every width', async ({
  page,
  expectedErrors,
  emptyApplication,
}) => {
  expect(expectedErrors).toEqual([]);
  const application = await emptyApplication({ PACE_BEND_DEMO: 'off' });
  await application.start();
  await page.context().clearCookies();
  await becomeOwner(page, application.url);
  const at = (path: string) => application.url + path;
  await sweep(
    page,
    ['/', '/squad', '/squad/range', '/morning', '/load', '/season', '/week', '/coach', '/practice/error', '/practice/first-steps'].map(at),
  );

  const put = async (path: string, data: object) => expect((await page.request.put(at(`/api/${path}`), { data })).status(), path).toBe(200);
  const NAMES = [
    'Maximiliane-Theodora Vandenbroucke-Østergaard of the Weir',
    'Bartholomew Featherstonehaugh-Cholmondeley the Younger',
    'Llanfairpwllgwyngyllgogerychwyrndrobwllllantysiliogogo Jones',
  ];
  const about = 'The one with the long story about the knee, the shoulder and everything in between since the spring regatta';
  // Seven in the morning of the practice's own day, wherever that is just now.
  const [hour, minute] = new Intl.DateTimeFormat('en-GB', { timeZone: ZONE, hour: '2-digit', minute: '2-digit', hourCycle: 'h23' })
    .format(new Date())
    .split(':')
    .map(Number) as [number, number];
  const dawn = Math.floor(Date.now() / 60_000) * 60_000 + (7 * 60 - hour * 60 - minute) * 60_000;
  const athleteIds: string[] = [];
  for (let i = 0; i < 16; i++) {
    const athleteId = crypto.randomUUID();
    athleteIds.push(athleteId);
    const name = `${NAMES[i % 3]!} ${String.fromCharCode(65 + i)}`;
    await put(`athletes/${athleteId}`, { name, birthDate: '2001-05-06', referenceSex: 'none', sports: [], about, breathPeriodMs: 10_000 });
    // Twice three at once.
    const startsAt = new Date(dawn + Math.floor(i / (i < 6 ? 3 : 1)) * 50 * 60_000).toISOString();
    await put(`visits/${crypto.randomUUID()}`, { athleteId, startsAt, minutes: i % 4 === 3 ? 20 : 45, overlap: true });
  }
  await put(`squads/${crypto.randomUUID()}`, { name: 'Under twenty-three lightweight coxless quadruple sculls', revision: 0, athleteIds });
  await put(`events/${crypto.randomUUID()}`, {
    name: 'International river head race of the northern associations',
    onDate: new Date(Date.now() + 9 * 86_400_000).toISOString().slice(0, 10),
    importance: 1,
    revision: 0,
    squadId: null,
  });
  const visit = await plannedVisit(
    page,
    `${NAMES[0]!} Z`,
    'straight-leg',
    [55, 56, 55, 70, 70, 70],
    'Breath-led contract-relax',
    application.url,
  );
  await page.goto(`${visit}/measure`);
  await addMotion(page, 'hip extension knee straight');
  await typeTrials(page, [3, 5, 4, 11, 12, 11]);
  await saved(page);
  const file = `/athlete/${athleteIds[0]!}`;
  await sweep(page, [
    ...['/', '/squad', '/squad/range', '/morning', '/load', '/season', '/week', '/coach', file, `${file}/file`, `${file}/history`].map(at),
    ...['/arrive', '/measure', '/plan', '/table', '/close', '/sheet', '/letter'].map((each) => visit + each),
  ]);
  await page.goto('about:blank');
});

test('what opens over a page, and a table that runs, at every kind of width', async ({ page, expectedErrors }) => {
  expect(expectedErrors).toEqual([]);
  const faults: string[] = [];
  const over = async (place: string, opens: Readonly<Record<string, () => Promise<void>>>) => {
    await page.setViewportSize({ width: 1280, height: 800 });
    await page.goto(place);
    for (const [name, open] of Object.entries(opens)) {
      await page.setViewportSize({ width: 1280, height: 800 });
      await open();
      await expect(page.getByRole('dialog')).toBeVisible();
      await still(page);
      faults.push(...(await faultsAt(page, name, FEW)));
      await page.keyboard.press('Escape');
      await expect(page.getByRole('dialog')).toBeHidden();
    }
  };
  const button = (name: string | RegExp) => async () => page.getByRole('button', { name }).first().click();
  await over('/', {
    'walk-in': async () => {
      await button('Walk-in')();
      await page.getByRole('button', { name: 'Somebody new' }).click();
      await page.getByRole('button', { name: 'Arrive now' }).click();
      await expect(page.getByRole('dialog').getByRole('alert').first()).toBeVisible();
    },
    book: button('Book'),
    event: button('Add an event'),
    keys: async () => page.keyboard.press('?'),
  });
  const visit = await plannedVisit(
    page,
    'Maximiliane-Theodora Vandenbroucke-Østergaard',
    'straight-leg',
    [55, 56, 55, 70, 70, 70],
    'Breath-led contract-relax',
  );
  await over(`${visit}/measure`, { 'what to measure': button('What to measure'), 'a figure, large': button(/^Show .* large/) });
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto(`${visit}/plan`);
  await toTheTable(page);
  await over(page.url(), { 'settings at the table': button('Settings') });
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.keyboard.press('Space');
  for (let guard = 0; guard < 12 && !(await page.getByTestId('count').isVisible()); guard++) await page.keyboard.press('ArrowRight');
  // Held, so that every width sees the same: what stands there is what stands there while it counts.
  await page.keyboard.press('Space');
  for (const view of ['far', 'near']) {
    faults.push(...(await faultsAt(page, `the table, ${view}`, FEW)).filter((fault) => !/take back/.test(fault)));
    await page.setViewportSize({ width: 1280, height: 800 });
    await page.keyboard.press('f');
  }
  expect(faults).toEqual([]);
});
