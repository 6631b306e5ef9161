import { createHash, randomBytes } from 'node:crypto';
import { spawn } from 'node:child_process';
import { createReadStream, existsSync, readFileSync } from 'node:fs';
import { createInterface } from 'node:readline';
import { pipeline } from 'node:stream/promises';
import { giveUp } from './say.mjs';
import { attempt, connection, fingerprint, program, query, tablesOf, withSchema } from './sqlClient.mjs';
import { upgrade } from './upgrade.mjs';

/** The check file of a backup, after holding the backup against it; ends the program when they do not belong together. */
export async function checkedBackup(file) {
  const checkFile = file.replace(/\.sql$/, '.check.json');
  for (const each of [file, checkFile])
    if (!existsSync(each)) giveUp(`${each} is not there. A backup is two files: the .sql and its .check.json.`);
  let check;
  try {
    check = JSON.parse(readFileSync(checkFile, 'utf8'));
  } catch {
    giveUp(`${checkFile} cannot be read.`);
  }
  if (check?.format !== 'pace-bend backup' || check.version !== 1)
    giveUp(`${checkFile} is not the check file of a backup this program knows.`);
  const hash = createHash('sha256');
  await pipeline(createReadStream(file), hash);
  if (hash.digest('hex') !== check.sha256) giveUp(`${file} is not what was backed up: it was changed or cut off. Nothing was restored.`);
  return check;
}

/**
 * An account that may do anything in one schema and nothing anywhere else: whatever stands in the file, it reaches no
 * further. Where the database does not let accounts be made, the given one reads the file.
 */
function confined(url, schema) {
  const [name, password] = ['pace_bend_restore', randomBytes(24).toString('hex')];
  const made = attempt(
    url,
    `CREATE OR REPLACE USER '${name}'@'%' IDENTIFIED BY '${password}'; GRANT ALL PRIVILEGES ON \`${schema.replaceAll('_', '\\_')}\`.* TO '${name}'@'%';`,
  );
  if (made.status !== 0) return { url: withSchema(url, schema), drop() {} };
  const own = new URL(withSchema(url, schema));
  own.username = name;
  own.password = password;
  return { url: own.href, drop: () => void attempt(url, `DROP USER IF EXISTS '${name}'@'%';`) };
}

/** The lines of a dump without its triggers (older backups have some): those are the program's own and are made again. */
async function* linesToRun(file) {
  let passing = false;
  for await (const line of createInterface({ input: createReadStream(file), crlfDelay: 0 })) {
    if (line === 'DELIMITER ;;') passing = true;
    else if (line === 'DELIMITER ;') passing = false;
    else if (!passing) yield `${line}\n`;
  }
}

/** Reads the file into a schema. The client runs confined: lines that would run a command or touch a file are refused. */
async function readInto(url, file) {
  const { args, env, database } = connection(url);
  const client = program('mariadb');
  const child = spawn(client, [...args, '--sandbox', '--batch', database], { env, stdio: ['pipe', 'ignore', 'pipe'] });
  let complaint = '';
  child.stderr.on('data', (chunk) => {
    complaint += chunk;
  });
  const ended = new Promise((settle) => child.once('exit', settle));
  await pipeline(linesToRun(file), child.stdin).catch(() => undefined);
  return (await ended) === 0 ? null : complaint.trim() || 'it could not be read to its end';
}

const same = (a, b) => a?.rows === b?.rows && a?.checksum === b?.checksum;

/**
 * Puts a backup in the place of a schema's tables. The model: the backup is read into a schema of its own beside it, every table is held against the
 * check file, its tables are brought up to what this program needs, and only then one statement moves the old tables out and
 * the new ones in; the database makes that statement whole or takes it back, also when it is killed in the middle. So at
 * every moment either what stood still stands, or the backup does. Triggers cannot move between schemas; they are
 * dropped before and made again after, and every start makes those that are missing.
 */
export async function restoreInto(root, url, file, check) {
  const schema = connection(url).database;
  const [scratch, before] = [`${schema}_restoring`, `${schema}_before`];
  query(
    url,
    `DROP DATABASE IF EXISTS \`${scratch}\`; DROP DATABASE IF EXISTS \`${before}\`; CREATE DATABASE \`${scratch}\` CHARACTER SET utf8mb4; CREATE DATABASE \`${before}\` CHARACTER SET utf8mb4;`,
  );
  const fail = (...lines) => {
    attempt(url, `DROP DATABASE IF EXISTS \`${scratch}\`; DROP DATABASE IF EXISTS \`${before}\`;`);
    giveUp(...lines, 'Nothing was restored; what stood still stands.');
  };

  const reader = confined(url, scratch);
  const complaint = await readInto(reader.url, file);
  reader.drop();
  if (complaint) fail(`The database refused the backup: ${complaint}`);
  const scratchUrl = withSchema(url, scratch);
  const now = fingerprint(scratchUrl, tablesOf(scratchUrl));
  const wrong = [...new Set([...Object.keys(check.tables), ...Object.keys(now)])].filter((table) => !same(now[table], check.tables[table]));
  if (wrong.length > 0) fail(`Not as it was backed up: ${wrong.join(', ')}.`);
  upgrade(root, scratchUrl);

  const moves = [
    ...tablesOf(url).map((table) => [schema, before, table]),
    ...tablesOf(scratchUrl).map((table) => [scratch, schema, table]),
  ];
  for (const each of [schema, scratch]) {
    const triggers = query(url, `SELECT TRIGGER_NAME FROM information_schema.TRIGGERS WHERE TRIGGER_SCHEMA = '${each}';`).map(
      ([name]) => `DROP TRIGGER \`${each}\`.\`${name}\`;`,
    );
    if (triggers.length > 0) query(url, triggers.join(' '));
  }
  query(
    url,
    `SET FOREIGN_KEY_CHECKS = 0; RENAME TABLE ${moves.map(([from, to, table]) => `\`${from}\`.\`${table}\` TO \`${to}\`.\`${table}\``).join(', ')};`,
  );
  upgrade(root, url);
  query(
    url,
    `INSERT INTO audit (practice_id, at, account_id, account_name, what) SELECT id, UTC_TIMESTAMP(3), NULL, 'At the terminal', 'restored from a backup' FROM practice; SET FOREIGN_KEY_CHECKS = 0; DROP DATABASE \`${scratch}\`; DROP DATABASE \`${before}\`;`,
  );
  return now;
}

/**
 * Writes down whoever was erased after the backup that stands now was made, for the next start to erase again. Returns how many of them are in it.
 */
export function writeErased(url, erased) {
  const known = erased.filter(([id]) => /^[0-9a-f-]{36}$/.test(id));
  if (known.length === 0) return 0;
  const ids = known.map(([id]) => `'${id}'`).join(', ');
  const back = new Set(query(url, `SELECT id FROM athlete WHERE id IN (${ids});`).map(([id]) => id));
  const again = known.filter(([id]) => back.has(id));
  if (again.length === 0) return 0;
  const text = (value) => `0x${Buffer.from(value).toString('hex')}`;
  query(
    url,
    `CREATE TABLE IF NOT EXISTS erase_again (athlete_id UUID NOT NULL PRIMARY KEY, erased_by VARCHAR(120) NOT NULL, copy VARCHAR(20) NOT NULL);
     ${again.map(([id, by, copy]) => `REPLACE INTO erase_again VALUES ('${id}', ${text(by)}, ${text(copy)});`).join('\n')}`,
  );
  return again.length;
}
