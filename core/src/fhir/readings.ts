import type { Observation, ObservationComponent } from 'fhir/r4';
import { motionOf } from '../body/index.ts';
import { errorOf, mdc95, type ErrorKnowledge } from '../measure/index.ts';
import type { Reading } from '../record/index.ts';
import { coded, hl7, quantity } from './codes.ts';
import { urn } from './ids.ts';
import { instrumentId } from './people.ts';

const part = (code: string, words: string): Pick<ObservationComponent, 'code'> => ({ code: coded('reading-part', code, words) });

/**
 * A reading as an observation: the value with its unit, the side, how it was read, with what and by whom; each trial; whether before or after
 * the work; and its error: the standard error of measurement of this value within its visit, and the change from it to another visit's that would
 * be one (95 %), both with where they come from. Null for a reading that was withdrawn.
 */
export function observationOf(reading: Reading, athleteId: string, practiceId: string, errors: ErrorKnowledge): Observation | null {
  const { id, visitId, motionId, side, moment, mode, instrument, trials, value, takenAt, supersedes, examinerId } = reading;
  if (value === null) return null;
  const motion = motionOf(motionId);
  const by = { instrument, examinerId, trialCount: trials.length };
  const within = errorOf(motion, by, errors, 'within');
  const between = errorOf(motion, by, errors, 'between');
  const measured = (amount: number) => quantity(amount, motion.unit);
  return {
    resourceType: 'Observation',
    id,
    status: supersedes === null ? 'final' : 'corrected',
    category: [hl7('observation-category', 'exam', 'Exam')],
    code: coded('motion', motionId, motion.name),
    subject: { reference: urn(athleteId) },
    encounter: { reference: urn(visitId) },
    effectiveDateTime: takenAt,
    ...(examinerId === null ? {} : { performer: [{ reference: urn(examinerId) }] }),
    valueQuantity: measured(value),
    ...(side === 'midline' ? {} : { bodySite: coded('side', side, side) }),
    method: { text: `${mode}; ${motion.testPosition}` },
    device: { reference: urn(instrumentId(practiceId, instrument)) },
    component: [
      { ...part('moment', 'Before or after work'), valueString: moment },
      ...trials.map((trial, i) => ({ ...part('trial', `Trial ${i + 1}`), valueQuantity: measured(trial) })),
      { ...part('sem', `Standard error of measurement within the visit (${within.source})`), valueQuantity: measured(within.sem) },
      {
        ...part('mdc95', `Minimal detectable change, 95 %, to another visit (${between.source})`),
        valueQuantity: measured(mdc95(between.sem)),
      },
    ],
  };
}
