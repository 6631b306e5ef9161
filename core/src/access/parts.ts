import type { Role } from './routes.ts';

/**
 * Parts of an answer that not everybody who may ask for it reads, and who does. The server leaves them out for the others, the interface
 * does not speak of them. Whoever is not named reads nothing here, a role that is new included.
 */
export const PARTS = {
  /** The therapist's words about a visit. */
  'visit note': ['owner', 'therapist'],
} as const satisfies Record<string, readonly Role[]>;

export type Part = keyof typeof PARTS;

/**
 * Whether a role reads a part of an answer.
 * @example mayRead('assistant', 'visit note') // → false
 */
export function mayRead(role: Role, part: Part): boolean {
  return (PARTS[part] as readonly Role[]).includes(role);
}
