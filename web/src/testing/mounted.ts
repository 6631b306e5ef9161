import { enableAutoUnmount, flushPromises, mount, type VueWrapper } from '@vue/test-utils';
import { IDBFactory } from 'fake-indexeddb';
import { createPinia, setActivePinia } from 'pinia';
import type { Component } from 'vue';
import { createMemoryHistory, createRouter, type Router } from 'vue-router';
import type { Me } from '@pace-bend/core/access';
import type { Practice, VisitFile } from '@pace-bend/core/record';
import { usePractice } from '../stores/practice.ts';
import { useSession } from '../stores/session.ts';
import { useVisit } from '../stores/visit.ts';
import { installBrowser, type Answer, type Sent } from './browser.ts';

enableAutoUnmount(afterEach);

/** The practice as the server sends it, on an invented day. */
const PRACTICE: Practice = {
  name: 'River room',
  timeZone: 'Europe/Berlin',
  today: '2026-11-25',
  revision: 1,
  devices: null,
  sportsServed: [],
  ownSports: [],
  checkInScale: 'four-items',
  phases: [],
  noteLayout: null,
  scope: { mobilizationGrade: 4, byRegion: {}, frontOfNeck: true, ruleText: '', ruleLink: '' },
};
const ME: Me = { id: 'ann', name: 'Ann Owner', role: 'owner' };

export interface Page {
  readonly router: Router;
  /** Everything that was sent to the server, in order. */
  readonly sent: Sent[];
  readonly writes: () => Sent[];
}

/**
 * A page to mount components on: stores of its own, a router that knows every path, and a server that answers what `respond` says.
 * What it says nothing of is answered with the practice, the one signed in, an empty list, or what was sent.
 */
export async function page({
  respond = () => null,
  file,
  path = '/',
}: { respond?: (sent: Sent) => Answer | null; file?: VisitFile; path?: string } = {}): Promise<Page> {
  // What an earlier page left unsent on the device is not this one's.
  Object.assign(globalThis, { indexedDB: new IDBFactory() });
  const { sent } = installBrowser((each) => respond(each) ?? usual(each, file));
  setActivePinia(createPinia());
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [{ path: '/:rest(.*)*', component: { template: '<i />', render: () => null } }],
  });
  await router.push(path);
  await useSession().load();
  await usePractice().load();
  if (file) await useVisit().load(file.visit.id);
  sent.length = 0;
  return { router, sent, writes: () => sent.filter(({ method }) => method !== 'GET') };
}

function usual({ method, path, body }: Sent, file: VisitFile | undefined): Answer {
  if (method !== 'GET') return { status: 200, body: { revision: 2, ...(body as object) } };
  const at = path.replace('/api', '');
  if (at === '/practice') return { status: 200, body: PRACTICE };
  if (at === '/me') return { status: 200, body: { me: ME } };
  if (file && at === `/visits/${file.visit.id}`) return { status: 200, body: file };
  if (at.startsWith('/athletes')) return { status: 200, body: { athletes: [], total: 0, offset: 0 } };
  return { status: 200, body: { items: [], squads: [], examiners: [] } };
}

/** Mounts a component on the page, in the document, so that the focus is real. */
export async function put<C extends Component>(
  component: C,
  { router }: Page,
  props: Record<string, unknown> = {},
  slots: Record<string, string> = {},
): Promise<VueWrapper> {
  const wrapper = mount(component as never, {
    props: props as never,
    slots,
    attachTo: document.body,
    global: { plugins: [router], stubs: { RouterView: true } },
  }) as unknown as VueWrapper;
  await flushPromises();
  return wrapper;
}

/** A control by what it is called: its label, its words, or the label it carries itself. */
export function named(wrapper: { element: Element }, role: 'button' | 'input', name: string): HTMLElement {
  const found = [...(wrapper.element.parentElement ?? document.body).querySelectorAll<HTMLElement>(role)].filter((each) => {
    const label =
      each.getAttribute('aria-label') ??
      (each.id ? document.querySelector(`label[for="${each.id}"]`)?.textContent : null) ??
      each.textContent;
    return label?.trim().replace(/\s+/g, ' ') === name;
  });
  if (found.length !== 1) throw new Error(`${found.length} ${role}s are called “${name}”.`);
  return found[0]!;
}

export const press = async (element: HTMLElement, key?: string, more: KeyboardEventInit = {}): Promise<void> => {
  if (key === undefined) element.click();
  else element.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...more }));
  await flushPromises();
};
export const type = async (element: HTMLElement, text: string): Promise<void> => {
  (element as HTMLInputElement).value = text;
  element.dispatchEvent(new Event('input', { bubbles: true }));
  element.dispatchEvent(new Event('change', { bubbles: true }));
  await flushPromises();
};
