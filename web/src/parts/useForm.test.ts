import Joi from 'joi';
import { reactive } from 'vue';
import { dayRule, lineRule, ruled, timeRule, wholeRule } from './rules.ts';
import { useForm } from './useForm.ts';

const TODAY = '2026-11-28';
const wrongOf = (schema: Joi.Schema, value: unknown) => schema.validate(value).error?.details[0]?.message ?? null;

describe('a form', () => {
  const form = () => {
    const fields = reactive({ name: '', minutes: '3', other: 'left alone' });
    return {
      fields,
      ...useForm(
        () =>
          Joi.object({ name: lineRule(20), minutes: wholeRule(5, 60, 'Whole minutes') }).custom((value: { name: string }, helpers) =>
            value.name === 'both' ? helpers.message({ custom: 'Not together.' }) : value,
          ),
        () => fields,
        'all',
      ),
    };
  };

  test('says nothing before somebody tried, then what is wrong field by field while they type, and nothing of what has no rule', () => {
    const { fields, wrong, isSound } = form();
    expect(wrong.value).toEqual({});
    expect(isSound()).toBe(false);
    expect(wrong.value).toEqual({ name: 'A name of 1 to 20 letters.', minutes: 'Whole minutes, 5 to 60.' });
    fields.name = 'Ann';
    expect(wrong.value).toEqual({ minutes: 'Whole minutes, 5 to 60.' });
    fields.minutes = '45';
    expect(isSound()).toBe(true);
  });

  test('what concerns the form as a whole is said there; begun anew nothing is said', () => {
    const { fields, wrong, isSound, begin } = form();
    Object.assign(fields, { name: 'both', minutes: '45' });
    expect(isSound()).toBe(false);
    expect(wrong.value).toEqual({ all: 'Not together.' });
    begin();
    expect(wrong.value).toEqual({});
  });
});

test.each([
  [lineRule(3, 'A word'), '   ', 'A word of 1 to 3 letters.'],
  [lineRule(3, 'A word'), 'abcd', 'A word of 1 to 3 letters.'],
  [lineRule(3, 'A word'), ' abc ', null],
  [dayRule(TODAY), '2026-11-28', null],
  [dayRule(TODAY), '31.4.2026', 'April has 30 days.'],
  [dayRule(TODAY), '', expect.stringMatching(/^Type a day/)],
  [dayRule(TODAY, { optional: true }), '', null],
  [dayRule(TODAY, { check: () => 'Too late.' }), '2026-11-28', 'Too late.'],
  [dayRule(TODAY, { check: () => 'Too late.' }), 'soon', expect.stringMatching(/^Type a day/)],
  [timeRule(), '14:30', null],
  [timeRule(), '25:00', 'A day has hours 0 to 23.'],
  [timeRule(() => 'Taken.'), '14:30', 'Taken.'],
  [ruled((value) => (value === 'x' ? 'Not x.' : null)), 'x', 'Not x.'],
  [ruled((value) => (value === 'x' ? 'Not x.' : null)), 'y', null],
  [wholeRule(1, 5, 'A number'), '3', null],
  [wholeRule(1, 5, 'A number'), '3.5', 'A number, 1 to 5.'],
  [wholeRule(1, 5, 'A number'), 'many', 'A number, 1 to 5.'],
])('rule %#', (schema, value, said) => expect(wrongOf(schema, value)).toEqual(said));
