import { flushPromises } from '@vue/test-utils';
import { FORCES } from '@pace-bend/core/finding';
import { named, page, press, put, type } from '../testing/mounted.ts';
import { visitFile } from '../testing/visitFile.ts';
import { useForceGauge } from '../devices/useForceGauge.ts';
import { usePractice } from '../stores/practice.ts';
import ForceTests from './ForceTests.vue';

test('presses are typed with spaces, the best is shown, and what is no force is named and not kept', async () => {
  const here = await page({ file: visitFile() });
  const written: { data: unknown }[] = [];
  const kept = new Map<string, { trialsN: number[] }>();
  const findings = {
    read: ({ subject, side }: { subject: string; side: string }) => kept.get(`${subject}/${side}`) ?? null,
    write: (content: { subject: string; side: string; data: { trialsN: number[] } | null }) => {
      written.push(content);
      if (content.data) kept.set(`${content.subject}/${content.side}`, content.data);
    },
  };
  const forces = await put(ForceTests, here, { findings, disabled: false });
  const input = named(forces, 'input', `${FORCES[0]!.name}, left, newtons`) as HTMLInputElement;
  await type(input, '210 225,5 900000');
  await press(input, 'Enter');
  expect(forces.get('[role=alert]').text()).toContain('N, with a space between.');
  expect([input.getAttribute('aria-invalid'), written]).toEqual(['true', []]);
  await type(input, '210 225,5; 218');
  await press(input, 'Enter');
  expect(written.at(-1)).toMatchObject({ kind: 'force', subject: FORCES[0]!.id, side: 'left', data: { trialsN: [210, 225.5, 218] } });
  expect(forces.findAll('[role=alert]')).toEqual([]);
  await type(input, '');
  await press(input, 'Enter');
  expect(written.at(-1)!.data).toBeNull();
});

test('a sample of the gauge draws its number and nothing else: fifty a second leave the page to the hands', async () => {
  const here = await page({ file: visitFile() });
  const practice = usePractice();
  practice.practice = { ...practice.practice!, devices: 'ws://127.0.0.1:1' };
  const gauge = useForceGauge();
  const findings = { read: () => null, write: () => undefined };
  const forces = await put(ForceTests, here, { findings, disabled: false });
  gauge.state = 'on';
  await flushPromises();
  const drawn = () => forces.vm.$.subTree;
  const before = drawn();
  for (const n of [48, 131]) {
    gauge.now = n;
    await flushPromises();
    expect(forces.get('[data-testid=live-force]').text()).toBe(`${n} N`);
    expect(drawn()).toBe(before);
  }
});
