import { smallEventDay } from './eventDay.ts';
import { smallRecord } from './eventRecord.ts';
import { Agent, request as httpRequest, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { ROLES, ROUTES, type RouteAccess } from '@pace-bend/core/access';
import { ARCHIVE_FORMAT, ARCHIVE_VERSION } from '@pace-bend/core/exchange';
import { newBlock } from '@pace-bend/core/method';
import { STOP_QUESTIONS } from '@pace-bend/core/caution';
import { SeededRandom } from '../demo/random.ts';
import type { TestApp } from './app.ts';

/** What a fuzzing run saw. */
export interface FuzzCount {
  requests: number;
  readonly byStatus: Map<number, number>;
  /** Answers of 5xx, each with what brought it about. */
  readonly failures: {
    readonly number: number;
    readonly method: string;
    readonly path: string;
    readonly status: number;
    readonly body: string;
    readonly answer: string;
  }[];
  /** Of requests that were sound as sent or became so: how many were done. */
  done: number;
}

/** Ids that exist, so that a request can get past the door. */
interface Known {
  readonly athlete: string;
  readonly visit: string;
  readonly run: string;
  readonly examiner: string;
}

const LINE = { breath: { periodMs: 8000, inShare: 0.4 }, edges: [], clockRate: 1 };
const ODD: readonly unknown[] = [
  null,
  true,
  false,
  '',
  ' ',
  'left',
  '__proto__',
  'constructor',
  'NaN',
  '💥',
  '\u0000',
  'a\ud800',
  '＝1+1',
  "'; DROP TABLE athlete; --",
  '<b>',
  'x'.repeat(300),
  'x'.repeat(9000),
  -1,
  0,
  1,
  1.5,
  -0,
  1e308,
  -1e308,
  2 ** 53,
  1e-320,
  [],
  {},
  [[]],
  [null],
  { toString: 1 },
  { length: 9 },
  '2026-02-30',
  '0000-00-00',
  '9999-12-31T23:59:59.999Z',
  '{00000000-0000-7000-8000-000000000001}',
  '00000000-0000-7000-8000-000000000001',
  Array.from({ length: 400 }, (_, i) => i),
  Array.from({ length: 12 }, () => ({})),
];

/** A body that its route would take, for every route that takes one. */
function soundBody(route: RouteAccess, { athlete, visit, examiner }: Known, random: SeededRandom): unknown {
  const words = `Fuzz ${Math.floor(random.next() * 1e9)}`;
  const revision = Math.floor(random.next() * 3);
  const block = newBlock(fuzzId(random), 'calf-supine', 'static-hold', ['left', 'right']);
  switch (`${route.method} ${route.path}`) {
    case 'PUT /athletes/:id':
      return {
        name: words,
        birthDate: '2001-05-06',
        referenceSex: 'female',
        sports: [{ sportId: 'rowing', discipline: 'sweep', role: 'stroke-side', leading: null, words: '' }],
        about: '',
        breathPeriodMs: 9000,
      };
    case 'PATCH /athletes/:id':
      return {
        revision: revision + 1,
        about: words,
        contacts: [{ name: 'A', role: '', phone: '', email: '' }],
        beighton: Array.from({ length: 9 }, () => false),
      };
    case 'PUT /athletes/:id/conditions/:conditionId':
      return {
        revision,
        code: 'knee-pain',
        region: null,
        side: 'left',
        onset: '2026-01-01',
        surgeryOn: null,
        words,
        clearance: { by: 'Dr', on: '2026-01-02', text: 'ok', limits: [{ kind: 'effort', pct: 20 }] },
        resolvedOn: null,
      };
    case 'PUT /athletes/:id/no-touch/:areaId':
      return { region: 'belly', side: null, words };
    case 'PUT /athletes/:id/goals/:goalId':
      return { motionId: 'hip-flexion', side: 'left', value: 120, byDate: '2026-12-24' };
    case 'POST /import/athletes':
      return {
        rows: [
          {
            id: fuzzId(random),
            name: words,
            birthDate: '2001-05-06',
            referenceSex: 'none',
            sports: [],
            coach: '',
            about: '',
            squads: ['Eight'],
          },
        ],
      };
    case 'POST /archive/look':
    case 'POST /archive/take': {
      const id = fuzzId(random);
      return {
        head: {
          format: ARCHIVE_FORMAT,
          version: ARCHIVE_VERSION,
          layout: '0001',
          practice: { id: fuzzId(random), name: 'Elsewhere' },
          accounts: [{ id: examiner, name: words, role: 'owner' }],
        },
        shared: { squad: [{ id: fuzzId(random), name: words }] },
        athlete: { athlete: [{ id, name: words, birth_date: '2001-05-06', reference_sex: 'none', breath_period_ms: 9000 }] },
        people: { [id]: 'new' },
        derived: {},
      };
    }
    case 'PUT /squads/:id':
      return { revision, name: words, athleteIds: [athlete] };
    case 'PUT /events/:id':
      return { revision, name: words, onDate: '2026-12-04', importance: 1, squadId: null };
    case 'PUT /shelf/:id':
      return {
        supersedes: null,
        fields: {
          kind: 'way',
          baseId: 'cr-breath',
          name: words,
          purpose: '',
          what: '',
          synonyms: [],
          schoolsDiffer: '',
          rounds: 2,
          numbers: {},
          choices: {},
          lists: {},
        },
      };
    case 'PUT /hands/me':
      return { knuckleCm: 72 };
    case 'PUT /hands/limits':
      return {
        revision,
        limits: {
          palm: 100,
          forearm: 100,
          knuckles: 30,
          thumb: 15,
          fingers: 30,
          elbow: 20,
          'body lean': 100,
          stick: 60,
          foot: 30,
          towel: 60,
        },
      };
    case 'PUT /studies/:id':
      return {
        revision,
        kind: 'repeatability',
        motionId: 'hip-flexion',
        instruments: ['goniometer'],
        examinerIds: [examiner],
        spacing: 'one-day',
        trials: 2,
        subjects: ['a', 'b', 'c'].map((label) => ({ label, athleteId: null, side: 'left' })),
        values: [[[100, 102]], [[110, 113]], [[120, 121]]],
      };
    case 'POST /studies/:id/use':
      return { revision: revision + 1, used: true };
    case 'PUT /visits/:id':
      return { athleteId: athlete, startsAt: `2026-11-${10 + Math.floor(random.next() * 20)}T09:30:00.000Z`, minutes: 45, overlap: true };
    case 'PATCH /visits/:id':
      return { revision: revision + 1, complaint: words, complaintScore: 3, consent: ['calf'], step: 'measure' };
    case 'POST /visits/:id/booking':
      return { revision: revision + 1, startsAt: '2026-11-25T10:00:00.000Z', minutes: 30, overlap: true };
    case 'PUT /visits/:id/answers/:answersId':
      return { answers: Object.fromEntries(STOP_QUESTIONS.map((question) => [question.id, 'no'])) };
    case 'PUT /visits/:id/overrides/:overrideId':
      return { ruleId: 'shoulder-dislocation', motionId: 'hip-flexion', side: 'left', reason: `${words} ${words}` };
    case 'PUT /visits/:id/referral':
      return { revision, to: 'Dr', seen: words };
    case 'PUT /visits/:id/readings/:readingId':
      return {
        motionId: 'hip-flexion',
        side: 'left',
        moment: 'before',
        mode: 'passive',
        instrument: 'goniometer',
        trials: [100, 101, 102],
        supersedes: null,
      };
    case 'PUT /visits/:id/findings/:findingId':
      return {
        kind: 'end',
        subject: 'hip-flexion',
        side: 'left',
        moment: 'before',
        data: { endFeel: 'capsular', pain: 3, felt: 'joint', guarding: false },
        supersedes: null,
      };
    case 'PUT /athletes/:id/check-ins/:checkInId':
    case 'PUT /check-in/answers/:checkInId':
      return {
        ...(route.path.startsWith('/check-in') ? { athleteId: athlete } : {}),
        onDate: '2026-11-25',
        scale: 'four-items',
        answers: { sleep: 3, stress: 3, fatigue: 3, soreness: 3 },
        hoursSlept: 7.5,
        sore: [{ muscle: 'soleus', side: 'left', score: 4 }],
        ill: false,
        injured: false,
        travelled: null,
        training: 'full',
        rmssdMs: 60.5,
        supersedes: null,
      };
    case 'PUT /athletes/:id/loads/:loadId':
    case 'PUT /check-in/loads/:loadId':
      return {
        ...(route.path.startsWith('/check-in') ? { athleteId: athlete } : { revision }),
        onDate: '2026-11-24',
        kind: 'water',
        minutes: 60,
        exertion: 6.5,
        amount: null,
        askedAfterMin: 20,
        planned: false,
      };
    case 'POST /import/loads':
      return {
        by: 'table',
        columns: { athlete: 'Name' },
        rows: [
          {
            id: fuzzId(random),
            athleteId: athlete,
            key: words,
            onDate: '2026-11-24',
            kind: 'water',
            minutes: 60,
            exertion: 6,
            amount: null,
            askedAfterMin: null,
            planned: false,
          },
        ],
      };
    case 'POST /check-in-links':
      return { id: fuzzId(random), athleteId: athlete, squadId: null };
    case 'PUT /sports/:id':
      return {
        revision,
        name: words,
        synonyms: ['x'],
        disciplines: [{ id: 'a', name: 'A' }],
        roles: [{ id: 'b', name: 'B', side: 'left', disciplines: ['a'] }],
        leading: 'Arm',
        demands: [{ motionId: 'hip-flexion', value: 120, on: 'both', sure: 'common practice', why: 'it' }],
        shapes: [{ kind: 'more', motionId: 'trunk-rotation', on: 'role', upTo: 9, words: 'turns', sure: 'common practice' }],
        loadKinds: [{ id: 'k', name: 'K', muscles: ['soleus'] }],
        eventKinds: [{ id: 'e', name: 'E', quietHoursBefore: 24, gentleHoursAfter: 24 }],
      };
    case 'PUT /event-days/:id':
      return { revision, ...smallEventDay(() => fuzzId(random), { athleteId: athlete, therapistId: fuzzId(random) }), title: words };
    case 'PUT /event-days/:id/records/:wishId':
      return { ...smallRecord(() => fuzzId(random)), words };
    case 'POST /event-days/:id/events': {
      const body =
        random.next() < 0.5
          ? { kind: 'slip', raceId: fuzzId(random), callAt: 600, startAt: 620 }
          : { kind: 'here', wishId: fuzzId(random) };
      return { events: [{ id: fuzzId(random), at: '2026-12-04T08:00:00.000Z', after: null, body }] };
    }
    case 'PUT /visits/:id/readiness':
      return { outcome: null };
    case 'PUT /visits/:id/readiness-aside/:asideId':
      return { limitId: 'sleep-5', reason: words };
    case 'PUT /visits/:id/plan':
      return { revision, blocks: [block] };
    case 'PUT /visits/:id/note':
      return { revision, text: words };
    case 'PUT /runs/:id':
      return { visitId: visit, blocks: [block], ...LINE };
    case 'POST /runs/:id/events':
      return { events: [1, 2].map((seq) => ({ id: fuzzId(random), seq, atMs: seq * 100, kind: 'beat' })) };
    case 'PATCH /practice':
      return {
        revision: revision + 1,
        name: words,
        timeZone: 'Europe/Berlin',
        scope: { mobilizationGrade: 2, byRegion: {}, frontOfNeck: true, ruleText: '', ruleLink: '' },
      };
    default:
      return { revision: revision + 1 };
  }
}

const fuzzId = (random: SeededRandom): string => random.uuid(new Date(1_700_000_000_000 + Math.floor(random.next() * 1e10)));

/** Changes something somewhere: takes out, puts something odd in its place, adds, doubles, wraps. */
function mutated(value: unknown, random: SeededRandom, depth = 0): unknown {
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random.next() * list.length)]!;
  if (value === null || typeof value !== 'object' || (depth > 0 && random.next() < 0.25)) return random.next() < 0.15 ? [value] : pick(ODD);
  if (Array.isArray(value)) {
    const list = [...value] as unknown[];
    const at = Math.floor(random.next() * (list.length + 1));
    if (random.next() < 0.3) list.splice(at, 1);
    else if (random.next() < 0.4) list.splice(at, 0, list[at] ?? pick(ODD));
    else if (list.length > 0) list[Math.min(at, list.length - 1)] = mutated(list[Math.min(at, list.length - 1)], random, depth + 1);
    return list;
  }
  const object = { ...(value as Record<string, unknown>) };
  const names = Object.keys(object);
  const name = names.length > 0 && random.next() < 0.85 ? pick(names) : pick(['extra', '__proto__', 'constructor', 'id', 'revision', '']);
  const way = random.next();
  if (way < 0.2) delete object[name];
  else if (way < 0.85) object[name] = mutated(object[name], random, depth + 1);
  else object[`${name}x`] = pick(ODD);
  return object;
}

/** Routes whose work is slow on purpose (hashing) come seldom. */
/** What takes long, or makes all that follows another matter; samples are twelve weeks of visits each time. */
const SELDOM = new Set([
  'POST /sign-in',
  'POST /first-owner',
  'POST /me/password',
  'PUT /accounts/:id',
  'PATCH /accounts/:id',
  'POST /samples',
  'DELETE /samples',
]);
const ENDS = new Set(['POST /sign-out', 'POST /sign-out-everywhere', 'DELETE /athletes/:id']);

/** Random and mutated requests, as every role and as nobody, seeded; counts the answers. */
export class Fuzzer {
  readonly count: FuzzCount = { requests: 0, byStatus: new Map(), failures: [], done: 0 };
  private readonly random: SeededRandom;
  private readonly agent = new Agent({ keepAlive: true, maxSockets: 16 });
  private readonly cookies = new Map<string, string | null>();
  private known: Known | null = null;

  constructor(
    private readonly test: TestApp,
    private readonly server: Server,
    seed: number,
  ) {
    this.random = new SeededRandom(seed);
  }

  /** Sets up what requests can be about. Called again after the tables were emptied. */
  async prepare(known: Known): Promise<void> {
    this.known = known;
    for (const role of ROLES) this.cookies.set(role, await this.test.cookieOf(role));
    this.cookies.set('nobody', null);
  }

  async run(requests: number): Promise<void> {
    const until = this.count.requests + requests;
    await Promise.all(
      Array.from({ length: 8 }, async () => {
        while (this.count.requests < until) {
          this.count.requests += 1;
          await this.one(this.count.requests);
        }
      }),
    );
  }

  private pick<T>(list: readonly T[]): T {
    return list[Math.floor(this.random.next() * list.length)]!;
  }

  private route(): RouteAccess {
    for (;;) {
      const route = this.pick(ROUTES);
      const name = `${route.method} ${route.path}`;
      if (SELDOM.has(name) ? this.random.next() < 0.01 : ENDS.has(name) ? this.random.next() < 0.05 : true) return route;
    }
  }

  private address(route: RouteAccess): string {
    const known = this.known!;
    const first = route.path.split('/')[1]!;
    const own: Record<string, string> = { athletes: known.athlete, visits: known.visit, runs: known.run };
    const odd = () => this.pick(['x', '%', '%00', '..', '{x}', `{${known.visit}}`, '\u{1F6A3}', 'a'.repeat(400)]);
    const place = (name: string): string => {
      if (this.random.next() < 0.04) return encodeURIComponent(odd());
      if (name === ':date') return this.pick(['2026-11-25', '2026-13-40', '1800-01-01', 'today']);
      return name === ':id' && own[first] && this.random.next() < 0.8 ? own[first] : fuzzId(this.random);
    };
    const path = route.path
      .split('/')
      .map((part) => (part.startsWith(':') ? place(part) : part))
      .join('/');
    const query =
      this.random.next() < 0.1
        ? `?${this.pick(['q=%25', 'offset=-1', 'offset=9999999', 'limit=0', 'squad=x', 'before=1e9', 'athlete[]=1', 'q[a]=b', `q=${encodeURIComponent('\u0000')}`])}`
        : '';
    return `/api${path}${query}`;
  }

  private body(route: RouteAccess): string | undefined {
    if (route.method === 'GET') return undefined;
    const chance = this.random.next();
    if (chance < 0.03)
      return this.pick([
        '',
        '{',
        'null',
        '[]',
        '"x"',
        '[[[[[[[[[[[[[[[[',
        '{"a":1,"a":2}',
        '\u0000',
        `${'['.repeat(3000)}${']'.repeat(3000)}`,
        '{"__proto__":{"x":1}}',
        '1e999',
      ]);
    if (chance < 0.08) return JSON.stringify(this.pick(ODD));
    let value = soundBody(route, this.known!, this.random);
    for (let times = chance < 0.3 ? 0 : 1 + Math.floor(this.random.next() * 3); times > 0; times--) value = mutated(value, this.random);
    // Left as they are, halves of characters would be mended on the way out.
    return JSON.stringify(value) ?? '';
  }

  private async one(number: number): Promise<void> {
    const route = this.route();
    const role = this.pick([...ROLES, 'nobody', 'owner', 'owner', 'therapist']);
    const [path, body] = [this.address(route), this.body(route)];
    const headers: Record<string, string> = {
      'Content-Type':
        this.random.next() < 0.02
          ? this.pick(['text/plain', 'application/json; charset=utf-7', 'multipart/form-data'])
          : 'application/json',
    };
    const cookie = this.cookies.get(role);
    if (cookie) headers.Cookie = cookie;
    const { status, text } = await this.send(route.method, path, headers, body);
    this.count.byStatus.set(status, (this.count.byStatus.get(status) ?? 0) + 1);
    if (status < 300) this.count.done += 1;
    if (status >= 500)
      this.count.failures.push({
        number,
        method: route.method,
        path,
        status,
        body: (body ?? '').slice(0, 600),
        answer: text.slice(0, 300),
      });
    if (status === 401 && role !== 'nobody') this.cookies.set(role, await this.test.cookieOf(role as (typeof ROLES)[number]));
  }

  private send(
    method: string,
    path: string,
    headers: Record<string, string>,
    body: string | undefined,
  ): Promise<{ status: number; text: string }> {
    const { port } = this.server.address() as AddressInfo;
    return new Promise((resolve, reject) => {
      const call = httpRequest(
        {
          agent: this.agent,
          host: '127.0.0.1',
          port,
          method,
          path,
          headers: { ...headers, ...(body === undefined ? {} : { 'Content-Length': Buffer.byteLength(body) }) },
        },
        (answer) => {
          let text = '';
          answer
            .setEncoding('utf8')
            .on('data', (chunk: string) => {
              text += chunk;
            })
            .on('end', () => resolve({ status: answer.statusCode!, text }));
        },
      );
      call.once('error', (error) =>
        (error as NodeJS.ErrnoException).code === 'ECONNRESET' ? resolve({ status: 0, text: '' }) : reject(error),
      );
      call.end(body);
    });
  }

  close(): void {
    this.agent.destroy();
  }
}
