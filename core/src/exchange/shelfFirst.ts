import type { ShelfFileItem } from './shelfFile.ts';

/** What changed its place between the first and the second version of a shelf's file, by name. */
const TAPPED = { way: 'inhibit-integrated', at: 5 };
const NECK_PULLS = ['neck-traction', 'neck-traction-forearm', 'neck-traction-towel'];

/**
 * An item of a first version's file as it is written now: variants have their reason, the round of "point, ease, lengthen, reset" has a
 * tap as its sixth phase, and a pull on the neck has no side. What cannot be read stays as it is, for the check to say.
 */
export function fromFirst({ id, fields }: Pick<ShelfFileItem, 'id' | 'fields'>): Pick<ShelfFileItem, 'id' | 'fields'> {
  try {
    if (fields.kind === 'entry') {
      const named = (ids: unknown) => (ids as readonly string[]).map((each) => ({ id: each, why: '' }));
      return { id, fields: { ...fields, easier: named(fields.easier), harder: named(fields.harder) } };
    }
    if (fields.kind === 'way') {
      if (fields.baseId !== TAPPED.way || !fields.phases) return { id, fields };
      return {
        id,
        fields: {
          ...fields,
          phases: fields.phases.map((each) => ('of' in each && each.of >= TAPPED.at ? { ...each, of: each.of + 1 } : each)),
        },
      };
    }
    const steps = fields.steps.map((step) =>
      NECK_PULLS.includes(step.entryId)
        ? { ...step, sides: [{ side: 'midline' as const, rounds: Math.max(...step.sides.map(({ rounds }) => rounds)) }] }
        : step,
    );
    return { id, fields: { ...fields, steps } };
  } catch {
    return { id, fields };
  }
}
