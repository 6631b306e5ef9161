import en from './en/cautions.json' with { type: 'json' };
import { wordsOf } from './language.ts';

export const t = wordsOf('cautions', en);
