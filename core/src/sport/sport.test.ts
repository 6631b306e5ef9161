import fc from 'fast-check';
import { MOTIONS, motionOf } from '../body/index.ts';
import {
  allSports,
  askedOf,
  askedRanges,
  checkSport,
  findSports,
  playedSports,
  rolesIn,
  sportAsking,
  sportDifference,
  SPORTS,
  sportWords,
  turnedArc,
} from './index.ts';
import type { AthleteSport, Sport } from './index.ts';

const entry = (sportId: string, more: Partial<AthleteSport> = {}): AthleteSport => ({
  sportId,
  discipline: null,
  role: null,
  leading: null,
  words: '',
  ...more,
});
const STROKE = playedSports([entry('rowing', { discipline: 'sweep', role: 'stroke-side' })]);
const BOW = playedSports([entry('rowing', { discipline: 'sweep', role: 'bow-side' })]);
const nothingRead = () => null;

describe('the sports that ship', () => {
  test.each(SPORTS.map((sport) => [sport.name, sport] as const))('%s points at nothing that is not there', (_name, sport) => {
    expect(checkSport(sport)).toEqual([]);
    if (!sport.standsFor) expect(new Set(sport.demands.map(({ motionId }) => motionId)).size).toBeGreaterThanOrEqual(6);
    expect(sport.loadKinds.length).toBeGreaterThan(0);
    expect(sport.eventKinds.length).toBeGreaterThan(0);
    // A value that names no source says that it is common practice, and one that is published names it.
    for (const each of [...sport.demands, ...sport.shapes]) expect(each.sure === 'published').toBe(each.source !== undefined);
  });

  test('there are at least fifteen, and one for nobody’s', () => {
    expect(SPORTS.filter(({ standsFor }) => !standsFor).length).toBeGreaterThanOrEqual(15);
    expect(SPORTS.filter(({ standsFor }) => standsFor).map(({ standsFor }) => standsFor)).toEqual(['none', 'another']);
  });

  test('no demand asks for more than a healthy joint reads, and none for less than where it rests', () => {
    for (const { demands } of SPORTS)
      for (const { motionId, value } of demands) {
        const { possible } = motionOf(motionId);
        expect(value).toBeGreaterThan(possible.min);
        expect(value).toBeLessThanOrEqual(possible.max);
      }
  });

  test.each([
    ['sprint', 'running'],
    ['tennis', 'racket'],
    ['javelin', 'throwing'],
    ['bow side', 'rowing'],
    ['ballet', 'dance'],
    ['soccer', 'field-games'],
  ])('typing “%s” finds %s first', (typed, id) => {
    expect(findSports(typed)[0]!.id).toBe(id);
  });

  test('a thrower is no rower, whatever letters the word has', () => {
    expect(findSports('throw').map(({ id }) => id)).not.toContain('rowing');
    expect(findSports('zzz')).toEqual([]);
    expect(findSports('')).toHaveLength(SPORTS.length);
  });
});

describe('what is asked for', () => {
  test('follows discipline, role and leading side', () => {
    expect(askedOf(STROKE, 'trunk-rotation', 'right')!.value).toBe(45);
    expect(askedOf(STROKE, 'trunk-rotation', 'left')!.value).toBe(35);
    expect(askedOf(BOW, 'trunk-rotation', 'left')!.value).toBe(45);
    const javelin = playedSports([entry('throwing', { discipline: 'javelin', leading: 'left' })]);
    expect(askedOf(javelin, 'shoulder-external-rotation', 'left')!.value).toBe(110);
    expect(askedOf(javelin, 'shoulder-external-rotation', 'right')).toBeNull();
    // Without a leading side nothing is asked of either arm, but of the legs it is.
    const unknown = playedSports([entry('throwing')]);
    expect(askedOf(unknown, 'shoulder-external-rotation', 'left')).toBeNull();
    expect(askedOf(unknown, 'hip-internal-rotation', 'left')!.value).toBe(35);
    expect(sportAsking(unknown, 'shoulder-external-rotation')).toBeNull();
  });

  test('a cox is asked for nothing, and neither is somebody without a sport', () => {
    expect(askedRanges(playedSports([entry('rowing', { role: 'cox' })]))).toEqual([]);
    expect(askedRanges(playedSports([entry('none'), entry('gone-sport')]))).toEqual([]);
  });

  test('of several sports the hardest stands, whatever their order', () => {
    const sports = [entry('running', { discipline: 'sprint' }), entry('gymnastics', { leading: 'right' })];
    for (const list of [sports, [...sports].reverse()]) expect(askedOf(playedSports(list), 'straight-leg-raise', 'left')!.value).toBe(120);
  });

  test('one more sport never asks for less', () => {
    const anyEntry = fc.constantFrom(...SPORTS).chain((sport) =>
      fc
        .record({
          discipline: fc.constantFrom(null, ...sport.disciplines.map(({ id }) => id)),
          leading: fc.constantFrom('left' as const, 'right' as const, null),
        })
        .map((more) => entry(sport.id, more)),
    );
    fc.assert(
      fc.property(fc.array(anyEntry, { maxLength: 3 }), anyEntry, (some, more) => {
        for (const asked of askedRanges(playedSports(some))) {
          const after = askedOf(playedSports([...some, more]), asked.motionId, asked.side)!.value;
          expect(motionOf(asked.motionId).better === 'higher' ? after >= asked.value : after <= asked.value).toBe(true);
        }
      }),
    );
  });
});

describe('shapes', () => {
  test('only sweep rowers have a trunk rotation that the sport explains, on opposite sides', () => {
    expect(sportDifference('trunk-rotation', STROKE, nothingRead)?.moreOn).toBe('right');
    expect(sportDifference('trunk-rotation', BOW, nothingRead)?.moreOn).toBe('left');
    expect(
      sportDifference('trunk-rotation', playedSports([entry('rowing', { discipline: 'sculls', role: 'sculler' })]), nothingRead),
    ).toBeNull();
    expect(sportDifference('hip-flexion', STROKE, nothingRead)).toBeNull();
    for (const { id } of MOTIONS) expect(sportDifference(id, [], nothingRead)).toBeNull();
  });

  // Wilk KE et al. Am J Sports Med 2011;39:329–335, recalled from memory: a loss of internal rotation of 18 to 20° and more together with
  // a smaller total arc is a finding; a total arc within 5° is a turned arc.
  test.each([
    [{ gains: 115, loses: 50 }, { gains: 100, loses: 65 }, 'turned'],
    [{ gains: 115, loses: 47 }, { gains: 100, loses: 65 }, 'turned'],
    [{ gains: 102, loses: 62 }, { gains: 100, loses: 64 }, 'alike'],
    [{ gains: 105, loses: 45 }, { gains: 100, loses: 65 }, 'finding'],
    [{ gains: 120, loses: 45 }, { gains: 100, loses: 65 }, 'turned'],
    [{ gains: 100, loses: 50 }, { gains: 100, loses: 65 }, 'other'],
  ] as const)('an arm of %j against %j is %s', (leading, other, verdict) => {
    expect(turnedArc(leading, other, { totalWithin: 5, findingFrom: 18 }).verdict).toBe(verdict);
  });

  const thrower = playedSports([entry('throwing', { leading: 'right' })]);
  const arms = (right: readonly [number, number], left: readonly [number, number]) => (motionId: string, side: 'left' | 'right') => {
    const [outward, inward] = side === 'right' ? right : left;
    return motionId === 'shoulder-external-rotation' ? outward : motionId === 'shoulder-internal-rotation' ? inward : null;
  };

  test('a throwing arm explains what it lost by what it gained, and a large loss with a smaller arc by nothing', () => {
    const turned = sportDifference('shoulder-internal-rotation', thrower, arms([115, 50], [100, 65]))!;
    expect(turned).toMatchObject({ moreOn: 'left', upTo: 20 });
    expect(sportDifference('shoulder-external-rotation', thrower, arms([115, 50], [100, 65]))).toMatchObject({ moreOn: 'right', upTo: 20 });
    const finding = sportDifference('shoulder-internal-rotation', thrower, arms([105, 45], [100, 65]))!;
    expect(finding.upTo).toBe(0);
    expect(finding.finding).toBe('20° less shoulder internal rotation with 15° less arc in all: more than a turned arc');
    // Without all four readings there is no arc to judge.
    expect(
      sportDifference('shoulder-internal-rotation', thrower, (id, side) => (side === 'left' ? 65 : id.includes('internal') ? 50 : null)),
    ).toBeNull();
    expect(sportDifference('shoulder-internal-rotation', playedSports([entry('throwing')]), arms([115, 50], [100, 65]))).toBeNull();
  });

  test('the side that is chosen mirrors what is said', () => {
    const left = playedSports([entry('throwing', { leading: 'left' })]);
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 30, max: 130 }), { minLength: 4, maxLength: 4 }), ([a, b, c, d]) => {
        const one = sportDifference('shoulder-internal-rotation', thrower, arms([a!, b!], [c!, d!]));
        const mirrored = sportDifference('shoulder-internal-rotation', left, arms([c!, d!], [a!, b!]));
        expect(mirrored && { ...mirrored, moreOn: mirrored.moreOn === 'left' ? 'right' : 'left' }).toEqual(one);
      }),
    );
  });
});

describe('a practice’s own sports', () => {
  const own: Sport = {
    id: 'own-1',
    name: 'Raft racing',
    synonyms: ['raft'],
    disciplines: [{ id: 'river', name: 'River' }],
    roles: [{ id: 'front', name: 'Front paddle', side: 'left' }],
    leading: 'Paddle side',
    demands: [{ motionId: 'trunk-rotation', value: 50, on: 'role', sure: 'common practice', why: 'the stroke' }],
    shapes: [],
    loadKinds: [{ id: 'river', name: 'On the river', counts: 'metres', muscles: ['latissimus'] }],
    eventKinds: [],
  };

  test('stand beside those that ship, are found and asked in the same way', () => {
    expect(allSports([own]).map(({ id }) => id)).toContain('own-1');
    expect(findSports('raft', [own])[0]!.id).toBe('own-1');
    const played = playedSports([entry('own-1', { role: 'front', leading: 'left' })], [own]);
    expect(askedOf(played, 'trunk-rotation', 'left')!.value).toBe(50);
    expect(sportWords(played)).toBe('Raft racing, front paddle, left side');
    expect(rolesIn(own, 'river')).toHaveLength(1);
  });

  test('everything that points at nothing is named with its place', () => {
    const wrong: Sport = {
      ...own,
      roles: [{ id: 'front', name: 'Front', disciplines: ['sea'] }],
      demands: [
        { motionId: 'no-motion', value: 5, on: 'both', sure: 'common practice', why: '' },
        { motionId: 'hip-flexion', value: 500, on: 'both', sure: 'common practice', why: '' },
        { motionId: 'trunk-flexion', value: 60, on: 'role', sure: 'common practice', why: '' },
      ],
      loadKinds: [...own.loadKinds, ...own.loadKinds],
    };
    expect(checkSport(wrong).map(({ path }) => path)).toEqual([
      'loadKinds.1.id',
      'roles.0.disciplines',
      'demands.0.motionId',
      'demands.1.value',
      'demands.2.on',
    ]);
  });
});
