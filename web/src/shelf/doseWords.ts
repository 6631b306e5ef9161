import type { Entry } from '@pace-bend/core/catalogue';
import type { Method, NumberSpec } from '@pace-bend/core/method';
import { t } from '../words/shelf.ts';

const UNITS: Partial<Record<NumberSpec['unit'], string>> = {
  s: ' s',
  pct: ' %',
  share: ' %',
  breaths: ' breaths',
  times: ' times',
  'per-min': ` ${t('aMinute')}`,
  'per-s': ` ${t('aSecond')}`,
  score: ` ${t('of102')}`,
};

/**
 * What a way begins with on an entry where the entry has numbers of its own for it, in words; empty where it begins as everywhere.
 * Two rounds of seven seconds at a tenth are “2 rounds, contract 7 s, effort 10 %”.
 */
export function doseWords(method: Pick<Method, 'id' | 'numbers' | 'choices'>, entry: Pick<Entry, 'doses'>): string {
  const { rounds, numbers = {}, choices = {} } = entry.doses?.[method.id] ?? {};
  const said = method.numbers.flatMap((spec) => {
    const values = numbers[spec.id];
    return values ? [`${spec.label.toLowerCase()} ${values.join(', ')}${UNITS[spec.unit] ?? ''}`] : [];
  });
  const chosen = method.choices.flatMap(({ id, label, options }) => {
    const option = options.find((each) => each.id === choices[id]);
    return option ? [`${label.toLowerCase()}: ${option.label}`] : [];
  });
  return [...(rounds === undefined ? [] : [rounds === 1 ? t('n1Round') : t('rounds3', { rounds })]), ...said, ...chosen].join(', ');
}
