import en from './en/checkIn.json' with { type: 'json' };
import { wordsOf } from './language.ts';

export const t = wordsOf('checkIn', en);
