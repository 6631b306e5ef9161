import { useTitle } from '@vueuse/core';
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import { DateTime } from 'luxon';
import { useDay } from '../stores/day.ts';
import { useSession } from '../stores/session.ts';
import { usePages } from './pages.ts';
import { openName } from '../stores/openName.ts';
import { t } from '../words/app.ts';

const NAME = t('paceBend');
/** Pages of a visit that are no step of it. */
const PAPERS: Readonly<Record<string, string>> = {
  sheet: t('forTheWall'),
  note: 'note',
  letter: 'referral',
  home: t('atHome'),
  table: 'table',
};
const firstUpper = (text: string) => text[0]!.toUpperCase() + text.slice(1);

/** The title of the window says who is open and what of them: of ten tabs the right one is found. */
export function usePageTitle(): void {
  const route = useRoute();
  const day = useDay();
  const session = useSession();
  const { places, isOn } = usePages();
  const title = computed(() => {
    if (session.state !== 'in' && session.state !== 'expired') return t('signIn', { name: NAME });
    const name = String(route.name ?? '');
    const { id, step, page } = route.params;
    const ofVisit = step ? firstUpper(String(step)) : PAPERS[name] && firstUpper(PAPERS[name]!);
    const open = openName.value;
    const who = open && open.id === id ? open.name : null;
    if (ofVisit) return [who, ofVisit, NAME].filter(Boolean).join(' · ');
    if (name.startsWith('athlete')) {
      const what = firstUpper(String(page || 'range').replace('-', ' '));
      return [who, what, NAME].filter(Boolean).join(' · ');
    }
    if (name === 'today' || name === 'day')
      return `${day.page ? DateTime.fromISO(day.page.date).toFormat('ccc d LLL') : t('day')} · ${NAME}`;
    const place = places.value.find((each) => isOn(each));
    return place ? `${place.label} · ${NAME}` : NAME;
  });
  useTitle(title);
}
