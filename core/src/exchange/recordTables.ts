import Papa from 'papaparse';
import { motionOf, muscleFacts } from '../body/index.ts';
import { loadKindsOf, type LoadFields } from '../load/index.ts';
import { SCALES, standing, type CheckIn } from '../readiness/index.ts';
import type { PastReading } from '../record/index.ts';
import type { PlayedSport } from '../sport/index.ts';
import { LOAD_FIELDS } from './loadTable.ts';
import { harmless } from './squadTable.ts';

/** What of an athlete's record goes out as a table, by the name in its address. */
export const RECORD_TABLES = [
  { id: 'readings', name: 'Readings' },
  { id: 'loads', name: 'Loads' },
  { id: 'check-ins', name: 'Check-ins' },
] as const;
export type RecordTable = (typeof RECORD_TABLES)[number]['id'];

type Cell = string | number | boolean | null;

/** Text as no spreadsheet runs it, numbers as they are (a minus begins no formula there), what is missing empty. */
const written = (cell: Cell): string =>
  cell === null ? '' : typeof cell === 'number' ? String(cell) : typeof cell === 'boolean' ? (cell ? 'yes' : 'no') : harmless(cell);

/** RFC 4180: commas, quotes doubled, lines ended by CR LF, a heading first. */
const asCsv = (heading: readonly string[], rows: readonly (readonly Cell[])[]): string =>
  `${Papa.unparse([[...heading], ...rows.map((row) => row.map(written))], { newline: '\r\n' })}\r\n`;

/**
 * Readings that stand, oldest first, as CSV. `nameOf`: the name of an examiner by id; `dayOf`: the calendar day of an instant where the practice is.
 */
export function readingsCsv(
  readings: readonly PastReading[],
  nameOf: (examinerId: string) => string | null,
  dayOf: (instant: string) => string,
): string {
  return asCsv(
    ['Day', 'Motion', 'Test position', 'Side', 'When', 'Value', 'Unit', 'Trials', 'Instrument', 'Read by'],
    readings.map((each) => {
      const { name, testPosition, unit } = motionOf(each.motionId);
      return [
        dayOf(each.startsAt),
        name,
        testPosition,
        each.side,
        `${each.moment} work`,
        each.value,
        unit,
        each.trialCount ?? null,
        each.instrument,
        each.examinerId === null ? null : nameOf(each.examinerId),
      ];
    }),
  );
}

/** Sessions that were done, as CSV with the headings under which a table of loads is read in again; what is only planned is in the calendar. */
export function loadsCsv(loads: readonly LoadFields[], athleteName: string, played: readonly PlayedSport[]): string {
  const kinds = loadKindsOf(played);
  return asCsv(
    LOAD_FIELDS.map(({ label }) => label),
    loads
      .filter(({ planned }) => !planned)
      .map(({ onDate, kind, minutes, exertion, amount }) => [
        athleteName,
        onDate,
        kinds.find(({ id }) => id === kind)?.name ?? kind,
        minutes,
        exertion,
        amount,
      ]),
  );
}

/** The check-ins that stand, one a day, as CSV: a column for every item of every scale, empty where it was not asked. */
export function checkInsCsv(checkIns: readonly CheckIn[]): string {
  const items = SCALES.flatMap((scale) => scale.items.map((item) => ({ scale, item })));
  return asCsv(
    [
      'Day',
      'Entered at',
      'Entered by',
      ...items.map(({ scale, item }) => `${item.name} (${scale.lowest}–${scale.highest})`),
      'Hours slept',
      'Sore places (0–10)',
      'Ill',
      'Injured',
      'Travelled',
      'Training today',
      'rMSSD (ms)',
    ],
    standing(checkIns).map((each) => [
      each.onDate,
      each.at,
      each.by,
      ...items.map(({ scale, item }) => (scale.id === each.scale ? (each.answers[item.id] ?? null) : null)),
      each.hoursSlept,
      each.sore === null
        ? null
        : each.sore.map(({ muscle, side, score }) => `${muscleFacts(muscle).name}${side ? ` ${side}` : ''} ${score}`).join('; ') || 'none',
      each.ill,
      each.injured,
      each.travelled,
      each.training,
      each.rmssdMs,
    ]),
  );
}
