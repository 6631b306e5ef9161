import { createRouter, createWebHistory } from 'vue-router';
import type { Role } from '@pace-bend/core/access';
import { STEPS } from '@pace-bend/core/record';

const steps = STEPS.join('|');
const clinic: { readonly roles: readonly Role[] } = { roles: ['owner', 'therapist', 'assistant'] };
const therapists: { readonly roles: readonly Role[] } = { roles: ['owner', 'therapist'] };

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'today', component: () => import('../day/DayView.vue'), meta: clinic },
    { path: '/day/:date', name: 'day', component: () => import('../day/DayView.vue'), meta: clinic },
    { path: '/squad', name: 'squad', component: () => import('../squad/SquadView.vue'), meta: clinic },
    { path: '/squad/range', name: 'squad-range', component: () => import('../squad/strip/StripView.vue'), meta: clinic },
    { path: '/squad/read-in', name: 'read-in', component: () => import('../squad/reading/ReadInView.vue'), meta: therapists },
    { path: '/athlete/:id', name: 'athlete', component: () => import('../athlete/AthleteView.vue'), meta: clinic },
    { path: '/athlete/:id/:page(file|limits|history)', name: 'athlete-page', component: () => import('../athlete/AthleteView.vue'), meta: clinic },
    { path: '/visit/:id', name: 'visit', component: () => import('../steps/OpenVisit.vue'), meta: clinic },
    { path: '/visit/:id/table', name: 'table', component: () => import('../steps/table/TableStep.vue'), meta: { ...clinic, fullScreen: true } },
    { path: '/visit/:id/sheet', name: 'sheet', component: () => import('../steps/plan/SheetView.vue'), meta: clinic },
    { path: '/shelf', name: 'shelf', component: () => import('../shelf/ShelfView.vue'), meta: clinic },
    { path: '/shelf/entry/:id', name: 'shelf-entry', component: () => import('../shelf/EntryView.vue'), meta: clinic },
    { path: '/shelf/ways', name: 'shelf-ways', component: () => import('../shelf/WaysView.vue'), meta: clinic },
    { path: '/shelf/compare', name: 'shelf-compare', component: () => import('../shelf/CompareView.vue'), meta: clinic },
    { path: '/shelf/way', name: 'shelf-way', component: () => import('../shelf/OwnWayView.vue'), meta: therapists },
    { path: '/shelf/new', name: 'shelf-new', component: () => import('../shelf/OwnEntryView.vue'), meta: therapists },
    { path: '/visit/:id/letter', name: 'letter', component: () => import('../steps/referral/LetterView.vue'), meta: clinic },
    { path: `/visit/:id/:step(${steps})`, name: 'step', component: () => import('../steps/VisitView.vue'), meta: clinic },
    { path: '/practice/:page(scope|error|people|audit|me)?', name: 'practice', component: () => import('../practice/PracticeView.vue') },
    { path: '/coach', name: 'coach', component: () => import('../coach/CoachView.vue'), meta: { roles: ['coach', 'owner'] } },
    { path: '/:rest(.*)*', name: 'nowhere', component: () => import('./NowhereView.vue') },
  ],
  scrollBehavior: () => ({ top: 0 }),
});
