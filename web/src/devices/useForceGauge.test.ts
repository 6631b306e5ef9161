import { createPinia, setActivePinia } from 'pinia';
import { usePractice } from '../stores/practice.ts';
import { installBrowser } from '../testing/browser.ts';
import { FakeSocket, installSocket } from '../testing/socket.ts';
import { useForceGauge } from './useForceGauge.ts';

async function open() {
  installSocket();
  installBrowser(() => ({ status: 200, body: { name: 'P', timeZone: 'utc', today: '2026-11-25', devices: 'ws://127.0.0.1:4300' } }));
  setActivePinia(createPinia());
  await usePractice().load();
  const gauge = useForceGauge();
  gauge.connect();
  const socket = FakeSocket.made.at(-1)!;
  socket.say({ type: 'hello', protocol: 1, device: 'force-gauge', name: 'Gauge, stand-in', rate: 50 });
  let [t, seq] = [0, 0];
  const press = (n: number, seconds: number) => {
    for (let i = 0; i < seconds * 50; i++) socket.say({ type: 'force', t: (t += 20), seq: (seq += 1), n, battery: 1, button: false });
  };
  return { gauge, socket, press };
}

test('each finished press is told; the best is the maximum, effort is told in percent of it', async () => {
  const { gauge, socket, press } = await open();
  expect(socket.url).toBe('ws://127.0.0.1:4300/force-gauge');
  const told: number[][] = [];
  gauge.assign((presses) => told.push(presses.map(Math.round)));
  expect(gauge.pct).toBeNull();
  for (const n of [180, 220, 200]) {
    press(n, 1);
    press(0, 0.5);
  }
  expect(told).toEqual([[180], [180, 220], [180, 220, 200]]);
  expect(Math.round(gauge.maximum!)).toBe(220);
  press(55, 0.4);
  expect(Math.round(gauge.pct!)).toBe(25);
  gauge.disconnect();
});

test('another group begins anew', async () => {
  const { gauge, press } = await open();
  gauge.assign(() => {});
  press(200, 1);
  press(0, 0.5);
  expect(gauge.presses).toHaveLength(1);
  gauge.assign(() => {});
  expect([gauge.presses.length, gauge.maximum]).toEqual([0, null]);
  gauge.disconnect();
});

test('scripts go to the device; what it refuses is kept', async () => {
  const { gauge, socket } = await open();
  gauge.play([{ do: 'press', pct: 50, seconds: 1 }]);
  expect(JSON.parse(socket.sent[0]!)).toEqual({ type: 'script', steps: [{ do: 'press', pct: 50, seconds: 1 }] });
  socket.say({ type: 'refused', message: 'Step 1 cannot be read.' });
  expect(gauge.refused).toBe('Step 1 cannot be read.');
  gauge.play([]);
  expect(gauge.refused).toBeNull();
  gauge.disconnect();
  gauge.play([]);
  expect(socket.sent).toHaveLength(2);
});
