import { createPinia, setActivePinia } from 'pinia';
import { api, ApiProblem } from '../api/api.ts';
import { installBrowser, type Answer, type Sent } from '../testing/browser.ts';
import { useSession } from './session.ts';

const ME = { id: 'a', name: 'Ann', role: 'assistant' };
const OUT: Answer = { status: 401, body: { type: '/problems/not-signed-in', title: 'Not signed in', detail: 'Sign in first.' } };

function open(answer: (sent: Sent) => Answer | null) {
  // Who is in is asked with an answer for nobody; the tests name the person, or the refusal of everything else.
  const browser = installBrowser((sent) => {
    const given = answer(sent);
    if (!given || sent.method !== 'GET' || !sent.path.endsWith('/me') || ![200, 401].includes(given.status)) return given;
    return { status: 200, body: { me: given.status === 200 ? given.body : null } };
  });
  setActivePinia(createPinia());
  return { session: useSession(), ...browser };
}

test('nobody signed in: the welcome is fetched; signing in opens the door, and the role says what is shown', async () => {
  let inside = false;
  const { session } = open(({ path }) => {
    if (path.endsWith('/welcome')) return { status: 200, body: { practiceName: 'River room', firstStart: false, demoAccounts: [] } };
    if (path.endsWith('/sign-in')) {
      inside = true;
      return { status: 200, body: ME };
    }
    return inside ? { status: 200, body: ME } : OUT;
  });
  await session.load();
  expect(session.state).toBe('out');
  expect(session.welcome?.practiceName).toBe('River room');
  await session.signIn('ann', 'a river in the rain');
  expect(session.state).toBe('in');
  expect(session.may('PUT', '/visits/:id/readings/:readingId')).toBe(true);
  expect(session.may('PUT', '/visits/:id/note')).toBe(false);
  expect(session.may('GET', '/audit')).toBe(false);
});

test('signed out by the server while working: expired, not out, so that nothing leaves the screen', async () => {
  let inside = true;
  const { session } = open(({ path }) =>
    path.endsWith('/sign-in') ? { status: 200, body: ME } : inside ? { status: 200, body: ME } : OUT,
  );
  await session.load();
  inside = false;
  const refused = (await api('GET', '/days/2026-11-25').catch((error: unknown) => error)) as ApiProblem;
  expect(refused.mayPass).toBe(true);
  expect(session.state).toBe('expired');
  await session.signIn('ann', 'a river in the rain');
  expect(session.state).toBe('in');
});

test('a wrong password is told and changes nothing', async () => {
  const { session } = open(({ path }) =>
    path.endsWith('/welcome')
      ? { status: 200, body: { practiceName: '', firstStart: false, demoAccounts: [] } }
      : path.endsWith('/sign-in')
        ? { status: 401, body: { type: '/problems/not-signed-in', title: 'Not signed in', detail: 'They do not belong together.' } }
        : OUT,
  );
  await session.load();
  await expect(session.signIn('ann', 'x')).rejects.toThrow('They do not belong together.');
  expect(session.state).toBe('out');
});

test('no answer at all: said, and asked again', async () => {
  let up = false;
  const { session } = open(() => (up ? { status: 200, body: ME } : null));
  await session.load();
  expect(session.state).toBe('unknown');
  expect(session.problem?.isOffline).toBe(true);
  up = true;
  await session.load();
  expect(session.state).toBe('in');
});

test('somebody else than before gets a fresh start; the same person goes on where the screen is', async () => {
  const went: string[] = [];
  Object.defineProperty(globalThis, 'location', {
    value: {
      assign: (path: string) => {
        went.push(path);
      },
    },
    configurable: true,
  });
  let who = ME;
  const { session } = open(() => ({ status: 200, body: who }));
  await session.load();
  await session.signIn('ann', 'a river in the rain');
  expect(went).toEqual([]);
  who = { ...ME, id: 'b', name: 'Bea' };
  await session.signIn('bea', 'another river');
  expect(went).toEqual(['/']);
  expect(session.me?.id).toBe('a');
});

test('leaving asks the server first: without an answer nobody is sent away', async () => {
  const went: string[] = [];
  Object.defineProperty(globalThis, 'location', {
    value: {
      assign: (path: string) => {
        went.push(path);
      },
    },
    configurable: true,
  });
  let up = true;
  const { session, sent } = open(({ path }) => (up ? { status: 200, body: path.endsWith('/me') ? ME : {} } : null));
  await session.load();
  up = false;
  await expect(session.signOut()).rejects.toThrow();
  expect(went).toEqual([]);
  up = true;
  await session.signOut();
  await session.signOutEverywhere();
  expect(sent.filter((each) => each.method === 'POST').map((each) => each.path.split('/').at(-1))).toEqual([
    'sign-out',
    'sign-out',
    'sign-out-everywhere',
  ]);
  expect(went).toEqual(['/', '/']);
});

test('the first owner of an empty practice is in at once; a refusal of the welcome is said', async () => {
  let answers: Answer = { status: 500, body: { type: '/problems/error', title: 'Out of order', detail: 'Later.' } };
  const { session } = open(({ path }) =>
    path.endsWith('/first-owner') ? { status: 200, body: { ...ME, role: 'owner' } } : path.endsWith('/me') ? OUT : answers,
  );
  await session.load();
  expect([session.state, session.problem?.status]).toEqual(['unknown', 500]);
  answers = { status: 200, body: { practiceName: '', firstStart: true, demoAccounts: [] } };
  await session.load();
  expect([session.state, session.problem, session.welcome?.firstStart]).toEqual(['out', null, true]);
  await session.makeOwner({
    practiceName: 'River room',
    name: 'Ann',
    login: 'ann',
    password: 'a river in the rain',
    timeZone: 'Europe/Berlin',
  });
  expect([session.state, session.me?.role, session.isCoach]).toEqual(['in', 'owner', false]);
});
