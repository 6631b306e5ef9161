import { watch } from 'vue';
import { createRouter, createWebHistory } from 'vue-router';
import { whoMay, type HttpMethod, type Role } from '@pace-bend/core/access';
import { STEPS } from '@pace-bend/core/record';

const steps = STEPS.join('|');
/** A page is for whoever may call what it is for: there is no other list of roles. */
const forWhoMay = (method: HttpMethod, path: string): { readonly roles: readonly Role[] } => ({ roles: whoMay(method, path) });
const day = forWhoMay('GET', '/days/:date');
const athletes = forWhoMay('GET', '/athletes');
const visit = forWhoMay('GET', '/visits/:id');
const shelf = forWhoMay('GET', '/shelf');
const eventDay = forWhoMay('GET', '/event-days/:id');
const ownShelf = forWhoMay('PUT', '/shelf/:id');

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'today', component: () => import('../day/DayView.vue'), meta: day },
    { path: '/day/:date', name: 'day', component: () => import('../day/DayView.vue'), meta: day },
    { path: '/squad', name: 'squad', component: () => import('../squad/SquadView.vue'), meta: athletes },
    { path: '/squad/range', name: 'squad-range', component: () => import('../squad/strip/StripView.vue'), meta: athletes },
    {
      path: '/squad/read-in',
      name: 'read-in',
      component: () => import('../squad/reading/ReadInView.vue'),
      meta: forWhoMay('POST', '/import/athletes'),
    },
    { path: '/morning', name: 'morning', component: () => import('../morning/MorningView.vue'), meta: forWhoMay('GET', '/morning') },
    { path: '/week', name: 'week', component: () => import('../week/WeekView.vue'), meta: forWhoMay('GET', '/week/:date') },
    { path: '/season', name: 'season', component: () => import('../season/SeasonView.vue'), meta: forWhoMay('GET', '/season') },
    {
      path: '/event-days',
      name: 'event-days',
      component: () => import('../eventDay/EventDaysView.vue'),
      meta: forWhoMay('GET', '/event-days'),
    },
    {
      path: '/event-day/:id',
      name: 'event-day',
      component: () => import('../eventDay/BoardView.vue'),
      meta: { ...eventDay, fullScreen: true },
    },
    {
      path: '/event-day/:id/entrance',
      name: 'event-day-entrance',
      component: () => import('../eventDay/BoardView.vue'),
      meta: { ...eventDay, fullScreen: true },
    },
    {
      path: '/event-day/:id/set-up',
      name: 'event-day-set-up',
      component: () => import('../eventDay/SetUpView.vue'),
      meta: forWhoMay('PUT', '/event-days/:id'),
    },
    { path: '/load', name: 'load', component: () => import('../load/LoadView.vue'), meta: forWhoMay('GET', '/loads') },
    {
      path: '/load/read-in',
      name: 'load-read-in',
      component: () => import('../load/LoadReadInView.vue'),
      meta: forWhoMay('POST', '/import/loads'),
    },
    { path: '/athlete/:id', name: 'athlete', component: () => import('../athlete/AthleteView.vue'), meta: athletes },
    {
      path: '/athlete/:id/:page(what-if|file|limits|mornings|report|history)',
      name: 'athlete-page',
      component: () => import('../athlete/AthleteView.vue'),
      meta: athletes,
    },
    { path: '/visit/:id', name: 'visit', component: () => import('../steps/OpenVisit.vue'), meta: visit },
    {
      path: '/visit/:id/table',
      name: 'table',
      component: () => import('../steps/table/TableStep.vue'),
      meta: { ...visit, fullScreen: true },
    },
    { path: '/visit/:id/sheet', name: 'sheet', component: () => import('../steps/plan/SheetView.vue'), meta: visit },
    { path: '/shelf', name: 'shelf', component: () => import('../shelf/ShelfView.vue'), meta: shelf },
    { path: '/shelf/entry/:id', name: 'shelf-entry', component: () => import('../shelf/EntryView.vue'), meta: shelf },
    { path: '/shelf/entry/:id/practise', name: 'practise', component: () => import('../practise/PractiseView.vue'), meta: shelf },
    { path: '/shelf/ways', name: 'shelf-ways', component: () => import('../shelf/WaysView.vue'), meta: shelf },
    { path: '/shelf/compare', name: 'shelf-compare', component: () => import('../shelf/CompareView.vue'), meta: shelf },
    { path: '/shelf/way', name: 'shelf-way', component: () => import('../shelf/OwnWayView.vue'), meta: ownShelf },
    { path: '/shelf/new', name: 'shelf-new', component: () => import('../shelf/OwnEntryView.vue'), meta: ownShelf },
    { path: '/visit/:id/home', name: 'home', component: () => import('../home/HomeView.vue'), meta: visit },
    { path: '/visit/:id/note', name: 'note', component: () => import('../steps/close/NoteView.vue'), meta: visit },
    { path: '/visit/:id/letter', name: 'letter', component: () => import('../steps/referral/LetterView.vue'), meta: visit },
    { path: `/visit/:id/:step(${steps})`, name: 'step', component: () => import('../steps/VisitView.vue'), meta: visit },
    {
      path: '/practice/:page(scope|phases|notes|hours|sports|error|people|audit|export|keeping|first-steps|me)?',
      name: 'practice',
      component: () => import('../practice/PracticeView.vue'),
    },
    { path: '/coach', name: 'coach', component: () => import('../coach/CoachView.vue'), meta: forWhoMay('GET', '/coach') },
    { path: '/:rest(.*)*', name: 'nowhere', component: () => import('./NowhereView.vue') },
  ],
  scrollBehavior: () => ({ top: 0 }),
});

/** Pages are asked for once somebody is in: whoever has to sign in is sent none of them. */
export function openOnceIn(isIn: () => boolean): void {
  const entered = new Promise<void>((resolve) => {
    watch(isIn, (yes) => yes && resolve(), { immediate: true });
  });
  router.beforeEach(() => entered);
}
