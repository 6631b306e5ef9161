// The heaviest requests that are let in, one after the other, with /api/health asked alongside: how long anybody else waits.
import { fork } from 'node:child_process';
import { Agent, request } from 'node:http';
import { newBlock, SLOW_BREATH } from '../core/src/method/index.ts';
import { LIMITS } from '../core/src/record/index.ts';
import { v7 as uuid } from 'uuid';
import { WITH_TYPES } from '../bin/lib/withTypes.mjs';

const port = Number(process.env.PORT);
const server = fork('server/src/start.ts', [], {
  execArgv: WITH_TYPES,
  env: { ...process.env, PACE_BEND_DEMO: 'off' },
  stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
});
await new Promise<void>((resolve) =>
  server.on('message', (message: { ready?: string }) => {
    if (message.ready) resolve();
  }),
);

const agents = { heavy: new Agent({ keepAlive: true }), health: new Agent({ keepAlive: true, maxSockets: 1 }) };
let cookie = '';
function send(method: string, path: string, text?: string, agent = agents.heavy): Promise<{ status: number; body: string; ms: number }> {
  return new Promise((resolve, reject) => {
    const began = performance.now();
    const call = request(
      {
        agent,
        host: '127.0.0.1',
        port,
        method,
        path: `/api${path}`,
        headers: {
          Cookie: cookie,
          ...(text === undefined ? {} : { 'Content-Type': 'application/json', 'Content-Length': Buffer.byteLength(text) }),
        },
      },
      (answer) => {
        const parts: Buffer[] = [];
        answer
          .on('data', (part: Buffer) => parts.push(part))
          .on('end', () => {
            cookie ||= (answer.headers['set-cookie'] ?? []).map((each) => each.split(';')[0]).join('; ');
            resolve({ status: answer.statusCode!, body: Buffer.concat(parts).toString(), ms: performance.now() - began });
          });
      },
    );
    call.once('error', reject);
    call.end(text);
  });
}
const put = async (path: string, body: object) => {
  const { status, body: answer } = await send('PUT', path, JSON.stringify(body));
  if (status !== 200) throw new Error(`${path}: ${status} ${answer.slice(0, 200)}`);
};
await send(
  'POST',
  '/first-owner',
  JSON.stringify({ practiceName: 'Bench', name: 'Bench', login: 'bench', password: 'a river in the rain' }),
);
const [athlete, visit] = [uuid(), uuid()];
await put(`/athletes/${athlete}`, {
  name: 'Bench',
  birthDate: '2001-05-06',
  referenceSex: 'none',
  sports: [],
  about: '',
  breathPeriodMs: 9000,
});
await put(`/visits/${visit}`, { athleteId: athlete, startsAt: '2026-11-25T09:30:00.000Z', minutes: 45, overlap: true });
await put(`/visits/${visit}/answers/${uuid()}`, { answers: {}, notAsked: 'a benchmark' });
await send('PATCH', `/visits/${visit}`, JSON.stringify({ revision: 1, consentWord: 'a benchmark' }));

const row = (i: number) => ({
  id: uuid(),
  name: `Rower ${i} of the long list`,
  birthDate: '2001-05-06',
  referenceSex: 'none',
  sports: [],
  role: 'Seat',
  coach: 'Coach',
  about: 'x'.repeat(60),
  squads: [`Squad ${i % 20}`],
});
const block = (rounds: number) => ({
  ...newBlock(uuid(), 'rectus-femoris-prone', 'cr-breath', ['left', 'right']),
  sides: Array.from({ length: 4 }, (_, i) => ({ side: i % 2 === 0 ? 'left' : 'right', rounds })),
});
const filled = (make: (i: number) => string, open: string, close: string, bytes: number) => {
  const parts: string[] = [];
  for (let size = open.length + close.length, i = 0; size < bytes - 200; i++) {
    parts.push(make(i));
    size += parts.at(-1)!.length + 1;
  }
  return open + parts.join(',') + close;
};
const cases: readonly [name: string, method: string, path: string, text?: string][] = [
  ['import, every row wrong', 'POST', '/import/athletes', filled(() => '{"name":"","birthDate":"x"}', '{"rows":[', ']}', 1_000_000)],
  ['import, full of small things', 'POST', '/import/athletes', filled(() => '[]', '{"rows":[', ']}', LIMITS.importBytes)],
  ['import, full of one text', 'POST', '/import/athletes', `{"rows":["${'x'.repeat(LIMITS.importBytes - 100)}"]}`],
  [
    'import, as many rows as can be',
    'POST',
    '/import/athletes',
    JSON.stringify({ rows: Array.from({ length: LIMITS.importRows }, (_, i) => row(i)) }),
  ],
  ['export of them all', 'GET', '/export/athletes'],
  ['squads of them all', 'GET', '/squads'],
  ['500 kB of brackets', 'PUT', `/visits/${uuid()}`, '['.repeat(LIMITS.bodyBytes - 10)],
  ['500 kB nested, closed', 'PUT', `/visits/${uuid()}`, '['.repeat(LIMITS.bodyBytes / 2 - 10) + ']'.repeat(LIMITS.bodyBytes / 2 - 10)],
  [
    '500 kB of run events',
    'POST',
    `/runs/${uuid()}/events`,
    filled((i) => `{"id":"${uuid()}","seq":${i + 1},"atMs":${i},"kind":"beat"}`, '{"events":[', ']}', LIMITS.bodyBytes),
  ],
  [
    '500 kB of wrong blocks',
    'PUT',
    `/visits/${visit}/plan`,
    filled(() => '{"id":"x","a":1,"b":[1,2,3]}', '{"revision":0,"blocks":[', ']}', LIMITS.bodyBytes),
  ],
  [
    'the most blocks, as long as can be',
    'PUT',
    `/visits/${visit}/plan`,
    JSON.stringify({ revision: 0, blocks: Array.from({ length: LIMITS.blocksInPlan }, () => block(12)) }),
  ],
  [
    'a run of the most that fits',
    'PUT',
    `/runs/${uuid()}`,
    JSON.stringify({ visitId: visit, blocks: Array.from({ length: 7 }, () => block(6)), breath: SLOW_BREATH, edges: [], clockRate: 1 }),
  ],
  ['that visit’s file', 'GET', `/visits/${visit}`],
  ['500 kB of small texts', 'PATCH', `/athletes/${athlete}`, filled(() => '"a"', '{"revision":1,"medications":[', ']}', LIMITS.bodyBytes)],
  [
    '500 kB of contacts',
    'PATCH',
    `/athletes/${athlete}`,
    filled(() => '{"name":"a","role":"","phone":"","email":""}', '{"revision":1,"contacts":[', ']}', LIMITS.bodyBytes),
  ],
  ['500 kB of study values', 'PUT', `/studies/${uuid()}`, filled(() => '[[1,2]]', '{"revision":0,"values":[', ']}', LIMITS.bodyBytes)],
];

/** Asks for health without a pause while something else is going on; the longest wait of all. */
async function alongside(work: () => Promise<unknown>): Promise<number> {
  let [over, longest] = [false, 0];
  const asking = (async () => {
    while (!over) longest = Math.max(longest, (await send('GET', '/health', undefined, agents.health)).ms);
  })();
  await work();
  await new Promise((resolve) => setTimeout(resolve, 30));
  over = true;
  await asking;
  return longest;
}

for (let i = 0; i < 300; i++) await send('GET', '/health', undefined, agents.health);
const idle = await alongside(() => new Promise((resolve) => setTimeout(resolve, 1500)));
const results = [];
for (const [name, method, path, text] of cases) {
  const waits = [];
  let answer = { status: 0, body: '', ms: 0 };
  for (let i = 0; i < 3; i++)
    waits.push(
      await alongside(async () => {
        answer = await send(method, path, text);
      }),
    );
  results.push({
    name,
    status: answer.status,
    requestMs: answer.ms,
    sentKb: Math.round((text?.length ?? 0) / 1024),
    answerKb: Math.round(answer.body.length / 1024),
    worstMs: Math.max(...waits),
    medianMs: waits.sort((a, b) => a - b)[1],
  });
}
console.log(JSON.stringify({ idle, results }));
server.kill('SIGTERM');
process.exit(0);
