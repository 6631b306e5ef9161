import { motionOf, muscleFacts, placeWords, type Side } from '../../body/index.ts';
import { findingWords, subjectWords, type StandingFinding } from '../../finding/index.ts';
import { loadKindsOf, type LoadFields } from '../../load/index.ts';
import type { Shelf } from '../../method/index.ts';
import { SCALES, type CheckIn } from '../../readiness/index.ts';
import { blocksInVisits, type PastBlock, type Reading, type Visit } from '../../record/index.ts';
import type { PlayedSport } from '../../sport/index.ts';
import { LOAD_FIELDS } from '../loadTable.ts';
import type { Column, Table } from './table.ts';

/** What rows are told with: names by id, days where the practice is, the shelf, the sports somebody plays. */
export interface TableWords {
  /** The name of an account, or null for one that is gone. */
  readonly nameOf: (accountId: string) => string | null;
  /** The calendar day of an instant. */
  readonly dayOf: (instant: string) => string;
  readonly shelf: Shelf;
  readonly athleteName: string;
  readonly played: readonly PlayedSport[];
}

const SIDES: readonly Side[] = ['left', 'right', 'midline'];
const OF_VISIT = [{ column: 'Visit', table: 'visits', to: 'Visit' }] as const;
const visit = { name: 'Visit', type: 'string', says: 'Id of the visit.', of: (row: { readonly visitId: string }) => row.visitId } as const;
const onDay = <Row>(says: string, of: (row: Row) => string): Column<Row> => ({ name: 'Day', type: 'date', says, of });
const side = {
  name: 'Side',
  type: 'string',
  says: 'Side it is of.',
  values: SIDES,
  of: (row: { readonly side: Side }) => row.side,
} as const;

export const visitsTable = ({ dayOf }: TableWords): Table<Visit> => ({
  title: 'Visits',
  says: 'Every visit, cancelled ones too.',
  key: 'Visit',
  columns: [
    { name: 'Visit', type: 'string', says: 'Id of the visit.', of: ({ id }) => id },
    onDay('Day it is on, where the practice is.', ({ startsAt }) => dayOf(startsAt)),
    { name: 'Starts at', type: 'datetime', says: 'Instant it begins, UTC.', of: ({ startsAt }) => startsAt },
    { name: 'Booked (min)', type: 'integer', says: 'Minutes it is booked for.', of: ({ minutes }) => minutes },
    {
      name: 'Finished at',
      type: 'datetime',
      says: 'Instant it was finished, UTC; empty while it is not.',
      of: ({ finishedAt }) => finishedAt,
    },
    { name: 'Cancelled', type: 'boolean', says: 'Whether it was cancelled.', of: ({ cancelledAt }) => cancelledAt !== null },
    { name: 'Event work', type: 'boolean', says: 'Whether it was work at an event.', of: ({ eventDayId }) => eventDayId !== null },
    { name: 'What brings them', type: 'string', says: 'In their words, on arriving.', of: ({ complaint }) => complaint || null },
    {
      name: 'Where',
      type: 'string',
      says: 'Part of the body it is at.',
      of: ({ complaintRegion, complaintSide }) => (complaintRegion === null ? null : placeWords(complaintRegion, complaintSide)),
    },
    {
      name: 'How bad (0–10)',
      type: 'integer',
      says: 'As they say; empty where it was not asked.',
      of: ({ complaintScore }) => complaintScore,
    },
  ],
});

type Read = Reading & { readonly value: number };
const motion: readonly Column<Pick<Reading, 'motionId'>>[] = [
  { name: 'Motion', type: 'string', says: 'Joint and direction.', of: ({ motionId }) => motionOf(motionId).name },
  {
    name: 'Test position',
    type: 'string',
    says: 'What tells this test from its neighbours.',
    of: ({ motionId }) => motionOf(motionId).testPosition,
  },
];
const unit: Column<Pick<Reading, 'motionId'>> = {
  name: 'Unit',
  type: 'string',
  says: 'Degrees of angle or centimetres.',
  values: ['deg', 'cm'],
  of: ({ motionId }) => motionOf(motionId).unit,
};
const when: Column<Pick<Reading, 'moment'>> = {
  name: 'When',
  type: 'string',
  says: 'Before or after the work of the visit.',
  values: ['before work', 'after work'],
  of: ({ moment }) => `${moment} work`,
};

/** Readings that stand: corrected and withdrawn ones are not in it. */
export const readingsTable = ({ nameOf, dayOf }: TableWords): Table<Read> => ({
  title: 'Readings',
  says: 'Readings that stand, oldest first; corrected and withdrawn ones are left out.',
  key: 'Reading',
  refers: OF_VISIT,
  columns: [
    onDay('Day it was taken, where the practice is.', ({ takenAt }) => dayOf(takenAt)),
    ...motion,
    side,
    when,
    { name: 'Value', type: 'number', says: 'Mean of the trials, in the unit.', of: ({ value }) => value },
    unit,
    { name: 'Trials', type: 'integer', says: 'How many trials it is the mean of.', of: ({ trials }) => trials.length },
    { name: 'Mode', type: 'string', says: 'Who moves the limb.', values: ['passive', 'active'], of: ({ mode }) => mode },
    { name: 'Instrument', type: 'string', says: 'What it was read with.', of: ({ instrument }) => instrument },
    {
      name: 'Read by',
      type: 'string',
      says: 'Name of the examiner.',
      of: ({ examinerId }) => (examinerId === null ? null : nameOf(examinerId)),
    },
    { name: 'Reading', type: 'string', says: 'Id of the reading.', of: ({ id }) => id },
    visit,
  ],
});

export interface Trial {
  readonly reading: Reading;
  /** 1 for the first. */
  readonly nth: number;
  readonly value: number;
}
export const trialsOf = (readings: readonly Reading[]): Trial[] =>
  readings.flatMap((reading) => reading.trials.map((value, i) => ({ reading, nth: i + 1, value })));

export const trialsTable = (): Table<Trial> => ({
  title: 'Trials',
  says: 'Every trial of the readings that stand.',
  refers: [{ column: 'Reading', table: 'readings', to: 'Reading' }],
  columns: [
    { name: 'Reading', type: 'string', says: 'Id of the reading it is of.', of: ({ reading }) => reading.id },
    { name: 'Trial', type: 'integer', says: 'Which one, 1 for the first.', of: ({ nth }) => nth },
    { name: 'Value', type: 'number', says: 'As it was read, in the unit.', of: ({ value }) => value },
    { ...unit, of: ({ reading }) => unit.of(reading) },
  ],
});

/** Findings that stand, each in one line of words. */
export const findingsTable = ({ nameOf, dayOf }: TableWords): Table<StandingFinding> => ({
  title: 'Findings',
  says: 'What was found by hand and eye and stands; corrected and withdrawn ones are left out.',
  key: 'Finding',
  refers: OF_VISIT,
  columns: [
    onDay('Day it was found, where the practice is.', ({ foundAt }) => dayOf(foundAt)),
    { name: 'Kind', type: 'string', says: 'What kind of finding it is.', of: ({ kind }) => kind },
    { name: 'About', type: 'string', says: 'What was looked at or felt.', of: (each) => subjectWords(each) },
    side,
    when,
    { name: 'Found', type: 'string', says: 'What was found, in one line.', of: (each) => findingWords(each) },
    {
      name: 'Strongest press (N)',
      type: 'number',
      says: 'The best trial against the force gauge.',
      of: (each) => (each.kind === 'force' ? Math.max(...each.data.trialsN) : null),
    },
    {
      name: 'Tenderness (0–10)',
      type: 'integer',
      says: 'Under the finger; empty where it was not asked.',
      of: (each) => (each.kind === 'point' ? each.data.tenderness : null),
    },
    { name: 'Found by', type: 'string', says: 'Name of who found it.', of: ({ foundBy }) => nameOf(foundBy) },
    { name: 'Finding', type: 'string', says: 'Id of the finding.', of: ({ id }) => id },
    visit,
  ],
});

export interface SideOfBlock {
  readonly block: PastBlock;
  readonly nth: number;
  readonly side: PastBlock['sides'][number];
}
/** Blocks that were done, a row for each side; `nth` counts the blocks of a visit. */
export const blockSides = (blocks: readonly PastBlock[]): SideOfBlock[] =>
  blocksInVisits(blocks).flatMap(({ block, nth }) => block.sides.map((side) => ({ block, nth, side })));

const seconds = (part: 'heldS' | 'workedS' | 'pressedS', name: string, says: string): Column<SideOfBlock> => ({
  name,
  type: 'number',
  says,
  of: ({ side: { work } }) => (work === undefined ? null : Math.round(10 * work.reduce((sum, each) => sum + each[part], 0)) / 10),
});

export const blocksTable = ({ dayOf, shelf }: TableWords): Table<SideOfBlock> => ({
  title: 'Blocks done',
  says: 'What was done at the table, as it happened: a row for each side of a block of which a round was finished.',
  refers: OF_VISIT,
  columns: [
    onDay('Day of the visit, where the practice is.', ({ block }) => dayOf(block.startsAt)),
    { name: 'Block', type: 'integer', says: 'Which block of the visit, 1 for the first.', of: ({ nth }) => nth },
    { name: 'Entry', type: 'string', says: 'What was done.', of: ({ block }) => shelf.entries.get(block.entryId)?.name ?? block.entryId },
    {
      name: 'Way of working',
      type: 'string',
      says: 'How it was done.',
      of: ({ block }) => shelf.methods.get(block.methodId)?.name ?? block.methodId,
    },
    { name: 'Motion', type: 'string', says: 'The motion it is for.', of: ({ block }) => motionOf(block.motionId).name },
    { name: 'Side', type: 'string', says: 'Side the motion is of.', values: SIDES, of: ({ side: each }) => each.side },
    { name: 'Rounds', type: 'integer', says: 'Rounds that were finished.', of: ({ side: each }) => each.rounds },
    seconds('heldS', 'At end range (s)', 'Seconds at end range; empty where they were not counted yet.'),
    seconds('workedS', 'Worked (s)', 'Seconds of work; empty where they were not counted yet.'),
    seconds('pressedS', 'Pressed (s)', 'Seconds the athlete pressed; empty where they were not counted yet.'),
    {
      name: 'Effort (%)',
      type: 'number',
      says: 'The hardest press, per cent of all they can; empty where nobody pressed.',
      of: ({ side: { work } }) => (work && Math.max(0, ...work.map(({ effortPct }) => effortPct))) || null,
    },
    { ...visit, of: ({ block }) => block.visitId },
  ],
});

/** Sessions that were done, with the headings under which a table of loads is read in again; what is only planned is in the calendar. */
export function loadsTable({ athleteName, played }: Pick<TableWords, 'athleteName' | 'played'>): Table<LoadFields> {
  const kinds = loadKindsOf(played);
  const columns: Record<(typeof LOAD_FIELDS)[number]['id'], Omit<Column<LoadFields>, 'name'>> = {
    athlete: { type: 'string', says: 'Name.', of: () => athleteName },
    date: { type: 'date', says: 'Day it was done.', of: ({ onDate }) => onDate },
    kind: { type: 'string', says: 'What was trained.', of: ({ kind }) => kinds.find(({ id }) => id === kind)?.name ?? kind },
    minutes: { type: 'number', says: 'How long, in minutes.', of: ({ minutes }) => minutes },
    exertion: { type: 'number', says: 'How hard, 0 to 10, as they say.', of: ({ exertion }) => exertion },
    amount: { type: 'number', says: 'How much, in what the kind of training counts: metres, throws, lifts.', of: ({ amount }) => amount },
  };
  return {
    title: 'Loads',
    says: 'Sessions that were done. Planned ones are left out.',
    columns: LOAD_FIELDS.map(({ id, label }) => ({ name: label, ...columns[id] })),
  };
}

/** The check-ins that stand, one a day: a column for every item of every scale, empty where it was not asked. */
export function checkInsTable(): Table<CheckIn> {
  const items = SCALES.flatMap((scale) => scale.items.map((item) => ({ scale, item })));
  return {
    title: 'Check-ins',
    says: 'What was answered in the morning, the last of a day. Corrected ones are left out.',
    columns: [
      onDay('Day it is for.', ({ onDate }) => onDate),
      { name: 'Entered at', type: 'datetime', says: 'Instant it was entered, UTC.', of: ({ at }) => at },
      { name: 'Entered by', type: 'string', says: 'Who entered it.', of: ({ by }) => by },
      ...items.map(({ scale, item }): Column<CheckIn> => ({
        name: `${item.name} (${scale.lowest}–${scale.highest})`,
        type: 'integer',
        says: `${scale.lowest}: ${item.ends[0]}, ${scale.highest}: ${item.ends[1]}. Empty where the other scale was asked.`,
        of: ({ scale: asked, answers }) => (scale.id === asked ? ((answers as Readonly<Record<string, number>>)[item.id] ?? null) : null),
      })),
      { name: 'Hours slept', type: 'number', says: 'In the night before.', of: ({ hoursSlept }) => hoursSlept },
      {
        name: 'Sore places (0–10)',
        type: 'string',
        says: 'Each with its score; “none” where nothing is sore, empty where it was not asked.',
        of: ({ sore }) =>
          sore === null
            ? null
            : sore.map(({ muscle, side: at, score }) => `${muscleFacts(muscle).name}${at ? ` ${at}` : ''} ${score}`).join('; ') || 'none',
      },
      { name: 'Ill', type: 'boolean', says: 'Empty where it was not asked.', of: ({ ill }) => ill },
      { name: 'Injured', type: 'boolean', says: 'Empty where it was not asked.', of: ({ injured }) => injured },
      { name: 'Travelled', type: 'boolean', says: 'Empty where it was not asked.', of: ({ travelled }) => travelled },
      {
        name: 'Training today',
        type: 'string',
        says: 'Whether they can train.',
        values: ['full', 'part', 'none'],
        of: ({ training }) => training,
      },
      { name: 'rMSSD (ms)', type: 'number', says: 'Of the morning’s heart beats; empty without one.', of: ({ rmssdMs }) => rmssdMs },
    ],
  };
}
