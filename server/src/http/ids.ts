import Joi from 'joi';
import type { Request } from 'express';
import { invalid } from './problem.ts';

/** Hexadecimal in groups, nothing around it: what the database and every comparison take for the same id. */
const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/i;

export const isId = (value: unknown): value is string => typeof value === 'string' && UUID.test(value);
export const idSchema = Joi.string().pattern(UUID).messages({ 'string.pattern.base': '{{#label}} is not a UUID' });

/** An id from the path; anything that is not a UUID is the caller's mistake. */
export function idFrom(request: Request, name = 'id'): string {
  const value = request.params[name];
  if (!isId(value)) throw invalid([{ path: name, message: 'The id in the address is not a UUID.' }]);
  return value.toLowerCase();
}
