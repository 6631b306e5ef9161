import { STOP_QUESTIONS, type QuestionId } from '@pace-bend/core/caution';
import type { StopAnswers } from '@pace-bend/core/record';
import { reading, visitFile } from '../../testing/visitFile.ts';
import { draftLetter, measuredLines } from './letter.ts';

const answers = (given: Partial<Record<QuestionId, 'yes' | 'unsure'>>): StopAnswers => ({
  id: 'x',
  at: '2026-11-25T09:30:00.000Z',
  by: 'Ann',
  answers: Object.fromEntries(STOP_QUESTIONS.map(({ id }) => [id, given[id] ?? 'no'])) as StopAnswers['answers'],
  notAsked: null,
});

test('a letter begins with what was said, place and score, and who to see; only the answers that stand count', () => {
  const file = visitFile({ answers: [answers({ fever: 'yes' }), answers({ calf: 'unsure', chest: 'yes' })] });
  const { to, seen } = draftLetter(
    {
      ...file,
      visit: {
        ...file.visit,
        complaint: 'Calf sore',
        complaintRegion: 'calf',
        complaintSide: 'left',
        complaintScore: 6,
        changed: 'A long flight',
      },
    },
    ['a physician today'],
  );
  expect(to).toBe('A physician today');
  expect(seen.split('\n')).toEqual([
    expect.stringMatching(/^A calf that is swollen.* \(not sure\)\.$/),
    expect.stringMatching(/^Chest pain, or out of breath at rest\.$/),
    'Complaint: Calf sore (left calf), 6 of 10.',
    'Since last time: A long flight.',
  ]);
});

test('nothing said gives an empty letter, not the word undefined', () => {
  expect(draftLetter(visitFile(), [])).toEqual({ to: '', seen: '' });
});

test('what was measured today is listed as it stands, corrected ones once', () => {
  const first = reading({ motionId: 'knee-flexion', trials: [118], instrument: 'goniometer' });
  const file = visitFile({
    readings: [
      first,
      reading({ motionId: 'knee-flexion', trials: [116], instrument: 'goniometer', supersedes: first.id }),
      reading({ motionId: 'fingertip-to-floor', side: 'midline', trials: [12], instrument: 'tape' }),
    ],
  });
  expect(measuredLines(file)).toEqual(
    expect.arrayContaining([
      'Knee flexion, supine, hip bent, left: 116.0° (before work, goniometer)',
      'Fingertip to floor, standing, knees straight, tape: 12.0 cm (before work, tape)',
    ]),
  );
  expect(measuredLines(file)).toHaveLength(2);
});
