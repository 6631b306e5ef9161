import WebSocket from 'ws';
import {
  decompose,
  readDeviceMessage,
  relative,
  type DeviceMessage,
  type QuaternionTuple,
  type ScriptStep,
  type SensorPair,
} from '@pace-bend/core/device';
import { startDevices, type Devices } from './devices.ts';
import { Limb, USUAL_LIMB } from './limb.ts';
import { Player, scriptProblem } from './script.ts';

const pairOf = (limb: Limb): SensorPair => limb.orientations();
const QUIET = { ...USUAL_LIMB, noise: 0, sensorDrift: 0, guarding: 0 };

/** Plays a script on a quiet limb in simulated time; gives the plane angle and what is off it at every fiftieth of a second. */
function played(steps: readonly ScriptStep[], seconds: number, traits = QUIET) {
  const limb = new Limb(traits, () => 0.5);
  const player = new Player(limb, () => {});
  const zero = pairOf(limb);
  player.play(steps);
  return Array.from({ length: seconds * 50 }, () => {
    player.tick(0.02);
    limb.step(0.02);
    return decompose(relative(pairOf(limb), zero), limb.plane);
  });
}

describe('the athlete', () => {
  test('follows the hand below the edge', () =>
    expect(
      played(
        [
          { do: 'move', to: 62 },
          { do: 'hold', seconds: 2 },
        ],
        4,
      ).at(-1)!.inPlane,
    ).toBeCloseTo(62, 0));
  test('is stopped a little past the edge, and gives a little while it is held', () => {
    const angles = played(
      [
        { do: 'edge', deg: 60 },
        { do: 'move', to: 90 },
        { do: 'hold', seconds: 10 },
      ],
      12,
    ).map((each) => each.inPlane);
    expect(angles[150]!).toBeGreaterThan(60);
    expect(Math.max(...angles)).toBeLessThan(64);
    expect(angles.at(-1)!).toBeGreaterThan(angles[150]!);
  });
  test('braces when the hand comes too fast, and lets go', () => {
    const angles = played(
      [
        { do: 'move', to: 74, seconds: 0.5 },
        { do: 'hold', seconds: 4 },
      ],
      5,
      { ...QUIET, guarding: 1 },
    ).map((each) => each.inPlane);
    expect(angles[30]!).toBeLessThan(72);
    expect(angles.at(-1)!).toBeGreaterThan(73);
  });
  test('drifts off the plane as told, in the plane it was told', () => {
    const last = played(
      [
        { do: 'plane', axis: 'z' },
        { do: 'move', to: 30 },
        { do: 'drift', axis: 'x', deg: 12 },
        { do: 'hold', seconds: 1 },
      ],
      4,
    ).at(-1)!;
    expect(last.inPlane).toBeCloseTo(30, 0);
    expect(Math.abs(last.off.x)).toBeGreaterThan(9);
  });
  test('presses as hard as told', () => {
    const limb = new Limb(QUIET, () => 0.5);
    limb.press(50);
    for (let i = 0; i < 100; i++) limb.step(0.02);
    expect(limb.force()).toBeGreaterThan(0.45 * QUIET.strengthN);
    expect(limb.force()).toBeLessThan(0.55 * QUIET.strengthN);
  });
});

test.each<[string, unknown, string]>([
  ['no list', 7, 'a list'],
  ['an unknown step', [{ do: 'fly' }], 'Step 1'],
  ['a hold without seconds', [{ do: 'move', to: 62 }, { do: 'hold' }], 'Step 2'],
  ['an angle of 999°', [{ do: 'move', to: 999 }], 'Step 1'],
  ['130 %', [{ do: 'press', pct: 130, seconds: 1 }], 'Step 1'],
  ['nothing', [null], 'Step 1'],
  ['300 steps', Array.from({ length: 300 }, () => ({ do: 'button' })), 'at most'],
])('a script that cannot be played is refused: %s', (_, steps, words) => expect(scriptProblem(steps)).toContain(words));

describe('over the wire', () => {
  let devices: Devices;
  beforeAll(async () => {
    devices = await startDevices();
  });
  afterAll(() => devices.stop());

  async function listen(path: string) {
    const socket = new WebSocket(`${devices.url}${path}`);
    const heard: DeviceMessage[] = [];
    socket.on('message', (data) => {
      const message = readDeviceMessage(String(data));
      if (message) heard.push(message);
    });
    await new Promise((resolve, reject) => {
      socket.once('open', resolve);
      socket.once('error', reject);
    });
    const until = async (done: () => boolean, ms = 6000) => {
      const end = Date.now() + ms;
      while (!done() && Date.now() < end) await new Promise((resolve) => setTimeout(resolve, 20));
      expect(done()).toBe(true);
    };
    return { socket, heard, until };
  }
  const tuple = ([w, x, y, z]: QuaternionTuple) => ({ w, x, y, z });

  test('hello, then about fifty samples a second in order; a script moves the athlete to 62°', async () => {
    const { socket, heard, until } = await listen('/inclinometers');
    await until(() => heard.length > 20);
    expect(heard[0]).toMatchObject({ type: 'hello', protocol: 1, device: 'inclinometers', rate: 50 });
    const samples = () => heard.filter((message) => message.type === 'orientation');
    const first = samples()[0]!;
    socket.send(JSON.stringify({ type: 'script', steps: [{ do: 'move', to: 62 }, { do: 'button' }, { do: 'hold', seconds: 1 }] }));
    await until(() => samples().some((sample) => sample.button));
    const zero = { still: tuple(first.a), moving: tuple(first.b) };
    const now = samples().at(-1)!;
    expect(decompose(relative({ still: tuple(now.a), moving: tuple(now.b) }, zero), 'y').inPlane).toBeCloseTo(62, -0.5);
    const times = samples().map((sample) => sample.t);
    expect(times.every((t, i) => i === 0 || t > times[i - 1]!)).toBe(true);
    expect(heard.some((message) => message.type === 'taken')).toBe(true);
    socket.close();
  });

  test('a machine that is busy for a second loses no sample: they come at once, each with its own time', async () => {
    const { socket, heard, until } = await listen('/force-gauge');
    const samples = () => heard.filter((message) => message.type === 'force');
    await until(() => samples().length > 5);
    for (const end = performance.now() + 1000; performance.now() < end;);
    const before = samples().length;
    await until(() => samples().length > before + 45, 500);
    const [times, numbers] = [samples().map(({ t }) => t), samples().map(({ seq }) => seq)];
    for (let i = 1; i < times.length; i++) {
      expect(Math.abs(times[i]! - times[i - 1]! - 20)).toBeLessThanOrEqual(1);
      expect(numbers[i]).toBe(numbers[i - 1]! + 1);
    }
    socket.close();
  });

  test('a dropout ends the connection; a little later it can be made again', async () => {
    const { socket, until, heard } = await listen('/inclinometers');
    let closed = false;
    socket.on('close', () => {
      closed = true;
    });
    socket.send(JSON.stringify({ type: 'script', steps: [{ do: 'drop', seconds: 0.4 }] }));
    await until(() => closed);
    expect(heard.length).toBeGreaterThan(0);
    await new Promise((resolve) => setTimeout(resolve, 600));
    (await listen('/inclinometers')).socket.close();
  });

  test('nonsense is refused in words and moves nothing; a stranger’s page and an unknown path get nothing', async () => {
    const { socket, heard, until } = await listen('/force-gauge');
    socket.send('not JSON');
    socket.send(JSON.stringify({ type: 'script', steps: [{ do: 'fly' }] }));
    await until(() => heard.filter((message) => message.type === 'refused').length === 2);
    socket.close();
    const refused = (url: string, options?: WebSocket.ClientOptions) =>
      new Promise((resolve) => {
        new WebSocket(url, options).once('error', resolve);
      });
    await refused(`${devices.url}/elsewhere`);
    await refused(`${devices.url}/force-gauge`, { headers: { Origin: 'http://elsewhere.example' } });
  });
});
