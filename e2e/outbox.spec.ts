import type { Page } from '@playwright/test';
import { addMotion, expect, ownPractice, REFUSED, runThrough, saved, test, typeTrials, walkIn } from './support.ts';
import { Line, WRITES } from './line.ts';
import { frames } from './waiting.ts';

const NOBODY = [REFUSED, /ERR_FAILED/];
const notSent = (page: Page) => page.getByRole('navigation', { name: 'The day' }).getByRole('button', { name: /not sent yet/ });
const allSent = (page: Page) => expect(notSent(page)).toHaveCount(0, { timeout: 40_000 });

/** A whole visit from the first word to the end; `step` is told before and after everything that is typed. */
async function wholeVisit(
  page: Page,
  name: string,
  before: () => Promise<void>,
  after: () => Promise<void>,
  url?: string,
): Promise<string> {
  const visit = await walkIn(page, name, '2001-05-06', url);
  await expect(page.getByLabel('What brings them today')).toBeVisible();
  await before();
  await page.getByLabel('What brings them today').fill('Left hip stiff');
  await page.getByRole('group', { name: 'How much' }).getByRole('button', { name: '4', exact: true }).click();
  await page.getByRole('button', { name: 'None of these' }).click();
  await after();

  await page.getByRole('button', { name: 'Measure', exact: true }).click();
  await expect(page.getByText('Choose the first motion')).toBeVisible();
  await addMotion(page, 'hip extension knee bent');
  await before();
  await typeTrials(page, [3, 5, 4, 11, 12, 11]);
  // A correction while the first one may still be on its way.
  const first = page.getByLabel('Left, trial 1');
  await first.fill('2');
  await first.press('Enter');
  await page.getByRole('tab', { name: 'End' }).click();
  await page.getByRole('group', { name: 'End feel, left' }).getByRole('button', { name: 'muscular' }).click();
  await after();

  await page.getByRole('button', { name: /Plan from/ }).click();
  const offers = page.getByRole('region', { name: 'Offers' });
  await expect(offers).toBeVisible();
  await before();
  await offers.getByRole('button', { name: 'Breath-led contract-relax' }).first().click();
  await page.getByRole('region', { name: 'Way of working' }).getByRole('button', { name: 'leave right out' }).click();
  await after();

  await page.goto(`${visit}/table?rate=20`);
  await expect(page.getByText('Space begins')).toBeVisible();
  await before();
  // Once, whichever cue the hand gets to.
  let told = false;
  await runThrough(page, async (cue) => {
    if (cue >= 3 && !told) {
      told = true;
      await page.keyboard.press('2');
    }
  });
  await after();

  await page.goto(`${visit}/close`);
  await expect(page.getByLabel('Your words')).toBeVisible();
  await before();
  await page.getByRole('region', { name: 'Motions' }).getByRole('listitem').first().getByRole('button').first().click();
  await typeTrials(page, [9, 10, 9]);
  await page.getByLabel('Your words').fill('Opens after two rounds.');
  await page.getByLabel('Next time, look at first').fill('Left hip');
  await after();
  await saved(page);
  await page.getByRole('button', { name: 'Finish the visit' }).click();
  await expect(page.getByText(/^Finished /)).toBeVisible();
  return visit;
}

/** What is on the server of a visit, without ids and times. */
async function recordOf(page: Page, visit: string): Promise<unknown> {
  const file = await (await page.request.get(visit.replace('/visit/', '/api/visits/'))).json();
  const standing = (rows: { id: string; supersedes: string | null }[]) =>
    rows.filter((row) => !rows.some((other) => other.supersedes === row.id));
  const { complaint, complaintScore, consentWord, lookFirst, finishedAt } = file.visit;
  return {
    visit: { complaint, complaintScore, consentWord, lookFirst, isFinished: finishedAt !== null },
    answers: file.answers.map(({ answers, notAsked }: { answers: object; notAsked: string | null }) => ({ answers, notAsked })).at(-1),
    readings: standing(file.readings)
      .map(({ motionId, side, moment, trials }: Record<string, unknown>) => ({ motionId, side, moment, trials }))
      .sort((a: object, b: object) => JSON.stringify(a).localeCompare(JSON.stringify(b))),
    findings: standing(file.findings).map(({ kind, subject, side, data }: Record<string, unknown>) => ({ kind, subject, side, data })),
    blocks: file.plan.blocks.map(({ entryId, methodId, sides }: Record<string, unknown>) => ({ entryId, methodId, sides })),
    runs: file.runs.map((run: { line: { cues: unknown[] }; events: { seq: number; event: { kind: string } }[] }) => ({
      cues: run.line.cues.length,
      places: run.events.every((each, i) => each.seq === i + 1),
      kinds: run.events.map(({ event }) => event.kind).filter((kind) => kind !== 'beat'),
    })),
    note: file.note.text,
  };
}

test('the line is cut at every step of a visit: the record is the same as without', async ({ page, line, expectedErrors }) => {
  expectedErrors.push(...NOBODY);
  const quiet = await wholeVisit(
    page,
    'Quiet Line',
    async () => undefined,
    () => saved(page),
  );
  const disturbed = await wholeVisit(
    page,
    'Cut Line',
    async () => line.cut(),
    async () => {
      // Long enough for a try to fail; nobody waits for it at the table.
      await frames(page, 60);
      line.restore();
      await expect
        .poll(
          async () => (await page.evaluate(() => window.dispatchEvent(new Event('online'))), await page.getByText(/[Nn]ot sent/).count()),
        )
        .toBe(0);
    },
  );
  const [without, withCuts] = [await recordOf(page, quiet), await recordOf(page, disturbed)];
  expect(withCuts).toEqual(without);
  expect(without).toMatchObject({
    visit: { complaint: 'Left hip stiff', complaintScore: 4, isFinished: true },
    note: 'Opens after two rounds.',
    findings: [{ kind: 'end' }],
    runs: [{ places: true }],
  });
});

test('the program is killed between two requests of every step of a visit: the record is the same as without', async ({
  page,
  applicationFromNothing,
  expectedErrors,
}) => {
  expectedErrors.push(REFUSED);
  const application = await ownPractice(page, applicationFromNothing);
  const quiet = await wholeVisit(
    page,
    'Left Alone',
    async () => undefined,
    () => saved(page),
    application.url,
  );
  const without = await recordOf(page, quiet);

  let killing: Promise<void> | null = null;
  let armed = false;
  // What was just answered is acknowledged; the next is on its way, or about to be.
  page.on('response', (response) => {
    if (!armed || response.request().method() === 'GET' || !response.ok()) return;
    armed = false;
    killing = application.kill();
  });
  let kills = 0;
  const disturbed = await wholeVisit(
    page,
    'Killed Again And Again',
    async () => {
      armed = true;
    },
    async () => {
      await expect.poll(() => killing !== null).toBe(true);
      await killing;
      killing = null;
      kills += 1;
      await application.start();
      await expect
        .poll(
          async () => (await page.evaluate(() => window.dispatchEvent(new Event('online'))), await page.getByText(/[Nn]ot sent/).count()),
        )
        .toBe(0);
      await saved(page);
    },
    application.url,
  );
  expect(kills).toBe(5);
  expect(await recordOf(page, disturbed)).toEqual(without);
});

test('readings without a line are drawn as not sent, survive a reload, and say why; finishing names them', async ({
  page,
  line,
  expectedErrors,
}) => {
  expectedErrors.push(...NOBODY);
  const visit = await walkIn(page, 'Not Sent');
  await page.getByRole('button', { name: 'Measure', exact: true }).click();
  await addMotion(page, 'hip extension knee bent');
  line.cut(WRITES);
  await typeTrials(page, [3, 5, 4]);
  await expect(page.getByTestId('value-left')).toHaveClass(/unsent/);
  await expect(page.getByRole('region', { name: 'Motions' }).getByText('not sent')).toBeVisible();
  await expect(page.getByTestId('value-right')).not.toHaveClass(/unsent/);
  await expect(notSent(page)).toHaveText('1 not sent yet');
  await page.reload();
  await expect(page.getByTestId('value-left')).toHaveText(/4\.0/);
  await expect(page.getByTestId('value-left')).toHaveClass(/unsent/);

  await page.goto(`${visit}/close`);
  await page.getByRole('button', { name: 'Finish the visit' }).click();
  await expect(page.getByText('readings: not on the server yet. The visit can be finished once everything is.')).toBeVisible();
  await notSent(page).click();
  const sheet = page.getByRole('dialog', { name: 'Not sent yet' });
  await expect(sheet).toContainText('Kept on this device, for your account only');
  await expect(sheet).toContainText('The program cannot be reached.');
  await expect(sheet.getByRole('listitem')).toContainText('readings');
  line.restore();
  await sheet.getByRole('button', { name: 'Send now' }).click();
  await expect(sheet).toContainText('Everything is on the server.');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Finish the visit' }).click();
  await expect(page.getByText(/^Finished /)).toBeVisible();
  const file = await (await page.request.get(visit.replace('/visit/', '/api/visits/'))).json();
  expect(file.readings.map((reading: { trials: number[] }) => reading.trials)).toEqual([[3, 5, 4]]);
});

test('something that will never go can be thrown away, after being asked twice', async ({ page, expectedErrors }) => {
  expectedErrors.push(...NOBODY, /500/);
  const visit = await walkIn(page, 'Thrown Away');
  // Slow to answer, so that it is on its way again when it is thrown away.
  let slow = false;
  await page.route('**/note', async (route) => {
    if (slow) await new Promise((resolve) => setTimeout(resolve, 1500));
    await route.fulfill({
      status: 500,
      contentType: 'application/problem+json',
      body: JSON.stringify({ title: 'Error', detail: 'Broken.' }),
    });
  });
  await page.goto(`${visit}/close`);
  await page.getByLabel('Your words').fill('This one stays behind');
  await notSent(page).click();
  const sheet = page.getByRole('dialog', { name: 'Not sent yet' });
  await sheet.getByRole('button', { name: /^Discard the note/ }).click();
  slow = true;
  const again = page.waitForRequest('**/note');
  await sheet.getByRole('button', { name: 'Send now' }).click();
  await again;
  await sheet.getByRole('button', { name: /^Really discard the note/ }).click();
  await expect(sheet).toContainText('Everything is on the server.');
  await page.keyboard.press('Escape');
  await expect(page.getByLabel('Your words')).toHaveValue('');
  await allSent(page);
});

test('storage is forbidden: typing goes on, the screen says what that means, and everything arrives while the page lives', async ({
  browser,
  expectedErrors,
}) => {
  expect(expectedErrors).toEqual([]);
  const context = await browser.newContext({ baseURL: process.env.APPLICATION_URL! });
  const page = await context.newPage();
  const line = await Line.of(page);
  await page.addInitScript(() => {
    Object.defineProperty(window, 'indexedDB', {
      value: {
        open: () => {
          throw new DOMException('denied', 'SecurityError');
        },
      },
    });
    Storage.prototype.setItem = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
  });
  const answer = await page.request.post(`${process.env.APPLICATION_URL}/api/sign-in`, {
    data: { login: 'marit', password: 'quiet river owner' },
  });
  expect(answer.status()).toBe(200);
  const visit = await walkIn(page, 'No Storage');
  await expect(page.getByRole('button', { name: 'Nothing can be kept on this device' })).toBeVisible();
  line.cut(WRITES);
  await page.getByLabel('What brings them today').fill('Only in memory');
  await expect(page.getByText('Not sent yet: kept while this page is open, trying again')).toBeVisible();
  await notSent(page).click();
  await expect(page.getByRole('dialog', { name: 'Not sent yet' })).toContainText('What is not sent is lost when this page is closed.');
  await page.keyboard.press('Escape');
  line.restore();
  await expect(page.getByText('Not sent yet: kept while this page is open, trying again')).toHaveCount(0);
  const file = await (await page.request.get(visit.replace('/visit/', '/api/visits/'))).json();
  expect(file.visit.complaint).toBe('Only in memory');
  await context.close();
});

test('two devices, other fields: both stand, and nobody is asked; the same field: both are shown', async ({
  page,
  browser,
  expectedErrors,
}) => {
  expectedErrors.push(REFUSED);
  const visit = await walkIn(page, 'Two Devices');
  const context = await browser.newContext({ baseURL: process.env.APPLICATION_URL!, storageState: await page.context().storageState() });
  const other = await context.newPage();
  await other.goto(`${visit}/arrive`);
  await expect(other.getByLabel('What brings them today')).toBeVisible();
  await page.getByLabel('What brings them today').fill('Left hip');
  await saved(page);
  await other.getByLabel('Training next').fill('Ergo tomorrow');
  await saved(other);
  await expect(other.getByRole('alert')).toHaveCount(0);
  await expect(other.getByLabel('What brings them today')).toHaveValue('Left hip');

  await page.getByLabel('Training next').fill('Rest');
  const choice = page.getByRole('alert').filter({ hasText: 'was changed somewhere else' });
  await expect(choice.getByRole('row', { name: /Training next/ })).toContainText('Ergo tomorrow');
  await expect(choice.getByRole('row', { name: /Training next/ })).toContainText('Rest');
  await choice.getByRole('button', { name: 'Keep mine instead' }).click();
  await saved(page);
  const file = await (await page.request.get(visit.replace('/visit/', '/api/visits/'))).json();
  expect([file.visit.complaint, file.visit.trainingNext]).toEqual(['Left hip', 'Rest']);
  await context.close();
});
