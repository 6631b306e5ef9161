import { STOP_QUESTIONS } from '@pace-bend/core/caution';
import { lookAtWork, areasOf, contextOnDay, type EventPeople, type EventRecord } from '@pace-bend/core/eventDay';
import { findProtocol, protocolBlocks } from '@pace-bend/core/method';

const PRACTICE = {
  scope: { mobilizationGrade: 2, byRegion: {}, frontOfNeck: false, ruleText: '', ruleLink: '' },
  guest: { nextEvent: null, lastEvent: null, limits: [] },
};

/** What would be written down of work before a start: everything answered with no, the sequence as it is. `id` makes ids; `people` is what the server says of the day. */
export function smallRecord(
  id: () => string,
  more: Partial<EventRecord> = {},
  people: Pick<EventPeople, 'scope' | 'guest'> = PRACTICE,
): EventRecord {
  const planned = protocolBlocks(findProtocol('before-a-start')!, id);
  const blocks = lookAtWork(
    'before',
    planned,
    contextOnDay(null, people, '2026-12-04', { asked: true, knowsWork: more.knowsWork ?? false }),
  ).blocks.map(({ block }) => block);
  return {
    visitId: id(),
    answersId: id(),
    runId: id(),
    event: { id: id(), at: '2026-12-04T08:20:00.000Z', after: null },
    guest: null,
    startsAt: '2026-12-04T08:08:00.000Z',
    minutes: 12,
    answers: Object.fromEntries(STOP_QUESTIONS.map((question) => [question.id, 'no' as const])),
    consent: areasOf(blocks),
    protocolId: 'before-a-start',
    blocks,
    words: 'Loose, ready.',
    knowsWork: false,
    referral: null,
    ...more,
  };
}
