import en from './en/steps.json' with { type: 'json' };
import { wordsOf } from './language.ts';

export const t = wordsOf('steps', en);
