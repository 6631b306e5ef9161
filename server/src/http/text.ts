import Joi from 'joi';

/** A text of one line: a name, a word, what stands in a list. Breaks and tabs belong to longer texts only. */
export const oneLine = () =>
  Joi.string()
    .pattern(/^[^\r\n\t\u2028\u2029]*$/)
    .messages({ 'string.pattern.base': '{{#label}} stands in one line' });
