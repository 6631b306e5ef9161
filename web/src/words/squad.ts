import en from './en/squad.json' with { type: 'json' };
import { wordsOf } from './language.ts';

export const t = wordsOf('squad', en);
