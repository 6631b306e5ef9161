import en from './en/devices.json' with { type: 'json' };
import { wordsOf } from './language.ts';

export const t = wordsOf('devices', en);
