import Joi from 'joi';
import type { Request } from 'express';
import { invalid } from './problem.ts';

export const idSchema = Joi.string().guid({ separator: '-' });

/** An id from the path; anything that is not a UUID is the caller's mistake. */
export function idFrom(request: Request, name = 'id'): string {
  const value = request.params[name];
  if (typeof value !== 'string' || idSchema.validate(value).error) throw invalid([{ path: name, message: 'The id in the address is not a UUID.' }]);
  return value.toLowerCase();
}
