import { createPinia, setActivePinia } from 'pinia';
import { motionOf } from '@pace-bend/core/body';
import { about, AXES, multiply, type Axis, type Quaternion } from '@pace-bend/core/device';
import { usePractice } from '../stores/practice.ts';
import { installBrowser, settle } from '../testing/browser.ts';
import { FakeSocket, installSocket } from '../testing/socket.ts';
import { useInclinometers } from './useInclinometers.ts';

const tuple = ({ w, x, y, z }: Quaternion) => [w, x, y, z];
const slr = motionOf('straight-leg-raise');

async function open() {
  installSocket();
  installBrowser(() => ({ status: 200, body: { name: 'P', timeZone: 'utc', today: '2026-11-25', devices: 'ws://127.0.0.1:4300' } }));
  setActivePinia(createPinia());
  await usePractice().load();
  const device = useInclinometers();
  const taken: number[] = [];
  let pressed = 0;
  device.assign(
    slr,
    (value) => taken.push(value),
    () => {
      pressed += 1;
    },
  );
  device.connect();
  const socket = () => FakeSocket.made.at(-1)!;
  socket().say({ type: 'hello', protocol: 1, device: 'inclinometers', name: 'Pair', rate: 50 });
  let [t, seq] = [0, 0];
  const sample = (deg: number, off: Partial<Record<Axis, number>> = {}, button = false) => {
    const outside = Object.entries(off).reduce((turned, [axis, by]) => multiply(turned, about(AXES[axis as Axis], by)), {
      w: 1,
      x: 0,
      y: 0,
      z: 0,
    });
    socket().say({
      type: 'orientation',
      t: (t += 20),
      seq: (seq += 1),
      a: [1, 0, 0, 0],
      b: tuple(multiply(outside, about(AXES.y, deg))),
      battery: 0.5,
      button,
    });
  };
  const hold = (deg: number, seconds: number, off?: Partial<Record<Axis, number>>) => {
    for (let i = 0; i < seconds * 50; i++) sample(deg, off);
  };
  return {
    device,
    socket,
    sample,
    hold,
    taken,
    pressed: () => pressed,
    skip: (samples: number) => {
      seq += samples;
    },
  };
}

test('zeroed, moved and held: one value; back at rest none', async () => {
  const { device, hold, taken } = await open();
  hold(3, 0.1);
  expect(device.value).toBeNull();
  device.setZero();
  hold(65, 2);
  hold(3, 3);
  expect(taken).toEqual([62]);
  expect([device.state, device.battery, device.name]).toEqual(['on', 0.5, 'Pair']);
  device.disconnect();
});

test('off the plane is said and not counted', async () => {
  const { device, hold, taken } = await open();
  hold(0, 0.1);
  device.setZero();
  hold(60, 3, { z: 14 });
  expect(device.warning).toMatch(/^limb has swung out of line 1[234]°$/);
  expect(taken).toEqual([]);
  device.disconnect();
});

test('straps the other way round; the button tells; missed samples are counted', async () => {
  const { device, hold, sample, skip, pressed } = await open();
  hold(0, 0.1);
  device.setZero();
  device.flipped = true;
  sample(-40);
  expect(device.value).toBeCloseTo(40, 6);
  sample(-40, {}, true);
  expect(pressed()).toBe(1);
  skip(7);
  sample(-40);
  expect(device.dropped).toBe(7);
  device.disconnect();
});

test('a line that breaks is made again by itself; the zero is kept; another motion has to be zeroed anew', async () => {
  const { device, socket, hold } = await open();
  hold(0, 0.1);
  device.setZero();
  const first = socket();
  first.close();
  expect(device.state).toBe('lost');
  await settle(400);
  expect(socket()).not.toBe(first);
  socket().say({ type: 'hello', protocol: 1, device: 'inclinometers', name: 'Pair', rate: 50 });
  hold(30, 0.1);
  expect([device.state, Math.round(device.value!)]).toEqual(['on', 30]);
  device.assign(
    motionOf('hip-abduction'),
    () => {},
    () => {},
  );
  expect(device.value).toBeNull();
  device.disconnect();
  socket().onmessage?.({ data: 'nonsense' });
  expect(device.state).toBe('off');
});

test('without devices nothing is looked for', async () => {
  installSocket();
  installBrowser(() => ({ status: 200, body: { name: 'P', timeZone: 'utc', today: '2026-11-25', devices: null } }));
  setActivePinia(createPinia());
  await usePractice().load();
  const device = useInclinometers();
  device.connect();
  expect([FakeSocket.made.length, device.state]).toEqual([0, 'off']);
});
