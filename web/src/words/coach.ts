import en from './en/coach.json' with { type: 'json' };
import { wordsOf } from './language.ts';

export const t = wordsOf('coach', en);
