import { change, firstRow, type Db } from '../db/pool.ts';
import { digest } from './tokens.ts';

/** Wrong passwords that cost nothing, and the longest wait after more. */
const FREE_TRIES = 5;
const LONGEST_WAIT_S = 300;
const FORGET_MS = 24 * 3_600_000;

/**
 * Slows guessing down without locking anybody out.
 *
 * The model: wrong passwords are counted in buckets. A browser in which an account has signed in before has a bucket
 * of its own for it; all others share one for that name. After five wrong tries a bucket has to wait, twice as long
 * after each further one, five minutes at most. Whoever guesses from elsewhere fills the shared bucket only: the
 * colleague goes on signing in from the browsers they use. Nothing is ever locked for good, and an owner can set a
 * new password meanwhile.
 */
export class SignInThrottle {
  constructor(private readonly db: Db, private readonly now: () => Date) {}

  /** The bucket of an attempt: the known browser's own, or the one strangers share. */
  async bucketOf(login: string, device: string | null): Promise<string> {
    const known = device !== null && await firstRow(this.db, 'SELECT 1 AS known FROM known_device d JOIN account a ON a.id = d.account_id WHERE d.device_hash = ? AND a.login = ?', [digest(device), login]);
    return digest(known ? `${login}/${device}` : `${login}/stranger`);
  }

  /** Seconds until the bucket may be tried again, 0 when it may be now. */
  async waitS(bucket: string): Promise<number> {
    const row = await firstRow<{ failures: number; lastAt: Date }>(this.db, 'SELECT failures, last_at AS lastAt FROM sign_in_attempt WHERE bucket = ?', [bucket]);
    if (!row || row.failures < FREE_TRIES) return 0;
    const sinceMs = this.now().getTime() - row.lastAt.getTime();
    if (sinceMs > FORGET_MS) return 0;
    const waitMs = Math.min(LONGEST_WAIT_S, 2 ** (row.failures - FREE_TRIES + 1)) * 1000;
    return Math.max(0, Math.ceil((waitMs - sinceMs) / 1000));
  }

  async failed(bucket: string): Promise<void> {
    await change(this.db, 'INSERT INTO sign_in_attempt (bucket, failures, last_at) VALUES (?, 1, ?) ON DUPLICATE KEY UPDATE failures = IF(last_at < ?, 1, failures + 1), last_at = VALUES(last_at)', [bucket, this.now(), new Date(this.now().getTime() - FORGET_MS)]);
  }

  async succeeded(bucket: string): Promise<void> {
    await change(this.db, 'DELETE FROM sign_in_attempt WHERE bucket = ?', [bucket]);
  }

  async remember(device: string, accountId: string): Promise<void> {
    await change(this.db, 'INSERT IGNORE INTO known_device (device_hash, account_id, created_at) VALUES (?, ?, ?)', [digest(device), accountId, this.now()]);
  }
}
