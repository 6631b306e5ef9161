import type { Page } from '@playwright/test';
import { expect, plannedVisit, saved, signIn, test, toTheTable, typeTrials } from './support.ts';
import { pedal } from './pedal.ts';
import { play } from './standIns.ts';

/** A whole visit run by pedal and knuckle, with devices that drift, press too hard and drop out; then its note, its sheet, and the next arrival. */

const table = (page: Page) => page.getByTestId('table');
const undo = (page: Page, words: string) => expect(page.getByTestId('undo')).toContainText(words);
/** Forward by the pedal, to a cue that says this. */
async function pedalTo(page: Page, text: RegExp, where: '.instruction' | '.how' = '.instruction'): Promise<void> {
  for (let guard = 0; guard < 80; guard++) {
    if (text.test(await page.locator(where).innerText())) return;
    const cue = await table(page).getAttribute('data-cue');
    await pedal(page);
    await expect(table(page)).not.toHaveAttribute('data-cue', cue!);
  }
  throw new Error(`No cue says ${text}.`);
}
/** Notes when the page hears each sample of the gauge, before anything of the program does. */
const hearSamples = (page: Page) =>
  page.addInitScript(() => {
    const heard: { n: number; at: number }[] = [];
    Object.assign(window, { heard });
    const Native = window.WebSocket;
    window.WebSocket = class extends Native {
      constructor(url: string | URL, protocols?: string | string[]) {
        super(url, protocols);
        this.addEventListener('message', ({ data }) => {
          const message = JSON.parse(String(data)) as { type: string; n: number };
          if (message.type === 'force') heard.push({ n: Math.round(message.n), at: performance.now() });
        });
      }
    };
  });
/** Milliseconds from a sample to the frame that shows it, for every number that is shown in so many milliseconds. */
const latencies = (page: Page, forMs: number) =>
  page.evaluate(
    (ms) =>
      new Promise<number[]>((resolve) => {
        const element = document.querySelector('[data-testid="live-newtons"]')!;
        const { heard } = window as unknown as { heard: { n: number; at: number }[] };
        const found: number[] = [];
        const observer = new MutationObserver(() => {
          const shown = Number.parseInt(element.textContent ?? '', 10);
          requestAnimationFrame(() => {
            const sample = heard.findLast(({ n }) => n === shown);
            if (sample) found.push(performance.now() - sample.at);
          });
        });
        observer.observe(element, { characterData: true, childList: true, subtree: true });
        setTimeout(() => {
          observer.disconnect();
          resolve(found);
        }, ms);
      }),
    forMs,
  );
const fileOf = async (page: Page, visit: string) => (await page.request.get(visit.replace('/visit/', '/api/visits/'))).json();

test('by pedal and knuckle only: drift, too hard, dropped out; a block added, a round drifted, a swap, a point that softens; read again, noted, signed, taken home', async ({
  page,
  expectedErrors,
  emptyApplication,
}) => {
  expectedErrors.push(/WebSocket connection/);
  const application = await emptyApplication();
  await application.start();
  await hearSamples(page);
  await signIn(page, 'marit', application.url);
  const visit = await plannedVisit(
    page,
    'Whole Visit',
    'straight-leg',
    [55, 56, 55, 70, 70, 70],
    'Breath-led contract-relax',
    application.url,
  );
  const { athlete } = await fileOf(page, visit);
  // What they press at most, as it was tested today.
  const tested = await page.request.put(`${visit.replace('/visit/', '/api/visits/')}/findings/${crypto.randomUUID()}`, {
    data: { kind: 'force', subject: 'knee-flexors', side: 'left', data: { trialsN: [228, 240, 233] }, moment: 'before', supersedes: null },
  });
  expect(tested.status()).toBe(200);
  await page.reload();
  await toTheTable(page);
  const live = page.getByTestId('live');

  await test.step('the devices: connected and zeroed where the limb rests', async () => {
    await play(page, 'inclinometers', [
      { do: 'plane', axis: 'y' },
      { do: 'edge', deg: 80 },
      { do: 'drift', axis: 'z', deg: 0 },
      { do: 'move', to: 0 },
    ]);
    await live.getByRole('button', { name: 'Connect the inclinometers' }).click();
    await live.getByRole('button', { name: 'Connect the force gauge' }).click();
    await live.getByRole('button', { name: 'Zero here, limb at rest' }).click();
    await expect(page.getByTestId('live-angle')).toHaveText(/^−?[0-2]°$/);
    await expect(live).toContainText('of today’s best, 240 N');
    // From the sample to the screen in less than a tenth of a second, as a hand feels it at once.
    await play(page, 'force-gauge', [{ do: 'press', pct: 10, to: 95, seconds: 3 }]);
    const shown = (await latencies(page, 3000)).sort((a, b) => a - b);
    expect(shown.length).toBeGreaterThan(20);
    expect(shown[Math.floor(shown.length / 2)]).toBeLessThan(100);
  });

  await test.step('off the plane is said in words and kept; a gauge that presses too hard is told, and what was reached is kept', async () => {
    await page.keyboard.press('Space');
    await pedalTo(page, /% effort/, '.how');
    await play(page, 'inclinometers', [
      { do: 'drift', axis: 'z', deg: 16, seconds: 0.4 },
      { do: 'hold', seconds: 2 },
      { do: 'drift', axis: 'z', deg: 0, seconds: 0.4 },
    ]);
    await play(page, 'force-gauge', [{ do: 'press', pct: 60, to: 30, seconds: 8 }]);
    await expect(page.getByTestId('live-angle-word')).toHaveText(/limb has swung out of line 1\d°/);
    await expect(page.getByTestId('live-effort-word')).toHaveText('too hard');
    await expect(page.getByRole('meter', { name: 'Effort, asked 20 %' })).toBeVisible();
    await expect.poll(() => page.locator('.how').innerText()).not.toMatch(/% effort/);
    await saved(page);
    await expect
      .poll(async () => (await fileOf(page, visit)).runs[0].events.map(({ event }: { event: { kind: string } }) => event.kind))
      .toEqual(expect.arrayContaining(['plane', 'effort']));
    const { events } = (await fileOf(page, visit)).runs[0];
    const effort = events.find(({ event }: { event: { kind: string } }) => event.kind === 'effort').event;
    expect(effort).toMatchObject({ of: 'today' });
    expect(effort.pct).toBeGreaterThan(30);
    expect(effort.overMs).toBeGreaterThan(effort.ms / 2);
  });

  await test.step('held still at the edge, the device fills it in; it drops out and comes back, and nothing stops', async () => {
    await pedalTo(page, /breathe|hold|stay/i);
    await play(page, 'inclinometers', [
      { do: 'move', to: 66, seconds: 1 },
      { do: 'hold', seconds: 4 },
      { do: 'drop', seconds: 1.5 },
      { do: 'move', to: 0 },
    ]);
    await expect
      .poll(async () => {
        const { runs } = await fileOf(page, visit);
        return runs[0].events.filter(
          ({ event }: { event: { kind: string; by?: string } }) => event.kind === 'edge' && event.by === 'device',
        ).length;
      })
      .toBeGreaterThan(0);
    await expect(live).toContainText('Inclinometers lost, looking for it');
    await expect(page.getByTestId('live-angle')).toBeVisible();
    await expect(table(page)).not.toHaveAttribute('data-status', 'finished');
  });

  await test.step('a round that drifted; a swap in two presses; a block added, and a point stayed in until it softens', async () => {
    await pedalTo(page, /% effort/, '.how');
    await page.keyboard.press('w');
    await expect(table(page)).toHaveAttribute('data-status', 'showing');
    await page.keyboard.press('Space');
    await page.keyboard.press('s');
    await page.keyboard.press('1');
    await undo(page, 'Swapped');
    await page.keyboard.press('a');
    const add = page.getByRole('dialog', { name: 'Add after this side' });
    await add.getByRole('combobox').fill('calf point holds');
    await page.locator('.ant-select-dropdown:visible').getByTitle(/point/i).first().click();
    await undo(page, 'Added');
    await page.keyboard.press('x');
    await pedalTo(page, /^(?!.*(set up|show)).*(press|point|stay|sink)/i);
    await page.keyboard.press('u');
    await expect(table(page)).toHaveAttribute('data-status', 'softening');
    await expect(page.getByTestId('count-up')).toHaveText(/^([2-9]|\d\d)$/);
    await page.keyboard.press('PageDown');
    await expect(page.getByTestId('felt')).toBeVisible();
    await page.keyboard.press('6');
    await page.keyboard.press('2');
    await undo(page, 'From 6 to 2');
  });

  await test.step('to the end; read again at the table, digits and Enter', async () => {
    // What is left of a side, and the way to the next one: between two sides there is nothing to leave, which is said.
    for (let guard = 0; guard < 200 && (await table(page).getAttribute('data-status')) !== 'finished'; guard++) {
      await page.keyboard.press('x');
      await page.keyboard.press('ArrowRight');
    }
    await expect(table(page)).toHaveAttribute('data-status', 'finished');
    await page.keyboard.press('e');
    // Only in a field are digits a reading, and Enter no way on.
    await expect(page.locator('input:focus')).toHaveCount(1);
    await typeTrials(page, [66, 66, 67]);
    await saved(page);
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: /Measure again/ }).click();
    await expect
      .poll(async () => (await fileOf(page, visit)).readings.filter((each: { moment: string }) => each.moment === 'after').length)
      .toBeGreaterThan(0);
  });

  await test.step('the note: drafted, changed, signed, added to', async () => {
    const note = page.getByRole('region', { name: 'Note' });
    await expect(note).toContainText(/reached \d+ % of today’s best/);
    await expect(note).toContainText('off the plane once: limb has swung out of line');
    await expect(note).toContainText('pressed the wrong way once');
    await expect(note).toContainText(/softened after \d+ s, from 6 to 2/);
    await expect(note).toContainText('in place of what was planned');
    await page.getByLabel('Your words').fill('Left answers well.');
    await note.getByRole('button', { name: /The stop questions were not asked/ }).click();
    await note.getByRole('button', { name: 'Leave it out' }).click();
    await saved(page);
    const home = page.getByRole('region', { name: 'Home work', exact: true });
    await home.getByRole('combobox', { name: 'Add an exercise' }).fill('Slow bridge');
    await page.locator('.ant-select-dropdown:visible').getByTitle('Slow bridge', { exact: true }).click();
    await expect(home.getByRole('heading', { name: /Slow bridge/ })).toBeVisible();
    await saved(page);
    await note.getByRole('button', { name: 'Sign and lock' }).click();
    await expect(note).toContainText('Signed by Marit Voss');
    await note.getByLabel('Add to the signed note').fill('Walked out without a limp.');
    await note.getByRole('button', { name: 'Sign this addition' }).click();
    await expect(note.getByRole('list', { name: 'Additions' })).toContainText('Walked out without a limp.');
    await page.getByRole('button', { name: 'Finish the visit' }).click();
    await expect(page.getByText(/^Finished/)).toBeVisible();
  });

  await test.step('the sheet for home, and the question about it next time', async () => {
    await page.goto(`${visit}/home`);
    await expect(page.getByRole('heading', { name: 'Whole Visit, at home' })).toBeVisible();
    const next = crypto.randomUUID();
    const startsAt = new Date(Math.floor(Date.now() / 60_000) * 60_000 + 60_000).toISOString();
    const made = await page.request.put(`${application.url}/api/visits/${next}`, {
      data: { athleteId: athlete.id, startsAt, minutes: 30, overlap: true },
    });
    expect(made.status()).toBe(200);
    await page.goto(`${application.url}/visit/${next}/arrive`);
    await expect(page.getByRole('region', { name: 'Home work since last time' })).toContainText('Slow bridge');
  });
});
