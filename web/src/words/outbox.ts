import en from './en/outbox.json' with { type: 'json' };
import { wordsOf } from './language.ts';

export const t = wordsOf('outbox', en);
