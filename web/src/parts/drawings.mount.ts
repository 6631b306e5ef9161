import type { DOMWrapper } from '@vue/test-utils';
import { h } from 'vue';
import { motionOf } from '@pace-bend/core/body';
import { findEntry } from '@pace-bend/core/catalogue';
import { compile, newBlock, SLOW_BREATH } from '@pace-bend/core/method';
import { page, press, put } from '../testing/mounted.ts';
import EntryPicture from './EntryPicture.vue';
import PosedFigure from './PosedFigure.vue';
import ReadinessMark from './ReadinessMark.vue';
import SheetDialog from './SheetDialog.vue';
import StairDrawing from './StairDrawing.vue';
import VisitState from './VisitState.vue';

test('a figure says its motion, where it is seen from and its values; what is drawn grows with the size; beside words it says nothing', async () => {
  const here = await page();
  const motion = motionOf('hip-flexion');
  const figure = await put(PosedFigure, here, { motion, values: { left: 100, right: 90 }, size: 400 });
  expect(figure.attributes('aria-label')).toMatch(/^Hip flexion, .+, seen from the side: left 100°, right 90°$/);
  const tones = () => new Set(figure.findAll('path').map((each) => each.attributes('data-tone')));
  expect([...tones()]).toEqual(expect.arrayContaining(['skin', 'skin-far', 'muscle', 'hand', 'hand-hold', 'lock', 'left', 'right']));
  expect(
    figure
      .findAll('text')
      .map((each) => each.text())
      .sort(),
  ).toEqual(['L', 'R']);
  await figure.setProps({ size: 48 });
  expect([tones().has('hand'), tones().has('muscle'), figure.findAll('text').length]).toEqual([false, true, 0]);
  await figure.setProps({ decorative: true });
  expect([figure.attributes('aria-label'), figure.attributes('aria-hidden')]).toEqual([undefined, 'true']);
  await figure.setProps({ short: ['left'] });
  expect([tones().has('low'), tones().has('left'), tones().has('right')]).toEqual([true, false, true]);
});

test('an entry is painted with names of its own: two pictures on one page cut and hatch by their own shapes', async () => {
  const here = await page();
  const entry = findEntry('iliopsoas-prone')!;
  const both = await put(
    {
      setup: () => () =>
        h(
          'div',
          [1, 2].map(() => h(EntryPicture, { entry, size: 400 })),
        ),
    },
    here,
    {},
  );
  const [one, two] = both.findAll('svg.figure') as [DOMWrapper<Element>, DOMWrapper<Element>];
  expect(one.attributes('aria-label')).toMatch(/^Iliopsoas, at the end: seen from the side; iliopsoas; a forearm holds the pelvis/);
  const ids = [one, two].flatMap((each) => each.findAll('clipPath, pattern').map((found) => found.attributes('id')));
  expect(new Set(ids).size).toBe(ids.length);
  for (const each of [one, two]) {
    const own = each.findAll('clipPath, pattern').map((found) => found.attributes('id'));
    const used = each
      .findAll('path')
      .flatMap((path) => [path.attributes('clip-path'), path.attributes('fill')])
      .flatMap((value) => /url\(#(.+)\)/.exec(value ?? '')?.[1] ?? []);
    expect(used.length).toBeGreaterThan(0);
    for (const id of used) expect(own).toContain(id);
  }
  const setUp = await put(EntryPicture, here, { entry, size: 96, share: 0 });
  expect(setUp.attributes('aria-label')).toMatch(/^Iliopsoas, set-up:/);
});

test('the stair has a column for every cue, a pattern where the phase has one, and the prediction on top', async () => {
  const { cues } = compile([newBlock('one', 'rectus-femoris-prone', 'cr-breath', ['left'])], { breath: SLOW_BREATH, edgeOf: () => 110 });
  const stair = await put(StairDrawing, await page(), { cues, better: 'higher', unit: 'deg', label: 'The line', height: 240 });
  expect(stair.get('svg').attributes('aria-label')).toBe('The line');
  const columns = stair
    .findAll('path')
    .filter((each) => each.element.parentElement!.tagName === 'svg' && (each.attributes('fill') ?? '').startsWith('var(--phase-'));
  expect(columns.length).toBe(cues.length);
  expect(stair.findAll('path').some((each) => (each.attributes('fill') ?? '').startsWith('url(#'))).toBe(true);
  expect(stair.findAll('.forecast')).toEqual([]);
  await stair.setProps({ predicted: [{ round: 1, expected: 6, reading: { low: 3, high: 9 }, gain: { low: 1, high: 4 } }] });
  expect(stair.findAll('.forecast, .forecast-band')).toHaveLength(2);
});

test('a dialog: the focus goes in, Tab stays in, Escape closes, and the focus comes back', async () => {
  // Nothing has a place here: whatever is drawn counts as seen.
  HTMLElement.prototype.getClientRects = () => [{}] as never;
  const opener = document.body.appendChild(document.createElement('button'));
  opener.focus();
  const dialog = await put(
    SheetDialog,
    await page(),
    { title: 'A question', open: true, 'onUpdate:open': (open: boolean) => void dialog.setProps({ open }) },
    { default: '<input id="first"><button id="last">Keep</button>' },
  );
  await new Promise((resolve) => {
    requestAnimationFrame(resolve);
  });
  expect(document.activeElement?.id).toBe('first');
  document.getElementById('last')!.focus();
  await press(document.getElementById('last')!, 'Tab');
  expect(document.activeElement!.closest('.ant-modal')).not.toBeNull();
  expect(document.activeElement!.id).not.toBe('last');
  await press(document.activeElement as HTMLElement, 'Escape');
  expect((dialog.props() as { open: boolean }).open).toBe(false);
  await new Promise((resolve) => {
    setTimeout(resolve);
  });
  expect(document.activeElement).toBe(opener);
  opener.remove();
});

test('a dialog that needs an answer is not left with Escape', async () => {
  const dialog = await put(SheetDialog, await page(), { title: 'Sign in again', open: true, closable: false }, { default: '<input>' });
  await press(document.body, 'Escape');
  expect(dialog.emitted('update:open')).toBeUndefined();
});

test('a sign means one thing: how somebody is and how far a visit is stand beside each other and share no shape', async () => {
  const here = await page();
  const signs = new Map<string, string>();
  const keep = async (component: Parameters<typeof put>[0], props: Record<string, unknown>) => {
    const drawn = await put(component, here, props);
    // Only what is drawn: colours, which classes give, repeat it.
    const shape = drawn
      .findAll('circle, path, rect')
      .map((each) => ['cx', 'cy', 'r', 'd', 'x', 'y', 'width', 'height'].map((name) => each.attributes(name) ?? '').join(' '))
      .join('|');
    signs.set(drawn.attributes('aria-label')!, shape);
  };
  for (const shape of ['ready', 'ease', 'hold', 'not known']) await keep(ReadinessMark, { shape });
  for (const visit of [
    { cancelledAt: null, finishedAt: null, step: 'arrive' },
    { cancelledAt: null, finishedAt: null, step: 'table' },
    { cancelledAt: null, finishedAt: '2026-03-01T09:00:00.000Z', step: 'close' },
    { cancelledAt: '2026-03-01T09:00:00.000Z', finishedAt: null, step: 'arrive' },
  ])
    await keep(VisitState, { visit });
  expect([...signs.keys()]).toEqual(['ready', 'ease', 'hold', 'not known', 'to come', 'under way', 'finished', 'cancelled']);
  // A dashed ring and a whole one are told apart by their line, which a class gives.
  expect(new Set([...signs].filter(([word]) => word !== 'not known').map(([, shape]) => shape)).size).toBe(7);
});
