import { addMotion, expect, plannedVisit, REFUSED, saved, signIn, test, toTheTable, typeTrials, walkIn } from './support.ts';

test('measuring: letters, 400°, a negative distance are named beside the field, and nothing is lost', async ({ page, expectedErrors }) => {
  expect(expectedErrors).toEqual([]);
  await walkIn(page, 'Bad Trials');
  await page.getByRole('button', { name: 'Measure', exact: true }).click();
  await addMotion(page, 'hip flexion');
  await typeTrials(page, [120]);
  await page.keyboard.type('abc');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toHaveText('“abc” is not a number of degrees.');
  // The focus stays where the mistake is.
  await expect(page.getByLabel('Left, trial 2')).toBeFocused();
  await page.getByLabel('Left, trial 2').fill('400');
  await expect(page.getByRole('alert')).toHaveText('Outside what this motion can read: 20° to 170°.');
  await expect(page.getByTestId('value-left')).toHaveText('120.0°');
  await page.getByLabel('Left, trial 2').fill('124');
  await expect(page.getByRole('alert')).toHaveCount(0);
  await expect(page.getByTestId('value-left')).toHaveText('122.0°');

  await addMotion(page, 'knee to wall');
  await page.getByLabel('Left, trial 1').fill('-3');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toHaveText('A distance cannot be negative: 0 cm to 30 cm.');
  await page.reload();
  // What was typed and could not be saved is still there, with its message.
  await page.getByRole('button', { name: /^Knee to wall/ }).click();
  await expect(page.getByLabel('Left, trial 1')).toHaveValue('-3');
  await expect(page.getByRole('alert')).toContainText('cannot be negative');
  await page.getByLabel('Left, trial 1').press('Escape');
  await expect(page.getByLabel('Left, trial 1')).toHaveValue('');
});

test('arriving and walking in: impossible minutes and a birth in 1880', async ({ page, expectedErrors }) => {
  expect(expectedErrors).toEqual([]);
  await page.goto('/');
  await page.getByRole('button', { name: 'Walk-in' }).click();
  await page.getByRole('button', { name: 'Arrive now' }).click();
  await expect(page.getByRole('alert')).toHaveText(['Choose who it is.']);
  await page.getByRole('button', { name: 'Somebody new' }).click();
  await page.getByLabel('Birth date').fill('1880-01-01');
  await page.getByRole('dialog').getByLabel('Minutes').fill('0');
  await page.getByRole('button', { name: 'Arrive now' }).click();
  await expect(page.getByRole('alert')).toHaveText([
    /^A name of 1 to 120 letters\.$/,
    /^A birth date lies between \d{4}-/,
    /^Whole minutes, 5 to 240\.$/,
  ]);
  await page.keyboard.press('Escape');
  await walkIn(page, 'Bad Minutes');
  await page.getByLabel('Minutes available').fill('soon');
  await expect(page.getByText('Whole minutes, 5 to 240.')).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Minutes available')).toHaveValue('45');
});

test('planning: 99 rounds, an effort of 0 and of 120 %; the last sound plan stands', async ({ page, expectedErrors }) => {
  expect(expectedErrors).toEqual([]);
  await plannedVisit(page, 'Bad Numbers', 'straight-leg', [60, 61, 62, 70, 70, 70], 'Breath-led contract-relax');
  const numbers = page.getByRole('region', { name: 'Way of working' });
  const message = (text: string) => expect(numbers.getByRole('alert').filter({ hasText: text })).toBeVisible();
  await numbers.getByLabel('Rounds, left').fill('99');
  await message('Rounds are whole, 1 to 12.');
  await expect(page.getByText('A number in the plan cannot be; it is marked.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Go to the table' })).toBeDisabled();
  await numbers.getByLabel('Rounds, left').fill('3');
  for (const effort of ['0', '120', 'much']) {
    await numbers.getByLabel('Effort, round 2').fill(effort);
    await message('Effort is 5 to 100 %.');
  }
  await page.reload();
  await expect(numbers.getByLabel('Effort, round 2')).toHaveValue('30');
  await expect(page.getByRole('button', { name: 'Go to the table' })).toBeEnabled();
});

test('two tabs on one visit: nothing is overwritten, and both can go on', async ({ page, context, expectedErrors }) => {
  expectedErrors.push(REFUSED);
  const visit = await walkIn(page, 'Two Tabs');
  const other = await context.newPage();
  await other.goto(`${visit}/arrive`);
  await expect(other.getByLabel('What brings them today')).toBeVisible();
  await page.getByLabel('What brings them today').fill('from the first tab');
  await saved(page);
  await other.getByLabel('What brings them today').fill('from the second tab');
  const refused = other.getByRole('alert').filter({ hasText: 'was changed somewhere else' });
  await expect(refused).toBeVisible();
  // What was typed is still in its field; the therapist decides.
  await expect(other.getByLabel('What brings them today')).toHaveValue('from the second tab');
  await other.getByRole('button', { name: 'Use the current version' }).click();
  await expect(other.getByLabel('What brings them today')).toHaveValue('from the first tab');
  await other.getByLabel('What brings them today').fill('from the second tab, knowingly');
  await saved(other);
  await page.getByLabel('What brings them today').fill('the first tab keeps its own');
  await page.getByRole('button', { name: 'Keep mine instead' }).click();
  await saved(page);
  await other.reload();
  await expect(other.getByLabel('What brings them today')).toHaveValue('the first tab keeps its own');
});

test('two tabs at one table: the second one leads, the first is told and can take it back', async ({ page, browser, expectedErrors }) => {
  expectedErrors.push(REFUSED);
  const visit = await plannedVisit(page, 'Two Tables', 'straight-leg', [60, 61, 62, 70, 70, 70], 'Passive hold');
  await toTheTable(page);
  // Begun, gone on, and held: a run that is counting writes on by itself, and then the second tab would be the one that is told.
  for (let i = 0; i < 3; i++) await page.keyboard.press('Space');
  await expect(page.getByTestId('table')).toHaveAttribute('data-status', 'held');
  await saved(page);
  await expect(page.getByText(/[Nn]ot sent/)).toHaveCount(0);
  const other = await (await browser.newContext({ baseURL: process.env.APPLICATION_URL })).newPage();
  await signIn(other);
  await other.goto(`${visit}/table`);
  await expect(other.getByText('Reopened where it was. Space goes on')).toBeVisible();
  // Who reaches the server first leads.
  const kept = other.waitForResponse((answer) => answer.url().endsWith('/events') && answer.ok());
  await other.keyboard.press('Space');
  await kept;
  await expect(other.getByTestId('table')).toHaveAttribute('data-status', 'running');
  await page.keyboard.press('3');
  await expect(page.getByText('Another tab is leading this run.')).toBeVisible();
  await page.getByRole('button', { name: 'Take it back here' }).click();
  // Taking it back leads at once: the count that ran there is held here, and written so.
  await expect(page.getByText('Held. Space goes on')).toBeVisible();
  await page.keyboard.press('Space');
  await expect(page.getByTestId('table')).toHaveAttribute('data-status', 'running');
  await other.context().close();
});

test('a reading changed in another tab: both values are kept, the later one knowingly', async ({ page, context, expectedErrors }) => {
  expectedErrors.push(REFUSED);
  const visit = await walkIn(page, 'Two Readings');
  await page.getByRole('button', { name: 'Measure', exact: true }).click();
  await addMotion(page, 'hip flexion');
  await typeTrials(page, [110, 111, 112]);
  const kept = async () => {
    const { readings } = await (await page.request.get(visit.replace('/visit/', '/api/visits/'))).json();
    return (readings as { trials: number[] }[]).map((reading) => reading.trials);
  };
  await expect.poll(kept).toHaveLength(1);
  const other = await context.newPage();
  await other.goto(`${visit}/measure`);
  await other.getByLabel('Left, trial 1').fill('100');
  await other.keyboard.press('Enter');
  await expect(other.getByTestId('value-left')).toHaveText('107.7°');
  await other.getByLabel('Right, trial 1').click();
  await expect.poll(kept).toHaveLength(2);
  await page.getByLabel('Left, trial 3').fill('120');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('was changed somewhere else');
  await expect(page.getByLabel('Left, trial 3')).toHaveValue('120');
  await page.getByLabel('Left, trial 3').press('Enter');
  await expect(page.getByRole('alert')).toHaveCount(0);
  await expect.poll(kept).toEqual([
    [110, 111, 112],
    [100, 111, 112],
    [110, 111, 120],
  ]);
});

test('unknown places and a refused request are answered in words', async ({ page, expectedErrors }) => {
  expectedErrors.push(REFUSED);
  await page.goto('/visit/00000000-0000-7000-8000-000000000000');
  await expect(page.getByRole('alert')).toContainText('This visit does not exist.');
  await page.goto('/visit/17/measure');
  await expect(page.getByRole('alert')).toContainText('not a UUID');
  await page.goto('/athlete/00000000-0000-7000-8000-000000000000');
  await expect(page.getByRole('alert')).toContainText('This athlete does not exist.');
  await page.goto('/day/1880-01-01');
  await expect(page.getByRole('alert')).toContainText('between 1990 and 2200');
  await page.goto('/somewhere/else');
  await expect(page.getByText('There is no such page')).toBeVisible();

  const send = (data: string | Buffer) =>
    page.request.put('/api/athletes/00000000-0000-7000-8000-000000000001', { data, headers: { 'Content-Type': 'application/json' } });
  const large = await send(JSON.stringify({ about: 'x'.repeat(5_000_000) }));
  expect([large.status(), large.headers()['content-type'], (await large.json()).title]).toEqual([
    413,
    expect.stringContaining('application/problem+json'),
    'Too large',
  ]);
  const broken = await send('{"name": ');
  expect([broken.status(), (await broken.json()).title]).toEqual([400, 'Not JSON']);
});
