/** One line for the person at the terminal. */
export function say(line) {
  process.stdout.write(`${line}\n`);
}

/** Says what is wrong and what to do, and ends the program. */
export function giveUp(...lines) {
  for (const line of lines) process.stderr.write(`${line}\n`);
  process.exit(1);
}
