import { spawn, type ChildProcess } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { freePort } from '../bin/lib/ports.mjs';
import { emptySchema } from './schemas.ts';
import { ZONE } from './zone.ts';

// People's folders have blanks and accents in their names.
const emptyFolder = () => mkdtempSync(join(tmpdir(), 'pace bend é-'));

const root = join(dirname(fileURLToPath(import.meta.url)), '..');

/** The program as a user starts it: the start command on a data directory of its own, with a database there or with one that is named. */
export class Application {
  private child: ChildProcess | null = null;
  /** What it printed since it was started. */
  said = '';

  constructor(
    readonly dataFolder: string,
    readonly port: number,
    private readonly env: Record<string, string> = {},
    private readonly schema: { readonly url: string; drop(): Promise<void> } | null = null,
  ) {}

  /** With a database server of its own, made from nothing. */
  static async onEmptyFolder(env: Record<string, string> = {}): Promise<Application> {
    return new Application(emptyFolder(), await freePort(), env);
  }

  /** On the database server that the tests share, with a schema of its own: there in a third of the time. */
  static async onEmptySchema(env: Record<string, string> = {}): Promise<Application> {
    return new Application(emptyFolder(), await freePort(), env, await emptySchema());
  }

  get url(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  /** Resolves when the ready line has been printed. */
  async start(): Promise<void> {
    const env = { ...process.env, TZ: ZONE, ...this.env, PACE_BEND_DATA: this.dataFolder, PORT: String(this.port) };
    if (this.schema) Object.assign(env, { DATABASE_URL: this.schema.url });
    else delete (env as Record<string, string | undefined>).DATABASE_URL;
    const child = spawn(process.execPath, ['bin/start.mjs'], { cwd: root, env, stdio: ['ignore', 'pipe', 'pipe'] });
    this.child = child;
    this.said = '';
    let said = '';
    await new Promise<void>((resolve, reject) => {
      const listen = (chunk: Buffer) => {
        said += chunk;
        this.said += chunk;
        if (said.includes(`Pace Bend is ready at ${this.url}`)) resolve();
      };
      child.stdout.on('data', listen);
      child.stderr.on('data', listen);
      child.once('exit', (code) => reject(new Error(`The start command ended with ${code}: ${said}`)));
    });
  }

  /** Ends it the hard way, and waits until the port is free again. */
  async kill(): Promise<void> {
    await this.end('SIGKILL');
    for (let i = 0; i < 100; i++) {
      const up = await fetch(`${this.url}/api/health`).then(
        () => true,
        () => false,
      );
      if (!up) return;
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
    throw new Error('The server outlived the start command.');
  }

  /** Resolves when the start command ends by itself, with its exit code. */
  ended(): Promise<number | null> {
    const child = this.child!;
    return child.exitCode !== null ? Promise.resolve(child.exitCode) : new Promise((resolve) => child.once('exit', resolve));
  }

  /** Ends it as Ctrl-C does, and leaves the data where they are. */
  async halt(): Promise<void> {
    await this.end('SIGTERM');
  }

  /** Ends everything and removes the data; after a kill, the database that was left over as well. */
  async stop(): Promise<void> {
    await this.end('SIGTERM');
    await this.endLeftoverDatabase();
    await this.schema?.drop();
    rmSync(this.dataFolder, { recursive: true, force: true });
  }

  private async endLeftoverDatabase(): Promise<void> {
    const pidFile = join(this.dataFolder, 'mariadb.pid');
    const isOurs = (pid: number) =>
      existsSync(`/proc/${pid}/cmdline`) && readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes(this.dataFolder);
    const pid = existsSync(pidFile) ? Number(readFileSync(pidFile, 'utf8')) : 0;
    if (!pid || !isOurs(pid)) return;
    process.kill(pid, 'SIGTERM');
    for (let i = 0; i < 100 && isOurs(pid); i++) await new Promise((resolve) => setTimeout(resolve, 50));
  }

  private async end(signal: NodeJS.Signals): Promise<void> {
    const child = this.child;
    this.child = null;
    if (!child || child.exitCode !== null || child.signalCode !== null) return;
    const ended = new Promise((resolve) => child.once('exit', resolve));
    child.kill(signal);
    await ended;
  }
}
