import en from './en/eventDay.json' with { type: 'json' };
import { wordsOf } from './language.ts';

export const t = wordsOf('eventDay', en);
