import fc from 'fast-check';
import ical from 'node-ical';
import { daysBetween } from '../caution/index.ts';
import { addDays } from '../load/index.ts';
import { PHASE_IDS, PHASE_NAMES, type Block } from '../season/index.ts';
import { readCalendar, readEvents, seasonCalendar, type SeasonCalendar } from './index.ts';

/** Judge: node-ical, a general-purpose parser of iCalendar (RFC 5545) that is no part of the program. */
const judged = (text: string) => Object.values(ical.sync.parseICS(text)).filter((each) => each?.type === 'VEVENT');
/** The calendar day of a whole-day value, which this parser gives as local midnight. */
const localDay = (date: Date) =>
  `${date.getFullYear()}-${String(date.getMonth() + 1).padStart(2, '0')}-${String(date.getDate()).padStart(2, '0')}`;

const AT = '2026-11-27T10:00:00.000Z';
const FROM = '2026-11-02';
const block = (phase: Block['phase'], from: string, until: string): Block => ({ phase, from, until, fromAnchor: null, untilAnchor: null });
const SEASON: SeasonCalendar = {
  name: 'Men’s eight',
  lines: [
    {
      ownerId: 'o',
      name: 'Men’s eight',
      blocks: [block('build', FROM, '2026-11-30'), block('compete', '2026-12-01', '2026-12-05')],
      stays: [
        { id: 's', kind: 'camp', name: 'Winter camp, by the weir; all of us', from: '2026-12-28', until: '2027-01-03', visits: true },
      ],
    },
  ],
  events: [{ id: 'e', name: 'Head race', onDate: '2026-12-05', importance: 1 }],
  visits: [{ id: 'v', startsAt: '2026-12-01T08:30:00.000Z', minutes: 45, who: 'Ines Okkonen' }],
};

describe('a season as iCalendar', () => {
  test('another parser reads the same days, times and names, commas and semicolons among them', () => {
    const found = judged(seasonCalendar(SEASON, AT));
    const whole = found
      .filter((each) => each.datetype === 'date')
      .map((each) => [each.summary, localDay(each.start), daysBetween(localDay(each.start), localDay(each.end))]);
    expect(whole).toEqual([
      ['Build', FROM, 29],
      ['Compete', '2026-12-01', 5],
      ['Winter camp, by the weir; all of us', '2026-12-28', 7],
      ['Head race', '2026-12-05', 1],
    ]);
    const [visit] = found.filter((each) => each.datetype !== 'date');
    expect([visit!.summary, visit!.start.toISOString(), visit!.end.toISOString()]).toEqual([
      'Visit: Ines Okkonen',
      '2026-12-01T08:30:00.000Z',
      '2026-12-01T09:15:00.000Z',
    ]);
  });

  test('whatever is in it, every line is at most 75 octets, ends as the standard says, and every entry has its own name', () => {
    const names = fc
      .string({ unit: 'grapheme', minLength: 1, maxLength: 60 })
      .filter((name) => name.trim() !== '' && !/[\u0000-\u001f\u007f]/.test(name));
    fc.assert(
      fc.property(
        fc.array(fc.record({ phase: fc.constantFrom(...PHASE_IDS), days: fc.integer({ min: 1, max: 50 }) }), { maxLength: 12 }),
        names,
        names,
        (parts, event, who) => {
          let at = FROM;
          const blocks = parts.map(({ phase, days }) => {
            const from = at;
            at = addDays(at, days);
            return block(phase, from, addDays(at, -1));
          });
          const text = seasonCalendar(
            {
              ...SEASON,
              lines: [{ ...SEASON.lines[0]!, blocks, stays: [] }],
              events: [{ id: 'e', name: event, onDate: FROM, importance: 2 }],
              visits: [{ id: 'v', startsAt: AT, minutes: 30, who }],
            },
            AT,
          );
          // RFC 5545, 3.1: lines end in CRLF and are folded at 75 octets.
          expect(text.endsWith('\r\n')).toBe(true);
          for (const line of text.split('\r\n')) {
            expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
            expect(line).not.toContain('\n');
          }
          const found = judged(text);
          expect(found).toHaveLength(blocks.length + 2);
          expect(new Set(found.map(({ uid }) => uid)).size).toBe(found.length);
          blocks.forEach(({ phase, from }, i) =>
            expect([found[i]!.summary, localDay(found[i]!.start)]).toEqual([PHASE_NAMES[phase], from]),
          );
        },
      ),
      { numRuns: 60 },
    );
  });

  test('read in again here: whole days are events, times are sessions, nothing is lost on the way', () => {
    const text = seasonCalendar(SEASON, AT);
    const dayOf = (instant: string) => instant.slice(0, 10);
    const events = readEvents(text, '2026-01-01', '2027-12-31', dayOf);
    expect(events).toMatchObject({
      kind: 'events',
      skipped: 0,
      events: [
        { name: 'Build', onDate: FROM, allDay: true },
        { name: 'Compete', onDate: '2026-12-01', allDay: true },
        { name: 'Visit: Ines Okkonen', onDate: '2026-12-01', allDay: false },
        { name: 'Head race', onDate: '2026-12-05', allDay: true, key: 'ical/event-e@pace-bend' },
        { name: 'Winter camp, by the weir; all of us', onDate: '2026-12-28', allDay: true },
      ],
    });
    expect(readCalendar(text, '2026-01-01', '2027-12-31', dayOf)).toMatchObject({
      kind: 'sessions',
      sessions: [{ minutes: 45 }],
      skipped: 4,
    });
  });

  test('an event that comes once keeps its key when its day changes; one that comes again has one for each time', () => {
    const of = (start: string, more = '') =>
      readEvents(
        `BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//x//EN\r\nBEGIN:VEVENT\r\nUID:u\r\nDTSTART;VALUE=DATE:${start}\r\n${more}SUMMARY:Cup\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n`,
        '2026-01-01',
        '2027-12-31',
        (instant) => instant.slice(0, 10),
      );
    const keys = (read: ReturnType<typeof of>) => (read.kind === 'events' ? read.events.map(({ key }) => key) : []);
    expect(keys(of('20261205'))).toEqual(keys(of('20261209')));
    expect(new Set(keys(of('20261205', 'RRULE:FREQ=WEEKLY;COUNT=4\r\n'))).size).toBe(4);
    expect(readEvents('nonsense', '2026-01-01', '2027-12-31', (instant) => instant).kind).toBe('unreadable');
  });
});
