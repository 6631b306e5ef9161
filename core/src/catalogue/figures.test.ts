import { motionOf, MOTIONS, type Position } from '../body/index.ts';
import {
  drawScene,
  ENTRY_SCENES,
  MARK_WORDS,
  motionScene,
  PLACE_SCENES,
  REGIONS,
  regionsNamed,
  sceneBody,
  sceneWords,
} from '../figure/index.ts';
import { ENTRIES, entryScene, figureShare, findEntry, positionsShown, showsEntry } from './index.ts';

test('every entry has a scene of its own, in a position it is done in', () => {
  expect(ENTRIES.filter((entry) => ENTRY_SCENES[entry.id] === undefined).map(({ id }) => id)).toEqual([]);
  expect(Object.keys(ENTRY_SCENES).filter((id) => !ENTRIES.some((entry) => entry.id === id))).toEqual([]);
  const elsewhere = ENTRIES.filter((entry) => !showsEntry(entryScene(entry), entry));
  expect(
    elsewhere.map((entry) => `${entry.id}: ${positionsShown(entryScene(entry))?.join(' or ')}, done ${entry.positions.join(' or ')}`),
  ).toEqual([]);
});

test('every entry is drawn in every position it is done in', () => {
  const elsewhere = ENTRIES.flatMap((entry) =>
    entry.positions
      .filter((position) => !showsEntry(entryScene(entry, position), { positions: [position] }))
      .map((position) => `${entry.id}, ${position}: drawn ${positionsShown(entryScene(entry, position))?.join(' or ')}`),
  );
  expect(elsewhere).toEqual([]);
  const kinds = {
    supine: 'supine',
    prone: 'prone',
    'side-lying': 'side-lying left',
    seated: 'seated upright',
    leaning: 'seated leaning',
    mat: 'floor mat',
    standing: 'standing',
  } as const;
  for (const [id, scenes] of Object.entries(PLACE_SCENES))
    for (const [kind, scene] of Object.entries(scenes)) {
      const position: Position = kinds[kind as keyof typeof kinds];
      expect([id, kind, findEntry(id)!.positions.includes(position), entryScene(findEntry(id)!, position) === scene]).toEqual([
        id,
        kind,
        true,
        true,
      ]);
      expect([id, kind, position === findEntry(id)!.positions[0]]).toEqual([id, kind, false]);
    }
});

test('every motion is drawn in the position it is measured in', () => {
  const elsewhere = MOTIONS.filter((motion) => !showsEntry(motionScene(motion.id).scene, { positions: [motion.position] }));
  expect(
    elsewhere.map((motion) => `${motion.id}: ${positionsShown(motionScene(motion.id).scene)?.join(' or ')}, ${motion.position}`),
  ).toEqual([]);
});

test('what is shaded is what is worked on: a muscle the entry names, or what its name stands for', () => {
  const strange = ENTRIES.flatMap((entry) => {
    const named = regionsNamed(entry.targets);
    if (named.length === 0) return [];
    return entry.positions.flatMap((position) => {
      const shaded = (entryScene(entry, position).muscles ?? []).map((name) => name.replace('other.', ''));
      return shaded.length > 0 && !shaded.some((id) => named.includes(id as never))
        ? [`${entry.id}, ${position}: ${shaded.join(', ')} for ${entry.targets.join(', ')}`]
        : [];
    });
  });
  expect(strange).toEqual([]);
});

test('about seventy muscles have a place on the body', () => {
  expect(Object.keys(REGIONS).length).toBeGreaterThanOrEqual(70);
});

test('common practice: the head past the table’s end goes back below it, the lifted head comes up', () => {
  const height = (id: string) => {
    const body = sceneBody(entryScene(findEntry(id)!), 1);
    return body.bones.head.b[2] - body.bones.neck.a[2];
  };
  expect(height('neck-extension-table-end')).toBeLessThan(-5);
  expect(height('neck-crossed-arm-lift')).toBeGreaterThan(5);
});

test('common practice: a head bends away from the side that is lengthened, a knee drawn across goes over the middle', () => {
  // The worked side is the right one, whose direction is minus x.
  for (const id of ['neck-side-bend-seated', 'scalene-pin-move', 'neck-side-bend-supine']) {
    const body = sceneBody(entryScene(findEntry(id)!), 1);
    expect([id, body.bones.head.b[0] > 3]).toEqual([id, true]);
  }
  for (const id of ['leg-across-straight', 'leg-across-bent', 'piriformis-reps']) {
    const body = sceneBody(entryScene(findEntry(id)!), 1);
    expect([id, Math.max(body.bones.shank.b[0], body.bones.thigh.b[0]) > 0]).toEqual([id, true]);
  }
});

test('a practice’s own entry has the pictures of the one it was made from, while they show a position of its own', () => {
  const made = findEntry('neck-extension-table-end')!;
  const own = { ...made, id: 'own', drawnAs: made.id };
  expect(entryScene(own)).toBe(entryScene(made));
  const seated: readonly [Position] = ['seated upright'];
  const sitting = entryScene({ ...own, positions: seated });
  expect([sitting.posture, sitting.on]).toEqual(['upright', 'table']);
  // Nothing of its own and nothing it was made from: as its motion is measured, with what it works on shaded.
  const invented = {
    ...made,
    id: 'invented',
    drawnAs: 'nothing',
    motionId: 'straight-leg-raise',
    also: [],
    targets: ['hamstrings'] as const,
  };
  expect(entryScene(invented)).toMatchObject({ posture: 'supine', muscles: ['hamstrings'] });
  expect(entryScene({ ...invented, still: true }).start).toBeUndefined();
});

test('at the table the figure follows the limb: from the set-up to the edge and no further, and what is pressed stays', () => {
  for (const entry of ENTRIES) {
    const { rest, fan, better } = motionOf(entry.motionId);
    const toward = better === 'higher' ? fan.max : fan.min;
    const at = (share: number) => figureShare(entry, rest + share * (toward - rest));
    if (entryScene(entry).start === undefined) expect([entry.id, at(0), at(0.5), at(1)]).toEqual([entry.id, 1, 1, 1]);
    else {
      expect([entry.id, at(-1), at(0), at(1), at(2)]).toEqual([entry.id, 0, 0, 1, 1]);
      expect(at(0.5)).toBeGreaterThan(at(0.3));
      expect(at(0.5)).toBeLessThan(1);
    }
  }
});

test('the words of a picture say every muscle, every hand and every mark that is in it', () => {
  for (const entry of ENTRIES) {
    const scene = entryScene(entry);
    const words = sceneWords(scene);
    for (const mark of scene.marks ?? []) expect([entry.id, words.includes(MARK_WORDS[mark.kind])]).toEqual([entry.id, true]);
    expect(words.split(' holds ').length - 1).toBe((scene.hands ?? []).filter((hand) => hand.holds).length);
    expect(words).toMatch(/^seen from /);
  }
});

test('a hand that holds is told from one that works without colour: by its lock', () => {
  for (const entry of ENTRIES) {
    const scene = entryScene(entry);
    const locks = drawScene(scene, { size: 400 }).shapes.filter((shape) => shape.fill === 'lock').length;
    expect([entry.id, locks]).toEqual([entry.id, (scene.hands ?? []).filter((hand) => hand.holds).length]);
  }
});
