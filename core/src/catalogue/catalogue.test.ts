import { MOTIONS, type Position } from '../body/index.ts';
import { checkDose, findMethod, METHODS, sidesOf } from '../method/index.ts';
import { entry } from './entries/make.ts';
import { ENTRIES, SECTIONS, positionsFor, setUpIn, TOOLS } from './index.ts';

/** What can be done, region by region, as the trade lists it (common practice), and the entry that holds each. */
const LISTED: Readonly<Record<string, readonly string[]>> = {
  'side-bend stretch of the lateral flexors': ['neck-side-bend-supine'],
  'chin-to-shoulder diagonal': ['neck-diagonal'],
  'crossed-arm lift with a turn': ['neck-crossed-arm-lift'],
  'long-axis traction by hand, forearm or towel': ['neck-traction', 'neck-traction-forearm', 'neck-traction-towel'],
  'base-of-skull melt': ['skull-base-melt'],
  'scalene pin and move': ['scalene-pin-move'],
  'seated side-bend with the breath': ['neck-side-bend-seated'],
  'seated pin and turn': ['neck-pin-turn-seated'],
  'extension over the table end': ['neck-extension-table-end'],
  'the same stretch antagonist-driven': ['neck-side-bend-antagonist'],
  'joint mobilization of the neck': ['neck-joint-mobilization'],
  'latissimus supine and side-lying, harder': ['latissimus-supine', 'latissimus-side-lying', 'latissimus-heel-of-hand'],
  'pectoralis press-and-stretch': ['pectoralis-press-stretch'],
  'wrist back to add the nerve line': ['pectoralis-nerve-line'],
  'seated chest opener': ['chest-opener-seated'],
  'upper-trapezius cycling side-lying, supine, prone': ['upper-trap-side-lying', 'upper-trap-supine', 'upper-trap-prone'],
  'shoulder-blade glides': ['scapula-four-glides'],
  'blade lift with the hand behind the back': ['scapula-lift-behind-back'],
  'arm circles with traction': ['arm-circles-traction'],
  'subscapularis approach in four positions': ['subscapularis-approach'],
  'rotator-cuff four-way isometrics': ['cuff-four-way'],
  'deltoid front, middle, back': ['deltoid-front', 'deltoid-middle', 'deltoid-back'],
  'first rib': ['first-rib-reach'],
  'second and third rib': ['second-third-rib'],
  'overhead-arm rib rocking': ['overhead-rib-rock'],
  'three-breath chest press': ['three-breath-chest-press'],
  'thoracic spring from beneath': ['thoracic-spring'],
  'triceps, biceps, forearm pin and lengthen': ['triceps-pin', 'biceps-pin', 'forearm-pin'],
  'wrist-extensor contract-relax': ['wrist-extensor-cr'],
  'wrist-flexor the same': ['wrist-flexor-cr'],
  'pronator point hold': ['pronator-hold'],
  'carpal friction and glides': ['carpal-friction'],
  'palm spread': ['palm-spread'],
  'finger traction': ['finger-traction'],
  'metacarpal scissor': ['metacarpal-scissor'],
  'supine rotation with the pelvis held': ['trunk-rotation-supine'],
  'side-lying rotation of low back, chest, both': ['side-lying-rotation-low', 'side-lying-rotation-chest', 'side-lying-rotation-both'],
  'side-lying back-bow': ['side-lying-back-bow'],
  'seated rotation with the breath': ['trunk-rotation-seated'],
  'forearm sink beside the lumbar spine': ['lumbar-forearm-sink'],
  'rib-to-pelvis spread': ['rib-pelvis-spread'],
  'quadratus lumborum: comfort, crossed, reset': ['quadratus-comfort', 'quadratus-crossed', 'quadratus-reset'],
  'back extensors: reaching, then 20 %': ['back-extensors-reach'],
  'small pelvic tilts': ['pelvic-tilts'],
  'lift-and-lean low-back rock': ['low-back-rock'],
  'alternate-shoulder roll': ['shoulder-roll'],
  'two-hand belly rock': ['belly-rock'],
  'bent-knee turn': ['gluteus-bent-knee-turn'],
  '90/90 turn-out': ['ninety-turn-out'],
  'foot-on-hip adductor opening': ['foot-on-hip-adductor'],
  'figure-four beside or above': ['figure-four-beside', 'figure-four-above'],
  'straight-leg adductor walk-out': ['adductors-walk-out'],
  'straight leg across, then knee bent': ['leg-across-straight', 'leg-across-bent'],
  'circling both ways': ['hip-circling'],
  'gluteus maximus and piriformis repetitions': ['gluteus-maximus-reps', 'piriformis-reps'],
  'gluteals from comfort to press': ['gluteals-comfort-press'],
  'psoas with the leg lifted': ['psoas-sink'],
  'iliacus supine and side-lying': ['iliacus-supine', 'iliacus-side-lying'],
  'attachment below the groin': ['groin-attachment-shake'],
  'groin opening, then its comfort': ['groin-opening', 'groin-comfort'],
  'gentle sacroiliac twist': ['sacroiliac-twist'],
  'buttock wake-up': ['buttock-wake-up'],
  'sacral-edge presses': ['sacral-edge-presses'],
  'long-axis leg pull': ['leg-pull'],
  'rectus femoris pin, then contract-relax prone or over the side': [
    'rectus-femoris-pin',
    'rectus-femoris-prone',
    'rectus-femoris-table-side',
  ],
  'glide with circling, partial and full': ['quad-glide-partial', 'quad-glide-full'],
  'hamstring with the heel on the shoulder, then straight': ['hamstring-bent-shoulder', 'hamstring-heel-on-shoulder'],
  'patella glides': ['patella-glides'],
  'adductor compression': ['adductor-compression'],
  'line presses inside and outside': ['line-press-inside', 'line-press-outside'],
  'talocrural traction held, in rhythm, with bending': ['talocrural-traction', 'talocrural-open-close', 'talocrural-traction-bend'],
  'ankle circles with traction': ['ankle-circles'],
  'midfoot over the thumb': ['midfoot-turn'],
  'heel squeeze and roll': ['heel-squeeze-roll'],
  'metatarsal scissor': ['metatarsal-scissor'],
  'arch spring': ['arch-spring'],
  'ball-of-foot rounding': ['ball-rounding'],
  'toe rotation': ['toe-rotation'],
  'sole pin': ['sole-pin'],
  'opposing wave': ['opposing-wave'],
  'post-surgical ankle': ['post-op-fluid', 'post-op-turns', 'post-op-calf', 'post-op-toes'],
  'calf pin, cross-friction, point holds': ['calf-pin', 'calf-cross-friction', 'calf-point-holds'],
  'shake-down': ['shake-down'],
  'balance press': ['balance-press'],
  'still hold': ['still-hold'],
  'light percussion': ['percussion'],
  'calf self-release': ['home-calf-release'],
  'wall sit': ['home-wall-sit'],
  'hot water and support': ['home-hot-water'],
  'daily mobility line': ['home-mobility-line'],
  'front of the shin': ['home-front-of-shin'],
  bridge: ['home-bridge'],
  'ball squeeze': ['home-ball-squeeze'],
  'knees opened': ['home-knee-opening'],
  'neck at desk and bow seat': ['home-neck-desk'],
  'chest at desk and bow seat': ['home-chest-doorway'],
  breathing: ['home-breathing'],
};
const ids = new Set(ENTRIES.map((entry) => entry.id));

test.each(Object.entries(LISTED))('%s', (_, entries) => {
  for (const id of entries) expect(ids).toContain(id);
});

test('every field is filled, in words of its own, and every reference leads somewhere', () => {
  const methods = new Set(METHODS.map((method) => method.id));
  const lists = new Set(METHODS.flatMap((method) => method.lists.map((list) => list.id)));
  const motions = new Set(MOTIONS.map((motion) => motion.id));
  expect(ids.size).toBe(ENTRIES.length);
  for (const entry of ENTRIES) {
    const words = [
      entry.name,
      entry.setUp,
      entry.hands,
      entry.press,
      entry.pressLine,
      entry.bringHome,
      entry.watch,
      entry.supports,
      entry.cautions,
      ...entry.targets,
    ];
    expect([entry.id, words.every((each) => each.trim().length > 2)]).toEqual([entry.id, true]);
    // Read across a room.
    expect([entry.id, entry.press.length <= 26]).toEqual([entry.id, true]);
    expect(SECTIONS).toContain(entry.section);
    expect(entry.tools.every(({ tool, share }) => TOOLS.includes(tool) && share >= 0 && share <= 1)).toBe(true);
    expect([entry.motionId, ...entry.also].every((id) => motions.has(id))).toBe(true);
    expect([entry.id, entry.ways.filter((way) => !methods.has(way))]).toEqual([entry.id, []]);
    expect(new Set(entry.ways).size).toBe(entry.ways.length);
    const variants = [...entry.easier, ...entry.harder];
    expect([entry.id, variants.filter(({ id }) => id !== undefined && (!ids.has(id) || id === entry.id))]).toEqual([entry.id, []]);
    expect([entry.id, variants.filter(({ why }) => why.length < 8 || why.length > 60)]).toEqual([entry.id, []]);
    expect(Object.keys(entry.lists ?? {}).filter((id) => !lists.has(id))).toEqual([]);
    expect(sidesOf(entry).length).toBeGreaterThan(0);
    // What a way begins with here is one of its ways, and within its bounds.
    for (const [way, dose] of Object.entries(entry.doses ?? {}))
      expect([entry.id, way, entry.ways.includes(way), checkDose(findMethod(way)!, dose)]).toEqual([entry.id, way, true, []]);
  }
  expect(new Set(ENTRIES.map((entry) => entry.setUp)).size).toBe(ENTRIES.length);
});

test('every region can be warmed, and every way of working is used somewhere', () => {
  for (const section of SECTIONS.filter((each) => !['Arm and hand', 'Closing', 'Home work'].includes(each)))
    expect(ENTRIES.some((entry) => entry.section === section && entry.stage === 'warm')).toBe(true);
  for (const method of METHODS) expect(ENTRIES.some((entry) => entry.ways.includes(method.id))).toBe(true);
});

/** Words that say how somebody lies or sits. */
const SAYS: Readonly<Record<string, RegExp>> = {
  supine: /\bsupine\b/i,
  prone: /\bprone\b/i,
  'side-lying': /\bside-lying\b/i,
  seated: /\b(seated|sitting|leaning)\b/i,
  'floor mat': /\b(floor|mat)\b/i,
  standing: /\bstanding\b/i,
};
const sayingOf = (position: Position) =>
  position.startsWith('side-lying') ? 'side-lying' : /seated|sitting/.test(position) ? 'seated' : position;

test('a set-up never names another position than the one it is for, and in a further one names its own', () => {
  for (const entry of ENTRIES)
    for (const position of entry.positions) {
      const { setUp, supports, hands } = setUpIn(entry, position);
      const named = Object.keys(SAYS).filter((each) => SAYS[each]!.test(setUp));
      // A floor is also reached for, and sat on.
      const other = named.filter((each) => each !== sayingOf(position) && each !== 'floor mat' && position !== 'floor mat');
      expect([entry.id, position, other]).toEqual([entry.id, position, []]);
      if (position !== entry.positions[0]) expect([entry.id, position, named]).toContainEqual(expect.arrayContaining([sayingOf(position)]));
      // One sentence, read across a room.
      expect([entry.id, position, setUp.length <= 120]).toEqual([entry.id, position, true]);
      expect([entry.id, position, [setUp, supports, hands].filter((each) => each.trim().length <= 2)]).toEqual([entry.id, position, []]);
    }
});

test('lying on either side is set up alike, and what a position does not say is as in the usual one', () => {
  const latissimus = ENTRIES.find(({ id }) => id === 'arm-circles-traction')!;
  expect(setUpIn(latissimus, 'side-lying right')).toEqual(setUpIn(latissimus, 'side-lying left'));
  const palm = ENTRIES.find(({ id }) => id === 'palm-spread')!;
  expect(setUpIn(palm, 'seated upright')).toMatchObject({ supports: 'Forearm on the table', hands: palm.hands });
  expect(setUpIn(palm, 'supine')).toEqual({ setUp: palm.setUp, supports: palm.supports, hands: palm.hands });
});

test('an entry whose further position has no set-up does not compile', () => {
  const { places: _, still: _still, ...found } = ENTRIES.find(({ id }) => id === 'palm-spread')!;
  const palm = { ...found, lead: 'Palm opens' };
  const words = { setUp: 'Seated across from you, palm up' };
  expect(entry({ ...palm, positions: ['supine'] }).places).toBeUndefined();
  expect(entry({ ...palm, positions: ['supine', 'prone'], places: { prone: words } }).places).toEqual({ prone: words });
  // @ts-expect-error: nothing is said for prone.
  entry({ ...palm, positions: ['supine', 'prone'] });
  const { lead: _lead, ...silent } = palm;
  // @ts-expect-error: it is moved, and nothing says where to.
  entry({ ...silent, positions: ['supine'] });
  // @ts-expect-error: nothing is said for standing.
  entry({ ...palm, positions: ['supine', 'prone', 'standing'], places: { prone: words } });
});

test('not every position has every way: the usual one has all, and what is left out elsewhere is a way the entry has', () => {
  for (const entry of ENTRIES) {
    for (const way of entry.ways) expect([entry.id, way, positionsFor(entry, { id: way })[0]]).toEqual([entry.id, way, entry.positions[0]]);
    for (const { without = [] } of Object.values(entry.places ?? {}))
      for (const way of without) expect([entry.id, entry.ways.includes(way)]).toEqual([entry.id, true]);
  }
  const cuff = ENTRIES.find(({ id }) => id === 'cuff-four-way')!;
  expect(positionsFor(cuff, { id: 'four-way' })).toContain('prone');
  expect(positionsFor(cuff, { id: 'pulsed' })).not.toContain('prone');
  // A practice's own way goes where the one goes that it was made from.
  expect(positionsFor(cuff, { id: 'own', madeFrom: 'pulsed' })).not.toContain('prone');
});
