import { expect, test as base, type Locator, type Page } from '@playwright/test';
import { SLOW_BREATH } from '@pace-bend/core/method';
import { Application } from './application.ts';
import { Line } from './line.ts';
import { frames, still } from './waiting.ts';

type NewApplication = (env?: Record<string, string>) => Promise<Application>;

async function lent(page: Page, make: NewApplication, use: (make: NewApplication) => Promise<void>): Promise<void> {
  const made: Application[] = [];
  await use(async (env) => {
    made.push(await make(env));
    return made.at(-1)!;
  });
  // The page leaves first: a browser that still asks for something would log that nobody answers.
  if (!page.isClosed()) await page.goto('about:blank');
  await Promise.all(made.map((application) => application.stop()));
}

/** Tests start on the shared application, and fail when the page throws or logs an error it did not expect. */
export const test = base.extend<{
  expectedErrors: RegExp[];
  line: Line;
  emptyApplication: NewApplication;
  applicationFromNothing: NewApplication;
}>({
  // Everybody signs in as the owner; who does not want to starts with a page of their own.
  page: async ({ page }, use) => {
    await signIn(page);
    await use(page);
  },
  baseURL: async ({}, use) => {
    await use(process.env.APPLICATION_URL);
  },
  /** An application of the test's own without any data, not yet started; gone when the test is over, whichever way. */
  emptyApplication: async ({ page }, use) => {
    await lent(page, Application.onEmptySchema, use);
  },
  /** The same with a database server of its own in an empty data directory: for what is about starting, ending and what lies there. */
  applicationFromNothing: async ({ page }, use) => {
    await lent(page, Application.onEmptyFolder, use);
  },
  line: async ({ page }, use) => {
    await use(await Line.of(page));
  },
  expectedErrors: async ({ page }, use) => {
    const expected: RegExp[] = [];
    const seen: string[] = [];
    page.on('pageerror', (error) => seen.push(error.message));
    page.on('console', (message) => {
      if (message.type() === 'error') seen.push(message.text());
    });
    await use(expected);
    for (let i = askedTwice.get(page) ?? 0; i > 0; i--)
      seen.splice(
        seen.findIndex((text) => text.includes('409 (Conflict)')),
        1,
      );
    expect(seen.filter((text) => !expected.some((pattern) => pattern.test(text)))).toEqual([]);
  },
});
export { expect };

/** The demo's accounts, as its sign-in page shows them. */
export const PASSWORDS = {
  marit: 'quiet river owner',
  jonas: 'quiet river therapist',
  pia: 'quiet river assistant',
  teo: 'quiet river coach',
} as const;

/** Signs in without the form: as one of the demo's people, at the shared application or another. */
export async function signIn(page: Page, login: keyof typeof PASSWORDS = 'marit', url = process.env.APPLICATION_URL!): Promise<void> {
  const answer = await page.request.post(`${url}/api/sign-in`, { data: { login, password: PASSWORDS[login] } });
  expect(answer.status()).toBe(200);
}

/** The owner's account of an application without the demo. */
export async function becomeOwner(page: Page, url: string): Promise<void> {
  const answer = await page.request.post(`${url}/api/first-owner`, {
    data: { practiceName: 'River room', name: 'Ann Owner', login: 'owner', password: 'a river in the rain' },
  });
  expect(answer.status()).toBe(200);
}

/** An application of the test's own without the demo, started and owned by the page's browser. */
export async function ownPractice(page: Page, emptyApplication: NewApplication): Promise<Application> {
  const application = await emptyApplication({ PACE_BEND_DEMO: 'off' });
  await application.start();
  await becomeOwner(page, application.url);
  return application;
}

/** Whose file it is, by the name. The list comes in pages, and other tests fill it: it is asked for the one. */
export async function athleteNamed(page: Page, name: string, url = process.env.APPLICATION_URL!): Promise<string> {
  const { athletes } = (await (await page.request.get(`${url}/api/athletes`, { params: { q: name } })).json()) as {
    athletes: { id: string; name: string }[];
  };
  const found = athletes.find((athlete) => athlete.name === name);
  expect(found, `${name} is among the athletes`).toBeTruthy();
  return found!.id;
}

/** The browser's own line for an answer of 4xx, which a refused input brings about on purpose. */
export const REFUSED = /Failed to load resource/;

/**
 * A new athlete whose visit has begun and who was asked what has to be asked; leaves the browser on its first step. What the walk-in's own
 * sheet does is driven where that sheet is the matter (`start`, `asking`, `walk`): here it is brought about without a page of its own.
 */
export async function walkIn(page: Page, name: string, birthDate = '2001-05-06', url = process.env.APPLICATION_URL!): Promise<string> {
  const [athleteId, visit] = [crypto.randomUUID(), crypto.randomUUID()];
  const put = async (path: string, data: object) => expect((await page.request.put(`${url}/api/${path}`, { data })).status()).toBe(200);
  await put(`athletes/${athleteId}`, {
    name: name.trim(),
    birthDate,
    referenceSex: 'none',
    sports: [],
    about: '',
    breathPeriodMs: SLOW_BREATH.periodMs,
  });
  const startsAt = new Date(Math.floor(Date.now() / 60_000) * 60_000).toISOString();
  await put(`visits/${visit}`, { athleteId, startsAt, minutes: 45, overlap: true });
  await askByAddress(page, `${url}/api/visits/${visit}`);
  await page.goto(`${url}/visit/${visit}/arrive`);
  await expect(page.getByLabel('What brings them today')).toBeVisible();
  return `${url}/visit/${visit}`;
}

/** How often a page was refused a time that somebody else has, and took it all the same. The browser logs each refusal. */
const askedTwice = new WeakMap<Page, number>();

async function askByAddress(page: Page, api: string): Promise<void> {
  expect(
    (await page.request.put(`${api}/answers/${crypto.randomUUID()}`, { data: { answers: {}, notAsked: 'asked at the door' } })).status(),
  ).toBe(200);
  const {
    visit: { revision },
  } = await (await page.request.get(api)).json();
  expect((await page.request.patch(api, { data: { revision, consentWord: 'as agreed last week' } })).status()).toBe(200);
}

/** Asks what has to be asked before hands go on: none of the stop questions, and a word for consent. The page is loaded anew. */
export async function askFirst(page: Page): Promise<void> {
  const url = new URL(page.url());
  await askByAddress(page, `${url.origin}/api/visits/${url.pathname.split('/')[2]!}`);
  await page.reload();
}

/** Arrives now, whoever else has this time. */
export async function arriveNow(page: Page, { ask = true } = {}): Promise<void> {
  await page.getByRole('button', { name: 'Arrive now' }).click();
  const taken = page.getByRole('button', { name: 'Allow the overlap' });
  await expect(taken.or(page.getByLabel('What brings them today'))).toBeVisible();
  if (await taken.isVisible()) {
    askedTwice.set(page, (askedTwice.get(page) ?? 0) + 1);
    await taken.click();
  }
  await expect(page).toHaveURL(/\/visit\/[0-9a-f-]+\/arrive$/);
  if (ask) await askFirst(page);
}

/** Chooses from a list that is not typed into, on the page or within a part of it. */
export async function choose(within: Page | Locator, name: string, option: string): Promise<void> {
  const page = 'page' in within ? within.page() : within;
  // The kit lays what is chosen over the field itself.
  const field = within.getByRole('combobox', { name, exact: true });
  await field.click({ force: true });
  await expect(field).toHaveAttribute('aria-expanded', 'true');
  await still(page);
  await page.locator('.ant-select-dropdown:visible').getByTitle(option, { exact: true }).click();
  await expect(field).toHaveAttribute('aria-expanded', 'false');
}

export async function addMotion(page: Page, words: string): Promise<void> {
  await page.getByLabel('Add a motion').fill(words);
  await page.keyboard.press('Enter');
}

/** Types trials from the focused field on, Enter after each. */
export async function typeTrials(page: Page, trials: readonly (number | string)[]): Promise<void> {
  for (const trial of trials) {
    await page.keyboard.type(String(trial));
    await page.keyboard.press('Enter');
  }
}

/** Waits until nothing is on its way to the server. */
export async function saved(page: Page): Promise<void> {
  // What was just done is in the outbox by the next frame.
  await frames(page);
  await expect(page.getByText('Saving …')).toHaveCount(0);
}

/** A new athlete with one motion measured and one block planned for it; leaves the browser on the plan. */
export async function plannedVisit(
  page: Page,
  name: string,
  motion: string,
  trials: readonly number[],
  way: 'Breath-led contract-relax' | 'Passive hold',
  url?: string,
): Promise<string> {
  const visit = await walkIn(page, name, '2001-05-06', url);
  await page.getByRole('button', { name: 'Measure', exact: true }).click();
  await addMotion(page, motion);
  await typeTrials(page, trials);
  await page.getByRole('button', { name: /Plan from/ }).click();
  await page.getByRole('region', { name: 'Offers' }).getByRole('button', { name: way }).first().click();
  await saved(page);
  return visit;
}

/** A new athlete with a stiff straight-leg raise on the plan, nothing planned yet; returns the card that proposes one. */
export async function askedForPlan(page: Page, name: string): Promise<{ visit: string; card: Locator }> {
  const visit = await walkIn(page, name);
  await page.getByRole('button', { name: 'Measure', exact: true }).click();
  await addMotion(page, 'straight-leg');
  await typeTrials(page, [55, 56, 55, 70, 70, 70]);
  await page.getByRole('button', { name: /Plan from/ }).click();
  const card = page.getByRole('region', { name: 'Proposed plan' });
  await card.getByRole('button', { name: 'Propose a plan' }).click();
  return { visit, card };
}

/** From the plan to the table, ready for the first key. */
export async function toTheTable(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Go to the table' }).click();
  await expect(page.getByText('Space begins')).toBeVisible();
}

/** Runs the line at the table to its end, going on at every cue that waits. `onCue` may press keys at a cue. */
export async function runThrough(page: Page, onCue: (cue: number, status: string) => Promise<void> = async () => {}): Promise<void> {
  const table = page.getByTestId('table');
  let last = '';
  for (;;) {
    const [status, cue] = [await table.getAttribute('data-status'), await table.getAttribute('data-cue')];
    if (status === 'finished') return;
    if (status !== 'ready' && cue !== last) {
      // What stands at a cue that waits is looked at before it goes on.
      await onCue(Number(cue), status!);
      last = cue!;
    }
    if (status === 'ready' || status === 'waiting') await page.keyboard.press('Space');
    await frames(page, 1);
  }
}
