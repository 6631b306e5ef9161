import en from './en/events.json' with { type: 'json' };
import { wordsOf } from './language.ts';

export const t = wordsOf('events', en);
