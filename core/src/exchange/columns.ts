import { plainWords } from '../sport/index.ts';

/** A field that a column of a table can be, with the headings that are known for it. */
export interface TableField<Id extends string> {
  readonly id: Id;
  readonly known: readonly string[];
}

/**
 * The column of each field: the heading that was its column the last time, or one that is known for it; null where there is none. Each column
 * is used once, the remembered ones first.
 */
export function matchByHeading<Id extends string>(
  fields: readonly TableField<Id>[],
  header: readonly string[],
  remembered: Readonly<Record<string, string | null>> | null,
): Readonly<Record<Id, number | null>> {
  const names = header.map(plainWords);
  const taken = new Set<number>();
  const take = (at: number): number | null => {
    if (at < 0 || taken.has(at)) return null;
    taken.add(at);
    return at;
  };
  const found: Partial<Record<Id, number | null>> = {};
  for (const { id } of fields) {
    const before = remembered?.[id];
    if (before) found[id] = take(names.indexOf(plainWords(before)));
  }
  for (const { id, known } of fields) found[id] ??= take(names.findIndex((name, i) => !taken.has(i) && known.includes(name)));
  return found as Record<Id, number | null>;
}
