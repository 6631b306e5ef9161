import interact from 'interactjs';

/** How long a finger rests before it has taken hold: shorter is a scroll that hesitates, longer a program that does not answer. */
export const LONG_PRESS_MS = 450;

const isFinger = (event: { pointerType?: string }) => event.pointerType === 'touch' || event.pointerType === 'pen';

type Interactable = ReturnType<typeof interact>;
interface Hold {
  readonly pointerType?: string;
  readonly interaction: {
    interacting(): boolean;
    start(action: { name: 'drag' }, interactable: Interactable, element: HTMLElement): unknown;
  };
}

/**
 * A finger that rests on the element takes hold of it, and what it does then is a drag; one that moves at once scrolls as everywhere. While the
 * element is held the page neither scrolls nor opens the browser's menu for a link that is pressed long. Returns what lets go of it all.
 */
export function liftByLongPress(interactable: Interactable, element: HTMLElement, onLift: (held: boolean) => void): () => void {
  let held = false;
  const set = (now: boolean) => {
    if (held === now) return;
    held = now;
    onLift(now);
  };
  const keep = (event: Event) => {
    if (held) event.preventDefault();
  };
  const letGo = () => set(false);
  interactable.pointerEvents({ holdDuration: LONG_PRESS_MS } as never);
  interactable.on('hold', (event: unknown) => {
    const { interaction } = event as Hold;
    if (!isFinger(event as Hold) || interaction.interacting()) return;
    interaction.start({ name: 'drag' }, interactable, element);
    set(interaction.interacting());
  });
  // Passive listeners may not keep the page from scrolling.
  element.addEventListener('touchmove', keep, { passive: false });
  element.addEventListener('contextmenu', keep);
  for (const name of ['touchend', 'touchcancel']) element.addEventListener(name, letGo);
  return () => {
    element.removeEventListener('touchmove', keep);
    element.removeEventListener('contextmenu', keep);
    for (const name of ['touchend', 'touchcancel']) element.removeEventListener(name, letGo);
  };
}
