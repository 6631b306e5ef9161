import { createHash } from 'node:crypto';
import { spawnSync } from 'node:child_process';
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { giveUp, say } from './say.mjs';

/** Builds the interface when its sources (or the core's, or the lock file) differ from those of the last build. */
export function ensureWebBuild(root) {
  const marker = join(root, 'web', 'dist', '.sources');
  const sources = hashOf([
    join(root, 'web', 'src'),
    join(root, 'web', 'public'),
    join(root, 'core', 'src'),
    join(root, 'web', 'index.html'),
    join(root, 'web', 'vite.config.ts'),
    join(root, 'web', 'pieces.ts'),
    join(root, 'package-lock.json'),
  ]);
  if (existsSync(marker) && readFileSync(marker, 'utf8') === sources) return;
  say('Building the interface …');
  const result = spawnSync(process.execPath, [join(root, 'node_modules', 'vite', 'bin', 'vite.js'), 'build', 'web', '--logLevel', 'warn'], {
    // Whatever this was called from: what is served is the finished program, without the warnings of a workshop.
    cwd: root,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, NODE_ENV: 'production' },
  });
  if (result.status !== 0) giveUp('The interface could not be built.');
  writeFileSync(marker, sources);
}

function hashOf(paths) {
  const hash = createHash('sha256');
  const add = (path) => {
    if (!existsSync(path)) return;
    let entries;
    try {
      entries = readdirSync(path, { withFileTypes: true });
    } catch {
      hash.update(path).update(readFileSync(path));
      return;
    }
    for (const entry of entries.sort((a, b) => (a.name < b.name ? -1 : 1))) add(join(path, entry.name));
  };
  paths.forEach(add);
  return hash.digest('hex');
}
