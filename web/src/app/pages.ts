import { computed } from 'vue';
import { useRoute } from 'vue-router';
import { useSession } from '../stores/session.ts';
import { t } from '../words/app.ts';

/** The program's own pages, once: the rail beside the page and the bar beneath it are made from this. */
interface Place {
  readonly to: string;
  readonly label: string;
  /** Names of the routes that belong to it. */
  readonly routes: readonly string[];
  /** Where the bar beneath a narrow page has room for few. */
  readonly first: boolean;
}

const PLACES: readonly Place[] = [
  { to: '/', label: t('day'), routes: ['today', 'day'], first: true },
  { to: '/squad', label: t('squad'), routes: ['squad', 'athlete', 'athlete-page', 'read-in', 'squad-range'], first: true },
  { to: '/morning', label: t('morning'), routes: ['morning'], first: true },
  { to: '/load', label: t('load'), routes: ['load', 'load-read-in'], first: false },
  { to: '/season', label: t('season'), routes: ['season', 'week'], first: false },
  { to: '/event-days', label: t('eventDays'), routes: ['event-days', 'event-day', 'event-day-entrance', 'event-day-set-up'], first: false },
  {
    to: '/shelf',
    label: t('shelf'),
    routes: ['shelf', 'shelf-entry', 'shelf-ways', 'shelf-compare', 'shelf-way', 'shelf-new', 'practise'],
    first: true,
  },
];
const COACH: Place = { to: '/coach', label: t('squads'), routes: ['coach'], first: true };
const PRACTICE: Place = { to: '/practice', label: t('practice'), routes: ['practice'], first: false };
const ACCOUNT: Place = { ...PRACTICE, to: '/practice/me', first: true };

/** Pages of whoever is in, and which of them is open. The owner sees what coaches see as well. */
export function usePages() {
  const route = useRoute();
  const session = useSession();
  const places = computed(() =>
    session.isCoach
      ? [COACH, ACCOUNT]
      : [...PLACES, ...(session.may('GET', '/coach') ? [{ ...COACH, label: t('coachsView'), first: false }] : []), PRACTICE],
  );
  const isOn = (place: Place) => place.routes.includes(String(route.name));
  return { places, isOn };
}
