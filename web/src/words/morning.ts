import en from './en/morning.json' with { type: 'json' };
import { wordsOf } from './language.ts';

export const t = wordsOf('morning', en);
