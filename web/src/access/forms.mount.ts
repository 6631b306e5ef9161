import { flushPromises } from '@vue/test-utils';
import { page, press, put, type } from '../testing/mounted.ts';
import { until } from '../testing/browser.ts';
import { useSession } from '../stores/session.ts';
import FirstOwnerForm from './FirstOwnerForm.vue';
import SignInForm from './SignInForm.vue';

/** A page on which nobody is signed in yet. */
async function pageOfNobody() {
  const here = await page();
  useSession().$patch({ state: 'out', me: null });
  return here;
}
/** What was asked for goes through to its end: a test that leaves earlier leaves work behind. */
const signedIn = () => until(() => useSession().state === 'in');

const field = (id: string) => document.getElementById(id)!;

test('signing in: what is missing is said one at a time and nothing is sent; a wrong password is emptied, the name stays', async () => {
  const here = await page({
    respond: ({ path }) =>
      path === '/api/sign-in'
        ? {
            status: 401,
            body: {
              type: '/problems/wrong-password',
              title: 'Not signed in',
              detail: 'This name and this password do not belong together.',
            },
          }
        : null,
  });
  const form = await put(SignInForm, here);
  expect(document.activeElement).toBe(field('sign-in-name'));
  await form.get('form').trigger('submit');
  expect(form.get('[role=alert]').text()).toBe('Type your sign-in name.');
  await type(field('sign-in-name'), 'ann');
  await form.get('form').trigger('submit');
  expect(form.get('[role=alert]').text()).toBe('Type your password.');
  expect(here.writes()).toEqual([]);
  await type(field('sign-in-password'), 'wrong');
  await form.get('form').trigger('submit');
  await flushPromises();
  expect(here.writes().map(({ body }) => body)).toEqual([{ login: 'ann', password: 'wrong' }]);
  expect(form.get('[role=alert]').text()).toContain('do not belong together');
  expect([(field('sign-in-name') as HTMLInputElement).value, (field('sign-in-password') as HTMLInputElement).value]).toEqual(['ann', '']);
});

test('an account of the demo fills itself in and goes', async () => {
  const here = await pageOfNobody();
  useSession().welcome = {
    firstStart: false,
    practiceName: 'River room',
    demoAccounts: [{ login: 'marit', password: 'quiet', name: 'Marit Example', role: 'owner' }],
  } as never;
  await put(SignInForm, here);
  await press([...document.querySelectorAll('button')].find((each) => each.textContent.includes('Marit Example'))!);
  expect(here.writes()[0]!.body).toEqual({ login: 'marit', password: 'quiet' });
  await signedIn();
});

test('the first account: every field says what is wrong with it, only once it was tried; a password may not hold the name', async () => {
  const here = await pageOfNobody();
  const form = await put(FirstOwnerForm, here);
  expect(form.findAll('[role=alert]')).toEqual([]);
  await form.get('form').trigger('submit');
  expect(form.findAll('[role=alert]')).toHaveLength(4);
  expect(here.writes()).toEqual([]);
  const inputs = form.findAll('input').map((each) => each.element as HTMLInputElement);
  for (const [i, text] of ['River room', 'Ann Owner', 'ann', 'a river in the rain'].entries()) await type(inputs[i]!, text);
  expect(form.findAll('[role=alert]').map((each) => each.text())).toEqual([]);
  await form.get('form').trigger('submit');
  await flushPromises();
  expect(here.writes()[0]).toMatchObject({
    path: '/api/first-owner',
    body: { practiceName: 'River room', name: 'Ann Owner', login: 'ann' },
  });
  await signedIn();
});
