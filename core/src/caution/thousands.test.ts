import { MOTIONS, motionOf, MUSCLES, REGIONS } from '../body/index.ts';
import { ENTRIES, positionsFor } from '../catalogue/index.ts';
import { compile, findMethod, newBlock, phaseKind, sidesOf, SLOW_BREATH, type BlockPlan, type Cue } from '../method/index.ts';
import { seeded } from '../random/index.ts';
import {
  blockAction,
  blockCautions,
  blocking,
  cautionsFor,
  CONDITIONS,
  conditionFacts,
  isAsStrict,
  limitedBlock,
  measuring,
  MEDICATIONS,
  type CandidateAction,
  type CautionContext,
  type ConditionFields,
} from './index.ts';
import { CONTEXT, condition, ON } from './testing.ts';

/** Random athletes, entries, ways and numbers by the hundred thousand, from one seed. */
const ATHLETES = 10_000;
const PLANS_EACH = 10;
const random = seeded(20261126);
const pick = <T>(from: readonly T[]): T => from[Math.floor(random() * from.length)]!;
const chance = (share: number) => random() < share;
const ago = (days: number) => new Date(Date.parse(`${ON}T00:00:00Z`) - days * 86_400_000).toISOString().slice(0, 10);
const someDay = () => ago(Math.floor(random() * 500));

function someCondition(side: ConditionFields['side'] = pick(['left', 'right', 'both', null] as const)): ConditionFields {
  const facts = conditionFacts(pick(CONDITIONS).code as ConditionFields['code']);
  return condition(facts.code as ConditionFields['code'], {
    side,
    region: facts.chooseRegion ? pick(REGIONS).id : null,
    onset: chance(0.7) ? someDay() : null,
    surgeryOn: facts.surgery && chance(0.9) ? someDay() : null,
    muscle: facts.ofMuscle && chance(0.5) ? pick(MUSCLES).id : null,
    grade: facts.ofMuscle ? pick([1, 2, 3, null] as const) : null,
    clearance: chance(0.4)
      ? {
          by: 'Dr Example',
          on: someDay(),
          text: '',
          limits: chance(0.5)
            ? [
                pick([
                  { kind: 'effort' as const, pct: 15 },
                  { kind: 'ceiling' as const, score: 2 },
                  { kind: 'bend' as const, movement: 'knee flexion' as const, deg: 95 },
                ]),
              ]
            : [],
        }
      : null,
    resolvedOn: chance(0.15) ? someDay() : null,
  });
}

const somebody = (conditions: readonly ConditionFields[]): CautionContext => ({
  ...CONTEXT,
  daysToEvent: chance(0.1) ? Math.floor(random() * 4) : null,
  daysSinceEvent: chance(0.1) ? Math.floor(random() * 3) : null,
  subject: {
    ...CONTEXT.subject,
    birthDate: pick(['1996-03-04', '2011-05-06', '1958-01-01']),
    conditions,
    medications: chance(0.2) ? [pick(MEDICATIONS).id] : [],
    beighton: chance(0.1) ? Array.from({ length: 9 }, () => chance(0.5)) : null,
  },
});

function someBlock(): BlockPlan {
  const entry = pick(ENTRIES);
  const method = findMethod(pick(entry.ways))!;
  const side = pick(sidesOf(entry));
  const block = newBlock('b', entry.id, method.id, [side]);
  const numbers = Object.fromEntries(
    method.numbers.map((spec) => [
      spec.id,
      chance(0.5) ? block.numbers[spec.id]! : [Math.round(spec.min + random() * (Math.min(spec.max, spec.min + 60) - spec.min))],
    ]),
  );
  return {
    ...block,
    numbers,
    position: pick(positionsFor(entry, method)),
    sides: [{ side, rounds: 1 + Math.floor(random() * Math.min(3, method.rounds.max)) }],
    choices: Object.fromEntries(method.choices.map((choice) => [choice.id, pick(choice.options).id])),
  };
}

const secondsIn = (cues: readonly Cue[], technique: 'contract' | 'press') =>
  cues
    .filter(({ kind }) => {
      const { techniques } = phaseKind(kind);
      return techniques.includes(technique) || (technique === 'press' && techniques.includes('pin'));
    })
    .reduce((sum, cue) => sum + cue.endMs - cue.startMs, 0) / 1000;
const rank = { stop: 3, avoid: 2, modify: 1, note: 0 };

test('of a hundred thousand athletes and plans, no compiled line passes a limit, and one more condition never weakens anything', () => {
  const wrong: string[] = [];
  let limited = 0;
  let forbidden = 0;
  for (let i = 0; i < ATHLETES && wrong.length < 5; i++) {
    const conditions = Array.from({ length: 1 + Math.floor(random() * 3) }, () => someCondition());
    const context = somebody(conditions);
    const worse = { ...context, subject: { ...context.subject, conditions: [...conditions, someCondition()] } };
    for (let n = 0; n < PLANS_EACH; n++) {
      const block = someBlock();
      const { side } = block.sides[0]!;
      const action = blockAction(block, side);
      const before = cautionsFor(context, action);
      const more = cautionsFor(worse, action);
      const say = (what: string) =>
        wrong.push(
          `${what}: ${block.entryId}, ${block.methodId}, ${side}; ${JSON.stringify(conditions.map(({ code, side: at, region }) => [code, at, region]))}`,
        );
      if (!isAsStrict(more.limits, before.limits)) say('one more condition widened a limit');
      if (before.level && rank[more.level!] < rank[before.level]) say('one more condition lowered the level');
      if (blocking(more, new Set()).length < blocking(before, new Set()).length) say('one more condition freed something');

      if (blocking(before, new Set()).length > 0) forbidden += 1;
      const held = limitedBlock(block, context);
      const limits = held.limits?.[0];
      if (!limits) continue;
      limited += 1;
      if (!isAsStrict(limits, before.limits)) say('a limit did not come into the block');
      const motion = motionOf(ENTRIES.find((entry) => entry.id === block.entryId)!.motionId);
      const measured = chance(0.7) ? motion.fan.min + random() * (motion.fan.max - motion.fan.min) - (chance(0.2) ? 10 : 0) : null;
      const { cues } = compile([held], {
        breath: { ...SLOW_BREATH, periodMs: 4000 + Math.floor(random() * 9000) },
        edgeOf: () => measured,
      });
      const up = motion.better === 'higher' ? 1 : -1;
      const pressure = findMethod(block.methodId)!.axis === 'pressure';
      for (const cue of cues) {
        if (limits.effortPct !== null && (cue.effortPct ?? 0) > limits.effortPct) say('effort');
        if (limits.painCeiling !== null && cue.painCeiling > limits.painCeiling) say('ceiling');
        if (limits.holdS !== null && cue.kind === 'hold' && cue.endMs - cue.startMs > limits.holdS * 1000) say('hold');
        if (pressure) {
          if (Math.max(cue.to, cue.edge) > cue.painCeiling + 1e-9) say('pressure past the ceiling');
          continue;
        }
        if (limits.cap !== null && up * (cue.to - limits.cap) > 1e-9) say('cap');
        // Of an edge that was read: never more than the share of the way from rest. Of one that was not: rest.
        if (limits.edgeShare !== null && limits.edgeShare < 1) {
          const most =
            measured === null
              ? motion.rest
              : measured * up > motion.rest * up
                ? motion.rest + limits.edgeShare * (measured - motion.rest)
                : measured;
          if (up * (cue.to - most) > 0.051) say(`share: ${cue.to} past ${most}`);
          if (measured !== null && up * (measured - motion.rest) <= 0 && up * (cue.to - measured) >= 0 && cue.kind !== 'set-up')
            say('a share of nothing held nothing back');
        }
      }
      if (limits.contractS !== null && secondsIn(cues, 'contract') > limits.contractS + 1e-9) say('contraction in all');
      if (limits.pressS !== null && secondsIn(cues, 'press') > limits.pressS + 1e-9) say('pressing in all');
    }
  }
  expect(wrong).toEqual([]);
  // The check had something to look at.
  expect(limited).toBeGreaterThan((ATHLETES * PLANS_EACH) / 3);
  expect(forbidden).toBeGreaterThan((ATHLETES * PLANS_EACH) / 10);
}, 600_000);

const mirroredSide = { left: 'right', right: 'left', both: 'both' } as const;

test('left and right are alike: the mirror image of an athlete and a plan has the mirror image of its cautions', () => {
  const wrong: string[] = [];
  const said = (context: CautionContext, action: CandidateAction) => {
    const { cautions, limits } = cautionsFor(context, action);
    return JSON.stringify([cautions.map((caution) => [caution.ruleId, caution.level]).sort(), limits]).replace(
      /written-[a-z-]+?-(left|right|both|any)-/g,
      'written-',
    );
  };
  for (let i = 0; i < 10_000 && wrong.length < 5; i++) {
    const conditions = [someCondition(pick(['left', 'right', 'both'] as const)), someCondition(pick(['left', 'right'] as const))];
    const context = somebody(conditions);
    const mirror = {
      ...context,
      subject: { ...context.subject, conditions: conditions.map((each) => ({ ...each, side: each.side && mirroredSide[each.side] })) },
    };
    const block = someBlock();
    const { side } = block.sides[0]!;
    if (side === 'midline') continue;
    const other = mirroredSide[side];
    const turned = { ...block, sides: [{ ...block.sides[0]!, side: other }] };
    if (said(context, blockAction(block, side)) !== said(mirror, blockAction(turned, other)))
      wrong.push(`${block.entryId}, ${block.methodId}`);
    const motion = pick(MOTIONS.filter((each) => each.sides.length === 2));
    if (said(context, measuring(motion.id, side)) !== said(mirror, measuring(motion.id, other))) wrong.push(motion.id);
  }
  expect(wrong).toEqual([]);
}, 120_000);

test('what a block may not do is said on the side it is about, and on no other', () => {
  const context = {
    ...CONTEXT,
    subject: { ...CONTEXT.subject, conditions: [condition('muscle-strain', { region: 'thigh-back', side: 'left', onset: ago(2) })] },
  };
  const [left, right] = blockCautions(newBlock('b', 'hamstring-heel-on-shoulder', 'cr-breath', ['left', 'right']), context, []);
  expect([left!.blocking.length > 0, right!.blocking]).toEqual([true, []]);
});
