import { createServer } from 'node:net';

/**
 * Ports are picked below those that the system hands out for outgoing connections (from 32768 on Linux): one of those
 * may be taken by anybody's connection between being picked and being listened on, which is seconds later.
 */
const FIRST = 20_000;
const LAST = 32_700;
/** So many are tried; where none of them is free, something else is wrong. */
const TRIES = 50;

function canListen(port) {
  return new Promise((resolve) => {
    const server = createServer();
    server.once('error', () => resolve(false));
    server.listen(port, '127.0.0.1', () => server.close(() => resolve(true)));
  });
}

/** A TCP port on 127.0.0.1 that nobody listens on now. */
export async function freePort() {
  for (let i = 0; i < TRIES; i++) {
    const port = FIRST + Math.floor(Math.random() * (LAST - FIRST + 1));
    if (await canListen(port)) return port;
  }
  throw new Error(`None of ${TRIES} ports from ${FIRST} to ${LAST} can be listened on.`);
}
