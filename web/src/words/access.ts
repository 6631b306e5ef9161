import en from './en/access.json' with { type: 'json' };
import { wordsOf } from './language.ts';

export const t = wordsOf('access', en);
