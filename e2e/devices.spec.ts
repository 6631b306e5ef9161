import { addMotion, expect, saved, signIn, test, walkIn } from './support.ts';
import { play } from './standIns.ts';
import { frames } from './waiting.ts';

/** On an application of its own: whoever connects to the same stand-ins would feel what is scripted here. */
test('the inclinometer pair fills the trials by itself; off the plane it warns; a dropout loses nothing; the force gauge presses', async ({
  page,
  expectedErrors,
  emptyApplication,
}) => {
  // The line that breaks and the attempts to make it again are logged by the browser.
  expectedErrors.push(/WebSocket connection/);
  const application = await emptyApplication();
  await application.start();
  await signIn(page, 'marit', application.url);
  const visit = await walkIn(page, 'Strapped On', '2001-05-06', application.url);
  await page.goto(`${visit}/measure`);
  await addMotion(page, 'straight-leg raise supine free');
  const panel = page.getByRole('region', { name: /^Straight-leg raise/ });
  const angle = panel.getByTestId('live-angle');

  await test.step('connect and zero', async () => {
    await play(page, 'inclinometers', [
      { do: 'plane', axis: 'y' },
      { do: 'edge', deg: 75 },
      { do: 'drift', axis: 'x', deg: 0 },
      { do: 'move', to: 0 },
    ]);
    await panel.getByRole('tab', { name: 'Device' }).click();
    await panel.getByRole('button', { name: 'Connect' }).click();
    await expect(panel.getByRole('status')).toHaveText('Inclinometer pair, stand-in');
    await expect(panel.getByText(/^battery \d+ %$/)).toBeVisible();
    await expect(angle).toHaveText('–');
    await frames(page, 90);
    await panel.getByRole('button', { name: 'Zero here' }).click();
    await expect(angle).toHaveText(/^(−?[0-2]\.\d)°$/);
  });

  await test.step('moved to 62° and held still, the first trial is there', async () => {
    await play(page, 'inclinometers', [
      { do: 'move', to: 62 },
      { do: 'hold', seconds: 3 },
      { do: 'move', to: 0 },
      { do: 'hold', seconds: 2 },
    ]);
    await expect(panel.getByText(/^Taken\. Left, trial 1: 6[123]\.\d°$/)).toBeVisible();
    await expect(panel.getByLabel('Left, trial 1')).toHaveValue(/^6[123]\.\d$/);
    // Back at rest nothing is taken.
    await expect(angle).toHaveText(/^(−?[0-2]\.\d)°$/);
    await frames(page, 120);
    await expect(panel.getByLabel('Left, trial 2')).toHaveValue('');
  });

  await test.step('off the plane: said, and not counted', async () => {
    await play(page, 'inclinometers', [
      { do: 'drift', axis: 'z', deg: 14 },
      { do: 'move', to: 60 },
      { do: 'hold', seconds: 3 },
      { do: 'drift', axis: 'z', deg: 0 },
      { do: 'move', to: 0 },
    ]);
    await expect(panel.getByRole('alert').filter({ hasText: /^limb has swung out of line 1\d°: not counted$/ })).toBeVisible();
    await expect(panel.getByRole('alert')).toHaveCount(0);
    await expect(angle).toHaveText(/^(−?[0-2]\.\d)°$/);
    await frames(page, 60);
    await expect(panel.getByLabel('Left, trial 2')).toHaveValue('');
  });

  await test.step('the line drops out: what was read and the zero stay, and it comes back by itself', async () => {
    await play(page, 'inclinometers', [
      { do: 'drop', seconds: 1.5 },
      { do: 'hold', seconds: 4 },
      { do: 'move', to: 66 },
      { do: 'hold', seconds: 3 },
      { do: 'move', to: 0 },
    ]);
    await expect(panel.getByText('Connection lost')).toBeVisible();
    await expect(panel.getByLabel('Left, trial 1')).toHaveValue(/^6[123]\.\d$/);
    await expect(panel.getByRole('status')).toHaveText('Inclinometer pair, stand-in');
    await expect(panel.getByText(/samples were missed/)).toHaveCount(0);
    await expect(panel.getByText(/^Taken\. Left, trial 2: 6[567]\.\d°$/)).toBeVisible();
  });

  await test.step('past the edge the athlete gives no more; the third trial ends the side', async () => {
    await expect(angle).toHaveText(/^(−?[0-2]\.\d)°$/);
    await play(page, 'inclinometers', [
      { do: 'edge', deg: 64 },
      { do: 'move', to: 90 },
      { do: 'hold', seconds: 4 },
      { do: 'move', to: 0 },
    ]);
    await expect(panel.getByText(/^Taken\. Left, trial 3: 6[567]\.\d°$/)).toBeVisible();
    await saved(page);
    await expect(page.getByRole('region', { name: 'Motions' }).getByRole('listitem')).toContainText(/6[3-7]\.\d/);
    await expect(
      panel.getByRole('group', { name: 'Side the sensors are on' }).getByRole('button', { name: 'Right', pressed: true }),
    ).toBeVisible();
    await page.reload();
    await expect(page.getByLabel('Left, trial 3')).toHaveValue(/^6[567]\.?\d?$/);
  });

  await test.step('the force gauge: three presses, the best of them, and effort in percent of it', async () => {
    const findings = page.getByRole('region', { name: 'Findings' });
    await findings.getByRole('button', { name: 'Force' }).click();
    await findings.getByRole('button', { name: 'Connect' }).click();
    await expect(findings.getByRole('status')).toHaveText('Force gauge, stand-in');
    await findings.getByLabel('Knee flexors, left, newtons').focus();
    await expect(findings.getByText('presses go to knee flexors, left')).toBeVisible();
    const pressed = (pct: number) =>
      [
        { do: 'press', pct, seconds: 1.6 },
        { do: 'hold', seconds: 1 },
      ] as const;
    await play(page, 'force-gauge', [...pressed(90), ...pressed(100), ...pressed(95), { do: 'press', pct: 25, seconds: 20 }]);
    await expect(findings.getByRole('row', { name: /^Knee flexors/ })).toContainText(/2[34]\d N/);
    await expect(findings.getByText(/^2\d % of 2[34]\d N$/)).toBeVisible();
    await saved(page);
    await expect(findings.getByRole('list', { name: 'What was found' })).toContainText(/Knee flexors, left 2[34]\d N, best of 3/);
  });
});
