import en from './en/practise.json' with { type: 'json' };
import { wordsOf } from './language.ts';

export const t = wordsOf('practise', en);
