import { problemType } from '@pace-bend/core/access';
import type { Caution } from '@pace-bend/core/caution';
import { accountOfPage } from './account.ts';
import type { FieldError } from './fieldError.ts';
import { line } from './line.ts';
import { problemFacts, whatNow, type AnyProblem } from './problemTypes.ts';
import { t } from '../words/opening.ts';

/** What a problem holds beside its type and its words. */
interface ProblemMore {
  /** Where the answer had another than its type. */
  readonly status?: number;
  readonly errors?: readonly FieldError[];
  /** What stands now, where a stale change collided with it. */
  readonly current?: unknown;
  /** Cautions that forbid it, where that is why. */
  readonly cautions?: readonly Caution[];
  /** Visits that take the time, where that is why. */
  readonly overlaps?: readonly { readonly athleteName: string }[];
}

/** An answer that is not what was asked for: the server's problem document, or no answer at all. */
export class ApiProblem extends Error {
  readonly status: number;
  readonly title: string;
  readonly errors: readonly FieldError[];
  readonly current: unknown;
  readonly cautions: readonly Caution[];
  readonly overlaps: readonly { readonly athleteName: string }[];

  constructor(
    readonly type: AnyProblem,
    message: string,
    { status, errors = [], current, cautions = [], overlaps = [] }: ProblemMore = {},
  ) {
    super(message);
    this.name = 'ApiProblem';
    const facts = problemFacts(type);
    this.status = status ?? facts.status;
    this.title = facts.title;
    this.errors = errors;
    this.current = current;
    this.cautions = cautions;
    this.overlaps = overlaps;
  }

  get isOffline(): boolean {
    return this.type === 'no-answer';
  }

  /** Somebody changed the same since: there is something of theirs to look at. */
  get isStale(): boolean {
    return problemFacts(this.type).means === 'stale';
  }

  /** What can be done about it, where that is more than the message says. */
  get whatNow(): string | null {
    return whatNow(this.type);
  }

  /** What is wrong by field, the last part of its path; for a refusal that names none, by the name given. */
  fieldMessages(whole = ''): Record<string, string> {
    if (this.errors.length === 0) return { [whole]: this.message };
    return Object.fromEntries(this.errors.map(({ path, message }) => [path.split('.').at(-1) || whole, message]));
  }

  /** It may go through later as it is: no answer, a server that failed, or nobody signed in just now. */
  get mayPass(): boolean {
    const { means } = problemFacts(this.type);
    return means === 'later' || means === 'sign-in';
  }
}

interface ProblemDocument {
  readonly type?: unknown;
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
export async function api<T>(
  method: 'GET' | 'PUT' | 'PATCH' | 'POST' | 'DELETE',
  path: string,
  body?: unknown,
  head: Readonly<Record<string, string>> = {},
): Promise<T> {
  let response: Response;
  try {
    response = await fetch(`/api${path}`, {
      method,
      // Whose page this is: whoever is signed in by now sends nothing of somebody else's.
      headers: {
        ...head,
        ...(accountOfPage() ? { 'Pace-Bend-Account': accountOfPage()! } : {}),
        ...(body === undefined ? {} : { 'Content-Type': 'application/json' }),
      },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    });
  } catch {
    line.lost = true;
    throw new ApiProblem('no-answer', t('programCannotReached'));
  }
  line.lost = false;
  const text = await response.text();
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    throw new ApiProblem(
      'not-readable',
      t('programAnsweredSomethingUnreadable'),
      response.status >= 500 ? { status: response.status } : {},
    );
  }
  if (response.ok) return json as T;
  const problem = json as ProblemDocument;
  if (response.status === 401 && path !== '/sign-in') signedOut();
  const { detail = t('programCouldNotDo'), errors, current, cautions, overlaps } = problem;
  throw new ApiProblem(
    problemType(problem.type) ?? (response.status === 401 ? 'not-signed-in' : response.status >= 500 ? 'unknown' : 'unknown-refusal'),
    detail,
    {
      status: response.status,
      current,
      ...(errors ? { errors } : {}),
      ...(cautions ? { cautions } : {}),
      ...(overlaps ? { overlaps } : {}),
    },
  );
}
