import type { Bundle, Observation } from 'fhir/r4';
import { NOTHING_KNOWN, mdc95, defaultSem } from '../measure/index.ts';
import { motionOf } from '../body/index.ts';
import { BLANK_FILE, type Reading } from '../record/index.ts';
import { BUILT_IN } from '../method/index.ts';
import { fhirFaults } from '../testing/fhirFaults.ts';
import { fhirBundle, type FhirSource } from './index.ts';

/*
 * Held to the definitions of HL7 FHIR R4 (4.0.1, hl7.org/fhir/R4) as the registry package `fhir` carries and applies them: a validator made for any
 * resource, by others. What it cannot see (that references lead somewhere, that ids stay) is looked at here.
 */
const id = (n: number) => `01900000-0000-7000-8000-${String(n).padStart(12, '0')}`;
const AT = '2026-11-29T10:00:00.000Z';
const reading = (n: number, fields: Partial<Reading> = {}): Reading => ({
  id: id(n),
  visitId: id(10),
  motionId: 'straight-leg-raise',
  side: 'left',
  moment: 'before',
  mode: 'passive',
  instrument: 'goniometer',
  trials: [71, 72, 73],
  value: 72,
  supersedes: null,
  takenAt: '2026-11-20T09:05:00.000Z',
  examinerId: id(2),
  ...fields,
});

function source(changes: Partial<FhirSource> = {}): FhirSource {
  const visit = {
    id: id(10),
    athleteId: id(3),
    startsAt: '2026-11-20T09:00:00.000Z',
    minutes: 45,
    step: 'close' as const,
    finishedAt: '2026-11-20T09:50:00.000Z',
    cancelledAt: null,
    eventDayId: null,
    revision: 3,
    complaint: 'Back of the thigh tight after the long row',
    complaintRegion: 'thigh-back' as const,
    complaintSide: 'left' as const,
    complaintScore: 4,
    changed: '',
    trainingSince: '',
    trainingNext: '',
    minutesAvailable: 45,
    consent: null,
    consentWord: '',
    lookFirst: '',
  };
  const item = {
    id: id(60),
    entryId: 'rectus-femoris-prone',
    name: 'Hamstrings, straight leg',
    sides: [{ side: 'left' as const, times: 3 }],
    seconds: 30,
    breaths: false,
    sets: 1,
    perDay: 2,
    when: 'after training',
    how: 'Towel round the foot',
    stop: 'it tingles',
  };
  return {
    practice: { id: id(1), name: 'River room' },
    athlete: {
      ...BLANK_FILE,
      id: id(3),
      revision: 1,
      name: 'Ines Okkonen',
      birthDate: '1999-02-03',
      referenceSex: 'female',
      about: '',
      breathPeriodMs: 10_000,
    },
    conditions: [
      {
        id: id(20),
        revision: 1,
        code: 'knee-operation',
        region: null,
        side: 'left',
        onset: null,
        surgeryOn: '2026-06-01',
        muscle: null,
        grade: null,
        words: 'graft from the hamstring',
        clearance: { by: 'the surgeon', on: '2026-09-01', text: 'Bend to 120°', limits: [] },
        resolvedOn: null,
      },
      {
        id: id(21),
        revision: 1,
        code: 'knee-operation',
        region: 'knee',
        side: null,
        onset: '2020-01-01',
        surgeryOn: null,
        muscle: null,
        grade: 2,
        words: '',
        clearance: null,
        resolvedOn: '2021-01-01',
      },
    ],
    goals: [
      {
        id: id(30),
        motionId: 'straight-leg-raise',
        side: 'left',
        value: 85,
        byDate: '2027-02-01',
        why: 'symmetry',
        whyWords: '',
        setAt: AT,
      },
      { id: id(31), motionId: 'straight-leg-raise', side: 'right', value: 85, byDate: null, why: null, whyWords: '', setAt: AT },
    ],
    visits: [
      visit,
      {
        ...visit,
        id: id(11),
        startsAt: '2026-11-30T09:00:00.000Z',
        step: 'arrive',
        finishedAt: null,
        complaint: '',
        complaintRegion: null,
        complaintScore: null,
      },
    ],
    readings: [
      reading(40),
      reading(41, { moment: 'after', value: 78.25, trials: [78, 78.5], supersedes: id(39) }),
      reading(42, { value: null, trials: [] }),
    ],
    blocks: [
      {
        visitId: id(10),
        startsAt: visit.startsAt,
        entryId: 'rectus-femoris-prone',
        methodId: 'cr-breath',
        motionId: 'straight-leg-raise',
        sides: [
          {
            side: 'left',
            rounds: 2,
            work: [
              { heldS: 20, workedS: 0, pressedS: 6, effortPct: 20 },
              { heldS: 22.4, workedS: 0, pressedS: 6, effortPct: 25 },
            ],
          },
        ],
      },
      {
        visitId: id(10),
        startsAt: visit.startsAt,
        entryId: 'rectus-femoris-prone',
        methodId: 'static-hold',
        motionId: 'straight-leg-raise',
        sides: [{ side: 'right', rounds: 1 }],
      },
    ],
    home: [
      {
        sheet: {
          visitId: id(10),
          startsAt: visit.startsAt,
          askedBefore: false,
          items: [item],
          until: '2026-12-10',
          words: 'Go gently',
          revision: 1,
        },
        asked: null,
      },
      {
        sheet: {
          visitId: id(11),
          startsAt: '2026-10-01T09:00:00.000Z',
          askedBefore: true,
          items: [item],
          until: '2026-10-10',
          words: '',
          revision: 1,
        },
        asked: { visitId: id(10), startsAt: visit.startsAt, answers: { [id(60)]: 'most' } },
      },
    ],
    checkIns: [
      {
        id: id(50),
        at: AT,
        by: 'the athlete',
        supersedes: null,
        onDate: '2026-11-29',
        scale: 'four-items',
        answers: { sleep: 2, stress: 3, fatigue: 4 },
        hoursSlept: 7.5,
        sore: [{ muscle: 'hamstrings', side: 'left', score: 3 }],
        ill: false,
        injured: null,
        travelled: true,
        training: 'full',
        rmssdMs: 61.5,
      },
    ],
    errors: NOTHING_KNOWN,
    shelf: BUILT_IN,
    nameOf: (account) => (account === id(2) ? 'Marit Solberg' : null),
    dayOf: (instant) => instant.slice(0, 10),
    ...changes,
  };
}

const bundle = fhirBundle(source(), AT);
const of = <T extends string>(made: Bundle, type: T) =>
  made.entry!.flatMap(({ resource }) =>
    resource?.resourceType === type ? [resource as Extract<typeof resource, { resourceType: T }>] : [],
  );

it('is a valid R4 bundle, and so is each resource in it by itself', () => {
  expect(fhirFaults(bundle)).toEqual([]);
  for (const { resource } of bundle.entry!) expect([resource!.resourceType, fhirFaults(resource)]).toEqual([resource!.resourceType, []]);
  const types = new Set(bundle.entry!.map(({ resource }) => resource!.resourceType));
  for (const type of [
    'Patient',
    'Practitioner',
    'Encounter',
    'Observation',
    'Condition',
    'Procedure',
    'CarePlan',
    'Goal',
    'QuestionnaireResponse',
    'Device',
  ])
    expect(types).toContain(type);
});

it('what is broken on purpose is told apart: the check can fail', () => {
  const broken = (change: (made: Bundle) => void): string => {
    const made = JSON.parse(JSON.stringify(bundle)) as Bundle;
    change(made);
    return fhirFaults(made).join('\n');
  };
  expect(broken((made) => delete (of(made, 'Observation')[0] as Partial<Observation>).status)).toMatch(/status/i);
  expect(broken((made) => (of(made, 'Encounter')[0]!.status = 'over' as never))).toMatch(/over/);
  expect(broken((made) => (of(made, 'Patient')[0]!.birthDate = 3 as never))).toMatch(/birthDate/);
  expect(broken((made) => Object.assign(of(made, 'Condition')[0]!, { severity: 'bad', weight: 3 }))).toMatch(/weight/);
  expect(broken((made) => delete (of(made, 'CarePlan')[0] as { subject?: unknown }).subject)).toMatch(/subject/i);
  expect(broken((made) => (made.type = 'pile' as never))).toMatch(/pile/);
});

it('every reference is to a resource within it, and no two have one id', () => {
  const urls = bundle.entry!.map(({ fullUrl }) => fullUrl);
  expect(new Set(urls).size).toBe(urls.length);
  expect(urls).toEqual(bundle.entry!.map(({ resource }) => `urn:uuid:${resource!.id}`));
  const named = [...JSON.stringify(bundle).matchAll(/"reference":"([^"]+)"/g)].map(([, url]) => url!);
  expect(named.length).toBeGreaterThan(15);
  for (const url of named) expect(urls).toContain(url);
  for (const { resource } of bundle.entry!) expect(resource!.id).toMatch(/^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/);
});

/** Of FHIR R4 §2.24.0.1, primitive types, recalled from memory: the validator does not look into strings. */
const DATE = /^\d{4}(-(0[1-9]|1[0-2])(-(0[1-9]|[12]\d|3[01]))?)?$/;
const INSTANT =
  /^\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])T([01]\d|2[0-3]):[0-5]\d:([0-5]\d|60)(\.\d+)?(Z|[+-]((0\d|1[0-3]):[0-5]\d|14:00))$/;

it('days and instants are written as the standard has them', () => {
  const written: Record<string, string[]> = {};
  JSON.stringify(bundle, (key, value: unknown) => {
    if (typeof value === 'string' && /(date|time|start|end|authored|timestamp)$/i.test(key)) (written[key] ??= []).push(value);
    return value;
  });
  for (const name of ['birthDate', 'dueDate', 'startDate', 'valueDate'])
    for (const day of written[name]!) expect([name, day]).toEqual([name, expect.stringMatching(DATE)]);
  for (const name of ['effectiveDateTime', 'performedDateTime', 'authored', 'timestamp'])
    for (const instant of written[name]!) expect([name, instant]).toEqual([name, expect.stringMatching(INSTANT)]);
  for (const name of ['start', 'end', 'onsetDateTime', 'abatementDateTime'])
    for (const either of written[name]!) expect([name, DATE.test(either) || INSTANT.test(either)]).toEqual([name, true]);
});

it('ids are the same in a later export, whatever came in between', () => {
  const more = source();
  const later = fhirBundle({ ...more, blocks: [...more.blocks, { ...more.blocks[0]!, visitId: id(11) }] }, '2026-12-24T10:00:00.000Z');
  const ids = new Set(later.entry!.map(({ resource }) => resource!.id));
  for (const { resource } of bundle.entry!) expect(ids).toContain(resource!.id);
  expect(later.id).not.toBe(bundle.id);
});

it('a reading has its value, unit, side, method, instrument, reader, trials and error', () => {
  const [first, corrected] = of(bundle, 'Observation');
  expect(first!.valueQuantity).toEqual({ value: 72, unit: '°', system: 'http://unitsofmeasure.org', code: 'deg' });
  expect([first!.bodySite!.text, first!.status, corrected!.status]).toEqual(['left', 'final', 'corrected']);
  expect(first!.method!.text).toBe(`passive; ${motionOf('straight-leg-raise').testPosition}`);
  const part = (made: Observation, code: string) =>
    made.component!.filter((each) => each.code.coding![0]!.code === code).map((each) => each.valueQuantity?.value ?? each.valueString);
  expect(part(first!, 'trial')).toEqual([71, 72, 73]);
  expect([part(first!, 'moment'), part(corrected!, 'moment')]).toEqual([['before'], ['after']]);
  // Weir 2005: the SEM of a mean of three by default, and 1.96 · √2 of it, made larger from day to day.
  const { sem } = defaultSem(motionOf('straight-leg-raise'), 'goniometer');
  expect(part(first!, 'sem')).toEqual([sem]);
  expect(part(first!, 'mdc95')[0]).toBeCloseTo(mdc95(1.5 * sem), 2);
  expect(of(bundle, 'Practitioner').map(({ name }) => name![0]!.text)).toEqual(['Marit Solberg']);
  expect(of(bundle, 'Device').map(({ deviceName }) => deviceName![0]!.name)).toEqual(['goniometer']);
});

it('a block has its dose in numbers and in words', () => {
  const [pressed, held] = of(bundle, 'Procedure');
  expect(pressed!.note![0]!.text).toContain('left: 2 rounds, 42 s at end range, 12 s pressed, effort up to 25 %.');
  expect(pressed!.extension![1]!.extension).toContainEqual({ url: 'rounds', valueInteger: 2 });
  // What was kept before seconds were counted has rounds only.
  expect(held!.note![0]!.text).toMatch(/right: 1 round\.$/);
});

it('what belongs to visits that were not chosen stays out', () => {
  const { visits } = source();
  const made = fhirBundle(source({ visits: [visits[1]!] }), AT);
  expect(of(made, 'Observation')).toEqual([]);
  expect(of(made, 'Procedure')).toEqual([]);
  expect(of(made, 'Practitioner')).toEqual([]);
  expect(of(made, 'Encounter').map(({ status }) => status)).toEqual(['planned']);
  expect(fhirFaults(made)).toEqual([]);
});

it('an athlete of whom nothing is kept is a patient and no more', () => {
  const made = fhirBundle(source({ conditions: [], goals: [], visits: [], readings: [], blocks: [], home: [], checkIns: [] }), AT);
  expect(made.entry!.map(({ resource }) => resource!.resourceType)).toEqual(['Organization', 'Patient']);
  expect(fhirFaults(made)).toEqual([]);
});
