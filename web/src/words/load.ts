import en from './en/load.json' with { type: 'json' };
import { wordsOf } from './language.ts';

export const t = wordsOf('load', en);
