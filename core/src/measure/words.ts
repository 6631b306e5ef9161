import type { Unit } from '../body/index.ts';

/**
 * A value as the screen prints it: one decimal for means, `digits` 0 for single readings, with its unit.
 * A proper minus sign is used; minus zero prints as zero.
 * @example formatValue(-2.04, 'cm') // → '−2.0 cm'
 */
export function formatValue(value: number, unit: Unit | 'of10', digits = 1): string {
  return `${formatNumber(value, digits)}${unit === 'deg' ? '°' : unit === 'cm' ? ' cm' : ' of 10'}`;
}

/**
 * A number with a fixed count of decimals and a proper minus sign.
 * @example formatNumber(4, 1) // → '4.0'
 */
export function formatNumber(value: number, digits = 1): string {
  const text = Math.abs(value).toFixed(digits);
  return value < 0 && Number(text) !== 0 ? `−${text}` : text;
}

/**
 * A signed difference: plus and minus are both written.
 * @example formatSigned(3, 'deg') // → '+3.0°'
 */
export function formatSigned(value: number, unit: Unit | 'of10', digits = 1): string {
  const text = formatValue(value, unit, digits);
  return text.startsWith('−') || Number(value.toFixed(digits)) === 0 ? text : `+${text}`;
}
