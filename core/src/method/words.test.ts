import { ENTRIES, positionsFor, type Entry } from '../catalogue/index.ts';
import { compile, findMethod, newBlock, phasesOf, sidesOf, SLOW_BREATH, type BlockPlan, type Cue, type Method } from './index.ts';

/**
 * Nothing that moves, plays in a joint or keeps a rhythm is said in the words a way has for everybody: every entry, in every position, in
 * every way and every form of it, says where its own limb goes.
 */

const lineOf = (block: BlockPlan): readonly Cue[] => compile([block], { edgeOf: () => null, breath: SLOW_BREATH }).cues;

/** The texts a way would say where an entry had no line of its own. */
const GENERIC = new Map<string, ReadonlySet<string>>();
const genericOf = (method: Method): ReadonlySet<string> => {
  const known = GENERIC.get(method.id);
  if (known) return known;
  const texts = new Set(phasesOf(method).flatMap(({ leads, text }) => (leads ? [text.replace(/\s*\{.*$/, '')] : [])));
  GENERIC.set(method.id, texts);
  return texts;
};

/** Every way a block can be chosen to go: the usual one, and each option of each choice by itself. */
function variants(block: BlockPlan, method: Method): BlockPlan[] {
  return [
    block,
    ...method.choices.flatMap((choice) =>
      choice.options.map((option) => ({ ...block, choices: { ...block.choices, [choice.id]: option.id } })),
    ),
  ];
}

const POSITION_WORDS: readonly (readonly [RegExp, readonly string[]])[] = [
  [/^Supine\b/, ['supine']],
  [/^Prone\b/, ['prone']],
  [/^Side-lying\b/, ['side-lying left', 'side-lying right', 'floor mat']],
  [/^Seated\b/, ['seated upright', 'seated leaning']],
  [/^Leaning\b/, ['seated leaning', 'seated upright']],
  [/^Long-sitting\b/, ['long-sitting']],
  [/^On the floor mat\b/, ['floor mat']],
];

test.each(ENTRIES.map((entry) => [entry.id, entry] as const))(
  '%s says its own words in every way, form and position',
  (_id, entry: Entry) => {
    const generic: string[] = [];
    for (const way of entry.ways) {
      const method = findMethod(way)!;
      const usual = newBlock('b', entry.id, way, [sidesOf(entry)[0]!]);
      for (const block of variants(usual, method))
        for (const cue of lineOf(block)) {
          if ([...genericOf(method)].some((text) => cue.text === text || cue.text.startsWith(`${text}:`)))
            generic.push(`${way}: ${cue.text}`);
          if (/[{}]/.test(cue.text + cue.detail)) generic.push(`${way}: a word is missing in “${cue.text}, ${cue.detail}”`);
          if (cue.text.split(/\s+/).length > 7) generic.push(`${way}: too long to be read across a room: ${cue.text}`);
        }
      for (const position of positionsFor(entry, method)) {
        const said = lineOf({ ...usual, position }).find(({ kind }) => kind === 'set-up')!.detail;
        for (const [words, positions] of POSITION_WORDS)
          if (words.test(said) && !positions.includes(position)) generic.push(`${way}, ${position}: ${said}`);
      }
    }
    expect([...new Set(generic)]).toEqual([]);
  },
);

test('what is chosen is heard: every option that has words, on every entry, in every way', () => {
  const silent: string[] = [];
  for (const entry of ENTRIES)
    for (const way of entry.ways) {
      const begins = newBlock('b', entry.id, way, [sidesOf(entry)[0]!]);
      // A phase that an entry leaves out is put back, so that there is something to hear.
      const numbers = Object.fromEntries(Object.entries(begins.numbers).map(([id, values]) => [id, values.map((value) => value || 5)]));
      const usual = { ...begins, numbers };
      for (const choice of findMethod(way)!.choices)
        for (const { id, says } of choice.options) {
          if (says === undefined) continue;
          const line = lineOf({ ...usual, choices: { ...usual.choices, [choice.id]: id } });
          if (!line.some(({ text, detail }) => `${text} ${detail}`.includes(says))) silent.push(`${entry.id}, ${way}: ${choice.id} ${id}`);
        }
    }
  expect(silent).toEqual([]);
});

test('what is moved says where to, in at most five words; what plays in a joint says so only where it is mobilized', () => {
  for (const entry of ENTRIES) {
    const { id, still, lead, ease, play, ways } = entry;
    if (still !== true) expect([id, lead]).toEqual([id, expect.any(String)]);
    for (const line of [lead, ease, play]) expect([id, (line ?? '').split(/\s+/).length <= 5]).toEqual([id, true]);
    const asks = (leads: string) => ways.some((way) => phasesOf(findMethod(way)!).some((phase) => phase.leads === leads));
    expect([id, play !== undefined]).toEqual([id, asks('play')]);
    if (ease !== undefined) expect([id, asks('ease')]).toEqual([id, true]);
  }
});
