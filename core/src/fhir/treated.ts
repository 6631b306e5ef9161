import type { Extension, Procedure } from 'fhir/r4';
import type { Side } from '../body/index.ts';
import type { Shelf } from '../method/index.ts';
import type { PastBlock } from '../record/index.ts';
import { coded, quantity } from './codes.ts';
import { derivedId, own, urn } from './ids.ts';

const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);

/** What one side had, as an extension of this program's own and in words: the standard's procedure has no place for a dose. */
function doseOf({ side, rounds, work }: PastBlock['sides'][number]): { readonly extension: Extension; readonly words: string } {
  const [held, worked, pressed] = (['heldS', 'workedS', 'pressedS'] as const).map((each) =>
    Math.round(sum((work ?? []).map((w) => w[each]))),
  );
  const effort = Math.max(0, ...(work ?? []).map(({ effortPct }) => effortPct));
  const seconds = [
    { url: 'held', words: 'at end range', value: held! },
    { url: 'worked', words: 'of work', value: worked! },
    { url: 'pressed', words: 'pressed', value: pressed! },
  ].filter(({ value }) => value > 0);
  return {
    extension: {
      url: own('dose'),
      extension: [
        { url: 'side', valueCode: side },
        { url: 'rounds', valueInteger: rounds },
        ...seconds.map(({ url, value }) => ({ url, valueQuantity: quantity(value, 's') })),
        ...(effort > 0 ? [{ url: 'effort', valueQuantity: quantity(effort, 'percent') }] : []),
      ],
    },
    words: `${sideName(side)}${rounds} ${rounds === 1 ? 'round' : 'rounds'}${seconds.map(({ value, words }) => `, ${value} s ${words}`).join('')}${effort > 0 ? `, effort up to ${effort} %` : ''}.`,
  };
}

const sideName = (side: Side): string => (side === 'midline' ? '' : `${side}: `);

/**
 * A treated block as a procedure with its dose, as it was really done. `nth`: which block of its visit it is; with the visit it makes the id,
 * and as nothing that was done is ever taken back it stays the same.
 */
export function procedureOf(block: PastBlock, nth: number, athleteId: string, shelf: Shelf): Procedure {
  const { visitId, startsAt, entryId, methodId, sides } = block;
  const way = shelf.methods.get(methodId)?.name ?? methodId;
  const doses = sides.map(doseOf);
  return {
    resourceType: 'Procedure',
    id: derivedId('block', visitId, String(nth)),
    extension: [
      { url: own('way-of-working'), valueCodeableConcept: coded('way-of-working', methodId, way) },
      ...doses.map(({ extension }) => extension),
    ],
    status: 'completed',
    code: coded('entry', entryId, shelf.entries.get(entryId)?.name ?? entryId),
    subject: { reference: urn(athleteId) },
    encounter: { reference: urn(visitId) },
    performedDateTime: startsAt,
    note: [{ text: [`${way}.`, ...doses.map(({ words }) => words)].join(' ') }],
  };
}
