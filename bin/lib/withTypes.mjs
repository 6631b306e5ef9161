/** Node's arguments with which TypeScript runs as it is. */
export const WITH_TYPES = ['--import', new URL('./typescript.mjs', import.meta.url).href];
