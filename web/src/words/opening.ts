import en from './en/opening.json' with { type: 'json' };
import { wordsOf } from './language.ts';

export const t = wordsOf('opening', en);
