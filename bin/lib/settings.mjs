import { createServer } from 'node:net';
import { giveUp } from './say.mjs';

/** The port that was asked for; ends the program when it is none. */
export function portFrom(text = '4173') {
  const port = Number(text);
  if (!/^\d{1,5}$/.test(text) || port < 1 || port > 65_535) giveUp(`PORT is a whole number from 1 to 65535, not “${text}”.`);
  return port;
}

function tryListening(port, host) {
  return new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', (error) => resolve(error.code));
    probe.listen(port, host, () => probe.close(() => resolve(null)));
  });
}

/** How long the server of a start that was killed may take to let go of its port. */
const LETTING_GO_MS = 5000;

/** Ends the program with one line when nobody could listen there, before anything is set up. */
export async function requireFreePort(port, host) {
  const until = Date.now() + LETTING_GO_MS;
  for (;;) {
    const code = await tryListening(port, host);
    if (code === null) return;
    if (code !== 'EADDRINUSE' || Date.now() > until)
      giveUp(
        code === 'EADDRNOTAVAIL'
          ? `HOST ${host} is no address of this machine.`
          : `Port ${port} cannot be used (${code}). Set PORT to another one.`,
      );
    await new Promise((resolve) => setTimeout(resolve, 250));
  }
}
