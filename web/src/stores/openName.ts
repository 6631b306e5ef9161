import { shallowRef } from 'vue';

/** Who is open, for the title of the window: said by whatever has read them, so that the frame need not read anybody. */
export const openName = shallowRef<{ readonly id: string; readonly name: string } | null>(null);
