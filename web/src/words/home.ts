import en from './en/home.json' with { type: 'json' };
import { wordsOf } from './language.ts';

export const t = wordsOf('home', en);
