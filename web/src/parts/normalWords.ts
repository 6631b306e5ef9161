import { formatNumber } from '@pace-bend/core/measure';
import { t } from '../words/parts.ts';

/** One value beside its owner's normal, said in full: what a picture of it shows. */
export function normalWords(value: {
  readonly name: string;
  readonly value: number | null;
  readonly median: number | null;
  readonly off: number | null;
  readonly missing: number;
}): string {
  if (value.value === null) return t('noAnswer', { name: value.name });
  const here = `${value.name} ${formatNumber(value.value)}`;
  if (value.off === null || value.median === null) return t('ownNormalNotKnown', { here, missing: value.missing });
  const usual = t('usual', { number: formatNumber(value.median) });
  if (Math.abs(value.off) <= 1) return t('withinOwnNormal', { here, usual });
  return t('ownUnits', {
    here,
    usual,
    number: formatNumber(Math.abs(value.off)),
    what: value.off > 0 ? t('worse') : t('better'),
  });
}
