import { fork } from 'node:child_process';
import { join } from 'node:path';
import { WITH_TYPES } from './withTypes.mjs';

/**
 * Starts the stand-ins for the measuring devices as a process of their own; resolves to where they are, or to nothing
 * when they could not be started. The channel to them doubles as a lifeline.
 */
export async function startDevices(root) {
  const child = fork(join(root, 'devices', 'src', 'start.ts'), [], {
    cwd: root,
    execArgv: WITH_TYPES,
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
  });
  const ended = new Promise((resolve) => child.once('exit', resolve));
  const url = await Promise.race([
    new Promise((resolve) =>
      child.on('message', (message) => {
        if (message?.ready) resolve(message.ready);
      }),
    ),
    ended.then(() => null),
  ]);
  return {
    url,
    async stop() {
      if (child.exitCode === null && child.signalCode === null) child.kill('SIGTERM');
      await ended;
    },
  };
}
