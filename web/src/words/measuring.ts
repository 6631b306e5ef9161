import en from './en/measuring.json' with { type: 'json' };
import { wordsOf } from './language.ts';

export const t = wordsOf('measuring', en);
