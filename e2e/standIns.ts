import type { Page } from '@playwright/test';
import WebSocket from 'ws';
import type { ScriptStep } from '@pace-bend/core/device';

/** Has a stand-in play a script, as a tester at its own connection. Resolves when it has taken it. */
export async function play(page: Page, device: 'inclinometers' | 'force-gauge', steps: readonly ScriptStep[]): Promise<void> {
  const { devices } = (await (await page.request.get(new URL('/api/practice', page.url()).href)).json()) as { devices: string };
  const socket = new WebSocket(`${devices}/${device}`);
  await new Promise<void>((resolve, reject) => {
    socket.once('error', reject);
    socket.once('open', () => socket.send(JSON.stringify({ type: 'script', steps })));
    socket.on('message', (data) => {
      const message = JSON.parse(String(data)) as { type: string; message?: string };
      if (message.type === 'taken') resolve();
      if (message.type === 'refused') reject(new Error(message.message));
    });
  });
  socket.close();
}
