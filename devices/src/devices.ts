import { createServer, type IncomingMessage } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { Duplex } from 'node:stream';
import { WebSocketServer, type WebSocket } from 'ws';
import {
  PROTOCOL,
  type DeviceKind,
  type DeviceMessage,
  type Quaternion,
  type QuaternionTuple,
  type ToDevice,
} from '@pace-bend/core/device';
import { Limb } from './limb.ts';
import { Player, scriptProblem } from './script.ts';

const RATE = 50;
const PERIOD_MS = 1000 / RATE;
/** Two seconds of samples are kept for when the machine was busy. */
const MOST_AT_ONCE = 2 * RATE;
/** A whole battery lasts a day of samples. */
const BATTERY_S = 10 * 3600;
const LONGEST_MESSAGE = 64 * 1024;

const PATHS: Record<string, { readonly device: DeviceKind; readonly name: string }> = {
  '/inclinometers': { device: 'inclinometers', name: 'Inclinometer pair, stand-in' },
  '/force-gauge': { device: 'force-gauge', name: 'Force gauge, stand-in' },
};

export interface Devices {
  /** `ws://127.0.0.1:port`; the devices are at /inclinometers and /force-gauge. */
  readonly url: string;
  stop(): Promise<void>;
}

/**
 * The stand-ins: a pair of inclinometers and a force gauge, on loopback, telling what one simulated athlete does. Everybody who
 * connects to a device hears the same samples; whoever sends a script moves the athlete for all.
 */
export async function startDevices({ port = 0 } = {}): Promise<Devices> {
  const http = createServer((_request, response) => response.writeHead(426).end('These devices speak WebSocket.'));
  const devices = new Map(Object.entries(PATHS).map(([path, about]) => [path, new Device(about)]));
  http.on('upgrade', (request: IncomingMessage, socket: Duplex, head: Buffer) => {
    const device = devices.get((request.url ?? '').split('?')[0]!);
    if (!device || !isLocal(request)) return void socket.end('HTTP/1.1 404 Not Found\r\n\r\n');
    device.accept(request, socket, head);
  });
  await new Promise<void>((resolve, reject) => http.once('error', reject).listen(port, '127.0.0.1', resolve));
  const timer = setInterval(() => {
    for (const device of devices.values()) device.sample();
  }, PERIOD_MS);
  return {
    url: `ws://127.0.0.1:${(http.address() as AddressInfo).port}`,
    async stop() {
      clearInterval(timer);
      for (const device of devices.values()) device.end();
      await new Promise((resolve) => http.close(resolve));
    },
  };
}

/** A page of another site must not listen in: its origin is not this machine. */
function isLocal({ headers: { origin, host } }: IncomingMessage): boolean {
  if (!/^127\.0\.0\.1:\d+$|^localhost:\d+$/.test(host ?? '')) return false;
  return origin === undefined || /^https?:\/\/(127\.0\.0\.1|localhost)(:\d+)?$/.test(origin);
}

class Device {
  private readonly server = new WebSocketServer({ noServer: true, maxPayload: LONGEST_MESSAGE });
  private readonly limb = new Limb();
  private readonly player = new Player(this.limb, (seconds) => this.dropOut(seconds));
  private readonly began = performance.now();
  /** When the last sample was taken, by the device's own clock: it beats on while the machine it lives on is busy, and what is late comes at once. */
  private sampledAt = this.began;
  private seq = 0;
  private awayUntil = 0;

  constructor(private readonly about: { readonly device: DeviceKind; readonly name: string }) {}

  accept(request: IncomingMessage, socket: Duplex, head: Buffer): void {
    if (performance.now() < this.awayUntil) return void socket.end('HTTP/1.1 503 Service Unavailable\r\n\r\n');
    this.server.handleUpgrade(request, socket, head, (client) => {
      this.say(client, { type: 'hello', protocol: PROTOCOL, rate: RATE, ...this.about });
      client.on('message', (data) => this.hear(client, String(data)));
      client.on('error', () => client.terminate());
    });
  }

  private hear(client: WebSocket, text: string): void {
    let message: Partial<ToDevice>;
    try {
      message = JSON.parse(text) as Partial<ToDevice>;
    } catch {
      return this.say(client, { type: 'refused', message: 'This is not JSON.' });
    }
    if (message?.type !== 'script') return this.say(client, { type: 'refused', message: 'A device takes scripts only.' });
    const problem = scriptProblem(message.steps);
    if (problem !== null) return this.say(client, { type: 'refused', message: problem });
    this.player.play(message.steps!);
    this.say(client, { type: 'taken', steps: message.steps!.length });
  }

  private say(client: WebSocket, message: DeviceMessage): void {
    client.send(JSON.stringify(message));
  }

  private dropOut(seconds: number): void {
    this.awayUntil = performance.now() + seconds * 1000;
    for (const client of this.server.clients) client.terminate();
  }

  /** The samples that are due by now. */
  sample(): void {
    const now = performance.now();
    const due = Math.floor((now - this.sampledAt) / PERIOD_MS);
    // A machine that slept has not moved the athlete.
    if (due > MOST_AT_ONCE) this.sampledAt = now - MOST_AT_ONCE * PERIOD_MS;
    for (let i = 0; i < Math.min(due, MOST_AT_ONCE); i++) this.next();
  }

  /** One sample to everybody; the athlete moves on by one period. */
  private next(): void {
    this.sampledAt += PERIOD_MS;
    this.player.tick(PERIOD_MS / 1000);
    this.limb.step(PERIOD_MS / 1000);
    this.seq += 1;
    if (this.server.clients.size === 0) return;
    const t = Math.round(this.sampledAt - this.began);
    const common = { t, seq: this.seq, battery: Math.max(0, 1 - t / 1000 / BATTERY_S), button: this.player.button };
    const message: DeviceMessage =
      this.about.device === 'force-gauge'
        ? { type: 'force', ...common, n: Math.round(this.limb.force() * 10) / 10 }
        : (({ still, moving }) => ({ type: 'orientation' as const, ...common, a: tuple(still), b: tuple(moving) }))(
            this.limb.orientations(),
          );
    const text = JSON.stringify(message);
    for (const client of this.server.clients) if (client.readyState === client.OPEN) client.send(text);
  }

  end(): void {
    for (const client of this.server.clients) client.terminate();
    this.server.close();
  }
}

const tuple = ({ w, x, y, z }: Quaternion): QuaternionTuple =>
  [w, x, y, z].map((part) => Math.round(part * 1e5) / 1e5) as unknown as QuaternionTuple;
