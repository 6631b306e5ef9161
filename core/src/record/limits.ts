/** What can be entered, in one place for the field, the server's entrance and the message. */
export const LIMITS = {
  nameLength: 120,
  aboutLength: 300,
  complaintLength: 1000,
  noteLength: 8000,
  /** The whole note as it is signed, with what the record says. */
  signedNoteLength: 60_000,
  addendaOfNote: 50,
  visitMinutes: { min: 5, max: 240 },
  breathPeriodMs: { min: 2000, max: 20_000 },
  /** Nobody older than this is on the table; catches 1880. */
  oldestYears: 110,
  blocksInPlan: 40,
  eventsInOneRequest: 500,
  /** Visits that a week books at once. */
  weekBookings: 200,
  clockRate: { min: 1, max: 60 },
  bodyBytes: 512 * 1024,
  /** A squad imported at once, and the size its request may have. */
  importRows: 5000,
  importBytes: 3 * 1024 * 1024,
  squadMembers: 2000,
  eventName: 120,
  goalWords: 250,
  /** What one run may hold, so that a visit's file stays small whatever was run: its rounds, cues and events, and all runs of a visit together as text. */
  roundsInRun: 600,
  cuesInRun: 6000,
  eventsInRun: 4000,
  eventsOfVisit: 5000,
  runBytes: 600 * 1024,
  runsOfVisitBytes: 1200 * 1024,

  lineLength: 120,
  textLength: 1000,
  contacts: 8,
  leverCm: { min: 10, max: 120 },
  reasonLength: { min: 10, max: 1000 },
  listPage: 100,
  squadName: 80,
  sports: 4,
  sportWords: 250,
  /** One session of training, and what is counted in it. */
  loadMinutes: { min: 1, max: 1440 },
  loadAmount: { min: 0, max: 1_000_000 },
  loadsOfDay: 12,
  loadsInRequest: 2000,
  hoursSlept: { min: 0, max: 24 },
  rmssdMs: { min: 1, max: 400 },
  sorePlaces: 20,
  /** Check-ins of one athlete and day: the first and its corrections. */
  checkInsOfDay: 20,
  ownSports: 20,
  /** How finely the day is cut, in minutes. */
  dayGrid: 5,
} as const;

/**
 * What is wrong with a birth date (`YYYY-MM-DD`) on a day, or null.
 * @example checkBirthDate('1880-01-01', '2026-11-25') // → 'A birth date lies between 1916-11-25 and 2026-11-25.'
 */
export function checkBirthDate(birthDate: string, today: string): string | null {
  const earliest = `${Number(today.slice(0, 4)) - LIMITS.oldestYears}${today.slice(4)}`;
  const date = new Date(`${birthDate}T00:00:00Z`);
  const isDay = /^\d{4}-\d{2}-\d{2}$/.test(birthDate) && !Number.isNaN(date.getTime()) && date.toISOString().startsWith(birthDate);
  return isDay && birthDate >= earliest && birthDate <= today ? null : `A birth date lies between ${earliest} and ${today}.`;
}

/**
 * Whether a text is a day of the calendar, `YYYY-MM-DD`, from 1900 on.
 * @example isDay('2026-02-30') // → false
 */
export function isDay(text: string): boolean {
  const date = new Date(`${text}T00:00:00Z`);
  return /^(19|20|21)\d{2}-\d{2}-\d{2}$/.test(text) && !Number.isNaN(date.getTime()) && date.toISOString().startsWith(text);
}
