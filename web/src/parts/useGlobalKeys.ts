import { onMounted, onUnmounted } from 'vue';
import { useRoute, useRouter } from 'vue-router';

/** Whether keys typed now go into a field and are not commands. */
export function isTyping(event: KeyboardEvent): boolean {
  const target = event.target as HTMLElement | null;
  return target !== null && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName));
}

/** `/` goes to the athletes, `?` opens the sheet of keys. At the table every key belongs to the run. */
export function useGlobalKeys({ toggleKeys }: { toggleKeys: () => void }): void {
  const router = useRouter();
  const route = useRoute();
  const onKey = (event: KeyboardEvent) => {
    if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey || route.meta.fullScreen) return;
    if (event.key === '/') {
      event.preventDefault();
      void router.push({ name: 'squad', query: { find: '' } });
    } else if (event.key === '?') {
      event.preventDefault();
      toggleKeys();
    }
  };
  onMounted(() => window.addEventListener('keydown', onKey));
  onUnmounted(() => window.removeEventListener('keydown', onKey));
}
