// A million random and mutated requests as every role: counts the answers, names every 5xx, and watches the memory.
import { createServer } from 'node:http';
import { Fuzzer } from '../server/src/testing/fuzzing.ts';
import { newAskedVisit, openTestApp, request, uuid } from '../server/src/testing/app.ts';
import { newBlock } from '../core/src/method/index.ts';
import { rows } from '../server/src/db/pool.ts';

const total = Number(process.env.FUZZ_REQUESTS ?? 1_000_000);
const seed = Number(process.env.FUZZ_SEED ?? 2026);
/** So often the tables are emptied: what is being looked for is a failure, not how a full database behaves. */
const ROUND = 25_000;
const SETTLED = 50_000;

const test = await openTestApp();
const server = createServer(test.app).listen(0, '127.0.0.1');
await new Promise((resolve) => server.once('listening', resolve));
const fuzzer = new Fuzzer(test, server, seed);
const said: string[] = [];
console.error = (...words: unknown[]) => {
  if (said.length < 20) said.push(words.map(String).join(' '));
};

async function empty(): Promise<void> {
  const keep = ['migration', 'migration_step', 'practice', 'lease'];
  const tables = (
    await rows<{ name: string }>(
      test.pool,
      "SELECT TABLE_NAME AS name FROM information_schema.TABLES WHERE TABLE_SCHEMA = DATABASE() AND TABLE_TYPE = 'BASE TABLE'",
    )
  )
    .map((row) => row.name)
    .filter((name) => !keep.includes(name));
  const connection = await test.pool.getConnection();
  await connection.query('SET FOREIGN_KEY_CHECKS = 0');
  for (const table of tables) await connection.query(`TRUNCATE \`${table}\``);
  await connection.query('SET FOREIGN_KEY_CHECKS = 1');
  connection.release();
}

async function fresh(): Promise<void> {
  await empty();
  const owner = await test.renewOwner();
  const { athleteId, visitId } = await newAskedVisit(test.app);
  const run = uuid();
  await request(test.app)
    .put(`/api/runs/${run}`)
    .send({
      visitId,
      blocks: [newBlock(uuid(), 'calf-supine', 'static-hold', ['left'])],
      breath: { periodMs: 8000, inShare: 0.4 },
      edges: [],
      clockRate: 1,
    })
    .expect(200);
  await fuzzer.prepare({ athlete: athleteId, visit: visitId, run, examiner: owner });
}

const megabytes = () => {
  (globalThis as { gc?: () => void }).gc?.();
  return Math.round(process.memoryUsage().heapUsed / 1024 / 1024);
};
const began = Date.now();
let settledMb = 0;
let told = 0;
while (fuzzer.count.requests < total) {
  await fresh();
  await fuzzer.run(Math.min(ROUND, total - fuzzer.count.requests));
  const { requests, failures, done } = fuzzer.count;
  for (const failure of failures.slice(told, told + 20)) console.log(JSON.stringify(failure));
  for (const words of said.splice(0)) console.log(words);
  told = failures.length;
  const heap = megabytes();
  if (requests >= SETTLED && settledMb === 0) settledMb = heap;
  if (requests % (ROUND * 4) === 0 || requests === total)
    console.log(
      `${requests} requests, ${done} done, ${failures.length} of 5xx, heap ${heap} MB, ${Math.round(requests / ((Date.now() - began) / 1000))} a second`,
    );
}
fuzzer.close();
server.close();
const { byStatus, failures, requests } = fuzzer.count;
console.log(
  `\nseed ${seed}, ${requests} requests: ${[...byStatus]
    .sort(([a], [b]) => a - b)
    .map(([status, n]) => `${status} × ${n}`)
    .join(', ')}`,
);
const grownMb = settledMb === 0 ? 0 : megabytes() - settledMb;
console.log(`${failures.length} answers of 5xx; heap ${settledMb} MB after ${SETTLED}, ${grownMb >= 0 ? '+' : ''}${grownMb} MB at the end`);
await test.close();
process.exit(failures.length > 0 || grownMb > 25 ? 1 : 0);
