import { spawn, spawnSync } from 'node:child_process';
import { ensureDebianPackage, findProgram } from './packages.mjs';
import { giveUp } from './say.mjs';

/** A URL of one host of a database: of several that are named, separated by commas, the first. */
const oneHost = (url) => url.replace(/^([^:]+:\/\/(?:[^@/]*@)?[^,/]+),[^/]+/, '$1');

/** The same database server, another schema. */
export function withSchema(url, schema) {
  const other = new URL(oneHost(url));
  other.pathname = `/${schema}`;
  return other.href;
}

/** Arguments and environment with which Debian's client programs reach a database URL; the password is in no argument. */
export function connection(url) {
  const { hostname, port, username, password, pathname } = new URL(oneHost(url));
  return {
    args: [
      '--no-defaults',
      '--protocol=tcp',
      `--host=${hostname}`,
      `--port=${port || 3306}`,
      `--user=${decodeURIComponent(username)}`,
      '--default-character-set=utf8mb4',
    ],
    env: { ...process.env, MYSQL_PWD: decodeURIComponent(password) },
    database: pathname.slice(1),
  };
}

export function program(name) {
  ensureDebianPackage('mariadb-client', name);
  return findProgram(name);
}

/** Runs statements in one go; returns what the client said and whether it ended well. */
export function attempt(url, sql) {
  const { args, env, database } = connection(url);
  return spawnSync(program('mariadb'), [...args, '--batch', '--skip-column-names', database], {
    input: sql,
    env,
    encoding: 'utf8',
    maxBuffer: 64 * 1024 * 1024,
  });
}

/** Runs statements in one go and returns the lines of their results, columns split; ends the program when the database refuses. */
export function query(url, sql) {
  const { status, stdout, stderr } = attempt(url, sql);
  if (status !== 0) giveUp(`The database refused: ${stderr.trim()}`);
  return stdout
    .split('\n')
    .filter(Boolean)
    .map((line) => line.split('\t'));
}

/** Every table of the database, by name. */
export function tablesOf(url) {
  return query(
    url,
    "SELECT TABLE_NAME FROM information_schema.TABLES WHERE TABLE_SCHEMA = DATABASE() AND TABLE_TYPE = 'BASE TABLE' ORDER BY TABLE_NAME;",
  ).map(([name]) => name);
}

const quoted = (name) => `\`${name}\``;
/** For each table how many rows it holds, and the sum of their contents. */
const fingerprintSql = (tables) =>
  tables.map((table) => `SELECT ${`'${table}'`}, COUNT(*) FROM ${quoted(table)}; CHECKSUM TABLE ${quoted(table)} EXTENDED;`).join('\n');

function fingerprintFrom(lines, tables) {
  return Object.fromEntries(tables.map((table, i) => [table, { rows: Number(lines[2 * i][1]), checksum: lines[2 * i + 1][1] }]));
}

export function fingerprint(url, tables) {
  return tables.length === 0 ? {} : fingerprintFrom(query(url, fingerprintSql(tables)), tables);
}

/**
 * Holds every table still for reading, takes their fingerprint, and does something meanwhile. Who wants to write
 * waits until it is over. What is dumped meanwhile is therefore exactly what the fingerprint says.
 */
export async function heldStill(url, tables, work) {
  const { args, env, database } = connection(url);
  const holder = spawn(program('mariadb'), [...args, '--batch', '--skip-column-names', '--unbuffered', database], {
    env,
    stdio: ['pipe', 'pipe', 'pipe'],
  });
  let said = '';
  let complaint = '';
  holder.stderr.on('data', (chunk) => {
    complaint += chunk;
  });
  const held = new Promise((resolve, reject) => {
    holder.stdout.on('data', (chunk) => {
      said += chunk;
      if (said.includes('\nheld\n')) resolve();
    });
    holder.once('exit', () => reject(new Error(complaint.trim() || 'The database closed the connection.')));
  });
  holder.stdin.write(
    `LOCK TABLES ${tables.map((table) => `${quoted(table)} READ`).join(', ')};\n${fingerprintSql(tables)}\nSELECT 'held';\n`,
  );
  await held;
  try {
    await work();
    return fingerprintFrom(
      said.split('\n').map((line) => line.split('\t')),
      tables,
    );
  } finally {
    holder.stdin.end('UNLOCK TABLES;\n');
  }
}
