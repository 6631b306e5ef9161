import { v5 } from 'uuid';

/** Names under which ids are derived; a fixed UUID of this program's own, so that the same thing has the same id in every export. */
const NAMESPACE = '6f0d4f53-4d60-5a52-9a0f-6a2d2c7a2b11';

/**
 * The id of something that is kept without one of its own, from what makes it one: always the same for the same parts.
 */
export const derivedId = (...parts: readonly string[]): string => v5(parts.join('\u0000'), NAMESPACE);

/** How one resource of a collection names another: by its full URL (R4, 2.36.4.1). */
export const urn = (id: string): string => `urn:uuid:${id}`;

/** The code systems and extensions of this program's own: what is in them is said in `docs/fhir.md`. */
export const own = (name: string): string => `urn:x-pace-bend:${name}`;
