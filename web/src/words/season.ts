import en from './en/season.json' with { type: 'json' };
import { wordsOf } from './language.ts';

export const t = wordsOf('season', en);
