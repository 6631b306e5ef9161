import { randomUUID } from 'node:crypto';
import { codeOf, isTakenBack } from './failures.ts';
import { change, firstRow, type Pool } from './pool.ts';

/** So long a lease holds when its holder says nothing more; it says so three times as often. */
const LEASE_S = 9;
const PAUSE_MS = 500;
const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/**
 * Does something that only one server at a time may do. The lease is a row: it is taken by one statement that changes it only when
 * nobody holds it, which the nodes of a cluster agree on (a lock that one node knows of would not be enough), renewed
 * while the work goes on, and free again a few seconds after a holder that was killed.
 */
export async function withLease<T>(pool: Pool, name: string, work: () => Promise<T>): Promise<T> {
  const holder = randomUUID();
  await change(
    pool,
    'CREATE TABLE IF NOT EXISTS lease (name VARCHAR(40) NOT NULL PRIMARY KEY, holder CHAR(36) NULL, until DATETIME(3) NOT NULL) ENGINE = InnoDB DEFAULT CHARSET = utf8mb4',
  );
  await change(pool, "INSERT IGNORE INTO lease (name, holder, until) VALUES (?, NULL, '2000-01-01')", [name]);
  const take = () =>
    change(
      pool,
      'UPDATE lease SET holder = ?, until = UTC_TIMESTAMP(3) + INTERVAL ? SECOND WHERE name = ? AND (holder IS NULL OR holder = ? OR until < UTC_TIMESTAMP(3))',
      [holder, LEASE_S, name, holder],
    ).catch((error: unknown) => {
      if (isTakenBack(error) || codeOf(error) === 'ER_LOCK_WAIT_TIMEOUT') return 0;
      throw error;
    });
  const mine = async () =>
    (await firstRow<{ holder: string | null }>(pool, 'SELECT holder FROM lease WHERE name = ?', [name]))?.holder === holder;
  for (;;) {
    await take();
    if (await mine()) break;
    await pause(PAUSE_MS);
  }
  const renewing = setInterval(() => void take().catch(() => undefined), (LEASE_S * 1000) / 3);
  try {
    return await work();
  } finally {
    clearInterval(renewing);
    await change(pool, 'UPDATE lease SET holder = NULL WHERE name = ? AND holder = ?', [name, holder]).catch(() => undefined);
  }
}
