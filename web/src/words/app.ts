import en from './en/app.json' with { type: 'json' };
import { wordsOf } from './language.ts';

export const t = wordsOf('app', en);
