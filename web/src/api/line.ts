import { reactive } from 'vue';

/** Whether the server answered the last time it was asked. */
export const line = reactive({ lost: false });
