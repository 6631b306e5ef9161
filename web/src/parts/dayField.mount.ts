import { mount } from '@vue/test-utils';
import { createPinia, setActivePinia } from 'pinia';
import DayField from './DayField.vue';
import { usePractice } from '../stores/practice.ts';

function field(props: Partial<InstanceType<typeof DayField>['$props']> = {}) {
  setActivePinia(createPinia());
  usePractice().take({ today: '2026-11-28', timeZone: 'utc' } as never);
  const mounted = mount(DayField, { props: { id: 'f', label: 'Since', value: '', ...props } });
  return {
    mounted,
    type: (text: string) => mounted.get('input').setValue(text),
    input: () => mounted.get('input').element as HTMLInputElement,
  };
}
const said = (mounted: ReturnType<typeof field>['mounted']) => mounted.get('p').text();

test('what is typed stands as it was typed, and beneath it in words; what is held is the day', async () => {
  const { mounted, type, input } = field();
  expect(mounted.get('label').text()).toBe('Since');
  expect(said(mounted)).toBe('');
  await type('14.3.2001');
  expect(input().value).toBe('14.3.2001');
  expect(said(mounted)).toBe('Wednesday 14 March 2001');
  expect(mounted.emitted('update:value')!.at(-1)).toEqual(['2001-03-14']);
  expect(mounted.emitted('day')!.at(-1)).toEqual(['2001-03-14']);
  // The form hands back what it holds: the hand’s own words stay.
  await mounted.setProps({ value: '2001-03-14' });
  expect(input().value).toBe('14.3.2001');
});

test('what is none is held as it was typed and named; nothing unsound is told as a day', async () => {
  const { mounted, type } = field();
  await type('31.4.2001');
  expect(mounted.get('[role=alert]').text()).toBe('April has 30 days.');
  expect(mounted.get('input').attributes('aria-invalid')).toBe('true');
  expect(mounted.emitted('update:value')!.at(-1)).toEqual(['31.4.2001']);
  await type('');
  expect(mounted.get('[role=alert]').text()).toMatch(/^Type a day/);
  expect(mounted.emitted('day')).toBeUndefined();
});

test('a further rule, a field that may be empty, and a form that says what is wrong by itself', async () => {
  const ruled = field({ check: (day) => (day > '2026-11-28' ? 'This day lies in the future.' : null) });
  await ruled.type('1.1.2030');
  expect(ruled.mounted.get('[role=alert]').text()).toBe('This day lies in the future.');
  expect(ruled.mounted.emitted('day')).toBeUndefined();
  const open = field({ optional: true, value: '2026-12-01' });
  await open.type('');
  expect(open.mounted.find('[role=alert]').exists()).toBe(false);
  expect(open.mounted.emitted('day')!.at(-1)).toEqual(['']);
  const formed = field({ wrong: null });
  await formed.type('soon');
  expect(formed.mounted.find('[role=alert]').exists()).toBe(false);
  await formed.mounted.setProps({ wrong: 'Choose a day.' });
  expect(formed.mounted.get('[role=alert]').text()).toBe('Choose a day.');
});

test('a day from elsewhere is shown as the place writes it; only read, there is no calendar to open', async () => {
  const { mounted, input } = field({ value: '2001-05-06', readOnly: true });
  expect(input().value).toBe('5/6/2001');
  expect(mounted.find('button').exists()).toBe(false);
  await mounted.setProps({ value: '2001-05-07' });
  expect(input().value).toBe('5/7/2001');
});
