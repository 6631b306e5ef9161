import en from './en/findings.json' with { type: 'json' };
import { wordsOf } from './language.ts';

export const t = wordsOf('findings', en);
