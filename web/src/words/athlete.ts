import en from './en/athlete.json' with { type: 'json' };
import { wordsOf } from './language.ts';

export const t = wordsOf('athlete', en);
