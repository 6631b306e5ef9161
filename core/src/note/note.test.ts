import fc from 'fast-check';
import { findEntry } from '../catalogue/index.ts';
import { homeItem } from '../home/index.ts';
import { compile, newBlock, SLOW_BREATH } from '../method/index.ts';
import { NOTHING_KNOWN } from '../measure/index.ts';
import type { NoteEdits, Reading, StoredRunEvent, VisitFile } from '../record/index.ts';
import type { RunEvent } from '../table/index.ts';
import {
  checkLayout,
  draftNote,
  editSentence,
  NOTE_LAYOUTS,
  noteText,
  standingSentences,
  type NoteFacts,
  type NoteSentence,
} from './index.ts';

const reading = (motionId: string, side: Reading['side'], moment: Reading['moment'], trials: readonly number[]): Reading =>
  ({
    id: `${motionId}/${side}/${moment}`,
    visitId: 'v',
    motionId,
    side,
    moment,
    mode: 'passive',
    instrument: 'goniometer',
    trials,
    value: trials.reduce((sum, each) => sum + each, 0) / trials.length,
    examinerId: 'me',
    takenAt: '2026-11-28T09:28:00.000Z',
  }) as never;

const VISIT = {
  id: 'v',
  complaint: 'left hip will not open',
  complaintRegion: 'hip',
  complaintSide: 'left',
  complaintScore: 4,
  changed: '',
  trainingSince: '',
  trainingNext: '',
  lookFirst: 'left calf',
} as unknown as VisitFile['visit'];
const facts = (more: Partial<NoteFacts> = {}): NoteFacts => ({
  visit: VISIT,
  readings: [],
  findings: [],
  answers: [{ id: 'a', at: '', by: 'Marit Voss', answers: {}, notAsked: null }],
  overrides: [],
  runs: [],
  past: [],
  errors: NOTHING_KNOWN,
  person: { birthDate: '2001-01-01', referenceSex: 'female', sports: [] } as never,
  onDay: '2026-11-28',
  nameOf: (id) => (id === 'me' ? 'Marit Voss' : null),
  timeOf: (instant) => instant.slice(11, 16),
  ...more,
});
const text = (draft: readonly NoteSentence[], key: string) => draft.find((each) => each.key === key)?.text;

const line = compile([newBlock('b', 'hamstring-heel-on-shoulder', 'cr-breath', ['left', 'right'])], {
  breath: SLOW_BREATH,
  edgeOf: () => 60,
});
const run = (events: readonly RunEvent[], clockRate = 1): VisitFile['runs'][number] => ({
  id: 'r',
  visitId: 'v',
  line,
  clockRate,
  startedAt: '2026-11-28T09:40:00.000Z',
  events: events.map((event, i): StoredRunEvent => ({ id: String(i), seq: i + 1, event })),
});
const at = (atMs: number, kind: string, extra: object = {}) => ({ atMs, kind, ...extra }) as RunEvent;

describe('the draft', () => {
  test('says what they said, with place and number, and that the stop questions were asked', () => {
    const draft = draftNote(facts());
    expect(text(draft, 'said/complaint')).toBe('Left hip will not open (left hip), 4 of 10.');
    expect(text(draft, 'said/stop')).toBe('None of the stop questions.');
    expect(text(draft, 'next/look-first')).toBe('Next time, first: left calf.');
    const silent = draftNote(facts({ answers: [{ id: 'a', at: '', by: 'Marit Voss', answers: {}, notAsked: 'in a hurry' }] }));
    expect(text(silent, 'said/stop')).toBe('The stop questions were not asked: in a hurry.');
    expect(draftNote(facts({ answers: [] })).some(({ key }) => key === 'said/stop')).toBe(false);
  });

  test('invents nothing: what was not measured is said to be not measured, or not mentioned', () => {
    const draft = draftNote(facts({ visit: { ...VISIT, complaint: ' ', lookFirst: '' } as never, answers: [] }));
    expect(draft.map(({ key, text: words }) => [key, words])).toEqual([
      ['found/nothing-read', 'Range was not measured before work.'],
      ['done/nothing', 'Nothing was run at the table.'],
    ]);
  });

  test('readings before and after, each with its trials, in the words of the measured verdict', () => {
    const readings = [
      reading('straight-leg-raise', 'left', 'before', [55, 56, 54]),
      reading('straight-leg-raise', 'right', 'before', [70, 70, 70]),
      reading('straight-leg-raise', 'left', 'after', [75, 75, 75]),
    ];
    const draft = draftNote(facts({ readings }));
    expect(text(draft, 'found/straight-leg-raise')).toMatch(/^Straight-leg raise, supine.*: left 55\.0°, right 70\.0°; .*real/);
    const after = draft.find(({ key }) => key === 'answered/straight-leg-raise/left')!;
    expect(after.text).toMatch(/from 55\.0° to 75\.0°, \+20\.0°: a real gain, past the default error of ±/);
    expect(after.trace).toBe(
      'left: trials 55°, 56°, 54°, goniometer, before work, Marit Voss, 09:28; left: trials 75°, 75°, 75°, goniometer, after work, Marit Voss, 09:28',
    );
    expect(text(draft, 'answered/not-read-again')).toBe('Not read again: straight-leg raise right.');
  });

  test('every number of a reading sentence is a number of its data, whatever was read', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 20, max: 110 }), { minLength: 1, maxLength: 3 }),
        fc.array(fc.integer({ min: 20, max: 110 }), { minLength: 1, maxLength: 3 }),
        (before, after) => {
          const mean = (values: readonly number[]) => (values.reduce((sum, each) => sum + each, 0) / values.length).toFixed(1);
          const readings = [reading('straight-leg-raise', 'left', 'before', before), reading('straight-leg-raise', 'left', 'after', after)];
          const words = text(draftNote(facts({ readings })), 'answered/straight-leg-raise/left')!;
          expect(words).toContain(`from ${mean(before)}° to ${mean(after)}°`);
        },
      ),
    );
  });

  test('what was done comes from what happened at the table; a walk-through is no treatment', () => {
    const events = [
      at(0, 'start'),
      at(1000, 'go'),
      at(1200, 'go'),
      at(30_000, 'discomfort', { score: 3 }),
      at(40_000, 'more'),
      at(52_000, 'leave'),
      at(53_000, 'finish'),
    ];
    const draft = draftNote(facts({ runs: [run(events)] }));
    const left = text(draft, 'done/1/0/left')!;
    expect(left).toMatch(
      /^Hamstrings, straight leg, breath-led contract-relax, left: \d of 3 rounds, .*discomfort at most 3 of 10, the rest left by choice\.$/,
    );
    expect(text(draft, 'done/1/0/right')).toBe('Not done: hamstrings, straight leg, breath-led contract-relax, right.');
    expect(text(draftNote(facts({ runs: [run(events, 30)] })), 'done/nothing')).toBe('Nothing was run at the table.');
  });

  test('a round more than planned is said as one', () => {
    const once = compile(
      [{ ...newBlock('b', 'hamstring-heel-on-shoulder', 'static-hold', ['left']), sides: [{ side: 'left', rounds: 1 }] }],
      {
        breath: SLOW_BREATH,
        edgeOf: () => 60,
      },
    );
    const events = [at(0, 'start'), at(1000, 'go'), at(2000, 'more'), at(200_000, 'finish')];
    expect(text(draftNote(facts({ runs: [{ ...run(events), line: once }] })), 'done/1/0/left')).toContain('2 rounds, 1 planned');
  });

  test('keys are unique, begin with their part, and every sentence says where it comes from', () => {
    const readings = [reading('straight-leg-raise', 'left', 'before', [55]), reading('hip-flexion', 'left', 'before', [100])];
    const draft = draftNote(facts({ readings, runs: [run([at(0, 'start'), at(9000, 'finish')])] }));
    expect(new Set(draft.map(({ key }) => key)).size).toBe(draft.length);
    for (const each of draft)
      expect([each.key.startsWith(`${each.part}/`), each.trace !== '', /[.!?]$/.test(each.text)]).toEqual([true, true, true]);
  });
});

describe('what was changed by hand', () => {
  const sentence = (key: string, words: string): NoteSentence => ({ key, part: 'said', text: words, trace: 'answered on arrival' });
  const draft = [sentence('said/a', 'One.'), sentence('said/b', 'Two.')];

  test('stays when the data change, and says that they did; what was not touched follows the data', () => {
    const edits = editSentence({}, draft, 'said/a', 'Mine.');
    const later = [sentence('said/a', 'One, now.'), sentence('said/b', 'Two, now.')];
    const [a, b] = standingSentences(later, edits);
    expect(a).toMatchObject({ text: 'Mine.', byHand: true, record: 'One, now.', isOutdated: true });
    expect(b).toMatchObject({ text: 'Two, now.', byHand: false, isOutdated: false });
  });

  test('left out, it is not in the text; taken back to the record’s words, it is no change any more', () => {
    const edits = editSentence({}, draft, 'said/a', '');
    expect(noteText(standingSentences(draft, edits), ' And mine. ', NOTE_LAYOUTS[0]!)).toBe('Said\nTwo.\n\nAnd mine.');
    expect(editSentence(edits, draft, 'said/a', 'One.')).toEqual({});
  });

  test('nothing written by hand is ever lost, whatever becomes of the record', () => {
    const words = fc.string({ minLength: 1, maxLength: 30 }).filter((each) => each.trim() !== '');
    const keys = fc.constantFrom('said/a', 'said/b', 'found/x', 'done/1/0/left', 'answered/y', 'next/z');
    fc.assert(
      fc.property(
        fc.array(fc.tuple(keys, words), { maxLength: 8 }),
        fc.subarray(['said/a', 'said/b', 'found/x', 'next/z']),
        (typed, left) => {
          const whole = ['said/a', 'said/b', 'found/x', 'done/1/0/left', 'answered/y', 'next/z'].map((key) => ({
            ...sentence(key, `The record of ${key}.`),
            part: key.split('/')[0] as never,
          }));
          const edits = typed.reduce<NoteEdits>((all, [key, mine]) => editSentence(all, whole, key, mine), {});
          const later = whole.filter(({ key }) => left.includes(key));
          const stands = standingSentences(later, edits);
          for (const layout of NOTE_LAYOUTS) {
            const note = noteText(stands, '', layout);
            for (const edit of Object.values(edits)) expect(note).toContain(edit.text);
          }
        },
      ),
    );
  });
});

describe('layouts', () => {
  test('three to begin with, each with every part once', () => {
    expect(NOTE_LAYOUTS.map(checkLayout)).toEqual([[], [], []]);
    // Common practice: the four headings of a problem-oriented record, in this order.
    expect(NOTE_LAYOUTS[1]!.sections.map(({ heading }) => heading)).toEqual(['Subjective', 'Objective', 'Assessment', 'Plan']);
  });

  test('a part that is missing, twice or under no words is told at its place', () => {
    const [first, ...others] = NOTE_LAYOUTS[0]!.sections;
    expect(checkLayout({ sections: others })[0]!.path).toBe('sections');
    expect(checkLayout({ sections: [first!, first!, ...others] })[0]!.message).toContain('said');
    expect(checkLayout({ sections: [{ ...first!, heading: ' ' }, ...others] })[0]!.path).toBe('sections.0.heading');
  });

  test('the order of the headings is the order of the text', () => {
    const draft = draftNote(facts());
    for (const layout of NOTE_LAYOUTS) {
      const note = noteText(standingSentences(draft, {}), '', layout);
      const places = layout.sections.map(({ heading }) => note.indexOf(`${heading}\n`)).filter((place) => place >= 0);
      expect(places).toEqual([...places].sort((a, b) => a - b));
    }
  });
});

test('home work: what they say they did, exercise by exercise, and what goes home now; what was not asked is not mentioned', () => {
  const item = homeItem('b', findEntry('home-bridge')!, ['midline']);
  const other = homeItem('s', findEntry('home-front-of-shin')!, ['left']);
  const lastHome = {
    items: [item, other],
    until: '2026-11-30',
    words: '',
    revision: 1,
    visitId: 'v0',
    startsAt: '2026-11-18T09:00:00.000Z',
    askedBefore: false,
  };
  const draft = draftNote(
    facts({
      lastHome,
      homeAnswers: { sheetOf: 'v0', answers: { b: 'most' }, revision: 1 },
      home: { items: [other], until: '2026-12-02', words: '', revision: 1 },
      nextVisitAt: '2026-12-02T09:00:00.000Z',
      dayWords: () => '2 Dec',
    }),
  );
  expect(text(draft, 'said/home')).toBe('Home work: slow bridge most days.');
  expect(text(draft, 'next/home/home-front-of-shin')).toBe('At home: front of the shin, 15 s each time, 2 left, 1 × a day after training.');
  expect(text(draft, 'next/booked')).toMatch(/^Booked again for 2 Dec, /);
  expect(draftNote(facts({ lastHome, homeAnswers: null })).some(({ key }) => key === 'said/home')).toBe(false);
});
