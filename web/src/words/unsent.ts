import en from './en/unsent.json' with { type: 'json' };
import { wordsOf } from './language.ts';

export const t = wordsOf('unsent', en);
