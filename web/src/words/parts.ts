import en from './en/parts.json' with { type: 'json' };
import { wordsOf } from './language.ts';

export const t = wordsOf('parts', en);
