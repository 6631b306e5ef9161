import en from './en/plan.json' with { type: 'json' };
import { wordsOf } from './language.ts';

export const t = wordsOf('plan', en);
