/** Waits for something, but no longer than so many milliseconds. */
export async function within(ms: number, done: Promise<unknown>): Promise<void> {
  let late: ReturnType<typeof setTimeout> | undefined;
  await Promise.race([done, new Promise((resolve) => (late = setTimeout(resolve, ms)))]);
  clearTimeout(late);
}
