import { defineStore } from 'pinia';
import { computed, ref, watch } from 'vue';
import { mayCall, type HttpMethod, type Me, type Welcome, type WhoIsIn } from '@pace-bend/core/access';
import { setAccountOfPage } from '../api/account.ts';
import { api, ApiProblem, onSignedOut } from '../api/api.ts';
import { forgetForGood, forgetOthers, keepAnswer, read } from '../api/kept.ts';
import { unsentDrafts } from '../api/drafts.ts';
import { useOutbox } from './outbox.ts';

/** How long leaving waits for what is on its way. */
const FLUSH_MS = 4000;

/** How long opening waits for the browser's storage; what lies there is taken up later then. */
const STORAGE_MS = 3000;

/** Who is signed in. `expired`: somebody was, and what they have on the screen is kept until they are again. */
export const useSession = defineStore('session', () => {
  const state = ref<'unknown' | 'out' | 'in' | 'expired'>('unknown');
  const me = ref<Me | null>(null);
  const welcome = ref<Welcome | null>(null);
  const problem = ref<ApiProblem | null>(null);

  onSignedOut(() => {
    if (state.value === 'in') state.value = 'expired';
  });

  /** What is not sent yet, when somebody wants to leave and something is; null otherwise. */
  const unsent = ref<readonly string[] | null>(null);
  let leavingBy: '/sign-out' | '/sign-out-everywhere' = '/sign-out';

  /** What this account typed here and never sent is taken up before anything is shown. */
  async function be(now: Me): Promise<void> {
    setAccountOfPage(now.id);
    void forgetOthers();
    await Promise.race([useOutbox().open(now.id), new Promise((resolve) => setTimeout(resolve, STORAGE_MS))]);
    me.value = now;
    state.value = 'in';
  }

  async function load(): Promise<void> {
    problem.value = null;
    try {
      const { me: now } = await read<WhoIsIn>('/me');
      if (now) await be(now);
      else await greet();
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
      problem.value = error;
    }
  }

  async function greet(): Promise<void> {
    try {
      welcome.value = await api<Welcome>('GET', '/welcome');
      state.value = 'out';
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
      problem.value = error;
    }
  }

  /** Throws ApiProblem. Somebody else than before gets a fresh start: nothing of the last one stays on the screen. */
  async function come(path: '/sign-in' | '/first-owner', body: object): Promise<void> {
    const before = me.value;
    const now = await api<Me>('POST', path, body);
    await keepAnswer('/me', { me: now } satisfies WhoIsIn);
    if (before && before.id !== now.id) return location.assign('/');
    await be(now);
  }

  /** Signs out when everything is sent. Otherwise says what is not, and leaves the choice: wait, or go and leave it here, locked to the account. */
  async function leave(path: '/sign-out' | '/sign-out-everywhere'): Promise<void> {
    leavingBy = path;
    await Promise.race([useOutbox().flush(), new Promise((resolve) => setTimeout(resolve, FLUSH_MS))]);
    const left = [...new Set([...useOutbox().words, ...unsentDrafts()])];
    unsent.value = left.length > 0 ? left : null;
    if (left.length === 0) await leaveNow();
  }

  async function leaveNow(): Promise<void> {
    unsent.value = null;
    await api('POST', leavingBy, {});
    useOutbox().close();
    await forgetForGood();
    setAccountOfPage(null);
    location.assign('/');
  }

  /** Whether somebody who is signed out at the table wants to sign in now: hands that work are not asked. */
  const wantsIn = ref(false);
  watch(state, () => {
    wantsIn.value = false;
  });

  return {
    state,
    wantsIn,
    me,
    welcome,
    problem,
    load,
    isCoach: computed(() => me.value?.role === 'coach'),
    /** Whether the one signed in may call a route of the table. */
    may: (method: HttpMethod, path: string) => me.value !== null && mayCall(me.value.role, method, path),
    signIn: (login: string, password: string) => come('/sign-in', { login, password }),
    makeOwner: (fields: { practiceName: string; name: string; login: string; password: string; timeZone: string }) =>
      come('/first-owner', fields),
    unsent,
    stay: () => {
      unsent.value = null;
    },
    leaveNow,
    leaveWhenSent: () => leave(leavingBy),
    signOut: () => leave('/sign-out'),
    signOutEverywhere: () => leave('/sign-out-everywhere'),
    greet,
  };
});
