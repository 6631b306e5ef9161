import { readFileSync } from 'node:fs';
import type { Position, Region, Side } from '../../body/index.ts';
import { REGIONS } from '../../body/index.ts';
import { newBlock } from '../../method/index.ts';
import {
  blockAction,
  CONDITIONS,
  cautionsFor,
  measuring,
  NO_LIMITS,
  type CautionContext,
  type ConditionFields,
  type MedicationId,
} from '../index.ts';
import { CONTEXT, condition, ON } from '../testing.ts';

const DAY_MS = 86_400_000;
const ago = (days: number) => new Date(Date.parse(`${ON}T00:00:00Z`) - days * DAY_MS).toISOString().slice(0, 10);
const inDays = (words: readonly string[], at: number) => Number(words[at]) * (words[at + 1] === 'w' ? 7 : 1);

/** One condition as it is written in the file: code, place, side, and what is known of it. */
function conditionFrom(words: readonly string[]): ConditionFields {
  const [code, ...rest] = words;
  expect([code, CONDITIONS.some((each) => each.code === code)]).toEqual([code, true]);
  let more: Partial<ConditionFields> = {};
  for (let i = 0; i < rest.length; i++) {
    const word = rest[i]!;
    if (['left', 'right', 'both'].includes(word)) more = { ...more, side: word as 'left' };
    else if (REGIONS.some((each) => each.id === word)) more = { ...more, region: word as Region };
    else if (word.startsWith('muscle=')) more = { ...more, muscle: word.slice(7) as NonNullable<ConditionFields['muscle']> };
    else if (word.startsWith('grade=')) more = { ...more, grade: Number(word.slice(6)) as 1 };
    else if (word === 'since') {
      more = { ...more, onset: ago(inDays(rest, i + 1)) };
      i += 2;
    } else if (word === 'operated') {
      more = { ...more, surgeryOn: ago(inDays(rest, i + 1)) };
      i += 2;
    } else if (word === 'over') {
      more = { ...more, resolvedOn: ago(inDays(rest, i + 1)) };
      i += 2;
    } else if (word === 'cleared') more = { ...more, clearance: { by: 'Dr Example', on: ago(1), text: '', limits: [] } };
    else if (word === 'cleared-before') more = { ...more, clearance: { by: 'Dr Example', on: ago(700), text: '', limits: [] } };
    else throw new Error(`What does "${word}" mean?`);
  }
  return condition(code as ConditionFields['code'], more);
}

function contextFrom(file: string): CautionContext {
  let context = CONTEXT;
  for (const part of file.split(' + ')) {
    const words = part.trim().split(' ');
    const subject = context.subject;
    if (words[0] === 'nothing') continue;
    if (words[0] === 'taking')
      context = { ...context, subject: { ...subject, medications: [...subject.medications, words[1] as MedicationId] } };
    else if (words[0] === 'age') context = { ...context, subject: { ...subject, birthDate: ago(Number(words[1]) * 365.25 + 30) } };
    else if (words[0] === 'beighton')
      context = { ...context, subject: { ...subject, beighton: Array.from({ length: 9 }, (_, i) => i < Number(words[1])) } };
    else if (words[0] === 'start') context = { ...context, daysToEvent: Number(words[2]) };
    else context = { ...context, subject: { ...subject, conditions: [...subject.conditions, conditionFrom(words)] } };
  }
  return context;
}

function actionFrom(plan: string) {
  if (plan.startsWith('measure ')) {
    const [motion, side] = plan.slice(8).split(', ');
    return measuring(motion!, side as Side);
  }
  const [entry, method, side, position] = plan.split(', ');
  const block = newBlock('b', entry!, method!, [side as Side]);
  return blockAction(position ? { ...block, position: position as Position } : block, side as Side);
}

const LIMIT_NAMES = { effort: 'effortPct', share: 'edgeShare', pain: 'painCeiling', grade: 'grade', hold: 'holdS', cap: 'cap' } as const;
const lines = readFileSync(new URL('./scenarios.txt', import.meta.url), 'utf8')
  .split('\n')
  .filter((line) => line.trim() !== '' && !line.startsWith('#'));

test('a clinician wrote at least a hundred and fifty', () => expect(lines.length).toBeGreaterThanOrEqual(150));

test.each(lines)('%s', (line) => {
  const [file, plan, must] = line.split(' ; ').map((part) => part.trim());
  const result = cautionsFor(contextFrom(file!), actionFrom(plan!));
  const [level, ...limits] = must!.split(' ');
  const said = result.cautions
    .filter((caution) => caution.level !== 'note' && caution.kind === 'rule')
    .map((caution) => `${caution.level} ${caution.ruleId}`);
  if (level === 'free') {
    expect(said).toEqual([]);
    expect(result.limits).toEqual(NO_LIMITS);
    return;
  }
  expect([result.level, said]).toEqual([level, said]);
  for (let i = 0; i < limits.length; i += 2) {
    const name = LIMIT_NAMES[limits[i] as keyof typeof LIMIT_NAMES];
    // At least as strict as was written: another rule may hold it further back.
    expect([name, result.limits[name] ?? Number.POSITIVE_INFINITY]).toEqual([name, expect.any(Number)]);
    expect(result.limits[name] ?? Number.POSITIVE_INFINITY).toBeLessThanOrEqual(Number(limits[i + 1]));
  }
});
