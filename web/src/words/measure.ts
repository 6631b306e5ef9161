import en from './en/measure.json' with { type: 'json' };
import { wordsOf } from './language.ts';

export const t = wordsOf('measure', en);
