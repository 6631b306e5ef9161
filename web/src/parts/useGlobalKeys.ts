import { useRoute, useRouter } from 'vue-router';
import { isKey } from './keys.ts';
import { useWindowKeys } from './useWindowKeys.ts';

/** Whether keys typed now go into a field and are not commands. */
export function isTyping(event: KeyboardEvent): boolean {
  const target = event.target as HTMLElement | null;
  return target !== null && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName));
}

/** The athletes and the sheet of keys are a key away everywhere. At the table every key belongs to the run. */
export function useGlobalKeys({ toggleKeys, toggleLegend }: { toggleKeys: () => void; toggleLegend: () => void }): void {
  const router = useRouter();
  const route = useRoute();
  const onKey = (event: KeyboardEvent) => {
    if (isTyping(event) || route.meta.fullScreen) return;
    if (isKey(event, 'find')) {
      event.preventDefault();
      void router.push({ name: 'squad', query: { find: '' } });
    } else if (isKey(event, 'sheet')) {
      event.preventDefault();
      toggleKeys();
    } else if (isKey(event, 'legend')) {
      event.preventDefault();
      toggleLegend();
    }
  };
  useWindowKeys(onKey);
}
