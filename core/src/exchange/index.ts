export {
  ARCHIVE_FORMAT,
  ARCHIVE_LIMITS,
  ARCHIVE_VERSION,
  archiveHead,
  archivePerson,
  archivePieces,
  readArchive,
  type ArchiveAccount,
  type ArchiveFile,
  type ArchiveHead,
  type ArchivePiece,
  type ArchiveReport,
  type ArchiveRow,
  type ArchiveTables,
  type PersonChoice,
  type RowLeft,
  type SamePerson,
  type TableCount,
} from './archive.ts';
export {
  LICENCES,
  lookIntoShelfFile,
  movedIn,
  MOST_ITEMS,
  shelfFileText,
  versionOf,
  type SeenItem,
  type SeenSport,
  type ShelfFileItem,
  type ShelfFileLook,
  type ShelfFileSport,
} from './shelfFile.ts';
export {
  guessDateOrder,
  harmless,
  matchColumns,
  personKey,
  readDate,
  readSquad,
  readTable,
  SQUAD_FIELDS,
  writeSquad,
  type ColumnMatch,
  type DateOrder,
  type RawTable,
  type RowProblem,
  type SquadField,
  type SquadRow,
} from './squadTable.ts';
export {
  LOAD_FIELDS,
  matchLoadColumns,
  readLoads,
  type LoadColumns,
  type LoadField,
  type LoadPerson,
  type LoadRow,
  type LoadRowProblem,
} from './loadTable.ts';
export { readCalendar, readEvents, type CalendarRead, type EventsRead, type FoundEvent, type PlannedSession } from './calendar.ts';
export {
  matchStartColumns,
  readStarts,
  START_FIELDS,
  type StartColumns,
  type StartField,
  type StartRow,
  type StartRowProblem,
} from './startTable.ts';
export { seasonCalendar, type SeasonCalendar } from './seasonCalendar.ts';
export { dataPackage, practicePackage, recordTables, RECORD_TABLES, type RecordRows, type RecordTable } from './tables/record.ts';
export type { TableWords } from './tables/tables.ts';
