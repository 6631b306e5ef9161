import { motionOf, type Region } from '../body/index.ts';
import { doingOf, ENTRIES, type Entry } from '../catalogue/index.ts';
import { newBlock } from '../method/index.ts';
import { blockAction, cautionsFor, type Caution, type CautionContext, type ConditionFields } from './index.ts';
import { CONTEXT, condition, ON } from './testing.ts';

/**
 * An entry warns in words; the rules must know what the words say. Every sentence of an entry that names something a file can hold
 * is held to a rule that speaks for this entry, in at least one of its ways, because of just that. The table is read by hand.
 */

type OneSide = 'left' | 'right';
type File = Partial<CautionContext['subject']> | { raised: CautionContext['raised'] };
const has =
  (code: ConditionFields['code'], region: Region | null = null, more: Partial<ConditionFields> = {}) =>
  (side: OneSide): File => ({ conditions: [condition(code, { side, region, onset: ON, ...more })] });
const operated = (code: ConditionFields['code'], region: Region | null = null) =>
  has(code, region, { onset: null, surgeryOn: '2026-10-20' });

/** What a sentence names, and what stands for it in a file: each of these by itself has to be answered. */
const NAMED: readonly (readonly [words: RegExp, files: readonly ((side: OneSide, entry: Entry) => File)[]])[] = [
  [/Disc or bony narrowing|narrowed side/, [has('neck-narrowing')]],
  [/arm signs|disc signs in the arm/i, [has('disc-arm')]],
  [/nerve signs in the arm/, [has('nerve-signs', 'upper-arm'), has('outlet')]],
  [/Disc with leg signs|Nerve or disc signs/, [has('disc-leg')]],
  [/Chronic low back pain/, [has('low-back-pain')]],
  [/Slipped vertebra/, [has('slipped-vertebra')]],
  [/instability/, [has('neck-instability')]],
  [/No end range with dizziness|Dizziness on turning|Ask about dizziness|never with dizziness/, [has('neck-dizziness')]],
  [/Hip replacement/, [operated('hip-replacement-back'), operated('hip-replacement-front'), operated('hip-replacement-side')]],
  [/Knee surgery or pain/, [operated('knee-operation'), operated('meniscus-repair'), has('knee-pain')]],
  [/(?<!Inner |Outer )\bKnee pain:/, [has('knee-pain')]],
  [/Previous dislocation|history of dislocation/, [has('shoulder-dislocation')]],
  [/Painful shoulder/, [has('shoulder-tear'), has('frozen-shoulder')]],
  [/osteoporosis/i, [has('osteoporosis')]],
  [/rib injury/, [has('rib-injury')]],
  [/blood thinners/, [() => ({ medications: ['blood-thinner'] })]],
  [/varicose veins/i, [(side, entry) => has('varicose-veins', doingOf(entry).on![0]!)(side)]],
  [/in pregnancy/, [has('pregnancy', null, { onset: '2026-08-01' })]],
  [/After surgery/, [operated('other-operation', 'calf'), operated('fracture-fixation', 'calf')]],
  [/[Hh]ardware/, [has('hardware', 'calf')]],
  [/Acute strain/, [has('muscle-strain', 'thigh-back', { muscle: 'hamstrings', grade: 2 })]],
  [/fresh injury or broken skin/, [has('broken-skin', 'foot'), has('ankle-sprain')]],
  [/Numb feet/, [has('reduced-feeling', 'foot'), has('diabetes-feeling')]],
  [/Growth plate at the heel/, [has('apophysis', 'foot')]],
  [/injured wrist/, [has('wrist-injury')]],
  [/swelling and warmth of the calf|calf swelling|swelling and warmth/, [has('clot-suspected', 'calf')]],
  [/sacroiliac joint with light force|joint of the pelvis with light force/, [has('sacroiliac-pain')]],
];

/** Words of the trade that name a state somebody can come with. A sentence that holds one of them is in the table above or is a sign. */
const TELLING =
  /osteopor|narrow|disc\b|slipped|disloc|instab|surger|surgeon|pregnan|thinner|varicose|swell|replacement|injur|strain|dizz|nerve|skin|numb|pain|growth|growing|infect|hernia|fractur|clot/i;

/** What shows under the hands while working: not in a file beforehand; it ends the block, or the visit, at the table. */
const SIGNS: readonly RegExp[] = [
  /^Dizziness|^Any dizziness|^Stop with dizziness|^dizziness:/,
  /^Any pain|^any pain/,
  /^Pain at the base of the thumb/,
  /^Chest pain without pressing/,
  /^Inner knee pain|^Outer knee pain/,
  /^Warm, red or sudden swelling/,
  /^Skin burns|^Skin dragged/,
  /^move off the nerve/,
  /^within the pain-free arc/,
  /reproduces sharp joint pain/,
  // The second half of a sentence whose first half is in the table.
  /^dizziness|^Numb hand/,
  /^the surgeon’s limits/,
  /^only with the surgeon’s/,
  /^Growing athletes/,
  // What an athlete alone at home stops for.
  /^Pain on the shin bone itself/,
  /^Sharp pain at the back of the pelvis/,
  /^[Ss]harp pain in the groin or (the )?pelvis/,
  /^Dizzy, or the arm tingles/,
];

const sentences = (entry: Entry) =>
  [entry.cautions, entry.watch].flatMap((text) => (text ? text.split(/(?<=[.;:])\s+/).map((part) => part.replace(/[.;:]$/, '')) : []));

/** What is said of an entry because of a file that says nothing of another side or place than those the entry has to do with. */
function said(entry: Entry, file: (side: OneSide, entry: Entry) => File): readonly Caution[] {
  const [side] = entry.sides ?? motionOf(entry.motionId).sides;
  const spoken = (more: File, way: string) => {
    const { raised = [], ...subject } = more as Partial<CautionContext['subject']> & { raised?: CautionContext['raised'] };
    return cautionsFor(
      { ...CONTEXT, raised, subject: { ...CONTEXT.subject, ...subject } },
      blockAction(newBlock('x', entry.id, way, [side!]), side!),
    ).cautions;
  };
  return entry.ways.flatMap((way) => {
    const anyway = new Set(spoken({}, way).map((caution) => caution.ruleId));
    return (['left', 'right'] as const).flatMap((of) => spoken(file(of, entry), way)).filter((caution) => !anyway.has(caution.ruleId));
  });
}

test('every sentence that names a condition is backed by a rule that speaks for that entry', () => {
  const without = ENTRIES.flatMap((entry) =>
    NAMED.filter(([words]) => words.test(`${entry.cautions ?? ''} ${entry.watch ?? ''}`)).flatMap(([words, files]) =>
      files.flatMap((file, i) => (said(entry, file).length > 0 ? [] : [`${entry.id}: ${words.source} (${i + 1})`])),
    ),
  );
  expect(without).toEqual([]);
});

test('no sentence names a condition that the table above does not know', () => {
  const unknown = ENTRIES.flatMap((entry) => {
    return sentences(entry)
      .filter(
        (sentence) =>
          TELLING.test(sentence) && !SIGNS.some((sign) => sign.test(sentence)) && !NAMED.some(([words]) => words.test(`${sentence}:`)),
      )
      .map((sentence) => `${entry.id}: ${sentence}`);
  });
  expect([...new Set(unknown.map((each) => each.replace(/^[^:]*: /, '')))]).toEqual([]);
});

test('every line of the table is used', () => {
  const all = ENTRIES.map((entry) => `${entry.cautions ?? ''} ${entry.watch ?? ''}`);
  expect(NAMED.filter(([words]) => !all.some((text) => words.test(text))).map(([words]) => words.source)).toEqual([]);
});
