import type { CodeableConcept, Quantity } from 'fhir/r4';
import { placeWords, type BodySide, type Region } from '../body/index.ts';
import { own } from './ids.ts';

const UCUM = 'http://unitsofmeasure.org';

/** UCUM codes (The Unified Code for Units of Measure, 2.1): degrees of angle, centimetres, seconds, percent, milliseconds; what is counted has none. */
const UNITS = {
  deg: { unit: '°', code: 'deg' },
  cm: { unit: 'cm', code: 'cm' },
  s: { unit: 's', code: 's' },
  percent: { unit: '%', code: '%' },
  ms: { unit: 'ms', code: 'ms' },
} as const;

/** A measured value with its UCUM unit, to a thousandth. */
export const quantity = (value: number, unit: keyof typeof UNITS): Quantity => ({
  value: Math.round(value * 1000) / 1000,
  unit: UNITS[unit].unit,
  system: UCUM,
  code: UNITS[unit].code,
});

/** A code of this program's own, always with the words for it: no public code system is certain to mean the same. */
export const coded = (system: string, code: string, words: string): CodeableConcept => ({
  coding: [{ system: own(system), code, display: words }],
  text: words,
});

/** A code of HL7's own terminology (terminology.hl7.org), where the standard binds one. */
export const hl7 = (system: string, code: string, display: string): CodeableConcept => ({
  coding: [{ system: `http://terminology.hl7.org/CodeSystem/${system}`, code, display }],
});

/** A place on the body by its region and side. */
export const place = (region: Region, side: BodySide): CodeableConcept =>
  coded('region', side === null ? region : `${region}.${side}`, placeWords(region, side));
