import { plainWords, type LoadKind } from '../sport/index.ts';
import type { LoadFields } from './types.ts';

/** One session as it is typed into a day's cell. */
export type TypedSession = Pick<LoadFields, 'kind' | 'minutes' | 'exertion' | 'amount'>;

export type TypedRead =
  { readonly kind: 'sessions'; readonly sessions: readonly TypedSession[] } | { readonly kind: 'wrong'; readonly message: string };

const ONE =
  /^(?<name>[^\d]*?)\s*(?<minutes>\d{1,4})(?:\s*(?:min|m))?(?:\s*[x×*@ ]\s*(?<exertion>\d{1,2}(?:[.,]\d)?))?(?:\s*#\s*(?<amount>\d{1,7}))?$/u;

/**
 * What somebody typed for a day: `60 7` is sixty minutes at 7 of 10, of the first kind; `water 90 7` names the kind by how it begins;
 * `#8000` counts metres, throws or whatever the kind counts; sessions are parted by a semicolon, a plus or a new line. Without a second
 * number the session is not rated. Nothing typed is no session.
 * @example readTyped('60 7', [{ id: 'run', name: 'Run', muscles: [] }]).sessions[0].exertion // → 7
 */
export function readTyped(text: string, kinds: readonly LoadKind[]): TypedRead {
  const parts = text
    .split(/[;+\n]/)
    .map((part) => part.trim())
    .filter(Boolean);
  const sessions: TypedSession[] = [];
  for (const part of parts) {
    const found = ONE.exec(part)?.groups;
    if (!found) return { kind: 'wrong', message: `“${part.slice(0, 30)}”: minutes, then how hard, as in 60 7.` };
    const named = plainWords(found.name ?? '');
    const kind =
      named === ''
        ? kinds[0]
        : (kinds.find((each) => plainWords(each.name) === named || each.id === named) ??
          kinds.find((each) => plainWords(each.name).startsWith(named)));
    if (!kind)
      return {
        kind: 'wrong',
        message:
          kinds.length === 0
            ? 'This athlete has no sport with anything to train.'
            : `“${found.name!.trim()}” is none of: ${kinds.map((each) => each.name).join(', ')}.`,
      };
    const minutes = Number(found.minutes);
    const exertion = found.exertion === undefined ? null : Number(found.exertion.replace(',', '.'));
    if (minutes < 1 || minutes > 1440) return { kind: 'wrong', message: 'Minutes lie between 1 and 1440.' };
    if (exertion !== null && (exertion > 10 || (exertion * 2) % 1 !== 0))
      return { kind: 'wrong', message: 'How hard lies between 0 and 10, in halves.' };
    sessions.push({ kind: kind.id, minutes, exertion, amount: found.amount === undefined ? null : Number(found.amount) });
  }
  return { kind: 'sessions', sessions };
}

/**
 * Sessions as they are typed; reading it back gives the same ones. A kind the athlete's sports no longer have is written by its id.
 * @example typedText([{ kind: 'run', minutes: 60, exertion: 7, amount: null }], [{ id: 'run', name: 'Run', muscles: [] }]) // → '60 7'
 */
export function typedText(sessions: readonly TypedSession[], kinds: readonly LoadKind[]): string {
  return sessions
    .map(({ kind, minutes, exertion, amount }) => {
      const name = kind === kinds[0]?.id ? '' : `${kinds.find(({ id }) => id === kind)?.name ?? kind} `;
      return `${name}${minutes}${exertion === null ? '' : ` ${exertion}`}${amount === null ? '' : ` #${amount}`}`;
    })
    .join('; ');
}
