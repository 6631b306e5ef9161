import type Joi from 'joi';
import { invalid } from './problem.ts';

/** Checks what was sent against a schema; throws a 422 with every wrong field, or returns it typed. */
export function validate<T>(schema: Joi.ObjectSchema<T>, value: unknown): T {
  const result = schema.validate(value ?? {}, { abortEarly: false, convert: false, errors: { wrap: { label: false } } });
  if (!result.error) return result.value;
  throw invalid(result.error.details.map((detail) => ({ path: detail.path.join('.'), message: `${detail.message}.`.replace('..', '.') })));
}
