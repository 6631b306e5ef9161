import { readFileSync } from 'node:fs';
import { strFromU8, unzipSync } from 'fflate';
import { athleteNamed, choose, expect, ownPractice, PASSWORDS, REFUSED, saved, signIn, test, walkIn } from './support.ts';

test('the first start asks for the owner’s account; the owner lets a coach in, who sees their squad and no more', async ({
  page,
  browser,
  expectedErrors,
  emptyApplication,
}) => {
  expectedErrors.push(REFUSED);
  const application = await emptyApplication({ PACE_BEND_DEMO: 'off' });
  await application.start();
  await page.goto(application.url);
  await expect(page.getByRole('heading', { name: 'A new practice' })).toBeVisible();
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByRole('alert')).toHaveCount(4);
  await page.getByLabel('Practice').fill('River room');
  await page.getByLabel('Your name').fill('Ann Owner');
  await page.getByLabel('Sign-in name').fill('ann');
  await page.getByLabel('Password').fill('short');
  await expect(page.getByRole('alert')).toHaveText(['A password has 12 letters or more; a few words in a row are good.']);
  await page.getByLabel('Password').fill('a river in the rain');
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByText('0 of 6 done')).toBeVisible();

  await walkIn(page, 'Only One', '2000-01-02', application.url);
  await page.getByLabel('What brings them today').fill('Nobody else’s business');
  await saved(page);
  await page.goto(`${application.url}/squad`);
  await page.getByRole('button', { name: 'Squads' }).click();
  await page.getByLabel('Name of the squad').fill('Eight');
  await page.getByRole('button', { name: 'Make the squad' }).click();
  await page.getByRole('combobox', { name: 'Add a member' }).fill('only');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Take Only One out of Eight' })).toBeVisible();

  await page.goto(`${application.url}/practice/people`);
  await page.getByRole('button', { name: 'Add a person' }).click();
  await page.getByLabel('Name', { exact: true }).fill('Coach Example');
  await page.getByLabel('Sign-in name').fill('coach');
  await page.getByLabel('Password').fill('the boat goes well');
  await page.getByRole('button', { name: 'coach', exact: true }).click();
  await page.getByRole('button', { name: 'Eight', exact: true }).click();
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Coach Example' })).toContainText('Eight');

  const coach = await (await browser.newContext()).newPage();
  await coach.goto(application.url);
  await coach.getByLabel('Sign-in name').fill('coach');
  await coach.getByLabel('Password').fill('not this one at all');
  await coach.getByRole('button', { name: 'Sign in' }).click();
  await expect(coach.getByRole('alert')).toHaveText('This name and this password do not belong together.');
  await coach.getByLabel('Password').fill('the boat goes well');
  await coach.getByRole('button', { name: 'Sign in' }).click();
  await expect(coach.getByRole('region', { name: 'Eight' })).toContainText('Only One');
  await expect(coach.getByText('Nobody else’s business')).toHaveCount(0);
  await coach.goto(`${application.url}/squad`);
  await expect(coach).toHaveURL(/\/coach$/);
  await coach.context().close();

  await page.goto(`${application.url}/practice/audit`);
  await expect(page.getByRole('row').filter({ hasText: 'Only One' }).first()).toBeVisible();
  await expect(page.getByRole('row').filter({ hasText: 'squads looked at by a coach' }).first()).toContainText('Coach Example');
});

test('signed out in the middle: what is typed stays, and is saved when they are back', async ({ page, expectedErrors }) => {
  expectedErrors.push(REFUSED);
  await walkIn(page, 'Signed Out');
  await saved(page);
  await expect(page.getByLabel('What brings them today')).toBeVisible();
  const cookies = await page.context().cookies();
  await page.context().clearCookies({ name: 'pace_bend' });
  await page.getByLabel('What brings them today').fill('typed while signed out');
  const dialog = page.getByRole('dialog', { name: 'Sign in again' });
  await expect(dialog).toBeVisible();
  expect(cookies.find((cookie) => cookie.name === 'pace_bend')).toMatchObject({ httpOnly: true, sameSite: 'Strict' });
  await dialog.getByLabel('Sign-in name').fill('marit');
  await dialog.getByLabel('Password').fill(PASSWORDS.marit);
  await dialog.getByRole('button', { name: 'Sign in', exact: true }).click();
  await expect(dialog).toBeHidden();
  await expect(page.getByText(/[Nn]ot sent/)).toHaveCount(0);
  await saved(page);
  await page.reload();
  await expect(page.getByLabel('What brings them today')).toHaveValue('typed while signed out');

  // Signed out before a page could be read: it is read as soon as they are back.
  await page.context().clearCookies({ name: 'pace_bend' });
  await page.getByRole('link', { name: 'Squad', exact: true }).click();
  await expect(page.getByRole('alert')).toContainText('Not signed in');
  await dialog.getByLabel('Sign-in name').fill('marit');
  await dialog.getByLabel('Password').fill(PASSWORDS.marit);
  await dialog.getByRole('button', { name: 'Sign in', exact: true }).click();
  await expect(page.getByRole('alert')).toHaveCount(0);
  await expect(page.getByText('Signed Out').first()).toBeVisible();
});

test('a squad is read in from a table of the old kind: looked at first, wrong rows named, nobody twice; taken out again', async ({
  page,
  expectedErrors,
  emptyApplication,
}) => {
  expect(expectedErrors).toEqual([]);
  const application = await ownPractice(page, emptyApplication);
  await page.goto(`${application.url}/squad/read-in`);
  // Windows-1252 with semicolons, a day first, a formula, a birth in 1880.
  const table = Buffer.from(
    'Rower;DOB;Sex;Boat side;Remarks;Crew\r\nZo\xeb Brand;14.03.2004;f;bow;tall;Eight, Juniors\r\nAda Long;01.02.2003;;sculls;=1+1;Eight\r\nOld One;01.01.1880;m;;;\r\n',
    'latin1',
  );
  const chooseFile = () => page.locator('input[type=file]').setInputFiles({ name: 'squad.csv', mimeType: 'text/csv', buffer: table });
  await chooseFile();
  await expect(page.getByText('3 rows, semicolons, Windows-1252')).toBeVisible();
  await expect(page.getByRole('region', { name: 'What will happen' })).toContainText('2 to be added, 1 with something wrong');
  await expect(page.getByRole('region', { name: 'Wrong rows' })).toContainText('row 4');
  await expect(page.getByRole('region', { name: 'As it will be written' })).toContainText('Zoë Brand');
  await expect(page.getByRole('button', { name: 'Import 2' })).toBeDisabled();
  // A column matched by hand changes what will be written.
  await choose(page, 'Column for About', 'not in the table');
  await expect(page.getByRole('region', { name: 'As it will be written' })).not.toContainText('tall');
  await choose(page, 'Column for About', 'Remarks');
  await page.getByLabel('Leave the wrong rows out').check();
  await page.getByRole('button', { name: 'Import 2' }).click();
  await expect(page.getByText('2 athletes imported.')).toBeVisible();
  await chooseFile();
  await expect(page.getByRole('region', { name: 'What will happen' })).toContainText('0 to be added, 2 here already');

  await page.getByRole('link', { name: 'Back to the squad' }).click();
  await expect(page.getByRole('region', { name: 'Athletes' }).getByRole('listitem')).toHaveCount(2);
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Export' }).click();
  const text = readFileSync(await (await download).path(), 'utf8');
  expect(text).toContain('Zoë Brand,2004-03-14,female,Rowing,Sweep,Bow side');
  expect(text).toContain("'=1+1");
});

test('when what reads the table fails, the page says so, and the file can be chosen again', async ({ page, expectedErrors }) => {
  expectedErrors.push(/broken on purpose/);
  await page.route(
    /squad\.worker/,
    (route) => route.fulfill({ contentType: 'text/javascript', body: 'self.onmessage = () => { throw new Error("broken on purpose"); };' }),
    { times: 1 },
  );
  await page.goto('/squad/read-in');
  const chooseFile = () =>
    page
      .locator('input[type=file]')
      .setInputFiles({ name: 'squad.csv', mimeType: 'text/csv', buffer: Buffer.from('Name;DOB\r\nZoe Brand;2004-03-14\r\n') });
  await chooseFile();
  await expect(page.getByText('The table could not be read: the part of the program that reads it failed.')).toBeVisible();
  await expect(page.getByText('Reading …')).toHaveCount(0);
  await chooseFile();
  await expect(page.getByText('1 row, semicolons, UTF-8')).toBeVisible();
});

test('the file is saved as it is made; what cannot be is named; erasing asks for the name', async ({ page, expectedErrors }) => {
  expect(expectedErrors).toEqual([]);
  await walkIn(page, 'Whole File');
  await page.getByRole('heading', { level: 1 }).getByRole('link').click();
  await page.getByRole('link', { name: 'File', exact: true }).click();
  const person = page.getByRole('region', { name: 'Person' });
  await choose(person, 'Sport', 'Rowing');
  await choose(person, 'Discipline', 'Sweep');
  await choose(person, 'Role', 'Bow side');
  await person.getByLabel('Birth date').fill('1880-01-01');
  await expect(page.getByRole('alert')).toContainText('A birth date lies between');
  await person.getByRole('button', { name: 'limited' }).click();
  const body = page.getByRole('region', { name: 'Body' });
  await body.getByLabel('Thigh').fill('44.5');
  await body.getByRole('button', { name: 'Blood thinner' }).click();
  for (const item of ['Left little finger', 'Right little finger', 'Left thumb', 'Right thumb', 'Palms flat'])
    await body.getByRole('button', { name: new RegExp(`^${item}`) }).click();
  await expect(body.getByText('5 of 9')).toBeVisible();
  const contacts = page.getByRole('region', { name: 'Contacts' });
  await contacts.getByLabel('Name, contact 1').fill('Runa');
  await contacts.getByLabel('Phone, contact 1').fill('555 0100');
  const areas = page.getByRole('region', { name: 'Not to be touched' });
  await areas.getByRole('combobox', { name: 'Area not to be touched' }).fill('belly');
  await page.keyboard.press('Enter');
  await areas.getByRole('button', { name: 'Add' }).click();
  await expect(areas.getByText('belly', { exact: true }).first()).toBeVisible();
  await expect(page.getByText('Saving …')).toHaveCount(0);
  await saved(page);
  await page.reload();
  await expect(person.getByRole('group', { name: 'Sport', exact: true })).toContainText('Bow side');
  // As the browser's place writes it, and in words.
  await expect(person.getByLabel('Birth date')).toHaveValue('5/6/2001');
  await expect(person).toContainText('Sunday 6 May 2001');
  await person.getByLabel('Birth date').fill('31.4.2001');
  await expect(person.getByRole('alert')).toHaveText('April has 30 days.');
  await person.getByLabel('Birth date').fill('7 may 2001');
  await expect(person).toContainText('Monday 7 May 2001');
  await person.getByRole('button', { name: 'Open the calendar' }).first().click();
  const calendar = page.locator('.ant-picker-dropdown:visible');
  await expect(calendar).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(calendar).toHaveCount(0);
  await expect(person.getByLabel('Birth date')).toBeFocused();
  await person.getByRole('button', { name: 'Open the calendar' }).first().click();
  await calendar.getByTitle('2001-05-06').click();
  await expect(calendar).toHaveCount(0);
  await expect(person.getByLabel('Birth date')).toHaveValue('5/6/2001');
  await saved(page);
  await expect(body.getByLabel('Thigh')).toHaveValue('44.5');
  await expect(body.getByText('5 of 9')).toBeVisible();
  await expect(contacts.getByLabel('Phone, contact 1')).toHaveValue('555 0100');
  await expect(page.getByRole('button', { name: /Beighton 5 of 9/ })).toBeVisible();

  const record = page.getByRole('region', { name: 'Record' });
  const download = page.waitForEvent('download');
  await record.getByRole('link', { name: /whole record/ }).click();
  expect(JSON.parse(readFileSync(await (await download).path(), 'utf8'))).toMatchObject({
    format: 'pace-bend-archive',
    athletes: [{ tables: { athlete: [{ name: 'Whole File', thigh_cm: 44.5 }] } }],
  });
  await record.getByRole('button', { name: 'Erase this athlete' }).click();
  await record.getByLabel(/^Type the name/).fill('Whole');
  await record.getByRole('button', { name: 'Erase for good' }).click();
  await expect(record.getByRole('alert')).toHaveText([/^Export their record first/, /exactly/]);
  await expect(record).toContainText('Everything goes: file, visits, readings');
  const handedOver = page.waitForEvent('download');
  await record.getByRole('link', { name: 'Export the record to hand over' }).click();
  expect((await handedOver).suggestedFilename()).toBe('athlete-record.json');
  await expect(record.getByRole('alert')).toHaveText([/exactly/]);
  await record.getByLabel(/^Type the name/).fill('Whole File');
  await record.getByRole('button', { name: 'Erase for good' }).click();
  await expect(page).toHaveURL(/\/squad$/);
  await page.getByPlaceholder('Find by name').fill('whole file');
  await expect(page.getByText('Nobody fits')).toBeVisible();
});

test('a password is changed: every other browser is signed out', async ({ page, browser, expectedErrors, emptyApplication }) => {
  expectedErrors.push(REFUSED);
  const application = await emptyApplication();
  await application.start();
  await signIn(page, 'jonas', application.url);
  const other = await (await browser.newContext()).newPage();
  await signIn(other, 'jonas', application.url);
  await page.goto(`${application.url}/practice/me`);
  await page.getByLabel('Password so far').fill('not this');
  await page.getByLabel('New password').fill('quite another river');
  await page.getByRole('button', { name: 'Change it' }).click();
  await expect(page.getByRole('alert')).toHaveText('This is not the password so far.');
  await page.getByLabel('Password so far').fill(PASSWORDS.jonas);
  await page.getByRole('button', { name: 'Change it' }).click();
  await expect(page.getByText('Changed.')).toBeVisible();
  await other.goto(application.url);
  await expect(other.getByRole('button', { name: 'Sign in', exact: true })).toBeVisible();
  // The demo shows it no more.
  await expect(other.getByText('Jonas Eklund')).toHaveCount(0);
  await other.context().close();
});

test('a record leaves for other health records, of all visits or of some; days that are turned round are told', async ({
  page,
  expectedErrors,
}) => {
  expect(expectedErrors).toEqual([]);
  const id = await athleteNamed(page, 'Ines Okkonen');
  await page.goto(`/athlete/${id}/file`);
  const record = page.getByRole('region', { name: 'Record' });
  const link = record.getByRole('link', { name: /HL7 FHIR R4/ });
  const taken = async () => {
    const [download] = await Promise.all([page.waitForEvent('download'), link.click()]);
    expect(download.suggestedFilename()).toBe('athlete-fhir.json');
    const { entry } = JSON.parse(readFileSync(await download.path(), 'utf8')) as {
      entry: { resource: { resourceType: string; period?: { start: string }; name?: { text: string }[] } }[];
    };
    const of = (type: string) => entry.map(({ resource }) => resource).filter(({ resourceType }) => resourceType === type);
    expect(of('Patient')[0]!.name).toEqual([{ text: 'Ines Okkonen' }]);
    return { visits: of('Encounter').map(({ period }) => period!.start.slice(0, 10)), readings: of('Observation').length };
  };
  const [tables] = await Promise.all([
    page.waitForEvent('download'),
    record.getByRole('link', { name: 'Export all tables (ZIP)' }).click(),
  ]);
  const files = unzipSync(readFileSync(await tables.path()));
  expect(Object.keys(files)).toContain('datapackage.json');
  expect(strFromU8(files['readings.csv']!).split('\r\n').length).toBeGreaterThan(20);

  const whole = await taken();
  expect(whole.visits.length).toBeGreaterThan(2);
  const day = whole.visits[1]!;
  await record.getByLabel('Visits from').fill(day);
  await record.getByLabel('to', { exact: true }).fill(day);
  await page.keyboard.press('Tab');
  const one = await taken();
  expect(one.visits).toEqual([day]);
  expect(one.readings).toBeGreaterThan(0);
  expect(one.readings).toBeLessThan(whole.readings);
  await record.getByLabel('to', { exact: true }).fill('1.1.2020');
  await expect(record.getByRole('alert')).toHaveText('The first day is after the last one.');
  await expect(link).toHaveCount(0);
});
