/** Node's arguments with which TypeScript runs as it is. */
export const WITH_TYPES: string[];
