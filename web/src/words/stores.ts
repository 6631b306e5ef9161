import en from './en/stores.json' with { type: 'json' };
import { wordsOf } from './language.ts';

export const t = wordsOf('stores', en);
