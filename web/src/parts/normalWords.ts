import { formatNumber } from '@pace-bend/core/measure';

/** One value beside its owner's normal, said in full: what a picture of it shows. */
export function normalWords(value: {
  readonly name: string;
  readonly value: number | null;
  readonly median: number | null;
  readonly off: number | null;
  readonly missing: number;
}): string {
  if (value.value === null) return `${value.name}: no answer`;
  const here = `${value.name} ${formatNumber(value.value)}`;
  if (value.off === null || value.median === null) return `${here}: own normal not known yet, ${value.missing} answers missing`;
  const usual = `usual ${formatNumber(value.median)}`;
  if (Math.abs(value.off) <= 1) return `${here}, ${usual}: within own normal`;
  return `${here}, ${usual}: ${formatNumber(Math.abs(value.off))} own units ${value.off > 0 ? 'worse' : 'better'}`;
}
