import { onBeforeUnmount, onMounted, type Ref } from 'vue';

/**
 * The kit names its box and not the field inside it, leaves out whether the list is open, and points at a list that is not there
 * while it is closed. A screen reader needs all three right.
 */
export function useListField(root: Ref<HTMLElement | null>, label: () => string): void {
  let observer: MutationObserver | null = null;

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
  }

  onMounted(() => {
    const input = root.value!.querySelector<HTMLInputElement>('input[role="combobox"]');
    if (!input) return;
    mend(input);
    observer = new MutationObserver(() => mend(input));
    observer.observe(root.value!, { attributes: true, subtree: true });
  });
  onBeforeUnmount(() => observer?.disconnect());
}

/** Any words of the label find it, in any order. */
export function labelMatches(typed: string, option: { label?: string }): boolean {
  return typed
    .toLowerCase()
    .split(/\s+/)
    .every((word) => option.label?.toLowerCase().includes(word));
}
