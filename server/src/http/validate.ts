import Joi from 'joi';
import { invalid, type FieldError } from './problem.ts';
import { MOST_PROBLEMS } from './shape.ts';

/** As much of a message as says what is wrong; some list every value that would have been right. */
const LONGEST_MESSAGE = 240;

/** A list for which its schema names no length. */
const LONGEST_LIST = 500;

interface Described {
  readonly type?: string;
  readonly keys?: Readonly<Record<string, Described>>;
  readonly items?: readonly Described[];
  readonly rules?: readonly { readonly name: string; readonly args?: { readonly limit?: unknown } }[];
  readonly flags?: { readonly label?: string };
}

const descriptions = new WeakMap<object, Described>();

function describe(schema: Joi.Schema): Described {
  const known = descriptions.get(schema);
  if (known) return known;
  const made = schema.describe() as Described;
  descriptions.set(schema, made);
  return made;
}

/**
 * The lists that are longer than their schema lets them be, found before the schema looks at what is in them: one that goes
 * through a list a thousand times too long would hold everybody up.
 */
function tooLong({ type, keys, items, rules, flags }: Described, value: unknown, path: string, found: FieldError[]): void {
  if (found.length >= MOST_PROBLEMS) return;
  if (type === 'array' && Array.isArray(value)) {
    const most = rules?.find((rule) => rule.name === 'max')?.args?.limit;
    if (value.length > (typeof most === 'number' ? most : LONGEST_LIST))
      return void found.push({
        path,
        message: `${flags?.label ?? path} may hold ${typeof most === 'number' ? most : LONGEST_LIST} at most; ${value.length} were sent.`,
      });
    const [item] = items ?? [];
    if (item?.type === 'object' || item?.type === 'array')
      value.forEach((each, i) => tooLong(item, each, path === '' ? String(i) : `${path}.${i}`, found));
  } else if (type === 'object' && keys && value !== null && typeof value === 'object' && !Array.isArray(value)) {
    for (const [name, described] of Object.entries(keys)) {
      if (described.type === 'object' || described.type === 'array')
        tooLong(described, (value as Record<string, unknown>)[name], path === '' ? name : `${path}.${name}`, found);
    }
  }
}

/** At most so many problems as anybody reads, the rest counted. */
export function problems(found: readonly FieldError[]): FieldError[] {
  if (found.length <= MOST_PROBLEMS) return [...found];
  return [...found.slice(0, MOST_PROBLEMS), { path: '', message: `${found.length - MOST_PROBLEMS} more like these.` }];
}

/** Checks what was sent against a schema; throws a 422 with every wrong field, fifty at most, or returns it typed. */
export function validate<T>(schema: Joi.ObjectSchema<T>, value: unknown): T {
  const long: FieldError[] = [];
  tooLong(describe(schema), value, '', long);
  if (long.length > 0) throw invalid(long);
  const result = schema.validate(value ?? {}, { abortEarly: false, convert: false, errors: { wrap: { label: false } } });
  if (!result.error) return result.value;
  throw invalid(
    problems(
      result.error.details.map((detail) => ({
        path: detail.path.join('.').slice(0, 200),
        message: shortened(`${detail.message}.`.replace('..', '.')),
      })),
    ),
  );
}

const shortened = (message: string) =>
  message.length > LONGEST_MESSAGE ? `${message.slice(0, LONGEST_MESSAGE - 1).toWellFormed()}…` : message;
