import en from './en/week.json' with { type: 'json' };
import { wordsOf } from './language.ts';

export const t = wordsOf('week', en);
