import { mount } from '@vue/test-utils';
import { createPinia, setActivePinia } from 'pinia';
import { nextTick } from 'vue';
import { usePractice } from '../stores/practice.ts';
import TimeField from './TimeField.vue';

function field(value: string) {
  setActivePinia(createPinia());
  const mounted = mount(TimeField, { props: { id: 't', value } });
  return { mounted, type: (text: string) => mounted.get('input').setValue(text), said: () => mounted.get('p').text() };
}

test('typed in either habit it holds one time; read otherwise than typed, that stands beneath', async () => {
  const { mounted, type, said } = field('09:30');
  expect(mounted.get('input').element.value).toBe('09:30');
  await type('2.30 pm');
  expect(mounted.emitted('update:value')!.at(-1)).toEqual(['14:30']);
  expect(said()).toBe('14:30');
  await type('14:30');
  expect(said()).toBe('');
});

test('with twice twelve hours it is shown so, and holds the same', async () => {
  const { mounted, type } = field('');
  usePractice().setClockHabit('12');
  await mounted.setProps({ value: '14:05' });
  expect(mounted.get('input').element.value).toBe('2:05 pm');
  await type('15:00');
  expect(mounted.emitted('update:value')!.at(-1)).toEqual(['15:00']);
  usePractice().setClockHabit('24');
});

test('what is none is held as typed, and named once the field is left', async () => {
  const { mounted, type } = field('09:30');
  await type('25:00');
  expect(mounted.find('[role=alert]').exists()).toBe(false);
  await mounted.get('input').trigger('blur');
  await nextTick();
  expect(mounted.get('[role=alert]').text()).toBe('A day has hours 0 to 23.');
  expect(mounted.emitted('update:value')!.at(-1)).toEqual(['25:00']);
});
