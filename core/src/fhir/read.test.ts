import { readFhir } from './index.ts';

const AT = '2026-11-29T10:00:00.000Z';
const found = (json: unknown) => {
  const read = readFhir(json, AT);
  if (typeof read === 'string') throw new Error(read);
  return read;
};
/** A record of somewhere else: other ids, a name in parts, an observation in another program's code. */
const ELSEWHERE = {
  resourceType: 'Bundle',
  type: 'collection',
  entry: [
    {
      resource: {
        resourceType: 'Observation',
        id: 'o1',
        status: 'final',
        code: { coding: [{ system: 'urn:elsewhere', code: 'knee' }] },
        subject: { reference: 'Patient/p1' },
        valueQuantity: { value: 120, unit: 'deg' },
      },
    },
    { resource: { resourceType: 'Patient', id: 'p1', name: [{ given: ['Mara', 'Lis'], family: 'Vehn' }], birthDate: '1999-04-05' } },
    {
      resource: {
        resourceType: 'Encounter',
        id: 'e1',
        status: 'finished',
        subject: { reference: 'Patient/p1' },
        period: { start: '2026-03-01T10:00:00+01:00', end: '2026-03-01T10:45:00+01:00' },
      },
    },
    { resource: { resourceType: 'AllergyIntolerance', id: 'a1' } },
  ],
};

test('of somebody else’s record it takes who they are and when they came, and guesses at no code', () => {
  const { file, notUnderstood } = found(ELSEWHERE);
  const [{ tables }] = file.athletes as [(typeof file.athletes)[number]];
  expect(tables.athlete).toMatchObject([{ name: 'Mara Lis Vehn', birth_date: '1999-04-05' }]);
  expect(tables.visit).toMatchObject([{ starts_at: '2026-03-01T09:00:00.000Z', minutes: 45, step: 'close' }]);
  expect(tables.rom_reading).toEqual([]);
  expect(notUnderstood.map(({ what, count }) => [what, count])).toEqual([
    ['Observation', 1],
    ['AllergyIntolerance', 1],
  ]);
});

test('the same bundle has the same ids every time, and everybody their own', () => {
  const id = () => found(ELSEWHERE).file.athletes[0]!.tables.athlete![0]!.id;
  expect(id()).toBe(id());
  const other = structuredClone(ELSEWHERE);
  other.entry[1]!.resource.id = 'p2';
  expect(() => found(other)).not.toThrow();
  expect(found(other).file.athletes[0]!.tables.athlete![0]!.id).not.toBe(id());
  // Whose visit it is does not stand in it any more.
  expect(found(other).notUnderstood).toContainEqual(expect.objectContaining({ what: 'Encounter' }));
});

test.each([
  [null, 'This is no FHIR bundle.'],
  [[], 'This is no FHIR bundle.'],
  [{ resourceType: 'Patient' }, 'This is no FHIR bundle.'],
  [{ resourceType: 'Bundle' }, 'There is nothing in this bundle.'],
  [{ resourceType: 'Bundle', entry: [null, 7, {}] }, 'There is nothing in this bundle.'],
  [
    {
      resourceType: 'Bundle',
      entry: [{ resource: { resourceType: 'Patient', id: 'p', name: [{ text: 'A B' }], birthDate: '1999-02-30' } }],
    },
    'Nobody stands in this bundle with a name and a birth date.',
  ],
])('%j is refused in words', (json, why) => expect(readFhir(json, AT)).toBe(why));

test('fields with anything in their place are left, never a fault', () => {
  const wrong = [null, 7, 'x', [], {}, [null], [[]], true];
  let seed = 3;
  const random = (n: number) => (seed = (seed * 48271) % 2147483647) % n;
  for (let i = 0; i < 3000; i++) {
    const json = structuredClone(ELSEWHERE) as unknown as { entry: { resource: Record<string, unknown> }[] };
    const { resource } = json.entry[random(4)]!;
    const fields = Object.keys(resource);
    resource[fields[random(fields.length)]!] = wrong[random(wrong.length)];
    expect(() => readFhir(json, AT)).not.toThrow();
  }
});
