import { onMounted, onUnmounted } from 'vue';
import { TABLE_KEYS, type PedalAct } from '../../parts/keys.ts';
import { Pedals, type PedalCodes } from './pedals.ts';

export type TableKeys = Readonly<Record<PedalAct, () => void>> & { readonly digit: (digit: number) => void };

/**
 * Every action has a key; foot pedals send Page Up and Page Down unless they have been told otherwise. Any other key that is kept down counts
 * once.
 */
export function useTableKeys(keys: TableKeys, codes: () => PedalCodes): void {
  const pedals = new Pedals((act) => keys[act](), codes);
  const isIn = (event: KeyboardEvent, what: string) => (event.target as HTMLElement).closest(what) !== null;
  const isElsewhere = (event: KeyboardEvent) => isIn(event, 'input, textarea, [role="dialog"]');

  const onKey = (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const pedal = pedals.of(event.key);
    // A foot goes on from a field as well; a pedal that sends a letter or a digit cannot be told from typing there.
    if (pedal && !isIn(event, '[role="dialog"]') && (event.key.length > 1 || !isElsewhere(event))) {
      event.preventDefault();
      pedals.press(pedal);
      return;
    }
    // What is typed into a question over the table is no key of the table.
    if (isElsewhere(event)) return;
    const key = event.key.length === 1 ? event.key.toLowerCase() : event.key;
    const act = TABLE_KEYS.find((each) => each.codes.includes(key))?.act;
    if (!act) return;
    const action = act === 'digit' ? () => keys.digit(Number(key)) : keys[act];
    // A button that has the focus keeps Enter for itself; Space belongs to the run.
    if (key === 'Enter' && (event.target as HTMLElement).closest('button, a')) return;
    event.preventDefault();
    if (!event.repeat) action();
  };
  const onKeyUp = (event: KeyboardEvent) => {
    const pedal = pedals.of(event.key);
    if (pedal) pedals.release(pedal);
    // A focused button would also click on Space when the key comes up.
    if (event.key === ' ' && !(event.target as HTMLElement).closest('[role="dialog"]')) event.preventDefault();
  };
  const forget = () => pedals.forget();
  onMounted(() => {
    window.addEventListener('keydown', onKey);
    window.addEventListener('keyup', onKeyUp);
    window.addEventListener('blur', forget);
  });
  onUnmounted(() => {
    forget();
    window.removeEventListener('keydown', onKey);
    window.removeEventListener('keyup', onKeyUp);
    window.removeEventListener('blur', forget);
  });
}
