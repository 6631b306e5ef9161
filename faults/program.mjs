// The program under faults: started as a user starts it, killed the hard way, asked over HTTP, and looked into from outside.
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { databaseFolder } from '../bin/lib/databaseFiles.mjs';
import { freePort, runningMariadb } from '../bin/lib/mariadb.mjs';
import { endLeftovers } from '../bin/lib/processes.mjs';
import { query } from '../bin/lib/sqlClient.mjs';

export const root = join(dirname(fileURLToPath(import.meta.url)), '..');
export const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms));
export const workFolder = () => mkdtempSync(join(tmpdir(), 'pace-bend-faults-'));

/** One command of the program's on a data folder. */
export function command(script, args, folder, env = {}) {
  const child = spawn(process.execPath, [join(root, 'bin', script), ...args], {
    cwd: root,
    env: { ...process.env, ...env, PACE_BEND_DATA: folder },
    stdio: ['ignore', 'pipe', 'pipe'],
    detached: true,
  });
  const state = { child, said: '', code: null };
  for (const stream of [child.stdout, child.stderr])
    stream.on('data', (chunk) => {
      state.said += chunk;
    });
  state.ended = new Promise((resolve) =>
    child.once('exit', (code, signal) => {
      state.code = code ?? signal;
      resolve(state.code);
    }),
  );
  return state;
}

export class Program {
  constructor(folder, port, env = {}) {
    Object.assign(this, { folder, port, env });
  }

  static async on(folder, env) {
    return new Program(folder, await freePort(), env);
  }

  get url() {
    return `http://127.0.0.1:${this.port}`;
  }

  /** Begins a start; `up` resolves to whether it became ready. */
  begin() {
    this.run = command('start.mjs', [], this.folder, { PORT: String(this.port), DEVICES_URL: 'ws://127.0.0.1:9', ...this.env });
    return this.run;
  }

  async up() {
    for (let i = 0; i < 1200; i++) {
      if (this.run.said.includes('Pace Bend is ready at')) return true;
      if (this.run.code !== null) return false;
      await pause(50);
    }
    return false;
  }

  async start() {
    this.begin();
    if (!(await this.up())) throw new Error(`The start did not come up (${this.run.code}): ${this.run.said}`);
  }

  async kill() {
    this.run.child.kill('SIGKILL');
    await this.run.ended;
  }

  async stop() {
    if (this.run && this.run.code === null) this.run.child.kill('SIGTERM');
    await this.run?.ended;
    await endLeftovers(databaseFolder(this.folder));
  }

  sql(statement) {
    return query(runningMariadb(this.folder), statement);
  }
}

/** Writers that add athletes and readings' worth of rows, each under an id of its own, again until it is acknowledged. */
export class Writers {
  acknowledged = [];
  longestPauseMs = 0;
  refusals = new Map();
  stopped = false;

  constructor(urls, count, name) {
    Object.assign(this, { urls, name });
    this.last = Date.now();
    this.working = Array.from({ length: count }, (_, i) => this.write(i));
  }

  async ask(i, method, path, body, cookie) {
    const answer = await fetch(`${this.urls[i % this.urls.length]}/api${path}`, {
      method,
      body: JSON.stringify(body),
      headers: { 'Content-Type': 'application/json', ...(cookie ? { Cookie: cookie } : {}) },
      signal: AbortSignal.timeout(15_000),
    });
    const { status } = answer;
    const cookies = answer.headers
      .getSetCookie()
      .map((each) => each.split(';')[0])
      .join('; ');
    await answer.text();
    return { status, cookies };
  }

  async signIn(i) {
    for (;;) {
      if (this.stopped) return '';
      const answer = await this.ask(i, 'POST', '/sign-in', { login: 'marit', password: 'quiet river owner' }).catch(() => null);
      if (answer?.status === 200) return answer.cookies;
      await pause(100);
    }
  }

  async write(who) {
    let turn = who;
    let cookie = await this.signIn(turn);
    for (let n = 0; !this.stopped; n++) {
      const id = crypto.randomUUID();
      const name = `${this.name} ${who} ${n}`;
      for (;;) {
        const answer = await this.ask(
          turn,
          'PUT',
          `/athletes/${id}`,
          { name, birthDate: '2001-05-06', referenceSex: 'none', rowing: 'none', about: '', breathPeriodMs: 8000 },
          cookie,
        ).catch(() => null);
        if (answer?.status === 200) {
          const now = Date.now();
          this.longestPauseMs = Math.max(this.longestPauseMs, now - this.last);
          this.last = now;
          this.acknowledged.push(name);
          break;
        }
        const kind = answer ? String(answer.status) : 'no answer';
        this.refusals.set(kind, (this.refusals.get(kind) ?? 0) + 1);
        if (this.stopped) return;
        if (answer?.status === 401) cookie = await this.signIn(turn);
        // A server that does not answer may be gone: the next one is asked.
        if (!answer) turn += 1;
        await pause(60);
      }
    }
  }

  async stop() {
    this.stopped = true;
    await Promise.all(this.working);
  }
}

/** Of what was acknowledged, how much is not there, and how much is there more than once. */
export function compare(acknowledged, rows) {
  const counts = new Map();
  for (const [name] of rows) counts.set(name, (counts.get(name) ?? 0) + 1);
  return {
    acknowledged: acknowledged.length,
    lost: acknowledged.filter((name) => !counts.has(name)).length,
    doubled: [...counts.values()].filter((count) => count > 1).length,
  };
}

export const remove = (folder) => rmSync(folder, { recursive: true, force: true });
