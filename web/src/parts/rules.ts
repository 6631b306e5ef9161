import Joi from 'joi';
import { timeProblem } from '@pace-bend/core/record';
import { dayProblem } from './typedDays.ts';
import { t } from '../words/parts.ts';

/** Rules of forms, each with the sentence that says what is wanted. */

/** By a function that says what is wrong, or null. */
export const ruled = (check: (value: string) => string | null): Joi.Schema =>
  Joi.any().custom((value: string, helpers) => {
    const message = check(value);
    return message ? helpers.message({ custom: message }) : value;
  });

/** One line of 1 to `most` letters. */
export const lineRule = (most: number, what = t('aName')): Joi.Schema =>
  Joi.string()
    .trim()
    .min(1)
    .max(most)
    .required()
    .messages({ '*': t('n1Letters', { what, most }) });

/** A day as its field holds it; `check` says what else it has to be. */
export const dayRule = (today: string, { optional = false, check = (_day: string): string | null => null } = {}): Joi.Schema =>
  ruled((value) => (optional && value === '' ? null : (dayProblem(value, today) ?? check(value))));

/** A time as its field holds it. */
export const timeRule = (check = (_time: string): string | null => null): Joi.Schema =>
  ruled((value) => timeProblem(value) ?? check(value));

/** A whole number within bounds. */
export const wholeRule = (min: number, max: number, what: string): Joi.Schema =>
  Joi.number()
    .integer()
    .min(min)
    .max(max)
    .required()
    .messages({ '*': t('to', { what, min, max }) });
