import { problemReference, PROBLEMS, type ProblemType } from '@pace-bend/core/access';

/** One thing wrong with what was sent, and where. */
export interface FieldError {
  readonly path: string;
  readonly message: string;
}

/** An answer that is not what was asked for, as RFC 9457 describes it. */
export class Problem extends Error {
  readonly status: number;
  readonly title: string;

  constructor(
    readonly type: ProblemType,
    override readonly message: string,
    readonly errors: readonly FieldError[] = [],
    /** Further members, such as the state that a stale change collided with. */
    readonly more: Readonly<Record<string, unknown>> = {},
    /** Only where what reads requests has one of its own. */
    status?: number,
  ) {
    super(message);
    this.name = 'Problem';
    this.status = status ?? PROBLEMS[type].status;
    this.title = PROBLEMS[type].title;
  }

  toJSON(): Record<string, unknown> {
    return {
      type: problemReference(this.type),
      status: this.status,
      title: this.title,
      detail: this.message,
      ...(this.errors.length > 0 ? { errors: this.errors } : {}),
      ...this.more,
    };
  }
}

export const notFound = (what: string) => new Problem('not-found', `${what} does not exist.`);

export const invalid = (errors: readonly FieldError[]) =>
  new Problem(
    'not-valid',
    errors
      .slice(0, 5)
      .map((error) => error.message)
      .join(' '),
    errors,
  );

/** The change was made on something that has changed since; what stands now is sent along, nothing was written. */
export const stale = (what: string, current: unknown) =>
  new Problem('changed-meanwhile', `${what} was changed somewhere else, perhaps in another tab. Nothing was overwritten.`, [], { current });
