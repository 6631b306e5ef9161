import type { Bundle, FhirResource } from 'fhir/r4';
import { blocksInVisits } from '../record/index.ts';
import { responseOf } from './checkIns.ts';
import { derivedId, urn } from './ids.ts';
import { conditionOf, deviceOf, organizationOf, patientOf, practitionerOf } from './people.ts';
import { goalOf, goalPlanOf, homePlanOf } from './plans.ts';
import { observationOf } from './readings.ts';
import type { FhirSource } from './source.ts';
import { procedureOf } from './treated.ts';
import { encounterOf } from './visits.ts';

/**
 * An athlete's record as an HL7 FHIR R4 (4.0.1) collection: Organization, Patient, Practitioner, Device, Condition, Encounter, Observation,
 * Procedure, Goal, CarePlan and QuestionnaireResponse. Every resource has the same id in every export, each reference is to a resource within
 * it, and what it leaves out is said in `docs/fhir.md`. `at`: the instant it is written, in ISO 8601.
 */
export function fhirBundle(source: FhirSource, at: string): Bundle {
  const { practice, athlete, dayOf } = source;
  const today = dayOf(at);
  const here = new Set(source.visits.map(({ id }) => id));
  const readings = source.readings.filter(({ visitId, value }) => here.has(visitId) && value !== null);
  const examiners = [...new Set(readings.flatMap(({ examinerId }) => examinerId ?? []))];
  const instruments = [...new Set(readings.map(({ instrument }) => instrument))];
  const goalPlan = goalPlanOf(source.goals, athlete.id);
  const resources: FhirResource[] = [
    organizationOf(practice),
    patientOf(athlete, practice.id),
    ...examiners.map((id) => practitionerOf(id, source.nameOf(id) ?? 'somebody whose account is gone')),
    ...instruments.map((instrument) => deviceOf(practice.id, instrument)),
    ...source.conditions.map((condition) => conditionOf(condition, athlete.id)),
    ...source.visits.map((visit) => encounterOf(visit, athlete.id, practice.id)),
    ...readings.flatMap((reading) => observationOf(reading, athlete.id, practice.id, source.errors) ?? []),
    ...blocksInVisits(source.blocks.filter(({ visitId }) => here.has(visitId))).map(({ block, nth }) =>
      procedureOf(block, nth, athlete.id, source.shelf),
    ),
    ...source.goals.map((goal) => goalOf(goal, athlete.id, dayOf)),
    ...(goalPlan ? [goalPlan] : []),
    ...source.home.filter(({ sheet }) => here.has(sheet.visitId)).map((home) => homePlanOf(home, athlete.id, dayOf, today)),
    ...source.checkIns.map((checkIn) => responseOf(checkIn, athlete.id)),
  ];
  return {
    resourceType: 'Bundle',
    id: derivedId('bundle', athlete.id, at),
    type: 'collection',
    timestamp: at,
    entry: resources.map((resource) => ({ fullUrl: urn(resource.id!), resource })),
  };
}
