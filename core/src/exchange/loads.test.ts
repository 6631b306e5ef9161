import { SPORTS } from '../sport/index.ts';
import { guessDateOrder, matchLoadColumns, readCalendar, readLoads, readTable, type LoadPerson } from './index.ts';

const kinds = SPORTS.find(({ id }) => id === 'running')!.loadKinds;
const PEOPLE: readonly LoadPerson[] = [
  { id: 'a', name: 'Ada Long', kinds },
  { id: 'z', name: 'Zoë Brand', kinds },
  { id: 'b1', name: 'Bea Same', kinds },
  { id: 'b2', name: 'Bea Same', kinds },
  { id: 'n', name: 'No Sport', kinds: [] },
];
const TODAY = '2026-11-25';
const read = (text: string, remembered: Record<string, string | null> | null = null) => {
  const table = readTable(text);
  const columns = matchLoadColumns(table.header, remembered);
  const dates = table.rows.map((row) => row[columns.date ?? 0] ?? '');
  return { columns, ...readLoads(table, columns, guessDateOrder(dates), PEOPLE, TODAY) };
};

describe('a table of sessions', () => {
  test('is read whatever its headings are called, with clock times and decimal commas', () => {
    const { rows, problems } = read(
      'Player;Date;Type;Duration;RPE;Distance\nada long;24.11.2026;easy run;0:45;3,5;8000\nZoe Brand;13.11.2026;;60;;\n',
    );
    expect(problems).toEqual([]);
    expect(
      rows.map(({ athleteId, onDate, kind, minutes, exertion, amount }) => [athleteId, onDate, kind, minutes, exertion, amount]),
    ).toEqual([
      ['a', '2026-11-24', 'easy-run', 45, 3.5, 8000],
      ['z', '2026-11-13', 'easy-run', 60, null, null],
    ]);
  });

  test('every bad row is named with its place, and gives nothing', () => {
    const { rows, problems } = read(
      'name,date,what,minutes,rpe,amount\nNobody,2026-11-24,easy run,60,5,\nBea Same,2026-11-24,easy run,60,5,\nAda Long,2026-11-31,swim,0,11,-1\nNo Sport,2026-11-24,,60,5,\nAda Long,2026-12-24,easy run,60,5,\nAda Long,2026-11-24,easy run,60,5,\n',
    );
    expect(rows.map(({ row }) => row)).toEqual([7]);
    expect(problems.map(({ row, field }) => [row, field])).toEqual([
      [2, 'athlete'],
      [3, 'athlete'],
      [4, 'date'],
      [4, 'kind'],
      [4, 'minutes'],
      [4, 'exertion'],
      [4, 'amount'],
      [5, 'kind'],
      [6, 'date'],
    ]);
    expect(problems[1]!.message).toContain('2 people');
  });

  test('the same file gives the same keys, two alike sessions of a day two keys', () => {
    const text = 'name,date,minutes,rpe\nAda Long,2026-11-24,60,5\nAda Long,2026-11-24,60,5\n';
    const keys = read(text).rows.map(({ key }) => key);
    expect(new Set(keys).size).toBe(2);
    expect(read(text).rows.map(({ key }) => key)).toEqual(keys);
  });

  test('the columns of the last time are found again, and a heading that is gone falls back to what is known', () => {
    expect(matchLoadColumns(['Who', 'When', 'min'], { athlete: 'Who', date: 'When', kind: null, minutes: 'Minutes of it' })).toMatchObject({
      athlete: 0,
      date: 1,
      minutes: 2,
    });
  });
});

/** RFC 5545, sections 3.6.1, 3.8.5: recurrence, exception dates, an occurrence that was moved, one that was cancelled. */
const CALENDAR = `BEGIN:VCALENDAR
VERSION:2.0
PRODID:-//example//EN
BEGIN:VTIMEZONE
TZID:Europe/Berlin
BEGIN:STANDARD
DTSTART:19961027T030000
TZOFFSETFROM:+0200
TZOFFSETTO:+0100
RRULE:FREQ=YEARLY;BYMONTH=10;BYDAY=-1SU
END:STANDARD
BEGIN:DAYLIGHT
DTSTART:19810329T020000
TZOFFSETFROM:+0100
TZOFFSETTO:+0200
RRULE:FREQ=YEARLY;BYMONTH=3;BYDAY=-1SU
END:DAYLIGHT
END:VTIMEZONE
BEGIN:VEVENT
UID:row@example
DTSTART;TZID=Europe/Berlin:20261019T063000
DTEND;TZID=Europe/Berlin:20261019T080000
RRULE:FREQ=WEEKLY;BYDAY=MO
EXDATE;TZID=Europe/Berlin:20261102T063000
SUMMARY:Water
END:VEVENT
BEGIN:VEVENT
UID:row@example
RECURRENCE-ID;TZID=Europe/Berlin:20261109T063000
DTSTART;TZID=Europe/Berlin:20261110T170000
DTEND;TZID=Europe/Berlin:20261110T180000
SUMMARY:Water, moved
END:VEVENT
BEGIN:VEVENT
UID:late@example
DTSTART:20261023T230000Z
DTEND:20261023T233000Z
SUMMARY:Late in UTC
END:VEVENT
BEGIN:VEVENT
UID:camp@example
DTSTART;VALUE=DATE:20261024
SUMMARY:Camp
END:VEVENT
BEGIN:VEVENT
UID:off@example
DTSTART:20261021T100000
DTEND:20261021T110000
STATUS:CANCELLED
SUMMARY:Off
END:VEVENT
END:VCALENDAR
`.replace(/\n/g, '\r\n');
const berlin = (instant: string) => new Date(Date.parse(instant) + 2 * 3_600_000).toISOString().slice(0, 10);

describe('a training calendar', () => {
  test('recurrences, an exception date, a moved occurrence, a day of clock change in between, all-day and cancelled ones', () => {
    const found = readCalendar(CALENDAR, '2026-10-19', '2026-11-16', berlin);
    expect(found).toMatchObject({ kind: 'sessions', skipped: 2 });
    expect(found.kind === 'sessions' && found.sessions.map(({ onDate, name, minutes }) => [onDate, name, minutes])).toEqual([
      ['2026-10-19', 'Water', 90],
      ['2026-10-24', 'Late in UTC', 30],
      ['2026-10-26', 'Water', 90],
      ['2026-11-10', 'Water, moved', 60],
      ['2026-11-16', 'Water', 90],
    ]);
  });

  test('every occurrence has a key of its own that stays', () => {
    const keys = () => {
      const found = readCalendar(CALENDAR, '2026-10-19', '2026-11-16', berlin);
      return found.kind === 'sessions' ? found.sessions.map(({ key }) => key) : [];
    };
    expect(new Set(keys()).size).toBe(5);
    expect(keys()).toEqual(keys());
  });

  test.each([
    '',
    'name,date\n1,2',
    'BEGIN:VCARD\r\nFN:A\r\nEND:VCARD\r\n',
    'BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nDTSTART:rubbish\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n',
  ])('%j gives nothing or says so, and never throws', (text) => {
    const found = readCalendar(text, '2026-10-19', '2026-11-16', berlin);
    expect(found.kind === 'unreadable' || found.sessions.length === 0).toBe(true);
  });

  test('a rule without an end ends with the span that was asked for', () => {
    const endless = CALENDAR.replace('FREQ=WEEKLY;BYDAY=MO', 'FREQ=DAILY');
    const found = readCalendar(endless, '2026-10-19', '2027-10-19', berlin);
    expect(found.kind === 'sessions' && found.sessions.length).toBeLessThan(380);
  });
});
