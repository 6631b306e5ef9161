import { onMounted, onUnmounted } from 'vue';

export interface TableKeys {
  readonly space: () => void;
  readonly next: () => void;
  readonly again: () => void;
  readonly stop: () => void;
  readonly digit: (digit: number) => void;
  readonly edge: () => void;
  readonly erase: () => void;
  readonly muted: () => void;
  readonly spoken: () => void;
  readonly enter: () => void;
  readonly refer: () => void;
}

/** Every action has a key; foot pedals send Page Up and Page Down. A key that is kept down counts once. */
export function useTableKeys(keys: TableKeys): void {
  const actions: Record<string, () => void> = {
    ' ': keys.space,
    ArrowRight: keys.next,
    PageDown: keys.next,
    ArrowLeft: keys.again,
    PageUp: keys.again,
    Escape: keys.stop,
    Backspace: keys.erase,
    Enter: keys.enter,
    e: keys.edge,
    m: keys.muted,
    v: keys.spoken,
    r: keys.refer,
  };
  const onKey = (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const key = event.key.length === 1 ? event.key.toLowerCase() : event.key;
    const action = /^\d$/.test(key) ? () => keys.digit(Number(key)) : actions[key];
    if (!action) return;
    // A button that has the focus keeps Enter for itself; Space belongs to the run.
    if (key === 'Enter' && (event.target as HTMLElement).closest('button, a')) return;
    event.preventDefault();
    if (!event.repeat) action();
  };
  // A focused button would also click on Space when the key comes up.
  const onKeyUp = (event: KeyboardEvent) => { if (event.key === ' ') event.preventDefault(); };
  onMounted(() => {
    window.addEventListener('keydown', onKey);
    window.addEventListener('keyup', onKeyUp);
  });
  onUnmounted(() => {
    window.removeEventListener('keydown', onKey);
    window.removeEventListener('keyup', onKeyUp);
  });
}
