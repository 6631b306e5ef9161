import { defineStore } from 'pinia';
import { ref, watch } from 'vue';

/** Whether the legend of the figures is open; it is asked for only once somebody wants it. */
export const useLegend = defineStore('legend', () => {
  const isOpen = ref(false);
  const wasOpened = ref(false);
  watch(isOpen, (open) => {
    if (open) wasOpened.value = true;
  });
  return { isOpen, wasOpened };
});
