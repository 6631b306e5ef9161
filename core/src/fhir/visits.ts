import type { Encounter } from 'fhir/r4';
import { placeWords } from '../body/index.ts';
import type { Visit } from '../record/index.ts';
import { urn } from './ids.ts';

/** How far a visit is, in the words of the standard. */
const statusOf = ({ cancelledAt, finishedAt, step }: Visit): Encounter['status'] =>
  cancelledAt !== null ? 'cancelled' : finishedAt !== null ? 'finished' : step === 'arrive' ? 'planned' : 'in-progress';

/** A visit as an ambulatory encounter, with what brought them there. */
export function encounterOf(visit: Visit, athleteId: string, practiceId: string): Encounter {
  const { id, startsAt, minutes, complaint, complaintRegion, complaintSide, complaintScore } = visit;
  const brings = [
    complaint.trim(),
    complaintRegion === null ? '' : placeWords(complaintRegion, complaintSide),
    complaintScore === null ? '' : `${complaintScore} of 10`,
  ].filter((part) => part !== '');
  return {
    resourceType: 'Encounter',
    id,
    status: statusOf(visit),
    class: { system: 'http://terminology.hl7.org/CodeSystem/v3-ActCode', code: 'AMB', display: 'ambulatory' },
    ...(visit.eventDayId === null ? {} : { type: [{ text: 'Event work' }] }),
    subject: { reference: urn(athleteId) },
    period: { start: startsAt, end: new Date(Date.parse(startsAt) + minutes * 60_000).toISOString() },
    ...(brings.length === 0 ? {} : { reasonCode: [{ text: brings.join(', ') }] }),
    serviceProvider: { reference: urn(practiceId) },
  };
}
