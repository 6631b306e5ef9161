import type { Goes } from './types.ts';

/** The head is carried away from the worked side, so that this side opens. */
export const away = (...motions: readonly string[]): Record<string, Goes> =>
  Object.fromEntries(motions.map((id) => [id, 'opposite' as const]));
