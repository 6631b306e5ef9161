import type { QuestionnaireResponse, QuestionnaireResponseItem } from 'fhir/r4';
import { muscleFacts } from '../body/index.ts';
import { scaleOf, type CheckIn } from '../readiness/index.ts';
import { own, urn } from './ids.ts';

type Answer = NonNullable<QuestionnaireResponseItem['answer']>[number];

/** A morning's check-in as a response to its questionnaire; what was not answered is not in it. */
export function responseOf(checkIn: CheckIn, athleteId: string): QuestionnaireResponse {
  const { id, at, onDate, scale, answers, hoursSlept, sore, ill, injured, travelled, training, rmssdMs } = checkIn;
  const { items, lowest, highest } = scaleOf(scale);
  const item = (linkId: string, text: string, answer: readonly Answer[]): QuestionnaireResponseItem[] =>
    answer.length === 0 ? [] : [{ linkId, text, answer: [...answer] }];
  const one = <T>(value: T | null | undefined, as: (value: T) => Answer): Answer[] =>
    value === null || value === undefined ? [] : [as(value)];
  return {
    resourceType: 'QuestionnaireResponse',
    id,
    questionnaire: own(`check-in:${scale}`),
    status: 'completed',
    subject: { reference: urn(athleteId) },
    authored: at,
    item: [
      ...item('on-date', 'Day', [{ valueDate: onDate }]),
      ...items.flatMap(({ id: linkId, name, ends }) =>
        item(
          linkId,
          `${name}, ${lowest} ${ends[0]} to ${highest} ${ends[1]}`,
          one(answers[linkId], (valueInteger) => ({ valueInteger })),
        ),
      ),
      ...item(
        'hours-slept',
        'Hours slept',
        one(hoursSlept, (valueDecimal) => ({ valueDecimal })),
      ),
      ...item(
        'sore',
        'Sore places, 0 to 10',
        sore === null
          ? []
          : sore.length === 0
            ? [{ valueString: 'none' }]
            : sore.map(({ muscle, side, score }) => ({
                valueString: `${muscleFacts(muscle).name}${side === null ? '' : ` ${side}`} ${score}`,
              })),
      ),
      ...item(
        'ill',
        'Ill',
        one(ill, (valueBoolean) => ({ valueBoolean })),
      ),
      ...item(
        'injured',
        'Injured',
        one(injured, (valueBoolean) => ({ valueBoolean })),
      ),
      ...item(
        'travelled',
        'Travelled',
        one(travelled, (valueBoolean) => ({ valueBoolean })),
      ),
      ...item(
        'training',
        'Can train today',
        one(training, (valueString) => ({ valueString })),
      ),
      ...item(
        'rmssd',
        'rMSSD in milliseconds',
        one(rmssdMs, (valueDecimal) => ({ valueDecimal })),
      ),
    ],
  };
}
