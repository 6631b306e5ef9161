// A disk that fills up under the running program: writes are refused in words, nothing acknowledged is lost, and with room again it goes on.
import { spawnSync } from 'node:child_process';
import { mkdirSync, rmSync, statfsSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { compare, pause, Program, remove, workFolder, Writers } from './program.mjs';

const say = (line) => process.stdout.write(`${line}\n`);
const DISK_MB = 420;

/** Prints what was acknowledged, refused and lost; returns the exit code. Needs the right to mount. */
export async function fullDisk() {
  const outside = workFolder();
  const disk = join(outside, 'disk');
  mkdirSync(disk);
  if (spawnSync('mount', ['-t', 'tmpfs', '-o', `size=${DISK_MB}m`, 'pace-bend-disk', disk]).status !== 0) {
    say('A small disk could not be mounted: this needs root. Nothing was tried.');
    remove(outside);
    return 1;
  }
  const data = join(disk, 'data');
  const program = await Program.on(data);
  let writers = null;
  try {
    await program.start();
    writers = new Writers([program.url], 4, 'Disk');
    await pause(2000);
    const before = writers.acknowledged.length;
    // What is left of the disk goes, to the last block.
    const filler = join(disk, 'filler');
    const { bavail, bsize } = statfsSync(disk);
    try {
      writeFileSync(filler, Buffer.alloc(Math.max(0, Number(bavail) * Number(bsize))));
    } catch (error) {
      if (error.code !== 'ENOSPC') throw error;
    }
    // Big notes: the tables have to grow, and cannot.
    const answers = new Map();
    const cookie = await writers.signIn(0);
    for (let i = 0; i < 400; i++) {
      const answer = await fetch(`${program.url}/api/athletes/${crypto.randomUUID()}`, {
        method: 'PUT',
        headers: { 'Content-Type': 'application/json', Cookie: cookie },
        body: JSON.stringify({
          name: `Disk big ${i}`,
          birthDate: '2001-05-06',
          referenceSex: 'none',
          rowing: 'none',
          about: 'x'.repeat(300),
          breathPeriodMs: 8000,
          build: 'y'.repeat(1000),
          preferences: 'z'.repeat(1000),
        }),
        signal: AbortSignal.timeout(20_000),
      }).catch((error) => ({ status: error.name, text: async () => '' }));
      const words = (await answer.text()).slice(0, 160);
      answers.set(answer.status, { n: (answers.get(answer.status)?.n ?? 0) + 1, words });
      if (answer.status === 200) writers.acknowledged.push(`Disk big ${i}`);
      if ((answers.get(507)?.n ?? 0) + (answers.get(503)?.n ?? 0) > 5) break;
    }
    const health = await fetch(`${program.url}/api/health`).then(
      (answer) => answer.status,
      () => 'no answer',
    );
    say(
      `full after ${before} acknowledged: ${[...answers].map(([status, { n, words }]) => `${status} × ${n}${status === 200 ? '' : ` (${words})`}`).join('; ')}; health ${health}`,
    );
    rmSync(filler);
    await pause(3000);
    const full = writers.acknowledged.length;
    await pause(3000);
    const after = writers.acknowledged.length - full;
    await writers.stop();
    const result = compare(writers.acknowledged, program.sql("SELECT name FROM athlete WHERE name LIKE 'Disk %';"));
    say(
      `with room again ${after} more were acknowledged; ${JSON.stringify(result)}; refusals ${JSON.stringify(Object.fromEntries(writers.refusals))}`,
    );
    const other = [...answers.keys()].filter((status) => ![200, 503, 507].includes(status));
    return result.lost + result.doubled > 0 || after === 0 || other.length > 0 ? 1 : 0;
  } finally {
    if (writers && !writers.stopped) await writers.stop();
    await program.stop();
    spawnSync('umount', ['-l', disk]);
    remove(outside);
  }
}
