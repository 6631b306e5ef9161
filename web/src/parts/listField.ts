import { onBeforeUnmount, onMounted, type Ref } from 'vue';

/**
 * The kit names its box and not the field inside it, leaves out whether the list is open, and points at a list that is not there
 * while it is closed. A screen reader needs all three right.
 */
export function useListField(root: Ref<HTMLElement | null>, label: () => string): void {
  let observer: MutationObserver | null = null;
  let rows: MutationObserver | null = null;
  let watched: Element | null = null;

  function mend(input: HTMLInputElement): void {
    const open = root.value!.querySelector('.ant-select-open') !== null;
    const set = (name: string, value: string) => {
      if (input.getAttribute(name) !== value) input.setAttribute(name, value);
    };
    set('aria-label', label());
    set('aria-expanded', String(open));
    for (const name of ['aria-controls', 'aria-owns', 'aria-activedescendant']) {
      const id = input.getAttribute(name);
      if (id !== null && !document.getElementById(id)) input.removeAttribute(name);
    }
    if (open && !input.hasAttribute('aria-controls') && document.getElementById(`${input.id}_list`))
      input.setAttribute('aria-controls', `${input.id}_list`);
    if (open) mendRows(input);
  }

  /** The rows that are drawn say that they are selected, and have no role to say it in: the list that has is the hidden one beside them. */
  function mendRows(input: HTMLInputElement): void {
    const list = document.getElementById(`${input.id}_list`)?.closest('.ant-select-dropdown');
    if (!list || list === watched) return;
    watched = list;
    rows?.disconnect();
    const plain = () => {
      list.querySelectorAll('.ant-select-item[aria-selected]').forEach((row) => row.removeAttribute('aria-selected'));
      // A list without choices is no list: what it says instead is told as soon as it stands there.
      list.querySelectorAll('.ant-select-item-empty[role="listbox"]').forEach((words) => words.setAttribute('role', 'status'));
    };
    plain();
    rows = new MutationObserver(plain);
    rows.observe(list, { attributes: true, attributeFilter: ['aria-selected'], childList: true, subtree: true });
  }

  onMounted(() => {
    const input = root.value!.querySelector<HTMLInputElement>('input[role="combobox"]');
    if (!input) return;
    mend(input);
    observer = new MutationObserver(() => mend(input));
    observer.observe(root.value!, { attributes: true, subtree: true });
  });
  onBeforeUnmount(() => {
    observer?.disconnect();
    rows?.disconnect();
  });
}

/** Any words of the label find it, in any order. */
export function labelMatches(typed: string, option: { label?: string }): boolean {
  return typed
    .toLowerCase()
    .split(/\s+/)
    .every((word) => option.label?.toLowerCase().includes(word));
}
