/** A private database server on 127.0.0.1 for one data directory; `fast` for one whose last second may be lost. */
export function startMariadb(
  dataFolder: string,
  options?: { quiet?: boolean; fast?: boolean },
): Promise<{ url: string; stop(): Promise<void> }>;
