import { flushPromises } from '@vue/test-utils';
import type { DayVisit } from '@pace-bend/core/record';
import { named, page, press, put, type } from '../testing/mounted.ts';
import { visitFile } from '../testing/visitFile.ts';
import BoardVisit from './BoardVisit.vue';
import BookVisit from './BookVisit.vue';
import EventDialog from '../events/EventDialog.vue';
import SquadView from '../squad/SquadView.vue';

const dayVisit = (over: Partial<DayVisit> = {}): DayVisit => ({
  ...visitFile().visit,
  step: 'arrive',
  athleteName: 'Ann Example',
  sports: [{ sportId: 'rowing', discipline: 'sweep', role: 'stroke-side', leading: null, words: '' }],
  readiness: { word: 'not known', reason: '' },
  about: 'bow pair',
  birthDate: '2002-02-21',
  referenceSex: 'male',
  lastReadings: [],
  ...over,
});

describe('a visit on the day’s board', () => {
  async function show(visit = dayVisit(), projected: object | null = null) {
    const here = await page();
    const placed: [string, object, string][] = [];
    const cancelled: string[] = [];
    const booking = {
      place: async (id: string, to: object, words: string) => void placed.push([id, to, words]),
      cancel: async (id: string) => void cancelled.push(id),
    };
    const board = await put(BoardVisit, here, {
      placed: { visit, from: 620, column: 0, columns: 1 },
      scale: 2,
      top: 0,
      booking,
      projected,
    });
    return { here, board, placed, cancelled, link: board.get('a.open').element as HTMLElement };
  }

  test('Alt and arrows move it by five minutes and change its length, with Shift by fifteen; without Alt nothing happens', async () => {
    const { link, placed, cancelled } = await show();
    await press(link, 'ArrowDown');
    await press(link, 'ArrowDown', { altKey: true });
    await press(link, 'ArrowUp', { altKey: true, shiftKey: true });
    await press(link, 'ArrowRight', { altKey: true });
    await press(link, 'Delete');
    expect(placed).toEqual([
      ['v', { startsAt: '2026-11-25T09:25:00.000Z', minutes: 40 }, 'Ann Example moved to 10:25'],
      ['v', { startsAt: '2026-11-25T09:05:00.000Z', minutes: 40 }, 'Ann Example moved to 10:05'],
      ['v', { startsAt: '2026-11-25T09:20:00.000Z', minutes: 45 }, 'Ann Example has 45 minutes'],
    ]);
    expect(cancelled).toEqual(['v']);
  });

  test('it stays on its day', async () => {
    const { link, placed } = await show(dayVisit({ startsAt: '2026-11-25T22:58:00.000Z' }));
    await press(link, 'ArrowDown', { altKey: true });
    expect(placed).toEqual([]);
  });

  test('one that is finished is opened and no more', async () => {
    const { here, link, board, placed, cancelled } = await show(dayVisit({ finishedAt: '2026-11-25T10:00:00.000Z' }));
    await press(link, 'ArrowDown', { altKey: true });
    await press(link, 'Delete');
    expect([placed, cancelled, board.findAll('.grip, .tool, .handle')]).toEqual([[], [], []]);
    await press(link);
    expect(here.router.currentRoute.value.path).toBe('/visit/v');
  });

  test('late and over are said in minutes', async () => {
    const { board } = await show(dayVisit(), { id: 'v', startsAtMs: Date.parse('2026-11-25T09:40:00.000Z'), lateMin: 20, overMin: 0 });
    expect(board.get('.late').text()).toBe('late: about 10:40');
    await board.setProps({ projected: { id: 'v', startsAtMs: 0, lateMin: 0, overMin: 7 } });
    expect(board.get('.late').text()).toBe('7 min over');
    await board.setProps({ projected: { id: 'v', startsAtMs: 0, lateMin: 3, overMin: 0 } });
    expect(board.findAll('.late')).toEqual([]);
  });
});

describe('booking', () => {
  const form = () => document.querySelector('form.fields')!;
  const submit = async () => {
    form().dispatchEvent(new Event('submit', { bubbles: true, cancelable: true }));
    await flushPromises();
  };
  const errors = () => [...document.querySelectorAll('form [role=alert]')].map((each) => each.textContent.trim());
  const field = (id: string) => document.getElementById(id)!;

  test('with nobody in the practice it can only be somebody new; each field says what is wrong; pressed twice it is one athlete and one visit', async () => {
    let refuse = true;
    const here = await page({
      respond: ({ method, path }) =>
        refuse && method === 'PUT' && path.includes('/visits/')
          ? { status: 503, body: { type: '/problems/busy', title: 'Busy', detail: 'Later.' } }
          : null,
    });
    await put(BookVisit, here, { when: 'now', day: '2026-11-25', open: true });
    await submit();
    expect(errors()).toHaveLength(2);
    expect(here.writes()).toEqual([]);
    await type(field('book-name'), 'New Person');
    await type(field('book-birth'), '2030-01-01');
    expect(errors()).toHaveLength(1);
    await type(field('book-birth'), '2001-05-06');
    expect(errors()).toEqual([]);
    await submit();
    expect(errors().join()).toContain('Later.');
    refuse = false;
    await submit();
    const ids = here.writes().map(({ path }) => path);
    expect(ids.slice(0, 2)).toEqual(ids.slice(2, 4));
    expect(here.writes()[0]!.body).toMatchObject({ name: 'New Person', birthDate: '2001-05-06' });
    expect(here.router.currentRoute.value.path).toMatch(/^\/visit\//);
  });

  test('for later a day and a time are asked for and read in the practice’s zone', async () => {
    const here = await page({
      respond: ({ path }) =>
        path.startsWith('/api/athletes?')
          ? { status: 200, body: { athletes: [{ id: 'a', name: 'Ann Example' }], total: 1, offset: 0 } }
          : null,
    });
    await put(BookVisit, here, { when: 'later', day: '2026-11-26', open: true });
    await submit();
    expect(errors()).toEqual(expect.arrayContaining(['Choose who it is.', 'Type a time, as 14:30 or 2:30 pm.']));
    await press(named({ element: form().firstElementChild! }, 'button', 'Somebody new'));
    await type(field('book-name'), 'New Person');
    await type(field('book-birth'), '2001-05-06');
    await type(field('book-time'), '09:30');
    await submit();
    expect(here.writes().at(-1)!.body).toMatchObject({ startsAt: '2026-11-26T08:30:00.000Z', minutes: 45, overlap: false });
  });
});

describe('an event', () => {
  const submit = async () => {
    document.querySelector('form')!.dispatchEvent(new Event('submit', { bubbles: true, cancelable: true }));
    await flushPromises();
  };

  test('a name is needed; it is added under one id, for everybody, however often it is tried', async () => {
    let refuse = true;
    const here = await page({
      respond: ({ method }) =>
        refuse && method === 'PUT' ? { status: 503, body: { type: '/problems/busy', title: 'Busy', detail: 'Later.' } } : null,
    });
    const dialog = await put(EventDialog, here, { event: null, day: '2026-12-05', open: true });
    await submit();
    expect(here.writes()).toEqual([]);
    await type(document.getElementById('event-name')!, '  Autumn head ');
    await submit();
    expect(document.querySelector('form [role=alert]')!.textContent).toBe('Later.');
    refuse = false;
    await submit();
    expect(new Set(here.writes().map(({ path }) => path)).size).toBe(1);
    expect(here.writes()[0]!.body).toEqual({
      revision: 0,
      name: 'Autumn head',
      onDate: '2026-12-05',
      importance: 2,
      squadId: null,
      athleteId: null,
    });
    expect(dialog.emitted('saved')).toHaveLength(1);
  });

  test('one that somebody else has taken off already is off', async () => {
    const here = await page({
      respond: ({ method }) =>
        method === 'DELETE' ? { status: 404, body: { type: '/problems/not-found', title: 'Not found', detail: 'Gone.' } } : null,
    });
    const dialog = await put(EventDialog, here, {
      event: { id: 'e', name: 'Head', onDate: '2026-12-05', importance: 1, squadId: null, revision: 3 },
      day: '2026-12-05',
      open: true,
    });
    await press(named({ element: document.querySelector('form')! }, 'button', 'Take it off'));
    expect(dialog.emitted('saved')).toHaveLength(1);
  });
});

test('the squad is looked for while typing; arrows choose, Enter opens what was looked for last', async () => {
  const people = ['Ann Example', 'Ben Example', 'Cam Other'].map((name, i) => ({
    id: String(i),
    name,
    birthDate: '2001-01-01',
    referenceSex: 'none',
    sports: [],
    about: '',
    availability: 'full',
    availableUntil: null,
    lastVisitAt: null,
    visits: 0,
    open: i,
  }));
  const here = await page({
    respond: ({ path }) => {
      if (!path.startsWith('/api/athletes?')) return null;
      const athletes = people.filter(({ name }) =>
        name.toLowerCase().includes(new URLSearchParams(path.split('?')[1]).get('q')!.toLowerCase()),
      );
      return { status: 200, body: { athletes, total: athletes.length, offset: 0 } };
    },
  });
  const squad = await put(SquadView, here);
  expect(squad.findAll('.row .name').map((each) => each.text())).toEqual(['Ann Example', 'Ben Example', 'Cam Other']);
  const input = squad.get('input[type=search]').element as HTMLElement;
  await type(input, 'example');
  await press(input, 'Enter');
  expect(here.router.currentRoute.value.path).toBe('/athlete/0');
  await press(input, 'ArrowDown');
  await press(input, 'ArrowDown');
  expect(squad.findAll('.row.chosen .name').map((each) => each.text())).toEqual(['Ben Example']);
  await type(input, 'nobody here');
  await new Promise((resolve) => {
    setTimeout(resolve, 160);
  });
  await flushPromises();
  expect(squad.get('.empty').text()).toBe('Nobody fits “nobody here”.');
});
