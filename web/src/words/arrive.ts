import en from './en/arrive.json' with { type: 'json' };
import { wordsOf } from './language.ts';

export const t = wordsOf('arrive', en);
