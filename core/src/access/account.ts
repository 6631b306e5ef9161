import type { Role } from './routes.ts';

export interface AccountFields {
  readonly name: string;
  /** What is typed to sign in, lower case. */
  readonly login: string;
  readonly role: Role;
  readonly active: boolean;
  /** Squads a coach looks after. */
  readonly squadIds: readonly string[];
}

export interface Account extends AccountFields {
  readonly id: string;
  readonly revision: number;
}

/** Signed out by itself: nothing asked for so many hours, and once a day whatever was done. A treatment with one athlete is far shorter. */
export const SIGNED_IN_HOURS = { idle: 2, longest: 12 } as const;

/** Who is signed in. */
export interface Me {
  readonly id: string;
  readonly name: string;
  readonly role: Role;
}

/** Who is signed in on this page; nobody is an answer too. */
export interface WhoIsIn {
  readonly me: Me | null;
}

/** What the sign-in page needs to know before anybody is signed in. */
export interface Welcome {
  readonly practiceName: string;
  /** Nobody has an account yet: the owner makes theirs. */
  readonly firstStart: boolean;
  /** Accounts of the demo with their passwords; empty outside it. */
  readonly demoAccounts: readonly { readonly name: string; readonly login: string; readonly password: string; readonly role: Role }[];
}

export interface AuditLine {
  readonly id: number;
  readonly at: string;
  readonly account: string;
  readonly what: string;
  readonly athleteId: string | null;
  /** Null when the athlete's file is gone, or the line is about no single athlete. */
  readonly athleteName: string | null;
}

/**
 * What is wrong with a password that somebody wants, or null. Length is what counts; composition rules do not
 * (NIST SP 800-63B, section 5.1.1, recalled from memory).
 * @example checkPassword('short', 'ann') // → 'A password has 12 letters or more; a few words in a row are good.'
 */
export function checkPassword(password: string, login: string): string | null {
  if (password.length < 12) return 'A password has 12 letters or more; a few words in a row are good.';
  if (password.length > 200) return 'A password has 200 letters at most.';
  if (new Set(password).size < 5) return 'A password with so few different letters is guessed at once.';
  return login !== '' && password.toLowerCase().includes(login.toLowerCase())
    ? 'A password does not hold the name that is typed to sign in.'
    : null;
}

/**
 * What is wrong with a sign-in name, or null.
 * @example checkLogin('Ann B') // → 'A sign-in name has 2 to 40 small letters, digits, dots or dashes.'
 */
export function checkLogin(login: string): string | null {
  return /^[a-z0-9][a-z0-9.-]{1,39}$/.test(login) ? null : 'A sign-in name has 2 to 40 small letters, digits, dots or dashes.';
}
