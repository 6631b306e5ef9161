import type { Claim } from './types.ts';

/**
 * A claim that is taught and was not tried.
 * @example taught('It wakes.').sure // → 'taught'
 */
export const taught = (text: string): Claim => ({ text, source: 'common practice', sure: 'taught' });
