import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:http';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = join(dirname(fileURLToPath(import.meta.url)), '../../..');
let folder = '';
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'pace-bend-launch-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

/** The start command where it cannot go on: what it says and how it ends. */
function start(env: Record<string, string> = {}) {
  const all: Record<string, string | undefined> = {
    ...process.env,
    PACE_BEND_DATA: folder,
    PORT: '46173',
    NODE_OPTIONS: '',
    ...env,
    DATABASE_URL: undefined,
  };
  const { status, stdout, stderr } = spawnSync(process.execPath, [join(root, 'bin/start.mjs')], {
    encoding: 'utf8',
    env: all,
    timeout: 60_000,
  });
  return { status, said: stdout + stderr };
}
const filesIn = (path: string): string[] =>
  readdirSync(path, { withFileTypes: true })
    .flatMap((entry) =>
      entry.isDirectory()
        ? [`${entry.name}/`, ...filesIn(join(path, entry.name)).map((name) => `${entry.name}/${name}`)]
        : [`${entry.name} ${readFileSync(join(path, entry.name), 'utf8')}`],
    )
    .sort();

test.each([
  [
    'a database without its system folder',
    ['ibdata1', 'ib_logfile0', 'aria_log_control', 'pace_bend/athlete.ibd'],
    /not a whole database: mysql missing; found aria_log_control, ib_logfile0, ibdata1, pace_bend\. Nothing was changed\. Put back what is missing/,
  ],
  ['a folder with something else in it', ['letter.txt'], /mysql, ibdata1, ib_logfile0, aria_log_control missing; found letter\.txt/],
])('%s is refused with what was found, and not a file of it is touched', (_, files, words) => {
  for (const name of files) {
    mkdirSync(dirname(join(folder, 'mariadb', name)), { recursive: true });
    writeFileSync(join(folder, 'mariadb', name), `content of ${name}`);
  }
  const before = filesIn(join(folder, 'mariadb'));
  const { status, said } = start();
  expect([status, said]).toEqual([1, expect.stringMatching(words)]);
  expect(filesIn(join(folder, 'mariadb'))).toEqual(before);
});

test('a database that was here and is gone is not replaced by an empty one, nor is its schema', () => {
  writeFileSync(
    join(folder, 'database.json'),
    JSON.stringify({ format: 'pace-bend database', madeAt: '2026-01-02T03:04:05.000Z', filled: true }),
  );
  expect(start()).toEqual({
    status: 1,
    said: expect.stringMatching(/The database that was made here on 2026-01-02 is gone.*Nothing was changed/),
  });
  for (const name of ['mysql', 'ibdata1', 'ib_logfile0', 'aria_log_control']) mkdirSync(join(folder, 'mariadb', name), { recursive: true });
  expect(start().said).toContain('pace_bend missing');
});

test.each([
  ['a PORT that is none', () => ({ PORT: 'http' }), 'PORT is a whole number from 1 to 65535, not “http”.'],
  ['a PORT out of range', () => ({ PORT: '70000' }), 'PORT is a whole number'],
  [
    'a data folder that is a file',
    () => {
      writeFileSync(join(folder, 'file'), '');
      return { PACE_BEND_DATA: join(folder, 'file') };
    },
    'cannot be used: it is a file, not a folder. Name another one with PACE_BEND_DATA.',
  ],
  [
    'a data folder below a file',
    () => {
      writeFileSync(join(folder, 'file'), '');
      return { PACE_BEND_DATA: join(folder, 'file', 'data') };
    },
    'a part of the path is a file',
  ],
  ['a data folder on a read-only system', () => ({ PACE_BEND_DATA: '/proc/pace-bend' }), 'The data folder /proc/pace-bend cannot be used'],
  ['an address that is not this machine’s', () => ({ HOST: '203.0.113.9' }), 'HOST 203.0.113.9 is no address of this machine.'],
])('%s ends in one line that says what to do', (_, env, words) => {
  const { status, said } = start(env());
  expect([status, said]).toEqual([1, expect.stringContaining(words)]);
  expect(said.trim().split('\n')).toHaveLength(1);
});

test('a port that is taken is named before anything is made', async () => {
  const other = createServer().listen(46_173, '127.0.0.1');
  await new Promise((resolve) => other.once('listening', resolve));
  const { status, said } = await new Promise<{ status: number | null; said: string }>((resolve) => {
    const child = spawn(process.execPath, [join(root, 'bin/start.mjs')], {
      env: { ...process.env, PACE_BEND_DATA: folder, PORT: '46173', NODE_OPTIONS: '', DATABASE_URL: '' },
    });
    let words = '';
    child.stderr.on('data', (chunk: Buffer) => {
      words += chunk;
    });
    child.once('exit', (code) => resolve({ status: code, said: words }));
  });
  other.close();
  expect([status, said]).toEqual([1, 'Port 46173 cannot be used (EADDRINUSE). Set PORT to another one.\n']);
  expect(existsSync(join(folder, 'mariadb'))).toBe(false);
}, 30_000);

/** A process that holds the data folder as the start command does. */
async function holder(): Promise<ChildProcess> {
  const child = spawn(
    process.execPath,
    [
      '-e',
      `import(${JSON.stringify(join(root, 'bin/lib/lock.mjs'))}).then(({ holdData }) => { holdData(${JSON.stringify(join(folder, 'lock'))}, 'npm start', 4999); console.log('held'); setInterval(() => {}, 1000); })`,
    ],
    { stdio: ['ignore', 'pipe', 'inherit'], env: { ...process.env, NODE_OPTIONS: '' } },
  );
  await new Promise((resolve) => child.stdout!.once('data', resolve));
  return child;
}

test('a second start on the same data, on another port too, is refused while the first lives and says who it is; a file left behind holds nothing', async () => {
  const first = await holder();
  const { status, said } = start();
  expect(status).toBe(1);
  expect(said).toMatch(
    new RegExp(
      `This data is in use by npm start, process ${first.pid}, port 4999, since \\d{4}-\\d\\d-\\d\\d .* UTC\\. Nothing was touched`,
    ),
  );
  // What backs up or restores by itself waits for nobody either.
  const restore = spawnSync(process.execPath, [join(root, 'bin/backup.mjs')], {
    encoding: 'utf8',
    env: { ...process.env, PACE_BEND_DATA: folder, NODE_OPTIONS: '', DATABASE_URL: '' },
  });
  expect(restore.stderr).toContain('in use by npm start');
  expect(readdirSync(folder)).toEqual(['lock']);
  first.kill('SIGKILL');
  await new Promise((resolve) => first.once('exit', resolve));
  expect(readFileSync(join(folder, 'lock'), 'utf8')).toContain(String(first.pid));
  const second = await holder();
  second.kill();
}, 60_000);
