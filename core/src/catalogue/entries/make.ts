import type { Position } from '../../body/index.ts';
import type { Entry, SetUp, Spoken, Tool, ToolLoad } from '../types.ts';

type Defaulted = 'synonyms' | 'also' | 'measured' | 'easier' | 'harder' | 'mover' | 'cautions';

/** Of each position but the first it is said how it is set up; where there is only one, nothing. */
type Places<P extends readonly [Position, ...Position[]]> = P extends readonly [Position, ...infer More extends readonly Position[]]
  ? More extends readonly []
    ? { readonly places?: undefined }
    : { readonly places: Readonly<Record<More[number], SetUp>> }
  : never;

/** What is moved says where to; what is only pressed or drawn says it where a way carries anything at all. */
type Moved = { readonly still?: undefined; readonly lead: string };
type Unmoved = { readonly still: true; readonly lead?: string };

/** An entry with what most of them share left out. A position whose set-up is not said does not compile, nor does a limb that is moved without a word. */
export function entry<const P extends readonly [Position, ...Position[]]>(
  fields: Omit<Entry, Defaulted | 'positions' | 'places' | 'still' | 'lead'> &
    Partial<Pick<Entry, Defaulted>> & { readonly positions: P } & Places<P> &
    (Moved | Unmoved),
): Entry {
  return { synonyms: [], also: [], measured: true, easier: [], harder: [], mover: 'therapist', cautions: 'None of its own.', ...fields };
}

export const uses = (tool: Tool, share: number): ToolLoad => ({ tool, share });

/** Ways of working with the usual ones of an entry before the others. */
export const usually = (usual: readonly [string, ...string[]], ways: readonly string[]): Entry['ways'] => [
  ...usual,
  ...ways.filter((way) => !usual.includes(way)),
];

/** Ways of working that go together. */
export const LENGTHENING = [
  'cr-breath',
  'static-hold',
  'cr-light',
  'cr-firm',
  'cr-backoff',
  'crac',
  'brief-hold',
  'agonist-contract',
  'pulsed',
  'continuous-motion',
] as const;
export const GENTLE = ['cr-light', 'brief-hold', 'static-hold', 'position-of-comfort', 'agonist-contract', 'continuous-motion'] as const;
export const MOBILIZING = ['mobilize-oscillate', 'mobilize-sustained', 'mobilize-movement'] as const;
export const RHYTHM = ['continuous-motion'] as const;
export const PINNING = ['pin-lengthen', 'point-hold', 'inhibit-integrated'] as const;
export const PRESSING = ['point-hold', 'breath-sink', 'line-press'] as const;

/** What is said here where hands keep a rhythm, in place of the way's own word for it. */
export const moving = (text: string, detail: string, works: Spoken['works'] = 'therapist'): Entry['says'] => ({
  'continuous-motion': { Rock: { text, detail, works } },
});
