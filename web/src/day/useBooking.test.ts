import { createPinia, setActivePinia } from 'pinia';
import { installBrowser, type Answer, type Sent } from '../testing/browser.ts';
import { useDay } from '../stores/day.ts';
import { useBooking } from './useBooking.ts';

interface Held {
  id: string;
  athleteName: string;
  startsAt: string;
  minutes: number;
  revision: number;
  cancelledAt: string | null;
}
const AT = (hour: number) => `2026-11-25T${String(hour).padStart(2, '0')}:00:00.000Z`;

/** A server that keeps one day's visits and refuses time that is taken. */
function server(visits: Held[]) {
  const respond = ({ method, path, body }: Sent): Answer => {
    if (path.endsWith('/practice')) return { status: 200, body: { name: 'P', timeZone: 'utc', today: '2026-11-25' } };
    if (method === 'GET')
      return {
        status: 200,
        body: { date: '2026-11-25', visits: visits.filter((each) => !each.cancelledAt), events: [], unfinished: [], unsigned: [] },
      };
    const [, , , id, what] = path.split('/');
    const visit = visits.find((each) => each.id === id)!;
    const sent = body as { revision: number; startsAt?: string; minutes?: number; overlap?: boolean };
    if (sent.revision !== visit.revision)
      return { status: 409, body: { type: '/problems/changed-meanwhile', title: 'Changed meanwhile', detail: 'Somewhere else.' } };
    const taken = visits.filter((each) => each !== visit && !each.cancelledAt && each.startsAt === (sent.startsAt ?? visit.startsAt));
    if (what !== 'cancel' && taken.length > 0 && !sent.overlap)
      return { status: 409, body: { type: '/problems/overlaps', title: 'Overlaps', detail: 'Taken.', overlaps: taken } };
    if (what === 'booking') Object.assign(visit, { startsAt: sent.startsAt, minutes: sent.minutes });
    else visit.cancelledAt = what === 'cancel' ? AT(1) : null;
    visit.revision += 1;
    return { status: 200, body: { ...visit } };
  };
  const browser = installBrowser(respond);
  setActivePinia(createPinia());
  return browser;
}
const ann = (): Held => ({ id: 'a', athleteName: 'Ann', startsAt: AT(9), minutes: 45, revision: 1, cancelledAt: null });
const ben = (): Held => ({ ...ann(), id: 'b', athleteName: 'Ben', startsAt: AT(10) });

async function opened(...visits: Held[]) {
  const { sent } = server(visits);
  const day = useDay();
  await day.load('2026-11-25');
  return { booking: useBooking(), sent, visits };
}

test('moved and taken back, twice over; each step on the revision that stands', async () => {
  const { booking, visits } = await opened(ann());
  await booking.place('a', { startsAt: AT(11), minutes: 45 }, 'moved');
  await booking.place('a', { startsAt: AT(11), minutes: 30 }, 'shorter');
  expect(visits[0]).toMatchObject({ startsAt: AT(11), minutes: 30, revision: 3 });
  await booking.undo();
  expect(booking.said.value).toBe('Undone: shorter');
  await booking.undo();
  expect(visits[0]).toMatchObject({ startsAt: AT(9), minutes: 45 });
  await booking.undo();
  expect(visits[0]!.revision).toBe(5);
});

test('onto somebody else only when it is said twice; leaving it changes nothing', async () => {
  const { booking, visits } = await opened(ann(), ben());
  await booking.place('a', { startsAt: AT(10), minutes: 45 }, 'moved');
  expect(booking.question.value?.words).toBe('This overlaps with Ben.');
  expect(visits[0]!.startsAt).toBe(AT(9));
  await booking.question.value!.anyway();
  expect(booking.question.value).toBeNull();
  expect(visits[0]!.startsAt).toBe(AT(10));
  await booking.undo();
  expect(visits[0]!.startsAt).toBe(AT(9));
});

test('cancelled, it leaves the list and can still be taken back', async () => {
  const { booking, visits } = await opened(ann());
  await booking.cancel('a');
  expect(useDay().page!.visits).toEqual([]);
  await booking.undo();
  expect(visits[0]!.cancelledAt).toBeNull();
});

test('a change somebody else made first is told, and nothing is remembered as done', async () => {
  const { booking, visits } = await opened(ann());
  visits[0]!.revision = 7;
  await booking.place('a', { startsAt: AT(12), minutes: 45 }, 'moved');
  expect(booking.problem.value?.title).toBe('Changed meanwhile');
  expect(booking.done.value).toEqual([]);
  // The list was read anew, so the next try is on what stands.
  await booking.place('a', { startsAt: AT(12), minutes: 45 }, 'moved');
  expect(visits[0]!.startsAt).toBe(AT(12));
});

test('to where it is already: nothing is sent', async () => {
  const { booking, sent } = await opened(ann());
  const before = sent.length;
  await booking.place('a', { startsAt: AT(9), minutes: 45 }, 'moved');
  expect(sent.length).toBe(before);
});
