import { onMounted, onUnmounted } from 'vue';
import { TABLE_KEYS, type TableAct } from '../../parts/keys.ts';

export type TableKeys = Readonly<Record<TableAct, () => void>> & { readonly digit: (digit: number) => void };

/** Every action has a key; foot pedals send Page Up and Page Down. A key that is kept down counts once. */
export function useTableKeys(keys: TableKeys): void {
  const onKey = (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    // What is typed into a question over the table is no key of the table.
    if ((event.target as HTMLElement).closest('input, textarea, [role="dialog"]')) return;
    const key = event.key.length === 1 ? event.key.toLowerCase() : event.key;
    const act = TABLE_KEYS.find((each) => each.codes.includes(key))?.act;
    if (!act) return;
    const action = act === 'digit' ? () => keys.digit(Number(key)) : keys[act];
    // A button that has the focus keeps Enter for itself; Space belongs to the run.
    if (key === 'Enter' && (event.target as HTMLElement).closest('button, a')) return;
    event.preventDefault();
    if (!event.repeat) action();
  };
  // A focused button would also click on Space when the key comes up.
  const onKeyUp = (event: KeyboardEvent) => {
    if (event.key === ' ' && !(event.target as HTMLElement).closest('[role="dialog"]')) event.preventDefault();
  };
  onMounted(() => {
    window.addEventListener('keydown', onKey);
    window.addEventListener('keyup', onKeyUp);
  });
  onUnmounted(() => {
    window.removeEventListener('keydown', onKey);
    window.removeEventListener('keyup', onKeyUp);
  });
}
