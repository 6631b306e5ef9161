import { readFileSync } from 'node:fs';
import { motionOf, type Region } from '../body/index.ts';
import { condition } from '../caution/testing.ts';
import { HOURS, type EndData, type FindingContent, type StandingFinding } from '../finding/index.ts';
import { compareMotion, type Condition, type ValueToday } from '../record/index.ts';
import { gather, judge, openQuestions, type Evidence } from './index.ts';

const lines = readFileSync(new URL('./presentations.txt', import.meta.url), 'utf8')
  .split('\n')
  .filter((line) => line.trim() !== '' && !line.startsWith('#'));
const person = { birthDate: '1999-03-04', referenceSex: 'male', sports: [] } as const;
const ON = '2026-11-25';

function evidenceOf(motionId: string, values: string, found: string, file: string): Evidence {
  const today = values.split(',').flatMap((each): ValueToday[] => {
    const [id, pair] = each.trim().split(' ');
    return pair!.split('/').map((value, i) => ({
      motionId: id!,
      side: i === 0 ? 'left' : 'right',
      moment: 'before',
      instrument: motionOf(id!).instruments[0],
      examinerId: null,
      value: Number(value),
    }));
  });
  const data: { -readonly [Name in keyof EndData]: EndData[Name] } = { endFeel: null, pain: null, felt: null, guarding: null };
  const more: FindingContent[] = [];
  for (const word of found.split(' ').filter(Boolean)) {
    const [name, value] = word.split('=');
    if (name === 'feel') data.endFeel = value as EndData['endFeel'];
    else if (name === 'felt') data.felt = value as EndData['felt'];
    else if (name === 'pain') data.pain = Number(value);
    else if (name === 'guards' || name === 'calm') data.guarding = name === 'guards';
    else if (name === 'clock')
      more.push({
        kind: 'clock',
        subject: 'hip',
        side: 'left',
        data: { hours: HOURS.map((hour) => (hour <= Number(value) ? 'tight' : 'free')) },
      });
    else if (name === 'glides')
      more.push({ kind: 'glide', subject: 'patella', side: 'left', data: { up: value, down: value, in: value, out: value } as never });
    else throw new Error(`What does "${word}" mean?`);
  }
  const findings: FindingContent[] = [
    ...(found.trim() === '' ? [] : [{ kind: 'end', subject: motionId, side: 'left', data } as FindingContent]),
    ...more,
  ];
  const [code, region] = file.trim().split(' ');
  const conditions = code
    ? [{ ...condition(code as Condition['code'], { region: region as Region, side: 'left' }), id: 'c', revision: 1 }]
    : [];
  return {
    comparisons: new Map(
      [...new Set(today.map((each) => each.motionId))].map((id) => [
        id,
        compareMotion(motionOf(id), 'before', { person, onDay: ON, today, past: [] }),
      ]),
    ),
    after: new Map(),
    findings: findings.map(
      (content, i) =>
        ({ ...content, moment: 'before', id: `f${i}`, supersedes: null, visitId: 'v', foundAt: '', foundBy: '' }) as StandingFinding,
    ),
    conditions,
    complaint: { region: null, side: null, score: null },
    worked: [],
    onDay: ON,
  };
}

test('of at least forty presentations nine in ten get the right answer on top, or “not enough” where it is not', () => {
  const wrong: string[] = [];
  for (const line of lines) {
    const [motionId, values, found, file, answer] = line.split(' ;').map((part) => part.trim());
    const motion = motionOf(motionId!);
    const evidence = evidenceOf(motionId!, values!, found!, file!);
    const judgement = judge(motion, gather(motion, 'left', evidence), openQuestions(motion, 'left', evidence));
    const said = judgement.kind === 'not-enough' ? 'not enough' : judgement.causes[0]!.name;
    if (answer === 'not enough' ? said !== answer : judgement.causes[0]!.name !== answer)
      wrong.push(
        `${line} → ${said} (${judgement.causes
          .slice(0, 2)
          .map((cause) => `${cause.name} ${cause.steps}`)
          .join(', ')})`,
      );
  }
  process.stdout.write(
    `  presentations: ${lines.length - wrong.length} of ${lines.length} right${wrong.map((each) => `\n    ${each}`).join('')}\n`,
  );
  expect(lines.length).toBeGreaterThanOrEqual(40);
  expect(wrong.length).toBeLessThanOrEqual(lines.length / 10);
});

test('a block says refer, and never a percentage: how much speaks for a cause is words', () => {
  const motion = motionOf('knee-flexion');
  const evidence = evidenceOf('knee-flexion', 'knee-flexion 100/138', 'feel=springy felt=joint', 'joint-locked knee');
  const judgement = judge(motion, gather(motion, 'left', evidence));
  expect(judgement.words).toBe('Points to something caught in the joint: refer, never mobilize');
  for (const cause of judgement.causes)
    expect(cause.say).toMatch(/^(much speaks for it|something speaks for it|possible|little speaks for it|hardly)$/);
});
