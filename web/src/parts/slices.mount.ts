import { mount } from '@vue/test-utils';
import { h, nextTick, ref } from 'vue';
import { useSeen } from './useSeen.ts';
import { useSlices } from './useSlices.ts';

/** One task of the browser, and what it draws. */
async function task(): Promise<void> {
  jest.runOnlyPendingTimers();
  await nextTick();
}
beforeEach(() => {
  jest.useFakeTimers();
});
afterEach(() => {
  jest.useRealTimers();
});

describe('a page in slices', () => {
  const shown = (all: () => number, ...sizes: number[]) => {
    const slices = { current: null as ReturnType<typeof useSlices> | null };
    const page = mount({
      setup() {
        slices.current = useSlices(all, ...sizes);
        return () => h('p', slices.current!.drawn.value);
      },
    });
    return { page, again: () => slices.current!.again() };
  };

  test('one after every task, until all are there', async () => {
    const { page } = shown(() => 3);
    const seen = [page.text()];
    for (let i = 0; i < 3; i++) {
      await task();
      seen.push(page.text());
    }
    expect(seen).toEqual(['1', '2', '3', '3']);
    expect(jest.getTimerCount()).toBe(0);
  });

  test('begun anew for another list; what goes before is of the old one', async () => {
    const all = ref(100);
    const { page, again } = shown(() => all.value, 36, 0);
    expect(page.text()).toBe('0');
    await task();
    all.value = 40;
    again();
    await nextTick();
    // Never an empty screen in between.
    expect(page.text()).toBe('36');
    await task();
    expect([page.text(), jest.getTimerCount()]).toEqual(['72', 0]);
  });

  test('on paper everything is there; who has left draws nothing more', async () => {
    const { page } = shown(() => 9);
    window.dispatchEvent(new Event('beforeprint'));
    await nextTick();
    expect([page.text(), jest.getTimerCount()]).toEqual(['9', 0]);
    const left = shown(() => 9);
    left.page.unmount();
    expect(jest.getTimerCount()).toBe(0);
  });
});

test('of many pictures in view a few are drawn at a time, and none that was scrolled past meanwhile', async () => {
  let report: (entries: { isIntersecting: boolean; target: Element }[]) => void = () => undefined;
  Object.assign(globalThis, {
    IntersectionObserver: class {
      constructor(heard: typeof report) {
        report = heard;
      }
      observe() {}
      unobserve() {}
    },
  });
  const Picture = {
    setup() {
      const place = ref<HTMLElement | null>(null);
      const seen = useSeen(place);
      return () => h('i', { ref: place }, seen.value ? 'drawn' : '');
    },
  };
  const page = mount({
    setup: () => () =>
      h(
        'div',
        Array.from({ length: 10 }, () => h(Picture)),
      ),
  });
  const places = page.findAll('i');
  const drawn = () => places.map((each) => (each.text() === 'drawn' ? '#' : '.')).join('');
  report(places.slice(0, 8).map(({ element }) => ({ isIntersecting: true, target: element })));
  expect(drawn()).toBe('..........');
  await task();
  expect(drawn()).toBe('###.......');
  report(places.slice(3, 5).map(({ element }) => ({ isIntersecting: false, target: element })));
  await task();
  expect(drawn()).toBe('###..###..');
  await task();
  expect([drawn(), jest.getTimerCount()]).toEqual(['###..###..', 0]);
  page.unmount();
});
