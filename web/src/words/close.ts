import en from './en/close.json' with { type: 'json' };
import { wordsOf } from './language.ts';

export const t = wordsOf('close', en);
