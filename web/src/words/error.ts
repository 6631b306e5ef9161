import en from './en/error.json' with { type: 'json' };
import { wordsOf } from './language.ts';

export const t = wordsOf('error', en);
