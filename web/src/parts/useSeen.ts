import { onBeforeUnmount, onMounted, ref, type Ref } from 'vue';

/** One watcher for everything that waits to be seen; what is seen once stays. */
const waiting = new Map<Element, () => void>();
let watcher: IntersectionObserver | null = null;

function watch(element: Element, seen: () => void): void {
  watcher ??= new IntersectionObserver(
    (entries) => {
      for (const { isIntersecting, target } of entries) {
        if (!isIntersecting) continue;
        waiting.get(target)?.();
        leave(target);
      }
    },
    // A little before it comes into view.
    { rootMargin: '200px' },
  );
  waiting.set(element, seen);
  watcher.observe(element);
}

function leave(element: Element): void {
  waiting.delete(element);
  watcher?.unobserve(element);
}

/** Whether an element has come into view, or nearly; where the browser cannot tell, it has. On paper everything is seen. */
export function useSeen(element: Ref<Element | null>): Ref<boolean> {
  const seen = ref(typeof IntersectionObserver === 'undefined');
  const show = () => {
    seen.value = true;
  };
  onMounted(() => {
    if (!seen.value && element.value) watch(element.value, show);
    window.addEventListener('beforeprint', show);
  });
  onBeforeUnmount(() => {
    if (element.value) leave(element.value);
    window.removeEventListener('beforeprint', show);
  });
  return seen;
}
