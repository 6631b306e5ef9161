/** An id as it stands in an archive: small letters, as the database writes it. */
export const ID = '[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}';
const EVERY_ID = new RegExp(ID, 'g');

/** Every id that stands anywhere in this, inside texts and JSON as well. */
export function idsIn(value: unknown): Set<string> {
  return new Set(JSON.stringify(value).match(EVERY_ID) ?? []);
}

/** A value with every id in it replaced by the one that stands for it here, inside texts, lists and the names of members as well. */
export function withIds<T>(value: T, ids: ReadonlyMap<string, string>): T {
  if (ids.size === 0) return value;
  return JSON.parse(JSON.stringify(value).replace(EVERY_ID, (id) => ids.get(id) ?? id)) as T;
}
