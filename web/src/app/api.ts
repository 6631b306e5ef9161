import type { Caution } from '@pace-bend/core/caution';
import { accountOfPage } from './account.ts';
import type { FieldError } from './fieldError.ts';
import { line } from './line.ts';

/** Conflicts with something other than a later change: there is nothing of somebody else's to look at. */
const REFUSALS: readonly string[] = ['Overlaps', 'Caution', 'Stopped', 'Limits changed', 'Cancelled', 'Already set up'];

/** An answer that is not what was asked for: the server's problem document, or no answer at all (status 0). */
export class ApiProblem extends Error {
  constructor(
    readonly status: number,
    readonly title: string,
    message: string,
    readonly errors: readonly FieldError[] = [],
    /** What stands now, where a stale change collided with it. */
    readonly current: unknown = undefined,
    /** Cautions that forbid it, where that is why. */
    readonly cautions: readonly Caution[] = [],
    /** Visits that take the time, where that is why. */
    readonly overlaps: readonly { readonly athleteName: string }[] = [],
  ) {
    super(message);
    this.name = 'ApiProblem';
  }

  get isOffline(): boolean {
    return this.status === 0;
  }

  get isStale(): boolean {
    return this.status === 409 && !REFUSALS.includes(this.title);
  }

  /** What is wrong by field, the last part of its path; for a refusal that names none, by the name given. */
  fieldMessages(whole = ''): Record<string, string> {
    if (this.errors.length === 0) return { [whole]: this.message };
    return Object.fromEntries(this.errors.map(({ path, message }) => [path.split('.').at(-1) || whole, message]));
  }

  /** It may go through later as it is: no answer, a server that failed, or nobody signed in just now. */
  get mayPass(): boolean {
    return this.isOffline || this.status === 401 || this.status >= 500;
  }
}

interface ProblemDocument {
  readonly title?: string;
  readonly detail?: string;
  readonly errors?: readonly FieldError[];
  readonly current?: unknown;
  readonly cautions?: readonly Caution[];
  readonly overlaps?: readonly { readonly athleteName: string }[];
}

let signedOut: () => void = () => undefined;

/** Names who is told when the server no longer knows who is asking. */
export function onSignedOut(tell: () => void): void {
  signedOut = tell;
}

/** Sends one request to the server and returns its JSON; throws ApiProblem for everything else. */
export async function api<T>(method: 'GET' | 'PUT' | 'PATCH' | 'POST' | 'DELETE', path: string, body?: unknown): Promise<T> {
  let response: Response;
  try {
    response = await fetch(`/api${path}`, {
      method,
      // Whose page this is: whoever is signed in by now sends nothing of somebody else's.
      headers: { ...(accountOfPage() ? { 'Pace-Bend-Account': accountOfPage()! } : {}), ...(body === undefined ? {} : { 'Content-Type': 'application/json' }) },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    });
  } catch {
    line.lost = true;
    throw new ApiProblem(0, 'No answer', 'The program cannot be reached.');
  }
  line.lost = false;
  const text = await response.text();
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    throw new ApiProblem(response.status || 502, 'Not readable', 'The program answered with something unreadable.');
  }
  if (response.ok) return json as T;
  const problem = json as ProblemDocument;
  if (response.status === 401 && path !== '/sign-in') signedOut();
  throw new ApiProblem(response.status, problem.title ?? 'Error', problem.detail ?? 'The program could not do this.', problem.errors ?? [], problem.current, problem.cautions, problem.overlaps);
}
