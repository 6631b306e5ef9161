import { randomUUID } from 'node:crypto';
import { addMotion, choose, expect, ownPractice, REFUSED, saved, signIn, test, toTheTable, typeTrials, walkIn } from './support.ts';
import type { Page } from '@playwright/test';

const daysAgo = (days: number) => new Date(Date.now() - days * 86_400_000).toISOString().slice(0, 10);

/** Opens the form for a condition in the file and chooses one by words. */
async function addCondition(page: Page, words: string): Promise<void> {
  await page.getByRole('button', { name: 'Add a condition' }).click();
  await page.getByRole('combobox', { name: 'Condition' }).fill(words);
  await page.keyboard.press('Enter');
}

async function pick(page: Page, name: string, words: string): Promise<void> {
  await page.getByRole('combobox', { name, exact: true }).fill(words);
  await page.keyboard.press('Enter');
}

test('a knee operated on seven weeks ago and a shoulder torn once: what is limited, why, what instead, and the table obeys', async ({
  page,
  expectedErrors,
  emptyApplication,
}) => {
  expect(expectedErrors).toEqual([]);
  const application = await ownPractice(page, emptyApplication);
  const visit = await walkIn(page, 'Wren Example', '2001-10-11', application.url);

  await test.step('the file: both conditions, coded, with what the surgeon wrote', async () => {
    await page.getByRole('heading', { level: 1 }).getByRole('link').click();
    await page.getByRole('link', { name: 'File', exact: true }).click();
    await addCondition(page, 'cruciate');
    await choose(page, 'Side', 'left');
    await page.getByLabel('Operated on').fill('in October');
    await page.getByRole('button', { name: 'Keep', exact: true }).click();
    await expect(page.getByRole('alert')).toHaveText(['Type a day, as 3/14/2001 or 2001-03-14.']);
    await page.getByLabel('Operated on').fill(daysAgo(49));
    await page.getByText('Cleared in writing').click();
    await page.getByLabel('By', { exact: true }).fill('Dr Example');
    await page.getByLabel('As written').fill('knee bend to 110°');
    await page.getByRole('button', { name: 'Add a limit' }).click();
    await page.getByLabel('Limit 1', { exact: true }).fill('110');
    await page.getByRole('button', { name: 'Keep', exact: true }).click();
    await expect(
      page.getByRole('region', { name: 'Conditions' }).getByText('Knee operation, left knee, 7 weeks, early repair'),
    ).toBeVisible();
    await addCondition(page, 'cuff tear');
    await choose(page, 'Side', 'right');
    await page.getByLabel('Since', { exact: true }).fill(daysAgo(900));
    await page.getByLabel('Over since').fill(daysAgo(500));
    await page.getByRole('button', { name: 'Keep', exact: true }).click();
    await expect(page.getByRole('region', { name: 'Conditions' }).getByText('Torn shoulder, right shoulder, past')).toBeVisible();
  });

  await test.step('arrive: chips in the header, everything in full one key away', async () => {
    await page.goto(`${visit}/arrive`);
    await expect(page.getByRole('region', { name: 'Stop and refer' }).getByRole('status')).toHaveText('Set aside');
    await page.keyboard.press('a');
    await expect(page.getByRole('region', { name: 'Stop and refer' }).getByRole('status')).toHaveText('None of these');
    await page.keyboard.press('c');
    const sheet = page.getByRole('dialog', { name: 'Cautions' });
    await expect(sheet).toContainText('They are no clearance');
    const row = (name: RegExp) => sheet.getByRole('row', { name });
    await expect(row(/^Knee flexion, left supine, hip bent/)).toContainText('to 110° at most');
    await expect(row(/^Knee flexion, left supine, hip bent/)).toContainText('effort to 20 %');
    await expect(row(/^Hip internal rotation, left/).first()).toContainText('avoid');
    await expect(row(/^Heel to buttock, left/).first()).toContainText('avoid');
    await expect(row(/^Shoulder flexion, right/).first()).toContainText('85 % of the way to the edge');
    // The right leg is free, but for the test that keeps the left knee at the chest.
    await expect(row(/^Knee flexion, right/)).toHaveCount(1);
    await expect(row(/^Knee flexion, right/)).toContainText('over the table end');
    await expect(row(/^Straight-leg raise, right/)).toHaveCount(0);
    await expect(row(/^Shoulder flexion, left/)).toHaveCount(0);
    await sheet
      .getByRole('button', { name: /^Hip internal rotation, left/ })
      .first()
      .click();
    const why = sheet.getByRole('article').filter({ hasText: 'twists the operated knee' }).first();
    await expect(why).toContainText('Knee operation, left knee, 7 weeks');
    await expect(why).toContainText('Hold above the knee');
    await page.keyboard.press('Escape');
    await expect(sheet).toBeHidden();
  });

  await test.step('measure: past the written limit is said; what is to be avoided has no fields until there is a reason', async () => {
    await page.goto(`${visit}/measure`);
    await page.getByLabel('Add a motion').fill('knee flexion');
    await page.locator('.ant-select-dropdown:visible').getByTitle('Knee flexion, supine, hip bent').click();
    await expect(page.getByLabel('Left, trial 1')).toBeFocused();
    await typeTrials(page, [118, 117, 119, 139, 140, 138]);
    await page
      .getByRole('button', { name: /^Knee flexion/ })
      .first()
      .click();
    await expect(page.getByText('Past the written limit of 110°')).toBeVisible();
    await addMotion(page, 'hip internal rotation');
    await expect(page.getByLabel('Left, trial 1')).toHaveCount(0);
    await expect(page.getByLabel('Right, trial 1')).toBeVisible();
    await page.getByRole('button', { name: 'Do it anyway, with a written reason' }).click();
    await page.getByLabel('Why it is done anyway').fill('Because');
    await page.getByRole('button', { name: 'Keep the reason' }).click();
    await expect(page.getByText('A reason of at least 10 letters')).toBeVisible();
    await page.getByLabel('Why it is done anyway').fill('Held above the knee, as the surgeon asked');
    await page.getByRole('button', { name: 'Keep the reason' }).click();
    await expect(page.getByLabel('Left, trial 1')).toBeVisible();
  });

  await test.step('plan: the limits are written into the block; out of scope cannot be planned', async () => {
    await page.goto(`${visit}/plan`);
    const offers = page.getByRole('region', { name: 'Offers' }).getByRole('listitem');
    await offers.filter({ hasText: 'Vasti' }).getByRole('button', { name: 'Breath-led contract-relax' }).click();
    const limits = page.getByRole('region', { name: 'Limits' });
    await expect(limits).toContainText(
      'Left to 110° at most, 90 % of the way to the edge, effort to 20 %, discomfort to 3, 60 s of contraction in all',
    );
    await saved(page);
    await page.reload();
    await expect(limits).toContainText('Left to 110° at most');
  });

  await test.step('table: no further than it may go, twenty percent and no more; an edge beyond is marked', async () => {
    await toTheTable(page);
    await page.keyboard.press('Space');
    await expect(page.getByTestId('furthest')).toHaveText('no further than 110.0°');
    for (let i = 0; i < 2; i++) await page.keyboard.press('Space');
    for (let i = 0; i < 12 && !(await page.getByText('% effort').isVisible()); i++) await page.keyboard.press('ArrowRight');
    await expect(page.getByText('20 % effort')).toBeVisible();
    for (const key of ['e', '1', '4']) await page.keyboard.press(key);
    await expect(page.getByTestId('furthest')).toHaveText('past the limit of 110.0°');
    await page.keyboard.press('4');
    await expect(page.getByText('Ease off first')).toBeVisible();
    await page.keyboard.press('Escape');
    await page.goto(`${visit}/close`);
    await expect(page.getByRole('list', { name: 'Cautions set aside' })).toContainText('Held above the knee, as the surgeon asked');
  });
});

test('a raised question ends the visit in a referral, and the letter makes no diagnosis', async ({ page, expectedErrors }) => {
  expect(expectedErrors).toEqual([]);
  const visit = await walkIn(page, 'Sore Calf');
  await page.getByLabel('What brings them today').fill('Left calf sore since the flight');
  await page.getByRole('button', { name: '6', exact: true }).click();
  await pick(page, 'Place of the complaint', 'calf');
  await page
    .getByRole('group', { name: /^A calf that is swollen/ })
    .getByRole('button', { name: 'not sure' })
    .click();
  await expect(page.getByRole('alert', { name: 'Stop' })).toContainText('No hands-on work today');
  await expect(page.getByRole('button', { name: 'Measure', exact: true })).toBeDisabled();
  await saved(page);
  // No step gets round it.
  for (const step of ['measure', 'plan', 'close', 'table']) {
    await page.goto(`${visit}/${step}`);
    await expect(page.getByRole('heading', { name: 'Stop. No hands-on work today' })).toBeVisible();
  }
  await page.getByRole('button', { name: 'End in a referral' }).click();
  await expect(page.getByLabel('To', { exact: true })).toHaveValue(/A physician today/);
  await expect(page.getByLabel('What was said and seen')).toHaveValue(
    /A calf that is swollen.*not sure[\s\S]*Left calf sore since the flight \(calf\), 6 of 10/,
  );
  await expect(page.getByRole('article')).toContainText('It makes no diagnosis');
  await page.getByLabel('To', { exact: true }).fill('Dr Example');
  await page.reload();
  await expect(page.getByLabel('To', { exact: true })).toHaveValue('Dr Example');
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('navigation', { name: 'The day' })).toBeHidden();
  await expect(page.getByText('To: Dr Example')).toBeVisible();
  await page.emulateMedia({ media: 'screen' });
  await page.getByRole('button', { name: 'End the visit with this' }).click();
  await expect(page.getByRole('region', { name: 'Visits' })).toBeVisible();
  await page.goto(`${visit}/letter`);
  await expect(page.getByLabel('To', { exact: true })).not.toBeEditable();
  await page.getByRole('link', { name: 'Back to the visit' }).click();
  await page.getByRole('heading', { level: 1 }).getByRole('link').click();
  await page.getByRole('link', { name: 'History' }).click();
  await expect(page.getByRole('region', { name: 'History' })).toContainText('ended in a referral');
});

test('out of scope: the offer is closed with the local rule; an assistant reads no notes and sets nothing aside', async ({
  page,
  browser,
  expectedErrors,
}) => {
  expectedErrors.push(REFUSED);
  const visit = await walkIn(page, 'Scope Shown');
  await page.getByRole('button', { name: 'Measure', exact: true }).click();
  await addMotion(page, 'hip flexion supine knee bent');
  await typeTrials(page, [100, 101, 100, 130, 130, 130]);
  await addMotion(page, 'ankle dorsiflexion supine');
  await typeTrials(page, [2, 3, 2, 15, 15, 15]);
  await page.getByRole('button', { name: /Plan from/ }).click();
  const offers = page.getByRole('region', { name: 'Offers' }).getByRole('listitem');
  const closed = offers.filter({ hasText: 'long-axis rocking' });
  await expect(closed.getByRole('button', { name: 'Oscillating mobilization' })).toBeDisabled();
  await expect(closed).toContainText('outside this practice’s scope. Local rule: Joint mobilization is outside the massage licence here');
  await offers.filter({ hasText: 'talus glide' }).getByRole('button', { name: 'Oscillating mobilization' }).click();
  await expect(page.getByRole('region', { name: 'Limits' })).toContainText('grade 2 at most');
  await page.getByLabel('Grade', { exact: true }).fill('3');
  await expect(page.getByRole('region', { name: 'Limits' })).toContainText('Scope cannot be set aside');
  await expect(page.getByRole('button', { name: 'Go to the table' })).toBeDisabled();
  await page.getByLabel('Grade', { exact: true }).fill('2');
  await expect(page.getByRole('button', { name: 'Go to the table' })).toBeEnabled();
  await saved(page);
  await page.goto(`${visit}/close`);
  await page.getByLabel('Your words').fill('For the therapist only');
  await page.getByLabel('Next time, look at first').fill('Left ankle');
  await saved(page);

  const assistant = await (await browser.newContext({ baseURL: process.env.APPLICATION_URL })).newPage();
  await signIn(assistant, 'pia');
  await assistant.goto(`${visit}/close`);
  await expect(assistant.getByLabel('Next time, look at first')).toHaveValue('Left ankle');
  await expect(assistant.getByLabel('Your words')).toHaveCount(0);
  await assistant.context().close();
});

test('the file changes while a plan is being made: it is refused in words, and opens anew with its limits', async ({
  page,
  expectedErrors,
}) => {
  expectedErrors.push(REFUSED);
  const visit = await walkIn(page, 'Changed Meanwhile');
  await page.getByRole('button', { name: 'Measure', exact: true }).click();
  await addMotion(page, 'straight-leg');
  await typeTrials(page, [50, 51, 50, 70, 70, 70]);
  await page.getByRole('button', { name: /Plan from/ }).click();
  await page.getByRole('region', { name: 'Offers' }).getByRole('button', { name: 'Passive hold' }).first().click();
  await saved(page);
  const { athlete } = (await (await page.request.get(visit.replace('/visit/', '/api/visits/'))).json()) as { athlete: { id: string } };
  const strain = {
    revision: 0,
    code: 'muscle-strain',
    region: 'thigh-back',
    side: 'left',
    onset: daysAgo(30),
    surgeryOn: null,
    words: '',
    clearance: null,
    resolvedOn: null,
  };
  expect(
    (await page.request.put(`${new URL(visit).origin}/api/athletes/${athlete.id}/conditions/${randomUUID()}`, { data: strain })).ok(),
  ).toBe(true);
  await page.getByLabel('Rounds, left').fill('4');
  await expect(page.getByText('The file or the event changed since this plan was made')).toBeVisible();
  await page.getByRole('button', { name: 'Show the current version' }).click();
  await expect(page.getByRole('region', { name: 'Limits' })).toContainText(
    'Left 90 % of the way to the edge, effort to 20 %, discomfort to 2, holds to 20 s',
  );
  await saved(page);
  await toTheTable(page);
  await page.keyboard.press('Space');
  await expect(page.getByTestId('furthest')).toContainText('no further than');
});
