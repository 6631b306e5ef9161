/** One line for the person at the terminal. */
export function say(line) {
  process.stdout.write(`${line}\n`);
}

/** Says what is wrong and what to do, and ends the program. What has to end with it has registered itself for that. */
export function giveUp(...lines) {
  for (const line of lines) process.stderr.write(`${line}\n`);
  process.exit(1);
}

const began = performance.now();
let last = began;

/** With `--verbose`: what the time since the last such line went to. */
export function took(what) {
  const now = performance.now();
  if (process.argv.includes('--verbose'))
    say(`  ${((now - last) / 1000).toFixed(1).padStart(6)} s  ${what}  (${((now - began) / 1000).toFixed(1)} s in all)`);
  last = now;
}
