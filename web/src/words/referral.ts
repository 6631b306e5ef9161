import en from './en/referral.json' with { type: 'json' };
import { wordsOf } from './language.ts';

export const t = wordsOf('referral', en);
