import { addMotion, askedForPlan, athleteNamed, choose, expect, REFUSED, saved, test, toTheTable, typeTrials, walkIn } from './support.ts';
import { clean } from './axe.ts';
import { still } from './waiting.ts';

test(`axe finds nothing on any main view`, async ({ page, expectedErrors }) => {
  expect(expectedErrors).toEqual([]);
  await page.goto('/');
  await expect(page.getByRole('region', { name: 'Visits' })).toBeVisible();
  await clean(page, 'day');
  await page.getByRole('button', { name: 'Add an event' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Add the event' }).click();
  // What is wrong fades in.
  await expect(page.locator('.ant-form-item-explain-error')).toHaveCSS('opacity', '1');
  await still(page);
  await clean(page, 'event, wrong');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Walk-in' }).click();
  await page.getByRole('button', { name: 'Somebody new' }).click();
  await page.getByRole('button', { name: 'Arrive now' }).click();
  await clean(page, 'walk-in');
  await page.goto('/squad');
  await expect(page.getByRole('region', { name: 'Athletes' })).toBeVisible();
  await clean(page, 'squad');
  await page
    .getByRole('region', { name: 'Athletes' })
    .getByRole('link', { name: /Ines Okkonen/ })
    .click();
  await expect(page.getByRole('heading', { level: 1, name: 'Ines Okkonen' })).toBeVisible();
  await expect(page.getByRole('heading', { level: 2 }).first()).toBeVisible();
  await clean(page, 'athlete');
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog')).toBeVisible();
  await clean(page, 'keys');

  const visit = await walkIn(page, 'Axe');
  await clean(page, 'arrive');
  await page.getByRole('button', { name: 'Measure', exact: true }).click();
  await expect(page.getByText('Choose the first motion')).toBeVisible();
  await clean(page, 'measure, empty');
  await addMotion(page, 'hip extension knee straight');
  await typeTrials(page, [3, 5, 4, 11, 12, 11]);
  await addMotion(page, 'fingertip');
  await typeTrials(page, [12, 'x']);
  await clean(page, 'measure');
  await page.goto(`${visit}/plan`);
  await page.getByRole('region', { name: 'Offers' }).getByRole('button', { name: 'Breath-led contract-relax' }).first().click();
  await page.getByLabel('Rounds, left').fill('99');
  await clean(page, 'plan, wrong');
  await page.getByLabel('Rounds, left').fill('2');
  await saved(page);
  await clean(page, 'plan');
  await toTheTable(page);
  await clean(page, 'table, ready');
  for (let i = 0; i < 3; i++) await page.keyboard.press('Space');
  await expect(page.getByTestId('count')).toBeVisible();
  await page.keyboard.press('3');
  await clean(page, 'table');
  await page.keyboard.press('9');
  await clean(page, 'table, eased');
  await page.keyboard.press('Escape');
  await clean(page, 'table, stopped');
  await page.keyboard.press('Escape');
  await clean(page, 'table, finished');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'What was done' })).toBeVisible();
  await clean(page, 'close');
  await page.goto('/nowhere');
  await clean(page, 'nowhere');
});

test(`axe finds nothing where people, files and cautions are`, async ({ page, browser, expectedErrors }) => {
  expectedErrors.push(REFUSED);
  const stranger = await (await browser.newContext({ baseURL: process.env.APPLICATION_URL })).newPage();
  await stranger.goto('/');
  await expect(stranger.getByRole('button', { name: 'Sign in', exact: true })).toBeVisible();
  await clean(stranger, 'sign-in');
  await stranger.context().close();

  await page.goto('/');
  await page.getByRole('button', { name: 'Book', exact: true }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Book', exact: true }).click();
  await clean(page, 'book');
  await page.goto('/squad');
  await page.getByRole('button', { name: 'Squads' }).click();
  await expect(page.getByRole('region', { name: 'Squads' })).toBeVisible();
  await clean(page, 'squads');
  await page.goto('/squad/read-in');
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 's.csv', mimeType: 'text/csv', buffer: Buffer.from('name;dob\nAxe One;2001-02-03\nAxe Two;x\n') });
  await expect(page.getByRole('region', { name: 'Wrong rows' })).toBeVisible();
  await clean(page, 'read in');
  for (const [place, sign] of [
    ['practice/scope', 'Joint mobilization'],
    ['practice/people', 'People'],
    ['practice/audit', 'Audit'],
    ['practice/me', 'Signed in'],
    ['coach', 'Men’s eight'],
  ] as const) {
    await page.goto(`/${place}`);
    await expect(page.getByRole('region', { name: sign, exact: true })).toBeVisible();
    if (place === 'practice/people') await page.getByRole('button', { name: 'Add a person' }).click();
    if (place === 'coach') await page.getByRole('region', { name: sign }).getByRole('button', { name: 'range' }).first().click();
    await clean(page, place);
  }
  await page.goto(`/practice/audit?athlete=${crypto.randomUUID()}`);
  await expect(page.getByText('Nobody has read or changed this file yet.')).toBeVisible();
  await clean(page, 'audit, empty');
  await page.goto('/');
  await page.getByRole('button', { name: 'Book', exact: true }).click();
  await page.getByRole('combobox', { name: 'Who' }).fill('nobody of this name');
  await expect(page.locator('.ant-select-dropdown:visible').getByText('Nothing fits what was typed.')).toBeVisible();
  await clean(page, 'a list with nothing that fits');

  await page.goto('/squad?find=');
  await page.getByPlaceholder('Find by name').fill('wren');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Wren Achterberg');
  await page.getByRole('link', { name: 'File', exact: true }).click();
  await page.getByRole('button', { name: /^Change Knee operation/ }).click();
  await expect(page.getByLabel('As written')).toBeVisible();
  await clean(page, 'file');
  await page.getByRole('link', { name: 'Limits', exact: true }).click();
  await page
    .getByRole('button', { name: /^Knee flexion, left/ })
    .first()
    .click();
  await clean(page, 'limits');
  await page.getByRole('link', { name: 'History', exact: true }).click();
  await expect(page.getByRole('region', { name: 'History' })).toBeVisible();
  await clean(page, 'history');
  await page.keyboard.press('c');
  await expect(page.getByRole('dialog', { name: 'Cautions' })).toBeVisible();
  await clean(page, 'cautions');

  await walkIn(page, 'Axe Stop');
  // What is chosen stays readable under the pointer.
  const area = page.getByRole('button', { name: 'legs', exact: true });
  await area.click();
  await area.hover();
  for (const [colorScheme, colour] of [
    ['dark', 'rgb(42, 117, 96)'],
    ['light', 'rgb(29, 90, 75)'],
  ] as const) {
    await page.emulateMedia({ colorScheme });
    await expect(area).toHaveCSS('background-color', colour);
  }
  await clean(page, 'arrive, pointer on a choice');
  await page
    .getByRole('group', { name: /^Fever/ })
    .getByRole('button', { name: 'yes' })
    .click();
  await expect(page.getByRole('alert', { name: 'Stop' })).toBeVisible();
  await clean(page, 'arrive, stopped');
  await page.getByRole('button', { name: 'End in a referral' }).click();
  await expect(page.getByLabel('What was said and seen')).toBeVisible();
  await clean(page, 'letter');
});

test(`axe finds nothing where measuring goes deeper`, async ({ page, expectedErrors }) => {
  expect(expectedErrors).toEqual([]);
  for (const [place, sign] of [
    ['squad/range', 'Squad strip'],
    ['practice/error', 'Studies'],
  ] as const) {
    await page.goto(`/${place}`);
    await expect(page.getByRole('region', { name: sign, exact: true })).toBeVisible();
    await clean(page, place);
  }
  await page.getByRole('button', { name: /^Shoulder external rotation, inclinometer/ }).click();
  await expect(page.getByRole('region', { name: 'What came out' })).toBeVisible();
  await clean(page, 'repeatability');
  await page.getByRole('button', { name: 'All studies' }).click();
  await page.getByRole('button', { name: /^Hip abduction, goniometer/ }).click();
  await expect(page.getByRole('region', { name: 'Agreement' })).toBeVisible();
  await clean(page, 'agreement');
  await page.getByRole('button', { name: 'All studies' }).click();
  await page.getByRole('button', { name: 'Study how well you repeat' }).click();
  await page.getByLabel('Somebody without a file').fill('Ada, Bea');
  await clean(page, 'study, beginning');
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await expect(page.getByRole('region', { name: 'Reading the study' })).toBeVisible();
  await page.keyboard.type('x');
  await page.keyboard.press('Enter');
  await clean(page, 'study, being read');
  await page.getByRole('button', { name: 'Drop the study' }).click();
  await expect(page.getByRole('region', { name: 'Studies' })).toBeVisible();

  const visit = await walkIn(page, 'Axe Deep');
  await page.goto(`${visit}/measure`);
  await addMotion(page, 'hip extension prone knee bent');
  await typeTrials(page, [3, 5, 4, 14, 15, 14]);
  await page
    .getByRole('button', { name: /^Hip extension/ })
    .first()
    .click();
  const panel = page.getByRole('region', { name: /^Hip extension/ });
  await panel.getByRole('tab', { name: 'End' }).click();
  await panel.getByRole('button', { name: 'capsular' }).first().click();
  await clean(page, 'end of the motion');
  await panel.getByRole('tab', { name: 'What holds it' }).click();
  await panel.getByRole('button', { name: /^joint capsule/ }).click();
  await clean(page, 'what holds it');
  await panel.getByRole('tab', { name: 'Device' }).click();
  await panel.getByRole('button', { name: 'Connect' }).click();
  await expect(panel.getByText('Limb at rest, then zero.')).toBeVisible();
  await clean(page, 'device');
  await panel.getByRole('button', { name: 'Disconnect' }).click();
  const findings = page.getByRole('region', { name: 'Findings' });
  for (const kind of ['Clock', 'Glides', 'Leg length', 'Press tests', 'Force']) {
    await findings.getByRole('button', { name: kind, exact: true }).click();
    if (kind === 'Clock') await findings.getByRole('group', { name: 'Clock, left' }).getByRole('button', { name: /^3 o/ }).click();
    if (kind === 'Glides') await findings.getByRole('button', { name: 'up: not tried' }).first().click();
    await clean(page, kind);
  }
  await page.getByRole('button', { name: /^Show Hip extension large/ }).click();
  await expect(page.getByRole('dialog')).toBeVisible();
  await clean(page, 'figure');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'What to measure' }).click();
  await expect(page.getByRole('dialog', { name: 'What to measure today' })).toBeVisible();
  await clean(page, 'proposal');
  await page.keyboard.press('Escape');
  await saved(page);
});

test(`axe finds nothing in the season and its dialogs`, async ({ page, expectedErrors }) => {
  expect(expectedErrors).toEqual([]);
  await page.goto('/season');
  await choose(page, 'Squad', 'Men’s eight');
  await expect(page.getByRole('button', { name: /^Sharpen, / }).first()).toBeVisible();
  await expect(page.getByRole('complementary', { name: 'Who is due' }).getByRole('listitem').first()).toBeVisible();
  await clean(page, 'season of a squad');
  await choose(page, 'Athlete', 'Kato Lindqvist');
  await expect(page.getByRole('region', { name: 'The goal' })).toContainText('in 100');
  await clean(page, 'season of an athlete');
  for (const [button, dialog] of [
    ['Use a template', 'Use a template'],
    ['Add block', 'Add a block'],
    ['Camps, travel', 'Camps and travel'],
    ['Calendar', 'Calendar'],
  ] as const) {
    await page.getByRole('button', { name: button, exact: true }).click();
    await expect(page.getByRole('dialog', { name: dialog })).toBeVisible();
    await still(page);
    await clean(page, dialog);
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toHaveCount(0);
  }
  await page.goto('/practice/phases');
  await expect(page.getByRole('region', { name: 'Phases of a season' })).toBeVisible();
  await clean(page, 'phases');
  await page.goto('/practice/hours');
  await expect(page.getByRole('region', { name: 'Hours of Marit Voss' })).toBeVisible();
  await clean(page, 'hours');
  await page.goto('/week');
  await expect(page.getByText(/checked to the end/)).toBeVisible();
  await page.getByRole('gridcell').first().click();
  await clean(page, 'week');
  await page.getByRole('button', { name: 'When they can come' }).first().click();
  await expect(page.getByRole('dialog', { name: /can come$/ })).toBeVisible();
  await still(page);
  await clean(page, 'times');
  await page.keyboard.press('Escape');
});

test(`axe finds nothing on the shelf and in a proposed plan`, async ({ page, expectedErrors }) => {
  expect(expectedErrors).toEqual([]);
  const heading = page.getByRole('heading', { level: 1 });
  for (const [path, title] of [
    ['/shelf', 'Shelf'],
    ['/shelf/entry/cuff-four-way', 'Rotator cuff, four-way isometrics'],
    ['/shelf/ways', 'Ways of working'],
    ['/shelf/compare?a=crac&b=breath-sink', 'Side by side'],
    ['/shelf/way?from=crac', 'A way of working of your own'],
    ['/shelf/new?from=calf-pin', 'An entry of your own'],
    ['/shelf/new?from=ankle-circles', 'An entry of your own'],
    ['/shelf/entry/ankle-circles', 'Ankle circles with traction'],
    ['/shelf/entry/calf-supine/practise', 'Practise: Calf, straight knee'],
  ] as const) {
    await page.goto(path);
    await expect(heading).toHaveText(title);
    await still(page);
    await clean(page, path);
  }
  await page.goto('/shelf');
  await page.getByRole('button', { name: 'Point at the body' }).click();
  await page
    .getByRole('button', { name: 'hamstrings, left' })
    .or(page.getByRole('button', { name: 'vasti, left' }))
    .first()
    .focus();
  await clean(page, 'body map');
  await page.keyboard.press('Escape');
  await page.getByRole('heading', { level: 1 }).click();
  await page.keyboard.press('l');
  await expect(page.getByRole('dialog', { name: 'What the marks mean' })).toBeVisible();
  await clean(page, 'legend');
  const { visit, card } = await askedForPlan(page, 'Axe plan');
  await expect(card).toContainText('nothing better fits this time');
  await card.getByRole('button', { name: 'Why' }).first().click();
  await clean(page, 'proposal');
  await card.getByRole('button', { name: 'Take this plan' }).click();
  await saved(page);
  await clean(page, 'plan taken');
  await page.goto(`${visit}/sheet`);
  await expect(page.getByRole('table')).toBeVisible();
  await clean(page, 'sheet');
});

test(`axe finds nothing in the morning, in loads and on a check-in page`, async ({ page, browser, expectedErrors }) => {
  expect(expectedErrors).toEqual([]);
  await page.goto('/morning');
  await expect(page.getByRole('row', { name: /Joss Adeyemi/ })).toBeVisible();
  await clean(page, 'morning');
  await page.getByRole('button', { name: /^Ask / }).first().click();
  await page.getByRole('button', { name: 'Open a page' }).click();
  const link = page.getByRole('textbox', { name: /^Link, until/ });
  await expect(link).toBeVisible();
  await clean(page, 'check-in page opened');
  const phone = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
  await phone.goto(await link.inputValue());
  await phone.getByRole('button', { name: 'Sleep: 5' }).click();
  await phone.getByRole('button', { name: 'Hamstrings, left' }).first().focus();
  await phone.keyboard.press('Enter');
  await phone.getByText('Heart-rate variability, if you measure it').click();
  await clean(phone, 'check-in page');
  await phone.context().close();
  await page.keyboard.press('Escape');

  await page.goto('/load');
  await expect(page.getByRole('grid')).toBeVisible();
  await clean(page, 'load');
  await page.goto('/load/read-in');
  await page.locator('input[type=file]').setInputFiles({
    name: 'l.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('name;date;minutes\nTavi Brandsma;2026-01-02;60\nNobody;2026-01-02;60\n'),
  });
  await expect(page.getByRole('region', { name: 'Problems' })).toBeVisible();
  await clean(page, 'loads imported');
  await page.goto('/practice/sports');
  await page.getByRole('button', { name: 'Rowing', exact: true }).click();
  await page.getByRole('button', { name: 'Add a sport' }).click();
  await page.getByRole('button', { name: 'Add a demand' }).click();
  await clean(page, 'sports');
  await page.getByRole('navigation', { name: 'The day' }).getByText('Joss Adeyemi').click();
  await expect(page).toHaveURL(/\/visit\/.*\/\w+$/);
  await page.goto(page.url().replace(/\/\w+$/, '/arrive'));
  await expect(page.getByRole('region', { name: 'Today', exact: true })).toBeVisible();
  await page
    .getByRole('button', { name: /^Set aside: / })
    .first()
    .click();
  await clean(page, 'arrive, eased');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: /Correct answers/ }).click();
  await expect(page.getByRole('dialog')).toBeVisible();
  await clean(page, 'answers');
  await page.goto('/squad');
  await page
    .getByRole('region', { name: 'Athletes' })
    .getByRole('link', { name: /Tavi Brandsma/ })
    .click();
  await page.getByRole('link', { name: 'Mornings', exact: true }).click();
  await page.getByRole('button', { name: 'Show the numbers' }).click();
  await clean(page, 'mornings');
});

test('axe finds nothing in the drawer of what to measure, and where a record is exported with days turned round', async ({
  page,
  expectedErrors,
}) => {
  expect(expectedErrors).toEqual([]);
  await page.goto(`/athlete/${await athleteNamed(page, 'Tavi Brandsma')}/file`);
  const record = page.getByRole('region', { name: 'Record' });
  await record.getByLabel('to', { exact: true }).fill('3.3.2020');
  await record.getByLabel('Visits from').fill('3.3.2021');
  await expect(record.getByRole('alert')).toBeVisible();
  await clean(page, 'file, days turned round');
  const visit = await walkIn(page, 'Axe Over');
  await page.goto(`${visit}/measure`);
  await page.getByRole('button', { name: 'What to measure' }).click();
  await expect(page.getByRole('dialog')).toBeVisible();
  await still(page);
  await clean(page, 'what to measure');
});

test('axe finds nothing on an event day: the days, the set-up with its dialogs, the board in the sun and in a hall, the entrance', async ({
  page,
  expectedErrors,
}) => {
  expect(expectedErrors).toEqual([]);
  await page.goto('/event-days');
  await expect(page.getByRole('link', { name: 'Head race' })).toBeVisible();
  await clean(page, 'event days');
  await page.getByRole('link', { name: 'Set-up' }).click();
  await expect(page.getByTestId('start-row').first()).toBeVisible();
  await clean(page, 'start list');
  await page.getByRole('button', { name: 'Import a start list' }).click();
  const dialog = page.getByRole('dialog', { name: 'Import a start list' });
  await dialog.getByLabel('Or paste it here').fill('Name,Race,Start\nAda Oar,Fours,soon\n');
  await expect(dialog.getByText('Row 2')).toBeVisible();
  await clean(page, 'import');
  await page.keyboard.press('Escape');
  await page
    .getByRole('button', { name: /first boat/ })
    .first()
    .click();
  await expect(page.getByRole('button', { name: 'Save this wish' })).toBeVisible();
  await clean(page, 'wish');
  await page.keyboard.press('Escape');
  for (const [tab, sign] of [
    ['Tables', 'Add hands at a table'],
    ['Day and offer', 'Rules of the day'],
  ] as const) {
    await page.getByRole('tab', { name: tab }).click();
    await expect(page.getByText(sign)).toBeVisible();
    await clean(page, tab);
  }
  await page.getByRole('link', { name: 'Open the board' }).click();
  await expect(page.getByText('times to tell')).toBeVisible();
  await page.getByRole('button', { name: 'Look at the times' }).click();
  await expect(page.getByRole('button', { name: 'Tell these times' })).toBeVisible();
  await clean(page, 'times');
  await page.keyboard.press('Escape');
  for (const light of ['as the device', 'sun', 'hall']) {
    await expect(page.getByRole('button', { name: `Light: ${light}` })).toBeVisible();
    await clean(page, `board, ${light}`);
    await page.getByRole('button', { name: 'Light:' }).click();
  }
  await page.getByRole('region', { name: 'Without a time' }).getByRole('button').first().click();
  await expect(page.getByRole('button', { name: 'Not coming' })).toBeVisible();
  await clean(page, 'more');
  await page.keyboard.press('Escape');
  await page.getByRole('link', { name: 'For the entrance' }).click();
  await expect(page.getByRole('region', { name: 'Table 1' })).toBeVisible();
  await clean(page, 'entrance');
});
