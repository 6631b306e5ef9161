<script lang="ts">
/** The dialogs that are open, the topmost last: keys belong to that one. */
const stack: symbol[] = [];
</script>

<script setup lang="ts">
import Modal from 'ant-design-vue/es/modal';
import { nextTick, onBeforeUnmount, ref, watch } from 'vue';

/**
 * The kit's dialog, with the focus led by hand: it goes in when the dialog opens, Tab stays inside, Escape closes, and the focus
 * comes back to where it was. The kit does these at the end of its transitions, and here there are none.
 */
const props = withDefaults(
  defineProps<{ title: string; width?: number; top?: number; /** Whether it can be left without an answer. */ closable?: boolean }>(),
  { width: 520, top: undefined, closable: true },
);
const open = defineModel<boolean>('open', { required: true });

const inside = ref<HTMLElement | null>(null);
const me = Symbol('dialog');
let opener: Element | null = null;

const FOCUSABLE =
  'a[href], button:not([disabled]), input:not([disabled]), select:not([disabled]), textarea:not([disabled]), [tabindex]:not([tabindex="-1"])';
const frame = () => inside.value?.closest<HTMLElement>('.ant-modal') ?? null;
const stops = (within: HTMLElement | null) =>
  [...(within?.querySelectorAll<HTMLElement>(FOCUSABLE) ?? [])].filter(
    // The kit's own marks at both ends of the frame are nothing to stop at.
    (element) =>
      element.getAttribute('aria-hidden') !== 'true' &&
      element.getClientRects().length > 0 &&
      !element.parentElement?.classList.contains('ant-modal'),
  );

async function enter(): Promise<void> {
  opener = document.activeElement;
  stack.push(me);
  document.addEventListener('keydown', onKey, true);
  await nextTick();
  requestAnimationFrame(() => {
    if (frame()?.contains(document.activeElement) && document.activeElement?.getAttribute('aria-hidden') !== 'true') return;
    (stops(inside.value)[0] ?? stops(frame())[0])?.focus();
  });
}

function leave(): void {
  const at = stack.indexOf(me);
  if (at === -1) return;
  stack.splice(at, 1);
  document.removeEventListener('keydown', onKey, true);
  const back = opener instanceof HTMLElement && opener.isConnected && opener !== document.body ? opener : document.getElementById('main');
  void nextTick(() => back?.focus());
}

/** A list or a calendar that hangs open over the dialog takes its Escape first. */
const hangsOpen = () =>
  frame()?.querySelector('.ant-select-open') !== null ||
  document.querySelector('.ant-picker-dropdown:not(.ant-picker-dropdown-hidden)') !== null;

function onKey(event: KeyboardEvent): void {
  if (stack.at(-1) !== me) return;
  if (event.key === 'Escape' && props.closable && !hangsOpen()) {
    event.preventDefault();
    event.stopPropagation();
    open.value = false;
  } else if (event.key === 'Tab') {
    const all = stops(frame());
    const [first, last] = [all[0], all.at(-1)];
    const now = document.activeElement;
    const outside = !frame()?.contains(now) || now?.getAttribute('aria-hidden') === 'true';
    if (!first || !last) event.preventDefault();
    else if (event.shiftKey ? now === first || outside : now === last || outside) {
      event.preventDefault();
      (event.shiftKey ? last : first).focus();
    }
  }
}

watch(
  open,
  (now, before) => {
    if (now) void enter();
    else if (before) leave();
  },
  { immediate: true },
);
onBeforeUnmount(leave);
</script>

<template>
  <Modal
    :open="open"
    transition-name=""
    mask-transition-name=""
    :title="title"
    :footer="null"
    :width="width"
    :style="top === undefined ? undefined : { top: `${top}px` }"
    :closable="closable"
    :mask-closable="closable"
    :keyboard="false"
    @update:open="
      (now: boolean) => {
        open = now;
      }
    "
  >
    <div ref="inside"><slot /></div>
  </Modal>
</template>
