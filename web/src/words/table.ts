import en from './en/table.json' with { type: 'json' };
import { wordsOf } from './language.ts';

export const t = wordsOf('table', en);
