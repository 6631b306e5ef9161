import en from './en/shelf.json' with { type: 'json' };
import { wordsOf } from './language.ts';

export const t = wordsOf('shelf', en);
