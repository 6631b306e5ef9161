import { Problem } from '../http/problem.ts';

/** The code a failing query carries, or ''. */
export const codeOf = (error: unknown): string => (error as { code?: string } | null)?.code ?? '';
const numberOf = (error: unknown): number => (error as { errno?: number } | null)?.errno ?? 0;

/** A node of a cluster that is there but may not answer questions now ("WSREP has not yet prepared node"). */
const NODE_NOT_READY = 1047;

/** The connection is gone: what was under way on it may have been done or not. */
const LOST = new Set([
  'PROTOCOL_CONNECTION_LOST',
  'ECONNRESET',
  'EPIPE',
  'ETIMEDOUT',
  'ER_SERVER_SHUTDOWN',
  'ER_CONNECTION_KILLED',
  'ER_NORMAL_SHUTDOWN',
  'ER_QUERY_INTERRUPTED',
  'PROTOCOL_SEQUENCE_TIMEOUT',
  'ERR_STREAM_DESTROYED',
]);
/** Nobody was there to ask: nothing was done. */
const UNREACHED = new Set([
  'ECONNREFUSED',
  'ENOTFOUND',
  'EHOSTUNREACH',
  'ENETUNREACH',
  'EAI_AGAIN',
  'ER_CON_COUNT_ERROR',
  'ER_TOO_MANY_USER_CONNECTIONS',
  'ER_HOST_IS_BLOCKED',
  'ENOENT',
]);
/** Two changes wanted the same rows; the database took this one back whole, and it may begin again. */
const TAKEN_BACK = new Set(['ER_LOCK_DEADLOCK', 'ER_CHECKREAD', 'ER_LOCK_WAIT_TIMEOUT']);
const FULL = new Set(['ER_DISK_FULL', 'ER_RECORD_FILE_FULL', 'ER_ERROR_ON_WRITE', 'ER_OUT_OF_RESOURCES', 'ER_TEMP_FILE_WRITE_FAILURE']);
/** What was sent does not fit its column; the schemas ought to have said so before. */
const UNFIT = new Set([
  'ER_DATA_TOO_LONG',
  'ER_WARN_DATA_OUT_OF_RANGE',
  'ER_TRUNCATED_WRONG_VALUE_FOR_FIELD',
  'ER_TRUNCATED_WRONG_VALUE',
  'ER_INVALID_CHARACTER_STRING',
  'ER_CONSTRAINT_FAILED',
  'ER_NET_PACKET_TOO_LARGE',
]);

export const isDuplicate = (error: unknown): boolean => codeOf(error) === 'ER_DUP_ENTRY';
export const isTakenBack = (error: unknown): boolean => TAKEN_BACK.has(codeOf(error));
export const isUnreached = (error: unknown): boolean => UNREACHED.has(codeOf(error)) || numberOf(error) === NODE_NOT_READY;
/** The connection cannot be used any more, or could not be had. */
export const isLost = (error: unknown): boolean =>
  isUnreached(error) ||
  LOST.has(codeOf(error)) ||
  /closed state|Connection lost|Pool is closed/i.test(String((error as { message?: string } | null)?.message ?? ''));
const isFull = (error: unknown): boolean =>
  FULL.has(codeOf(error)) || (codeOf(error) === 'ER_GET_ERRNO' && /error 28\b/.test(String((error as Error).message)));

/** Seconds after which it is worth trying again. */
export const TRY_AGAIN_S = 2;
export const unavailable = (words: string): Problem => new Problem('try-again', words, [], { retryAfterS: TRY_AGAIN_S });

/** The answer to a failure of the database that is nobody's programming mistake, or null. */
export function problemOfDatabase(error: unknown): Problem | null {
  const code = codeOf(error);
  if (isLost(error))
    return unavailable('The database does not answer just now. Try again in a moment; what was acknowledged before is safe.');
  if (isFull(error))
    return new Problem(
      'disk-full',
      'The disk is full: nothing was written. What was acknowledged before is safe. Make room and try again.',
    );
  if (isTakenBack(error)) return unavailable('Somebody else was changing the same thing. Nothing was written. Try again.');
  if (code === 'ER_NO_REFERENCED_ROW_2')
    return new Problem('not-found', 'What this belongs to was removed meanwhile. Nothing was written.');
  if (code === 'ER_ROW_IS_REFERENCED_2')
    return new Problem('changed-meanwhile', 'Somebody else added to this meanwhile. Nothing was changed. Try again.');
  if (code === 'ER_DUP_ENTRY') return new Problem('taken', 'The same id or name is there already. Nothing was overwritten.');
  if (UNFIT.has(code)) return new Problem('not-valid', 'A value does not fit where it belongs. Nothing was written.');
  return null;
}
