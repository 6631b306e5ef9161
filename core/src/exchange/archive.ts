/**
 * A whole record, or the whole practice, as one JSON file that another practice can read in. Rows stand in it under the names of the
 * tables and columns they are kept in; `docs/archive.schema.json` says what each may hold.
 *
 * It is read in piece by piece: first what the practice shares (`shared`), then one athlete after another, each of them whole or not at all.
 * Nothing that stands is changed: a row that is here already is left alone, one that is here with other content is told. The same file
 * read again adds nothing.
 */
export const ARCHIVE_FORMAT = 'pace-bend-archive';
export const ARCHIVE_VERSION = 1;

/** What a file may hold, and one piece of it as it is sent, in bytes; how many athletes there may be in it. */
export const ARCHIVE_LIMITS = { fileBytes: 256 * 1024 * 1024, pieceBytes: 24 * 1024 * 1024, athletes: 2000, accounts: 500 } as const;

export type ArchiveRow = Readonly<Record<string, unknown>>;
/** Rows by table. */
export type ArchiveTables = Readonly<Record<string, readonly ArchiveRow[]>>;

/** Somebody who worked there, without what they sign in with. */
export interface ArchiveAccount {
  readonly id: string;
  readonly name: string;
  readonly role: string;
}

/** What goes before the rows. */
export interface ArchiveHead {
  readonly format: typeof ARCHIVE_FORMAT;
  readonly version: typeof ARCHIVE_VERSION;
  /** The last change of the layout of tables this was written with. */
  readonly layout: string;
  readonly practice: { readonly id: string; readonly name: string };
  readonly accounts: readonly ArchiveAccount[];
}

export interface ArchiveFile extends ArchiveHead {
  readonly takenOutAt: string;
  readonly shared: ArchiveTables;
  readonly athletes: readonly { readonly tables: ArchiveTables }[];
}

/** What becomes of an athlete of the file: somebody new here, or somebody who is here. */
export type PersonChoice = 'new' | { readonly same: string };

/** One piece as it is sent: to be looked at, or to be taken in. */
export interface ArchivePiece {
  readonly head: ArchiveHead;
  /** Rows that belong to nobody alone: all of them in a piece of their own, and with each athlete those that theirs point at. */
  readonly shared: ArchiveTables;
  /** One athlete’s rows; null in the piece that holds what is shared. */
  readonly athlete: ArchiveTables | null;
  /** Columns by table that were worked out from something else: written where a row is new, and not compared where it is here. */
  readonly derived: Readonly<Record<string, readonly string[]>>;
  /** What becomes of the athletes of the file, by the id they have in it. A look without a word about its athlete goes by what it finds. */
  readonly people: Readonly<Record<string, PersonChoice>>;
}

/** How the rows of one table stand: not here yet, here with the same content, here with another, or not to be taken in. */
export interface TableCount {
  readonly table: string;
  readonly fresh: number;
  readonly here: number;
  readonly differs: number;
  readonly left: number;
}

/** A row that is not taken in, and why: other content stands here under its id, its place is taken, or what it belongs to is not here. */
export interface RowLeft {
  readonly table: string;
  readonly key: string;
  readonly why: 'differs' | 'place taken' | 'belongs to nothing here';
  /** The columns that differ. */
  readonly columns: readonly string[];
}

/** Somebody here who may be the athlete of the file. */
export interface SamePerson {
  readonly id: string;
  readonly name: string;
  readonly birthDate: string;
  /** By the record's own id, or by name and birth date. */
  readonly by: 'id' | 'name';
}

/** What a piece holds, held against what is here. */
export interface ArchiveReport {
  readonly counts: readonly TableCount[];
  /** At most a hundred. */
  readonly left: readonly RowLeft[];
  /** Who worked there and has no account here: kept as a name that cannot sign in. */
  readonly newNames: readonly string[];
  /** Who of this practice the athlete of this piece may be; null for what is shared, and where nobody is. */
  readonly same: SamePerson | null;
}

const isObject = (value: unknown): value is Record<string, unknown> => typeof value === 'object' && value !== null && !Array.isArray(value);
const isText = (value: unknown): value is string => typeof value === 'string';
const areTables = (value: unknown): value is ArchiveTables =>
  isObject(value) && Object.values(value).every((rows) => Array.isArray(rows) && rows.every(isObject));

/**
 * The file that a text is, or why it is none. Only its shape is looked at; what the rows hold is checked where they are read in.
 * @example readArchive('{}') // → 'This is not a file of a whole record or practice.'
 */
export function readArchive(text: string): ArchiveFile | string {
  let file: unknown;
  try {
    file = JSON.parse(text);
  } catch {
    return 'This is no JSON file.';
  }
  if (!isObject(file) || file.format !== ARCHIVE_FORMAT) return 'This is not a file of a whole record or practice.';
  if (file.version !== ARCHIVE_VERSION) return 'This file is of another version of the program.';
  const { practice, accounts, shared, athletes, layout, takenOutAt } = file;
  if (!isObject(practice) || !isText(practice.id) || !isText(practice.name) || !isText(layout) || !isText(takenOutAt))
    return 'Where this file comes from does not stand in it.';
  if (!Array.isArray(accounts) || !accounts.every((each) => isObject(each) && isText(each.id) && isText(each.name) && isText(each.role)))
    return 'The people who worked there cannot be read.';
  if (!areTables(shared) || !Array.isArray(athletes) || !athletes.every((each) => isObject(each) && areTables(each.tables)))
    return 'The rows of this file cannot be read.';
  if (athletes.length > ARCHIVE_LIMITS.athletes) return `At most ${ARCHIVE_LIMITS.athletes} athletes in one file.`;
  return file as unknown as ArchiveFile;
}

/** The part of a file that is sent with each of its pieces. */
export function archiveHead({ format, version, layout, practice, accounts }: ArchiveFile): ArchiveHead {
  return {
    format,
    version,
    layout,
    practice: { id: practice.id, name: practice.name },
    accounts: accounts.map(({ id, name, role }) => ({ id, name, role })),
  };
}

/** The pieces of a file in the order in which they are read in: what is shared, then each athlete with the squads and events theirs point at. */
export function archivePieces(file: ArchiveFile, people: ArchivePiece['people'], derived: ArchivePiece['derived'] = {}): ArchivePiece[] {
  const head = archiveHead(file);
  const { squad = [], calendar_event = [] } = file.shared;
  return [
    { head, shared: file.shared, athlete: null, people, derived },
    ...file.athletes.map(({ tables }) => ({ head, shared: { squad, calendar_event }, athlete: tables, people, derived })),
  ];
}

/** Who an athlete of a file is: the row of the table of athletes. Null where there is none, or more than one. */
export function archivePerson(tables: ArchiveTables): { readonly id: string; readonly name: string; readonly birthDate: string } | null {
  const [row, another] = tables.athlete ?? [];
  if (!row || another || !isText(row.id) || !isText(row.name) || !isText(row.birth_date)) return null;
  return { id: row.id, name: row.name, birthDate: row.birth_date };
}
