import { fork } from 'node:child_process';
import { join } from 'node:path';
import { WITH_TYPES } from './withTypes.mjs';

/**
 * Starts the server process and waits until it listens. The channel to it doubles as a lifeline: when this
 * process dies in whatever way, the server notices and ends itself.
 */
export function startServer(root, env, { watch = false } = {}) {
  const script = join(root, 'server', 'src', 'start.ts');
  const child = fork(script, [], {
    cwd: root,
    execArgv: [...WITH_TYPES, ...(watch ? ['--watch', '--watch-preserve-output'] : [])],
    env: { ...process.env, ...env },
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
  });
  const ended = new Promise((resolve) => child.once('exit', (code) => resolve(code ?? 1)));
  const ready = new Promise((resolve) => {
    child.on('message', (message) => {
      if (message?.ready) resolve(message.ready);
    });
    void ended.then(() => resolve(null));
  });
  return {
    ready,
    ended,
    async stop() {
      if (child.exitCode === null && child.signalCode === null) child.kill('SIGTERM');
      await ended;
    },
  };
}
