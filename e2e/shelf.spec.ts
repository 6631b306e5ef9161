import type { Page } from '@playwright/test';
import { readFile } from 'node:fs/promises';
import { choose, expect, ownPractice, plannedVisit, REFUSED, runThrough, saved, test } from './support.ts';

/** Types into a list that takes several and chooses one. */
async function pickFrom(page: Page, name: string, typed: string, option: RegExp): Promise<void> {
  await page.getByRole('combobox', { name, exact: true }).click({ force: true });
  await page.keyboard.type(typed);
  await page.locator('.ant-select-dropdown:visible').getByTitle(option).first().click();
  await page.keyboard.press('Escape');
}

test('the shelf: found with a slip of the finger, by way of working, by region; an entry says everything', async ({
  page,
  expectedErrors,
}) => {
  expect(expectedErrors).toEqual([]);
  await page.goto('/');
  await page.getByRole('navigation', { name: 'The day' }).getByRole('link', { name: 'Shelf' }).click();
  await expect(page.getByRole('region', { name: 'Neck' }).getByRole('listitem').first()).toBeVisible();
  const search = page.getByLabel('Find on the shelf');
  await search.fill('hamstrng');
  const hits = page.getByRole('listitem').filter({ has: page.getByRole('link', { name: /amstrings/ }) });
  await expect(hits.first()).toBeVisible();
  await search.fill('zzzz');
  await expect(page.getByText('Nothing on the shelf is called that')).toBeVisible();
  await page.getByRole('button', { name: 'Show everything' }).click();
  await choose(page, 'Part of the body', 'Closing');
  await expect(page.getByRole('region', { name: 'Closing' }).getByRole('listitem')).toHaveCount(4);
  await expect(page.getByRole('region', { name: 'Neck' })).toHaveCount(0);

  await page.goto('/shelf/entry/rectus-femoris-prone');
  await expect(page.getByRole('region', { name: 'At the table' })).toContainText('“Press into my hand”');
  await expect(page.getByRole('region', { name: 'Pictures' }).getByRole('img')).toHaveCount(2);
  await page.getByRole('link', { name: 'Quadriceps, heel to buttock' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Quadriceps, heel to buttock');
});

test('a way of working of its own: made, planned with, changed; the older plan keeps its numbers', async ({ page, expectedErrors }) => {
  expect(expectedErrors).toEqual([]);
  await page.goto('/shelf/ways');
  const breath = page.getByRole('article', { name: 'Breath-led contract-relax', exact: true });
  await expect(breath).toContainText('shown in trials');
  await breath.getByRole('link', { name: 'Copy as your own' }).click();
  await page.getByLabel('Name').fill('Breath-led contract-relax');
  await expect(page.getByText('A way of working is called that already.')).toBeVisible();
  await page.getByLabel('Name').fill('Crew breath work');
  await page.getByLabel('Contract', { exact: true }).fill('99');
  await expect(page.getByText('Contract is 2 to 30 s.')).toBeVisible();
  await page.getByLabel('Contract', { exact: true }).fill('9');
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(page.getByRole('article', { name: 'Crew breath work' })).toContainText('your own, from breath-led contract-relax');

  const visit = await plannedVisit(page, 'Own Way', 'straight-leg', [60, 61, 62, 70, 70, 70], 'Passive hold');
  await choose(page, 'Way of working', 'Crew breath work');
  await expect(page.getByLabel('Contract', { exact: true }).and(page.locator('input'))).toHaveValue('9');
  await saved(page);
  await page.goto('/shelf/ways');
  await page.getByRole('article', { name: 'Crew breath work' }).getByRole('link', { name: 'Change it' }).click();
  await page.getByLabel('Contract', { exact: true }).fill('4');
  await page.getByRole('button', { name: 'Keep as the new version' }).click();
  await expect(page.getByRole('article', { name: 'Crew breath work' })).toHaveCount(1);
  await page.goto(`${visit}/plan`);
  await expect(page.getByLabel('Contract', { exact: true }).and(page.locator('input'))).toHaveValue('9');

  await page.goto('/shelf/ways');
  await page.getByRole('article', { name: 'Crew breath work' }).getByRole('link', { name: 'Change it' }).click();
  await page.getByRole('button', { name: 'Take it off the shelf' }).click();
  await expect(page.getByRole('article', { name: 'Crew breath work' })).toHaveCount(0);
});

test('a round of its own: phases added, moved by key and by drag, the rules said beside them, undone, and planned with', async ({
  page,
  expectedErrors,
}) => {
  expect(expectedErrors).toEqual([]);
  await page.goto('/shelf/way?from=static-hold');
  await page.getByLabel('Name').fill('Hold with a press');
  const round = page.getByRole('region', { name: 'The round, phase by phase' });
  const phases = round.getByRole('list', { name: 'Phases of a round' }).getByRole('listitem');
  await expect(phases).toHaveCount(5);
  await choose(page, 'Add a phase', 'Press');
  await expect(phases.nth(5)).toContainText('After a press comes letting go, before anything else.');
  await expect(page.getByRole('region', { name: 'What it comes to' })).toContainText('As it was before what is marked');
  await expect(page.getByRole('button', { name: 'Put it on the shelf' })).toBeDisabled();
  await choose(page, 'Add a phase', 'Let go');
  await expect(round.getByRole('alert')).toHaveCount(0);
  await round.getByLabel('Seconds, phase 6').fill('60');
  await expect(phases.nth(5)).toContainText('Press is 2 to 20 s.');
  await round.getByLabel('Seconds, phase 6').fill('5');
  await round.getByLabel('Instruction, phase 7').fill('Melt');

  // Up to the first hold by key, both of them; the grip keeps the focus.
  const grip = (name: RegExp) => round.getByRole('button', { name });
  await grip(/^Phase 6, Press/).focus();
  for (let i = 0; i < 2; i++) await page.keyboard.press('ArrowUp');
  await expect(grip(/^Phase 4, Press/)).toBeFocused();
  await expect(round.getByRole('status')).toHaveText('Press is phase 4 of 7.');
  await expect(phases.nth(3)).toContainText('letting go');
  // The other by drag, to just behind it.
  const [from, to] = [await grip(/^Phase 7, Let go/).boundingBox(), await grip(/^Phase 5, /).boundingBox()];
  await page.mouse.move(from!.x + 8, from!.y + 8);
  await page.mouse.down();
  await page.mouse.move(to!.x + 8, to!.y + 20, { steps: 12 });
  await page.mouse.move(to!.x + 8, to!.y + 6, { steps: 4 });
  await page.mouse.up();
  await expect(grip(/^Phase 5, Let go/)).toBeVisible();
  await expect(round.getByRole('alert')).toHaveCount(0);
  await expect(page.getByRole('region', { name: 'What it comes to' })).toContainText('Contracting10 s');

  // Taken out and taken back.
  await grip(/^Phase 3, Hold/).focus();
  await page.keyboard.press('Delete');
  await expect(phases).toHaveCount(6);
  await round.getByRole('button', { name: 'Undo' }).click();
  await expect(phases).toHaveCount(7);
  // A word is one step back, not its letters.
  await round.getByLabel('How, phase 5').fill('every muscle of it');
  await round.getByLabel('How, phase 5').press('End');
  await page.keyboard.type(', slowly');
  await round.getByRole('button', { name: 'Undo' }).click();
  await expect(round.getByLabel('How, phase 5')).toHaveValue('');
  await expect(round.getByLabel('Instruction, phase 5')).toHaveValue('Melt');
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  const way = page.getByRole('article', { name: 'Hold with a press' });
  await way.getByRole('link', { name: 'Put beside another' }).click();
  await expect(page.getByRole('region', { name: 'Compared' })).toContainText('5 s at 20 %');
  await page.goBack();
  await expect(way).toContainText('does not carry over as it stands');

  await plannedVisit(page, 'Own Round', 'straight-leg', [60, 61, 62, 70, 70, 70], 'Passive hold');
  await choose(page, 'Way of working', 'Hold with a press');
  await expect(page.getByLabel('Press', { exact: true }).and(page.locator('input'))).toHaveValue('5');
  await expect(page.getByLabel('Melt', { exact: true }).and(page.locator('input'))).toHaveValue('3');
  await saved(page);

  // And runs through at the table, with its own words.
  await page.goto(page.url().replace('/plan', '/table?rate=20'));
  await expect(page.getByText('Space begins')).toBeVisible();
  const told = new Set<string>();
  await runThrough(page, async () => {
    told.add((await page.locator('.instruction').textContent()) ?? '');
  });
  expect([...told]).toEqual(expect.arrayContaining(['Breathe, heel heavy', 'Melt']));

  // It opens again as it was left.
  await page.goto('/shelf/ways');
  await way.getByRole('link', { name: 'Change it' }).click();
  await expect(round.getByLabel('Instruction, phase 5')).toHaveValue('Melt');
  await round.getByRole('button', { name: 'As in passive hold' }).click();
  await expect(phases).toHaveCount(5);
});

test('a shelf that comes late overwrites nothing: the forms wait for it', async ({ page, expectedErrors }) => {
  expect(expectedErrors).toEqual([]);
  for (const [path, name] of [
    ['/shelf/way?from=crac', 'Contract-relax, then antagonist, ours'],
    ['/shelf/new?from=calf-supine', 'Calf, straight knee, ours'],
  ] as const) {
    let send = () => {};
    const asked = new Promise<void>((resolve) => {
      send = resolve;
    });
    await page.route('**/api/shelf', async (route) => {
      await asked;
      await route.continue();
    });
    await page.goto(path);
    await expect(page.getByText('Opening the shelf …')).toBeVisible();
    await expect(page.getByLabel('Name', { exact: true })).toHaveCount(0);
    send();
    await expect(page.getByLabel('Name', { exact: true })).toHaveValue(name);
    await page.unroute('**/api/shelf');
  }
});

test('an entry says how it is set up in each position, and what its hands do in its own words, at the table too', async ({
  page,
  expectedErrors,
}) => {
  expect(expectedErrors).toEqual([]);
  await page.goto('/shelf/entry/ankle-circles');
  const table = page.getByRole('region', { name: 'At the table' });
  await expect(table).toContainText('Prone, shin upright, heel in one hand, forefoot in the other, circles both ways.');
  await expect(table).toContainText('“Circle to a clear end”');

  // Copied, it keeps both, and can be said otherwise.
  await page.goto('/shelf/new?from=ankle-circles');
  await expect(page.getByLabel('Set-up, prone')).toHaveValue(/^Prone, shin upright/);
  // What a way begins with here and says here stands in its own fold.
  await page.getByRole('button', { name: /Rocking, waves, figure-eights/ }).click();
  const line = page.getByLabel('Line, six words at most: Rocking, waves, figure-eights, Rock', { exact: true });
  await expect(line).toHaveValue('Circle to a clear end');
  await page.getByLabel('Name').fill('Ankle circles, slow');
  await line.fill('Draw one slow and very even circle');
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(page.getByText('Say it in 6 words at most.')).toBeVisible();
  await line.fill('One slow, even circle');
  await page.getByLabel('Rocking, waves, figure-eights, keep going').fill('7');
  await expect(page.getByText('Keep going is 20 to 240 s.')).toBeVisible();
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('An entry of your own');
  await page.getByLabel('Rocking, waves, figure-eights, keep going').fill('35');
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Ankle circles, slow');
  await expect(table).toContainText('“One slow, even circle”');
  await expect(page.getByRole('region', { name: 'Ways of working that fit' })).toContainText('begins with keep going 35 s');
});

test('an entry is rehearsed while it is typed: in each way and position, and what is wrong keeps the last that was sound', async ({
  page,
  expectedErrors,
}) => {
  expect(expectedErrors).toEqual([]);
  await page.goto('/shelf/new?from=ankle-circles');
  const rehearsal = page.getByRole('region', { name: 'What the table will say' });
  const lines = rehearsal.getByRole('listitem').filter({ has: page.locator('b') });
  await expect(lines.first()).toContainText('Supine, heel in one hand, forefoot in the other');
  await choose(rehearsal, 'Rehearsed position', 'prone');
  await expect(lines.first()).toContainText('Prone, shin upright');
  await page.getByLabel('Set-up, prone').fill('Prone, shin up, heel in your palm');
  await expect(lines.first()).toContainText('Prone, shin up, heel in your palm');
  // Another way says where the limb is carried, in the words that are typed now.
  await page.getByRole('checkbox', { name: 'Passive hold' }).check();
  await choose(rehearsal, 'Rehearsed way of working', 'Passive hold');
  await page.getByLabel('Where it is carried, in five words at most').fill('Toes to the nose');
  await expect(lines.filter({ hasText: 'Toes to the nose' }).first()).toBeVisible();
  await page.getByLabel('Where it is carried, in five words at most').fill('Toes go to the nose as far as it lets you');
  await expect(rehearsal.getByRole('status')).toHaveText('As it was before what is missing.');
  await expect(lines.filter({ hasText: 'Toes to the nose' }).first()).toBeVisible();
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(page.getByText('Say it in 5 words at most.')).toBeVisible();
  await page.getByLabel('Where it is carried, in five words at most').fill('Toes up');
  await expect(rehearsal.getByRole('status')).toHaveCount(0);
  await expect(lines.filter({ hasText: 'Toes up' }).first()).toBeVisible();
  // The way that is rehearsed is taken out: another one is shown.
  await page.getByRole('checkbox', { name: 'Passive hold' }).uncheck();
  await expect(lines.filter({ hasText: 'Circle to a clear end' }).first()).toBeVisible();
});

test('an entry is drawn in every position it is done in, says how to stand and what to ask first', async ({ page, expectedErrors }) => {
  expect(expectedErrors).toEqual([]);
  await page.goto('/shelf/entry/subscapularis-approach');
  const pictures = page.getByRole('region', { name: 'Pictures' }).getByRole('figure');
  await expect(pictures).toHaveCount(4);
  await expect(pictures.nth(2)).toContainText('Side-lying');
  await expect(pictures.nth(3)).toContainText('Prone');
  const drawn = await pictures.locator('svg').evaluateAll((all) => all.map((svg) => svg.innerHTML));
  expect(new Set(drawn).size).toBe(4);
  const table = page.getByRole('region', { name: 'At the table' });
  await expect(table).toContainText('You are');
  await expect(table).toContainText('Ask first');
  await expect(table).toContainText('the armpit');
  await page.goto('/shelf/entry/neck-extension-table-end');
  await expect(page.getByRole('region', { name: 'What it is for' })).toContainText('supine, head past the table end');
});

test('an entry of its own, from another one: what is missing is said beside the field', async ({ page, expectedErrors }) => {
  expect(expectedErrors).toEqual([]);
  await page.goto('/shelf/new?from=calf-supine');
  await page.getByLabel('Name').fill('Calf over the bolster');
  await page.getByLabel('They are told').fill('Press your toes away as hard as you like');
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(page.getByText('At most 26 letters: it is read across a room.')).toBeVisible();
  await page.getByLabel('They are told').fill('Toes away');
  // Everything an entry says can be said here: what is easier, the tools with their shares, places of its own.
  await pickFrom(page, 'Easier', 'calf, straight', /^Calf, straight knee/);
  await page.getByLabel('Calf, straight knee: in what').fill('no bolster');
  await page.getByRole('button', { name: 'Add “harder” without another entry' }).click();
  await page.getByLabel('Harder, the same done otherwise').fill('a thicker bolster');
  await page.getByRole('checkbox', { name: 'forearm' }).check();
  await page.getByLabel('Share, forearm').fill('140');
  await expect(page.getByText('Shares are 0 to 100 %.')).toBeVisible();
  await page.getByLabel('Share, forearm').fill('35');
  await page.getByRole('checkbox', { name: 'Sustained compression' }).check();
  await page
    .getByLabel('Points, with semicolons')
    .fill(Array(3).fill('a name that is far longer than anybody reads across a room').join(';'));
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(page.getByText(/each 1 to 40 characters/)).toBeVisible();
  await page.getByLabel('Points, with semicolons').fill('inner head; outer head, low');
  // Whoever lies another way is set up another way.
  await page.getByRole('checkbox', { name: 'prone', exact: true }).check();
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(page.getByText('Say in one sentence how it is set up in this position.')).toBeVisible();
  await page.getByLabel('Set-up, prone').fill('Prone, foot past the edge, shin on the bolster');
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Calf over the bolster');
  await expect(page.getByRole('region', { name: 'At the table' })).toContainText('Prone, foot past the edge, shin on the bolster.');
  await expect(page.getByRole('link', { name: 'Calf, straight knee' })).toBeVisible();
  await expect(page.getByText('no bolster')).toBeVisible();
  await expect(page.getByText('The same, otherwise a thicker bolster')).toBeVisible();
  await page.getByRole('button', { name: 'Change it' }).click();
  await expect(page.getByLabel('Points, with semicolons')).toHaveValue('inner head; outer head, low');
  await expect(page.getByLabel('Share, forearm')).toHaveValue('35');
  await page.goBack();
  await page.getByRole('button', { name: 'Take off the shelf' }).click();
  await expect(page.getByText('taken off the shelf')).toBeVisible();
  await page.getByRole('button', { name: 'Put back' }).click();
  await expect(page.getByText('taken off the shelf')).toHaveCount(0);
});

test('ours as a file: saved, looked at, and taken in by another practice; what cannot be says why', async ({
  page,
  expectedErrors,
  emptyApplication,
}) => {
  expectedErrors.push(REFUSED);
  await page.goto('/shelf/new?from=calf-supine');
  await page.getByLabel('Name').fill('Calf for the file');
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Calf for the file');
  await page.getByRole('button', { name: 'Change it' }).click();
  await page.getByLabel('Name').fill('Calf for the file, newer');
  await page.getByRole('button', { name: 'Keep as the new version' }).click();
  const versions = page.getByRole('list', { name: 'Versions' }).getByRole('listitem');
  await expect(versions).toHaveCount(2);
  await expect(versions.nth(1)).toContainText('Calf for the file, newer');
  await expect(versions.nth(1)).toContainText('stands now');
  await versions.first().getByRole('link').click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Calf for the file');

  await page.goto('/shelf');
  await page.getByRole('button', { name: 'Ours as a file' }).click();
  const dialog = page.getByRole('dialog', { name: 'Ours as a file' });
  await choose(dialog, 'Licence of what you made', 'CC BY 4.0: anybody may, and says who made it');
  const [download] = await Promise.all([page.waitForEvent('download'), dialog.getByRole('button', { name: 'Save the file' }).click()]);
  const text = await readFile((await download.path())!, 'utf8');
  const file = JSON.parse(text) as { items: { fields: { name: string; motionId?: string } }[] };
  const names = file.items.map(({ fields }) => fields.name);
  expect(names).toContain('Calf for the file, newer');
  expect(names).not.toContain('Calf for the file');

  const application = await ownPractice(page, emptyApplication);
  await page.goto(`${application.url}/shelf`);
  await page.getByRole('button', { name: 'Ours as a file' }).click();
  await expect(dialog).toContainText('Nothing of your own yet.');
  const open = (content: string) =>
    dialog.locator('input[type=file]').setInputFiles({ name: 'shelf.json', mimeType: 'application/json', buffer: Buffer.from(content) });
  await open('{"a": 1}');
  await expect(dialog.getByRole('alert')).toHaveText('This is not a file of a shelf.');
  // One of them spoilt: it is named and stays out.
  const [spoilt, good] = ['Spoilt', 'Calf for the file, newer'];
  const one = file.items.find(({ fields }) => fields.name === good)!;
  const two = { id: crypto.randomUUID(), fields: { ...one.fields, name: spoilt, motionId: 'wing' } };
  await open(JSON.stringify({ ...file, items: [one, two] }));
  const items = dialog.getByRole('list', { name: 'In the file' }).getByRole('listitem');
  await expect(items.filter({ hasText: spoilt })).toContainText('Choose the motion');
  await expect(items.filter({ hasText: spoilt }).getByRole('checkbox')).toBeDisabled();
  await dialog.getByRole('button', { name: 'Import 1' }).click();
  await expect(dialog.getByRole('status')).toHaveText('1 imported.');
  await page.keyboard.press('Escape');
  // The same file once more: what is here by name is not taken in twice unless somebody says so.
  await page.getByRole('button', { name: 'Ours as a file' }).click();
  await open(text);
  await expect(items.filter({ hasText: good }).first()).toContainText('version 2, CC BY 4.0');
  await expect(items.filter({ hasText: good }).first()).toContainText('One of this name is here already.');
  await page.keyboard.press('Escape');
  await page.getByLabel('Find on the shelf').fill('Calf for the file');
  await page
    .getByRole('link', { name: /Calf for the file, newer/ })
    .first()
    .click();
  await expect(page.getByText(/Made by .*, from Alder Weir Rowing Club.*, version 2, CC BY 4\.0\./)).toBeVisible();
});
