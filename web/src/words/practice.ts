import en from './en/practice.json' with { type: 'json' };
import { wordsOf } from './language.ts';

export const t = wordsOf('practice', en);
