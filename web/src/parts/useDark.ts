import { usePreferredDark } from '@vueuse/core';

/** Whether the machine asks for dark colours now; follows it when it changes. */
export const useDark = usePreferredDark;
