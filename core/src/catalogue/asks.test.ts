import { blockAction } from '../caution/index.ts';
import { newBlock } from '../method/index.ts';
import { ASKED_IDS, asksOf, doingOf, ENTRIES, findEntry, LOOKED_AT_AGAIN, lookAgainOf } from './index.ts';

const SIDE = (sides: (typeof ENTRIES)[number]['sides']) => sides?.[0] ?? ('left' as const);

test('hands in the armpit, the groin, on the chest or the belly: every entry that presses there in any of its ways asks by name', () => {
  const NAMED = { armpit: 'the armpit', groin: 'the groin', chest: 'the chest beside the breast', belly: 'the belly' } as const;
  const silent = ENTRIES.flatMap((entry) => {
    const side = SIDE(entry.sides);
    const pressed = new Set(
      entry.ways.flatMap((way) => blockAction(newBlock('b', entry.id, way, [side]), side).presses.flatMap(({ regions }) => regions)),
    );
    return Object.entries(NAMED)
      .filter(([region, name]) => pressed.has(region as never) && !asksOf(entry).includes(name))
      .map(([region]) => `${entry.id}: ${region}`);
  });
  expect(silent).toEqual([]);
});

test('the throat is asked for wherever a finger may lie at the front of the neck', () => {
  for (const entry of ENTRIES.filter(({ regions }) => regions?.includes('front-of-neck')))
    expect([entry.id, asksOf(entry)]).toEqual([entry.id, expect.arrayContaining(['the throat'])]);
});

test('where bodies lean on one another in the set-up, it is asked', () => {
  const LEANS =
    /on (my|your) (shoulder|hip|waist|toes|knee)|at (the therapist.s|your) waist|your (foot|sole) (in|against|under)|across your chest|knees against yours/i;
  const silent = ENTRIES.filter((entry) => LEANS.test(`${entry.setUp} ${entry.supports}`) && asksOf(entry).length === 0).map(
    ({ id }) => id,
  );
  expect(silent).toEqual([]);
});

test('everything that is asked for is asked for an entry there is; a practice’s own asks what the one it was made from does', () => {
  expect(ASKED_IDS.filter((id) => !findEntry(id))).toEqual([]);
  expect(asksOf({ id: 'own', drawnAs: 'groin-comfort' })).toEqual(['the groin']);
  expect(asksOf({ id: 'own' })).toEqual([]);
});

test('strokes on limbs run toward the heart; where an entry says they go the other way, its data says so', () => {
  const AWAY =
    /hip to (the )?(knee|knee-cap)|bump to the outer knee|thigh to the knee|elbow to (the )?wrist|heel to the base of the toes|out to the toes|down, then up|to the top and back|from the elbow down/i;
  const LIMBS = ['Arm and hand', 'Thigh and knee', 'Ankle and foot'];
  const wrong = ENTRIES.filter(({ section }) => LIMBS.includes(section))
    .filter((entry) => AWAY.test(`${entry.setUp} ${entry.hands} ${entry.pressLine}`) !== (doingOf(entry).strokes !== undefined))
    .map(({ id }) => id);
  // Slow flat drags with a stick: which way is the hand's own choice, and not said in the set-up.
  expect(wrong).toEqual(['hamstring-stick']);
});

test('a second look is at what an entry there is worked on, in a few words; a practice’s own has that of the one it was made from', () => {
  expect(LOOKED_AT_AGAIN.filter((id) => !findEntry(id))).toEqual([]);
  expect(lookAgainOf({ id: 'own', drawnAs: 'leg-pull' })).toEqual(lookAgainOf({ id: 'leg-pull' }));
  expect(lookAgainOf({ id: 'own' })).toBeNull();
  for (const id of LOOKED_AT_AGAIN) expect(lookAgainOf({ id })!.what.split(' ').length).toBeLessThanOrEqual(11);
});

test('a pulse near the hand: where an entry warns of one, or its fingers press in the armpit, the groin or at the throat, it is felt for first', () => {
  const NEAR = ['front-of-neck', 'armpit', 'groin'];
  const wrong = ENTRIES.filter((entry) => {
    const side = SIDE(entry.sides);
    const pressed = entry.ways.flatMap((way) =>
      blockAction(newBlock('b', entry.id, way, [side]), side).presses.flatMap(({ regions }) => regions as readonly string[]),
    );
    const byHand = entry.tools.every(({ tool }) => tool !== 'foot' && tool !== 'body lean');
    const warns = /pulse|vessel/i.test(`${entry.watch} ${entry.cautions}`);
    return (warns || (byHand && pressed.some((region) => NEAR.includes(region)))) !== (entry.vessel === true);
  }).map(({ id }) => id);
  expect(wrong).toEqual([]);
});
