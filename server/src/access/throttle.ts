import { checkLogin } from '@pace-bend/core/access';
import { isTakenBack } from '../db/failures.ts';
import { aside } from '../db/noted.ts';
import { change, firstRow, rows, transaction, type Db, type Pool } from '../db/pool.ts';
import { digest } from './tokens.ts';

const LONGEST_WAIT_S = 300;
const FORGET_MS = 24 * 3_600_000;
const DEVICE_FORGET_MS = 400 * 24 * 3_600_000;

/** A count of attempts, and how many of them cost nothing. */
interface Bucket {
  readonly key: string;
  readonly free: number;
}

const PER_NAME = 5;
/** A whole practice may sit behind one address. */
const PER_ADDRESS = 50;

/**
 * A sign-in name as it is counted and looked up: one form for every spelling that could be taken for it. Null when it can be no
 * account's, because names of accounts have small plain letters only.
 * @example canonicalLogin(' Ann ') // → { counted: 'ann', name: 'ann' }
 */
export function canonicalLogin(typed: string): { readonly counted: string; readonly name: string | null } {
  const lower = typed.normalize('NFKC').trim().toLowerCase();
  const counted = lower.normalize('NFKD').replace(/\p{M}|\p{Cf}|\s/gu, '');
  return { counted, name: checkLogin(lower) === null ? lower : null };
}

/** An attempt that may be made: what it was counted in. */
export interface Attempt {
  readonly waitS: number;
  readonly buckets: readonly Bucket[];
}

/**
 * Slows guessing down without locking anybody out.
 *
 * The model: attempts are counted in buckets before the password is looked at, under the lock of the bucket's row, so that a hundred at
 * once are a hundred. A browser in which an account has signed in before has a bucket of its own for it; all others share one for that
 * name and one for their address. After five attempts at a name (fifty from an address) the bucket has to wait, twice as long
 * after each further one, five minutes at most; an attempt while it waits is refused without looking and without counting, so that
 * waiting is worth it. The right password takes its own attempt back. Whoever guesses from elsewhere fills the shared buckets only: the colleague
 * goes on signing in from the browsers they use. Nothing is ever locked for good, and counts older than a day are cleared
 * with every attempt.
 */
export class SignInThrottle {
  constructor(
    private readonly pool: Pool,
    private readonly now: () => Date,
  ) {}

  private async bucketsOf(counted: string, name: string | null, device: string | null, address: string): Promise<Bucket[]> {
    const known =
      device !== null &&
      name !== null &&
      (await firstRow(
        this.pool,
        'SELECT 1 AS known FROM known_device d JOIN account a ON a.id = d.account_id WHERE d.device_hash = ? AND a.login = ?',
        [digest(device), name],
      ));
    if (known) return [{ key: digest(`${counted}/${device}`), free: PER_NAME }];
    return [
      { key: digest(`${counted}/stranger`), free: PER_NAME },
      { key: digest(`from/${address}`), free: PER_ADDRESS },
    ].sort((a, b) => (a.key < b.key ? -1 : 1));
  }

  /** Counts an attempt, or says how many seconds it has to wait; then nothing was counted. */
  async begin(login: string, device: string | null, address: string): Promise<Attempt> {
    const { counted, name } = canonicalLogin(login);
    const buckets = await this.bucketsOf(counted, name, device, address);
    const waitS = await aside(() =>
      transaction(this.pool, async (db) => {
        let longest = 0;
        for (const bucket of buckets) longest = Math.max(longest, await this.waitS(db, bucket));
        if (longest === 0)
          for (const { key } of buckets)
            await change(db, 'UPDATE sign_in_attempt SET failures = IF(last_at < ?, 1, failures + 1), last_at = ? WHERE bucket = ?', [
              new Date(this.now().getTime() - FORGET_MS),
              this.now(),
              key,
            ]);
        return longest;
      }),
    );
    await aside(() => this.clear());
    return { waitS, buckets };
  }

  /** Seconds until the bucket may be tried, 0 when it may be now; holds its row until the transaction ends. */
  private async waitS(db: Db, { key, free }: Bucket): Promise<number> {
    // Locks the row from the start, there or not: a lock to read it that is widened later is what lets two wait for each other.
    await change(
      db,
      'INSERT INTO sign_in_attempt (bucket, failures, last_at) VALUES (?, 0, ?) ON DUPLICATE KEY UPDATE bucket = VALUES(bucket)',
      [key, this.now()],
    );
    const [row] = await rows<{ failures: number; lastAt: Date }>(
      db,
      'SELECT failures, last_at AS lastAt FROM sign_in_attempt WHERE bucket = ? FOR UPDATE',
      [key],
    );
    if (!row || row.failures < free) return 0;
    const sinceMs = this.now().getTime() - row.lastAt.getTime();
    if (sinceMs > FORGET_MS) return 0;
    const waitMs = Math.min(LONGEST_WAIT_S, 2 ** Math.min(20, row.failures - free + 1)) * 1000;
    return Math.max(0, Math.ceil((waitMs - sinceMs) / 1000));
  }

  /** The password was right: the name starts from nothing, the address has its attempt back. */
  succeeded({ buckets }: Attempt): Promise<void> {
    return aside(async () => {
      for (const { key, free } of buckets) {
        if (free === PER_NAME) await change(this.pool, 'DELETE FROM sign_in_attempt WHERE bucket = ?', [key]);
        else await change(this.pool, 'UPDATE sign_in_attempt SET failures = failures - 1 WHERE bucket = ? AND failures > 0', [key]);
      }
    });
  }

  /** Forgets what is too old to count. */
  private async clear(): Promise<void> {
    const old = (ms: number) => new Date(this.now().getTime() - ms);
    await Promise.all([
      change(this.pool, 'DELETE FROM sign_in_attempt WHERE last_at < ?', [old(FORGET_MS)]),
      change(this.pool, 'DELETE FROM known_device WHERE created_at < ?', [old(DEVICE_FORGET_MS)]),
    ]).catch((error: unknown) => {
      // Somebody else is clearing or counting just now; the next attempt clears.
      if (!isTakenBack(error)) throw error;
    });
  }

  async remember(device: string, accountId: string): Promise<void> {
    await change(
      this.pool,
      'INSERT INTO known_device (device_hash, account_id, created_at) VALUES (?, ?, ?) ON DUPLICATE KEY UPDATE created_at = VALUES(created_at)',
      [digest(device), accountId, this.now()],
    );
  }
}
