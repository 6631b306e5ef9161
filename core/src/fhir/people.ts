import type { Condition as FhirCondition, Device, Organization, Patient, Practitioner } from 'fhir/r4';
import { conditionFacts } from '../caution/index.ts';
import type { Athlete, Condition } from '../record/index.ts';
import { coded, hl7, place } from './codes.ts';
import { derivedId, urn } from './ids.ts';

export const organizationOf = ({ id, name }: { readonly id: string; readonly name: string }): Organization => ({
  resourceType: 'Organization',
  id,
  name,
});

/**
 * The athlete. Gender is left out: the file knows which table of reference values is taken for somebody, which is not the same.
 */
export const patientOf = ({ id, name, birthDate }: Athlete, practiceId: string): Patient => ({
  resourceType: 'Patient',
  id,
  name: [{ text: name }],
  birthDate,
  managingOrganization: { reference: urn(practiceId) },
});

export const practitionerOf = (id: string, name: string): Practitioner => ({ resourceType: 'Practitioner', id, name: [{ text: name }] });

/** An instrument by its kind: the file does not tell one goniometer from another. */
export const instrumentId = (practiceId: string, instrument: string): string => derivedId('instrument', practiceId, instrument);
export const deviceOf = (practiceId: string, instrument: string): Device => ({
  resourceType: 'Device',
  id: instrumentId(practiceId, instrument),
  deviceName: [{ name: instrument, type: 'user-friendly-name' }],
});

/**
 * A condition of the file, in the program's own code with its words. Whether somebody has confirmed it is not known here, so nothing is said
 * of it. One that is over has the day it was over (con-4: what has abated is not active).
 */
export function conditionOf(condition: Condition, athleteId: string): FhirCondition {
  const { id, code, region, side, muscle, grade, onset, surgeryOn, resolvedOn, words, clearance } = condition;
  const facts = conditionFacts(code);
  const at = region ?? facts.region;
  const began = onset ?? surgeryOn;
  const notes = [
    words,
    muscle === null ? '' : `Muscle: ${muscle}.`,
    grade === null ? '' : `Grade ${grade} of 3.`,
    surgeryOn === null ? '' : `Operated on ${surgeryOn}.`,
    clearance === null ? '' : `Cleared by ${clearance.by} on ${clearance.on}: ${clearance.text}`,
  ].filter((line) => line.trim() !== '');
  return {
    resourceType: 'Condition',
    id,
    clinicalStatus: resolvedOn === null ? hl7('condition-clinical', 'active', 'Active') : hl7('condition-clinical', 'resolved', 'Resolved'),
    code: coded('condition', code, facts.name),
    ...(at === null ? {} : { bodySite: [place(at, side)] }),
    subject: { reference: urn(athleteId) },
    ...(began === null ? {} : { onsetDateTime: began }),
    ...(resolvedOn === null ? {} : { abatementDateTime: resolvedOn }),
    ...(notes.length === 0 ? {} : { note: notes.map((text) => ({ text })) }),
  };
}
