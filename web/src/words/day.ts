import en from './en/day.json' with { type: 'json' };
import { wordsOf } from './language.ts';

export const t = wordsOf('day', en);
