import { onBeforeUnmount, onMounted, ref, type Ref } from 'vue';

/** So many at a time: between two lots the page is shown, and a key or a finger is answered. */
const LOT = 3;

/** One watcher for everything that waits to be seen; what is seen once stays. */
const waiting = new Map<Element, () => void>();
/** In view and not yet drawn, in the order they came; who is scrolled past leaves again. */
const inView = new Set<Element>();
let watcher: IntersectionObserver | null = null;
let timer: ReturnType<typeof setTimeout> | undefined;

function watch(element: Element, seen: () => void): void {
  watcher ??= new IntersectionObserver(
    (entries) => {
      for (const { isIntersecting, target } of entries)
        if (isIntersecting) inView.add(target);
        else inView.delete(target);
      timer ??= setTimeout(showSome);
    },
    // A little before it comes into view.
    { rootMargin: '200px' },
  );
  waiting.set(element, seen);
  watcher.observe(element);
}

function showSome(): void {
  for (const target of [...inView].slice(0, LOT)) {
    waiting.get(target)?.();
    leave(target);
  }
  timer = inView.size > 0 ? setTimeout(showSome) : undefined;
}

function leave(element: Element): void {
  waiting.delete(element);
  inView.delete(element);
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
