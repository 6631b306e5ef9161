import { createPinia, setActivePinia } from 'pinia';
import { useOutbox } from './outbox.ts';
import { BLANK_FILE, type AthleteFile, type Condition } from '@pace-bend/core/record';
import { cautionsFor, measuring } from '@pace-bend/core/caution';
import { installBrowser, type Answer, type Sent } from '../testing/browser.ts';
import { useAthlete } from './athlete.ts';

const START: AthleteFile = {
  athlete: {
    ...BLANK_FILE,
    id: 'a',
    revision: 1,
    name: 'Ann',
    birthDate: '1996-03-04',
    referenceSex: 'none',
    sports: [],
    about: '',
    breathPeriodMs: 9000,
  },
  conditions: [],
  noTouch: [],
  squads: [],
  past: [],
  errors: { own: [], shifts: [] },
  goals: [],
  visits: [],
  referredVisitIds: [],
  events: [
    { id: 'e', name: 'Head race', onDate: '2026-11-26', importance: 1, squadId: null, athleteId: null, revision: 1 },
    { id: 'f', name: 'Old one', onDate: '2026-11-24', importance: 2, squadId: null, athleteId: null, revision: 1 },
  ].reverse() as AthleteFile['events'],
};

async function open() {
  let file = START;
  const respond = ({ method, path, body }: Sent): Answer => {
    const sent = body as Record<string, never>;
    if (path.endsWith('/practice'))
      return {
        status: 200,
        body: {
          name: 'P',
          timeZone: 'utc',
          today: '2026-11-25',
          revision: 1,
          scope: { mobilizationGrade: 0, byRegion: {}, frontOfNeck: true, ruleText: '', ruleLink: '' },
        },
      };
    if (method === 'GET') return { status: 200, body: file };
    if (method === 'PATCH') {
      if (sent.revision !== file.athlete.revision)
        return { status: 409, body: { type: '/problems/changed-meanwhile', title: 'Changed meanwhile', detail: 'Somewhere else.' } };
      file = { ...file, athlete: { ...file.athlete, ...sent, revision: file.athlete.revision + 1 } };
      return { status: 200, body: file.athlete };
    }
    if (path.includes('/conditions/') && method === 'PUT')
      return { status: 200, body: { ...sent, id: path.split('/').at(-1), revision: Number(sent.revision) + 1 } };
    if (path.includes('/conditions/')) return { status: 200, body: { conditions: [] } };
    if (path.includes('/no-touch/'))
      return { status: 200, body: { noTouch: method === 'PUT' ? [{ ...sent, id: 'n', since: '2026-11-25T09:00:00.000Z' }] : [] } };
    return { status: 404, body: { type: '/problems/not-found', title: 'Not found', detail: path } };
  };
  const { sent } = installBrowser(respond);
  setActivePinia(createPinia());
  await useOutbox().open('ann');
  const athlete = useAthlete();
  await athlete.load('a');
  return {
    athlete,
    sent,
    now: () => file,
    change: (next: AthleteFile) => {
      file = next;
    },
  };
}
const KNEE = {
  code: 'knee-operation',
  region: null,
  side: 'left',
  onset: null,
  surgeryOn: '2026-10-07',
  muscle: null,
  grade: null,
  words: '',
  clearance: null,
  resolvedOn: null,
} as const;

test('what is typed in the file goes together, and the answer does not undo what came after', async () => {
  const { athlete, sent, now } = await open();
  athlete.set({ build: 'tall' });
  athlete.set({ thighCm: 44 });
  const flushed = athlete.flush();
  athlete.set({ coach: 'T. L.' });
  await flushed;
  await athlete.flush();
  expect(now().athlete).toMatchObject({ build: 'tall', thighCm: 44, coach: 'T. L.' });
  expect(athlete.file!.athlete).toMatchObject({ build: 'tall', thighCm: 44, coach: 'T. L.' });
  expect(sent.filter((each) => each.method === 'PATCH')[0]!.body).toEqual({ revision: 1, build: 'tall', thighCm: 44 });
});

test('changed elsewhere: said, and what stands can be shown', async () => {
  const { athlete, now, change } = await open();
  change({ ...now(), athlete: { ...now().athlete, build: 'theirs', revision: 4 } });
  athlete.set({ build: 'mine' });
  await athlete.flush();
  expect(athlete.saveState).toBe('refused');
  await athlete.takeTheirs();
  expect(athlete.file!.athlete.build).toBe('theirs');
});

test('a condition counts at once, with the event ahead and the one behind; withdrawn it counts no more', async () => {
  const { athlete } = await open();
  expect(athlete.cautionContext).toMatchObject({ daysToEvent: 1, daysSinceEvent: 1, consent: null });
  await athlete.putCondition(KNEE, null);
  const level = () => cautionsFor(athlete.cautionContext!, measuring('hip-internal-rotation', 'left')).level;
  expect(level()).toBe('avoid');
  await athlete.putCondition({ ...KNEE, side: 'right' }, athlete.file!.conditions[0] as Condition);
  expect(athlete.file!.conditions).toHaveLength(1);
  expect(
    cautionsFor(athlete.cautionContext!, measuring('hip-internal-rotation', 'left')).cautions.map((each) => each.ruleId),
  ).not.toContain('knee-torque');
  await athlete.withdrawCondition(athlete.file!.conditions[0]!);
  expect(athlete.file!.conditions).toEqual([]);
});

test('an area that is not to be touched closes it, until it is lifted', async () => {
  const { athlete } = await open();
  const closed = () =>
    cautionsFor(athlete.cautionContext!, measuring('hip-flexion', 'left')).cautions.some((caution) => caution.kind === 'no-touch');
  await athlete.addNoTouch({ region: 'hip', side: null, words: '' });
  expect(closed()).toBe(true);
  await athlete.liftNoTouch(athlete.file!.noTouch[0]!);
  expect(closed()).toBe(false);
});

test('an athlete that is not there is said, and nothing of the last one stays', async () => {
  const { athlete } = await open();
  installBrowser(({ path }) =>
    path.endsWith('/practice')
      ? { status: 200, body: { today: '2026-11-25' } }
      : { status: 404, body: { type: '/problems/not-found', title: 'Not found', detail: 'This athlete does not exist.' } },
  );
  await athlete.load('b');
  expect(athlete.problem?.status).toBe(404);
  expect(athlete.file).toBeNull();
});
